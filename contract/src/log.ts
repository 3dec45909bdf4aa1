import {
  CUTS,
  FACTORS,
  FORMS,
  GRADES,
  LIMITS,
  againstTarget,
  TARGETS,
  type CookEvent,
  type FactorKind,
  type FactorSummary,
  type Grade,
  type Guide,
  type Plan,
} from '@hervir/core';
import { z } from 'zod';
import { readBy, type Fault, type Read } from './fault';
import { quantity, text, wallClock } from './plan';

/** How the meat was to eat, beside its tenderness. */
export const MOISTNESS = ['dry', 'moist', 'very-moist'] as const;
/** How the sauce came out. */
export const SAUCES = ['thin', 'right', 'thick'] as const;
/** How a vegetable came out. */
export const VEGETABLE_OUTCOMES = ['raw', 'crisp', 'right', 'soft', 'gone'] as const;
/** Where an entry of the log comes from: a cook, the day of what was cooked ahead, or not from the pot at all. */
export const SOURCES = ['cooked', 'warmed', 'by-hand', 'imported'] as const;
/** How a cook came out against what was wanted. */
export const RESULTS = ['short', 'as-wanted', 'past', 'unknown'] as const;
export type Result = (typeof RESULTS)[number];

/** A part of a cook that was closed long after is as long as that. */
const TOOK = { min: 0, max: 10_000_000, unit: 'min' } as const;

/** Planned against actual, minutes; null where it was not told. */
const pair = z.strictObject({
  planned: quantity(TOOK).nullable(),
  actual: quantity(TOOK).nullable(),
});
/** The longest notes of a cook, characters. */
export const NOTES = 40_000;
const grams = quantity({ min: 0, max: LIMITS.meatGrams.max, unit: 'g' });

/** What a cook says of how it came out. */
export const outcomeSchema = z.strictObject({
  moistness: z.enum(MOISTNESS).nullable().default(null),
  sauce: z.enum(SAUCES).nullable().default(null),
  vegetables: z.record(text(60, 1), z.enum(VEGETABLE_OUTCOMES)).default({}),
});
export type Outcome = z.output<typeof outcomeSchema>;

/** One cook in the log: what can be said of it in a line, and what charts are made of. */
export const logEntrySchema = z.strictObject({
  id: z.uuid(),
  source: z.enum(SOURCES),
  /** When it was on the table. */
  servedAt: wallClock,
  name: text(120),
  cut: z.enum(CUTS.map(({ id }) => id)),
  form: z.enum(FORMS),
  cooker: text(80),
  wanted: z.enum(TARGETS),
  /** What the fork found last; null where nobody looked. */
  grade: z.enum(GRADES).nullable(),
  /** What it found first, where that was something else: the lid went back on. What is learnt is learnt from this. */
  firstGrade: z.enum(GRADES).nullable().optional(),
  /** What was enough at the check, where that is less than is wanted: cooled and warmed, what is cooked ahead goes on. */
  enough: z.enum(GRADES).optional(),
  boughtG: grams,
  trimmedG: grams.nullable(),
  cookedG: grams.nullable(),
  pressure: pair,
  toPin: pair,
  release: pair,
  /** Any number: what was promised may have been for another day. */
  lateMinutes: z.number().nullable(),
  burns: z.number().int().min(0).max(100_000),
  /** What was promised when it was begun: chances of being tender at the first check, and on the table in time. */
  promised: z
    .strictObject({ tender: z.number().min(0).max(1), inTime: z.number().min(0).max(1).nullable() })
    .optional(),
  outcome: outcomeSchema.prefault({}),
  /** All that was said of it, at the pot and after. */
  notes: text(NOTES).default(''),
});
export type LogEntry = z.output<typeof logEntrySchema>;

/** An entry as it is listed. */
export interface LogItem extends LogEntry {
  readonly result: Result;
  readonly photo: boolean;
}

/** A page of the log. */
export interface LogPage {
  readonly items: readonly LogItem[];
  readonly total: number;
}

/** One cook, whole. */
export interface LogRecord {
  readonly item: LogItem;
  readonly plan: Plan;
  /** What happened, event by event; null for one added by hand. */
  readonly cook: { readonly guide: Guide; readonly events: readonly CookEvent[] } | null;
}

export const LOG_SORTS = ['newest', 'oldest', 'latest-dinner', 'toughest', 'heaviest'] as const;

/** What is looked for in the log. */
export const logQuerySchema = z.strictObject({
  text: text(100).optional(),
  cut: z.enum(CUTS.map(({ id }) => id)).optional(),
  species: z.enum(['beef', 'pork', 'lamb', 'goat']).optional(),
  cooker: text(80).optional(),
  result: z.enum(RESULTS).optional(),
  from: z.iso.date().optional(),
  to: z.iso.date().optional(),
  sort: z.enum(LOG_SORTS).default('newest'),
  offset: z.coerce.number().int().min(0).max(100_000).default(0),
  limit: z.coerce.number().int().min(1).max(100).default(30),
});
export type LogQuery = z.output<typeof logQuerySchema>;

/** A past cook, added by hand: its plan as far as it is known, and what became of it. */
export const pastCookSchema = z.strictObject({
  id: z.uuid(),
  servedAt: wallClock,
  plan: z.unknown(),
  minutes: quantity(LIMITS.pressureMinutes),
  grade: z.enum(GRADES),
  cookedG: grams.nullable().default(null),
  notes: text(4000).default(''),
});
export type PastCook = z.output<typeof pastCookSchema>;

/** What can be changed of an entry afterwards. */
export const logChangeSchema = z.strictObject({
  grade: z.enum(GRADES).nullable().optional(),
  outcome: outcomeSchema.optional(),
  notes: text(NOTES).optional(),
  trimmedG: grams.nullable().optional(),
  cookedG: grams.nullable().optional(),
  /** Of a cook that was added by hand or read from a file: one that was guided here says these itself. */
  servedAt: wallClock.optional(),
  boughtG: quantity(LIMITS.meatGrams).optional(),
  minutes: quantity(LIMITS.pressureMinutes).optional(),
});
export type LogChange = z.output<typeof logChangeSchema>;

/** Charts that answer a question, in figures. */
export interface LogCharts {
  /** Is my pot slower than reckoned: actual over planned minutes to the pin, a point a cook. */
  readonly toPin: readonly { readonly at: string; readonly cooker: string; readonly ratio: number }[];
  /** Which cuts come out tough: cooks by cut and result. */
  readonly cuts: readonly {
    readonly cut: string;
    readonly short: number;
    readonly asWanted: number;
    readonly past: number;
  }[];
  /** How late am I: cooks by quarter of an hour. */
  readonly late: readonly { readonly from: number; readonly cooks: number }[];
  /** How much do I lose on trimming and cooking: means by cut, shares of what was bought. */
  readonly losses: readonly {
    readonly cut: string;
    readonly trim: number | null;
    readonly cook: number | null;
    readonly cooks: number;
  }[];
  /** Can I trust the odds: the newest cooks by what was promised of them, and how many came so. */
  readonly promises: readonly {
    readonly kind: 'tender' | 'in-time';
    /** Mean of what was promised them. */
    readonly promised: number;
    readonly cooks: number;
    readonly kept: number;
  }[];
}

/** What a backup holds beside what is here: rows by table. */
export interface BackupPreview {
  readonly holds: Readonly<Record<string, number>>;
  readonly here: Readonly<Record<string, number>>;
  readonly photos: number;
  /** Rows that an older Hervir kept and this one cannot read: in the file, and not put back. */
  readonly unreadable: number;
}

/** A backup that was made by itself. */
export interface KeptBackup {
  readonly name: string;
  readonly made: string;
  readonly bytes: number;
}

/** What came of a file that was read in. */
export interface ImportReport {
  readonly added: number;
  readonly known: number;
  readonly faults: readonly Fault[];
}

/** A file on its way into the log. */
export interface LogImport {
  readonly id: string;
  readonly phase: 'reading' | 'ready' | 'refused' | 'writing' | 'cancelled';
  /** Lines with a cook, and of those: reckoned so far, in the log already. */
  readonly rows: number;
  readonly reckoned: number;
  readonly known: number;
  /** The first few that are new. */
  readonly first: readonly LogEntry[];
  readonly faults: readonly Fault[];
}

/** Something learnt, for who wants to look into it. */
export interface LearntView extends FactorSummary {
  readonly key: string;
  readonly kind: FactorKind;
  readonly of: string;
  readonly off: boolean;
  readonly short: number;
  readonly past: number;
}

export const learntChangeSchema = z.strictObject({ off: z.boolean() });
export const factorSchema = z.enum(FACTORS);

export const csvFileSchema = z.strictObject({ text: z.string().max(30_000_000) });
export const photoFileSchema = z.strictObject({ base64: z.base64().max(9_000_000) });

/**
 * Reads a file of comma-separated values, as a request holds it.
 *
 * @example readCsvFile({ text: '' }).ok // true
 */
export const readCsvFile = (input: unknown): Read<z.output<typeof csvFileSchema>> => readBy(csvFileSchema, input);

/**
 * Reads a photo, as a request holds it.
 *
 * @example readPhotoFile({ base64: '!' }).ok // false
 */
export const readPhotoFile = (input: unknown): Read<z.output<typeof photoFileSchema>> => readBy(photoFileSchema, input);

/**
 * Reads an entry of the log.
 *
 * @example readLogEntry({}).ok // false
 */
export const readLogEntry = (input: unknown): Read<LogEntry> => readBy(logEntrySchema, input);

/**
 * Reads what is looked for.
 *
 * @example readLogQuery({ sort: 'newest' }).ok // true
 */
export const readLogQuery = (input: unknown): Read<LogQuery> => readBy(logQuerySchema, input);

/**
 * Reads a past cook.
 *
 * @example readPastCook({}).ok // false
 */
export const readPastCook = (input: unknown): Read<PastCook> => readBy(pastCookSchema, input);

/**
 * Reads a change to an entry.
 *
 * @example readLogChange({ grade: 'firm' }).ok // true
 */
export const readLogChange = (input: unknown): Read<LogChange> => readBy(logChangeSchema, input);

/**
 * Reads a switch of something learnt.
 *
 * @example readLearntChange({ off: true }).ok // true
 */
export const readLearntChange = (input: unknown): Read<z.output<typeof learntChangeSchema>> =>
  readBy(learntChangeSchema, input);

/**
 * How a cook came out against what was wanted: the six grades against the target's band.
 *
 * @param enough the least grade that will do, where that is less than the target's
 * @example resultOf('slices', 'fork') // 'short'
 * @example resultOf('slices', 'fork', 'slices') // 'as-wanted'
 */
export function resultOf(grade: Grade | null, wanted: (typeof TARGETS)[number], enough?: Grade): Result {
  if (grade === null) return 'unknown';
  const against = againstTarget(grade, wanted);
  const willDo = enough !== undefined && GRADES.indexOf(grade) >= GRADES.indexOf(enough);
  return against === 'short' && willDo ? 'as-wanted' : against;
}
