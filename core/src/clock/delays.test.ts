import { forecast } from '../braise/forecast/forecast';
import { guideOf } from '../braise/guide/guide';
import { planFor } from '../testing/fixtures';
import type { CookEvent, CookEventKind } from './cook-events';
import { cookState, isCheck, type CookState } from './cook-state';
import { driftCauses, delaysOf, runTimesOf } from './delays';

const SERVED = '2027-01-17T19:00:00Z';
const MIN = 60_000;
// Nothing is seared, so that nothing has to be put on before its turn.
const f = forecast(
  planFor('beef-chuck', 'chunks', 1360, {
    pressureMinutes: 20,
    serveAt: SERVED,
    sear: { school: 'none', where: 'pot', order: 'meat-first' },
    deglaze: null,
  }),
);
const guide = guideOf(f);
const START = Date.parse(SERVED) - guide.totalMinutes * MIN;

/** A cook pressed at the plan's own minutes, begun so much late. */
class Cook {
  readonly events: CookEvent[] = [];
  minute: number;

  constructor(late = 0) {
    this.minute = late;
    this.tell('started');
  }

  tell(kind: CookEventKind, payload: CookEvent['payload'] = {}): void {
    const at = new Date(START + this.minute * MIN).toISOString();
    this.events.push({ id: `e${String(this.events.length).padStart(4, '0')}`, kind, at, payload });
  }

  get state(): CookState {
    return cookState(guide, this.events, START + this.minute * MIN);
  }

  until(id: string): this {
    for (;;) {
      const { now } = this.state;
      if (!now || now.step.id === id) return this;
      this.minute = Math.max(this.minute, ((now.dueAt ?? 0) - START) / MIN);
      if (isCheck(now.step)) this.tell('checked', { grade: guide.wanted });
      if (this.state.now?.step.id === now.step.id) this.tell(now.step.done, { step: now.step.id });
    }
  }
}

const causes = (cook: Cook): (readonly [string, number])[] =>
  delaysOf(cook.state, guide).map(({ cause, minutes }) => [cause, Math.round(minutes)] as const);

describe('why dinner is late, by what happened', () => {
  test('what was gained is told too, and counts by its size', () => {
    const cook = new Cook(6).until('pressure');
    const all = driftCauses(cook.state, guide);
    expect(all[0]).toMatchObject({ cause: 'start', minutes: expect.closeTo(6, 3) as number });
    expect(all.every(({ minutes }, i) => i === 0 || Math.abs(minutes) <= Math.abs(all[i - 1]?.minutes ?? 0))).toBe(
      true,
    );
    const ahead = driftCauses(new Cook(-12).until('none').state, guide);
    expect(ahead).toEqual([{ cause: 'start', minutes: expect.closeTo(-12, 3) as number }]);
    expect(delaysOf(new Cook(-12).until('none').state, guide)).toEqual([]);
  });

  test('as planned, nothing is late', () => {
    expect(causes(new Cook().until('none'))).toEqual([]);
  });

  test('a late start is one', () => {
    expect(causes(new Cook(25).until('none'))).toEqual([['start', 25]]);
  });

  test('a pin that came nine minutes late', () => {
    const cook = new Cook().until('pin');
    cook.minute += (cook.state.now?.minutes ?? 0) + 9;
    cook.tell('pinUp', { step: 'pin' });
    expect(causes(cook.until('none'))).toEqual([['coming-up', 9]]);
  });

  test('a burn halfway costs the scraping and the way up, not the minutes that are done again', () => {
    const cook = new Cook().until('pressure');
    cook.minute += 10;
    cook.tell('burn');
    cook.until('none');
    const [[cause, minutes] = ['', 0], ...others] = causes(cook);
    expect([cause, others]).toEqual(['burn', []]);
    expect(minutes).toBe(Math.round(8.5 + guide.heatingMinutes));
    expect(Math.round(cook.state.dinner.driftMinutes)).toBe(minutes);
  });

  test('meat that was tough costs its second time under the lid', () => {
    const cook = new Cook().until('check');
    cook.tell('checked', { grade: 'chewy' });
    cook.tell('minutesAdded', { step: 'check', minutes: 12, again: { reheatMinutes: 7, releaseMinutes: 2 } });
    expect(causes(cook.until('none')).map(([cause]) => cause)).toEqual(['again']);
    const [first] = runTimesOf(cook.state);
    expect(first?.pressure).toEqual({ planned: 20, actual: expect.closeTo(32, 3) as number });
  });

  test('a power cut on the way up costs all that it had come up so far', () => {
    const cook = new Cook().until('pin');
    cook.minute += 6;
    cook.tell('wentWrong', { trouble: 'power-cut' });
    cook.minute += 15;
    cook.tell('stepDone', { step: 'power-cut-1-power-back' });
    expect(causes(cook.until('none'))).toEqual([['power-cut', 21]]);
  });
});
