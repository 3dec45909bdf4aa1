import type { PressureTimes } from '../../clock/pressure-times';
import { gradeOf, meanMelted, type Grade } from '../../meat/tenderness';
import type { CookingBody } from '../../physics/cooking-body';
import { HELD_HOT_C } from '../../physics/food-safety';
import { toughnessOf } from '../../plan/calibration';
import type { Plan } from '../../plan/plan';
import type { Controls, Pot } from '../../pot/pot-model';
import { atFull, heatOff, heatUp, letDown, runOn, stepFor } from '../../pot/pressure-run';
import type { CurvePoint } from './curve';
import type { SoFar } from '../../clock/so-far';
import { potUnderLid } from './kitchen-pot';
import { between, heatThatFits, PotSoFar, withHeat } from './pot-so-far';
import { recorder } from './main-run';

/** The pot and its meat at one moment of a real cook. */
export interface AsCooked {
  readonly liquidC: number;
  readonly coreC: number;
  /** Mean share of collagen melted, at the table's toughness. */
  readonly melted: number;
  readonly grade: Grade;
  /** Minutes from lid on until the middle passed 63 °C; null while it has not. */
  readonly safeAfter: number | null;
  /** If the heat is off from here and the lid stays shut: minutes until the pot is below 60 °C, at most four hours. */
  readonly hotForMinutes: number;
  /** Minutes from lid on. */
  readonly curve: readonly CurvePoint[];
}

const LONGEST_HOT = 240;

/** How long a shut pot without heat stays hot. */
function hotFor(pot: Pot, off: Controls): number {
  const left = pot.clone();
  const from = left.minutes;
  stepFor(left, LONGEST_HOT, { ...off, watts: 0 }, undefined, () => left.temperatureC < HELD_HOT_C);
  return left.minutes - from;
}

/**
 * Takes a pot through what really happened under its lid: brought up and held, left alone, let down.
 *
 * @param pot as its lid goes on
 * @param heatIsOff told of the pot when its heat goes off
 */
function undergo(pot: Pot, plan: Plan, times: PressureTimes, heatIsOff: (pot: Pot) => void): void {
  const lidOn = pot.minutes;
  const go = (until: number, controls: Controls): void => {
    const minutes = Math.min(until, times.until) - (pot.minutes - lidOn);
    if (minutes > 0) stepFor(pot, minutes, controls);
  };
  const off = heatOff(plan.cooker);
  go(times.heatOff ?? times.until, atFull(pot));
  heatIsOff(pot);
  go(times.vented ?? times.until, off);
  go(times.until, { ...off, watts: 0, valve: 'open' });
}

/** A finished cook's meat when the lid came off, and what its times say of the cooker. */
export interface BodyAsCooked {
  readonly meat: CookingBody | undefined;
  /** Heat that really reached the pot, times the plan's. */
  readonly heatShare: number;
  /** The logarithm of the losses, times the plan's, with which a release left alone takes so many minutes; null where none does. */
  lossesFor(minutes: number): { readonly at: number } | null;
}

/** Losses are looked for between these, times the plan's. */
const LOSSES: readonly [number, number] = [0.3, 3.5];

/**
 * The meat of a cook when its lid came off, cooked as it really was; by the plan's own times where none were told.
 *
 * @param plan as cooked
 * @param times what happened under the lid; null where only the plan is known
 * @throws PlanError where the plan cannot be reckoned
 */
export function bodyAsCooked(plan: Plan, times: PressureTimes | null): BodyAsCooked {
  const cold = potUnderLid(plan);
  const heatShare = times === null || times.pin === null ? 1 : heatThatFits(cold, plan, times.pin);
  const pot = withHeat(cold, heatShare);
  if (times === null) {
    heatUp(pot, plan.cooker);
    runOn(pot, plan.pressureMinutes ?? 0, 0);
    letDown(pot, plan.release, plan.cooker);
    return { meat: pot.bodies[0], heatShare, lossesFor: () => null };
  }
  let hot = pot;
  undergo(pot, plan, times, (now) => {
    hot = now.clone();
  });
  return {
    meat: pot.bodies[0],
    heatShare,
    lossesFor: (minutes) => {
      const takes = (factor: number): number =>
        letDown(hot.clone({ ...hot.build, lossWPerK: hot.build.lossWPerK * factor }), NATURAL, plan.cooker).minutes;
      const [low, high] = LOSSES;
      if (takes(low) < minutes || takes(high) > minutes) return null;
      return { at: Math.log(between(LOSSES, (factor) => takes(factor) > minutes)) };
    },
  };
}

const NATURAL = { method: 'natural', naturalMinutes: 0 } as const;

/**
 * The meat and the pot at a moment of a real cook: the plan's pot, brought up as fast as it really came up, held and let
 * down for as long as it really was, in every run: after a burn, after a check that found it tough, in a second run.
 *
 * @param plan as cooked
 * @param so what has happened, from soFar
 * @returns the moment it ends with, and the way there
 * @throws PlanError where the plan cannot be reckoned
 * Accuracy: the forecast's own, when the times are the forecast's own.
 * @example asCooked(plan, { lidOnAt: 0, pin: null, steps: [], until: 0 }).grade // 'chewy'
 */
export function asCooked(plan: Plan, so: SoFar): AsCooked {
  const toughness = toughnessOf(plan);
  const real = new PotSoFar(plan, so.pin, { middle: true });
  const { pot } = real;
  const curve: CurvePoint[] = [];
  const draw = recorder(curve, plan, pot.build.airKPa, -pot.minutes, () => real.meat);
  draw({ seconds: 0, fromC: pot.temperatureC, toC: pot.temperatureC, phase: 'heating' }, pot);
  real.follow(so.steps, draw);
  const { meat } = real;
  const melted = meat ? meanMelted(meat, toughness) : 0;
  return {
    liquidC: pot.temperatureC,
    coreC: meat?.coreC ?? pot.temperatureC,
    melted,
    grade: gradeOf(melted),
    safeAfter: meat?.minutesToSafe ?? null,
    hotForMinutes: hotFor(pot, heatOff(plan.cooker)),
    curve,
  };
}
