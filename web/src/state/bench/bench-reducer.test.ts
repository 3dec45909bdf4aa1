import type { BraiseRecord } from '@hervir/contract';
import { newPlan, type Plan } from '@hervir/core';
import * as fc from 'fast-check';
import { benchReducer, EMPTY_BENCH, type BenchAction, type BenchState } from './bench-reducer';

const plan: Plan = newPlan({ cut: 'goat-neck', form: 'slices', grams: 1600 });
const record: BraiseRecord = {
  id: 'one',
  plan,
  revision: 1,
  createdAt: '2027-01-17T12:00:00Z',
  updatedAt: '2027-01-17T12:00:00Z',
  deletedAt: null,
};
const named = (name: string): BenchAction => ({ type: 'edited', change: (before) => ({ ...before, name }) });
const after = (...actions: readonly BenchAction[]): BenchState =>
  actions.reduce(benchReducer, benchReducer(EMPTY_BENCH, { type: 'opened', record, draft: null }));

describe('the bench, action by action', () => {
  test('an edit after a step back forgets what lay ahead', () => {
    const state = after(named('A'), named('B'), { type: 'undone' }, named('C'), { type: 'redone' });
    expect(state.plan?.name).toBe('C');
    expect(state.past.map(({ name }) => name)).toEqual(['', 'A']);
  });

  test('an answer from before an edit was saved takes nothing back', () => {
    const edited = after(named('A'), { type: 'sending' });
    const sent = benchReducer(edited, {
      type: 'sent',
      plan: edited.plan as Plan,
      record: { ...record, plan: edited.plan as Plan, revision: 2 },
    });
    expect(sent.save.kind).toBe('saved');
    // Asked for before the edit was sent, answered after it.
    expect(benchReducer(sent, { type: 'opened', record, draft: null })).toBe(sent);
    expect(benchReducer(edited, { type: 'opened', record, draft: null })).toBe(edited);
  });

  test('a plan that was saved elsewhere takes the place of one that stands as it was saved, a step back away', () => {
    const theirs = { ...record, plan: { ...plan, name: 'theirs' }, revision: 5 };
    const state = benchReducer(after(), { type: 'opened', record: theirs, draft: null });
    expect(state).toMatchObject({ plan: { name: 'theirs' }, revision: 5, save: { kind: 'saved' } });
    expect(benchReducer(state, { type: 'undone' }).plan?.name).toBe('');
    // What is not saved yet is sent, and the server says that it was overtaken.
    const edited = after(named('mine'));
    expect(benchReducer(edited, { type: 'opened', record: theirs, draft: null })).toBe(edited);
  });

  test('steps are counted to a hundred', () => {
    const state = after(...Array.from({ length: 130 }, (_, i) => named(String(i))));
    expect(state.past).toHaveLength(100);
    expect(state.past.at(-1)?.name).toBe('128');
  });

  test('any steps back and as many forward end where they began, and each is to be saved', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ maxLength: 5 }), { minLength: 1, maxLength: 12 }), fc.nat(11), (names, back) => {
        const edited = after(...names.map(named));
        const steps = Math.min(back + 1, names.length);
        const undone = Array.from({ length: steps }, (): BenchAction => ({ type: 'undone' })).reduce(
          benchReducer,
          edited,
        );
        const redone = Array.from({ length: steps }, (): BenchAction => ({ type: 'redone' })).reduce(
          benchReducer,
          undone,
        );
        expect(undone.plan?.name).toBe(names[names.length - steps - 1] ?? '');
        expect(redone.plan).toBe(edited.plan);
        expect(undone.save.kind).toBe('unsaved');
      }),
    );
  });

  test('what comes back for a plan that is not on the bench any more changes nothing', () => {
    const other = after(named('Mine'));
    for (const action of [
      { type: 'sent', plan, record: { ...record, id: 'two', revision: 9 } },
      { type: 'not-sent', id: 'two', why: null },
      { type: 'refused', id: 'two', plan, faults: [] },
      { type: 'overtaken', id: 'two', theirs: record },
      { type: 'mine-kept', id: 'two' },
      { type: 'theirs-taken' },
    ] as const) {
      expect(benchReducer(other, action)).toBe(other);
    }
  });

  test('with nothing on the bench an edit, an undo and a redo do nothing', () => {
    for (const action of [named('A'), { type: 'undone' }, { type: 'redone' }] as const) {
      expect(benchReducer(EMPTY_BENCH, action)).toBe(EMPTY_BENCH);
    }
  });

  test('while two plans stand against each other an edit keeps the choice open', () => {
    const theirs = { ...record, revision: 4 };
    const state = after(named('Mine'), { type: 'overtaken', id: 'one', theirs }, named('Mine, longer'));
    expect(state.save).toEqual({ kind: 'conflict', theirs });
    // Theirs can be undone to mine again.
    const taken = benchReducer(state, { type: 'theirs-taken' });
    expect(taken).toMatchObject({ plan, revision: 4, save: { kind: 'saved' } });
    expect(benchReducer(taken, { type: 'undone' }).plan?.name).toBe('Mine, longer');
  });

  test('an edit never keeps what was learnt', () => {
    expect(
      after({ type: 'edited', change: (before) => ({ ...before, learnt: { heat: { factor: 1.2, cooks: 3 } } }) }).plan
        ?.learnt,
    ).toBeUndefined();
  });
});
