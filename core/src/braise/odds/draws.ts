import { normalQuantile } from '../../physics/normal';
import { seeded } from '../../physics/random';

/** Draws of one evening: each a standard normal variable, by the place of what varies. */
export type Draw = Float64Array;

/** Always the same draws: two edits that change nothing show the same figures. */
const SEED = 20;

/**
 * Draws of several independent normal variables by a Latin hypercube: each variable takes each of its strata once, so that a
 * sum of them comes out nearly exactly. McKay, Beckman and Conover 1979.
 *
 * @param count of draws
 * @param variables in each
 * @returns the same for the same two numbers
 * @example draws(100, 3).length // 100
 */
export function draws(count: number, variables: number): readonly Draw[] {
  const strata = Float64Array.from({ length: count }, (_, i) => normalQuantile((i + 0.5) / count));
  const all = Array.from({ length: count }, () => new Float64Array(variables));
  for (let variable = 0; variable < variables; variable += 1) {
    // Its own seed: a further variable leaves the others as they were.
    const random = seeded(SEED + variable);
    const order = Uint32Array.from({ length: count }, (_, i) => i);
    for (let i = count - 1; i > 0; i -= 1) {
      const j = Math.floor(random.next() * (i + 1));
      [order[i], order[j]] = [order[j] as number, order[i] as number];
    }
    all.forEach((draw, i) => {
      draw[variable] = strata[order[i] as number] as number;
    });
  }
  return all;
}
