import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { chmodSync, existsSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { LibSqlConnection } from '@mikro-orm/libsql';
import { StartError } from './config';
import { PhotosService } from './log/photos.service';
import { Writes } from './database/writes';
import { openKitchen, OXTAIL, type TestKitchen } from './testing/kitchen';

/** A disk of three megabytes, where this sandbox lets a test mount one; null elsewhere. */
function smallDisk(): string | null {
  const folder = mkdtempSync(join(tmpdir(), 'hervir-disk-'));
  const { status } = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=3m', 'tmpfs', folder]);
  if (status === 0) return folder;
  rmSync(folder, { recursive: true });
  return null;
}

const plan = (): { id: string; plan: object } => ({ id: randomUUID(), plan: OXTAIL });

describe('a full disk', () => {
  const disk = smallDisk();
  let kitchen: TestKitchen;
  beforeAll(async () => {
    kitchen = await openKitchen(disk === null ? {} : { dataFolder: disk });
  });
  afterAll(async () => {
    await kitchen.close();
    if (disk === null) return;
    // The driver lets its file go only with the process: the mount goes when that does.
    spawnSync('umount', ['-l', disk]);
    rmSync(disk, { recursive: true, force: true });
  });

  /** Fills the disk to the last byte; where none could be mounted, the database is told that it may not grow. */
  function fill(): () => void {
    if (disk === null) {
      const full = jest
        .spyOn(LibSqlConnection.prototype, 'commit')
        .mockRejectedValue(Object.assign(new Error('COMMIT; - database or disk is full'), { code: 'SQLITE_FULL' }));
      return () => full.mockRestore();
    }
    const filler = join(disk, 'fill');
    spawnSync('dd', ['if=/dev/zero', `of=${filler}`, 'bs=1k']);
    return () => rmSync(filler);
  }

  test(`is said in words, loses nothing, and is forgotten once there is room (${disk === null ? 'a fault thrown in: no disk may be mounted here' : 'a disk of 3 MB'})`, async () => {
    const kept = plan();
    expect((await kitchen.send('POST', '/api/braises', kept)).status).toBe(201);
    const cook = randomUUID();
    await kitchen.send('POST', '/api/cooks', { id: cook, startedEventId: randomUUID(), braiseId: kept.id });
    const events = {
      events: [{ id: randomUUID(), kind: 'note', at: new Date().toISOString(), payload: { text: 'a' } }],
    };

    const free = fill();
    const lost = plan();
    for (const [path, body] of [
      ['/api/braises', lost],
      [`/api/cooks/${cook}/events`, events],
    ] as const) {
      expect(await kitchen.send('POST', path, body)).toMatchObject({
        status: 507,
        body: { faults: [{ problem: expect.stringContaining('disk of Hervir’s machine is full') as string }] },
      });
    }
    // What was there can be read all the while, and the refused plan is not half there.
    const { body } = await kitchen.send('GET', '/api/braises');
    expect((body as { id: string }[]).map(({ id }) => id)).toEqual([kept.id]);
    expect((await kitchen.send('GET', `/api/cooks/${cook}`)).body).toMatchObject({ events: [{ kind: 'started' }] });

    free();
    // A client sends the same again: now it is kept, once.
    expect((await kitchen.send('POST', '/api/braises', lost)).status).toBe(201);
    expect((await kitchen.send('POST', `/api/cooks/${cook}/events`, events)).body).toMatchObject({
      kept: [{ kind: 'note' }],
    });
    expect((await kitchen.send('GET', `/api/cooks/${cook}`)).body).toMatchObject({
      events: [{ kind: 'started' }, { kind: 'note' }],
    });
  });
});

describe('a data folder', () => {
  test('that another server has is refused in one line, and free again when that one is gone', async () => {
    const first = await openKitchen();
    await expect(openKitchen({ dataFolder: first.folder })).rejects.toThrow(StartError);
    await expect(openKitchen({ dataFolder: first.folder })).rejects.toThrow(/is in use by another Hervir/);
    // The first one was not disturbed.
    expect((await first.send('POST', '/api/braises', plan())).status).toBe(201);
    const folder = mkdtempSync(join(tmpdir(), 'hervir-'));
    const once = await openKitchen({ dataFolder: folder });
    await once.close();
    const again = await openKitchen({ dataFolder: folder });
    expect((await again.send('GET', '/api/health')).status).toBe(200);
    await again.close();
    rmSync(folder, { recursive: true });
    await first.close();
  });

  test('that cannot be written is refused in one line before anything is touched', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'hervir-'));
    const readOnly =
      spawnSync('mount', ['-t', 'tmpfs', '-o', 'ro', 'tmpfs', folder]).status === 0
        ? () => spawnSync('umount', ['-l', folder])
        : () => chmodSync(folder, 0o700);
    takeRight(folder);
    // Root writes anywhere but on a disk that is read only: without a mount there is nothing to refuse it.
    const refusable = process.getuid?.() !== 0 || cannotWrite(folder);
    const opened = openKitchen({ dataFolder: folder });
    if (refusable) await expect(opened).rejects.toThrow(/cannot be (written|used|opened)/);
    else await (await opened).close();
    readOnly();
    rmSync(folder, { recursive: true, force: true });
  });

  test('whose database is no database is refused in one line, and left as it is', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'hervir-'));
    writeFileSync(join(folder, 'hervir.sqlite'), 'a shopping list, and nothing to do with us\n'.repeat(100));
    await expect(openKitchen({ dataFolder: folder })).rejects.toThrow(/hervir\.sqlite cannot be opened/);
    expect(existsSync(join(folder, 'hervir.sqlite'))).toBe(true);
    rmSync(folder, { recursive: true });
  });
});

/** Takes the right to write away; on a disk that is read only already there is nothing to take. */
function takeRight(folder: string): void {
  try {
    chmodSync(folder, 0o500);
  } catch {
    // Read only already.
  }
}

/** Whether even root cannot write there. */
function cannotWrite(folder: string): boolean {
  try {
    writeFileSync(join(folder, 'probe'), '');
    rmSync(join(folder, 'probe'));
    return false;
  } catch {
    return true;
  }
}

describe('a power cut between a restore and its photos', () => {
  // The smallest picture there is: start, scan, end.
  const PICTURE = Buffer.from('ffd8ffda0002010203ffd9', 'hex').toString('base64');
  const [before, after] = ['11111111', '22222222'].map((head) => `${head}-1111-4111-8111-111111111111`) as [
    string,
    string,
  ];

  test.each([
    ['before it was kept: the photos are those that were here', false],
    ['after it was kept: the photos are those of the backup', true],
  ])('%s', async (_when, kept) => {
    const folder = mkdtempSync(join(tmpdir(), 'hervir-cut-'));
    const photos = join(folder, 'photos');
    const first = await openKitchen({ dataFolder: folder });
    for (const id of [before, after]) {
      const past = { id, servedAt: '2026-11-05T19:00:00Z', plan: OXTAIL, minutes: 45, grade: 'fork' };
      expect((await first.send('POST', '/api/log', past)).status).toBe(201);
      expect((await first.send('PUT', `/api/log/${id}/photo`, { base64: PICTURE })).status).toBe(200);
    }
    const backup = (await first.send('GET', '/api/backup')).body as { photos: object };
    await first.send('DELETE', `/api/log/${after}/photo`);
    const settle = jest.spyOn(PhotosService.prototype, 'settle').mockRejectedValue(new Error('the power is gone'));
    const putBackup = jest.spyOn(Writes.prototype, 'alone');
    if (!kept) putBackup.mockRejectedValue(new Error('the power is gone'));
    await first.send('POST', '/api/backup/restore', { ...backup, photos: { [after]: PICTURE } });
    settle.mockRestore();
    putBackup.mockRestore();
    // Neither one thing nor the other, as a cut would leave it.
    expect(readdirSync(folder).some((name) => name.startsWith('photos.restored-'))).toBe(true);
    await first.close();

    const again = await openKitchen({ dataFolder: folder });
    expect(readdirSync(photos)).toEqual([`${kept ? after : before}.jpg`]);
    expect(readdirSync(folder).some((name) => name.startsWith('photos.restored-'))).toBe(false);
    await again.close();
    rmSync(folder, { recursive: true, force: true });
  });
});
