import { randomUUID } from 'node:crypto';
import type { CookRecord, EventsAnswer, LogPage, LogRecord } from '@hervir/contract';
import { cookedAt, cookState, type CookEvent, type Plan } from '@hervir/core';
import * as fc from 'fast-check';
import { openKitchen, OXTAIL as PLAN, type TestKitchen } from '../testing/kitchen';

const OVERFULL = { ...PLAN, liquids: [{ liquid: 'stock', ml: 4200 }] };

let kitchen: TestKitchen;
beforeAll(async () => {
  kitchen = await openKitchen();
});
afterAll(() => kitchen.close());

const begin = async (plan: unknown = PLAN, more: object = {}): Promise<CookRecord> => {
  const { status, body } = await kitchen.send('POST', '/api/cooks', {
    id: randomUUID(),
    startedEventId: randomUUID(),
    plan,
    ...more,
  });
  expect(status).toBe(201);
  return body as CookRecord;
};
const beginKept = async (braiseId: string, part = 'evening'): Promise<CookRecord> =>
  (await kitchen.send('POST', '/api/cooks', { id: randomUUID(), startedEventId: randomUUID(), braiseId, part }))
    .body as CookRecord;
const event = (kind: string, payload: object = {}, at = new Date().toISOString()): object => ({
  id: randomUUID(),
  kind,
  at,
  payload,
});
const tell = async (cook: string, ...events: object[]): Promise<{ status: number; body: EventsAnswer }> => {
  const { status, body } = await kitchen.send('POST', `/api/cooks/${cook}/events`, { events });
  return { status, body: body as EventsAnswer };
};
const opened = async (cook: string): Promise<CookRecord> =>
  (await kitchen.send('GET', `/api/cooks/${cook}`)).body as CookRecord;

/** Every button of a guide, one after the other. */
function pressedThrough({ guide, startedAt }: CookRecord): object[] {
  const started = { id: randomUUID(), kind: 'started', at: startedAt, payload: {} } as const;
  const told: { id: string; kind: CookEvent['kind']; at: string; payload: object }[] = [];
  for (let i = 0; i < 300; i += 1) {
    const ms = Date.parse(startedAt) + i + 1;
    const at = new Date(ms).toISOString();
    const { now, status } = cookState(guide, [started, ...told] as CookEvent[], ms);
    if (status !== 'cooking' || now === null) break;
    const payload = now.step.done === 'checked' ? { grade: 'pulls' } : { step: now.step.id };
    told.push({ id: randomUUID(), kind: now.step.done, at, payload });
  }
  return told;
}

describe('a cook on the server', () => {
  test('is begun once, with its guide, and is among those running until it is finished', async () => {
    const asked = { id: randomUUID(), startedEventId: randomUUID(), plan: PLAN };
    const first = await kitchen.send('POST', '/api/cooks', asked);
    const second = await kitchen.send('POST', '/api/cooks', asked);
    expect(second.body).toEqual(first.body);
    const { id, guide, events } = first.body as CookRecord;
    expect(guide.steps.length).toBeGreaterThan(10);
    expect(events.map(({ kind }) => kind)).toEqual(['started']);
    const running = async (): Promise<string[]> =>
      ((await kitchen.send('GET', '/api/cooks/running')).body as CookRecord[]).map((cook) => cook.id);
    expect(await running()).toContain(id);
    await tell(id, event('finished'));
    expect(await running()).not.toContain(id);
    const finished = (await opened(id)).events.find(({ kind }) => kind === 'finished');
    await tell(id, event('undone', { event: finished?.id }));
    expect(await running()).toContain(id);
  });

  test('begun from a kept plan goes on with that plan as it was', async () => {
    const { body: kept } = await kitchen.send('POST', '/api/braises', { id: randomUUID(), plan: PLAN });
    const { id, revision } = kept as { id: string; revision: number };
    const cook = await begin(undefined, { braiseId: id });
    await kitchen.send('PUT', `/api/braises/${id}`, { revision, plan: { ...PLAN, name: 'Another' } });
    expect(await opened(cook.id)).toMatchObject({ braiseId: id, name: 'Oxtail with chestnuts' });
  });

  test('that ends in the fridge tells its plan that the evening is over, and takes it back; given up half-way it does not', async () => {
    const plan = { ...PLAN, version: 2, cookAhead: { hours: 24 }, serveAt: new Date(Date.now() + 3e7).toISOString() };
    const { body: kept } = await kitchen.send('POST', '/api/braises', { id: randomUUID(), plan });
    const { id, revision } = kept as { id: string; revision: number };
    const braise = async (): Promise<{ plan: Plan; revision: number }> =>
      (await kitchen.send('GET', `/api/braises/${id}`)).body as { plan: Plan; revision: number };
    const half = await beginKept(id);
    await tell(half.id, event('finished'));
    expect(cookedAt((await braise()).plan)).toBeNull();
    const cook = await beginKept(id);
    expect(cook.guide.steps.at(-1)?.section).toBe('put-away');
    const told = pressedThrough(cook);
    await tell(cook.id, ...told);
    await tell(cook.id, event('finished'));
    const after = await braise();
    expect(Math.abs(Date.parse(cookedAt(after.plan) ?? '') - Date.now())).toBeLessThan(120_000);
    // Who has it open is told that it is not what it was.
    expect(after.revision).toBeGreaterThan(revision);
    const finished = (await opened(cook.id)).events.find(({ kind }) => kind === 'finished');
    await tell(cook.id, event('undone', { event: finished?.id }));
    expect(cookedAt((await braise()).plan)).toBeNull();
  });

  test('the day of what was cooked ahead is a cook of its own; closed, its plan is eaten, and the log has both', async () => {
    const serveAt = new Date(Date.now() + 3e6).toISOString();
    const plan = { ...PLAN, version: 2, name: 'Warmed on Sunday', cookAhead: { hours: 24 }, serveAt };
    const { body: kept } = await kitchen.send('POST', '/api/braises', { id: randomUUID(), plan });
    const { id } = kept as { id: string };
    const over = async (): Promise<Plan['aheadDone']> =>
      ((await kitchen.send('GET', `/api/braises/${id}`)).body as { plan: Plan }).plan.aheadDone;
    const day = await beginKept(id, 'day');
    expect(day.guide).toMatchObject({ part: 'day', eatAt: expect.stringMatching(/^\d{4}-/) as string });
    const moves = day.guide.steps.flatMap((step) => step.moves.map(({ kind }) => kind));
    expect(moves).toContain('warm');
    expect(moves).not.toContain('brown');
    await tell(day.id, ...pressedThrough(day));
    await tell(day.id, event('finished'));
    expect(Object.keys((await over()) ?? {})).toEqual(['warm']);
    const entry = async (): Promise<LogRecord['item'] | undefined> => {
      const { body } = await kitchen.send('GET', '/api/log?text=warmed');
      return (body as LogPage).items.find((item) => item.id === day.id);
    };
    let logged = await entry();
    // It is written into the log after the answer.
    for (let i = 0; logged === undefined && i < 600; i += 1) {
      await new Promise((later) => setTimeout(later, 50));
      logged = await entry();
    }
    expect(logged).toMatchObject({ source: 'warmed', grade: null, pressure: { planned: null, actual: null } });
    // Said of its meat afterwards it is kept, and nothing is learnt of the pot or the animal from a day of warming.
    const before = (await kitchen.send('GET', '/api/learning')).body;
    await kitchen.send('PUT', `/api/log/${day.id}`, { grade: 'chewy' });
    expect((await kitchen.send('GET', '/api/learning')).body).toEqual(before);
    const finished = (await opened(day.id)).events.find(({ kind }) => kind === 'finished');
    await tell(day.id, event('undone', { event: finished?.id }));
    expect(await over()).toEqual({});
  });

  test('a plan that is eaten when it is cooked has no day of its own', async () => {
    const asked = { id: randomUUID(), startedEventId: randomUUID(), plan: PLAN, part: 'day' };
    expect(await kitchen.send('POST', '/api/cooks', asked)).toMatchObject({
      status: 400,
      body: { faults: [{ path: 'part', allowed: '"evening"' }] },
    });
    expect((await kitchen.send('GET', `/api/cooks/${asked.id}`)).status).toBe(404);
  });

  test('over the fill line is not begun before the warning has been read', async () => {
    const asked = { id: randomUUID(), startedEventId: randomUUID(), plan: OVERFULL };
    const refused = await kitchen.send('POST', '/api/cooks', asked);
    expect(refused).toMatchObject({ status: 400, body: { faults: [{ path: 'acknowledged' }] } });
    expect((await kitchen.send('GET', `/api/cooks/${asked.id}`)).status).toBe(404);
    const read = await kitchen.send('POST', '/api/cooks', { ...asked, acknowledged: ['over-fill'] });
    expect(read.status).toBe(201);
  });

  test('keeps every event once, whatever is sent again', async () => {
    const { id } = await begin();
    const one = event('stepDone', { step: 'board-meat' });
    const first = await tell(id, one);
    expect(first.body.kept).toHaveLength(1);
    const again = await tell(id, one, one);
    expect(again.body).toEqual(first.body);
    expect((await opened(id)).events).toHaveLength(2);
  });

  test('folds the same from the server’s order and from any other', async () => {
    const { id, startedAt } = await begin();
    const at = (minute: number): string => new Date(Date.parse(startedAt) + minute * 1000).toISOString();
    await tell(id, event('stepDone', { step: 'heat-on' }, at(3)), event('stepDone', { step: 'board-meat' }, at(2)));
    const { guide, events } = await opened(id);
    const now = Date.parse(at(4));
    expect(cookState(guide, events, now).now?.step.id).toBe('heat-hot');
    expect(cookState(guide, [...events].reverse(), now)).toEqual(cookState(guide, events, now));
  });

  test('refuses what has not come yet, what was before, another’s event and a second start, each with its reason', async () => {
    const { id, startedAt } = await begin();
    const other = await begin();
    const theirs = event('note', { text: 'theirs' });
    await tell(other.id, theirs);
    const hour = 3_600_000;
    const { body, status } = await tell(
      id,
      event('note', { text: 'good' }),
      event('note', { text: 'future' }, new Date(Date.now() + hour).toISOString()),
      event('note', { text: 'past' }, new Date(Date.parse(startedAt) - hour).toISOString()),
      theirs,
      event('started'),
    );
    expect(status).toBe(200);
    expect(body.kept).toHaveLength(1);
    expect(body.refused.map(({ path }) => path)).toEqual(['at', 'at', 'id', 'kind']);
    expect((await opened(id)).events).toHaveLength(2);
  });

  test('the kitchen’s clock set back by an hour in mid-cook loses no press: it follows what it follows', async () => {
    const { id, startedAt } = await begin();
    const steps = ['board-meat', 'heat-on'];
    const real = Date.now.bind(Date);
    const after = (ms: number): string => new Date(Date.parse(startedAt) + ms).toISOString();
    try {
      Date.now = () => real() - 3_600_000;
      for (const [i, step] of steps.entries()) {
        const { body } = await tell(id, event('stepDone', { step }, after(i + 1)));
        expect(body.refused).toEqual([]);
      }
    } finally {
      Date.now = real;
    }
    const { guide, events } = await opened(id);
    expect(cookState(guide, events, Date.parse(after(3))).now?.step.id).toBe('heat-hot');
  });

  test('malformed events are a 400 with their place, and nothing of the batch is written', async () => {
    const { id } = await begin();
    const bad = await kitchen.send('POST', `/api/cooks/${id}/events`, {
      events: [event('note', { text: 'good' }), event('checked'), { ...event('note', { text: 'x' }), at: 'soon' }],
    });
    expect(bad).toMatchObject({ status: 400 });
    const paths = (bad.body as { faults: { path: string }[] }).faults.map(({ path }) => path);
    expect(paths).toEqual(expect.arrayContaining(['events[1].payload.grade', 'events[2].at']));
    expect((await opened(id)).events).toHaveLength(1);
    await fc.assert(
      fc.asyncProperty(fc.jsonValue(), async (value) => {
        const { status, body } = await kitchen.send('POST', `/api/cooks/${id}/events`, { events: value });
        expect(status).toBe(400);
        expect((body as { faults: unknown[] }).faults.length).toBeGreaterThan(0);
      }),
      { numRuns: 30 },
    );
    expect((await opened(id)).events).toHaveLength(1);
  });

  test('of no cook are a 404', async () => {
    expect((await tell(randomUUID(), event('note', { text: 'lost' }))).status).toBe(404);
  });

  test('that is not to be is thrown away; not where more has happened than who does it has seen', async () => {
    const throwAway = async (id: string, query = ''): Promise<number> =>
      (await kitchen.send('DELETE', `/api/cooks/${id}${query}`)).status;
    const { id } = await begin();
    expect(await throwAway(id)).toBe(200);
    expect((await kitchen.send('GET', `/api/cooks/${id}`)).status).toBe(404);
    const begun = await begin();
    await tell(begun.id, event('stepDone', { step: 'board-meat' }));
    // Its page has seen the start alone.
    expect(await throwAway(begun.id)).toBe(409);
    expect(await throwAway(begun.id, '?events=0')).toBe(400);
    expect((await opened(begun.id)).events).toHaveLength(2);
    expect(await throwAway(begun.id, '?events=2')).toBe(200);
    expect((await kitchen.send('GET', `/api/cooks/${begun.id}`)).status).toBe(404);
  });

  test('that was served is not thrown away: it is there to be closed', async () => {
    const cook = await begin();
    await tell(cook.id, ...pressedThrough(cook));
    expect((await kitchen.send('DELETE', `/api/cooks/${cook.id}?events=1000`)).status).toBe(409);
  });

  test('markup in a note stays text', async () => {
    const { id } = await begin();
    await tell(id, event('note', { text: '<b onclick=alert(1)>=SUM(A1)</b>' }));
    expect((await opened(id)).events.at(-1)?.payload.text).toBe('<b onclick=alert(1)>=SUM(A1)</b>');
  });
});

/** Reads a stream until so many messages of a type have come. */
async function listen(
  type: string,
  count: number,
  headers: Record<string, string>,
  act: () => Promise<unknown>,
): Promise<{ id: string; data: unknown }[]> {
  const stop = new AbortController();
  const response = await fetch(`${kitchen.address}/api/cooks/stream`, { headers, signal: stop.signal });
  expect(response.headers.get('content-type')).toContain('text/event-stream');
  const events: { id: string; data: unknown }[] = [];
  let text = '';
  let acted = false;
  const decoder = new TextDecoder();
  for await (const chunk of response.body as unknown as AsyncIterable<Uint8Array>) {
    text += decoder.decode(chunk, { stream: true });
    const blocks = text.split('\n\n');
    text = blocks.pop() ?? '';
    for (const block of blocks) {
      const field = (name: string): string => new RegExp(`^${name}: (.*)$`, 'm').exec(block)?.[1] ?? '';
      if (field('event') === type) events.push({ id: field('id'), data: JSON.parse(field('data')) });
    }
    if (!acted) {
      acted = true;
      await act();
    }
    if (events.length >= count) break;
  }
  stop.abort();
  return events;
}

describe('the stream of running cooks', () => {
  test('tells what happens as it happens, and resumes where it was cut off', async () => {
    const { id } = await begin();
    const first = event('stepDone', { step: 'board-meat' });
    const [seen] = await listen('event', 1, {}, () => tell(id, first));
    expect(seen?.data).toMatchObject({ cook: id, event: { kind: 'stepDone' } });
    await tell(id, event('note', { text: 'missed' }), event('note', { text: 'missed too' }));
    const missed = await listen('event', 2, { 'last-event-id': seen?.id ?? '' }, () => Promise.resolve());
    expect(missed.map(({ data }) => (data as { event: { payload: { text: string } } }).event.payload.text)).toEqual([
      'missed',
      'missed too',
    ]);
  });

  test('nobody walks a cook into the future, a step at a time', async () => {
    const { id, startedAt } = await begin();
    let refused = 0;
    for (let step = 1; step <= 20; step += 1) {
      const at = new Date(Date.parse(startedAt) + step * 100_000).toISOString();
      refused += (await tell(id, event('note', { text: 'on' }, at))).body.refused.length;
    }
    expect(refused).toBeGreaterThan(16);
    const { events } = await opened(id);
    expect(Date.parse(events.at(-1)?.at ?? '') - Date.now()).toBeLessThan(600_000);
  });

  test('every message says the last event there is by then: a stream that breaks off anywhere resumes there', async () => {
    const { id } = await begin();
    const note = (): object => event('note', { text: 'x' });
    await tell(id, note(), note());
    const seqs = (await opened(id)).events.map(({ seq }) => seq);
    const newest = Math.max(...seqs);
    // A page that comes anew is greeted with the newest, and what is no event carries it on.
    const [hello] = await listen('hello', 1, {}, () => Promise.resolve());
    expect(Number(hello?.id)).toBe(newest);
    const [changed] = await listen('cooks', 1, {}, () => begin());
    expect(Number(changed?.id)).toBeGreaterThanOrEqual(newest);
    // One that had the first only gets the rest, once each and in order, whatever happens meanwhile.
    const missed = await listen('event', seqs.length + 1, { 'last-event-id': String(seqs[0]) }, () => tell(id, note()));
    const after = (await opened(id)).events.map(({ seq }) => seq);
    expect(missed.map((one) => Number(one.id)).filter((seq) => after.includes(seq))).toEqual(after.slice(1));
  });

  test('greets with the clock to go by', async () => {
    const [hello] = await listen('hello', 1, {}, () => Promise.resolve());
    const { now, speed } = (hello?.data ?? {}) as { now?: string; speed?: number };
    expect(speed).toBe(1);
    expect(Math.abs(Date.parse(now ?? '') - Date.now())).toBeLessThan(600_000);
  });
});
