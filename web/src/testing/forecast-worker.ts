import type { CalibrationRow } from '@hervir/core';
import { forecastApi } from '../workers/forecast-api';

/** In the place of workers/forecast-worker: the same reckoning, on the page's own thread, answering later as a worker does. */
export function forecastWorker(): Record<string, (...given: unknown[]) => Promise<unknown>> {
  return Object.fromEntries(
    Object.entries(forecastApi).map(([name, reckon]) => [
      name,
      async (...given: unknown[]): Promise<unknown> => {
        await Promise.resolve();
        return (reckon as (...all: unknown[]) => unknown)(...given);
      },
    ]),
  );
}

export function teach(rows: readonly CalibrationRow[]): void {
  forecastApi.teach(rows);
}
