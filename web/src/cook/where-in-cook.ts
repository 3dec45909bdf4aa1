import { sectionName, type CookState } from '@hervir/core';

/** "Letting down": the part of the work that a cook is in, in words. */
export function whereInCook({ status, now }: Pick<CookState, 'status' | 'now'>): string {
  if (status === 'served' || !now) return 'Served';
  return sectionName(now.step.section, now.step.run);
}
