import { GRADES } from '@hervir/core';
import { driftWords, ON_TIME } from '../cook/drift-words';
import { learntWords } from '../shared/calibration-words';
import { cameOut, cutName, lateWords, RESULT_WORDS } from './words';
import { textOf } from '../language/t';

describe('how a cook came out, in words', () => {
  test('as wanted is one word; otherwise what it is and what it is not', () => {
    const source = 'cooked';
    expect(cameOut({ grade: 'fork', wanted: 'fork', result: 'as-wanted', source })).toBe('fork-tender');
    expect(cameOut({ grade: 'firm', wanted: 'pulls', result: 'short', source })).toMatch(/^firm, not pulls apart/);
    expect(cameOut({ grade: null, wanted: 'fork', result: 'unknown', source })).toBe('nobody tried it');
    for (const grade of GRADES) expect(cameOut({ grade, wanted: 'fork', result: 'past', source })).toMatch(/, not /);
  });

  test('what is eaten another day is enough before it, and on its day it is eaten', () => {
    const early = { grade: 'slices', wanted: 'fork', result: 'as-wanted', source: 'cooked' } as const;
    expect(cameOut(early)).toMatch(/, enough before its day$/);
    expect(cameOut({ grade: null, wanted: 'fork', result: 'unknown', source: 'warmed' })).toBe('warmed and eaten');
  });

  test('each result has a word and a shape of its own: never colour alone', () => {
    const words = Object.values(RESULT_WORDS).map(textOf);
    expect(new Set(words).size).toBe(words.length);
    expect(words.filter((word) => /^[▲●■]/.test(word)).map((word) => word[0])).toEqual(['▲', '●', '■']);
  });

  test.each([
    [null, ''],
    [0, 'on time'],
    [4, 'on time'],
    [-4, 'on time'],
    [42, '▲ 42 min late'],
    [-12, '12 min early'],
  ])('dinner %p min off: "%s"', (minutes, words) => {
    expect(lateWords(minutes)).toBe(words);
  });

  test('a cut begins with a capital', () => {
    expect(cutName('goat-neck')).toBe('Goat neck');
  });
});

describe('how far a cook is off its plan', () => {
  const off = (driftMinutes: number): string => driftWords({ at: 0, plannedAt: 0, driftMinutes });
  test('is on time within a minute and a half, and then behind or ahead', () => {
    expect([off(0), off(ON_TIME - 0.1), off(-1)]).toEqual(['on time', 'on time', 'on time']);
    expect(off(6)).toBe('6 min behind plan');
    expect(off(-6)).toBe('6 min ahead of plan');
    expect(off(95)).toMatch(/^1 h 35 min behind plan$/);
  });
});

describe('what was learnt, in a sentence', () => {
  const said = (kind: Parameters<typeof learntWords>[0]['kind'], of: string, factor: number): string =>
    learntWords({
      key: kind,
      kind,
      of,
      factor,
      range: [factor, factor],
      cooks: 4,
      apart: 0.1,
      scatter: { likely: [], open: 1 },
      off: false,
      short: 0,
      past: 0,
    });

  test.each([
    ['heat', 'The blue one', 0.79, 'The blue one gives 21 % less heat than its plate says.'],
    ['heat', 'The blue one', 1.2, 'The blue one gives 20 % more heat than its plate says.'],
    ['heat', 'The blue one', 1.004, 'The blue one gives the heat its plate says.'],
    ['losses', 'The old steel one', 1.3, 'The old steel one cools 30 % faster than reckoned.'],
    ['losses', 'The old steel one', 0.9, 'The old steel one cools 10 % more slowly than reckoned.'],
    ['losses', 'The old steel one', 1, 'The old steel one cools as reckoned.'],
    ['sear', 'The blue one', 1.15, 'In the blue one a sear takes 15 % longer.'],
    ['sear', 'The blue one', 0.8, 'In the blue one a sear takes 20 % less.'],
    ['sear', 'The blue one', 1, 'In the blue one a sear takes what is reckoned.'],
    ['toughness', 'goat-shoulder', 1.19, 'Goat shoulder is 19 % tougher than usual.'],
    ['toughness', 'goat-shoulder', 0.9, 'Goat shoulder is 10 % more tender than usual.'],
    ['toughness', 'goat-shoulder', 1, 'Goat shoulder is as tough as the table says.'],
    ['prep', '', 1.2, 'At the board you take 20 % longer than usual.'],
    ['prep', '', 0.7, 'At the board you take 30 % less than usual.'],
    ['prep', '', 1, 'At the board you take the usual time.'],
  ] as const)('%s of %s, times %p', (kind, of, factor, words) => {
    expect(said(kind, of, factor)).toBe(words);
  });
});
