import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { MikroORM } from '@mikro-orm/core';
import * as fc from 'fast-check';
import { start } from './application';
import { readConfig, StartError } from './config';
import { closeDatabase, ormOptions, openDatabase } from './database/database';
import { openKitchen, OXTAIL as PLAN, type TestKitchen } from './testing/kitchen';

describe('plans', () => {
  let kitchen: TestKitchen;
  beforeAll(async () => {
    kitchen = await openKitchen();
  });
  afterAll(() => kitchen.close());

  const keep = async (plan: unknown = PLAN): Promise<{ id: string; revision: number; plan: { name: string } }> => {
    const { status, body } = await kitchen.send('POST', '/api/braises', { id: randomUUID(), plan });
    expect(status).toBe(201);
    return body as { id: string; revision: number; plan: { name: string } };
  };
  const names = async (): Promise<string[]> =>
    ((await kitchen.send('GET', '/api/braises')).body as { name: string }[]).map(({ name }) => name);

  test('long answers travel compressed', async () => {
    const { headers } = await kitchen.send('GET', '/api/openapi.json', undefined, { 'accept-encoding': 'gzip' });
    expect(headers.get('content-encoding')).toBe('gzip');
  });

  test('are kept, listed, opened and saved, each save with the next revision', async () => {
    const kept = await keep();
    expect(kept.revision).toBe(1);
    const saved = await kitchen.send('PUT', `/api/braises/${kept.id}`, {
      revision: 1,
      plan: { ...kept.plan, name: 'Oxtail' },
    });
    expect(saved).toMatchObject({ status: 200, body: { revision: 2, plan: { name: 'Oxtail' } } });
    expect((await kitchen.send('GET', `/api/braises/${kept.id}`)).body).toEqual(saved.body);
    expect(await names()).toContain('Oxtail');
    expect((await kitchen.send('GET', `/api/braises/${kept.id}/plan.json`)).body).toMatchObject({
      format: 'hervir/braise',
      name: 'Oxtail',
    });
  });

  test('go out as a calendar where they say when we eat, and say so where they do not', async () => {
    const dated = await keep({ ...PLAN, serveAt: '2027-01-17T19:00:00+01:00' });
    const calendar = await kitchen.send('GET', `/api/braises/${dated.id}/calendar.ics`);
    expect(calendar.headers.get('content-type')).toContain('text/calendar');
    expect(String(calendar.body)).toContain('BEGIN:VALARM');
    const open = await keep();
    expect(await kitchen.send('GET', `/api/braises/${open.id}/calendar.ics`)).toMatchObject({
      status: 400,
      body: { faults: [{ path: 'plan.serveAt' }] },
    });
  });

  test('sent twice with one id are one plan', async () => {
    const id = randomUUID();
    const first = await kitchen.send('POST', '/api/braises', { id, plan: PLAN });
    const second = await kitchen.send('POST', '/api/braises', { id, plan: { ...PLAN, name: 'Another' } });
    expect(second.body).toEqual(first.body);
  });

  test('saved from an old revision are refused with what is there now', async () => {
    const { id } = await keep();
    await kitchen.send('PUT', `/api/braises/${id}`, { revision: 1, plan: { ...PLAN, name: 'Mine' } });
    const late = await kitchen.send('PUT', `/api/braises/${id}`, { revision: 1, plan: { ...PLAN, name: 'Theirs' } });
    expect(late).toMatchObject({
      status: 409,
      body: { faults: [{ path: 'revision', allowed: '2' }], current: { plan: { name: 'Mine' } } },
    });
  });

  test('put away leave the list and come back whole', async () => {
    const kept = await keep({ ...PLAN, name: 'Put away' });
    await kitchen.send('DELETE', `/api/braises/${kept.id}`);
    expect(await names()).not.toContain('Put away');
    await kitchen.send('POST', `/api/braises/${kept.id}/restore`);
    expect(await names()).toContain('Put away');
  });

  test('without a name are called by their meat', async () => {
    await keep({ ...PLAN, name: '' });
    expect(await names()).toContain('Beef oxtail');
  });

  test('that cannot be read or cooked are refused with path and what is allowed, and nothing is written', async () => {
    const before = await names();
    const bad = await kitchen.send('POST', '/api/braises', {
      id: randomUUID(),
      plan: { ...PLAN, meat: { ...PLAN.meat, grams: -1 } },
    });
    expect(bad).toMatchObject({
      status: 400,
      body: { faults: [{ path: 'plan.meat.grams', allowed: '50 to 15000 g' }] },
    });
    const thick = await kitchen.send('POST', '/api/braises', {
      id: randomUUID(),
      plan: { ...PLAN, meat: { ...PLAN.meat, thicknessCm: 20 } },
    });
    expect(thick).toMatchObject({ status: 400, body: { faults: [{ path: 'plan.meat.thicknessCm' }] } });
    expect(await names()).toEqual(before);
  });

  test('put away in between: what is saved into one says so, and is not lost', async () => {
    const id = randomUUID();
    await kitchen.send('POST', '/api/braises', { id, plan: PLAN });
    await kitchen.send('DELETE', `/api/braises/${id}`);
    const saved = await kitchen.send('PUT', `/api/braises/${id}`, { revision: 1, plan: { ...PLAN, name: 'Mine' } });
    expect([saved.status, JSON.stringify(saved.body)]).toEqual([409, expect.stringContaining('was put away')]);
    await kitchen.send('POST', `/api/braises/${id}/restore`);
    expect((await kitchen.send('PUT', `/api/braises/${id}`, { revision: 1, plan: PLAN })).status).toBe(200);
  });

  test('that are not there answer 404', async () => {
    expect(await kitchen.send('GET', '/api/braises/nowhere')).toMatchObject({
      status: 404,
      body: { faults: [{ path: 'id' }] },
    });
    expect(await kitchen.send('PUT', '/api/braises/nowhere', { revision: 1, plan: PLAN })).toMatchObject({
      status: 404,
    });
  });

  test('markup in a name is text and stays as it is', async () => {
    const { plan } = await keep({ ...PLAN, name: '<img src=x onerror=alert(1)>' });
    expect(plan.name).toBe('<img src=x onerror=alert(1)>');
  });

  test('malformed, huge and wrong bodies are a 4xx with a fault, whatever they are', async () => {
    expect(await kitchen.send('POST', '/api/braises', '{"id":')).toMatchObject({
      status: 400,
      body: { faults: [{ problem: 'is not JSON' }] },
    });
    expect(await kitchen.send('POST', '/api/braises', { id: randomUUID(), plan: 'x'.repeat(300_000) })).toMatchObject({
      status: 413,
      body: { faults: [{ allowed: 'up to 256 kB' }] },
    });
    const routes: readonly (readonly [string, string])[] = [
      ['POST', '/api/braises'],
      ['PUT', '/api/braises/some'],
      ['POST', '/api/cookers'],
      ['PUT', '/api/cookers/some'],
      ['PUT', '/api/settings'],
    ];
    await fc.assert(
      fc.asyncProperty(fc.constantFrom(...routes), fc.jsonValue(), async ([method, path], value) => {
        const wrapped = value !== null && typeof value === 'object' && !Array.isArray(value) ? value : { value };
        const { status, body } = await kitchen.send(method, path, wrapped);
        // An empty object is a complete cooker, and complete settings.
        if (Object.keys(wrapped).length === 0 && status < 300) return;
        expect(status).toBeGreaterThanOrEqual(400);
        expect(status).toBeLessThan(500);
        expect((body as { faults: unknown[] }).faults.length).toBeGreaterThan(0);
      }),
      { numRuns: 60 },
    );
  });
});

describe('cookers and settings', () => {
  test('a pot is added, changed and taken away; settings are saved whole', async () => {
    const kitchen = await openKitchen();
    const added = await kitchen.send('POST', '/api/cookers', { name: 'The green one', kind: 'stovetop', litres: 7 });
    expect(added).toMatchObject({ status: 201, body: { cooker: { gaugeKPa: 100 } } });
    const { id } = added.body as { id: string };
    await kitchen.send('PUT', `/api/cookers/${id}`, { name: 'The green one', kind: 'stovetop', litres: 6.5 });
    expect((await kitchen.send('GET', '/api/cookers')).body).toMatchObject([{ cooker: { litres: 6.5 } }]);
    await kitchen.send('DELETE', `/api/cookers/${id}`);
    expect((await kitchen.send('GET', '/api/cookers')).body).toEqual([]);
    await kitchen.send('PUT', '/api/settings', { units: 'us', kitchen: { altitudeM: 800 } });
    expect((await kitchen.send('GET', '/api/settings')).body).toMatchObject({
      units: 'us',
      kitchen: { altitudeM: 800, roomC: 20 },
    });
    await kitchen.close();
  });
});

test('a kitchen that starts again answers in its units, before anybody has asked for them', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'hervir-'));
  const first = await openKitchen({ dataFolder: folder });
  await first.send('PUT', '/api/settings', { units: 'us' });
  await first.close();
  // One in grams in between, so that nothing is left over from the first.
  const between = await openKitchen();
  await between.send('GET', '/api/settings');
  await between.close();
  const again = await openKitchen({ dataFolder: folder });
  const plan = { ...PLAN, meat: { ...PLAN.meat, trimGrams: 1490 } };
  const refused = (await again.send('POST', '/api/braises', { id: randomUUID(), plan })).body;
  expect(JSON.stringify(refused)).toMatch(/allowed":"[^"]*lb/);
  await again.close();
  rmSync(folder, { recursive: true });
});

describe('the demo kitchen', () => {
  test('is filled when empty, and put back when asked', async () => {
    const kitchen = await openKitchen({ demo: true });
    const plans = (await kitchen.send('GET', '/api/braises')).body as { id: string }[];
    expect(plans).toHaveLength(3);
    await kitchen.send('DELETE', `/api/braises/${plans[0]?.id ?? ''}`);
    expect((await kitchen.send('POST', '/api/demo/reset')).status).toBe(200);
    expect((await kitchen.send('GET', '/api/braises')).body).toHaveLength(3);
    await kitchen.close();
  });

  test('is never put in the place of a cook’s own data', async () => {
    const kitchen = await openKitchen();
    expect((await kitchen.send('POST', '/api/demo/reset')).status).toBe(403);
    await kitchen.close();
  });
});

describe('the door', () => {
  let kitchen: TestKitchen;
  beforeAll(async () => {
    kitchen = await openKitchen();
  });
  afterAll(() => kitchen.close());

  /** fetch does not let a test set Host. */
  const statusFor = (headers: Record<string, string>): Promise<number> =>
    new Promise((resolve, reject) => {
      const { hostname, port } = new URL(kitchen.address);
      request({ hostname, port, path: '/api/health', headers }, (response) => {
        response.resume();
        resolve(response.statusCode ?? 0);
      })
        .on('error', reject)
        .end();
    });

  test('opens to its own address, not to a foreign Host or Origin', async () => {
    const { host } = new URL(kitchen.address);
    expect(await statusFor({ Host: host, Origin: `http://${host}` })).toBe(200);
    expect(await statusFor({ Host: host.replace('127.0.0.1', 'localhost') })).toBe(200);
    expect(await statusFor({ Host: 'kitchen.example' })).toBe(403);
    expect(await statusFor({ Host: host, Origin: 'http://kitchen.example' })).toBe(403);
    expect(await statusFor({ Host: host, Origin: 'null' })).toBe(403);
  });

  test('every answer forbids content from outside', async () => {
    const { headers } = await kitchen.send('GET', '/api/health');
    const policy = headers.get('content-security-policy') ?? '';
    expect(policy).toContain("default-src 'self'");
    expect(policy).toContain("script-src 'self'");
    expect(policy).not.toMatch(/https?:/);
    expect(headers.get('x-powered-by')).toBeNull();
  });

  test('a head is answered as the whole would be; an address that leads nowhere is a 404, with the page that says so', async () => {
    for (const path of ['/', '/bench', '/log/any', '/api/braises', '/api/health', '/nowhere', '/api/nowhere']) {
      const head = await fetch(kitchen.address + path, { method: 'HEAD', headers: { accept: 'text/html' } });
      const whole = await fetch(kitchen.address + path, { headers: { accept: 'text/html' } });
      expect([path, head.status, await head.text()]).toEqual([path, whole.status, '']);
      expect([path, whole.status]).toEqual([path, path.includes('nowhere') ? 404 : 200]);
      await whole.text();
    }
    const page = await fetch(`${kitchen.address}/nowhere`, { headers: { accept: 'text/html' } });
    expect(await page.text()).toContain('<title>');
  });

  test('health says how it is: version, database, last backup', async () => {
    const { body } = await kitchen.send('GET', '/api/health');
    expect(body).toMatchObject({
      status: 'ok',
      version: expect.stringMatching(/^\d+\.\d+\.\d+$/) as string,
      database: { migration: 'Migration0007LogWords', bytes: expect.any(Number) as number },
      lastBackup: null,
      trouble: [],
    });
  });

  test('describes itself: OpenAPI with every route, and the schema of plans', async () => {
    const { body } = await kitchen.send('GET', '/api/openapi.json');
    const paths = Object.keys((body as { paths: Record<string, unknown> }).paths);
    expect(paths).toEqual(
      expect.arrayContaining(['/api/braises', '/api/braises/{id}', '/api/cookers', '/api/settings', '/api/health']),
    );
    expect((await kitchen.send('GET', '/api/schema/braise-v1.json')).body).toMatchObject({
      title: 'Hervir plan, version 1',
    });
    expect((await kitchen.send('GET', '/api/schema/braise-v2.json')).body).toMatchObject({
      title: 'Hervir plan, version 2',
    });
  });
});

describe('starting', () => {
  test('flags come before the environment, the environment before defaults', () => {
    expect(readConfig([], {})).toMatchObject({ host: '127.0.0.1', port: 4780, dataFolder: 'data', demo: false });
    expect(readConfig(['--port', '81'], { HERVIR_PORT: '82', HERVIR_DATA: '/kitchen' })).toMatchObject({
      port: 81,
      dataFolder: '/kitchen',
    });
  });

  test('a flag that is none, and a port that is none, say what is allowed', () => {
    expect(() => readConfig(['--prot', '81'], {})).toThrow('Allowed: --port');
    expect(() => readConfig(['--port', 'eighty'], {})).toThrow('allowed: 0 to 65535');
  });

  test('a busy port gives one clear line', async () => {
    const kitchen = await openKitchen();
    const folder = mkdtempSync(join(tmpdir(), 'hervir-'));
    const port = Number(new URL(kitchen.address).port);
    await expect(
      start({ host: '127.0.0.1', port, demo: false, extraHosts: [], lan: null, dataFolder: folder }),
    ).rejects.toThrow(`Port ${port} is taken: choose another with --port.`);
    await kitchen.close();
    rmSync(folder, { recursive: true });
  });

  test('a data folder that cannot be gives one clear line', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'hervir-'));
    writeFileSync(join(folder, 'file'), '');
    await expect(openDatabase(join(folder, 'file', 'data'))).rejects.toThrow(StartError);
    await expect(openDatabase(join(folder, 'file', 'data'))).rejects.toThrow('choose another with --data');
    rmSync(folder, { recursive: true });
  });
});

describe('the database', () => {
  test('after its migrations is what the entities say', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'hervir-'));
    const database = await openDatabase(folder);
    const { orm } = database;
    expect((await orm.schema.getUpdateSchemaSQL({ wrap: false })).trim()).toBe('');
    expect(await orm.em.getConnection().execute('pragma journal_mode')).toEqual([{ journal_mode: 'wal' }]);
    await closeDatabase(database);
    rmSync(folder, { recursive: true });
  });

  test('of an earlier start opens with everything in it', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'hervir-'));
    const first = await openKitchen({ dataFolder: folder });
    await first.send('POST', '/api/braises', { id: randomUUID(), plan: PLAN });
    await first.close();
    const second = await openKitchen({ dataFolder: folder });
    expect((await second.send('GET', '/api/braises')).body).toMatchObject([{ name: 'Oxtail with chestnuts' }]);
    await second.close();
    rmSync(folder, { recursive: true });
  });

  test('whose plans lack a key that has come since are read with its default', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'hervir-'));
    await closeDatabase(await openDatabase(folder));
    const orm = await MikroORM.init(ormOptions(join(folder, 'hervir.sqlite')));
    await orm.em
      .getConnection()
      .execute(
        "insert into braise (id, plan, revision, created_at, updated_at) values ('3f0f7f3e-6f43-4d0b-9e0a-0d2f3b8a1c11', ?, 1, '2026-01-01T00:00:00Z', '2026-01-01T00:00:00Z')",
        [JSON.stringify(PLAN)],
      );
    await orm.close(true);
    const kitchen = await openKitchen({ dataFolder: folder });
    expect((await kitchen.send('GET', '/api/braises/3f0f7f3e-6f43-4d0b-9e0a-0d2f3b8a1c11')).body).toMatchObject({
      plan: { servings: 4, cooker: { name: 'Electric pot' } },
    });
    await kitchen.close();
    rmSync(folder, { recursive: true });
  });
});
