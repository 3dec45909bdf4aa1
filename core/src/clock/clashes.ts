import { say, type Text } from '@hervir/language/message';
import type { ScheduledTask } from './schedule';

/** Two things that want the same hands, board or burner at once: one of them waits. */
export interface Clash {
  readonly minutes: number;
  readonly text: Text;
}

/** Less is a breath, minutes. */
const A_BREATH = 0.75;

const endOf = ({ startMinute, minutes }: ScheduledTask): number => startMinute + minutes;

/** Dishes beside that are ready before the meal, for at the end the hands are wanted elsewhere. */
function readyEarly(tasks: readonly ScheduledTask[]): Clash[] {
  const meal = Math.max(0, ...tasks.map(endOf));
  return tasks.flatMap((task): Clash[] => {
    const last = !tasks.some(({ after }) => after.includes(task.id));
    const minutes = meal - endOf(task);
    if (task.track?.kind !== 'side' || !last || !task.handsOn || minutes < A_BREATH || task.movedMinutes > 0) return [];
    return [
      {
        minutes,
        text: say('clashes.is-over-min-before-the', { label: task.label, minutes: Math.round(minutes) }),
      },
    ];
  });
}

/**
 * Where the main work stands still because the cook, or a burner, is taken by something else.
 *
 * @param tasks of a forecast's clock
 * @returns the longest wait first; nothing where all fits
 * @example clashesOf([]).length // 0
 */
export function clashesOf(tasks: readonly ScheduledTask[]): Clash[] {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const clashes: Clash[] = [];
  for (const task of tasks) {
    if (task.slackMinutes === null || task.slackMinutes < A_BREATH || task.movedMinutes > 0) continue;
    const before = task.after
      .map((id) => byId.get(id))
      .filter((one): one is ScheduledTask => one !== undefined)
      .sort((a, b) => endOf(b) - endOf(a))[0];
    if (!before) continue;
    const [from, to] = [endOf(before), task.startMinute];
    const inTheWay = tasks.find(
      (other) =>
        other !== task &&
        other !== before &&
        other.startMinute < to - 0.01 &&
        endOf(other) > from + 0.01 &&
        (other.resource === before.resource || (other.handsOn && before.handsOn)),
    );
    if (!inTheWay) continue;
    clashes.push({
      minutes: task.slackMinutes,
      text: say('clashes.is-over-min-before-can', {
        label: before.label,
        slackMinutes: Math.round(task.slackMinutes),
        next: task.label,
        between: inTheWay.label,
      }),
    });
  }
  return [...clashes, ...readyEarly(tasks)].sort((a, b) => b.minutes - a.minutes);
}
