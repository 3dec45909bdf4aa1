import { cutById, type Richness } from '../catalog/cuts';
import type { Meat } from '../plan/plan';

/** Juice let go by the time the meat is hot through, and what a long cook adds, by trimmed boneless weight. Common practice. */
const JUICE_HOT = 0.18;
const JUICE_MORE = 0.07;
/** Cook value in which two thirds of the rest has come, minutes at 100 °C. From memory. */
const JUICE_COOK_VALUE = 120;
/** Meat begins to let go of its juice at the first, and has at the second, °C. Common practice. */
const JUICE_FROM_C = 45;
const JUICE_TO_C = 90;
/** Fat rendered by the end, by trimmed boneless weight. Common practice. */
export const FAT_SHARE: Readonly<Record<Richness, number>> = { lean: 0.02, medium: 0.05, rich: 0.09 };

/**
 * Trimmed meat without its bone: what juice and fat come from.
 *
 * @returns g
 * @example bonelessGrams(kiloOfChuck) // 1000
 */
export function bonelessGrams(meat: Meat): number {
  const share = meat.boneIn ? cutById(meat.cut).boneShare : 0;
  return Math.max(0, meat.grams - meat.trimGrams) * (1 - share);
}

/**
 * Juice let go so far: 18 % once it is hot through, up to 25 % in a long cook. Common practice.
 *
 * @param meat weights in g
 * @param meanC mean temperature of the pieces now, °C
 * @param meanCookValue so far, minutes at 100 °C
 * @returns ml
 * @example juiceMl(kiloOfChuck, 110, 0) // 180
 */
export function juiceMl(meat: Meat, meanC: number, meanCookValue: number): number {
  const hot = Math.min(1, Math.max(0, (meanC - JUICE_FROM_C) / (JUICE_TO_C - JUICE_FROM_C)));
  const more = -Math.expm1(-Math.max(0, meanCookValue) / JUICE_COOK_VALUE);
  return bonelessGrams(meat) * (JUICE_HOT * hot + JUICE_MORE * more);
}

/**
 * Fat rendered by the end: lean 2, medium 5, rich 9 %. Common practice.
 *
 * @returns g, which a cook may read as ml
 * @example fatMl(kiloOfChuck) // 90
 */
export function fatMl(meat: Meat): number {
  return bonelessGrams(meat) * FAT_SHARE[cutById(meat.cut).richness];
}
