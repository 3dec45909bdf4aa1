import type { Cooker, Plan } from '../plan/plan';
import type { Contents } from './contents';
import { halfFill, startGrains } from './contents';

/** Most of the pot that may be filled; half with what swells or foams. Makers' manuals and extension services; from memory. */
export const FILL_LIMIT = 2 / 3;
export const FILL_LIMIT_SWELLING = 1 / 2;
/** Common sizes of pots, litres. Common practice. */
const SIZES = [3, 4, 4.5, 5, 5.7, 6, 7, 8, 9, 10, 12, 15, 20, 25, 30];

/** How full the pot is with its lid on. */
export interface Fill {
  readonly litres: number;
  /** Of the whole pot. */
  readonly share: number;
  readonly limit: number;
  readonly over: boolean;
  /** It does not even go in. */
  readonly overflows: boolean;
  /** Runs that would keep each under the line. */
  readonly runs: number;
  /** Smallest usual pot that holds it, litres; null where none does. */
  readonly potLitres: number | null;
}

/**
 * How full the pot is against its line, the gaps between solids counted.
 *
 * @param plan its cooker and what swells
 * @param contents what is in it
 * @param swelling whether something that swells or foams is in it now; from the plan's first lid when left out
 * @example fillOf(plan, contentsOf(plan, pieceOf(plan.meat), chargesOf(plan), 400)).over // false
 */
export function fillOf(
  plan: Pick<Plan, 'grains'> & { cooker: Pick<Cooker, 'litres'> },
  contents: Contents,
  swelling = halfFill(startGrains(plan)),
): Fill {
  const limit = swelling ? FILL_LIMIT_SWELLING : FILL_LIMIT;
  const litres = contents.occupiedMl / 1000;
  const share = litres / plan.cooker.litres;
  return {
    litres,
    share,
    limit,
    over: share > limit,
    overflows: share > 1,
    runs: Math.max(1, Math.ceil(share / limit - 1e-9)),
    potLitres: SIZES.find((size) => litres / size <= limit) ?? null,
  };
}
