import type { Text } from '@hervir/language';
import {
  asCooked,
  catchUp,
  dinnerNow,
  dinnerOdds,
  forecast,
  formAlternatives,
  keptTasks,
  timeSavers,
  PlanError,
  pressureMinutesLike,
  releaseAlternatives,
  rescale,
  additionalMinutes,
  timesOverWeight,
  timesRow,
  withCalibration,
  type AheadTask,
  type Alternative,
  type AsCooked,
  type CatchUp,
  type CookState,
  type DinnerNow,
  type DinnerOdds,
  type Forecast,
  type Form,
  type Grade,
  type Guide,
  type Kept,
  type CalibrationRow,
  type TimeSaver,
  type Method,
  type AdditionalMinutes,
  type Plan,
  type SoFar,
  type Rescaled,
  type TimesCell,
  type TimesFor,
  withoutPressure,
  type WithoutPressure,
} from '@hervir/core';

/** The field that makes a plan impossible. Errors lose their class on the way out of a worker. */
export interface PlanFault {
  readonly ok: false;
  readonly path: string;
  readonly problem: Text;
  readonly allowed: Text;
}

export type Answer<T> = { readonly ok: true; readonly value: T } | PlanFault;

/** The same plan done otherwise. */
export interface Alternatives {
  readonly releases: readonly Alternative[];
  readonly forms: readonly Alternative[];
  readonly without: readonly WithoutPressure[];
}

function answer<T>(reckon: () => T): Answer<T> {
  try {
    return { ok: true, value: reckon() };
  } catch (error) {
    if (error instanceof PlanError) {
      return { ok: false, path: error.path, problem: error.problem, allowed: error.allowed };
    }
    throw error;
  }
}

let rows: readonly CalibrationRow[] = [];

/** A plan with what the log has taught; one that was begun, or rehearsed, keeps what was known then. */
const taught = (plan: Plan): Plan => (plan.learnt === undefined ? withCalibration(plan, { rows }) : plan);

/** What is reckoned beside the page: in a worker in the browser, in place in a test. */
export const forecastApi = {
  teach: (learnt: readonly CalibrationRow[]): void => {
    rows = learnt;
  },
  forecast: (plan: Plan): Answer<Forecast> => answer(() => forecast(taught(plan))),
  alternatives: (plan: Plan): Answer<Alternatives> =>
    answer(() => {
      const base = forecast(taught(plan));
      return {
        releases: releaseAlternatives(base),
        forms: formAlternatives(base),
        without: withoutPressure(base),
      };
    }),
  dinner: (plan: Plan): Answer<DinnerOdds> => answer(() => dinnerOdds(forecast(taught(plan)))),
  dinnerNow: (plan: Plan, guide: Guide, state: CookState, nowMs: number): Answer<DinnerNow> =>
    answer(() => dinnerNow(forecast(taught(plan)), guide, state, nowMs)),
  minutesLike: (plan: Plan, method: Method, minutes: number, ovenC: number): Answer<number> =>
    answer(() => pressureMinutesLike(taught(plan), [{ method, minutes, ovenC }])),
  rescale: (plan: Plan, servings: number): Answer<Omit<Rescaled, 'forecast'>> =>
    answer(() => {
      const { plan: next, changes } = rescale(forecast(taught(plan)), servings);
      return { plan: { ...next, learnt: plan.learnt }, changes };
    }),
  additionalMinutes: (plan: Plan, done: number | SoFar, found: Grade): Answer<AdditionalMinutes | null> =>
    answer(() => additionalMinutes(taught(plan), done, found)),
  asCooked: (plan: Plan, so: SoFar): Answer<AsCooked> => answer(() => asCooked(taught(plan), so)),
  catchUp: (plan: Plan, state: CookState, nowMs: number): Answer<CatchUp[]> =>
    answer(() => catchUp(forecast(taught(plan)), state, nowMs)),
  timeSavers: (plan: Plan): Answer<TimeSaver[]> => answer(() => timeSavers(forecast(taught(plan)))),
  keptTasks: (kept: Kept): Answer<AheadTask[]> => answer(() => keptTasks(kept)),
  timesRow: (cut: string, given: TimesFor): TimesCell[] => timesRow(cut, given),
  timesOverWeight: (cut: string, form: Form, given: TimesFor): TimesCell[] => timesOverWeight(cut, form, given),
};

export type ForecastApi = typeof forecastApi;
