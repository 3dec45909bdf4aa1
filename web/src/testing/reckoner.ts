import type { LearntRow } from '@hervir/core';
import { reckoning } from '../workers/reckoning';

/** In the place of workers/reckoner: the same reckoning, on the page's own thread, answering later as a worker does. */
export function reckoner(): Record<string, (...given: unknown[]) => Promise<unknown>> {
  return Object.fromEntries(
    Object.entries(reckoning).map(([name, reckon]) => [
      name,
      async (...given: unknown[]): Promise<unknown> => {
        await Promise.resolve();
        return (reckon as (...all: unknown[]) => unknown)(...given);
      },
    ]),
  );
}

export function teach(rows: readonly LearntRow[]): void {
  reckoning.teach(rows);
}
