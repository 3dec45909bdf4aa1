import type { BraiseRecord, Fault } from '@hervir/contract';
import type { Plan } from '@hervir/core';
import { temporal } from 'zundo';
import { create } from 'zustand';
import { Away, Refused, request } from '../api/client';

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

interface BenchState {
  readonly id: string | null;
  readonly plan: Plan | null;
  readonly revision: number;
  readonly save: SaveState;
  /** Minutes under a dragged handle: reckoned and drawn, kept only when let go. */
  readonly dragged: number | null;
  readonly open: (record: BraiseRecord) => void;
  readonly close: () => void;
  readonly edit: (change: (plan: Plan) => Plan) => void;
  readonly drag: (minutes: number | null) => void;
  readonly takeTheirs: () => void;
  readonly keepMine: () => void;
}

const SAVE_AFTER_MS = 350;
const TRY_AGAIN_MS = 2000;

const draftKey = (id: string): string => `hervir.draft.${id}`;

interface Draft {
  readonly plan: Plan;
  readonly revision: number;
}

function readDraft(id: string): Draft | null {
  try {
    const text = localStorage.getItem(draftKey(id));
    return text === null ? null : (JSON.parse(text) as Draft);
  } catch {
    // A draft that cannot be read is worth less than a bench that cannot be opened.
    return null;
  }
}

function writeDraft(id: string, draft: Draft | null): void {
  try {
    if (draft === null) localStorage.removeItem(draftKey(id));
    else localStorage.setItem(draftKey(id), JSON.stringify(draft));
  } catch {
    // Storage is full or forbidden: the edit still goes to the server, only not to this second place.
  }
}

/** The plan on the bench: one place that changes it, saves it, and undoes it. */
export const useBench = create<BenchState>()(
  temporal(
    (set, get) => ({
      id: null,
      plan: null,
      revision: 0,
      save: { kind: 'saved' },
      dragged: null,
      open(record) {
        const draft = readDraft(record.id);
        if (draft === null) {
          set({ id: record.id, plan: record.plan, revision: record.revision, save: { kind: 'saved' }, dragged: null });
        } else if (draft.revision === record.revision) {
          set({ id: record.id, plan: draft.plan, revision: record.revision, save: { kind: 'unsaved' }, dragged: null });
          schedule(0);
        } else {
          set({
            id: record.id,
            plan: draft.plan,
            revision: draft.revision,
            save: { kind: 'conflict', theirs: record },
            dragged: null,
          });
        }
        useBench.temporal.getState().clear();
      },
      close() {
        void flush();
        set({ id: null, plan: null, save: { kind: 'saved' }, dragged: null });
        useBench.temporal.getState().clear();
      },
      edit(change) {
        const { plan } = get();
        if (plan === null) return;
        // What was learnt is added where it is reckoned, anew each time: a plan that is kept has none of it.
        set({ plan: { ...change(plan), learnt: undefined } });
      },
      drag: (dragged) => set({ dragged }),
      takeTheirs() {
        const { save, id } = get();
        if (save.kind !== 'conflict' || id === null) return;
        writeDraft(id, null);
        set({ plan: save.theirs.plan, revision: save.theirs.revision, save: { kind: 'saved' } });
      },
      keepMine() {
        const { save, id } = get();
        if (save.kind !== 'conflict') return;
        const { revision, deletedAt } = save.theirs;
        const mine = (): void => {
          if (get().id !== id) return;
          set({ revision, save: { kind: 'unsaved' } });
          schedule(0);
        };
        if (deletedAt === null) mine();
        // Put away elsewhere: it comes back first, and then has what was changed here.
        else void request('POST', `/braises/${id}/restore`).then(mine, () => undefined);
      },
    }),
    {
      partialize: ({ plan }) => ({ plan }),
      limit: 100,
      equality: (before, after) => before.plan === after.plan,
    },
  ),
);

let timer: ReturnType<typeof setTimeout> | undefined;
let sending: Promise<void> | null = null;

function schedule(after: number): void {
  clearTimeout(timer);
  timer = setTimeout(() => void flush(), after);
}

/** Sends the newest plan, if there is one to send; waits for a send under way. */
export async function flush(keepalive = false): Promise<void> {
  clearTimeout(timer);
  if (sending) await sending;
  const { id, plan, revision, save } = useBench.getState();
  if (id === null || plan === null || (save.kind !== 'unsaved' && save.kind !== 'away')) return;
  sending = send(id, plan, revision, keepalive);
  await sending;
  sending = null;
}

async function send(id: string, plan: Plan, revision: number, keepalive: boolean): Promise<void> {
  const here = (): boolean => useBench.getState().id === id;
  useBench.setState({ save: { kind: 'saving' } });
  try {
    const record = await request<BraiseRecord>('PUT', `/braises/${id}`, { revision, plan }, keepalive);
    const newest = !here() || useBench.getState().plan === plan;
    if (newest) writeDraft(id, null);
    if (!here()) return;
    useBench.setState({ revision: record.revision, save: { kind: newest ? 'saved' : 'unsaved' } });
    if (!newest) {
      writeDraft(id, { plan: useBench.getState().plan as Plan, revision: record.revision });
      schedule(SAVE_AFTER_MS);
    }
  } catch (error) {
    if (!here()) return;
    if (error instanceof Refused && error.status === 409) {
      const { current } = error.body as { current: BraiseRecord };
      useBench.setState({ save: { kind: 'conflict', theirs: current } });
    } else if (error instanceof Refused && useBench.getState().plan !== plan) {
      // What was refused has been edited in the meantime: the newer plan gets its own answer.
      useBench.setState({ save: { kind: 'unsaved' } });
      schedule(SAVE_AFTER_MS);
    } else if (error instanceof Refused) {
      useBench.setState({ save: { kind: 'refused', faults: error.faults } });
    } else {
      useBench.setState({ save: { kind: 'away', why: error instanceof Away ? error.why : null } });
      schedule(TRY_AGAIN_MS);
      if (!(error instanceof Away)) throw error;
    }
  }
}

// Whatever changes the plan, an edit, an undo or a redo, is kept on the device at once and sent soon after.
useBench.subscribe((state, before) => {
  if (state.plan === before.plan || state.id === null || state.id !== before.id || state.plan === null) return;
  if (state.save.kind === 'saved' && before.save.kind === 'conflict') return;
  writeDraft(state.id, { plan: state.plan, revision: state.revision });
  if (state.save.kind === 'conflict') return;
  useBench.setState({ save: { kind: 'unsaved' } });
  schedule(SAVE_AFTER_MS);
});

/** One step back. */
export function undo(): void {
  if (useBench.temporal.getState().pastStates.some((past) => past.plan !== null)) useBench.temporal.getState().undo();
}

/** One step forward again. */
export function redo(): void {
  useBench.temporal.getState().redo();
}
