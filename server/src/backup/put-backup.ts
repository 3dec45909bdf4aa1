import { mkdirSync, rmSync } from 'node:fs';
import { writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { faultOfPlanError, faultAt, parsePlan, storedGuide, type Fault } from '@hervir/contract';
import { cookState, forecast, PlanError, SimulatedCook, type CookEvent, type Plan } from '@hervir/core';
import { LONGEST_COOK_MS } from '../cooks/longest-cook';
import { PlainDatabase, type PlainTable } from '../database/plain';
import { pictureOf } from '../log/picture';
import { MOST_FAULTS, readBackupFile, type BackupCount } from './backup-file';
import { say } from '@hervir/language';

/** A backup that came in, and where what it holds is laid out; without a place, it is only looked at. */
export interface CheckBackup {
  readonly file: string;
  readonly database: string;
  /** A database for its rows. */
  readonly staging: string;
  /** A folder for its photos; null where they are only looked at. */
  readonly photos: string | null;
}

/** What a backup holds, and what is wrong with it. */
export interface CheckedBackup extends BackupCount {
  readonly faults: readonly Fault[];
}

/**
 * Reads a backup and lays what it holds out beside the kitchen: nothing of the kitchen is changed. What the next start will
 * do with it is done here first, so that a backup that would stop it is refused.
 */
export async function checkBackup({ file, database, staging, photos }: CheckBackup): Promise<CheckedBackup> {
  rmSync(staging, { force: true });
  if (photos !== null) {
    rmSync(photos, { recursive: true, force: true });
    mkdirSync(photos, { recursive: true, mode: 0o700 });
  }
  const kitchen = new PlainDatabase(database);
  const beside = kitchen.emptyCopy(staging);
  let keep = false;
  try {
    beside.exec('begin');
    const insert = new Map(beside.tables().map((table) => [table.name, beside.inserter(table)]));
    const faults: Fault[] = [];
    const { count, faults: read } = await readBackupFile(file, {
      row: (table, row) => {
        try {
          insert.get(table)?.(row);
        } catch (error) {
          // Two rows with one id, or a value no column takes.
          const problem = (error as Error).message.slice(0, 200);
          faults.push({ path: `tables.${table}`, problem, allowed: say('put-backup.rows-of-a-backup-of') });
        }
      },
      photo: async (id, base64) => {
        const made = pictureOf(Buffer.from(base64, 'base64'), `photos.${id}`);
        if ('fault' in made) return [made.fault];
        if (photos !== null) await writeFile(join(photos, `${id}.jpg`), made.picture, { mode: 0o600 });
        return [];
      },
    });
    beside.exec('commit');
    const all = [...read, ...faults];
    if (all.length === 0) all.push(...startFaults(beside));
    keep = all.length === 0 && photos !== null;
    return { ...count, faults: all.slice(0, MOST_FAULTS) };
  } finally {
    kitchen.close();
    beside.close();
    if (!keep) {
      rmSync(staging, { force: true });
      if (photos !== null) rmSync(photos, { recursive: true, force: true });
    }
  }
}

interface CookRow {
  readonly id: string;
  readonly plan: string;
  readonly guide: string;
  readonly started_at: string;
  readonly finished_at: string | null;
  readonly link: string | null;
}

/** Cooks that a start goes through: those under way, and those that are finished and not in the log yet. */
function startFaults(db: PlainDatabase): Fault[] {
  const faults: Fault[] = [];
  let place = -1;
  for (const row of db.each<CookRow>('select * from `cook` order by `rowid`')) {
    place += 1;
    const logged = db.all('select 1 from `log_entry` where `id` = ?', row.id).length > 0;
    if (row.finished_at !== null && logged) continue;
    const fault = cookFault(db, row);
    if (fault !== null) faults.push(faultAt('cook', place, fault));
    if (faults.length >= MOST_FAULTS) break;
  }
  return faults;
}

/** What would be met when a cook is gone through at a start. */
function cookFault(db: PlainDatabase, row: CookRow): Fault | null {
  const read = parsePlan(JSON.parse(row.plan));
  if (!read.ok) return read.faults[0] ?? null;
  const plan: Plan = read.value;
  const guide = storedGuide(JSON.parse(row.guide));
  const events = db
    .all<{ id: string; kind: CookEvent['kind']; at: string; payload: string }>(
      'select `id`, `kind`, `at`, `payload` from `cook_event` where `cook_id` = ? order by `seq`',
      row.id,
    )
    .map((event): CookEvent => ({ ...event, payload: JSON.parse(event.payload) as CookEvent['payload'] }));
  const startMs = Date.parse(row.started_at);
  try {
    cookState(guide, events, Date.parse(row.finished_at ?? row.started_at));
    const f = forecast(plan);
    if (row.link !== null && row.finished_at === null) {
      const run = new SimulatedCook(f, guide, { seed: 1, scatter: false, startMs, faults: [], handsTakeTime: false });
      const inOrder = [...events].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
      for (const event of inOrder) {
        run.advanceTo(Math.min(LONGEST_COOK_MS, Date.parse(event.at) - startMs) / 1000);
        run.follow(event);
      }
    }
    return null;
  } catch (error) {
    if (error instanceof PlanError) {
      const fault = faultOfPlanError(error);
      return { ...fault, path: `plan.${fault.path}` };
    }
    const problem = say('put-backup.cannot-be-gone-through', { message: (error as Error).message.slice(0, 120) });
    return { path: 'guide', problem, allowed: say('put-backup.a-guide-and-events-of') };
  }
}

/** What was laid out, and the kitchen it goes into. */
export interface PutBackup {
  readonly staging: string;
  readonly database: string;
  /** The restore it is, counted. */
  readonly restore: number;
}

/** Puts what was laid out in place of everything that is there, in one transaction. Nobody else writes meanwhile. */
export function putBackup({ staging, database, restore }: PutBackup): void {
  const db = new PlainDatabase(database);
  try {
    db.exec('pragma synchronous = full');
    db.attach(staging, 'incoming');
    const tables: PlainTable[] = db.tables();
    db.transaction(() => {
      for (const { name } of [...tables].reverse()) db.exec(`delete from main.\`${name}\``);
      for (const { name, columns } of tables) {
        const names = columns.map((column) => `\`${column}\``).join(', ');
        db.exec(`insert into main.\`${name}\` (${names}) select ${names} from incoming.\`${name}\` order by rowid`);
      }
      db.exec(`pragma main.user_version = ${restore}`);
    });
  } finally {
    db.close();
    rmSync(staging, { force: true });
  }
}
