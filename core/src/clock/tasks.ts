import type { Text } from '@hervir/language/message';
import type { Block, Track, Work } from '../method/step';
import type { Resource } from '../plan/plan';

/** Something to be done, before it has a time. */
export interface Task<R extends string = Resource> {
  readonly id: string;
  readonly label: Text;
  readonly minutes: number;
  /** What it occupies; where several pots are at work, each has a name of its own. */
  readonly resource: R;
  readonly handsOn: boolean;
  /** Ids of tasks that must be over before this one begins. */
  readonly after: readonly string[];
  /** Must be over so many minutes before the meal; 0 when nothing is said. */
  readonly endsBefore?: number;
  /** What kind of work it is, for whoever draws it; nothing is read out of its id. */
  readonly work: Work;
  /** Beside the main work; null for the main work. */
  readonly track: Track | null;
}

/**
 * The tasks of the clock: the blocks of the method, each with its name.
 *
 * @param blocks of the method
 * @param label what a block is called
 */
export function tasksOf(blocks: readonly Block[], label: (block: Block) => Text): Task[] {
  return blocks.map((block) => {
    const { id, work, minutes, resource, handsOn, after, track } = block;
    return { id, label: label(block), minutes, resource, handsOn, after, work, track };
  });
}

/** Whether a task may be put earlier by hand: what is cold or on its own burner can wait, what is in the pot cannot. */
export function isMovable(task: Pick<Task, 'resource'>): boolean {
  return task.resource === 'board' || task.resource === 'side-burner' || task.resource === 'hands';
}
