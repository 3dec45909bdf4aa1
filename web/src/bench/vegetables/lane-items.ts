import {
  isHotPlace,
  placeName,
  placeShort,
  textureMinutes,
  vegetableById,
  grainById,
  portionsOf,
  type Forecast,
  type Place,
  type Plan,
  type PortionId,
  type StagedItem,
  type TextureMinutes,
} from '@hervir/core';
import { placesOf } from '../places';
import { changedAt } from './plan-lists';
import { t, textOf } from '../../language/t';

/** Something that goes in at a stage, by the list of the plan it stands in. */
export interface LaneItem {
  readonly kind: 'vegetable' | 'grain' | 'other';
  readonly index: number;
  readonly name: string;
  readonly grams: number;
  readonly place: Place;
  /** What becomes of it; undefined for what is only weighed. */
  readonly staged: StagedItem | undefined;
  /** The minutes of its stage in which it is as asked; undefined where there are none to choose. */
  readonly window: TextureMinutes | undefined;
}

/** A stage of the evening with what goes in at it. */
export interface LaneOf {
  readonly place: Place;
  readonly name: string;
  readonly short: string;
  /** Minutes that can be dragged; null where nothing is timed. */
  readonly minutes: number | null;
  /** Held by the cook's own hand, or worked out. */
  readonly fixed: boolean;
  readonly items: readonly LaneItem[];
}

/** What is open beside the lanes: one of the things that go in, or a stage. */
export type Chosen =
  { readonly kind: LaneItem['kind']; readonly index: number } | { readonly kind: 'stage'; readonly place: Place };

/** Where what goes in when it is eaten stands. */
export const AT_THE_END = 'end';

function portionIds(plan: Plan): (kind: LaneItem['kind'], index: number) => PortionId | undefined {
  const portions = portionsOf(plan);
  return (kind, index) => portions.find((one) => one.kind === kind && one.index === index)?.id;
}

/** Everything that goes in at a stage, in the order of the plan's lists. */
function laneItems(plan: Plan, forecast: Forecast): LaneItem[] {
  const idOf = portionIds(plan);
  const staged = forecast.stages.flatMap((stage) => stage.items);
  const windows = textureMinutes(forecast);
  const item = (
    kind: LaneItem['kind'],
    index: number,
    { grams, place, name }: { readonly grams: number; readonly place: Place; readonly name: string },
  ): LaneItem => {
    const portion = kind === 'other' ? undefined : idOf(kind, index);
    const stage = portion === undefined ? undefined : staged.find((one) => one.portion === portion);
    return {
      kind,
      index,
      name,
      grams,
      place: stage?.place ?? (place === 'auto' ? 'start' : place),
      staged: stage,
      window: windows.find((one) => one.portion === portion),
    };
  };
  return [
    ...plan.vegetables.map((one, i) =>
      item('vegetable', i, { ...one, name: textOf(one.name ?? vegetableById(one.vegetable).name) }),
    ),
    ...plan.grains.map((one, i) => item('grain', i, { ...one, name: textOf(one.name ?? grainById(one.grain).name) })),
    ...plan.others.map((one, i) => item('other', i, one)),
  ];
}

/** The stages of a plan in the order of its evening, each with its minutes and what goes in. */
export function lanesOf(plan: Plan, forecast: Forecast): LaneOf[] {
  const items = laneItems(plan, forecast);
  const last = plan.others.length > 0 ? [AT_THE_END] : [];
  return [...placesOf(plan), ...last].map((place): LaneOf => {
    const own = plan.stages.find(({ id }) => id === place);
    const stage = forecast.stages.find((one) => one.place === place);
    const hot =
      place !== AT_THE_END && isHotPlace(plan, place) && (stage !== undefined || (own?.minutes ?? null) !== null);
    return {
      place,
      name: textOf(place === AT_THE_END ? t('bench.at-the-very-end') : placeName(plan, place)),
      short: textOf(place === AT_THE_END ? t('bench.at-the-end') : placeShort(plan, place)),
      minutes: place === 'start' ? forecast.pressureMinutes : hot ? (stage?.minutes ?? own?.minutes ?? 0) : null,
      fixed: place === 'start' ? plan.pressureMinutes !== null : (own?.minutes ?? null) !== null,
      items: items.filter((one) => one.place === place),
    };
  });
}

/** A lane that has something to show; the others are only where something can be dropped. */
export const isShown = ({ place, items, minutes }: LaneOf): boolean =>
  place === 'start' || items.length > 0 || minutes !== null;

/** What is only weighed is eaten: it is neither lifted out for its flavour nor folded in, but may go in at the very end. */
const ONLY_COOKED: ReadonlySet<Place> = new Set(['flavour-only', 'folded-in']);

/** The stages that something may be moved to. */
export const placesFor = ({ kind }: Pick<LaneItem, 'kind'>, lanes: readonly Pick<LaneOf, 'place'>[]): Place[] =>
  lanes
    .map(({ place }) => place)
    .filter((place) => (kind === 'other' ? !ONLY_COOKED.has(place) : place !== AT_THE_END));

/** The plan with something at another stage. */
export const movedTo = (plan: Plan, { kind, index }: Pick<LaneItem, 'kind' | 'index'>, place: Place): Plan =>
  changedAt(plan, kind, index, { place });

/** What is open when nothing was pressed yet: the first thing that is not as asked, or the first there is. */
export function firstChosen(lanes: readonly LaneOf[]): Chosen | null {
  const items = lanes.flatMap((lane) => lane.items);
  return items.find(({ staged }) => staged?.met === false) ?? items[0] ?? null;
}

/** The same thing, or the same stage. */
export const isChosen = (chosen: Chosen | null, item: LaneItem): boolean =>
  chosen !== null && chosen.kind !== 'stage' && chosen.kind === item.kind && chosen.index === item.index;
