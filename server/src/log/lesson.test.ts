import { newPlan } from '@hervir/core';
import { observedByHand } from './lesson';

const plan = { ...newPlan({ cut: 'goat-neck', form: 'slices', grams: 1600 }), pressureMinutes: 40 };

describe('what an entry without a cook here teaches', () => {
  test.each(['by-hand', 'imported', 'cooked'] as const)('%s: how tough the animal was, by its grade', (source) => {
    expect(Object.keys(observedByHand({ source, grade: 'chewy' }, plan))).toEqual(['toughness']);
  });

  test('nothing where nobody tried it, and nothing from a day of warming', () => {
    expect(observedByHand({ source: 'by-hand', grade: null }, plan)).toEqual({});
    expect(observedByHand({ source: 'warmed', grade: 'chewy' }, plan)).toEqual({});
  });
});
