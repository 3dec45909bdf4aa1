import type { Text } from '@hervir/language/message';
import { forecast } from '../braise/forecast/forecast';
import { guideOf } from '../braise/guide/guide';
import type { Plan } from '../plan/plan';
import { DEFAULT_COOKER } from '../plan/defaults';
import { moveOf } from '../method/moves';
import { planFor } from '../testing/fixtures';
import { plantOutcomes } from './plant-outcomes';
import { SimulatedCook } from './simulated-cook';
import { steadyHand } from './steady-hand';

const begun = (plan: Plan): SimulatedCook => {
  const f = forecast(plan);
  const run = new SimulatedCook(f, guideOf(f), {
    seed: 5,
    scatter: false,
    startMs: Date.parse('2027-01-17T16:00:00Z'),
    faults: [],
    handsTakeTime: true,
  });
  run.begin();
  return run;
};
const neck = planFor('goat-neck', 'slices', 1600, {
  deglaze: { liquid: 'cider', ml: 150, scraped: true },
  liquids: [{ liquid: 'stock', ml: 400, temperatureC: 20 }],
});
/** Stops where a step's turn comes. */
const upTo = (run: SimulatedCook, id: string): SimulatedCook => {
  steadyHand(run, (step) => step === id);
  return run;
};
/** Says a step done and looks at what has changed. */
function doing(run: SimulatedCook, id: string): Text | null {
  const step = run.now?.step;
  expect(step?.id).toBe(id);
  return run.does(step?.done ?? 'stepDone', { step: id });
}

describe('what hands do at a step', () => {
  test('the pot is put on, and the base grows hot', () => {
    const run = upTo(begun(neck), 'heat-hot');
    const cold = run.frames.at(-1)?.baseC ?? 0;
    run.advanceTo(run.seconds + 180);
    expect((run.frames.at(-1)?.baseC ?? 0) - cold).toBeGreaterThan(60);
  });

  test('deglazing pours its liquid, scraping takes what sticks, loading pours the rest and the meat', () => {
    const run = upTo(begun(neck), 'deglaze');
    // The splash goes in as its turn comes; a part of it boils away in the scraping.
    expect(run.kitchen.sauceMl).toBeGreaterThan(100);
    expect(doing(run, 'deglaze')).toBeNull();
    upTo(run, 'load');
    const poured = run.kitchen.sauceMl;
    expect(doing(run, 'load')).toBeNull();
    expect(run.kitchen.sauceMl - poured).toBeGreaterThan(300);
  });

  test('the lid is locked before the valve is closed, and both before the pressure run', () => {
    const run = upTo(begun(neck), 'lock');
    expect(run.frames.at(-1)?.lid).toBe('off');
    expect(doing(run, 'lock')).toBeNull();
    expect(doing(run, 'valve')).toBeNull();
    run.advanceTo(run.seconds + 10);
    expect(run.frames.at(-1)).toMatchObject({ lid: 'on', valve: 'closed', mode: 'pressure' });
  });

  test('under pressure the lid stays on, whatever is pressed', () => {
    const run = upTo(begun(neck), 'pressure');
    expect(run.kitchen.command({ do: 'lid', to: 'off' })).toMatch(/pressure|pin/i);
    expect(run.frames.at(-1)?.lid).toBe('on');
  });

  test('the valve opened lets it down sooner than left alone', () => {
    const quick: Plan = { ...neck, release: { method: 'quick', naturalMinutes: 0 } };
    const minutesDown = (vents: boolean): number => {
      const run = upTo(begun(quick), 'vent');
      const from = run.seconds;
      if (vents) expect(doing(run, 'vent')).toBeNull();
      while (run.kitchen.pot.pinIsUp && run.seconds - from < 3600) run.advanceTo(run.seconds + run.stepS);
      return (run.seconds - from) / 60;
    };
    expect(minutesDown(true)).toBeLessThan(minutesDown(false));
  });

  test('what goes in later goes into the second run, and what waits under foil is back on the plate', () => {
    const staged = {
      ...neck,
      vegetables: [{ vegetable: 'turnip', grams: 450, texture: 'tender', place: 'auto' }],
    } as Plan;
    const run = upTo(begun(staged), 'second-load');
    expect(run.kitchen.plants.map(({ where }) => where)).toEqual(['bowl']);
    expect(doing(run, 'second-load')).toBeNull();
    expect(run.kitchen.plants.map(({ where }) => where)).toEqual(['pot']);
  });
});

describe('what became of vegetables and grain', () => {
  const items = (place: Plan['vegetables'][number]['place'], grain: Plan['grains'] = []): Plan => ({
    ...neck,
    vegetables: [{ vegetable: 'turnip', grams: 450, texture: 'tender', place }],
    grains: grain,
  });
  const outcomes = (plan: Plan): ReturnType<typeof plantOutcomes> => {
    const run = begun(plan);
    steadyHand(run);
    return plantOutcomes(run);
  };

  test('in the second run a turnip is as wanted; from the start it is past it, by so many textures', () => {
    expect(outcomes(items('second-run'))).toMatchObject([{ name: 'turnip', wanted: 'tender', was: 'tender', off: 0 }]);
    const [early] = outcomes(items('start'));
    expect(early?.off).toBeGreaterThan(0);
    expect(early?.was).not.toBe('tender');
  });

  test('what is cooked apart, or only gives its flavour, is as wanted', () => {
    for (const place of ['folded-in', 'flavour-only'] as const) {
      expect([place, outcomes(items(place))[0]?.off]).toEqual([place, 0]);
    }
  });

  test('what never went in is left out, and short of what was wanted', () => {
    const run = upTo(begun(items('second-run')), 'second-load');
    expect(plantOutcomes(run)).toMatchObject([{ was: 'left out', off: -1 }]);
  });
});

describe('the sauce in the simulated pot', () => {
  test('starch thickens it, its water with it; what is ladled out is gone', () => {
    const bound: Plan = {
      ...neck,
      finish: { ...neck.finish, thickener: 'cornstarch', body: 'coating', ladleOutMl: 120 },
    };
    const f = forecast(bound);
    const ladle = guideOf(f).steps.find(({ moves }) => moveOf(moves, 'ladle'))?.id ?? '';
    const thicken = guideOf(f).steps.find(({ moves }) => moveOf(moves, 'thicken'))?.id ?? '';
    const run = upTo(begun(bound), ladle);
    const before = run.kitchen.sauceMl;
    doing(run, ladle);
    expect(before - run.kitchen.sauceMl).toBeCloseTo(120, 0);
    upTo(run, thicken);
    const thin = run.kitchen.starchNow;
    doing(run, thicken);
    expect(run.kitchen.starchNow - thin).toBeCloseTo(f.finish.thickenerGrams, 1);
  });

  test('reducing boils it down by about what the plan says', () => {
    const reduced: Plan = { ...neck, finish: { ...neck.finish, reduce: 6 } };
    const id = guideOf(forecast(reduced)).steps.find(({ moves }) => moveOf(moves, 'reduce'))?.id ?? '';
    const run = upTo(begun(reduced), id);
    const before = run.kitchen.sauceMl;
    run.advanceTo(run.seconds + 6 * 60);
    const lost = before - run.kitchen.sauceMl;
    expect(lost).toBeGreaterThan(30);
    expect(lost).toBeLessThan(before * 0.6);
  });

  test('whatever a plan asks for, hands bring it to the table', () => {
    const plans: readonly Plan[] = [
      neck,
      { ...neck, cooker: { ...DEFAULT_COOKER, kind: 'stovetop', burner: 'gas', timerStarts: 'pin' } },
      {
        ...neck,
        aromatics: [{ ingredient: 'onion', grams: 200 }],
        finish: { ...neck.finish, strain: 'thrown', blend: true, reduce: 4 },
      },
      { ...neck, vegetables: [{ vegetable: 'turnip', grams: 450, texture: 'tender', place: 'simmer' }] },
      { ...neck, vegetables: [{ vegetable: 'turnip', grams: 450, texture: 'tender', place: 'second-run' }] },
    ];
    for (const plan of plans) {
      const run = begun(plan);
      steadyHand(run);
      expect(run.state.status).toBe('served');
    }
  });
});
