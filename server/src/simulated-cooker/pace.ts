import { moveOf, TOLD_BY_COOKER, type SimulatedCook } from '@hervir/core';
import type { Pace } from '@hervir/contract';

/** A rehearsal longer than this has been forgotten, s of its own time. */
const LONGEST_S = 14 * 3600;

/**
 * Whether a rehearsal waits for hands at this moment, or only for time to go by.
 *
 * @param run the simulated cook
 */
export function needsHands(run: SimulatedCook): boolean {
  const { now } = run;
  if (!now) return true;
  const { step, dueAt } = now;
  const { device, pot } = run.kitchen;
  const isUp = dueAt !== null && run.nowMs >= dueAt;
  if (TOLD_BY_COOKER.has(step.done) && device.electric)
    return moveOf(step.moves, 'leave') !== undefined && step.done === 'ventOpened' && isUp;
  if (step.done === 'pinUp') return pot.pinIsUp;
  if (step.done === 'pinDown') return !pot.pinIsUp;
  return !step.counts || isUp;
}

/**
 * Lets real time go by over a run: fast while it waits for the pot, at real speed while it waits for hands.
 *
 * @param seconds real seconds, with what was left over last time
 * @returns real seconds left over, and how fast its own time goes now
 */
export function goOn(run: SimulatedCook, pace: Pace, seconds: number): { left: number; speed: number } {
  let left = seconds;
  let speed = pace.speed;
  while (run.seconds < LONGEST_S) {
    speed = pace.slowForHands && needsHands(run) ? 1 : pace.speed;
    const cost = run.stepS / speed;
    if (left < cost) return { left, speed };
    run.advanceTo(run.seconds + run.stepS);
    left -= cost;
  }
  return { left: 0, speed: 0 };
}
