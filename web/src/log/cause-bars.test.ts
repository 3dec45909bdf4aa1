import { causeBars } from './cause-bars';

describe('why dinner was when it was', () => {
  test('the bars add up to how late it was, what is not named lying between the steps', () => {
    const bars = causeBars(
      [
        { cause: 'sear', minutes: -12 },
        { cause: 'start', minutes: 4 },
      ],
      -10,
    );
    expect(bars.map(({ what }) => what)).toEqual(['Sear', 'Begun', 'Between the steps']);
    expect(bars.reduce((sum, { minutes }) => sum + minutes, 0)).toBeCloseTo(-10, 9);
  });

  test('of many causes the six that count most have a bar', () => {
    const causes = (['start', 'burn', 'again', 'heat', 'sear', 'pressure', 'board', 'deglaze'] as const).map(
      (cause, i) => ({ cause, minutes: 10 - i }),
    );
    const bars = causeBars(causes, 52);
    expect(bars).toHaveLength(7);
    expect(bars.at(-1)).toEqual({ what: 'Between the steps', minutes: 7 });
  });

  test('as planned there is nothing to draw', () => {
    expect(causeBars([], 0)).toEqual([]);
  });
});
