import { speaking } from '../language/speech';
import { forecast, newPlan } from '@hervir/core';
import ICAL from 'ical.js';
import { calendarOf } from './calendar';

const plan = {
  ...newPlan({ cut: 'goat-neck', form: 'slices', grams: 1600, serveAt: '2027-01-17T19:00:00+01:00' }),
  name: 'Goat neck; with, quince\nand "more"',
  sides: [
    {
      name: 'Polenta',
      tasks: [{ label: 'Let it swell', minutes: 25, handsOn: false, resource: 'side-burner' as const }],
    },
  ],
};
const NOW = '2027-01-17T12:00:00Z';

/** Read by a library that did not write it. */
const events = (text: string): ICAL.Event[] =>
  new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));

describe('the calendar (RFC 5545), read by another library', () => {
  const all = events(calendarOf({ id: 'plan-1', revision: 7 }, forecast(plan), NOW, speaking('en-GB')));

  test('has the whole evening, from the start to the meal', () => {
    const evening = all.find(({ uid }) => uid === 'plan-1-evening@hervir');
    expect(evening?.endDate.toJSDate().toISOString()).toBe('2027-01-17T18:00:00.000Z');
    const start = Date.parse(forecast(plan).clock.startAt ?? '');
    expect(Math.abs((evening?.startDate.toJSDate().getTime() ?? 0) - start)).toBeLessThan(60_000);
  });

  test('calls for every moment hands are wanted, each with an alarm at its start', () => {
    const names = all.map(({ summary }) => summary).join(' | ');
    for (const call of ['Polenta: Let it swell', 'Sear', 'Lid off']) expect(names).toContain(call);
    expect(names).not.toContain('Under pressure');
    for (const { component } of all) expect(component.getAllSubcomponents('valarm')).toHaveLength(1);
  });

  test('keeps a name with every sign that means something to the format', () => {
    expect(all.some(({ summary }) => summary.includes('Goat neck; with, quince\nand "more"'))).toBe(true);
  });

  test('lines are folded at 75 octets and ended with CRLF, as the format asks', () => {
    const text = calendarOf({ id: 'plan-1', revision: 7 }, forecast(plan), NOW, speaking('en-GB'));
    const lines = text.split('\r\n');
    expect(lines.length).toBeGreaterThan(20);
    expect(text.endsWith('END:VCALENDAR\r\n')).toBe(true);
    for (const line of lines) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
  });

  test('the revision of the plan is the sequence of every entry, and its name is escaped', () => {
    const lines = calendarOf({ id: 'plan-1', revision: 7 }, forecast(plan), NOW, speaking('en-GB')).split('\r\n');
    expect(all.map(({ sequence }) => sequence)).toEqual(all.map(() => 7));
    // RFC 7986, 5.1: a text, so that RFC 5545, 3.3.11 holds for it.
    for (const property of ['NAME', 'X-WR-CALNAME']) {
      expect(lines).toContain(`${property}:Hervir: Goat neck\\; with\\, quince and "more"`);
    }
  });

  test('summer time between now and dinner moves nothing: moments are in UTC', () => {
    const march = { ...plan, serveAt: '2027-03-28T19:00:00+02:00' };
    const evening = events(calendarOf({ id: 'p', revision: 1 }, forecast(march), NOW, speaking('en-GB'))).find(
      ({ uid }) => uid === 'p-evening@hervir',
    );
    expect(evening?.endDate.toJSDate().toISOString()).toBe('2027-03-28T17:00:00.000Z');
  });

  test('cooked ahead, the evening ends in the fridge and the day it is eaten has its own entries', () => {
    const ahead = { ...plan, cookAhead: { hours: 24, depthCm: 4, warm: 'oven' as const } };
    const f = forecast(ahead);
    const entries = events(calendarOf({ id: 'p', revision: 1 }, f, NOW, speaking('en-GB')));
    const evening = entries.find(({ uid }) => uid === 'p-evening@hervir');
    expect(evening?.endDate.toJSDate().toISOString()).toBe('2027-01-16T18:00:00.000Z');
    const day = entries.find(({ uid }) => uid === 'p-day@hervir');
    expect(day?.endDate.toJSDate().toISOString()).toBe('2027-01-17T18:00:00.000Z');
    expect(day?.description).toMatch(/74 °C in the middle/);
    expect(day?.component.getAllSubcomponents('valarm')).toHaveLength(1);
    // The side dish is for the meal, and not for the evening before it.
    const polenta = entries.find(({ summary }) => summary.startsWith('Polenta'));
    expect(polenta?.startDate.toJSDate().getTime()).toBeGreaterThan(Date.parse('2027-01-17T12:00:00Z'));
    expect(new Set(entries.map(({ uid }) => uid)).size).toBe(entries.length);
    const over = events(
      calendarOf(
        { id: 'p', revision: 1 },
        forecast({ ...ahead, aheadDone: { [f.ahead.at(-1)?.id ?? '']: NOW } }),
        NOW,
        speaking('en-GB'),
      ),
    );
    expect(over.some(({ uid }) => uid === 'p-day@hervir')).toBe(false);
  });

  test('days before have their own entries, each with an alarm and its caution; what is done calls nobody', () => {
    const friday = { ...plan, meat: { ...plan.meat, thaw: 'fridge' as const, salted: 'ahead' as const } };
    const f = forecast(friday);
    const before = events(calendarOf({ id: 'p', revision: 1 }, f, NOW, speaking('en-GB'))).filter(({ uid }) =>
      /thaw|salt/.test(uid),
    );
    expect(before.map(({ uid }) => uid).sort()).toEqual(f.ahead.map(({ id }) => `p-${id}@hervir`).sort());
    for (const { uid, startDate, component } of before) {
      const task = f.ahead.find(({ id }) => uid.includes(id));
      expect(startDate.toJSDate().getTime()).toBe(Date.parse(task?.at ?? ''));
      expect(component.getAllSubcomponents('valarm')).toHaveLength(1);
    }
    expect(before.find(({ uid }) => uid.includes('thaw'))?.description).toMatch(/Never on the counter/);
    const done = {
      ...friday,
      aheadDone: Object.fromEntries(f.ahead.map(({ id }) => [id, '2027-01-15T20:00:00+01:00'])),
    };
    const left = events(calendarOf({ id: 'p', revision: 1 }, forecast(done), NOW, speaking('en-GB')));
    expect(left.filter(({ uid }) => /thaw|salt/.test(uid))).toEqual([]);
  });

  test('a plan without a time to eat has no calendar', () => {
    expect(() =>
      calendarOf({ id: 'p', revision: 1 }, forecast({ ...plan, serveAt: null }), NOW, speaking('en-GB')),
    ).toThrow('no time to eat');
  });
});
