import { COOK_EVENTS, GRADES } from '@hervir/core';
import * as fc from 'fast-check';
import { readEvents, readStartCook } from './cook';

const ID = '5e4177b8-253c-4e42-895e-09934a6c47c2';
const event = (more: object = {}): object => ({ id: ID, kind: 'stepDone', at: '2027-01-17T16:00:00Z', ...more });
const paths = (input: unknown): string[] => {
  const read = readEvents(input);
  return read.ok ? [] : read.faults.map(({ path }) => path);
};

describe('events as a device sends them', () => {
  test('every kind of the contract is read, with what it needs', () => {
    const needs: Readonly<Record<string, object>> = {
      stepStarted: { step: 'side-1' },
      minutesAdded: { minutes: 1 },
      checked: { grade: 'fork' },
      weighed: { what: 'cooked', grams: 980 },
      note: { text: 'more bay' },
      undone: { event: ID },
      wentWrong: { trouble: 'power-cut' },
    };
    for (const kind of COOK_EVENTS) {
      expect([kind, paths({ events: [event({ kind, payload: needs[kind] ?? {} })] })]).toEqual([kind, []]);
    }
  });

  test.each([
    ['stepStarted', 'step'],
    ['minutesAdded', 'minutes'],
    ['checked', 'grade'],
    ['weighed', 'what'],
    ['note', 'text'],
    ['undone', 'event'],
    ['wentWrong', 'trouble'],
  ])('%s without its %s is refused at that place', (kind, key) => {
    expect(paths({ events: [event(), event({ kind, payload: {} })] })).toContain(`events[1].payload.${key}`);
  });

  test('the check knows the six grades and no other', () => {
    for (const grade of GRADES) {
      expect(paths({ events: [event({ kind: 'checked', payload: { grade } })] })).toEqual([]);
    }
    expect(paths({ events: [event({ kind: 'checked', payload: { grade: 'lovely' } })] })).toEqual([
      'events[0].payload.grade',
    ]);
  });

  test.each([
    ['an id that is none', { id: 'mine' }, 'events[0].id'],
    ['a kind that is none', { kind: 'eaten' }, 'events[0].kind'],
    ['a time that is none', { at: 'soon' }, 'events[0].at'],
    ['a key that is none', { payload: { colour: 'red' } }, 'events[0].payload'],
    ['minutes beyond reason', { kind: 'minutesAdded', payload: { minutes: 9999 } }, 'events[0].payload.minutes'],
    ['a note as long as a book', { kind: 'note', payload: { text: 'x'.repeat(2001) } }, 'events[0].payload.text'],
  ])('%s is refused where it stands', (_what, more, path) => {
    expect(paths({ events: [event(more)] }).some((found) => found.startsWith(path))).toBe(true);
  });

  test('none, or more than a device can have queued, is refused', () => {
    expect(paths({ events: [] })).toEqual(['events']);
    expect(paths({ events: Array.from({ length: 201 }, () => event()) })).toEqual(['events']);
    expect(paths({})).toEqual(['events']);
  });

  test('anything at all gives events or faults, and never throws', () => {
    fc.assert(
      fc.property(fc.anything(), (input) => {
        const read = readEvents(input);
        expect(read.ok || read.faults.length > 0).toBe(true);
      }),
      { numRuns: 300 },
    );
  });
});

describe('the request that begins a cook', () => {
  const start = { id: ID, braiseId: ID, startedEventId: '6e4177b8-253c-4e42-895e-09934a6c47c2' };

  test('needs two ids; which warnings were read is none unless told', () => {
    const read = readStartCook(start);
    expect(read.ok && read.value.acknowledged).toEqual([]);
    for (const key of ['id', 'startedEventId'] as const) {
      const without = readStartCook({ ...start, [key]: undefined });
      expect(without.ok ? [] : without.faults.map(({ path }) => path)).toContain(key);
    }
  });

  test('takes no key that it does not know', () => {
    expect(readStartCook({ ...start, hurry: true }).ok).toBe(false);
  });
});
