import { aromaticKind } from '../catalog/aromatics';
import { planFor } from '../testing/fixtures';
import { aromaticMinutes, aromaticSteps } from './aromatics';
import { forecast } from '../braise/forecast/forecast';
import { bowlsOf, prepSteps } from '../words/prep-list';
import { cutSubstitutes, herbSwap, liquidSubstitutes } from './substitutes';
import { english } from '../testing/said-in-english';

test('a sauce made apart that is sautéed twice has two tasks of its own, and a third by another name', () => {
  const steps = ['saute', 'blend', 'saute', 'saute'] as const;
  const additions = [
    { ingredient: 'salsa-thin', grams: 200, when: 'on-top' as const, apart: { steps: [...steps], swillMl: 50 } },
  ];
  const plan = planFor('goat-neck', 'slices', 1600, { additions });
  const ids = forecast(plan)
    .clock.tasks.filter(({ work }) => work.kind === 'apart')
    .map(({ id }) => id);
  expect(ids).toEqual(['apart-1-saute', 'apart-1-blend', 'apart-1-saute-2', 'apart-1-saute-3', 'apart-1-swill']);
});

describe('aromatics', () => {
  test('onion before ginger before spices, garlic last of all, leaves with the liquid (common practice)', () => {
    const steps = aromaticSteps([
      { ingredient: 'bay leaves', grams: 2 },
      { ingredient: 'garlic', grams: 12 },
      { ingredient: 'ground cumin', grams: 4 },
      { ingredient: 'ginger', grams: 15 },
      { ingredient: '2 red onions', grams: 250 },
    ]);
    expect(steps.map(({ group }) => group)).toEqual(['base', 'warm', 'spice', 'garlic', 'leaf']);
  });

  test('onion and its like 3 to 8 minutes, spices about a minute, garlic 30 to 60 s (common practice)', () => {
    const minutes = (ingredient: string, grams: number): number => aromaticMinutes([{ ingredient, grams }]);
    expect(minutes('onion', 20)).toBeGreaterThanOrEqual(3);
    expect(minutes('onion', 4000)).toBeLessThanOrEqual(8);
    expect(minutes('paprika', 10)).toBe(1);
    expect(minutes('garlic', 12) * 60).toBeGreaterThanOrEqual(30);
    expect(minutes('garlic', 12) * 60).toBeLessThanOrEqual(60);
    expect(minutes('bay', 2)).toBe(0);
  });

  test('fine vegetables that are set aside have a turn of their own, first', () => {
    const steps = aromaticSteps([
      { ingredient: 'onion', grams: 200 },
      { ingredient: 'mushrooms', grams: 250, then: 'set-aside' },
    ]);
    expect(steps.map(({ id }) => id)).toEqual(['aside-base', 'base']);
  });

  test('whole heads of garlic are not garlic; what is not known is treated as a vegetable', () => {
    expect(aromaticKind('a head of garlic').group).toBe('leaf');
    expect(aromaticKind('garlic').group).toBe('garlic');
    expect(aromaticKind('salsify').group).toBe('base');
    expect(aromaticKind('<b>onion</b>').group).toBe('base');
  });
});

describe('the board', () => {
  const plan = planFor(
    'beef-chuck',
    'chunks',
    1300,
    {
      aromatics: [
        { ingredient: 'onion', grams: 200 },
        { ingredient: 'garlic', grams: 10 },
      ],
      vegetables: [{ vegetable: 'carrot', grams: 300, texture: 'tender', place: 'second-run' }],
      additions: [
        { ingredient: 'tomato-paste', grams: 40, when: 'on-top' },
        { ingredient: 'cream', grams: 80, when: 'after' },
      ],
    },
    { trimGrams: 130, rub: { grams: 20, sugar: false } },
  );

  test('vegetables first, raw meat last; trimmed, cut, dried, rubbed, salted in that order', () => {
    const steps = prepSteps(plan);
    expect(steps.map(({ kind }) => kind)).toEqual(['ready', 'trim', 'cut', 'dry', 'rub', 'salt']);
    expect(steps.findIndex(({ meat }) => meat)).toBe(1);
  });

  test('what is done hours ahead stands before all; cured meat is rinsed', () => {
    const ahead = prepSteps({
      ...plan,
      meat: { ...plan.meat, salted: 'ahead', marinade: { ml: 150, hours: 12, then: 'poured-in' } },
    });
    expect(ahead.slice(0, 2).map(({ when }) => when)).toEqual(['ahead', 'ahead']);
    expect(ahead.some(({ kind }) => kind === 'salt')).toBe(false);
    const cured = prepSteps(planFor('beef-brisket-cured', 'whole', 1800)).map(({ kind }) => kind);
    expect(cured).toContain('rinse');
    expect(cured).not.toContain('salt');
  });

  test('bowls by the moment they go in, and every gram in exactly one', () => {
    const bowls = bowlsOf(forecast(plan));
    expect(bowls.map(({ moment }) => moment)).toEqual([
      'Into the hot fat',
      'Last, half a minute before the liquid',
      'On top, not stirred',
      'After the pressure',
    ]);
    const grams = bowls.flatMap(({ items }) => items).reduce((sum, item) => sum + item.grams, 0);
    expect(grams).toBe(200 + 10 + 300 + 40 + 80);
  });

  test('a sauce made apart: toast, soak, sauté, blend with the lid vented, strain, swill', () => {
    const tasks = forecast(
      planFor('goat-neck', 'slices', 1600, {
        additions: [
          {
            ingredient: 'chilli-blend',
            grams: 250,
            when: 'stirred-in',
            apart: { steps: ['toast', 'soak', 'saute', 'blend', 'strain'], swillMl: 240 },
          },
        ],
      }),
    ).clock.tasks.filter(({ work }) => work.kind === 'apart');
    expect(tasks).toHaveLength(6);
    expect(tasks[3]?.label).toMatch(/blend.*lid vented/);
    expect(tasks.find(({ label }) => english(label).includes('soak'))?.handsOn).toBe(false);
    expect(tasks.at(-1)?.label).toContain('240 ml');
  });
});

describe('substitutes', () => {
  test('cut for cut: the same animal and like toughness first, only what can be cut the same way', () => {
    const [first] = cutSubstitutes({ cut: 'lamb-shoulder', form: 'bite-size' });
    expect(first?.id).toMatch(/^lamb-/);
    for (const { id } of cutSubstitutes({ cut: 'beef-shin', form: 'slices' })) expect(id).not.toBe('beef-shin');
  });

  test.each(['red-wine', 'white-wine', 'beer', 'cider'])(
    '%s: something without alcohol is always offered',
    (liquid) => {
      expect(liquidSubstitutes(liquid)[0]?.changes).toMatch(/no alcohol/);
    },
  );

  test('fresh herbs weigh three times dried ones (common practice); bay is no matter', () => {
    expect(herbSwap('thyme', 9)).toBe('or 3 g dried');
    expect(herbSwap('dried oregano', 2)).toBe('or 6 g fresh');
    expect(herbSwap('onion', 200)).toBeNull();
  });
});
