import * as fc from 'fast-check';
import { parseNumber, printFraction } from './fraction';
import { parseQuantity, printDuration, printQuantity } from './quantity';
import type { QuantityKind } from './value';

describe('quantities as people write them', () => {
  test.each([
    ['mass', 1600, '1.6 kg', '3 lb 8½ oz'],
    ['mass', 850, '850 g', '1 lb 14 oz'],
    ['mass', 794, '794 g', '1 lb 12 oz'],
    ['length', 3.8, '3.8 cm', '1½ in'],
    ['length', 5, '5 cm', '2 in'],
    ['temperature', 115.7, '116 °C', '240 °F'],
    ['volume', 180, '180 ml', '¾ cup'],
    ['volume', 30, '30 ml', '2 tbsp'],
    ['volume', 5, '5 ml', '1 tsp'],
    ['volume', 1250, '1.25 l', '5¼ cups'],
    // As pots are sold: 5.7 l are six quarts, 8 l eight and a half; Denver is a mile high; 15 psi are 103 kPa. Facts of the trade.
    ['capacity', 5.7, '5.7 l', '6 qt'],
    ['capacity', 8, '8 l', '8½ qt'],
    ['altitude', 1609.3, '1609 m', '5280 ft'],
    ['pressure', 103.4, '103.4 kPa', '15 psi'],
  ] as const)('%s of %d is %s or %s', (kind, value, metric, us) => {
    expect(printQuantity(kind, value, 'metric')).toBe(metric);
    expect(printQuantity(kind, value, 'us')).toBe(us);
  });

  test.each([
    ['mass', '1.6 kg', 1600],
    ['mass', '1,6', 1600],
    ['mass', '1600', 1600],
    ['mass', '3½ lb', 1587.573],
    ['mass', '3 lb 8 oz', 1587.573],
    ['mass', '1 lb 12 oz', 793.787],
    ['length', '38 mm', 3.8],
    ['length', '1 1/2 in', 3.81],
    ['volume', '2 tbsp', 29.5735],
    ['volume', '1/2 cup', 118.294],
    ['volume', '4 dl', 400],
    ['temperature', '240 °F', 115.556],
  ] as const)('%s "%s" is read as %d', (kind, text, value) => {
    expect(parseQuantity(kind, text, 'metric')).toBeCloseTo(value, 3);
  });

  test.each(['', 'a lot', '3 stone', '1//2', '5 kg of', '--3', '1/0 cup', '½ ½ lb'])('"%s" is no mass', (text) => {
    expect(parseQuantity('mass', text, 'metric')).toBeUndefined();
  });

  test('a bare number is in the system of the cook', () => {
    expect(parseQuantity('altitude', '5280', 'us')).toBeCloseTo(1609.34, 1);
    expect(parseQuantity('altitude', '300 ft', 'metric')).toBeCloseTo(91.44, 6);
    expect(parseQuantity('capacity', '6 quarts', 'metric')).toBeCloseTo(5.678, 3);
    expect(parseQuantity('pressure', '15', 'us')).toBeCloseTo(103.421, 3);
    expect(parseQuantity('pressure', '0.8 bar', 'metric')).toBeCloseTo(80, 9);
    expect(parseQuantity('mass', '3', 'us')).toBeCloseTo(1360.777, 3);
    expect(parseQuantity('length', '2', 'us')).toBeCloseTo(5.08, 9);
  });

  test('what is printed can be read back, within the rounding of a kitchen scale or spoon', () => {
    const kinds: readonly (readonly [QuantityKind, number, number])[] = [
      ['mass', 60, 14_000],
      ['length', 1, 24],
      ['volume', 10, 4000],
    ];
    for (const [kind, min, max] of kinds) {
      fc.assert(
        fc.property(
          fc.double({ min, max, noNaN: true }),
          fc.constantFrom('metric' as const, 'us' as const),
          (value, system) => {
            const back = parseQuantity(kind, printQuantity(kind, value, system), system) ?? Number.NaN;
            expect(Math.abs(back - value)).toBeLessThanOrEqual(
              kind === 'mass' ? 8 : kind === 'length' ? 0.17 : Math.max(9, value * 0.15),
            );
          },
        ),
      );
    }
  });
});

describe('fractions', () => {
  test('round to the nearest a measuring set has', () => {
    expect(printFraction(0.74)).toBe('¾');
    expect(printFraction(2.98)).toBe('3');
    expect(printFraction(0.02)).toBe('0');
  });

  test('are read in every way they are written', () => {
    expect(parseNumber('1½')).toBe(1.5);
    expect(parseNumber('½')).toBe(0.5);
    expect(parseNumber('3/4')).toBe(0.75);
    expect(parseNumber('+2')).toBe(2);
    expect(parseNumber('½2')).toBeUndefined();
  });
});

test('durations are said in hours and minutes', () => {
  expect(printDuration(166)).toBe('2 h 46 min');
  expect(printDuration(59.6)).toBe('1 h');
  expect(printDuration(8)).toBe('8 min');
});
