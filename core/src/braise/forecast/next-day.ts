import { say } from '@hervir/language/message';
import type { DatedSchedule } from '../../clock/schedule';
import { isPulled, WARM_WAYS, type Meat, type Plan, type WarmWay } from '../../plan/plan';
import { PlanError } from '../../plan/plan-error';
import { meatsOf } from '../../plan/meats';
import { criticalToughness, meanMelted, TARGET_BAND } from '../../meat/tenderness';
import type { Piece } from '../../meat/piece';
import { pieceBody } from '../../meat/piece-body';
import type { CookingBody } from '../../physics/cooking-body';
import type { Pot } from '../../pot/pot-model';
import { advanceAlongside, type Stretch } from '../../pot/pressure-run';
import { coolStew, iceForBath, type Cooling } from '../../stations/cooling';
import { BATHS } from '../../stations/leftovers';
import { KEPT_C, warmThrough, type Warmed } from '../../stations/warm-through';

/** As hot as it comes into its containers, under boiling, K: it has stood open while they were filled. From memory. */
const POURED_UNDER_BOILING_K = 10;
/** A joint that cools too slowly is cut into slices so thick first, cm; what is smaller is not. Common practice. */
const SLICE_CM = 3;
const JOINT_CM = 6;
/** In ice water first, minutes, the shortest that keeps the hours: hot from the pot it may take more than what is left of a meal. */
const HOT_BATHS = [...BATHS, 75, 90];

/** How a braise that is cooked ahead is cooled, kept and warmed. */
export interface NextDayFacts {
  readonly bathMinutes: number;
  readonly iceKg: number;
  readonly cooling: Cooling;
  /** Cut before it is cooled: whole, its middle stays warm for too long. */
  readonly cutFirst: boolean;
  readonly pulledFirst: boolean;
  readonly warmed: Warmed;
  /** The other ways, minutes; null where that does not get it hot. */
  readonly ways: Readonly<Record<WarmWay, number | null>>;
  /** Share of collagen melted that is enough at the check: what is still to come melts the rest. */
  readonly checkShare: number;
}

/** What becomes of a braise that is cooked ahead, from the pot to the table of another day. */
export interface NextDay {
  readonly facts: NextDayFacts;
  /** All that the meat goes through from the open pot on. */
  readonly history: readonly Stretch[];
}

/** The same as a forecast has it, with the clock of its day. */
export interface NextDayForecast extends NextDayFacts {
  /** Fat that is lifted cold, ml; 0 where none is worth it. */
  readonly fatMl: number;
  /** When the cook's own work is over and it is in the fridge; null where dinner has no time. */
  readonly readyAt: string | null;
  readonly clock: DatedSchedule;
}

/** A cut as the pot leaves it. */
export interface FromThePot {
  readonly meat: Meat;
  readonly piece: Piece;
  readonly body: CookingBody;
}

const slicesOf = (piece: Piece): Piece => {
  const [length, width, thickness] = piece.dimensionsCm;
  const many = Math.ceil(length / SLICE_CM);
  const [a, b, c] = [width, thickness, length / many].sort((one, other) => other - one) as [number, number, number];
  return {
    ...piece,
    count: piece.count * many,
    gramsEach: piece.gramsEach / many,
    dimensionsCm: [a, b, c],
    thicknessCm: c,
  };
};

/** Cooled from the pot, with the shortest ice bath that keeps the published times; the longest where none does. */
function cooled(
  depthCm: number,
  fromC: number,
  body: CookingBody | undefined,
): Pick<NextDayFacts, 'bathMinutes' | 'cooling'> & { history: Stretch[] } {
  let best: ReturnType<typeof cooled> | null = null;
  for (const bathMinutes of HOT_BATHS) {
    const history: Stretch[] = [];
    const cooling = coolStew(depthCm, bathMinutes, {
      fromC,
      ...(body === undefined ? {} : { piece: body.clone() }),
      follow: (seconds, from, toC) => history.push({ seconds, fromC: from, toC, phase: 'open' }),
    });
    best = { bathMinutes, cooling, history };
    if (cooling.inTime) break;
  }
  return best as NonNullable<typeof best>;
}

/**
 * A braise that is cooked ahead: cooled with its meat in its sauce, and warmed through on its day.
 *
 * @param plan with its {@link Plan.cookAhead}
 * @param pot when its cooking is over
 * @param cuts as they come out of it
 * @param ways that are compared beside the plan's own
 * @throws RangeError for a plan that is not cooked ahead
 * @throws PlanError where nothing warms it through
 * Accuracy: the sauce is taken as it leaves the pot; reduced further it warms sooner.
 */
export function nextDay(
  plan: Plan,
  pot: Pot,
  cuts: readonly FromThePot[],
  ways: readonly WarmWay[] = WARM_WAYS,
): NextDay {
  const { cookAhead } = plan;
  if (cookAhead === undefined) throw new RangeError('this plan is not cooked ahead');
  const { depthCm, warm } = cookAhead;
  const fromC = pot.build.boilingC - POURED_UNDER_BOILING_K;
  const pulledFirst = isPulled(plan.target);
  const thickest = [...cuts].sort((a, b) => b.piece.thicknessCm - a.piece.thicknessCm)[0];
  // In a container no piece is thicker than what it lies in, or it sticks out.
  const deep = (piece: Piece | undefined): number => Math.max(depthCm, piece?.thicknessCm ?? 0);
  const whole = pulledFirst ? cooled(depthCm, fromC, undefined) : cooled(deep(thickest?.piece), fromC, thickest?.body);
  const cutFirst = !pulledFirst && !whole.cooling.inTime && (thickest?.piece.thicknessCm ?? 0) > JOINT_CM;
  const cooling = cutFirst ? cooled(depthCm, fromC, undefined) : whole;
  const pieceCold = ({ meat, piece }: FromThePot): CookingBody =>
    pieceBody(meat, cutFirst ? slicesOf(piece) : piece, KEPT_C);
  const soft = pulledFirst ? cuts.reduce((sum, { body }) => sum + body.heatCapacityJPerK, 0) : 0;
  const enough = pot.liquidKgNow * 1000 >= plan.cooker.minimumLiquidMl;
  const warmBy = (way: WarmWay): Warmed | null => {
    if ((way === 'pressure' && !enough) || (way !== warm && !ways.includes(way))) return null;
    return warmThrough(
      pot.build,
      {
        liquidKg: Math.max(0.1, pot.liquidKgNow),
        bodies: pulledFirst ? [] : cuts.map(pieceCold),
        softJPerK: soft,
        depthCm: cutFirst || pulledFirst ? depthCm : deep(thickest?.piece),
      },
      way,
      plan.cooker,
    );
  };
  const [stove, oven, pressure] = [warmBy('stove'), warmBy('oven'), warmBy('pressure')];
  const all = { stove, oven, pressure };
  const warmed = all[warm] ?? warmBy('oven');
  if (warmed === null)
    throw new PlanError('cookAhead.warm', say('next-day.it-does-not-get-hot'), say('next-day.less-of-it-or-cut'));
  const grams = pot.liquidKgNow * 1000 + meatsOf(plan).reduce((sum, meat) => sum + meat.grams, 0);
  const history = [...cooling.history, ...warmed.history];
  const facts = {
    checkShare: shareAtCheck(plan, cuts[0], history),
    bathMinutes: cooling.bathMinutes,
    iceKg: cooling.bathMinutes === 0 ? 0 : iceForBath(grams, fromC),
    cooling: cooling.cooling,
    cutFirst,
    pulledFirst,
    warmed,
    ways: { stove: stove?.minutes ?? null, oven: oven?.minutes ?? null, pressure: pressure?.minutes ?? null },
  };
  return { facts, history };
}

/** How far the toughest animal that will still be done when it is eaten has come when it is tried. */
function shareAtCheck(plan: Plan, first: FromThePot | undefined, history: readonly Stretch[]): number {
  const [low] = TARGET_BAND[plan.target];
  if (first === undefined) return low;
  const eaten = first.body.clone();
  advanceAlongside(eaten, history);
  return meanMelted(first.body, criticalToughness(eaten, low, 0));
}
