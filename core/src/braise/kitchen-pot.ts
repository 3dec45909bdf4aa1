import { pieceOf, type Piece } from '../meat/piece';
import type { Plan } from '../plan/plan';
import { baseAreaM2, potBuild } from '../pot/cooker';
import { load } from '../pot/loading';
import type { Pot } from '../pot/pot-model';
import type { Follow } from '../pot/pressure-run';
import { searPlan, type SearPlan } from '../stations/sear';
import { aromaticMinutes } from '../clock/tasks';

/** A plan brought as far as the lid: its pieces, its sear, and the loaded pot without the meat. */
export interface ReadyPot {
  readonly piece: Piece;
  readonly sear: SearPlan;
  readonly aromatics: number;
  readonly pot: Pot;
  readonly preheatMinutes: number;
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
  const sear = searPlan(piece, plan.sear, plan.cooker);
  const aromatics = aromaticMinutes(plan.aromatics);
  const searing = { minutes: sear.minutes, areaM2: sear.coverage * baseAreaM2(plan.cooker.baseDiameterCm) };
  const { pot, preheatMinutes } = load(plan, potBuild(plan.cooker, plan.kitchen), searing, aromatics, follow);
  return { piece, sear, aromatics, pot, preheatMinutes };
}
