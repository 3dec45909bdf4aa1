import type { Move } from '../method/moves';
import type { CookState, StepState } from './cook-state';
import type { BroughtInBy, Guide, SectionId } from './guide-step';

/** Why dinner is later than planned: it was begun late, something was brought in, or a part of the work took longer. */
export type DelayCause = 'start' | BroughtInBy | SectionId;

export interface Delay {
  readonly cause: DelayCause;
  /** Longer than planned, minutes; below nothing where it was shorter. */
  readonly minutes: number;
}

/** Less is how fast somebody presses, minutes. */
const WORTH = 1;
const MINUTE = 60_000;

const tookMinutes = ({ startedAt, doneAt }: StepState): number =>
  startedAt === null || doneAt === null ? 0 : (doneAt - startedAt) / MINUTE;

/**
 * What made a cook late, by what happened: a late start, a burn, tough meat, a power cut, or a part that took longer than
 * planned, the worst first.
 *
 * @param state the cook
 * @param guide its guide
 * @returns nothing where nothing took a minute longer
 * @example delaysOf(cookState(guide, [], 0), guide) // []
 */
export function delaysOf(state: CookState, guide: Guide): Delay[] {
  return driftCauses(state, guide).filter(({ minutes }) => minutes > 0);
}

/**
 * What made a cook later or earlier than planned: the beginning, what was brought in, and every part that took longer or
 * shorter, what counts most first.
 *
 * @param state the cook
 * @param guide its guide
 * @returns minutes, below nothing where it was gained; less than a minute is left out
 * @example driftCauses(cookState(guide, [], 0), guide) // []
 */
export function driftCauses(state: CookState, guide: Guide): Delay[] {
  const minutesOf = new Map<DelayCause, number>();
  const add = (cause: DelayCause, minutes: number): void => {
    minutesOf.set(cause, (minutesOf.get(cause) ?? 0) + minutes);
  };
  if (state.startedAt !== null && guide.eatAt !== null) {
    add('start', (state.startedAt - Date.parse(guide.eatAt)) / MINUTE + guide.totalMinutes);
  }
  for (const { section, planned, actual } of state.took) add(section, actual - planned);
  for (const step of state.steps) {
    const by = step.step.broughtInBy;
    if (by === null) continue;
    // What it brought in belongs to it; what of the planned minutes it took over is not lost.
    const took = tookMinutes(step);
    add(by, took);
    if (step.doneAt !== null && !step.passedOver) add(step.step.section, -took);
  }
  // What was cut short was done again: of what was brought in, so much was planned.
  for (const { by, section, left } of cutShortOf(state)) {
    add(by, -left);
    add(section, left);
  }
  return [...minutesOf]
    .filter(([, minutes]) => Math.abs(minutes) >= WORTH)
    .map(([cause, minutes]) => ({ cause, minutes }))
    .sort((a, b) => Math.abs(b.minutes) - Math.abs(a.minutes));
}

/** What was left to do of each step that was cut short, and what cut it; below nothing where it had lasted too long. */
function cutShortOf({
  steps,
}: CookState): { readonly by: BroughtInBy; readonly section: SectionId; readonly left: number }[] {
  return steps.flatMap((cut, i) => {
    const by = steps.slice(i + 1).find(({ step }) => step.broughtInBy !== null)?.step.broughtInBy ?? null;
    if (!cut.cutShort || by === null) return [];
    return [{ by, section: cut.step.section, left: cut.step.minutes - tookMinutes(cut) }];
  });
}

/** One lid of a cook: as planned, and as it was. */
export interface RunTimes {
  /** Counted from one. */
  readonly run: number;
  readonly toPin: { readonly planned: number; readonly actual: number | null };
  readonly pressure: { readonly planned: number; readonly actual: number | null };
  readonly release: { readonly planned: number; readonly actual: number | null };
}

const PARTS = {
  toPin: (move: Move): boolean => move.kind === 'come-up',
  pressure: (move: Move): boolean => move.kind === 'hold',
  release: (move: Move): boolean => move.kind === 'leave' || move.kind === 'vent' || move.kind === 'pin-falls',
} as const;

/**
 * Every lid of a cook, planned against actual: what a burn or tough meat brought in is in the minutes of its lid.
 *
 * @param state the cook
 * @returns lids in their order
 * @example runTimesOf(cookState(guide, [], 0))[0]?.run // 1
 */
export function runTimesOf({ steps }: CookState): RunTimes[] {
  const runs = [...new Set(steps.flatMap(({ step }) => step.run ?? []))].sort((a, b) => a - b);
  return runs.map((run) => {
    const here = steps.filter(({ step }) => step.run === run);
    const pair = (is: (move: Move) => boolean): RunTimes['toPin'] => {
      const own = here.filter(({ step }) => step.moves.some((move) => is(move)));
      const done = own.filter(({ doneAt, passedOver }) => doneAt !== null && !passedOver);
      return {
        planned: own.reduce((sum, { step }) => sum + (step.broughtInBy === null ? step.minutes : 0), 0),
        actual: done.length === 0 ? null : done.reduce((sum, one) => sum + tookMinutes(one), 0),
      };
    };
    return { run, toPin: pair(PARTS.toPin), pressure: pair(PARTS.pressure), release: pair(PARTS.release) };
  });
}
