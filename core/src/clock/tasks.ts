import { cutById, cutTitle } from '../larder/cuts';
import { liquidWord } from '../larder/liquids';
import type { Plan, Resource } from '../plan/plan';
import { upperFirst } from '../units/list';
import type { Printer } from '../units/quantity';
import { DEGLAZE_MINUTES } from '../pot/loading';
import { aromaticSteps, type AromaticStep } from '../stations/aromatics';
import { apartTasks, beforeTheMeat, cutWhileItCooks, prepSteps, type PrepStep } from '../stations/prep';
import { REFILL_MINUTES } from '../pot/second-run';
import type { FinishStep } from '../stations/sauce';
import type { SearPlan } from '../stations/sear';

/** Something to be done, before it has a time. */
export interface Task<R extends string = Resource> {
  readonly id: string;
  readonly label: string;
  readonly minutes: number;
  /** What it occupies; where several pots are at work, each has a name of its own. */
  readonly resource: R;
  readonly handsOn: boolean;
  /** Ids of tasks that must be over before this one begins. */
  readonly after: readonly string[];
  /** Must be over so many minutes before the meal; 0 when nothing is said. */
  readonly endsBefore?: number;
}

/** The figures of the pot that the clock is made of, minutes. */
export interface PotMinutes {
  readonly preheat: number;
  readonly toTimer: number;
  readonly pressure: number;
  readonly release: number;
  /** Null where there is none. */
  readonly second: { readonly reheat: number; readonly minutes: number; readonly release: number } | null;
  readonly simmer: { readonly reheat: number; readonly minutes: number } | null;
  readonly finish: readonly FinishStep[];
}

/** Common practice, minutes. */
export const OPEN_MINUTES = 2;
const LOAD_MINUTES = 3;
const PLATE_MINUTES = 3;

/** What is cut while the pot works: its own track beside the main work. */
const LATER_TASK = 'later-1-board';

const VERBS: readonly (readonly [string, string])[] = [
  ['rinse', 'rinse'],
  ['trim', 'trim'],
  ['cut', 'cut'],
  ['dry', 'dry'],
  ['rub', 'rub'],
  ['salt', 'salt'],
];

/** Words of a board task: what is really done to this meat. */
function meatPrepLabel(plan: Plan, steps: readonly PrepStep[]): string {
  const title = cutTitle(cutById(plan.meat.cut));
  const done = VERBS.filter(([id]) => steps.some((step) => step.id === id)).map(([, verb]) => verb);
  return `${upperFirst(title)}: ${done.join(', ')}`;
}

/** What the aromatics' task is called: what goes in, and that it is taken out again. */
function aromaticLabel({ what, setAside }: AromaticStep): string {
  return `${what.join(', ')}${setAside ? ', then set aside' : ''}`;
}

/** Whether a task may be put earlier by hand: what is cold or on its own burner can wait, what is in the pot cannot. */
export function isMovable(task: Pick<Task, 'resource'>): boolean {
  return task.resource === 'board' || task.resource === 'side-burner' || task.resource === 'hands';
}

/**
 * The tasks of a braise in the order of the work, each after what it needs. Vegetables leave the board before raw meat
 * comes on it.
 *
 * @param plan the plan
 * @param sear its batches
 * @param pot what the reckoning found
 * @param print the cook's units
 */
export function tasksOf(plan: Plan, sear: SearPlan, pot: PotMinutes, print: Printer): Task[] {
  const tasks: Task[] = [];
  let chain: string[] = [];
  const add = (id: string, label: string, minutes: number, resource: Resource, handsOn: boolean): void => {
    if (minutes <= 0) return;
    tasks.push({ id, label, minutes, resource, handsOn, after: chain });
    chain = [id];
  };

  const tonight = prepSteps(beforeTheMeat(plan), print).filter(({ when }) => when === 'board');
  // The cook's own figure stands; without one, what the log has taught.
  const prepFactor = plan.kitchen.prepFactor ?? plan.learnt?.prep?.factor ?? 1;
  const minutesOf = (steps: readonly PrepStep[]): number =>
    prepFactor * steps.reduce((sum, { minutes }) => sum + minutes, 0);
  const onMeat = tonight.filter(({ meat }) => meat);
  const onPlants = tonight.filter(({ meat }) => !meat);
  add('board-vegetables', 'Vegetables and aromatics', minutesOf(onPlants), 'board', true);
  add('board-meat', meatPrepLabel(plan, onMeat), minutesOf(onMeat), 'board', true);
  if (pot.preheat > 0) {
    const board = chain;
    // The base heats by itself while the meat is dried; it only has to be hot when the sear begins.
    tasks.push({
      id: 'heat-pot',
      label: 'Heat the base',
      minutes: pot.preheat,
      resource: 'pot',
      handsOn: false,
      after: [],
    });
    chain = [...board, 'heat-pot'];
  }
  const searing = plan.sear.where === 'pot' ? 'pot' : 'side-burner';
  const searInBatches = (): void => {
    sear.batchSizes.forEach((pieces, i) => {
      const recovery =
        i + 1 < sear.batches ? (sear.minutes - sear.batches * sear.minutesPerBatch) / (sear.batches - 1) : 0;
      const count = `${pieces} ${pieces === 1 ? 'piece' : 'pieces'}`;
      const label = sear.batches === 1 ? 'Sear' : `Sear batch ${i + 1} of ${sear.batches}: ${count}`;
      add(`sear-${i + 1}`, label, sear.minutesPerBatch + recovery, searing, true);
    });
  };
  const aromatic = (steps: readonly AromaticStep[]): void => {
    for (const step of steps) add(`aromatics-${step.id}`, aromaticLabel(step), step.minutes, 'pot', true);
  };
  const steps = aromaticSteps(plan.aromatics);
  const first = steps.filter(
    ({ setAside, group }) => setAside || (plan.sear.order === 'onion-first' && (group === 'base' || group === 'bones')),
  );
  aromatic(first);
  searInBatches();
  aromatic(steps.filter((step) => !first.includes(step)));
  if (plan.deglaze !== null && pot.preheat > 0) {
    const liquid = liquidWord(plan.deglaze.liquid);
    add(
      'deglaze',
      plan.deglaze.scraped ? `Deglaze with ${liquid} and scrape` : `Pour ${liquid}, not scraped`,
      DEGLAZE_MINUTES,
      'pot',
      true,
    );
  }
  let apart: string | null = null;
  for (const task of apartTasks(plan, print)) {
    const { id, minutes, handsOn } = task;
    tasks.push({
      id,
      label: task.text,
      minutes,
      handsOn,
      resource: 'side-burner',
      after: apart === null ? [] : [apart],
    });
    apart = id;
  }
  if (apart !== null) chain = [...chain, apart];
  add('load', 'Load, wipe the rim, lock the lid, close the valve', LOAD_MINUTES, 'pot', true);
  const later = cutWhileItCooks(plan);
  const laterTask: Task | null = later && {
    id: LATER_TASK,
    label: later.text,
    minutes: prepFactor * later.minutes,
    resource: 'board',
    handsOn: true,
    after: chain,
  };
  add(
    'heating',
    plan.cooker.timerStarts === 'pin' ? 'Heats until the pin is up' : 'Comes to pressure',
    pot.toTimer,
    'pot',
    false,
  );
  add('pressure', 'Under pressure', pot.pressure, 'pot', false);
  add(
    'release',
    plan.release.method === 'quick' ? 'Valve open' : 'Let down',
    pot.release,
    'pot',
    plan.release.method === 'quick',
  );
  add('open', 'Lid off, check a piece', OPEN_MINUTES, 'pot', true);
  if (laterTask) chain = [...chain, LATER_TASK];
  if (pot.second) {
    const out = plan.meatInSecondRun === 'out' ? 'Meat out under foil, vegetables in, lid on' : 'Vegetables in, lid on';
    // The lid is off already: trying a piece is part of filling it again.
    add('second-load', out, REFILL_MINUTES - OPEN_MINUTES, 'pot', true);
    add('second-heating', 'Comes to pressure again', pot.second.reheat, 'pot', false);
    add('second-pressure', 'Second run', pot.second.minutes, 'pot', false);
    add('second-release', 'Valve open again', pot.second.release, 'pot', true);
    add('second-open', 'Lid off', 1, 'pot', true);
  }
  if (pot.simmer) {
    add('simmer-load', 'Vegetables in', REFILL_MINUTES - (pot.second ? 1 : OPEN_MINUTES), 'pot', true);
    add('simmer-heating', 'Back to the boil', pot.simmer.reheat, 'pot', false);
    add('simmer', 'Open simmer', pot.simmer.minutes, 'pot', false);
  }
  // Slicing and the last seasoning wait for the rest; what is done to the sauce comes before it.
  pot.finish.forEach(({ id, text, minutes, handsOn }, i) => {
    add(id === 'rest' ? 'rest' : `finish-${i + 1}-${id}`, text, minutes, 'pot', handsOn);
  });
  add('plate', plan.target === 'pulls' ? 'Pull it, and plate' : 'Plate', PLATE_MINUTES, 'hands', true);

  // Behind what the pot needs hands for: of two that could end together the first in the list has the hands.
  if (laterTask) tasks.push(laterTask);
  plan.sides.forEach((side, s) => {
    let before: string[] = [];
    side.tasks.forEach((task, t) => {
      const id = `side-${s + 1}-${t + 1}`;
      tasks.push({
        id,
        label: `${side.name}: ${task.label}`,
        minutes: task.minutes,
        resource: task.resource,
        handsOn: task.handsOn,
        after: before,
      });
      before = [id];
    });
  });
  return tasks;
}
