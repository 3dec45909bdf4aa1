import { scaleLinear } from 'd3';
import * as fc from 'fast-check';
import { clamped, linear } from './linear';

const ENDS = fc.tuple(fc.integer({ min: -500, max: 500 }), fc.integer({ min: 1, max: 900 }));

test('is the drawing library’s own scale, within its ends and beyond them', () => {
  fc.assert(
    fc.property(ENDS, ENDS, fc.double({ min: -2000, max: 2000, noNaN: true }), ([a, more], [c, on], value) => {
      const [values, places] = [
        [a, a + more],
        [c + on, c],
      ] as const;
      expect(linear(values, places)(value)).toBeCloseTo(scaleLinear(values, places)(value), 6);
      expect(clamped(values, places)(value)).toBeCloseTo(scaleLinear(values, places).clamp(true)(value), 6);
    }),
  );
  expect(linear([0, 100], [20, 220])(50)).toBe(120);
});
