import { readPlan, readRecipeFile, type RecipeReading } from '@hervir/contract';
import { DEFAULT_COOKER, DEFAULT_KITCHEN, forecast, type Plan } from '@hervir/core';
import * as fc from 'fast-check';
import { readRecipeIn } from '../testing/recipes';
import type { PutRight } from './read-recipe';

const readRecipe = readRecipeIn('en-GB');

// Recipes written for the purpose, in the ways people write; what is expected of them is common practice.

const given = { cooker: DEFAULT_COOKER, kitchen: DEFAULT_KITCHEN, confidence: 0.8 };

function read(ingredients: readonly string[], method: readonly string[], right?: PutRight): RecipeReading {
  return readRecipe(`From the hut\nIngredients\n${ingredients.join('\n')}\nMethod\n${method.join('\n')}`, given, right);
}

/** The plan of a reading: one that can be kept, and reckoned. */
function planOf({ plan }: RecipeReading): Plan {
  if (plan === null) throw new Error('there is no plan');
  expect(readPlan(plan)).toMatchObject({ ok: true });
  expect(forecast(plan).pressureMinutes).toBeGreaterThanOrEqual(0);
  return plan;
}

const lineOf = (reading: RecipeReading, start: string): RecipeReading['lines'][number] => {
  const line = reading.lines.find(({ text }) => text.startsWith(start));
  if (!line) throw new Error(`no line “${start}”`);
  return line;
};

describe('the parts of a list', () => {
  const LIST = [
    'FOR THE STEW',
    '1.2 kg goat shoulder, diced',
    '500 ml stock, plus more if it is dry',
    '1 cup barbecue sauce, divided',
    '100 g frozen peas (optional)',
    '200 g turnips or carrots',
    'For the rice:',
    '300 g basmati rice',
    '600 ml water',
    '**To serve**',
    '1 lemon, in wedges',
    'To finish: 100 ml double cream',
  ];

  test('headings say where the lines under them belong, and stay where they are', () => {
    const reading = read(LIST, ['Brown the meat.', 'Simmer for 2 hours.']);
    expect(reading.lines.map(({ text }) => text)).toEqual(LIST);
    expect(reading.lines.filter(({ as }) => as.kind === 'heading').map(({ text }) => text)).toEqual([
      'FOR THE STEW',
      'For the rice:',
      '**To serve**',
    ]);
    for (const beside of ['300 g basmati', '600 ml water']) {
      expect(lineOf(reading, beside)).toMatchObject({ as: { kind: 'by-taste' }, when: null });
      expect(lineOf(reading, beside).guess).toContain('under “For the rice”');
    }
    expect(lineOf(reading, 'To finish').when).toBe('end');
    const plan = planOf(reading);
    expect(plan.grains).toEqual([]);
    expect(plan.liquids.map(({ liquid }) => liquid)).toEqual(['stock']);
    expect(plan.additions).toContainEqual({ ingredient: 'cream', grams: 105, when: 'after' });
  });

  test('optional, divided, plus more, one or the other: each is said beside its line', () => {
    const reading = read(LIST, ['Simmer for 2 hours.']);
    expect(lineOf(reading, '100 g frozen').guess).toContain('optional');
    expect(lineOf(reading, '1 cup barbecue').guess).toContain('divided');
    expect(lineOf(reading, '500 ml stock').guess).toContain('only this much is counted');
    expect(lineOf(reading, '200 g turnips')).toMatchObject({ as: { kind: 'vegetable', id: 'turnip' } });
    expect(lineOf(reading, '200 g turnips').guess).toContain('or carrots: the first is taken');
    // Two of one food are no choice.
    expect(lineOf(read(['1 kg beef shin', '500 ml beef or chicken stock'], []), '500 ml').guess).toBeNull();
  });

  test('the cook’s word is above the heading: what stands under the rice can go in', () => {
    const right = { corrections: { '7': { kind: 'grain', id: 'rice-white' } } } as const;
    const reading = read(LIST, ['Simmer for 2 hours.'], right);
    expect(planOf(reading).grains).toEqual([{ grain: 'rice-white', grams: 300, place: 'auto' }]);
  });

  test('a list that is written in capitals has no more headings than another', () => {
    const { lines } = read(['1 KG BEEF SHIN', 'SALT AND PEPPER', '2 CARROTS', '500 ML STOCK'], []);
    expect(lines.map(({ as }) => as.kind)).toEqual(['meat', 'by-taste', 'vegetable', 'liquid']);
  });

  test('a list without any heading ends where its sentences begin', () => {
    const text =
      'Goat for a wet day\n1 kg goat shoulder, diced\nMarinade:\n300 ml red wine\n1 bay leaf\nSalt and pepper\n1. Brown the meat.\n2. Simmer for 2 hours.';
    const { lines, method } = readRecipe(text, given);
    expect(lines.map((line) => line.text)).toEqual([
      '1 kg goat shoulder, diced',
      'Marinade:',
      '300 ml red wine',
      '1 bay leaf',
      'Salt and pepper',
    ]);
    expect(method.map((step) => step.text)).toEqual(['Brown the meat.', 'Simmer for 2 hours.']);
  });
});

describe('a method is read from end to end', () => {
  const SHANKS = [
    '4 lamb shanks (about 400 g each)',
    '3 carrots',
    '300 g waxy potatoes',
    '100 g frozen peas',
    '500 ml lamb stock',
    '200 ml red wine',
    '2 tins of hope',
  ];

  test('second runs and a simmer after them, with what goes in at them', () => {
    const reading = read(SHANKS, [
      'Brown the shanks in a frying pan in 2 batches. Deglaze with the stock.',
      'Cook at high pressure for 35 minutes, then natural release 10.',
      'Take out the shanks and ladle out 200 ml of the broth. Add the carrots and potatoes and cook 5 more minutes under pressure. Quick release.',
      'Stir in the peas and simmer for 3 minutes.',
    ]);
    const plan = planOf(reading);
    expect(plan).toMatchObject({
      pressureMinutes: 35,
      release: { method: 'natural-then-quick', naturalMinutes: 10 },
      sear: { where: 'pan', batches: 2 },
      deglaze: { liquid: 'stock' },
    });
    expect(plan.stages).toMatchObject([
      { id: 'second-run', kind: 'pressure', minutes: 5, meat: 'out', takeOutMl: 200, broth: 'kept' },
      { id: 'simmer', kind: 'simmer', minutes: 3, meat: 'out' },
    ]);
    expect(plan.vegetables.map(({ vegetable, place }) => [vegetable, place])).toEqual([
      ['carrot', 'second-run'],
      ['potato-waxy', 'second-run'],
      ['pea', 'simmer'],
    ]);
    expect(lineOf(reading, '3 carrots').when).toBe('second-run');
    expect(reading.notes.join(' ')).toContain(
      '5 min under pressure, with carrot, waxy potato; the meat waits under foil',
    );
  });

  test('two second runs are two stages', () => {
    const plan = planOf(
      read(SHANKS, [
        'Pressure cook for 35 minutes and quick release.',
        'Add the potatoes and pressure cook for 4 minutes.',
        'Add the carrots and pressure cook for 2 minutes.',
      ]),
    );
    expect(plan.stages.map(({ id, minutes, meat }) => [id, minutes, meat])).toEqual([
      ['second-run', 4, 'in'],
      ['recipe-2', 2, 'in'],
    ]);
    expect(plan.vegetables.find(({ vegetable }) => vegetable === 'carrot')?.place).toBe('recipe-2');
  });

  test('steps that cook one after another add up; what rests, reduces or cooks beside does not', () => {
    const minutes = (method: readonly string[]): number => {
      const { notes } = read(['1.8 kg oxtail, cut up', '1 litre stock'], ['Brown the meat.', ...method]);
      return Number(/cook like (\d+) minutes/.exec(notes.join(' '))?.[1]);
    };
    const whole = minutes(['Simmer for 3 hours 45 minutes.']);
    expect(minutes(['Simmer for 3 hours.', 'Add the onions and simmer for another 45 minutes.'])).toBe(whole);
    expect(
      minutes([
        'Simmer for 3 hours 45 minutes.',
        'Meanwhile boil the potatoes for 20 minutes.',
        'Lift the meat out.',
        'Simmer what is left for 30 minutes.',
        'Rest for 40 minutes.',
      ]),
    ).toBe(whole);
    expect(minutes(['Bake at 150 °C for 3 hours.', 'Bake for 30 minutes more, uncovered.'])).toBe(
      minutes(['Bake at 150 °C for 3 hours 30 minutes.']),
    );
  });

  test('of two ways to the same the first is reckoned, and the other is said to be left out', () => {
    const { notes } = read(
      ['1 kg beef chuck', '500 ml stock'],
      ['Brown the beef.', 'Bake at 150 °C for 3 hours.', 'Slow cooker: cook on low for 8 hours.'],
    );
    expect(notes.join(' ')).toContain('3 h in the oven cook like');
    expect(notes.join(' ')).toContain('“Slow cooker: cook on low for 8 hours.” is another way to the same');
    const pressed = read(
      ['1 kg beef chuck', '500 ml stock'],
      ['Bake for 3 hours.', 'Or pressure cook for 40 minutes.'],
    );
    expect(planOf(pressed).pressureMinutes).toBe(40);
    expect(pressed.notes.join(' ')).toContain('“Bake for 3 hours.” is left out');
  });

  test('marinade and rub, by their headings or by the method, lie on the meat and not in the pot', () => {
    const marinated = planOf(
      read(
        ['1.2 kg beef chuck', '750 ml red wine', '500 ml stock', '2 bay leaves', '1 onion'],
        [
          'Marinate the beef in the wine with the bay leaves for 24 hours.',
          'Brown the beef. Pour the marinade over.',
          'Simmer for 2 hours.',
        ],
      ),
    );
    expect(marinated.meat.marinade).toEqual({ ml: 750, hours: 24, then: 'poured-in', solidsGrams: 2 });
    expect(marinated.aromatics.map(({ ingredient }) => ingredient)).toEqual(['onion']);
    expect(marinated.liquids.some(({ liquid }) => liquid === 'red-wine')).toBe(false);
    const thrown = read(
      ['1.2 kg beef chuck', 'Marinade', '750 ml red wine'],
      ['Leave overnight.', 'Discard the marinade.', 'Simmer for 2 hours.'],
    );
    expect(planOf(thrown).meat.marinade?.then).toBe('thrown');
    expect(thrown.notes.join(' ')).toContain('No raw marinade is eaten');
    const rubbed = planOf(
      read(
        ['1.8 kg pork shoulder', '500 ml stock', 'For the rub', '2 tbsp brown sugar', '1 tbsp paprika'],
        ['Rub the pork all over.', 'Pressure cook for 60 minutes.', 'Shred with two forks.'],
      ),
    );
    expect(rubbed.meat.rub).toEqual({ grams: 38, sugar: true });
    expect(rubbed.additions).toEqual([]);
    expect(rubbed.target).toBe('pulls');
  });

  test('a rack, straining, no browning at all, carving: as the method has them', () => {
    const reading = read(
      ['1.4 kg corned beef brisket', '1 litre water'],
      [
        'Set the brisket on a rack over the water.',
        'Pressure cook for 85 minutes. NPR 20 min.',
        'Strain the broth. Carve.',
      ],
    );
    expect(planOf(reading)).toMatchObject({
      rack: true,
      sear: { school: 'none' },
      target: 'slices',
      release: { method: 'natural-then-quick', naturalMinutes: 20 },
      finish: { strain: 'thrown' },
    });
    expect(reading.notes.join(' ')).toContain('does not brown the meat');
    // Too little is said to know.
    expect(planOf(read(['1.4 kg beef chuck', '1 litre water'], ['Simmer for 2 hours.'])).sear.school).toBe('hard');
  });

  test('whistles are no minutes', () => {
    const { notes, plan } = read(['1 kg goat leg, diced', '500 ml water'], ['Pressure cook for 6 whistles.']);
    expect(plan?.pressureMinutes).toBeNull();
    expect(notes.join(' ')).toContain('counts whistles');
  });

  test('further cuts go into the same pot, the fourth is left to the cook', () => {
    const reading = read(['1 kg beef shin', '500 g pork belly', '400 g lamb neck', '300 g oxtail', '500 ml stock'], []);
    expect(planOf(reading).otherMeats.map(({ cut }) => cut)).toEqual(['pork-belly', 'lamb-neck']);
    expect(reading.notes.join(' ')).toContain('“300 g oxtail” is left to you');
  });

  test('when a line goes in is the cook’s to say; what the catalog does not know then takes its room', () => {
    const plan = planOf(
      read([...SHANKS, '200 g prunes'], ['Pressure cook for 35 minutes.'], {
        whens: { '1': 'second-run', '4': 'end', '7': 'simmer', '2': 'rub' },
        amounts: { '5': 400 },
      }),
    );
    expect(plan.vegetables.map(({ place }) => place)).toEqual(['second-run', 'auto', 'auto']);
    expect(plan.liquids).toContainEqual({ liquid: 'stock', ml: 500, temperatureC: 20, stage: 'off-heat' });
    expect(plan.others).toEqual([{ name: '200 g prunes', grams: 200, place: 'simmer' }]);
    expect(plan.deglaze).toEqual({ liquid: 'red-wine', ml: 150, scraped: true });
  });
});

describe('no number of a line is lost', () => {
  const FOODS = [
    'beef shin',
    'carrots',
    'onions',
    'beef stock',
    'red wine',
    'turnips',
    'pearl barley',
    'barbecue sauce',
  ];
  const UNITS = ['g', 'kg', 'lb', 'oz', 'ml', 'cups', 'tbsp', 'tsp', 'litres'];
  // Large enough that one more is not lost where grams are rounded.
  const number = fc.integer({ min: 20, max: 60 });

  /** All that is made of a line, its own words and the name of what it is left aside. */
  const made = (line: string): string => {
    const { as, grams, guess } = readRecipe(`X\nIngredients\n${line}`, given).lines[0] ?? {};
    return JSON.stringify([as, grams, guess]);
  };

  test('a line with another number in its place is read otherwise', () => {
    const shape = fc.constantFrom<(n: number, m: number, unit: string, food: string) => string>(
      (n, _m, unit, food) => `${n} ${unit} ${food}`,
      (n, m, unit, food) => `${n}-${m + 40} ${unit} ${food}`,
      (n, m, _unit, food) => `${n} x ${m * 10} g tins ${food}`,
      (n, m, _unit, food) => `${n} (${m} oz) cans ${food}`,
      (n, m, _unit, food) => `${n} lb ${(m % 14) + 1} oz ${food}`,
      (n, _m, _unit, food) => `${n} ${food}, chopped`,
      (n, m, unit, food) => `${n} ${unit} ${food} and ${m} gadgets`,
      (n, m, _unit, food) => `${food} (${m * 10} g), with ${n} wishes`,
    );
    fc.assert(
      fc.property(
        shape,
        number,
        number,
        fc.constantFrom(...UNITS),
        fc.constantFrom(...FOODS),
        (write, n, m, unit, food) => {
          fc.pre(write(n, m, unit, food) !== write(n + 2, m, unit, food));
          expect(made(write(n, m, unit, food))).not.toBe(made(write(n + 2, m, unit, food)));
          if (write(n, m, unit, food) !== write(n, m + 2, unit, food))
            expect(made(write(n, m, unit, food))).not.toBe(made(write(n, m + 2, unit, food)));
        },
      ),
      { numRuns: 150 },
    );
  });

  test('twice the amount is twice the weight', () => {
    fc.assert(
      fc.property(number, fc.constantFrom(...UNITS), fc.constantFrom(...FOODS), (n, unit, food) => {
        const grams = (amount: number): number =>
          readRecipe(`X\nIngredients\n${amount} ${unit} ${food}`, given).lines[0]?.grams ?? NaN;
        expect(Math.abs(grams(2 * n) - 2 * grams(n))).toBeLessThanOrEqual(1);
      }),
      { numRuns: 100 },
    );
  });

  test('lengths, shares, hours and numbers of pieces are no amounts, and are not asked about', () => {
    for (const line of [
      '1 kg beef shin, in 4 cm cubes',
      '1 kg beef shin, cut into 8 pieces',
      '2 carrots, cut into 3-inch pieces',
      '200 g dried beans, soaked for 12 hours',
      '500 ml stock (about 2 ladles)',
      '4 lamb shanks (about 400 g each)',
      '100 ml double cream, 48 % fat',
    ])
      expect([line, readRecipe(`X\nIngredients\n${line}`, given).lines[0]?.guess ?? '']).toEqual([
        line,
        expect.not.stringContaining('was not understood'),
      ]);
  });
});

test('every line is there, whatever is in it, and in its order', () => {
  const line = fc.string({ minLength: 1, maxLength: 60 }).map((text) => text.replaceAll(/[<>&{}[\]\s]+/g, ' ').trim());
  fc.assert(
    fc.property(fc.array(line, { maxLength: 12 }), (some) => {
      const written = some.filter((one) => /\p{L}{2}/u.test(one));
      const { lines } = readRecipe(JSON.stringify({ '@type': 'Recipe', name: 'X', recipeIngredient: written }), given);
      expect(lines).toHaveLength(written.length);
    }),
    { numRuns: 100 },
  );
});

test('a recipe longer than anybody writes is cut, and says so; a text over the limit is refused by its field', () => {
  const reading = read(['1 kg beef shin', ...Array.from({ length: 400 }, (_, i) => `${i + 1} g salt`)], []);
  expect(reading.lines).toHaveLength(300);
  expect(reading.notes.join(' ')).toContain('the first 300 lines');
  expect(readRecipeFile({ text: 'x'.repeat(5_000_000) }).ok).toBe(true);
  expect(readRecipeFile({ text: 'x'.repeat(5_000_001) })).toMatchObject({ ok: false, faults: [{ path: 'text' }] });
});
