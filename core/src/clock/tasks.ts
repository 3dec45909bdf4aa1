import { cutById, cutTitle, type Form } from '../larder/cuts';
import type { Piece } from '../meat/piece';
import type { Plan, Resource } from '../plan/plan';
import { DEGLAZE_MINUTES } from '../pot/loading';
import type { SearPlan } from '../stations/sear';

/** Something to be done, before it has a time. */
export interface Task {
  readonly id: string;
  readonly label: string;
  readonly minutes: number;
  readonly resource: Resource;
  readonly handsOn: boolean;
  /** Ids of tasks that must be over before this one begins. */
  readonly after: readonly string[];
}

/** The figures of the pot that the clock is made of, minutes. */
export interface PotMinutes {
  readonly preheat: number;
  readonly aromatics: number;
  readonly toTimer: number;
  readonly pressure: number;
  readonly release: number;
}

/** Common practice, minutes. */
export const OPEN_MINUTES = 2;
const LOAD_MINUTES = 3;
const PLATE_MINUTES = 3;
const TRIM_MINUTES = 3;
const DRY_AND_SALT_MINUTES = 2;
const BOARD_SETUP_MINUTES = 1;
const GRAMS_A_MINUTE = 120;

/** Cutting speed, g a minute, where the cook does the cutting. Common practice. */
const CUTTING: Readonly<Partial<Record<Form, number>>> = { chunks: 250, 'bite-size': 130, ribs: 600 };

function meatPrepMinutes(plan: Plan): number {
  const cutting = CUTTING[plan.meat.form];
  return (
    DRY_AND_SALT_MINUTES +
    (plan.meat.trimGrams > 0 ? TRIM_MINUTES : 0) +
    (cutting === undefined ? 0 : plan.meat.grams / cutting)
  );
}

/** Words of a board task: what is really done to this meat. */
function meatPrepLabel(plan: Plan): string {
  const steps = [
    plan.meat.trimGrams > 0 ? 'trim' : '',
    CUTTING[plan.meat.form] === undefined ? '' : 'cut',
    'dry',
    plan.meat.salted === 'just-before' ? 'salt' : '',
  ].filter((step) => step !== '');
  const title = cutTitle(cutById(plan.meat.cut));
  return `${title.charAt(0).toUpperCase()}${title.slice(1)}: ${steps.join(', ')}`;
}

/** Minutes at the board for vegetables and aromatics, by weight. Common practice. */
function plantPrepMinutes(plan: Plan): number {
  const grams = [...plan.vegetables, ...plan.aromatics].reduce((sum, item) => sum + item.grams, 0);
  return grams > 0 ? BOARD_SETUP_MINUTES + grams / GRAMS_A_MINUTE : 0;
}

/**
 * Minutes the aromatics take in the pot: onion 3 to 8 minutes, garlic in the last of them. Common practice.
 *
 * @example aromaticMinutes([{ ingredient: 'onion', grams: 200 }]) // 5
 */
export function aromaticMinutes(aromatics: Plan['aromatics']): number {
  return aromatics.some((item) => item.grams > 0) ? 5 : 0;
}

/**
 * The tasks of a braise in the order of the work, each after what it needs. Vegetables leave the board before raw meat
 * comes on it.
 *
 * @param plan the plan
 * @param piece its pieces
 * @param sear its batches
 * @param pot what the reckoning found
 */
export function tasksOf(plan: Plan, piece: Piece, sear: SearPlan, pot: PotMinutes): Task[] {
  const tasks: Task[] = [];
  let chain: string[] = [];
  const add = (id: string, label: string, minutes: number, resource: Resource, handsOn: boolean): void => {
    if (minutes <= 0) return;
    tasks.push({ id, label, minutes, resource, handsOn, after: chain });
    chain = [id];
  };

  add('board-vegetables', 'Vegetables and aromatics', plantPrepMinutes(plan), 'board', true);
  add('board-meat', meatPrepLabel(plan), meatPrepMinutes(plan), 'board', true);
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
  for (let batch = 1; batch <= sear.batches; batch += 1) {
    const pieces = Math.min(sear.perBatch, piece.count - (batch - 1) * sear.perBatch);
    const recovery =
      batch < sear.batches ? (sear.minutes - sear.batches * sear.minutesPerBatch) / (sear.batches - 1) : 0;
    const label =
      sear.batches === 1
        ? 'Sear'
        : `Sear batch ${batch} of ${sear.batches}: ${pieces} ${pieces === 1 ? 'piece' : 'pieces'}`;
    add(
      `sear-${batch}`,
      label,
      sear.minutesPerBatch + recovery,
      plan.sear.where === 'pot' ? 'pot' : 'side-burner',
      true,
    );
  }
  add('aromatics', 'Aromatics', pot.aromatics, 'pot', true);
  if (plan.deglaze !== null) add('deglaze', 'Deglaze and scrape', DEGLAZE_MINUTES, 'pot', true);
  add('load', 'Load, wipe the rim, lock the lid, close the valve', LOAD_MINUTES, 'pot', true);
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
  add('rest', 'Rest', plan.finish.restMinutes, 'pot', false);
  add('plate', 'Plate', PLATE_MINUTES, 'hands', true);

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
