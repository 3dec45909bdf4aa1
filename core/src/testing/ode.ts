import { cookRate } from '../physics/cook-value';

/** The part of the registry's solver that is used: its own sources do not compile under our strict settings. */
interface OdeSolver {
  absoluteTolerance: number;
  relativeTolerance: number;
  maxSteps: number;
  solve(slope: (at: number, y: number[]) => number[], from: number, start: number[], to: number): { y: number[] };
}
// eslint-disable-next-line @typescript-eslint/no-require-imports -- keeps its uncompilable sources out of our types
const { Solver } = require('odex') as { Solver: new (count: number) => OdeSolver };

/** What a general solver needs of a brick: half-dimensions in m, W/m K, m²/s, W/m² K. */
export interface BrickProblem {
  readonly halfDimensions: readonly [number, number, number];
  readonly conductivity: number;
  readonly diffusivity: number;
  readonly surface: number;
  readonly startC: number;
}

/** Middle temperature and mean cook value at the end of a history. */
export interface Cooked {
  readonly coreC: number;
  readonly cookValue: number;
}

/**
 * The same brick as a system of ordinary differential equations in finite volumes, solved by a general solver of the
 * registry (Hairer and Wanner's extrapolation method): a second opinion on temperatures and cook value.
 *
 * @param cells in each direction of the octant
 * @param tolerance absolute and relative
 */
export function cookByOde(
  brick: BrickProblem,
  liquidC: (seconds: number) => number,
  seconds: number,
  cells: number,
  tolerance: number,
): Cooked {
  const count = cells ** 3;
  const spacing = brick.halfDimensions.map((half) => half / cells);
  const strides = [cells * cells, cells, 1];
  const solver = new Solver(count + 1);
  solver.absoluteTolerance = tolerance;
  solver.relativeTolerance = tolerance;
  solver.maxSteps = 1_000_000;
  const slope = (at: number, y: number[]): number[] => {
    const change = new Array<number>(count + 1).fill(0);
    const surroundings = liquidC(at);
    let rate = 0;
    for (let i = 0; i < count; i += 1) {
      const own = y[i] as number;
      rate += cookRate(own);
      for (let axis = 0; axis < 3; axis += 1) {
        const dx = spacing[axis] as number;
        const stride = strides[axis] as number;
        if (Math.floor(i / stride) % cells === cells - 1) {
          const resistance = 1 / brick.surface + dx / (2 * brick.conductivity);
          change[i] =
            (change[i] as number) +
            ((brick.diffusivity / brick.conductivity) * (surroundings - own)) / (resistance * dx);
        } else {
          const flow = (brick.diffusivity * ((y[i + stride] as number) - own)) / (dx * dx);
          change[i] = (change[i] as number) + flow;
          change[i + stride] = (change[i + stride] as number) - flow;
        }
      }
    }
    change[count] = rate / count / 60;
    return change;
  };
  const start = [...new Array<number>(count).fill(brick.startC), 0];
  const { y } = solver.solve(slope, 0, start, seconds);
  // The profile is even: the middle lies a quarter of a step's curvature beyond the first cell.
  const middle = [1, cells, cells * cells].reduce(
    (sum, stride) => sum + ((y[0] as number) - (y[stride] as number)) / 8,
    y[0] as number,
  );
  return { coreC: middle, cookValue: y[count] as number };
}
