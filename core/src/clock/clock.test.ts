import * as fc from 'fast-check';
import { forecast } from '../braise/forecast/forecast';
import { planFor } from '../testing/fixtures';
import type { Resource } from '../plan/plan';
import { clashesOf } from './clashes';
import { backwards } from './schedule';
import type { Task } from './tasks';
import { afterBusyPot } from './busy-pot';
import { shiftIso } from '../units/time';
import { scheduleTogether, type BraiseToSchedule } from './schedule-together';
import { english } from '../testing/said-in-english';

const task = (id: string, minutes: number, resource: Resource, handsOn: boolean, after: string[] = []): Task => ({
  id,
  label: id,
  minutes,
  resource,
  handsOn,
  after,
  work: { kind: 'load' },
  track: null,
});

describe('the clock, backwards from the meal', () => {
  test('what follows on is laid end to end, the last at the meal', () => {
    const { tasks, totalMinutes } = backwards([
      task('a', 5, 'board', true),
      task('b', 3, 'pot', false, ['a']),
      task('c', 2, 'hands', true, ['b']),
    ]);
    expect(totalMinutes).toBe(10);
    expect(tasks.map(({ id, startMinute }) => [id, startMinute])).toEqual([
      ['a', 0],
      ['b', 5],
      ['c', 8],
    ]);
  });

  test('what needs no hands runs beside what does; two hands-on tasks never overlap', () => {
    const { tasks, totalMinutes } = backwards([
      task('heat', 4, 'pot', false),
      task('dry', 3, 'board', true),
      task('sear', 6, 'pot', true, ['heat', 'dry']),
    ]);
    expect(totalMinutes).toBe(10);
    expect(tasks.find(({ id }) => id === 'dry')?.startMinute).toBe(1);
  });

  test('a ring, and a task that is not there, are refused', () => {
    expect(() => backwards([task('a', 1, 'pot', false, ['b']), task('b', 1, 'pot', false, ['a'])])).toThrow(
      'wait for each other',
    );
    expect(() => backwards([task('a', 1, 'pot', false, ['x'])])).toThrow('"x", which is not there');
  });

  test('whatever the tasks: order is kept, one resource does one thing at a time, nothing ends after the meal', () => {
    const resources: readonly Resource[] = ['board', 'hands', 'pot', 'side-burner'];
    const many = fc.array(
      fc.record({
        minutes: fc.integer({ min: 1, max: 30 }),
        resource: fc.constantFrom(...resources),
        handsOn: fc.boolean(),
        back: fc.nat(3),
      }),
      { minLength: 1, maxLength: 12 },
    );
    fc.assert(
      fc.property(many, (shapes) => {
        const tasks = shapes.map((shape, i) =>
          task(`t${i}`, shape.minutes, shape.resource, shape.handsOn, i > shape.back ? [`t${i - 1 - shape.back}`] : []),
        );
        const placed = backwards(tasks);
        const at = new Map(placed.tasks.map((item) => [item.id, item]));
        for (const { id, after } of tasks) {
          const own = at.get(id);
          for (const before of after)
            expect((at.get(before)?.startMinute ?? 0) + (at.get(before)?.minutes ?? 0)).toBeLessThanOrEqual(
              (own?.startMinute ?? 0) + 1e-9,
            );
        }
        for (const one of placed.tasks) {
          expect(one.startMinute + one.minutes).toBeLessThanOrEqual(placed.totalMinutes + 1e-9);
          for (const other of placed.tasks) {
            if (one === other || !(one.resource === other.resource || (one.handsOn && other.handsOn))) continue;
            const apart =
              one.startMinute + one.minutes <= other.startMinute + 1e-9 ||
              other.startMinute + other.minutes <= one.startMinute + 1e-9;
            expect(apart).toBe(true);
          }
        }
      }),
    );
  });
});

describe('the clock as its editor', () => {
  const soup = [task('water', 8, 'side-burner', false), task('swell', 20, 'side-burner', false, ['water'])];

  test('a task put earlier takes with it what comes before, and lengthens the evening by as much', () => {
    const plain = backwards(soup);
    expect(plain.tasks.map(({ slackMinutes }) => slackMinutes)).toEqual([null, 0]);
    const moved = backwards(soup, { swell: 10 });
    expect(moved.totalMinutes).toBe(38);
    expect(moved.tasks.find(({ id }) => id === 'swell')).toMatchObject({ movedMinutes: 10, startMinute: 8 });
    const first = backwards(soup, { water: 5 });
    expect(first.tasks.find(({ id }) => id === 'swell')).toMatchObject({ slackMinutes: 5, startMinute: 13 });
  });

  test('in a plan it is kept: the polenta a quarter of an hour earlier, the meat where it was', () => {
    const sides = [
      { name: 'Polenta', tasks: [{ label: 'Swell', minutes: 25, handsOn: false, resource: 'side-burner' as const }] },
    ];
    const plan = planFor('goat-neck', 'slices', 1600, { sides });
    const at = (more: Record<string, number>): { side: number; pressure: number } => {
      const { tasks } = forecast({ ...plan, moved: more }).clock;
      const startOf = (id: string): number => tasks.find((one) => one.id === id)?.startMinute ?? NaN;
      return { side: startOf('side-1-1'), pressure: startOf('pressure') };
    };
    expect(at({}).side - at({ 'side-1-1': 15 }).side).toBeCloseTo(15, 6);
    expect(at({ 'side-1-1': 15 }).pressure).toBeCloseTo(at({}).pressure, 6);
  });

  test('what goes in later may be cut while the pot works, on a washed board: after the meat, before its own stage', () => {
    const plan = planFor('goat-neck', 'slices', 1600, {
      vegetables: [{ vegetable: 'turnip', grams: 900, texture: 'tender', place: 'second-run' }],
    });
    const all = forecast(plan).clock;
    const { tasks, totalMinutes } = forecast({ ...plan, cutLater: true }).clock;
    expect(totalMinutes).toBeLessThan(all.totalMinutes - 5);
    const at = (id: string): { startMinute: number; minutes: number } => {
      const task = tasks.find((one) => one.id === id);
      if (!task) throw new Error(`no ${id}`);
      return task;
    };
    const cut = at('later-1-board');
    const meat = at('board-meat');
    expect(cut.startMinute).toBeGreaterThanOrEqual(at('load').startMinute + at('load').minutes - 1e-9);
    expect(cut.startMinute).toBeGreaterThan(meat.startMinute + meat.minutes);
    expect(cut.startMinute + cut.minutes).toBeLessThanOrEqual(at('second-load').startMinute + 1e-9);
  });

  test('a slow hand at the board begins earlier, and only the board is longer', () => {
    const plan = planFor('goat-neck', 'slices', 1600, { aromatics: [{ ingredient: 'onion', grams: 300 }] });
    const slow = forecast({ ...plan, kitchen: { ...plan.kitchen, prepFactor: 2 } }).clock;
    const usual = forecast(plan).clock;
    const board = (clock: typeof usual): number =>
      clock.tasks.filter(({ resource }) => resource === 'board').reduce((sum, { minutes }) => sum + minutes, 0);
    expect(board(slow)).toBeCloseTo(2 * board(usual), 6);
    expect(slow.totalMinutes - usual.totalMinutes).toBeGreaterThan(board(usual) - 5);
  });
});

describe('clashes', () => {
  test('two that want the same hands: the one that waits is named, with what is in its way', () => {
    const { tasks } = backwards([
      task('reduce', 5, 'pot', true),
      task('plate', 3, 'hands', true, ['reduce']),
      task('whisk', 4, 'side-burner', true),
    ]);
    const [clash, ...more] = clashesOf(tasks);
    expect(clash?.minutes).toBeCloseTo(4, 6);
    expect(clash?.text).toBe('“reduce” is over 4 min before “plate” can begin: “whisk” is in between.');
    expect(more).toEqual([]);
  });

  test('a mash that wants hands for five minutes is made while the pot works: dinner is no later (common practice)', () => {
    const mash = {
      name: 'Mash',
      tasks: [{ label: 'Mash them', minutes: 5, handsOn: true, resource: 'side-burner' as const }],
    };
    const plan = planFor('goat-neck', 'slices', 1600);
    const alone = forecast(plan).clock.totalMinutes;
    const { clock } = forecast({ ...plan, sides: [mash] });
    expect(clock.totalMinutes).toBeCloseTo(alone, 6);
    expect(clashesOf(clock.tasks)[0]?.text).toMatch(/Mash.* is over \d+ min before the meal.*keep it covered and hot/);
  });

  test('a braise alone has none; a dish that wants the hands at the end has one, and with no hands none', () => {
    const withSide = (handsOn: boolean): ReturnType<typeof clashesOf> =>
      clashesOf(
        forecast(
          planFor('goat-neck', 'slices', 1600, {
            sides: [{ name: 'Polenta', tasks: [{ label: 'Whisk', minutes: 6, handsOn, resource: 'side-burner' }] }],
          }),
        ).clock.tasks,
      );
    expect(clashesOf(forecast(planFor('goat-neck', 'slices', 1600)).clock.tasks)).toEqual([]);
    expect(withSide(false)).toEqual([]);
    expect(withSide(true)[0]?.text).toContain('Polenta: Whisk');
  });
});

describe('several braises in one evening', () => {
  const braise = (id: string, pot: string, eatAt: string): BraiseToSchedule => {
    const clock = forecast(planFor('goat-neck', 'slices', 1600, { serveAt: eatAt })).clock;
    return { id, name: id, pot, clock: { ...clock, eatAt } };
  };
  const seven = '2027-01-17T19:00:00+01:00';
  const potMinute = (tasks: BraiseToSchedule['clock']['tasks']): number =>
    Math.min(...tasks.filter(({ resource }) => resource === 'pot').map(({ startMinute }) => startMinute));

  test('one alone is where it was', () => {
    const [only] = scheduleTogether([braise('neck', 'blue', seven)]);
    expect(only?.earlierMinutes).toBeCloseTo(0, 6);
    expect(only?.waitsMinutes).toBeCloseTo(0, 6);
  });

  test('two pots and two hands: nothing hot waits where the hands allow it, and both begin no later than alone', () => {
    const both = scheduleTogether([braise('neck', 'blue', seven), braise('leg', 'steel', seven)]);
    expect(both.every(({ earlierMinutes }) => earlierMinutes > -1e-6)).toBe(true);
    expect(Math.max(...both.map(({ earlierMinutes }) => earlierMinutes))).toBeGreaterThan(3);
    expect(both.some(({ text }) => english(text).includes('two hands'))).toBe(true);
  });

  test('one pot twice: one is ready long before, and is kept at 60 °C', () => {
    const both = scheduleTogether([braise('neck', 'blue', seven), braise('leg', 'blue', seven)]);
    const first = both[0];
    // Whoever begins first is told first.
    expect(Date.parse(both[0]?.startAt ?? '')).toBeLessThan(Date.parse(both[1]?.startAt ?? ''));
    expect(first?.waitsMinutes).toBeGreaterThan(60);
    expect(first?.text).toMatch(/wanted twice: keep it at 60 °C/);
    // It is the pot that is wanted, not the hands.
    expect(first?.text).not.toContain('two hands');
  });

  test('whoever begins first is told first, in whatever order they are asked about', () => {
    const eight = '2027-01-17T20:00:00+01:00';
    for (const asked of [
      [braise('neck', 'blue', seven), braise('leg', 'steel', eight)],
      [braise('leg', 'steel', eight), braise('neck', 'blue', seven)],
    ])
      expect(scheduleTogether(asked).map(({ id }) => id)).toEqual(['neck', 'leg']);
  });

  test('another time to eat is kept: what is eaten an hour sooner ends an hour sooner', () => {
    const both = scheduleTogether([braise('neck', 'blue', '2027-01-17T18:00:00+01:00'), braise('leg', 'steel', seven)]);
    const neck = both.find(({ id }) => id === 'neck');
    expect(Date.parse(neck?.startAt ?? '')).toBeLessThan(Date.parse('2027-01-17T16:30:00+01:00'));
  });

  test('a pot that is still on the fire: what needs it begins and is eaten as much later, and in time not at all', () => {
    const { clock } = braise('neck', 'blue', seven);
    const needed = Date.parse(clock.eatAt) - (clock.totalMinutes - potMinute(clock.tasks)) * 60_000;
    const startAt = shiftIso(seven, -clock.totalMinutes);
    const late = afterBusyPot({ ...clock, startAt }, needed + 40 * 60_000);
    // Times of day are kept to the second.
    expect(late?.delayMinutes).toBeCloseTo(40, 1);
    expect((Date.parse(late?.startAt ?? '') - Date.parse(startAt)) / 60_000).toBeCloseTo(40, 1);
    expect((Date.parse(late?.eatAt ?? '') - Date.parse(seven)) / 60_000).toBeCloseTo(40, 1);
    expect(afterBusyPot({ ...clock, startAt }, needed - 5 * 60_000)).toBeNull();
    expect(afterBusyPot({ ...clock, startAt: null, eatAt: null }, needed + 40 * 60_000)).toBeNull();
  });
});
