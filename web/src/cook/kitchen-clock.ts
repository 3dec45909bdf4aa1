import type { ClockNow } from '@hervir/contract';
import { create } from 'zustand';
import { request } from '../api/client';

/**
 * The kitchen's clock on this device: the server's, carried on by the browser's steady count. A device whose own clock is
 * moved, or wrong, still counts down to the same moments as all others.
 */
let told: { readonly now: number; readonly speed: number; readonly steady: number; readonly wall: number } | null =
  null;

/** Steady count and wall clock that part by more mean a sleep, or a clock that was moved, ms. */
const PARTED = 1500;

/** How far the kitchen's clock is ahead of this device's, ms: kept for a page that is opened while the server is away. */
const AHEAD = 'hervir.clock-ahead';

/** Whether a time to go by is known: the server's, or on a device that knew it before or cannot ask, its own. */
export const useClockKnown = create<{ readonly known: boolean }>()(() => ({
  known: localStorage.getItem(AHEAD) !== null,
}));

const known = (): void => {
  if (!useClockKnown.getState().known) useClockKnown.setState({ known: true });
};

/** Takes the server's time. */
export function setClock({ now, speed }: ClockNow): void {
  told = { now: Date.parse(now), speed, steady: performance.now(), wall: Date.now() };
  known();
  try {
    localStorage.setItem(AHEAD, String(told.now - told.wall));
  } catch {
    // Full or forbidden: such a page goes by the device's own clock then.
  }
}

function ahead(): number {
  const kept = Number(localStorage.getItem(AHEAD) ?? 0);
  return Number.isFinite(kept) ? kept : 0;
}

/** How far the wall clock has run ahead of the steady count since the server was last heard, ms. */
function parted(): number {
  return told === null ? 0 : Date.now() - told.wall - (performance.now() - told.steady);
}

/** Now, ms since 1970, by the kitchen's clock. */
export function nowMs(): number {
  if (told === null) return Date.now() + ahead();
  // A browser's steady count may stand still while the device sleeps: then the wall clock knows better, until the
  // server is heard again.
  const slept = parted() > PARTED ? parted() : 0;
  return told.now + (performance.now() - told.steady + slept) * told.speed;
}

/** Asks the server for the time; without an answer the device goes on by itself. */
export async function askClock(): Promise<void> {
  try {
    setClock(await request<ClockNow>('GET', '/clock'));
  } catch {
    // Away: the countdown goes on, which is what it is for.
    known();
  }
}

/** Asks again whenever the device may have slept or its clock been moved. */
export function keepClock(): () => void {
  void askClock();
  const woke = (): void => {
    if (document.visibilityState === 'visible') void askClock();
  };
  const look = setInterval(() => {
    if (Math.abs(parted()) > PARTED) void askClock();
  }, 2000);
  document.addEventListener('visibilitychange', woke);
  window.addEventListener('online', woke);
  return () => {
    clearInterval(look);
    document.removeEventListener('visibilitychange', woke);
    window.removeEventListener('online', woke);
  };
}
