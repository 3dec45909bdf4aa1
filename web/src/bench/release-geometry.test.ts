import { forecast, newPlan, releaseAlternatives } from '@hervir/core';
import { releaseGeometry } from './release-geometry';

const ways = releaseAlternatives(forecast(newPlan({ cut: 'goat-neck', form: 'slices', grams: 1600 })));
const g = releaseGeometry(ways, 400, 200);
const at = (key: string): (typeof g.ways)[number] => {
  const way = g.ways.find((way) => way.key === key);
  if (!way) throw new Error(`no ${key}`);
  return way;
};

describe('three ways down, drawn', () => {
  test('each has its line, and one of them is the plan’s own', () => {
    expect(g.ways.map(({ key }) => key)).toEqual(['natural', 'natural-then-quick', 'quick']);
    expect(g.ways.filter(({ chosen }) => chosen)).toHaveLength(1);
    for (const { path } of g.ways) expect(path).toMatch(/^M/);
  });

  test('a line ends where its lid comes off: its minutes and its release after the pin', () => {
    for (const way of ways) {
      const open = way.endMinute + way.releaseMinutes;
      expect(Math.abs(g.x.invert(at(way.release?.method ?? 'natural').open.x) - open)).toBeLessThan(1);
    }
  });

  test('through the valve it is open soonest after the heat is off, and all are at the boil when they are', () => {
    const after = ways.map(({ releaseMinutes }) => releaseMinutes);
    expect(Math.min(...after)).toBe(after[2]);
    const heights = g.ways.map(({ open }) => g.y.invert(open.y));
    expect(Math.max(...heights) - Math.min(...heights)).toBeLessThan(3);
  });

  test('nothing lies outside', () => {
    for (const { open } of g.ways) {
      expect(open.x).toBeLessThan(400);
      expect(open.y).toBeLessThan(200);
    }
  });
});
