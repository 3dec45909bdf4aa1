import { OWN_STAGES, portionsOf, stageOf, type Place, type Plan, type PortionId } from '@hervir/core';

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
