import { printDuration } from '@hervir/language';
import type { CookState } from '@hervir/core';
import { t } from '../language/t';

/** Less is on time, minutes. */
export const ON_TIME = 1.5;

/** "6 min behind plan"; "on time". */
export function driftWords({ driftMinutes }: CookState['dinner']): string {
  if (Math.abs(driftMinutes) < ON_TIME) return t('cook.on-time');
  const much = printDuration(Math.abs(driftMinutes));
  return driftMinutes > 0 ? t('cook.behind-plan', { much }) : t('cook.ahead-of-plan', { much });
}
