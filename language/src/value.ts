/** What a message may hold: words that are not yet said, quantities that are not yet printed. */

/** The two ways a kitchen measures. Volumes of `us` are US cups and spoons. */
export type UnitSystem = 'metric' | 'us';

/** What a quantity measures: g, cm, °C, ml; of a pot l, of a kitchen m above the sea, of steam and air kPa. */
export type QuantityKind = 'mass' | 'length' | 'temperature' | 'volume' | 'capacity' | 'altitude' | 'pressure';

/** A quantity in the core's kitchen units, printed in the reader's; `rise` is a difference in kelvin,
 * `litres` a pot's content, `tablespoons` to the half, `duration` minutes. */
export interface Quantity {
  readonly quantity: QuantityKind | 'rise' | 'litres' | 'tablespoons' | 'duration';
  readonly value: number;
}

/** A message that is not yet in words. */
export interface Message {
  readonly code: string;
  readonly values?: Readonly<Record<string, Value>>;
}

/** Several things as a sentence lists them. */
export interface Listing {
  readonly list: readonly Text[];
}

/** Several texts one after another. */
export interface Joined {
  readonly joined: readonly Text[];
  readonly by: string;
}

/** Words as they stand at the beginning of a sentence, or inside one. */
export interface Cased {
  readonly cased: 'upper' | 'lower';
  readonly of: Text;
}

/** One way with grams, another with pounds and spoons. */
export interface BySystem {
  readonly metric: Text;
  readonly us: Text;
}

/** A moment of a wall clock, `2026-01-20T18:05`: its time of day, or its day in more or fewer words. */
export interface Moment {
  readonly moment: string;
  readonly as: 'clock' | 'weekday' | 'short' | 'dated' | 'long' | 'whole';
}

/** Anything that can be said; a string is words that are nobody's to translate: a plan's name, a cook's note. */
export type Text = string | Message | Listing | Joined | Cased | Quantity | BySystem | Moment;

/** Values of any message. */
export type Value = Text | number | boolean;
