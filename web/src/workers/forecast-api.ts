import {
  dinnerOdds,
  forecast,
  keptTasks,
  withCalibration,
  type AdditionalMinutes,
  type AheadTask,
  type AsCooked,
  type CalibrationRow,
  type CatchUp,
  type CookState,
  type DinnerNow,
  type DinnerOdds,
  type Forecast,
  type Form,
  type Grade,
  type Guide,
  type Kept,
  type Method,
  type Plan,
  type Rescaled,
  type SoFar,
  type TimesCell,
  type TimesFor,
  type TimeSaver,
} from '@hervir/core';
import { answer, type Answer } from './answer';
import type { Alternatives, forecastMore } from './forecast-more';

/** What the first room never asks is fetched when it is first asked for. */
const more = async (): Promise<typeof forecastMore> => (await import('./forecast-more')).forecastMore;

let rows: readonly CalibrationRow[] = [];

/** A plan with what the log has taught; one that was begun, or rehearsed, keeps what was known then. */
const taught = (plan: Plan): Plan => (plan.learnt === undefined ? withCalibration(plan, { rows }) : plan);

/** What is reckoned beside the page: in a worker in the browser, in place in a test. */
export const forecastApi = {
  teach: (learnt: readonly CalibrationRow[]): void => {
    rows = learnt;
  },
  forecast: (plan: Plan): Answer<Forecast> => answer(() => forecast(taught(plan))),
  dinner: (plan: Plan): Answer<DinnerOdds> => answer(() => dinnerOdds(forecast(taught(plan)))),
  keptTasks: (kept: Kept): Answer<AheadTask[]> => answer(() => keptTasks(kept)),

  alternatives: async (plan: Plan): Promise<Answer<Alternatives>> => (await more()).alternatives(taught(plan)),
  dinnerNow: async (plan: Plan, guide: Guide, state: CookState, nowMs: number): Promise<Answer<DinnerNow>> =>
    (await more()).dinnerNow(taught(plan), guide, state, nowMs),
  minutesLike: async (plan: Plan, method: Method, minutes: number, ovenC: number): Promise<Answer<number>> =>
    (await more()).minutesLike(taught(plan), method, minutes, ovenC),
  rescale: async (plan: Plan, servings: number): Promise<Answer<Omit<Rescaled, 'forecast'>>> => {
    const rescaled = (await more()).rescale(taught(plan), servings);
    if (!rescaled.ok) return rescaled;
    // What was learnt is added where it is reckoned: the plan that goes back has as much of it as the one that came.
    const { plan: next, changes } = rescaled.value;
    return { ok: true, value: { plan: { ...next, learnt: plan.learnt }, changes } };
  },
  additionalMinutes: async (
    plan: Plan,
    done: number | SoFar,
    found: Grade,
  ): Promise<Answer<AdditionalMinutes | null>> => (await more()).additionalMinutes(taught(plan), done, found),
  asCooked: async (plan: Plan, so: SoFar): Promise<Answer<AsCooked>> => (await more()).asCooked(taught(plan), so),
  catchUp: async (plan: Plan, state: CookState, nowMs: number): Promise<Answer<CatchUp[]>> =>
    (await more()).catchUp(taught(plan), state, nowMs),
  timeSavers: async (plan: Plan): Promise<Answer<TimeSaver[]>> => (await more()).timeSavers(taught(plan)),
  timesRow: async (cut: string, given: TimesFor): Promise<TimesCell[]> => (await more()).timesRow(cut, given),
  timesOverWeight: async (cut: string, form: Form, given: TimesFor): Promise<TimesCell[]> =>
    (await more()).timesOverWeight(cut, form, given),
};

export type ForecastApi = typeof forecastApi;
