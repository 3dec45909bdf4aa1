import { AROMATICS, aromaticKind, herbSwap, LIMITS, printerFor, type Aromatic, type Plan } from '@hervir/core';
import { AutoComplete, Select } from 'antd';
import type { ReactNode } from 'react';
import { Choice, Field } from '../shared/field';
import { ItemRows } from '../shared/item-rows';
import { NumberInput } from '../shared/number-input';
import { QuantityInput } from '../shared/quantity-input';
import { useUnits } from '../shared/use-units';
import { OwnSear } from './sear-own';
import { changing, type StationProps } from './station';
import { WhenStage } from './when-stage';

const GIVES: Readonly<Record<Plan['sear']['school'], string>> = {
  hard: 'Every face brown, the deepest sauce; the most fond to scrape.',
  quick: 'Some colour in half the time.',
  light: 'Stirred until the edges lose their colour; hardly any fond.',
  none: 'Everything in cold: pale, plain, nothing to scrape.',
};

const AROMATIC_OPTIONS = AROMATICS.map(({ name }) => ({ value: name }));

/** Second station: how it is seared, and the aromatics. */
export function SearStation({ plan, forecast, edit, faultAt }: StationProps): ReactNode {
  const { system } = useUnits();
  const { sear } = plan;
  const change = changing(edit, 'sear');
  const seared = sear.school !== 'none';
  return (
    <div className="fields-two">
      <div className="fields">
        <Choice
          label="School"
          value={sear.school}
          options={[
            { value: 'hard', label: 'Hard' },
            { value: 'quick', label: 'Quick' },
            { value: 'light', label: 'Light' },
            { value: 'none', label: 'None' },
          ]}
          note={GIVES[sear.school]}
          onChange={(school) => change({ school, batches: undefined })}
        />
        {seared && (
          <>
            <Choice
              label="Seared in"
              value={sear.where}
              options={[
                { value: 'pot', label: 'The pot' },
                { value: 'pan', label: 'A pan' },
              ]}
              onChange={(where) => change({ where })}
            />
            <Choice
              label="First in"
              value={sear.order}
              options={[
                { value: 'meat-first', label: 'Meat' },
                { value: 'onion-first', label: 'Onion' },
              ]}
              note={
                sear.order === 'onion-first'
                  ? 'Onion in first, the meat stirred into it: no hard sear, next to no fond.'
                  : undefined
              }
              onChange={(order) => change({ order })}
            />
            <Field label="Batches" fault={faultAt('sear.batches')}>
              {(id) => (
                <NumberInput
                  id={id}
                  min={LIMITS.batches.min}
                  max={LIMITS.batches.max}
                  precision={0}
                  value={sear.batches ?? null}
                  placeholder={forecast ? `${forecast.sear.proposedBatches}, as Hervir would` : ''}
                  onChange={(batches) => change({ batches: batches ?? undefined })}
                />
              )}
            </Field>
          </>
        )}
        {seared && <OwnSear plan={plan} forecast={forecast} edit={edit} />}
      </div>
      <ItemRows
        label="Aromatics"
        items={plan.aromatics}
        nameOf={({ ingredient }) => aromaticKind(ingredient).name.toLowerCase()}
        blank={(): Aromatic => ({
          ingredient: plan.aromatics.length === 0 ? 'Onion' : 'Garlic',
          grams: plan.aromatics.length === 0 ? 200 : 10,
        })}
        most={20}
        addLabel="Add an aromatic"
        onChange={(aromatics) => edit((before) => ({ ...before, aromatics }))}
      >
        {({ ingredient, grams, how, then, stage }, changeItem) => (
          <>
            <AutoComplete
              aria-label="Aromatic"
              value={ingredient}
              options={AROMATIC_OPTIONS}
              showSearch={{
                filterOption: (typed, option) => String(option?.value).toLowerCase().includes(typed.toLowerCase()),
              }}
              maxLength={60}
              onChange={(next: string) => next.trim() !== '' && changeItem({ ingredient: next })}
            />
            <QuantityInput
              label={`How much ${ingredient}`}
              kind="mass"
              value={grams}
              range={LIMITS.ingredientGrams}
              onChange={(next) => next !== undefined && changeItem({ grams: next })}
            />
            <Select
              aria-label={`Then, ${ingredient}`}
              value={then ?? 'stays'}
              options={[
                { value: 'stays', label: 'stays in' },
                { value: 'set-aside', label: 'set aside' },
                { value: 'fish-out', label: 'fished out' },
              ]}
              onChange={(next) => changeItem({ then: next })}
            />
            <Select
              aria-label={`How, ${ingredient}`}
              value={how ?? 'fried'}
              options={[
                { value: 'fried', label: 'in its turn' },
                { value: 'fried-first', label: 'before the meat' },
                { value: 'with-meat', label: 'beside the meat' },
                { value: 'raw', label: 'raw, with the liquid' },
              ]}
              popupMatchSelectWidth={180}
              onChange={(next) => changeItem({ how: next === 'fried' ? undefined : next })}
            />
            <WhenStage plan={plan} of={ingredient} value={stage} onChange={(next) => changeItem({ stage: next })} />
            {herbSwap(ingredient, grams, printerFor(system)) !== null && (
              <span className="field-note">{herbSwap(ingredient, grams, printerFor(system))}</span>
            )}
          </>
        )}
      </ItemRows>
    </div>
  );
}
