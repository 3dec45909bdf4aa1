import { BODIES, isPulled, LIMITS, THICKENER_KINDS, type Rescaled } from '@hervir/core';
import { useQuery } from '@tanstack/react-query';
import { Button, Checkbox, InputNumber, Select } from 'antd';
import { useState, type ReactNode } from 'react';
import { Field } from '../shared/field';
import { NumberInput } from '../shared/number-input';
import { QuantityInput } from '../shared/quantity-input';
import { useUnits } from '../shared/use-units';
import { reckoner } from '../workers/reckoner';
import type { Answer } from '../workers/reckoning';
import { changing, type StationProps } from './station';

const THICKENERS = [
  { value: 'none' as const, label: 'Nothing' },
  ...THICKENER_KINDS.map(({ id, name }) => ({ value: id, label: name })),
];
const BODY_OPTIONS = BODIES.filter((body) => body !== 'thin').map((value) => ({ value, label: value }));

/** Sixth station: how the sauce is finished, and for how many. */
export function SauceStation({ plan, forecast, edit, faultAt }: StationProps): ReactNode {
  const { finish } = plan;
  const change = changing(edit, 'finish');
  return (
    <div className="fields">
      <Field label="Thicken" fault={faultAt('finish.thickener')}>
        {(id) => (
          <div className="pair">
            <Select
              id={id}
              value={finish.thickener}
              options={THICKENERS}
              onChange={(thickener) => change({ thickener })}
            />
            {finish.thickener !== 'none' && (
              <Select
                aria-label="Body"
                value={finish.body}
                options={BODY_OPTIONS}
                onChange={(body) => change({ body })}
              />
            )}
          </div>
        )}
      </Field>
      <Field label="Sauce" fault={faultAt('finish.sauceMl')} note="Empty: all there is. Less: ladled out and reduced.">
        {(id) => (
          <QuantityInput
            id={id}
            label="Sauce"
            kind="volume"
            value={finish.sauceMl ?? undefined}
            range={LIMITS.liquidMl}
            derived={forecast?.liquid.freeAtEndMl ?? 0}
            onChange={(sauceMl) => change({ sauceMl: sauceMl ?? null })}
          />
        )}
      </Field>
      <div className="field-rest">
        <Checkbox checked={finish.skim} onChange={(event) => change({ skim: event.target.checked })}>
          skimmed
        </Checkbox>
        <Checkbox
          checked={finish.strain !== 'no'}
          onChange={(event) => change({ strain: event.target.checked ? 'thrown' : 'no' })}
        >
          strained
        </Checkbox>
        <Checkbox checked={finish.blend} onChange={(event) => change({ blend: event.target.checked })}>
          blended
        </Checkbox>
        {finish.strain !== 'no' && (
          <Select
            aria-label="What becomes of the solids"
            value={finish.strain}
            options={[
              { value: 'thrown' as const, label: 'solids thrown away' },
              { value: 'kept' as const, label: 'solids kept' },
              { value: 'put-back' as const, label: 'solids put back' },
            ]}
            popupMatchSelectWidth={180}
            onChange={(strain) => change({ strain })}
          />
        )}
        {isPulled(plan.target) && (
          <>
            <Checkbox checked={finish.meatBack} onChange={(event) => change({ meatBack: event.target.checked })}>
              pulled, and back in before it reduces
            </Checkbox>
            <Checkbox checked={finish.crisp} onChange={(event) => change({ crisp: event.target.checked })}>
              shreds crisped
            </Checkbox>
          </>
        )}
        <Checkbox
          checked={plan.servedFrom === 'pot'}
          onChange={(event) => edit((before) => ({ ...before, servedFrom: event.target.checked ? 'pot' : 'plate' }))}
        >
          eaten from the pot
        </Checkbox>
      </div>
      <Field label="Rest">
        {(id) => (
          <NumberInput
            id={id}
            min={LIMITS.restMinutes.min}
            max={LIMITS.restMinutes.max}
            suffix="min"
            value={finish.restMinutes}
            onChange={(restMinutes) => restMinutes !== null && change({ restMinutes })}
          />
        )}
      </Field>
      <Servings plan={plan} edit={edit} />
    </div>
  );
}

/** The whole plan for another number of people, with what that changes, before it is taken. */
function Servings({ plan, edit }: Pick<StationProps, 'plan' | 'edit'>): ReactNode {
  const { system } = useUnits();
  const [wanted, setWanted] = useState(plan.servings);
  const scaled = useQuery({
    queryKey: ['rescale', plan, wanted, system],
    queryFn: async (): Promise<Answer<Omit<Rescaled, 'forecast'>>> => reckoner('beside').rescale(plan, wanted, system),
    enabled: wanted !== plan.servings,
    staleTime: Infinity,
    gcTime: 0,
  }).data;
  return (
    <>
      <Field label="For">
        {(id) => (
          <InputNumber
            id={id}
            style={{ width: '100%' }}
            min={LIMITS.servings.min}
            max={LIMITS.servings.max}
            precision={0}
            suffix="people"
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
                  <li key={line}>{line}</li>
                ))}
              </ul>
              <Button onClick={() => edit(() => scaled.value.plan)}>Make it for {wanted}</Button>
            </>
          ) : (
            <p className="field-fault">
              {scaled.problem}; allowed: {scaled.allowed}
            </p>
          )}
        </div>
      )}
    </>
  );
}
