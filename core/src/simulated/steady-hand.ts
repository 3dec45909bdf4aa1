import { isCheck } from '../clock/cook-state';
import type { GuideStep } from '../clock/guide-step';
import { moveOf, type MoveKind } from '../method/moves';
import { TOLD_BY_COOKER } from './cooker-device';
import type { SimulatedCook } from './simulated-cook';

/** Done at once: what the forecast gives no minutes to. */
const AT_ONCE: ReadonlySet<MoveKind> = new Set([
  'ready',
  'rinse',
  'trim',
  'cut',
  'dry',
  'wipe-ice',
  'unmarinate',
  'rub',
  'salt',
  'heat',
  'heat-off',
  'lock',
  'start',
  'leave',
  'vent',
  'try',
]);

/** What goes in before the first lid takes no time either: the pot stands cold or keeps its heat. */
function isAtOnce({ moves, section }: GuideStep): boolean {
  const kind = moves[0]?.kind;
  return section === 'load' || (kind !== undefined && AT_ONCE.has(kind));
}
/** A pot that is not there by then never will be, minutes. */
const LONGEST = 240;
/** After so many burn errors nothing is mended by going on. */
const MOST_BURNS = 3;

/**
 * A cook who does just what the guide says, in just the minutes it says: brings an exercise to where it begins, and is
 * what the forecast is measured against.
 *
 * @param run begun or not
 * @param until where to stop, by the step's id; when it is served if nothing is said
 * @param lingers minutes that a step is pressed too late
 * @throws Error where the cooker never gets there, or refuses
 */
export function steadyHand(
  run: SimulatedCook,
  until: (stepId: string) => boolean = () => false,
  lingers: (stepId: string) => number = () => 0,
): void {
  run.begin();
  const wait = (minutes: number): void => run.advanceTo(run.seconds + minutes * 60);
  const waitFor = (enough: () => boolean): void => {
    const latest = run.seconds + LONGEST * 60;
    while (run.seconds < latest && !enough()) run.advanceTo(run.seconds + run.stepS);
  };
  for (;;) {
    const { now } = run;
    if (!now || until(now.step.id)) return;
    if (run.state.burns > MOST_BURNS) throw new Error('it burns again and again');
    const { step } = now;
    const isOver = (): boolean => run.now?.step.id !== step.id;
    const linger = lingers(step.id);
    if (linger > 0) wait(linger);
    const does = (kind: typeof step.done, payload: object = {}): void => {
      const refused = run.does(kind, { step: step.id, ...payload });
      if (refused !== null) throw new Error(`${step.id}: ${JSON.stringify(refused)}`);
    };
    if (isCheck(step)) {
      does('checked', { grade: run.grade });
      // Good enough or not, a steady hand goes on as planned.
      if (!isOver()) does('stepDone');
      continue;
    }
    if (TOLD_BY_COOKER.has(step.done) && run.kitchen.device.electric) {
      waitFor(isOver);
      if (!isOver()) throw new Error(`${step.id}: it never came`);
      continue;
    }
    if (step.done === 'pinUp') waitFor(() => run.kitchen.pot.pinIsUp);
    else if (step.done === 'pinDown') waitFor(() => !run.kitchen.pot.pinIsUp);
    else if (moveOf(step.moves, 'leave')) {
      const end = run.seconds + step.minutes * 60;
      waitFor(() => run.seconds >= end - 1e-6 || isOver());
      if (isOver()) continue;
    } else if (step.counts || !isAtOnce(step)) wait(step.minutes);
    does(step.done);
  }
}
