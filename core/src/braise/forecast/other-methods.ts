import { pieceOf, type Piece } from '../../meat/piece';
import { pieceBody, START_C } from '../../meat/piece-body';
import { cookRate } from '../../physics/cook-value';
import { monotoneCurve } from '../../physics/monotone';
import type { Plan } from '../../plan/plan';
import { potBuild } from '../../pot/cooker';

/** Ways to braise without pressure. */
export const METHODS = ['oven', 'simmer', 'slow-cooker'] as const;
export type Method = (typeof METHODS)[number];

/** How the liquid warms: where it begins, how hot it gets, and after how long. Common practice. */
const HISTORIES: Readonly<Record<Method, { readonly fromC: number; readonly toC: number; readonly minutes: number }>> =
  {
    oven: { fromC: 60, toC: 92.5, minutes: 45 },
    simmer: { fromC: 60, toC: 97, minutes: 15 },
    'slow-cooker': { fromC: 20, toC: 94, minutes: 150 },
  };

/** Nobody simmers longer, minutes. */
const LONGEST = 24 * 60;
/** Below boiling an open liquid stays this far, K. */
const UNDER_BOILING_K = 2;

/** Within this of the liquid the piece is as hot as it will get, K. */
const SETTLED_K = 0.3;

/** Cook value against minutes, as far as the piece still warms; from there on it gains `rate` a minute. */
interface Course {
  readonly minutes: readonly number[];
  readonly values: readonly number[];
  readonly rate: number;
}

function courseOf(plan: Plan, piece: Piece, method: Method): Course {
  const { fromC, toC, minutes: warming } = HISTORIES[method];
  const highest = Math.min(toC, potBuild(plan.cooker, plan.kitchen).boilingC - UNDER_BOILING_K);
  const liquidC = (minute: number): number => fromC + (highest - fromC) * Math.min(1, minute / warming);
  const body = pieceBody(plan.meat, piece, START_C[plan.meat.startsFrom]);
  const minutes = [0];
  const values = [0];
  for (let at = 0; at < LONGEST;) {
    const step = Math.min(body.body.longestStep / 60, at < 60 ? 4 : 10);
    body.advance(step * 60, liquidC(at), liquidC(at + step));
    at += step;
    minutes.push(at);
    values.push(body.meanCookValue());
    if (at >= warming && body.coreC > highest - SETTLED_K) break;
  }
  return { minutes, values, rate: cookRate(highest) };
}

/**
 * The time by another method that brings a cook value: the same integral over another history of temperature.
 *
 * @param plan its meat and kitchen: an open pot simmers cooler higher up
 * @param method oven, simmer or slow cooker
 * @param cookValue mean of the pieces, minutes at 100 °C
 * @returns whole minutes; null when a day is not enough
 * Accuracy: the trade's own conversions lie within its range (tests).
 * @example methodMinutes(plan, 'simmer', 0) // 0
 */
export function methodMinutes(plan: Plan, method: Method, cookValue: number): number | null {
  const { minutes, values, rate } = courseOf(plan, pieceOf(plan.meat), method);
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
 * @returns minutes at 100 °C
 * @example methodCookValue(plan, 'oven', 0) // 0
 */
export function methodCookValue(plan: Plan, method: Method, minutes: number): number {
  if (minutes <= 0) return 0;
  const course = courseOf(plan, pieceOf(plan.meat), method);
  const end = course.minutes.at(-1) as number;
  if (minutes >= end) return (course.values.at(-1) as number) + (minutes - end) * course.rate;
  return monotoneCurve(course.minutes, course.values).at(minutes);
}
