import type { Resource, StageId } from '../plan/plan';
import type { AromaticGroup } from '../catalog/aromatics';
import type { Move, MoveKind } from './moves';

/** Opaque: compared, never read. */
export type StepId = string;
export type TaskId = string;

/** What a block of the clock is: one kind of work that is done without a break. */
export type Work =
  | { readonly kind: 'board'; readonly board: 'vegetables' | 'meat' }
  | { readonly kind: 'heat' }
  | {
      readonly kind: 'sear';
      readonly cut: string;
      readonly batch: number;
      readonly batches: number;
      readonly pieces: number;
    }
  | { readonly kind: 'fry'; readonly group: AromaticGroup; readonly setAside: boolean }
  | { readonly kind: 'marinade' }
  | { readonly kind: 'deglaze'; readonly scraped: boolean }
  | { readonly kind: 'load' }
  | { readonly kind: 'come-up'; readonly run: number }
  | { readonly kind: 'pressure'; readonly run: number; readonly stage: StageId }
  | { readonly kind: 'let-down'; readonly run: number }
  | { readonly kind: 'open'; readonly run: number }
  | { readonly kind: 'fill'; readonly stage: StageId; readonly open: boolean }
  | { readonly kind: 'boil'; readonly stage: StageId }
  | { readonly kind: 'simmer'; readonly stage: StageId }
  | { readonly kind: 'finish'; readonly move: MoveKind }
  | { readonly kind: 'rest' }
  | { readonly kind: 'plate' }
  | { readonly kind: 'put-away'; readonly move: MoveKind }
  | { readonly kind: 'day'; readonly move: MoveKind }
  | { readonly kind: 'apart'; readonly addition: number }
  | { readonly kind: 'cook-apart'; readonly stage: StageId }
  | { readonly kind: 'later-board' }
  | { readonly kind: 'side'; readonly side: number; readonly task: number };

/** What is told at once, under one button: usually one move, sometimes a few that one hand does together. */
export interface Step {
  readonly id: StepId;
  readonly moves: readonly [Move, ...Move[]];
  readonly minutes: number;
  /** Needs a hand; otherwise it only takes its time. */
  readonly hands: boolean;
}

/** A block of the clock with the steps it is made of. */
export interface Block {
  readonly id: TaskId;
  readonly work: Work;
  readonly steps: readonly Step[];
  readonly minutes: number;
  readonly resource: Resource;
  readonly handsOn: boolean;
  /** Blocks that must be over before this one begins. */
  readonly after: readonly TaskId[];
  /** Beside the main work: what it belongs to. Null for the main work. */
  readonly track: Track | null;
}

/** Something that is done beside the main work: a side dish, a sauce or vegetables made apart, the board a second time. */
export type Track =
  | { readonly kind: 'side'; readonly side: number }
  | { readonly kind: 'apart'; readonly addition: number }
  | { readonly kind: 'cook-apart'; readonly stage: StageId }
  | { readonly kind: 'board' };

/** Everything that is done for a braise, in order, from the first cut to the plate. */
export interface Method {
  /** Days or hours before: each has its time instead of a place in the evening. */
  readonly ahead: readonly Step[];
  readonly blocks: readonly Block[];
  /** Where it is cooked ahead, what is done on the day it is eaten: it has a clock of its own. */
  readonly day: readonly Block[];
}

/** All steps of a method, those of days before first. */
export function stepsOf({ ahead, blocks, day }: Method): Step[] {
  return [...ahead, ...[...blocks, ...day].flatMap(({ steps }) => steps)];
}

/** The main work alone, heating the pot where the sear waits for it. */
export function mainBlocks({ blocks }: Pick<Method, 'blocks'>): Block[] {
  const main = blocks.filter(({ track }) => track === null);
  const heat = main.find(({ work }) => work.kind === 'heat');
  const rest = main.filter((block) => block !== heat);
  if (!heat) return rest;
  const at = rest.findIndex(({ after }) => after.includes(heat.id));
  return at < 0 ? [heat, ...rest] : [...rest.slice(0, at), heat, ...rest.slice(at)];
}
