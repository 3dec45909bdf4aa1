import { unknown, withEvidence } from './posterior';

/** The lowest and the highest logarithm that is weighed. */
const REACH = 0.95;

describe('a posterior, by hand', () => {
  const before = unknown('toughness');
  const middle = Math.floor(before.weights.length / 2);

  test('a grade no animal could have is one wrong entry in sixteen, any of six: 0.06 / 6 (from memory)', () => {
    const after = withEvidence(before, { from: 5, to: 6 });
    expect(Math.exp(after.weights[0] ?? 0)).toBeCloseTo(0.06 / 6, 6);
  });

  test('a grade every animal has is right fifteen times in sixteen, and by chance one time in six', () => {
    const after = withEvidence(before, { from: -20, to: 20 });
    expect(Math.exp(after.weights[middle] ?? 0)).toBeCloseTo(0.94 + 0.06 / 6, 6);
  });

  test('a measured factor far off is the floor of a wrong entry: 0.06 over the whole reach', () => {
    const heat = withEvidence(unknown('heat'), { at: 40 });
    expect(Math.exp(heat.weights[0] ?? 0)).toBeCloseTo(0.06 / (2 * REACH), 3);
  });

  test('half of all animals are above what the usual one just reaches', () => {
    const after = withEvidence(before, { from: 0, to: 20 });
    expect(Math.exp(after.weights[middle] ?? 0)).toBeCloseTo(0.94 / 2 + 0.06 / 6, 2);
  });

  test('what was added and taken away again leaves nothing', () => {
    const there = withEvidence(before, { from: 0.1, to: 0.4 });
    const back = withEvidence(there, { from: 0.1, to: 0.4 }, -1);
    back.weights.forEach((weight) => expect(weight).toBeCloseTo(0, 9));
    expect(back.cooks).toBe(0);
  });
});
