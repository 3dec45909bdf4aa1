import { decimalMark, hasTwelveHours, printClock, printDay } from './writing';

/** Spaces in a time are narrow and do not break. */
const plain = (text: string): string => text.replace(/\s/g, ' ');

describe('numbers, times and days of a language', () => {
  // The Unicode CLDR, which the runtime carries.
  test('the decimal mark', () => {
    expect(['en-GB', 'en-US', 'es-ES', 'es-MX'].map(decimalMark)).toEqual(['.', '.', ',', '.']);
  });

  test('twelve hours where the language has them', () => {
    expect(['en-GB', 'en-US', 'es-ES', 'es-MX'].map(hasTwelveHours)).toEqual([false, true, false, true]);
    expect(['en-GB', 'en-US', 'es-ES', 'es-MX'].map((locale) => plain(printClock('18:05', locale)))).toEqual([
      '18:05',
      '6:05 PM',
      '18:05',
      '6:05 p.m.',
    ]);
    expect(plain(printClock('00:30', 'en-US'))).toBe('12:30 AM');
    expect(plain(printClock('12:00', 'en-US'))).toBe('12:00 PM');
  });

  test('what is no time stays as it is', () => expect(printClock('', 'en-US')).toBe(''));

  test('a day is the day it is written as, in every zone', () => {
    expect(printDay('2026-01-20T23:59:00-08:00', 'long', 'en-GB')).toBe('Tuesday 20 January');
    expect(printDay('2026-01-20', 'long', 'es-ES')).toBe('martes, 20 de enero');
    expect(printDay('2026-01-20', 'dated', 'en-US')).toBe('Jan 20, 2026');
    expect(printDay('2026-01-20', 'weekday', 'es-MX')).toBe('martes');
  });
});
