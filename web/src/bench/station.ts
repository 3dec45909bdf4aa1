import type { Forecast, Plan } from '@hervir/core';
import type { FaultAt } from './use-faults';

/** A change of the plan on the bench: one step of undo. */
export type Edit = (change: (plan: Plan) => Plan) => void;

/** Changes a part of the plan: what is not named stays as it is. */
export const changing =
  <K extends 'meat' | 'sear' | 'release' | 'finish'>(edit: Edit, key: K) =>
  (part: Partial<Plan[K]>): void =>
    edit((before) => ({ ...before, [key]: { ...before[key], ...part } }));

/** What every station of the bench is given. */
export interface StationProps {
  readonly plan: Plan;
  /** Null until the first has come. */
  readonly forecast: Forecast | null;
  readonly edit: Edit;
  readonly faultAt: FaultAt;
}
