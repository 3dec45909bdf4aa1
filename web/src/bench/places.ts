import { OWN_STAGES, type Place, type Plan } from '@hervir/core';

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
