import { cookState } from '../clock/cook-state';
import type { CookEvent } from '../clock/cook-events';
import { backwards } from '../clock/schedule';
import { observe } from '../learning/observe';
import { DEFAULT_COOKER, DEFAULT_KITCHEN } from '../plan/defaults';
import type { Plan } from '../plan/plan';
import { latentHeatJPerKg } from '../physics/steam';
import { grainMl } from '../pot/contents';
import { potBuild } from '../pot/cooker';
import { simmerStage } from '../pot/later-stage';
import { Pot } from '../pot/pot-model';
import { solveSauce } from '../stations/sauce';
import { planFor } from '../testing/fixtures';
import { forecast } from './forecast/forecast';
import { guideOf } from './guide/guide';

/** Figures that a wrong formula could hide behind: each by hand, on a sheet of paper. No source but the definition. */
describe('by hand', () => {
  test('half of what was bound goes out with half of the sauce', () => {
    const plan = planFor('beef-chuck', 'chunks', 1200);
    const finish: Plan['finish'] = {
      ...plan.finish,
      thickener: 'cornstarch',
      body: 'coating',
      ladleOutMl: 350,
      reduce: 0,
      sauceMl: null,
    };
    const base = {
      freeMl: 700,
      fatMl: 0,
      starchG: 12,
      heaterW: 800,
      boilingC: 100,
      softGrams: 0,
      addedMl: 0,
      addedStarchG: 0,
    };
    // 8 g a cup of 240 ml; 6 of the 12 g stay.
    expect(solveSauce({ ...plan, finish }, base).thickenerGrams).toBeCloseTo((8 * 350) / 240 - 6, 6);
    // What is stirred in last is sauce, and binds.
    const last = solveSauce({ ...plan, finish }, { ...base, starchG: 0, addedMl: 120, addedStarchG: 4 });
    expect(last.thickenerGrams).toBeCloseTo((8 * (350 + 120)) / 240 - 4, 6);
    expect(last.sauceMl).toBeCloseTo(350 + 120 + last.waterMl, 6);
  });

  test('a kilo of dry grain takes less room than a litre, for a grain of it sinks (common practice: 1.3 to 1.4 kg a litre)', () => {
    expect(grainMl(1000)).toBeGreaterThan(700);
    expect(grainMl(1000)).toBeLessThan(775);
    expect(grainMl(1000, 500) - grainMl(1000)).toBe(500);
  });

  test('slack is what lies between the end of what comes before and the beginning', () => {
    const task = (
      id: string,
      minutes: number,
      resource: string,
      after: readonly string[],
    ): Parameters<typeof backwards>[0][number] => ({
      id,
      label: id,
      minutes,
      resource,
      handsOn: false,
      after,
    });
    const { tasks } = backwards([
      task('soak', 10, 'board', []),
      task('long', 40, 'pot', []),
      task('short', 15, 'side-burner', ['soak']),
      task('plate', 5, 'hands', ['long', 'short']),
    ]);
    const of = (id: string): (typeof tasks)[number] | undefined => tasks.find((one) => one.id === id);
    // Soak ends at 25 and short begins there: as late as plating allows, side by side with the long one.
    expect(of('short')?.startMinute).toBe(25);
    expect(of('short')?.slackMinutes).toBe(0);
    expect(of('plate')?.slackMinutes).toBe(0);
    expect(of('soak')?.slackMinutes).toBeNull();
    const moved = backwards([task('soak', 10, 'board', []), task('short', 15, 'pot', ['soak'])], { soak: 12 });
    expect(moved.tasks.find(({ id }) => id === 'short')?.slackMinutes).toBe(12);
  });

  test.each([
    ['gentle', 0.25],
    ['hard', 0.5],
  ] as const)('a %s simmer boils off what that share of the heat leaves after the walls', (heat, share) => {
    const build = potBuild(DEFAULT_COOKER, DEFAULT_KITCHEN);
    const pot = new Pot(build, build.boilingC, 1);
    const none = { settle: () => undefined, juiceKg: 0, brothOutKg: 0, coldJPerK: 0, poured: [] };
    const free = { drinks: false, ml: (now: Pot): number => now.liquidKgNow * 1000 };
    const { boiledKg } = simmerStage(pot, none, 20, heat, free);
    const watts = build.heaterW * share - build.lossWPerK * (build.boilingC - build.roomC);
    expect(boiledKg / ((watts * 20 * 60) / latentHeatJPerKg(build.boilingC))).toBeCloseTo(1, 1);
  });

  test('the range of minutes is where two and nineteen in twenty are there, whole minutes', () => {
    const plan = planFor('beef-chuck', 'chunks', 1360);
    const [from, to] = forecast(plan).pressureMinutesRange;
    const sure = (pressureMinutes: number): number => {
      const { at, past } = forecast({ ...plan, pressureMinutes }).tenderness.chance;
      return at + past;
    };
    expect(sure(from)).toBeGreaterThanOrEqual(0.2);
    expect(sure(from - 1)).toBeLessThan(0.2);
    expect(sure(to)).toBeGreaterThanOrEqual(0.95);
    expect(sure(to - 1)).toBeLessThan(0.95);
  });

  test('the band of the line has the tough animal below and the tender one above', () => {
    const points = forecast(planFor('beef-chuck', 'chunks', 1360)).pot.curve.filter(
      ({ melted }) => (melted ?? 0) > 0.1,
    );
    expect(points.length).toBeGreaterThan(5);
    for (const { melted, meltedRange } of points) {
      expect(meltedRange?.[0]).toBeLessThan(melted as number);
      expect(meltedRange?.[1]).toBeGreaterThan(melted as number);
    }
  });
});

describe('what a cook says of its kitchen, and what it does not', () => {
  const plan = planFor('beef-chuck', 'chunks', 1360, { release: { method: 'natural-then-quick', naturalMinutes: 5 } });
  const guide = guideOf(forecast(plan));
  const START = Date.parse('2027-01-17T15:00:00Z');

  /** A cook at the plan's own minutes; something else is told in the place of a step. */
  function told(
    instead: (id: string, tell: (kind: CookEvent['kind'], payload?: CookEvent['payload']) => void) => boolean,
  ) {
    const events: CookEvent[] = [];
    let minute = 0;
    const tell = (kind: CookEvent['kind'], payload: CookEvent['payload'] = {}): void => {
      const at = new Date(START + minute * 60_000).toISOString();
      events.push({ id: `e${String(events.length).padStart(3, '0')}`, kind, at, payload });
    };
    tell('started');
    for (const { id, done, minutes } of guide.steps) {
      minute += minutes;
      if (instead(id, tell)) continue;
      if (done === 'checked') tell('checked', { grade: 'fork' });
      else tell(done, { step: id });
    }
    return observe(plan, cookState(guide, events, START + (minute + 60) * 60_000), 'fork');
  }

  test('a release that was vented says nothing of the losses', () => {
    const vented = told(() => false);
    expect(vented.heat).toBeDefined();
    expect(vented.losses).toBeUndefined();
  });

  test('a burn says nothing of the heat, whatever the pin did', () => {
    const burnt = told((id, tell) => {
      if (id !== 'pressure') return false;
      tell('burn');
      return false;
    });
    expect(burnt.heat).toBeUndefined();
    expect(burnt.losses).toBeUndefined();
  });
});
