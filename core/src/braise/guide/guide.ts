import { joined, say } from '@hervir/language/message';
import { gradeOf, leastGrade } from '../../meat/tenderness';
import type { DatedSchedule } from '../../clock/schedule';
import { spareOf } from '../../clock/spare';
import type { AgainSteps, Guide, GuidePart, GuideStep, GuideTrack } from '../../clock/guide-step';
import type { Forecast } from '../forecast/forecast-document';
import { mainBlocks, type Block, type Step } from '../../method/step';
import { spareSentence, stepWords, type StepWords } from '../../words/step-words';
import { trackWords } from '../../words/task-words';
import { stepContextOf } from './step-context-of';
import type { StepContext } from '../../words/step-context';

/** Minutes for a burnt base: let down, lift out, scrape, back in. Common practice. */
const CLEARING_MINUTES = 8;
/** As long as most power cuts that a dinner survives. From memory. */
const POWER_CUT_MINUTES = 10;
/** Heat off, lid off, gasket and valve looked at, lid on. Common practice. */
const SEE_TO_MINUTES = 5;
const LOCK_MINUTES = 0.5;
/** A wait that is shorter is none, minutes. */
const NO_WAIT = 0.05;

function partOf(f: Forecast, part: GuidePart): { blocks: readonly Block[]; clock: DatedSchedule } {
  if (part === 'evening') return { blocks: f.method.blocks, clock: f.clock };
  if (f.nextDay === null) throw new RangeError('this plan is eaten the day it is cooked');
  return { blocks: f.method.day, clock: f.nextDay.clock };
}

/** Whether two blocks are of the same piece of work beside the main one. */
function sameTrack(a: Block, b: Block): boolean {
  return JSON.stringify(a.track) === JSON.stringify(b.track);
}

function tracksOf(f: Forecast, context: StepContext, part: GuidePart): GuideTrack[] {
  const { blocks, clock } = partOf(f, part);
  const beside = clock.tasks.flatMap(({ id, startMinute }) => {
    const block = blocks.find((one) => one.id === id);
    return block && block.track !== null ? [{ block, startMinute }] : [];
  });
  const firsts = beside.filter(({ block }, i) => beside.findIndex((one) => sameTrack(one.block, block)) === i);
  return firsts.map(({ block: first }) => ({
    id: first.id,
    name: trackWords(context, first).name,
    steps: beside
      .filter(({ block }) => sameTrack(block, first))
      .map(({ block, startMinute }) => ({
        id: block.id,
        title: trackWords(context, block).title,
        minutes: block.minutes,
        handsOn: block.handsOn,
        moves: block.steps.flatMap(({ moves }) => moves),
        beforeDinner: clock.totalMinutes - startMinute,
      })),
  }));
}

/** A step's words, and what there is to spare before it. */
function withSpareSaid(words: StepWords, spare: number): StepWords {
  return spare > 0
    ? { ...words, detail: joined([spareSentence(spare), ...(words.detail === '' ? [] : [words.detail])]) }
    : words;
}

/** A step that comes in while the cook is under way. */
function comesIn(context: StepContext, step: Step, own: Partial<StepWords> = {}): GuideStep {
  return {
    ...stepWords(context, step, null),
    ...own,
    id: step.id,
    task: '',
    moves: step.moves,
    minutes: step.minutes,
    earlyFromMinute: null,
    broughtInBy: null,
    waitMinutes: 0,
  };
}

function againSteps(f: Forecast, context: StepContext): AgainSteps {
  const { cooker } = context.plan;
  const stovetop = cooker.kind === 'stovetop';
  const until = cooker.timerStarts === 'pin' ? 'pin' : 'count';
  const run = 1;
  const step = (id: string, moves: Step['moves'], minutes: number): Step => ({ id, moves, minutes, hands: true });
  const all = f.portions.filter(({ kind }) => kind === 'meat').map(({ id }) => id);
  return {
    clear: comesIn(context, step('clear', [{ kind: 'clear' }], CLEARING_MINUTES)),
    lock: comesIn(context, step('lock', [{ kind: 'lock-and-start', run, minutes: 0 }], LOCK_MINUTES), {
      section: 'load',
      title: say('guide.wipe-the-rim-seat-the', { stovetop }),
      button: say('guide.locked-and-begun'),
      done: 'lidLocked',
    }),
    pin: comesIn(context, step('pin', [{ kind: 'come-up', run, until }], 0), {
      title: until === 'pin' ? say('step.it-comes-up-again-until') : say('step.it-comes-up-again-until-the'),
      detail: '',
    }),
    pressure: comesIn(context, step('pressure', [{ kind: 'hold', run }], 0)),
    vent: comesIn(context, step('vent', [{ kind: 'vent', run }], 0.25)),
    pinDown: comesIn(context, step('pin-down', [{ kind: 'pin-falls', run }], 1.75)),
    open: comesIn(context, step('open', [{ kind: 'open', run }], 0.5)),
    powerBack: comesIn(context, step('power-back', [{ kind: 'without-power' }], POWER_CUT_MINUTES)),
    seeTo: comesIn(context, step('see-to', [{ kind: 'see-to' }], SEE_TO_MINUTES)),
    check: comesIn(context, step('check', [{ kind: 'try', portions: all, run }], 1.5)),
  };
}

/**
 * The guide of a cook: every step of the method in order, worded as what is done and what has happened, with the plan's
 * minutes.
 *
 * @param f the plan's forecast
 * @param part of a plan that is cooked ahead: its own evening, or the day it is eaten
 * @throws RangeError for the day of a plan that is not cooked ahead
 * @returns steps whose minutes add up to the plan's own
 * @example guideOf(forecast(plan)).steps.at(-1)?.done // 'served'
 */
export function guideOf(f: Forecast, part: GuidePart = 'evening'): Guide {
  const context = stepContextOf(f);
  const { blocks, clock } = partOf(f, part);
  const { cooker, target } = context.plan;
  const startOf = new Map(clock.tasks.map(({ id, startMinute }) => [id, startMinute]));
  const order = [...blocks].sort((a, b) => (startOf.get(a.id) ?? 0) - (startOf.get(b.id) ?? 0));
  let end = 0;
  // Of the first wait after the opening that the spare stands at.
  let spare = part === 'day' ? 0 : spareOf(context.plan, clock.tasks);
  let opened = false;
  const steps = mainBlocks({ blocks: order }).flatMap((block) => {
    const startMinute = startOf.get(block.id) ?? 0;
    const beside = block.work.kind === 'heat';
    const wait = beside ? 0 : Math.max(0, startMinute - end);
    if (!beside) end = startMinute + block.minutes;
    const toSpare = opened && wait > NO_WAIT ? Math.min(wait, spare) : 0;
    spare -= toSpare;
    opened ||= block.work.kind === 'open';
    return block.steps.map((step, i): GuideStep => ({
      ...withSpareSaid(stepWords(context, step, block), i === 0 ? toSpare : 0),
      id: step.id,
      task: block.id,
      moves: step.moves,
      minutes: step.minutes,
      // The base may be put on as soon as its time has come, whatever the hands are at.
      earlyFromMinute: step.moves[0].kind === 'heat' ? startMinute : null,
      broughtInBy: null,
      waitMinutes: i === 0 && wait > NO_WAIT ? wait : 0,
      ...(i === 0 && toSpare > 0 ? { spareMinutes: toSpare } : {}),
    }));
  });
  return {
    format: 'hervir/guide',
    version: 2,
    ...(part === 'day' ? { part } : {}),
    steps,
    tracks: tracksOf(f, context, part),
    again: againSteps(f, context),
    heatingMinutes: cooker.timerStarts === 'pin' ? f.pot.minutesToPin : f.pot.minutesToPressure,
    totalMinutes: clock.totalMinutes,
    eatAt: clock.eatAt,
    wanted: f.nextDay === null ? leastGrade(target) : gradeOf(f.nextDay.checkShare),
    electric: cooker.kind === 'electric',
  };
}
