import dayjs from 'dayjs';
import customParseFormat from 'dayjs/plugin/customParseFormat';

dayjs.extend(customParseFormat);

/** Whose file it is: a language says how numbers and dates are written. */
export interface Reader {
  /** BCP 47, for instance `de-AT`. */
  readonly language: string;
}

/** What writes numbers and dates of a language; English where nobody knows it. */
function tagOf({ language }: Reader): string {
  try {
    return Intl.getCanonicalLocales(language)[0] ?? 'en';
  } catch {
    return 'en';
  }
}

/**
 * The sign before the tenths in a language.
 *
 * @example decimalOf({ language: 'de' }) // ','
 */
export function decimalOf(reader: Reader): '.' | ',' {
  const part = new Intl.NumberFormat(tagOf(reader)).formatToParts(1.5).find(({ type }) => type === 'decimal');
  return part?.value === ',' ? ',' : '.';
}

/** Cells that can be read with one sign before the tenths only. */
const ONLY: readonly (readonly [RegExp, '.' | ','])[] = [
  [/^[+-]?\d{1,3}([.\s'’]\d{3})*,(\d{1,2}|\d{4,})$/, ','],
  [/^[+-]?\d{1,3}(\.\d{3}){2,}$/, ','],
  [/^[+-]?\d{1,3}([,\s'’]\d{3})*\.(\d{1,2}|\d{4,})$/, '.'],
  [/^[+-]?\d{1,3}(,\d{3}){2,}$/, '.'],
];

/**
 * The sign before the tenths in a file: as its own numbers show; where they can be read either way, a file divided by
 * semicolons has a comma, since that is why it is, and any other goes by its reader's language.
 *
 * @param cells that may be numbers
 * @param delimiter of the file
 * @example decimalIn(['1.200', '42,5'], ';', { language: 'en' }) // ','
 */
export function decimalIn(cells: readonly string[], delimiter: string, reader: Reader): '.' | ',' {
  for (const cell of cells) {
    const only = ONLY.find(([pattern]) => pattern.test(cell.trim()));
    if (only) return only[1];
  }
  return delimiter === ';' ? ',' : decimalOf(reader);
}

/**
 * A number as people write it.
 *
 * @param text for instance `1.500,5`
 * @param decimal the sign before the tenths
 * @returns the number; null where it is none
 * @example numberIn('1.500,5', ',') // 1500.5
 * @example numberIn('1,5', '.') // 1.5
 */
export function numberIn(text: string, decimal: '.' | ','): number | null {
  const bare = text.replace(/[\s\u00a0\u202f'’]/g, '');
  const other = decimal === '.' ? ',' : '.';
  const groups = new RegExp(`^[+-]?\\d{1,3}(\\${other}\\d{3})+(\\${decimal}\\d+)?$`);
  const grouped = groups.test(bare) ? bare.split(other).join('') : bare;
  // With one sign of either kind and no thousands, that sign stands before the tenths.
  const plain = grouped.replace(',', '.');
  return /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(plain) ? Number(plain) : null;
}

/** With points between, the day stands first everywhere. */
const NUMERIC = /^\s*(\d{1,2})[/-](\d{1,2})[/-]\d{2,4}/;

/**
 * Whether the month stands before the day in dates such as 3/4/2026: as the column itself shows where a number is no month,
 * else as the language has it.
 *
 * @param column dates as written
 */
export function monthFirst(column: readonly string[], reader: Reader): boolean {
  const pairs = column.flatMap((cell) => {
    const match = NUMERIC.exec(cell);
    return match ? [[Number(match[1]), Number(match[2])] as const] : [];
  });
  if (pairs.some(([first]) => first > 12)) return false;
  if (pairs.some(([, second]) => second > 12)) return true;
  const parts = new Intl.DateTimeFormat(tagOf(reader)).formatToParts(new Date(2026, 10, 25)).map(({ type }) => type);
  return parts.indexOf('month') < parts.indexOf('day');
}

const DAYS = ['D', 'DD'];
const MONTHS = ['M', 'MM'];
const YEARS = ['YYYY', 'YY'];
/** Formats of a date with its parts in an order. */
const numeric = (monthIsFirst: boolean): string[] =>
  DAYS.flatMap((day) => MONTHS.flatMap((month) => YEARS.map((year) => [day, month, year] as const))).flatMap(
    ([day, month, year]) => [
      [day, month, year].join('.'),
      ...['/', '-'].map((sign) => (monthIsFirst ? [month, day, year] : [day, month, year]).join(sign)),
    ],
  );
const YEAR_FIRST = ['YYYY-MM-DD', 'YYYY-M-D', 'YYYY/MM/DD', 'YYYY/M/D', 'YYYY.MM.DD'];
const IN_WORDS = [
  'D MMMM YYYY',
  'D MMM YYYY',
  'D. MMMM YYYY',
  'MMMM D, YYYY',
  'MMM D, YYYY',
  'MMMM D YYYY',
  'MMM D YYYY',
];
const TIMES = ['', ' H:mm', ' HH:mm', ' HH:mm:ss', ', H:mm', ', HH:mm', 'THH:mm', 'THH:mm:ss', ' h:mm a', ' h:mm A'];
const FORMATS = [true, false].map((month) =>
  [...YEAR_FIRST, ...numeric(month), ...IN_WORDS].flatMap((date) =>
    TIMES.map((time) => [date + time, time !== ''] as const),
  ),
);
/** A day without a time: dinner. */
const DINNER_H = 19;

/**
 * What reads dates as people write them, as a moment with its offset: that of this machine's zone on that day, where none is
 * written. For instance `5.11.2026`, `11/5/26 7:30 pm`, `2026-11-05`, `5 Nov 2026`.
 *
 * @param monthIsFirst whether the month stands before the day where both are numbers
 * @returns ISO 8601 with an offset; null where a text is no date
 */
export function dateReader(monthIsFirst: boolean): (text: string) => string | null {
  const formats = [...(FORMATS[monthIsFirst ? 0 : 1] ?? [])];
  return (text) => {
    const bare = text.trim().replace(/\s+/g, ' ');
    if (/^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:\d\d)$/.test(bare)) return bare;
    for (const [i, form] of formats.entries()) {
      const [format, hasTime] = form;
      const day = dayjs(bare, format, true);
      if (!day.isValid()) continue;
      // A column is written in one way: the next is tried so first.
      if (i > 0) formats.unshift(...formats.splice(i, 1));
      return (hasTime ? day : day.hour(DINNER_H)).format('YYYY-MM-DDTHH:mm:ssZ');
    }
    return null;
  };
}
