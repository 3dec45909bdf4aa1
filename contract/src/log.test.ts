import { CUTS, GRADES } from '@hervir/core';
import * as fc from 'fast-check';
import { LOG_SORTS, logEntrySchema, readLogChange, readLogQuery, readPastCook, RESULTS } from './log';

const ENTRY = {
  id: '5e4177b8-253c-4e42-895e-09934a6c47c2',
  source: 'by-hand',
  servedAt: '2026-11-21T19:00:00+01:00',
  name: 'Goat shoulder with turnips and bay',
  cut: 'goat-shoulder',
  form: 'chunks',
  cooker: 'The blue one',
  wanted: 'fork',
  grade: 'firm',
  boughtG: 1500,
  trimmedG: 1400,
  cookedG: null,
  pressure: { planned: 35, actual: 37 },
  toPin: { planned: 8, actual: null },
  release: { planned: null, actual: null },
  lateMinutes: -4,
  burns: 0,
};
const accepts = (more: object): boolean => logEntrySchema.safeParse({ ...ENTRY, ...more }).success;
const PAST = { id: ENTRY.id, servedAt: ENTRY.servedAt, plan: {}, minutes: 40, grade: 'fork' };

describe('an entry of the log', () => {
  test('is read with what was not told left open', () => {
    expect(logEntrySchema.parse(ENTRY)).toMatchObject({
      notes: '',
      outcome: { moistness: null, sauce: null, vegetables: {} },
    });
  });

  test('knows every cut, and the six grades', () => {
    for (const { id, forms } of CUTS) expect([id, accepts({ cut: id, form: forms[0] })]).toEqual([id, true]);
    for (const grade of [...GRADES, null]) expect([grade, accepts({ grade })]).toEqual([grade, true]);
  });

  test.each([
    ['a cut that is none', { cut: 'unicorn' }],
    ['a grade that is none', { grade: 'lovely' }],
    ['less than nothing of meat', { boughtG: -1 }],
    ['a ton of meat', { boughtG: 1_000_000 }],
    ['half a burn', { burns: 0.5 }],
    ['dinner late by a word', { lateMinutes: 'very' }],
    ['dinner in the year 12026', { servedAt: '+012026-11-21T19:00:00Z' }],
    ['dinner before there were cookers', { servedAt: '0026-11-21T19:00:00Z' }],
    ['a day without a time', { servedAt: '2026-11-21' }],
    ['minutes that are text', { pressure: { planned: '35', actual: null } }],
    ['a key it does not have', { stars: 5 }],
    ['a note as long as a book', { notes: 'x'.repeat(40_001) }],
    ['a vegetable that came out well', { outcome: { vegetables: { turnip: 'well' } } }],
  ])('refuses %s', (_what, more) => {
    expect(accepts(more)).toBe(false);
  });
});

describe('what is looked for', () => {
  test('is everything, the newest first, thirty at a time, where nothing is said', () => {
    const read = readLogQuery({});
    expect(read.ok && read.value).toEqual({ sort: 'newest', offset: 0, limit: 30 });
  });

  test('comes from an address: numbers are text there', () => {
    const read = readLogQuery({ offset: '60', limit: '100', result: 'short', from: '2026-09-01' });
    expect(read.ok && read.value).toMatchObject({ offset: 60, limit: 100, result: 'short', from: '2026-09-01' });
    for (const sort of LOG_SORTS) expect(readLogQuery({ sort }).ok).toBe(true);
    for (const result of RESULTS) expect(readLogQuery({ result }).ok).toBe(true);
  });

  test.each([
    ['limit', { limit: '101' }],
    ['limit', { limit: '0' }],
    ['offset', { offset: '-1' }],
    ['sort', { sort: 'prettiest' }],
    ['species', { species: 'unicorn' }],
    ['from', { from: '2026-13-01' }],
    ['text', { text: 'x'.repeat(101) }],
  ])('%s is refused at its own place', (path, query) => {
    const read = readLogQuery(query);
    expect(read.ok ? [] : read.faults.map((fault) => fault.path)).toEqual([path]);
  });

  test('whatever an address holds, there is an answer', () => {
    fc.assert(
      fc.property(fc.dictionary(fc.string(), fc.string()), (query) => {
        const read = readLogQuery(query);
        expect(read.ok || read.faults.length > 0).toBe(true);
      }),
      { numRuns: 300 },
    );
  });
});

describe('a past cook, and what is said of one afterwards', () => {
  test('needs its day, its minutes and how it came out; weight and notes are left open', () => {
    const read = readPastCook(PAST);
    expect(read.ok && read.value).toMatchObject({ cookedG: null, notes: '' });
    for (const key of ['servedAt', 'minutes', 'grade'] as const) {
      const without = readPastCook({ ...PAST, [key]: undefined });
      expect(without.ok ? [] : without.faults.map(({ path }) => path)).toContain(key);
    }
  });

  test('a change names only what it changes, and nothing that is measured by the clock', () => {
    expect(readLogChange({}).ok).toBe(true);
    expect(readLogChange({ grade: null, notes: 'more bay' }).ok).toBe(true);
    expect(readLogChange({ boughtG: 1200, minutes: 38, servedAt: ENTRY.servedAt }).ok).toBe(true);
    expect(readLogChange({ boughtG: 99_000 }).ok).toBe(false);
    expect(readLogChange({ lateMinutes: 0 }).ok).toBe(false);
    expect(readLogChange({ outcome: { sauce: 'perfect' } }).ok).toBe(false);
  });
});
