import { bonelessGrams, fatMl, juiceMl } from '../meat/yield';
import { cutById } from '../catalog/cuts';
import type { Meat, Plan } from '../plan/plan';

/** The sear evaporates this much of the trimmed weight. Common practice. */
export const SEAR_LOSS = 0.02;
/** How well the balance is known: animals and cuts differ. Common practice. */
const SPREAD = 0.06;
/** Raw boneless a person, g. Common practice: 150 to 250; cured meat is salty, and sliced thin. */
const A_PERSON = { usual: 200, cured: 150 } as const;

/** Grams are weighed: a portion is not lost to a rounding. */
const A_LITTLE = 1e-9;

/** What comes onto the plate. */
export interface Yield {
  /** Cooked meat without bone, g: from, to. */
  readonly cookedGrams: readonly [number, number];
  readonly boneGrams: number;
  /** Servings of meat it makes at the usual amount. */
  readonly portions: number;
  /** Raw boneless grams a person, as planned. */
  readonly rawEach: number;
}

/** A cut as it was cooked. */
export interface CookedCut {
  readonly meat: Meat;
  /** Mean temperature at the end, °C. */
  readonly meanC: number;
  /** Mean, minutes at 100 °C. */
  readonly cookValue: number;
}

/** Bought to so much, g. */
const BOUGHT_TO_G = 50;

/**
 * Meat to buy for a number of people, at the usual amount: what is bone and what is trimmed is bought with it.
 *
 * @param meat its cut, whether it is bought on its bone, and what is cut off it as a share of what is bought
 * @param servings people
 * @returns g as bought
 * @throws RangeError for a cut that the catalog does not know
 * @example meatFor({ cut: 'beef-chuck', boneIn: false }, 8) // 1600
 */
export function meatFor(
  { cut, boneIn, trimShare = 0 }: { readonly cut: string; readonly boneIn: boolean; readonly trimShare?: number },
  servings: number,
): number {
  const { cured, boneShare } = cutById(cut);
  const boneless = servings * (cured ? A_PERSON.cured : A_PERSON.usual);
  const bought = boneless / (1 - (boneIn ? boneShare : 0)) / (1 - Math.min(0.9, trimShare));
  return Math.ceil(bought / BOUGHT_TO_G - A_LITTLE) * BOUGHT_TO_G;
}

/**
 * Cooked weight and portions: trimmed meat less juice, fat and what the sear evaporates; bone goes through unchanged and
 * is not eaten. The same balance as the ledger.
 *
 * @param plan its sear and servings
 * @param cuts all cuts that are in the pot
 * @returns a range, not a point
 * Accuracy: trimmed boneless braise at 60 to 72 % of raw (USDA Table of Cooking Yields for Meat and Poultry; from memory).
 * @example yieldOf(plan, [{ meat: plan.meat, meanC: 105, cookValue: 90 }]).portions // 4
 */
export function yieldOf(plan: Pick<Plan, 'sear' | 'servings'>, cuts: readonly CookedCut[]): Yield {
  const sum = (of: (cut: CookedCut) => number): number => cuts.reduce((all, cut) => all + of(cut), 0);
  const raw = sum(({ meat }) => bonelessGrams(meat));
  const trimmed = sum(({ meat: { grams, trimGrams } }) => Math.max(0, grams - trimGrams));
  const seared = plan.sear.school === 'none' ? 0 : raw * SEAR_LOSS;
  const lost = sum(({ meat, meanC, cookValue }) => juiceMl(meat, meanC, cookValue) + fatMl(meat));
  const portions = sum(({ meat }) => bonelessGrams(meat) / (cutById(meat.cut).cured ? A_PERSON.cured : A_PERSON.usual));
  const middle = Math.max(0, raw - lost - seared);
  return {
    cookedGrams: [middle * (1 - SPREAD), middle * (1 + SPREAD)],
    boneGrams: trimmed - raw,
    portions: Math.max(1, Math.floor(portions + A_LITTLE)),
    rawEach: raw / Math.max(1, plan.servings),
  };
}
