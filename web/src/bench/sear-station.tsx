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

const THEN_WORDS = { stays: 'stays in', 'set-aside': 'set aside', 'fish-out': 'fished out' } as const;
const HOW_WORDS = {
  fried: 'in its turn',
  'fried-first': 'before the meat',
  'with-meat': 'beside the meat',
  raw: 'raw, with the liquid',
} as const;
const optionsOf = <T extends string>(words: Readonly<Record<T, string>>): { value: T; label: string }[] =>
  (Object.keys(words) as T[]).map((value) => ({ value, label: words[value] }));

const AROMATIC_OPTIONS = AROMATICS.map(({ name }) => ({ value: name }));

/** Second station: how it is seared, and the aromatics. */
export function SearStation({ plan, forecast, edit, faultAt }: StationProps): ReactNode {
  const { sear } = plan;
  const change = changing(edit, 'sear');
  const seared = sear.school !== 'none';
  return (
    <div className="fields-two">
      <div className="fields">
        <Choice
          label="How hard"
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
        shortNames
        onChange={(aromatics) => edit((before) => ({ ...before, aromatics }))}
        rest={{
          words: ({ how, then }) =>
            [how === undefined ? null : HOW_WORDS[how], THEN_WORDS[then ?? 'stays']]
              .filter((word) => word !== null)
              .join(', '),
          fields: (item, changeItem) => <AromaticRest plan={plan} item={item} change={changeItem} />,
        }}
      >
        {({ ingredient, grams }, changeItem) => (
          <>
            <AutoComplete
              aria-label="Aromatic"
              value={ingredient}
              options={AROMATIC_OPTIONS}
              showSearch={{
                filterOption: (typed, option) => String(option?.value).toLowerCase().includes(typed.toLowerCase()),
              }}
              popupMatchSelectWidth={200}
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
          </>
        )}
      </ItemRows>
    </div>
  );
}

/** Of an aromatic: when it is fried, what becomes of it, at which stage, and how much of the dried herb it is. */
function AromaticRest({
  plan,
  item: { ingredient, grams, how, then, stage },
  change,
}: {
  readonly plan: Plan;
  readonly item: Aromatic;
  readonly change: (part: Partial<Aromatic>) => void;
}): ReactNode {
  const { system } = useUnits();
  const swap = herbSwap(ingredient, grams, printerFor(system));
  return (
    <>
      <Select
        aria-label={`How, ${ingredient}`}
        value={how ?? 'fried'}
        options={optionsOf(HOW_WORDS)}
        popupMatchSelectWidth={180}
        onChange={(next) => change({ how: next === 'fried' ? undefined : next })}
      />
      <Select
        aria-label={`Then, ${ingredient}`}
        value={then ?? 'stays'}
        options={optionsOf(THEN_WORDS)}
        onChange={(next) => change({ then: next })}
      />
      <WhenStage plan={plan} of={ingredient} value={stage} onChange={(next) => change({ stage: next })} />
      {swap !== null && <span className="field-note">{swap}</span>}
    </>
  );
}
