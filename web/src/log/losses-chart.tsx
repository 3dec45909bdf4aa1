import type { LogCharts } from '@hervir/contract';
import { scaleBand, scaleLinear } from 'd3-scale';
import type { ReactNode } from 'react';
import { useWidth } from '../shared/use-width';
import { Chart } from './chart';
import { LABEL_WIDTH, MOST_ROWS, ROW } from './rows';
import { cutName } from './words';
import styles from './log.module.css';

type Loss = LogCharts['losses'][number];

/** A part of what was bought. */
interface LossPart {
  readonly what: 'trimmed' | 'lost' | 'plate';
  /** Of what was bought, where the part begins and ends. */
  readonly from: number;
  readonly to: number;
}

/**
 * What became of what was bought of a cut: trimmed off, lost in the pot, and on the plate.
 *
 * @returns parts that follow on from 0 to 1; nothing where the cooked meat was never weighed
 * @example partsOf({ trim: 0.1, cook: 0.5 }).at(-1) // { what: 'plate', from: 0.55, to: 1 }
 */
export function partsOf({ trim, cook }: Pick<Loss, 'trim' | 'cook'>): LossPart[] {
  if (cook === null) return [];
  const off = trim ?? 0;
  const lost = off + (1 - off) * cook;
  const parts: LossPart[] = [
    { what: 'trimmed', from: 0, to: off },
    { what: 'lost', from: off, to: lost },
    { what: 'plate', from: lost, to: 1 },
  ];
  return parts.filter(({ from, to }) => to > from);
}

const percent = (share: number): string => `${Math.round(share * 100)} %`;
const FILL = { trimmed: 'var(--brass)', lost: 'var(--steam)', plate: 'var(--herb)' } as const;
const SIGN = { trimmed: '▲', lost: '■', plate: '●' } as const;
/** Narrower, a part has no room for its figure, px. */
const WORTH_SAYING = 62;

/** What comes onto the plate of what was bought, cut by cut. */
export function Losses({ losses }: { readonly losses: LogCharts['losses'] }): ReactNode {
  const [ref, width] = useWidth();
  const rows = losses.filter(({ cook }) => cook !== null).slice(0, MOST_ROWS);
  const cooks = rows.reduce((sum, row) => sum + row.cooks, 0);
  const mean = rows.reduce((sum, row) => sum + (row.cook ?? 0) * row.cooks, 0) / Math.max(1, cooks);
  const answer =
    rows.length === 0
      ? 'Not known yet: weigh the meat when it is cooked.'
      : `Cooking takes ${percent(mean)} on the whole, bone and juice counted.`;
  const x = scaleLinear([0, 1], [LABEL_WIDTH, Math.max(LABEL_WIDTH, width - 10)]);
  const y = scaleBand(
    rows.map(({ cut }) => cut),
    [0, rows.length * ROW],
  ).padding(0.25);
  const inWords = rows.map(({ cut, trim, cook }) => {
    const trimmed = trim === null ? '' : `${percent(trim)} trimmed off, `;
    return `${cutName(cut)}: ${trimmed}${percent(cook ?? 0)} lost in the pot`;
  });
  return (
    <Chart question="How much do I lose on trimming and cooking?" answer={answer}>
      <div ref={ref}>
        {width > 0 && rows.length > 0 && (
          <svg width={width} height={rows.length * ROW} role="img" aria-label={`${inWords.join('; ')}.`}>
            {rows.map((row) => (
              <g key={row.cut}>
                <text x={LABEL_WIDTH - 8} y={(y(row.cut) ?? 0) + y.bandwidth() / 2 + 4} textAnchor="end">
                  {cutName(row.cut)}
                </text>
                {partsOf(row).map(({ what, from, to }) => (
                  <g key={what}>
                    <rect
                      x={x(from)}
                      y={y(row.cut)}
                      width={Math.max(0, x(to) - x(from) - 1)}
                      height={y.bandwidth()}
                      fill={FILL[what]}
                      rx={3}
                    />
                    {x(to) - x(from) > WORTH_SAYING && (
                      <text
                        x={x(from) + 6}
                        y={(y(row.cut) ?? 0) + y.bandwidth() / 2 + 4}
                        style={{ fill: 'var(--on-strong)' }}
                      >
                        {SIGN[what]} {percent(what === 'lost' ? (row.cook ?? 0) : to - from)}
                      </text>
                    )}
                  </g>
                ))}
              </g>
            ))}
          </svg>
        )}
      </div>
      <p className={styles['log-legend']}>
        <span style={{ color: FILL.trimmed }}>▲ trimmed off</span>
        <span style={{ color: FILL.lost }}>■ lost in the pot</span>
        <span style={{ color: FILL.plate }}>● on the plate</span>
      </p>
    </Chart>
  );
}
