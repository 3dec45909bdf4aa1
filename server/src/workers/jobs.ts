/**
 * What is done beside the thread that answers requests, by name. Every job takes and gives plain data; what a cook can mend
 * comes back as faults and is not thrown, since errors lose their kind on the way between threads.
 */
import { faultOfPlanError, readPlan as readPlanNow, type Read, type RecipeReading } from '@hervir/contract';
import {
  chanceBy,
  dinnerOdds,
  forecast as forecastNow,
  guideOf,
  PlanError,
  withCalibration,
  type Cooker,
  type Forecast,
  type Guide,
  type GuidePart,
  type Kitchen,
  type CalibrationRow,
  type Plan,
} from '@hervir/core';
import type { Promised } from '../log/entry';
import { readRecipe as readRecipeNow, type PutRight } from '../recipes/read-recipe';
import { say } from '@hervir/language';

export { makeBackup } from '../backup/make-backup';
export { checkBackup, putBackup } from '../backup/put-backup';
export { checkCsv, keepCsv, observeCsv } from '../log/csv-jobs';

/** Reads a plan and reckons it. */
export const readPlan = (input: unknown): Read<Plan> => readPlanNow(input);

/** What is reckoned, or the field for which it cannot be: a kept plan may be one that this Hervir refuses. */
function reckoned<T>(work: () => T): Read<T> {
  try {
    return { ok: true, value: work() };
  } catch (error) {
    if (error instanceof PlanError) return { ok: false, faults: [faultOfPlanError(error)] };
    throw error;
  }
}

/** A forecast of a plan. */
export const forecast = ({ plan }: { plan: Plan }): Read<Forecast> => reckoned(() => forecastNow(plan));

/** A forecast with the chance that its dinner is in time, for who begins so late, or so early. */
export const promised = ({ plan, begunAt }: { plan: Plan; begunAt: string }): Read<Promised> =>
  reckoned(() => {
    const current = forecastNow(plan);
    const { startAt } = current.clock;
    if (startAt === null) return { forecast: current, inTime: null };
    const late = (Date.parse(begunAt) - Date.parse(startAt)) / 60_000;
    return { forecast: current, inTime: chanceBy(dinnerOdds(current), -late) };
  });

/** A forecast with the guide through its cook, or through the day it is eaten. */
export const guide = ({ plan, part }: { plan: Plan; part: GuidePart }): Read<Reckoned> =>
  reckoned(() => {
    const current = forecastNow(plan);
    return { forecast: current, guide: guideOf(current, part) };
  });

/** What a cook begins with. */
export interface Reckoned {
  readonly forecast: Forecast;
  readonly guide: Guide;
}

/** What a recipe is read with. */
export interface RecipeGiven {
  readonly text: string;
  readonly right: PutRight;
  readonly cooker: Cooker;
  readonly kitchen: Kitchen;
  readonly confidence: number;
  readonly learnt: readonly CalibrationRow[];
}

/** Reads a recipe; a correction that names nothing of the catalog is a fault. */
export function readRecipe({ text, right, learnt, ...given }: RecipeGiven): Read<RecipeReading> {
  try {
    const taught = (plan: Plan): Plan => withCalibration(plan, { rows: learnt });
    return { ok: true, value: readRecipeNow(text, { ...given, taught }, right) };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    const fault = {
      path: 'corrections',
      problem: error.message.slice(0, 200),
      allowed: say('jobs.something-of-the-catalog'),
    };
    return { ok: false, faults: [fault] };
  }
}
