import type { Plan } from '../plan/plan';
import type { Task } from './tasks';

type Kinds = readonly Pick<Task, 'id' | 'work'>[];

/** The task after which a braise can wait at no cost: the lid is off for the first time, and nothing else is in yet. */
const waitsAfter = (tasks: Kinds): string | undefined => tasks.find(({ work }) => work.kind === 'open')?.id;

/**
 * Minutes of spare a plan keeps for what takes longer: the pot stands under its lid so long, off the heat, before it goes on.
 *
 * @param plan with what its cook put earlier
 * @param tasks of its clock
 * @example spareOf(plan, forecast(plan).clock.tasks) // 0
 */
export function spareOf({ moved }: Pick<Plan, 'moved'>, tasks: Kinds): number {
  const id = waitsAfter(tasks);
  return id === undefined ? 0 : (moved[id] ?? 0);
}

/**
 * The plan begun earlier by so many minutes of spare: all up to the first opening moves, what follows stays by the meal.
 *
 * @param plan with what its cook put earlier
 * @param tasks of its clock
 * @param minutes of spare; none or fewer takes it away
 * @example withSpare(plan, forecast(plan).clock.tasks, 16).moved.open // 16
 */
export function withSpare({ moved }: Pick<Plan, 'moved'>, tasks: Kinds, minutes: number): Pick<Plan, 'moved'> {
  const id = waitsAfter(tasks);
  if (id === undefined) return { moved };
  const others = Object.fromEntries(Object.entries(moved).filter(([task]) => task !== id));
  return { moved: minutes > 0 ? { ...others, [id]: Math.round(minutes) } : others };
}
