import {
  COOK_EVENTS,
  EXERCISES,
  FACTORS,
  FAULTS,
  GRADES,
  GUIDE_ALARMS,
  SECTIONS,
  unknown,
  type AgainSteps,
  type FactorKind,
} from '@hervir/core';
import { z } from 'zod';
import { cookEventSchema } from './cook';
import { ALLOWED, readBy, type Fault, type Read } from './fault';
import { settingsSchema, UNIT_SYSTEMS } from './kitchen';
import { logEntrySchema, RESULTS } from './log';
import { cookerSchema, parsePlan, wallClock } from './plan';
import { rehearsalActSchema } from './rehearsal';

/** A whole kitchen in one file. */
export const BACKUP_FORMAT = 'hervir/backup';
export const BACKUP_VERSION = 1;

const minutes = z.number().min(-10_000).max(10_000);
const sentence = z.string().max(2000);
const yesNo = z.union([z.literal(0), z.literal(1), z.boolean()]);
const done = z.enum(COOK_EVENTS);

const guideStepSchema = z.looseObject({
  id: sentence,
  task: sentence,
  section: z.enum(SECTIONS),
  title: sentence,
  detail: sentence,
  button: sentence,
  done,
  minutes,
  counts: z.boolean(),
  handsOn: z.boolean(),
  alarm: z.enum(GUIDE_ALARMS),
  skips: z.number().int().min(0).max(200),
  otherwise: z.looseObject({ button: sentence, done, skips: z.number().int().min(0).max(200) }).nullable(),
  earlyFromMinute: minutes.nullable(),
  runsFrom: sentence.nullable(),
  endsByItself: z.boolean(),
  caution: sentence.nullable(),
  waitMinutes: minutes,
});

const AGAIN: readonly (keyof AgainSteps)[] = ['clear', 'lock', 'pin', 'pressure', 'vent', 'pinDown', 'open', 'check'];

/** The guide of a cook as it was when that began: it is read back, never made anew. */
const guideSchema = z.looseObject({
  format: z.literal('hervir/guide'),
  version: z.literal(1),
  steps: z.array(guideStepSchema).min(1).max(300),
  tracks: z
    .array(
      z.looseObject({
        id: sentence,
        name: sentence,
        steps: z
          .array(z.looseObject({ id: sentence, title: sentence, minutes, handsOn: z.boolean(), beforeDinner: minutes }))
          .max(100),
      }),
    )
    .max(40),
  again: z.looseObject(Object.fromEntries(AGAIN.map((key) => [key, guideStepSchema]))),
  heatingMinutes: minutes,
  totalMinutes: minutes,
  eatAt: wallClock.nullable(),
  wanted: z.enum(GRADES),
  electric: z.boolean(),
});

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

const debriefSchema = z.looseObject({
  lines: z
    .array(
      z.looseObject({
        topic: sentence,
        title: sentence,
        planned: sentence,
        was: sentence,
        good: z.boolean(),
      }),
    )
    .max(50),
  differently: z.array(sentence).max(10),
});

/** So many points a factor is weighed at. */
const POINTS = unknown('heat').weights.length;
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
    guide: guideSchema,
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
    words,
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
      .array(z.number(), { error: `${ALLOWED}${POINTS} numbers` })
      .length(POINTS, { error: `${ALLOWED}${POINTS} numbers` }),
    cooks: z.number().int().min(0),
    short: z.number().int().min(0),
    past: z.number().int().min(0),
    off: yesNo.optional(),
  }),
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
  device: z.looseObject({ id: z.string().min(1).max(200), name: words, paired_at: wallClock }),
} as const satisfies Readonly<Record<string, z.ZodType>>;
export type BackupTable = keyof typeof TABLE_ROWS;

/** Every table of a backup, in the order they are put back. */
export const BACKUP_TABLES = Object.keys(TABLE_ROWS) as readonly BackupTable[];

const photoId = z.string().regex(/^[0-9a-f-]{36}$/, { error: `${ALLOWED}the id of its cook` });

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
    rehearsal: z.array(TABLE_ROWS.rehearsal).default([]),
    rehearsal_act: z.array(TABLE_ROWS.rehearsal_act).default([]),
    device: z.array(TABLE_ROWS.device).default([]),
  } satisfies Record<BackupTable, z.ZodType>),
  photos: z.record(photoId, z.base64()).default({}),
});

type Row = Readonly<Record<string, unknown>>;

/** A backup as it is put back: rows exactly as the file has them. */
export interface Backup {
  readonly tables: Readonly<Record<BackupTable, readonly Row[]>>;
  readonly photos: Readonly<Record<string, string>>;
}

/** Plans are read by the reader that knows all their versions; at most this many faults of one are told. */
const FAULTS_A_PLAN = 3;

function planFaults(tables: Backup['tables']): Fault[] {
  return (['braise', 'cook', 'log_entry', 'rehearsal'] as const).flatMap((table) =>
    tables[table].flatMap((row, i) => {
      const read = parsePlan(row['plan']);
      if (read.ok) return [];
      return read.faults
        .slice(0, FAULTS_A_PLAN)
        .map((fault) => ({ ...fault, path: `tables.${table}[${i}].plan.${fault.path}` }));
    }),
  );
}

/**
 * Reads a backup: every row of every table is one this program can read again, or it is refused with its place.
 *
 * @param input what the file holds, parsed as JSON
 * @returns the rows as they stand in the file
 * @example readBackup({ format: 'hervir/backup', version: 1, tables: {} }).ok // true
 * @example readBackup({ format: 'something', version: 1, tables: {} }).ok // false
 */
export function readBackup(input: unknown): Read<Backup> {
  const shape = readBy(backupSchema, input);
  if (!shape.ok) return shape;
  // What is put back is what the file says, without the defaults a reader fills in: the same content comes out again.
  const { tables: given } = input as { tables: Partial<Backup['tables']> };
  const tables = Object.fromEntries(
    BACKUP_TABLES.map((table) => [table, given[table] ?? []]),
  ) as unknown as Backup['tables'];
  const faults = planFaults(tables);
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: { tables, photos: shape.value.photos } };
}
