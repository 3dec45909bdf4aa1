import type { CookMessages, CookRecord, EventsAnswer, RefusedEvent, StoredCookEvent } from '@hervir/contract';
import type { CookEvent, CookEventKind, CookEventPayload } from '@hervir/core';
import { create } from 'zustand';
import { Away, newId, Refused, request } from '../api/client';
import { forgetPresses, isPressKey, keepPress, keepRunning, keptPresses, keptRunning } from './device-cooks';

interface CooksState {
  readonly cooks: Readonly<Record<string, CookRecord>>;
  /** Pressed here and not yet known to be on the server's disk, in order. */
  readonly outbox: Readonly<Record<string, readonly CookEvent[]>>;
  /** What the server would not keep, by cook: the newest. */
  readonly refused: Readonly<Record<string, RefusedEvent>>;
  /** False while presses wait for the server. */
  readonly reached: boolean;
  /** Why they wait, where the server says so itself. */
  readonly why: string | null;
}

/** Cooks under way on this device: what the server knows of them, and what was pressed here since. */
export const useCooks = create<CooksState>()(() => ({
  // Both survive a closed browser: with the server away, a cook goes on from where it was.
  cooks: keptRunning(),
  outbox: keptPresses(),
  refused: {},
  reached: true,
  why: null,
}));

/** Cooks kept from another day of which the server has not spoken yet. */
const unconfirmed = new Set(Object.keys(useCooks.getState().cooks));

useCooks.subscribe(({ cooks }, before) => {
  if (cooks !== before.cooks) keepRunning(cooks);
});

// Pressed in another page of this browser, perhaps while the server is away.
window.addEventListener('storage', ({ key }) => {
  if (isPressKey(key)) useCooks.setState({ outbox: keptPresses() });
});

const FIRST_RETRY_MS = 500;
const LONGEST_RETRY_MS = 8000;

function merge(known: readonly StoredCookEvent[], more: readonly StoredCookEvent[]): StoredCookEvent[] {
  const bySeq = new Map([...known, ...more].map((event) => [event.seq, event]));
  return [...bySeq.values()].sort((a, b) => a.seq - b.seq);
}

/** Takes cooks as the server has them. */
export function receiveCooks(records: readonly CookRecord[]): void {
  useCooks.setState(({ cooks }) => {
    const next = { ...cooks };
    for (const record of records) {
      unconfirmed.delete(record.id);
      const known = next[record.id];
      next[record.id] = known ? { ...record, events: merge(known.events, record.events) } : record;
    }
    return { cooks: next };
  });
}

/**
 * Takes the list of all cooks under way, as the server has just given it: one that this device kept and that is not among
 * them has ended elsewhere.
 */
export function receiveRunning(records: readonly CookRecord[]): void {
  receiveCooks(records);
  useCooks.setState(({ cooks }) => ({
    cooks: Object.fromEntries(Object.entries(cooks).filter(([id]) => !unconfirmed.has(id))),
  }));
  unconfirmed.clear();
}

/** Forgets a cook that was thrown away, and what was pressed in it. */
export function forgetCook(id: string): void {
  forgetPresses((useCooks.getState().outbox[id] ?? []).map((event) => event.id));
  const without = <T>(of: Readonly<Record<string, T>>): Record<string, T> =>
    Object.fromEntries(Object.entries(of).filter(([cook]) => cook !== id));
  useCooks.setState(({ cooks, outbox }) => ({ cooks: without(cooks), outbox: without(outbox) }));
}

/** Takes an event that came over the stream. */
export function receiveEvent({ cook, event }: CookMessages['event']): void {
  useCooks.setState(({ cooks }) => {
    const known = cooks[cook];
    return known ? { cooks: { ...cooks, [cook]: { ...known, events: merge(known.events, [event]) } } } : {};
  });
}

/** All that is known to have happened in a cook, on the server's disk or only here. */
export function eventsOf({ cooks, outbox }: Pick<CooksState, 'cooks' | 'outbox'>, id: string): readonly CookEvent[] {
  return [...(cooks[id]?.events ?? []), ...(outbox[id] ?? [])];
}

/**
 * Something was pressed: it counts at once, is kept on the device, and sent. It bears a time after all that is known of the
 * cook, whatever the clock says: one that was set back in mid-cook must not put what follows before what it follows.
 *
 * @returns the event, for who wants to take it back
 */
export function press(cook: string, kind: CookEventKind, payload: CookEventPayload, atMs: number): CookEvent {
  const newest = Math.max(...eventsOf(useCooks.getState(), cook).map(({ at }) => Date.parse(at)));
  const event: CookEvent = { id: newId(), kind, at: new Date(Math.max(atMs, newest + 1)).toISOString(), payload };
  keepPress(cook, event);
  useCooks.setState(({ outbox }) => ({ outbox: { ...outbox, [cook]: [...(outbox[cook] ?? []), event] } }));
  void sendAll();
  return event;
}

function drop(cook: string, ids: ReadonlySet<string>, kept: readonly StoredCookEvent[] = []): void {
  forgetPresses(ids);
  useCooks.setState(({ outbox, cooks }) => {
    const left = (outbox[cook] ?? []).filter(({ id }) => !ids.has(id));
    const rest = Object.fromEntries(Object.entries(outbox).filter(([id]) => id !== cook));
    const known = cooks[cook];
    return {
      outbox: left.length > 0 ? { ...rest, [cook]: left } : rest,
      cooks: known ? { ...cooks, [cook]: { ...known, events: merge(known.events, kept) } } : cooks,
    };
  });
}

async function send(cook: string, events: readonly CookEvent[]): Promise<void> {
  try {
    const { kept, refused } = await request<EventsAnswer>('POST', `/cooks/${cook}/events`, { events });
    drop(cook, new Set(events.map(({ id }) => id)), kept);
    const last = refused.at(-1);
    if (last) useCooks.setState((state) => ({ refused: { ...state.refused, [cook]: last } }));
  } catch (error) {
    if (!(error instanceof Refused)) throw error;
    // The cook is gone, or the batch makes no sense to this server: sending it for ever would help nobody.
    drop(cook, new Set(events.map(({ id }) => id)));
    const [fault] = error.faults;
    if (fault) {
      useCooks.setState((state) => ({ refused: { ...state.refused, [cook]: { id: events[0]?.id ?? '', ...fault } } }));
    }
  }
}

let sending = false;
let retry = FIRST_RETRY_MS;
let timer: ReturnType<typeof setTimeout> | undefined;

/** Sends what waits, oldest first; tries again by itself while the server is away. */
export async function sendAll(): Promise<void> {
  if (sending) return;
  sending = true;
  clearTimeout(timer);
  try {
    for (;;) {
      const [waiting] = Object.entries(useCooks.getState().outbox);
      if (!waiting) break;
      await send(waiting[0], waiting[1].slice(0, 200));
    }
    retry = FIRST_RETRY_MS;
    useCooks.setState({ reached: true, why: null });
  } catch (error) {
    if (!(error instanceof Away)) throw error;
    useCooks.setState({ reached: false, why: error.why });
    timer = setTimeout(() => void sendAll(), retry);
    retry = Math.min(LONGEST_RETRY_MS, retry * 2);
  } finally {
    sending = false;
  }
}
