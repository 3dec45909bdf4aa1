import * as fc from 'fast-check';
import type { Plan } from '../../plan/plan';
import { planFor, secondRun } from '../../testing/fixtures';
import { forecast } from './forecast';
import type { Forecast } from './forecast-document';
import { rescale } from './servings';

const VEGETABLES: Plan['vegetables'] = [
  { vegetable: 'carrot', grams: 400, texture: 'tender', place: 'auto' },
  { vegetable: 'turnip', grams: 450, texture: 'tender', place: 'auto' },
  { vegetable: 'cabbage', grams: 400, texture: 'tender', place: 'auto' },
];
const leg = (more: Partial<Plan> = {}): Plan =>
  planFor('goat-leg', 'whole', 1800, {
    vegetables: VEGETABLES,
    grains: [{ grain: 'freekeh', grams: 120, place: 'auto' }],
    ...more,
  });
const task = (f: Forecast, id: string): number => f.clock.tasks.find((one) => one.id === id)?.startMinute ?? Number.NaN;

describe('an evening with a whole leg, three vegetables and freekeh', () => {
  const known = forecast(leg());

  test('takes one second run in which every texture asked for is met, with its own way up and a quick release', () => {
    expect(known).toMatchObject({ openings: 2, allTexturesMet: true });
    const [stage] = known.stages;
    expect(stage).toMatchObject({ place: 'second-run', release: 'quick' });
    expect(stage?.items).toHaveLength(4);
    expect(stage?.reheatMinutes).toBeGreaterThan(4);
    expect(stage?.releaseMinutes).toBeLessThan(3);
  });

  test('the clock and the line have the second run after the first', () => {
    const order = [
      'pressure',
      'release',
      'open',
      'second-load',
      'second-heating',
      'second-pressure',
      'second-release',
      'plate',
    ];
    const starts = order.map((id) => task(known, id));
    expect([...starts].sort((a, b) => a - b)).toEqual(starts);
    const again = known.pot.curve.filter((p) => p.minute > task(known, 'second-heating') && p.gaugeKPa > 50);
    expect(again.length).toBeGreaterThan(0);
    // The vegetables come off the board before the raw meat comes on it, whenever they go in.
    expect(task(known, 'board-vegetables')).toBeLessThan(task(known, 'board-meat'));
  });

  test('its carrots dragged to the start of the long run go into the sauce; what is left still shares one run', () => {
    const [carrot, ...rest] = VEGETABLES;
    const dragged = forecast(
      leg({ vegetables: [{ ...(carrot as Plan['vegetables'][number]), place: 'start' }, ...rest] }),
    );
    const item = dragged.stages.find(({ place }) => place === 'start')?.items[0];
    expect(item).toMatchObject({ vegetable: 'carrot', texture: 'into-the-sauce', met: false });
    expect(dragged.openings).toBe(2);
  });

  test('meat left in goes on cooking, and the first run is shorter for it; out, it waits under foil', () => {
    const inside = forecast(leg({ stages: secondRun({ meat: 'in' }) }));
    expect(inside.pressureMinutes).toBeLessThan(known.pressureMinutes - 4);
    // In for the second run too, a whole leg is lifted out only to rest.
    expect(inside.foil?.minutes).toBe(10);
    expect(known.foil?.minutes).toBeGreaterThan(15);
    // Carry-over first: the middle still comes up towards the outside, then all of it cools.
    expect(known.foil?.coreC).toBeLessThan(known.pot.workingC - 5);
    expect(known.foil?.coreC).toBeGreaterThan(63);
    expect(Math.abs(inside.tenderness.chance.short - known.tenderness.chance.short)).toBeLessThan(0.05);
  });

  test('broth taken out before the second run is in the ledger, and the minimum is checked again', () => {
    const poorer = forecast(leg({ stages: secondRun({ takeOutMl: 300 }) }));
    expect(poorer.liquid.freeAtReheatMl).toBeCloseTo((known.liquid.freeAtReheatMl ?? 0) - 300, -1);
    expect(poorer.liquid.entries.some(({ what }) => what === 'broth taken out')).toBe(true);
    const dry = forecast(leg({ stages: secondRun({ takeOutMl: 620 }) }));
    expect(dry.liquid.belowMinimum).toBe(true);
    expect(dry.cautions.map(({ code }) => code)).toContain('under-minimum');
    // What is short is what the second lid finds: the remedy pours that much, and mends it.
    expect(dry.liquid.remedy?.text).toMatch(/^Pour [1-9]\d* ml more$/);
    expect(forecast({ ...dry.plan, ...dry.liquid.remedy?.change }).liquid.belowMinimum).toBe(false);
  });

  test('what the stages tell of the second run is what its pot really does, also when other things go elsewhere', () => {
    const mixed = forecast(
      leg({
        vegetables: [
          ...VEGETABLES,
          { vegetable: 'pea', grams: 400, texture: 'tender', place: 'off-heat' },
          { vegetable: 'beetroot', grams: 900, texture: 'soft', place: 'auto' },
        ],
      }),
    );
    expect(mixed.stages.map(({ place }) => place)).toEqual(['start', 'second-run', 'off-heat']);
    const stage = mixed.stages.find(({ place }) => place === 'second-run');
    const heating = mixed.clock.tasks.find(({ id }) => id === 'second-heating');
    expect(stage?.reheatMinutes).toBeCloseTo(heating?.minutes ?? 0, 0);
  });

  test('the ledger still adds up, second run, vegetables and grain in it', () => {
    const sum = known.liquid.entries.reduce((total, { ml }) => total + ml, 0);
    expect(Math.abs(sum - known.liquid.freeAtEndMl)).toBeLessThan(1);
    expect(known.liquid.entries.some(({ what }) => what === 'taken up by cracked freekeh')).toBe(true);
  });

  test('grain in the first run keeps the pot to half; in the second it does not weigh on the first', () => {
    expect(known.fill.limit).toBeCloseTo(2 / 3, 6);
    const early = forecast(leg({ grains: [{ grain: 'chickpea-soaked', grams: 200, place: 'start' }] }));
    expect(early.fill.limit).toBe(0.5);
  });
});

describe('release and vegetables', () => {
  test('a quick release leaves what rides along crisper than a natural one (common practice)', () => {
    const at = (method: 'quick' | 'natural'): number =>
      forecast(
        planFor('lamb-shoulder', 'bite-size', 1000, {
          pressureMinutes: 12,
          release: { method, naturalMinutes: 15 },
          vegetables: [{ vegetable: 'potato-waxy', grams: 400, texture: 'tender', place: 'start' }],
        }),
      ).stages[0]?.items[0]?.cookValue ?? 0;
    expect(at('quick')).toBeLessThan(at('natural') - 5);
  });

  test('through 20 minutes and a 10 minute natural release a potato collects 80 to 90; three minutes of a second run 5 (prototype, a fifth of room)', () => {
    const f = forecast(
      planFor('beef-chuck', 'chunks', 1300, {
        pressureMinutes: 20,
        release: { method: 'natural-then-quick', naturalMinutes: 10 },
        vegetables: [{ vegetable: 'potato-waxy', grams: 300, sizeCm: 4, texture: 'soft', place: 'start' }],
      }),
    );
    const value = f.stages[0]?.items[0]?.cookValue ?? 0;
    expect(value).toBeGreaterThan(80 * 0.8);
    expect(value).toBeLessThan(90 * 1.2);
  });
});

describe('for other numbers of people', () => {
  test('time follows thickness, liquid its height and the minimum, starch the volume; it says what it changed', () => {
    const base = forecast(
      planFor('goat-leg', 'whole', 1800, {
        servings: 6,
        finish: { ...planFor('goat-leg', 'whole', 1800).finish, thickener: 'cornstarch', body: 'coating' },
      }),
    );
    const more = rescale(base, 9);
    expect(more.plan.meat.grams).toBe(2700);
    expect(more.forecast.piece.thicknessCm).toBeGreaterThan(base.piece.thicknessCm);
    expect(more.forecast.pressureMinutes).toBeGreaterThan(base.pressureMinutes);
    expect(more.forecast.pressureMinutes).toBeLessThan(base.pressureMinutes * 1.5);
    expect(more.changes.join(' ')).toMatch(/thick/);
    const fewer = rescale(base, 2);
    expect(fewer.forecast.liquid.belowMinimum).toBe(false);
    expect(fewer.changes.join(' ')).toMatch(/minimum|as high around/);
  });

  test('pieces keep their size: twice the shanks need no more minutes, for a fuller pot cooks on its way up', () => {
    const base = forecast(planFor('lamb-shank', 'whole', 1200, { servings: 3 }));
    const more = rescale(base, 6);
    expect(more.forecast.piece.thicknessCm).toBeCloseTo(base.piece.thicknessCm, 1);
    expect(Math.abs(more.forecast.pressureMinutes - base.pressureMinutes)).toBeLessThan(15);
    expect(more.changes.join(' ')).toContain('a fuller pot comes up more slowly');
  });
});

describe('whatever the vegetables', () => {
  test('the forecast is finite, its tasks do not overlap in the pot, and its liquid is never below nothing', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            vegetable: fc.constantFrom('carrot', 'cabbage', 'green-bean', 'beetroot', 'tomato'),
            grams: fc.integer({ min: 50, max: 900 }),
            texture: fc.constantFrom<'crisp' | 'tender' | 'soft' | 'into-the-sauce'>(
              'crisp',
              'tender',
              'soft',
              'into-the-sauce',
            ),
            place: fc.constantFrom<'auto' | 'start' | 'second-run' | 'simmer' | 'off-heat'>(
              'auto',
              'start',
              'second-run',
              'simmer',
              'off-heat',
            ),
          }),
          { maxLength: 3 },
        ),
        fc.constantFrom<'in' | 'out'>('in', 'out'),
        (vegetables, meat) => {
          const f = forecast(planFor('beef-chuck', 'chunks', 1200, { vegetables, stages: secondRun({ meat }) }));
          const pot = f.clock.tasks.filter(({ resource }) => resource === 'pot');
          pot.slice(1).forEach((later, i) => {
            const before = pot[i];
            expect(later.startMinute).toBeGreaterThanOrEqual(
              (before?.startMinute ?? 0) + (before?.minutes ?? 0) - 1e-6,
            );
          });
          expect(f.liquid.freeAtEndMl).toBeGreaterThanOrEqual(0);
          expect(Number.isFinite(f.finish.sauceMl)).toBe(true);
          f.pot.curve.slice(1).forEach((point, i) => {
            expect(point.minute).toBeGreaterThanOrEqual((f.pot.curve[i]?.minute ?? 0) - 1e-6);
          });
        },
      ),
      { numRuns: 12 },
    );
  });
});
