import { LIMITS, LIQUIDS, type Plan } from '@hervir/core';
import { Select } from 'antd';
import type { ReactNode } from 'react';
import { useCookers } from '../api/queries';
import { Choice, Field } from '../shared/field';
import { QuantityInput } from '../shared/quantity-input';
import type { FaultAt } from './use-faults';

interface Props {
  readonly plan: Plan;
  readonly edit: (change: (plan: Plan) => Plan) => void;
  readonly faultAt: FaultAt;
}

/** Second station, so far the school. */
export function SearStation({ plan, edit }: Props): ReactNode {
  return (
    <div className="fields">
      <Choice
        label="School"
        value={plan.sear.school}
        options={[
          { value: 'hard', label: 'Hard' },
          { value: 'quick', label: 'Quick' },
          { value: 'light', label: 'Light' },
          { value: 'none', label: 'None' },
        ]}
        onChange={(school) => edit((before) => ({ ...before, sear: { ...before.sear, school } }))}
      />
    </div>
  );
}

const POURED = LIQUIDS.filter((liquid) => liquid.kind === 'liquid').map(({ id, name }) => ({ value: id, label: name }));

/** Third station, so far which pot and what is poured. */
export function PotStation({ plan, edit, faultAt }: Props): ReactNode {
  const cookers = useCookers().data ?? [];
  const first = plan.liquids[0] ?? { liquid: 'stock', ml: 0, temperatureC: 20 };
  const change = (part: Partial<Plan['liquids'][number]>): void =>
    edit((before) => ({
      ...before,
      liquids: [{ ...(before.liquids[0] ?? first), ...part }, ...before.liquids.slice(1)],
    }));
  const own = cookers.find(({ cooker }) => cooker.name === plan.cooker.name);
  return (
    <div className="fields">
      <Field
        label="Cooker"
        fault={faultAt('cooker.watts')}
        note={
          own || cookers.length === 0
            ? undefined
            : 'As it was when this was planned; it is no longer among your cookers.'
        }
      >
        {(id) => (
          <Select
            id={id}
            value={own?.id ?? 'planned'}
            options={[
              ...(own ? [] : [{ value: 'planned', label: plan.cooker.name }]),
              ...cookers.map(({ id: value, cooker }) => ({ value, label: cooker.name })),
            ]}
            onChange={(chosen) => {
              const next = cookers.find((known) => known.id === chosen);
              if (next) edit((before) => ({ ...before, cooker: next.cooker }));
            }}
          />
        )}
      </Field>
      <Field label="Liquid" fault={faultAt('liquids[0].liquid')}>
        {(id) => <Select id={id} value={first.liquid} options={POURED} onChange={(liquid) => change({ liquid })} />}
      </Field>
      <Field label="How much" fault={faultAt('liquids[0].ml')}>
        {(id) => (
          <QuantityInput
            id={id}
            label="How much"
            kind="volume"
            value={first.ml}
            range={LIMITS.liquidMl}
            onChange={(ml) => ml !== undefined && change({ ml })}
          />
        )}
      </Field>
    </div>
  );
}
