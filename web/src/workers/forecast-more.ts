import {
  additionalMinutes,
  asCooked,
  catchUp,
  dinnerNow,
  forecast,
  formAlternatives,
  pressureMinutesLike,
  releaseAlternatives,
  rescale,
  timeSavers,
  timesOverWeight,
  timesRow,
  withoutPressure,
  type AdditionalMinutes,
  type Alternative,
  type AsCooked,
  type CatchUp,
  type CookState,
  type DinnerNow,
  type Form,
  type Grade,
  type Guide,
  type Method,
  type Plan,
  type Rescaled,
  type SoFar,
  type TimesCell,
  type TimesFor,
  type TimeSaver,
  type WithoutPressure,
} from '@hervir/core';
import { answer, type Answer } from './answer';

/** The same plan done otherwise. */
export interface Alternatives {
  readonly releases: readonly Alternative[];
  readonly forms: readonly Alternative[];
  readonly without: readonly WithoutPressure[];
}

/** What the bench, the pot and the wall chart ask, of plans with what was learnt in them. The first room asks none of it. */
export const forecastMore = {
  alternatives: (plan: Plan): Answer<Alternatives> =>
    answer(() => {
      const base = forecast(plan);
      return {
        releases: releaseAlternatives(base),
        forms: formAlternatives(base),
        without: withoutPressure(base),
      };
    }),
  dinnerNow: (plan: Plan, guide: Guide, state: CookState, nowMs: number): Answer<DinnerNow> =>
    answer(() => dinnerNow(forecast(plan), guide, state, nowMs)),
  minutesLike: (plan: Plan, method: Method, minutes: number, ovenC: number): Answer<number> =>
    answer(() => pressureMinutesLike(plan, [{ method, minutes, ovenC }])),
  rescale: (plan: Plan, servings: number): Answer<Omit<Rescaled, 'forecast'>> =>
    answer(() => {
      const { plan: next, changes } = rescale(forecast(plan), servings);
      return { plan: next, changes };
    }),
  additionalMinutes: (plan: Plan, done: number | SoFar, found: Grade): Answer<AdditionalMinutes | null> =>
    answer(() => additionalMinutes(plan, done, found)),
  asCooked: (plan: Plan, so: SoFar): Answer<AsCooked> => answer(() => asCooked(plan, so)),
  catchUp: (plan: Plan, state: CookState, nowMs: number): Answer<CatchUp[]> =>
    answer(() => catchUp(forecast(plan), state, nowMs)),
  timeSavers: (plan: Plan): Answer<TimeSaver[]> => answer(() => timeSavers(forecast(plan))),
  timesRow: (cut: string, given: TimesFor): TimesCell[] => timesRow(cut, given),
  timesOverWeight: (cut: string, form: Form, given: TimesFor): TimesCell[] => timesOverWeight(cut, form, given),
};
