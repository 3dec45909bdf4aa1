import { newPlan } from '@hervir/core';
import { Workers } from './workers';

let workers: Workers;
beforeAll(() => {
  workers = new Workers();
});
afterAll(() => workers.onModuleDestroy());

const status = (asked: Promise<unknown>): Promise<number> =>
  asked.then(
    () => 200,
    (error: { getStatus(): number }) => error.getStatus(),
  );

describe('work beside the requests', () => {
  test('comes back as if it had been done here', async () => {
    const plan = newPlan({ cut: 'goat-neck', form: 'slices', grams: 1600 });
    const { forecast, guide } = await workers.guide(plan);
    expect(forecast.plan).toEqual(JSON.parse(JSON.stringify(plan)));
    expect(guide.steps.length).toBeGreaterThan(10);
  });

  test('what a cook can mend comes back as faults: of a plan that reads, and of one that is kept and refused', async () => {
    expect(await workers.readPlan({ format: 'hervir/braise' })).toMatchObject({ ok: false });
    const impossible = newPlan({ cut: 'goat-neck', form: 'slices', grams: 100 });
    const asked = workers.forecast({ ...impossible, meat: { ...impossible.meat, trimGrams: 95 } });
    await expect(asked).rejects.toMatchObject({
      response: { faults: [expect.objectContaining({ path: 'meat.trimGrams' })] },
    });
  });

  test('more than can wait are asked to come again, and nobody before them suffers', async () => {
    const frozen = newPlan({ cut: 'beef-chuck', form: 'whole', grams: 1500 });
    const all = Array.from({ length: 260 }, () => status(workers.run('readPlan', frozen)));
    const answers = await Promise.all(all);
    expect(new Set(answers)).toEqual(new Set([200, 503]));
    expect(answers.filter((one) => one === 200).length).toBeGreaterThanOrEqual(200);
  });

  test('takes so long at most; starting its thread does not count, however long that takes', async () => {
    const fresh = new Workers();
    const began = performance.now();
    await fresh.readPlan({});
    const starting = performance.now() - began;
    await fresh.onModuleDestroy();
    const another = new Workers();
    expect((await another.run('readPlan', {}, starting / 2)).ok).toBe(false);
    const frozen = newPlan({ cut: 'beef-chuck', form: 'whole', grams: 3000 });
    const slow = { plan: { ...frozen, meat: { ...frozen.meat, startsFrom: 'frozen' as const } } };
    await expect(another.run('forecast', slow, 1)).rejects.toMatchObject({ status: 422 });
    // The thread that was ended for it is another one by the next job.
    expect(await status(another.run('readPlan', {}))).toBe(200);
    await another.onModuleDestroy();
  });

  test('a long job ends when it is not wanted any more', async () => {
    const abort = new AbortController();
    const job = { database: '/nowhere/at/all.sqlite', photos: '/nowhere', to: '/nowhere/backup.json', made: '' };
    const asked = workers.runLong('makeBackup', job, abort.signal);
    abort.abort();
    await expect(asked).rejects.toThrow();
    await expect(workers.runLong('makeBackup', job)).rejects.toThrow();
    expect((await workers.readPlan({})).ok).toBe(false);
  });
});
