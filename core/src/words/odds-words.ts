import { say, type Text } from '@hervir/language/message';
import type { Target } from '../plan/plan';

/** How a target is said in a sentence. */
export const TARGET_WORDS: Readonly<Record<Target, Text>> = {
  slices: say('odds.it-slices-clean'),
  fork: say('odds.a-fork-slides-in'),
  pulls: say('odds.it-pulls-apart'),
  shreds: say('odds.it-falls-into-shreds'),
};

/** Chances as a cook counts them: so many in ten. */
export function inTen(chance: number): Text {
  const tenths = Math.round(chance * 10);
  if (chance > 0.975) return say('odds.nearly-sure');
  if (chance < 0.025) return say('odds.hardly-ever');
  return say('odds.in-10', { value: Math.min(9, Math.max(1, tenths)) });
}
