/** @jest-environment jsdom */
import type { CookRecord, StoredCookEvent } from '@hervir/contract';
import { forecast, guideOf, newPlan, type CookEvent } from '@hervir/core';
import { answer } from '../testing/answer';
import { keptPresses, keptRunning } from './device-cooks';
import { eventsOf, press, receiveCooks, receiveEvent, sendAll, useCooks } from './cooks-store';

const plan = newPlan({ cut: 'goat-neck', form: 'slices', grams: 1600 });
const record: CookRecord = {
  id: 'one',
  braiseId: null,
  name: 'Goat neck',
  plan,
  guide: guideOf(forecast(plan)),
  units: 'metric',
  startedAt: '2027-01-17T15:00:00Z',
  finishedAt: null,
  events: [{ seq: 1, id: 'start', kind: 'started', at: '2027-01-17T15:00:00Z', payload: {} }],
};

/** A server with a disk: keeps each event once, in order of arrival. */
let disk: StoredCookEvent[];
let away: boolean;
let refuse: string | null;
let batches: number[];

beforeEach(() => {
  jest.useFakeTimers();
  localStorage.clear();
  useCooks.setState({ cooks: {}, outbox: {}, refused: {}, reached: true });
  [disk, away, refuse, batches] = [[...record.events], false, null, []];
  globalThis.fetch = ((_url: string, init: { body: string }) => {
    if (away) return Promise.reject(new TypeError('no connection'));
    const { events } = JSON.parse(init.body) as { events: CookEvent[] };
    batches.push(events.length);
    const refused = events.filter(({ payload }) => payload.text === refuse && refuse !== null);
    for (const event of events) {
      if (refused.includes(event) || disk.some(({ id }) => id === event.id)) continue;
      disk.push({ ...event, seq: disk.length + 1 });
    }
    const body = {
      kept: disk.filter(({ id }) => events.some((event) => event.id === id)),
      refused: refused.map(({ id }) => ({ id, path: 'at', problem: 'has not come yet', allowed: 'up to now' })),
    };
    return Promise.resolve(answer(body));
  }) as unknown as typeof fetch;
  receiveCooks([record]);
});
afterEach(() => jest.useRealTimers());

const note = (text: string, at = Date.parse('2027-01-17T15:01:00Z')): void => void press('one', 'note', { text }, at);
const known = (): string[] => eventsOf(useCooks.getState(), 'one').map(({ payload, kind }) => payload.text ?? kind);

describe('presses at the pot', () => {
  test('count at once, and leave the outbox when they are on the server’s disk', async () => {
    note('a');
    expect(known()).toEqual(['started', 'a']);
    await jest.advanceTimersByTimeAsync(0);
    expect(useCooks.getState().outbox).toEqual({});
    expect(known()).toEqual(['started', 'a']);
  });

  test('follow what is known to have happened, also by a clock that was set back meanwhile', () => {
    away = true;
    note('a', Date.parse('2027-01-17T15:01:00Z'));
    note('b', Date.parse('2027-01-17T14:01:30Z'));
    const times = eventsOf(useCooks.getState(), 'one').map(({ at }) => Date.parse(at));
    expect(times).toEqual([...times].sort((a, b) => a - b));
    expect(new Set(times).size).toBe(3);
  });

  test('while the server is away wait on the device, and arrive once, in order, with their own times', async () => {
    away = true;
    note('a', Date.parse('2027-01-17T15:01:00Z'));
    note('b', Date.parse('2027-01-17T15:02:00Z'));
    await jest.advanceTimersByTimeAsync(100);
    expect(useCooks.getState().reached).toBe(false);
    expect(keptPresses()['one']?.map(({ payload }) => payload.text)).toEqual(['a', 'b']);
    away = false;
    await jest.advanceTimersByTimeAsync(9000);
    expect(disk.map(({ payload, at }) => `${payload.text ?? ''} ${at}`).slice(1)).toEqual([
      'a 2027-01-17T15:01:00.000Z',
      'b 2027-01-17T15:02:00.000Z',
    ]);
    await sendAll();
    expect(disk).toHaveLength(3);
    expect(useCooks.getState()).toMatchObject({ outbox: {}, reached: true });
  });

  test('what the server would not keep is told, and does not hold up the rest', async () => {
    refuse = 'future';
    note('future');
    note('good');
    await jest.advanceTimersByTimeAsync(0);
    expect(known()).toEqual(['started', 'good']);
    expect(useCooks.getState().refused['one']).toMatchObject({ problem: 'has not come yet' });
  });

  test('an event that comes over the stream and in the answer is there once', async () => {
    note('a');
    await jest.advanceTimersByTimeAsync(0);
    const own = disk.at(-1);
    if (own) receiveEvent({ cook: 'one', event: own });
    receiveCooks([{ ...record, events: disk }]);
    expect(known()).toEqual(['started', 'a']);
  });

  test('with another page of this browser: neither takes away what the other has pressed', async () => {
    away = true;
    note('mine');
    // The other page writes its own press into the storage both share; the browser tells this one of it.
    localStorage.setItem(
      'hervir.press.theirs',
      JSON.stringify({
        cook: 'one',
        order: Date.now() + 5,
        event: { id: 'theirs', kind: 'note', at: '2027-01-17T15:03:00Z', payload: { text: 'theirs' } },
      }),
    );
    window.dispatchEvent(new StorageEvent('storage', { key: 'hervir.press.theirs' }));
    expect(known()).toEqual(['started', 'mine', 'theirs']);
    away = false;
    await jest.advanceTimersByTimeAsync(9000);
    expect(disk.map(({ payload }) => payload.text).slice(1)).toEqual(['mine', 'theirs']);
    expect(keptPresses()).toEqual({});
  });

  test('kept by an earlier version are sent too', () => {
    const event: CookEvent = { id: 'old', kind: 'note', at: '2027-01-17T15:00:30Z', payload: { text: 'old' } };
    localStorage.setItem('hervir.cooks', JSON.stringify({ state: { outbox: { one: [event] } }, version: 1 }));
    expect(keptPresses()).toEqual({ one: [event] });
    // And a second reading finds them where presses are kept now.
    expect(localStorage.getItem('hervir.cooks')).toBeNull();
    expect(keptPresses()).toEqual({ one: [event] });
  });

  test('count even where the storage is full', () => {
    const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    note('kept in memory');
    expect(known()).toEqual(['started', 'kept in memory']);
    full.mockRestore();
  });
});

describe('cooks under way', () => {
  test('are kept on the device with all that happened, until they are finished', async () => {
    note('a');
    await jest.advanceTimersByTimeAsync(0);
    expect(keptRunning()['one']?.events.map(({ payload, kind }) => payload.text ?? kind)).toEqual(['started', 'a']);
    press('one', 'finished', {}, Date.parse('2027-01-17T19:00:00Z'));
    await jest.advanceTimersByTimeAsync(0);
    expect(keptRunning()).toEqual({});
  });

  test('one that ended while this page was closed is gone when the server has spoken', async () => {
    localStorage.setItem('hervir.running', JSON.stringify({ one: record, gone: { ...record, id: 'gone' } }));
    // The page opened anew: what is kept is read once.
    await jest.isolateModulesAsync(async () => {
      const opened = await import('./cooks-store');
      expect(Object.keys(opened.useCooks.getState().cooks)).toEqual(['one', 'gone']);
      opened.receiveRunning([record]);
      expect(Object.keys(opened.useCooks.getState().cooks)).toEqual(['one']);
    });
  });
});
