import type { CalibrationRow } from '@hervir/core';
import { wrap, type Remote } from 'comlink';
import { beginForecasting } from './begin';
import type { ForecastApi } from './forecast-api';

const workers = new Map<string, Remote<ForecastApi>>();
let learnt: readonly CalibrationRow[] = [];

/** Everything that reckons goes by what the log has taught. */
export function teach(rows: readonly CalibrationRow[]): void {
  learnt = rows;
  for (const worker of workers.values()) void worker.teach(rows);
}

/**
 * A worker that reckons. What a hand waits for has one of its own, so that a wall chart or a "what if" never stands in
 * the way of a dragged handle.
 */
export function forecastWorker(errand: 'plan' | 'beside'): Remote<ForecastApi> {
  let worker = workers.get(errand);
  if (!worker) {
    worker = wrap<ForecastApi>(beginForecasting(`forecast-${errand}`));
    workers.set(errand, worker);
    if (learnt.length > 0) void worker.teach(learnt);
  }
  return worker;
}
