import type { ScheduledTask } from '../../clock/schedule';

/** What is played of a task. */
export type PlayedTask = Pick<
  ScheduledTask,
  'id' | 'work' | 'minutes' | 'startMinute' | 'resource' | 'handsOn' | 'after' | 'track'
>;

/** An evening, ready to be played with other minutes: who waits for whom, by place. */
export interface Playable {
  /** In the order of the plan. */
  readonly tasks: readonly PlayedTask[];
  /** Places of what must be over before each. */
  readonly after: readonly (readonly number[])[];
  /** The earliest that each begins: what nothing comes before, and what waits for the meal, goes by the clock. */
  readonly notBefore: Float64Array;
  /** What each occupies, as bits. */
  readonly occupies: readonly (readonly number[])[];
}

/**
 * An evening laid out for playing: hands follow the plan's order, take up what is next as soon as what it waits for is
 * over, and begin what waits for nothing when the clock says.
 *
 * @param tasks of a forecast's clock
 */
export function laidOut(tasks: readonly PlayedTask[]): Playable {
  const inOrder = [...tasks].sort((a, b) => a.startMinute - b.startMinute);
  const at = new Map(inOrder.map(({ id }, i) => [id, i]));
  const resources = [...new Set(['hands', ...inOrder.map(({ resource }) => resource)])];
  return {
    tasks: inOrder,
    after: inOrder.map(({ after }) => after.flatMap((id) => at.get(id) ?? [])),
    notBefore: Float64Array.from(inOrder, ({ after, track, resource, startMinute }) =>
      after.length === 0 || track !== null || resource === 'side-burner' ? startMinute : 0,
    ),
    occupies: inOrder.map(({ resource, handsOn }) => [
      resources.indexOf(resource),
      ...(handsOn && resource !== 'hands' ? [0] : []),
    ]),
  };
}

/**
 * Plays an evening with the minutes that its tasks take this time.
 *
 * @param evening laid out
 * @param minutes of each task, by its place
 * @param ends filled with when each is over, minutes from the start of the work
 * @returns when the last is over: dinner
 * @example play(laidOut([]), new Float64Array(0), new Float64Array(0)) // 0
 */
export function play(
  { tasks, after, notBefore, occupies }: Playable,
  minutes: Float64Array,
  ends: Float64Array,
): number {
  const free: number[] = [];
  let dinner = 0;
  for (let i = 0; i < tasks.length; i += 1) {
    let start = notBefore[i] as number;
    for (const before of after[i] as readonly number[]) start = Math.max(start, ends[before] as number);
    for (const resource of occupies[i] as readonly number[]) start = Math.max(start, free[resource] ?? 0);
    const end = start + (minutes[i] as number);
    ends[i] = end;
    for (const resource of occupies[i] as readonly number[]) free[resource] = end;
    dinner = Math.max(dinner, end);
  }
  return dinner;
}
