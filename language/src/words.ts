import { IntlMessageFormat } from 'intl-messageformat';
import type { Code, ValuesOf } from './message';
import type { Cased, Listing, Message, Quantity, Text } from './value';

/** A message as it is compiled: words alone, or what the standard parser made of it. */
export type Compiled = string | readonly object[];

/** The messages of a language, or a part of them. */
export type Catalog = Readonly<Record<string, Compiled>>;

/** What turns messages into words for one reader. */
export interface Words {
  readonly locale: string;
  /** The words of a message, its values in the reader's language and units. */
  readonly t: <C extends Code>(code: C, ...values: ValuesOf<C>) => string;
  /** A message that was put together elsewhere, or words that are nobody's to translate. */
  readonly text: (text: Text) => string;
  /** The parts of a message, for an interface that hangs its own elements into it. */
  readonly parts: (code: string, values?: Readonly<Record<string, unknown>>) => readonly unknown[];
}

/** Numbers stand in a sentence without a mark between thousands: a cook's are small. */
const FORMATS = {
  number: { plain: { useGrouping: false } },
};

const isObject = (value: unknown): value is object => typeof value === 'object' && value !== null;
const isMessage = (value: object): value is Message => 'code' in value && typeof value.code === 'string';
const isQuantity = (value: object): value is Quantity => 'quantity' in value;
const isListing = (value: object): value is Listing => 'list' in value;
const isCased = (value: object): value is Cased => 'cased' in value;

/**
 * Words for one reader.
 *
 * @param locale of the reader, BCP 47
 * @param catalogs the compiled messages; looked through from the last, so that what came later wins
 * @param print a quantity in the reader's units
 * @throws Error from its functions, where a message is not in any catalog
 */
export function wordsFor(
  locale: string,
  catalogs: readonly Catalog[],
  print: (quantity: Quantity['quantity'], value: number) => string,
): Words {
  const formats = new Map<string, IntlMessageFormat>();
  const lists = new Intl.ListFormat(locale, { type: 'conjunction', style: 'long' });

  const compiledOf = (code: string): Compiled => {
    for (let i = catalogs.length - 1; i >= 0; i -= 1) {
      const found = catalogs[i]?.[code];
      if (found !== undefined) return found;
    }
    throw new Error(`no message "${code}" in ${locale}`);
  };
  const formatOf = (code: string, compiled: readonly object[]): IntlMessageFormat => {
    let format = formats.get(code);
    if (!format) {
      format = new IntlMessageFormat(compiled as ConstructorParameters<typeof IntlMessageFormat>[0], locale, FORMATS);
      formats.set(code, format);
    }
    return format;
  };
  const inWords = (value: unknown): unknown => {
    if (!isObject(value)) return value;
    if (isMessage(value)) return text(value);
    if (isQuantity(value)) return print(value.quantity, value.value);
    if (isListing(value)) return lists.format(value.list.map((one) => String(inWords(one))));
    if (isCased(value)) {
      const made = String(inWords(value.of));
      const first = made.charAt(0);
      return (value.cased === 'upper' ? first.toLocaleUpperCase(locale) : first.toLocaleLowerCase(locale)) + made.slice(1);
    }
    return value;
  };
  const parts = (code: string, values: Readonly<Record<string, unknown>> = {}): readonly unknown[] => {
    const compiled = compiledOf(code);
    if (typeof compiled === 'string') return [compiled];
    const said: Record<string, unknown> = {};
    for (const [name, value] of Object.entries(values)) said[name] = inWords(value);
    const made: unknown = formatOf(code, compiled).format(said);
    return Array.isArray(made) ? made : [made];
  };
  const text = (said: Text): string => (typeof said === 'string' ? said : parts(said.code, said.values).join(''));
  return {
    locale,
    parts,
    text,
    t: (code, ...[values]) => parts(code, values).join(''),
  };
}
