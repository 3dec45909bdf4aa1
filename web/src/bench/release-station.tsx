import { LIMITS, type Alternative, type ReleaseMethod } from '@hervir/core';
import type { ReactNode } from 'react';
import { Choice, Field } from '../shared/field';
import { NumberInput } from '../shared/number-input';
import { changing, type StationProps } from './station';
import { Trade, WAYS } from './trade';
import { t, textOf } from '../language/t';

interface Props extends Omit<StationProps, 'forecast'> {
  /** The same tenderness by each way; null until they are reckoned. */
  readonly ways: readonly Alternative[] | null;
}

/** Fifth station: how the pressure comes down, minutes against minutes. */
export function ReleaseStation({ plan, edit, faultAt, ways }: Props): ReactNode {
  const change = changing(edit, 'release');
  return (
    <div className="fields">
      <Choice
        label={t('bench.let-down')}
        value={plan.release.method}
        options={(Object.keys(WAYS) as ReleaseMethod[]).map((value) => ({ value, label: textOf(WAYS[value].label) }))}
        onChange={(method) => change({ method })}
      />
      {plan.release.method === 'natural-then-quick' && (
        <Field label={t('bench.minutes')} fault={faultAt('release.naturalMinutes')}>
          {(id) => (
            <NumberInput
              id={id}
              min={LIMITS.naturalMinutes.min}
              max={LIMITS.naturalMinutes.max}
              value={plan.release.naturalMinutes}
              suffix={t('bench.min-2')}
              onChange={(naturalMinutes) => naturalMinutes !== null && change({ naturalMinutes })}
            />
          )}
        </Field>
      )}
      {ways && <Trade ways={ways} />}
      <p className="caution-source">{t('bench.hands-and-face-away-from')}</p>
    </div>
  );
}
