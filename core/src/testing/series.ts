/** Bessel functions of the first kind, by their power series: exact enough for the small arguments of the roots used. */
function bessel(order: 0 | 1, x: number): number {
  let term = order === 0 ? 1 : x / 2;
  let sum = term;
  for (let k = 1; k < 120; k += 1) {
    term *= (-x * x) / (4 * k * (k + order));
    sum += term;
  }
  return sum;
}

function bisect(f: (x: number) => number, low: number, high: number): number {
  let a = low;
  let b = high;
  const rising = f(a) < 0;
  for (let i = 0; i < 200; i += 1) {
    const middle = (a + b) / 2;
    if (f(middle) < 0 === rising) a = middle;
    else b = middle;
  }
  return (a + b) / 2;
}

/** One term of the series of Incropera and DeWitt: root, coefficient at the middle, volume mean of its shape. */
export interface Term {
  readonly root: number;
  readonly coefficient: number;
  readonly mean: number;
}

/**
 * The exact series of transient conduction with a surface coefficient (Incropera and DeWitt, Fundamentals of Heat and
 * Mass Transfer, chapter 5): written apart from the core, root by root, for the tests to compare with.
 */
export function seriesTerms(dimension: 1 | 2 | 3, biot: number, count: number): Term[] {
  return Array.from({ length: count }, (_, n) => {
    const low = n * Math.PI + 1e-9;
    const high = dimension === 1 ? n * Math.PI + Math.PI / 2 - 1e-12 : (n + 1) * Math.PI - 1e-12;
    switch (dimension) {
      case 1: {
        const root = bisect((z) => z * Math.sin(z) - biot * Math.cos(z), low, high);
        const coefficient = (4 * Math.sin(root)) / (2 * root + Math.sin(2 * root));
        return { root, coefficient, mean: Math.sin(root) / root };
      }
      case 2: {
        const root = bisect(
          (z) => z * bessel(1, z) - biot * bessel(0, z),
          n === 0 ? 1e-9 : besselZero(n),
          besselZero(n + 1),
        );
        const j0 = bessel(0, root);
        const j1 = bessel(1, root);
        return { root, coefficient: (2 * j1) / (root * (j0 * j0 + j1 * j1)), mean: (2 * j1) / root };
      }
      case 3: {
        const root = bisect((z) => 1 * Math.sin(z) - z * Math.cos(z) - biot * Math.sin(z), low, high);
        const coefficient = (4 * (Math.sin(root) - root * Math.cos(root))) / (2 * root - Math.sin(2 * root));
        return { root, coefficient, mean: (3 * (Math.sin(root) - root * Math.cos(root))) / root ** 3 };
      }
    }
  });
}

/** Zeros of J1 bound the roots for a cylinder; the n-th, by bisection around McMahon's approximation. */
function besselZero(n: number): number {
  const guess = (n + 0.25) * Math.PI;
  return bisect((x) => (n % 2 === 1 ? bessel(1, x) : -bessel(1, x)) * -1, guess - 0.5, guess + 0.5);
}

/** Share of the temperature gap left at the middle, and on the mean, after a Fourier number. */
export function seriesGap(
  dimension: 1 | 2 | 3,
  biot: number,
  fourier: number,
  count = 18,
): { core: number; mean: number } {
  let core = 0;
  let mean = 0;
  for (const term of seriesTerms(dimension, biot, count)) {
    const part = term.coefficient * Math.exp(-term.root * term.root * fourier);
    core += part;
    mean += part * term.mean;
  }
  return { core, mean };
}
