import { cookRate, cookValue } from './cook-value';

describe('cook value', () => {
  test('the rate is 2.98 at 115.7 °C and 0.61 at 93 °C (Mansfield 1962; Holdsworth and Simpson; from memory)', () => {
    expect(cookRate(115.7)).toBeCloseTo(2.98, 2);
    expect(cookRate(93)).toBeCloseTo(0.61, 2);
  });

  test('a steady history is its minutes times its rate', () => {
    expect(cookValue([0, 45], [115.7, 115.7])).toBeCloseTo(45 * cookRate(115.7), 9);
  });

  test('a ramp is integrated exactly: one long stretch equals a thousand short ones', () => {
    const minutes = Array.from({ length: 1001 }, (_, i) => i * 0.03);
    const temperatures = minutes.map((minute) => 40 + (75 * minute) / 30);
    expect(cookValue([0, 30], [40, 115])).toBeCloseTo(cookValue(minutes, temperatures), 9);
  });

  test('two lists of different length are refused', () => {
    expect(() => cookValue([0, 1], [100])).toThrow('one of each');
  });
});
