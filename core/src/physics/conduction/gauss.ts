/** Nodes and weights of a quadrature on 0 to 1; the weights add up to one. */
export interface Quadrature {
  readonly nodes: readonly number[];
  readonly weights: readonly number[];
}

/** Legendre polynomial of degree n and its derivative, by the three-term recurrence. */
function legendre(n: number, x: number): [number, number] {
  let before = 1;
  let now = x;
  for (let k = 2; k <= n; k += 1) [before, now] = [now, ((2 * k - 1) * x * now - (k - 1) * before) / k];
  return [now, (n * (x * now - before)) / (x * x - 1)];
}

/**
 * Gauss-Legendre quadrature on -1 to 1, by Newton's method from Tricomi's starting values.
 * Abramowitz and Stegun 1964, 25.4.29 and 22.16.6.
 *
 * @param n number of nodes, 2 to 64
 * @returns nodes falling from 1 to -1, weights adding up to 2
 * @throws RangeError outside the range
 * @example gaussLegendre(2).nodes[0] // 0.5773502691896257
 */
export function gaussLegendre(n: number): Quadrature {
  if (!Number.isInteger(n) || n < 2 || n > 64) throw new RangeError(`${n} nodes: allowed are 2 to 64`);
  const nodes: number[] = [];
  const weights: number[] = [];
  for (let i = 1; i <= n; i += 1) {
    let x = Math.cos((Math.PI * (i - 0.25)) / (n + 0.5));
    for (let step = 0; step < 50; step += 1) {
      const [p, slope] = legendre(n, x);
      const change = p / slope;
      x -= change;
      if (Math.abs(change) < 1e-15) break;
    }
    const [, slope] = legendre(n, x);
    nodes.push(x);
    weights.push(2 / ((1 - x * x) * slope * slope));
  }
  return { nodes, weights };
}

/**
 * Volume-mean quadrature for a profile that is even in the distance from the middle: nodes in r from 0 to 1.
 * Exact for polynomials in r² up to degree 2n - 1 (Villadsen and Michelsen 1978, Solution of Differential Equation
 * Models by Polynomial Approximation, chapter 3: the Jacobi points of a symmetric problem).
 *
 * @param dimension 1 for a wall, 2 for a cylinder's radius, 3 for a sphere's
 * @param n number of nodes, 2 to 31
 * @returns nodes r falling from the surface to the middle, weights adding up to one
 * @example evenQuadrature(3, 4).weights.reduce((sum, w) => sum + w, 0) // 1.000000000
 */
export function evenQuadrature(dimension: 1 | 2 | 3, n: number): Quadrature {
  if (dimension === 2) {
    const { nodes, weights } = gaussLegendre(n);
    return { nodes: nodes.map((x) => Math.sqrt((x + 1) / 2)), weights: weights.map((w) => w / 2) };
  }
  // The positive half of a symmetric rule on -1 to 1; a sphere's middle node carries no volume and falls away.
  const { nodes, weights } = gaussLegendre(dimension === 1 ? 2 * n : 2 * n + 1);
  const half = nodes.slice(0, n);
  return {
    nodes: half,
    weights: half.map((r, i) => (weights[i] as number) * (dimension === 1 ? 1 : 3 * r * r)),
  };
}
