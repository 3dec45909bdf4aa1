import type { PinoLogger } from 'nestjs-pino';
import { Loops, type Trouble } from './loops';

/** Lets timers and what they began go on. */
const pass = async (ms: number): Promise<void> => {
  await jest.advanceTimersByTimeAsync(ms);
};

let loops: Loops;
let said: string[];
let news: Trouble[];
beforeEach(() => {
  jest.useFakeTimers();
  said = [];
  news = [];
  loops = new Loops({ error: (_: unknown, words: string) => said.push(words) } as unknown as PinoLogger);
  loops.news.subscribe((told) => news.push(told));
});
afterEach(async () => {
  await loops.onModuleDestroy();
  jest.useRealTimers();
});

describe('a background loop', () => {
  test('is never in two turns at once, however long one takes', async () => {
    let within = 0;
    let most = 0;
    loops.start('slow', 100, async () => {
      within += 1;
      most = Math.max(most, within);
      await new Promise((resolve) => setTimeout(resolve, 350));
      within -= 1;
    });
    await pass(5000);
    expect(most).toBe(1);
  });

  test('that fails is written down, told once, tried again after longer and longer, and told when it can again', async () => {
    const turns: number[] = [];
    let broken = true;
    loops.start('clumsy', 100, () => {
      turns.push(Date.now());
      return broken ? Promise.reject(new Error('the disk is full')) : Promise.resolve();
    });
    await pass(10_000);
    const waits = turns.slice(1).map((at, i) => at - (turns[i] as number));
    expect(waits).toEqual([200, 400, 800, 1600, 3200]);
    expect(news).toEqual([{ loop: 'clumsy', problem: 'the disk is full' }]);
    expect(loops.trouble()).toEqual(news);
    expect(said).toHaveLength(turns.length);
    broken = false;
    await pass(10_000);
    expect(news.at(-1)).toEqual({ loop: 'clumsy', problem: null });
    expect(loops.trouble()).toEqual([]);
  });

  test('never waits longer than half a minute', async () => {
    let turns = 0;
    loops.start('hopeless', 1000, () => {
      turns += 1;
      return Promise.reject(new Error('no'));
    });
    await pass(120_000);
    const before = turns;
    await pass(90_000);
    expect(turns - before).toBe(3);
  });

  test('beside one that fails goes on', async () => {
    let turns = 0;
    loops.start('clumsy', 100, () => Promise.reject(new Error('no')));
    loops.start('steady', 100, () => Promise.resolve(void (turns += 1)));
    await pass(1050);
    expect(turns).toBe(10);
  });

  test('is waited for when the server stops, and begins nothing after', async () => {
    let done = 0;
    loops.start('slow', 10, async () => {
      await new Promise((resolve) => setTimeout(resolve, 500));
      done += 1;
    });
    await pass(50);
    let stopped = false;
    const stopping = loops.onModuleDestroy().then(() => (stopped = true));
    await pass(100);
    expect([stopped, done]).toEqual([false, 0]);
    await pass(400);
    await stopping;
    await pass(5000);
    expect(done).toBe(1);
  });
});
