import { stageOf } from '../../plan/stage-settings';
import * as fc from 'fast-check';
import { cookState } from '../../clock/cook-state';
import type { CookEvent } from '../../clock/cook-events';
import { DEFAULT_COOKER } from '../../plan/defaults';
import { RELEASES, SEAR_SCHOOLS, type Plan } from '../../plan/plan';
import { planFor, secondRun } from '../../testing/fixtures';
import { catchUp } from './catch-up';
import { forecast } from '../forecast/forecast';
import { guideOf } from './guide';
import { timeSavers } from '../forecast/time-savers';
import { english, speakIn } from '../../testing/said-in-english';

const stovetop = { ...DEFAULT_COOKER, kind: 'stovetop' as const, timerStarts: 'pin' as const, watts: 2200 };

describe('the guide', () => {
  test('its minutes add up to the plan’s, whatever is seared, let down, staged and finished', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SEAR_SCHOOLS),
        fc.constantFrom(...RELEASES),
        fc.boolean(),
        fc.boolean(),
        fc.constantFrom('second-run' as const, 'simmer' as const, 'start' as const, 'off-heat' as const),
        (school, method, burner, sauce, place) => {
          const plan: Plan = planFor('goat-neck', 'slices', 1600, {
            sear: { school, where: 'pot', order: 'meat-first' },
            release: { method, naturalMinutes: 8 },
            cooker: burner ? stovetop : DEFAULT_COOKER,
            aromatics: [
              { ingredient: 'onion', grams: 200 },
              { ingredient: 'garlic', grams: 8 },
            ],
            vegetables: [{ vegetable: 'turnip', grams: 400, texture: 'tender', place }],
          });
          const full = sauce
            ? {
                ...plan,
                finish: { ...plan.finish, thickener: 'cornstarch' as const, body: 'coating' as const, sauceMl: 300 },
              }
            : plan;
          const f = forecast(full);
          const guide = guideOf(f);
          const sum = guide.steps
            .filter(({ runsFrom }) => runsFrom === null)
            .reduce((total, { minutes, waitMinutes }) => total + minutes + waitMinutes, 0);
          expect(Math.abs(sum - guide.totalMinutes)).toBeLessThan(0.5);
          expect(new Set(guide.steps.map(({ id }) => id)).size).toBe(guide.steps.length);
          for (const step of guide.steps) {
            expect(step.minutes).toBeGreaterThanOrEqual(0);
            expect(step.title).not.toMatch(/undefined|NaN|null/);
            expect(step.title).not.toContain('!');
            expect(english(step.button).length).toBeLessThan(40);
          }
        },
      ),
      { numRuns: 30 },
    );
  });

  test('what can hurt stands at its step', () => {
    const { steps } = guideOf(forecast(planFor('goat-neck', 'slices', 1600)));
    const at = (id: string): string => english(steps.find((step) => step.id === id)?.caution ?? '');
    expect(at('lock')).toMatch(/gasket/);
    expect(at('natural')).toMatch(/valve|Keep warm/);
    expect(at('open')).toMatch(/never force the lid/);
    expect(at('board-meat')).toMatch(/raw meat/);
  });

  test('a burner is turned down and off by hand; an electric pot ends by itself', () => {
    const pressure = (plan: Plan): { endsByItself: boolean; alarm: string } | undefined =>
      guideOf(forecast(plan)).steps.find(({ id }) => id === 'pressure');
    expect(pressure(planFor('goat-neck', 'slices', 1600))).toMatchObject({ endsByItself: true, alarm: 'turn' });
    expect(pressure(planFor('goat-neck', 'slices', 1600, { cooker: stovetop }))).toMatchObject({
      endsByItself: false,
      alarm: 'danger',
    });
  });

  test('a pot on a burner is lifted off it before anything else, however it is let down', () => {
    for (const method of RELEASES) {
      const steps = (cooker: typeof stovetop): string[] =>
        guideOf(forecast(planFor('goat-neck', 'slices', 1600, { cooker, release: { method, naturalMinutes: 3 } })))
          .steps.filter(({ section }) => section === 'letting-down')
          .map(({ title }) => english(title));
      expect(steps(stovetop)[0]).toMatch(/^Lift it off the burner(\. Leave it alone|, and open the valve)/);
      expect(steps({ ...stovetop, kind: 'electric' as never }).join(' ')).not.toContain('burner');
    }
  });

  test('in US units no step is metric', () => {
    const plan = planFor('goat-neck', 'slices', 1600, {
      vegetables: [{ vegetable: 'turnip', grams: 400, texture: 'tender', place: 'second-run' }],
      stages: secondRun({ takeOutMl: 100 }),
    });
    speakIn('us');
    const { steps } = guideOf(forecast(plan));
    speakIn('metric');
    for (const { title, detail } of steps) {
      expect(`${title} ${detail}`).not.toMatch(/\d (ml|l|g|kg|cm|°C)\b/);
    }
  });
});

describe('what goes in', () => {
  const plan = planFor('goat-shoulder', 'chunks', 1300, {
    additions: [{ ingredient: 'tomato-paste', grams: 60, when: 'on-top' }],
    vegetables: [{ vegetable: 'turnip', grams: 400, texture: 'tender', place: 'simmer' }],
  });
  const { steps } = guideOf(forecast(plan));

  test('what is laid on top is named with its weight where the pot is filled', () => {
    const load = steps.find(({ moves }) => moves.some(({ kind }) => kind === 'put'));
    expect(english(load?.detail ?? '')).toMatch(/On top, not stirred: 60 g(?: of)? tomato paste/);
  });

  test('what simmers is named in the step that puts it in', () => {
    const simmer = steps.find(({ section, moves }) => section === 'simmer' && moves.some(({ kind }) => kind === 'put'));
    expect(english(simmer?.title ?? '')).toMatch(/[Tt]urnip/);
  });
});

describe('winning time back', () => {
  const plan = planFor('goat-neck', 'slices', 1600, { serveAt: '2027-01-17T19:00:00+01:00' });
  const f = forecast(plan);
  const guide = guideOf(f);
  const begin = Date.parse(plan.serveAt ?? '') - guide.totalMinutes * 60_000;
  const started: CookEvent = { id: 'a', kind: 'started', at: new Date(begin).toISOString(), payload: {} };

  test('offers the valve with what it costs in tenderness, the rest and the sear, the most first', () => {
    const state = cookState(guide, [started], begin);
    const ways = catchUp(f, state, begin);
    expect(ways.map(({ id }) => id)).toEqual(expect.arrayContaining(['valve', 'rest', 'sear']));
    expect(ways.map(({ minutes }) => minutes)).toEqual([...ways.map(({ minutes }) => minutes)].sort((a, b) => b - a));
    const valve = ways.find(({ id }) => id === 'valve');
    expect(valve?.minutes).toBeLessThan(f.pot.releaseMinutes);
    expect(valve?.text).toMatch(/in 10 instead of|instead of/);
  });

  test('while the pressure falls by itself the valve wins what is left of that, and may be opened now', () => {
    const presses: CookEvent[] = [started];
    let at = begin;
    for (let guard = 0; guard < 99; guard += 1) {
      const { now } = cookState(guide, presses, at);
      if (!now || now.step.id === 'natural') break;
      at = Math.max(at, (now.startedAt ?? at) + now.minutes * 60_000);
      if (!now.step.endsByItself)
        presses.push({
          id: `press-${guard}`,
          kind: now.step.done,
          at: new Date(at).toISOString(),
          payload: { step: now.step.id },
        });
    }
    const wins = [0, 4].map((waited) => {
      const nowMs = at + waited * 60_000;
      return catchUp(f, cookState(guide, presses, nowMs), nowMs).find(({ id }) => id === 'valve');
    });
    expect(wins.map((way) => way?.does?.kind)).toEqual(['ventOpened', 'ventOpened']);
    const [all = 0, rest = 0] = wins.map((way) => way?.minutes);
    // What has been waited for is not won any more.
    expect(all - rest).toBeGreaterThan(1.5);
    expect(all - rest).toBeLessThan(4.5);
    expect(rest).toBeGreaterThan(1);
  });

  test('offers nothing that is over', () => {
    const served: CookEvent = {
      id: 'b',
      kind: 'served',
      at: new Date(begin + 60_000).toISOString(),
      payload: { step: 'plate' },
    };
    expect(catchUp(f, cookState(guide, [started, served], begin + 60_000), begin + 60_000)).toEqual([]);
  });
});

test('what makes the evening shorter: every change does win what it says', () => {
  const base = forecast(planFor('beef-chuck', 'whole', 1360));
  const ways = timeSavers(base);
  expect(ways.length).toBeGreaterThanOrEqual(3);
  for (const { minutes, change, text } of ways) {
    const other = forecast({ ...base.plan, ...change });
    // As the minutes of both are shown.
    expect(Math.round(base.clock.totalMinutes) - Math.round(other.clock.totalMinutes)).toBe(minutes);
    expect(text).toContain(`${Math.round(minutes)} min sooner`);
  }
  const { at, past } = base.tenderness.chance;
  const { values } = ways.find(({ code }) => code === 'take-a-chance') ?? { values: {} };
  const { chance, insteadOf } = values as { readonly chance?: number; readonly insteadOf?: number };
  // Whoever asks for less is told what is given up: the chance that a fork finds it tender, or more than that.
  expect(insteadOf).toBeCloseTo(at + past, 9);
  expect(chance).toBeLessThan(at + past);
});

test('a second run of no minutes is said as what it is: up to pressure, and down', () => {
  const plan = planFor('goat-shoulder', 'chunks', 1500, {
    kitchen: { altitudeM: 1480, roomC: 19 },
    vegetables: [{ vegetable: 'turnip', grams: 400, texture: 'tender', place: 'second-run' }],
    stages: [{ ...stageOf({ stages: [] }, 'second-run'), minutes: 0 }],
  });
  const f = forecast(plan);
  expect(f.stages).toMatchObject([{ place: 'second-run', minutes: 0 }]);
  const titles = guideOf(f).steps.map(({ title }) => title);
  expect(titles).toContain('Lid locked, valve closed, start: no minutes, only up to pressure');
  expect(titles.join(' ')).not.toMatch(/\b0 min/);
});
