import { OWN_STAGES, portionsOf, stageOf, type Place, type Plan, type PortionId } from '@hervir/core';

const NAMES: Readonly<Record<string, string>> = {
  start: 'From the start',
  'second-run': 'Second run',
  simmer: 'Open simmer',
  'off-heat': 'Off the heat',
  'folded-in': 'Folded in',
  'flavour-only': 'Flavour only',
};
/** The same, where there is little room. */
const SHORT: Readonly<Record<string, string>> = {
  start: 'Start',
  'second-run': 'Second run',
  simmer: 'Simmer',
  'off-heat': 'Off heat',
  'folded-in': 'Folded in',
  'flavour-only': 'Flavour',
};
const KIND_NAMES = {
  pressure: 'Pressure',
  simmer: 'Simmer',
  'off-heat': 'Off the heat',
  apart: 'Cooked apart',
} as const;

/** The places of a plan's evening, in its order: the cook's own stages, and those that Hervir may make. */
export function placesOf(plan: Pick<Plan, 'stages'>): Place[] {
  const own = plan.stages.map(({ id }) => id);
  const hers = OWN_STAGES.filter((id) => !own.includes(id));
  const late = ['off-heat', 'folded-in'];
  return [
    'start',
    ...own.filter((id) => !late.includes(id)),
    ...hers.filter((id) => !late.includes(id)),
    ...late.filter((id) => own.includes(id) || hers.some((one) => one === id)),
    'flavour-only',
  ];
}

/** What a place is called: the cook's own name for a stage, or its kind. */
export function placeName(plan: Pick<Plan, 'stages'>, place: Place): string {
  const own = plan.stages.find(({ id }) => id === place);
  return own?.name ?? NAMES[place] ?? (own ? KIND_NAMES[own.kind] : place);
}

export function placeShort(plan: Pick<Plan, 'stages'>, place: Place): string {
  const own = plan.stages.find(({ id }) => id === place);
  return own?.name ?? SHORT[place] ?? (own ? KIND_NAMES[own.kind] : place);
}

/** Stages that are done over the heat after the first run: meat, broth and minutes are asked of them. */
export function isHotPlace(plan: Pick<Plan, 'stages'>, place: Place): boolean {
  if (place === 'start' || place === 'flavour-only' || place === 'auto') return false;
  const { kind } = stageOf(plan, place);
  return kind === 'pressure' || kind === 'simmer';
}

/** The plan with one vegetable or grain pinned to a place, or left to Hervir again. */
export function pinned(plan: Plan, portion: PortionId, place: Place): Plan {
  const found = portionsOf(plan).find(({ id }) => id === portion);
  const at = <T extends object>(items: readonly T[]): T[] =>
    items.map((item, i) => (i === found?.index ? { ...item, place } : item));
  if (found?.kind === 'vegetable') return { ...plan, vegetables: at(plan.vegetables) };
  return found?.kind === 'grain' ? { ...plan, grains: at(plan.grains) } : plan;
}
