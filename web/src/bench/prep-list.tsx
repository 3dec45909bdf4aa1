import { lowerFirst, printDuration } from '@hervir/language';
import { bowlsOf, prepSteps } from '@hervir/core';
import type { ReactNode } from 'react';
import { useUnits } from '../shared/use-units';
import { Instead } from './instead';
import listsStyles from './lists.module.css';
import type { StationProps } from './station';
import { t, textOf } from '../language/t';

/** The board in its order, the bowls by when they go in, and what can stand in. */
export function PrepList({ plan, forecast, edit }: Omit<StationProps, 'faultAt'>): ReactNode {
  const { print } = useUnits();
  const placed = forecast ? { ...plan, ...forecast.placed } : plan;
  const steps = prepSteps(placed);
  const bowls = forecast ? bowlsOf(forecast) : [];
  return (
    <section aria-label={t('bench.prep-list')} className={listsStyles['prep']}>
      <h3>{t('bench.prep-in-the-order-of')}</h3>
      <ol>
        {steps.map(({ id, text, minutes, meat: raw }) => (
          <li key={id}>
            {textOf(text)} <span className="figure dim">{printDuration(Math.max(1, minutes))}</span>
            {raw && id === steps.find((step) => step.meat && step.when === 'board')?.id && (
              <small className="dim">{t('bench.raw-meat-from-here-board')}</small>
            )}
          </li>
        ))}
      </ol>
      {bowls.length > 0 && (
        <>
          <h3>{t('bench.bowls-by-when-they-go')}</h3>
          <ul>
            {bowls.map(({ moment, items }) => (
              <li key={textOf(moment)}>
                <strong>{textOf(moment)}:</strong>{' '}
                {items.map(({ what, grams }) => `${lowerFirst(textOf(what))} ${print('mass', grams)}`).join(', ')}
              </li>
            ))}
          </ul>
        </>
      )}
      <Instead plan={plan} edit={edit} />
    </section>
  );
}
