import { readFile } from 'node:fs/promises';
import { rmSync } from 'node:fs';
import { readCsvFile, storedPlan, type Fault, type LogEntry } from '@hervir/contract';

import type { Observation } from '@hervir/core';
import { PlainDatabase } from '../database/plain';
import { readLogCsv } from '../formats/log-csv';
import { isGuided, stillToCome } from './corrections';
import { columnsOf } from './entry';
import { observedByHand, partsOf, planOfEntry, teach, untaught, type Taught } from './lesson';
import { say } from '@hervir/language';

/** A file that came in, and the database its lines are laid out in. */
export interface CheckCsv {
  readonly file: string;
  /** Of the request: JSON holds the file as a text, anything else is the file itself. */
  readonly contentType: string;
  /** Of the reader, BCP 47. */
  readonly language: string;
  readonly database: string;
  readonly staging: string;
  /** The kitchen's own time: no line may lie behind it that was not guided here. */
  readonly nowMs: number;
}

/** What a file holds. */
export interface CheckedCsv {
  readonly rows: number;
  /** Those that are in the log already. */
  readonly known: number;
  /** The first few that are not. */
  readonly first: readonly LogEntry[];
  readonly faults: readonly Fault[];
}

const SHOWN = 5;
/** A file with so many zero bytes at odd or even places is UTF-16 without its mark. */
const ZERO_SHARE = 0.3;

/** Text of a file, whatever it was saved as. */
export function decoded(bytes: Buffer): string {
  const as = (encoding: string): string => new TextDecoder(encoding).decode(bytes);
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return as('utf-16le');
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return as('utf-16be');
  const head = bytes.subarray(0, 1000);
  const zeros = (odd: 0 | 1): number => head.filter((byte, i) => byte === 0 && i % 2 === odd).length;
  if (zeros(1) > head.length * ZERO_SHARE) return as('utf-16le');
  if (zeros(0) > head.length * ZERO_SHARE) return as('utf-16be');
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    // What older programs save on machines of the west.
    return as('windows-1252');
  }
}

/** The text of a request, or what is wrong with it. */
function textOf(bytes: Buffer, contentType: string): { readonly text: string } | { readonly faults: readonly Fault[] } {
  if (!/\bjson\b/i.test(contentType)) return { text: decoded(bytes) };
  let input: unknown;
  try {
    input = JSON.parse(bytes.toString('utf8'));
  } catch {
    return {
      faults: [{ path: '', problem: say('faults.is-not-json'), allowed: say('csv-jobs.a-json-document-or-the') }],
    };
  }
  const read = readCsvFile(input);
  return read.ok ? { text: read.value.text } : { faults: read.faults };
}

/** Reads a file and lays its lines out: nothing of the kitchen is changed. */
export async function checkCsv({
  file,
  contentType,
  language,
  database,
  staging,
  nowMs,
}: CheckCsv): Promise<CheckedCsv> {
  const nothing = { rows: 0, known: 0, first: [] };
  const came = textOf(await readFile(file), contentType);
  if ('faults' in came) return { ...nothing, faults: came.faults };
  const { entries, faults } = readLogCsv(came.text, { language }, (entry) =>
    isGuided(entry) ? null : stillToCome(entry.servedAt, nowMs),
  );
  if (faults.length > 0) return { ...nothing, faults };
  const kitchen = new PlainDatabase(database);
  const beside = kitchen.emptyCopy(staging);
  try {
    const there = new Set(kitchen.all<{ id: string }>('select `id` from `log_entry`').map(({ id }) => id));
    const table = beside.tables().find(({ name }) => name === 'log_entry');
    if (table === undefined) throw new Error('no table log_entry');
    const insert = beside.inserter(table);
    const fresh = entries.filter(({ id }) => !there.has(id));
    beside.transaction(() => {
      for (const entry of fresh) insert({ ...columnNames(columnsOf(entry, planOfEntry(entry), {})), photo: 0 });
    });
    return { rows: entries.length, known: entries.length - fresh.length, first: fresh.slice(0, SHOWN), faults: [] };
  } finally {
    beside.close();
    kitchen.close();
  }
}

/** Columns of the database have the names of fields in lower case, with lines between their words. */
const columnNames = (fields: object): Record<string, unknown> =>
  Object.fromEntries(
    Object.entries(fields).map(([name, value]) => [name.replace(/[A-Z]/g, (sign) => `_${sign.toLowerCase()}`), value]),
  );

/** A part of the lines that were laid out. */
export interface ObserveCsv {
  readonly staging: string;
  /** The first and the last of them, by their place. */
  readonly from: number;
  readonly to: number;
}

interface StagedRow {
  readonly place: number;
  readonly entry: string;
  readonly plan: string;
}

/** Reckons what lines say of the kitchen, and writes it beside them. */
export function observeCsv({ staging, from, to }: ObserveCsv): void {
  const beside = new PlainDatabase(staging);
  try {
    const rows = beside.all<StagedRow>(
      'select rowid as place, `entry`, `plan` from `log_entry` where rowid between ? and ? order by rowid',
      from,
      to,
    );
    const seen = rows.map(({ place, ...row }) => {
      const entry = JSON.parse(row.entry) as LogEntry;
      const plan = storedPlan(JSON.parse(row.plan));
      // A cook of a file teaches its cut as one added by hand.
      const observation = observedByHand(entry, plan);
      return { place, observation, tough: columnsOf(entry, plan, observation).tough };
    });
    beside.transaction(() => {
      for (const { place, observation, tough } of seen) {
        beside.all(
          'update `log_entry` set `observation` = ?, `tough` = ? where rowid = ? returning 1',
          JSON.stringify(observation),
          tough,
          place,
        );
      }
    });
  } finally {
    beside.close();
  }
}

/** What was laid out, and the kitchen it goes into. */
export interface KeepCsv {
  readonly staging: string;
  readonly database: string;
}

interface LessonRow {
  readonly plan: string;
  readonly observation: string;
  readonly result: LogResult;
}
type LogResult = Parameters<typeof teach>[2];

/**
 * Adds what was laid out and is not there yet, with what it teaches: in one transaction. Nobody else writes meanwhile.
 *
 * @returns how many were added
 */
export function keepCsv({ staging, database }: KeepCsv): number {
  const db = new PlainDatabase(database);
  try {
    db.exec('pragma synchronous = full');
    db.attach(staging, 'incoming');
    const tables = new Map(db.tables().map((table) => [table.name, table]));
    const [entries, learnt] = [tables.get('log_entry'), tables.get('learnt')];
    if (entries === undefined || learnt === undefined) throw new Error('no table log_entry');
    const names = entries.columns.map((column) => `\`${column}\``).join(', ');
    return db.transaction(() => {
      const known = new Map<string, Taught>();
      for (const row of db.rows(learnt))
        known.set(String(row['id']), { ...row, off: row['off'] === 1 } as unknown as Taught);
      const fresh = 'from incoming.`log_entry` where `id` not in (select `id` from main.`log_entry`)';
      let added = 0;
      for (const row of db.each<LessonRow>(`select \`plan\`, \`observation\`, \`result\` ${fresh} order by rowid`)) {
        added += 1;
        const lesson = {
          plan: storedPlan(JSON.parse(row.plan)),
          observation: JSON.parse(row.observation) as Observation,
        };
        for (const { evidence, ...part } of partsOf(lesson)) {
          const taught = known.get(part.id) ?? untaught(part);
          known.set(part.id, taught);
          teach(taught, evidence, row.result, 1);
        }
      }
      db.exec(`insert into main.\`log_entry\` (${names}) select ${names} ${fresh} order by rowid`);
      db.exec('delete from main.`learnt`');
      const insert = db.inserter(learnt);
      for (const taught of known.values()) insert({ ...taught, weights: [...taught.weights] });
      return added;
    });
  } finally {
    db.close();
    rmSync(staging, { force: true });
  }
}
