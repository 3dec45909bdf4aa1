import {
  aheadCaution,
  type AheadTask,
  aheadText,
  cutById,
  cutTitle,
  shiftIso,
  type Forecast,
  type ScheduledTask,
} from '@hervir/core';
import ical, { ICalAlarmType } from 'ical-generator';
import type { Text, Words } from '@hervir/language';

/** Text of a calendar: RFC 5545, 3.3.11. */
const escaped = (text: string): string => text.replace(/[\\;,]/g, '\\$&').replace(/\r?\n/g, '\\n');

/** In a calendar it takes a quarter of an hour. */
const AHEAD_TAKES = 15;

/** What a cook wants to be called for: hands are needed, or a side dish begins; what the pot does by itself is not. */
function calls(task: ScheduledTask, before: ScheduledTask | undefined): boolean {
  const { work } = task;
  if ((work.kind === 'let-down' && work.run === 1) || work.kind === 'heat') return true;
  if (work.kind === 'side' && work.task === 0) return true;
  if (!task.handsOn) return false;
  // Hands-on work that follows on in one place is one call.
  const follows =
    before?.handsOn === true &&
    before.resource === task.resource &&
    task.startMinute - (before.startMinute + before.minutes) < 0.1;
  return !follows;
}

/**
 * The evening of a plan as a calendar (RFC 5545): the whole of it as one entry, and one with an alarm for every moment the
 * cook is wanted.
 *
 * @param kept the plan's id, for stable UIDs, and its revision, by which a calendar knows the newer of two
 * @param f its forecast, with a time to eat
 * @param now when it is written, ISO 8601
 * @param words of whoever reads it
 * @returns text of an .ics file
 * @throws RangeError when the plan has no time to eat
 */
// oxlint-disable-next-line max-lines-per-function -- one calendar, written entry by entry
export function calendarOf(
  kept: { readonly id: string; readonly revision: number },
  f: Forecast,
  now: string,
  words: Words,
): string {
  const { id, revision: sequence } = kept;
  const { plan } = f;
  const { startAt, eatAt, tasks } = f.clock;
  if (startAt === null || eatAt === null) throw new RangeError('the plan has no time to eat');
  const { t, text: said } = words;
  const name = plan.name === '' ? said(cutTitle(cutById(plan.meat.cut))) : plan.name;
  const calendar = ical({
    // RFC 7986, NAME: text, with its own signs escaped as RFC 5545, 3.3.11 asks.
    name: escaped(t('calendar.hervir', { name: name.replace(/\s+/g, ' ') })),
    prodId: { company: 'Hervir', product: t('calendar.clock'), language: words.locale.slice(0, 2).toUpperCase() },
  });
  const stamp = new Date(now);
  calendar
    .createEvent({
      id: `${id}-evening@hervir`,
      stamp,
      sequence,
      start: new Date(startAt),
      end: new Date(eatAt),
      summary: t('calendar.cook', { name }),
      description: t('calendar.min-under-pressure-pressure-minutes', { pressureMinutes: f.pressureMinutes }),
    })
    .createAlarm({
      type: ICalAlarmType.display,
      triggerBefore: 10 * 60,
      description: t('calendar.begin-in-ten-minutes', { name }),
    });
  const withCaution = (text: Text, task: AheadTask): string => {
    const caution = aheadCaution(task);
    return caution === null ? said(text) : `${said(text)}. ${said(caution)}`;
  };
  /** An entry of its own that rings when it begins. */
  const call = (task: string, start: Date, minutes: number, summary: string, description: string): void => {
    calendar
      .createEvent({
        id: `${id}-${task}@hervir`,
        stamp,
        sequence,
        start,
        end: new Date(start.getTime() + minutes * 60_000),
        summary,
        description,
      })
      .createAlarm({ type: ICalAlarmType.display, trigger: 0, description: summary });
  };
  const warm = f.ahead.find(({ kind }) => kind === 'warm');
  for (const task of f.ahead) {
    // What is done already calls nobody; the evening and the day have entries of their own.
    if (task.at === null || task.doneAt !== null || task === warm || task.kind === 'cook') continue;
    const description = withCaution(t('calendar.for', { name }), task);
    call(task.id, new Date(task.at), AHEAD_TAKES, said(aheadText(task)), description);
  }
  const callsOf = (all: readonly ScheduledTask[], from: string): void => {
    const hands = all.filter(({ resource, handsOn }) => handsOn || resource === 'pot');
    for (const task of all) {
      const before = hands[hands.indexOf(task) - 1];
      if (!calls(task, before)) continue;
      const start = new Date(shiftIso(from, task.startMinute));
      call(task.id, start, Math.max(1, task.minutes), said(task.label), t('calendar.for', { name }));
    }
  };
  callsOf(tasks, startAt);
  const day = f.nextDay?.clock;
  if (day && day.startAt !== null && warm && warm.doneAt === null) {
    const description = withCaution(aheadText(warm), warm);
    call('day', new Date(day.startAt), Math.ceil(day.totalMinutes), t('calendar.warm-through', { name }), description);
    callsOf(
      day.tasks.filter(({ work }) => work.kind !== 'day'),
      day.startAt,
    );
  }
  // RFC 5545, 3.1: every line ends with CRLF, the last too.
  return `${calendar.toString().replace(/(\r\n)+$/, '')}\r\n`;
}
