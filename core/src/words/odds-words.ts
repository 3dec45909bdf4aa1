import type { Target } from '../plan/plan';

/** How a target is said in a sentence. */
export const TARGET_WORDS: Readonly<Record<Target, string>> = {
  slices: 'it slices clean',
  fork: 'a fork slides in',
  pulls: 'it pulls apart',
  shreds: 'it falls into shreds',
};

/** Chances as a cook counts them: so many in ten. */
export function inTen(chance: number): string {
  const tenths = Math.round(chance * 10);
  if (chance > 0.975) return 'nearly sure';
  if (chance < 0.025) return 'hardly ever';
  return `${Math.min(9, Math.max(1, tenths))} in 10`;
}
