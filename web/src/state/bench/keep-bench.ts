import type { BraiseRecord } from '@hervir/contract';
import type { Plan } from '@hervir/core';
import { Away, Refused, request } from '../../api/client';
import type { BenchState } from './bench-reducer';
import { useBench } from './bench-store';
import { writeDraft } from './drafts';

const SAVE_AFTER_MS = 350;
const TRY_AGAIN_MS = 2000;

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
  try {
    await sending;
  } finally {
    sending = null;
  }
}

async function send(id: string, plan: Plan, revision: number, keepalive: boolean): Promise<void> {
  const { dispatch } = useBench;
  dispatch({ type: 'sending' });
  try {
    const record = await request<BraiseRecord>('PUT', `/braises/${id}`, { revision, plan }, keepalive);
    const { id: open, plan: newest } = useBench.getState();
    // On the server whole, unless it was edited in the meantime.
    if (open !== id || newest === plan) writeDraft(id, null);
    dispatch({ type: 'sent', plan, record });
  } catch (error) {
    if (error instanceof Refused && error.status === 409) {
      const { current } = error.body as { current: BraiseRecord };
      dispatch({ type: 'overtaken', id, theirs: current });
    } else if (error instanceof Refused) {
      dispatch({ type: 'refused', id, plan, faults: error.faults });
    } else {
      dispatch({ type: 'not-sent', id, why: error instanceof Away ? error.why : null });
      if (!(error instanceof Away)) throw error;
    }
  }
}

/** What a change of the bench asks of the device and of the server. */
function follow(state: BenchState, before: BenchState): void {
  const { id, plan, revision, save } = state;
  if (id === null || plan === null) return;
  const same = id === before.id;
  if (save.kind === 'saved') {
    // Theirs was taken: what was kept here is given up.
    if (same && before.save.kind === 'conflict') writeDraft(id, null);
    return;
  }
  // Whatever changes the plan, an edit, an undo or a redo, is kept on the device at once and sent soon after.
  if (same && (plan !== before.plan || revision !== before.revision)) writeDraft(id, { plan, revision });
  if (save.kind === 'away' && save !== before.save) schedule(TRY_AGAIN_MS);
  if (save.kind === 'unsaved' && (save !== before.save || plan !== before.plan))
    schedule(!same || before.save.kind === 'conflict' ? 0 : SAVE_AFTER_MS);
}

/**
 * Keeps what is on the bench from here on: each edit on this device at once and on the server soon after.
 *
 * @returns ends it; what is on its way still arrives
 */
export const keepBench = (): (() => void) => useBench.subscribe(follow);

/** Of two plans, the one that was changed here. Put away elsewhere, it is brought back first. */
export async function keepMine(): Promise<void> {
  const { id, save } = useBench.getState();
  if (id === null || save.kind !== 'conflict') return;
  if (save.theirs.deletedAt !== null) {
    try {
      await request('POST', `/braises/${id}/restore`);
    } catch {
      // It is still put away: the choice stays open.
      return;
    }
  }
  useBench.dispatch({ type: 'mine-kept', id });
}

/** Takes the plan off the bench; what was edited goes to the server meanwhile. */
export function closeBench(): void {
  void flush();
  useBench.dispatch({ type: 'closed' });
}
