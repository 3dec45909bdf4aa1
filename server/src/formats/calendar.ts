import { cutById, cutTitle, forecast, shiftIso, type Plan, type ScheduledTask, type UnitSystem } from '@hervir/core';
import ical, { ICalAlarmType } from 'ical-generator';

/** What a cook wants to be called for: hands are needed, or a side dish begins; what the pot does by itself is not. */
function calls(task: ScheduledTask, before: ScheduledTask | undefined): boolean {
  if (task.id === 'release' || task.id === 'heat-pot') return true;
  if (task.id.startsWith('side-') && task.id.endsWith('-1')) return true;
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
 * @param id of the plan, for stable UIDs
 * @param plan with a time to eat
 * @param system the units of its texts
 * @param now when it is written, ISO 8601
 * @returns text of an .ics file
 * @throws RangeError when the plan has no time to eat
 */
export function calendarOf(id: string, plan: Plan, system: UnitSystem, now: string): string {
  const f = forecast(plan, system);
  const { startAt, eatAt, tasks } = f.clock;
  if (startAt === null || eatAt === null) throw new RangeError('the plan has no time to eat');
  const name = plan.name === '' ? cutTitle(cutById(plan.meat.cut)) : plan.name;
  // Its own name is a property of no standard: line breaks in it are not escaped.
  const calendar = ical({
    name: `Hervir: ${name.replace(/\s+/g, ' ')}`,
    prodId: { company: 'Hervir', product: 'Clock', language: 'EN' },
  });
  const moment = (minute: number): Date => new Date(shiftIso(startAt, minute));
  const stamp = new Date(now);
  calendar
    .createEvent({
      id: `${id}-evening@hervir`,
      stamp,
      start: new Date(startAt),
      end: new Date(eatAt),
      summary: `Cook ${name}`,
      description: `${f.pressureMinutes} min under pressure. Pressure minutes, cautions and your cooker's manual: see the plan.`,
    })
    .createAlarm({ type: ICalAlarmType.display, triggerBefore: 10 * 60, description: `Begin ${name} in ten minutes` });
  const hands = tasks.filter(({ resource, handsOn }) => handsOn || resource === 'pot');
  for (const task of tasks) {
    const before = hands[hands.indexOf(task) - 1];
    if (!calls(task, before)) continue;
    calendar
      .createEvent({
        id: `${id}-${task.id}@hervir`,
        stamp,
        start: moment(task.startMinute),
        end: moment(task.startMinute + Math.max(1, task.minutes)),
        summary: task.label,
        description: `For ${name}`,
      })
      .createAlarm({ type: ICalAlarmType.display, trigger: 0, description: task.label });
  }
  return calendar.toString();
}
