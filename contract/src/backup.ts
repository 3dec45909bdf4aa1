import { say } from '@hervir/language/message';
import {
  BROUGHT_IN_BY,
  COOK_EVENTS,
  EXERCISES,
  FACTORS,
  FAULTS,
  GONE,
  GRADES,
  GUIDE_PARTS,
  GUIDE_ALARMS,
  guideFromV1,
  SECTIONS,
  SECTIONS_V1,
  WEIGHTS,
  type AgainSteps,
  type FactorKind,
  type Guide,
  type GuideV1,
  type Plan,
} from '@hervir/core';
import { z } from 'zod';
import { cookEventSchema } from './cook';
import { allowedWords, readBy, type Fault } from './fault';
import { keptSchema } from './kept';
import { settingsSchema, UNIT_SYSTEMS } from './kitchen';
import { logEntrySchema, RESULTS } from './log';
import { cookerSchema, parsePlan, wallClock } from './plan';
import { rehearsalActSchema } from './rehearsal';
import { textSchema } from './text';

/** A whole kitchen in one file. */
export const BACKUP_FORMAT = 'hervir/backup';
export const BACKUP_VERSION = 1;

/** A plan may be for next year: what is waited for until then is as long as that. */
const minutes = z.number().min(-1e9).max(1e9);
const sentence = z.string().max(2000);
const yesNo = z.union([z.literal(0), z.literal(1), z.boolean()]);
const done = z.enum(COOK_EVENTS);

/** Moves are read as they were written: what does them says no more than their kind to whoever keeps them. */
const movesSchema = z.array(z.looseObject({ kind: z.string().max(40) })).max(60);

const guideStepCore = {
  id: sentence,
  task: sentence,
  title: textSchema,
  detail: textSchema,
  button: textSchema,
  done,
  minutes,
  counts: z.boolean(),
  handsOn: z.boolean(),
  alarm: z.enum(GUIDE_ALARMS),
  skips: z.number().int().min(0).max(200),
  otherwise: z.looseObject({ button: textSchema, done, skips: z.number().int().min(0).max(200) }).nullable(),
  earlyFromMinute: minutes.nullable(),
  runsFrom: sentence.nullable(),
  endsByItself: z.boolean(),
  caution: textSchema.nullable(),
  waitMinutes: minutes,
  spareMinutes: minutes.optional(),
};

const guideStepSchema = z.looseObject({
  ...guideStepCore,
  section: z.enum(SECTIONS),
  moves: movesSchema,
  run: z.number().int().min(1).max(20).nullable(),
  broughtInBy: z.enum(BROUGHT_IN_BY).nullable(),
});
const guideStepSchemaV1 = z.looseObject({ ...guideStepCore, section: z.enum(SECTIONS_V1) });

const AGAIN: readonly (keyof AgainSteps)[] = ['clear', 'lock', 'pin', 'pressure', 'vent', 'pinDown', 'open', 'check'];

const trackStepCore = { id: sentence, title: textSchema, minutes, handsOn: z.boolean(), beforeDinner: minutes };

const guideCore = {
  format: z.literal('hervir/guide'),
  heatingMinutes: minutes,
  totalMinutes: minutes,
  eatAt: wallClock.nullable(),
  wanted: z.enum(GRADES),
  electric: z.boolean(),
  part: z.enum(GUIDE_PARTS).optional(),
};

function guideOfSteps<S extends z.ZodType, T extends z.ZodType, V extends number>(version: V, step: S, trackStep: T) {
  return z.looseObject({
    ...guideCore,
    version: z.literal(version),
    steps: z.array(step).min(1).max(300),
    tracks: z.array(z.looseObject({ id: sentence, name: textSchema, steps: z.array(trackStep).max(100) })).max(40),
    again: z.looseObject(Object.fromEntries(AGAIN.map((key) => [key, step]))),
  });
}

/** The guide of a cook as it was when that began: it is read back, never made anew. */
export const guideSchema = guideOfSteps(2, guideStepSchema, z.looseObject({ ...trackStepCore, moves: movesSchema }));
/** As cooks that began under an older Hervir have it. */
const guideSchemaV1 = guideOfSteps(1, guideStepSchemaV1, z.looseObject(trackStepCore));
const storedGuideSchema = z.union([guideSchema, guideSchemaV1]);

/**
 * A guide as the kitchen has kept it, in today's version: a cook in progress goes on.
 *
 * @param kept of any version; what is no guide comes back as it is
 */
export function storedGuide(kept: unknown): Guide {
  const guide = kept as Guide | GuideV1 | null;
  return guide?.version === 1 ? guideFromV1(guide) : (guide as Guide);
}

/**
 * A plan as the kitchen has kept it, in today's version.
 *
 * @param kept of any version; what cannot be read comes back as it is, for whoever opens it to say so
 */
export function storedPlan(kept: unknown): Plan {
  const plan = kept as { readonly version?: unknown } | null;
  if (plan?.version !== 1) return kept as Plan;
  const read = parsePlan(plan);
  return read.ok ? read.value : (kept as Plan);
}

const evidence = z.union([
  z.strictObject({ at: z.number().min(-10).max(10) }),
  z.strictObject({ from: z.number(), to: z.number() }),
]);
const observationSchema = z.strictObject(
  Object.fromEntries(FACTORS.map((kind) => [kind, evidence.optional()])) as Record<
    FactorKind,
    z.ZodOptional<typeof evidence>
  >,
);

export const debriefSchema = z.looseObject({
  lines: z
    .array(
      z.looseObject({
        topic: sentence,
        title: textSchema,
        planned: textSchema,
        was: textSchema,
        good: z.boolean(),
      }),
    )
    .max(50),
  differently: z.array(textSchema).max(10),
});

/** What a factor was weighed at, now and while only the factor was learnt. */
const WEIGHED: readonly number[] = Object.values(WEIGHTS);
const id = z.uuid();
/** A plan is read by its own reader, which also knows its older versions. */
const plan = z.unknown();
const words = z.string().max(10_000);
const figure = z.number().nullable();
/** A run is over within a day and a half. */
const runSeconds = z
  .number()
  .min(0)
  .max(36 * 3600);

/**
 * Rows of every table, by the names its columns have in the file, in the order they are put back. Columns that came later
 * than the first version may be missing.
 */
const TABLE_ROWS = {
  settings: z.looseObject({ id: z.number().int(), settings: settingsSchema }),
  cooker: z.looseObject({ id, cooker: cookerSchema, created_at: wallClock }),
  braise: z.looseObject({
    id,
    plan,
    revision: z.number().int().min(1),
    created_at: wallClock,
    updated_at: wallClock,
    deleted_at: wallClock.nullish(),
  }),
  cook: z.looseObject({
    id,
    braise_id: id.nullish(),
    name: words,
    plan,
    guide: storedGuideSchema,
    units: z.enum(UNIT_SYSTEMS),
    started_at: wallClock,
    finished_at: wallClock.nullish(),
    link: z.literal('simulated').nullish(),
  }),
  cook_event: cookEventSchema.safeExtend({
    seq: z.number().int().min(1),
    cook_id: id,
    received_at: wallClock,
  }),
  log_entry: z.looseObject({
    id,
    served_at: wallClock,
    cut: words,
    species: words,
    cooker: words,
    result: z.enum(RESULTS),
    late: figure,
    tough: figure,
    grams: z.number(),
    pin_ratio: figure.optional(),
    trim_share: figure.optional(),
    cook_share: figure.optional(),
    words: z.string().max(60_000),
    entry: logEntrySchema,
    plan,
    observation: observationSchema,
    photo: yesNo.optional(),
  }),
  learnt: z.looseObject({
    id: z.string().min(1).max(200),
    kind: z.enum(FACTORS),
    of: z.string().max(120),
    weights: z
      .array(z.number(), { error: allowedWords(say('backup.numbers', { counts: WEIGHED.join(' / ') })) })
      .refine(({ length }) => WEIGHED.includes(length), {
        error: allowedWords(say('backup.numbers', { counts: WEIGHED.join(' / ') })),
      }),
    cooks: z.number().int().min(0),
    short: z.number().int().min(0),
    past: z.number().int().min(0),
    off: yesNo.optional(),
  }),
  kept_dish: z.looseObject({ id, kept: keptSchema, gone: z.enum(GONE).nullish() }),
  rehearsal: z.looseObject({
    id,
    name: words,
    exercise: z.enum(EXERCISES).nullish(),
    plan,
    units: z.enum(UNIT_SYSTEMS),
    setup: z.looseObject({
      seed: z.number().int().min(0),
      scatter: z.boolean(),
      startMs: z.number().min(0).max(8.6e15),
      faults: z.array(z.enum(FAULTS)).max(FAULTS.length),
      handsTakeTime: z.boolean(),
      stepS: z.number().min(0.1).max(60).optional(),
    }),
    seconds: runSeconds,
    created_at: wallClock,
    finished_at: wallClock.nullish(),
    mark: z.enum(['under-way', 'passed', 'failed']),
    debrief: debriefSchema.nullish(),
  }),
  rehearsal_act: z.looseObject({
    seq: z.number().int().min(1),
    rehearsal_id: id,
    at_s: runSeconds,
    act: rehearsalActSchema,
  }),
} as const satisfies Readonly<Record<string, z.ZodType>>;
export type BackupTable = keyof typeof TABLE_ROWS;

/** In files of older versions only: who may come in is the machine's to say, and no part of a kitchen's backup. */
export const LEFT_OUT_TABLES: readonly string[] = ['device'];

/** Every table of a backup, in the order they are put back. */
export const BACKUP_TABLES = Object.keys(TABLE_ROWS) as readonly BackupTable[];

const photoId = z.string().regex(/^[0-9a-f-]{36}$/, { error: allowedWords(say('backup.the-id-of-its-cook')) });

export const backupSchema = z.strictObject({
  format: z.literal(BACKUP_FORMAT),
  version: z.number().int().min(1).max(BACKUP_VERSION),
  made: wallClock.optional(),
  tables: z.strictObject({
    settings: z.array(TABLE_ROWS.settings).max(1).default([]),
    cooker: z.array(TABLE_ROWS.cooker).default([]),
    braise: z.array(TABLE_ROWS.braise).default([]),
    cook: z.array(TABLE_ROWS.cook).default([]),
    cook_event: z.array(TABLE_ROWS.cook_event).default([]),
    log_entry: z.array(TABLE_ROWS.log_entry).default([]),
    learnt: z.array(TABLE_ROWS.learnt).default([]),
    kept_dish: z.array(TABLE_ROWS.kept_dish).default([]),
    rehearsal: z.array(TABLE_ROWS.rehearsal).default([]),
    rehearsal_act: z.array(TABLE_ROWS.rehearsal_act).default([]),
    /** Written by older versions, and left alone. */
    device: z.array(z.unknown()).optional(),
  } satisfies Record<BackupTable | 'device', z.ZodType>),
  photos: z.record(photoId, z.base64()).default({}),
  /** Rows that an older Hervir kept and this one cannot read, each with its table and why: not put back. */
  unreadable: z.array(z.looseObject({ table: z.string(), row: z.unknown() })).optional(),
});

/** A row of a table, by the names its columns have in the file. */
export type BackupRow = Readonly<Record<string, unknown>>;

/** A plan is read by the reader that knows all its versions; at most this many faults of one are told. */
const FAULTS_A_PLAN = 3;
const WITH_PLAN: ReadonlySet<BackupTable> = new Set(['braise', 'cook', 'log_entry', 'rehearsal']);

/**
 * What is wrong with a row of a kitchen. The one judge of what is kept: a row is looked at before it is written, when a
 * backup is made and when one is put back, so that nothing is kept that could not be read again.
 *
 * @param table it belongs to
 * @param row by the names of its columns; JSON columns as what they hold
 * @returns faults by their column; none where it is fine
 * @example rowFaults('braise', {}).map(({ path }) => path).includes('revision') // true
 */
export function rowFaults(table: BackupTable, row: unknown): Fault[] {
  const shape = readBy<unknown>(TABLE_ROWS[table], row);
  if (!shape.ok) return [...shape.faults];
  if (!WITH_PLAN.has(table)) return [];
  const read = parsePlan((row as BackupRow)['plan']);
  if (read.ok) return [];
  return read.faults.slice(0, FAULTS_A_PLAN).map((fault) => ({ ...fault, path: pathUnder('plan', fault.path) }));
}

const pathUnder = (head: string, path: string): string =>
  path === '' ? head : path.startsWith('[') ? `${head}${path}` : `${head}.${path}`;

/** The head of a backup: what it is, before its rows. */
const headSchema = z.looseObject({
  format: z.literal(BACKUP_FORMAT),
  version: z.number().int().min(1).max(BACKUP_VERSION),
  made: wallClock.optional(),
});

/**
 * What is wrong with the head of a backup.
 *
 * @example backupHeadFaults({ format: 'hervir/backup', version: 99 })[0].path // 'version'
 */
export function backupHeadFaults(head: unknown): readonly Fault[] {
  const read = readBy(headSchema, head);
  return read.ok ? [] : read.faults;
}

/** What is wrong with the name of a photo: it is that of its cook. */
export function photoFaults(id: string): readonly Fault[] {
  const read = readBy(photoId, id);
  return read.ok ? [] : read.faults.map((fault) => ({ ...fault, path: `photos.${id.slice(0, 40)}` }));
}

/** Where a fault of a row is, in the file. */
export const faultAt = (table: BackupTable, row: number, fault: Fault): Fault => ({
  ...fault,
  path: pathUnder(`tables.${table}[${row}]`, fault.path),
});
