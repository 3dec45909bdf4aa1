import { randomUUID } from 'node:crypto';
import { statSync } from 'node:fs';
import { join } from 'node:path';
import * as fc from 'fast-check';
import { KEPT_NECK, openKitchen, OXTAIL, type TestKitchen } from './testing/kitchen';

/**
 * Every endpoint that the server says it has, against input it was not made for: what it answers is never a 5xx, a refusal
 * says where and what is allowed, and has written nothing.
 */
let kitchen: TestKitchen;
const KEPT_ID = randomUUID();
let ids: Readonly<Record<'plan' | 'cook' | 'entry' | 'cooker' | 'rehearsal' | 'kept', string>>;
/** A body that would be taken, by method and route: what is mutated is one step from what is meant. */
let meant: Readonly<Record<string, unknown>>;
let routes: readonly { readonly method: string; readonly path: string }[];

const EVENT = { kind: 'note', at: '2027-01-17T15:00:00Z', payload: { text: 'a word' } };

beforeAll(async () => {
  kitchen = await openKitchen({ demo: true });
  const first = async (path: string): Promise<string> => {
    const { body } = await kitchen.send('GET', path);
    const list = (Array.isArray(body) ? body : (body as { items: unknown[] }).items) as { id: string }[];
    return list[0]?.id ?? '';
  };
  await kitchen.send('POST', '/api/kept', { id: KEPT_ID, kept: KEPT_NECK });
  ids = {
    kept: KEPT_ID,
    plan: await first('/api/braises'),
    cooker: await first('/api/cookers'),
    entry: await first('/api/log'),
    cook: randomUUID(),
    rehearsal: randomUUID(),
  };
  await kitchen.send('POST', '/api/cooks', { id: ids.cook, startedEventId: randomUUID(), braiseId: ids.plan });
  await kitchen.send('POST', '/api/rehearsals', { id: ids.rehearsal, exercise: 'two-batches' });
  await kitchen.send('PUT', `/api/rehearsals/${ids.rehearsal}/pace`, { paused: true });
  const { body: backup } = await kitchen.send('GET', '/api/backup');
  meant = {
    'POST /api/braises': { id: randomUUID(), plan: OXTAIL },
    'PUT /api/braises/{id}': { revision: 1, plan: OXTAIL },
    'POST /api/braises/{id}/restore': {},
    'POST /api/kept': { id: KEPT_ID, kept: KEPT_NECK },
    'PUT /api/kept/{id}': { ...KEPT_NECK, gone: 'eaten' },
    'POST /api/cookers': { name: 'The green one', kind: 'stovetop', litres: 7 },
    'PUT /api/cookers/{id}': { name: 'The green one', kind: 'electric', litres: 5, gaugeKPa: 70, watts: 900 },
    'PUT /api/settings': { units: 'metric', kitchen: { altitudeM: 1480, roomC: 19 }, confidence: 0.8 },
    'POST /api/cooks': { id: randomUUID(), startedEventId: randomUUID(), plan: OXTAIL, acknowledged: [] },
    'POST /api/cooks/{id}/events': { events: [{ id: randomUUID(), ...EVENT }] },
    'POST /api/rehearsals': { id: randomUUID(), plan: OXTAIL, seed: 1, scatter: true, faults: ['weak-saute'] },
    'POST /api/rehearsals/{id}/acts': { act: 'press', event: { id: randomUUID(), ...EVENT }, hands: true },
    'PUT /api/rehearsals/{id}/pace': { speed: 10, slowForHands: true, paused: true },
    'PUT /api/cooks/{id}/link': {},
    'POST /api/cooks/{id}/link/commands': { do: 'pressure', minutes: 20 },
    'POST /api/log': {
      id: randomUUID(),
      servedAt: '2026-03-01T19:00:00Z',
      plan: OXTAIL,
      minutes: 45,
      grade: 'fork',
      cookedG: 900,
      notes: 'from the old notebook',
    },
    'PUT /api/log/{id}': { grade: 'fork', outcome: { moistness: 'moist', sauce: null, vegetables: {} }, cookedG: 900 },
    'POST /api/log/file.csv': { text: 'id,name\r\n1,=cmd()\r\n' },
    'POST /api/log/imports': { text: 'date,cut\r\n2026-11-05,beef shin\r\n' },
    'POST /api/log/imports/{id}/keep': {},
    'POST /api/backup/kept/{name}/preview': {},
    'POST /api/backup/kept/{name}/restore': {},
    'PUT /api/log/{id}/photo': { base64: '/9j/4AAQSkZJRg==' },
    'PUT /api/learning/{key}': { off: true },
    'POST /api/recipes/read': { text: 'Goat\n1 kg goat neck\nBraise in the oven for 3 hours.' },
    'POST /api/backup/preview': backup,
    'POST /api/backup/restore': backup,
    'POST /api/demo/reset': {},
  };
  const { body: api } = await kitchen.send('GET', '/api/openapi.json');
  const { paths } = api as { paths: Record<string, Record<string, unknown>> };
  routes = Object.entries(paths)
    .flatMap(([path, methods]) => Object.keys(methods).map((method) => ({ method: method.toUpperCase(), path })))
    // Streams answer for as long as somebody listens; they are cut short in a test of their own.
    .filter(({ path }) => !/\/(stream|telemetry)$/.test(path))
    // What puts everything back as it came would take the ground from under the others.
    .filter(({ path }) => path !== '/api/demo/reset');
});
afterAll(() => kitchen.close());

/** Ids that are real, ids that are none, and what a hostile hand writes in their place. */
const anId = (): fc.Arbitrary<string> =>
  fc.oneof(
    { weight: 3, arbitrary: fc.constantFrom(...Object.values(ids)) },
    fc.uuid(),
    fc.constantFrom(
      '..%2f..%2fetc%2fpasswd',
      '%00',
      '%E0%A4%A',
      "';drop table braise;--",
      '__proto__',
      'constructor',
      'undefined',
      '%20',
      'x'.repeat(5000),
      '💥',
    ),
    fc.string({ minLength: 1, maxLength: 30 }).map(encodeURIComponent),
  );

/** Values that are right for hardly any field. */
const HOSTILE: readonly unknown[] = [
  null,
  -1,
  0,
  1e308,
  -1e-308,
  2 ** 53,
  0.1,
  '',
  '=HYPERLINK("http://x")',
  '<script>alert(1)</script>',
  'x'.repeat(20_000),
  '\u0000\ud800',
  'fork',
  true,
  [],
  [[[[]]]],
  {},
  JSON.parse('{"__proto__":{"grade":"fork"}}'),
  '9999-99-99T99:99:99Z',
  '+275760-09-13T00:00:00.000Z',
];

/** Every place in a document, as a path of keys. */
function places(value: unknown, path: readonly (string | number)[] = []): (readonly (string | number)[])[] {
  const children = Array.isArray(value)
    ? value.slice(0, 6).map((child, i) => [i, child] as const)
    : typeof value === 'object' && value !== null
      ? Object.entries(value)
      : [];
  return [path, ...children.flatMap(([key, child]) => places(child, [...path, key]))];
}

/** The document with another value at a place. */
function withAt(value: unknown, [key, ...rest]: readonly (string | number)[], put: unknown): unknown {
  if (key === undefined) return put;
  const copy: unknown = Array.isArray(value) ? [...(value as unknown[])] : { ...(value as object) };
  (copy as Record<string | number, unknown>)[key] = withAt((value as Record<string | number, unknown>)[key], rest, put);
  return copy;
}

const aBody = (route: string): fc.Arbitrary<unknown> => {
  const right = meant[route];
  const all = places(right);
  return fc.oneof(
    {
      weight: 6,
      arbitrary: fc
        .tuple(fc.constantFrom(...all), fc.constantFrom(...HOSTILE))
        .map(([place, put]) => withAt(right, place, put)),
    },
    fc.jsonValue(),
    fc.constantFrom<unknown>('{"id":', '[', '\u0000', 'null', '"text"'),
  );
};

/** Changes with every write to the database. */
const written = (): string =>
  ['hervir.sqlite', 'hervir.sqlite-wal']
    .map((file) => statSync(join(kitchen.folder, file)))
    .map(({ size, mtimeMs }) => `${size} ${mtimeMs}`)
    .join();

interface Answer {
  readonly status: number;
  readonly body: unknown;
}

/** Something else may write at the same moment, a linked cooker that tells its pin: then the same is asked again. */
const TRIES = 6;

/** Asks, and sees that it is never our fault; where it is refused, it is in words, and with nothing written. */
async function civil(what: string, ask: () => Promise<Answer>): Promise<Answer> {
  for (let attempt = 1; ; attempt += 1) {
    const before = written();
    const answer = await ask();
    const { status, body } = answer;
    if (status >= 500) throw new Error(`${what}: ${status} ${JSON.stringify(body)}`);
    if (status < 400) return answer;
    const { faults } = body as { faults?: { path: string; problem: string; allowed: string }[] };
    if (!Array.isArray(faults) || faults.length === 0) throw new Error(`${what}: ${status} without a fault`);
    for (const { path, problem, allowed } of faults) {
      expect([typeof path, typeof problem, typeof allowed]).toEqual(['string', 'string', 'string']);
      expect(problem.length).toBeGreaterThan(0);
      expect(allowed.length).toBeGreaterThan(0);
    }
    if (written() === before) return answer;
    if (attempt === TRIES) throw new Error(`${what}: ${status}, but every time something was written`);
  }
}

test('every route that takes a body has one that is meant, to be mutated', () => {
  const taking = routes.filter(({ method }) => method === 'POST' || method === 'PUT');
  expect(taking.map(({ method, path }) => `${method} ${path}`).filter((route) => !(route in meant))).toEqual([]);
});

test('a meant body is taken: what is mutated below is near to right', async () => {
  const taken = ['POST /api/braises', 'POST /api/cookers', 'PUT /api/settings', 'POST /api/cooks', 'POST /api/log'];
  for (const route of taken) {
    const [method = '', path = ''] = route.split(' ');
    expect([route, (await kitchen.send(method, path, meant[route])).status < 300]).toEqual([route, true]);
  }
});

test('every route, with hostile ids and bodies: no 5xx, every refusal in words, nothing written by it', async () => {
  const restores = new Set(['POST /api/backup/restore']);
  const mutable = routes.filter(({ method, path }) => !restores.has(`${method} ${path}`));
  await fc.assert(
    fc.asyncProperty(
      fc
        .constantFrom(...mutable)
        .chain((route) =>
          fc.tuple(
            fc.constant(route),
            anId(),
            route.method === 'GET' || route.method === 'DELETE'
              ? fc.constant(undefined)
              : aBody(`${route.method} ${route.path}`),
          ),
        ),
      async ([{ method, path }, id, body]) => {
        const address = path.replace('{id}', id).replace('{key}', id).replace('{instrument}', 'scale');
        // A real entry is not thrown away, so that there is something to read for the others.
        if (method === 'DELETE' && Object.values(ids).includes(id)) return;
        await civil(`${method} ${address.slice(0, 120)}`, () => kitchen.send(method, address, body));
      },
    ),
    { numRuns: 500 },
  );
});

test('the log asked for anything at all', async () => {
  const keys = ['text', 'cut', 'species', 'cooker', 'result', 'from', 'to', 'sort', 'offset', 'limit', 'what'];
  await fc.assert(
    fc.asyncProperty(
      fc.dictionary(
        fc.constantFrom(...keys),
        fc.oneof(fc.string(), fc.constantFrom('%', '"', '* OR 1', '-1', 'NEAR(')),
      ),
      async (query) => {
        const address = `/api/log?${new URLSearchParams(query).toString()}`;
        await civil(address, () => kitchen.send('GET', address));
      },
    ),
    { numRuns: 100 },
  );
});

test('a backup that is nearly right is refused whole, or taken and read again without a 5xx', async () => {
  const backup = meant['POST /api/backup/restore'] as { tables: Record<string, unknown[]> };
  // A few rows of each table, so that a mutation is likely to meet any column.
  const small = {
    ...backup,
    tables: Object.fromEntries(Object.entries(backup.tables).map(([table, rows]) => [table, rows.slice(0, 2)])),
  };
  const all = places(small).filter(({ length }) => length > 0);
  const reads = ['/api/braises', '/api/cookers', '/api/settings', '/api/cooks/running', '/api/rehearsals'];
  const more = ['/api/log', '/api/log/charts', '/api/log/file.csv', '/api/learning', '/api/backup', '/api/lan'];
  await fc.assert(
    fc.asyncProperty(fc.constantFrom(...all), fc.constantFrom(...HOSTILE), async (place, put) => {
      const what = `restore with ${JSON.stringify(put)?.slice(0, 40)} at ${place.join('.')}`;
      const mutated = withAt(small, place, put);
      const answer = await civil(what, () => kitchen.send('POST', '/api/backup/restore', mutated));
      if (answer.status >= 300) return;
      for (const address of [...reads, ...more]) {
        await civil(`${what}, then ${address}`, () => kitchen.send('GET', address));
      }
      const listed = async (path: string): Promise<string[]> => {
        const { body } = await kitchen.send('GET', path);
        const list = (Array.isArray(body) ? body : (body as { items?: unknown[] }).items) as { id: string }[];
        return list.map(({ id }) => `${path.split('?')[0] ?? ''}/${encodeURIComponent(id)}`);
      };
      const single = [
        ...(await listed('/api/braises')),
        ...(await listed('/api/log')),
        ...(await listed('/api/cooks/running')).map((path) => path.replace('/running', '')),
        ...(await listed('/api/rehearsals')),
      ];
      for (const address of single) {
        await civil(`${what}, then ${address}`, () => kitchen.send('GET', address));
      }
    }),
    { numRuns: 80 },
  );
  expect((await kitchen.send('POST', '/api/backup/restore', backup)).status).toBe(200);
});

test('a body in another dress: type, encoding, length', async () => {
  const dresses: readonly Record<string, string>[] = [
    { 'content-type': 'text/plain' },
    { 'content-type': 'application/xml' },
    { 'content-type': 'application/json; charset=koi8-r' },
    { 'content-type': 'multipart/form-data; boundary=x' },
    { 'content-encoding': 'gzip' },
    { 'content-encoding': 'br' },
    { 'content-type': 'application/json', 'x-http-method-override': 'DELETE' },
  ];
  for (const headers of dresses) {
    const { status } = await civil(JSON.stringify(headers), () =>
      kitchen.send('POST', '/api/braises', '{"id":', headers),
    );
    expect(status).toBeGreaterThanOrEqual(400);
  }
});
