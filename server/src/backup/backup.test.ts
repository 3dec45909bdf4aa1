import { randomUUID } from 'node:crypto';
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { BackupPreview, CookRecord, KeptBackup, LogItem } from '@hervir/contract';
import { COOK_EVENTS, CUTS, GRADES } from '@hervir/core';
import fc from 'fast-check';
import { anyPlan } from '../testing/any-plan';
import { Loops } from '../background/loops';
import { openKitchen, OXTAIL, type TestKitchen } from '../testing/kitchen';

type Backup = { made: string; format: string; tables: Record<string, Record<string, unknown>[]>; photos: object };
const PICTURE = Buffer.from('ffd8ffda0002010203ffd9', 'hex').toString('base64');

const taken = async (kitchen: TestKitchen): Promise<Backup> => {
  const answer = await kitchen.send('GET', '/api/backup');
  expect([answer.status, answer.headers.get('x-hervir-unreadable-rows')]).toEqual([200, '0']);
  return answer.body as Backup;
};
const same = (a: Backup, b: Backup): void => expect({ ...a, made: '' }).toEqual({ ...b, made: '' });

/** Cooks a kept plan to its end in a moment, whenever it was meant for. */
async function cooked(kitchen: TestKitchen, braiseId: string): Promise<string> {
  const id = randomUUID();
  const acknowledged = ['over-fill', 'under-minimum', 'burn-likely'];
  await kitchen.send('POST', '/api/cooks', { id, startedEventId: randomUUID(), braiseId, acknowledged });
  const at = new Date(Date.now() + 1000).toISOString();
  const events = [{ id: randomUUID(), kind: 'finished', at, payload: {} }];
  expect((await kitchen.send('POST', `/api/cooks/${id}/events`, { events })).status).toBe(200);
  return id;
}

describe('a kitchen’s own backup', () => {
  /** One in which nothing is ever kept. */
  let empty: TestKitchen;
  beforeAll(async () => {
    empty = await openKitchen();
  });
  afterAll(() => empty.close());

  test('comes back although every demo plan was finished on another day than it was meant for, and its CSV too', async () => {
    const kitchen = await openKitchen({ demo: true });
    const plans = (await kitchen.send('GET', '/api/braises')).body as { id: string }[];
    for (const { id } of plans) await cooked(kitchen, id);
    const whole = await taken(kitchen);
    expect(whole.tables['log_entry']?.length).toBeGreaterThan(14 + plans.length - 1);
    const other = await openKitchen();
    expect((await other.send('POST', '/api/backup/restore', whole)).status).toBe(200);
    same(await taken(other), whole);
    const csv = (await kitchen.send('GET', '/api/log/file.csv')).body as string;
    const third = await openKitchen();
    const read = await third.send('POST', '/api/log/file.csv', { text: csv });
    expect([read.status, read.body]).toEqual([200, { added: whole.tables['log_entry']?.length, known: 0, faults: [] }]);
    for (const one of [kitchen, other, third]) await one.close();
  });

  test('has no device and no pairing in it: a restore makes nobody a device, and an old file’s devices are left out', async () => {
    const kitchen = await openKitchen();
    const whole = await taken(kitchen);
    expect(Object.keys(whole.tables)).not.toContain('device');
    const device = [{ id: 'f'.repeat(64), name: 'Mine', paired_at: '2026-11-05T19:00:00Z' }];
    const old = { ...whole, tables: { ...whole.tables, device } };
    expect((await kitchen.send('POST', '/api/backup/restore', old)).status).toBe(200);
    expect((await kitchen.send('GET', '/api/lan')).body).toMatchObject({ devices: [] });
    await kitchen.close();
  });

  test('leaves the photo of a deleted cook out, and so does the disk', async () => {
    const kitchen = await openKitchen();
    const id = randomUUID();
    const past = { id, servedAt: '2026-11-05T19:00:00Z', plan: OXTAIL, minutes: 45, grade: 'fork' };
    await kitchen.send('POST', '/api/log', past);
    await kitchen.send('PUT', `/api/log/${id}/photo`, { base64: PICTURE });
    expect((await taken(kitchen)).photos).toEqual({ [id]: PICTURE });
    await kitchen.send('DELETE', `/api/log/${id}`);
    expect(readdirSync(join(kitchen.folder, 'photos'))).toEqual([]);
    expect((await taken(kitchen)).photos).toEqual({});
    await kitchen.close();
  });

  test('that would stop the next start is refused with its place; a plan this Hervir refuses is shown, and stops nothing', async () => {
    const kitchen = await openKitchen();
    const kept = { id: randomUUID(), plan: OXTAIL };
    await kitchen.send('POST', '/api/braises', kept);
    const cook = await cooked(kitchen, kept.id);
    await kitchen.send('POST', `/api/cooks`, { id: randomUUID(), startedEventId: randomUUID(), braiseId: kept.id });
    const whole = await taken(kitchen);
    const impossible = (row: Record<string, unknown>): object => ({
      ...row,
      plan: { ...(row['plan'] as object), meat: { cut: 'beef-oxtail', form: 'pieces', grams: 100, trimGrams: 90 } },
    });
    // A running cook is gone through when the server starts.
    const running = whole.tables['cook']?.map((row) => (row['id'] === cook ? row : impossible(row)));
    const refused = await kitchen.send('POST', '/api/backup/restore', {
      ...whole,
      tables: { ...whole.tables, cook: running },
    });
    const { faults } = refused.body as { faults: { path: string }[] };
    expect([refused.status, faults[0]?.path]).toEqual([
      400,
      expect.stringMatching(/^tables\.cook\[[01]\]\.plan\.meat\.trimGrams$/),
    ]);
    const later = { ...whole, tables: { ...whole.tables, braise: whole.tables['braise']?.map(impossible) } };
    expect((await kitchen.send('POST', '/api/backup/restore', later)).status).toBe(200);
    const [plan] = (await kitchen.send('GET', '/api/braises')).body as { id: string }[];
    expect((await kitchen.send('GET', `/api/braises/${plan?.id}/card.md`)).status).toBe(400);
    await kitchen.close();
  });

  test.each([
    ['half of it', '{"format":"hervir/backup","version":1,"tables":{"braise":[{"id":', ''],
    ['something else', '[1,2,3]', ''],
    ['a table that is none', '{"format":"hervir/backup","version":1,"tables":{"spoons":[]}}', 'tables.spoons'],
    ['a table that is no list', '{"format":"hervir/backup","version":1,"tables":{"braise":{"a":1}}}', 'tables.braise'],
    ['no tables but a text', '{"format":"hervir/backup","version":1,"tables":"all"}', 'tables'],
    [
      'a photo that is none',
      `{"format":"hervir/backup","version":1,"tables":{},"photos":{"${randomUUID()}":"AAAA"}}`,
      'photos.',
    ],
    [
      'a photo with a way out',
      '{"format":"hervir/backup","version":1,"tables":{},"photos":{"../../x":"AAAA"}}',
      'photos.',
    ],
    ['nothing at all', '', ''],
  ])('refuses %s in words, and nothing is left of it', async (_what, text, path) => {
    const refused = await empty.send('POST', '/api/backup/restore', text);
    const { faults } = refused.body as { faults: { path: string }[] };
    expect(refused.status).toBe(400);
    expect(faults.some((fault) => fault.path.startsWith(path))).toBe(true);
    expect(readdirSync(empty.folder).filter((name) => name.startsWith('photos'))).toEqual([]);
    expect(readdirSync(join(empty.folder, 'passing'))).toEqual([]);
  });
});

describe('a backup a day, by itself', () => {
  test('is made once, read back, kept for a fortnight, listed and put back', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'hervir-daily-'));
    mkdirSync(join(folder, 'backups'));
    const [old, recent] = [20, 3].map((days) => new Date(Date.now() - days * 86_400_000).toISOString().slice(0, 10));
    for (const day of [old, recent]) writeFileSync(join(folder, 'backups', `hervir-${day}.json`), '{}');
    const start = jest.spyOn(Loops.prototype, 'start');
    const kitchen = await openKitchen({ dataFolder: folder, demo: true });
    const daily = start.mock.calls.find(([name]) => name === 'daily backup')?.[2];
    start.mockRestore();
    // Its turn comes again and again: one a day is made.
    await daily?.();
    await daily?.();
    const kept = (await kitchen.send('GET', '/api/backup/kept')).body as KeptBackup[];
    const today = new Date().toISOString().slice(0, 10);
    expect(kept.map(({ name }) => name)).toEqual([`hervir-${today}.json`, `hervir-${recent}.json`]);
    expect((await kitchen.send('GET', '/api/health')).body).toMatchObject({
      lastBackup: { name: `hervir-${today}.json` },
    });
    const whole = JSON.parse(readFileSync(join(folder, 'backups', `hervir-${today}.json`), 'utf8')) as Backup;
    expect(whole.tables['log_entry']?.length).toBeGreaterThan(13);
    const [plan] = (await kitchen.send('GET', '/api/braises')).body as { id: string }[];
    await kitchen.send('DELETE', `/api/braises/${plan?.id}`);
    const path = `/api/backup/kept/hervir-${today}.json`;
    const { holds, here } = (await kitchen.send('POST', `${path}/preview`, {})).body as BackupPreview;
    expect(holds).toEqual(here);
    expect((await kitchen.send('POST', `${path}/restore`, {})).status).toBe(200);
    same(await taken(kitchen), whole);
    expect((await kitchen.send('GET', '/api/backup/kept/..%2fhervir.sqlite')).status).toBe(404);
    await kitchen.close();
    rmSync(folder, { recursive: true });
  });
});

/** What somebody may do in a kitchen, at random. */
type Act = (kitchen: TestKitchen) => Promise<unknown>;

const anId = async (kitchen: TestKitchen, room: string, dice: number): Promise<string> => {
  const found = (await kitchen.send('GET', `/api/${room}`)).body as { id: string }[] | { items: { id: string }[] };
  const list = Array.isArray(found) ? found : found.items;
  return list[dice % Math.max(1, list.length)]?.id ?? randomUUID();
};
const text = fc.oneof(fc.string({ maxLength: 60 }), fc.string({ unit: 'grapheme', maxLength: 2000, minLength: 1500 }));
const when = fc.date({ min: new Date('1901-01-01'), max: new Date('2998-01-01'), noInvalidDate: true });
const weight = fc.double({ min: 0, max: 15_000, noNaN: true });

const anAct = (): fc.Arbitrary<Act> =>
  fc.oneof(
    {
      weight: 3,
      arbitrary: anyPlan().map(
        (plan): Act =>
          (k) =>
            k.send('POST', '/api/braises', { id: randomUUID(), plan }),
      ),
    },
    fc.tuple(when, text).map(([date, name]): Act => (k) => {
      const plan = { ...OXTAIL, name: name.slice(0, 100), serveAt: date.toISOString() };
      return k.send('POST', '/api/braises', { id: randomUUID(), plan });
    }),
    fc.nat().map(
      (dice): Act =>
        async (k) =>
          k.send('DELETE', `/api/braises/${await anId(k, 'braises', dice)}`),
    ),
    fc.tuple(fc.nat(), text).map(([dice, name]): Act => async (k) => {
      const id = await anId(k, 'cookers', dice);
      const cooker = { name: name.trim().slice(0, 50) || 'A pot', kind: dice % 2 === 0 ? 'electric' : 'stovetop' };
      return dice % 3 === 0 ? k.send('PUT', `/api/cookers/${id}`, cooker) : k.send('POST', '/api/cookers', cooker);
    }),
    fc.record({ units: fc.constantFrom('metric', 'us'), letterKeys: fc.boolean() }).map(
      (settings): Act =>
        (k) =>
          k.send('PUT', '/api/settings', settings),
    ),
    {
      weight: 3,
      arbitrary: fc.nat().map((dice): Act => async (k) => {
        const acknowledged = ['over-fill', 'under-minimum', 'burn-likely'];
        const braiseId = await anId(k, 'braises', dice);
        return k.send('POST', '/api/cooks', { id: randomUUID(), startedEventId: randomUUID(), braiseId, acknowledged });
      }),
    },
    {
      weight: 6,
      arbitrary: fc
        .tuple(
          fc.nat(),
          fc.array(
            fc.record({
              kind: fc.constantFrom(...COOK_EVENTS),
              after: fc.integer({ min: 0, max: 119 }),
              grade: fc.constantFrom(...GRADES),
              note: text,
              grams: weight,
              what: fc.constantFrom('bought', 'trimmed', 'cooked'),
              minutes: fc.integer({ min: -360, max: 360 }),
            }),
            { minLength: 1, maxLength: 25 },
          ),
        )
        .map(([dice, list]): Act => async (k) => {
          const running = (await k.send('GET', '/api/cooks/running')).body as CookRecord[];
          const cook = running[dice % Math.max(1, running.length)];
          if (!cook) return;
          const steps = cook.guide.steps;
          const events = list.map(({ kind, after, grade, note, grams, what, minutes }, i) => ({
            id: randomUUID(),
            kind,
            at: new Date(Date.parse(cook.startedAt) + after * 1000).toISOString(),
            payload: {
              step: steps[(dice + i) % steps.length]?.id,
              grade,
              text: note,
              grams,
              what,
              minutes,
              event: cook.events[0]?.id,
            },
          }));
          return k.send('POST', `/api/cooks/${cook.id}/events`, { events });
        }),
    },
    fc.tuple(when, fc.constantFrom(...CUTS), fc.constantFrom(...GRADES), weight, text).map(
      ([date, cut, grade, cookedG, notes]): Act =>
        (k) =>
          k.send('POST', '/api/log', {
            id: randomUUID(),
            servedAt: date.toISOString(),
            minutes: 40,
            grade,
            cookedG,
            notes,
            plan: { ...OXTAIL, meat: { cut: cut.id, form: cut.forms[0], grams: 1500 } },
          }),
    ),
    fc.tuple(fc.nat(), text, weight).map(([dice, notes, trimmedG]): Act => async (k) => {
      const id = await anId(k, 'log', dice);
      await k.send('PUT', `/api/log/${id}`, {
        notes,
        trimmedG,
        outcome: { moistness: 'dry', vegetables: { 'a turnip': 'right' } },
      });
      return dice % 3 === 0
        ? k.send('DELETE', `/api/log/${id}`)
        : k.send('PUT', `/api/log/${id}/photo`, { base64: PICTURE });
    }),
    fc.nat(8).map((seed): Act => async (k) => {
      const id = randomUUID();
      await k.send('POST', '/api/rehearsals', { id, exercise: 'unscraped', seed, scatter: true });
      await k.send('POST', `/api/rehearsals/${id}/acts`, { act: 'command', command: { do: 'saute', level: 'high' } });
      return seed % 2 === 0 ? k.send('POST', `/api/rehearsals/${id}/acts`, { act: 'end' }) : undefined;
    }),
  );

describe('any kitchen', () => {
  let kitchen: TestKitchen;
  let other: TestKitchen;
  let nothing: Backup;
  beforeAll(async () => {
    kitchen = await openKitchen();
    other = await openKitchen();
    nothing = await taken(kitchen);
  });
  afterAll(async () => {
    await kitchen.close();
    await other.close();
  });

  // HERVIR_KITCHENS=200 HERVIR_SEED=7 looks further.
  test('that valid acts can make comes back as it was, also where another one was before (property)', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(anAct(), { minLength: 15, maxLength: 40 }), async (acts) => {
        expect((await kitchen.send('POST', '/api/backup/restore', nothing)).status).toBe(200);
        for (const act of acts) {
          const answer = (await act(kitchen)) as { status: number; body: unknown } | undefined;
          // Refused is fine; kept and not to be read again is not.
          if (answer && (answer.status >= 500 || answer.status === 422)) throw new Error(JSON.stringify(answer.body));
        }
        for (const cook of (await kitchen.send('GET', '/api/cooks/running')).body as CookRecord[]) {
          const events = [{ id: randomUUID(), kind: 'finished', at: new Date().toISOString(), payload: {} }];
          await kitchen.send('POST', `/api/cooks/${cook.id}/events`, { events });
        }
        const whole = await taken(kitchen);
        // What the last one left is here still.
        const restored = await other.send('POST', '/api/backup/restore', whole);
        expect([restored.status, restored.status === 200 ? '' : restored.body]).toEqual([200, '']);
        same(await taken(other), whole);
        const log = (await kitchen.send('GET', '/api/log?limit=100')).body as { items: LogItem[] };
        expect((await other.send('GET', '/api/log?limit=100')).body).toEqual(log);
      }),
      {
        numRuns: Number(process.env['HERVIR_KITCHENS'] ?? 5),
        seed: Number(process.env['HERVIR_SEED'] ?? 1),
        endOnFailure: true,
      },
    );
  });
});
