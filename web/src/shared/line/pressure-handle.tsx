import type { Forecast } from '@hervir/core';
import type { ReactNode } from 'react';
import { clockTime, GRADE_WORDS } from '../words';
import { LANES } from './frame';
import type { LineGeometry } from './geometry';
import type { PressureDrag } from './use-pressure-drag';
import { t } from '../../language/t';

interface Props {
  readonly g: LineGeometry;
  readonly forecast: Forecast;
  readonly longest: number;
  readonly handlers: PressureDrag['handlers'];
}

/** The end of the run under pressure, through every lane that it ends in. */
export function PressureHandle({ g, forecast, longest, handlers }: Props): ReactNode {
  const { pressureMinutes, tenderness, clock } = forecast;
  const begin = clock.startAt === null ? '' : t('shared.begin', { time: clockTime(clock.startAt) });
  return (
    <g
      className="line-handle"
      role="slider"
      tabIndex={0}
      aria-label={t('shared.minutes-under-pressure')}
      aria-valuemin={0}
      aria-valuemax={longest}
      aria-valuenow={pressureMinutes}
      aria-valuetext={t('shared.minutes', { pressureMinutes, gradeWords: GRADE_WORDS[tenderness.grade], begin })}
      {...handlers}
    >
      <rect x={g.handle.x - 44} y={g.top - 10} width={88} height={g.base - g.top + 10} fill="transparent" />
      <line
        x1={g.handle.x}
        x2={g.handle.x}
        y1={LANES.indexOf('pot') * g.laneHeight + 4}
        y2={g.base}
        stroke="var(--ember)"
        strokeWidth={2}
      />
      <rect className="knob" x={g.handle.x - 40} y={g.base - 30} width={80} height={28} rx={7} fill="var(--ember)" />
      <text
        x={g.handle.x}
        y={g.base - 11}
        textAnchor="middle"
        style={{ fill: 'var(--on-strong)', fontWeight: 700, fontSize: '0.875rem' }}
      >
        {t('shared.min-3', { pressureMinutes })}
      </text>
    </g>
  );
}
