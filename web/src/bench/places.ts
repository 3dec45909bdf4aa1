import { OWN_STAGES, portionsOf, type Place, type Plan, type PortionId } from '@hervir/core';

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

/** The plan with one vegetable or grain pinned to a place, or left to Hervir again. */
export function pinned(plan: Plan, portion: PortionId, place: Place): Plan {
  const found = portionsOf(plan).find(({ id }) => id === portion);
  const at = <T extends object>(items: readonly T[]): T[] =>
    items.map((item, i) => (i === found?.index ? { ...item, place } : item));
  if (found?.kind === 'vegetable') return { ...plan, vegetables: at(plan.vegetables) };
  return found?.kind === 'grain' ? { ...plan, grains: at(plan.grains) } : plan;
}
