import { speaking } from '../language/speech';
import type { RecipeReading } from '@hervir/contract';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  CUTS,
  DEFAULT_COOKER,
  DEFAULT_KITCHEN,
  forecast,
  newPlan,
  stageOf,
  type Plan,
  GRAINS,
  LIQUIDS,
  VEGETABLES,
} from '@hervir/core';
import { recipeJsonLd } from '../formats/recipe-out';
import { FOODS } from './lexicon';
import { readLine, readRecipeIn } from '../testing/recipes';
import { readStep } from './read-step';

const readRecipe = readRecipeIn('en-GB');

interface Sentence {
  readonly text: string;
  readonly minutes: number | null;
  readonly way: string | null;
  readonly release: string | null;
}

const sample = <T>(name: string): T => JSON.parse(readFileSync(join(__dirname, 'samples', name), 'utf8')) as T;

test('sentences', () => {
  const off: string[] = [];
  for (const { text, minutes, way, release } of sample<Sentence[]>('sentences.json')) {
    const read = readStep(text);
    const same = read.minutes === minutes && (read.way ?? null) === way && read.release === release;
    if (!same) off.push(`${text} => ${read.minutes} ${read.way} ${read.release}; wanted ${minutes} ${way} ${release}`);
  }
  expect(off).toEqual([]);
});

test.each<[string, number | null, string | null, string | null]>([
  [
    'Pressure cook on high for 45 minutes, then natural release for 15 minutes and quick release the rest.',
    45,
    'pressure',
    'natural-then-quick',
  ],
  ['Let the pressure release naturally for 10 minutes, then open the valve.', null, null, 'natural-then-quick'],
  ['Sauté for 5 minutes, then cook at high pressure 25 min.', 25, 'pressure', null],
  ['Cook under pressure for 1 hour 10 minutes.', 70, 'pressure', null],
  ['Simmer, partly covered, 2–2½ hours until tender.', 135, 'simmer', null],
  ['Place in a 150°C oven and cook for 3 to 3 1/2 hours.', 195, 'oven', null],
  ['Cook on low for 8 hours.', 480, 'slow-cooker', null],
  ['Cover and cook on HIGH for 5 hours.', 300, 'slow-cooker-high', null],
  ['Transfer to the slow cooker; cook 6 hrs on low.', 360, 'slow-cooker', null],
  ['Braise at 325 degrees for about 3 hours.', 180, 'oven', null],
  ['Bring to the boil, then simmer very gently for 45 minutes.', 45, 'simmer', null],
  ['Return to the oven for a further 30 minutes, uncovered.', 30, 'oven', null],
  ['Preheat the oven to 160C. Roast 2h30.', 150, 'oven', null],
  ['Rest for 20 minutes before carving.', null, null, null],
  ['Soak the beans overnight, then simmer for 1 hour.', 60, 'simmer', null],
  ['Cook for three-quarters of an hour over a gentle heat.', 45, 'simmer', null],
  ['Simmer for 1-1/2 hours.', 90, 'simmer', null],
  ['Natural release, then remove the lid.', null, null, 'natural'],
  ['Release the pressure at once.', null, null, 'quick'],
  ['Add the potatoes and cook under pressure for 4 minutes more.', 4, 'pressure', null],
  ['Fry the onions for 10 minutes until soft, then 20 minutes more.', null, null, null],
  ['Leave to simmer for 2 hours.', 120, 'simmer', null],
  ['Chill overnight, at least 8 hours.', null, null, null],
  ['Cook, covered, in a low oven (140°C/275°F/Gas 1) for 4 hours.', 240, 'oven', null],
  ['Thirty-five minutes at full pressure.', 35, 'pressure', null],
  ['Serve with bread.', null, null, null],
])('%s', (text, minutes, way, release) => {
  expect(readStep(text)).toMatchObject({ minutes, way, release });
});

interface Page {
  readonly name: string;
  readonly text: string;
  readonly want: {
    readonly name: string;
    readonly servings: number;
    readonly lines: number;
    readonly minutes: number;
    readonly cut: string;
  };
}

test('pages', () => {
  const off: string[] = [];
  for (const { name, text, want } of sample<Page[]>('pages.json')) {
    const read = readRecipe(text, { cooker: DEFAULT_COOKER, kitchen: DEFAULT_KITCHEN, confidence: 0.8 });
    const found = {
      name: read.name,
      servings: read.servings,
      lines: read.lines.length,
      minutes: read.method.find(({ minutes }) => minutes !== null)?.minutes ?? null,
      cut: read.plan?.meat.cut,
    };
    if (JSON.stringify(found) !== JSON.stringify(want)) off.push(`${name}: ${JSON.stringify(found)}`);
  }
  expect(off).toEqual([]);
});

type Found = 'fine' | 'near' | 'unsure' | 'wrong';

/** A line against what is expected of it: wrong only where it does not say that it is unsure. */
function judged(line: RecipeReading['lines'][number] | undefined, wanted: string): Found {
  const [what = '', amount] = wanted.split(';');
  if (line === undefined) return 'wrong';
  const ways = what.split('/');
  const { as, grams, guess } = line;
  const id = 'id' in as ? `${as.kind}:${as.id}` : as.kind;
  const unsure = as.kind === 'unknown' || /unsure|usual|ask|which/i.test(String(guess ?? ''));
  const right = ways.some((way) => {
    if (way === 'b' || way === 'out') return as.kind === 'by-taste' || (way === 'out' && as.kind === 'unknown');
    if (way === 'x') return as.kind === 'unknown' || as.kind === 'by-taste';
    const full = way.includes(':') ? way : `${(ways[0] ?? '').split(':')[0]}:${way}`;
    return id === full || id.startsWith(`${full}-`);
  });
  const known = ways.includes('x') && as.kind !== 'unknown' && as.kind !== 'by-taste' && 'id' in as;
  if (!right && !known) return unsure ? 'unsure' : 'wrong';
  if (amount === undefined || amount === '?' || as.kind === 'unknown' || as.kind === 'by-taste') return 'fine';
  if (grams === null) return unsure ? 'unsure' : 'wrong';
  const ratio = grams / Number(amount);
  const spoons = /cup|tbsp|tablespoon|tsp|teaspoon/i.test(line.text);
  const room = spoons ? 1.36 : 1.15;
  if (ratio <= room && ratio >= 1 / room) return 'fine';
  if (guess !== null && ratio >= 0.6 && ratio <= 1.67) return 'near';
  return guess !== null ? 'unsure' : 'wrong';
}

test('lines', () => {
  const text = readFileSync(join(__dirname, 'samples', 'lines.txt'), 'utf8');
  const counts: Record<Found, number> = { fine: 0, near: 0, unsure: 0, wrong: 0 };
  const off: string[] = [];
  let meats = 0;
  const recipes = text.split(/^# /m).slice(1);
  for (const recipe of recipes) {
    const [head = '', ...rows] = recipe.trim().split('\n');
    const pairs = rows.map((row) => row.split(' => ') as [string, string]);
    const source = `${head.split(' | ')[0]}\nIngredients\n${pairs.map(([line]) => line).join('\n')}\nMethod\nSimmer for 2 hours.`;
    const read = readRecipe(source, { cooker: DEFAULT_COOKER, kitchen: DEFAULT_KITCHEN, confidence: 0.8 });
    const cuts = (head.split(' | ')[1] ?? '').split('/');
    if (read.plan !== null && cuts.includes(read.plan.meat.cut)) meats += 1;
    else off.push(`MEAT ${head}: ${read.plan?.meat.cut}`);
    pairs.forEach(([line, wanted], i) => {
      const found = judged(read.lines[i], wanted);
      counts[found] += 1;
      const { as, grams, guess } = read.lines[i] ?? {};
      if (found !== 'fine') off.push(`${found}: ${line} => ${JSON.stringify(as)} ${grams} ${guess}; wanted ${wanted}`);
    });
  }
  const all = Object.values(counts).reduce((sum, n) => sum + n, 0);
  const figures = `${JSON.stringify(counts)} of ${all}, meat of ${meats} in ${recipes.length}`;
  expect([figures, off, counts.fine / all >= 0.92]).toEqual([figures, off, true]);
  expect([figures, off, counts.wrong / all <= 0.01]).toEqual([figures, off, true]);
  expect(meats / recipes.length).toBeGreaterThanOrEqual(0.95);
});

test('every name of the lexicon is one of the catalog', () => {
  const shelves: Readonly<Record<string, readonly { readonly id: string }[]>> = {
    meat: CUTS,
    liquid: LIQUIDS,
    addition: LIQUIDS,
    vegetable: VEGETABLES,
    grain: GRAINS,
  };
  const strangers = FOODS.flatMap(([entry]) => {
    const [kind = '', id] = entry.split(':');
    const shelf = shelves[kind];
    return id !== undefined && shelf !== undefined && !shelf.some((one) => one.id === id) ? [entry] : [];
  });
  expect(strangers).toEqual([]);
});

// Written for the purpose: other writings of the same kinds of line.
test.each<[string, string, number | null]>([
  ['2 kg bone-in short ribs', 'meat:beef-short-rib', 2000],
  ['3½ lb boneless pork butt, cut into 2-inch chunks', 'meat:pork-shoulder', 1588],
  ['1 lamb shoulder, about 1.8 kg', 'meat:lamb-shoulder', 1800],
  ['4 lamb shanks (350 g each)', 'meat:lamb-shank', 1400],
  ['800g topside of beef', 'meat:beef-round', 800],
  ['1 kg stewing beef, diced', 'meat:beef-chuck', 1000],
  ['2 lb 8 oz beef brisket', 'meat:beef-brisket-flat', 1134],
  ['1 kg 200 g goat leg', 'meat:goat-leg', 1200],
  ['6 oxtail pieces, about 1.5kg in all', 'meat:beef-oxtail', 1500],
  ['500g neck of lamb', 'meat:lamb-neck', 500],
  ['2 (14-ounce) cans crushed tomatoes', 'liquid:chopped-tomato', 794],
  ['2 x 400g tins plum tomatoes', 'liquid:plum-tomato', 800],
  ['half a litre of beef stock', 'liquid:stock', 500],
  ['1 ½ cups red wine', 'liquid:red-wine', 355],
  ['1 quart chicken broth', 'liquid:stock', 946],
  ['two tablespoons tomato purée', 'addition:tomato-paste', 31],
  ['100 g dark brown sugar', 'addition:sugar', 100],
  ['3 cloves of garlic', 'aromatic:garlic', 15],
  ['a bunch of spring onions', 'aromatic:spring-onion', 30],
  ['2 dried chillies', 'aromatic:dried-chilli', 16],
  ['1 tin kidney beans, drained', 'vegetable:bean-tinned', 400],
  ['250 g pearl barley', 'grain:barley-pearl', 250],
  ['300 g red lentils', 'grain:lentil-brown', 300],
  ['200 g okra', 'vegetable:okra', 200],
  ['Salt and freshly ground black pepper', 'by-taste', null],
  ['Crusty bread, to serve', 'by-taste', null],
  ['A little chopped parsley', 'by-taste', null],
  ['500 g beef', 'unknown', null],
  ['2 chicken thighs', 'unknown', null],
  ['1 beef tomato, sliced', 'vegetable:tomato', 100],
])('%s', (line, wanted, grams) => {
  const { taken, grams: found } = readLine(line);
  expect(taken).toBe(wanted);
  if (grams === null) return;
  expect([found, Math.abs(found / grams - 1) < 0.15]).toEqual([found, true]);
});

test('what Hervir writes out comes back as the same plan: one for each cut, with stages, and in either units', () => {
  const stages = [
    { ...stageOf({ stages: [] }, 'second-run'), minutes: 4, takeOutMl: 150, broth: 'poured-over' as const },
  ];
  for (const cut of CUTS) {
    for (const form of cut.forms) {
      const plan: Plan = {
        ...newPlan({ cut: cut.id, form, grams: 1300, serveAt: '2027-01-17T19:00:00+01:00' }),
        name: `${cut.name} of the refuge`,
        servings: 5,
        liquids: [{ liquid: 'cider', ml: 650, temperatureC: 20 }],
        vegetables: [{ vegetable: 'turnip', grams: 400, texture: 'tender', place: 'second-run' }],
        release: { method: 'natural-then-quick', naturalMinutes: 8 },
        stages,
      };
      for (const system of ['metric', 'us'] as const) {
        const written = JSON.stringify(recipeJsonLd(forecast(plan), speaking('en-GB', system)));
        const read = readRecipe(written, { cooker: DEFAULT_COOKER, kitchen: DEFAULT_KITCHEN, confidence: 0.8 });
        expect(read.plan).toEqual({ ...plan, serveAt: null, moved: {}, learnt: undefined });
      }
    }
  }
});

test('a plan that a recipe carries and that cannot be read is left out, and its lines are read', () => {
  const plan = newPlan({ cut: 'beef-shin', form: 'slices', grams: 1300 });
  const written = recipeJsonLd(forecast(plan), speaking('en-GB', 'metric')) as unknown as Record<
    string,
    { text: string }
  >;
  const broken = { ...written, isBasedOn: { ...written['isBasedOn'], text: '{"format":"soup"}' } };
  const read = readRecipe(JSON.stringify(broken), {
    cooker: DEFAULT_COOKER,
    kitchen: DEFAULT_KITCHEN,
    confidence: 0.8,
  });
  expect(read.plan?.meat.cut).toBe('beef-shin');
  expect(read.notes.join(' ')).not.toContain('own: the plan comes back');
});
