import {
  asCooked,
  cookState,
  forecast,
  guideOf,
  newPlan,
  soFar,
  TARGET_BAND,
  type CookEvent,
  type CookState,
} from '@hervir/core';
import { cookLine, warp, type CookLineGeometry } from './cook-line-geometry';

const SERVE = '2027-01-17T19:00:00+01:00';
const MINUTE = 60_000;
const plan = { ...newPlan({ cut: 'goat-neck', form: 'slices', grams: 1600 }), serveAt: SERVE };
const f = forecast(plan);
const guide = guideOf(f);
const begin = Date.parse(SERVE) - guide.totalMinutes * MINUTE;
const LAYOUT = { width: 900, height: 180, target: TARGET_BAND.fork };

/** Cooked up to a step as the guide says, one step late by so many minutes. */
function cookedUpTo(id: string, late: Readonly<Record<string, number>> = {}): { state: CookState; now: number } {
  const events: CookEvent[] = [{ id: 'start', kind: 'started', at: new Date(begin).toISOString(), payload: {} }];
  // The pot is put on while hands are still at the board.
  for (const { id: early, done, earlyFromMinute } of guide.steps) {
    if (earlyFromMinute === null) continue;
    const at = new Date(begin + earlyFromMinute * MINUTE).toISOString();
    events.push({ id: early, kind: done, at, payload: { step: early } });
  }
  let at = begin;
  for (let guard = 0; guard < 100; guard += 1) {
    const { now } = cookState(guide, events, at);
    if (!now || now.step.id === id) break;
    const due = (now.startedAt ?? at) + (now.minutes + (late[now.step.id] ?? 0)) * MINUTE;
    const runsFrom = events.find(({ id: early }) => early === now.step.runsFrom);
    at = Math.max(at, runsFrom ? Date.parse(runsFrom.at) + now.minutes * MINUTE : due);
    if (now.step.endsByItself) continue;
    events.push({
      id: `e${events.length}`,
      kind: now.step.done,
      at: new Date(at).toISOString(),
      payload: { step: now.step.id },
    });
  }
  return { state: cookState(guide, events, at), now: at };
}
function drawn({ state, now }: { state: CookState; now: number }): CookLineGeometry {
  const so = soFar(state, now);
  const meat = so === null ? null : asCooked(plan, so);
  return cookLine({ forecast: f, guide, state, meat, so }, { ...LAYOUT, now });
}
const xs = (path: string): number[] => [...path.matchAll(/(-?[\d.]+),-?[\d.]+/g)].map(([, x]) => Number(x));

describe('the line of a cook', () => {
  test('where nothing was late, the plan’s minutes lie where they were planned', () => {
    const place = warp(guide, cookedUpTo('pin').state);
    for (const minute of [0, 20, 40, guide.totalMinutes]) {
      expect((place(minute) - begin) / MINUTE).toBeCloseTo(minute, 0);
    }
  });

  test('what was late moves what comes after it, and nothing before', () => {
    const onTime = warp(guide, cookedUpTo('pressure').state);
    const late = warp(guide, cookedUpTo('pressure', { pin: 8 }).state);
    const seared = 15;
    expect(late(seared)).toBeCloseTo(onTime(seared), -2);
    expect((late(guide.totalMinutes) - onTime(guide.totalMinutes)) / MINUTE).toBeCloseTo(8, 0);
  });

  test('ends a little after dinner, and the now-mark lies between the part done and the part ahead', () => {
    const cook = cookedUpTo('pressure');
    const line = drawn(cook);
    expect(line.to - Date.parse(SERVE)).toBeGreaterThan(0);
    const now = line.x(cook.now);
    for (const { stroke } of line.past) expect(Math.max(...xs(stroke))).toBeLessThanOrEqual(now + 1);
    expect(Math.max(...xs(line.ahead))).toBeGreaterThan(now);
    expect(Math.max(...xs(line.ahead))).toBeLessThanOrEqual(LAYOUT.width);
  });

  test('what is hot with the lid off is drawn apart from what is under the lid', () => {
    const line = drawn(cookedUpTo('pressure'));
    expect(line.past.map(({ hot }) => hot)).toContain(true);
    expect(line.past.map(({ hot }) => hot)).toContain(false);
    expect(new Set(line.past.map(({ key }) => key)).size).toBe(line.past.length);
  });

  test('tenderness climbs into its band, which lies above the base', () => {
    const line = drawn(cookedUpTo('natural'));
    expect(line.target.top).toBeLessThan(line.target.bottom);
    expect(line.target.bottom).toBeLessThan(line.base);
    const ys = [...line.tendernessAhead.matchAll(/-?[\d.]+,(-?[\d.]+)/g)].map(([, y]) => Number(y));
    expect(ys.at(-1)).toBeLessThanOrEqual(ys[0] ?? 0);
  });

  test('a cook that has only just begun has a line too', () => {
    const { state, now } = cookedUpTo(guide.steps[0]?.id ?? '');
    const line = drawn({ state, now });
    expect(line.ahead).not.toBe('');
    expect(line.tenderness).toBe('');
  });
});
