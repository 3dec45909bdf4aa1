import { pieceOf } from '../../meat/piece';
import { pieceBody, START_C } from '../../meat/piece-body';
import { cookRate } from '../../physics/cook-value';
import { monotoneCurve } from '../../physics/monotone';
import type { Plan } from '../../plan/plan';
import { potBuild } from '../../pot/cooker';

/** Ways to braise without pressure. A slow cooker is on low unless it is said. */
export const METHODS = ['oven', 'simmer', 'slow-cooker', 'slow-cooker-high'] as const;
export type Method = (typeof METHODS)[number];

/** A middling oven, °C. Common practice. */
export const USUAL_OVEN_C = 150;
/** What a pot in an oven comes to: at a middling oven, and for every kelvin more or less. Common practice; from memory. */
const OVEN_LIQUID = { atUsualC: 92.5, perK: 0.125 } as const;
/** How fast it does, against how much hotter the oven is than the pot on its way. From memory. */
const OVEN_MINUTES = { atUsual: 20, meanPotC: 76 } as const;

/** How the liquid warms: from where, to where, and in which time it is two thirds of the way, minutes. */
interface Warming {
  readonly fromC: number;
  readonly toC: number;
  readonly minutes: number;
}

/**
 * Common practice: a simmer is there soon; a slow cooker takes most of seven hours to be as hot as it gets on low, and of
 * three or four on high.
 */
const WARMINGS: Readonly<Record<Exclude<Method, 'oven'>, Warming>> = {
  simmer: { fromC: 60, toC: 97, minutes: 6 },
  'slow-cooker': { fromC: 20, toC: 94, minutes: 150 },
  'slow-cooker-high': { fromC: 20, toC: 95, minutes: 70 },
};

/** A pot in an oven, lidded: the hotter the oven, the hotter and the sooner. */
function inOven(ovenC: number): Warming {
  const { atUsualC, perK } = OVEN_LIQUID;
  const { atUsual, meanPotC } = OVEN_MINUTES;
  return {
    fromC: 60,
    toC: atUsualC + perK * (ovenC - USUAL_OVEN_C),
    minutes: (atUsual * (USUAL_OVEN_C - meanPotC)) / Math.max(10, ovenC - meanPotC),
  };
}

/** Nobody simmers longer, minutes. */
const LONGEST = 24 * 60;
/** Below boiling an open liquid stays this far, K. */
const UNDER_BOILING_K = 2;

/** Within this of where it ends a liquid, or the piece in it, is as hot as it will get, K. */
const SETTLED_K = 0.3;

/** Cook value against minutes, as far as it was followed; from there on it gains `rate` a minute. */
interface Course {
  readonly minutes: readonly number[];
  readonly values: readonly number[];
  readonly rate: number;
}

/** Follows a piece until it is as hot as it will get, or has had enough. */
function courseOf(plan: Plan, method: Method, ovenC: number, enough = Infinity): Course {
  const { fromC, toC, minutes: warming } = method === 'oven' ? inOven(ovenC) : WARMINGS[method];
  const highest = Math.min(toC, potBuild(plan.cooker, plan.kitchen).boilingC - UNDER_BOILING_K);
  const liquidC = (minute: number): number => highest - (highest - fromC) * Math.exp(-minute / warming);
  const body = pieceBody(plan.meat, pieceOf(plan.meat), START_C[plan.meat.startsFrom]);
  const minutes = [0];
  const values = [0];
  for (let at = 0; at < LONGEST && (values.at(-1) as number) < enough;) {
    const step = Math.min(body.body.longestStep / 60, at < 60 ? 4 : at < 240 ? 10 : 20);
    body.advance(step * 60, liquidC(at), liquidC(at + step));
    at += step;
    minutes.push(at);
    values.push(body.meanCookValue());
    if (highest - liquidC(at) < SETTLED_K && body.coreC > highest - 2 * SETTLED_K) break;
  }
  return { minutes, values, rate: cookRate(highest) };
}

/**
 * The time by another method that brings a cook value: the same integral over another history of temperature.
 *
 * @param plan its meat and kitchen: an open pot simmers cooler higher up
 * @param method oven, simmer or slow cooker
 * @param cookValue mean of the pieces, minutes at 100 °C
 * @param ovenC of an oven
 * @returns whole minutes; null when a day is not enough
 * Accuracy: the trade's own conversions lie within its range (tests).
 * @example methodMinutes(plan, 'simmer', 0) // 0
 */
export function methodMinutes(
  plan: Plan,
  method: Method,
  cookValue: number,
  ovenC: number = USUAL_OVEN_C,
): number | null {
  const { minutes, values, rate } = courseOf(plan, method, ovenC, cookValue);
  const i = values.findIndex((value) => value >= cookValue);
  if (i === 0) return 0;
  if (i < 0) {
    const total = (minutes.at(-1) as number) + (cookValue - (values.at(-1) as number)) / rate;
    return total > LONGEST ? null : Math.round(total);
  }
  const [before, after] = [values[i - 1] as number, values[i] as number];
  const [from, to] = [minutes[i - 1] as number, minutes[i] as number];
  return Math.round(from + ((cookValue - before) / (after - before)) * (to - from));
}

/**
 * The mean cook value a time by another method brings: the other way round, for an old recipe.
 *
 * @param minutes as the recipe has it
 * @param ovenC of an oven
 * @returns minutes at 100 °C
 * @example methodCookValue(plan, 'oven', 0) // 0
 */
export function methodCookValue(plan: Plan, method: Method, minutes: number, ovenC: number = USUAL_OVEN_C): number {
  if (minutes <= 0) return 0;
  const course = courseOf(plan, method, ovenC);
  const end = course.minutes.at(-1) as number;
  if (minutes >= end) return (course.values.at(-1) as number) + (minutes - end) * course.rate;
  return monotoneCurve(course.minutes, course.values).at(minutes);
}

/** A way without pressure, and how long it takes; null when a day is not enough. */
export interface WithoutPressure {
  readonly method: Method;
  readonly minutes: number | null;
}

/**
 * The times by other methods that bring the same mean cook value as a forecast: reckoned when somebody asks.
 *
 * @param f its plan and cook value
 * @example withoutPressure({ plan, tenderness: { cookValueMean: 0 } }).map(({ minutes }) => minutes) // [0, 0, 0, 0]
 */
export function withoutPressure(f: {
  readonly plan: Plan;
  readonly tenderness: { readonly cookValueMean: number };
}): WithoutPressure[] {
  return METHODS.map((method) => ({ method, minutes: methodMinutes(f.plan, method, f.tenderness.cookValueMean) }));
}
