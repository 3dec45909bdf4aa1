import { DEFAULT_COOKER, newPlan, timesOverWeight, type TimesCell } from '@hervir/core';
import { minutesAt, pictureGeometry } from './picture-geometry';

const { kitchen } = newPlan({ cut: 'beef-chuck', form: 'whole', grams: 1500 });
const cells = timesOverWeight('beef-chuck', 'whole', {
  cooker: DEFAULT_COOKER,
  kitchen,
  release: { method: 'natural-then-quick', naturalMinutes: 15 },
  confidence: 0.8,
  startsFrom: 'fridge',
});
const size = { width: 440, height: 280 };

describe('minutes over weight', () => {
  test('one curve a target, the later the higher, each within the frame', () => {
    const g = pictureGeometry(cells, size);
    expect(g?.curves.map(({ target }) => target)).toEqual(['slices', 'fork', 'pulls']);
    const heights = g?.curves.map(({ end }) => end.y) ?? [];
    expect([...heights].sort((a, b) => b - a)).toEqual(heights);
    for (const y of heights) expect(y).toBeGreaterThanOrEqual((g?.top ?? 0) - 1e-9);
    expect(g?.curves.every(({ path }) => !path.includes('NaN'))).toBe(true);
  });

  test('a place on the drawing is a weight, and back', () => {
    const g = pictureGeometry(cells, size);
    expect(g?.gramsAt(g.x(1500))).toBeCloseTo(1500, 6);
    expect(g?.gramsAt(-50)).toBe(cells[0]?.grams);
  });

  test('between two weights the minutes lie between theirs, and at one they are its own', () => {
    const [, second, third] = cells as [TimesCell, TimesCell, TimesCell];
    expect(minutesAt(cells, 'fork', second.grams)).toBe(second.minutes.fork);
    const between = minutesAt(cells, 'fork', (second.grams + third.grams) / 2) ?? 0;
    expect(between).toBeGreaterThan(second.minutes.fork ?? 0);
    expect(between).toBeLessThanOrEqual(third.minutes.fork ?? 0);
    expect(minutesAt(cells, 'fork', cells[0]?.grams ?? 0)).toBe(cells[0]?.minutes.fork);
  });

  test('where no length of run is sure enough there is no curve', () => {
    const never = cells.map((cell) => ({ ...cell, minutes: { slices: null, fork: null, pulls: null } }));
    expect(pictureGeometry(never, size)).toBeNull();
    expect(minutesAt(never, 'fork', 1500)).toBeNull();
  });
});
