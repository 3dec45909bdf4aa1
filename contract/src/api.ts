import { EXERCISES, FACTORS, FAULTS, GRADES, RELEASES } from '@hervir/core';
import { z } from 'zod';
import { backupSchema, debriefSchema, guideSchema } from './backup';
import { createSchema, saveSchema } from './braise-record';
import { cookEventSchema, eventsSchema, startCookSchema } from './cook';
import { keepSchema, keptSchema } from './kept';
import { settingsSchema, UNIT_SYSTEMS } from './kitchen';
import {
  csvFileSchema,
  learntChangeSchema,
  logChangeSchema,
  logEntrySchema,
  logQuerySchema,
  pastCookSchema,
  photoFileSchema,
  RESULTS,
} from './log';
import { cookerSchema, planSchema, planSchemaV1, wallClock } from './plan';
import { RECIPE_WHENS, recipeFileSchema, takenAsSchema } from './recipe';
import { cookerCommandSchema, paceSchema, rehearsalActSchema, startRehearsalSchema } from './rehearsal';

const id = z.uuid();
const count = z.number().int().min(0);
const maybeTime = wallClock.nullable();
const units = z.enum(UNIT_SYSTEMS);

/** A plan that comes in may be of either version; one that goes out is of today's. */
const anyPlan = z.union([planSchema, planSchemaV1]);

const fault = z.object({ path: z.string(), problem: z.string(), allowed: z.string() });
/** How every refusal is said. */
const refusal = z.object({ faults: z.array(fault).min(1), current: z.unknown().optional() });
const ok = z.object({ status: z.literal('ok') });

const braise = z.object({
  id,
  plan: planSchema,
  revision: count,
  createdAt: wallClock,
  updatedAt: wallClock,
  deletedAt: maybeTime,
});
const braiseSummary = z.object({
  id,
  name: z.string(),
  cut: z.string(),
  form: z.string(),
  grams: z.number(),
  cookerName: z.string(),
  serveAt: maybeTime,
  revision: count,
  updatedAt: wallClock,
  unreadable: z.boolean().optional(),
});
const storedKept = z.object({ id, kept: keptSchema });
const storedCooker = z.object({ id, cooker: cookerSchema, createdAt: wallClock });
const cookEvent = cookEventSchema;
const storedEvent = cookEventSchema.safeExtend({ seq: count });
const cook = z.object({
  id,
  braiseId: id.nullable(),
  name: z.string(),
  plan: planSchema,
  guide: guideSchema,
  units,
  startedAt: wallClock,
  finishedAt: maybeTime,
  events: z.array(storedEvent),
});
const eventsAnswer = z.object({
  kept: z.array(storedEvent),
  refused: z.array(fault.extend({ id })),
});
const logItem = logEntrySchema.safeExtend({ result: z.enum(RESULTS), photo: z.boolean() });
const logPage = z.object({ items: z.array(logItem), total: count });
const logRecord = z.object({
  item: logItem,
  plan: planSchema,
  cook: z.object({ guide: guideSchema, events: z.array(storedEvent) }).nullable(),
});
const share = z.number().nullable();
const logCharts = z.object({
  toPin: z.array(z.object({ at: wallClock, cooker: z.string(), ratio: z.number() })),
  cuts: z.array(z.object({ cut: z.string(), short: count, asWanted: count, past: count })),
  late: z.array(z.object({ from: z.number(), cooks: count })),
  losses: z.array(z.object({ cut: z.string(), trim: share, cook: share, cooks: count })),
  promises: z.array(z.object({ kind: z.enum(['tender', 'in-time']), promised: z.number(), cooks: count, kept: count })),
});
const importReport = z.object({ added: count, known: count, faults: z.array(fault) });
const logImport = z.object({
  id,
  phase: z.enum(['reading', 'ready', 'refused', 'writing', 'cancelled']),
  rows: count,
  reckoned: count,
  known: count,
  first: z.array(logEntrySchema),
  faults: z.array(fault),
});
const learnt = z.object({
  key: z.string(),
  kind: z.enum(FACTORS),
  of: z.string(),
  off: z.boolean(),
  short: count,
  past: count,
  factor: z.number(),
  range: z.array(z.number()).length(2),
  cooks: count,
  apart: z.number(),
  scatter: z.object({ likely: z.array(z.number()), open: z.number() }),
});
const keptBackup = z.object({ name: z.string(), made: wallClock, bytes: count });
const backupPreview = z.object({
  holds: z.record(z.string(), count),
  here: z.record(z.string(), count),
  photos: count,
  unreadable: count,
});
const mark = z.enum(['under-way', 'passed', 'failed']);
const rehearsalSummary = z.object({
  id,
  name: z.string(),
  exercise: z.enum(EXERCISES).nullable(),
  createdAt: wallClock,
  mark,
  finished: z.boolean(),
  debrief: debriefSchema.nullable(),
});
const plant = z.looseObject({
  kind: z.enum(['vegetable', 'grain']),
  id: z.string(),
  grams: z.number(),
  where: z.enum(['bowl', 'pot', 'out']),
});
const rehearsalNow = z.object({
  seconds: z.number().min(0),
  now: wallClock,
  speed: z.number(),
  pace: z.object({ speed: z.number(), slowForHands: z.boolean(), paused: z.boolean() }),
  events: z.array(cookEvent),
  faults: z.array(z.enum(FAULTS)),
  plants: z.array(plant),
  fork: z.enum(GRADES).nullable(),
  mark,
  debrief: debriefSchema.nullable(),
  finished: z.boolean(),
});
const rehearsal = rehearsalNow.extend({
  id,
  name: z.string(),
  exercise: z.enum(EXERCISES).nullable(),
  plan: planSchema,
  guide: guideSchema,
  units,
  seed: count,
  createdAt: wallClock,
});
const refused = z.object({ refused: z.string().nullable() });
const reading = z.object({
  celsius: z.number().optional(),
  grams: z.number().optional(),
  refused: z.string().optional(),
});
const cookLink = z.object({ cooker: z.literal('simulated').nullable() });
const recipeReading = z.object({
  name: z.string(),
  servings: z.number().nullable(),
  from: z.enum(['json-ld', 'text']),
  lines: z.array(
    z.object({
      text: z.string(),
      as: takenAsSchema,
      name: z.string(),
      grams: z.number().nullable(),
      guess: z.string().nullable(),
      when: z.enum(RECIPE_WHENS).nullable(),
    }),
  ),
  method: z.array(
    z.object({
      text: z.string(),
      found: z.string().nullable(),
      minutes: z.number().nullable(),
      way: z.string().nullable(),
      release: z.enum(RELEASES).nullable(),
      releaseMinutes: z.number().nullable(),
    }),
  ),
  plan: planSchema.nullable(),
  notes: z.array(z.string()),
});
const lan = z.object({
  addresses: z.array(z.string()),
  code: z.string().nullable(),
  qr: z.string().nullable(),
  devices: z.array(z.object({ id: z.string(), name: z.string(), pairedAt: wallClock })),
});
const health = z.object({
  status: z.enum(['ok', 'folder-gone']),
  demo: z.boolean(),
  version: z.string(),
  database: z.object({ migration: z.string(), bytes: count.nullable() }),
  lastBackup: keptBackup.nullable(),
  trouble: z.array(z.object({ loop: z.string(), problem: z.string() })),
});

/** A name a generated client may call an answer by. */
const NAMED = {
  Refusal: refusal,
  Plan: planSchema,
  Braise: braise,
  BraiseSummary: braiseSummary,
  Cooker: cookerSchema,
  StoredCooker: storedCooker,
  StoredKept: storedKept,
  Settings: settingsSchema,
  Guide: guideSchema,
  Cook: cook,
  CookEvent: cookEvent,
  EventsAnswer: eventsAnswer,
  LogEntry: logEntrySchema,
  LogItem: logItem,
  LogPage: logPage,
  LogRecord: logRecord,
  LogCharts: logCharts,
  LogImport: logImport,
  ImportReport: importReport,
  Learnt: learnt,
  Backup: backupSchema,
  BackupPreview: backupPreview,
  KeptBackup: keptBackup,
  Rehearsal: rehearsal,
  RehearsalNow: rehearsalNow,
  RehearsalSummary: rehearsalSummary,
  RecipeReading: recipeReading,
  Health: health,
  Lan: lan,
} as const satisfies Readonly<Record<string, z.ZodType>>;

/** What a route takes and gives. */
export interface Route {
  readonly body?: z.ZodType;
  /** What may be asked for behind the address. */
  readonly query?: z.ZodObject;
  /** The type of a body that is a file; JSON where nothing is said. */
  readonly bodyType?: string;
  readonly status?: 200 | 201;
  readonly answer?: z.ZodType;
  /** The type of an answer that is no JSON. */
  readonly type?: string;
}

const get = (answer: z.ZodType, more: Partial<Route> = {}): Route => ({ answer, status: 200, ...more });
const file = (type: string): Route => ({ type, status: 200 });
const post = (body: z.ZodType | undefined, answer: z.ZodType, status: 200 | 201 = 201): Route => ({
  ...(body === undefined ? {} : { body }),
  answer,
  status,
});

/** Every route of the interface, with the schemas that check what it takes and describe what it gives. */
export const API: Readonly<Record<string, Route>> = {
  'GET /api/health': get(health),
  'GET /api/clock': get(z.object({ now: wallClock, speed: z.number() })),
  'GET /api/schema/braise-v1.json': get(z.looseObject({})),
  'GET /api/schema/braise-v2.json': get(z.looseObject({})),
  'GET /api/braises': get(z.array(braiseSummary)),
  'POST /api/braises': post(createSchema.extend({ plan: anyPlan }), braise),
  'GET /api/braises/{id}': get(braise),
  'PUT /api/braises/{id}': post(saveSchema.extend({ plan: anyPlan }), braise, 200),
  'DELETE /api/braises/{id}': get(braise),
  'POST /api/braises/{id}/restore': post(undefined, braise, 200),
  'GET /api/braises/{id}/plan.json': get(planSchema),
  'GET /api/braises/{id}/recipe.jsonld': file('application/ld+json'),
  'GET /api/braises/{id}/card.md': file('text/markdown'),
  'GET /api/braises/{id}/calendar.ics': file('text/calendar'),
  'GET /api/kept': get(z.array(storedKept)),
  'POST /api/kept': post(keepSchema, storedKept),
  'PUT /api/kept/{id}': post(keptSchema, storedKept, 200),
  'GET /api/cookers': get(z.array(storedCooker)),
  'POST /api/cookers': post(cookerSchema, storedCooker),
  'PUT /api/cookers/{id}': post(cookerSchema, storedCooker, 200),
  'DELETE /api/cookers/{id}': get(storedCooker),
  'GET /api/settings': get(settingsSchema),
  'PUT /api/settings': post(settingsSchema, settingsSchema, 200),
  'GET /api/cooks/running': get(z.array(cook)),
  'GET /api/cooks/stream': file('text/event-stream'),
  'POST /api/cooks': post(startCookSchema.extend({ plan: anyPlan.optional() }), cook),
  'GET /api/cooks/{id}': get(cook),
  'DELETE /api/cooks/{id}': get(cook),
  'POST /api/cooks/{id}/events': post(eventsSchema, eventsAnswer, 200),
  'GET /api/cooks/{id}/link': get(cookLink),
  'PUT /api/cooks/{id}/link': post(undefined, cookLink, 200),
  'DELETE /api/cooks/{id}/link': get(cookLink),
  'POST /api/cooks/{id}/link/commands': post(cookerCommandSchema, refused, 200),
  'GET /api/cooks/{id}/link/telemetry': file('text/event-stream'),
  'GET /api/rehearsals': get(z.array(rehearsalSummary)),
  'POST /api/rehearsals': post(startRehearsalSchema.extend({ plan: anyPlan.optional() }), rehearsal),
  'GET /api/rehearsals/{id}': get(rehearsal),
  'DELETE /api/rehearsals/{id}': get(rehearsalSummary),
  'POST /api/rehearsals/{id}/acts': post(rehearsalActSchema, refused.extend({ now: rehearsalNow }), 200),
  'PUT /api/rehearsals/{id}/pace': post(paceSchema, rehearsalNow, 200),
  'GET /api/rehearsals/{id}/instruments/{instrument}': get(reading),
  'GET /api/rehearsals/{id}/stream': file('text/event-stream'),
  'GET /api/log': get(logPage, { query: logQuerySchema }),
  'POST /api/log': post(pastCookSchema.extend({ plan: anyPlan }), logItem),
  'GET /api/log/charts': get(logCharts),
  'GET /api/log/file.csv': file('text/csv'),
  'POST /api/log/file.csv': { ...post(csvFileSchema, importReport, 200), bodyType: 'text/csv' },
  'POST /api/log/imports': { ...post(csvFileSchema, logImport), bodyType: 'text/csv' },
  'GET /api/log/imports/{id}': get(logImport),
  'DELETE /api/log/imports/{id}': get(logImport),
  'POST /api/log/imports/{id}/keep': post(undefined, importReport, 200),
  'GET /api/log/{id}': get(logRecord),
  'PUT /api/log/{id}': post(logChangeSchema, logItem, 200),
  'DELETE /api/log/{id}': get(logItem),
  'GET /api/log/{id}/photo': file('image/jpeg'),
  'PUT /api/log/{id}/photo': post(photoFileSchema, logItem, 200),
  'DELETE /api/log/{id}/photo': get(logItem),
  'GET /api/learning': get(z.array(learnt)),
  'PUT /api/learning/{key}': post(learntChangeSchema, learnt, 200),
  'DELETE /api/learning/{key}': get(learnt),
  'POST /api/recipes/read': post(recipeFileSchema, recipeReading, 200),
  'GET /api/backup': get(backupSchema),
  'GET /api/backup/where': get(z.object({ folder: z.string() })),
  'POST /api/backup/preview': post(backupSchema, backupPreview, 200),
  'POST /api/backup/restore': post(backupSchema, backupPreview, 200),
  'GET /api/backup/kept': get(z.array(keptBackup)),
  'GET /api/backup/kept/{name}': get(backupSchema),
  'POST /api/backup/kept/{name}/preview': post(undefined, backupPreview, 200),
  'POST /api/backup/kept/{name}/restore': post(undefined, backupPreview, 200),
  'GET /api/lan': get(lan),
  'DELETE /api/lan/devices/{id}': get(ok),
  'POST /api/demo/reset': post(undefined, ok, 200),
};

/** Statuses a request may be refused with, in words. */
const REFUSALS: Readonly<Record<string, string>> = {
  400: 'What came in is not right: every fault with its field',
  403: 'Not from there',
  404: 'There is no such thing',
  409: 'Something else came first',
  413: 'Too large',
  415: 'Of a type that is not read here',
  422: 'Cannot be read, or takes too long',
  503: 'The database is busy, or its folder is gone: again later',
  507: 'The disk is full',
};

type Json = Record<string, unknown>;

/** Named schemas are told once and pointed at. */
function asJson(schema: z.ZodType): Json {
  const name = Object.entries(NAMED).find(([, known]) => known === schema)?.[0];
  if (name !== undefined) return { $ref: `#/components/schemas/${name}` };
  if (schema instanceof z.ZodArray) return { type: 'array', items: asJson(schema.element as z.ZodType) };
  return plainJson(schema);
}

function plainJson(schema: z.ZodType): Json {
  const made = z.toJSONSchema(schema, { io: 'input', target: 'draft-2020-12' }) as Json;
  // OpenAPI 3.1 has one dialect for the whole document.
  delete made['$schema'];
  return made;
}

/** Schemas of the interface, under the names a generated client may call them by. */
export const apiComponents = (): Json =>
  Object.fromEntries(Object.entries(NAMED).map(([name, schema]) => [name, plainJson(schema)]));

function parametersOf(query: z.ZodObject): Json[] {
  const { properties = {} } = plainJson(query) as { properties?: Record<string, Json> };
  return Object.entries(properties).map(([name, schema]) => ({ name, in: 'query', required: false, schema }));
}

/**
 * What OpenAPI says of a route beside its address: its body and its answers.
 *
 * @param route method and path, as in {@link API}
 * @returns nothing where there is no such route
 * @example operationOf('GET /api/health')?.responses['200'] !== undefined // true
 */
export function operationOf(
  route: string,
):
  | { readonly requestBody?: Json; readonly parameters?: Json[]; readonly responses: Readonly<Record<string, Json>> }
  | undefined {
  const one = API[route];
  if (one === undefined) return undefined;
  const { body, query, bodyType, status = 200, answer, type } = one;
  const json = (schema: z.ZodType): Json => ({ 'application/json': { schema: asJson(schema) } });
  const content = answer ? json(answer) : { [type ?? 'application/octet-stream']: { schema: { type: 'string' } } };
  const file = bodyType === undefined ? {} : { [bodyType]: { schema: { type: 'string' } } };
  return {
    ...(query === undefined ? {} : { parameters: parametersOf(query) }),
    ...(body === undefined ? {} : { requestBody: { required: true, content: { ...json(body), ...file } } }),
    responses: {
      [status]: { description: 'Done', content },
      ...Object.fromEntries(
        Object.entries(REFUSALS).map(([code, description]) => [code, { description, content: json(refusal) }]),
      ),
    },
  };
}
