import {
  grainById,
  GRAINS,
  LIMITS,
  placeName,
  type Plan,
  TEXTURES,
  textureWord,
  vegetableById,
  VEGETABLES,
} from '@hervir/core';
import { Input, Select } from 'antd';
import type { ReactNode } from 'react';
import { QuantityInput } from '../../shared/quantity-input';
import { OwnName } from '../own-name';
import { AT_THE_END, placesFor, type LaneItem } from './lane-items';
import { Outcome } from './outcome';
import { placesOf } from '../places';
import { t, textOf } from '../../language/t';
import { lowerFirst, say } from '@hervir/language';
import { labelled } from '../../language/labelled';
import { BY_NAME } from '../../shared/by-name';

const VEGETABLE_OPTIONS = VEGETABLES.map(({ id, name }) => ({ value: id, label: name }));
const GRAIN_OPTIONS = GRAINS.map(({ id, name }) => ({ value: id, label: name }));
const TEXTURE_OPTIONS = TEXTURES.map((value) => ({ value, label: textureWord(value) }));

interface Props<T> {
  readonly plan: Plan;
  readonly number: number;
  readonly item: T;
  /** The same in its lane; undefined until it has been reckoned. */
  readonly lane: LaneItem | undefined;
  readonly change: (part: Partial<T>) => void;
}

/** Where a vegetable or a grain may go, with the place that Hervir would choose. */
const placeOptions = (plan: Plan): { value: string; label: string }[] => [
  { value: 'auto', label: t('bench.best-place') },
  ...placesOf(plan).map((value) => ({ value, label: lowerFirst(textOf(placeName(plan, value))) })),
];

interface HowMuchProps {
  readonly of: string;
  readonly grams: number;
  readonly onGrams: (grams: number) => void;
}

function HowMuch({ of, grams, onGrams }: HowMuchProps): ReactNode {
  return (
    <QuantityInput
      label={t('bench.how-much-5', { of })}
      kind="mass"
      value={grams}
      range={LIMITS.ingredientGrams}
      onChange={(next) => next !== undefined && onGrams(next)}
    />
  );
}

interface PlaceProps {
  readonly plan: Plan;
  readonly of: string;
  readonly place: string;
  readonly onPlace: (place: string) => void;
}

function PlaceOf({ plan, of, place, onPlace }: PlaceProps): ReactNode {
  return (
    <Select
      aria-label={t('bench.place-of', { of })}
      value={place}
      options={placeOptions(plan)}
      popupMatchSelectWidth={190}
      onChange={onPlace}
    />
  );
}

/** What a vegetable is, how much, how soft, how large, and where it goes in. */
export function VegetableFields({ plan, number, item, lane, change }: Props<Plan['vegetables'][number]>): ReactNode {
  const { name, usualCm } = vegetableById(item.vegetable);
  const called = item.name ?? lowerFirst(textOf(name));
  return (
    <div className="item-fields">
      <Select
        aria-label={t('bench.vegetable-2', { number })}
        value={item.vegetable}
        options={labelled(VEGETABLE_OPTIONS)}
        showSearch={BY_NAME}
        popupMatchSelectWidth={220}
        onChange={(vegetable) => change({ vegetable, sizeCm: undefined })}
      />
      <HowMuch of={called} grams={item.grams} onGrams={(grams) => change({ grams })} />
      <QuantityInput
        label={t('bench.size-of', { called })}
        kind="length"
        value={item.sizeCm}
        range={LIMITS.vegetableCm}
        derived={lane?.staged?.sizeCm ?? usualCm}
        onChange={(sizeCm) => change({ sizeCm })}
      />
      <Select
        aria-label={t('bench.texture-of', { called })}
        value={item.texture}
        options={labelled(TEXTURE_OPTIONS)}
        popupMatchSelectWidth={150}
        onChange={(texture) => change({ texture })}
      />
      <PlaceOf plan={plan} of={called} place={item.place} onPlace={(place) => change({ place })} />
      <OwnName of={called} value={item.name} onChange={(own) => change({ name: own })} />
      {lane?.staged && (
        <Outcome plan={plan} item={lane.staged} window={lane.window} onSize={(sizeCm) => change({ sizeCm })} />
      )}
    </div>
  );
}

const LAYERS = [
  { value: 'on-top' as const, label: say('bench.levelled-on-top') },
  { value: 'stirred-in' as const, label: say('bench.stirred-in') },
];

/** What a grain is, how much, where it goes in, and what raw beans ask for. */
export function GrainFields({ plan, number, item, lane, change }: Props<Plan['grains'][number]>): ReactNode {
  const { name, note } = grainById(item.grain);
  const called = item.name ?? lowerFirst(textOf(name));
  return (
    <div className="item-fields">
      <Select
        aria-label={t('bench.grain', { number })}
        value={item.grain}
        options={labelled(GRAIN_OPTIONS)}
        popupMatchSelectWidth={220}
        onChange={(grain) => change({ grain })}
      />
      <HowMuch of={called} grams={item.grams} onGrams={(grams) => change({ grams })} />
      <PlaceOf plan={plan} of={called} place={item.place} onPlace={(place) => change({ place })} />
      {lane?.place === 'start' && (
        <Select
          aria-label={t('bench.layer-of', { called })}
          value={item.layer ?? 'on-top'}
          options={labelled(LAYERS)}
          popupMatchSelectWidth={160}
          onChange={(layer) => change({ layer })}
        />
      )}
      <OwnName of={called} value={item.name} onChange={(own) => change({ name: own })} />
      {lane?.staged && <Outcome plan={plan} item={lane.staged} window={lane.window} />}
      {note !== '' && <span className="field-note">{textOf(note)}</span>}
    </div>
  );
}

/** What is only weighed: its name, how much, and when it goes in. */
export function OtherFields({ plan, number, item, change }: Omit<Props<Plan['others'][number]>, 'lane'>): ReactNode {
  const places = placesFor(
    { kind: 'other' },
    [...placesOf(plan), AT_THE_END].map((place) => ({ place })),
  );
  return (
    <div className="item-fields">
      <Input
        aria-label={t('bench.what-it-is', { number })}
        value={item.name}
        maxLength={80}
        onChange={({ target }) => target.value.trim() !== '' && change({ name: target.value })}
      />
      <HowMuch of={item.name} grams={item.grams} onGrams={(grams) => change({ grams })} />
      <Select
        aria-label={t('bench.place-of-2', { name: item.name })}
        value={item.place}
        options={places.map((value) => ({
          value,
          label: value === AT_THE_END ? t('bench.at-the-very-end-2') : lowerFirst(textOf(placeName(plan, value))),
        }))}
        popupMatchSelectWidth={190}
        onChange={(place) => change({ place })}
      />
    </div>
  );
}
