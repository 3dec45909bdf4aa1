import { within } from './range';
import { offsetMinutes, parseClock, parseDinnerTime, shiftIso } from './time';

describe('time', () => {
  test('a time keeps its own offset when it is moved, over midnight too', () => {
    expect(shiftIso('2027-01-17T00:30:00+01:00', -45)).toBe('2027-01-16T23:45:00+01:00');
    expect(shiftIso('2027-01-17T19:00:00-03:30', 90)).toBe('2027-01-17T20:30:00-03:30');
    expect(shiftIso('2027-01-17T19:00:00Z', 1)).toBe('2027-01-17T19:01:00Z');
    expect(offsetMinutes('2027-01-17T19:00:00-03:30')).toBe(-210);
    expect(() => shiftIso('seven', 1)).toThrow('ISO 8601');
  });

  test.each([
    ['19:00', '19:00'],
    ['19.30', '19:30'],
    ['1900', '19:00'],
    ['7 pm', '19:00'],
    ['12:15 am', '00:15'],
    ['7', '07:00'],
  ])('"%s" is %s on the clock', (text, clock) => expect(parseClock(text)).toBe(clock));

  test.each([
    ['6:30', '18:30'],
    ['7', '19:00'],
    ['730', '19:30'],
    ['11.15', '23:15'],
    ['06:30', '06:30'],
    ['6:30 am', '06:30'],
    ['12', '12:00'],
    ['18:30', '18:30'],
    ['1900', '19:00'],
  ])('dinner at "%s" is at %s', (text, clock) => expect(parseDinnerTime(text)).toBe(clock));

  test.each(['25:00', '19:75', '13 pm', 'seven', ''])('"%s" is no time', (text) =>
    expect(parseClock(text)).toBeUndefined(),
  );
});

test('a number outside its range is refused with the range', () => {
  expect(() => within('altitude', 9000, { min: 0, max: 5500, unit: 'm' })).toThrow(
    'altitude 9000 is outside the range 0 to 5500 m',
  );
  expect(() => within('altitude', Number.NaN, { min: 0, max: 5500, unit: 'm' })).toThrow(RangeError);
});
