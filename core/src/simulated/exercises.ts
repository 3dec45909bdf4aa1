import { say, type Text } from '@hervir/language/message';
import { againstTarget } from '../meat/tenderness';
import { newPlan } from '../plan/defaults';
import type { Cooker, Kitchen, Plan } from '../plan/plan';
import { colourOf } from './browning';
import type { FaultId } from './faults';
import { plantOutcomes } from './plant-outcomes';
import type { SimulatedCook } from './simulated-cook';

export const EXERCISES = [
  'to-the-pin',
  'two-batches',
  'unscraped',
  'quick-or-natural',
  'two-stages',
  'whole-evening',
] as const;
export type ExerciseId = (typeof EXERCISES)[number];

/** How an exercise stands. */
export type Mark = 'under-way' | 'passed' | 'failed';

/** Something to learn on the simulated cooker. */
export interface Exercise {
  readonly id: ExerciseId;
  readonly name: Text;
  /** What is set before the cook. */
  readonly task: Text;
  /** When it is passed, in plain words. */
  readonly passMark: Text;
  /** What was learnt, told when it is passed. */
  readonly learnt: Text;
  /** Where a steady hand leaves off; the pot is cold where nothing is said. */
  readonly from: ((stepId: string) => boolean) | null;
  readonly faults: readonly FaultId[];
  /** The animal and the cooker are what they are: drawn anew each time. */
  readonly scatter: boolean;
  /** What its plan is called. */
  readonly planName: Text;
  readonly plan: (cooker: Cooker, kitchen: Kitchen) => Plan;
  /** It is over when this is so. */
  readonly over: (run: SimulatedCook) => boolean;
  readonly passed: (run: SimulatedCook) => boolean;
}

/** A pin that is no later than this after its time was not held up by anything, minutes. */
const PIN_WITHIN = 8;
/** Dinner no later than this is in time, minutes. */
const EVENING_WITHIN = 10;
const RELEASE_WITHIN = 3;

function based(
  cut: string,
  form: Plan['meat']['form'],
  grams: number,
  name: Text,
  more: Partial<Plan> = {},
): Pick<Exercise, 'plan' | 'planName'> {
  return {
    planName: name,
    plan: (cooker, kitchen) => ({ ...newPlan({ cut, form, grams }), ...more, cooker, kitchen }),
  };
}

/** Minutes from lid on to the pin; null while it is down. */
function minutesToPin({ frames }: SimulatedCook): number | null {
  const lid = [...frames].reverse().find(({ signals }) => signals.includes('lidLocked'));
  const pin = frames.find(({ atS, signals }) => signals.includes('pinUp') && atS >= (lid?.atS ?? 0));
  return lid && pin ? (pin.atS - lid.atS) / 60 : null;
}

/** It counts under pressure: by the cooker, or by who watches the pin. */
const counts = (run: SimulatedCook): boolean => run.now?.step.done === 'heaterOff';
const tender = (run: SimulatedCook): boolean =>
  run.opened !== null && againstTarget(run.opened.grade, run.f.plan.target) !== 'short';

/** Every vegetable and grain as it was wanted. */
const plantsRight = (run: SimulatedCook): boolean => plantOutcomes(run).every(({ off }) => off === 0);

/** From easy to hard. */
export const EXERCISE_LIST: readonly Exercise[] = [
  {
    id: 'to-the-pin',
    name: say('exercises.up-to-the-pin'),
    task: say('exercises.all-is-in-lock-it'),
    passMark: say('exercises.the-pin-is-up-no', { pinWithin: PIN_WITHIN }),
    learnt: say('exercises.the-minutes-do-not-count'),
    from: (id) => id === 'load',
    faults: ['valve-open'],
    scatter: false,
    ...based('pork-collar', 'chunks', 1000, say('exercises.exercise-pork-collar-with-quince')),
    over: (run) => counts(run) || run.kitchen.trips.length > 0,
    passed: (run) => {
      const toPin = minutesToPin(run);
      return run.kitchen.trips.length === 0 && toPin !== null && toPin <= run.f.pot.minutesToPin + PIN_WITHIN;
    },
  },
  {
    id: 'two-batches',
    name: say('exercises.two-batches-without-steaming'),
    task: say('exercises.sear-it-in-its-batches'),
    passMark: say('exercises.all-faces-brown-none-grey'),
    learnt: say('exercises.room-on-the-base-and'),
    from: null,
    faults: [],
    scatter: false,
    ...based('beef-chuck', 'chunks', 1300, say('exercises.exercise-beef-chuck-with-celeriac')),
    over: (run) => {
      const sear = run.state.steps.filter(({ step }) => step.done === 'batchDone');
      return sear.length > 0 && sear.every(({ doneAt }) => doneAt !== null);
    },
    passed: ({ kitchen }) => kitchen.browned !== null && colourOf(kitchen.browned) === 'brown',
  },
  {
    id: 'unscraped',
    name: say('exercises.save-an-unscraped-pot'),
    task: say('exercises.the-deglazing-was-poured-and'),
    passMark: say('exercises.it-comes-to-pressure-without'),
    learnt: say('exercises.what-sticks-keeps-the-heat'),
    from: (id) => id === 'load',
    faults: ['not-scraped'],
    scatter: false,
    ...based('beef-shin', 'slices', 1200, say('exercises.exercise-beef-shin-with-prunes')),
    over: (run) => counts(run) || run.kitchen.trips.length > 0,
    passed: (run) => run.kitchen.trips.length === 0,
  },
  {
    id: 'quick-or-natural',
    name: say('exercises.quick-or-natural'),
    task: say('exercises.the-minutes-are-over-and'),
    passMark: say('exercises.a-fork-turns-easily-when', { releaseWithin: RELEASE_WITHIN }),
    learnt: say('exercises.while-the-pressure-falls-by'),
    from: (id) => id === 'natural' || id === 'vent',
    faults: [],
    scatter: false,
    ...based('pork-shoulder', 'whole', 1600, say('exercises.exercise-pork-shoulder-with-bay'), { confidence: 0.5 }),
    over: (run) => run.opened !== null,
    passed: (run) => {
      const open = run.state.steps.find(({ step }) => step.id === 'open');
      const late = (open?.doneAt ?? null) === null ? 0 : run.state.dinner.driftMinutes;
      return tender(run) && late <= RELEASE_WITHIN;
    },
  },
  {
    id: 'two-stages',
    name: say('exercises.two-stages'),
    task: say('exercises.the-meat-is-done-the'),
    passMark: say('exercises.every-vegetable-and-the-grain'),
    learnt: say('exercises.a-short-second-run-and'),
    from: (id) => id === 'open',
    faults: [],
    scatter: false,
    ...based('goat-leg', 'whole', 1800, say('exercises.exercise-goat-leg-with-turnips'), {
      vegetables: [
        { vegetable: 'turnip', grams: 350, texture: 'tender', place: 'auto' },
        { vegetable: 'carrot', grams: 300, texture: 'tender', place: 'auto' },
      ],
      grains: [{ grain: 'freekeh', grams: 120, place: 'auto' }],
    }),
    over: (run) => run.state.status !== 'cooking',
    passed: plantsRight,
  },
  {
    id: 'whole-evening',
    name: say('exercises.the-whole-evening'),
    task: say('exercises.from-the-cold-pot-to'),
    passMark: say('exercises.tender-nothing-burnt-the-vegetables', { eveningWithin: EVENING_WITHIN }),
    learnt: say('exercises.a-plan-that-is-watched'),
    from: null,
    faults: [],
    scatter: true,
    ...based('beef-oxtail', 'pieces', 1600, say('exercises.exercise-oxtail-with-chestnuts'), {
      vegetables: [{ vegetable: 'celeriac', grams: 400, texture: 'tender', place: 'auto' }],
    }),
    over: (run) => run.state.status !== 'cooking',
    passed: (run) =>
      tender(run) &&
      run.kitchen.trips.length === 0 &&
      plantsRight(run) &&
      run.state.dinner.driftMinutes <= EVENING_WITHIN,
  },
];

/**
 * Looks an exercise up.
 *
 * @throws RangeError naming the exercises there are
 * @example exerciseById('unscraped').name // 'Save an unscraped pot'
 */
export function exerciseById(id: string): Exercise {
  const exercise = EXERCISE_LIST.find((exercise) => exercise.id === id);
  if (!exercise) throw new RangeError(`no exercise "${id}"; there are ${EXERCISES.join(', ')}`);
  return exercise;
}

/** How an exercise stands: it is judged at the moment it is over. */
export function markOf(exercise: Exercise, run: SimulatedCook): Mark {
  if (!exercise.over(run)) return 'under-way';
  return exercise.passed(run) ? 'passed' : 'failed';
}
