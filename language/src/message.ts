/**
 * What is said without saying it: the code of a message and its values. The reckoning and the contract know only this; which
 * words it becomes is settled where somebody reads it, in that reader's language and units.
 */
import type { MessageValues } from './compiled/codes';

/** The code of a message: its file in `messages/`, a full stop, its name there. */
export type Code = keyof MessageValues;

/** What a quantity measures: g, cm, °C, ml; of a pot l, of a kitchen m above the sea, of steam and air kPa. */
export type QuantityKind = 'mass' | 'length' | 'temperature' | 'volume' | 'capacity' | 'altitude' | 'pressure';

/** A quantity in the core's kitchen units, printed in the reader's; `rise` is a difference in kelvin, `litres` a pot's content. */
export interface Quantity {
  readonly quantity: QuantityKind | 'rise' | 'litres';
  readonly value: number;
}

/** Several things as a sentence lists them. */
export interface Listing {
  readonly list: readonly Text[];
}

/** Values of any message. */
export type Value = Text | Quantity | Listing | number | boolean;

/** A message that is not yet in words. */
export interface Message {
  readonly code: Code;
  readonly values?: Readonly<Record<string, Value>>;
}

/** A message, or words that are nobody's to translate: a plan's name, a cook's note. */
export type Text = Message | string;

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
export const listing = (list: readonly Text[]): Listing => ({ list });
