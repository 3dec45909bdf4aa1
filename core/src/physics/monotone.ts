/** A smooth curve through points: cubic pieces with given slopes at the points. */
export interface MonotoneCurve {
  /** The curve's value; beyond its ends, a straight line on. */
  at(x: number): number;
}

/**
 * A curve through points that never overshoots between them: where the points rise, it rises.
 * Fritsch and Carlson 1980, Monotone piecewise cubic interpolation, SIAM J. Numer. Anal. 17(2).
 *
 * @param xs rising, two or more
 * @param ys one a point
 * @throws RangeError when there are fewer than two points, or xs do not rise
 * @example monotoneCurve([0, 1, 2], [0, 1, 2]).at(1.5) // 1.5
 */
export function monotoneCurve(xs: readonly number[], ys: readonly number[]): MonotoneCurve {
  const n = xs.length;
  if (n < 2 || ys.length !== n) throw new RangeError(`${n} points: two or more are needed, with one value each`);
  const slopes: number[] = [];
  for (let i = 0; i < n - 1; i += 1) {
    const width = (xs[i + 1] as number) - (xs[i] as number);
    if (!(width > 0)) throw new RangeError('the points must rise');
    slopes.push(((ys[i + 1] as number) - (ys[i] as number)) / width);
  }
  const tangents = xs.map((_, i) => {
    const before = slopes[Math.max(0, i - 1)] as number;
    const after = slopes[Math.min(i, n - 2)] as number;
    if (before * after <= 0) return 0;
    // The harmonic mean keeps each tangent within three times the smaller slope, the condition of the paper.
    const left = i > 0 ? (xs[i] as number) - (xs[i - 1] as number) : 1;
    const right = i < n - 1 ? (xs[i + 1] as number) - (xs[i] as number) : 1;
    const a = (left + 2 * right) / (3 * (left + right));
    return (before * after) / (a * after + (1 - a) * before);
  });
  return {
    at(x: number): number {
      if (x <= (xs[0] as number)) return (ys[0] as number) + (tangents[0] as number) * (x - (xs[0] as number));
      if (x >= (xs[n - 1] as number))
        return (ys[n - 1] as number) + (tangents[n - 1] as number) * (x - (xs[n - 1] as number));
      let low = 0;
      let high = n - 1;
      while (high - low > 1) {
        const middle = (low + high) >> 1;
        if ((xs[middle] as number) <= x) low = middle;
        else high = middle;
      }
      const width = (xs[high] as number) - (xs[low] as number);
      const t = (x - (xs[low] as number)) / width;
      const u = 1 - t;
      return (
        u * u * (1 + 2 * t) * (ys[low] as number) +
        t * t * (3 - 2 * t) * (ys[high] as number) +
        t * u * width * (u * (tangents[low] as number) - t * (tangents[high] as number))
      );
    },
  };
}
