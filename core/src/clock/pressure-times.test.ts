import { forecast } from '../braise/forecast/forecast';
import { guideOf } from '../braise/guide/guide';
import type { Plan } from '../plan/plan';
import { planFor } from '../testing/fixtures';
import type { CookEvent, CookEventKind } from './cook-events';
import { cookState } from './cook-state';
import { pressureTimes, type PressureTimes } from './pressure-times';

const BEGIN = Date.parse('2027-01-17T15:00:00Z');
const MIN = 60_000;

/** A cook in which these were pressed at these minutes; what comes before them was done at once. */
function times(
  release: Plan['release'],
  pressed: readonly (readonly [CookEventKind, number])[],
  now: number,
): PressureTimes | null {
  const guide = guideOf(forecast(planFor('goat-neck', 'slices', 1600, { release })));
  const lid = guide.steps.findIndex(({ id }) => id === 'valve');
  const events: CookEvent[] = [];
  const tell = (kind: CookEventKind, minute: number, step?: string): void => {
    const payload = step === undefined ? {} : { step };
    events.push({ id: `e${events.length}`, kind, at: new Date(BEGIN + minute * MIN).toISOString(), payload });
  };
  tell('started', 0);
  // Everything up to the lid within its first minutes, a second apart.
  guide.steps.slice(0, lid).forEach(({ id, done }, i) => tell(done, (i + 1) / 60, id));
  tell('valveClosed', 10, 'valve');
  for (const [kind, minute] of pressed) tell(kind, minute);
  return pressureTimes(cookState(guide, events, BEGIN + now * MIN), BEGIN + now * MIN);
}
const natural = { method: 'natural', naturalMinutes: 0 } as const;
const quick = { method: 'quick', naturalMinutes: 0 } as const;
const both = { method: 'natural-then-quick', naturalMinutes: 15 } as const;

describe('what really happened under the lid', () => {
  test('is nothing while the lid is off', () => {
    const guide = guideOf(forecast(planFor('goat-neck', 'slices', 1600)));
    expect(pressureTimes(cookState(guide, [], BEGIN), BEGIN)).toBeNull();
  });

  test('is counted from when the valve was closed, until now', () => {
    expect(times(both, [], 17)).toMatchObject({
      pin: null,
      timer: null,
      heatOff: null,
      until: 7,
      lidOnAt: BEGIN + 10 * MIN,
    });
    expect(times(both, [['pinUp', 22]], 30)).toMatchObject({ pin: 12, heatOff: null, until: 20 });
  });

  test('the minutes count from what was seen to start them', () => {
    const found = times(
      both,
      [
        ['pinUp', 22],
        ['timerStarted', 26],
        ['heaterOff', 66],
      ],
      70,
    );
    expect(found).toMatchObject({ pin: 12, timer: 16, heatOff: 56 });
  });

  test('let down by the valve: when it was opened, and when the pin was down', () => {
    const found = times(
      quick,
      [
        ['pinUp', 22],
        ['timerStarted', 26],
        ['heaterOff', 66],
        ['ventOpened', 67],
        ['pinDown', 69],
      ],
      90,
    );
    expect(found).toMatchObject({ heatOff: 56, vented: 57, down: 59 });
    // What comes after the pin is down is no longer under pressure.
    expect(found?.until).toBe(59);
  });

  test('left alone: no valve was opened', () => {
    const found = times(
      natural,
      [
        ['pinUp', 22],
        ['timerStarted', 26],
        ['heaterOff', 66],
        ['pinDown', 88],
      ],
      95,
    );
    expect(found).toMatchObject({ vented: null, down: 78 });
  });

  test('a while alone, then the valve', () => {
    const found = times(
      both,
      [
        ['pinUp', 22],
        ['timerStarted', 26],
        ['heaterOff', 66],
        ['ventOpened', 81],
        ['pinDown', 84],
      ],
      95,
    );
    expect(found).toMatchObject({ heatOff: 56, vented: 71, down: 74 });
  });

  test('the pin that fell before the valve was due: none was opened', () => {
    const found = times(
      both,
      [
        ['pinUp', 22],
        ['timerStarted', 26],
        ['heaterOff', 66],
        ['pinDown', 76],
      ],
      95,
    );
    expect(found).toMatchObject({ vented: null, down: 66 });
  });
});
