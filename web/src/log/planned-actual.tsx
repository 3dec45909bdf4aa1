import { endsInFridge, SECTION_WORDS, type CookState, type Guide, type SectionId } from '@hervir/core';
import { scaleLinear } from 'd3';
import type { ReactNode } from 'react';
import { mealWords } from '../shared/meal-words';
import { clockTicks } from '../shared/line/geometry';
import { useWidth } from '../shared/use-width';
import { timeAt } from '../shared/words';
import { clsx } from 'clsx';
import styles from './log.module.css';
import { t, textOf } from '../language/t';

const HEIGHT = 108;
const ROWS = { planned: 24, actual: 58 } as const;
const BAR = 24;
const LEFT = 66;
/** Room for a clock time, px. */
const TICK_WIDTH = 84;
const MINUTE = 60_000;
/** Room for half of the last clock time, px. */
const LAST_LABEL = 26;

interface Part {
  readonly section: SectionId;
  readonly from: number;
  readonly to: number;
}

/** Consecutive steps of one part as one bar. */
function joined(parts: readonly Part[]): Part[] {
  const merged: Part[] = [];
  for (const part of parts) {
    const last = merged.at(-1);
    if (last?.section === part.section) merged[merged.length - 1] = { ...last, to: Math.max(last.to, part.to) };
    else if (part.to > part.from) merged.push(part);
  }
  return merged;
}

/** Each step of the plan at its time, one after another. */
function plannedParts({ steps }: Guide, begins: number): Part[] {
  const parts: Part[] = [];
  for (const { runsFrom, section, minutes, waitMinutes } of steps) {
    if (runsFrom !== null) continue;
    const from = (parts.at(-1)?.to ?? begins) + waitMinutes * 60_000;
    parts.push({ section, from, to: from + minutes * 60_000 });
  }
  return parts;
}

const TONE: Readonly<Partial<Record<SectionId, string>>> = {
  'coming-up': 'var(--steam)',
  pressure: 'var(--steam)',
  'letting-down': 'var(--steam)',
  'later-run': 'var(--steam)',
  heat: 'var(--ember)',
  sear: 'var(--ember)',
  aromatics: 'var(--ember)',
  deglaze: 'var(--ember)',
};

/** Planned against actual on one line: what each part was to take, and what it took. */
export function PlannedActual({
  guide,
  state,
  eatAt,
}: {
  readonly guide: Guide;
  readonly state: CookState;
  readonly eatAt: string | null;
}): ReactNode {
  const [ref, width] = useWidth();
  const planned = joined(
    plannedParts(guide, eatAt === null ? (state.startedAt ?? 0) : Date.parse(eatAt) - guide.totalMinutes * 60_000),
  );
  const actual = joined(
    state.steps
      .filter(({ startedAt, doneAt, passedOver }) => startedAt !== null && doneAt !== null && !passedOver)
      .map(({ step, startedAt, doneAt }) => ({ section: step.section, from: startedAt ?? 0, to: doneAt ?? 0 })),
  );
  const all = [...planned, ...actual];
  const from = Math.min(...all.map((part) => part.from));
  const to = Math.max(...all.map((part) => part.to));
  const x = scaleLinear([from, to], [LEFT, Math.max(LEFT, width - LAST_LABEL)]);
  const firstMinute = Math.floor(from / MINUTE) * MINUTE;
  const ticks = clockTicks(
    `1970-01-01T${timeAt(firstMinute, eatAt)}:00Z`,
    (to - firstMinute) / MINUTE,
    Math.max(2, Math.floor(width / TICK_WIDTH)),
  );
  const words = state.took
    .map(({ section, planned: p, actual: a }) =>
      t('log.planned-took-minutes', { sectionWords: SECTION_WORDS[section], p: Math.round(p), a: Math.round(a) }),
    )
    .join(' ');
  const row = (name: keyof typeof ROWS, parts: readonly Part[]): ReactNode => (
    <g>
      <text x={LEFT - 8} y={ROWS[name] + BAR / 2 + 5} textAnchor="end">
        {name}
      </text>
      {parts.map((part, i) => {
        const wide = x(part.to) - x(part.from);
        return (
          <g key={`${part.section}-${i}`}>
            <rect
              x={x(part.from)}
              y={ROWS[name]}
              width={Math.max(1, wide - 1)}
              height={BAR}
              rx={3}
              fill={TONE[part.section] ?? 'var(--rim)'}
              fillOpacity={name === 'planned' ? 0.45 : 0.9}
            />
            {wide > textOf(SECTION_WORDS[part.section]).length * 7.6 && (
              <text
                x={x(part.from) + 6}
                y={ROWS[name] + BAR / 2 + 5}
                style={{ fill: name === 'planned' ? 'var(--text)' : 'var(--on-strong)' }}
              >
                {textOf(SECTION_WORDS[part.section])}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
  return (
    <figure className={clsx('vessel', 'cook-line', styles['log-line'])} aria-label={t('log.planned-against-actual')}>
      <figcaption className="visually-hidden">{words}</figcaption>
      <div ref={ref}>
        {width > 0 && (
          <svg width={width} height={HEIGHT} role="img" aria-label={words}>
            {row('planned', planned)}
            {row('actual', actual)}
            {ticks.map(({ minute, label }) => (
              <text
                key={minute}
                x={x(firstMinute + minute * MINUTE)}
                y={HEIGHT - 6}
                textAnchor="middle"
                className="figure"
              >
                {label}
              </text>
            ))}
            {eatAt !== null && (
              <g>
                <line
                  x1={x(Date.parse(eatAt))}
                  x2={x(Date.parse(eatAt))}
                  y1={6}
                  y2={HEIGHT - 22}
                  stroke="var(--text)"
                  strokeWidth={2}
                />
                <text
                  x={x(Date.parse(eatAt)) - 5}
                  y={16}
                  textAnchor="end"
                  style={{ fill: 'var(--text)', fontWeight: 700 }}
                >
                  {t('log.as-planned', { short: mealWords(endsInFridge(guide)).short })}
                </text>
              </g>
            )}
          </svg>
        )}
      </div>
    </figure>
  );
}
