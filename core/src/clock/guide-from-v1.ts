import type { Move } from '../method/moves';
import type { AgainSteps, Guide, GuideStep, GuideTrack, SectionId } from './guide-step';

/** The parts of the work as version 1 wrote them, in the order of today's ids. */
export const SECTIONS_V1 = [
  'Board',
  'Heat',
  'Sear',
  'Aromatics',
  'Deglaze',
  'Load',
  'Coming to pressure',
  'Under pressure',
  'Letting down',
  'The check',
  'Second run',
  'Simmer',
  'Sauce',
  'Plate',
] as const;
type SectionV1 = (typeof SECTIONS_V1)[number];

const SECTION: Readonly<Record<SectionV1, SectionId>> = {
  Board: 'board',
  Heat: 'heat',
  Sear: 'sear',
  Aromatics: 'aromatics',
  Deglaze: 'deglaze',
  Load: 'load',
  'Coming to pressure': 'coming-up',
  'Under pressure': 'pressure',
  'Letting down': 'letting-down',
  'The check': 'check',
  'Second run': 'later-run',
  Simmer: 'simmer',
  Sauce: 'sauce',
  Plate: 'plate',
};

type StepV1 = Omit<GuideStep, 'section' | 'moves' | 'run' | 'broughtInBy'> & { readonly section: SectionV1 };

/** A guide of version 1, as cooks that began under an older Hervir have it. */
export interface GuideV1 extends Omit<Guide, 'version' | 'steps' | 'tracks' | 'again'> {
  readonly version: 1;
  readonly steps: readonly StepV1[];
  readonly tracks: readonly (Omit<GuideTrack, 'steps'> & {
    readonly steps: readonly Omit<GuideTrack['steps'][number], 'moves'>[];
  })[];
  readonly again: Readonly<Record<keyof AgainSteps, StepV1>>;
}

/** The run a step belonged to: version 1 knew two. */
const runOf = ({ section }: StepV1): number => (section === 'Second run' ? 2 : 1);

/** Steps of version 1 that are told apart by their exact ids alone: those that wait for a pin, or stand over a flame. */
const LEFT_ALONE = 'natural';
const BOILS = 'simmer-heating';
const SIMMERS = 'simmer';
const RESTS = 'rest';

/**
 * What is done in a step of version 1, as far as its button says: the lid, the valve, the heat. What it moved into the pot
 * was only in its words; nothing is made up for that.
 */
function movesOf(step: StepV1, pressureMinutes: number): Move[] {
  const run = runOf(step);
  switch (step.done) {
    case 'sauteOff':
      return [{ kind: 'heat-off' }];
    case 'lidLocked':
      return [{ kind: 'lock', run }];
    case 'valveClosed':
      return [{ kind: 'start', run, minutes: pressureMinutes }];
    case 'secondRun':
      return [{ kind: 'lock-and-start', run: 2, minutes: 0 }];
    case 'pinUp':
      return [{ kind: 'come-up', run, until: 'pin' }];
    case 'timerStarted':
      return [{ kind: 'come-up', run, until: 'count' }];
    case 'heaterOff':
      return [{ kind: 'hold', run }];
    case 'ventOpened':
      return step.id === LEFT_ALONE ? [{ kind: 'leave', run, minutes: step.minutes }] : [{ kind: 'vent', run }];
    case 'pinDown':
      return step.id === LEFT_ALONE
        ? [{ kind: 'leave', run, minutes: step.otherwise === null ? null : step.minutes }]
        : [{ kind: 'pin-falls', run }];
    case 'lidOpened':
      return [{ kind: 'open', run }];
    case 'checked':
      return [{ kind: 'try', portions: [], run }];
    case 'tasted':
      return [{ kind: 'season' }];
    case 'stepDone':
      return stepDone(step);
    default:
      return [];
  }
}

function stepDone({ id, section, earlyFromMinute, minutes }: StepV1): Move[] {
  if (section === 'Heat') return [earlyFromMinute === null ? { kind: 'wait-hot', fat: null } : { kind: 'heat' }];
  if (id === BOILS) return [{ kind: 'boil', stage: 'simmer' }];
  if (id === SIMMERS) return [{ kind: 'simmer', stage: 'simmer', heat: 'gentle' }];
  return id === RESTS ? [{ kind: 'rest', minutes }] : [];
}

/** Under a lid or at one: these speak of its run. */
const AT_A_LID: ReadonlySet<Move['kind']> = new Set([
  'lock',
  'start',
  'lock-and-start',
  'come-up',
  'hold',
  'leave',
  'vent',
  'pin-falls',
  'open',
  'try',
]);

function upgraded(step: StepV1, pressureMinutes: number, moves = movesOf(step, pressureMinutes)): GuideStep {
  const atALid = moves.some(({ kind }) => AT_A_LID.has(kind));
  return {
    ...step,
    section: SECTION[step.section],
    moves,
    run: atALid || step.section === 'Second run' ? runOf(step) : null,
    broughtInBy: null,
  };
}

/**
 * A guide of version 1 as today's fold reads it: a cook that began under an older Hervir goes on, and is what it was.
 *
 * @param guide of version 1
 * @returns the same steps, with their parts and what is done at the lid as data
 */
export function guideFromV1(guide: GuideV1): Guide {
  const pressure = guide.steps.find(({ done }) => done === 'heaterOff')?.minutes ?? 0;
  const { again } = guide;
  const own = (step: StepV1): GuideStep => upgraded(step, pressure);
  return {
    ...guide,
    version: 2,
    steps: guide.steps.map(own),
    tracks: guide.tracks.map((track) => ({ ...track, steps: track.steps.map((step) => ({ ...step, moves: [] })) })),
    again: {
      clear: upgraded(again.clear, pressure, [{ kind: 'clear' }]),
      lock: upgraded(again.lock, pressure, [{ kind: 'lock-and-start', run: 1, minutes: 0 }]),
      pin: own(again.pin),
      pressure: own(again.pressure),
      vent: own(again.vent),
      pinDown: own(again.pinDown),
      open: own(again.open),
      check: own(again.check),
    },
  };
}
