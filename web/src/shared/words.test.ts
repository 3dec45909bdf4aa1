import { textOf } from '../language/t';
import { dayWord, goodFor, inSentence, inWords, isToday } from './words';
import { planOf } from '../tonight/sentence';

describe('words', () => {
  test('days are said as in the kitchen', () => {
    const now = new Date('2027-01-17T12:00:00');
    expect(dayWord('2027-01-17T19:00:00+01:00', now)).toBe('today');
    expect(['2027-01-17T00:10:00+01:00', '2027-01-18T00:10:00+01:00'].map((day) => isToday(day, now))).toEqual([
      true,
      false,
    ]);
    expect(dayWord('2027-01-18T19:00:00+01:00', now)).toBe('tomorrow');
    expect(dayWord('2027-01-20T19:00:00+01:00', now)).toBe('on Wednesday');
    expect(dayWord('2027-02-20T19:00:00+01:00', now)).toBe('on 20 Feb');
  });

  test('small counts are words', () => {
    expect(inWords(1)).toBe('one');
    expect(inWords(3)).toBe('three');
    expect(inWords(14)).toBe('14');
  });

  test('a pot’s name fits into the sentence', () => {
    expect(inSentence('The blue one')).toBe('the blue one');
    expect(inSentence('Theodora')).toBe('Theodora');
  });
});

test('the sentence on Tonight is a plan, with the cook’s kitchen and confidence', () => {
  const plan = planOf(
    { grams: 1600, cut: 'goat-neck', form: 'slices', cookerId: null, time: '19:00', day: '2027-01-17' },
    undefined,
    { altitudeM: 1480, roomC: 19 },
    0.9,
  );
  expect(plan).toMatchObject({
    meat: { cut: 'goat-neck', grams: 1600 },
    kitchen: { altitudeM: 1480 },
    confidence: 0.9,
  });
  expect(plan.serveAt).toMatch(/^2027-01-17T19:00:00[+-]\d{2}:\d{2}$/);
});

test('a shank is a portion as it is, a joint is sliced', () => {
  expect(textOf(goodFor({ cut: 'lamb-shank', form: 'whole' }))).toBe('a portion each, as it is');
  expect(textOf(goodFor({ cut: 'beef-chuck', form: 'whole' }))).toBe('slices across the grain, keeps its juice');
});
