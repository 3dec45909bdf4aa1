/** @jest-environment jsdom */
import type { BraiseRecord } from '@hervir/contract';
import { newPlan, type Plan } from '@hervir/core';
import { answer } from '../../testing/answer';
import { dragHandle, editPlan, openBench, redo, takeTheirs, undo, useBench } from './bench-store';
import { closeBench, flush, keepBench, keepMine } from './keep-bench';

const record = (
  revision: number,
  plan: Plan = newPlan({ cut: 'goat-neck', form: 'slices', grams: 1600 }),
): BraiseRecord => ({
  id: 'one',
  plan,
  revision,
  createdAt: '2027-01-17T12:00:00Z',
  updatedAt: '2027-01-17T12:00:00Z',
  deletedAt: null,
});

type Answer = { status: number; body: unknown } | 'away';
let sent: { revision: number; plan: Plan }[];

/** The server, as far as the store sees it: answers in order, the last one again and again. */
function server(...answers: readonly ((sent: { revision: number; plan: Plan }) => Answer)[]): void {
  sent = [];
  globalThis.fetch = ((_url: string, init: { body: string }) => {
    const asked = JSON.parse(init.body) as { revision: number; plan: Plan };
    sent.push(asked);
    const said = (answers[Math.min(sent.length, answers.length) - 1] as (typeof answers)[number])(asked);
    if (said === 'away') return Promise.reject(new TypeError('no connection'));
    return Promise.resolve(answer(said.body, said.status));
  }) as unknown as typeof fetch;
}

const saves = (asked: { revision: number; plan: Plan }): Answer => ({
  status: 200,
  body: record(asked.revision + 1, asked.plan),
});
const rename = (name: string): void => editPlan((plan) => ({ ...plan, name }));
const kept = (): { plan: Plan; revision: number } | null =>
  JSON.parse(localStorage.getItem('hervir.draft.one') ?? 'null') as { plan: Plan; revision: number } | null;

let end: () => void;
beforeEach(() => {
  jest.useFakeTimers();
  localStorage.clear();
  closeBench();
  server(saves);
  end = keepBench();
  openBench(record(1));
});
afterEach(() => {
  end();
  jest.useRealTimers();
});

describe('the bench', () => {
  test('saves an edit by itself, with the revision it came from', async () => {
    rename('Neck');
    expect(useBench.getState().save.kind).toBe('unsaved');
    await jest.advanceTimersByTimeAsync(1000);
    expect(sent).toMatchObject([{ revision: 1, plan: { name: 'Neck' } }]);
    expect(useBench.getState()).toMatchObject({ revision: 2, save: { kind: 'saved' } });
    expect(kept()).toBeNull();
  });

  test('sends quick edits as one, the newest', async () => {
    rename('N');
    rename('Ne');
    rename('Neck');
    await jest.advanceTimersByTimeAsync(1000);
    expect(sent.map(({ plan }) => plan.name)).toEqual(['Neck']);
  });

  test('undoes and redoes, and saves that too', async () => {
    rename('Neck');
    undo();
    expect(useBench.getState().plan?.name).toBe('');
    redo();
    expect(useBench.getState().plan?.name).toBe('Neck');
    await flush();
    expect(sent.at(-1)?.plan.name).toBe('Neck');
  });

  test('keeps an edit on the device while the server is away, and sends it when it is back', async () => {
    server(() => 'away', saves);
    rename('Neck');
    await jest.advanceTimersByTimeAsync(500);
    expect(useBench.getState().save.kind).toBe('away');
    expect(kept()).toMatchObject({ revision: 1, plan: { name: 'Neck' } });
    await jest.advanceTimersByTimeAsync(3000);
    expect(useBench.getState().save.kind).toBe('saved');
    expect(kept()).toBeNull();
  });

  test('a kept edit of the same revision is taken up when the plan is opened again', () => {
    closeBench();
    localStorage.setItem(
      'hervir.draft.one',
      JSON.stringify({ plan: { ...record(1).plan, name: 'Unsent' }, revision: 1 }),
    );
    openBench(record(1));
    expect(useBench.getState()).toMatchObject({ plan: { name: 'Unsent' }, save: { kind: 'unsaved' } });
  });

  test('a plan saved elsewhere in between asks the cook: mine is sent over theirs, theirs replaces mine', async () => {
    const theirs = record(5, { ...record(1).plan, name: 'Theirs' });
    server(() => ({ status: 409, body: { faults: [], current: theirs } }), saves);
    rename('Mine');
    await jest.advanceTimersByTimeAsync(500);
    expect(useBench.getState().save.kind).toBe('conflict');
    void keepMine();
    await jest.advanceTimersByTimeAsync(500);
    expect(sent.at(-1)).toMatchObject({ revision: 5, plan: { name: 'Mine' } });

    server(() => ({ status: 409, body: { faults: [], current: theirs } }));
    rename('Mine again');
    await jest.advanceTimersByTimeAsync(500);
    takeTheirs();
    expect(useBench.getState()).toMatchObject({ plan: { name: 'Theirs' }, revision: 5, save: { kind: 'saved' } });
    expect(kept()).toBeNull();
  });

  test('put away elsewhere, what was changed here is kept until it is brought back with it', async () => {
    const theirs = { ...record(3), deletedAt: '2026-11-05T19:00:00Z' };
    const asked: string[] = [];
    globalThis.fetch = ((url: string, { body }: { body?: string }) => {
      asked.push(url);
      if (url.endsWith('/restore')) return Promise.resolve(answer({ ...theirs, deletedAt: null }, 200));
      if (asked.length === 1) return Promise.resolve(answer({ faults: [], current: theirs }, 409));
      return Promise.resolve(answer(record(4, (JSON.parse(body ?? '') as { plan: Plan }).plan), 200));
    }) as unknown as typeof fetch;
    rename('Mine');
    await jest.advanceTimersByTimeAsync(500);
    expect(useBench.getState().save).toMatchObject({ kind: 'conflict', theirs: { deletedAt: theirs.deletedAt } });
    expect(kept()).toMatchObject({ plan: { name: 'Mine' } });
    void keepMine();
    await jest.advanceTimersByTimeAsync(500);
    expect(asked.map((url) => url.replace(/^.*braises/, ''))).toEqual(['/one', '/one/restore', '/one']);
    expect(useBench.getState()).toMatchObject({ plan: { name: 'Mine' }, revision: 4, save: { kind: 'saved' } });
  });

  test('a refused field is told and the edit kept', async () => {
    server(() => ({
      status: 400,
      body: { faults: [{ path: 'plan.meat.thicknessCm', problem: 'too thick', allowed: '0.5 to 6 cm' }] },
    }));
    rename('Neck');
    await jest.advanceTimersByTimeAsync(500);
    expect(useBench.getState().save).toMatchObject({ kind: 'refused', faults: [{ path: 'plan.meat.thicknessCm' }] });
    expect(kept()).toMatchObject({ plan: { name: 'Neck' } });
  });

  test('what is mended while the refused plan is still on its way is sent, not forgotten', async () => {
    const answers: ((answer: unknown) => void)[] = [];
    sent = [];
    globalThis.fetch = ((_url: string, init: { body: string }) => {
      sent.push(JSON.parse(init.body) as { revision: number; plan: Plan });
      return new Promise((resolve) => answers.push(resolve));
    }) as unknown as typeof fetch;
    const says = (status: number, body: unknown): void => answers.shift()?.(answer(body, status));
    rename('Wrong');
    await jest.advanceTimersByTimeAsync(500);
    rename('Mended');
    says(400, { faults: [{ path: 'plan.name', problem: 'wrong', allowed: 'another' }] });
    await jest.advanceTimersByTimeAsync(1000);
    expect(sent.map(({ plan }) => plan.name)).toEqual(['Wrong', 'Mended']);
    says(200, record(2, sent[1]?.plan));
    await jest.advanceTimersByTimeAsync(0);
    expect(useBench.getState().save.kind).toBe('saved');
  });

  test('a dragged handle is shown and not saved', async () => {
    dragHandle(50);
    await jest.advanceTimersByTimeAsync(1000);
    expect(sent).toEqual([]);
    expect(useBench.getState().plan?.pressureMinutes).toBeNull();
  });
});
