import * as fc from 'fast-check';
import { VEGETABLES } from '../catalog/vegetables';
import type { Stretch } from '../pot/pressure-run';
import {
  boilWindow,
  DONENESS,
  grainCookValue,
  grainTexture,
  simmerMinutes,
  textureWindow,
  vegetableCookValue,
  vegetableTexture,
} from './doneness';

const boil = (minutes: number, celsius = 100): Stretch[] => [
  { seconds: minutes * 60, fromC: celsius, toC: celsius, phase: 'open' },
];

describe('vegetables', () => {
  test.each([
    ['potato-waxy', 5.6, 8.6],
    ['carrot', 6.7, 9.6],
    ['cabbage', 3.7, 5.6],
  ])('%s: the window of ordinary boiling is [%d, %d] (prototype of the design, within 5 %%)', (id, low, high) => {
    expect(Math.abs(boilWindow(id)[0] / low - 1)).toBeLessThan(0.05);
    expect(Math.abs(boilWindow(id)[1] / high - 1)).toBeLessThan(0.05);
  });

  test('boiled for its ordinary time, at its usual size, every vegetable comes out tender: the windows reproduce themselves', () => {
    for (const { id, usualCm, boilMinutes } of VEGETABLES) {
      for (const minutes of boilMinutes) {
        const steps = Array.from({ length: minutes * 2 }, () => boil(0.5)).flat();
        expect([id, vegetableTexture(id, vegetableCookValue(id, usualCm, steps))]).toEqual([id, 'tender']);
      }
    }
  });

  test('textures follow on without a gap, and sturdy ones hold out twice as long before they are sauce', () => {
    for (const { id } of VEGETABLES) {
      DONENESS.slice(1).forEach((texture, i) => {
        expect(textureWindow(id, texture)[0]).toBe(textureWindow(id, DONENESS[i] ?? 'raw')[1]);
      });
    }
    expect(textureWindow('carrot', 'soft')[1] / boilWindow('carrot')[1]).toBeCloseTo(12, 9);
    expect(textureWindow('leek', 'soft')[1] / boilWindow('leek')[1]).toBeCloseTo(6, 9);
  });

  test('longer is never crisper, larger never softer', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...VEGETABLES.map(({ id }) => id)),
        fc.double({ min: 0.6, max: 8, noNaN: true }),
        fc.double({ min: 1, max: 2, noNaN: true }),
        fc.integer({ min: 1, max: 40 }),
        fc.integer({ min: 1, max: 40 }),
        fc.double({ min: 80, max: 118, noNaN: true }),
        (id, size, larger, minutes, more, celsius) => {
          const now = vegetableCookValue(id, size, boil(minutes, celsius));
          expect(vegetableCookValue(id, size, boil(minutes + more, celsius))).toBeGreaterThan(now);
          // Steps adapt to the size: the cook value is good to 1 %.
          expect(vegetableCookValue(id, size * larger, boil(minutes, celsius))).toBeLessThanOrEqual(now * 1.01 + 1e-6);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('a simmer of the minutes it is told gives the texture asked for', () => {
    for (const [id, texture] of [
      ['carrot', 'tender'],
      ['green-bean', 'crisp'],
      ['potato-waxy', 'tender'],
      ['leek', 'soft'],
    ] as const) {
      const size = VEGETABLES.find((v) => v.id === id)?.usualCm ?? 2;
      const minutes = simmerMinutes('vegetable', id, texture, size, 96) ?? 0;
      const steps = Array.from({ length: minutes }, () => boil(1, 96)).flat();
      expect([id, vegetableTexture(id, vegetableCookValue(id, size, steps))]).toEqual([id, texture]);
    }
  });
});

describe('grains', () => {
  test('cook by the temperature of their liquid: cooked from their boiling time, falling apart past their figure', () => {
    expect(grainTexture('freekeh', grainCookValue(boil(17)))).toBe('hard');
    expect(grainTexture('freekeh', grainCookValue(boil(20)))).toBe('cooked');
    expect(grainTexture('freekeh', grainCookValue(boil(95)))).toBe('falls-apart');
    expect(grainCookValue(boil(10, 115.7))).toBeGreaterThan(29);
  });
});
