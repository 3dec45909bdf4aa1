import type { Resource } from '../plan/plan';
import type { Task } from './tasks';

/** What the schedule needs to know of a task: whatever else it is stays with it. */
type Bare = Pick<Task<string>, 'id' | 'label' | 'minutes' | 'resource' | 'handsOn' | 'after' | 'endsBefore'> &
  Partial<Pick<Task<string>, 'track'>>;

/** A task's place on the clock. */
export interface Scheduled {
  /** From the start of the work, minutes. */
  readonly startMinute: number;
  /** How much earlier it could begin with all others where they are; null where nothing comes before it. */
  readonly slackMinutes: number | null;
  /** How much earlier than it must the cook has put it. */
  readonly movedMinutes: number;
}

/** A task with its place on the clock. */
export type ScheduledTask<R extends string = Resource> = Task<R> & Scheduled;

/** The evening. Minutes count from the start of the work. */
export interface Schedule<T extends Bare = Task> {
  readonly totalMinutes: number;
  readonly handsOnMinutes: number;
  readonly tasks: readonly (T & Scheduled)[];
}

/** A schedule by the wall clock, as a forecast has it; times are null where the meal has none. ISO 8601. */
export interface DatedSchedule {
  readonly startAt: string | null;
  readonly eatAt: string | null;
  readonly totalMinutes: number;
  readonly handsOnMinutes: number;
  readonly tasks: readonly ScheduledTask[];
}

interface Busy {
  readonly from: number;
  readonly to: number;
}

/** A dish beside is fitted in between where it can be, and waits for the meal: the braise does not wait for it. */
const comesSecond = ({ track }: Bare): number => (track?.kind === 'side' ? 1 : 0);

/** A cook has two hands and one board; the pot and each burner do one thing at a time. */
function occupies(task: Bare): string[] {
  return task.handsOn && task.resource !== 'hands' ? [task.resource, 'hands'] : [task.resource];
}

/** Who comes after whom, checked. */
function followersOf(tasks: readonly Bare[]): Map<string, string[]> {
  const known = new Set(tasks.map(({ id }) => id));
  const followers = new Map<string, string[]>();
  for (const task of tasks) {
    for (const before of task.after) {
      if (!known.has(before)) throw new RangeError(`task "${task.id}" comes after "${before}", which is not there`);
      followers.set(before, [...(followers.get(before) ?? []), task.id]);
    }
  }
  return followers;
}

/**
 * Lays tasks out backwards from the meal: each as late as what follows it, its resources and the cook's hands allow, so
 * that nothing hot waits and the work begins as late as it can.
 *
 * @param tasks each naming the tasks it comes after; a task nothing comes after ends at the meal, or so long before it
 *   as it says
 * @param moved how much earlier than it must the cook wants a task, minutes by id; what comes before it makes room
 * @throws RangeError when tasks wait for each other in a ring or for a task that is not there
 * @example backwards([{ id: 'a', label: 'A', minutes: 5, resource: 'pot', handsOn: false, after: [] }]).totalMinutes // 5
 */
// oxlint-disable-next-line max-lines-per-function -- one walk from dinner backwards, whose steps share what is free until then
export function backwards<T extends Bare>(
  tasks: readonly T[],
  moved: Readonly<Record<string, number>> = {},
): Schedule<T> {
  const followers = followersOf(tasks);
  const starts = new Map<string, number>();
  const busy = new Map<string, Busy[]>();
  const waiting = [...tasks];
  /** When each task must be over for what follows it, as far as that has its place; and how many have not. */
  const limits = new Map(tasks.map((task) => [task.id, -(task.endsBefore ?? 0) - (moved[task.id] ?? 0)]));
  const open = new Map(tasks.map(({ id }) => [id, (followers.get(id) ?? []).length]));
  while (waiting.length > 0) {
    // Of those whose followers all have their place, the one that can end last: the critical chain goes first.
    let best = -1;
    let bestRank = Infinity;
    let bestEnd = Number.NEGATIVE_INFINITY;
    waiting.forEach((task, i) => {
      const wanted = limits.get(task.id) as number;
      const rank = comesSecond(task);
      if (open.get(task.id) !== 0 || rank > bestRank || (rank === bestRank && wanted <= bestEnd)) return;
      [best, bestRank, bestEnd] = [i, rank, wanted];
    });
    const [task] = best >= 0 ? waiting.splice(best, 1) : [];
    if (!task) throw new RangeError(`tasks wait for each other: ${waiting.map((left) => left.id).join(', ')}`);
    let end = bestEnd;
    const taken = occupies(task).flatMap((resource) => busy.get(resource) ?? []);
    for (let again = true; again;) {
      again = false;
      for (const { from, to } of taken) {
        if (end > from + 1e-9 && end - task.minutes < to - 1e-9) {
          end = from;
          again = true;
        }
      }
    }
    const start = end - task.minutes;
    starts.set(task.id, start);
    for (const before of task.after) {
      open.set(before, (open.get(before) as number) - 1);
      limits.set(before, Math.min(limits.get(before) as number, start - (moved[before] ?? 0)));
    }
    for (const resource of occupies(task)) {
      busy.set(resource, [...(busy.get(resource) ?? []), { from: start, to: end }]);
    }
  }
  const first = Math.min(0, ...starts.values());
  const startOf = (id: string): number => (starts.get(id) as number) - first;
  const minutesOf = new Map(tasks.map(({ id, minutes }) => [id, minutes]));
  return {
    totalMinutes: -first,
    handsOnMinutes: tasks.reduce((sum, task) => sum + (task.handsOn ? task.minutes : 0), 0),
    tasks: tasks
      .map((task) => ({
        ...task,
        startMinute: startOf(task.id),
        slackMinutes:
          task.after.length === 0
            ? null
            : startOf(task.id) -
              Math.max(...task.after.map((before) => startOf(before) + (minutesOf.get(before) as number))),
        movedMinutes: moved[task.id] ?? 0,
      }))
      .sort((a, b) => a.startMinute - b.startMinute),
  };
}
