import { LIMITS, type Rescaled } from '@hervir/core';
import { useQuery } from '@tanstack/react-query';
import { Button, InputNumber } from 'antd';
import { useState, type ReactNode } from 'react';
import { Field } from '../../shared/field';
import { forecastWorker } from '../../workers/forecast-worker';
import type { Answer } from '../../workers/answer';
import type { StationProps } from '../station';
import { t, textOf } from '../../language/t';

/** The whole plan for another number of people, with what that changes, before it is taken. */
export function Servings({ plan, edit }: Pick<StationProps, 'plan' | 'edit'>): ReactNode {
  const [wanted, setWanted] = useState(plan.servings);
  const scaled = useQuery({
    queryKey: ['rescale', plan, wanted],
    queryFn: async (): Promise<Answer<Omit<Rescaled, 'forecast'>>> => forecastWorker('beside').rescale(plan, wanted),
    enabled: wanted !== plan.servings,
    staleTime: Infinity,
    gcTime: 0,
  }).data;
  return (
    <>
      <Field label={t('bench.for-2')}>
        {(id) => (
          <InputNumber
            id={id}
            style={{ width: '100%' }}
            min={LIMITS.servings.min}
            max={LIMITS.servings.max}
            precision={0}
            suffix={t('bench.people')}
            value={wanted}
            onChange={(next) => next !== null && setWanted(next)}
          />
        )}
      </Field>
      {wanted !== plan.servings && scaled && (
        <div className="trouble-note" role="status">
          {scaled.ok ? (
            <>
              <ul className="reasons">
                {scaled.value.changes.map((line) => (
                  <li key={textOf(line)}>{textOf(line)}</li>
                ))}
              </ul>
              <Button onClick={() => edit(() => scaled.value.plan)}>{t('bench.make-it-for', { wanted })}</Button>
            </>
          ) : (
            <p className="field-fault">{t('shared.allowed', { problem: scaled.problem, allowed: scaled.allowed })}</p>
          )}
        </div>
      )}
    </>
  );
}
