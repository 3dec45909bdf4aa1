import { useSyncExternalStore } from 'react';
import { beginTicker } from '../workers/begin';
import { nowMs } from './kitchen-clock';

let ticker: Worker | null = null;
let current = nowMs();
const watchers = new Set<() => void>();

function subscribe(watcher: () => void): () => void {
  watchers.add(watcher);
  if (ticker === null) {
    ticker = beginTicker();
    ticker.onmessage = () => {
      current = nowMs();
      for (const tell of watchers) tell();
    };
  }
  current = nowMs();
  return () => {
    watchers.delete(watcher);
    if (watchers.size > 0) return;
    ticker?.terminate();
    ticker = null;
  };
}

/** Now, ms since 1970 by the kitchen's clock, twice a second. Never counted: each time is read anew. */
export function useTick(): number {
  return useSyncExternalStore(subscribe, () => current);
}
