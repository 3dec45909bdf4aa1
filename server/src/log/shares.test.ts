import { newPlan, type CookEvent } from '@hervir/core';
import type { LogEntry } from '@hervir/contract';
import { resultOf } from '@hervir/contract';
import { columnsOf, firstGrade } from './entry';

const entry = (more: Partial<LogEntry>): LogEntry => ({
  id: '5e2c9a10-5a57-4c47-9c92-5c1d1c9f0001',
  source: 'cooked',
  servedAt: '2027-01-17T18:00:00.000Z',
  name: 'Shin',
  cut: 'beef-shin',
  form: 'slices',
  cooker: '',
  wanted: 'fork',
  grade: 'fork',
  boughtG: 2000,
  trimmedG: 1600,
  cookedG: 1000,
  pressure: { planned: null, actual: null },
  toPin: { planned: 10, actual: 15 },
  release: { planned: null, actual: null },
  lateMinutes: null,
  burns: 0,
  outcome: { moistness: null, sauce: null, vegetables: {} },
  notes: '',
  ...more,
});
const plan = newPlan({ cut: 'beef-shin', form: 'slices', grams: 2000 });

describe('what a line of the log is sorted and drawn by', () => {
  test('meat loses what it loses in the pot from what was trimmed, and in the trimming from what was bought', () => {
    const { trimShare, cookShare } = columnsOf(entry({}), plan, {});
    expect(trimShare).toBeCloseTo(0.2, 9);
    expect(cookShare).toBeCloseTo(1 - 1000 / 1600, 9);
    // Nothing was trimmed: from what was bought.
    expect(columnsOf(entry({ trimmedG: null }), plan, {}).cookShare).toBeCloseTo(0.5, 9);
  });

  test('a pin after a burn says nothing of the cooker', () => {
    expect(columnsOf(entry({}), plan, {}).pinRatio).toBeCloseTo(1.5, 9);
    expect(columnsOf(entry({ burns: 1 }), plan, {}).pinRatio).toBeNull();
  });

  test.each([
    ['slices', 'slices', 'as-wanted'],
    ['fork', 'slices', 'as-wanted'],
    ['pulls', 'slices', 'past'],
    ['slices', 'fork', 'short'],
    ['fork', 'fork', 'as-wanted'],
    ['pulls', 'fork', 'as-wanted'],
    ['threads', 'fork', 'past'],
    ['fork', 'pulls', 'short'],
  ] as const)('meat that came out %s, wanted %s, is %s', (grade, wanted, result) => {
    expect(resultOf(grade, wanted)).toBe(result);
  });

  test('the first check is the first that was not taken back', () => {
    const event = (id: string, minute: number, kind: CookEvent['kind'], payload: CookEvent['payload']): CookEvent => ({
      id,
      kind,
      at: `2027-01-17T18:0${minute}:00.000Z`,
      payload,
    });
    const slip = event('a', 1, 'checked', { grade: 'chewy' });
    const said = event('c', 3, 'checked', { grade: 'fork' });
    expect(firstGrade([slip, said])).toBe('chewy');
    expect(firstGrade([said, slip, event('b', 2, 'undone', { event: 'a' })])).toBe('fork');
    expect(firstGrade([])).toBeNull();
  });
});
