import { cutById } from '../larder/cuts';
import type { Plan } from './plan';

/**
 * How tough the plan's meat is taken to be: the table's figure for its cut, times what this kitchen's cooks have taught.
 *
 * @param plan its cut, and what was learnt
 * @throws RangeError for a cut that is not in the larder
 * @example toughnessOf(planFor('beef-chuck', 'chunks', 1000)) // 1
 */
export function toughnessOf({ meat, learnt }: Pick<Plan, 'meat' | 'learnt'>): number {
  return cutById(meat.cut).toughness * (learnt?.toughness?.factor ?? 1);
}
