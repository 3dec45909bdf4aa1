import { cookState } from '@hervir/core';
import type { CookRecord } from '@hervir/contract';

/** A pot that is on the fire. */
export interface BusyPot {
  /** What is in it. */
  readonly name: string;
  readonly braiseId: string | null;
  /** When it is expected to be free, ms since 1970: when its dinner is. */
  readonly freeAt: number;
}

/**
 * The pots that are on the fire.
 *
 * @returns by the cooker's name
 */
export function busyPots(cooks: readonly CookRecord[], now: Date): ReadonlyMap<string, BusyPot> {
  const busy = new Map<string, BusyPot>();
  for (const { name, braiseId, plan, guide, events } of cooks) {
    const { status, dinner } = cookState(guide, events, now.getTime());
    if (status !== 'cooking') continue;
    const freeAt = Math.max(dinner.at, busy.get(plan.cooker.name)?.freeAt ?? 0);
    busy.set(plan.cooker.name, { name, braiseId, freeAt });
  }
  return busy;
}
