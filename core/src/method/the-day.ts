import { isSlicedToServe, meatsOf } from '../plan/meats';
import { isPulled, type Plan } from '../plan/plan';
import type { BoardMove } from './board';
import { cookApart, laterBoard, sides } from './beside';
import type { Figures } from './figures';
import { dairyAtTheEnd, offTheHeat, plate } from './finish';
import { type Bowls, Line, listOf, some, step } from './line';
import type { Move } from './moves';
import type { Block } from './step';

/** Common practice, minutes. */
const PUT_AWAY_MINUTES = 4;
const SLICE_MINUTES = 4;
const FRIDGE_MINUTES = 1;
const LIFT_FAT_MINUTES = 3;
/** How the board of the day is known to what waits for it. */
const BOARD = 'day-board';

/** The end of an evening whose braise is eaten another day: into containers, cooled, into the fridge. */
export function putAway(line: Line, plan: Plan, { nextDay }: Figures): void {
  if (nextDay === null || plan.cookAhead === undefined) return;
  const { bathMinutes, iceKg, cooling, cutFirst } = nextDay;
  const { minutesTo21, minutesTo5 } = cooling;
  const add = (move: Move, minutes: number, hands: boolean): void =>
    line.add(
      move.kind,
      { kind: 'put-away', move: move.kind },
      'hands',
      [step(move.kind, [move], minutes, hands)],
      hands,
    );
  const { depthCm } = plan.cookAhead;
  add({ kind: 'put-away', depthCm, cutFirst }, PUT_AWAY_MINUTES + (cutFirst ? SLICE_MINUTES : 0), true);
  add({ kind: 'ice-bath', minutes: bathMinutes, iceKg }, bathMinutes, false);
  add({ kind: 'into-fridge', minutesTo21, minutesTo5 }, FRIDGE_MINUTES, true);
}

/**
 * The day a braise is eaten that was cooked ahead: what is fresh is cut and cooked, the fat lifted cold, all warmed through.
 *
 * @param plan with everything in its place
 * @param board what is cut on the day
 */
export function theDay(plan: Plan, figures: Figures, bowls: Bowls, board: readonly BoardMove[]): Block[] {
  const { nextDay, sauce } = figures;
  if (nextDay === null) return [];
  const line = new Line();
  laterBoard(line, BOARD, board);
  const cut = board.length > 0 ? [BOARD] : [];
  const add = (minutes: number, hands: boolean, ...moves: readonly (Move | null)[]): void => {
    const real = listOf(some(...moves));
    const [first] = real ?? [];
    if (real === null || first === undefined) return;
    const id = `day-${line.blocks.length + 1}-${first.kind}`;
    line.add(id, { kind: 'day', move: first.kind }, hands ? 'hands' : 'pot', [step(id, real, minutes, hands)], hands);
  };
  if (sauce.skimMl > 0) add(LIFT_FAT_MINUTES, true, { kind: 'lift-fat', ml: sauce.skimMl });
  const { way, minutes, pressureMinutes } = nextDay.warmed;
  add(minutes, false, { kind: 'warm', way, pressureMinutes });
  // What is cooked fresh is cut first.
  const apart = cookApart(line, plan, bowls, cut);
  if (apart.blocks.length > 0) line.waitsFor(...apart.blocks);
  add(1, true, { kind: 'fold-in', portions: apart.portions });
  if (apart.blocks.length === 0) line.waitsFor(...cut);
  add(1, true, offTheHeat(plan, bowls));
  add(1, true, { kind: 'stir-in', cooked: false, portions: dairyAtTheEnd(bowls) });
  add(1, true, { kind: 'stir-in', cooked: false, portions: bowls.others('end') });
  add(1, true, { kind: 'season' });
  const sliced = isSlicedToServe(plan.meat) && !isPulled(plan.target) && !nextDay.cutFirst;
  plate(line, plan, figures, bowls, sliced ? bowls.cuts(meatsOf(plan).map((_, i) => i)) : []);
  sides(line, plan);
  return line.blocks;
}
