import { MEAT_COMPOSITION } from '../catalog/cuts';
import { foodProperties } from './food-properties';

const WATER = { water: 1, protein: 0, fat: 0, carbohydrate: 0, ash: 0 };

describe('food properties', () => {
  test('pure water has the conductivity, density and heat capacity of water tables within 1.5 % (from memory)', () => {
    const { conductivity, density, heatCapacity } = foodProperties(WATER, 60);
    expect(Math.abs(conductivity / 0.651 - 1)).toBeLessThan(0.015);
    expect(Math.abs(density / 983.2 - 1)).toBeLessThan(0.015);
    expect(Math.abs(heatCapacity / 4185 - 1)).toBeLessThan(0.015);
  });

  test('lean beef at 20 and 40 °C conducts 0.45 to 0.52 W/m K and diffuses 1.2 to 1.45e-7 m²/s (common practice)', () => {
    for (const celsius of [20, 40]) {
      const { conductivity, diffusivity } = foodProperties(MEAT_COMPOSITION.lean, celsius);
      expect(conductivity).toBeGreaterThan(0.45);
      expect(conductivity).toBeLessThan(0.52);
      expect(diffusivity).toBeGreaterThan(1.2e-7);
      expect(diffusivity).toBeLessThan(1.45e-7);
    }
  });

  test('fat conducts worse than lean', () => {
    expect(foodProperties(MEAT_COMPOSITION.rich, 60).conductivity).toBeLessThan(
      foodProperties(MEAT_COMPOSITION.lean, 60).conductivity,
    );
  });

  test('refuses fractions that do not add up, and temperatures out of range', () => {
    expect(() => foodProperties({ ...WATER, fat: 0.5 }, 20)).toThrow('sum of mass fractions');
    expect(() => foodProperties(WATER, -10)).toThrow('0 to 125 °C');
  });
});
