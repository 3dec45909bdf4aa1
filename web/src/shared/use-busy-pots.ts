import type { CookRecord } from '@hervir/contract';
import { useEffect, useMemo, useState } from 'react';
import { useRunning } from '../api/queries';
import type { BusyPot, busyPots } from './busy-pots';

const NOTHING_COOKS: readonly CookRecord[] = [];
const NONE: ReadonlyMap<string, BusyPot> = new Map();

/**
 * The pots that are on the fire, by the cooker's name; null for the moment it takes to fetch what reads a cook, for mostly
 * nothing cooks. Each cook is folded anew with the time and its events, and not at every key.
 */
export function useBusyPots(now: Date): ReadonlyMap<string, BusyPot> | null {
  const cooks = useRunning().data ?? NOTHING_COOKS;
  const [read, setRead] = useState<typeof busyPots | null>(null);
  const cooking = cooks.length > 0;
  useEffect(() => {
    if (cooking) void import('./busy-pots').then((module) => setRead(() => module.busyPots));
  }, [cooking]);
  return useMemo(() => (cooking ? (read?.(cooks, now) ?? null) : NONE), [cooking, read, cooks, now]);
}
