import type { Text } from '@hervir/language/message';
import { cutById, type Form } from '../../catalog/cuts';
import type { Plan, ReleaseMethod } from '../../plan/plan';
import { textureWord } from '../../stations/doneness';
import type { CurvePoint } from './curve';
import { forecast } from './forecast';
import type { Forecast } from './forecast-document';
import { laterBy } from './later-by';
import { readyPot } from './kitchen-pot';
import { methodCookValue, type Method } from './other-methods';
import { timing } from './timing';

/** One other way of doing the same, for a card beside the plan. */
export interface Alternative {
  /** What to change; pressing the card does it. */
  readonly release?: Plan['release'];
  readonly form?: Form;
  readonly pressureMinutes: number;
  readonly releaseMinutes: number;
  readonly totalMinutes: number;
  readonly handsOnMinutes: number;
  /** Minutes later (or, below zero, sooner) on the table than the plan as it is. */
  readonly laterMinutes: number;
  readonly pieces: number;
  readonly thicknessCm: number;
  readonly chance: Forecast['tenderness']['chance'];
  readonly coreC: number;
  /** Vegetables and grains, and what each is like by this way. */
  readonly textures: readonly { readonly name: Text; readonly texture: Text; readonly met: boolean }[];
  /** From the lid on until it is open, minutes counted from there: the pot, and how far the collagen has come. */
  readonly curve: readonly Pick<CurvePoint, 'minute' | 'liquidC' | 'melted'>[];
  /** When on it the minutes under pressure are over. */
  readonly endMinute: number;
  /** True for the plan as it is. */
  readonly chosen: boolean;
}

/** What happens under the first lid, with its own minutes. */
function underTheLid({ pot, plan, pressureMinutes }: Forecast): Pick<Alternative, 'curve' | 'endMinute'> {
  const melting = pot.curve.filter(({ melted }) => melted !== null);
  const begins = melting[0]?.minute ?? 0;
  const endMinute = (plan.cooker.timerStarts === 'pin' ? pot.minutesToPin : pot.minutesToPressure) + pressureMinutes;
  const curve = melting
    .map(({ minute, liquidC, melted }) => ({ minute: minute - begins, liquidC, melted }))
    .filter(({ minute }) => minute <= endMinute + pot.releaseMinutes + 0.01);
  return { curve, endMinute };
}

function alternative(
  changed: Plan,
  base: Forecast,
  change: Pick<Alternative, 'release' | 'form'>,
  chosen: boolean,
): Alternative {
  const other = chosen ? base : forecast(changed);
  return {
    ...change,
    pressureMinutes: other.pressureMinutes,
    releaseMinutes: other.pot.releaseMinutes,
    totalMinutes: other.clock.totalMinutes,
    handsOnMinutes: other.clock.handsOnMinutes,
    laterMinutes: laterBy(base, other),
    pieces: other.piece.count,
    thicknessCm: other.piece.thicknessCm,
    chance: other.tenderness.chance,
    coreC: other.tenderness.coreC,
    textures: other.stages.flatMap(({ items }) =>
      items.map(({ name, texture, met }) => ({ name, texture: textureWord(texture), met })),
    ),
    ...underTheLid(other),
    chosen,
  };
}

const WAYS: readonly ReleaseMethod[] = ['natural', 'natural-then-quick', 'quick'];

/**
 * The release traded against minutes: the same tenderness, as sure as the plan wants it, by each way of letting down.
 *
 * @param base the plan's own forecast
 * @returns natural, timed and quick, side by side
 * @throws PlanError as the forecast does
 */
export function releaseAlternatives(base: Forecast): Alternative[] {
  const { plan } = base;
  return WAYS.map((method) => {
    const release = { ...plan.release, method };
    // The cook's own minutes belong to the cook's own release.
    return alternative({ ...plan, release, pressureMinutes: null }, base, { release }, method === plan.release.method);
  });
}

/**
 * Whole against chunks against bite-size, as far as the cut allows: minutes and total time of each.
 *
 * @param base the plan's own forecast
 */
export function formAlternatives(base: Forecast): Alternative[] {
  const { plan } = base;
  return cutById(plan.meat.cut).forms.map((form) => {
    const own = form === plan.meat.form;
    const meat = own ? plan.meat : { ...plan.meat, form, pieces: undefined, thicknessCm: undefined };
    return alternative({ ...plan, meat, pressureMinutes: null }, base, { form }, own);
  });
}

/** A stretch of an old recipe: how it is cooked, for how long, and in which oven; a middling one when nothing is said. */
export interface CookedBy {
  readonly method: Method;
  readonly minutes: number;
  readonly ovenC?: number | undefined;
}

/**
 * Pressure minutes that do what an old recipe's time does by another method: the same mean cook value.
 *
 * @param plan its meat, pot and release
 * @param stretches of the recipe, in their order; what comes after the first finds the meat warm
 * @returns whole minutes under pressure; 0 where coming up and letting down alone do more
 * @throws PlanError as the forecast does
 * @example pressureMinutesLike(plan, [{ method: 'simmer', minutes: 0 }]) // 0
 */
export function pressureMinutesLike(plan: Plan, stretches: readonly CookedBy[]): number {
  let wanted = 0;
  let before = 0;
  for (const { method, minutes, ovenC } of stretches) {
    const until = (time: number): number => methodCookValue(plan, method, time, ovenC);
    wanted += until(before + minutes) - (before > 0 ? until(before) : 0);
    before += minutes;
  }
  const { piece, pot } = readyPot(plan);
  const odds = timing({ ...plan, pressureMinutes: 360 }, piece, pot);
  let [low, high] = [0, odds.longest];
  if (odds.cookValue(0) >= wanted) return 0;
  while (high - low > 0.05) {
    const middle = (low + high) / 2;
    if (odds.cookValue(middle) < wanted) low = middle;
    else high = middle;
  }
  return Math.round(high);
}
