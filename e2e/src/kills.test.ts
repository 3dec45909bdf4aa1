import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/**
 * How often the server is killed. A start costs two seconds of a core: with the other tests a few kills, with
 * `npm run kills` sixty.
 */
const KILLS = Number(process.env['HERVIR_KILLS'] ?? 4);
/** A kill comes at any moment of so long after the first event has been acknowledged, ms. */
const WITHIN = 150;

const PLAN = {
  format: 'hervir/braise',
  version: 1,
  target: 'fork',
  meat: { cut: 'goat-neck', form: 'slices', grams: 1600 },
};

/** A server that has loaded all it needs and waits for a word to open its data. */
function standBy(folder: string): { begin(): Promise<string>; kill(): Promise<void> } {
  const child: ChildProcess = spawn(
    process.execPath,
    [join(__dirname, '../standby.cjs'), '--port', '0', '--data', folder],
    { stdio: ['pipe', 'pipe', 'inherit'] },
  );
  let said = '';
  const listeners = new Set<() => void>();
  child.stdout?.on('data', (chunk: Buffer) => {
    said += chunk.toString();
    for (const tell of listeners) tell();
  });
  return {
    async begin() {
      child.stdin?.write('begin\n');
      return new Promise((resolve) => {
        const look = (): void => {
          const match = /Hervir is at (\S+)/.exec(said);
          if (match?.[1]) resolve(match[1]);
        };
        listeners.add(look);
        look();
      });
    },
    kill: () =>
      new Promise((resolve) => {
        child.once('exit', () => resolve());
        child.kill('SIGKILL');
      }),
  };
}

async function send(url: string, body: unknown): Promise<unknown> {
  const response = await fetch(url, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  return response.json();
}

/** Kinds a hand tells in a cook, one after another, over and over. */
const SCRIPT = ['stepDone', 'flipped', 'batchDone', 'sauteOff', 'lidLocked', 'note', 'minutesAdded'] as const;

const event = (turn: number): { id: string } & Record<string, unknown> => {
  const kind = SCRIPT[turn % SCRIPT.length];
  return {
    id: randomUUID(),
    kind,
    at: new Date().toISOString(),
    payload: kind === 'note' ? { text: `turn ${turn}` } : kind === 'minutesAdded' ? { minutes: 1 } : {},
  };
};

async function killLoop(): Promise<{ kills: number; acknowledged: number }> {
  const folder = mkdtempSync(join(tmpdir(), 'hervir-kills-'));
  const cook = randomUUID();
  const acknowledged = new Set<string>();
  /** Sent and never answered: may be there or not, but once at most. */
  const unanswered: ReturnType<typeof event>[] = [];
  let standby = standBy(folder);
  let turn = 0;
  let answered = (): void => undefined;
  const there = async (address: string): Promise<string[]> => {
    const { events } = (await (await fetch(`${address}/api/cooks/${cook}`)).json()) as { events: { id: string }[] };
    return events.map(({ id }) => id);
  };
  for (let kill = 0; kill <= KILLS; kill += 1) {
    const address = await standby.begin();
    const running = standby;
    if (kill === 0) {
      await send(`${address}/api/cooks`, { id: cook, startedEventId: randomUUID(), plan: PLAN });
    }
    const ids = await there(address);
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids).toEqual(expect.arrayContaining([...acknowledged]));
    if (kill === KILLS) {
      await running.kill();
      break;
    }
    standby = standBy(folder);
    let alive = true;
    const first = new Promise<void>((resolve) => {
      answered = resolve;
    });
    const told = (async () => {
      while (alive) {
        // What was never answered is sent again, as a phone does; then the next thing happens.
        const batch = [...unanswered.splice(0), event((turn += 1))];
        try {
          const { kept } = (await send(`${address}/api/cooks/${cook}/events`, { events: batch })) as {
            kept: { id: string }[];
          };
          for (const { id } of kept) acknowledged.add(id);
          answered();
        } catch {
          unanswered.push(...batch);
          return;
        }
      }
    })();
    await first;
    await new Promise((resolve) => setTimeout(resolve, Math.random() * WITHIN));
    await running.kill();
    alive = false;
    await told;
  }
  rmSync(folder, { recursive: true, force: true });
  return { kills: KILLS, acknowledged: acknowledged.size };
}

test('kills at random moments of a scripted cook: no acknowledged event is lost, none is there twice', async () => {
  const { kills, acknowledged } = await killLoop();
  expect(kills).toBe(KILLS);
  // At least one a life, and all of them looked for after every kill.
  expect(acknowledged).toBeGreaterThanOrEqual(KILLS);
  process.stderr.write(`${kills} kills, ${acknowledged} events acknowledged and kept\n`);
});

/** How often each of the following is cut off: with the other tests now and then, with `npm run kills` thirty times. */
const CUTS = Math.max(2, Math.floor(KILLS / 2));

const get = async (address: string, path: string): Promise<unknown> => (await fetch(address + path)).json();

/**
 * Lives of a server on one folder: each looks at what the last one left, begins something and is ended at a random moment of
 * it; the last one looks and is ended.
 *
 * @param within ms
 */
async function cutOff(
  folder: string,
  within: number,
  look: (address: string) => Promise<void>,
  begin: (address: string, cut: number) => Promise<unknown>,
): Promise<void> {
  for (let cut = 0; cut <= CUTS; cut += 1) {
    let begun: Promise<unknown> = Promise.resolve();
    await then(folder, async (address) => {
      await look(address);
      if (cut === CUTS) return;
      begun = begin(address, cut).catch(() => undefined);
      await new Promise((resolve) => setTimeout(resolve, Math.random() * within));
    });
    await begun;
  }
}

/** A life of a server, ended in the midst of what it does when the other is done. */
async function then<T>(folder: string, look: (address: string) => Promise<T>): Promise<T> {
  const server = standBy(folder);
  try {
    return await look(await server.begin());
  } finally {
    await server.kill();
  }
}

test('kills in a restore: the kitchen is the one that was there or the one of the backup, with its own photos', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'hervir-kills-'));
  const picture = Buffer.from('ffd8ffda0002010203ffd9', 'hex').toString('base64');
  /** Kitchens by the name of their one dish, each with a cook in the log and its photo. */
  const backups: unknown[] = [];
  await then(folder, async (address) => {
    for (const name of ['one', 'another']) {
      const kitchen = { id: randomUUID(), servedAt: '2026-11-05T19:00:00Z', minutes: 40, grade: 'fork' };
      const { tables } = (await get(address, '/api/backup')) as { tables: Record<string, unknown[]> };
      for (const { id } of (tables['log_entry'] ?? []) as { id: string }[])
        await fetch(`${address}/api/log/${id}`, { method: 'DELETE' });
      await send(`${address}/api/log`, { ...kitchen, plan: { ...PLAN, name } });
      await fetch(`${address}/api/log/${kitchen.id}/photo`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ base64: picture }),
      });
      backups.push(await get(address, '/api/backup'));
    }
  });
  const found = new Set<string>();
  const look = async (address: string): Promise<void> => {
    const { items } = (await get(address, '/api/log')) as { items: { id: string; name: string; photo: boolean }[] };
    expect(items).toHaveLength(1);
    const { status } = await fetch(`${address}/api/log/${items[0]?.id}/photo`);
    found.add(items[0]?.name ?? '');
    expect([items[0]?.photo, status]).toEqual([true, 200]);
  };
  await cutOff(folder, 900, look, (address, cut) => send(`${address}/api/backup/restore`, backups[cut % 2]));
  expect([...found].every((name) => ['one', 'another'].includes(name))).toBe(true);
  rmSync(folder, { recursive: true, force: true });
  process.stderr.write(`${CUTS} kills in a restore\n`);
});

test('kills while a table is read in: all its lines are there, or none', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'hervir-kills-'));
  const LINES = 60;
  const table = (cut: number): string =>
    ['date,cut,dish', ...Array.from({ length: LINES }, (_, i) => `2026-11-05,goat neck,${cut} ${i}`)].join('\n');
  const look = async (address: string): Promise<void> => {
    const { total } = (await get(address, '/api/log')) as { total: number };
    expect(total % LINES).toBe(0);
  };
  await cutOff(folder, 1600, look, (address, cut) => send(`${address}/api/log/file.csv`, { text: table(cut) }));
  rmSync(folder, { recursive: true, force: true });
  process.stderr.write(`${CUTS} kills while a table was read in\n`);
});

test('kills in a first start: the next one opens the kitchen', async () => {
  for (let cut = 0; cut < CUTS; cut += 1) {
    const folder = mkdtempSync(join(tmpdir(), 'hervir-kills-'));
    const server = standBy(folder);
    void server.begin();
    // Until it is loaded nothing is opened.
    await new Promise((resolve) => setTimeout(resolve, 700 + Math.random() * 1200));
    await server.kill();
    const health = await then(folder, (address) => get(address, '/api/health'));
    expect(health).toMatchObject({ status: 'ok' });
    rmSync(folder, { recursive: true, force: true });
  }
  process.stderr.write(`${CUTS} kills in a first start\n`);
});
