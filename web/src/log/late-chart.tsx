import type { LogCharts } from '@hervir/contract';
import { scaleBand, scaleLinear } from 'd3';
import type { ReactNode } from 'react';
import { useWidth } from '../shared/use-width';
import { Chart, CHART_HEIGHT as HEIGHT } from './chart';
import { t } from '../language/t';

/** By how many minutes dinners were late, by quarters of an hour. */
export function Late({ bins }: { readonly bins: LogCharts['late'] }): ReactNode {
  const [ref, width] = useWidth();
  const total = bins.reduce((sum, { cooks }) => sum + cooks, 0);
  const late = bins.filter(({ from }) => from >= 15).reduce((sum, { cooks }) => sum + cooks, 0);
  const answer =
    total === 0
      ? t('log.not-known-yet-no-cook')
      : late === 0
        ? t('log.all-within-a-quarter-of', { total })
        : t('log.of-were-a-quarter-of', { late, total });
  const first = Math.min(0, ...bins.map(({ from }) => from));
  const last = Math.max(0, ...bins.map(({ from }) => from));
  const every = Array.from({ length: (last - first) / 15 + 1 }, (_, i) => first + i * 15);
  const x = scaleBand(every.map(String), [10, Math.max(10, width - 10)]).padding(0.15);
  const y = scaleLinear([0, Math.max(1, ...bins.map(({ cooks }) => cooks))], [HEIGHT - 40, 14]);
  return (
    <Chart question={t('log.how-late-am-i')} answer={answer}>
      <div ref={ref}>
        {width > 0 && total > 0 && (
          <svg width={width} height={HEIGHT} role="img" aria-label={answer}>
            {every.map((from) => {
              const cooks = bins.find((bin) => bin.from === from)?.cooks ?? 0;
              const left = x(String(from)) ?? 0;
              return (
                <g key={from}>
                  <rect
                    x={left}
                    y={y(cooks)}
                    width={x.bandwidth()}
                    height={HEIGHT - 40 - y(cooks)}
                    fill={from >= 15 ? 'var(--brass)' : 'var(--steam)'}
                    rx={3}
                  />
                  {cooks > 0 && (
                    <text x={left + x.bandwidth() / 2} y={y(cooks) - 4} textAnchor="middle" className="figure">
                      {cooks}
                    </text>
                  )}
                  <text x={left + x.bandwidth() / 2} y={HEIGHT - 22} textAnchor="middle">
                    {from < 0 ? `${from}` : `+${from}`}
                  </text>
                </g>
              );
            })}
            <text x={width / 2} y={HEIGHT - 4} textAnchor="middle">
              {t('log.minutes-after-the-planned-time')}
            </text>
          </svg>
        )}
      </div>
    </Chart>
  );
}
