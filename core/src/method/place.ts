import type { Plan } from '../plan/plan';
import { board, load, saute } from './before-the-lid';
import { laterBoard, LATER_TASK, saucesApart, sides } from './beside';
import type { Figures } from './figures';
import { finish, plate } from './finish';
import { laterStages } from './later-stages';
import { Bowls, Line, step } from './line';
import { putAway, theDay } from './the-day';
import type { Method } from './step';
import { LID_MINUTES, OPEN_MINUTES, underTheLid } from './under-the-lid';

/**
 * Everything that is done for a plan, in order, from the first cut to the plate: the one place that knows. The clock, the
 * guide, the hands of a rehearsal, the section and the words are functions of what it gives.
 *
 * @param plan with every vegetable and grain in its place
 * @param figures what the reckoning has found
 * @returns blocks in the order of the work, each after what it needs; raw meat leaves the board last
 */
export function place(plan: Plan, figures: Figures): Method {
  const bowls = new Bowls(plan, figures.portions);
  const line = new Line();
  const { ahead: before, later } = board(line, plan, figures.portions);
  saute(line, plan, figures, bowls);
  const sauces = saucesApart(line, plan, bowls);
  if (sauces !== null) line.waitsFor(sauces);
  load(line, plan, figures, bowls);
  const loaded = line.last;
  const { toPin, toTimer, pressure, release } = figures;
  underTheLid(line, plan, '', { run: 1, stage: 'start' }, { toPin, toTimer, pressure, release }, plan.release);
  const lid = step('open', [{ kind: 'open', run: 1 }], LID_MINUTES);
  const startCuts = bowls.cuts(figures.sears.map(({ cut }) => cut));
  const tried = step('check', [{ kind: 'try', portions: startCuts, run: 1 }], OPEN_MINUTES - LID_MINUTES);
  line.add('open', { kind: 'open', run: 1 }, 'pot', [lid, tried], true);
  const ahead = plan.cookAhead !== undefined;
  if (later.length > 0 && !ahead) line.waitsFor(LATER_TASK);
  laterStages(line, plan, figures, bowls);
  const waiting = finish(line, plan, figures, bowls);
  if (ahead) {
    putAway(line, plan, figures);
    return { ahead: before, blocks: line.blocks, day: theDay(plan, figures, bowls, later) };
  }
  plate(line, plan, figures, bowls, waiting);
  // Behind what the pot needs hands for: of two that could end together the first in the list has the hands.
  laterBoard(line, LATER_TASK, later, loaded);
  sides(line, plan);
  return { ahead: before, blocks: line.blocks, day: [] };
}
