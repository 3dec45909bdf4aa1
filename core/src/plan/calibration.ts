import { cutById } from '../catalog/cuts';
import { heaterSpread, spreadAfter, VARIES, type Spread } from '../catalog/what-varies';
import type { LearntFactors, Plan } from './plan';

/**
 * How tough the plan's meat is taken to be: the table's figure for its cut, times what this kitchen's cooks have taught.
 *
 * @param plan its cut, and what was learnt
 * @throws RangeError for a cut that is not in the catalog
 * @example toughnessOf(planFor('beef-chuck', 'chunks', 1000)) // 1
 */
export function toughnessOf({ meat, learnt }: Pick<Plan, 'meat' | 'learnt'>): number {
  return cutById(meat.cut).toughness * (learnt?.toughness?.factor ?? 1);
}

/**
 * How far an evening may be off what is reckoned, before this kitchen has taught anything.
 *
 * @param what can be learnt
 * @param cooker by what it stands on
 * @example listedSpread('prep', { kind: 'electric' }) // { cv: 0.25, steady: 0.15 }
 */
export function listedSpread(what: keyof LearntFactors, { kind }: Pick<Plan['cooker'], 'kind'>): Spread {
  switch (what) {
    case 'heat':
      return heaterSpread(kind);
    case 'prep':
      return VARIES.board;
    default:
      return VARIES[what];
  }
}

/**
 * How far the next evening may be off what is reckoned: as this kitchen's own cooks lie apart, or as the list says.
 *
 * @param plan its cooker, and what was learnt
 * @param what is asked of
 * @returns standard deviation of the logarithm
 * @example spreadOf(newPlan({ cut: 'goat-neck', form: 'slices', grams: 1600 }), 'toughness') // 0.2
 */
export function spreadOf({ cooker, learnt }: Pick<Plan, 'cooker' | 'learnt'>, what: keyof LearntFactors): number {
  const known = learnt?.[what];
  // Plans of before know by how many cooks only.
  return known?.spread ?? spreadAfter(listedSpread(what, cooker), known?.cooks ?? 0);
}
