import { endsInFridge, TARGET_BAND, type AsCooked, type Forecast, type SoFar } from '@hervir/core';
import type { ReactNode } from 'react';
import { mealWords } from '../shared/meal-words';
import { clockAt, GRADE_WORDS, WANTED_WORDS } from '../shared/words';
import { useUnits } from '../shared/use-units';
import { useWidth } from '../shared/use-width';
import { cookLine } from './cook-line-geometry';
import type { LiveCook } from './use-cook';
import { t } from '../language/t';

const HEIGHT = 104;
/** The mark moves so often, ms: the countdown is the clock, this is a map. */
const REDRAW = 5000;

interface Props {
  readonly cook: LiveCook;
  readonly forecast: Forecast;
  readonly meat: AsCooked | null;
  readonly so: SoFar | null;
}

/** The line of the running cook: what was, as it was; a mark for now; what is ahead, dotted. */
export function CookLine({ cook, forecast, meat, so }: Props): ReactNode {
  const [ref, width] = useWidth();
  const { print } = useUnits();
  const { record, state } = cook;
  const now = Math.floor(cook.now / REDRAW) * REDRAW;
  const { target } = record.plan;
  const g =
    width > 0
      ? cookLine(
          { forecast, guide: record.guide, state, meat, so },
          { width, height: HEIGHT, now, target: TARGET_BAND[target] },
        )
      : null;
  const words = t('cook.from-to-at-the-pot', {
    time: clockAt(state.startedAt ?? now, record.guide.eatAt),
    short: mealWords(endsInFridge(record.guide)).short,
    until: clockAt(state.dinner.at, record.guide.eatAt),
    meat: Boolean(meat),
    temperature: meat ? print('temperature', meat.liquidC) : '',
    coreTemperature: meat ? print('temperature', meat.coreC) : '',
    gradeWords: meat ? GRADE_WORDS[meat.grade] : '',
    wantedWords: WANTED_WORDS[target],
    targetBand: Math.round(TARGET_BAND[target][0] * 100),
  });
  const step = [15, 30, 60, 120].find((minutes) => g && ((g.to - g.from) / 60_000 / minutes) * 70 < width) ?? 120;
  const ticks = g
    ? Array.from(
        { length: Math.floor((g.to - g.from) / (step * 60_000)) + 1 },
        (_, i) => (Math.ceil(g.from / (step * 60_000)) + i) * step * 60_000,
      ).filter((at) => at <= g.to)
    : [];
  return (
    <figure className="vessel cook-line" aria-label={t('cook.the-line-of-this-cook')}>
      <figcaption className="visually-hidden">{words}</figcaption>
      <div ref={ref}>
        {g && (
          <svg width={width} height={HEIGHT} role="img" aria-label={words}>
            <rect
              x={g.target.from}
              y={g.target.top}
              width={Math.max(0, width - 8 - g.target.from)}
              height={g.target.bottom - g.target.top}
              fill="var(--herb)"
              fillOpacity={0.2}
            />
            {g.past.map(({ key, hot, fill, stroke }) => (
              <g key={key}>
                <path d={fill} fill={hot ? 'var(--ember)' : 'var(--steam)'} fillOpacity={0.18} />
                <path d={stroke} fill="none" stroke={hot ? 'var(--ember)' : 'var(--steam)'} strokeWidth={2.25} />
              </g>
            ))}
            <path d={g.ahead} fill="none" stroke="var(--steam)" strokeWidth={2} strokeDasharray="2 5" />
            <path d={g.tenderness} fill="none" stroke="var(--meat)" strokeWidth={2.25} />
            <path d={g.tendernessAhead} fill="none" stroke="var(--meat)" strokeWidth={2} strokeDasharray="2 5" />
            <line x1={8} x2={width - 8} y1={g.base} y2={g.base} stroke="var(--rim)" strokeWidth={1.5} />
            {ticks.map((at) => (
              <text key={at} className="figure" x={g.x(at)} y={g.base + 16} textAnchor="middle">
                {clockAt(at, record.guide.eatAt)}
              </text>
            ))}
            <line x1={g.x(now)} x2={g.x(now)} y1={2} y2={g.base} stroke="var(--text)" strokeWidth={2} />
            <text
              x={g.x(now) + (g.x(now) > width - 60 ? -6 : 6)}
              y={13}
              textAnchor={g.x(now) > width - 60 ? 'end' : 'start'}
              style={{ fill: 'var(--text)', fontWeight: 700 }}
            >
              {t('cook.now')}
            </text>
          </svg>
        )}
      </div>
    </figure>
  );
}
