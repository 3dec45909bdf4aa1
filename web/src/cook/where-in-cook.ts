import { sectionName, type CookState } from '@hervir/core';
import { t, textOf } from '../language/t';

/** "Letting down": the part of the work that a cook is in, in words. */
export function whereInCook({ status, now }: Pick<CookState, 'status' | 'now'>): string {
  if (status === 'served' || !now) return t('cook.served');
  return textOf(sectionName(now.step.section, now.step.run));
}
