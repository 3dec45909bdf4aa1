import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ActAnswer, CookRecord, RehearsalNow, RehearsalRecord, RehearsalSummary } from '@hervir/contract';
import { parsePlan } from '@hervir/contract';
import { cookState, forecast, guideOf, leastGrade, SimulatedCook, type Frame, type Plan } from '@hervir/core';
import * as fc from 'fast-check';
import { openKitchen, OXTAIL, type TestKitchen } from '../testing/kitchen';
import { needsHands } from './pace';
import { SimulatedCooker } from './simulated-cooker';

/** What does not come at all ends a test, ms. */
const PATIENCE = 600_000;

const QUICK_LAMB = {
  format: 'hervir/braise',
  version: 1,
  name: 'Lamb shoulder with lemon',
  target: 'fork',
  meat: { cut: 'lamb-shoulder', form: 'bite-size', grams: 900 },
  release: { method: 'quick', naturalMinutes: 0 },
};

function planOf(document: unknown): Plan {
  const read = parsePlan(document);
  if (!read.ok) throw new Error(JSON.stringify(read.faults));
  return read.value;
}

describe('the link to a cooker', () => {
  const linked = (plan: Plan): SimulatedCooker => {
    const f = forecast(plan);
    const run = new SimulatedCook(f, guideOf(f), {
      seed: 3,
      scatter: false,
      startMs: Date.parse('2027-01-17T16:00:00Z'),
      faults: [],
      handsTakeTime: false,
    });
    run.begin();
    return new SimulatedCooker(run, { speed: 300, slowForHands: true, paused: false });
  };

  /** Cooks over the link alone: commands go in, telemetry and events come out, at 300 times in ticks of a fifth of a second. */
  const cooked = (plan: Plan): { frames: Frame[]; cooker: SimulatedCooker } => {
    const cooker = linked(plan);
    const { run } = cooker;
    const frames: Frame[] = [];
    cooker.telemetry(null).subscribe((list) => frames.push(...list));
    for (let tick = 0; tick < 20_000 && run.state.status === 'cooking'; tick += 1) {
      cooker.tick(0.2);
      while (needsHands(run) && run.now) {
        const { step } = run.now;
        // What the forecast gives minutes to takes them; the rest is done at once.
        const begun = run.now.startedAt ?? 0;
        if (/^(deglaze|second-load|open|finish)/.test(step.id) && run.nowMs < begun + run.now.minutes * 60_000) {
          run.advanceTo(run.seconds + run.stepS);
          continue;
        }
        if (step.id === 'lock') cooker.send({ do: 'lid', to: 'on' });
        else if (step.id === 'valve') {
          cooker.send({ do: 'valve', to: 'closed' });
          cooker.send({ do: 'pressure', minutes: run.f.pressureMinutes });
          run.does('valveClosed', { step: 'valve' });
        } else
          run.does(
            step.done,
            step.done === 'checked' ? { step: step.id, grade: leastGrade(run.f.plan.target) } : { step: step.id },
          );
      }
    }
    cooker.tell();
    return { frames, cooker };
  };

  test.each([
    ['lamb shoulder, quick', QUICK_LAMB],
    ['oxtail, pulled', OXTAIL],
  ])(
    'a cook over it agrees with the forecast within 1 %%: %s (no source: two ways through one model)',
    (_name, document) => {
      const plan = planOf(document);
      const f = forecast(plan);
      const { frames, cooker } = cooked(plan);
      const at = (signal: string): number =>
        frames.find(({ signals }) => signals.includes(signal as never))?.atS ?? NaN;
      const minutes = (from: string, to: string): number => (at(to) - at(from)) / 60;
      const within = (found: number, wanted: number): void =>
        expect(Math.abs(found - wanted)).toBeLessThanOrEqual(wanted * 0.01 + 4 / 60);
      within(minutes('valveClosed', 'pinUp'), f.pot.minutesToPin);
      within(minutes('valveClosed', 'counting'), f.pot.minutesToPressure);
      within(minutes('counting', 'ended'), f.pressureMinutes);
      within(minutes('ended', 'pinDown'), f.pot.releaseMinutes);
      const down = frames.find(({ signals }) => signals.includes('pinDown'));
      within(down?.coreC ?? NaN, f.tenderness.coreC);
      expect(cooker.run.state.status).toBe('served');
      // The whole path: what the cooker told is in the fold that server and web share.
      const state = cookState(cooker.run.guide, cooker.run.events, cooker.run.nowMs);
      expect(state.ignored).toEqual([]);
      expect(state.took.find(({ section }) => section === 'pressure')?.actual).toBeCloseTo(f.pressureMinutes, 0);
    },
  );

  test('at 300 times nothing is lost or out of order, and a dropped connection resumes where it was', () => {
    const cooker = linked(planOf(QUICK_LAMB));
    const seen: number[] = [];
    let heard = cooker.telemetry(null).subscribe((list) => seen.push(...list.map(({ seq }) => seq)));
    cooker.run.command({ do: 'saute', level: 'high' });
    for (let tick = 0; tick < 400; tick += 1) {
      // The connection goes every few ticks; what comes meanwhile is made up for.
      if (tick % 7 === 0) heard.unsubscribe();
      cooker.pace = { speed: 300, slowForHands: false, paused: false };
      cooker.tick(0.2);
      if (tick % 7 === 3)
        heard = cooker.telemetry(seen.at(-1) ?? null).subscribe((list) => seen.push(...list.map(({ seq }) => seq)));
    }
    heard.unsubscribe();
    cooker.telemetry(seen.at(-1) ?? null).subscribe((list) => seen.push(...list.map(({ seq }) => seq)));
    expect(seen).toEqual(cooker.run.frames.map((_, i) => i));
    expect(seen.length).toBeGreaterThan(4000);
  });
});

describe('a rehearsal on the server', () => {
  let kitchen: TestKitchen;
  beforeAll(async () => {
    kitchen = await openKitchen();
  });
  afterAll(() => kitchen.close());

  const begin = async (more: object): Promise<RehearsalRecord> => {
    const { status, body } = await kitchen.send('POST', '/api/rehearsals', { id: randomUUID(), seed: 5, ...more });
    expect({ status, body }).toMatchObject({ status: 201 });
    return body as RehearsalRecord;
  };
  const act = async (id: string, what: object): Promise<ActAnswer> => {
    const { status, body } = await kitchen.send('POST', `/api/rehearsals/${id}/acts`, what);
    expect(status).toBe(200);
    return body as ActAnswer;
  };
  const press = (id: string, kind: string, step: string, hands = true): Promise<ActAnswer> =>
    act(id, {
      act: 'press',
      hands,
      event: { id: randomUUID(), kind, at: new Date().toISOString(), payload: { step } },
    });
  /** Reads its stream until something is so. */
  const streamed = async (
    id: string,
    enough: (frames: Frame[], now: RehearsalNow | null) => boolean,
    after?: number,
  ): Promise<{ frames: Frame[]; now: RehearsalNow | null }> => {
    const quit = new AbortController();
    const response = await fetch(`${kitchen.address}/api/rehearsals/${id}/stream`, {
      signal: quit.signal,
      ...(after === undefined ? {} : { headers: { 'last-event-id': String(after) } }),
    });
    const reader = (response.body as ReadableStream<Uint8Array>).getReader();
    const decoder = new TextDecoder();
    const frames: Frame[] = [];
    let now: RehearsalNow | null = null;
    let rest = '';
    while (!enough(frames, now)) {
      const { value, done } = await reader.read();
      if (done) break;
      rest += decoder.decode(value, { stream: true });
      const messages = rest.split('\n\n');
      rest = messages.pop() ?? '';
      for (const message of messages) {
        const type = /^event: (.*)$/m.exec(message)?.[1];
        const data = /^data: (.*)$/m.exec(message)?.[1];
        if (data === undefined) continue;
        if (type === 'frames') frames.push(...(JSON.parse(data) as { frames: Frame[] }).frames);
        if (type === 'now') now = JSON.parse(data) as RehearsalNow;
      }
    }
    quit.abort();
    return { frames, now };
  };

  test('begins at the pot, the board done as planned; sent twice it is begun once', async () => {
    const asked = { id: randomUUID(), seed: 5, plan: OXTAIL };
    const first = await kitchen.send('POST', '/api/rehearsals', asked);
    const second = await kitchen.send('POST', '/api/rehearsals', asked);
    expect((second.body as RehearsalRecord).events).toEqual((first.body as RehearsalRecord).events);
    const { events, exercise, mark } = first.body as RehearsalRecord;
    expect(events[0]?.kind).toBe('started');
    expect(exercise).toBeNull();
    expect(mark).toBe('under-way');
  });

  test('a burnt pot: unscraped it trips and fails; scraped it passes; both are kept apart from real cooks', async () => {
    const run = async (scrape: boolean): Promise<RehearsalNow | null> => {
      const { id } = await begin({ exercise: 'unscraped' });
      await kitchen.send('PUT', `/api/rehearsals/${id}/pace`, { speed: 300 });
      if (scrape) expect((await act(id, { act: 'hand', hand: { do: 'scrape' } })).refused).toBeNull();
      await press(id, 'stepDone', 'load');
      await press(id, 'lidLocked', 'lock');
      await press(id, 'valveClosed', 'valve');
      // The pin tells itself, and the count; the rehearsal stops when it is decided.
      return (await streamed(id, (_frames, now) => now?.finished === true)).now;
    };
    const burnt = await run(false);
    expect(burnt?.mark).toBe('failed');
    expect(burnt?.events.map(({ kind }) => kind)).toContain('burn');
    expect(burnt?.debrief?.differently[0]).toContain('Scrape');
    const saved = await run(true);
    expect(saved?.mark).toBe('passed');
    const listed = (await kitchen.send('GET', '/api/rehearsals')).body as RehearsalSummary[];
    expect(listed.filter(({ exercise }) => exercise === 'unscraped').map(({ mark }) => mark)).toEqual([
      'passed',
      'failed',
    ]);
    expect((await kitchen.send('GET', '/api/cooks/running')).body).toEqual([]);
  });

  test('what the cooker will not do is refused with its reason, and changes nothing', async () => {
    const { id, events } = await begin({ plan: OXTAIL });
    expect((await act(id, { act: 'command', command: { do: 'pressure', minutes: 30 } })).refused).toMatch(/not locked/);
    expect((await press(id, 'lidOpened', 'open')).refused).toBeTruthy();
    expect((await act(id, { act: 'hand', hand: { do: 'scrape' } })).refused).toMatch(/pour some/);
    const { body } = await kitchen.send('GET', `/api/rehearsals/${id}`);
    expect((body as RehearsalRecord).events).toEqual(events);
  });

  test('stands still while nobody watches, and its frames come once and in order when somebody does', async () => {
    const { id } = await begin({ plan: OXTAIL });
    await kitchen.send('PUT', `/api/rehearsals/${id}/pace`, { speed: 300, slowForHands: false });
    const first = await streamed(id, (frames) => frames.length > 60);
    const second = await streamed(id, (frames) => frames.length > 60, first.frames.at(-1)?.seq);
    const seqs = [...first.frames, ...second.frames].map(({ seq }) => seq);
    expect(seqs).toEqual(seqs.map((_, i) => i));
  });

  test('is rebuilt from its acts after a restart, to the same second and the same frames', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'hervir-'));
    const first = await openKitchen({ dataFolder: folder });
    const id = randomUUID();
    await first.send('POST', '/api/rehearsals', { id, exercise: 'unscraped', seed: 5 });
    await first.send('POST', `/api/rehearsals/${id}/acts`, { act: 'hand', hand: { do: 'pour', ml: 100 } });
    await first.send('POST', `/api/rehearsals/${id}/acts`, { act: 'hand', hand: { do: 'scrape' } });
    const before = (await first.send('GET', `/api/rehearsals/${id}`)).body as RehearsalRecord;
    await first.close();
    const second = await openKitchen({ dataFolder: folder });
    const after = (await second.send('GET', `/api/rehearsals/${id}`)).body as RehearsalRecord;
    expect(after.seconds).toBe(before.seconds);
    expect(after.events).toEqual(before.events);
    expect(after.plants).toEqual(before.plants);
    expect(after.pace.paused).toBe(true);
    await second.close();
    rmSync(folder, { recursive: true });
  });

  test('probe and scale read, or say why not', async () => {
    const { id } = await begin({ exercise: 'two-stages' });
    const read = async (instrument: string): Promise<unknown> =>
      (await kitchen.send('GET', `/api/rehearsals/${id}/instruments/${instrument}`)).body;
    expect(await read('probe-meat')).toEqual({ refused: 'The lid is on.' });
    await press(id, 'lidOpened', 'open');
    const { celsius = 0 } = (await read('probe-meat')) as { celsius?: number };
    const { grams = 0 } = (await read('scale')) as { grams?: number };
    expect([celsius > 80 && celsius < 105, grams > 500 && grams < 1800]).toEqual([true, true]);
    expect((await kitchen.send('GET', `/api/rehearsals/${id}/instruments/nose`)).status).toBe(404);
  });

  test('can be thrown away', async () => {
    const { id } = await begin({ plan: OXTAIL });
    expect((await kitchen.send('DELETE', `/api/rehearsals/${id}`)).status).toBe(200);
    expect((await kitchen.send('GET', `/api/rehearsals/${id}`)).status).toBe(404);
  });

  test('acts that are malformed are a 400 with their place, whatever they are', async () => {
    const { id } = await begin({ plan: OXTAIL });
    await fc.assert(
      fc.asyncProperty(fc.jsonValue(), async (value) => {
        for (const path of ['acts', 'pace'] as const) {
          const method = path === 'acts' ? 'POST' : 'PUT';
          const { status } = await kitchen.send(method, `/api/rehearsals/${id}/${path}`, JSON.stringify(value));
          expect([200, 400]).toContain(status);
        }
        expect((await kitchen.send('POST', '/api/rehearsals', JSON.stringify(value))).status).toBe(400);
      }),
      { numRuns: 40, seed: Number(process.env['HERVIR_SEED'] ?? 1) },
    );
    const { body } = await kitchen.send('PUT', `/api/rehearsals/${id}/pace`, { speed: 301 });
    expect(body).toEqual({ faults: [{ path: 'speed', problem: '301 is too large', allowed: '1 to 300 times' }] });
  });
});

test('a real cook linked to the simulated cooker: pin and end come by themselves, marked as the cooker’s, also after a restart', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'hervir-'));
  const file = join(folder, 'clock.json');
  const set = (now: number): void =>
    writeFileSync(
      file,
      JSON.stringify({ now: new Date(now).toISOString(), setAt: new Date().toISOString(), speed: 1 }),
    );
  let now = Date.parse('2027-01-17T16:00:00Z');
  set(now);
  process.env['HERVIR_TEST_CLOCK'] = file;
  let kitchen = await openKitchen({ dataFolder: folder });
  try {
    const id = randomUUID();
    await kitchen.send('POST', '/api/cooks', { id, startedEventId: randomUUID(), plan: QUICK_LAMB });
    const opened = async (): Promise<CookRecord> => (await kitchen.send('GET', `/api/cooks/${id}`)).body as CookRecord;
    const later = (minutes: number): void => {
      now += minutes * 60_000;
      set(now);
    };
    const pressNow = async (until: (stepId: string) => boolean): Promise<void> => {
      for (;;) {
        const { guide, events } = await opened();
        const state = cookState(guide, events, now);
        if (!state.now || until(state.now.step.id)) return;
        later(state.now.minutes);
        const { step } = state.now;
        const event = {
          id: randomUUID(),
          kind: step.done,
          at: new Date(now).toISOString(),
          payload: { step: step.id },
        };
        await kitchen.send('POST', `/api/cooks/${id}/events`, { events: [event] });
      }
    };
    const comes = async (kind: string): Promise<void> => {
      // On a busy machine it comes late, and that is nobody's fault.
      for (const end = Date.now() + PATIENCE; Date.now() < end;) {
        const { events } = await opened();
        if (events.some((event) => event.kind === kind && event.payload.byCooker === true)) return;
        await new Promise((resolve) => setTimeout(resolve, 100));
      }
      throw new Error(`${kind} never came`);
    };
    await pressNow((step) => step === 'load');
    expect((await kitchen.send('PUT', `/api/cooks/${id}/link`)).body).toEqual({ cooker: 'simulated' });
    await pressNow((step) => step === 'pin');
    later(25);
    await comes('pinUp');
    await comes('timerStarted');
    await kitchen.close();
    kitchen = await openKitchen({ dataFolder: folder });
    expect((await kitchen.send('GET', `/api/cooks/${id}/link`)).body).toEqual({ cooker: 'simulated' });
    const told = async (): Promise<boolean> => (await opened()).events.some(({ kind }) => kind === 'heaterOff');
    while (!(await told())) {
      later(2);
      await new Promise((resolve) => setTimeout(resolve, 700));
    }
    const { refused } = (await kitchen.send('POST', `/api/cooks/${id}/link/commands`, { do: 'lid', to: 'off' }))
      .body as { refused: string };
    expect(refused).toMatch(/pin is up/);
    expect((await kitchen.send('DELETE', `/api/cooks/${id}/link`)).body).toEqual({ cooker: null });
    expect((await kitchen.send('POST', `/api/cooks/${id}/link/commands`, { do: 'cancel' })).status).toBe(404);
  } finally {
    await kitchen.close();
    delete process.env['HERVIR_TEST_CLOCK'];
    rmSync(folder, { recursive: true });
  }
});
