import { wrap, type Remote } from 'comlink';
import type { Reckoner } from './reckoning.worker';

const workers = new Map<string, Remote<Reckoner>>();

/**
 * A worker that reckons. What a hand waits for has one of its own, so that a wall chart or a "what if" never stands in
 * the way of a dragged handle.
 */
export function reckoner(errand: 'plan' | 'beside'): Remote<Reckoner> {
  let worker = workers.get(errand);
  if (!worker) {
    worker = wrap<Reckoner>(
      new Worker(new URL('./reckoning.worker.ts', import.meta.url), { type: 'module', name: `reckoning-${errand}` }),
    );
    workers.set(errand, worker);
  }
  return worker;
}
