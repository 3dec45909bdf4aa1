/** @jest-environment jsdom */
import { textOf } from '../language/t';
import { cookState, type CookEvent, type CookEventKind, type CookEventPayload } from '@hervir/core';
import { aCook } from '../testing/kitchen';
import { actionsVia, lastWords } from './actions';
import type { LiveCook } from './use-cook';

const record = aCook();
const BEGUN = Date.parse(record.startedAt);
let told: [CookEventKind, CookEventPayload | undefined][];
beforeEach(() => (told = []));

/** The cook after these, a minute apart. */
function cook(...events: readonly (readonly [CookEventKind, CookEventPayload?])[]): LiveCook {
  const all: CookEvent[] = [
    ...record.events,
    ...events.map(([kind, payload = {}], i) => ({
      id: `e${i}`,
      kind,
      at: new Date(BEGUN + (i + 1) * 60_000).toISOString(),
      payload,
    })),
  ];
  const now = BEGUN + (events.length + 1) * 60_000;
  return { record, now, state: cookState(record.guide, all, now) };
}
const actions = (live: LiveCook): ReturnType<typeof actionsVia> =>
  actionsVia(live, (kind, payload) => void told.push([kind, payload]));
const [first, second] = record.guide.steps;
const firstDone = [first?.done ?? 'stepDone', { step: first?.id }] as const;

describe('what is pressed at the pot', () => {
  test('the big button tells what its step ends with, and names the step', () => {
    const live = cook();
    const step = live.state.now?.step;
    if (!step) throw new Error('it has begun');
    actions(live).done(step);
    expect(told).toEqual([[step.done, { step: step.id }]]);
  });

  test('at the check the big button only goes on: a grade is told by its own', () => {
    const check = record.guide.steps.find(({ done }) => done === 'checked');
    if (!check) throw new Error('every braise is tried');
    actions(cook()).done(check);
    expect(told).toEqual([['stepDone', { step: check.id }]]);
  });

  test('a minute more is for what runs; nothing is told where nothing runs', () => {
    const live = cook();
    actions(live).more();
    actions(live).more(5);
    expect(told.map(([, payload]) => payload?.minutes)).toEqual([1, 5]);
    told = [];
    actions({ ...live, state: { ...live.state, now: null } }).more();
    expect(told).toEqual([]);
  });

  test('undo names the last thing that counted; without one it tells nothing', () => {
    actions(cook(firstDone)).undo();
    expect(told).toEqual([['undone', { event: 'e0' }]]);
    told = [];
    const live = cook();
    actions({ ...live, state: { ...live.state, last: null } }).undo();
    expect(told).toEqual([]);
  });

  test('the other button of a step tells the other thing', () => {
    const step = record.guide.steps.find(({ otherwise }) => otherwise !== null);
    if (!step?.otherwise) throw new Error('a pin may fall by itself');
    actions(cook()).otherwise(step);
    expect(told).toEqual([[step.otherwise.done, { step: step.id }]]);
  });
});

describe('what undo would take back, in the words of what was pressed', () => {
  test('nothing has been pressed yet', () => {
    expect(lastWords(cook())).toBeNull();
  });

  test.each<[string, readonly [CookEventKind, CookEventPayload?], string | undefined]>([
    ['a step', firstDone, first && textOf(first.button)],
    ['a minute', ['minutesAdded', { step: first?.id, minutes: 1 }], '1 min more'],
    ['not yet', ['notYet', { step: first?.id }], 'not yet'],
    ['a burn', ['burn'], 'burn'],
    ['a note', ['note', { text: 'more bay' }], 'the note'],
    ['a weight', ['weighed', { what: 'bought', grams: 1500 }], 'the weight'],
    ['closing', ['finished'], 'closing'],
  ])('%s', (_what, event, words) => {
    expect(lastWords(cook(event))).toBe(words);
  });

  test('after an undo it is what was there before', () => {
    const secondDone = [second?.done ?? 'stepDone', { step: second?.id }] as const;
    expect(lastWords(cook(firstDone, secondDone, ['undone', { event: 'e1' }]))).toBe(first && textOf(first.button));
  });

  test('what a linked cooker told is marked as such', () => {
    const upTo = record.guide.steps.findIndex(({ done }) => done === 'pinUp');
    const before = record.guide.steps.slice(0, upTo).map(({ id, done }) => [done, { step: id }] as const);
    const live = cook(...before, ['pinUp', { byCooker: true }]);
    expect(lastWords(live)).toBe('pin is up, told by the cooker');
  });
});
