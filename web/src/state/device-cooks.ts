import type { CookRecord } from '@hervir/contract';
import type { CookEvent } from '@hervir/core';

/**
 * What this device keeps of its cooks. Each press has a key of its own: several pages of one browser share this storage,
 * and one that writes never takes away what another has pressed. A full storage loses nothing that is in memory.
 */
const PRESS = 'hervir.press.';
const RUNNING = 'hervir.running';
/** Where presses were kept, all in one, up to version 1. */
const FORMER = 'hervir.cooks';

interface KeptPress {
  readonly cook: string;
  /** Order in which it was pressed, across pages: the time, and a count within it. */
  readonly order: number;
  readonly event: CookEvent;
}

function read<T>(key: string): T | null {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null') as T | null;
  } catch {
    return null;
  }
}

function write(key: string, value: unknown): void {
  try {
    localStorage.setItem(key, JSON.stringify(value));
  } catch {
    // Full, or forbidden: it counts in memory, and is sent from there.
  }
}

let count = 0;

/** Keeps a press until it is known to be on the server's disk. */
export function keepPress(cook: string, event: CookEvent): void {
  count += 1;
  write(PRESS + event.id, { cook, order: Date.now() + count / 1e6, event } satisfies KeptPress);
}

/** Forgets presses that the server has, or will not have. */
export function forgetPresses(ids: Iterable<string>): void {
  for (const id of ids) localStorage.removeItem(PRESS + id);
}

/** Whether a key of the storage, as a storage event names it, is a press. */
export function isPressKey(key: string | null): boolean {
  return key?.startsWith(PRESS) ?? false;
}

/** All presses kept, by cook, oldest first. */
export function keptPresses(): Record<string, CookEvent[]> {
  const kept = Object.keys(localStorage)
    .filter(isPressKey)
    .map((key) => read<KeptPress>(key))
    .filter((press) => press !== null)
    .sort((a, b) => a.order - b.order);
  const byCook: Record<string, CookEvent[]> = {};
  const former = read<{ state?: { outbox?: Record<string, CookEvent[]> } }>(FORMER)?.state?.outbox ?? {};
  for (const [cook, events] of Object.entries(former)) {
    byCook[cook] = events;
    events.forEach((event) => keepPress(cook, event));
  }
  localStorage.removeItem(FORMER);
  for (const { cook, event } of kept) (byCook[cook] ??= []).push(event);
  return byCook;
}

/** Keeps the cooks under way, so that a page opened while the server is away goes on with them. */
export function keepRunning(cooks: Readonly<Record<string, CookRecord>>): void {
  const isRunning = ({ finishedAt, events }: CookRecord): boolean =>
    finishedAt === null && !events.some(({ kind }) => kind === 'finished');
  write(RUNNING, Object.fromEntries(Object.entries(cooks).filter(([, record]) => isRunning(record))));
}

/** The cooks that were under way when the server was last heard. */
export function keptRunning(): Record<string, CookRecord> {
  return read<Record<string, CookRecord>>(RUNNING) ?? {};
}
