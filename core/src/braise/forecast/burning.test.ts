import * as fc from 'fast-check';
import { DEFAULT_COOKER } from '../../plan/defaults';
import { PlanError } from '../../plan/plan-error';
import type { Plan } from '../../plan/plan';
import { planFor } from '../../testing/fixtures';
import { forecast } from './forecast';
import type { Forecast } from './forecast-document';
import { prepSteps } from '../../words/prep-list';
import { RESCUE_TOPICS, rescueFor } from '../rescue/rescue';
import { sectionsOf } from './section';
import { english, speakIn } from '../../testing/said-in-english';

const chuck = (more: Partial<Plan> = {}, meat: Partial<Plan['meat']> = {}): Plan =>
  planFor('beef-chuck', 'chunks', 1300, more, meat);

/** Presses the first remedy of the worst cause that has one, as a cook would, until the base is safe. */
function press(f: Forecast): Plan {
  for (const { remedies } of f.burn.causes) {
    const change = remedies.find((remedy) => remedy.change !== null)?.change;
    if (change) return { ...f.plan, ...change };
  }
  throw new Error('no remedy left');
}

const BURNS: readonly (readonly [string, Plan])[] = [
  ['an unscraped fond', chuck({ deglaze: null })],
  ['paste stirred into a cup', chuck({ additions: [{ ingredient: 'tomato-paste', grams: 170, when: 'stirred-in' }] })],
  ['two kilos of paste', chuck({ additions: [{ ingredient: 'tomato-paste', grams: 2000, when: 'stirred-in' }] })],
  [
    'barley stirred down',
    chuck({ grains: [{ grain: 'barley-pearl', grams: 400, place: 'start', layer: 'stirred-in' }] }),
  ],
  ['a sugared rub in the pot', chuck({ deglaze: null }, { rub: { grams: 60, sugar: true } })],
  [
    'all at once',
    planFor(
      'pork-shoulder',
      'whole',
      1800,
      {
        deglaze: null,
        additions: [
          { ingredient: 'bottled-thick-sauce', grams: 250, when: 'stirred-in' },
          { ingredient: 'flour', grams: 60, when: 'stirred-in' },
        ],
      },
      { rub: { grams: 60, sugar: true } },
    ),
  ],
];

describe('a plan made to burn', () => {
  test.each(BURNS)('%s: likely, and pressing the remedies one by one makes it safe', (_name, plan) => {
    let now = forecast(plan);
    expect(now.burn.level).toBe('likely');
    expect(now.cautions.map(({ code }) => code)).toContain('burn-likely');
    for (let presses = 0; now.burn.level !== 'safe'; presses += 1) {
      expect(presses).toBeLessThan(6);
      const next = forecast(press(now));
      expect(next.burn.baseC).toBeLessThan(now.burn.baseC + 0.01);
      now = next;
    }
    expect(now.cautions.map(({ code }) => code)).not.toContain('burn-likely');
  });

  test('every cause but the heat of an electric base has a remedy that can be pressed', () => {
    for (const [, plan] of BURNS) {
      for (const { cause, remedies } of forecast(plan).burn.causes) {
        if (cause !== 'heat') expect(remedies.some(({ change }) => change !== null)).toBe(true);
      }
    }
  });

  test('flour first is hotter than flour last, and a jar of sauce poured in can be moved to the top', () => {
    const poured = forecast(
      chuck({
        deglaze: null,
        sear: { school: 'none', where: 'pot', order: 'meat-first' },
        liquids: [{ liquid: 'bottled-thick-sauce', ml: 400, temperatureC: 20 }],
      }),
    );
    expect(poured.burn.causes[0]?.cause).toBe('thickened');
    const mended = press(poured);
    expect(mended.additions[0]).toMatchObject({ ingredient: 'bottled-thick-sauce', when: 'on-top' });
  });
});

describe('the fill and the minimum', () => {
  const brim = chuck({ liquids: [{ liquid: 'stock', ml: 4000, temperatureC: 20 }] });

  test('over the line is said in the fill, in a caution, and comes with what to do', () => {
    const f = forecast(brim);
    expect(f.fill.over).toBe(true);
    expect(f.cautions.map(({ code }) => code)).toContain('over-fill');
    const less = f.fill.remedies.find(({ text }) => english(text).includes('less'))?.change;
    const after = forecast({ ...brim, ...less });
    expect(after.fill.over).toBe(false);
    expect(after.liquid.belowMinimum).toBe(false);
  });

  test('where less liquid would go under the minimum, two runs are offered, each under the line and over the minimum', () => {
    const full = planFor('pork-shoulder', 'chunks', 5200);
    const f = forecast(full);
    expect(f.fill.over).toBe(true);
    expect(f.fill.remedies.some(({ text }) => english(text).includes('less'))).toBe(false);
    const runs = f.fill.remedies.find(({ text }) => english(text).includes('runs'))?.change;
    const after = forecast({ ...full, ...runs });
    expect(after.fill.over).toBe(false);
    expect(after.liquid.belowMinimum).toBe(false);
  });

  test('more liquid than the pot holds is said, with finite figures', () => {
    const f = forecast(chuck({ liquids: [{ liquid: 'water', ml: 10_000, temperatureC: 20 }] }));
    expect(f.fill.overflows).toBe(true);
    expect(f.fill.text).toContain('does not go in');
    expect(Number.isFinite(f.burn.baseC)).toBe(true);
  });

  test('under the minimum is a caution with an amount to pour that mends it', () => {
    const little = chuck({ deglaze: null, liquids: [{ liquid: 'stock', ml: 120, temperatureC: 20 }] });
    const f = forecast(little);
    expect(f.cautions.map(({ code }) => code)).toContain('under-minimum');
    expect(forecast({ ...little, ...f.liquid.remedy?.change }).liquid.belowMinimum).toBe(false);
  });

  test('no liquid at all is refused, naming the field and what is allowed', () => {
    const dry = chuck({ deglaze: null, liquids: [] });
    expect(() => forecast(dry)).toThrow(PlanError);
    expect(() => forecast(dry)).toThrow(/^liquids: .*at least 250 ml/);
  });
});

describe('the sauté', () => {
  const troubles = (plan: Plan): string[] => forecast(plan).saute.troubles.map(({ id }) => id);
  const hard: Plan['sear'] = { school: 'hard', where: 'pot', order: 'meat-first' };

  test('crowded, wider than the base, sugared, wet, timed and weak are each told, with what to change', () => {
    const crowded = planFor('beef-chuck', 'chunks', 2600, { sear: { ...hard, batches: 1 } });
    expect(troubles(crowded)).toEqual(['steams']);
    const change = forecast(crowded).saute.troubles[0]?.remedies[0]?.change;
    expect(troubles({ ...crowded, ...change })).toEqual([]);
    const small = { ...DEFAULT_COOKER, baseDiameterCm: 18 };
    expect(troubles(planFor('pork-belly', 'whole', 1800, { cooker: small }))).toEqual(['wider']);
    expect(troubles(chuck({}, { rub: { grams: 30, sugar: true } }))).toEqual(['sugar']);
    expect(forecast(chuck({}, { rub: { grams: 30, sugar: true } })).saute.level).toBe('likely');
    expect(troubles(chuck({}, { salted: 'ahead', saltedMinutes: 15 }))).toEqual(['wet']);
    expect(troubles(chuck({ cooker: { ...DEFAULT_COOKER, sauteMinutes: 10, watts: 800 } }))).toEqual(['timed', 'weak']);
    expect(troubles(chuck())).toEqual([]);
  });

  test('the sear in a pan leaves the pot cold and clean', () => {
    const pan = forecast(chuck({ sear: { ...hard, where: 'pan' }, deglaze: null }));
    expect(pan.burn.sticking).toBe('clean');
    expect(pan.clock.tasks.find(({ id }) => id === 'sear-1')?.resource).toBe('side-burner');
  });

  test('the clock takes prep, aromatics in their order, the sauce made apart, deglazing and loading from the plan', () => {
    const { tasks } = forecast(
      chuck({
        aromatics: [
          { ingredient: 'garlic', grams: 10 },
          { ingredient: 'onion', grams: 200 },
        ],
        additions: [
          {
            ingredient: 'chilli-blend',
            grams: 200,
            when: 'stirred-in',
            apart: { steps: ['soak', 'blend'], swillMl: 100 },
          },
        ],
      }),
    ).clock;
    const start = (id: string): number => tasks.find((task) => task.id === id)?.startMinute ?? Number.NaN;
    const order = ['board-vegetables', 'board-meat', 'sear-1', 'aromatics-base', 'aromatics-garlic', 'deglaze', 'load'];
    const starts = order.map(start);
    expect([...starts].sort((a, b) => a - b)).toEqual(starts);
    expect(start('apart-1-swill')).toBeLessThan(start('load'));
    const onionFirst = forecast(
      chuck({ sear: { ...hard, order: 'onion-first' }, aromatics: [{ ingredient: 'onion', grams: 200 }] }),
    ).clock.tasks.map(({ id }) => id);
    expect(onionFirst.indexOf('aromatics-base')).toBeLessThan(onionFirst.indexOf('sear-1'));
  });
});

describe('the section', () => {
  test('shows sear, deglazing, lid on and opened, to scale, each with its words', () => {
    const sections = sectionsOf(forecast(chuck()));
    expect(sections.map(({ stage }) => stage)).toEqual(['sear', 'deglaze', 'lid-on', 'opened']);
    for (const section of sections) {
      // 5.7 l over a base of 21.5 cm stand 15.7 cm high.
      expect(section.heightCm).toBeCloseTo(15.7, 1);
      expect(section.liquidCm).toBeLessThan(section.heightCm);
      expect(english(section.text).length).toBeGreaterThan(30);
    }
    expect(sections[0]?.sticking).toBe('fond');
    expect(sections[2]?.sticking).toBe('clean');
  });

  test('nothing is seared in the pot: it begins with the lid on', () => {
    const plan = chuck({ sear: { school: 'none', where: 'pot', order: 'meat-first' }, deglaze: null });
    expect(sectionsOf(forecast(plan)).map(({ stage }) => stage)).toEqual(['lid-on', 'opened']);
  });

  test('whatever the plan, no height is below nothing', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 300, max: 4000 }),
        fc.integer({ min: 100, max: 4000 }),
        fc.boolean(),
        fc.integer({ min: 0, max: 500 }),
        (grams, ml, rack, paste) => {
          const plan = planFor('pork-shoulder', 'chunks', grams, {
            rack,
            liquids: [{ liquid: 'water', ml, temperatureC: 20 }],
            additions: [{ ingredient: 'tomato-paste', grams: paste, when: 'on-top' }],
          });
          for (const { liquidCm, bedCm, topCm, rackCm } of sectionsOf(forecast(plan))) {
            for (const height of [liquidCm, bedCm, topCm, rackCm]) expect(height).toBeGreaterThanOrEqual(0);
          }
        },
      ),
      { numRuns: 12 },
    );
  });
});

test('in US units no text of a forecast, a section, a prep list or a rescue is metric', () => {
  speakIn('us');
  const plan = chuck(
    {
      deglaze: null,
      liquids: [{ liquid: 'stock', ml: 4200, temperatureC: 20 }],
      additions: [
        {
          ingredient: 'chilli-blend',
          grams: 300,
          when: 'stirred-in',
          apart: { steps: ['soak', 'blend'], swillMl: 120 },
        },
      ],
    },
    { trimGrams: 100, rub: { grams: 30, sugar: true } },
  );
  const f = forecast(plan);
  const texts = [
    ...f.reasons.map(({ text }) => text),
    ...f.burn.causes.flatMap(({ text, remedies }) => [text, ...remedies.map((remedy) => remedy.text)]),
    f.fill.text,
    ...f.fill.remedies.map(({ text }) => text),
    ...f.saute.troubles.map(({ text }) => text),
    ...f.clock.tasks.map(({ label }) => label),
    ...sectionsOf(f).map(({ text }) => text),
    ...prepSteps(plan).map(({ text }) => text),
    ...RESCUE_TOPICS.flatMap((topic) => [...rescueFor(topic, f).steps, ...rescueFor(topic, f).why]),
  ];
  expect(texts.length).toBeGreaterThan(60);
  speakIn('metric');
  for (const text of texts) expect(text).not.toMatch(/\d (ml|l|g|kg|cm|°C)\b/);
});
