import { DEFAULT_COOKER } from '../plan/defaults';
import { keptTasks, keptUntil, thawKept, warmKept, type Kept } from './kept';
import { meatFor } from '../stations/plate';
import { CUTS } from '../catalog/cuts';
import { cookedAt, partAhead, withPartOver } from './ahead-done';
import { planFor } from '../testing/fixtures';

const NECK: Kept = {
  name: 'Goat neck with quince',
  cut: 'goat-neck',
  portions: 3,
  grams: 1200,
  pieceCm: 3,
  depthCm: 5,
  place: 'freezer',
  since: '2027-01-03T21:00:00+01:00',
  eatAt: '2027-01-17T19:00:00+01:00',
  warm: 'stove',
  gone: null,
};

describe('what is kept', () => {
  // A flat container of a kilogram: a night in the fridge. Common practice.
  test('a shallow container thaws overnight, a deeper one takes longer', () => {
    const hours = thawKept(NECK) / 60;
    expect(hours).toBeGreaterThan(8);
    expect(hours).toBeLessThan(26);
    expect(thawKept({ ...NECK, depthCm: 9 })).toBeGreaterThan(thawKept(NECK) * 1.1);
    expect(thawKept({ ...NECK, place: 'fridge' })).toBe(0);
  });

  test('is warm in the middle, about as soon where it is pulled, whichever way', () => {
    for (const warm of ['stove', 'oven', 'pressure'] as const) {
      const warmed = warmKept({ ...NECK, warm });
      expect(warmed?.coreC).toBeGreaterThanOrEqual(74);
      expect(warmKept({ ...NECK, warm, pieceCm: 0 })?.minutes).toBeLessThanOrEqual((warmed?.minutes ?? 0) * 1.15);
    }
    expect(warmKept(NECK, { ...DEFAULT_COOKER, watts: 2000 })?.minutes).toBeLessThan(warmKept(NECK)?.minutes ?? 0);
  });

  test('a meal of it: out of the freezer not in the night, warmed so that it is on the table in time', () => {
    const [thaw, warm] = keptTasks(NECK);
    expect(thaw).toMatchObject({ kind: 'thaw-fridge', name: 'goat neck with quince' });
    const hour = Number(thaw?.at?.slice(11, 13));
    expect(hour >= 7 && hour < 22).toBe(true);
    expect(Date.parse(thaw?.at ?? '')).toBeLessThanOrEqual(Date.parse(thaw?.latestAt ?? ''));
    expect(Date.parse(warm?.at ?? '') + (warm?.minutes ?? 0) * 60_000).toBeCloseTo(Date.parse(NECK.eatAt ?? ''), -5);
    // What is in the fridge is only warmed; what is for no meal asks for nothing.
    expect(keptTasks({ ...NECK, place: 'fridge' }).map(({ kind }) => kind)).toEqual(['warm']);
    expect(keptTasks({ ...NECK, eatAt: null })).toEqual([]);
  });

  test('three days in the fridge (USDA FSIS cold storage chart; from memory)', () => {
    expect(keptUntil({ place: 'fridge', since: NECK.since }).slice(0, 10)).toBe('2027-01-06');
  });
});

describe('from the number of people backwards', () => {
  // Eight with a bone-in shoulder of some 2.6 kg and a third of bone and trim: common practice, 150 to 250 g boneless a person.
  test('for eight, a bone-in shoulder of goat is some two to three kilograms', () => {
    const grams = meatFor({ cut: 'goat-shoulder', boneIn: true }, 8);
    expect(grams).toBeGreaterThan(1900);
    expect(grams).toBeLessThan(3000);
    expect(meatFor({ cut: 'goat-shoulder', boneIn: true, trimShare: 0.1 }, 8)).toBeGreaterThan(grams);
  });

  test.each(CUTS.map(({ id }) => [id]))('%s: more for more, and bone is bought with it', (cut) => {
    const by = [1, 2, 4, 8].map((servings) => meatFor({ cut, boneIn: false }, servings));
    expect(by).toEqual([...by].sort((a, b) => a - b));
    expect(meatFor({ cut, boneIn: true }, 8)).toBeGreaterThanOrEqual(by[3] as number);
  });
});

describe('an evening that is over', () => {
  const plan = {
    ...planFor('beef-chuck', 'chunks', 1500, { serveAt: NECK.eatAt }),
    cookAhead: { hours: 24, depthCm: 5, warm: 'stove' as const },
  };

  test('is known by the clock on the wall, and taken back', () => {
    const over = withPartOver(plan, 'evening', '2027-01-16T18:05:00.000Z');
    expect(cookedAt(over)).toBe('2027-01-16T19:05:00+01:00');
    expect(cookedAt(withPartOver(over, 'evening', null))).toBeNull();
    expect(
      withPartOver({ ...plan, cookAhead: undefined }, 'evening', '2027-01-16T18:05:00.000Z').aheadDone,
    ).toBeUndefined();
  });

  test('the evening is ahead first, then the day; eaten, it is planned anew', () => {
    expect(partAhead(plan)).toBe('evening');
    const cooked = withPartOver(plan, 'evening', '2027-01-16T18:05:00.000Z');
    expect(partAhead(cooked)).toBe('day');
    const eaten = withPartOver(cooked, 'day', '2027-01-17T18:05:00.000Z');
    expect(partAhead(eaten)).toBe('evening');
    expect(partAhead(withPartOver(eaten, 'day', null))).toBe('day');
    // Eaten when it is cooked there is no other part.
    expect(partAhead({ ...cooked, cookAhead: undefined })).toBe('evening');
    // Taken back though nothing was said, it is the same plan: nobody is told of a change.
    expect(withPartOver(cooked, 'day', null)).toBe(cooked);
  });

  test('what was done for a dinner of last month is not done for this one', () => {
    const over = withPartOver(plan, 'evening', '2026-12-16T18:05:00.000Z');
    expect(cookedAt(over)).toBeNull();
  });
});
