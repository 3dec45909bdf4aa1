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
  readonly name: string;
  /** What is set before the cook. */
  readonly task: string;
  /** When it is passed, in plain words. */
  readonly passMark: string;
  /** What was learnt, told when it is passed. */
  readonly learnt: string;
  /** Where a steady hand leaves off; the pot is cold where nothing is said. */
  readonly from: ((stepId: string) => boolean) | null;
  readonly faults: readonly FaultId[];
  /** The animal and the cooker are what they are: drawn anew each time. */
  readonly scatter: boolean;
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
  name: string,
  more: Partial<Plan> = {},
): Exercise['plan'] {
  return (cooker, kitchen) => ({ ...newPlan({ cut, form, grams }), ...more, name, cooker, kitchen });
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
    name: 'Up to the pin',
    task: 'All is in. Lock it and bring it up. Somebody in this kitchen forgets the valve: look before you walk away.',
    passMark: `The pin is up no more than ${PIN_WITHIN} minutes after its time, and nothing has burnt.`,
    learnt: 'The minutes do not count until there is pressure; with the valve open there never is any.',
    from: (id) => id === 'load',
    faults: ['valve-open'],
    scatter: false,
    plan: based('pork-collar', 'chunks', 1000, 'Exercise: pork collar with quince'),
    over: (run) => counts(run) || run.kitchen.trips.length > 0,
    passed: (run) => {
      const toPin = minutesToPin(run);
      return run.kitchen.trips.length === 0 && toPin !== null && toPin <= run.f.pot.minutesToPin + PIN_WITHIN;
    },
  },
  {
    id: 'two-batches',
    name: 'Two batches without steaming',
    task: 'Sear it in its batches, each side until it lets go. The clock runs fast; be there when it rings.',
    passMark: 'All faces brown: none grey, none black.',
    learnt: 'Room on the base and patience make the brown; crowded or hurried meat steams grey.',
    from: null,
    faults: [],
    scatter: false,
    plan: based('beef-chuck', 'chunks', 1300, 'Exercise: beef chuck with celeriac'),
    over: (run) => {
      const sear = run.state.steps.filter(({ step }) => step.done === 'batchDone');
      return sear.length > 0 && sear.every(({ doneAt }) => doneAt !== null);
    },
    passed: ({ kitchen }) => kitchen.browned !== null && colourOf(kitchen.browned) === 'brown',
  },
  {
    id: 'unscraped',
    name: 'Save an unscraped pot',
    task: 'The deglazing was poured and nobody scraped. What sticks will burn under pressure. Save it before the lid is on.',
    passMark: 'It comes to pressure without a burn error.',
    learnt: 'What sticks keeps the heat in the base. Scraped off in a little liquid, it is the best of the sauce.',
    from: (id) => id === 'load',
    faults: ['not-scraped'],
    scatter: false,
    plan: based('beef-shin', 'slices', 1200, 'Exercise: beef shin with prunes'),
    over: (run) => counts(run) || run.kitchen.trips.length > 0,
    passed: (run) => run.kitchen.trips.length === 0,
  },
  {
    id: 'quick-or-natural',
    name: 'Quick or natural',
    task: 'The minutes are over and the table is hungry. When do you open the valve?',
    passMark: `A fork turns easily when the lid comes off, no more than ${RELEASE_WITHIN} minutes after its time.`,
    learnt: 'While the pressure falls by itself, a large piece goes on cooking: those minutes were reckoned in.',
    from: (id) => id === 'natural' || id === 'vent',
    faults: [],
    scatter: false,
    plan: based('pork-shoulder', 'whole', 1600, 'Exercise: pork shoulder with bay', { confidence: 0.5 }),
    over: (run) => run.opened !== null,
    passed: (run) => {
      const open = run.state.steps.find(({ step }) => step.id === 'open');
      const late = (open?.doneAt ?? null) === null ? 0 : run.state.dinner.driftMinutes;
      return tender(run) && late <= RELEASE_WITHIN;
    },
  },
  {
    id: 'two-stages',
    name: 'Two stages',
    task: 'The meat is done, the vegetables are not in yet. Open it, give each its own time, and bring it to the table.',
    passMark: 'Every vegetable and the grain come out as they were wanted.',
    learnt:
      'A short second run and a quick release cook vegetables; every minute in the hot pot after that counts too.',
    from: (id) => id === 'open',
    faults: [],
    scatter: false,
    plan: based('goat-leg', 'whole', 1800, 'Exercise: goat leg with turnips and freekeh', {
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
    name: 'The whole evening',
    task: 'From the cold pot to the table. This animal may be tougher than most, and the cooker weaker than its plate.',
    passMark: `Tender, nothing burnt, the vegetables right, dinner no more than ${EVENING_WITHIN} minutes late.`,
    learnt: 'A plan that is watched: the fork decides, the clock follows.',
    from: null,
    faults: [],
    scatter: true,
    plan: based('beef-oxtail', 'pieces', 1600, 'Exercise: oxtail with chestnuts', {
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
  const found = EXERCISE_LIST.find((exercise) => exercise.id === id);
  if (!found) throw new RangeError(`no exercise "${id}"; there are ${EXERCISES.join(', ')}`);
  return found;
}

/** How an exercise stands: it is judged at the moment it is over. */
export function markOf(exercise: Exercise, run: SimulatedCook): Mark {
  if (!exercise.over(run)) return 'under-way';
  return exercise.passed(run) ? 'passed' : 'failed';
}
