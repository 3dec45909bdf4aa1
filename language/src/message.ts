/**
 * What is said without saying it: the code of a message and its values. The reckoning and the contract know only this; which
 * words it becomes is settled where somebody reads it, in that reader's language and units.
 */
import type { MessageValues } from './compiled/codes';
import type { Cased, Listing, Message, Phrase, Quantity, Value } from './value';

/** The code of a message: its file in `messages/`, a full stop, its name there. */
export type Code = keyof MessageValues;

export type * from './value';

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

/** A quantity as a value of a message. */
export const quantity = (kind: Quantity['quantity'], value: number): Quantity => ({ quantity: kind, value });

/** Things as a sentence lists them, as a value of a message. */
export const listing = (list: readonly Phrase[]): Listing => ({ list });

/** Words as they begin a sentence. */
export const capital = (of: Value): Cased => ({ cased: 'upper', of });

/** Words as they stand inside a sentence, where they are kept as they begin one. */
export const lowered = (of: Value): Cased => ({ cased: 'lower', of });
