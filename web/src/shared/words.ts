import {
  CUTS,
  cutTitle,
  offsetMinutes,
  shiftIso,
  SPECIES,
  type Form,
  type Grade,
  type Species,
  type Target,
  type WarmWay,
  TENDER_CUTS,
} from '@hervir/core';
import dayjs from 'dayjs';

/** How a form is said in a sentence: "1.6 kg of goat neck, in slices". */
export const FORM_PHRASES: Readonly<Record<Form, string>> = {
  whole: 'left whole',
  chunks: 'cut into chunks',
  'bite-size': 'cut bite-size',
  slices: 'in slices',
  ribs: 'in ribs',
  rack: 'as a rack',
  pieces: 'in pieces',
};

export const FORM_NAMES: Readonly<Record<Form, string>> = {
  whole: 'Whole',
  chunks: 'Chunks',
  'bite-size': 'Bite-size',
  slices: 'Slices',
  ribs: 'Ribs',
  rack: 'Rack',
  pieces: 'Pieces',
};

/** What each way of cutting is good for. Common practice. */
export const FORM_GOOD_FOR: Readonly<Record<Form, string>> = {
  whole: 'slices across the grain, keeps its juice',
  chunks: 'pulling, a stew with a knife',
  'bite-size': 'a stew with a spoon, the soonest',
  slices: 'as the butcher cuts it, a piece a plate',
  ribs: 'by hand, off the bone',
  rack: 'carved at the table',
  pieces: 'as they come, on the bone',
};

export const GRADE_WORDS: Readonly<Record<Grade, string>> = {
  chewy: 'chewy',
  firm: 'firm',
  slices: 'slices clean',
  fork: 'fork-tender',
  pulls: 'pulls apart',
  threads: 'falls to threads',
};

/** What was wanted, as it is said of meat. */
export const WANTED_WORDS: Readonly<Record<Target, string>> = {
  slices: GRADE_WORDS.slices,
  fork: GRADE_WORDS.fork,
  pulls: GRADE_WORDS.pulls,
  shreds: 'falls into shreds',
};

/** How something cooked is warmed on another day. */
export const WARM_WORDS: Readonly<Record<WarmWay, string>> = {
  stove: 'on the hob',
  oven: 'covered in the oven',
  pressure: 'under pressure',
};

const ANIMALS: Readonly<Record<Species, string>> = { beef: 'Beef', pork: 'Pork', lamb: 'Lamb', goat: 'Goat' };

/** The cuts by animal, for a list with headings; what is tender is found too, and answered. */
export const CUT_OPTIONS = [
  ...SPECIES.map((species) => ({
    label: ANIMALS[species],
    title: ANIMALS[species],
    options: CUTS.filter((cut) => cut.species === species).map((cut) => ({
      value: cut.id,
      label: cutTitle(cut),
      also: cut.alsoCalled,
      disabled: false,
    })),
  })),
  {
    label: 'Tender: little to melt, they dry out',
    title: 'Not for braising',
    options: TENDER_CUTS.map(({ species, name, words, instead }) => ({
      value: `tender:${species}:${name}`,
      label: `${species} ${name.toLowerCase()}: ${instead}`,
      also: words.join(', '),
      disabled: true,
    })),
  },
];

const SMALL = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];

/** Small numbers as words, as a sentence has them. */
export function inWords(count: number): string {
  return SMALL[count] ?? String(count);
}

/** "1 batch", "two batches". */
export function counted(count: number, one: string, many: string): string {
  return `${inWords(count)} ${count === 1 ? one : many}`;
}

/** The time of day, in the zone the time itself is written in. */
export function clockTime(iso: string): string {
  return iso.slice(11, 16);
}

/** Which day, as one says it in the kitchen. */
export function dayWord(iso: string, now: Date): string {
  const day = dayjs(iso.slice(0, 10));
  const days = day.diff(dayjs(dayjs(now).format('YYYY-MM-DD')), 'day');
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  if (days === -1) return 'yesterday';
  return days > 1 && days < 7 ? `on ${day.format('dddd')}` : `on ${day.format('D MMM')}`;
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

/** "Wednesday, 20 January": for dates on labels. */
export function longDay(iso: string): string {
  return dayjs(iso.slice(0, 10)).format('dddd, D MMMM');
}

/**
 * The time of day of a moment, in the zone of another time: a cook's dinner is read in the plan's own.
 *
 * @param ms since 1970
 * @param like a time with an offset; the device's zone where there is none
 */
export function clockAt(ms: number, like: string | null): string {
  if (like === null) return dayjs(ms).format('HH:mm');
  return new Date(Math.round(ms) + offsetMinutes(like) * 60_000).toISOString().slice(11, 16);
}

/** A countdown: `06:42`, `1:06:42`; what is over has no sign, the words beside it say so. */
export function countdown(ms: number): string {
  const seconds = ms >= 0 ? Math.ceil(ms / 1000) : Math.floor(-ms / 1000);
  const two = (value: number): string => String(value).padStart(2, '0');
  const hours = Math.floor(seconds / 3600);
  const rest = `${two(Math.floor(seconds / 60) % 60)}:${two(seconds % 60)}`;
  return hours > 0 ? `${hours}:${rest}` : rest;
}

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
  return `${Math.floor(halves)}${halves % 1 === 0 ? '' : '½'} min`;
}
