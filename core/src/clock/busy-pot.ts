import { shiftIso } from '../units/time';
import type { ScheduledTask } from './schedule';
import { firstInPot } from './schedule-together';

/** What a pot that is still on the fire makes of a braise that needs it. */
export interface AfterBusyPot {
  /** How much later than planned it can be begun at the earliest, minutes; above nothing. */
  readonly delayMinutes: number;
  readonly startAt: string;
  readonly eatAt: string;
}

/** Less is in time, minutes. */
const IN_TIME = 1;

/**
 * A braise whose pot another one still has: how much later it comes to begin and to be eaten.
 *
 * @param clock of the braise that waits, with its tasks in minutes from its start
 * @param freeAt when its pot is expected to be free, ms since 1970
 * @returns null where the pot is free before it is needed, or no time to eat was named
 * @throws RangeError when a time is no time
 * @example
 * // Begun at 16:00, in the pot from 16:20; the pot is free at 16:50: everything half an hour later.
 * afterBusyPot(
 *   {
 *     startAt: '2027-01-17T16:00:00+01:00',
 *     eatAt: '2027-01-17T18:00:00+01:00',
 *     tasks: [{ resource: 'pot', startMinute: 20 }],
 *   },
 *   Date.parse('2027-01-17T16:50:00+01:00'),
 * )?.eatAt // '2027-01-17T18:30:00+01:00'
 */
export function afterBusyPot(
  clock: {
    readonly startAt: string | null;
    readonly eatAt: string | null;
    readonly tasks: readonly Pick<ScheduledTask<string>, 'resource' | 'startMinute'>[];
  },
  freeAt: number,
): AfterBusyPot | null {
  const first = firstInPot(clock.tasks);
  if (clock.startAt === null || clock.eatAt === null || first === undefined) return null;
  const delayMinutes = (freeAt - Date.parse(clock.startAt)) / 60_000 - first.startMinute;
  if (delayMinutes <= IN_TIME) return null;
  return { delayMinutes, startAt: shiftIso(clock.startAt, delayMinutes), eatAt: shiftIso(clock.eatAt, delayMinutes) };
}
