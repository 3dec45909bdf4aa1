/**
 * What is said without saying it: the code of a message and its values. The reckoning and the contract know only this; which
 * words it becomes is settled where somebody reads it, in that reader's language and units.
 */
import type { MessageValues } from './compiled/codes';
import type { BySystem, Cased, Joined, Listing, Message, Moment, Quantity, Text, Value } from './value';

/** The code of a message: its file in `messages/`, a full stop, its name there. */
export type Code = keyof MessageValues;

export type * from './value';
export { shapeOf, type Shape } from './shape';

/** Nothing to give where the message asks for nothing. */
export type ValuesOf<C extends Code> = keyof MessageValues[C] extends never ? [] : [values: MessageValues[C]];

/**
 * A message with its values; a wrong one does not compile.
 *
 * @param code of the message
 * @param values it asks for
 * @example say('shared.chewy') // { code: 'shared.chewy' }
 */
export function say<C extends Code>(code: C, ...[values]: ValuesOf<C>): Message {
  return values === undefined ? { code } : { code, values: values as Readonly<Record<string, Value>> };
}

/** A quantity as a value of a message, in the core's kitchen units. */
export const quantity = (kind: Quantity['quantity'], value: number): Quantity => ({ quantity: kind, value });

/** The time of day of a moment, as the reader's clock shows it. */
export const timeOfDay = (moment: string): Moment => ({ moment, as: 'clock' });

/** Things as a sentence lists them. */
export const listing = (list: readonly Text[]): Listing => ({ list });

/** Texts one after another. */
export const joined = (texts: readonly Text[], by = ' '): Joined => ({ joined: texts, by });

/** Words as they begin a sentence. */
export const capital = (of: Text): Cased => ({ cased: 'upper', of });

/** Words as they stand inside a sentence, where they are kept as they begin one. */
export const lowered = (of: Text): Cased => ({ cased: 'lower', of });

/** What is said in one way with grams, in another with pounds and spoons. */
export const bySystem = (metric: Text, us: Text): BySystem => ({ metric, us });
