import { speaking } from '../language/speech';
import Ajv from 'ajv';
import type { RecipeReading } from '@hervir/contract';
import { readPlan } from '@hervir/contract';
import { DEFAULT_COOKER, DEFAULT_KITCHEN, forecast, type Plan } from '@hervir/core';
import * as fc from 'fast-check';
import { isoDuration, recipeJsonLd, recipeMarkdown } from '../formats/recipe-out';
import { openKitchen, OXTAIL, type TestKitchen } from '../testing/kitchen';
import { takenAs } from './ingredient-words';
import { readRecipeIn } from '../testing/recipes';
import { ovenIn } from './read-step';
import { durations, inFigures } from './durations';
import { recipeSource } from './recipe-source';

const readRecipe = readRecipeIn('en-GB');

const given = { cooker: DEFAULT_COOKER, kitchen: DEFAULT_KITCHEN, confidence: 0.8 };

// Three pages written for the purpose: the same refuge, the three common shapes of JSON-LD.
const STEW = {
  '@context': 'https://schema.org',
  '@type': 'Recipe',
  name: 'Walkers’ stew with <b>celeriac</b>',
  recipeYield: ['6', '6 bowls'],
  recipeIngredient: [
    '3 lb beef shin, in slices',
    '2 tbsp tomato paste',
    '1 1/2 cups red wine',
    '500 ml beef stock',
    '2 onions, chopped',
    '3 cloves garlic, crushed',
    '4 large carrots',
    '1 celeriac, in large pieces',
    '2 bay leaves',
    'salt and pepper',
    '1 handful of good cheer',
  ],
  recipeInstructions: [
    {
      '@type': 'HowToSection',
      name: 'Meat',
      itemListElement: [{ '@type': 'HowToStep', text: 'Brown the meat for 10 minutes.' }],
    },
    { '@type': 'HowToStep', text: 'Cover and cook in a low oven (150 °C) for 3 1/2 to 4 hours.' },
  ],
};
const page = (json: unknown): string =>
  `<!doctype html><html><head><title>x</title><script>var a = 1;</script><script type="application/ld+json">${JSON.stringify(json)}</script></head><body><h1>Nothing here</h1></body></html>`;
const PAGES: readonly (readonly [string, string])[] = [
  ['single', page(STEW)],
  ['list', page([{ '@type': 'WebSite', name: 'the refuge' }, STEW])],
  [
    'graph',
    page({
      '@context': 'https://schema.org',
      '@graph': [
        { '@type': 'WebPage' },
        {
          '@type': ['Thing', 'Recipe'],
          ...Object.fromEntries(Object.entries(STEW).filter(([key]) => key !== '@type')),
        },
      ],
    }),
  ],
];

describe('what a recipe leaves to the kitchen', () => {
  const TEXT = `Goat shoulder with turnips, serves 6

1.5 kg goat shoulder, in chunks
500 g turnips
3 tbsp flour
300 ml dry cider
200 ml stock

Dust the meat with the flour and brown it. Pour in cider and stock. Cover and cook in the oven at 160 C for 2 1/2 hours.`;

  test('flour on the meat becomes what thickens the sauce, and that is said', () => {
    const { plan, notes } = readRecipe(TEXT, given);
    expect(plan?.finish.thickener).toBe('flour');
    expect(plan?.additions).toEqual([]);
    expect(notes.join(' ')).toContain('The flour thickens the sauce after pressure');
  });

  test('the minutes it proposes are those of the bench: with what the log has taught of the cut', () => {
    const tough = (plan: Plan): Plan => ({ ...plan, learnt: { toughness: { factor: 1.3, cooks: 6 } } });
    const proposedIn = (reading: ReturnType<typeof readRecipe>): number =>
      Number(/(\d+) are proposed/.exec(reading.notes.join(' '))?.[1]);
    const plain = readRecipe(TEXT, given);
    const taught = readRecipe(TEXT, { ...given, taught: tough });
    expect(proposedIn(plain)).toBe(forecast(plain.plan as Plan).pressureMinutes);
    expect(proposedIn(taught)).toBe(forecast(tough(taught.plan as Plan)).pressureMinutes);
    expect(proposedIn(taught)).toBeGreaterThan(proposedIn(plain));
    // What was learnt is looked up when the plan is reckoned, and stays out of what is kept.
    expect(taught.plan?.learnt).toBeUndefined();
  });
});

describe('a recipe page becomes a plan', () => {
  test.each(PAGES)('%s', (_shape, source) => {
    const { name, servings, lines, method, plan, notes } = readRecipe(source, given);
    expect([name, servings]).toEqual(['Walkers’ stew with celeriac', 6]);
    expect(lines.map(({ text }) => text)).toEqual(STEW.recipeIngredient);
    expect(plan?.meat).toMatchObject({ cut: 'beef-shin', form: 'slices', grams: 1361 });
    expect(plan?.additions).toEqual([{ ingredient: 'tomato-paste', grams: 31, when: 'on-top' }]);
    expect(plan?.deglaze).toMatchObject({ liquid: 'red-wine', ml: 150, scraped: true });
    expect(plan?.liquids.map(({ liquid, ml }) => [liquid, ml])).toEqual([
      ['red-wine', 205],
      ['stock', 500],
    ]);
    expect(plan?.vegetables.map(({ vegetable }) => vegetable)).toEqual(['carrot', 'celeriac']);
    expect(plan?.aromatics.map(({ ingredient }) => ingredient)).toEqual(['onion', 'garlic', 'bay']);
    expect(method.map(({ found }) => found)).toEqual([null, null, '3 h 45 min in the oven']);
    expect(notes.join(' ')).toMatch(/3 h 45 min in the oven cook like \d+ minutes under pressure/);
    expect(notes.join(' ')).toContain('tomato paste is laid on top');
    // Every line is there with what it was taken for; what was not understood says so.
    expect(lines.find(({ text }) => text.includes('cheer'))).toMatchObject({ as: { kind: 'unknown' } });
    expect(lines.find(({ text }) => text.startsWith('salt'))?.guess).toBe('left to the cook');
    expect(readPlan(plan).ok).toBe(true);
  });

  test('its oven hours are worth what the trade says: ribs 3.5 to 5.5 h in a low oven are 45 minutes (common practice)', () => {
    const text =
      'Ribs\nIngredients\n2 kg beef short ribs\n400 ml stock\nMethod\nBraise in the oven at 140 °C for 4 to 5 hours.';
    const { notes } = readRecipe(text, given);
    const minutes = Number(/cook like (\d+) minutes/.exec(notes.join(' '))?.[1]);
    expect(minutes).toBeGreaterThan(35);
    expect(minutes).toBeLessThan(60);
  });

  test('an oven goes by its temperature, in whatever degrees', () => {
    expect(ovenIn('Braise in the oven at 140 °C for 4 hours.')).toBe(140);
    expect(ovenIn('Bake at 325°F for 3 hours')).toBeCloseTo(162.8, 1);
    expect(ovenIn('Oven, 350 degrees, three hours')).toBeCloseTo(176.7, 1);
    expect(ovenIn('Gas mark 2, for 3 hours')).toBe(149);
    expect(ovenIn('Simmer for 100 minutes')).toBeNull();
    const like = (oven: string): number => {
      const text = `Ribs\nIngredients\n2 kg beef short ribs\n400 ml stock\nMethod\nBraise in the oven at ${oven} for 3 hours.`;
      return Number(/cook like (\d+) minutes/.exec(readRecipe(text, given).notes.join(' '))?.[1]);
    };
    expect(like('180 °C')).toBeGreaterThan(1.3 * like('110 °C'));
  });

  test('a slow cooker on high is not one on low; a tender cut is not taken for a tough one, and told why', () => {
    const like = (how: string): number => {
      const text = `Shoulder\nIngredients\n1.2 kg lamb shoulder, diced\n400 ml stock\nMethod\nCook in the slow cooker ${how} for 7 hours.`;
      return Number(/cook like (\d+) minutes/.exec(readRecipe(text, given).notes.join(' '))?.[1]);
    };
    expect(like('on high')).toBeGreaterThan(like('on low') + 10);
    const { plan, lines } = readRecipe('Roast\nIngredients\n2 pork tenderloins, 500 g each\n300 ml stock', given);
    expect(plan).toBeNull();
    expect(lines[0]?.guess).toMatch(/^Pork tenderloin is not for braising/);
  });

  test('its own minutes under pressure, and how it is let down, are kept', () => {
    const text =
      'Lamb\nIngredients\n1.2 kg lamb neck, sliced\n1 cup water\nMethod\nPressure cook on high for 35 minutes. Quick release.';
    expect(readRecipe(text, given).plan).toMatchObject({ pressureMinutes: 35, release: { method: 'quick' } });
  });

  test('plain text without headings is read by its amounts', () => {
    const { lines, plan } = readRecipe(
      'Goat for the hut, serves 5\n1.5 kg goat shoulder, in chunks\n2 turnips\n300 ml dry cider\nSimmer gently for 2 hours.',
      given,
    );
    expect(lines).toHaveLength(3);
    expect(plan).toMatchObject({
      servings: 5,
      meat: { cut: 'goat-shoulder', grams: 1500 },
      deglaze: { liquid: 'cider' },
    });
  });

  test('the cook’s word on a line stands', () => {
    const source = 'X\nIngredients\n1 kg stewing meat\n250 ml stock\nMethod\nCook for 2 hours.';
    expect(readRecipe(source, given).plan).toBeNull();
    const told = readRecipe(source, given, {
      corrections: { '0': { kind: 'meat', id: 'goat-stewing', form: 'pieces' } },
    });
    expect(told.plan?.meat).toMatchObject({ cut: 'goat-stewing', grams: 1000 });
  });

  test('too little liquid is filled up, and said', () => {
    const { plan, notes } = readRecipe(
      'Y\nIngredients\n1 kg pork collar, chunks\n50 ml vinegar\nMethod\nSimmer 1 hour.',
      given,
    );
    expect(plan?.liquids.some(({ liquid }) => liquid === 'stock')).toBe(true);
    expect(notes.join(' ')).toContain('less than this cooker needs');
  });
});

describe('words and times', () => {
  test.each([
    ['2 lb beef chuck, cut into 2-inch cubes', { kind: 'meat', id: 'beef-chuck', form: 'chunks' }],
    ['1 oxtail', { kind: 'meat', id: 'beef-oxtail', form: 'pieces' }],
    ['4 lamb shanks', { kind: 'meat', id: 'lamb-shank', form: 'whole' }],
    ['500 ml beef stock', { kind: 'liquid', id: 'stock' }],
    ['2 tbsp plain flour', { kind: 'thickener', id: 'flour' }],
    ['1 tbsp cornstarch', { kind: 'thickener', id: 'cornstarch' }],
    ['200 g pearl barley', { kind: 'grain', id: 'barley-pearl' }],
    ['1 onion, finely chopped', { kind: 'aromatic', id: 'onion' }],
    ['500 g potatoes', { kind: 'vegetable', id: 'potato-waxy' }],
    ['1 tsp salt', { kind: 'by-taste' }],
    ['a good mood', { kind: 'unknown' }],
  ])('%s', (line, as) => expect(takenAs(line)).toEqual(as));

  test.each([
    ['for 1½ hours', 90],
    ['30 minutes, then 2 hours more', 120],
    ['1 to 2 hours', 90],
    ['an afternoon', null],
  ])('%s', (text, minutes) => {
    const read = durations(inFigures(text)).map((one) => one.minutes);
    expect(read.length === 0 ? null : Math.max(...read)).toBe(minutes);
  });
});

describe('awkward and hostile sources', () => {
  test.each([
    ['a byte order mark and CRLF', '\uFEFFZ\r\nIngredients\r\n1 kg beef chuck\r\nMethod\r\nSimmer 2 hours', 1],
    ['truncated JSON', '{"@type":"Recipe","recipeIngredient":["1 kg beef', 0],
    ['no ingredients', page({ '@type': 'Recipe', name: 'Air' }), 0],
    ['a script in a name', JSON.stringify({ ...STEW, name: '<script>alert(1)</script>Stew' }), 11],
    ['a graph nested for ever', page(JSON.parse('{"@graph":'.repeat(40) + '1' + '}'.repeat(40))), 0],
  ])('%s', (_name, source, lines) => {
    const read = readRecipe(source, given);
    expect(read.lines).toHaveLength(lines);
    expect(JSON.stringify(read)).not.toContain('<script');
  });

  test('whatever is pasted is read or says that it found nothing (property)', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string({ maxLength: 400 }), fc.json().map(page)), (source) => {
        const { lines, plan } = readRecipe(source, given);
        expect(plan === null || lines.length > 0).toBe(true);
      }),
      { numRuns: 150, seed: Number(process.env['HERVIR_SEED'] ?? 1) },
    );
  });
});

describe('recipes out', () => {
  const read = readPlan({ ...OXTAIL, vegetables: [{ vegetable: 'celeriac', grams: 400 }] });
  if (!read.ok) throw new Error('the plan does not read');
  const f = forecast(read.value);

  test('JSON-LD has what schema.org asks of a recipe, durations in ISO 8601 (ajv), and reads in again', () => {
    const json = recipeJsonLd(f, speaking('en-GB', 'metric'));
    const duration = { type: 'string', pattern: '^PT(\\d+H)?(\\d+M)?$' };
    const check = new Ajv().compile({
      type: 'object',
      required: ['@context', '@type', 'name', 'recipeIngredient', 'recipeInstructions', 'totalTime', 'recipeYield'],
      properties: {
        '@context': { const: 'https://schema.org' },
        '@type': { const: 'Recipe' },
        prepTime: duration,
        cookTime: duration,
        totalTime: duration,
        recipeIngredient: { type: 'array', minItems: 3, items: { type: 'string' } },
      },
    });
    expect([check(json), check.errors]).toEqual([true, null]);
    const again = readRecipe(JSON.stringify(json), given);
    expect(again.plan?.meat).toMatchObject({ cut: 'beef-oxtail', grams: 1500 });
    expect(recipeSource(JSON.stringify(json)).method.length).toBeGreaterThan(10);
    expect([isoDuration(0), isoDuration(45), isoDuration(125)]).toEqual(['PT0M', 'PT45M', 'PT2H5M']);
  });

  test('the card in Markdown has its cautions at their step, and text stays text', () => {
    const card = recipeMarkdown(
      { ...f, plan: { ...f.plan, name: 'Oxtail [x](y) *bold*' } },
      speaking('en-GB', 'metric'),
    );
    expect(card).toContain('# Oxtail \\[x\\](y) \\*bold\\*');
    expect(card).toMatch(/Lid off.*Take care:/);
    expect(card).toContain('local food-safety authority');
  });
});

describe('over the interface', () => {
  let kitchen: TestKitchen;
  beforeAll(async () => {
    kitchen = await openKitchen();
  });
  afterAll(() => kitchen.close());

  test('a page is read and nothing is kept; a plan goes out as a recipe and a card', async () => {
    const { status, body } = await kitchen.send('POST', '/api/recipes/read', { text: PAGES[0]?.[1] });
    expect(status).toBe(200);
    const { plan } = body as RecipeReading;
    expect((await kitchen.send('GET', '/api/braises')).body).toEqual([]);
    const id = '9b1f3c8e-52c7-4c57-9a64-0f6a2f0c6a10';
    expect((await kitchen.send('POST', '/api/braises', { id, plan })).status).toBe(201);
    expect((await kitchen.send('GET', `/api/braises/${id}/recipe.jsonld`)).body).toMatchObject({ '@type': 'Recipe' });
    expect((await kitchen.send('GET', `/api/braises/${id}/card.md`)).body).toContain('## What is needed');
    expect(
      (
        await kitchen.send('POST', '/api/recipes/read', {
          text: 'x',
          corrections: { '0': { kind: 'liquid', id: 'lava' } },
        })
      ).status,
    ).toBe(200);
    expect((await kitchen.send('POST', '/api/recipes/read', { text: 7 })).status).toBe(400);
    const lava = {
      text: 'Z\nIngredients\n1 kg beef chuck\n1 l lava',
      corrections: { '1': { kind: 'liquid', id: 'lava' } },
    };
    expect((await kitchen.send('POST', '/api/recipes/read', lava)).status).toBe(400);
  });
});
