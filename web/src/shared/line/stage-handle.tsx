import type { ReactNode } from 'react';
import type { LineGeometry } from './geometry';
import { MINUTE_KEYS, useMinutes, withinMinutes } from './use-minutes';
import { t } from '../../language/t';

interface Props {
  readonly g: LineGeometry;
  readonly handle: LineGeometry['laterHandles'][number];
  readonly onDrop: (minutes: number) => void;
}

/** Nobody runs a later stage longer by hand, minutes. */
export const LONGEST_LATER = 120;

/** The end of a run or a simmer after the first: dragged or moved with the arrow keys, as the first run's is. */
export function StageHandle({ g, handle, onDrop }: Props): ReactNode {
  const perMinute = g.x(1) - g.x(0);
  const { dragged, handlers } = useMinutes({
    value: handle.minutes,
    clamp: withinMinutes(LONGEST_LATER),
    perPixel: 1 / perMinute,
    keys: MINUTE_KEYS,
    onDrop,
  });
  const shown = dragged ?? handle.minutes;
  const x = handle.x + (shown - handle.minutes) * perMinute;
  return (
    <g
      className="line-handle"
      role="slider"
      tabIndex={0}
      aria-label={t('shared.minutes-of', { name: handle.name.toLowerCase() })}
      aria-valuemin={0}
      aria-valuemax={LONGEST_LATER}
      aria-valuenow={shown}
      aria-valuetext={t('shared.minutes-2', { shown: Math.round(shown) })}
      {...handlers}
    >
      <rect x={x - 22} y={g.base - 64} width={44} height={30} fill="transparent" />
      <line x1={x} x2={x} y1={g.top - 4} y2={g.base} stroke="var(--ember)" strokeWidth={1.5} strokeDasharray="4 3" />
      <rect
        className="knob"
        x={x - 21}
        y={g.base - 62}
        width={42}
        height={26}
        rx={7}
        fill="var(--card)"
        stroke="var(--ember)"
      />
      <text x={x} y={g.base - 44} textAnchor="middle" style={{ fill: 'var(--ember)', fontWeight: 700 }}>
        {Math.round(shown)}
      </text>
    </g>
  );
}
