import { SPEEDS, type Pace } from '@hervir/contract';
import { Segmented, Switch } from 'antd';
import type { ReactNode } from 'react';
import { setPace } from '../state/rehearsal-store';
import rehearseStyles from './rehearse.module.css';
import cookerPanelStyles from './cooker-panel.module.css';

const CHOICES = [SPEEDS.min, 10, 60, SPEEDS.max];

/** How time goes by: standing still, pressed together, and slowed where hands are needed. */
export function PaceBar({ pace, speed }: { readonly pace: Pace; readonly speed: number }): ReactNode {
  return (
    <div className={rehearseStyles['pace-bar']} role="group" aria-label="Time">
      <button
        type="button"
        className={cookerPanelStyles['panel-key']}
        onClick={() => void setPace({ paused: !pace.paused })}
      >
        {pace.paused ? 'Go on' : 'Pause'}
      </button>
      <Segmented
        className="choice"
        aria-label="How fast"
        value={pace.speed}
        options={CHOICES.map((value) => ({ value, label: `${value}×` }))}
        onChange={(value) => void setPace({ speed: value })}
      />
      <label className={rehearseStyles['pace-slow']}>
        <Switch
          size="small"
          aria-label="Slow down where hands are needed"
          checked={pace.slowForHands}
          onChange={(slowForHands) => void setPace({ slowForHands })}
        />
        Slow for hands
      </label>
      <span className="dim" role="status">
        {pace.paused ? 'paused' : `now ${Math.round(speed)}×`}
      </span>
    </div>
  );
}
