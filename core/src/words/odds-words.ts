import { say, type Text } from '@hervir/language/message';
import type { Target } from '../plan/plan';

/** How a target is said in a sentence. */
export const TARGET_WORDS: Readonly<Record<Target, Text>> = {
  slices: say('odds.it-slices-clean'),
  fork: say('odds.a-fork-slides-in'),
  pulls: say('odds.it-pulls-apart'),
  shreds: say('odds.it-falls-into-shreds'),
};

/** Where tens are too coarse: one in twenty reaches so far to each side. */
const TWENTIETH = 0.025;

/**
 * A chance as a cook counts it: so many in ten, and at the ends in twenty.
 *
 * @param chance 0 to 1
 * @example inTen(0.036) // '1 in 20'
 */
export function inTen(chance: number): Text {
  if (chance > 1 - TWENTIETH) return say('odds.nearly-sure');
  if (chance < TWENTIETH) return say('odds.hardly-ever');
  if (chance >= 1 - 3 * TWENTIETH) return say('odds.in-20', { value: 19 });
  if (chance < 3 * TWENTIETH) return say('odds.in-20', { value: 1 });
  return say('odds.in-10', { value: Math.round(chance * 10) });
}
