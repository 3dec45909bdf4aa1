import {
  dinnerOdds,
  forecast,
  keptTasks,
  withCalibration,
  type AheadTask,
  type CalibrationRow,
  type DinnerOdds,
  type Forecast,
  type Kept,
  type Plan,
  type Rescaled,
  type TimesCell,
} from '@hervir/core';
import { answer, type Answer } from './answer';
import type { forecastMore } from './forecast-more';

type More = typeof forecastMore;
/** What is asked of a plan there. */
type OfAPlan = { [K in keyof More]: More[K] extends (plan: Plan, ...rest: never) => unknown ? K : never }[keyof More];
type Rest<F> = F extends (plan: Plan, ...rest: infer R) => unknown ? R : never;

/** What the first room never asks is fetched when it is first asked for. */
const more = async (): Promise<More> => (await import('./forecast-more')).forecastMore;

let rows: readonly CalibrationRow[] = [];

/** A plan with what the log has taught; one that was begun, or rehearsed, keeps what was known then. */
const taught = (plan: Plan): Plan => (plan.learnt === undefined ? withCalibration(plan, { rows }) : plan);

/** Asks it there, of the plan with what the log has taught. */
const ofTaught =
  <K extends OfAPlan>(job: K) =>
  async (plan: Plan, ...rest: Rest<More[K]>): Promise<ReturnType<More[K]>> => {
    const ask = (await more())[job] as (plan: Plan, ...rest: unknown[]) => ReturnType<More[K]>;
    return ask(taught(plan), ...rest);
  };

/** What is reckoned beside the page: in a worker in the browser, in place in a test. */
export const forecastApi = {
  teach: (learnt: readonly CalibrationRow[]): void => {
    rows = learnt;
  },
  forecast: (plan: Plan): Answer<Forecast> => answer(() => forecast(taught(plan))),
  dinner: (plan: Plan): Answer<DinnerOdds> => answer(() => dinnerOdds(forecast(taught(plan)))),
  keptTasks: (kept: Kept): Answer<AheadTask[]> => answer(() => keptTasks(kept)),

  alternatives: ofTaught('alternatives'),
  dinnerNow: ofTaught('dinnerNow'),
  minutesLike: ofTaught('minutesLike'),
  rescale: async (plan: Plan, servings: number): Promise<Answer<Omit<Rescaled, 'forecast'>>> => {
    const rescaled = (await more()).rescale(taught(plan), servings);
    if (!rescaled.ok) return rescaled;
    // What was learnt is added where it is reckoned: the plan that goes back has as much of it as the one that came.
    const { plan: next, changes } = rescaled.value;
    return { ok: true, value: { plan: { ...next, learnt: plan.learnt }, changes } };
  },
  additionalMinutes: ofTaught('additionalMinutes'),
  asCooked: ofTaught('asCooked'),
  catchUp: ofTaught('catchUp'),
  timeSavers: ofTaught('timeSavers'),
  timesRow: async (...given: Parameters<More['timesRow']>): Promise<TimesCell[]> => (await more()).timesRow(...given),
  timesOverWeight: async (...given: Parameters<More['timesOverWeight']>): Promise<TimesCell[]> =>
    (await more()).timesOverWeight(...given),
};

export type ForecastApi = typeof forecastApi;
