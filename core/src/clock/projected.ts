import type { Guide, GuideStep } from './guide-step';

/** Wall clock, ms since 1970. */
type Ms = number;
const MINUTE = 60_000;

/** A step and what has become of it, as far as what is ahead depends on it. */
export interface StepSoFar {
  readonly step: GuideStep;
  /** As they stand now, with what was added. */
  readonly minutes: number;
  readonly startedAt: Ms | null;
  readonly doneAt: Ms | null;
  /** Done before its turn. */
  readonly earlyAt: Ms | null;
}

/** A cook as far as it has come. */
export interface CookSoFar {
  readonly guide: Pick<Guide, 'eatAt' | 'totalMinutes'>;
  readonly startedAt: Ms | null;
  readonly steps: readonly StepSoFar[];
  readonly position: number;
}

/** When the step was done that another one's minutes run from; null where it has none, or that is not done. */
export function sourceAt(steps: readonly StepSoFar[], { runsFrom }: GuideStep): Ms | null {
  const source = runsFrom === null ? undefined : steps.find(({ step }) => step.id === runsFrom);
  return source?.doneAt ?? source?.earlyAt ?? null;
}

/**
 * When each step's turn came or would come, and the end, if all went on from now with the minutes that are given.
 *
 * @param cook as far as it has come
 * @param now wall clock
 * @param minutesOf what a step takes; as it stands when nothing is said
 * @example projected({ guide, startedAt: null, steps: [], position: 0 }, 5).end // 5
 */
export function projected(
  { guide, startedAt: begun, steps, position }: CookSoFar,
  now: Ms,
  minutesOf: (step: StepSoFar) => number = ({ minutes }) => minutes,
): { readonly starts: Ms[]; readonly end: Ms } {
  let at = begun ?? now;
  /** When each would begin if all went as planned, and the dinner were in time. */
  let planned = guide.eatAt === null ? at : Date.parse(guide.eatAt) - guide.totalMinutes * MINUTE;
  const starts = steps.map((one, i) => {
    const { step, startedAt, doneAt, earlyAt } = one;
    if (step.broughtInBy === null) planned += step.waitMinutes * MINUTE;
    const late = Math.max(0, at + step.waitMinutes * MINUTE - planned);
    if (step.broughtInBy === null && step.runsFrom === null) planned += step.minutes * MINUTE;
    if (doneAt !== null && startedAt !== null) {
      at = doneAt;
      return startedAt;
    }
    const takes = minutesOf(one) * MINUTE;
    if (i === position && startedAt !== null) {
      at = Math.max(now, (sourceAt(steps, step) ?? startedAt) + takes);
      return startedAt;
    }
    // What has come late is taken off what there is to spare.
    const start = at + step.waitMinutes * MINUTE - Math.min(late, (step.spareMinutes ?? 0) * MINUTE);
    if (step.runsFrom !== null) {
      // Not on yet: it is put on in time, or now.
      const since = sourceAt(steps, step) ?? Math.max(now, at - takes);
      at = Math.max(start, since + takes);
    } else if (earlyAt === null) {
      at = start + takes;
    }
    return start;
  });
  return { starts, end: at };
}
