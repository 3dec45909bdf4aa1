import type { SimulatedCook } from '@hervir/core';

/** Seconds of a simulated cook's own time that are reckoned before others are answered. */
const SLICE_S = 600;

const breath = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));

/**
 * Lets a simulated cook go on to a second of its own time; requests are answered in between, however far that is.
 *
 * @param run the cook
 * @param seconds of its own time
 */
export async function advanceInSlices(run: SimulatedCook, seconds: number): Promise<void> {
  while (seconds - run.seconds > SLICE_S) {
    run.advanceTo(run.seconds + SLICE_S);
    await breath();
  }
  run.advanceTo(seconds);
}
