/**
 * Between which shares the true one lies, when so many of so many were counted: the score interval of Wilson 1927, which holds for
 * few cooks too.
 *
 * @param kept how many
 * @param of how many; more than none
 * @param deviations 1.96 for 19 in 20, 1.28 for 8 in 10
 * @returns from, to
 * @example shareInterval(8, 10, 1.96)[0].toFixed(3) // '0.490'
 */
export function shareInterval(kept: number, of: number, deviations: number): readonly [number, number] {
  const square = deviations * deviations;
  const middle = (kept + square / 2) / (of + square);
  const half = (deviations / (of + square)) * Math.sqrt((kept * (of - kept)) / of + square / 4);
  return [Math.max(0, middle - half), Math.min(1, middle + half)];
}
