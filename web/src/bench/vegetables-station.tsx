import {
  inTen,
  GRAINS,
  grainById,
  LIMITS,
  placeName,
  portionsOf,
  TEXTURES,
  textureWord,
  VEGETABLES,
  vegetableById,
  type Plan,
  type StagedItem,
} from '@hervir/core';
import { Button, Input, Select } from 'antd';
import type { ReactNode } from 'react';
import { OwnName } from './own-name';
import { ItemRows } from '../shared/item-rows';
import { QuantityInput } from '../shared/quantity-input';
import { useUnits } from '../shared/use-units';
import { Verdict } from '../shared/verdict';
import { placesOf } from './places';
import type { StationProps } from './station';

const VEGETABLE_OPTIONS = VEGETABLES.map(({ id, name }) => ({ value: id, label: name }));
const GRAIN_OPTIONS = GRAINS.map(({ id, name }) => ({ value: id, label: name }));
const TEXTURE_OPTIONS = TEXTURES.map((value) => ({ value, label: textureWord(value) }));
type Option = { readonly value: string; readonly label: string };
/** What a cook most often adds, in that order. */
const FIRST_VEGETABLES = ['carrot', 'turnip', 'potato-waxy', 'cabbage'];

function freeOf(options: readonly Option[], wanted: readonly string[], taken: readonly string[]): string {
  const all = [...wanted, ...options.map(({ value }) => value)];
  return all.find((id) => !taken.includes(id)) ?? (all[0] as string);
}

/** Fourth station: each vegetable and grain, what it should be like, and where it goes in. */
export function VegetablesStation({ plan, forecast, edit }: StationProps): ReactNode {
  const { print } = useUnits();
  const items = forecast?.stages.flatMap((stage) => stage.items) ?? [];
  const portions = portionsOf(plan);
  const stagedAt = (kind: 'vegetable' | 'grain', index: number): StagedItem | undefined =>
    items.find(({ portion }) => portion === portions.find((one) => one.kind === kind && one.index === index)?.id);
  const places = [
    { value: 'auto', label: 'best place' },
    ...placesOf(plan).map((value) => ({ value, label: placeName(plan, value).toLowerCase() })),
  ];
  const beans = plan.grains.some(({ grain }) => grain === 'kidney-bean-soaked');
  return (
    <div className="fields">
      <ItemRows
        label="Vegetables"
        items={plan.vegetables}
        nameOf={({ name, vegetable }) => name ?? vegetableById(vegetable).name.toLowerCase()}
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
          const called = item.name ?? name.toLowerCase();
          const staged = stagedAt('vegetable', i);
          return (
            <>
              <Select
                aria-label={`Vegetable ${i + 1}`}
                value={item.vegetable}
                options={VEGETABLE_OPTIONS}
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
                options={places}
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
              <OwnName of={called} value={item.name} onChange={(name) => change({ name })} />
              {staged && <Outcome plan={plan} item={staged} onSize={(sizeCm) => change({ sizeCm })} print={print} />}
            </>
          );
        }}
      </ItemRows>
      <ItemRows
        label="Grains, beans, noodles"
        items={plan.grains}
        nameOf={({ name, grain }) => name ?? grainById(grain).name.toLowerCase()}
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
          const called = item.name ?? name.toLowerCase();
          const staged = stagedAt('grain', i);
          return (
            <>
              <Select
                aria-label={`Grain ${i + 1}`}
                value={item.grain}
                options={GRAIN_OPTIONS}
                popupMatchSelectWidth={220}
                onChange={(grain) => change({ grain })}
              />
              <QuantityInput
                label={`How much ${called}`}
                kind="mass"
                value={item.grams}
                range={LIMITS.ingredientGrams}
                onChange={(grams) => grams !== undefined && change({ grams })}
              />
              <Select
                aria-label={`Place of ${called}`}
                value={item.place}
                options={places}
                popupMatchSelectWidth={190}
                onChange={(place) => change({ place })}
              />
              {staged?.place === 'start' && (
                <Select
                  aria-label={`Layer of ${called}`}
                  value={item.layer ?? 'on-top'}
                  options={[
                    { value: 'on-top', label: 'levelled on top' },
                    { value: 'stirred-in', label: 'stirred in' },
                  ]}
                  popupMatchSelectWidth={160}
                  onChange={(layer) => change({ layer })}
                />
              )}
              <OwnName of={called} value={item.name} onChange={(name) => change({ name })} />
              {staged && <Outcome plan={plan} item={staged} print={print} />}
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
      <ItemRows
        label="Anything else"
        items={plan.others}
        nameOf={({ name }) => name}
        blank={(): Plan['others'][number] => ({ name: 'olives', grams: 50, place: 'end' })}
        most={12}
        addLabel="Add something else"
        onChange={(others) => edit((before) => ({ ...before, others }))}
      >
        {(item, change, i) => (
          <>
            <Input
              aria-label={`What it is, ${i + 1}`}
              value={item.name}
              maxLength={80}
              onChange={({ target }) => target.value.trim() !== '' && change({ name: target.value })}
            />
            <QuantityInput
              label={`How much ${item.name}`}
              kind="mass"
              value={item.grams}
              range={LIMITS.ingredientGrams}
              onChange={(grams) => grams !== undefined && change({ grams })}
            />
            <Select
              aria-label={`Place of ${item.name}`}
              value={item.place}
              options={[
                ...placesOf(plan)
                  .filter((place) => place !== 'flavour-only' && place !== 'folded-in')
                  .map((value) => ({ value, label: placeName(plan, value).toLowerCase() })),
                { value: 'end', label: 'at the very end' },
              ]}
              popupMatchSelectWidth={190}
              onChange={(place) => change({ place })}
            />
          </>
        )}
      </ItemRows>
    </div>
  );
}

/** What an item comes to where it is, what it would be elsewhere, and the size that would be right. */
function Outcome({
  plan,
  item,
  onSize,
  print,
}: {
  readonly plan: Plan;
  readonly item: StagedItem;
  readonly onSize?: (cm: number) => void;
  readonly print: (kind: 'length' | 'volume', value: number) => string;
}): ReactNode {
  const size = item.sizeCm > 0 ? `, cut to ${print('length', item.sizeCm)}` : '';
  return (
    <div className="outcome">
      <Verdict tone={item.met ? 'fits' : 'wrong'}>
        {placeName(plan, item.place)}: {textureWord(item.texture)}
        {item.met && item.chance !== null ? ` (${inTen(item.chance)})` : ''}
        {size}
        {item.minutesBeforeEnd === null ? '' : `, ${item.minutesBeforeEnd} min`}
        {item.missingMl > 0 ? `; ${print('volume', item.missingMl)} of water missing` : ''}
      </Verdict>
      <span className="field-note">
        Elsewhere:{' '}
        {item.elsewhere
          .map(({ place, texture }) => `${placeName(plan, place).toLowerCase()} ${textureWord(texture)}`)
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
