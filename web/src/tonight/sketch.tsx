import type { Forecast, Work } from '@hervir/core';
import type { ReactNode } from 'react';
import { lineCurves } from '../shared/line/curves';
import { useWidth } from '../shared/use-width';
import { t } from '../language/t';

const HEIGHT = 250;
/** Only the curve is shown here: the lanes above it stay out of the frame. */
const CUT_TOP = 118;

/** The evening in one glance: the same line as on the bench, without its lanes. */
export function Sketch({ forecast }: { readonly forecast: Forecast }): ReactNode {
  const [box, width] = useWidth();
  const g =
    width > 0
      ? lineCurves(forecast, {
          width: width + 60,
          height: HEIGHT,
          minutes: forecast.clock.totalMinutes,
        })
      : null;
  const start = (kind: Work['kind']): number | undefined =>
    forecast.clock.tasks.find(({ work }) => work.kind === kind)?.startMinute;
  const names: readonly (readonly [string, number | undefined])[] = [
    [t('tonight.sear'), start('sear')],
    [t('tonight.lid-on'), start('come-up')],
    [t('tonight.let-down'), start('let-down')],
  ];
  return (
    <div ref={box} aria-hidden>
      {g && (
        <svg viewBox={`56 ${CUT_TOP} ${width} ${HEIGHT - CUT_TOP}`} width="100%" style={{ display: 'block' }}>
          {g.stretches.map((stretch) => (
            <g key={stretch.key}>
              <path d={stretch.fill} fill={stretch.hot ? 'var(--ember)' : 'var(--steam)'} fillOpacity={0.15} />
              <path
                d={stretch.stroke}
                fill="none"
                stroke={stretch.hot ? 'var(--ember)' : 'var(--steam)'}
                strokeWidth={2}
              />
            </g>
          ))}
          <path d={g.tendernessBand} fill="var(--meat)" fillOpacity={0.2} />
          <path d={g.tenderness} fill="none" stroke="var(--meat)" strokeWidth={2} />
          <line x1={56} x2={56 + width} y1={g.base} y2={g.base} stroke="var(--rim)" />
          {names.map(([name, minute]) =>
            minute === undefined ? null : (
              <text
                key={name}
                x={g.x(minute)}
                y={g.base + 19}
                style={{ fill: 'var(--dim)', fontSize: '0.875rem', fontFamily: 'var(--body)' }}
              >
                {name}
              </text>
            ),
          )}
          <text
            x={56 + width - 2}
            y={g.base + 19}
            textAnchor="end"
            style={{ fill: 'var(--dim)', fontSize: '0.875rem', fontFamily: 'var(--body)' }}
          >
            {t('tonight.eat-2')}
          </text>
        </svg>
      )}
    </div>
  );
}
