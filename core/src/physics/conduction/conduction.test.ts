import { seriesGap, seriesTerms } from '../../testing/series';
import { CookingBody } from '../cooking-body';
import { modalAxis } from './axis';
import { ConductionBody, type Medium, type Solid } from './body';
import { pieceOf } from '../../meat/piece';
import { pieceBody } from '../../meat/piece-body';
import { planFor } from '../../testing/fixtures';
import { normalCdf } from '../normal';
import { symmetricEigen } from './eigen';
import { ThawingBrick, type FrozenMedium } from './thawing';
import { evenQuadrature, gaussLegendre } from './gauss';

const BEEF = { conductivity: 0.48, diffusivity: 1.3e-7 };
const mediumAt = (biot: number, half: number): Medium => ({ ...BEEF, surface: (biot * BEEF.conductivity) / half });

/** Shares of the gap left in a body that goes from 0 to 100 °C at once. */
function gapAfter(solid: Solid, medium: Medium, seconds: number, size?: number): { core: number; mean: number } {
  const body = new ConductionBody(solid, medium, 0, size);
  body.advance(seconds, 100, 100);
  return { core: 1 - body.coreC() / 100, mean: 1 - body.meanC() / 100 };
}

describe('quadrature', () => {
  test('two nodes are those of Abramowitz and Stegun, table 25.4', () => {
    expect(gaussLegendre(2).nodes[0]).toBeCloseTo(0.577350269189626, 14);
    expect(gaussLegendre(5).weights[2]).toBeCloseTo(0.568888888888889, 14);
  });

  test.each([1, 2, 3] as const)('the volume mean of r² to the power 2n - 1 is exact in %d dimensions', (dimension) => {
    const { nodes, weights } = evenQuadrature(dimension, 5);
    for (let power = 0; power <= 9; power += 1) {
      const mean = nodes.reduce((sum, r, i) => sum + (weights[i] ?? 0) * r ** (2 * power), 0);
      expect(mean).toBeCloseTo(dimension / (dimension + 2 * power), 12);
    }
  });

  test('an absurd number of nodes is refused', () => {
    expect(() => gaussLegendre(1)).toThrow('2 to 64');
  });
});

test('eigenvectors of a symmetric matrix rebuild it', () => {
  const matrix = [
    [4, 1, 0.5],
    [1, 3, -1],
    [0.5, -1, 2],
  ];
  const { values, vectors } = symmetricEigen(matrix);
  matrix.forEach((row, i) =>
    row.forEach((entry, j) => {
      const rebuilt = values.reduce(
        (sum, value, m) => sum + value * (vectors[i]?.[m] ?? 0) * (vectors[j]?.[m] ?? 0),
        0,
      );
      expect(rebuilt).toBeCloseTo(entry, 12);
    }),
  );
});

describe('one-term coefficients of Incropera and DeWitt, table 5.1 (from memory)', () => {
  test.each([
    [1, 1, 0.8603, 1.1191],
    [1, 10, 1.4289, 1.262],
    [2, 1, 1.2558, 1.2071],
    [2, 10, 2.1795, 1.5677],
    [3, 1, 1.5708, 1.2732],
    [3, 10, 2.8363, 1.9249],
  ] as const)('dimension %d, Bi %d: root %d, coefficient %d', (dimension, biot, root, coefficient) => {
    const axis = modalAxis(dimension, biot, 5);
    expect(Math.sqrt(axis.rates[0] as number)).toBeCloseTo(root, 4);
    expect(axis.atCore[0]).toBeCloseTo(coefficient, 4);
    const [exact] = seriesTerms(dimension, biot, 1);
    expect(exact?.root).toBeCloseTo(root, 4);
    expect(exact?.coefficient).toBeCloseTo(coefficient, 4);
  });
});

describe('bodies against the full series (Incropera and DeWitt, chapter 5), Fo above 0.2', () => {
  const half = 0.03;
  const seconds = (fourier: number): number => (fourier * half * half) / BEEF.diffusivity;

  test.each([1, 10, 50])('wall, cylinder and sphere at Bi %d within 1 % of the gap', (biot) => {
    const medium = mediumAt(biot, half);
    for (const fourier of [0.2, 0.4, 0.8]) {
      const wall = gapAfter({ kind: 'wall', halfThickness: half }, medium, seconds(fourier));
      const exactWall = seriesGap(1, biot, fourier);
      expect(Math.abs(wall.core / exactWall.core - 1)).toBeLessThan(0.01);
      expect(Math.abs(wall.mean / exactWall.mean - 1)).toBeLessThan(0.01);

      const sphere = gapAfter({ kind: 'sphere', radius: half }, medium, seconds(fourier));
      const exactSphere = seriesGap(3, biot, fourier);
      expect(Math.abs(sphere.core / exactSphere.core - 1)).toBeLessThan(0.01);
      expect(Math.abs(sphere.mean / exactSphere.mean - 1)).toBeLessThan(0.01);

      // A finite cylinder is the product of its radius and its length.
      const cylinder = gapAfter({ kind: 'cylinder', radius: half, halfLength: half }, medium, seconds(fourier));
      const round = seriesGap(2, biot, fourier, 8);
      expect(Math.abs(cylinder.core / (round.core * exactWall.core) - 1)).toBeLessThan(0.01);
      expect(Math.abs(cylinder.mean / (round.mean * exactWall.mean) - 1)).toBeLessThan(0.01);
    }
  });

  test('a brick is the product of its three walls, each with its own Biot and Fourier number', () => {
    const medium = mediumAt(20, half);
    const halves = [0.03, 0.05, 0.08] as const;
    for (const minutes of [30, 60, 120]) {
      const brick = gapAfter({ kind: 'brick', halfDimensions: halves }, medium, minutes * 60);
      const walls = halves.map((l) =>
        seriesGap(1, (medium.surface * l) / BEEF.conductivity, (BEEF.diffusivity * minutes * 60) / (l * l), 60),
      );
      const product = walls.reduce((all, wall) => ({ core: all.core * wall.core, mean: all.mean * wall.mean }), {
        core: 1,
        mean: 1,
      });
      expect(Math.abs(brick.core / product.core - 1)).toBeLessThan(0.01);
      expect(Math.abs(brick.mean / product.mean - 1)).toBeLessThan(0.01);
    }
  });

  test('in a heating pot, seven modes keep the core within 0.1 K of fourteen from the 15th minute on', () => {
    const solid: Solid = { kind: 'brick', halfDimensions: [0.097, 0.054, 0.04] };
    const medium = { ...BEEF, surface: 800 };
    const coarse = new ConductionBody(solid, medium, 5, 7);
    const fine = new ConductionBody(solid, medium, 5, 14);
    let surroundings = 50;
    for (let minute = 0; minute < 90; minute += 1) {
      const next = Math.min(115.7, surroundings + 5);
      coarse.advance(60, surroundings, next);
      fine.advance(60, surroundings, next);
      surroundings = next;
      expect(Math.abs(coarse.meanC() - fine.meanC())).toBeLessThan(0.1);
      expect(Math.abs(coarse.coreC() - fine.coreC())).toBeLessThan(minute < 15 ? 0.4 : 0.1);
    }
  });

  test('five modes and steps of a minute keep the cook value within 0.2 % of fourteen and ten seconds', () => {
    const solid: Solid = { kind: 'brick', halfDimensions: [0.084, 0.06, 0.032] };
    const coarse = new CookingBody(new ConductionBody(solid, { ...BEEF, surface: 800 }, 5, 5), 1);
    const fine = new CookingBody(new ConductionBody(solid, { ...BEEF, surface: 800 }, 5, 14), 1);
    let surroundings = 50;
    for (let minute = 0; minute < 90; minute += 1) {
      const next = Math.min(115.7, surroundings + 5);
      coarse.advance(60, surroundings, next);
      for (let k = 0; k < 6; k += 1)
        fine.advance(
          10,
          surroundings + ((next - surroundings) * k) / 6,
          surroundings + ((next - surroundings) * (k + 1)) / 6,
        );
      surroundings = next;
    }
    expect(Math.abs(coarse.meanCookValue() / fine.meanCookValue() - 1)).toBeLessThan(2e-3);
    expect(Math.abs(coarse.coreCookValue / fine.coreCookValue - 1)).toBeLessThan(1e-2);
  });
});

describe('stepping', () => {
  const body = (): ConductionBody =>
    new ConductionBody({ kind: 'brick', halfDimensions: [0.05, 0.04, 0.02] }, { ...BEEF, surface: 800 }, 5);

  test('one long step along a ramp equals many short ones', () => {
    const once = body();
    const often = body();
    once.advance(1200, 20, 110);
    for (let i = 0; i < 100; i += 1) often.advance(12, 20 + 0.9 * i, 20.9 + 0.9 * i);
    expect(once.coreC()).toBeCloseTo(often.coreC(), 8);
    expect(once.meanC()).toBeCloseTo(often.meanC(), 8);
  });

  test('what the mean response foretells is what the step does', () => {
    const b = body();
    const before = b.meanC();
    const { steady, perRamp } = b.meanResponse(60, 40);
    b.advance(60, 40, 46);
    expect(b.meanC() - before).toBeCloseTo(steady + perRamp * 0.1, 9);
  });

  test('heat through the faces adds up to what the field gained within 0.5 %', () => {
    const b = body();
    let crossed = 0;
    for (let i = 0; i < 1200; i += 1) {
      const start = b.surfaceRate(100);
      b.advance(2, 100, 100);
      crossed += ((start + b.surfaceRate(100)) / 2) * 2;
    }
    expect(Math.abs(crossed / (b.meanC() - 5) - 1)).toBeLessThan(5e-3);
  });

  test('the mean of the nodes is the mean, and lifting into air keeps every temperature', () => {
    const b = body();
    b.advance(600, 20, 110);
    const field = b.field(new Float64Array(b.nodeCount));
    const mean = field.reduce((sum, t, q) => sum + t * (b.nodeWeights[q] ?? 0), 0);
    expect(mean).toBeCloseTo(b.meanC(), 9);
    const lifted = b.withSurface(10);
    const again = lifted.field(new Float64Array(b.nodeCount));
    field.forEach((t, q) => expect(again[q]).toBeCloseTo(t, 6));
    expect(lifted.coreC()).toBeCloseTo(b.coreC(), 6);
  });

  test('refuses a body of no size and a surface without a coefficient', () => {
    expect(() => new ConductionBody({ kind: 'sphere', radius: 0 }, { ...BEEF, surface: 800 }, 5)).toThrow(
      'half-dimension',
    );
    expect(() => modalAxis(1, 0, 5)).toThrow('above 0');
  });
});

describe('a frozen start', () => {
  /** Neumann's root for a half-space at its melting point: λ e^{λ²} erf λ = St / √π. */
  function neumann(stefan: number): number {
    const erf = (x: number): number => 2 * normalCdf(x * Math.SQRT2) - 1;
    let [low, high] = [1e-6, 2];
    for (let i = 0; i < 80; i += 1) {
      const middle = (low + high) / 2;
      if (middle * Math.exp(middle * middle) * erf(middle) < stefan / Math.sqrt(Math.PI)) low = middle;
      else high = middle;
    }
    return low;
  }

  test('melts a half-space as deep as Neumann’s solution within 5 % (Carslaw and Jaeger, 11.2; from memory), Stefan number 0.08', () => {
    // A test material that melts at one degree, in a slab so deep that its far side does not notice.
    const depth = 0.05;
    const medium: FrozenMedium = {
      conductivity: 0.5,
      diffusivity: 1.3e-7,
      surface: 1e6,
      meltsFromC: -0.02,
      meltsToC: 0,
      latentK: 250,
      frozenCapacity: 1,
      frozenConductivity: 0.5,
    };
    const surfaceC = 20;
    const slab = new ThawingBrick({ kind: 'brick', halfDimensions: [depth, 1e3, 1e3] }, medium, -0.02, [60, 1, 1]);
    const lambda = neumann(surfaceC / medium.latentK);
    for (const minutes of [10, 20, 40]) {
      slab.advance(600 * (minutes === 40 ? 2 : 1), surfaceC, surfaceC);
      const melted = slab.thawedShare() * depth;
      const exact = 2 * lambda * Math.sqrt(medium.diffusivity * minutes * 60);
      expect(Math.abs(melted / exact - 1)).toBeLessThan(0.05);
    }
  });

  const { meat } = planFor('pork-shoulder', 'whole', 1800, {}, { startsFrom: 'frozen' });
  const frozen = (): CookingBody => pieceBody(meat, pieceOf(meat), -18);

  test('takes up what crosses its faces within 0.5 %, latent heat and all', () => {
    const piece = frozen();
    const start = piece.body.heatK();
    let crossed = 0;
    let rate = piece.body.surfaceRate(60);
    for (let i = 0; i < 3600; i += 1) {
      piece.body.advance(1, 60, 60);
      const next = piece.body.surfaceRate(60);
      crossed += (rate + next) / 2;
      rate = next;
    }
    expect(Math.abs(crossed / (piece.body.heatK() - start) - 1)).toBeLessThan(5e-3);
  });

  test('in steps as long as are stable it is what it is second by second, and nothing in it swings', () => {
    const [long, fine] = [frozen(), frozen()];
    let before = long.body.field(new Float64Array(long.body.nodeCount));
    for (let minute = 0; minute < 60; minute += 1) {
      long.body.advance(60, 100, 100);
      for (let second = 0; second < 60; second += 1) fine.body.advance(1, 100, 100);
      // The first minute into boiling water is the worst of it: a kelvin of the hundred that melting takes.
      expect(Math.abs(long.body.heatK() - fine.body.heatK())).toBeLessThan(1.3);
      expect(Math.abs(long.body.coreC() - fine.body.coreC())).toBeLessThan(0.4);
      const now = long.body.field(new Float64Array(long.body.nodeCount));
      // Heat only goes in: no part of it is ever colder than it was.
      expect(Math.min(...now.map((celsius, i) => celsius - (before[i] as number)))).toBeGreaterThan(-1e-9);
      before = now;
    }
  });

  test('hands over to the modes with its heat, its temperatures and its cook value', () => {
    const piece = frozen();
    let before = { heat: 0, cooked: 0, core: 0 };
    while (piece.body instanceof ThawingBrick) {
      before = { heat: piece.body.heatK(), cooked: piece.meanCookValue(), core: piece.coreC };
      piece.advance(10, 110, 110);
    }
    expect(piece.body.heatK()).toBeGreaterThan(before.heat);
    expect(piece.body.heatK() - before.heat).toBeLessThan(0.5);
    expect(Math.abs(piece.meanCookValue() / before.cooked - 1)).toBeLessThan(0.15);
    expect(piece.coreC).toBeGreaterThan(-1.5);
    expect(piece.coreC).toBeLessThan(6);
    const heat = piece.body.heatK();
    for (let i = 0; i < 20; i += 1) piece.advance(60, 110, 110);
    expect(piece.body.heatK()).toBeGreaterThan(heat);
    expect(piece.coreC).toBeGreaterThan(before.core);
  });

  test('is later than from the fridge, and a whole joint much more than slices', () => {
    const minutesToSafe = (cut: string, form: 'whole' | 'slices', grams: number, startC: number): number => {
      const own = planFor(cut, form, grams).meat;
      const piece = pieceBody(own, pieceOf(own), startC);
      while (piece.minutesToSafe === null) piece.advance(20, 115, 115);
      return piece.minutesToSafe;
    };
    const joint = minutesToSafe('pork-shoulder', 'whole', 1800, -18) - minutesToSafe('pork-shoulder', 'whole', 1800, 5);
    const slices = minutesToSafe('goat-neck', 'slices', 1600, -18) - minutesToSafe('goat-neck', 'slices', 1600, 5);
    expect(slices).toBeGreaterThan(3);
    expect(joint).toBeGreaterThan(3 * slices);
  });
});
