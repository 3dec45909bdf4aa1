import Ajv2020 from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import * as fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  forecastCommand,
  LARGEST_PLAN_BYTES,
  publishedSchemas,
  readCooker,
  guideCommand,
  readPlan,
  readSettings,
  type Fault,
} from './index';

/** Messages are English at once in these tests. */
const asItIs = <T>(document: T): T => document;

const LEAST = {
  format: 'hervir/braise',
  version: 1,
  target: 'fork',
  meat: { cut: 'goat-neck', form: 'slices', grams: 1600 },
};

/** The whole plan of the format's description. */
const WHOLE = {
  ...LEAST,
  name: 'Goat neck with quince',
  servings: 4,
  confidence: 0.8,
  meat: {
    ...LEAST.meat,
    trimGrams: 150,
    boneIn: true,
    pieces: 8,
    thicknessCm: 3.8,
    startsFrom: 'fridge',
    salted: 'just-before',
    marinade: { ml: 150, hours: 12, pouredIn: true },
    rub: { grams: 40, sugar: true },
  },
  cooker: {
    name: 'The blue one',
    kind: 'electric',
    litres: 5.7,
    baseDiameterCm: 21.5,
    gaugeKPa: 72,
    watts: 1000,
    timerStarts: 'pressure',
    minimumLiquidMl: 250,
    burnCutoutC: 150,
    keepWarmOff: true,
  },
  kitchen: { altitudeM: 1480, roomC: 19 },
  sear: { school: 'hard', where: 'pot', order: 'meat-first' },
  deglaze: { liquid: 'cider', ml: 150, scraped: true },
  liquids: [{ liquid: 'stock', ml: 400, temperatureC: 20 }],
  additions: [{ ingredient: 'quince-paste', grams: 80, when: 'on-top' }],
  aromatics: [{ ingredient: 'onion', grams: 200 }],
  vegetables: [{ vegetable: 'turnip', grams: 450, sizeCm: 3, texture: 'tender', place: 'auto' }],
  grains: [{ grain: 'freekeh', grams: 120, place: 'auto' }],
  rack: false,
  meatInSecondRun: 'out',
  pressureMinutes: null,
  release: { method: 'natural-then-quick', naturalMinutes: 15 },
  finish: {
    strain: false,
    skim: true,
    blend: false,
    ladleOutMl: 0,
    reduce: 'auto',
    thickener: 'potato-starch',
    body: 'coating',
    sauceMl: null,
    restMinutes: 10,
  },
  sides: [{ name: 'Polenta', tasks: [{ label: 'Boil water', minutes: 8, handsOn: false, resource: 'side-burner' }] }],
  serveAt: '2027-01-17T19:00:00+01:00',
};

function faultsOf(input: unknown): readonly Fault[] {
  const read = readPlan(input);
  if (read.ok) throw new Error('was read');
  return read.faults;
}

/** A plan with one value set, by its path. */
function withValue(path: string, value: unknown): unknown {
  const copy = structuredClone(WHOLE) as Record<string, unknown>;
  const keys = path.split('.');
  let at = copy;
  for (const key of keys.slice(0, -1)) at = at[key] as Record<string, unknown>;
  at[keys.at(-1) ?? ''] = value;
  return copy;
}

describe('a plan', () => {
  test('needs only format, version, target, cut, form and weight; every default is filled in', () => {
    const read = readPlan(LEAST);
    expect(read).toMatchObject({
      ok: true,
      value: {
        servings: 4,
        confidence: 0.8,
        kitchen: { altitudeM: 0 },
        meat: { boneIn: true, startsFrom: 'fridge' },
        liquids: [{ liquid: 'stock', ml: 400 }],
        serveAt: null,
      },
    });
  });

  test('read whole and written out again is read as the same', () => {
    const once = readPlan(WHOLE);
    if (!once.ok) throw new Error(JSON.stringify(once.faults));
    expect(readPlan(JSON.parse(JSON.stringify(once.value)))).toEqual(once);
  });

  test('a stovetop pot without figures gets those of a stovetop pot', () => {
    expect(readCooker({ kind: 'stovetop' })).toMatchObject({
      ok: true,
      value: { gaugeKPa: 100, timerStarts: 'pin', burnCutoutC: 155 },
    });
  });

  test.each([
    ['meat.grams', 0, '50 to 15000 g'],
    ['meat.grams', -5, '50 to 15000 g'],
    ['meat.grams', 1e9, '50 to 15000 g'],
    ['meat.grams', Number.NaN, 'a finite number'],
    ['meat.grams', Number.POSITIVE_INFINITY, 'a finite number'],
    ['meat.grams', '1600', 'a finite number'],
    ['meat.cut', 'goat-nek', 'beef-chuck, beef-short-rib'],
    ['meat.form', 'rack', 'slices, chunks, bite-size'],
    ['meat.thicknessCm', 24, '0.5 cm to 5.5 cm'],
    ['meat.trimGrams', 1600, '0 g to 1.58 kg'],
    ['meat.pieces', 2.5, 'a whole number, 1 to 200 pieces'],
    ['kitchen.altitudeM', 9000, '-430 to 5500 m'],
    ['version', 3, '1, 2'],
    ['version', 'one', '1, 2'],
    ['serveAt', 'seven', 'ISO 8601 with an offset'],
    ['finish.reduce', -1, '0 to 120 min'],
    ['cooker.watts', 200, 'more watts, less in the pot, or a smaller pot'],
    ['name', 'x'.repeat(200), '0 to 120 characters'],
    ['name', 'bell \u0007', 'text without control characters'],
  ])('%s of %p is refused at its path with what is allowed', (path, value, allowed) => {
    const faults = faultsOf(
      path === 'cooker.watts' ? { ...WHOLE, cooker: { kind: 'stovetop', watts: value } } : withValue(path, value),
    );
    expect(faults).toHaveLength(1);
    expect(faults[0]?.path).toBe(path);
    expect(faults[0]?.allowed).toContain(allowed);
  });

  test('a key the format does not have is named, not dropped', () => {
    expect(faultsOf({ ...LEAST, sevrings: 4 })[0]?.problem).toContain('"sevrings"');
  });

  test('paths reach into lists', () => {
    expect(
      faultsOf(
        withValue('liquids', [
          { liquid: 'stock', ml: 300 },
          { liquid: 'stock', ml: -1 },
        ]),
      )[0]?.path,
    ).toBe('liquids[1].ml');
  });

  test('anything at all gives a plan or faults, and never throws', () => {
    fc.assert(
      fc.property(fc.anything(), (input) => {
        const read = readPlan(input);
        if (!read.ok) expect(read.faults.length).toBeGreaterThan(0);
      }),
    );
  });

  test('anything at any one place of a plan gives a plan or faults, and never throws', () => {
    const paths = [
      'meat',
      'meat.grams',
      'meat.pieces',
      'cooker',
      'cooker.litres',
      'kitchen.airKPa',
      'sear',
      'liquids',
      'grains',
      'sides',
      'finish.reduce',
      'serveAt',
      'pressureMinutes',
    ];
    fc.assert(
      fc.property(
        fc.constantFrom(...paths),
        fc.oneof(fc.anything(), fc.double(), fc.integer(), fc.constant('2027-13-40T99:00:00Z')),
        (path, value) => {
          const read = readPlan(withValue(path, value));
          if (!read.ok) for (const fault of read.faults) expect(String(fault.allowed).length).toBeGreaterThan(0);
        },
      ),
      { numRuns: 150 },
    );
  });
});

describe('settings', () => {
  test('may be empty, and say their faults', () => {
    expect(readSettings({})).toMatchObject({ ok: true, value: { units: 'metric', confidence: 0.8 } });
    expect(readSettings({ units: 'furlongs' })).toMatchObject({
      ok: false,
      faults: [{ path: 'units', allowed: 'metric, us' }],
    });
  });
});

describe('the headless command', () => {
  test('prints the forecast and exits 0', () => {
    const { stdout, stderr, exitCode } = forecastCommand(JSON.stringify(WHOLE), asItIs);
    expect({ stderr, exitCode }).toEqual({ stderr: '', exitCode: 0 });
    expect(JSON.parse(stdout)).toMatchObject({
      format: 'hervir/forecast',
      version: 2,
      piece: { count: 8 },
      clock: { eatAt: WHOLE.serveAt },
    });
    const { dinner } = JSON.parse(stdout) as { dinner: { p10: number; p50: number; p90: number; inTime: number } };
    expect(dinner.p10).toBeLessThan(dinner.p50);
    expect(dinner.p50).toBeLessThan(dinner.p90);
    expect(dinner.inTime).toBeGreaterThan(0);
  });

  test('one line a fault, and exits 2', () => {
    const { stdout, stderr, exitCode } = forecastCommand(
      JSON.stringify({ ...LEAST, target: 'soup', meat: { ...LEAST.meat, grams: 0 } }),
      asItIs,
    );
    expect({ stdout, exitCode }).toEqual({ stdout: '', exitCode: 2 });
    expect(stderr.trimEnd().split('\n')).toEqual([
      'target: "soup" is not known; allowed: slices, fork, pulls, shreds',
      'meat.grams: 0 is too small; allowed: 50 to 15000 g',
    ]);
  });

  test('text that is no JSON, and 50 MB of anything, are refused at once', () => {
    expect(forecastCommand('{', asItIs).stderr).toContain('is not JSON');
    expect(forecastCommand(' '.repeat(LARGEST_PLAN_BYTES + 1), asItIs).stderr).toContain(
      'too large for a plan; allowed: up to 1 MB',
    );
  });
});

describe('version 2', () => {
  const own = {
    ...LEAST,
    version: 2,
    stages: [{ id: 'roots', kind: 'pressure', minutes: 3, takeOutMl: 100 }],
    otherMeats: [{ cut: 'goat-stewing', form: 'pieces', grams: 400, goesIn: 'roots' }],
    vegetables: [{ vegetable: 'turnip', grams: 300, place: 'roots', name: 'the purple ones' }],
    others: [{ name: 'olives', grams: 60, place: 'end' }],
  };

  test('says stages, cuts, names and things of the cook’s own, and is read back as the same', () => {
    const read = readPlan(own);
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    expect(read.value).toMatchObject({
      version: 2,
      stages: [{ id: 'roots', meat: 'out', broth: 'poured-over' }],
      otherMeats: [{ cut: 'goat-stewing', comesOut: 'end' }],
    });
    expect(readPlan(JSON.parse(JSON.stringify(read.value)))).toEqual(read);
  });

  test('version 1 is read for ever, and is version 2 from then on', () => {
    const read = readPlan({ ...LEAST, meatInSecondRun: 'in', brothOutMl: 200 });
    expect(read).toMatchObject({
      ok: true,
      value: { version: 2, stages: [{ id: 'second-run', meat: 'in', takeOutMl: 200 }, {}] },
    });
  });

  test.each([
    [
      'a stage that is not there',
      { vegetables: [{ vegetable: 'turnip', grams: 300, place: 'roosts' }] },
      'vegetables[0].place',
    ],
    ['a stage twice', { stages: [own.stages[0], own.stages[0]] }, 'stages[1].id'],
    ['a stage named like a place', { stages: [{ id: 'start', kind: 'simmer' }] }, 'stages[0].id'],
    [
      'a portion twice',
      {
        others: [
          { id: 'x', name: 'a', grams: 5 },
          { id: 'x', name: 'b', grams: 5 },
        ],
      },
      'others[1].id',
    ],
    [
      'another cut that is not cut so',
      { otherMeats: [{ cut: 'goat-neck', form: 'rack', grams: 400 }] },
      'otherMeats[0].form',
    ],
    [
      'four cuts',
      { otherMeats: [1, 2, 3].map(() => ({ cut: 'goat-neck', form: 'slices', grams: 400 })) },
      'otherMeats',
    ],
  ])('%s is refused at its path', (_, part, path) => {
    expect(faultsOf({ ...own, ...part }).map((fault) => fault.path)).toContain(path);
  });

  test('the guide is printed as the card and the pot have it, with the portions each step moves', () => {
    const { stdout, exitCode } = guideCommand(JSON.stringify(own), asItIs);
    expect(exitCode).toBe(0);
    const { steps } = JSON.parse(stdout) as {
      steps: { title: string; button: string; minutes: number; portions: { name: string }[] }[];
    };
    expect(steps.flatMap(({ portions }) => portions.map(({ name }) => name))).toEqual(
      expect.arrayContaining(['the purple ones', 'olives']),
    );
    for (const { title, button, minutes } of steps)
      expect([title !== '', button !== '', minutes >= 0]).toEqual([true, true, true]);
    expect(guideCommand('{}', asItIs).exitCode).toBe(2);
  });

  test('the forecast has every lid, cut and portion, and the method they come from', () => {
    const f = JSON.parse(forecastCommand(JSON.stringify(own), asItIs).stdout) as {
      lids: { stage: string; fill: object; liquid: object; base: object }[];
      meats: object[];
      portions: { id: string; name: string; ends: string }[];
      method: { blocks: object[] };
    };
    expect(f.lids.map(({ stage }) => stage)).toEqual(['start', 'roots']);
    expect(f.lids[1]).toMatchObject({ fill: { level: 'ok' }, liquid: { minimumMl: 250 }, base: { cutoutC: 150 } });
    expect(f.meats).toHaveLength(2);
    expect(f.portions.find(({ name }) => name === 'olives')?.ends).toBe('plate');
    expect(f.method.blocks.length).toBeGreaterThan(8);
  });
});

describe('the published JSON Schema', () => {
  const published: unknown = JSON.parse(readFileSync(join(__dirname, '../../docs/schema/braise-v1.json'), 'utf8'));

  test('of each document is the one its reader is made of (npm run schema writes it anew), and compiles', () => {
    for (const [name, schema] of Object.entries(publishedSchemas())) {
      const file = JSON.parse(readFileSync(join(__dirname, `../../docs/schema/${name}.json`), 'utf8')) as object;
      expect(file).toEqual(schema);
      const ajv = new Ajv2020({ strict: false });
      addFormats(ajv);
      expect(ajv.compile(file)({})).toBe(false);
    }
  });

  test('takes what the reader takes, checked by another validator', () => {
    const ajv = new Ajv2020({ strict: false });
    addFormats(ajv);
    const check = ajv.compile(published as object);
    expect(check(LEAST)).toBe(true);
    expect(check(WHOLE)).toBe(true);
    expect(check({ ...LEAST, meat: { ...LEAST.meat, grams: 0 } })).toBe(false);
    expect(check({ ...LEAST, extra: 1 })).toBe(false);
  });
});
