import { lowerFirst, type Message, say } from '@hervir/language';
import { type Aromatic, aromaticKind, AROMATICS, herbSwap, LIMITS, type Plan } from '@hervir/core';
import { AutoComplete, Select } from 'antd';
import type { ReactNode } from 'react';
import { Choice, Field } from '../shared/field';
import { ItemRows } from '../shared/item-rows';
import { NumberInput } from '../shared/number-input';
import { QuantityInput } from '../shared/quantity-input';
import { OwnSear } from './sear-own';
import { changing, type StationProps } from './station';
import { WhenStage } from './when-stage';
import { t, textOf } from '../language/t';

const GIVES: Readonly<Record<Plan['sear']['school'], Message>> = {
  hard: say('bench.every-face-brown-the-deepest'),
  quick: say('bench.some-colour-in-half-the'),
  light: say('bench.stirred-until-the-edges-lose'),
  none: say('bench.everything-in-cold-pale-plain'),
};

const THEN_WORDS = {
  stays: say('bench.stays-in'),
  'set-aside': say('bench.set-aside'),
  'fish-out': say('bench.fished-out'),
} as const;
const HOW_WORDS = {
  fried: say('bench.in-its-turn'),
  'fried-first': say('bench.before-the-meat'),
  'with-meat': say('bench.beside-the-meat'),
  raw: say('bench.raw-with-the-liquid'),
} as const;
const optionsOf = <T extends string>(words: Readonly<Record<T, Message>>): { value: T; label: string }[] =>
  (Object.keys(words) as T[]).map((value) => ({ value, label: textOf(words[value]) }));

const aromaticOptions = (): { value: string }[] => AROMATICS.map(({ name }) => ({ value: textOf(name) }));

/** An aromatic as the reader calls it: what a plan holds is its id, or a cook's own words. */
function calledOf(ingredient: string): string {
  const known = AROMATICS.find(({ id }) => id === ingredient);
  return known ? textOf(known.name) : ingredient;
}

/** What a plan holds of what was typed: the id where it is a name of the list, in whatever language that is read. */
const heldOf = (typed: string): string =>
  AROMATICS.find(({ name }) => textOf(name).toLowerCase() === typed.trim().toLowerCase())?.id ?? typed;

/** Second station: how it is seared, and the aromatics. */
export function SearStation({ plan, forecast, edit, faultAt }: StationProps): ReactNode {
  const { sear } = plan;
  const change = changing(edit, 'sear');
  const seared = sear.school !== 'none';
  return (
    <div className="fields-two">
      <div className="fields">
        <Choice
          label={t('bench.how-hard')}
          value={sear.school}
          options={[
            { value: 'hard', label: t('bench.hard') },
            { value: 'quick', label: t('bench.quick') },
            { value: 'light', label: t('bench.light') },
            { value: 'none', label: t('bench.none') },
          ]}
          note={textOf(GIVES[sear.school])}
          onChange={(school) => change({ school, batches: undefined })}
        />
        {seared && (
          <>
            <Choice
              label={t('bench.seared-in')}
              value={sear.where}
              options={[
                { value: 'pot', label: t('bench.the-pot') },
                { value: 'pan', label: t('bench.a-pan') },
              ]}
              onChange={(where) => change({ where })}
            />
            <Choice
              label={t('bench.first-in')}
              value={sear.order}
              options={[
                { value: 'meat-first', label: t('bench.meat') },
                { value: 'onion-first', label: t('bench.onion') },
              ]}
              note={sear.order === 'onion-first' ? t('bench.onion-in-first-the-meat') : undefined}
              onChange={(order) => change({ order })}
            />
            <Field label={t('bench.batches')} fault={faultAt('sear.batches')}>
              {(id) => (
                <NumberInput
                  id={id}
                  min={LIMITS.batches.min}
                  max={LIMITS.batches.max}
                  precision={0}
                  value={sear.batches ?? null}
                  placeholder={
                    forecast ? t('bench.as-hervir-would-2', { proposedBatches: forecast.sear.proposedBatches }) : ''
                  }
                  onChange={(batches) => change({ batches: batches ?? undefined })}
                />
              )}
            </Field>
          </>
        )}
        {seared && <OwnSear plan={plan} forecast={forecast} edit={edit} />}
      </div>
      <ItemRows
        label={t('bench.aromatics')}
        items={plan.aromatics}
        nameOf={({ ingredient }) => lowerFirst(textOf(aromaticKind(ingredient).name))}
        blank={(): Aromatic => ({
          ingredient: plan.aromatics.length === 0 ? 'onion' : 'garlic',
          grams: plan.aromatics.length === 0 ? 200 : 10,
        })}
        most={20}
        addLabel={t('bench.add-an-aromatic')}
        shortNames
        onChange={(aromatics) => edit((before) => ({ ...before, aromatics }))}
        rest={{
          words: ({ how, then }) =>
            [...(how === undefined ? [] : [HOW_WORDS[how]]), THEN_WORDS[then ?? 'stays']].map(textOf).join(', '),
          fields: (item, changeItem) => <AromaticRest plan={plan} item={item} change={changeItem} />,
        }}
      >
        {({ ingredient, grams }, changeItem) => (
          <>
            <AutoComplete
              aria-label={t('bench.aromatic')}
              value={calledOf(ingredient)}
              options={aromaticOptions()}
              showSearch={{
                filterOption: (typed, option) => String(option?.value).toLowerCase().includes(typed.toLowerCase()),
              }}
              popupMatchSelectWidth={200}
              maxLength={60}
              onChange={(next: string) => next.trim() !== '' && changeItem({ ingredient: heldOf(next) })}
            />
            <QuantityInput
              label={t('bench.how-much-4', { ingredient: lowerFirst(calledOf(ingredient)) })}
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
  item: { ingredient: held, grams, how, then, stage },
  change,
}: {
  readonly plan: Plan;
  readonly item: Aromatic;
  readonly change: (part: Partial<Aromatic>) => void;
}): ReactNode {
  const swap = herbSwap(held, grams);
  const ingredient = lowerFirst(calledOf(held));
  return (
    <>
      <Select
        aria-label={t('bench.how', { ingredient })}
        value={how ?? 'fried'}
        options={optionsOf(HOW_WORDS)}
        popupMatchSelectWidth={180}
        onChange={(next) => change({ how: next === 'fried' ? undefined : next })}
      />
      <Select
        aria-label={t('bench.then', { ingredient })}
        value={then ?? 'stays'}
        options={optionsOf(THEN_WORDS)}
        onChange={(next) => change({ then: next })}
      />
      <WhenStage plan={plan} of={ingredient} value={stage} onChange={(next) => change({ stage: next })} />
      {swap !== null && <span className="field-note">{textOf(swap)}</span>}
    </>
  );
}
