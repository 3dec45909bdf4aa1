import { LIMITS, type Alternative, type ReleaseMethod } from '@hervir/core';
import type { ReactNode } from 'react';
import { Choice, Field } from '../shared/field';
import { NumberInput } from '../shared/number-input';
import { changing, type StationProps } from './station';
import { Trade, WAYS } from './trade';

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
        label="Let down"
        value={plan.release.method}
        options={(Object.keys(WAYS) as ReleaseMethod[]).map((value) => ({ value, label: WAYS[value].label }))}
        onChange={(method) => change({ method })}
      />
      {plan.release.method === 'natural-then-quick' && (
        <Field label="Minutes" fault={faultAt('release.naturalMinutes')}>
          {(id) => (
            <NumberInput
              id={id}
              min={LIMITS.naturalMinutes.min}
              max={LIMITS.naturalMinutes.max}
              value={plan.release.naturalMinutes}
              suffix="min"
              onChange={(naturalMinutes) => naturalMinutes !== null && change({ naturalMinutes })}
            />
          )}
        </Field>
      )}
      {ways && <Trade ways={ways} />}
      <p className="caution-source">
        Hands and face away from the valve; the lid stays shut until the pin has fallen. Your cooker’s manual comes
        first.
      </p>
    </div>
  );
}
