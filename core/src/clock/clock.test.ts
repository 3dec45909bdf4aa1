import * as fc from 'fast-check';
import type { Resource } from '../plan/plan';
import { backwards } from './schedule';
import type { Task } from './tasks';

const task = (id: string, minutes: number, resource: Resource, handsOn: boolean, after: string[] = []): Task => ({
  id,
  label: id,
  minutes,
  resource,
  handsOn,
  after,
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
