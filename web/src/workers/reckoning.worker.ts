import {
  forecast,
  formAlternatives,
  PlanError,
  pressureMinutesLike,
  releaseAlternatives,
  rescale,
  stillTough,
  timesRow,
  type Alternative,
  type Forecast,
  type Grade,
  type Method,
  type More,
  type Plan,
  type Rescaled,
  type TimesCell,
  type TimesFor,
  type UnitSystem,
} from '@hervir/core';
import { expose } from 'comlink';

/** The field that makes a plan impossible. Errors lose their class on the way out of a worker. */
export interface PlanFault {
  readonly ok: false;
  readonly path: string;
  readonly problem: string;
  readonly allowed: string;
}

export type Answer<T> = { readonly ok: true; readonly value: T } | PlanFault;

/** The same plan done otherwise. */
export interface Alternatives {
  readonly releases: readonly Alternative[];
  readonly forms: readonly Alternative[];
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

const reckoner = {
  forecast: (plan: Plan, system: UnitSystem): Answer<Forecast> => answer(() => forecast(plan, system)),
  alternatives: (plan: Plan): Answer<Alternatives> =>
    answer(() => {
      const base = forecast(plan);
      return { releases: releaseAlternatives(base), forms: formAlternatives(base) };
    }),
  minutesLike: (plan: Plan, method: Method, minutes: number): Answer<number> =>
    answer(() => pressureMinutesLike(plan, method, minutes)),
  rescale: (plan: Plan, servings: number, system: UnitSystem): Answer<Omit<Rescaled, 'forecast'>> =>
    answer(() => {
      const { plan: next, changes } = rescale(forecast(plan, system), servings, system);
      return { plan: next, changes };
    }),
  stillTough: (plan: Plan, done: number, found: Grade): Answer<More | null> =>
    answer(() => stillTough(plan, done, found)),
  timesRow: (cut: string, given: TimesFor): TimesCell[] => timesRow(cut, given),
};

export type Reckoner = typeof reckoner;

expose(reckoner);
