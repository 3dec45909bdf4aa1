import type {
  BraiseRecord,
  BraiseSummary,
  CookRecord,
  LearntView,
  LogItem,
  LogPage,
  RehearsalSummary,
  Settings,
  StoredCooker,
  StoredKept,
} from '@hervir/contract';
import { COOKER_SETS, forecast, guideOf, newPlan, type CookEvent, type GuidePart, type Plan } from '@hervir/core';
import { configure, render, screen, within } from '@testing-library/react';
import userEvent, { PointerEventsCheckLevel, type UserEvent } from '@testing-library/user-event';
import { App } from '../app/app';
import { queryClient } from '../api/queries';
import { closeBench } from '../state/bench/keep-bench';
import { useCooks } from '../state/cooks-store';
import { usePreferences } from '../state/preferences';
import { useToasts } from '../shared/toast';
import { useServer } from '../api/server-store';
import { answer } from './answer';

/** Rooms reckon before they show, and the machine may be busy: nothing here is timed. */
// What never comes ends a test; how long it takes is no matter.
configure({ asyncUtilTimeout: Number(process.env.HERVIR_PATIENCE ?? 600_000) });

/** What was asked of the server, in order. */
export interface Asked {
  readonly method: string;
  readonly path: string;
  readonly body: unknown;
}

/** A kitchen that stands in for the server: what it holds, what it was asked, and how it answers. */
export interface PretendKitchen {
  plans: BraiseRecord[];
  cookers: StoredCooker[];
  settings: Settings;
  log: LogItem[];
  learnt: LearntView[];
  running: CookRecord[];
  kept: StoredKept[];
  rehearsals: RehearsalSummary[];
  /** Whether there is a server at all. */
  away: boolean;
  readonly asked: Asked[];
  /** Answers of a test's own, by method and path; looked at first. */
  readonly answers: Record<string, (body: unknown) => Response | Promise<Response>>;
}

export const NOW = '2027-01-17T15:40:00.000Z';

/** A plan of the refuge. */
export function aPlan(part: Partial<Plan> = {}): Plan {
  return {
    ...newPlan({
      cut: 'goat-neck',
      form: 'slices',
      grams: 1600,
      kitchen: { altitudeM: 1480, roomC: 19 },
      serveAt: '2027-01-17T19:00:00+01:00',
    }),
    name: 'Goat neck with quince',
    ...part,
  };
}

/** A plan as the server keeps it. */
export function kept(plan: Plan, id = '0e4177b8-253c-4e42-895e-09934a6c47c2'): BraiseRecord {
  return { id, plan, revision: 1, createdAt: NOW, updatedAt: NOW, deletedAt: null };
}

const summaryOf = ({ id, plan, revision, updatedAt }: BraiseRecord): BraiseSummary => ({
  id,
  name: plan.name,
  cut: plan.meat.cut,
  form: plan.meat.form,
  grams: plan.meat.grams,
  cookerName: plan.cooker.name,
  serveAt: plan.serveAt ?? null,
  revision,
  updatedAt,
});

/** A cook of a plan that has just begun. */
export function aCook(
  plan: Plan = aPlan(),
  id = '5e4177b8-253c-4e42-895e-09934a6c47c2',
  part: GuidePart = 'evening',
): CookRecord {
  return {
    id,
    braiseId: null,
    name: plan.name,
    plan: { ...plan, learnt: {} },
    guide: guideOf(forecast(plan), part),
    units: 'metric',
    startedAt: NOW,
    finishedAt: null,
    events: [{ seq: 1, id: '6e4177b8-253c-4e42-895e-09934a6c47c2', kind: 'started', at: NOW, payload: {} }],
  };
}

/** A kitchen with one plan, one cooker and nothing in the log, unless a test says otherwise. */
export function aKitchen(part: Partial<PretendKitchen> = {}): PretendKitchen {
  const [, middling] = COOKER_SETS;
  if (!middling) throw new Error('there are starting sets');
  return {
    plans: [kept(aPlan())],
    cookers: [{ id: 'c1', cooker: { ...middling.cooker, name: 'The blue one' }, createdAt: NOW }],
    settings: { units: 'metric', kitchen: { altitudeM: 1480, roomC: 19 }, confidence: 0.8, letterKeys: true },
    log: [],
    learnt: [],
    running: [],
    rehearsals: [],
    kept: [],
    away: false,
    asked: [],
    answers: {},
    ...part,
  };
}

const NOTHING_HERE = { faults: [{ path: 'id', problem: 'no such thing', allowed: 'an id' }] };

/** How the server would answer; what it keeps changes as there. */
function served(kitchen: PretendKitchen, method: string, path: string, body: unknown): Response | Promise<Response> {
  const [room = '', id] = path.split('?')[0]?.split('/').slice(2) ?? [];
  const own = kitchen.answers[`${method} ${path}`];
  if (own) return own(body);
  switch (`${method} ${room}`) {
    case 'GET health':
      return answer({ status: 'ok', demo: true });
    case 'GET backup':
      return answer(path.endsWith('/where') ? { folder: '/srv/hervir' } : []);
    case 'GET clock':
      return answer({ now: new Date(Date.parse(NOW) + performance.now()).toISOString(), speed: 1 });
    case 'GET settings':
      return answer(kitchen.settings);
    case 'PUT settings':
      kitchen.settings = body as Settings;
      return answer(kitchen.settings);
    case 'GET cookers':
      return answer(kitchen.cookers);
    case 'POST cookers':
      kitchen.cookers = [
        ...kitchen.cookers,
        { id: `c${kitchen.cookers.length + 1}`, cooker: body, createdAt: NOW } as StoredCooker,
      ];
      return answer(kitchen.cookers.at(-1), 201);
    case 'PUT cookers':
      kitchen.cookers = kitchen.cookers.map((one) =>
        one.id === id ? ({ ...one, cooker: body } as StoredCooker) : one,
      );
      return answer(kitchen.cookers.find((one) => one.id === id));
    case 'DELETE cookers':
      kitchen.cookers = kitchen.cookers.filter((one) => one.id !== id);
      return answer({});
    case 'GET kept':
      return answer(kitchen.kept.filter((one) => one.kept.gone === null));
    case 'POST kept':
      kitchen.kept = [...kitchen.kept, body as StoredKept];
      return answer(body, 201);
    case 'PUT kept':
      kitchen.kept = kitchen.kept.map((one) => (one.id === id ? ({ id, kept: body } as StoredKept) : one));
      return answer(kitchen.kept.find((one) => one.id === id));
    case 'GET braises': {
      if (id === undefined) return answer(kitchen.plans.map(summaryOf));
      const plan = kitchen.plans.find((one) => one.id === id);
      return plan ? answer(plan) : answer(NOTHING_HERE, 404);
    }
    case 'POST braises': {
      const sent = body as { id: string; plan: Plan };
      const record = kept(sent.plan, sent.id);
      kitchen.plans = [record, ...kitchen.plans];
      return answer(record, 201);
    }
    case 'PUT braises': {
      const sent = body as { revision: number; plan: Plan };
      kitchen.plans = kitchen.plans.map((one) =>
        one.id === id ? { ...one, plan: sent.plan, revision: sent.revision + 1 } : one,
      );
      return answer(kitchen.plans.find((one) => one.id === id));
    }
    case 'GET log':
      if (id !== undefined) {
        const item = kitchen.log.find((one) => one.id === id);
        return item ? answer({ item, plan: aPlan(), cook: null }) : answer(NOTHING_HERE, 404);
      }
      return answer({ items: kitchen.log, total: kitchen.log.length } satisfies LogPage);
    case 'GET learning':
      return answer(kitchen.learnt);
    case 'GET rehearsals':
      return answer(kitchen.rehearsals);
    case 'GET cooks':
      return id === 'running'
        ? answer(kitchen.running)
        : answer(
            kitchen.running.find((one) => one.id === id) ?? NOTHING_HERE,
            kitchen.running.some((one) => one.id === id) ? 200 : 404,
          );
    case 'POST cooks': {
      const { events } = body as { events: CookEvent[] };
      kitchen.running = kitchen.running.map((cook) =>
        cook.id === id
          ? {
              ...cook,
              events: [...cook.events, ...events.map((event, i) => ({ ...event, seq: cook.events.length + i + 1 }))],
            }
          : cook,
      );
      const cook = kitchen.running.find((one) => one.id === id);
      return answer({
        kept: cook?.events.filter((kept) => events.some((event) => event.id === kept.id)) ?? [],
        refused: [],
      });
    }
    case 'PUT log': {
      kitchen.log = kitchen.log.map((item) => (item.id === id ? { ...item, ...(body as Partial<LogItem>) } : item));
      return answer(kitchen.log.find((item) => item.id === id));
    }
    default:
      return answer(NOTHING_HERE, 404);
  }
}

/** Opens a room of the application on a kitchen that stands in for the server. */
export function openRoom(
  path: string,
  kitchen: PretendKitchen = aKitchen(),
): { kitchen: PretendKitchen; user: UserEvent } {
  globalThis.fetch = ((address: string, init: { method?: string; body?: string | Blob } = {}) => {
    const method = init.method ?? 'GET';
    const body: unknown = typeof init.body === 'string' ? JSON.parse(init.body) : init.body;
    kitchen.asked.push({ method, path: address, body });
    return kitchen.away
      ? Promise.reject(new TypeError('no connection'))
      : Promise.resolve(served(kitchen, method, address, body));
  }) as unknown as typeof fetch;
  queryClient.clear();
  localStorage.clear();
  sessionStorage.clear();
  closeBench();
  useCooks.setState({ cooks: {}, outbox: {}, refused: {}, reached: true, why: null });
  usePreferences.setState({ colours: 'day', lastPlan: null, firstStepsOver: false, kitchenSaid: false });
  useToasts.setState({ asked: [], ever: false });
  useServer.setState({ away: false, shownSince: null, renew: null, troubles: {} });
  window.history.replaceState(null, '', path);
  render(<App />);
  return { kitchen, user: userEvent.setup({ delay: null, pointerEventsCheck: PointerEventsCheckLevel.Never }) };
}

/** What was sent, of one method, to addresses that begin so. */
export function sent(kitchen: PretendKitchen, method: string, begins: string): readonly Asked[] {
  return kitchen.asked.filter((one) => one.method === method && one.path.startsWith(begins));
}

/** Takes an entry of a list by its words; one that can be searched is searched first, as its far end is not drawn. */
export async function picks(user: UserEvent, name: string | RegExp, entry: string | RegExp): Promise<void> {
  const list = await screen.findByRole<HTMLInputElement>('combobox', { name });
  await user.click(list);
  if (!list.readOnly && typeof entry === 'string') await user.paste(entry);
  const entries = await screen.findAllByText(entry, { selector: '.ant-select-item-option-content' });
  await user.click(entries.at(-1) as HTMLElement);
}

/** Takes one of a few that are all in sight. */
export async function chooses(user: UserEvent, group: string, word: string): Promise<void> {
  const choice = await screen.findByRole('group', { name: group });
  await user.click(within(choice).getByText(word));
}

/** Replaces what stands in a field, and leaves it. */
export async function writes(user: UserEvent, name: string | RegExp, text: string): Promise<void> {
  const field = await screen.findByLabelText<HTMLInputElement>(name, { selector: 'input, textarea' });
  await user.clear(field);
  // All at once: letter by letter is five events for each, and as many looks at a large page.
  await user.paste(text);
  await user.keyboard('{Enter}');
}

/** Stands the calendar at a moment for every test of a file; timers go on as ever. */
export function standAt(iso: string): void {
  beforeEach(() => {
    jest.useFakeTimers({
      now: Date.parse(iso),
      doNotFake: [
        'hrtime',
        'nextTick',
        'performance',
        'queueMicrotask',
        'requestAnimationFrame',
        'cancelAnimationFrame',
        'requestIdleCallback',
        'cancelIdleCallback',
        'setImmediate',
        'clearImmediate',
        'setInterval',
        'clearInterval',
        'setTimeout',
        'clearTimeout',
      ],
    });
  });
  afterEach(() => {
    jest.useRealTimers();
  });
}
