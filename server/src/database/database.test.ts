import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { existsSync, mkdtempSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'libsql';
import { openKitchen, OXTAIL, type TestKitchen } from '../testing/kitchen';
import { DATABASE_FILE } from './data-folder';
import { closeDatabase, openDatabase } from './database';
import { SettingsEntity } from './entities';

const plan = (): { id: string; plan: object } => ({ id: randomUUID(), plan: OXTAIL });
const folders: string[] = [];
const folder = (): string => {
  const made = mkdtempSync(join(tmpdir(), 'hervir-db-'));
  folders.push(made);
  return made;
};
afterAll(() => folders.forEach((made) => rmSync(made, { recursive: true, force: true })));

/** Another program that holds the database locked until it is let go: from a process of its own, as a lock is. */
async function lock(file: string): Promise<{ release(): Promise<void> }> {
  const script = `const D=require('libsql');const d=new D(process.argv[1]);d.exec('begin immediate');process.stdout.write('held');process.stdin.once('data',()=>{d.exec('rollback');process.exit()})`;
  const holder: ChildProcess = spawn(process.execPath, ['-e', script, file], { cwd: __dirname });
  await new Promise((resolve) => holder.stdout?.once('data', resolve));
  return {
    release: () =>
      new Promise((resolve) => {
        holder.once('exit', () => resolve());
        holder.stdin?.write('go');
      }),
  };
}

describe('a lock of another program', () => {
  let kitchen: TestKitchen;
  beforeAll(async () => {
    kitchen = await openKitchen();
  });
  afterAll(() => kitchen.close());

  test('keeps writes waiting and nobody else; when it is gone, what waited is written', async () => {
    const held = await lock(join(kitchen.folder, DATABASE_FILE));
    const waiting = plan();
    const write = kitchen.send('POST', '/api/braises', waiting);
    expect((await kitchen.send('GET', '/api/health')).status).toBe(200);
    expect((await kitchen.send('GET', '/api/braises')).status).toBe(200);
    await held.release();
    expect((await write).status).toBe(201);
  });

  test('that lasts is said, and the first write after it succeeds: no handle is left in a transaction', async () => {
    const held = await lock(join(kitchen.folder, DATABASE_FILE));
    const refused = await Promise.all([1, 2, 3].map(() => kitchen.send('POST', '/api/braises', plan())));
    expect(refused.map(({ status }) => status)).toEqual([503, 503, 503]);
    await held.release();
    expect((await kitchen.send('POST', '/api/braises', plan())).status).toBe(201);
  });
});

describe('a handle', () => {
  test('whose transaction was never ended is thrown away: the next one writes', async () => {
    const database = await openDatabase(folder());
    const { em } = database.orm;
    const write = em.getConnection();
    // What a COMMIT that failed leaves behind.
    await write.execute('begin immediate');
    await em.fork().transactional((inner) => {
      inner.create(SettingsEntity, { id: 1, settings: { units: 'us' } as never });
      return Promise.resolve();
    });
    const [row] = await em.getConnection('read').execute<{ n: number }[]>('select count(*) as n from settings');
    expect(row?.n).toBe(1);
    await closeDatabase(database);
  });

  test('has its pragmas, the one that writes and the one that reads; the latter cannot write', async () => {
    const database = await openDatabase(folder());
    const { em } = database.orm;
    for (const type of ['write', 'read'] as const) {
      const [keys] = await em.getConnection(type).execute<{ foreign_keys: number }[]>('pragma foreign_keys');
      const [busy] = await em.getConnection(type).execute<{ timeout: number }[]>('pragma busy_timeout');
      expect([type, keys?.foreign_keys, (busy?.timeout ?? 0) > 0]).toEqual([type, 1, true]);
    }
    const [sync] = await em.getConnection().execute<{ synchronous: number }[]>('pragma synchronous');
    expect(sync?.synchronous).toBe(2);
    await expect(em.getConnection('read').execute("insert into settings values (9, '{}')")).rejects.toThrow(
      /readonly/i,
    );
    await closeDatabase(database);
  });
});

describe('a data folder', () => {
  test('that is renamed while it is open takes no writes: 503 in words, and health says so', async () => {
    const path = folder();
    const kitchen = await openKitchen({ dataFolder: path });
    const kept = plan();
    expect((await kitchen.send('POST', '/api/braises', kept)).status).toBe(201);
    renameSync(path, `${path}-elsewhere`);
    folders.push(`${path}-elsewhere`);
    const refused = await kitchen.send('POST', '/api/braises', plan());
    expect([refused.status, JSON.stringify(refused.body)]).toEqual([
      503,
      expect.stringContaining('removed or renamed'),
    ]);
    expect((await kitchen.send('PUT', '/api/settings', {})).status).toBe(503);
    const health = await kitchen.send('GET', '/api/health');
    expect([health.status, health.body]).toEqual([503, expect.objectContaining({ status: 'folder-gone' })]);
    // Nothing was begun anew in its place.
    expect(existsSync(path)).toBe(false);
    renameSync(`${path}-elsewhere`, path);
    expect((await kitchen.send('POST', '/api/braises', plan())).status).toBe(201);
    expect((await kitchen.send('GET', '/api/health')).status).toBe(200);
    await kitchen.close();
  });

  test('is its owner’s alone, with all that is in it; a clean stop leaves nothing outside the one file of the database', async () => {
    const path = folder();
    const kitchen = await openKitchen({ dataFolder: path });
    const id = randomUUID();
    await kitchen.send('POST', '/api/log', {
      id,
      servedAt: '2026-11-05T19:00:00Z',
      plan: OXTAIL,
      minutes: 45,
      grade: 'fork',
    });
    const base64 = Buffer.from('ffd8ffda0002010203ffd9', 'hex').toString('base64');
    await kitchen.send('PUT', `/api/log/${id}/photo`, { base64 });
    const modes = (at: string): string[] =>
      readdirSync(at, { withFileTypes: true }).flatMap((entry) => [
        `${(statSync(join(at, entry.name)).mode & 0o777).toString(8)} ${entry.isDirectory() ? 'folder' : 'file'}`,
        ...(entry.isDirectory() ? modes(join(at, entry.name)) : []),
      ]);
    expect(new Set([...modes(path), `${(statSync(path).mode & 0o777).toString(8)} folder`])).toEqual(
      new Set(['600 file', '700 folder']),
    );
    await kitchen.close();
    // All of it is in the one file: what is left beside it is empty, and goes with the process.
    expect(statSync(join(path, `${DATABASE_FILE}-wal`), { throwIfNoEntry: false })?.size ?? 0).toBe(0);
  });
});

describe('an older database', () => {
  test('is kept beside as it was before it is brought up to date', async () => {
    const path = folder();
    await closeDatabase(await openDatabase(path));
    const old = new Database(join(path, DATABASE_FILE));
    // As a Hervir left it that knew no log yet.
    old.exec("delete from mikro_orm_migrations where name >= 'Migration0005'");
    for (const table of ['log_words', 'log_entry', 'learnt', 'kept_dish']) old.exec(`drop table ${table}`);
    old.exec('insert into settings values (1, \'{"units":"us"}\')');
    old.close();
    await closeDatabase(await openDatabase(path));
    const copies = readdirSync(join(path, 'backups'));
    expect(copies).toEqual(['before-Migration0005Log.sqlite']);
    const copy = new Database(join(path, 'backups', copies[0] ?? ''));
    expect(copy.prepare('select count(*) as n from settings').get()).toMatchObject({ n: 1 });
    expect(copy.prepare("select count(*) as n from sqlite_master where name = 'log_entry'").get()).toMatchObject({
      n: 0,
    });
    copy.close();
  });
});

describe('rows that cannot be read any more', () => {
  test('make no room unreachable: the others are there, and a backup has them all', async () => {
    const path = folder();
    let kitchen = await openKitchen({ dataFolder: path, demo: true });
    const before = {
      plans: (await kitchen.send('GET', '/api/braises')).body as unknown[],
      log: (await kitchen.send('GET', '/api/log')).body as { total: number },
    };
    await kitchen.close();
    const db = new Database(join(path, DATABASE_FILE));
    for (const [table, column, value] of [
      ['braise', 'plan', '{"cut'],
      ['cooker', 'cooker', 'null'],
      ['log_entry', 'entry', '{"id":"half'],
      ['learnt', 'weights', '[[]]'],
      ['settings', 'settings', '{"units":"cubits"}'],
    ]) {
      db.exec(`update \`${table}\` set \`${column}\` = '${value}' where rowid = (select min(rowid) from \`${table}\`)`);
    }
    db.close();
    kitchen = await openKitchen({ dataFolder: path, demo: true });
    const plans = (await kitchen.send('GET', '/api/braises')).body as { id: string; unreadable?: boolean }[];
    expect(plans).toHaveLength(before.plans.length);
    const broken = plans.find(({ unreadable }) => unreadable === true);
    expect((await kitchen.send('GET', `/api/braises/${broken?.id}`)).status).toBe(422);
    for (const room of ['cookers', 'settings', 'log', 'learning', 'cooks/running', 'rehearsals', 'log/charts']) {
      expect([room, (await kitchen.send('GET', `/api/${room}`)).status]).toEqual([room, 200]);
    }
    expect(((await kitchen.send('GET', '/api/settings')).body as { units: string }).units).toBe('metric');
    const backup = await kitchen.send('GET', '/api/backup');
    expect([backup.status, backup.headers.get('x-hervir-unreadable-rows')]).toEqual([200, '5']);
    expect((await kitchen.send('POST', '/api/backup/preview', backup.body)).body).toMatchObject({ unreadable: 5 });
    await kitchen.close();
  });
});
