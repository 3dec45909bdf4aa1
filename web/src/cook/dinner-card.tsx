import { delaysOf, endsInFridge, inTen, isTheDay, type CatchUp, type DinnerNow } from '@hervir/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { mealWords } from '../shared/meal-words';
import { clockAt } from '../shared/words';
import { forecastWorker } from '../workers/forecast-worker';
import type { Answer } from '../workers/answer';
import type { CookActions } from './actions';
import { delayWords } from './delay-words';
import { driftWords, ON_TIME } from './drift-words';
import type { LiveCook } from './use-cook';
import styles from './cook.module.css';
import { rich, t, textOf } from '../language/t';

/** When dinner will be, how far off plan, why, and what could win it back. */
export function DinnerCard({ cook, actions }: { readonly cook: LiveCook; readonly actions: CookActions }): ReactNode {
  const { record, state, now } = cook;
  const late = state.dinner.driftMinutes >= ON_TIME && state.status === 'cooking';
  const day = isTheDay(record.guide);
  const ways = useQuery({
    // Reckoned again as the work goes on, not at every tick.
    queryKey: ['catch-up', record.id, state.position, Math.floor(now / 60_000)],
    queryFn: async (): Promise<Answer<CatchUp[]>> => forecastWorker('beside').catchUp(record.plan, state, now),
    // What can be won back, and how sure it is, is reckoned of the evening.
    enabled: late && !day,
    staleTime: Infinity,
    gcTime: 60_000,
    placeholderData: (before) => before,
  }).data;
  const best = late && !day && ways?.ok === true ? ways.value.slice(0, 1) : [];
  const meal = mealWords(endsInFridge(record.guide));
  const [worst] = late ? delaysOf(state, record.guide) : [];
  return (
    <section className="vessel side-card" aria-label={t('cook.dinner')}>
      <h2>
        {textOf(meal.title)}
        <span className={styles['time-now']}>
          {rich('cook.now-2', {
            time: clockAt(now, record.guide.eatAt),
            span: (words) => <span className="figure">{words}</span>,
          })}
        </span>
      </h2>
      <p className="dinner">
        <span className={styles['dinner-clock']}>{clockAt(state.dinner.at, record.guide.eatAt)}</span>
        <span className={late ? 'dinner-drift late' : 'dinner-drift'}>
          {late && <span aria-hidden>▲ </span>}
          {driftWords(state.dinner)}
        </span>
      </p>
      {!day && <HowSure cook={cook} />}
      {worst && <p className="dim">{delayWords(worst, state)}</p>}
      {best.map(({ id, minutes, text, does }) => (
        <div key={id} className={styles['win-back']}>
          <p className="dim">{textOf(text)}</p>
          {does !== null && (
            <button type="button" className="pot-button" onClick={() => actions.tell(does.kind, does.payload)}>
              {t('cook.win-min', { minutes: Math.round(minutes) })}
            </button>
          )}
        </div>
      ))}
    </section>
  );
}

/** A narrower spread than this is one time, ms. */
const ONE_TIME = 2 * 60_000;

/** Between which times dinner comes, as things stand: what is done no longer varies. */
function HowSure({ cook: { record, state, now } }: { readonly cook: LiveCook }): ReactNode {
  const odds = useQuery({
    queryKey: ['dinner-now', record.id, state.position, Math.floor(now / 60_000)],
    queryFn: async (): Promise<Answer<DinnerNow>> =>
      forecastWorker('beside').dinnerNow(record.plan, record.guide, state, now),
    enabled: state.status === 'cooking',
    staleTime: Infinity,
    gcTime: 60_000,
    placeholderData: (before) => before,
  }).data;
  if (state.status !== 'cooking' || odds?.ok !== true) return null;
  const { p10, p90, inTime, stillTough } = odds.value;
  const { eatAt } = record.guide;
  return (
    <p className="dim" aria-label={t('cook.how-sure-dinner-is')}>
      {p90 - p10 > ONE_TIME
        ? t('cook.eight-of-ten-such-evenings', { time: clockAt(p10, eatAt), latest: clockAt(p90, eatAt) })
        : ''}
      {eatAt !== null &&
        `${textOf(mealWords(endsInFridge(record.guide)).by)} ${clockAt(state.dinner.plannedAt, eatAt)}: ${textOf(inTen(inTime))}. `}
      {stillTough.chance >= 0.05 && stillTough.minutes > 0
        ? t('cook.still-tough-at-the-check', {
            odds: inTen(stillTough.chance),
            minutes: Math.round(stillTough.minutes),
          })
        : ''}
    </p>
  );
}
