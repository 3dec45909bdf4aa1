import { printDuration, type CookState } from '@hervir/core';

/** Less is on time, minutes. */
export const ON_TIME = 1.5;

/** "6 min behind plan"; "on time". */
export function driftWords({ driftMinutes }: CookState['dinner']): string {
  if (Math.abs(driftMinutes) < ON_TIME) return 'on time';
  const much = printDuration(Math.abs(driftMinutes));
  return driftMinutes > 0 ? `${much} behind plan` : `${much} ahead of plan`;
}
