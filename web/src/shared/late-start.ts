import { shiftIso, type Forecast } from '@hervir/core';

/** A plan whose beginning has passed. */
export interface LateStart {
  readonly minutes: number;
  /** When dinner is, begun now. */
  readonly dinnerAt: string;
  /** Dinner itself has passed: it is another day's plan. */
  readonly over: boolean;
}

/** Less is now, minutes. */
const NOW = 1;

/** How late a plan is begun now; null where there is time, or no time was named. */
export function lateStart(
  { startAt, eatAt }: Pick<Forecast['clock'], 'startAt' | 'eatAt'>,
  now: Date,
): LateStart | null {
  if (startAt === null || eatAt === null) return null;
  const minutes = (now.getTime() - Date.parse(startAt)) / 60_000;
  if (minutes <= NOW) return null;
  return { minutes, dinnerAt: shiftIso(eatAt, minutes), over: Date.parse(eatAt) < now.getTime() };
}
