import { planFor } from '../testing/fixtures';
import { scaledPlan } from './scale';

test('for more people everything that is weighed grows: what is heavy to five grams, what is light to the gram', () => {
  const plan = planFor('goat-shoulder', 'chunks', 1300, {
    aromatics: [
      { ingredient: 'onion', grams: 200 },
      { ingredient: 'garlic', grams: 11 },
    ],
    vegetables: [{ vegetable: 'carrot', grams: 333, texture: 'tender', place: 'auto' }],
    additions: [],
    grains: [],
    others: [{ name: 'Lardons', grams: 2, place: 'start' }],
  });
  const half = scaledPlan(plan, 0.5);
  expect(half.aromatics.map(({ grams }) => grams)).toEqual([100, 6]);
  expect(half.vegetables.map(({ grams }) => grams)).toEqual([165]);
  // Nothing is scaled away.
  expect(scaledPlan(plan, 0.1).others.map(({ grams }) => grams)).toEqual([1]);
  expect(half.meat.grams).toBe(650);
});
