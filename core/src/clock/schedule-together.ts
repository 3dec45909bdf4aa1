import { quantity, say, timeOfDay, type Text } from '@hervir/language/message';
import { shiftIso } from '../units/time';
import { HELD_HOT_C } from '../physics/food-safety';
import { backwards, type ScheduledTask } from './schedule';

/** One braise of an evening. */
export interface BraiseToSchedule {
  readonly id: string;
  readonly name: string;
  /** Which pot it is cooked in: two in one pot follow one another. */
  readonly pot: string;
  readonly clock: {
    readonly eatAt: string;
    readonly totalMinutes: number;
    readonly tasks: readonly ScheduledTask[];
  };
}

/** Where one braise comes to lie beside the others. */
export interface ScheduledBraise {
  readonly id: string;
  readonly name: string;
  readonly startAt: string;
  /** How much earlier it begins than it would alone, minutes. */
  readonly earlierMinutes: number;
  /** It is ready so long before it is eaten, and has to be kept hot, minutes. */
  readonly waitsMinutes: number;
  readonly text: Text;
}

/** Less is no clash, minutes. */
const NO_CLASH = 1;

/** A task of one braise, told apart from the others'. */
const own = (braise: string, task: string): string => `${braise}/${task}`;

const endOf = ({ startMinute, minutes }: ScheduledTask<string>): number => startMinute + minutes;

const inPot = <T extends Pick<ScheduledTask<string>, 'resource' | 'startMinute'>>(tasks: readonly T[]): T[] =>
  tasks
    .filter(({ resource }) => resource === 'pot' || resource.startsWith('pot:'))
    .sort((a, b) => a.startMinute - b.startMinute);

/** The first thing a braise does in its pot; undefined where it needs none. */
export const firstInPot = <T extends Pick<ScheduledTask<string>, 'resource' | 'startMinute'>>(
  tasks: readonly T[],
): T | undefined => inPot(tasks)[0];

/** The braise that has the same pot before this one: what is eaten first is cooked first, else as they are listed. */
function before(braises: readonly BraiseToSchedule[], index: number): BraiseToSchedule | undefined {
  const one = braises[index] as BraiseToSchedule;
  const same = braises
    .map((braise, i) => ({ braise, i }))
    .filter(({ braise }) => braise.pot === one.pot)
    .sort((a, b) => Date.parse(a.braise.clock.eatAt) - Date.parse(b.braise.clock.eatAt) || a.i - b.i);
  return same[same.findIndex(({ i }) => i === index) - 1]?.braise;
}

/**
 * Several braises in one evening, one cook, one board, each pot doing one thing at a time: each as late as it can be.
 *
 * @param braises with their own clocks, each with a time to eat
 * @returns each braise's start, and what stands in its way; in order of their starts
 * @throws RangeError when a time to eat is no time
 * @example scheduleTogether([]).length // 0
 */
export function scheduleTogether(braises: readonly BraiseToSchedule[]): ScheduledBraise[] {
  if (braises.length === 0) return [];
  const lastMeal = Math.max(...braises.map(({ clock }) => Date.parse(clock.eatAt)));
  const tasks = braises.flatMap(({ id, pot, clock }, index) => {
    const previous = before(braises, index);
    const first = firstInPot(clock.tasks)?.id;
    const last = previous && inPot(previous.clock.tasks).at(-1)?.id;
    return clock.tasks.map((task) => ({
      ...task,
      id: own(id, task.id),
      braise: id,
      after: [
        ...task.after.map((one) => own(id, one)),
        // A pot is free again when all that was in it has left it.
        ...(previous && last !== undefined && task.id === first ? [own(previous.id, last)] : []),
      ],
      resource: task.resource === 'pot' ? (`pot:${pot}` as const) : task.resource,
      endsBefore: (lastMeal - Date.parse(clock.eatAt)) / 60_000,
    }));
  });
  const { tasks: placed, totalMinutes } = backwards(tasks);
  return braises
    .map(({ id, name, pot, clock }): ScheduledBraise => {
      const mine = placed.filter(({ braise }) => braise === id);
      const start = Math.min(...mine.map(({ startMinute }) => startMinute));
      const leftPot = Math.max(...inPot(mine).map(endOf));
      const alone = clock.totalMinutes - Math.max(...inPot(clock.tasks).map(endOf));
      const eatBefore = (lastMeal - Date.parse(clock.eatAt)) / 60_000;
      const startBefore = totalMinutes - start - eatBefore;
      const earlierMinutes = startBefore - clock.totalMinutes;
      const waitsMinutes = totalMinutes - leftPot - eatBefore - alone;
      const startAt = shiftIso(clock.eatAt, -startBefore);
      // Where it waits for its meal although the pot is its own, the hands were wanted elsewhere.
      const potWanted = waitsMinutes > NO_CLASH && braises.some((other) => other.id !== id && other.pot === pot);
      const waits =
        waitsMinutes > NO_CLASH
          ? say('together.it-is-ready-min-before', {
              waitsMinutes: Math.round(waitsMinutes),
              potWanted,
              pot,
              heldHotC: quantity('temperature', HELD_HOT_C),
            })
          : '';
      const text =
        earlierMinutes > NO_CLASH
          ? say('together.begin-min-earlier-than-alone', {
              name,
              time: timeOfDay(startAt),
              earlierMinutes: Math.round(earlierMinutes),
              potWanted,
              waits,
            })
          : say('together.begin', { name, time: timeOfDay(startAt), waits });
      return { id, name, startAt, earlierMinutes, waitsMinutes, text };
    })
    .sort((a, b) => Date.parse(a.startAt) - Date.parse(b.startAt));
}
