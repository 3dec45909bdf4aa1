import { bySystem, capital, joined, listing, quantity, say } from './message';
import { shapeOf } from './shape';

describe('which kind of text an object is', () => {
  test.each([
    ['message', say('shared.chewy')],
    ['message', { code: 'shared.minutes', values: { n: 4 } }],
    ['quantity', quantity('mass', 1600)],
    ['listing', listing(['bay'])],
    ['joined', joined(['bay', 'thyme'])],
    ['cased', capital('bay')],
    ['by-system', bySystem('grams', 'pounds')],
  ])('%s', (shape, value) => {
    expect(shapeOf(value)).toBe(shape);
    // In any order of its keys, as a file may bring it.
    expect(shapeOf(Object.fromEntries(Object.entries(value).reverse()))).toBe(shape);
  });

  test('what has other keys, or more, or a code without a namespace is none', () => {
    expect(shapeOf({})).toBeNull();
    expect(shapeOf({ value: 4 })).toBeNull();
    expect(shapeOf({ quantity: 'mass', value: 4, by: ' ' })).toBeNull();
    expect(shapeOf({ code: 'E02' })).toBeNull();
    expect(shapeOf({ code: 7 })).toBeNull();
  });
});
