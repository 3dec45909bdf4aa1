import {
  type Form,
  type Grade,
  isSlicedToServe,
  type Meat,
  offsetMinutes,
  shiftIso,
  type Target,
  type WarmWay,
} from '@hervir/core';
import dayjs from 'dayjs';
import { language, t, textOf } from '../language/t';
import { type DayStyle, type Message, printClock, printDay, say } from '@hervir/language';

/** How a form is said in a sentence: "1.6 kg of goat neck, in slices". */
export const FORM_PHRASES: Readonly<Record<Form, Message>> = {
  whole: say('shared.left-whole'),
  chunks: say('shared.cut-into-chunks'),
  'bite-size': say('shared.cut-bite-size'),
  slices: say('shared.in-slices'),
  ribs: say('shared.in-ribs'),
  rack: say('shared.as-a-rack'),
  pieces: say('shared.in-pieces'),
};

export const FORM_NAMES: Readonly<Record<Form, Message>> = {
  whole: say('shared.whole'),
  chunks: say('shared.chunks'),
  'bite-size': say('shared.bite-size'),
  slices: say('shared.slices'),
  ribs: say('shared.ribs'),
  rack: say('shared.rack'),
  pieces: say('shared.pieces'),
};

/** What each way of cutting is good for. Common practice. */
const FORM_GOOD_FOR: Readonly<Record<Form, Message>> = {
  whole: say('shared.slices-across-the-grain-keeps'),
  chunks: say('shared.pulling-a-stew-with-a'),
  'bite-size': say('shared.a-stew-with-a-spoon'),
  slices: say('shared.as-the-butcher-cuts-it'),
  ribs: say('shared.by-hand-off-the-bone'),
  rack: say('shared.carved-at-the-table'),
  pieces: say('shared.as-they-come-on-the'),
};

/** What a cut is good for as it is cut: a shank, a hock or a cheek is not sliced. */
export const goodFor = (meat: Pick<Meat, 'cut' | 'form'>): Message =>
  meat.form === 'whole' && !isSlicedToServe(meat) ? say('shared.a-portion-each-as-it-is') : FORM_GOOD_FOR[meat.form];

export const GRADE_WORDS: Readonly<Record<Grade, Message>> = {
  chewy: say('shared.chewy'),
  firm: say('shared.firm'),
  slices: say('shared.slices-clean'),
  fork: say('shared.fork-tender'),
  pulls: say('shared.pulls-apart'),
  threads: say('shared.falls-to-threads'),
};

/** What was wanted, as it is said of meat. */
export const WANTED_WORDS: Readonly<Record<Target, Message>> = {
  slices: GRADE_WORDS.slices,
  fork: GRADE_WORDS.fork,
  pulls: GRADE_WORDS.pulls,
  shreds: say('shared.falls-into-shreds'),
};

/** How something cooked is warmed on another day. */
export const WARM_WORDS: Readonly<Record<WarmWay, Message>> = {
  stove: say('shared.on-the-hob'),
  oven: say('shared.covered-in-the-oven'),
  pressure: say('shared.under-pressure'),
};

const SMALL = [
  say('shared.no'),
  say('shared.one'),
  say('shared.two'),
  say('shared.three'),
  say('shared.four'),
  say('shared.five'),
  say('shared.six'),
  say('shared.seven'),
  say('shared.eight'),
  say('shared.nine'),
  say('shared.ten'),
  say('shared.eleven'),
  say('shared.twelve'),
];

/** Small numbers as words, as a sentence has them. */
export function inWords(count: number): string {
  return textOf(SMALL[count] ?? String(count));
}

/** The time of day, HH:MM, in the zone the time itself is written in: as fields and files have it. */
export const timeOf = (iso: string): string => iso.slice(11, 16);

/** The same as the reader's clock shows it. */
export const clockTime = (iso: string): string => printClock(timeOf(iso), language());

/** A day as the reader writes it. */
export const dayOf = (iso: string, style: DayStyle): string => printDay(iso, style, language());

/** So many days after today is the day of a moment, or a day itself: by the clock on the wall there. */
export const daysFrom = (iso: string, now: Date): number =>
  dayjs(iso.slice(0, 10)).diff(dayjs(dayjs(now).format('YYYY-MM-DD')), 'day');

/** Whether a moment is today: its day need not be said. */
export const isToday = (iso: string, now: Date): boolean => daysFrom(iso, now) === 0;

/** Which day, as one says it in the kitchen. */
export function dayWord(iso: string, now: Date): string {
  const days = daysFrom(iso, now);
  if (days === 0) return t('shared.today');
  if (days === 1) return t('shared.tomorrow');
  if (days === -1) return t('shared.yesterday');
  return days > 1 && days < 7
    ? t('shared.on', { format: dayOf(iso, 'weekday') })
    : t('shared.on', { format: dayOf(iso, 'short') });
}

/** A moment as plans keep it: this device's own time, with its offset. */
export const wallClockOf = (at: Date | string): string => dayjs(at).format('YYYY-MM-DDTHH:mm:ssZ');

/** This device's own time on a day, with its offset, as plans keep it. */
export function wallClockOn(day: string, time: string): string {
  return wallClockOf(`${day}T${time}`);
}

/** A pot's name inside a sentence: "the blue one". */
export function inSentence(name: string): string {
  return name.replace(/^The /, 'the ');
}

/** "Wednesday 20 January": for dates on labels. */
export const longDay = (iso: string): string => dayOf(iso, 'long');

/**
 * The time of day of a moment, HH:MM, in the zone of another time: a cook's dinner is read in the plan's own.
 *
 * @param ms since 1970
 * @param like a time with an offset; the device's zone where there is none
 */
export const timeAt = (ms: number, like: string | null): string =>
  timeOf(
    like === null ? wallClockOf(new Date(ms)) : new Date(Math.round(ms) + offsetMinutes(like) * 60_000).toISOString(),
  );

/** The same as the reader's clock shows it. */
export const clockAt = (ms: number, like: string | null): string => printClock(timeAt(ms, like), language());

/** A countdown: `06:42`, `1:06:42`; what is over has no sign, the words beside it say so. */
export function countdown(ms: number): string {
  const seconds = ms >= 0 ? Math.ceil(ms / 1000) : Math.floor(-ms / 1000);
  const two = (value: number): string => String(value).padStart(2, '0');
  const hours = Math.floor(seconds / 3600);
  const rest = `${two(Math.floor(seconds / 60) % 60)}:${two(seconds % 60)}`;
  return hours > 0 ? `${hours}:${rest}` : rest;
}

/** The same with the word that it is over, where nothing beside it says so: "03:12 over". */
export const countdownOrOver = (ms: number): string => (ms < 0 ? `${countdown(ms)} ${t('cook.over')}` : countdown(ms));

/**
 * The time of day of a minute of a plan.
 *
 * @param startAt when the plan's minutes begin to count; null where it names no time
 * @param minute may lie before it
 * @returns null where the plan names no time
 */
export function timeOfMinute(startAt: string | null, minute: number): string | null {
  return startAt === null ? null : clockTime(shiftIso(startAt, Math.round(minute)));
}

/** The days one eats on: this week's, and the one that was chosen where it lies outside. */
export function dayOptions(chosen: string | null, now: Date): { readonly value: string; readonly label: string }[] {
  const days = Array.from({ length: 7 }, (_, i) => dayjs(now).add(i, 'day').format('YYYY-MM-DD'));
  return (chosen === null || days.includes(chosen) ? days : [chosen, ...days]).map((day) => ({
    value: day,
    label: dayWord(day, now),
  }));
}

/** Minutes as one counts them at the pot: halves, and seconds under a minute; nothing where there are none. */
export function potMinutes(value: number | undefined): string {
  if (value === undefined) return '';
  if (value < 1) return `${Math.round((value * 60) / 5) * 5} s`;
  const halves = Math.round(value * 2) / 2;
  return t('shared.min', { halves: Math.floor(halves), value: halves % 1 === 0 ? '' : '½' });
}
