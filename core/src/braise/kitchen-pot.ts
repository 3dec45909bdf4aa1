import { pieceOf, type Piece } from '../meat/piece';
import { pieceBody, START_C } from '../meat/piece-body';
import type { Plan } from '../plan/plan';
import { PlanError } from '../plan/plan-error';
import type { Charge } from '../pot/charge';
import { baseAreaM2, potBuild } from '../pot/cooker';
import { load } from '../pot/loading';
import type { Pot } from '../pot/pot-model';
import type { Follow } from '../pot/pressure-run';
import { searAsDone, searPlan, type SearPlan } from '../stations/sear';
import { aromaticMinutes } from '../stations/aromatics';

/** A plan brought as far as the lid: its pieces, its sear, and the loaded pot without the meat. */
export interface ReadyPot {
  readonly piece: Piece;
  readonly sear: SearPlan;
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
    'there is no liquid left when the lid goes on: no steam, no pressure, a burnt base',
    `at least ${plan.cooker.minimumLiquidMl} ml, the cooker’s minimum`,
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
  const piece = pieceOf(plan.meat);
  const sear = searPlan(piece, searAsDone(plan), plan.cooker, plan.meat, plan.learnt?.sear?.factor);
  const aromatics = aromaticMinutes(plan.aromatics);
  const covered = Math.min(1, sear.coverage);
  const searing = { minutes: sear.minutes, areaM2: covered * baseAreaM2(plan.cooker.baseDiameterCm) };
  const build = potBuild(plan.cooker, plan.kitchen, plan.heat, plan.learnt);
  const { pot, preheatMinutes, charges } = load(plan, build, searing, aromatics, follow);
  if (pot.liquidKgNow < DRY_KG) throw noLiquid(plan);
  return { piece, sear, aromatics, pot, preheatMinutes, charges };
}

/**
 * The plan's pot as its lid goes on, the meat in it.
 *
 * @param plan the plan
 * @param options whether the middle of a piece is solved finely enough to be shown
 * @throws PlanError naming the field that makes the plan impossible
 */
export function potUnderLid(plan: Plan, options?: { readonly middle: boolean }): Pot {
  const { piece, pot } = readyPot(plan);
  pot.add(pieceBody(plan.meat, piece, START_C[plan.meat.startsFrom], options));
  return pot;
}
