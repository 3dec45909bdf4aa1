import type { LogCharts } from '@hervir/contract';
import { useQuery } from '@tanstack/react-query';
import { extent, median } from 'd3-array';
import { scaleBand, scaleLinear, scaleLog, scaleTime } from 'd3-scale';
import dayjs from 'dayjs';
import type { ReactNode } from 'react';
import { request } from '../api/client';
import { keys } from '../api/queries';
import { Trouble } from '../shared/trouble';
import { useWidth } from '../shared/use-width';
import { Chart } from './chart';
import { Reliability } from './reliability';
import { cutName } from './words';

const HEIGHT = 190;
const LEFT = 40;
const ROW = 26;
/** Where no point is drawn, the axis may begin anywhere. */
const NO_DAY = new Date(0);

/** What all cooks tell together: each chart answers one question, in words first. */
export function Charts(): ReactNode {
  const charts = useQuery({
    queryKey: [...keys.log, 'charts'],
    queryFn: () => request<LogCharts>('GET', '/log/charts'),
  });
  if (charts.error)
    return <Trouble what="The charts cannot be drawn." error={charts.error} again={() => void charts.refetch()} />;
  if (!charts.data) return <p className="dim">Opening…</p>;
  const { toPin, cuts, late, losses, promises } = charts.data;
  return (
    <div className="log-charts">
      <SlowPots points={toPin} />
      <ToughCuts cuts={cuts} />
      <Late bins={late} />
      <Losses losses={losses} />
      <Reliability promises={promises} />
    </div>
  );
}

const SHAPES = ['●', '▲', '■', '◆'];
const TONES = ['var(--steam)', 'var(--ember)', 'var(--herb)', 'var(--brass)'];

function SlowPots({ points }: { readonly points: LogCharts['toPin'] }): ReactNode {
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
      ? 'Not known yet: no cook told when the pin rose.'
      : middles
          .map(({ cooker, ratio }) => {
            const off = Math.round(Math.abs(ratio - 1) * 100);
            return off < 4
              ? `${cooker}: the pin is up when planned.`
              : `${cooker}: the pin is up ${off} % ${ratio > 1 ? 'later' : 'sooner'} than planned, in the middle of its cooks.`;
          })
          .join(' ');
  const [from = NO_DAY, to = NO_DAY] = extent(points, ({ at }) => new Date(at));
  const x = scaleTime([from, to], [LEFT, Math.max(LEFT, width - 10)]);
  const y = scaleLog([0.6, 1.7], [HEIGHT - 22, 10]).clamp(true);
  return (
    <Chart question="Is my pot slower than reckoned?" answer={answer}>
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
                  x={x(new Date(at))}
                  y={y(ratio) + 4}
                  textAnchor="middle"
                  style={{ fill: TONES[i] }}
                >
                  {SHAPES[i]}
                </text>
              );
            })}
            <text x={LEFT} y={HEIGHT - 4}>
              {dayjs(from).format('D MMM YYYY')}
            </text>
            <text x={width - 10} y={HEIGHT - 4} textAnchor="end">
              {dayjs(to).format('D MMM YYYY')}
            </text>
          </svg>
        )}
      </div>
      <p className="log-legend">
        {cookers.map((cooker, i) => (
          <span key={cooker} style={{ color: TONES[i % TONES.length] }}>
            {SHAPES[i % SHAPES.length]} {cooker}
          </span>
        ))}
      </p>
    </Chart>
  );
}

/** At most so many rows; the rest is rare. */
const MOST_ROWS = 8;

function ToughCuts({ cuts }: { readonly cuts: LogCharts['cuts'] }): ReactNode {
  const [ref, width] = useWidth();
  const rows = cuts.slice(0, MOST_ROWS);
  const worst = [...cuts].filter(({ short }) => short > 0).sort((a, b) => b.short - a.short)[0];
  const answer =
    worst === undefined
      ? cuts.length === 0
        ? 'Not known yet: no cook was tried with a fork.'
        : 'None so far.'
      : `${cutName(worst.cut)}: ${worst.short} of ${worst.short + worst.asWanted + worst.past} came out short of what was wanted.`;
  const label = 130;
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
      <p className="log-legend">
        <span style={{ color: 'var(--brass)' }}>▲ short of it</span>
        <span style={{ color: 'var(--herb)' }}>● as wanted</span>
        <span style={{ color: 'var(--ember)' }}>■ past it</span>
      </p>
    </Chart>
  );
}

function Late({ bins }: { readonly bins: LogCharts['late'] }): ReactNode {
  const [ref, width] = useWidth();
  const total = bins.reduce((sum, { cooks }) => sum + cooks, 0);
  const late = bins.filter(({ from }) => from >= 15).reduce((sum, { cooks }) => sum + cooks, 0);
  const answer =
    total === 0
      ? 'Not known yet: no cook has been timed.'
      : late === 0
        ? `All ${total} within a quarter of an hour.`
        : `${late} of ${total} were a quarter of an hour late and more.`;
  const first = Math.min(0, ...bins.map(({ from }) => from));
  const last = Math.max(0, ...bins.map(({ from }) => from));
  const every = Array.from({ length: (last - first) / 15 + 1 }, (_, i) => first + i * 15);
  const x = scaleBand(every.map(String), [10, Math.max(10, width - 10)]).padding(0.15);
  const y = scaleLinear([0, Math.max(1, ...bins.map(({ cooks }) => cooks))], [HEIGHT - 40, 14]);
  return (
    <Chart question="How late am I?" answer={answer}>
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
              minutes after the planned time, by quarters of an hour
            </text>
          </svg>
        )}
      </div>
    </Chart>
  );
}

function Losses({ losses }: { readonly losses: LogCharts['losses'] }): ReactNode {
  const percent = (share: number | null): string => (share === null ? '–' : `${Math.round(share * 100)} %`);
  const known = losses.filter(({ cook }) => cook !== null);
  const mean =
    known.reduce((sum, { cook, cooks }) => sum + (cook ?? 0) * cooks, 0) /
    Math.max(
      1,
      known.reduce((sum, { cooks }) => sum + cooks, 0),
    );
  return (
    <Chart
      question="How much do I lose on trimming and cooking?"
      answer={
        known.length === 0
          ? 'Not known yet: weigh the meat when it is cooked.'
          : `Cooking takes ${percent(mean)} on the whole, bone and juice counted.`
      }
    >
      {losses.length > 0 && (
        <table className="plain-table">
          <thead>
            <tr>
              <th scope="col">Cut</th>
              <th scope="col">Trimmed off</th>
              <th scope="col">Lost in the pot</th>
              <th scope="col">Cooks</th>
            </tr>
          </thead>
          <tbody>
            {losses.slice(0, MOST_ROWS).map(({ cut, trim, cook, cooks }) => (
              <tr key={cut}>
                <th scope="row">{cutName(cut)}</th>
                <td className="figure">{percent(trim)}</td>
                <td className="figure">{percent(cook)}</td>
                <td className="figure">{cooks}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Chart>
  );
}
