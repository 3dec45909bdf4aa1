import { aheadText, type AheadTask } from '@hervir/core';
import { useEffect, useRef } from 'react';
import { ring } from '../cook/bell';
import { usePreferences } from '../state/preferences';
import { clockTime } from '../shared/words';
import { textOf } from '../language/t';
import { toastUntilClosed } from '../shared/toast';

/** One thing of the days, and for what. */
export interface DayAlarm {
  readonly of: string;
  readonly task: AheadTask;
}

/** What has waited longer than this when the page comes back rings no more: it stands in the list as late, ms. */
const STALE = 60 * 60_000;

/**
 * Which hours have come between two looks at the clock.
 *
 * @param alarms all that may ring
 * @param since the look before, ms
 * @param now this one, ms
 */
export function cameUp(alarms: readonly DayAlarm[], since: number, now: number): DayAlarm[] {
  return alarms.filter(({ task: { at, doneAt } }) => {
    if (at === null || doneAt !== null) return false;
    const due = Date.parse(at);
    return due > Math.max(since, now - STALE) && due <= now;
  });
}

/**
 * While the page is open, what is to be done rings when its hour comes, and says so until it is put away. Nothing is sent
 * anywhere; with the page closed the calendar file is what reminds.
 *
 * @param alarms all that may ring
 * @param now the page's clock
 */
export function useDayAlarms(alarms: readonly DayAlarm[], now: Date): void {
  const loud = usePreferences((state) => state.loud);
  const since = useRef(now.getTime());
  useEffect(() => {
    const came = cameUp(alarms, since.current, now.getTime());
    since.current = now.getTime();
    if (came.length === 0) return;
    ring('turn', loud);
    for (const { of, task } of came) {
      toastUntilClosed(`${of}:${task.id}`, `${clockTime(task.at ?? '')}: ${of}`, textOf(aheadText(task)));
    }
  }, [alarms, now, loud]);
}
