import { DEFAULT_COOKER, DEFAULT_KITCHEN, newPlan } from '../plan/defaults';
import { pieceOf, type Piece } from '../meat/piece';
import type { TimesFor } from '../braise/forecast/times';
import { forecast } from '../braise/forecast/forecast';
import { guideOf } from '../braise/guide/guide';
import type { Guide } from '../clock/guide-step';
import type { Happened, SoFar } from '../clock/so-far';
import type { Move } from '../method/moves';
import type { Meat, Plan, PlannedStage } from '../plan/plan';
import { stageOf } from '../plan/stage-settings';
import { place } from '../method/place';
import { portionsOf, thickenerPortion } from '../plan/portions';
import { solveSauce, type SauceBase } from '../stations/sauce';
import { finishWords } from '../words/finish-words';
import type { Finish } from '../words/finish';

/** A plan by the sentence's words, with whatever else a test sets. Practice figures: for tests only. */
export function planFor(
  cut: string,
  form: Plan['meat']['form'],
  grams: number,
  more: Partial<Plan> = {},
  meat: Partial<Meat> = {},
): Plan {
  const plan = newPlan({ cut, form, grams });
  return { ...plan, ...more, meat: { ...plan.meat, ...meat } };
}

/** Hervir's second run and simmer, with something of them changed. */
export function secondRun(change: Partial<PlannedStage>): PlannedStage[] {
  const usual = { stages: [] };
  return [
    { ...stageOf(usual, 'second-run'), ...change },
    { ...stageOf(usual, 'simmer'), ...change, takeOutMl: 0 },
  ];
}

/** The finish of a plan alone, for a pot that holds what is given. */
export function finishedFor(plan: Plan, base: SauceBase): Finish {
  const sauce = solveSauce(plan, base);
  const starch = thickenerPortion(plan, sauce.thickens ? sauce.thickenerGrams : 0);
  const portions = [...portionsOf(plan), ...(starch ? [starch] : [])];
  const minutes = { preheat: 0, toPin: 10, toTimer: 12, pressure: 30, release: 15 };
  const method = place(plan, {
    ...minutes,
    portions,
    sears: [],
    later: [],
    sauce,
    boilsAgain: () => 0,
    beforeEnd: new Map(),
    meatsInPot: [0],
    nextDay: null,
  });
  return finishWords({ plan, portions, sizes: new Map(), sauce, caution: () => null }, method);
}

/** One run under the lid by its times, minutes from the closed lid, as {@link soFar} would find it. */
export function oneRun(times: {
  readonly pin?: number;
  readonly heatOff?: number;
  readonly vented?: number;
  readonly until: number;
}): SoFar {
  const { pin = null, heatOff, vented, until } = times;
  const steps: Happened[] = [];
  let from = 0;
  const add = (move: Move, to: number | undefined): void => {
    if (from >= until) return;
    const end = Math.min(until, to ?? until);
    steps.push({ moves: [move], minutes: end - from, over: to !== undefined && to <= until });
    from = end;
  };
  add({ kind: 'come-up', run: 1, until: 'pin' }, pin ?? heatOff);
  add({ kind: 'hold', run: 1 }, heatOff);
  add({ kind: 'leave', run: 1, minutes: null }, vented);
  add({ kind: 'pin-falls', run: 1 }, undefined);
  return { lidOnAt: 0, pin, steps, until };
}

/** What the examples in the doc comments speak of. */
export const kiloOfChuck: Meat = planFor('beef-chuck', 'chunks', 1000).meat;
export const eightRibs: Piece = pieceOf(planFor('beef-short-rib', 'ribs', 1120, {}, { pieces: 8 }).meat);
export const cooker22cm = { baseDiameterCm: 22, watts: 1000 };
export const plan: Plan = planFor('goat-neck', 'slices', 1600);
export const guide: Guide = guideOf(forecast(plan));
export const chartFor: TimesFor = {
  cooker: DEFAULT_COOKER,
  kitchen: DEFAULT_KITCHEN,
  release: { method: 'natural-then-quick', naturalMinutes: 15 },
  confidence: 0.8,
  startsFrom: 'fridge',
};
export { DEFAULT_COOKER, DEFAULT_KITCHEN };
