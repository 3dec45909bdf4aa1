import type { CookEvent } from '../../clock/cook-events';
import { cookState } from '../../clock/cook-state';
import { newPlan } from '../../plan/defaults';
import { forecast } from '../forecast/forecast';
import { guideOf } from '../guide/guide';
import { dinnerNow, type DinnerNow } from './dinner-now';
import { dinnerOdds } from './dinner-odds';

const SERVE = '2027-01-17T19:00:00+01:00';
const neck = newPlan({ cut: 'goat-neck', form: 'slices', grams: 1600, serveAt: SERVE });
const base = forecast(neck);
const guide = guideOf(base);
const FIRST = guide.steps[0]?.id ?? '';
const MIN = 60_000;

/** An evening as planned, or with a come-up of other minutes, up to a step; and the odds of its dinner then. */
function upTo(until: string, slower = 1, of = base): DinnerNow & { readonly leftMinutes: number } {
  const steps = guideOf(of);
  const begin = Date.parse(SERVE) - steps.totalMinutes * MIN;
  const events: CookEvent[] = [];
  const tell = (kind: CookEvent['kind'], at: number, payload: CookEvent['payload'] = {}): void => {
    const id = `00000000-0000-4000-8000-${String(events.length + 1).padStart(12, '0')}`;
    events.push({ id, kind, at: new Date(at).toISOString(), payload });
  };
  tell('started', begin);
  let at = begin;
  for (let guard = 0; guard < 200; guard += 1) {
    const { now } = cookState(steps, events, at);
    if (!now || now.step.id === until) break;
    const takes = now.minutes * (now.step.section === 'coming-up' ? slower : 1);
    at = now.step.runsFrom === null ? Math.max(at, (now.startedAt ?? at) + takes * MIN) : at;
    if (now.step.endsByItself && slower === 1) continue;
    tell(now.step.done, at, { step: now.step.id, ...(now.step.done === 'checked' ? { grade: steps.wanted } : {}) });
  }
  const odds = dinnerNow(of, steps, cookState(steps, events, at), at);
  return { ...odds, leftMinutes: (odds.p50 - at) / MIN };
}

const width = ({ p10, p90 }: DinnerNow): number => (p90 - p10) / MIN;

test('when the cook begins, its odds are the plan’s', () => {
  const [now, planned] = [upTo(FIRST), dinnerOdds(base)];
  for (const p of ['p10', 'p50', 'p90'] as const)
    expect(Math.abs((now[p] - Date.parse(SERVE)) / MIN - planned[p])).toBeLessThan(1.5);
  expect(Math.abs(now.inTime - planned.inTime)).toBeLessThan(0.1);
});

test('the spread narrows as things happen, and at the plates it is a few minutes', () => {
  const widths = ['lock', 'pressure', 'open', 'plate'].map((step) => width(upTo(step)));
  expect(width(upTo(FIRST))).toBeGreaterThan(widths[0] ?? 99);
  expect(widths).toEqual([...widths].sort((a, b) => b - a));
  expect(widths.at(-1)).toBeLessThan(5);
});

test('a fork that has found it tender ends that doubt', () => {
  expect(upTo('open').stillTough.chance).toBeCloseTo(base.tenderness.chance.short, 9);
  expect(upTo('rest').stillTough).toEqual({ chance: 0, minutes: 0 });
});

test('a come-up that took long makes what is ahead slower too, where the heater is asked again', () => {
  const carrots = forecast({
    ...neck,
    vegetables: [{ vegetable: 'carrot', grams: 300, texture: 'tender', place: 'second-run' }],
  });
  expect(carrots.clock.tasks.filter(({ work }) => work.kind === 'come-up')).toHaveLength(2);
  const [usual, slow] = [upTo('pressure', 1, carrots), upTo('pressure', 1.3, carrots)];
  expect(slow.leftMinutes).toBeGreaterThan(usual.leftMinutes + 0.5);
  expect(slow.inTime).toBeLessThan(usual.inTime);
  // Without a second run the heater has nothing more to say.
  expect(Math.abs(upTo('pressure', 1.3).leftMinutes - upTo('pressure').leftMinutes)).toBeLessThan(0.5);
});
