import {
  GRAINS,
  grainById,
  LIMITS,
  TEXTURES,
  textureWord,
  VEGETABLES,
  vegetableById,
  type Plan,
  type StagedItem,
} from '@hervir/core';
import { Button, Select } from 'antd';
import type { ReactNode } from 'react';
import { Choice, Field } from '../shared/field';
import { ItemRows } from '../shared/item-rows';
import { QuantityInput } from '../shared/quantity-input';
import { useUnits } from '../shared/use-units';
import { Verdict } from '../shared/verdict';
import { PLACE_NAMES, PLACES_IN_ORDER } from './places';
import type { StationProps } from './station';

const VEGETABLE_OPTIONS = VEGETABLES.map(({ id, name }) => ({ value: id, label: name }));
const GRAIN_OPTIONS = GRAINS.map(({ id, name }) => ({ value: id, label: name }));
const TEXTURE_OPTIONS = TEXTURES.map((value) => ({ value, label: textureWord(value) }));
const PLACE_OPTIONS = [
  { value: 'auto' as const, label: 'best place' },
  ...PLACES_IN_ORDER.map((value) => ({ value, label: PLACE_NAMES[value].toLowerCase() })),
];

type Option = { readonly value: string; readonly label: string };
/** What a cook most often adds, in that order. */
const FIRST_VEGETABLES = ['carrot', 'turnip', 'potato-waxy', 'cabbage'];

/** The list without what is in the plan already: one thing has one place. */
function without(options: readonly Option[], taken: readonly string[], own: string): Option[] {
  return options.filter(({ value }) => value === own || !taken.includes(value));
}

function freeOf(options: readonly Option[], wanted: readonly string[], taken: readonly string[]): string {
  const all = [...wanted, ...options.map(({ value }) => value)];
  return all.find((id) => !taken.includes(id)) ?? (all[0] as string);
}

/** Fourth station: each vegetable and grain, what it should be like, and where it goes in. */
export function VegetablesStation({ plan, forecast, edit }: StationProps): ReactNode {
  const { print } = useUnits();
  const items = forecast?.stages.flatMap((stage) => stage.items) ?? [];
  const later = forecast?.stages.some(({ place }) => place === 'second-run' || place === 'simmer') ?? false;
  const beans = plan.grains.some(({ grain }) => grain === 'kidney-bean-soaked');
  return (
    <div className="fields">
      <ItemRows
        label="Vegetables"
        items={plan.vegetables}
        nameOf={({ vegetable }) => vegetableById(vegetable).name.toLowerCase()}
        blank={(): Plan['vegetables'][number] => ({
          vegetable: freeOf(
            VEGETABLE_OPTIONS,
            FIRST_VEGETABLES,
            plan.vegetables.map(({ vegetable }) => vegetable),
          ),
          grams: 300,
          texture: 'tender',
          place: 'auto',
        })}
        most={20}
        addLabel="Add a vegetable"
        onChange={(vegetables) => edit((before) => ({ ...before, vegetables }))}
      >
        {(item, change, i) => {
          const { name, usualCm } = vegetableById(item.vegetable);
          const called = name.toLowerCase();
          const staged = items.find(({ vegetable }) => vegetable === item.vegetable);
          return (
            <>
              <Select
                aria-label={`Vegetable ${i + 1}`}
                value={item.vegetable}
                options={without(
                  VEGETABLE_OPTIONS,
                  plan.vegetables.map(({ vegetable }) => vegetable),
                  item.vegetable,
                )}
                showSearch={{ optionFilterProp: 'label' }}
                popupMatchSelectWidth={220}
                onChange={(vegetable) => change({ vegetable, sizeCm: undefined })}
              />
              <QuantityInput
                label={`How much ${called}`}
                kind="mass"
                value={item.grams}
                range={LIMITS.ingredientGrams}
                onChange={(grams) => grams !== undefined && change({ grams })}
              />
              <Select
                aria-label={`Texture of ${called}`}
                value={item.texture}
                options={TEXTURE_OPTIONS}
                popupMatchSelectWidth={150}
                onChange={(texture) => change({ texture })}
              />
              <Select
                aria-label={`Place of ${called}`}
                value={item.place}
                options={PLACE_OPTIONS}
                popupMatchSelectWidth={190}
                onChange={(place) => change({ place })}
              />
              <QuantityInput
                label={`Size of ${called}`}
                kind="length"
                value={item.sizeCm}
                range={LIMITS.vegetableCm}
                derived={staged?.sizeCm ?? usualCm}
                onChange={(sizeCm) => change({ sizeCm })}
              />
              {staged && <Outcome item={staged} onSize={(sizeCm) => change({ sizeCm })} print={print} />}
            </>
          );
        }}
      </ItemRows>
      <ItemRows
        label="Grains, beans, noodles"
        items={plan.grains}
        nameOf={({ grain }) => grainById(grain).name.toLowerCase()}
        blank={(): Plan['grains'][number] => ({
          grain: freeOf(
            GRAIN_OPTIONS,
            ['freekeh'],
            plan.grains.map(({ grain }) => grain),
          ),
          grams: 120,
          place: 'auto',
        })}
        most={8}
        addLabel="Add a grain"
        onChange={(grains) => edit((before) => ({ ...before, grains }))}
      >
        {(item, change, i) => {
          const { name, note } = grainById(item.grain);
          const staged = items.find(({ grain }) => grain === item.grain);
          return (
            <>
              <Select
                aria-label={`Grain ${i + 1}`}
                value={item.grain}
                options={without(
                  GRAIN_OPTIONS,
                  plan.grains.map(({ grain }) => grain),
                  item.grain,
                )}
                popupMatchSelectWidth={220}
                onChange={(grain) => change({ grain })}
              />
              <QuantityInput
                label={`How much ${name.toLowerCase()}`}
                kind="mass"
                value={item.grams}
                range={LIMITS.ingredientGrams}
                onChange={(grams) => grams !== undefined && change({ grams })}
              />
              <Select
                aria-label={`Place of ${name.toLowerCase()}`}
                value={item.place}
                options={PLACE_OPTIONS}
                popupMatchSelectWidth={190}
                onChange={(place) => change({ place })}
              />
              {staged?.place === 'start' && (
                <Select
                  aria-label={`Layer of ${name.toLowerCase()}`}
                  value={item.layer ?? 'on-top'}
                  options={[
                    { value: 'on-top', label: 'levelled on top' },
                    { value: 'stirred-in', label: 'stirred in' },
                  ]}
                  popupMatchSelectWidth={160}
                  onChange={(layer) => change({ layer })}
                />
              )}
              {staged && <Outcome item={staged} print={print} />}
              {note !== '' && <span className="field-note">{note}</span>}
            </>
          );
        }}
      </ItemRows>
      {beans && (
        <p className="caution-source">
          Red kidney beans are poisonous raw: soak, throw the water away, boil hard 30 minutes, never slow-cook from
          dry.
        </p>
      )}
      {later && (
        <>
          <Choice
            label="The meat"
            value={plan.meatInSecondRun}
            options={[
              { value: 'out', label: 'Out, under foil' },
              { value: 'in', label: 'Stays in' },
            ]}
            note={
              plan.meatInSecondRun === 'in'
                ? 'It goes on cooking: the first run is shorter for it.'
                : forecast?.foil
                  ? `Its middle is at ${print('temperature', forecast.foil.coreC)} when it is served.`
                  : undefined
            }
            onChange={(meatInSecondRun) => edit((before) => ({ ...before, meatInSecondRun }))}
          />
          <Field
            label="Broth out"
            note={
              forecast === null || forecast.liquid.freeAtReheatMl === null
                ? undefined
                : `${print('volume', forecast.liquid.freeAtReheatMl)} are left when the lid goes on again; the cooker wants ${print('volume', forecast.liquid.minimumMl)}.`
            }
          >
            {(id) => (
              <QuantityInput
                id={id}
                label="Broth out"
                kind="volume"
                value={plan.brothOutMl}
                range={LIMITS.liquidMl}
                onChange={(brothOutMl) => brothOutMl !== undefined && edit((before) => ({ ...before, brothOutMl }))}
              />
            )}
          </Field>
        </>
      )}
    </div>
  );
}

/** What an item comes to where it is, what it would be elsewhere, and the size that would be right. */
function Outcome({
  item,
  onSize,
  print,
}: {
  readonly item: StagedItem;
  readonly onSize?: (cm: number) => void;
  readonly print: (kind: 'length', value: number) => string;
}): ReactNode {
  const size = item.sizeCm > 0 ? `, cut to ${print('length', item.sizeCm)}` : '';
  return (
    <div className="outcome">
      <Verdict tone={item.met ? 'fits' : 'wrong'}>
        {PLACE_NAMES[item.place]}: {textureWord(item.texture)}
        {size}
        {item.minutesBeforeEnd === null ? '' : `, ${item.minutesBeforeEnd} min`}
      </Verdict>
      <span className="field-note">
        Elsewhere:{' '}
        {item.elsewhere
          .map(({ place, texture }) => `${PLACE_NAMES[place].toLowerCase()} ${textureWord(texture)}`)
          .join(', ')}
        .
      </span>
      {!item.met && onSize && item.suggestedSizeCm !== null && (
        <Button className="wrapping" onClick={() => onSize(item.suggestedSizeCm ?? item.sizeCm)}>
          Cut it to {print('length', item.suggestedSizeCm)}
        </Button>
      )}
    </div>
  );
}
