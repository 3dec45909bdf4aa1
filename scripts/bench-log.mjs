// npm run bench -- --log: a log of twenty thousand cooks, asked a hundred times a second from another process.
import { spawn, spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildAll, root } from './lib.mjs';

const COOKS = 20_000;
const RATE = 100;
const SECONDS = 8;

/** Fills a database with cooks as the demo's season has them, one a day, each a little different. */
async function fill(folder) {
  const load = createRequire(import.meta.url);
  const { closeDatabase, openDatabase } = load(join(root, 'server/dist/database/database.js'));
  const { LogEntryEntity } = load(join(root, 'server/dist/database/entities.js'));
  const { columnsOf, entryOf, firstGrade } = load(join(root, 'server/dist/log/entry.js'));
  const { demoSeason } = load(join(root, 'server/dist/demo/demo-season.js'));
  const { cookState, forecast, guideOf } = load(join(root, 'core/dist/index.js'));
  const season = demoSeason().map(({ id, name, plan, events, observation }) => {
    const f = forecast(plan);
    const guide = guideOf(f);
    const state = cookState(guide, events, Date.parse(events.at(-1).at));
    const promised = { forecast: f, inTime: null };
    return { plan, observation, entry: entryOf({ id, name, plan, guide }, promised, state, firstGrade(events)) };
  });
  const database = await openDatabase(folder);
  const em = database.orm.em.fork();
  for (let from = 0; from < COOKS; from += 500) {
    const rows = Array.from({ length: 500 }, (_, i) => {
      const n = from + i;
      const { entry, plan, observation } = season[n % season.length];
      const servedAt = new Date(Date.UTC(1972, 0, 1, 18) + n * 86_400_000).toISOString();
      const one = {
        ...entry,
        id: randomUUID(),
        servedAt,
        boughtG: entry.boughtG + (n % 700),
        lateMinutes: (n % 61) - 10,
      };
      return { ...columnsOf(one, plan, observation), photo: false };
    });
    await em.insertMany(LogEntryEntity, rows);
  }
  await closeDatabase(database);
}

export async function benchLog(say) {
  buildAll();
  const folder = mkdtempSync(join(tmpdir(), 'hervir-bench-'));
  await fill(folder);
  const began = performance.now();
  const server = spawn(process.execPath, [join(root, 'server/dist/main.js'), '--port', '0', '--data', folder]);
  const address = await new Promise((resolve) => {
    server.stdout.on('data', (chunk) => {
      const match = /Hervir is at (\S+)/.exec(chunk.toString());
      if (match) resolve(match[1]);
    });
  });
  say(`server with ${COOKS} cooks: ready after ${((performance.now() - began) / 1000).toFixed(1)} s (bar 3 s)`);
  try {
    // A server that has just started compiles what it is asked first: measured is one that has been up for a while.
    for (let i = 0; i < 300; i += 1) await (await fetch(`${address}/api/log?limit=20&offset=${i}`)).text();
    const { items } = await (await fetch(`${address}/api/log?limit=1&offset=9000`)).json();
    for (const [what, path] of [
      ['list', '/api/log?limit=20'],
      ['filter by cut and date', '/api/log?cut=goat-shoulder&from=2001-01-01&limit=20'],
      ['look for words', '/api/log?text=walkers%20lamb&limit=20'],
      ['sort by lateness', '/api/log?sort=latest-dinner&limit=20'],
      ['open one', `/api/log/${items[0].id}`],
      ['charts', '/api/log/charts'],
    ]) {
      // From a process of its own, so that the load does not wait for the server's thread.
      const { stdout } = spawnSync(
        join(root, 'node_modules/.bin/autocannon'),
        // Four devices of one kitchen: more connections would only send in larger bursts.
        ['-j', '-c', '4', '-R', String(RATE), '-d', String(SECONDS), address + path],
        { encoding: 'utf8', maxBuffer: 1e7 },
      );
      const { latency, non2xx, errors, requests } = JSON.parse(stdout);
      say(
        `${what}: 99th percentile ${latency.p99} ms at ${requests.average.toFixed(0)} requests a second${non2xx + errors > 0 ? `, ${non2xx + errors} FAILED` : ''} (bar 50 ms)`,
      );
    }
    const rss = Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))?.[1]) / 1000;
    say(`memory of the server: ${rss.toFixed(0)} MB (bar 300 MB)`);
  } finally {
    server.kill('SIGTERM');
    rmSync(folder, { recursive: true, force: true });
  }
}
