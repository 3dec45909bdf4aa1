import { say } from '@hervir/language/message';
import type { Piece } from '../../meat/piece';
import { pieceBody, START_C } from '../../meat/piece-body';
import {
  cookValueFor,
  criticalToughness,
  meanMelted,
  TARGET_BAND,
  THICKNESS_CV,
  type CookField,
} from '../../meat/tenderness';
import type { CookingBody } from '../../physics/cooking-body';
import { cookRate } from '../../physics/cook-value';
import { monotoneCurve, type MonotoneCurve } from '../../physics/monotone';
import { normalCdf, NORMAL_THREE } from '../../physics/normal';
import { spreadOf, toughnessOf } from '../../plan/calibration';
import type { Plan } from '../../plan/plan';
import { LIMITS } from '../../plan/limits';
import { PlanError } from '../../plan/plan-error';
import type { Pot } from '../../pot/pot-model';
import { heatUp, letDown, advanceAlongside, runOn, type Stretch } from '../../pot/pressure-run';
import type { Chance } from './chance';

/** The odds of a plan for every length of its pressure run at once. */
export interface Timing {
  /** Longest run it speaks of, minutes. */
  readonly longest: number;
  /** Odds after so many minutes under pressure and the planned release. */
  chance(minutes: number): Chance;
  /** Mean share of collagen melted at the table's toughness and the likeliest thickness. */
  melted(minutes: number): number;
  /** Mean cook value of the likeliest piece, minutes at 100 °C. */
  cookValue(minutes: number): number;
  /** Fewest minutes, not rounded, for a chance of being at or past the target; null when even the longest is not enough. */
  minutesFor(chance: number): number | null;
}

/** Log-normal: the standard deviation of the logarithm from the coefficient of variation. */
const sigmaOf = (plan: Plan): number => Math.sqrt(Math.log1p(spreadOf(plan, 'toughness') ** 2));
const KNOTS = 6;
/** Nothing of the way up is drawn here, and the pieces' own steps are exact. */
const HEATING_STEP_S = 120;
/** Pieces a little thicker and thinner say only by how much a thickness shifts the chance: three modes tell that. */
const RIDER_MODES = 3;

/**
 * A guess of the longest run worth looking at: long enough for a tough animal and a thick piece to be done.
 */
function longestRun(plan: Plan, piece: Piece, workingC: number): number {
  const toughness = toughnessOf(plan);
  const tough = toughness * Math.exp(2 * sigmaOf(plan));
  const melting = cookValueFor(TARGET_BAND[plan.target][0], tough) / cookRate(workingC);
  // Time constant of the slowest mode, near enough: 1 / (α (π/2)² Σ 1/L²), α 1.3e-7.
  const inverse = piece.dimensionsCm.reduce((sum, d) => sum + 1 / (d / 200) ** 2, 0);
  const lag = 1 / (1.3e-7 * (Math.PI / 2) ** 2 * inverse) / 60;
  const need = melting + 2.2 * lag + 5;
  return Math.min(
    LIMITS.pressureMinutes.max,
    Math.max(20, Math.ceil(need), Math.ceil((plan.pressureMinutes ?? 0) + 5)),
  );
}

/**
 * Reckons the odds of tenderness for all lengths of the pressure run at once. The pot is run once to its timer and on
 * through the longest run; at a few lengths between, a copy lets down as planned. Thinner and thicker pieces ride along
 * the same histories. Over toughness the chance is a closed form: a piece falls short when the animal is tougher than the
 * toughness that is just met; over thickness it is a three-point quadrature.
 *
 * @param plan with its target and release
 * @param piece its pieces
 * @param loaded the pot at the moment its lid goes on, without the meat
 * @param after what the meat goes through once the pin has fallen: a second run it stays in
 * @param beside other cuts in the same pot, which take their share of its heat
 * @throws PlanError when the heater cannot bring the pot to pressure
 * Accuracy: 0.5 minutes against the same model stepped every second.
 */
// oxlint-disable-next-line max-lines-per-function -- the closures share the histories of one pot, which are reckoned once
export function timing(
  plan: Plan,
  piece: Piece,
  loaded: Pot,
  after: readonly Stretch[] = [],
  beside: readonly CookingBody[] = [],
): Timing {
  const toughness = toughnessOf(plan);
  const sigma = sigmaOf(plan);
  const startC = START_C[plan.meat.startsFrom];
  const longest = longestRun(plan, piece, loaded.build.workingC);
  const knots = Array.from({ length: KNOTS }, (_, i) => longest * (i / (KNOTS - 1)) ** 1.4);

  const pot = loaded.clone();
  pot.add(pieceBody(plan.meat, piece, startC), ...beside.map((body) => body.clone()));
  pot.pile();
  const heating: Stretch[] = [];
  if (heatUp(pot, plan.cooker, (stretch) => heating.push(stretch), HEATING_STEP_S) === null) throw tooWeak(plan);
  /** Between one knot and the next; and from each knot down. */
  const holds: Stretch[][] = [];
  const releases: Stretch[][] = [];
  const middle: CookField[] = [];
  knots.forEach((knot, i) => {
    const hold: Stretch[] = [];
    if (i > 0) runOn(pot, knot - (knots[i - 1] as number), knots[i - 1] as number, (stretch) => hold.push(stretch));
    holds.push(hold);
    const down = pot.clone();
    const release: Stretch[] = [];
    letDown(down, plan.release, plan.cooker, (stretch) => release.push(stretch));
    const [meat] = down.bodies;
    if (meat) advanceAlongside(meat, after);
    release.push(...after);
    releases.push(release);
    middle.push(down.bodies[0] as CookingBody);
  });

  const [low, high] = TARGET_BAND[plan.target];
  const meets: MonotoneCurve[] = [];
  const overshoots: MonotoneCurve[] = [];
  NORMAL_THREE.nodes.forEach((node) => {
    const fields = node === 0 ? middle : along(node);
    meets.push(monotoneCurve(knots, critical(fields, low)));
    overshoots.push(monotoneCurve(knots, critical(fields, high)));
  });
  const effective = monotoneCurve(
    knots,
    middle.map((field) => Math.log(-Math.log1p(-Math.min(1 - 1e-12, meanMelted(field, toughness))))),
  );

  const cooked = monotoneCurve(
    knots,
    middle.map(({ cookValues, weights }) =>
      cookValues.reduce((sum, value, q) => sum + value * (weights[q] as number), 0),
    ),
  );

  function along(node: number): CookField[] {
    const thickness = Math.exp(THICKNESS_CV * node);
    const rider = pieceBody(plan.meat, piece, startC, { stretch: thickness, modes: RIDER_MODES });
    advanceAlongside(rider, heating);
    return knots.map((_, i) => {
      advanceAlongside(rider, holds[i] as Stretch[]);
      const down = rider.clone();
      advanceAlongside(down, releases[i] as Stretch[]);
      return down;
    });
  }

  /** Logarithm of the toughness just met at each knot, against the table's. */
  function critical(fields: readonly CookField[], share: number): number[] {
    let guess = 0;
    return fields.map((field) => {
      guess = criticalToughness(field, share, guess);
      return Math.log(Math.max(guess, 1e-9) / toughness);
    });
  }

  const below = (curves: readonly MonotoneCurve[], minutes: number): number =>
    curves.reduce(
      (sum, curve, i) => sum + (NORMAL_THREE.weights[i] as number) * normalCdf(curve.at(minutes) / sigma),
      0,
    );

  return {
    longest,
    chance(minutes) {
      const met = below(meets, minutes);
      const past = Math.min(met, below(overshoots, minutes));
      return { short: 1 - met, at: met - past, past };
    },
    melted: (minutes) => -Math.expm1(-Math.exp(effective.at(minutes))),
    cookValue: (minutes) => cooked.at(minutes),
    minutesFor(wanted) {
      if (below(meets, 0) >= wanted) return 0;
      if (below(meets, longest) < wanted) return null;
      let short = 0;
      let enough = longest;
      while (enough - short > 0.01) {
        const half = (short + enough) / 2;
        if (below(meets, half) >= wanted) enough = half;
        else short = half;
      }
      return enough;
    },
  };
}

/**
 * The odds of a piece that goes through a history of fixed length: a cut that goes in at a later lid.
 *
 * @param plan its meat, target and what was learnt
 * @param piece its pieces
 * @param history what the pot does around it
 */
export function chanceThrough(plan: Plan, piece: Piece, history: readonly Stretch[]): Chance {
  const toughness = toughnessOf(plan);
  const sigma = sigmaOf(plan);
  const [low, high] = TARGET_BAND[plan.target];
  let met = 0;
  let past = 0;
  NORMAL_THREE.nodes.forEach((node, i) => {
    const stretch = Math.exp(THICKNESS_CV * node);
    const body = pieceBody(plan.meat, piece, START_C[plan.meat.startsFrom], { stretch });
    advanceAlongside(body, history);
    const over = (share: number): number =>
      normalCdf(Math.log(Math.max(criticalToughness(body, share, 0), 1e-9) / toughness) / sigma);
    met += (NORMAL_THREE.weights[i] as number) * over(low);
    past += (NORMAL_THREE.weights[i] as number) * over(high);
  });
  const overshot = Math.min(met, past);
  return { short: 1 - met, at: met - overshot, past: overshot };
}

/** The heater loses more than it gives: a plan that cannot be cooked. */
export function tooWeak(plan: Plan): PlanError {
  return new PlanError(
    'cooker.watts',
    say('timing.w-cannot-bring-this-pot', { watts: plan.cooker.watts }),
    say('timing.more-watts-less-in-the'),
  );
}

/** How tough an animal is so many standard deviations off what the plan takes it for: the band of the line. */
export const toughnessAt = (plan: Plan, deviations: number): number =>
  toughnessOf(plan) * Math.exp(sigmaOf(plan) * deviations);

/** Cook value that the table's toughness needs for a share; for the reasons. */
export function meltingMinutes(share: number, toughness: number, temperatureC: number): number {
  return cookValueFor(share, toughness) / cookRate(temperatureC);
}
