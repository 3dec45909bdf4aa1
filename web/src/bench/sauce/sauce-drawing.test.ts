import { forecast, newPlan, type Plan } from '@hervir/core';
import { sauceBars } from './sauce-drawing';

const plan: Plan = {
  ...newPlan({ cut: 'goat-neck', form: 'slices', grams: 1600 }),
  liquids: [{ liquid: 'stock', ml: 900, temperatureC: 20 }],
};
const barsOf = (finish: Partial<Plan['finish']>): Map<string, number> =>
  new Map(
    sauceBars(forecast({ ...plan, finish: { ...plan.finish, ...finish } })).map(({ what, ml }) => [
      what,
      Math.round(ml),
    ]),
  );

describe('from pot to spoon', () => {
  test.each([
    ['all there is', { sauceMl: null }],
    ['a little, ladled out and reduced', { sauceMl: 250 }],
    ['thickened with a slurry', { sauceMl: 400, thickener: 'cornstarch', body: 'coating' }],
  ] as const)('%s: what is taken and what is added make up the sauce', (_, finish) => {
    const bars = sauceBars(forecast({ ...plan, finish: { ...plan.finish, ...finish } }));
    const [first, last] = [bars[0], bars.at(-1)];
    expect([first?.what, last?.what]).toEqual(['in the open pot', 'sauce']);
    const parts = bars.filter(({ whole }) => !whole).reduce((sum, { ml }) => sum + ml, 0);
    // A splash that is not drawn is all that may be missing.
    expect(Math.abs((first?.ml ?? 0) + parts - (last?.ml ?? 0))).toBeLessThan(10);
  });

  test('what is not done is not drawn', () => {
    expect([...barsOf({ sauceMl: null, thickener: 'none' }).keys()]).toEqual(['in the open pot', 'sauce']);
  });

  test('less wanted is taken away and not added', () => {
    const bars = barsOf({ sauceMl: 250, thickener: 'none' });
    expect((bars.get('ladled out') ?? 0) + (bars.get('boiled off') ?? 0)).toBeLessThan(0);
    expect(bars.get('stirred in') ?? 0).toBe(0);
  });
});
