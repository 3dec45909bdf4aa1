import * as ss from 'simple-statistics';
import { crossing } from './crossing';
import { monotoneCurve } from './monotone';
import { tabulatedExp } from './tabulated-exp';
import { NORMAL_FIVE, NORMAL_THREE, normalCdf } from './normal';

describe('monotone curve', () => {
  test('goes through its points and never turns back between them', () => {
    const xs = [0, 1, 2, 5, 9];
    const ys = [0, 3, 3.2, 3.3, 10];
    const curve = monotoneCurve(xs, ys);
    xs.forEach((x, i) => expect(curve.at(x)).toBeCloseTo(ys[i] ?? 0, 12));
    for (let x = 0; x < 9; x += 0.05) expect(curve.at(x + 0.05)).toBeGreaterThanOrEqual(curve.at(x) - 1e-12);
  });

  test('refuses points that do not rise', () => {
    expect(() => monotoneCurve([0, 0], [1, 2])).toThrow('must rise');
    expect(() => monotoneCurve([0], [1])).toThrow('two or more');
  });
});

test('the tabulated exponential is within 8e-6 of the exact one, and exact outside its table', () => {
  for (let x = -31.9; x < 7.9; x += 0.0173) expect(Math.abs(tabulatedExp(x) / Math.exp(x) - 1)).toBeLessThan(8e-6);
  for (const x of [-40, 8, 20, Number.NEGATIVE_INFINITY]) expect(tabulatedExp(x)).toBe(Math.exp(x));
  expect(tabulatedExp(Number.NaN)).toBeNaN();
});

describe('the crossing of a mark', () => {
  test('is found on a straight line, and after a fall that comes first, to what is asked', () => {
    expect(crossing((s) => -3 * s, -6, 10, 1e-9)).toBeCloseTo(2, 9);
    // s² - 4 s is below nothing up to four seconds, and 5 at five: s = 2 + sqrt(4 + w).
    for (const wanted of [0.001, 1, 5, 20]) {
      const at = crossing((s) => s * s - 4 * s, wanted, 10, 1e-9);
      expect(at).toBeCloseTo(2 + Math.sqrt(4 + wanted), 6);
    }
  });

  test('is the end of the step where the mark lies there, or beyond it', () => {
    expect(crossing((s) => s, 10, 10, 1e-9)).toBe(10);
    expect(crossing((s) => s, 11, 10, 1e-9)).toBe(10);
  });
});

describe('normal distribution', () => {
  test('agrees with the table of simple-statistics to its four digits', () => {
    for (let z = -3; z <= 3; z += 0.25) expect(normalCdf(z)).toBeCloseTo(ss.cumulativeStdNormalProbability(z), 4);
  });

  test.each([
    ['three', NORMAL_THREE, 4],
    ['five', NORMAL_FIVE, 8],
  ])('%s nodes give the moments of a normal variable (1, 3, 15, 105)', (_name, { nodes, weights }, highest) => {
    const moments: Readonly<Record<number, number>> = { 0: 1, 2: 1, 4: 3, 6: 15, 8: 105 };
    for (let power = 0; power <= highest; power += 2) {
      const moment = nodes.reduce((sum, x, i) => sum + (weights[i] ?? 0) * x ** power, 0);
      expect(moment).toBeCloseTo(moments[power] ?? 0, 8);
    }
  });
});
