import { shiftIso, type DinnerOdds, type Forecast } from '@hervir/core';

/** A time to begin, and how sure dinner is by its time then. */
interface Beginning {
  readonly at: string;
  /** 0 to 1; null until it is reckoned. */
  readonly inTime: number | null;
  /** How much earlier that is than the plan takes, minutes. */
  readonly spare: number;
}

/** What a cook goes by, and the other one where there is one. */
export interface Beginnings {
  readonly taken: Beginning;
  readonly other: Beginning | null;
}

/** How sure one may want a dinner to be before one sits down to wait for it. */
const FAIRLY_SURE = 0.8;

/**
 * When to begin: as long before dinner as the plan takes, or so much earlier that dinner is fairly sure to be in time.
 *
 * @param forecast of a plan with a dinner
 * @param odds of that dinner; null until they are reckoned
 * @param wantsSure whether this cook goes by the second
 * @param now what has passed by is no time to begin
 * @returns null where the plan has no dinner
 */
export function beginningOf(
  { clock: { startAt } }: Pick<Forecast, 'clock'>,
  odds: Pick<DinnerOdds, 'inTime' | 'beginnings'> | null,
  wantsSure: boolean,
  now: Date,
): Beginnings | null {
  if (startAt === null) return null;
  const own: Beginning = { at: startAt, inTime: odds?.inTime ?? null, spare: 0 };
  const earlier = odds?.beginnings.find(({ chance }) => chance === FAIRLY_SURE)?.earlier ?? 0;
  const at = shiftIso(startAt, -earlier);
  if (earlier <= 0 || Date.parse(at) < now.getTime()) return { taken: own, other: null };
  const sure: Beginning = { at, inTime: FAIRLY_SURE, spare: earlier };
  return wantsSure ? { taken: sure, other: own } : { taken: own, other: sure };
}
