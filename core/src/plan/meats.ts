import { cutById } from '../catalog/cuts';
import type { Meat, OtherMeat, Plan } from './plan';

/** A cut of a plan; those beside the first say when they go in and come out. */
export type PlannedMeat = Meat & Partial<Pick<OtherMeat, 'goesIn' | 'comesOut'>>;

/**
 * The cuts of a plan, its own first: a cut's place in this list is what the reckoning and the method speak of it by.
 *
 * @example meatsOf(plan)[0] === plan.meat // true
 */
export function meatsOf(plan: Pick<Plan, 'meat' | 'otherMeats'>): PlannedMeat[] {
  return [plan.meat, ...plan.otherMeats];
}

/**
 * Whether a cut is sliced to be served: a large piece is, and a shank, a hock or a cheek is a portion as it is. Common practice.
 *
 * @example isSlicedToServe({ cut: 'lamb-shank', form: 'whole' }) // false
 */
export const isSlicedToServe = ({ cut, form }: Pick<Meat, 'cut' | 'form'>): boolean =>
  (form === 'whole' || form === 'rack') && cutById(cut).growth !== 'pieces';
