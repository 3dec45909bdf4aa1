import type { Text } from '@hervir/language/message';
import {
  GRADE_FROM,
  gradeOf,
  meanMelted,
  TARGET_BAND,
  THICKNESS_CV,
  type CookField,
  type Grade,
  toughnessBounds,
} from '../../meat/tenderness';
import type { CookingBody } from '../../physics/cooking-body';
import { monotoneCurve } from '../../physics/monotone';
import { normalCdf } from '../../physics/normal';
import { spreadOf, toughnessOf } from '../../plan/calibration';
import type { Plan } from '../../plan/plan';
import type { Pot } from '../../pot/pot-model';
import { heatUp, letDown, QUICK, runOn, STANDING_OPEN, stepFor } from '../../pot/pressure-run';
import type { SoFar } from '../../clock/so-far';
import { moreText, type MoreFact } from '../../words/at-the-pot-words';
import { evening } from '../forecast/evening';
import { potUnderLid } from '../forecast/kitchen-pot';
import { potSoFar } from '../forecast/pot-so-far';
import { tooWeak } from '../forecast/timing';

/** What to do with meat that is not there yet; 0 minutes where coming up again and letting down is enough. */
export interface AdditionalMinutes extends MoreFact {
  readonly text: Text;
}

/** The lid is off while a piece is tried, minutes. Common practice. */
export const TRYING_MINUTES = 3;
const LONGEST_MORE = 120;

/** The pot after so many minutes under pressure, let down as planned. */
function planned(plan: Plan, minutes: number): Pot {
  const pot = potUnderLid(plan);
  if (heatUp(pot, plan.cooker) === null) throw tooWeak(plan);
  runOn(pot, minutes, 0);
  letDown(pot, plan.release, plan.cooker);
  return pot;
}

/** The meat in the pot: its cook values and their weights. */
function meatIn(pot: Pot): CookField {
  return pot.bodies[0] as CookingBody;
}

/** What is not known before the check: animals differ, and thickness shifts the same figure. Logarithm. */
const sigmaOf = (plan: Plan): number => Math.hypot(spreadOf(plan, 'toughness'), 1.5 * THICKNESS_CV);

/** Median of a normal variable that is known to lie between two values. */
function medianBetween(low: number, high: number): number {
  const [below, above] = [normalCdf(low), normalCdf(high)];
  // So far out that the tables end: the nearer edge is all that can be said.
  if (above - below < 1e-6) return Math.abs(low) < Math.abs(high) ? low : high;
  const half = (below + above) / 2;
  let [from, to] = [Math.max(low, -8), Math.min(high, 8)];
  while (to - from > 1e-4) {
    const middle = (from + to) / 2;
    if (normalCdf(middle) < half) from = middle;
    else to = middle;
  }
  return from;
}

/**
 * How tough an animal is, from what its meat was like: what is known before, cut down to what the grade allows.
 *
 * @param field cook values of the piece at the check
 * @param usual toughness of the cut
 * @param found the grade
 * @param sigma what is not known before, of the logarithm
 */
function toughnessFrom(field: CookField, usual: number, found: Grade, sigma: number): number {
  const { from, to } = toughnessBounds(field, usual, found);
  return usual * Math.exp(sigma * medianBetween(from / sigma, to / sigma));
}

/** What is enough at the check: cooked ahead, the meat goes on melting as it cools and is warmed. */
function wantedAtCheck(plan: Plan): number {
  const [low] = TARGET_BAND[plan.target];
  return plan.cookAhead === undefined ? low : (evening(plan).nextDay?.facts.checkShare ?? low);
}

/**
 * Given what has been done so far and what the fork found, how many more minutes. The animal's toughness is read from the
 * grade; the second run pays for its own way up and down, and both cook.
 *
 * @param plan as cooked, with its release
 * @param done minutes under pressure as planned, or all that has really happened, the lid off again
 * @param found the grade at the check
 * @returns further minutes with a quick release; null where the target is met already
 * @throws PlanError when the heater cannot bring the pot to pressure
 * @example additionalMinutes(plan, 60, 'pulls') // null
 */
export function additionalMinutes(plan: Plan, done: number | SoFar, found: Grade): AdditionalMinutes | null {
  const wanted = wantedAtCheck(plan);
  if (GRADE_FROM[found] >= (plan.cookAhead === undefined ? wanted : GRADE_FROM[gradeOf(wanted)])) return null;
  const pot = typeof done === 'number' ? planned(plan, done) : potSoFar(plan, done).pot;
  const usual = toughnessOf(plan);
  const toughness = toughnessFrom(meatIn(pot), usual, found, sigmaOf(plan));

  // What has really happened stands open already.
  if (typeof done === 'number') {
    pot.openLid();
    stepFor(pot, TRYING_MINUTES, STANDING_OPEN);
  }
  const heated = heatUp(pot, plan.cooker);
  if (heated === null) throw tooWeak(plan);

  const knots: number[] = [];
  const melted: number[] = [];
  let releaseMinutes = 0;
  for (let at = 0; at <= LONGEST_MORE; at += 5) {
    if (at > 0) runOn(pot, 5, at);
    const down = pot.clone();
    releaseMinutes = letDown(down, QUICK, plan.cooker).minutes;
    knots.push(at);
    melted.push(meanMelted(meatIn(down), toughness));
    if ((melted.at(-1) as number) >= wanted) break;
  }
  const curve = knots.length > 1 ? monotoneCurve(knots, melted) : null;
  let minutes = knots.at(-1) as number;
  while (curve && minutes > 0 && curve.at(minutes - 1) >= wanted) minutes -= 1;
  const tougherBy = toughness / usual - 1;
  const more = { minutes, reheatMinutes: heated.toTimer, releaseMinutes, tougherBy };
  return { ...more, text: moreText(more) };
}
