import type { BraiseRecord, Fault } from '@hervir/contract';
import type { Plan } from '@hervir/core';

/** Where the cook's last edit is. */
export type SaveState =
  | { readonly kind: 'saved' }
  | { readonly kind: 'unsaved' }
  | { readonly kind: 'saving' }
  /** The server does not answer: kept on this device, sent again by itself. */
  | { readonly kind: 'away'; readonly why: string | null }
  /** The server refused a field: kept on this device until it is mended. */
  | { readonly kind: 'refused'; readonly faults: readonly Fault[] }
  /** Saved elsewhere in between: the cook chooses. */
  | { readonly kind: 'conflict'; readonly theirs: BraiseRecord };

/** An edit that is not on the server yet, with the revision it came from. */
export interface Draft {
  readonly plan: Plan;
  readonly revision: number;
}

/** The plan on the bench, what it was and would be again, and where its last edit is. */
export interface BenchState {
  readonly id: string | null;
  readonly plan: Plan | null;
  readonly revision: number;
  readonly save: SaveState;
  /** Minutes under a dragged handle: reckoned and drawn, kept only when let go. */
  readonly dragged: number | null;
  /** Plans to step back to, the newest last. */
  readonly past: readonly Plan[];
  /** Plans to step forward to, the next one last. */
  readonly future: readonly Plan[];
}

export type BenchAction =
  | { readonly type: 'opened'; readonly record: BraiseRecord; readonly draft: Draft | null }
  | { readonly type: 'closed' }
  | { readonly type: 'edited'; readonly change: (plan: Plan) => Plan }
  | { readonly type: 'undone' }
  | { readonly type: 'redone' }
  | { readonly type: 'dragged'; readonly minutes: number | null }
  | { readonly type: 'sending' }
  | { readonly type: 'sent'; readonly plan: Plan; readonly record: BraiseRecord }
  | { readonly type: 'not-sent'; readonly id: string; readonly why: string | null }
  | { readonly type: 'refused'; readonly id: string; readonly plan: Plan; readonly faults: readonly Fault[] }
  | { readonly type: 'overtaken'; readonly id: string; readonly theirs: BraiseRecord }
  | { readonly type: 'theirs-taken' }
  | { readonly type: 'mine-kept'; readonly id: string };

/** So many steps back. */
const STEPS = 100;

export const EMPTY_BENCH: BenchState = {
  id: null,
  plan: null,
  revision: 0,
  save: { kind: 'saved' },
  dragged: null,
  past: [],
  future: [],
};

/** What is changed while two plans stand against each other waits for the cook's choice. */
const changed = ({ save }: BenchState): SaveState => (save.kind === 'conflict' ? save : { kind: 'unsaved' });

/** Every way the bench changes, in one place: pure, so that what it does to the device and the server lies elsewhere. */
export function benchReducer(state: BenchState, action: BenchAction): BenchState {
  switch (action.type) {
    case 'opened':
      return state.id === action.record.id ? readAgain(state, action.record) : opened(action.record, action.draft);
    case 'closed':
      return EMPTY_BENCH;
    case 'edited': {
      const { plan } = state;
      if (plan === null) return state;
      // What was learnt is added where it is reckoned, anew each time: a plan that is kept has none of it.
      const next = { ...action.change(plan), learnt: undefined };
      return { ...state, plan: next, past: [...state.past, plan].slice(-STEPS), future: [], save: changed(state) };
    }
    case 'undone':
      return stepped(state, 'past', 'future');
    case 'redone':
      return stepped(state, 'future', 'past');
    case 'dragged':
      return { ...state, dragged: action.minutes };
    case 'sending':
      return { ...state, save: { kind: 'saving' } };
    case 'sent': {
      if (state.id !== action.record.id) return state;
      // Edited while it was on its way: the newer plan goes on from the revision this one was given.
      const save: SaveState = state.plan === action.plan ? { kind: 'saved' } : { kind: 'unsaved' };
      return { ...state, revision: action.record.revision, save };
    }
    case 'not-sent':
      return state.id === action.id ? { ...state, save: { kind: 'away', why: action.why } } : state;
    case 'refused':
      if (state.id !== action.id) return state;
      // What was refused has been edited in the meantime: the newer plan gets its own answer.
      return {
        ...state,
        save: state.plan === action.plan ? { kind: 'refused', faults: action.faults } : { kind: 'unsaved' },
      };
    case 'overtaken':
      return state.id === action.id ? { ...state, save: { kind: 'conflict', theirs: action.theirs } } : state;
    case 'theirs-taken': {
      const { save, plan } = state;
      if (save.kind !== 'conflict' || plan === null) return state;
      const { theirs } = save;
      return {
        ...state,
        plan: theirs.plan,
        revision: theirs.revision,
        save: { kind: 'saved' },
        past: [...state.past, plan].slice(-STEPS),
        future: [],
      };
    }
    case 'mine-kept': {
      const { save } = state;
      if (save.kind !== 'conflict' || state.id !== action.id) return state;
      return { ...state, revision: save.theirs.revision, save: { kind: 'unsaved' } };
    }
  }
}

/** A plan as it was opened: with an edit that never reached the server, or against what was saved elsewhere since. */
function opened(record: BraiseRecord, draft: Draft | null): BenchState {
  const open = { ...EMPTY_BENCH, id: record.id, plan: draft?.plan ?? record.plan, revision: record.revision };
  if (draft === null) return open;
  if (draft.revision === record.revision) return { ...open, save: { kind: 'unsaved' } };
  return { ...open, revision: draft.revision, save: { kind: 'conflict', theirs: record } };
}

/**
 * The open plan, read again from the server: an answer may come from before the last edit was saved, and takes nothing back.
 * What was saved elsewhere since takes the place of a plan that stands as it was saved; an edit that is not saved yet is sent,
 * and the server says that it was overtaken.
 */
function readAgain(state: BenchState, { plan: theirs, revision }: BraiseRecord): BenchState {
  const { plan, save } = state;
  if (plan === null || revision <= state.revision || save.kind !== 'saved') return state;
  return { ...state, plan: theirs, revision, past: [...state.past, plan].slice(-STEPS), future: [] };
}

function stepped(state: BenchState, from: 'past' | 'future', to: 'past' | 'future'): BenchState {
  const plan = state[from].at(-1);
  if (plan === undefined || state.plan === null) return state;
  return {
    ...state,
    plan,
    [from]: state[from].slice(0, -1),
    [to]: [...state[to], state.plan],
    save: changed(state),
  };
}
