/** How a language writes what is no word: the decimal mark, the time of day, days. */

const decimals = new Map<string, string>();

/** The mark between a number's whole and the rest. */
export function decimalMark(locale: string): string {
  const known = decimals.get(locale);
  if (known !== undefined) return known;
  const mark = new Intl.NumberFormat(locale).formatToParts(1.5).find(({ type }) => type === 'decimal')?.value ?? '.';
  decimals.set(locale, mark);
  return mark;
}

const formats = new Map<string, Intl.DateTimeFormat>();
function formatOf(locale: string, name: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = `${locale} ${name}`;
  const known = formats.get(key);
  if (known) return known;
  // A wall clock is read as it is written: no zone moves it.
  const format = new Intl.DateTimeFormat(locale, { ...options, timeZone: 'UTC' });
  formats.set(key, format);
  return format;
}

/** Whether a language's clock has twelve hours. */
export const hasTwelveHours = (locale: string): boolean =>
  formatOf(locale, 'clock', CLOCK).resolvedOptions().hour12 === true;

const CLOCK: Intl.DateTimeFormatOptions = { hour: 'numeric', minute: '2-digit' };

/**
 * A time of day as a language writes it.
 *
 * @param time HH:MM on 24 hours
 * @param locale BCP 47
 * @example printClock('18:05', 'en-US') // '6:05 PM'
 */
export function printClock(time: string, locale: string): string {
  if (!/^\d\d:\d\d$/.test(time) || !hasTwelveHours(locale)) return time;
  return formatOf(locale, 'clock', CLOCK).format(new Date(`1970-01-01T${time}:00Z`));
}

/** How much of a day is written. */
const DAYS = {
  weekday: { weekday: 'long' },
  short: { day: 'numeric', month: 'short' },
  dated: { day: 'numeric', month: 'short', year: 'numeric' },
  long: { weekday: 'long', day: 'numeric', month: 'long' },
  whole: { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' },
} as const satisfies Readonly<Record<string, Intl.DateTimeFormatOptions>>;

/** How much of a day is written: its name, day and month, the year too, all in words. */
export type DayStyle = keyof typeof DAYS;

/**
 * A day as a language writes it.
 *
 * @param day YYYY-MM-DD; what follows is not read
 * @param style how much of it
 * @param locale BCP 47
 * @example printDay('2026-01-20', 'long', 'es-ES') // 'martes, 20 de enero'
 */
export const printDay = (day: string, style: DayStyle, locale: string): string =>
  formatOf(locale, style, DAYS[style]).format(new Date(`${day.slice(0, 10)}T00:00:00Z`));
