import { dayOf, wallClockOf } from '../shared/words';
import type { LogCharts } from '@hervir/contract';
import { extent, median, scaleLinear, scaleLog } from 'd3';
import type { ReactNode } from 'react';
import { useWidth } from '../shared/use-width';
import { Chart, CHART_HEIGHT as HEIGHT } from './chart';
import styles from './log.module.css';
import { t } from '../language/t';

const LEFT = 40;
/** Where no point is drawn, the axis may begin anywhere. */
const NO_DAY = 0;
const SHAPES = ['●', '▲', '■', '◆'];
const TONES = ['var(--steam)', 'var(--ember)', 'var(--herb)', 'var(--brass)'];

/** Minutes to the pin over what was planned, cook by cook, for each pot. */
export function SlowPots({ points }: { readonly points: LogCharts['toPin'] }): ReactNode {
  const [ref, width] = useWidth();
  const cookers = [...new Set(points.map(({ cooker }) => cooker))].sort();
  const middles = cookers.map((cooker) => ({
    cooker,
    ratio:
      median(
        points.filter((point) => point.cooker === cooker),
        ({ ratio }) => ratio,
      ) ?? 1,
  }));
  const answer =
    middles.length === 0
      ? t('log.not-known-yet-no-cook-told')
      : middles
          .map(({ cooker, ratio }) => {
            const off = Math.round(Math.abs(ratio - 1) * 100);
            return off < 4
              ? t('log.the-pin-is-up-when', { cooker })
              : t('log.the-pin-is-up-than', { cooker, off, ratio: ratio > 1 });
          })
          .join(' ');
  const [from = NO_DAY, to = NO_DAY] = extent(points, ({ at }) => Date.parse(at));
  const x = scaleLinear([from, to], [LEFT, Math.max(LEFT, width - 10)]);
  const y = scaleLog([0.6, 1.7], [HEIGHT - 22, 10]).clamp(true);
  return (
    <Chart question={t('log.is-my-pot-slower-than')} answer={answer}>
      <div ref={ref}>
        {width > 0 && points.length > 0 && (
          <svg width={width} height={HEIGHT} role="img" aria-label={answer}>
            {[0.75, 1, 1.25, 1.5].map((ratio) => (
              <g key={ratio}>
                <line
                  x1={LEFT}
                  x2={width - 10}
                  y1={y(ratio)}
                  y2={y(ratio)}
                  stroke={ratio === 1 ? 'var(--rim)' : 'var(--hair)'}
                />
                <text x={LEFT - 6} y={y(ratio) + 4} textAnchor="end">
                  {ratio}×
                </text>
              </g>
            ))}
            {points.map(({ at, cooker, ratio }) => {
              const i = cookers.indexOf(cooker) % SHAPES.length;
              return (
                <text
                  key={at + cooker}
                  x={x(Date.parse(at))}
                  y={y(ratio) + 4}
                  textAnchor="middle"
                  style={{ fill: TONES[i] }}
                >
                  {SHAPES[i]}
                </text>
              );
            })}
            <text x={LEFT} y={HEIGHT - 4}>
              {dayOf(wallClockOf(new Date(from)), 'dated')}
            </text>
            <text x={width - 10} y={HEIGHT - 4} textAnchor="end">
              {dayOf(wallClockOf(new Date(to)), 'dated')}
            </text>
          </svg>
        )}
      </div>
      <p className={styles['log-legend']}>
        {cookers.map((cooker, i) => (
          <span key={cooker} style={{ color: TONES[i % TONES.length] }}>
            {SHAPES[i % SHAPES.length]} {cooker}
          </span>
        ))}
      </p>
    </Chart>
  );
}
