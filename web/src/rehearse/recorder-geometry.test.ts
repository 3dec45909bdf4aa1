import { forecast, guideOf, newPlan, SimulatedCook, steadyHand, type Frame } from '@hervir/core';
import { strip, wordRows } from './recorder-geometry';

const OPTIONS = { width: 800, height: 220, cutoutC: 145, highestKPa: 72, degrees: [50, 100, 150] };

/** What a whole braise of the refuge tells, cooked as the guide says. */
function telemetry(): readonly Frame[] {
  const f = forecast(newPlan({ cut: 'goat-neck', form: 'slices', grams: 1600 }));
  const run = new SimulatedCook(f, guideOf(f), {
    seed: 3,
    scatter: false,
    startMs: Date.parse('2027-01-17T16:00:00Z'),
    faults: [],
    handsTakeTime: true,
  });
  steadyHand(run);
  return run.frames;
}
const frames = telemetry();
const whole = strip(frames, OPTIONS);
const numbers = (path: string): number[] => (path.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);

describe('the recorder’s strip', () => {
  test('has a line for liquid, base, middle and gauge, each inside its frame', () => {
    expect(whole.traces.map(({ key }) => key).sort()).toEqual(['base', 'core', 'gauge', 'liquid']);
    for (const { key, path, end } of whole.traces) {
      const points = numbers(path);
      expect([key, points.length > 20]).toEqual([key, true]);
      const ys = points.filter((_, i) => i % 2 === 1);
      expect([key, Math.min(...ys) >= 0, Math.max(...ys) <= OPTIONS.height]).toEqual([key, true, true]);
      expect([key, (end?.[0] ?? 999) <= OPTIONS.width]).toEqual([key, true]);
    }
  });

  test('temperatures lie above the gauge, the cut-out where 145 °C is', () => {
    const byKey = new Map(whole.traces.map((trace) => [trace.key, trace]));
    const ys = (key: 'liquid' | 'gauge'): number[] => numbers(byKey.get(key)?.path ?? '').filter((_, i) => i % 2 === 1);
    expect(Math.max(...ys('liquid'))).toBeLessThanOrEqual(whole.gaugeTop);
    expect(Math.min(...ys('gauge'))).toBeGreaterThanOrEqual(whole.gaugeTop - 1e-6);
    const [fifty, hundred] = whole.degrees;
    // A straight scale: 145 lies as far above 100 as 45 degrees are.
    const perDegree = ((fifty?.y ?? 0) - (hundred?.y ?? 0)) / 50;
    expect(whole.cutoutY).toBeCloseTo((hundred?.y ?? 0) - 45 * perDegree, 6);
  });

  test('marks what the cooker signalled, in the order it happened', () => {
    const signals = whole.marks.map(({ signal }) => signal);
    for (const signal of ['lidLocked', 'pinUp', 'counting', 'ended', 'pinDown', 'lidOpened'])
      expect(signals).toContain(signal);
    expect(signals.indexOf('pinUp')).toBeLessThan(signals.indexOf('pinDown'));
    expect(whole.marks.map(({ x }) => x)).toEqual([...whole.marks.map(({ x }) => x)].sort((a, b) => a - b));
  });

  test('on a phone the words of its axis have room, and no word of a signal lies over another', () => {
    const { minutes, marks } = strip(frames, { ...OPTIONS, width: 330 });
    const gaps = minutes.slice(1).map(({ x }, i) => x - (minutes[i]?.x ?? 0));
    expect(Math.min(...gaps)).toBeGreaterThan(50);
    const spans = marks.map(({ x }) => [x, x + 45] as const);
    const placed = wordRows(spans, 3).flatMap((row, i) => (row === null ? [] : [{ row, span: spans[i] ?? [0, 0] }]));
    expect(placed.length).toBeGreaterThan(3);
    for (const [i, one] of placed.entries())
      for (const other of placed.slice(0, i))
        expect(one.row !== other.row || one.span[0] >= other.span[1] || other.span[0] >= one.span[1]).toBe(true);
    // No room in any row: the line stands without a word.
    expect(
      wordRows(
        [
          [0, 9],
          [1, 9],
          [2, 9],
        ],
        2,
      ),
    ).toEqual([0, 1, null]);
  });

  test('minutes are few and round, however long it has run', () => {
    for (const share of [0.02, 0.1, 0.4, 1]) {
      const { minutes } = strip(frames.slice(0, Math.max(1, Math.round(frames.length * share))), OPTIONS);
      expect(minutes.length).toBeGreaterThan(1);
      expect(minutes.length).toBeLessThan(12);
      for (const { minute } of minutes) expect(minute % 5).toBe(0);
    }
  });

  test('is drawn with as many points as can be seen, the last and every burn among them', () => {
    const many = Array.from({ length: 20 }, () => frames).flat();
    const burn = { ...(frames[101] as Frame), signals: ['burn'] as const };
    const long = strip([...many, burn, frames.at(-1) as Frame], OPTIONS);
    for (const { path } of long.traces) expect(numbers(path).length).toBeLessThan(2 * 710);
    expect(long.marks.map(({ signal }) => signal)).toContain('burn');
  });

  test('one frame is enough to begin with', () => {
    const [first] = frames;
    const { traces, marks } = strip([first as Frame], OPTIONS);
    expect(traces.find(({ key }) => key === 'liquid')?.end).not.toBeNull();
    expect(marks.length).toBeLessThan(2);
  });
});
