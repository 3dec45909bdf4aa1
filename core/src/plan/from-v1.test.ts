import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { guideFromV1, type GuideV1 } from '../clock/guide-from-v1';
import type { CookEvent } from '../clock/cook-events';
import { cookState } from '../clock/cook-state';
import { pressureTimes } from '../clock/pressure-times';
import { forecast } from '../braise/forecast/forecast';
import { SimulatedCook } from '../simulated/simulated-cook';
import { SECTION_WORDS } from '../words/section-words';
import { planFromV1, type PlanV1 } from './from-v1';
import { stageOf } from './stage-settings';

/** Kitchens as version 1 wrote them: a plan, its forecast's figures, the guide, and a cook under way. */
interface KitchenV1 {
  readonly name: string;
  readonly plan: PlanV1;
  readonly forecast: { readonly pressureMinutes: number; readonly minutesToPin: number; readonly mean: number };
  readonly guide: GuideV1;
  readonly events: readonly CookEvent[];
  readonly nowMs: number;
  readonly state: {
    readonly status: string;
    readonly now: string | null;
    readonly dinnerAt: number;
    readonly took: readonly { readonly section: string; readonly planned: number; readonly actual: number }[];
    readonly burns: number;
    readonly ignored: number;
  };
  readonly times: object | null;
}

const KITCHENS = JSON.parse(readFileSync(join(__dirname, '../testing/v1/kitchens.json'), 'utf8')) as KitchenV1[];

describe.each(KITCHENS.map((kitchen) => [kitchen.name, kitchen] as const))('written by version 1: %s', (_, kitchen) => {
  test('the plan says the same, and is reckoned to the same minutes', () => {
    const plan = planFromV1(kitchen.plan);
    expect(plan).toMatchObject({ version: 2, name: kitchen.plan.name, vegetables: kitchen.plan.vegetables });
    expect(plan.meat.marinade?.then).toBe(
      kitchen.plan.meat.marinade === null ? undefined : kitchen.plan.meat.marinade.pouredIn ? 'poured-in' : 'thrown',
    );
    expect(stageOf(plan, 'second-run')).toMatchObject({
      meat: kitchen.plan.meatInSecondRun,
      takeOutMl: kitchen.plan.brothOutMl,
    });
    const f = forecast(plan);
    // Fried onions re-enter hot now, and what lies above the liquid waits for steam: some minutes longer under pressure.
    expect(Math.abs(f.pressureMinutes - kitchen.forecast.pressureMinutes)).toBeLessThanOrEqual(3);
    expect(f.pot.minutesToPin).toBeLessThanOrEqual(kitchen.forecast.minutesToPin + 0.1);
    expect(f.pot.minutesToPin).toBeGreaterThan(kitchen.forecast.minutesToPin * 0.75);
  });

  test('a cook in progress is where it was: the same step, dinner, parts and times under the lid', () => {
    const guide = guideFromV1(kitchen.guide);
    const state = cookState(guide, kitchen.events, kitchen.nowMs);
    expect({
      status: state.status,
      now: state.now?.step.id ?? null,
      dinnerAt: state.dinner.at,
      took: state.took.map((part) => ({ ...part, section: SECTION_WORDS[part.section] })),
      burns: state.burns,
      ignored: state.ignored.length,
    }).toEqual(kitchen.state);
    expect(pressureTimes(state, kitchen.nowMs)).toEqual(kitchen.times);
  });

  test('its steps do what their buttons said: the lid, the valve and the heat are moved by them', () => {
    const { steps } = guideFromV1(kitchen.guide);
    const moved = (done: string): string[] =>
      steps.filter((step) => step.done === done).flatMap(({ moves }) => moves.map(({ kind }) => kind));
    expect(moved('lidLocked').length + moved('secondRun').length).toBeGreaterThan(0);
    for (const kind of moved('lidLocked')) expect(kind).toBe('lock');
    for (const kind of moved('valveClosed')) expect(kind).toBe('start');
    for (const kind of moved('heaterOff')) expect(kind).toBe('hold');
    for (const kind of moved('lidOpened')) expect(kind).toBe('open');
    for (const { id, moves } of steps.filter(({ id }) => id === 'rest'))
      expect([id, moves.map(({ kind }) => kind)]).toEqual(['rest', ['rest']]);
    // Whatever else is pressed moves nothing, or something that there is a word for.
    for (const move of steps.flatMap(({ moves }) => moves)) expect([move, typeof move.kind]).toEqual([move, 'string']);
    // What is done at the board moves nothing of the pot: nothing is made up for it.
    const board = steps.filter(({ done, section }) => done === 'stepDone' && section === 'board');
    expect(board.flatMap(({ moves }) => moves)).toEqual([]);
  });

  test('and goes on to the table, its cooker linked', () => {
    const plan = planFromV1(kitchen.plan);
    const started = kitchen.events.find(({ kind }) => kind === 'started');
    const run = new SimulatedCook(forecast(plan), guideFromV1(kitchen.guide), {
      seed: 7,
      scatter: false,
      startMs: Date.parse('2027-01-17T16:00:00Z'),
      faults: [],
      handsTakeTime: false,
    });
    for (const event of kitchen.events) {
      run.advanceTo((Date.parse(event.at) - Date.parse('2027-01-17T16:00:00Z')) / 1000);
      run.follow(event);
    }
    expect(started).toBeDefined();
    expect(run.state.now?.step.id ?? null).toBe(kitchen.state.now);
    expect(run.kitchen.meatAt === 'board').toBe(false);
  });
});
