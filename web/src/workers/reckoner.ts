import type { LearntRow } from '@hervir/core';
import { wrap, type Remote } from 'comlink';
import { beginReckoning } from './begin';
import type { Reckoner } from './reckoning';

const workers = new Map<string, Remote<Reckoner>>();
let learnt: readonly LearntRow[] = [];

/** Everything that reckons goes by what the log has taught. */
export function teach(rows: readonly LearntRow[]): void {
  learnt = rows;
  for (const worker of workers.values()) void worker.teach(rows);
}

/**
 * A worker that reckons. What a hand waits for has one of its own, so that a wall chart or a "what if" never stands in
 * the way of a dragged handle.
 */
export function reckoner(errand: 'plan' | 'beside'): Remote<Reckoner> {
  let worker = workers.get(errand);
  if (!worker) {
    worker = wrap<Reckoner>(beginReckoning(`reckoning-${errand}`));
    workers.set(errand, worker);
    if (learnt.length > 0) void worker.teach(learnt);
  }
  return worker;
}
