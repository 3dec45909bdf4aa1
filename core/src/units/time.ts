/**
 * The offset of an ISO 8601 time, in minutes east of Greenwich; zero for `Z` or none.
 *
 * @example offsetMinutes('2027-01-17T19:00:00+01:00') // 60
 */
export function offsetMinutes(iso: string): number {
  const match = /([+-])(\d{2}):?(\d{2})$/.exec(iso);
  if (!match) return 0;
  return (match[1] === '-' ? -1 : 1) * (Number(match[2]) * 60 + Number(match[3]));
}

/**
 * Moves an ISO 8601 time by minutes and keeps its own offset, so that a plan made at home still reads in home time.
 *
 * @param iso a time with an offset, as plans store it
 * @param minutes may be negative or fractional; the result is rounded to the second
 * @throws RangeError when the text is not a time
 * @example shiftIso('2027-01-17T19:00:00+01:00', -166) // '2027-01-17T16:14:00+01:00'
 */
export function shiftIso(iso: string, minutes: number): string {
  const epoch = Date.parse(iso);
  if (Number.isNaN(epoch))
    throw new RangeError(`time "${iso}" is not ISO 8601, for instance 2027-01-17T19:00:00+01:00`);
  const offset = offsetMinutes(iso);
  const local = new Date(Math.round((epoch + minutes * 60_000) / 1000) * 1000 + offset * 60_000);
  const suffix =
    offset === 0 && iso.endsWith('Z')
      ? 'Z'
      : `${offset < 0 ? '-' : '+'}${String(Math.floor(Math.abs(offset) / 60)).padStart(2, '0')}:${String(Math.abs(offset) % 60).padStart(2, '0')}`;
  return `${local.toISOString().slice(0, 19)}${suffix}`;
}

/**
 * The hour of the day that a time shows, by its own offset.
 *
 * @example localHour('2027-01-17T19:20:00+01:00') // 19
 */
export const localHour = (iso: string): number => Number(iso.slice(11, 13));

/**
 * Reads a time of day as people write it: `19:00`, `19.30`, `1900`, `7 pm`, `7:15pm`, `19`.
 *
 * @returns `HH:MM`, or undefined where the text is no time
 * @example parseClock('7 pm') // '19:00'
 */
export function parseClock(text: string): string | undefined {
  const match = /^\s*(\d{1,2})(?:[:.h ]?(\d{2}))?\s*(a\.?\s?m\.?|p\.?\s?m\.?)?\s*$/i.exec(text);
  if (!match) return undefined;
  let hour = Number(match[1]);
  const minute = Number(match[2] ?? 0);
  const half = match[3]?.charAt(0).toLowerCase();
  if (half !== undefined && (hour < 1 || hour > 12)) return undefined;
  if (half === 'p' && hour < 12) hour += 12;
  if (half === 'a' && hour === 12) hour = 0;
  if (hour > 23 || minute > 59) return undefined;
  return `${String(hour).padStart(2, '0')}:${String(minute).padStart(2, '0')}`;
}

/**
 * Reads the time of a dinner: as {@link parseClock}, but what is said on twelve hours with neither half of the day is the
 * evening, for nobody sits down at half past six in the morning. A leading zero says that it is the morning.
 *
 * @returns `HH:MM`, or undefined where the text is no time
 * @example parseDinnerTime('6:30') // '18:30'
 */
export function parseDinnerTime(text: string): string | undefined {
  return parseClock(/^\s*(?:[1-9]|1[01])(?:[:.h ]?\d{2})?\s*$/i.test(text) ? `${text} pm` : text);
}
