import { symmetricEigen } from './eigen';
import { evenQuadrature } from './gauss';

/**
 * One direction of a body, solved into modes: the temperature along it is a sum of shapes, each of which runs after
 * the surroundings with a rate of its own. Dimensionless: distance over the half-thickness, rates per Fourier number.
 */
export interface ModalAxis {
  readonly dimension: 1 | 2 | 3;
  readonly biot: number;
  readonly size: number;
  /** Rate of each mode per unit of Fourier number. */
  readonly rates: Float64Array;
  /** shapes[node * size + mode]; the shapes add up to one at every node. */
  readonly shapes: Float64Array;
  /** Place of each node, from 0 in the middle to 1 at the surface. */
  readonly nodes: Float64Array;
  /** Volume-mean weight of each node. */
  readonly weights: Float64Array;
  /** Each mode's volume mean; they add up to one. */
  readonly means: Float64Array;
  /** Each mode at the middle, and at the surface. */
  readonly atCore: Float64Array;
  readonly atSurface: Float64Array;
}

/** Everything about the nodes that does not depend on the surface coefficient; made once for each kind of axis. */
interface Collocation {
  readonly nodes: readonly number[];
  readonly weights: readonly number[];
  readonly stiffness: readonly (readonly number[])[];
  readonly toCore: readonly number[];
  readonly toSurface: readonly number[];
}

/** Lagrange basis on the nodes, evaluated at a point. */
function lagrange(nodes: readonly number[], at: number): number[] {
  return nodes.map((own, i) =>
    nodes.reduce((product, other, j) => (i === j ? product : (product * (at - other)) / (own - other)), 1),
  );
}

function differentiation(nodes: readonly number[]): number[][] {
  const slopes = nodes.map((own, i) =>
    nodes.reduce((product, other, j) => (i === j ? product : product * (own - other)), 1),
  );
  return nodes.map((own, i) =>
    nodes.map((other, j) =>
      i === j
        ? nodes.reduce((sum, third, k) => (k === i ? sum : sum + 1 / (own - third)), 0)
        : (slopes[i] as number) / ((slopes[j] as number) * (own - other)),
    ),
  );
}

function collocate(dimension: 1 | 2 | 3, size: number): Collocation {
  const { nodes, weights } = evenQuadrature(dimension, size);
  const s = nodes.map((r) => r * r);
  const d = differentiation(s);
  const stiffness = s.map((_, i) =>
    s.map((__, j) =>
      s.reduce(
        (sum, sq, q) =>
          sum + (weights[q] as number) * 4 * sq * ((d[q] as number[])[i] as number) * ((d[q] as number[])[j] as number),
        0,
      ),
    ),
  );
  return { nodes, weights, stiffness, toCore: lagrange(s, 0), toSurface: lagrange(s, 1) };
}

const collocations = new Map<string, Collocation>();

/** Axes already solved: a dragged handle asks for the same ones again and again. */
const solved = new Map<string, ModalAxis>();
const KEPT = 64;

/**
 * Solves one axis of a body with a surface coefficient into its modes: a Galerkin form on even polynomials at the
 * Jacobi points of the symmetric problem (Villadsen and Michelsen 1978, chapters 3 and 4), diagonalised. The weak form
 * keeps heat exactly: what the mean gains is what the surface lets in.
 *
 * @param dimension 1 wall, 2 cylinder's radius, 3 sphere's radius
 * @param biot surface coefficient times half-thickness over conductivity, above 0
 * @param size number of modes, 3 to 16
 * @throws RangeError when the Biot number is not above zero
 * Accuracy: with 5 modes the first rate is that of the exact series to 1e-6 up to Bi 100, and the gap left is within 1 %
 * of the full series from Fo 0.2 on.
 * @example Math.sqrt(modalAxis(1, 1, 5).rates[0]) // 0.8603
 */
export function modalAxis(dimension: 1 | 2 | 3, biot: number, size: number): ModalAxis {
  const key = `${dimension}/${biot}/${size}`;
  const known = solved.get(key);
  if (known) return known;
  const axis = solve(dimension, biot, size);
  if (solved.size >= KEPT) solved.delete(solved.keys().next().value as string);
  solved.set(key, axis);
  return axis;
}

function solve(dimension: 1 | 2 | 3, biot: number, size: number): ModalAxis {
  if (!(biot > 0) || !Number.isFinite(biot)) throw new RangeError(`Biot number ${biot}: must be above 0`);
  const key = `${dimension}/${size}`;
  let nodes = collocations.get(key);
  if (!nodes) {
    nodes = collocate(dimension, size);
    collocations.set(key, nodes);
  }
  const { weights, stiffness, toCore, toSurface } = nodes;
  const roots = weights.map(Math.sqrt);
  const matrix = stiffness.map((row, i) =>
    row.map(
      (k, j) =>
        (k + dimension * biot * (toSurface[i] as number) * (toSurface[j] as number)) /
        ((roots[i] as number) * (roots[j] as number)),
    ),
  );
  const { values, vectors } = symmetricEigen(matrix);
  const order = values.map((_, i) => i).sort((a, b) => (values[a] as number) - (values[b] as number));
  const shapes = new Float64Array(size * size);
  const means = new Float64Array(size);
  const atCore = new Float64Array(size);
  const atSurface = new Float64Array(size);
  order.forEach((column, mode) => {
    const share = vectors.reduce((sum, row, q) => sum + (roots[q] as number) * (row[column] as number), 0);
    means[mode] = share * share;
    vectors.forEach((row, q) => {
      const value = ((row[column] as number) * share) / (roots[q] as number);
      shapes[q * size + mode] = value;
      atCore[mode] = (atCore[mode] as number) + (toCore[q] as number) * value;
      atSurface[mode] = (atSurface[mode] as number) + (toSurface[q] as number) * value;
    });
  });
  return {
    dimension,
    biot,
    size,
    rates: Float64Array.from(order, (column) => values[column] as number),
    shapes,
    nodes: Float64Array.from(nodes.nodes),
    weights: Float64Array.from(weights),
    means,
    atCore,
    atSurface,
  };
}
