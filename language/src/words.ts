import { IntlMessageFormat } from 'intl-messageformat';
import type { Code, ValuesOf } from './message';
import { lowerFirst, upperFirst } from './letters';
import { printAny, type Writing } from './quantity';
import { shapeOf } from './shape';
import type { BySystem, Cased, Joined, Listing, Message, Moment, Quantity, Text, UnitSystem } from './value';
import { decimalMark, printClock, printDay } from './writing';

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
  /** A quantity in core's kitchen units, in the reader's. */
  readonly print: (kind: Quantity['quantity'], value: number, system?: UnitSystem) => string;
  /** A whole document with every message in it in words; everything else as it is. */
  readonly spell: <T>(document: T) => T;
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
const isJoined = (value: object): value is Joined => 'joined' in value;
const isBySystem = (value: object): value is BySystem => 'metric' in value;
const isMoment = (value: object): value is Moment => 'moment' in value;
const isCased = (value: object): value is Cased => 'cased' in value;

/** Groups of messages that had another name when a kitchen kept what they say: a cook of then is still read. */
const FORMER_GROUPS: Readonly<Record<string, string>> = { told: 'phrase' };

/**
 * Words for one reader.
 *
 * @param locale of the reader, BCP 47
 * @param catalogs the compiled messages; looked through from the last, so that what came later wins
 * @param system the reader's units
 * @param unknown what stands for a message that none of them has; left out, its code: what a newer Hervir kept may be unknown
 * here, and its code is better than nothing at all
 */
// oxlint-disable-next-line max-lines-per-function -- its words share the formats of one language, made once
export function wordsFor(
  locale: string,
  catalogs: readonly Catalog[],
  system: UnitSystem,
  unknown: (code: string) => string = (code) => code,
): Words {
  const formats = new Map<string, IntlMessageFormat>();
  const lists = new Intl.ListFormat(locale, { type: 'conjunction', style: 'long' });

  const compiledOf = (code: string): Compiled => {
    for (let i = catalogs.length - 1; i >= 0; i -= 1) {
      const compiled = catalogs[i]?.[code];
      if (compiled !== undefined) return compiled;
    }
    const [group = '', ...rest] = code.split('.');
    const now = FORMER_GROUPS[group];
    return now === undefined ? unknown(code) : compiledOf([now, ...rest].join('.'));
  };
  const formatOf = (code: string, compiled: readonly object[]): IntlMessageFormat => {
    let format = formats.get(code);
    if (!format) {
      format = new IntlMessageFormat(compiled as ConstructorParameters<typeof IntlMessageFormat>[0], locale, FORMATS);
      formats.set(code, format);
    }
    return format;
  };
  let writing: Writing | null = null;
  const print: Words['print'] = (kind, value, as = system) => {
    writing ??= {
      decimal: decimalMark(locale),
      cup: unit('unit.cup'),
      cups: unit('unit.cups'),
      tbsp: unit('unit.tbsp'),
      tsp: unit('unit.tsp'),
      inches: unit('unit.inches'),
      feet: unit('unit.feet'),
    };
    return printAny(kind, value, as, writing);
  };
  const unit = (code: Code): string => parts(code).join('');
  const cased = ({ cased: how, of }: Cased): string =>
    how === 'upper' ? upperFirst(text(of), locale) : lowerFirst(text(of), locale);
  const inWords = (value: unknown): unknown => {
    // Nothing is less than nothing: a negative zero would be printed with its sign.
    if (value === 0) return 0;
    if (!isObject(value)) return value;
    if (isMessage(value)) return parts(value.code, value.values).join('');
    if (isQuantity(value)) return print(value.quantity, value.value);
    if (isMoment(value))
      return value.as === 'clock'
        ? printClock(value.moment.slice(11, 16), locale)
        : printDay(value.moment, value.as, locale);
    if (isListing(value)) return lists.format(value.list.map(text));
    if (isJoined(value)) return value.joined.map(text).join(value.by);
    if (isCased(value)) return cased(value);
    if (isBySystem(value)) return text(system === 'us' ? value.us : value.metric);
    return value;
  };
  const parts = (code: string, values: Readonly<Record<string, unknown>> = {}): readonly unknown[] => {
    const compiled = compiledOf(code);
    if (typeof compiled === 'string') return [compiled];
    const said: Record<string, unknown> = {};
    for (const [name, value] of Object.entries(values)) said[name] = inWords(value);
    try {
      const made: unknown = formatOf(code, compiled).format(said);
      return Array.isArray(made) ? made : [made];
    } catch {
      // Kept by another Hervir, or by hand: with values that this message does not have.
      return [code];
    }
  };
  const text = (said: Text): string => String(inWords(said));
  const spell = (value: unknown): unknown => {
    if (!isObject(value)) return value;
    if (Array.isArray(value)) return value.map(spell);
    if (shapeOf(value) !== null) return inWords(value);
    return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, spell(one)]));
  };
  return {
    locale,
    spell: spell as Words['spell'],
    parts,
    print,
    text,
    t: (code, ...[values]) => parts(code, values).join(''),
  };
}
