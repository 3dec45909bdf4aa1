import { say } from '@hervir/language/message';
import { cutById } from '../../catalog/cuts';
import { pieceOf, type Piece } from '../../meat/piece';
import { pieceBody, START_C } from '../../meat/piece-body';
import type { Meat, OtherMeat, Plan } from '../../plan/plan';
import { PlanError } from '../../plan/plan-error';
import type { Charge } from '../../pot/charge';
import { baseAreaM2, potBuild } from '../../pot/cooker';
import { topLayer } from '../../pot/contents';
import { load } from '../../pot/loading';
import type { Pot } from '../../pot/pot-model';
import type { Follow } from '../../pot/pressure-run';
import { searAsDone, searPlan, type SearPlan } from '../../stations/sear';
import { aromaticMinutes } from '../../stations/aromatics';
import type { StartMeat } from './main-run';

/** A plan brought as far as the lid: its pieces, its sear, and the loaded pot without the meat. */
export interface ReadyPot {
  /** Of the first cut. */
  readonly piece: Piece;
  /** All cuts that are in under the first lid, the plan's own first. */
  readonly cuts: readonly StartMeat[];
  readonly sear: SearPlan;
  /** Of the other cuts that are in from the start. */
  readonly otherSears: readonly SearPlan[];
  readonly aromatics: number;
  readonly pot: Pot;
  readonly preheatMinutes: number;
  readonly charges: readonly Charge[];
}

/** With less than a spoon of liquid there is no steam, and no pressure. */
const DRY_KG = 0.01;

/** A dry pot: nothing about it can be reckoned. */
function noLiquid(plan: Plan): PlanError {
  return new PlanError(
    'liquids',
    say('kitchen-pot.there-is-no-liquid-left'),
    say('kitchen-pot.at-least-ml-the-cookers', { minimumLiquidMl: plan.cooker.minimumLiquidMl }),
  );
}

/**
 * Does everything that comes before the lid goes on.
 *
 * @param plan the plan
 * @param follow told of every step of the pot
 * @throws PlanError naming the field that makes the plan impossible
 */
export function readyPot(plan: Plan, follow?: Follow): ReadyPot {
  const cuts = startMeats(plan);
  const [first, ...others] = cuts as [StartMeat, ...StartMeat[]];
  const { piece } = first;
  const sear = searOf(plan, first);
  const otherSears = others.map((cut) => searOf(plan, cut));
  const aromatics = aromaticMinutes(plan.aromatics);
  const minutes = [sear, ...otherSears].reduce((sum, one) => sum + one.minutes, 0);
  const covered = Math.min(1, Math.max(sear.coverage, ...otherSears.map(({ coverage }) => coverage)));
  const searing = { minutes, areaM2: covered * baseAreaM2(plan.cooker.baseDiameterCm) };
  const build = potBuild(plan.cooker, plan.kitchen, plan.heat, plan.learnt);
  const { pot, preheatMinutes, charges } = load(plan, build, searing, aromatics, follow);
  if (pot.liquidKgNow < DRY_KG) throw noLiquid(plan);
  pot.top = topLayer(plan, piece, pot.liquidKgNow * 1000);
  return { piece, cuts, sear, otherSears, aromatics, pot, preheatMinutes, charges };
}

/** The cuts that are in under the first lid, the plan's own first. */
export function startMeats(plan: Plan): StartMeat[] {
  // A cut that goes in later is looked at now: what is wrong with it is no surprise at its lid.
  for (const meat of plan.otherMeats) pieceAt(plan, meat);
  const meats: Meat[] = [plan.meat, ...plan.otherMeats.filter(({ goesIn }) => goesIn === 'start')];
  return meats.map((meat) => ({ meat, piece: pieceAt(plan, meat) }));
}

/** The pieces of a cut; what is wrong with it is told where it stands in the plan. */
export function pieceAt(plan: Plan, meat: Meat): Piece {
  try {
    return pieceOf(meat);
  } catch (error) {
    const at = plan.otherMeats.indexOf(meat as OtherMeat);
    if (at < 0 || !(error instanceof PlanError)) throw error;
    throw new PlanError(error.path.replace('meat', `otherMeats[${at}]`), error.problem, error.allowed);
  }
}

/** The sear of one cut; what is boiled in its marinade is not seared. */
function searOf(plan: Plan, { meat, piece }: StartMeat): SearPlan {
  const boiled = meat.marinade?.then === 'boiled';
  const sear = boiled ? { ...plan.sear, school: 'none' as const } : searAsDone(plan);
  // Seared whole and cut afterwards, it lies on the base as it was bought.
  const shape =
    meat.cutAfterSear === true && cutById(meat.cut).forms.includes('whole')
      ? pieceOf({ ...meat, form: 'whole', pieces: undefined, thicknessCm: undefined })
      : piece;
  return searPlan(shape, sear, plan.cooker, meat, plan.learnt?.sear?.factor);
}

/**
 * The plan's pot as its lid goes on, the meat in it.
 *
 * @param plan the plan
 * @param options whether the middle of a piece is solved finely enough to be shown
 * @throws PlanError naming the field that makes the plan impossible
 */
export function potUnderLid(plan: Plan, options?: { readonly middle: boolean }): Pot {
  const { cuts, pot } = readyPot(plan);
  pot.add(...cuts.map(({ meat, piece }) => pieceBody(meat, piece, START_C[meat.startsFrom], options)));
  pot.pile();
  return pot;
}
