import { roundTo } from '../units/round';
import type { Meat } from './plan';

/**
 * More or less of the same meat: weight, trimmings and, where they were counted, pieces.
 *
 * @param meat as planned
 * @param ratio of the new weight to the old
 * @param steps weights are rounded to, g
 * @example scaledMeat(kiloOfChuck, 0.5).grams // 500
 */
export function scaledMeat(meat: Meat, ratio: number, steps = { grams: 1, trimGrams: 1 }): Meat {
  const { pieces } = meat;
  return {
    ...meat,
    grams: roundTo(meat.grams * ratio, steps.grams),
    trimGrams: roundTo(meat.trimGrams * ratio, steps.trimGrams),
    ...(pieces === undefined ? {} : { pieces: Math.max(1, Math.round(pieces * ratio)) }),
  };
}
