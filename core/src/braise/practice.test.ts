import { moveOf, type Move } from '../method/moves';
import { stepsOf } from '../method/step';
import { stageOf } from '../plan/stage-settings';
import type { Plan, PlannedStage } from '../plan/plan';
import { SimulatedCook } from '../simulated/simulated-cook';
import { steadyHand } from '../simulated/steady-hand';
import { planFor } from '../testing/fixtures';
import { forecast } from './forecast/forecast';
import type { Forecast } from './forecast/forecast-document';
import { guideOf } from './guide/guide';

/** A plan reckoned, guided, and brought to the table by hands that do just what the guide says. */
function served(plan: Plan): {
  readonly f: Forecast;
  readonly told: string;
  readonly run: SimulatedCook;
  moves: Move[];
} {
  const f = forecast(plan);
  const guide = guideOf(f);
  const told = guide.steps.map(({ title, detail }) => `${title} ${detail}`).join('\n');
  const startMs = Date.parse('2027-01-17T16:00:00Z');
  const run = new SimulatedCook(f, guide, { seed: 3, scatter: false, startMs, faults: [], handsTakeTime: true });
  steadyHand(run);
  expect(run.state.status).toBe('served');
  return { f, told, run, moves: stepsOf(f.method).flatMap(({ moves }) => moves) };
}

const usual = (id: string): PlannedStage => stageOf({ stages: [] }, id);
const codes = ({ cautions }: Forecast): string[] => cautions.map(({ code }) => code);
const ends = (f: Forecast, name: string): string | undefined => f.portions.find((one) => one.name === name)?.ends;

// What cooks do; common practice throughout, no published source.
describe('what practice shows', () => {
  test('ribs and cheeks together: each its own odds, the slower sets the minutes, both come to the table', () => {
    const ribs = planFor('beef-short-rib', 'ribs', 1200, { pressureMinutes: null }, { pieces: 6 });
    const cheeks = planFor('beef-cheek', 'whole', 900).meat;
    const { f, told } = served({ ...ribs, otherMeats: [{ ...cheeks, goesIn: 'start', comesOut: 'end' }] });
    expect(f.meats).toHaveLength(2);
    expect(f.pressureMinutes).toBeGreaterThan(forecast(ribs).pressureMinutes + 3);
    for (const { chance } of f.meats) expect(chance.at + chance.past).toBeGreaterThan(0.78);
    expect(told).toMatch(/beef cheek/);
    expect(f.portions.filter(({ kind, ends: at }) => kind === 'meat' && at === 'plate')).toHaveLength(2);
  });

  test('the quicker cut goes in at a later lid, and has its own odds there', () => {
    const shin = planFor('beef-shin', 'slices', 1000);
    const lamb = planFor('lamb-shoulder', 'bite-size', 600).meat;
    const stages = [{ ...usual('second-run'), minutes: 30, meat: 'in' as const }];
    const { f, told } = served({ ...shin, stages, otherMeats: [{ ...lamb, goesIn: 'second-run', comesOut: 'end' }] });
    expect(f.meats[1]?.chance.short).toBeLessThan(0.5);
    expect(told).toMatch(/lamb shoulder.* in/);
    expect(forecast(shin).pressureMinutes).toBeGreaterThan(f.pressureMinutes);
  });

  test('cured brisket, then roots and cabbage with a second run of three minutes: the cook’s number stands', () => {
    const { f, told, moves } = served(
      planFor('beef-brisket-cured', 'whole', 1800, {
        stages: [{ ...usual('second-run'), minutes: 3 }],
        vegetables: [
          { vegetable: 'carrot', grams: 400, texture: 'tender', place: 'second-run' },
          { vegetable: 'potato-waxy', grams: 500, texture: 'tender', place: 'second-run', sizeCm: 3 },
          { vegetable: 'cabbage', grams: 600, texture: 'tender', place: 'second-run' },
        ],
      }),
    );
    expect(f.stages.find(({ place }) => place === 'second-run')?.minutes).toBe(3);
    expect(f.clock.tasks.find(({ work }) => work.kind === 'pressure' && work.run === 2)?.minutes).toBe(3);
    expect(told).toContain('3 minutes, start');
    // Cabbage is in quarters: no size is said of it; cured meat is rinsed and never salted.
    expect(told).not.toMatch(/cabbage quarters in \d/);
    expect(moves.some(({ kind }) => kind === 'salt' || kind === 'salt-ahead')).toBe(false);
    for (const { texture, vegetable } of f.stages.flatMap(({ items }) => items)) {
      expect([vegetable, ['tender', 'crisp', 'soft'].includes(texture)]).toEqual([vegetable, true]);
    }
  });

  test.each([
    ['enough', 900, true],
    ['too little', 300, false],
  ] as const)('rice under pressure with meat, %s water', (_, ml, done) => {
    const plan = planFor('lamb-shoulder', 'bite-size', 700, {
      pressureMinutes: 14,
      deglaze: null,
      sear: { school: 'none', where: 'pot', order: 'meat-first' },
      liquids: [{ liquid: 'stock', ml, temperatureC: 90 }],
      grains: [{ grain: 'rice-brown', grams: 400, place: 'start' }],
    });
    const { f, told } = served(plan);
    const rice = f.stages.flatMap(({ items }) => items).find(({ grain }) => grain === 'rice-brown');
    expect((rice?.missingMl ?? 0) > 30).toBe(!done);
    if (!done) {
      expect(rice?.texture).toBe('hard');
      expect(f.lids[0]?.liquid.text).toMatch(/missing/);
      expect(codes(f)).toContain('grain-dry');
      expect(f.lids[0]?.liquid.remedies[0]?.change?.liquids).toBeDefined();
    }
    // Half is the line with what swells, and it is levelled and not stirred.
    expect(f.lids[0]?.fill.limit).toBe(0.5);
    expect(told).toMatch(/poke holes/);
  });

  test('390 g of dry beans in 320 ml: hard, and it says what is missing', () => {
    const { f, told } = served(
      planFor('lamb-shank', 'whole', 800, {
        pressureMinutes: 50,
        deglaze: null,
        sear: { school: 'none', where: 'pot', order: 'meat-first' },
        liquids: [{ liquid: 'water', ml: 320, temperatureC: 20 }],
        grains: [{ grain: 'bean-dry-unsoaked', grams: 390, place: 'start' }],
      }),
    );
    const beans = f.stages.flatMap(({ items }) => items)[0];
    expect(beans).toMatchObject({ texture: 'hard', met: false });
    expect(beans?.missingMl).toBeGreaterThan(50);
    expect(codes(f)).toContain('grain-dry');
    expect(told).toMatch(/pick over and rinse/);
  });

  test('noodles stirred in for four minutes: weighed out, not picked over, and their foam is warned of at the vent they are under', () => {
    const { f, told } = served(
      planFor('goat-stewing', 'pieces', 1200, {
        stages: [{ ...usual('second-run'), minutes: 4, meat: 'in' }],
        liquids: [{ liquid: 'stock', ml: 900, temperatureC: 20 }],
        grains: [{ grain: 'egg-noodle', grams: 250, place: 'second-run' }],
      }),
    );
    expect(told).toMatch(/Egg noodles: weigh out/);
    expect(told).not.toMatch(/noodles: pick over/);
    const foams = f.cautions.find(({ code }) => code === 'quick-foams');
    expect(foams?.runs).toEqual([2]);
    const vents = guideOf(f).steps.filter(({ moves }) => moveOf(moves, 'vent'));
    expect(vents.find(({ run }) => run === 2)?.caution).toBe(foams?.text);
    expect(vents.find(({ run }) => run === 1)?.caution).not.toBe(foams?.text);
    expect(f.stages.find(({ place }) => place === 'second-run')?.items[0]?.texture).toBe('cooked');
  });

  test('a dump-in of flat meat with raw onion: nothing is heated, fried or deglazed, and the onion is told to go in', () => {
    const { f, told, moves } = served(
      planFor('beef-brisket-flat', 'whole', 1400, {
        sear: { school: 'none', where: 'pot', order: 'meat-first' },
        deglaze: null,
        aromatics: [
          { ingredient: 'onion', grams: 200, how: 'raw' },
          { ingredient: 'garlic', grams: 10, how: 'raw' },
        ],
        others: [{ name: 'a soup mix', grams: 40, place: 'start' }],
      }),
    );
    expect(f.sear.preheatMinutes).toBe(0);
    expect(moves.some(({ kind }) => ['heat', 'fry', 'sear', 'deglaze'].includes(kind))).toBe(false);
    expect(told).toMatch(/onion, garlic and a soup mix|Onion and garlic with the liquid|onion/i);
    expect(told).toContain('a soup mix');
    expect(ends(f, 'onion')).toBe('sauce');
  });

  test('marinated chunks boiled in their marinade: trimmed and cut before it, no sear, boiled hard first', () => {
    const { f, told, moves } = served(
      planFor(
        'goat-stewing',
        'pieces',
        1200,
        { target: 'fork' },
        { trimGrams: 60, marinade: { ml: 200, hours: 12, then: 'boiled', solidsGrams: 80 } },
      ),
    );
    expect(f.sear.batches).toBe(0);
    const kinds = moves.map(({ kind }) => kind);
    expect(kinds.indexOf('trim')).toBeLessThan(kinds.indexOf('marinate'));
    expect(kinds.indexOf('boil-marinade')).toBeGreaterThan(kinds.indexOf('wait-hot'));
    expect(told).toMatch(/boil it/);
    expect(ends(f, 'the marinade')).toBe('sauce');
  });

  test('broth kept before the second run is poured over at the table; kept for later it is named so', () => {
    const plan = planFor('goat-leg', 'whole', 1800, {
      liquids: [{ liquid: 'stock', ml: 700, temperatureC: 20 }],
      stages: [{ ...usual('second-run'), minutes: 4, takeOutMl: 250, broth: 'poured-over' }],
      vegetables: [{ vegetable: 'turnip', grams: 400, texture: 'tender', place: 'second-run' }],
    });
    const { told, f } = served(plan);
    expect(told).toMatch(/250 ml of broth out, and kept/);
    expect(told).toMatch(/Pour the kept broth over, 250 ml/);
    expect(f.lids[1]?.liquid.atLockMl).toBeLessThan(
      forecast({ ...plan, stages: [{ ...usual('second-run'), minutes: 4 }] }).lids[1]?.liquid.atLockMl ?? 0,
    );
  });

  test('bacon first, onion, then meat: the fat stays and is in what is skimmed; bacon is on the meat board', () => {
    const { f, told, moves } = served(
      planFor('beef-chuck', 'chunks', 1200, {
        aromatics: [
          { ingredient: 'bacon', grams: 120, how: 'fried-first' },
          { ingredient: 'onion', grams: 250, how: 'fried-first' },
        ],
      }),
    );
    const kinds = moves.map(({ kind }) => kind);
    expect(kinds.indexOf('fry')).toBeLessThan(kinds.indexOf('sear'));
    expect(told).toMatch(/Its fat stays in the pot/);
    const plain = forecast(planFor('beef-chuck', 'chunks', 1200));
    expect(f.finish.skimMl).toBeGreaterThan(plain.finish.skimMl + 20);
    const board = moves.find((move) => move.kind === 'ready' && move.board === 'meat');
    expect(board?.kind === 'ready' && board.portions.length).toBe(1);
  });

  test('bones in the meat’s batch: browned beside it, in with it, fished out', () => {
    const { f, told } = served(
      planFor('beef-shin', 'slices', 1200, { aromatics: [{ ingredient: 'bones', grams: 400, how: 'with-meat' }] }),
    );
    expect(told).toMatch(/Bones for body beside it/);
    expect(ends(f, 'bones for body')).toBe('fished-out');
    expect(told).toMatch(/Fish out bones for body/);
  });

  test('meat pulled, back in, and the sauce reduced over it', () => {
    const plan = planFor('pork-shoulder', 'whole', 1800, { target: 'pulls' });
    const { told, moves } = served({ ...plan, finish: { ...plan.finish, meatBack: true, reduce: 8 } });
    const kinds = moves.map(({ kind }) => kind);
    expect(kinds.indexOf('pull')).toBeLessThan(kinds.indexOf('put-back'));
    expect(kinds.indexOf('put-back')).toBeLessThan(kinds.indexOf('reduce'));
    expect(told).toMatch(/the meat stays in it/);
  });

  test('a three-kilo shoulder given ten minutes: raw in the middle, and said on the bench and at the check', () => {
    const { f } = served(
      planFor('pork-shoulder', 'whole', 3000, { pressureMinutes: 10, release: { method: 'quick', naturalMinutes: 0 } }),
    );
    expect(f.meats[0]?.safe).toBe(false);
    expect(codes(f)).toContain('raw-middle');
    const check = guideOf(f).steps.find(({ done }) => done === 'checked');
    expect(check?.caution).toMatch(/63 °C/);
  });

  test('a simmer that boils hard reduces while it cooks; a gentle one hardly', () => {
    const plan = (heat: 'gentle' | 'hard'): Plan =>
      planFor('beef-chuck', 'chunks', 1200, {
        stages: [{ ...usual('simmer'), minutes: 12, heat, meat: 'in' }],
        vegetables: [{ vegetable: 'carrot', grams: 300, texture: 'tender', place: 'simmer' }],
      });
    const [gentle, hard] = [served(plan('gentle')), served(plan('hard'))];
    expect(hard.told).toMatch(/boil hard/);
    expect(hard.f.liquid.freeAtEndMl).toBeLessThan(gentle.f.liquid.freeAtEndMl - 60);
  });

  test('solids strained out and put back; a cut seared whole and cut afterwards; a dish that is eaten from the pot', () => {
    const plan = planFor(
      'beef-chuck',
      'chunks',
      1200,
      { aromatics: [{ ingredient: 'onion', grams: 200 }] },
      { cutAfterSear: true },
    );
    const { told, f } = served({ ...plan, finish: { ...plan.finish, strain: 'put-back' } });
    expect(told).toMatch(/kept warm, back in at the end/);
    expect(told).toMatch(/Cut the beef chuck now/);
    expect(ends(f, 'onion')).toBe('sauce');
    const { told: dish } = served({ ...plan, servedFrom: 'pot' });
    expect(dish).toMatch(/pot to the table/);
  });

  test('raw meat in a cooker that waits to begin is warned of', () => {
    const { f } = served(planFor('goat-neck', 'slices', 1600, { waitsMinutes: 240 }));
    expect(codes(f)).toContain('raw-waits');
  });

  test('thirty chunks that are stirred are not told to keep apart', () => {
    const plan = planFor('beef-chuck', 'bite-size', 900, {
      sear: { school: 'light', where: 'pot', order: 'meat-first' },
    });
    expect(served(plan).told).not.toMatch(/none touching/);
  });
});
