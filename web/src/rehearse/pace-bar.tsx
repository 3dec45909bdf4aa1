import { SPEEDS, type Pace } from '@hervir/contract';
import { Segmented, Switch } from 'antd';
import type { ReactNode } from 'react';
import { setPace } from '../state/rehearsal-store';
import rehearseStyles from './rehearse.module.css';
import cookerPanelStyles from './cooker-panel.module.css';
import { rich, t } from '../language/t';

const CHOICES = [SPEEDS.min, 10, 60, SPEEDS.max];

/** How time goes by: standing still, pressed together, and slowed where hands are needed. */
export function PaceBar({ pace, speed }: { readonly pace: Pace; readonly speed: number }): ReactNode {
  return (
    <div className={rehearseStyles['pace-bar']} role="group" aria-label={t('rehearse.time')}>
      <button
        type="button"
        className={cookerPanelStyles['panel-key']}
        onClick={() => void setPace({ paused: !pace.paused })}
      >
        {pace.paused ? t('rehearse.go-on') : t('rehearse.pause')}
      </button>
      <Segmented
        className="choice"
        aria-label={t('rehearse.how-fast')}
        value={pace.speed}
        options={CHOICES.map((value) => ({ value, label: `${value}×` }))}
        onChange={(value) => void setPace({ speed: value })}
      />
      <label className={rehearseStyles['pace-slow']}>
        {rich('rehearse.slow-for-hands', {
          switch: (
            <Switch
              size="small"
              aria-label={t('rehearse.slow-down-where-hands-are')}
              checked={pace.slowForHands}
              onChange={(slowForHands) => void setPace({ slowForHands })}
            />
          ),
        })}
      </label>
      <span className="dim" role="status">
        {pace.paused ? t('rehearse.paused') : t('rehearse.now', { speed: Math.round(speed) })}
      </span>
    </div>
  );
}
