import type { CookRecord } from '@hervir/contract';
import { cookState, type CookState } from '@hervir/core';
import { useEffect, useMemo } from 'react';
import { eventsOf, useCooks } from '../state/cooks-store';
import { follow } from './stream';
import { useTick } from './use-tick';

/** A cook at this moment; a rehearsal is one too. */
export interface LiveCook {
  readonly record: Pick<CookRecord, 'id' | 'name' | 'plan' | 'guide' | 'units'>;
  readonly state: CookState;
  readonly now: number;
}

/** A cook of this device's store, folded anew at every tick; null while it is not known. */
export function useCook(id: string): LiveCook | null {
  useEffect(follow, []);
  const now = useTick();
  const record = useCooks((store) => store.cooks[id]);
  const waiting = useCooks((store) => store.outbox[id]);
  const events = useMemo(
    () => eventsOf({ cooks: record ? { [id]: record } : {}, outbox: waiting ? { [id]: waiting } : {} }, id),
    [record, waiting, id],
  );
  return useMemo(
    () => (record ? { record, state: cookState(record.guide, events, now), now } : null),
    [record, events, now],
  );
}

/** All cooks under way, folded anew at every tick. */
export function useRunningCooks(): LiveCook[] {
  useEffect(follow, []);
  const now = useTick();
  const cooks = useCooks((store) => store.cooks);
  const outbox = useCooks((store) => store.outbox);
  return useMemo(
    () =>
      Object.values(cooks)
        .sort((a, b) => Date.parse(b.startedAt) - Date.parse(a.startedAt))
        .map((record) => ({ record, state: cookState(record.guide, eventsOf({ cooks, outbox }, record.id), now), now }))
        .filter(({ state }) => state.status !== 'finished'),
    [cooks, outbox, now],
  );
}
