import { TARGET_BAND, type Plan } from '@hervir/core';
import type { ReactNode } from 'react';
import styles from './melt-curve.module.css';
import { meltGeometry, type MeltWay } from './melt-geometry';
import { useWidth } from './use-width';

interface Props {
  readonly ways: readonly MeltWay[];
  readonly target: Plan['target'];
  readonly height: number;
  readonly minutes?: number;
  /** In words, for who cannot see it. */
  readonly label: string;
}

/** How the collagen goes from the lid on, by one way or several: a bar where the minutes end, a ring where it is open. */
export function MeltCurve({ ways, target, height, minutes, label }: Props): ReactNode {
  const [box, width] = useWidth();
  const g = width > 0 ? meltGeometry(ways, { width, height, target: TARGET_BAND[target], minutes }) : null;
  return (
    <div ref={box}>
      {g && (
        <svg className={styles['curve']} height={height} role="img" aria-label={label}>
          <rect
            x={0}
            y={g.target.top}
            width={width}
            height={g.target.bottom - g.target.top}
            fill="var(--herb)"
            fillOpacity={0.16}
          />
          {g.ways.map(({ key, melted, end, open }) => (
            <g key={key}>
              <path className={styles['melted']} d={melted} />
              <line className={styles['end']} x1={end.x} x2={end.x} y1={end.y - 12} y2={end.y + 12} />
              <circle className={styles['open']} cx={open.x} cy={open.y} r={4} />
            </g>
          ))}
          <line className={styles['base']} x1={0} x2={width} y1={g.base} y2={g.base} />
        </svg>
      )}
    </div>
  );
}
