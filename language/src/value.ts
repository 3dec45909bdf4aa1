/** What a message may hold: words that are not yet said, quantities that are not yet printed. */

/** What a quantity measures: g, cm, °C, ml; of a pot l, of a kitchen m above the sea, of steam and air kPa. */
export type QuantityKind = 'mass' | 'length' | 'temperature' | 'volume' | 'capacity' | 'altitude' | 'pressure';

/** A quantity in the core's kitchen units, printed in the reader's; `rise` is a difference in kelvin, `litres` a pot's content. */
export interface Quantity {
  readonly quantity: QuantityKind | 'rise' | 'litres';
  readonly value: number;
}

/** Several things as a sentence lists them. */
export interface Listing {
  readonly list: readonly Phrase[];
}

/** Words as they stand at the beginning of a sentence, or inside one. */
export interface Cased {
  readonly cased: 'upper' | 'lower';
  readonly of: Value;
}

/** What may stand in a sentence where words do. */
export type Phrase = Text | Quantity | Listing | Cased;

/** Values of any message. */
export type Value = Phrase | number | boolean;

/** A message that is not yet in words. */
export interface Message {
  readonly code: string;
  readonly values?: Readonly<Record<string, Value>>;
}

/** A message, or words that are nobody's to translate: a plan's name, a cook's note. */
export type Text = Message | string;

