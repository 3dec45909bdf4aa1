import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { endsInFridge } from '@hervir/core';
import { mealWords } from '../shared/meal-words';
import { clockAt } from '../shared/words';
import { driftWords } from './drift-words';
import { useRunningCooks } from './use-cook';
import { t, textOf } from '../language/t';

/** What is cooking now, on Tonight: its dinner, and the way to its pot. */
export function OnTheFire(): ReactNode {
  const cooks = useRunningCooks();
  if (cooks.length === 0) return null;
  return (
    <section aria-label={t('cook.on-the-fire')} style={{ marginTop: 24 }}>
      <h2 style={{ marginBottom: 10 }}>{t('cook.on-the-fire')}</h2>
      <ul className="plan-grid">
        {cooks.map(({ record, state }) => (
          <li key={record.id} className="vessel plan-item">
            <Link to={`/cook/${record.id}`}>
              <strong>{record.name}</strong>
              <span className="begin-at" style={{ color: 'var(--ember)' }}>
                {textOf(
                  state.status === 'served'
                    ? mealWords(endsInFridge(record.guide)).over
                    : `${textOf(mealWords(endsInFridge(record.guide)).short)} ${clockAt(state.dinner.at, record.guide.eatAt)}`,
                )}{' '}
                <small>{driftWords(state.dinner)}</small>
              </span>
              <span className="plan-facts">
                <span>{textOf(state.now?.step.title ?? t('cook.served-close-it-with-a'))}</span>
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
