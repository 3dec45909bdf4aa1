import * as fc from 'fast-check';
import { textSchema } from './text';

const isText = (value: unknown): boolean => textSchema.safeParse(value).success;
const nested = (depth: number): unknown => (depth === 0 ? 'bay' : { cased: 'upper', of: nested(depth - 1) });

describe('a text as it is kept', () => {
  test('words, and every kind of message', () => {
    for (const text of [
      'from before there were messages',
      { code: 'shared.chewy' },
      { code: 'shared.minutes', values: { n: 4, where: { code: 'shared.chewy' } } },
      { quantity: 'mass', value: 1600 },
      { list: ['bay', { code: 'shared.chewy' }] },
      { joined: ['one', 'two'], by: ' ' },
      { cased: 'upper', of: 'bay' },
      { metric: 'grams', us: 'pounds' },
    ])
      expect([text, isText(text), textSchema.parse(text)]).toEqual([text, true, text]);
  });

  test.each([
    ['a number', 4],
    ['nothing', null],
    ['a list', ['bay']],
    ['an object of other keys', { colour: 'green' }],
    ['a code without a namespace', { code: 'E02' }],
    ['a quantity that is none', { quantity: 'mass', value: 'much' }],
    ['a value that is none', { code: 'shared.chewy', values: { n: null } }],
    ['values that are none', { code: 'shared.chewy', values: ['bay'] }],
    ['words without end', 'a'.repeat(2001)],
    ['a list without end', { list: Array(61).fill('bay') }],
    ['a message without a ground', nested(20)],
  ])('%s is no text', (_, value) => {
    expect(isText(value)).toBe(false);
  });

  test('a message deep in others is one', () => {
    expect(isText(nested(10))).toBe(true);
  });

  test('whatever comes is answered, and never thrown at', () => {
    fc.assert(fc.property(fc.anything(), (value) => typeof isText(value) === 'boolean'));
  });
});
