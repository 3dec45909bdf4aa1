import * as fc from 'fast-check';
import { forecast } from '../braise/forecast/forecast';
import type { Forecast } from '../braise/forecast/forecast-document';
import { guideOf } from '../braise/guide/guide';
import { PlanError } from '../plan/plan-error';
import { anyPlan, plansAsked } from '../testing/any-plan';
import { LIKELY_K } from '../pot/base-temperature';
import { SimulatedCook } from './simulated-cook';
import { steadyHand } from './steady-hand';

/** Two ways through one model agree within a hundredth. */
const AGREE = 0.01;
/** The grid that a simulated cook's seconds fall on, minutes. */
const GRID = 4 / 60;
/** A ladle: what the pot holds in the end follows a dozen movings of the hands. */
const LADLE_ML = 45;

function forecastOf(plan: Forecast['plan']): Forecast | null {
  try {
    return forecast(plan);
  } catch (error) {
    if (error instanceof PlanError) return null;
    throw error;
  }
}

function cooked(f: Forecast): SimulatedCook {
  return new SimulatedCook(f, guideOf(f), {
    seed: 1,
    scatter: false,
    startMs: 0,
    faults: [],
    handsTakeTime: false,
  });
}

const { numRuns, seed } = plansAsked();
const FORECASTS = fc
  .sample(anyPlan(), { numRuns: Math.ceil(numRuns / 6), seed })
  .flatMap((plan) => forecastOf(plan) ?? []);
// Within a degree or two of where it burns either may be right.
const SAFE = FORECASTS.filter(({ lids }) =>
  lids.every(({ base, liquid }) => base.worstC < base.cutoutC - LIKELY_K - 2 && liquid.level === 'ok'),
);

describe('hands that follow the guide blindly get the forecast’s pot, whatever is planned (no source: two ways through one model)', () => {
  test('there are pots enough to look at', () => {
    expect(SAFE.length).toBeGreaterThan(numRuns / 30);
  });

  test('to the pin, under pressure, in the middle of the meat and in the sauce', () => {
    const off: string[] = [];
    for (const f of SAFE) {
      const run = cooked(f);
      steadyHand(run, (id) => id === 'open');
      const at = (signal: string): number =>
        (run.frames.find(({ signals }) => signals.includes(signal as never))?.atS ?? NaN) / 60;
      const { meat } = run.kitchen;
      const says = (what: string, found: number, wanted: number, grid = 0): void => {
        const near = Math.abs(found - wanted) <= wanted * AGREE + grid;
        if (!near) off.push(`${what}: ${found} for ${wanted} in ${JSON.stringify(f.plan)}`);
      };
      const electric = f.plan.cooker.kind === 'electric';
      says('pin', at('pinUp') - at(electric ? 'valveClosed' : 'lidLocked'), f.pot.minutesToPin, GRID);
      if (electric && f.pressureMinutes > 0) says('minutes', at('ended') - at('counting'), f.pressureMinutes, GRID);
      if (f.pressureMinutes > 0) says('middle', meat?.coreC ?? NaN, f.tenderness.coreC, 0.5);
      steadyHand(run);
      if (run.state.status !== 'served') off.push(`${run.state.status}: ${JSON.stringify(f.plan)}`);
      if (run.kitchen.trips.length > 0) off.push(`burnt: ${JSON.stringify(f.plan)}`);
      // A cut that is still raw lets its juice go while the sauce reduces, and grain that has drunk a pot dry drinks on.
      const settled = f.meats.every(({ safe }) => safe) && f.liquid.freeAtEndMl > 0;
      if (settled) says('sauce', run.kitchen.sauceMl, f.finish.sauceMl, LADLE_ML);
    }
    expect(off).toEqual([]);
  });

  test('most of the pots whose base is likely to burn do: the forecast takes what sticks for worse than it may be', () => {
    const likely = FORECASTS.filter(({ burn }) => burn.level === 'likely');
    const burnt = likely.filter((f) => {
      const run = cooked(f);
      // A pot that has cut out waits for hands that clear it, which a blind hand does not always.
      try {
        steadyHand(run, () => run.kitchen.trips.length > 0);
      } catch (error) {
        if (run.kitchen.trips.length === 0) throw error;
      }
      return run.kitchen.trips.length > 0;
    });
    expect(burnt.length / likely.length).toBeGreaterThan(1 / 2);
  });
});
