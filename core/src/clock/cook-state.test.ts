import * as fc from 'fast-check';
import { forecast } from '../braise/forecast/forecast';
import { guideOf } from '../braise/guide/guide';
import { planFor } from '../testing/fixtures';
import type { Plan } from '../plan/plan';
import { COOK_EVENTS, type CookEvent, type CookEventKind, type CookEventPayload } from './cook-events';
import { cookState, type CookState } from './cook-state';
import type { Guide } from './guide-step';
import { withSpare } from './spare';
import { pressureTimes } from './pressure-times';
import { english } from '../testing/said-in-english';

const SERVE = '2027-01-17T19:00:00+01:00';
const refuge: Plan = planFor('goat-neck', 'slices', 1600, {
  serveAt: SERVE,
  aromatics: [{ ingredient: 'onion', grams: 200 }],
  vegetables: [{ vegetable: 'turnip', grams: 450, texture: 'tender', place: 'auto' }],
  sides: [
    {
      name: 'Polenta',
      tasks: [
        { label: 'Boil the water', minutes: 8, handsOn: false, resource: 'side-burner' },
        { label: 'Let it swell', minutes: 25, handsOn: false, resource: 'side-burner' },
      ],
    },
  ],
});
const made = (plan: Plan): Guide => guideOf(forecast(plan));
const guide = made(refuge);
const MIN = 60_000;
const BEGIN = Date.parse(SERVE) - guide.totalMinutes * MIN;

let made_ = 0;
const event = (kind: CookEventKind, atMs: number, payload: CookEventPayload = {}): CookEvent => ({
  id: `00000000-0000-4000-8000-${String((made_ += 1)).padStart(12, '0')}`,
  kind,
  at: new Date(atMs).toISOString(),
  payload,
});
const state = (events: readonly CookEvent[], nowMs: number, of: Guide = guide): CookState =>
  cookState(of, events, nowMs);

/** Presses every step as it comes due, each so many minutes late. */
function cookThrough(
  of: Guide,
  late: (id: string) => number = () => 0,
  until = 'never',
): { events: CookEvent[]; at: number } {
  const events = [event('started', BEGIN)];
  let at = BEGIN;
  for (let guard = 0; guard < 200; guard += 1) {
    const { now } = state(events, at, of);
    if (!now || now.step.id === until) break;
    at = Math.max(at, (now.startedAt ?? at) + (now.minutes + late(now.step.id)) * MIN);
    if (now.step.runsFrom !== null) at = Math.max(BEGIN, at - now.minutes * MIN);
    if (now.step.endsByItself) continue;
    const grade = now.step.done === 'checked' ? { grade: of.wanted } : {};
    events.push(event(now.step.done, at, { step: now.step.id, ...grade }));
  }
  return { events, at };
}
const idsBefore = (id: string): ReturnType<typeof cookThrough> => cookThrough(guide, undefined, id);

describe('a cook', () => {
  test('begun on time and pressed on time ends at the time to eat, to the minute', () => {
    const { events, at } = cookThrough(guide);
    const end = state(events, at);
    expect(end.status).toBe('served');
    expect(Math.abs(end.dinner.driftMinutes)).toBeLessThan(1);
    expect(end.ignored).toEqual([]);
  });

  test('waits, cooks, is served, is finished', () => {
    expect(state([], BEGIN)).toMatchObject({ status: 'waiting', now: null, timers: [] });
    expect(state([event('started', BEGIN)], BEGIN)).toMatchObject({
      status: 'cooking',
      now: { step: { id: 'board-vegetables' } },
    });
    const { events, at } = cookThrough(guide);
    expect(state([...events, event('finished', at + MIN)], at + MIN)).toMatchObject({ status: 'finished', timers: [] });
  });

  test('told twice happened once, by the first of them, however often and wherever in the list it stands', () => {
    const { events, at } = cookThrough(guide, undefined, 'pressure');
    const again = events.map((one, i) => ({ ...one, at: new Date(Date.parse(one.at) + (i % 7) * MIN).toISOString() }));
    expect(state([...again, ...events, ...again], at)).toEqual(state(events, at));
  });

  test('a step that takes longer moves dinner by as much, and the part of the work is named', () => {
    const { events, at } = cookThrough(guide, (id) => (id === 'pin' ? 6 : 0), 'pressure');
    const late = state(events, at);
    expect(late.dinner.driftMinutes).toBeGreaterThan(5.5);
    expect(late.dinner.driftMinutes).toBeLessThan(6.5);
    const took = late.took.find(({ section }) => section === 'coming-up');
    expect((took?.actual ?? 0) - (took?.planned ?? 0)).toBeCloseTo(6, 3);
  });

  test('the pot put on before its turn: what is left of its minutes by then is what was planned, and what it took', () => {
    const shin = made(planFor('beef-shin', 'slices', 1500, { serveAt: SERVE }));
    const minutesOf = (id: string): number => shin.steps.find((step) => step.id === id)?.minutes ?? 0;
    const [board, heat] = [minutesOf('board-meat'), minutesOf('heat-hot')];
    expect(heat).toBeGreaterThan(board);
    const begun = Date.parse(SERVE) - shin.totalMinutes * MIN;
    const { took } = state(
      [
        event('started', begun),
        event('stepDone', begun + 1, { step: 'heat-on' }),
        event('stepDone', begun + board * MIN, { step: 'board-meat' }),
        event('stepDone', begun + heat * MIN, { step: 'heat-hot' }),
      ],
      begun + heat * MIN,
      shin,
    );
    // While it is ahead, its minutes run from when the pot was put on; what does not run is not due.
    const early = state(
      [event('started', begun), event('stepDone', begun + 1, { step: 'heat-on' })],
      begun + MIN,
      shin,
    );
    const due = (id: string): number | null | undefined => early.steps.find(({ step }) => step.id === id)?.dueAt;
    expect(due('heat-hot')).toBeCloseTo(begun + 1 + heat * MIN, -1);
    expect(due('board-meat')).toBeCloseTo(begun + board * MIN, -1);
    expect(due('pressure')).toBeNull();
    for (const section of ['board', 'heat'] as const) {
      const { planned, actual } = took.find((one) => one.section === section) ?? { planned: -1, actual: 0 };
      expect(actual).toBeCloseTo(planned, 1);
    }
    expect(took.find(({ section }) => section === 'heat')?.planned).toBeCloseTo(heat - board, 1);
  });

  test('nothing pressed and time going on: dinner slides while the step is overdue', () => {
    const begun = [event('started', BEGIN)];
    const first = guide.steps[0]?.minutes ?? 0;
    const drift = (minutes: number): number => state(begun, BEGIN + minutes * MIN).dinner.driftMinutes;
    expect(Math.abs(drift(0))).toBeLessThan(0.1);
    expect(drift(first + 20) - drift(first + 10)).toBeCloseTo(10, 1);
  });

  test('an electric pot ends its minutes by itself; a burner waits for a hand, and rings as a danger', () => {
    const { events, at } = idsBefore('pressure');
    const minutes = guide.steps.find(({ id }) => id === 'pressure')?.minutes ?? 0;
    const after = state(events, at + (minutes + 3) * MIN);
    expect(after.now?.step.id).toBe('natural');
    // Its release has run since the minutes were over, not since somebody looked.
    expect(after.now?.startedAt).toBeCloseTo(at + minutes * MIN, -1);
    const pot = {
      ...refuge,
      cooker: { ...refuge.cooker, kind: 'stovetop' as const, timerStarts: 'pin' as const, watts: 2000 },
    };
    const burner = made(pot);
    const cooking = cookThrough(burner, undefined, 'pressure');
    const held = burner.steps.find(({ id }) => id === 'pressure')?.minutes ?? 0;
    const over = state(cooking.events, cooking.at + (held + 3) * MIN, burner);
    expect(over.now?.step.id).toBe('pressure');
    expect(over.timers.find(({ id }) => id === 'pressure')).toMatchObject({ rings: true, alarm: 'danger' });
  });

  test('heating the pot may begin before its turn, and counts from then', () => {
    const begun = [event('started', BEGIN), event('stepDone', BEGIN + 9 * MIN, { step: 'heat-on' })];
    const early = state(begun, BEGIN + 10 * MIN);
    const hot = guide.steps.find(({ id }) => id === 'heat-hot')?.minutes ?? 0;
    expect(early.now?.step.id).toBe('board-vegetables');
    expect(early.timers.find(({ id }) => id === 'heat-hot')?.endsAt).toBeCloseTo(BEGIN + (9 + hot) * MIN, -1);
    expect(early.ignored).toEqual([]);
  });

  test('what is seen on the pot says that the steps before it were done too', () => {
    const { events, at } = idsBefore('load');
    const seen = state([...events, event('pinUp', at + 15 * MIN, { step: 'pin' })], at + 15 * MIN);
    expect(seen.now?.step.id).toBe('timer');
    expect(seen.steps.find(({ step }) => step.id === 'lock')).toMatchObject({ passedOver: true });
    expect(seen.ignored).toEqual([]);
  });

  test('a pinUp without a step speaks of the run at hand, and said twice does not reach into the second run', () => {
    const { events, at } = idsBefore('pin');
    const twice = state([...events, event('pinUp', at + MIN), event('pinUp', at + 2 * MIN)], at + 2 * MIN);
    expect(twice.now?.step.id).toBe('timer');
    expect(twice.ignored).toHaveLength(1);
  });

  test('the pin that fell by itself makes opening the valve needless', () => {
    const { events, at } = idsBefore('natural');
    const fell = state([...events, event('pinDown', at + 12 * MIN, { step: 'natural' })], at + 12 * MIN);
    expect(fell.now?.step.id).toBe('open');
  });

  test('one more minute, not yet', () => {
    const { events, at } = idsBefore('sear-1-1');
    const over = at + 7 * MIN;
    const rings = (more: CookEvent[], now: number): boolean | undefined =>
      state([...events, ...more], now).timers.find(({ id }) => id === 'sear-1-1')?.rings;
    expect(rings([], at + 5 * MIN)).toBe(false);
    expect(rings([], over)).toBe(true);
    expect(rings([event('minutesAdded', over, { minutes: 2 })], over + 0.5 * MIN)).toBe(false);
    expect(rings([event('notYet', over, { step: 'sear-1-1' })], over + 0.5 * MIN)).toBe(false);
    expect(rings([event('notYet', over, { step: 'sear-1-1' })], over + 1.1 * MIN)).toBe(true);
  });

  test('a check below the target asks; the lid back on puts a run in, and is checked again', () => {
    const { events, at } = idsBefore('check');
    const tough = [...events, event('checked', at, { step: 'check', grade: 'firm' })];
    expect(state(tough, at)).toMatchObject({ grade: 'firm', now: { step: { id: 'check' } } });
    const again = [
      ...tough,
      event('minutesAdded', at + MIN, { step: 'check', minutes: 12, again: { reheatMinutes: 5, releaseMinutes: 2 } }),
    ];
    const on = state(again, at + MIN);
    expect(on.now?.step.id).toBe('again-1-lock');
    expect(on.dinner.driftMinutes).toBeGreaterThan(19);
    expect(on.steps.map(({ step }) => step.id)).toContain('again-1-check');
    const enough = state([...tough, event('stepDone', at + MIN, { step: 'check' })], at + MIN);
    expect(enough.now?.step.id).toBe('second-load');
  });

  test('a burn under pressure goes on, after clearing, with the minutes that were left', () => {
    const { events, at } = idsBefore('pressure');
    const planned = guide.steps.find(({ id }) => id === 'pressure')?.minutes ?? 0;
    const burnt = state([...events, event('burn', at + 10 * MIN)], at + 10 * MIN);
    expect(burnt.now?.step.id).toBe('burn-1-clear');
    expect(burnt.steps.find(({ step }) => step.id === 'burn-1-pressure')?.minutes).toBe(planned - 10);
    expect(burnt.burns).toBe(1);
    // Before the lid is on nothing is to be opened: it is only told.
    const early = idsBefore('sear-1-1');
    expect(state([...early.events, event('burn', early.at)], early.at).now?.step.id).toBe('sear-1-1');
  });

  test('undo takes the last thing back, and an undo can be taken back', () => {
    const { events, at } = idsBefore('lock');
    const before = state(events, at).last;
    const undo = event('undone', at + MIN, { event: before?.id });
    expect(state([...events, undo], at + MIN).now?.step.id).toBe('load');
    const redo = event('undone', at + 2 * MIN, { event: undo.id });
    expect(state([...events, undo, redo], at + 2 * MIN).now?.step.id).toBe('lock');
  });

  test('side dishes begin when they have to, ring when they are due, and hold dinner up when they are late', () => {
    const { events, at } = idsBefore('second-pin');
    // What lies so far ahead that nothing is late yet.
    const due = Math.ceil(state(events, at).tracks[0]?.dueAt ?? 0);
    const early = idsBefore('pressure');
    expect(state(early.events, early.at).timers.some(({ id }) => id === 'side-1-1')).toBe(false);
    const here = state(events, Math.max(at, due));
    expect(here.timers.find(({ id }) => id === 'side-1-1')).toMatchObject({ rings: true });
    const begun = [...events, event('stepStarted', due, { step: 'side-1-1' })];
    expect(state(begun, due + MIN).timers.find(({ id }) => id === 'side-1-1')?.endsAt).toBe(due + 8 * MIN);
    // Boiled, it swells at once; nobody has to say so.
    const next = state([...begun, event('stepDone', due + 9 * MIN, { step: 'side-1-1' })], due + 10 * MIN);
    expect(next.timers.find(({ id }) => id === 'side-1-2')?.endsAt).toBe(due + 34 * MIN);
    const end = cookThrough(guide, undefined, 'plate');
    expect(state(end.events, end.at).dinner.driftMinutes).toBeGreaterThan(25);
  });

  test('events in any order, twice over, and nonsense among them give the same cook', () => {
    const { events, at } = cookThrough(guide);
    const nonsense = fc.record({
      kind: fc.constantFrom(...COOK_EVENTS.filter((kind) => !['undone', 'finished', 'started'].includes(kind))),
      step: fc.constantFrom('nowhere', 'heat-hot', 'plate-2', ''),
      after: fc.integer({ min: 0, max: 100 }),
    });
    fc.assert(
      fc.property(
        fc.shuffledSubarray(events, { minLength: events.length }),
        fc.array(nonsense, { maxLength: 8 }),
        (mixed, noise) => {
          const noisy = noise.map(({ kind, step, after }) => event(kind, BEGIN - (1 + after) * MIN, { step }));
          const got = state([...mixed, ...mixed.slice(0, 5), ...noisy], at);
          const { ignored, ...same } = got;
          const { ignored: none, ...wanted } = state(events, at);
          expect(none).toEqual([]);
          expect(ignored).toHaveLength(noisy.length);
          expect(same).toEqual(wanted);
          for (const { reason } of ignored) expect(reason).not.toBe('');
        },
      ),
      { numRuns: 40 },
    );
  });

  test('whatever comes, the fold answers: positions only inside the guide, every refusal with a reason', () => {
    const any = fc.record({
      kind: fc.constantFrom(...COOK_EVENTS),
      step: fc.option(fc.constantFrom(...guide.steps.map(({ id }) => id), 'side-1-1'), { nil: undefined }),
      minute: fc.integer({ min: 0, max: 300 }),
      minutes: fc.integer({ min: -5, max: 30 }),
      grade: fc.constantFrom('chewy', 'fork', undefined),
    });
    fc.assert(
      fc.property(fc.array(any, { maxLength: 60 }), (drawn) => {
        const events = [
          event('started', BEGIN),
          ...drawn.map(({ kind, step, minute, minutes, grade }) =>
            event(kind, BEGIN + minute * MIN, { step, minutes, grade: grade as 'fork' | undefined }),
          ),
        ];
        const got = state(events, BEGIN + 400 * MIN);
        expect(got.position).toBeLessThanOrEqual(got.steps.length);
        expect(Number.isFinite(got.dinner.at)).toBe(true);
        for (const { startedAt, doneAt } of got.steps) {
          if (startedAt !== null && doneAt !== null) expect(doneAt).toBeGreaterThanOrEqual(startedAt);
        }
        for (const { reason } of got.ignored) expect(english(reason).length).toBeGreaterThan(3);
      }),
      { numRuns: 60 },
    );
  });

  test('a press that does not end the step it names changes nothing, and says so', () => {
    const { events, at } = idsBefore('pin');
    const before = state(events, at);
    for (const kind of ['lidLocked', 'ventOpened', 'served'] as const) {
      const after = state([...events, event(kind, at, { step: 'pin' })], at);
      expect([kind, after.now?.step.id]).toEqual([kind, before.now?.step.id]);
      expect(after.ignored).toHaveLength(before.ignored.length + 1);
      expect(english(after.ignored.at(-1)?.reason ?? '')).toContain('does not end');
    }
    // A try without a grade is a try all the same.
    const tried = idsBefore('check');
    const after = state([...tried.events, event('stepDone', tried.at, { step: 'check' })], tried.at);
    expect([after.now?.step.id === 'check', after.ignored]).toEqual([false, []]);
    // What does end it, does.
    expect(state([...events, event('pinUp', at, { step: 'pin' })], at).now?.step.id).not.toBe('pin');
  });

  test('counts only what runs: before the first step that is counted there is no timer', () => {
    expect(state([], BEGIN - 10 * MIN).timers).toEqual([]);
    for (const { label, endsAt } of state([event('started', BEGIN)], BEGIN).timers) {
      expect(english(label)).not.toBe('');
      expect(endsAt).toBeGreaterThanOrEqual(BEGIN);
    }
  });

  test('midnight and summer time change nothing: it counts moments, not clock faces', () => {
    const night = made({ ...refuge, serveAt: '2027-03-28T03:30:00+02:00' });
    const begin = Date.parse('2027-03-28T03:30:00+02:00') - night.totalMinutes * MIN;
    const events: CookEvent[] = [{ ...event('started', begin), at: '2027-03-27T23:00:00+01:00' }];
    const shifted = state(events, begin, night);
    expect(shifted.startedAt).toBe(Date.parse('2027-03-27T22:00:00Z'));
    expect(shifted.dinner.plannedAt).toBe(Date.parse('2027-03-28T01:30:00Z'));
  });

  test('a time that is none is an error with the text in it', () => {
    expect(() => state([{ ...event('started', 0), at: 'soon' }], 0)).toThrow('"soon" is not ISO 8601');
  });
});

describe('what really happened under the lid', () => {
  test('is read from the events: pin, count, heat off, valve, pin down', () => {
    const quick = made({ ...refuge, release: { method: 'natural-then-quick', naturalMinutes: 5 } });
    const { events, at } = cookThrough(quick, (id) => (id === 'pin' ? 4 : 0), 'open');
    const times = pressureTimes(state(events, at, quick), at);
    const planned = quick.steps.find(({ id }) => id === 'pin')?.minutes ?? 0;
    expect(times?.pin).toBeCloseTo(planned + 4, 3);
    expect((times?.vented ?? 0) - (times?.heatOff ?? 0)).toBeCloseTo(5, 3);
    expect(times?.down).toBeCloseTo(times?.until ?? 0, 6);
  });

  test('a pin that fell by itself has no vent', () => {
    const { events, at } = idsBefore('open');
    expect(pressureTimes(state(events, at), at)).toMatchObject({ vented: null });
  });
});

describe('what there is to spare', () => {
  const SPARE = 16;
  const spared = made({ ...refuge, ...withSpare(refuge, forecast(refuge).clock.tasks, SPARE) });
  const after = (late: number): CookState => {
    const begin = Date.parse(SERVE) - spared.totalMinutes * MIN;
    const events = [event('started', begin + late * MIN)];
    return state(events, begin + late * MIN, spared);
  };

  test('changed or taken away, what else was put earlier stays so', () => {
    const { tasks } = forecast(refuge).clock;
    const [id] = Object.keys(withSpare({ moved: {} }, tasks, 10).moved);
    const moved = { onion: 5, [id ?? '']: 20 };
    expect(withSpare({ moved }, tasks, 12.4).moved).toEqual({ onion: 5, [id ?? '']: 12 });
    expect(withSpare({ moved }, tasks, 0).moved).toEqual({ onion: 5 });
  });

  test('stands after the first opening, and is said there', () => {
    const opened = spared.steps.findIndex(({ moves }) => moves.some(({ kind }) => kind === 'open'));
    const at = spared.steps.findIndex(({ spareMinutes }) => spareMinutes !== undefined);
    expect(at).toBeGreaterThan(opened);
    expect(spared.steps[at]?.spareMinutes).toBeCloseTo(SPARE, 3);
    expect(spared.steps[at]?.detail).toContain('16 min to spare');
    expect(spared.totalMinutes).toBeCloseTo(guide.totalMinutes + SPARE, 3);
    expect(guide.steps.some(({ spareMinutes }) => spareMinutes !== undefined)).toBe(false);
  });

  test('takes up what comes late, as far as it goes', () => {
    expect(after(0).dinner.driftMinutes).toBeCloseTo(0, 3);
    expect(after(10).dinner.driftMinutes).toBeCloseTo(0, 3);
    expect(after(20).dinner.driftMinutes).toBeCloseTo(4, 3);
    // Without it every late minute is dinner's.
    const begin = Date.parse(SERVE) - guide.totalMinutes * MIN;
    expect(state([event('started', begin + 10 * MIN)], begin + 10 * MIN).dinner.driftMinutes).toBeCloseTo(10, 3);
  });
});
