import * as fc from 'fast-check';
import { asCooked } from '../braise/forecast/as-cooked';
import { forecast } from '../braise/forecast/forecast';
import type { Forecast } from '../braise/forecast/forecast-document';
import { guideOf } from '../braise/guide/guide';
import { additionalMinutes } from '../braise/guide/additional-minutes';
import { GRADES } from '../meat/tenderness';
import { PlanError } from '../plan/plan-error';
import { anyPlan, plansAsked } from '../testing/any-plan';
import { planFor } from '../testing/fixtures';
import type { CookEvent, CookEventKind } from './cook-events';
import { cookState, isCheck, type CookState } from './cook-state';
import type { Guide } from './guide-step';
import { soFar, underPressure } from './so-far';

const BEGIN = Date.parse('2027-01-17T15:00:00Z');
const MIN = 60_000;

/** A cook that is told as the guide says, at the guide's minutes, until something else is wanted. */
class Told {
  readonly events: CookEvent[] = [];
  minute = 0;

  constructor(readonly guide: Guide) {
    this.tell('started');
  }

  tell(kind: CookEventKind, payload: CookEvent['payload'] = {}): void {
    const at = new Date(BEGIN + this.minute * MIN).toISOString();
    this.events.push({ id: `e${String(this.events.length).padStart(4, '0')}`, kind, at, payload });
  }

  get state(): CookState {
    return cookState(this.guide, this.events, BEGIN + this.minute * MIN);
  }

  /** Goes on as told until a step's turn comes. */
  until(is: (id: string) => boolean): this {
    for (;;) {
      const { now } = this.state;
      if (!now || is(now.step.id)) return this;
      this.minute += now.minutes;
      if (isCheck(now.step)) this.tell('checked', { grade: this.guide.wanted });
      // What ends by itself has ended.
      if (this.state.now?.step.id === now.step.id) this.tell(now.step.done, { step: now.step.id });
    }
  }
}

const cookOf = (f: Forecast): Told => new Told(guideOf(f));
const meltedOf = (f: Forecast, told: Told): number => {
  const so = soFar(told.state, BEGIN + told.minute * MIN);
  if (so === null) throw new Error('the lid has not been on');
  return asCooked(f.plan, so).melted;
};

const chuck = forecast(planFor('beef-chuck', 'chunks', 1360, { pressureMinutes: 20 }));

describe('what has happened counts, every run of it', () => {
  test('is nothing while the lid is off', () => {
    expect(soFar(cookOf(chuck).state, BEGIN)).toBeNull();
  });

  test('done as planned, the meat is the forecast’s own', () => {
    const told = cookOf(chuck).until((id) => id === 'open');
    expect(meltedOf(chuck, told) / chuck.tenderness.mean).toBeCloseTo(1, 1);
    expect(underPressure(told.state, BEGIN + told.minute * MIN)).toBeCloseTo(20, 6);
  });

  test('a burn halfway keeps the minutes before it, and the rest is still to do', () => {
    const told = cookOf(chuck).until((id) => id === 'pressure');
    told.minute += 10;
    const before = meltedOf(chuck, told);
    told.tell('burn');
    expect(told.state.now?.step.broughtInBy).toBe('burn');
    const back = told.state.steps.find(({ step }) => step.broughtInBy === 'burn' && step.done === 'heaterOff');
    expect(back?.minutes).toBe(10);
    told.until((id) => id === 'open');
    expect(meltedOf(chuck, told)).toBeGreaterThan(before);
    // Coming up twice cooks a little more than once.
    expect(meltedOf(chuck, told)).toBeGreaterThanOrEqual(chuck.tenderness.mean * 0.99);
    expect(underPressure(told.state, BEGIN + told.minute * MIN)).toBeCloseTo(20, 6);
  });

  test('a lid put back on goes on from where the meat was, and so does the next proposal', () => {
    const told = cookOf(chuck).until((id) => id === 'check');
    const so = soFar(told.state, BEGIN + told.minute * MIN);
    const more = so && additionalMinutes(chuck.plan, so, 'firm');
    if (!more) throw new Error('firm meat wants more');
    told.tell('checked', { grade: 'firm' });
    const { minutes, reheatMinutes, releaseMinutes } = more;
    told.tell('minutesAdded', { step: 'check', minutes, again: { reheatMinutes, releaseMinutes } });
    const before = meltedOf(chuck, told);
    const planned = Date.parse(chuck.clock.eatAt ?? '') || BEGIN + chuck.clock.totalMinutes * MIN;
    // The check was over at once: its minutes are won back.
    expect(told.state.dinner.at - planned).toBeGreaterThan((minutes + reheatMinutes + releaseMinutes - 2) * MIN);
    told.until((id) => id === 'again-1-check');
    expect(meltedOf(chuck, told)).toBeGreaterThan(before);
    const then = soFar(told.state, BEGIN + told.minute * MIN);
    const again = then && additionalMinutes(chuck.plan, then, 'firm');
    // Still firm after all that: a tougher animal than the first check said.
    expect(again?.tougherBy).toBeGreaterThan(more.tougherBy);
    expect(underPressure(told.state, BEGIN + told.minute * MIN)).toBeCloseTo(20 + minutes, 6);
  });
});

describe('property: what happened replaces what was planned, whatever the plan (no source: the fold and itself)', () => {
  const { numRuns, seed } = plansAsked();

  test('after a burn and a lid put back on the meat only grows softer, dinner only later, and no minute is lost', () => {
    fc.assert(
      fc.property(anyPlan(), fc.integer({ min: 1, max: 20 }), fc.integer({ min: 1, max: 15 }), (plan, ran, added) => {
        let f: Forecast;
        try {
          f = forecast(plan);
        } catch (error) {
          if (error instanceof PlanError) return;
          throw error;
        }
        const told = cookOf(f).until((id) => id === 'pressure' || id === 'check');
        const planned = told.state.dinner.at;
        if (told.state.now?.step.id === 'pressure' && f.pressureMinutes > 1) {
          // Before its minutes are over.
          const burnt = Math.min(ran, f.pressureMinutes - 1);
          told.minute += burnt;
          const before = meltedOf(f, told);
          told.tell('burn');
          told.until((id) => id === 'check');
          expect(meltedOf(f, told)).toBeGreaterThanOrEqual(before - 1e-9);
          // What burnt away before is rounded to a whole minute in what is left.
          expect(Math.abs(underPressure(told.state, BEGIN + told.minute * MIN) - f.pressureMinutes)).toBeLessThan(0.51);
          expect(told.state.dinner.at).toBeGreaterThan(planned - 1);
        }
        told.until((id) => id === 'check');
        const before = meltedOf(f, told);
        const under = underPressure(told.state, BEGIN + told.minute * MIN);
        const dinner = told.state.dinner.at;
        // Where warming it on its day does the rest, nothing is too chewy at the check.
        if (told.guide.wanted === GRADES[0]) return;
        told.tell('checked', { grade: GRADES[0] });
        told.tell('minutesAdded', { step: 'check', minutes: added, again: { reheatMinutes: 8, releaseMinutes: 2 } });
        told.until((id) => id === 'again-1-check');
        expect(meltedOf(f, told)).toBeGreaterThan(before);
        expect(underPressure(told.state, BEGIN + told.minute * MIN)).toBeCloseTo(under + added, 3);
        // Where something beside it takes longer than the pot, dinner is no later.
        expect(told.state.dinner.at).toBeGreaterThan(dinner - 1);
      }),
      { numRuns: Math.ceil(numRuns / 6), seed },
    );
  });
});

describe('what goes wrong by hand changes the minutes', () => {
  const wrong = (told: Told, trouble: CookEvent['payload']['trouble']): void => told.tell('wentWrong', { trouble });
  const left = (told: Told): readonly string[] =>
    told.state.steps.slice(told.state.position).map(({ step }) => step.id);

  test('a power cut stops the count, and what was left goes on when it is back', () => {
    const told = cookOf(chuck).until((id) => id === 'pressure');
    told.minute += 8;
    wrong(told, 'power-cut');
    expect(left(told).slice(0, 3)).toEqual(['power-cut-1-power-back', 'power-cut-1-pin', 'power-cut-1-pressure']);
    // However long it is gone, the minutes that are left stay as they are.
    told.minute += 25;
    const dark = told.state.dinner.at;
    told.tell('stepDone', { step: 'power-cut-1-power-back' });
    expect(told.state.steps.find(({ step }) => step.id === 'power-cut-1-pressure')?.minutes).toBe(12);
    told.until((id) => id === 'open');
    expect(underPressure(told.state, BEGIN + told.minute * MIN)).toBeCloseTo(20, 3);
    expect(told.state.dinner.at).toBeGreaterThan(dark - 1);
    expect(told.state.troubles.map(({ trouble }) => trouble)).toEqual(['power-cut']);
  });

  test('shut and without heat the pot cools, and the meat goes on melting a little', () => {
    const told = cookOf(chuck).until((id) => id === 'pressure');
    told.minute += 8;
    const at = (): ReturnType<typeof asCooked> => {
      const so = soFar(told.state, BEGIN + told.minute * MIN);
      if (so === null) throw new Error('the lid is on');
      return asCooked(chuck.plan, so);
    };
    const before = at();
    wrong(told, 'power-cut');
    told.minute += 25;
    const after = at();
    expect(after.liquidC).toBeLessThan(before.liquidC);
    expect(after.melted).toBeGreaterThan(before.melted);
  });

  test('a pin that does not rise is seen to, and comes up anew with the whole of its minutes', () => {
    const told = cookOf(chuck).until((id) => id === 'pin');
    told.minute += 30;
    wrong(told, 'pin-will-not-rise');
    expect(left(told).slice(0, 2)).toEqual(['pin-will-not-rise-1-see-to', 'pin-will-not-rise-1-pin']);
    told.until((id) => id === 'pressure');
    expect(told.state.now?.minutes).toBe(20);
    // What it did the first time says nothing of the heater.
    expect(soFar(told.state, BEGIN + told.minute * MIN)?.pin).toBeNull();
  });

  test('a pin that does not fall is waited for, ten minutes from now', () => {
    const told = cookOf(chuck).until((id) => id === 'natural' || id === 'pin-down');
    const step = told.state.now;
    told.minute += (step?.minutes ?? 0) + 3;
    wrong(told, 'pin-will-not-fall');
    const timer = told.state.timers.find(({ id }) => id === step?.step.id);
    expect(timer && (timer.endsAt - BEGIN) / MIN - told.minute).toBeCloseTo(10, 3);
  });

  test('boiled dry is cleared like a burn, and is none', () => {
    const told = cookOf(chuck).until((id) => id === 'pressure');
    told.minute += 5;
    wrong(told, 'boils-dry');
    expect(left(told)[0]).toBe('boils-dry-1-clear');
    expect(told.state.burns).toBe(0);
  });

  test('what has no steps of its own is kept as it was told, and changes none', () => {
    const told = cookOf(chuck).until((id) => id === 'pressure');
    const before = left(told);
    wrong(told, 'too-salty');
    expect(left(told)).toEqual(before);
    expect(told.state.troubles).toHaveLength(1);
    expect(told.state.ignored).toEqual([]);
  });

  test('a guide of before, which has no such steps, keeps what was told and goes on', () => {
    const guide = cookOf(chuck).guide;
    const again = Object.fromEntries(
      Object.entries(guide.again).filter(([name]) => name !== 'powerBack' && name !== 'seeTo'),
    ) as unknown as Guide['again'];
    const told = new Told({ ...guide, again }).until((id) => id === 'pressure');
    wrong(told, 'power-cut');
    expect(told.state.now?.step.id).toBe('pressure');
    expect(told.state.troubles).toHaveLength(1);
  });
});
