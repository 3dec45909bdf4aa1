import { isWithin, laneScale, windowBar, windowWords } from './lane-geometry';
import type { LaneItem } from './lane-items';

const item = (from: number | null, to: number | null, minutes = 4): LaneItem => ({
  kind: 'vegetable',
  index: 0,
  name: 'Turnip',
  grams: 400,
  place: 'second-run',
  staged: undefined,
  window: { portion: 'vegetable-1', place: 'second-run', minutes, from, to },
});

describe('the minutes of a lane', () => {
  test('leave room to drag its end further, and show what goes in with its window', () => {
    const scale = laneScale({ minutes: 10, items: [item(2, 6, 10)] });
    expect(scale.minutes).toBeCloseTo(14, 6);
    expect(scale.at(0)).toBe(0);
    expect(scale.at(7)).toBeCloseTo(50, 6);
    expect(laneScale({ minutes: 4, items: [item(3, 8)] }).minutes).toBeGreaterThanOrEqual(8);
  });

  test('are not stretched out of reach by a window of hours', () => {
    const { minutes } = laneScale({ minutes: 10, items: [item(5, 90, 10)] });
    expect(minutes).toBeLessThan(25);
    expect(windowBar(laneScale({ minutes: 10, items: [item(5, 90, 10)] }), { from: 5, to: 90 })?.width).toBeGreaterThan(
      50,
    );
  });

  test('a lane of no minutes has a scale all the same', () => {
    expect(laneScale({ minutes: 0, items: [] }).minutes).toBe(6);
  });
});

describe('a window', () => {
  const scale = laneScale({ minutes: 10, items: [] });

  test('is a bar on the scale of its lane, open where it has no end, and nothing where no length would do', () => {
    expect(windowBar(scale, { from: 0, to: 7 })).toEqual({ left: 0, width: expect.closeTo(50, 6) as number });
    expect(windowBar(scale, { from: 7, to: null })).toEqual({
      left: expect.closeTo(50, 6) as number,
      width: expect.closeTo(50, 6) as number,
    });
    expect(windowBar(scale, { from: null, to: 0 })).toBeNull();
  });

  test('is said in whole minutes that are within it', () => {
    expect(windowWords({ from: 2.1, to: 7.6 })).toBe('2–7 min');
    expect(windowWords({ from: 19.2, to: null })).toBe('from 20 min');
    expect(windowWords({ from: 3.4, to: 3.9 })).toBe('3 min');
    expect(windowWords({ from: null, to: 0 })).toBe('never here');
    for (const window of [
      { from: 2.1, to: 7.6 },
      { from: 0, to: 5 },
    ]) {
      const [first = 0, last = 0] = (windowWords(window).match(/\d+/g) ?? []).map(Number);
      expect([isWithin(window, first), isWithin(window, last), isWithin(window, last + 1)]).toEqual([
        true,
        true,
        false,
      ]);
    }
  });
});
