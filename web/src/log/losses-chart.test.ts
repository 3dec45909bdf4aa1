import { partsOf } from './losses-chart';

describe('what comes onto the plate of what was bought', () => {
  test('is trimmed off, lost in the pot, and the rest; together the whole', () => {
    expect(partsOf({ trim: 0.1, cook: 0.5 })).toEqual([
      { what: 'trimmed', from: 0, to: 0.1 },
      { what: 'lost', from: 0.1, to: expect.closeTo(0.55, 9) as number },
      { what: 'plate', from: expect.closeTo(0.55, 9) as number, to: 1 },
    ]);
  });

  test('without trimming begins with the pot; never weighed, there is nothing to draw', () => {
    expect(partsOf({ trim: null, cook: 0.42 }).map(({ what }) => what)).toEqual(['lost', 'plate']);
    expect(partsOf({ trim: 0.2, cook: null })).toEqual([]);
  });
});
