import { within } from '../../units/range';
import { modalAxis, type ModalAxis } from './axis';
import type { HeatBody } from './heat-body';

/** A simple body by its half-dimensions in metres. */
export type Solid =
  | { readonly kind: 'wall'; readonly halfThickness: number }
  | { readonly kind: 'brick'; readonly halfDimensions: readonly [number, number, number] }
  | { readonly kind: 'cylinder'; readonly radius: number; readonly halfLength: number }
  | { readonly kind: 'sphere'; readonly radius: number };

/** What the body is made of, and how heat gets to it. */
export interface Medium {
  /** W/m K */
  readonly conductivity: number;
  /** m²/s */
  readonly diffusivity: number;
  /** W/m² K, at every face */
  readonly surface: number;
}

const HALF_DIMENSION = { min: 1e-4, max: 5, unit: 'm' };
const DEFAULT_MODES = 5;

interface Direction {
  readonly dimension: 1 | 2 | 3;
  readonly half: number;
}

function directions(solid: Solid): Direction[] {
  switch (solid.kind) {
    case 'wall':
      return [{ dimension: 1, half: solid.halfThickness }];
    case 'brick':
      return solid.halfDimensions.map((half) => ({ dimension: 1, half }));
    case 'cylinder':
      return [
        { dimension: 2, half: solid.radius },
        { dimension: 1, half: solid.halfLength },
      ];
    case 'sphere':
      return [{ dimension: 3, half: solid.radius }];
  }
}

/** Outer product of one vector a direction, the last direction running fastest. */
function outer(vectors: readonly Float64Array[], start = 1): Float64Array {
  let product: Float64Array = Float64Array.of(start);
  for (const vector of vectors) {
    const next = new Float64Array(product.length * vector.length);
    let at = 0;
    for (const left of product) for (const right of vector) next[at++] = left * right;
    product = next;
  }
  return product;
}

/** Turns the fastest index from modes into nodes, and makes it the slowest. */
function contract(shapes: Float64Array, size: number, from: Float64Array, to: Float64Array): void {
  const rows = from.length / size;
  for (let row = 0; row < rows; row += 1) {
    for (let node = 0; node < size; node += 1) {
      let sum = 0;
      for (let mode = 0; mode < size; mode += 1) {
        sum += (shapes[node * size + mode] as number) * (from[row * size + mode] as number);
      }
      to[node * rows + row] = sum;
    }
  }
}

/** The same for four modes, written out: the innermost loop of the forecast, twice as fast so. */
function contractFour(shapes: Float64Array, from: Float64Array, to: Float64Array): void {
  const rows = from.length / 4;
  for (let row = 0; row < rows; row += 1) {
    const at = row * 4;
    const a = from[at] as number;
    const b = from[at + 1] as number;
    const c = from[at + 2] as number;
    const d = from[at + 3] as number;
    for (let node = 0; node < 4; node += 1) {
      const s = node * 4;
      to[node * rows + row] =
        (shapes[s] as number) * a +
        (shapes[s + 1] as number) * b +
        (shapes[s + 2] as number) * c +
        (shapes[s + 3] as number) * d;
    }
  }
}

/**
 * Transient conduction in a body of one start temperature, whose surroundings change with time.
 *
 * Between changes of coefficient the problem is linear, and for a brick the modes are products of the modes of its
 * three walls (Carslaw and Jaeger, Conduction of Heat in Solids, 2nd edition, 1.15). Each mode a follows
 * a' = rate (surroundings - a), which a straight ramp of the surroundings solves exactly: steps of any length are
 * exact in time and always stable; what is approximated is only the shape, by the number of modes.
 */
export class ConductionBody implements HeatBody {
  readonly longestStep = Number.POSITIVE_INFINITY;
  private readonly axes: readonly ModalAxis[];
  private readonly invRates: Float64Array;
  private readonly scales: readonly number[];
  private readonly meanWeights: Float64Array;
  private readonly coreWeights: Float64Array;
  private readonly decay: Float64Array;
  private readonly parts: Float64Array;
  private decayFor = Number.NaN;
  private modes: Float64Array;
  private scratch: readonly [Float64Array, Float64Array];
  /** Volume weight of each node of {@link field}; they add up to one. */
  readonly nodeWeights: Float64Array;

  /**
   * @param solid the body, half-dimensions 0.1 mm to 5 m
   * @param medium its conduction and surface coefficient
   * @param startC temperature of the whole body at the start
   * @param size modes a direction; 5 keep the cook value within 0.15 % in a heating pot, 7 the core within 0.1 K
   * @throws RangeError when a dimension is outside the range
   */
  constructor(
    readonly solid: Solid,
    readonly medium: Medium,
    startC: number,
    size = DEFAULT_MODES,
  ) {
    const along = directions(solid);
    for (const { half } of along) within('half-dimension', half, HALF_DIMENSION);
    this.axes = along.map(({ dimension, half }) =>
      modalAxis(dimension, (medium.surface * half) / medium.conductivity, size),
    );
    this.scales = along.map(({ half }) => medium.diffusivity / (half * half));
    let rates: Float64Array = Float64Array.of(0);
    this.axes.forEach((axis, i) => {
      const next = new Float64Array(rates.length * size);
      let at = 0;
      for (const sum of rates) for (const rate of axis.rates) next[at++] = sum + rate * (this.scales[i] as number);
      rates = next;
    });
    this.invRates = rates.map((rate) => 1 / rate);
    this.meanWeights = outer(this.axes.map((axis) => axis.means));
    this.coreWeights = outer(this.axes.map((axis) => axis.atCore));
    this.nodeWeights = outer(this.axes.map((axis) => axis.weights));
    this.decay = new Float64Array(rates.length);
    this.parts = new Float64Array(size);
    this.modes = new Float64Array(rates.length).fill(startC);
    this.scratch = [new Float64Array(rates.length), new Float64Array(rates.length)];
  }

  /** A copy with its own state, for trying out what comes next. */
  clone(): ConductionBody {
    const copy = Object.create(ConductionBody.prototype) as ConductionBody;
    Object.assign(copy, this, { modes: this.modes.slice(), decay: this.decay.slice() });
    return copy;
  }

  /** exp(-rate dt) of every mode: a product of one exponential a direction. */
  private decayOver(seconds: number): Float64Array {
    if (seconds === this.decayFor) return this.decay;
    const { decay } = this;
    let filled = 1;
    decay[0] = 1;
    // Each direction multiplies what is there; from the back, so that nothing is overwritten before it is read.
    this.axes.forEach((axis, i) => {
      const scale = -(this.scales[i] as number) * seconds;
      const { size } = axis;
      for (let mode = 0; mode < size; mode += 1) this.parts[mode] = Math.exp((axis.rates[mode] as number) * scale);
      for (let left = filled - 1; left >= 0; left -= 1) {
        const product = decay[left] as number;
        for (let mode = 0; mode < size; mode += 1) decay[left * size + mode] = product * (this.parts[mode] as number);
      }
      filled *= size;
    });
    this.decayFor = seconds;
    return decay;
  }

  /**
   * How the mean would change over a step: `steady` if the surroundings stayed at `surroundingsC`, and `perKelvin` more for
   * every K/s they rise. The pot needs this to solve its own temperature and the pieces' together, without lag.
   */
  meanResponse(seconds: number, surroundingsC: number): { steady: number; perRamp: number } {
    const decay = this.decayOver(seconds);
    let steady = 0;
    let perRamp = seconds;
    for (let m = 0; m < decay.length; m += 1) {
      const weight = this.meanWeights[m] as number;
      const lost = 1 - (decay[m] as number);
      steady += weight * (surroundingsC - (this.modes[m] as number)) * lost;
      perRamp -= weight * lost * (this.invRates[m] as number);
    }
    return { steady, perRamp };
  }

  /**
   * Steps the body while its surroundings go in a straight line from one temperature to another.
   *
   * @param seconds length of the step, above 0
   * @param fromC surroundings at its start
   * @param toC surroundings at its end
   */
  advance(seconds: number, fromC: number, toC: number): void {
    const decay = this.decayOver(seconds);
    const slope = (toC - fromC) / seconds;
    const { modes, invRates } = this;
    for (let m = 0; m < modes.length; m += 1) {
      const lag = slope * (invRates[m] as number);
      modes[m] = toC - lag + ((modes[m] as number) - fromC + lag) * (decay[m] as number);
    }
  }

  private weighted(weights: Float64Array): number {
    let sum = 0;
    for (let m = 0; m < weights.length; m += 1) sum += (weights[m] as number) * (this.modes[m] as number);
    return sum;
  }

  /** Volume-mean temperature, °C. */
  meanC(): number {
    return this.weighted(this.meanWeights);
  }

  heatK(): number {
    return this.meanC();
  }

  /** Temperature of the very middle, °C. */
  coreC(): number {
    return this.weighted(this.coreWeights);
  }

  /**
   * Temperatures at the nodes, °C, for integrals over the volume with {@link nodeWeights}.
   *
   * @param out receives one temperature a node
   */
  field(out: Float64Array): Float64Array {
    let from: Float64Array = this.modes;
    // One direction at a time, the result's index rotating so that each direction is in turn the fastest.
    for (let d = this.axes.length - 1; d >= 0; d -= 1) {
      const { size, shapes } = this.axes[d] as ModalAxis;
      const to = d === 0 ? out : (this.scratch[d % 2] as Float64Array);
      if (size === 4) contractFour(shapes, from, to);
      else contract(shapes, size, from, to);
      from = to;
    }
    return out;
  }

  /**
   * Rate at which heat crosses the surface, as K/s of the body's mean: surface coefficient times the gap at each face,
   * from the temperature of the faces and not from the change of the mean. The energy check compares the two.
   */
  surfaceRate(surroundingsC: number): number {
    let rate = 0;
    this.axes.forEach((axis, i) => {
      const weights = outer(this.axes.map((other, j) => (i === j ? axis.atSurface : other.means)));
      rate += axis.dimension * axis.biot * (this.scales[i] as number) * (surroundingsC - this.weighted(weights));
    });
    return rate;
  }

  /** Number of nodes of {@link field}. */
  get nodeCount(): number {
    return this.modes.length;
  }

  /** The same temperatures in surroundings of another surface coefficient: meat lifted out of the liquid into air. */
  withSurface(surface: number): ConductionBody {
    const size = (this.axes[0] as ModalAxis).size;
    const next = new ConductionBody(this.solid, { ...this.medium, surface }, 0, size);
    next.setField(this.field(new Float64Array(this.nodeCount)));
    return next;
  }

  /** Where each node lies: shares of the half-dimensions, a direction each. */
  nodePlaces(): number[][] {
    let places: number[][] = [[]];
    for (const { nodes } of this.axes) places = places.flatMap((place) => [...nodes].map((node) => [...place, node]));
    return places;
  }

  /** Gives every node a temperature, °C. */
  setField(temperatures: Float64Array): void {
    this.modes = this.project(temperatures);
  }

  /** Mode amplitudes of a field given at the nodes: the inverse of {@link field}, direction by direction. */
  private project(field: Float64Array): Float64Array {
    let from = field;
    for (let d = this.axes.length - 1; d >= 0; d -= 1) {
      const { size, shapes, weights, means } = this.axes[d] as ModalAxis;
      const to = new Float64Array(from.length);
      const rows = from.length / size;
      for (let row = 0; row < rows; row += 1) {
        for (let mode = 0; mode < size; mode += 1) {
          let sum = 0;
          for (let node = 0; node < size; node += 1) {
            sum +=
              (shapes[node * size + mode] as number) * (weights[node] as number) * (from[row * size + node] as number);
          }
          // A mode's shape carries the square root of its mean, so its norm is that mean. A mode that the constant
          // does not excite has none, and stays out of every sum.
          to[mode * rows + row] = (means[mode] as number) > 1e-14 ? sum / (means[mode] as number) : 0;
        }
      }
      from = to;
    }
    return from;
  }
}
