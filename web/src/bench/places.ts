import type { Place, Plan } from '@hervir/core';

/** The places of an evening, in its order, as they are called on the bench. */
export const PLACES_IN_ORDER: readonly Place[] = [
  'start',
  'second-run',
  'simmer',
  'off-heat',
  'folded-in',
  'flavour-only',
];

export const PLACE_NAMES: Readonly<Record<Place, string>> = {
  start: 'From the start',
  'second-run': 'Second run',
  simmer: 'Open simmer',
  'off-heat': 'Off the heat',
  'folded-in': 'Folded in',
  'flavour-only': 'Flavour only',
};

/** The same, where there is little room. */
export const PLACE_SHORT: Readonly<Record<Place, string>> = {
  start: 'Start',
  'second-run': 'Second run',
  simmer: 'Simmer',
  'off-heat': 'Off heat',
  'folded-in': 'Folded in',
  'flavour-only': 'Flavour',
};

type Entry = { readonly kind: 'vegetable' | 'grain'; readonly id: string };

/** The plan with one vegetable or grain pinned to a place, or left to Hervir again. */
export function pinned(plan: Plan, { kind, id }: Entry, place: Plan['grains'][number]['place']): Plan {
  return kind === 'vegetable'
    ? { ...plan, vegetables: plan.vegetables.map((item) => (item.vegetable === id ? { ...item, place } : item)) }
    : { ...plan, grains: plan.grains.map((item) => (item.grain === id ? { ...item, place } : item)) };
}
