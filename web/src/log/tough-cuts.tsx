import type { LogCharts } from '@hervir/contract';
import { scaleBand, scaleLinear } from 'd3-scale';
import type { ReactNode } from 'react';
import { useWidth } from '../shared/use-width';
import { Chart } from './chart';
import { LABEL_WIDTH, MOST_ROWS, ROW } from './rows';
import { cutName } from './words';
import styles from './log.module.css';

/** How often each cut came out short of what was wanted, as wanted, or past it. */
export function ToughCuts({ cuts }: { readonly cuts: LogCharts['cuts'] }): ReactNode {
  const [ref, width] = useWidth();
  const rows = cuts.slice(0, MOST_ROWS);
  const worst = [...cuts].filter(({ short }) => short > 0).sort((a, b) => b.short - a.short)[0];
  const answer =
    worst === undefined
      ? cuts.length === 0
        ? 'Not known yet: no cook was tried with a fork.'
        : 'None so far.'
      : `${cutName(worst.cut)}: ${worst.short} of ${worst.short + worst.asWanted + worst.past} came out short of what was wanted.`;
  const label = LABEL_WIDTH;
  const most = Math.max(1, ...rows.map(({ short, asWanted, past }) => short + asWanted + past));
  const x = scaleLinear([0, most], [label, Math.max(label, width - 10)]);
  const y = scaleBand(
    rows.map(({ cut }) => cut),
    [0, rows.length * ROW],
  ).padding(0.25);
  return (
    <Chart question="Which cuts come out tough?" answer={answer}>
      <div ref={ref}>
        {width > 0 && rows.length > 0 && (
          <svg width={width} height={rows.length * ROW} role="img" aria-label={answer}>
            {rows.map(({ cut, short, asWanted, past }) => {
              const top = y(cut) ?? 0;
              const parts = [
                { n: short, fill: 'var(--brass)', sign: '▲' },
                { n: asWanted, fill: 'var(--herb)', sign: '●' },
                { n: past, fill: 'var(--ember)', sign: '■' },
              ];
              let at = 0;
              return (
                <g key={cut}>
                  <text x={label - 8} y={top + y.bandwidth() / 2 + 4} textAnchor="end">
                    {cutName(cut)}
                  </text>
                  {parts.map(({ n, fill, sign }) => {
                    const from = x(at);
                    at += n;
                    return n === 0 ? null : (
                      <g key={sign}>
                        <rect
                          x={from}
                          y={top}
                          width={Math.max(0, x(at) - from - 1)}
                          height={y.bandwidth()}
                          fill={fill}
                          rx={3}
                        />
                        <text x={from + 6} y={top + y.bandwidth() / 2 + 4} style={{ fill: 'var(--on-strong)' }}>
                          {sign} {n}
                        </text>
                      </g>
                    );
                  })}
                </g>
              );
            })}
          </svg>
        )}
      </div>
      <p className={styles['log-legend']}>
        <span style={{ color: 'var(--brass)' }}>▲ short of it</span>
        <span style={{ color: 'var(--herb)' }}>● as wanted</span>
        <span style={{ color: 'var(--ember)' }}>■ past it</span>
      </p>
    </Chart>
  );
}
