/** @jest-environment jsdom */
import type { RehearsalNow, RehearsalRecord } from '@hervir/contract';
import { forecast, guideOf, newPlan, type Frame } from '@hervir/core';
import { answer } from '../testing/answer';
import { act, rehearsalMs, setPace, tellRehearsal, useRehearsal, watchRehearsal } from './rehearsal-store';

const plan = newPlan({ cut: 'goat-neck', form: 'slices', grams: 1600 });
const NOW = '2027-01-17T16:00:00.000Z';
const standing: RehearsalNow = {
  seconds: 0,
  now: NOW,
  speed: 1,
  pace: { speed: 60, slowForHands: true, paused: false },
  events: [],
  faults: [],
  plants: [],
  fork: null,
  mark: 'under-way',
  debrief: null,
  finished: false,
};
const record: RehearsalRecord = {
  ...standing,
  id: 'one',
  name: 'Goat neck',
  exercise: null,
  plan,
  guide: guideOf(forecast(plan)),
  units: 'metric',
  seed: 7,
  createdAt: NOW,
};
const frame = (seq: number): Frame => ({ seq, atS: seq * 2, signals: [] }) as unknown as Frame;

/** A stream that a test speaks through. */
class Stream {
  static last: Stream | null = null;
  onopen: (() => void) | null = null;
  onerror: (() => void) | null = null;
  closed = false;
  private readonly hears = new Map<string, (event: { data: string }) => void>();
  constructor(readonly address: string) {
    Stream.last = this;
  }
  addEventListener(type: string, hear: (event: { data: string }) => void): void {
    this.hears.set(type, hear);
  }
  says(type: string, data: object): void {
    this.hears.get(type)?.({ data: JSON.stringify(data) });
  }
  close(): void {
    this.closed = true;
  }
}

let asked: {
  readonly path: string;
  readonly body: { readonly act?: string; readonly event?: { readonly at: string } };
}[];
let answers: () => Promise<Response>;
let leave: () => void;
beforeEach(() => {
  asked = [];
  answers = () => Promise.resolve(answer({ refused: null, now: standing }));
  globalThis.EventSource = Stream as unknown as typeof EventSource;
  globalThis.fetch = ((path: string, { body }: { body: string }) => {
    asked.push({ path, body: JSON.parse(body) as object });
    return answers();
  }) as unknown as typeof fetch;
  leave = watchRehearsal(record);
});
afterEach(() => leave());
const stream = (): Stream => Stream.last as Stream;
const state = (): ReturnType<typeof useRehearsal.getState> => useRehearsal.getState();

describe('watching a rehearsal', () => {
  test('listens to its cooker, and its telemetry comes once and in order, also after a connection that was dropped', () => {
    expect(stream().address).toBe('/api/rehearsals/one/stream?language=en-GB');
    stream().says('frames', { frames: [frame(0), frame(1), frame(2)], now: NOW, speed: 60 });
    // It resumes a little before where it was.
    stream().says('frames', { frames: [frame(1), frame(2), frame(3)], now: NOW, speed: 60 });
    expect(state().frames.map(({ seq }) => seq)).toEqual([0, 1, 2, 3]);
  });

  test('its clock goes at its own speed between what is told', () => {
    const steady = jest.spyOn(performance, 'now').mockReturnValue(1000);
    stream().says('frames', { frames: [], now: NOW, speed: 60 });
    steady.mockReturnValue(2000);
    expect(rehearsalMs(state())).toBe(Date.parse(NOW) + 60_000);
    steady.mockRestore();
  });

  test('time stands still while the server is away, and goes on when it is back', () => {
    stream().says('frames', { frames: [], now: NOW, speed: 300 });
    stream().onerror?.();
    expect(state()).toMatchObject({ reached: false, clock: { speed: 0 } });
    stream().onopen?.();
    expect(state().reached).toBe(true);
  });

  test('is left: the stream is closed, and nothing of it is kept', () => {
    stream().says('frames', { frames: [frame(0)], now: NOW, speed: 1 });
    leave();
    expect(stream().closed).toBe(true);
    expect(state()).toMatchObject({ record: null, frames: [] });
  });
});

describe('doing something', () => {
  test('is sent, and what stands then is shown', async () => {
    answers = () => Promise.resolve(answer({ refused: null, now: { ...standing, fork: 'firm' } }));
    expect(await act({ act: 'hand', hand: { do: 'scrape' } })).toBe(true);
    expect(asked).toEqual([{ path: '/api/rehearsals/one/acts', body: { act: 'hand', hand: { do: 'scrape' } } }]);
    expect(state().record?.fork).toBe('firm');
  });

  test('what the cooker will not do is shown with its reason, until something else happens', async () => {
    answers = () => Promise.resolve(answer({ refused: 'The pin is up: the lid is locked.', now: standing }));
    expect(await act({ act: 'command', command: { do: 'lid', to: 'off' } })).toBe(false);
    expect(state().refused).toBe('The pin is up: the lid is locked.');
    const event = { id: 'e', kind: 'stepDone', at: NOW, payload: {} };
    stream().says('now', { ...standing, events: [event] });
    expect(state().refused).toBeNull();
  });

  test('a server that does not answer, or does not understand, is said in words', async () => {
    answers = () => Promise.reject(new TypeError('no connection'));
    expect(await act({ act: 'end' })).toBe(false);
    expect(state()).toMatchObject({ reached: false, refused: 'The server does not answer.' });
    answers = () => Promise.resolve(answer({ faults: [{ path: 'act', problem: 'is none', allowed: 'an act' }] }, 400));
    expect(await act({ act: 'end' })).toBe(false);
    expect(state().refused).toContain('is none');
  });

  test('a press bears the rehearsal’s own time, not the device’s', async () => {
    stream().says('frames', { frames: [], now: '2027-01-17T18:30:00.000Z', speed: 0 });
    await tellRehearsal('pinUp');
    expect(asked[0]?.body.event).toMatchObject({ kind: 'pinUp', at: '2027-01-17T18:30:00.000Z' });
    expect(asked[0]?.body).toMatchObject({ act: 'press', hands: true });
  });

  test('its pace is changed by what is given only', async () => {
    answers = () => Promise.resolve(answer({ ...standing, pace: { ...standing.pace, paused: true } }));
    await setPace({ paused: true });
    expect(asked[0]).toMatchObject({ path: '/api/rehearsals/one/pace', body: { paused: true } });
    expect(state().record?.pace.paused).toBe(true);
  });

  test('where there is no rehearsal nothing is sent', async () => {
    leave();
    expect(await act({ act: 'end' })).toBe(false);
    await setPace({ speed: 10 });
    expect(asked).toEqual([]);
  });
});
