import { AROMATICS } from '../catalog/aromatics';
import { asSold } from '../catalog/as-sold';
import { VEGETABLES } from '../catalog/vegetables';
import { planFor } from '../testing/fixtures';
import type { Plan } from './plan';
import { shoppingList, type ShoppingLine } from './shopping';
import { english } from '../testing/said-in-english';

const shank: Plan = {
  ...planFor('lamb-shank', 'whole', 1600),
  aromatics: [
    { ingredient: 'onion', grams: 200 },
    { ingredient: 'carrot', grams: 80 },
  ],
  vegetables: [{ vegetable: 'carrot', grams: 300, texture: 'tender', place: 'auto' }],
  grains: [{ grain: 'chickpea-soaked', grams: 200, place: 'auto' }],
};
const line = (list: readonly ShoppingLine[], name: RegExp): ShoppingLine => {
  const item = list.find((one) => name.test(english(one.name)));
  if (!item) throw new Error(`no ${name} in ${list.map((one) => one.name).join(', ')}`);
  return item;
};

test('the meat as bought, carrots of both kinds once and with their peel, pulses dry', () => {
  const list = shoppingList([shank]);
  expect(line(list, /shank/).grams).toBe(1600);
  const carrots = line(list, /carrot/);
  // 380 g peeled, 0.82 left of what is bought, 90 g each.
  expect(carrots.grams).toBeCloseTo(380 / 0.82, 6);
  expect(carrots.pieces).toBe(5);
  expect(line(list, /chickpeas/)).toMatchObject({ name: 'dry chickpeas', grams: 200, pieces: null });
  expect(list.map(({ name }) => name)).not.toContain('water');
  expect(list[0]?.aisle).toBe('meat');
});

test('two plans are bought for once, and each line knows for whom', () => {
  const other: Plan = { ...planFor('lamb-shank', 'whole', 900), aromatics: [{ ingredient: 'onion', grams: 100 }] };
  const list = shoppingList([shank, other]);
  expect(line(list, /shank/)).toMatchObject({ grams: 2500, plans: [0, 1] });
  expect(line(list, /onion/)).toMatchObject({ pieces: 3, plans: [0, 1] });
  expect(line(list, /carrot/).plans).toEqual([0]);
});

test('one of it is named as one, and a slice over it is no second one', () => {
  const one: Plan = { ...shank, vegetables: [], aromatics: [{ ingredient: 'onion', grams: 125 }] };
  expect(line(shoppingList([one]), /onion/)).toMatchObject({ pieces: 1, name: 'onion' });
});

test('every vegetable that is peeled or trimmed has its share; nothing is left of more than was bought', () => {
  const known = VEGETABLES.filter(({ id }) => asSold(id) === null).map(({ id }) => id);
  // Out of a jar, and used as they are.
  expect(known).toEqual(['olive', 'caper']);
  for (const { id } of [...VEGETABLES, ...AROMATICS]) {
    const sold = asSold(id);
    if (sold === null) continue;
    expect(sold.left).toBeGreaterThan(0.5);
    expect(sold.left).toBeLessThanOrEqual(1);
  }
});

test('two things of one aisle are two lines, and one thing of two plans is one', () => {
  const list = shoppingList([shank, shank]);
  expect(new Set(list.map(({ id }) => id)).size).toBe(list.length);
  // A tick is kept by it, on paper and on the phone: it says the thing and nothing of how it is told.
  for (const { id } of list) expect(id).toMatch(/^[a-z-]+:[\w."é -]+$/);
  expect(line(list, /carrot/).plans).toEqual([0, 1]);
  expect(line(list, /carrot/).grams).toBeCloseTo((2 * 380) / 0.82, 6);
  expect(list.filter(({ name }) => /onion|carrot/.test(english(name)))).toHaveLength(2);
});
