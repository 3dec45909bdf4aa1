import type { Resource } from '../plan/plan';
import type { Task } from './tasks';

/** A task with its place on the clock. */
export interface ScheduledTask {
  readonly id: string;
  readonly label: string;
  /** From the start of the work, minutes. */
  readonly startMinute: number;
  readonly minutes: number;
  readonly resource: Resource;
  readonly handsOn: boolean;
}

/** The evening. Minutes count from the start of the work. */
export interface Schedule {
  readonly totalMinutes: number;
  readonly handsOnMinutes: number;
  readonly tasks: readonly ScheduledTask[];
}

interface Busy {
  readonly from: number;
  readonly to: number;
}

/** A cook has two hands and one board; the pot and each burner do one thing at a time. */
function occupies(task: Task): Resource[] {
  return task.handsOn && task.resource !== 'hands' ? [task.resource, 'hands'] : [task.resource];
}

/**
 * Lays tasks out backwards from the meal: each as late as what follows it, its resources and the cook's hands allow, so
 * that nothing hot waits and the work begins as late as it can.
 *
 * @param tasks each naming the tasks it comes after; a task nothing comes after ends at the meal
 * @throws RangeError when tasks wait for each other in a ring or for a task that is not there
 * @example backwards([{ id: 'a', label: 'A', minutes: 5, resource: 'pot', handsOn: false, after: [] }]).totalMinutes // 5
 */
export function backwards(tasks: readonly Task[]): Schedule {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const followers = new Map<string, string[]>();
  for (const task of tasks) {
    for (const before of task.after) {
      if (!byId.has(before)) throw new RangeError(`task "${task.id}" comes after "${before}", which is not there`);
      followers.set(before, [...(followers.get(before) ?? []), task.id]);
    }
  }
  const starts = new Map<string, number>();
  const busy = new Map<Resource, Busy[]>();
  const waiting = [...tasks];
  while (waiting.length > 0) {
    // Of those whose followers all have their place, the one that can end last: the critical chain goes first.
    let best = -1;
    let bestEnd = Number.NEGATIVE_INFINITY;
    waiting.forEach((task, i) => {
      const after = followers.get(task.id) ?? [];
      if (!after.every((id) => starts.has(id))) return;
      const end = Math.min(0, ...after.map((id) => starts.get(id) as number));
      if (end > bestEnd) [best, bestEnd] = [i, end];
    });
    const [task] = best >= 0 ? waiting.splice(best, 1) : [];
    if (!task) throw new RangeError(`tasks wait for each other: ${waiting.map((left) => left.id).join(', ')}`);
    let end = bestEnd;
    const taken = occupies(task).flatMap((resource) => busy.get(resource) ?? []);
    for (let moved = true; moved;) {
      moved = false;
      for (const { from, to } of taken) {
        if (end > from + 1e-9 && end - task.minutes < to - 1e-9) {
          end = from;
          moved = true;
        }
      }
    }
    starts.set(task.id, end - task.minutes);
    for (const resource of occupies(task)) {
      busy.set(resource, [...(busy.get(resource) ?? []), { from: end - task.minutes, to: end }]);
    }
  }
  const first = Math.min(0, ...starts.values());
  return {
    totalMinutes: -first,
    handsOnMinutes: tasks.reduce((sum, task) => sum + (task.handsOn ? task.minutes : 0), 0),
    tasks: tasks
      .map(({ id, label, minutes, resource, handsOn }) => ({
        id,
        label,
        startMinute: (starts.get(id) as number) - first,
        minutes,
        resource,
        handsOn,
      }))
      .sort((a, b) => a.startMinute - b.startMinute),
  };
}
