/** From a value to where it is drawn. */
export type Linear = (value: number) => number;

type Span = readonly [number, number];

/**
 * A straight scale. The first room draws with this one: the drawing library's own goes between colours and writes numbers
 * too, and would make its first load a tenth larger.
 *
 * @param values at both ends
 * @param places of both, px
 * @example linear([0, 100], [20, 220])(50) // 120
 */
export const linear =
  ([from, to]: Span, [start, end]: Span): Linear =>
  (value) =>
    start + ((value - from) / (to - from)) * (end - start);

/** The same, that never leaves its places. */
export function clamped(values: Span, places: Span): Linear {
  const scale = linear(values, places);
  return (value) => scale(Math.min(Math.max(value, values[0]), values[1]));
}
