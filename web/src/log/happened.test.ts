import { cookState, forecast, guideOf, newPlan, type CookEvent } from '@hervir/core';
import { happenedIn } from './happened';
import { textOf } from '../language/t';

const START = Date.parse('2027-01-17T15:00:00Z');
const guide = guideOf(forecast(newPlan({ cut: 'goat-neck', form: 'slices', grams: 1600 })));

/** What was told, a minute apart. */
function texts(
  ...told: readonly (readonly [id: string, kind: CookEvent['kind'], payload?: CookEvent['payload']])[]
): string[] {
  const events = told.map(([id, kind, payload = {}], i): CookEvent => ({
    id,
    kind,
    at: new Date(START + i * 60_000).toISOString(),
    payload,
  }));
  const state = cookState(guide, events, START + told.length * 60_000);
  return happenedIn(state, events).map(({ text }) => text);
}

const [first] = guide.steps;

describe('what happened, as it was pressed', () => {
  test('steps by their buttons, what went wrong, and words', () => {
    expect(
      texts(
        ['a', 'started'],
        ['b', first?.done ?? 'stepDone', { step: first?.id }],
        ['c', 'wentWrong', { trouble: 'too-salty' }],
        ['d', 'burn'],
        ['e', 'note', { text: 'more bay' }],
      ),
    ).toEqual(['Begun', first && textOf(first.button), 'It is too salty', 'It burnt: the heat went off', 'more bay']);
  });

  test('what was taken back is not there, and is again where that was taken back too', () => {
    const salty = ['b', 'wentWrong', { trouble: 'too-salty' }] as const;
    expect(texts(['a', 'started'], salty, ['c', 'undone', { event: 'b' }])).toEqual(['Begun']);
    expect(texts(['a', 'started'], salty, ['c', 'undone', { event: 'b' }], ['d', 'undone', { event: 'c' }])).toEqual([
      'Begun',
      'It is too salty',
    ]);
  });
});
