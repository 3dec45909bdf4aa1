// npm run bench -- --kitchen: how long /api/health waits at the longest while a kitchen is asked for the heaviest things it
// does, and how fast those are.
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { createWriteStream, mkdtempSync, openAsBlob, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { once } from 'node:events';
import { buildAll, root } from './lib.mjs';

const say = (text) => process.stdout.write(`${text}\n`);
/** Rows of the imported notebook, cooks of the restored kitchen, events of the longest cook, frozen plans at once. */
const [ROWS, COOKS, EVENTS, FROZEN] = [5000, 20_000, 8000, 60];
const CUTS = ['beef-shin', 'beef-chuck', 'pork-collar', 'goat-neck', 'lamb-shank', 'beef-oxtail', 'goat-shoulder'];

/** Asks for health again and again, from a process of its own, and answers the longest wait. */
async function healthWhile(address, work) {
  const script = `let most=0,n=0,go=true;process.stdin.once('data',()=>{go=false});
(async()=>{while(go){const t=performance.now();await (await fetch(process.argv[1]+'/api/health')).text();most=Math.max(most,performance.now()-t);n++;await new Promise(r=>setTimeout(r,5))}
process.stdout.write(JSON.stringify({most,n}));process.exit()})()`;
  const child = spawn(process.execPath, ['-e', script, address], { stdio: ['pipe', 'pipe', 'inherit'] });
  let said = '';
  child.stdout.on('data', (chunk) => (said += chunk));
  await new Promise((resolve) => setTimeout(resolve, 400));
  const began = performance.now();
  const result = await work();
  const seconds = (performance.now() - began) / 1000;
  child.stdin.write('stop');
  await once(child, 'exit');
  const { most, n } = JSON.parse(said);
  return { result, seconds, health: `health waited at most ${most.toFixed(0)} ms in ${n} (bar 100 ms)` };
}

const send = async (address, method, path, body, type = 'application/json') => {
  const answer = await fetch(address + path, {
    method,
    headers: { 'content-type': type },
    body: body instanceof Blob || typeof body === 'string' ? body : JSON.stringify(body),
  });
  const text = await answer.text();
  if (!answer.ok) say(`  ${method} ${path}: ${answer.status} ${text.slice(0, 160)}`);
  return text === '' ? null : JSON.parse(text);
};
const plan = (grams, more = {}) => ({
  format: 'hervir/braise',
  version: 1,
  target: 'fork',
  meat: { cut: 'goat-shoulder', form: 'whole', grams, ...more },
});

export async function benchKitchen() {
  buildAll();
  const folder = mkdtempSync(join(tmpdir(), 'hervir-bench-'));
  const server = spawn(process.execPath, [join(root, 'server/dist/main.js'), '--port', '0', '--data', folder]);
  const address = await new Promise((resolve) =>
    server.stdout.on('data', (chunk) => {
      const at = /Hervir is at (\S+)/.exec(String(chunk));
      if (at) resolve(at[1]);
    }),
  );
  // What the server has to say against it belongs to the measurement.
  server.stdout.on('data', (chunk) => /"level":50/.test(String(chunk)) && say(`  ${String(chunk).slice(0, 400)}`));
  try {
    await send(address, 'POST', '/api/braises', { id: randomUUID(), plan: plan(1500) });

    const csv = [
      'date;cut;weight;minutes;came out',
      ...Array.from(
        { length: ROWS },
        (_, i) =>
          `${1 + (i % 28)}.${1 + (i % 12)}.20${10 + (i % 16)};${CUTS[i % CUTS.length]};${700 + ((i * 37) % 2300)};${20 + ((i * 13) % 70)};${['firm', 'fork', 'pulls'][i % 3]}`,
      ),
    ].join('\n');
    const read = await healthWhile(address, () => send(address, 'POST', '/api/log/file.csv', csv, 'text/csv'));
    say(`CSV, ${ROWS} rows that all differ: ${(ROWS / read.seconds).toFixed(0)} rows/s (bar 1000); ${read.health}`);

    const frozen = await healthWhile(address, () =>
      Promise.all(
        Array.from({ length: FROZEN }, (_, i) =>
          send(address, 'POST', '/api/braises', { id: randomUUID(), plan: plan(1500 + i, { startsFrom: 'frozen' }) }),
        ),
      ),
    );
    say(`${FROZEN} plans from frozen at once: ${frozen.seconds.toFixed(1)} s; ${frozen.health}`);

    const braise = randomUUID();
    await send(address, 'POST', '/api/braises', { id: braise, plan: plan(1500) });
    const cook = randomUUID();
    const begun = await send(address, 'POST', '/api/cooks', {
      id: cook,
      startedEventId: randomUUID(),
      braiseId: braise,
      acknowledged: ['over-fill', 'under-minimum', 'burn-likely'],
    });
    const long = await healthWhile(address, async () => {
      for (let sent = 0; sent < EVENTS; sent += 200) {
        const events = Array.from({ length: 200 }, (_, i) => ({
          id: randomUUID(),
          kind: 'note',
          at: new Date(Date.parse(begun.startedAt) + sent + i).toISOString(),
          payload: { text: `note ${sent + i}` },
        }));
        await send(address, 'POST', `/api/cooks/${cook}/events`, { events });
      }
      await send(address, 'GET', '/api/cooks/running');
      await send(address, 'GET', `/api/cooks/${cook}`);
      await send(address, 'POST', `/api/cooks/${cook}/events`, {
        events: [{ id: randomUUID(), kind: 'finished', at: new Date().toISOString(), payload: {} }],
      });
    });
    say(`a cook of ${EVENTS} events, told, opened and finished: ${long.seconds.toFixed(1)} s; ${long.health}`);

    for (const [what, text] of hostile()) {
      const one = await healthWhile(address, () =>
        fetch(`${address}/api/recipes/read`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ text }),
        }).then((answer) => answer.status),
      );
      say(`recipe, ${what}: ${one.result} after ${one.seconds.toFixed(2)} s; ${one.health}`);
    }

    const made = await healthWhile(address, async () => (await (await fetch(`${address}/api/backup`)).blob()).text());
    say(
      `a backup of ${(made.result.length / 1e6).toFixed(0)} MB, made and read back: ${made.seconds.toFixed(1)} s; ${made.health}`,
    );
    const file = join(folder, 'large.json');
    await multiply(JSON.parse(made.result), file);
    const back = await healthWhile(address, async () =>
      send(address, 'POST', '/api/backup/restore', await openAsBlob(file)),
    );
    say(
      `a restore of ${COOKS} cooks, ${(statSync(file).size / 1e6).toFixed(0)} MB with photos: ${back.seconds.toFixed(1)} s; ${back.health}`,
    );
    const rss =
      Number(
        /VmHWM:\s+(\d+)/.exec(
          await (await import('node:fs/promises')).readFile(`/proc/${server.pid}/status`, 'utf8'),
        )?.[1],
      ) / 1000;
    say(`memory of the server at its most: ${rss.toFixed(0)} MB`);
  } finally {
    server.kill('SIGTERM');
    await once(server, 'exit');
    rmSync(folder, { recursive: true, force: true });
  }
}

/** A kitchen of many cooks and some 500 MB of photos, written a row at a time. */
async function multiply({ tables }, file) {
  const out = createWriteStream(file);
  const write = async (text) => {
    if (!out.write(text)) await once(out, 'drain');
  };
  const [row] = tables.log_entry;
  await write(`{"format":"hervir/backup","version":1,"tables":{"log_entry":[`);
  const ids = Array.from({ length: COOKS }, () => randomUUID());
  for (const [i, id] of ids.entries()) {
    await write(
      `${i === 0 ? '' : ','}\n${JSON.stringify({ ...row, id, entry: { ...row.entry, id }, photo: i < 100 ? 1 : 0 })}`,
    );
  }
  await write(']},"photos":{');
  // The smallest head and end of a picture, and five megabytes between.
  const picture = Buffer.concat([
    Buffer.from('ffd8ffda0002', 'hex'),
    Buffer.alloc(5_000_000, 0x55),
    Buffer.from('ffd9', 'hex'),
  ]).toString('base64');
  for (const [i, id] of ids.slice(0, 75).entries()) await write(`${i === 0 ? '' : ','}\n"${id}":"${picture}"`);
  await write('}}');
  out.end();
  await once(out, 'finish');
}

/** Recipes that a hostile hand writes. */
function* hostile() {
  yield ['tags nested 100,000 deep', `<html>${'<div>'.repeat(100_000)}1 kg goat neck`];
  yield ['a comment that never ends', `<!--${'- '.repeat(500_000)}`];
  yield ['900,000 openings of a tag', '<'.repeat(900_000)];
  yield ['990 digits', `Goat\nIngredients\n${'9'.repeat(990)} g goat neck\nMethod\nSimmer ${'9'.repeat(990)} hours.`];
  yield [
    '20,000 ingredients',
    `Goat\nIngredients\n1 kg goat neck\n${'2 onions, chopped\n'.repeat(20_000)}Method\nSimmer 2 hours.`,
  ];
  yield ['JSON-LD nested 50,000 deep', `<script type="application/ld+json">${'{"@graph":['.repeat(50_000)}</script>`];
  yield ['a line of a million letters', `Goat\nIngredients\n1 kg ${'goat '.repeat(200_000)}\nMethod\nSimmer 2 hours.`];
  yield ['a million ands', `Goat\nIngredients\n1 kg goat neck\nMethod\n${'and 1 hour and '.repeat(60_000)}`];
}
