import { type Message, printDuration, say } from '@hervir/language';
import {
  GRADES,
  LIMITS,
  METHODS,
  USUAL_OVEN_C,
  type Forecast,
  type Grade,
  type Method,
  type AdditionalMinutes,
  type Plan,
} from '@hervir/core';
import { useQuery } from '@tanstack/react-query';
import { Button, InputNumber, Select } from 'antd';
import { useState, type ReactNode } from 'react';
import { QuantityInput } from '../shared/quantity-input';
import { useUnits } from '../shared/use-units';
import { GRADE_WORDS } from '../shared/words';
import { forecastWorker } from '../workers/forecast-worker';
import type { Answer } from '../workers/answer';
import type { Alternatives } from '../workers/forecast-more';
import type { Edit } from './station';
import styles from './what-if.module.css';
import { rich, t, textOf } from '../language/t';

export const METHOD_NAMES: Readonly<Record<Method, Message>> = {
  oven: say('bench.oven'),
  simmer: say('bench.simmer'),
  'slow-cooker': say('bench.slow-cooker-low'),
  'slow-cooker-high': say('bench.slow-cooker-high'),
};

interface Props {
  readonly plan: Plan;
  readonly forecast: Forecast;
  readonly alternatives: Alternatives | null;
  readonly edit: Edit;
}

/** The same dish otherwise: without pressure, from an old recipe, or not tender yet. */
export function WhatIf({ plan, forecast, alternatives, edit }: Props): ReactNode {
  const { print } = useUnits();
  return (
    <div className={styles['what-if']}>
      <section aria-label={t('bench.without-pressure')}>
        <h3>{t('bench.without-pressure')}</h3>
        <dl className="pairs">
          {(alternatives?.without ?? []).map(({ method, minutes }) => (
            <div key={method}>
              <dt>
                {textOf(METHOD_NAMES[method])}
                {method === 'oven' && `, ${print('temperature', USUAL_OVEN_C)}`}
              </dt>
              <dd>{minutes === null ? t('bench.more-than-a-day') : printDuration(minutes)}</dd>
            </div>
          ))}
        </dl>
        <p className="field-note">{t('bench.at-the-least-recipes-often')}</p>
        {plan.meat.startsFrom === 'frozen' && (
          <p className="field-note" style={{ color: 'var(--brass)' }}>
            {t('bench.never-start-frozen-meat-in')}
          </p>
        )}
      </section>
      <OldRecipe plan={plan} edit={edit} />
      <StillTough plan={plan} forecast={forecast} />
    </div>
  );
}

function OldRecipe({ plan, edit }: Pick<Props, 'plan' | 'edit'>): ReactNode {
  const [method, setMethod] = useState<Method>('oven');
  const [minutes, setMinutes] = useState<number | null>(180);
  const [ovenC, setOvenC] = useState<number>(USUAL_OVEN_C);
  const like = useQuery({
    queryKey: ['like', plan, method, minutes, ovenC],
    queryFn: async (): Promise<Answer<number>> =>
      forecastWorker('beside').minutesLike(plan, method, minutes ?? 0, ovenC),
    enabled: minutes !== null && minutes > 0,
    staleTime: Infinity,
    gcTime: 0,
  }).data;
  const known = like?.ok === true ? like.value : null;
  return (
    <section aria-label={t('bench.from-an-old-recipe')}>
      <h3>{t('bench.from-an-old-recipe')}</h3>
      <div style={{ display: 'flex', flexWrap: 'wrap', gap: 8, alignItems: 'center' }}>
        <Select
          aria-label={t('bench.method-of-the-recipe')}
          value={method}
          style={{ width: '8.75rem' }}
          options={METHODS.map((value) => ({ value, label: textOf(METHOD_NAMES[value]) }))}
          onChange={setMethod}
        />
        {method === 'oven' && (
          <QuantityInput
            label={t('bench.oven')}
            kind="temperature"
            value={ovenC}
            range={LIMITS.ovenC}
            onChange={(value) => value !== undefined && setOvenC(value)}
          />
        )}
        <InputNumber
          aria-label={t('bench.minutes-of-the-recipe')}
          min={1}
          max={1440}
          value={minutes}
          suffix={t('bench.min-2')}
          style={{ width: '7.5rem' }}
          onChange={setMinutes}
        />
        {known !== null && (
          <>
            <span>
              {rich('bench.is-min-under-pressure', {
                found: known,
                strong: (words) => <strong className="figure">{words}</strong>,
              })}
            </span>
            <Button size="small" onClick={() => edit((before) => ({ ...before, pressureMinutes: known }))}>
              {t('bench.take-min', { found: known })}
            </Button>
          </>
        )}
      </div>
    </section>
  );
}

const BEFORE_TARGET: readonly Grade[] = GRADES.filter((grade) => grade !== 'threads');

function StillTough({ plan, forecast }: Pick<Props, 'plan' | 'forecast'>): ReactNode {
  const [found, setFound] = useState<Grade | null>(null);
  const [done, setDone] = useState<number | null>(null);
  const minutes = done ?? forecast.pressureMinutes;
  const more = useQuery({
    queryKey: ['additional-minutes', plan, minutes, found],
    queryFn: async (): Promise<Answer<AdditionalMinutes | null>> =>
      forecastWorker('beside').additionalMinutes(plan, minutes, found ?? 'firm'),
    enabled: found !== null,
    staleTime: Infinity,
    gcTime: 0,
  }).data;
  return (
    <section aria-label={t('bench.still-tough')}>
      <h3>{t('bench.still-tough-2')}</h3>
      <div style={{ display: 'flex', flexWrap: 'wrap', gap: 8, alignItems: 'center' }}>
        {rich('bench.after-it-is', {
          inputNumber: (
            <InputNumber
              aria-label={t('bench.minutes-done-under-pressure')}
              min={0}
              max={360}
              value={minutes}
              suffix={t('bench.min-2')}
              style={{ width: '6.875rem' }}
              onChange={setDone}
            />
          ),
          select: (
            <Select
              aria-label={t('bench.what-the-fork-finds')}
              placeholder={t('bench.say-how')}
              value={found}
              style={{ width: '9.375rem' }}
              options={BEFORE_TARGET.map((value) => ({ value, label: textOf(GRADE_WORDS[value]) }))}
              onChange={setFound}
            />
          ),
        })}
      </div>
      {more?.ok === true && (
        <p role="status" style={{ marginTop: 6 }}>
          {textOf(more.value === null ? t('bench.it-is-there-nothing-more') : more.value.text)}
        </p>
      )}
    </section>
  );
}
