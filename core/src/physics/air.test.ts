import * as psychro from 'psychrolib';
import { airPressureKPa } from './air';

describe('air', () => {
  test.each([
    [0, 101.325],
    [1000, 89.8746],
    [2000, 79.4952],
    [3000, 70.1085],
  ])('at %d m the pressure is that of ISO 2533:1975', (metres, kPa) => {
    expect(airPressureKPa(metres)).toBeCloseTo(kPa, 4);
  });

  test('agrees with a psychrometrics library within 0.01 % up to 5000 m', () => {
    psychro.SetUnitSystem(psychro.SI);
    for (let metres = -400; metres <= 5000; metres += 300) {
      expect(Math.abs((airPressureKPa(metres) * 1000) / psychro.GetStandardAtmPressure(metres) - 1)).toBeLessThan(1e-4);
    }
  });

  test('refuses an altitude nobody cooks at, and says the range', () => {
    expect(() => airPressureKPa(9000)).toThrow('altitude 9000 is outside the range -430 to 5500 m');
    expect(() => airPressureKPa(Number.POSITIVE_INFINITY)).toThrow(RangeError);
  });
});
