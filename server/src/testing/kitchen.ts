import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { API, faultsOf } from '@hervir/contract';
import { start, type Running } from '../application';
import type { Config } from '../config';

/** A plan as a client may send it. */
export const OXTAIL = {
  format: 'hervir/braise',
  version: 1,
  name: 'Oxtail with chestnuts',
  target: 'pulls',
  meat: { cut: 'beef-oxtail', form: 'pieces', grams: 1500 },
};

/** Something left of a meal, frozen. */
export const KEPT_NECK = {
  name: 'braised goat neck',
  cut: 'goat-neck',
  portions: 3,
  grams: 1200,
  pieceCm: 3,
  place: 'freezer',
  since: '2026-12-03T21:00:00+01:00',
} as const;

/** A real server on loopback with a folder of its own, for a test. */
export interface TestKitchen extends Running {
  readonly folder: string;
  /** A request as a browser on the page would send it. */
  send(
    method: string,
    path: string,
    body?: unknown,
    headers?: Record<string, string>,
  ): Promise<{ status: number; body: unknown; headers: Headers }>;
}

const ROUTES = Object.entries(API).map(([route, described]) => {
  const [method = '', path = ''] = route.split(' ');
  const pattern = new RegExp(`^${path.replace(/[.]/g, '\\.').replace(/\{\w+\}/g, '[^/]+')}$`);
  // An address with fewer gaps is the more exact one.
  return { route, method, pattern, gaps: path.split('{').length, described };
});

/** Every answer of every test is what the interface says it gives: its status, and its schema. */
function asDescribed(method: string, path: string, status: number, body: unknown): void {
  const [bare = ''] = path.split('?');
  const [found] = ROUTES.filter((one) => one.method === method && one.pattern.test(bare)).sort(
    (a, b) => a.gaps - b.gaps,
  );
  if (found === undefined || found.described.answer === undefined) return;
  const { route, described } = found;
  if (status !== described.status) throw new Error(`${route} answered ${status}, and says ${described.status}`);
  const read = described.answer?.safeParse(body);
  if (read?.success !== false) return;
  const faults = faultsOf(read.error, body).slice(0, 3);
  throw new Error(`${route} does not answer as it says: ${JSON.stringify(faults)}`);
}

/** Starts a server the way main does, on any free port. */
export async function openKitchen(config: Partial<Config> = {}): Promise<TestKitchen> {
  process.env['HERVIR_LOG'] = 'silent';
  const folder = config.dataFolder ?? mkdtempSync(join(tmpdir(), 'hervir-'));
  const running = await start({
    host: '127.0.0.1',
    port: 0,
    demo: false,
    extraHosts: [],
    lan: null,
    ...config,
    dataFolder: folder,
  });
  return {
    folder,
    address: running.address,
    house: running.house,
    async close() {
      await running.close();
      if (config.dataFolder === undefined) rmSync(folder, { recursive: true, force: true });
    },
    async send(method, path, body, headers = {}) {
      const response = await fetch(`${running.address}${path}`, {
        method,
        // A connection that was idle may be closed by the server just as it is taken up again: each request has its own.
        headers: {
          connection: 'close',
          ...(body === undefined ? {} : { 'content-type': 'application/json' }),
          ...headers,
        },
        ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
      });
      const text = await response.text();
      let parsed: unknown = text;
      try {
        parsed = JSON.parse(text);
      } catch {
        // A page, or nothing: the text itself is what came.
      }
      if (response.ok) asDescribed(method, path, response.status, parsed);
      return { status: response.status, body: parsed, headers: response.headers };
    },
  };
}
