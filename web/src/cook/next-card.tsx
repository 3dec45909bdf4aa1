import type { ReactNode } from 'react';
import { clockAt } from '../shared/words';
import type { LiveCook } from './use-cook';
import { t, textOf } from '../language/t';

/** What comes after this, with the time it will be. */
export function NextCard({ cook }: { readonly cook: LiveCook }): ReactNode {
  const { state, record } = cook;
  const ahead = state.steps
    .slice(state.position + 1)
    .filter(({ minutes, step }) => minutes > 0 || step.earlyFromMinute === null)
    .slice(0, 3);
  return (
    <section className="vessel side-card" aria-label={t('cook.next')}>
      <h2>{t('cook.next')}</h2>
      {ahead.length === 0 ? (
        <p className="dim">{t('cook.nothing-more-then-it-is')}</p>
      ) : (
        <ol className="ahead">
          {ahead.map(({ step, startsAt, minutes }) => (
            <li key={step.id}>
              <span className="figure">{clockAt(startsAt, record.guide.eatAt)}</span>
              <span>
                {textOf(step.title)}
                {step.counts && minutes >= 1 && <small>{t('cook.min', { minutes: Math.round(minutes) })}</small>}
              </span>
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}
