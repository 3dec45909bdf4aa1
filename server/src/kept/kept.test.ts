import { randomUUID } from 'node:crypto';
import { keptUntil, type Kept } from '@hervir/core';
import type { StoredKept } from '@hervir/contract';
import { KEPT_NECK, openKitchen, type TestKitchen } from '../testing/kitchen';

let kitchen: TestKitchen;
beforeAll(async () => {
  kitchen = await openKitchen();
});
afterAll(() => kitchen.close());

const list = async (): Promise<StoredKept[]> => (await kitchen.send('GET', '/api/kept')).body as StoredKept[];
const keep = (id: string, kept: object = KEPT_NECK): ReturnType<TestKitchen['send']> =>
  kitchen.send('POST', '/api/kept', { id, kept });

describe('what is left', () => {
  test('is kept once, however often it is sent, and is there until it is used up', async () => {
    const id = randomUUID();
    expect((await keep(id)).status).toBe(201);
    expect((await keep(id)).status).toBe(201);
    const there = (await list()).filter((one) => one.id === id);
    expect(there).toHaveLength(1);
    const kept = there[0]?.kept as Kept;
    expect(kept).toMatchObject({ depthCm: 5, eatAt: null, warm: 'stove', gone: null });
    expect((await kitchen.send('PUT', `/api/kept/${id}`, { ...kept, gone: 'eaten' })).status).toBe(200);
    expect((await list()).some((one) => one.id === id)).toBe(false);
    // Pressed by mistake: it is back.
    await kitchen.send('PUT', `/api/kept/${id}`, kept);
    expect((await list()).some((one) => one.id === id)).toBe(true);
  });

  test('bad figures are refused with their field and what is allowed, and nothing is kept', async () => {
    const before = await list();
    const { status, body } = await keep(randomUUID(), { ...KEPT_NECK, grams: 99_000, place: 'cellar' });
    expect(status).toBe(400);
    const { faults } = body as { faults: { path: string; allowed: string }[] };
    expect(faults.map(({ path }) => path).sort()).toEqual(['kept.grams', 'kept.place']);
    expect(faults.find(({ path }) => path === 'kept.grams')?.allowed).toMatch(/20/);
    expect(await list()).toEqual(before);
    expect((await kitchen.send('PUT', `/api/kept/${randomUUID()}`, KEPT_NECK)).status).toBe(404);
  });

  test('is in a backup, and comes back with it; a backup of before it has none', async () => {
    const id = randomUUID();
    await keep(id, { ...KEPT_NECK, name: 'the one in the backup' });
    const backup = (await kitchen.send('GET', '/api/backup')).body as { tables: Record<string, unknown[]> };
    const kept = (await list()).find((one) => one.id === id)?.kept as Kept;
    await kitchen.send('PUT', `/api/kept/${id}`, { ...kept, gone: 'thrown' });
    expect((await kitchen.send('POST', '/api/backup/restore', backup)).status).toBeLessThan(300);
    expect((await list()).find((one) => one.id === id)?.kept).toEqual(kept);
    const older = Object.fromEntries(Object.entries(backup.tables).filter(([table]) => table !== 'kept_dish'));
    expect((await kitchen.send('POST', '/api/backup/preview', { ...backup, tables: older })).status).toBeLessThan(300);
  });

  test('three days in the fridge, two months in the freezer (USDA FSIS cold storage chart; from memory)', () => {
    expect(keptUntil({ place: 'fridge', since: KEPT_NECK.since })).toBe('2026-12-06T21:00:00+01:00');
    expect(keptUntil(KEPT_NECK).slice(0, 10)).toBe('2027-02-01');
  });
});
