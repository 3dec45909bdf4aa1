import { roundTo } from '../units/round';
import type { Meat, Plan } from './plan';

/**
 * More or less of the same meat: weight, trimmings and, where they were counted, pieces.
 *
 * @param meat as planned
 * @param ratio of the new weight to the old
 * @param steps weights are rounded to, g
 * @example scaledMeat(kiloOfChuck, 0.5).grams // 500
 */
export function scaledMeat<T extends Meat>(meat: T, ratio: number, steps = { grams: 1, trimGrams: 1 }): T {
  const { pieces } = meat;
  return {
    ...meat,
    grams: roundTo(meat.grams * ratio, steps.grams),
    trimGrams: roundTo(meat.trimGrams * ratio, steps.trimGrams),
    ...(pieces === undefined ? {} : { pieces: Math.max(1, Math.round(pieces * ratio)) }),
  };
}

/** Everything that is weighed: what grows with the number at the table. */
type Weighed = Pick<Plan, 'meat' | 'otherMeats' | 'vegetables' | 'grains' | 'aromatics' | 'additions' | 'others'>;

/**
 * All that is weighed in a plan, more or less of it; liquid is another matter, and so are minutes.
 *
 * @param plan as it is
 * @param ratio of the new weights to the old
 * @param steps weights of meat are rounded to, g
 * @example scaledPlan(plan, 0.5).meat.grams // 800
 */
export function scaledPlan(plan: Weighed, ratio: number, steps = { grams: 1, trimGrams: 1 }): Weighed {
  const some = <T extends { readonly grams: number }>(items: readonly T[]): T[] =>
    items.map((item) => ({ ...item, grams: Math.max(1, roundTo(item.grams * ratio, item.grams < 30 ? 1 : 5)) }));
  return {
    meat: scaledMeat(plan.meat, ratio, steps),
    otherMeats: plan.otherMeats.map((meat) => scaledMeat(meat, ratio, steps)),
    vegetables: some(plan.vegetables),
    grains: some(plan.grains),
    aromatics: some(plan.aromatics),
    additions: some(plan.additions),
    others: some(plan.others),
  };
}
