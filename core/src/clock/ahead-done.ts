import type { Plan } from '../plan/plan';
import { shiftIso } from '../units/time';
import type { GuidePart } from './guide-step';

/** How each part of a plan that is cooked ahead is known among what is done: there is one of each. */
export const PART_ID = { evening: 'cook', day: 'warm' } as const satisfies Readonly<Record<GuidePart, string>>;
/** What was done so long before a dinner was done for another one, days. */
const OF_ANOTHER_DAYS = 10;

/**
 * When something of the days before was said to be done for this dinner.
 *
 * @param id of the {@link AheadTask}
 * @returns ISO 8601; null while it is not, or where it was for another dinner
 * @example doneFor({ serveAt: null, aheadDone: { cook: '2027-01-16T19:05:00+01:00' } }, 'cook') // '2027-01-16T19:05:00+01:00'
 */
export function doneFor({ aheadDone, serveAt }: Pick<Plan, 'aheadDone' | 'serveAt'>, id: string): string | null {
  const at = aheadDone?.[id] ?? null;
  if (at === null || serveAt === null) return at;
  return Date.parse(serveAt) - Date.parse(at) > OF_ANOTHER_DAYS * 86_400_000 ? null : at;
}

/**
 * When a plan that is cooked ahead was cooked: its evening is over, and only its day is still to come.
 *
 * @returns ISO 8601; null while it is not, and for a plan that is eaten when it is cooked
 * @example cookedAt({ serveAt: null, aheadDone: { cook: '2027-01-16T19:05:00+01:00' } }) // '2027-01-16T19:05:00+01:00'
 */
export const cookedAt = (plan: Pick<Plan, 'aheadDone' | 'serveAt'>): string | null => doneFor(plan, PART_ID.evening);

/**
 * Which part of a plan is to be done next: its day, once its evening is over.
 *
 * @returns the evening again when both are over: it is planned anew
 * @example partAhead(plan) // 'evening'
 */
export const partAhead = (plan: Plan): GuidePart =>
  plan.cookAhead !== undefined && cookedAt(plan) !== null && doneFor(plan, PART_ID.day) === null ? 'day' : 'evening';

/**
 * A plan with one thing of the days said to be done, or taken back.
 *
 * @param id of the {@link AheadTask}
 * @param at when, ISO 8601; null takes it back
 * @example cookedAt(withAheadDone(plan, 'cook', '2027-01-16T19:05:00+01:00')) // '2027-01-16T19:05:00+01:00'
 */
export function withAheadDone(plan: Plan, id: string, at: string | null): Plan {
  const others = Object.entries(plan.aheadDone ?? {}).filter(([one]) => one !== id);
  if (at === null) return { ...plan, aheadDone: Object.fromEntries(others) };
  // By the clock on the kitchen's wall, as all of a plan is.
  const { serveAt } = plan;
  const local = serveAt === null ? at : shiftIso(serveAt, (Date.parse(at) - Date.parse(serveAt)) / 60_000);
  return { ...plan, aheadDone: { ...Object.fromEntries(others), [id]: local } };
}

/**
 * A plan that is cooked ahead when one of its two parts is over, or, taken back, is not.
 *
 * @param part which of them
 * @param at when, ISO 8601; null takes it back
 * @returns the same plan where nothing is to be said: it is eaten when it is cooked, or nothing was said before
 * @example cookedAt(withPartOver({ ...plan, cookAhead: { hours: 24, depthCm: 5, warm: 'stove' } }, 'evening', '2027-01-16T19:05:00+01:00')) // '2027-01-16T19:05:00+01:00'
 */
export function withPartOver(plan: Plan, part: GuidePart, at: string | null): Plan {
  const id = PART_ID[part];
  const said = plan.aheadDone?.[id] !== undefined;
  return plan.cookAhead === undefined || (at === null && !said) ? plan : withAheadDone(plan, id, at);
}
