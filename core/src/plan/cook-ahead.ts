import { shiftIso } from '../units/time';
import type { Plan, StageId } from './plan';
import { stageOf } from './stage-settings';

/** What is cooked ahead is eaten the evening after, unless the cook says otherwise. Common practice. */
export const COOK_AHEAD = { hours: 24, depthCm: 5, warm: 'stove' } as const;

/**
 * When the cook's own work ends: on the table, or, where it is cooked ahead, in the fridge.
 *
 * @returns ISO 8601, or null where the plan has no dinner time
 * @example readyAt({ serveAt: '2027-01-17T19:00:00+01:00', cookAhead: { hours: 24, depthCm: 5, warm: 'stove' } }) // '2027-01-16T19:00:00+01:00'
 */
export function readyAt({ serveAt, cookAhead }: Pick<Plan, 'serveAt' | 'cookAhead'>): string | null {
  return serveAt === null || cookAhead === undefined ? serveAt : shiftIso(serveAt, -cookAhead.hours * 60);
}

/**
 * Whether what goes to a place of a plan goes in on the day it is eaten: cooked apart or put in off the heat, where the
 * braise is cooked ahead.
 *
 * @throws RangeError for a stage that neither the plan nor Hervir knows
 * @example isOnTheDay({ stages: [] }, 'folded-in') // false
 */
export function isOnTheDay(plan: Pick<Plan, 'stages' | 'cookAhead'>, place: StageId): boolean {
  if (plan.cookAhead === undefined || ['start', 'flavour-only', 'auto', 'end'].includes(place)) return false;
  const { kind } = stageOf(plan, place);
  return kind === 'apart' || kind === 'off-heat';
}

/**
 * The plan with what is left to Hervir cooked on the day: vegetables that wait a night in their sauce are soft. What is to
 * melt into the sauce may.
 *
 * @example withFreshVegetables(plan) === plan // true
 */
export function withFreshVegetables(plan: Plan): Plan {
  if (plan.cookAhead === undefined) return plan;
  return {
    ...plan,
    vegetables: plan.vegetables.map((item) =>
      item.place === 'auto' && (item.texture === 'crisp' || item.texture === 'tender')
        ? { ...item, place: 'folded-in' }
        : item,
    ),
    grains: plan.grains.map((item) => (item.place === 'auto' ? { ...item, place: 'folded-in' } : item)),
  };
}
