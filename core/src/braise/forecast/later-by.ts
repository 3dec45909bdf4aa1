import type { Forecast } from './forecast-document';

/**
 * How much later another plan is on the table, in the whole minutes that are shown of both: what is said beside two figures
 * is their difference, whatever lies behind the point.
 *
 * @param base the plan as it is
 * @param other the plan as it would be
 * @returns minutes; below zero it is sooner
 */
export function laterBy(base: Pick<Forecast, 'clock'>, other: Pick<Forecast, 'clock'>): number {
  return Math.round(other.clock.totalMinutes) - Math.round(base.clock.totalMinutes);
}
