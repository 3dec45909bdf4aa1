import type { Plan, Resource } from '../plan/plan';
import { type Portion, portionAt, type PortionId, type PortionKind } from '../plan/portions';
import type { Move } from './moves';
import type { Block, Step, Work } from './step';

/** Under this a number of minutes is none. */
export const NONE = 0.01;

/** Collects blocks, each after the one before. */
export class Line {
  readonly blocks: Block[] = [];
  private chain: string[] = [];

  add(
    id: string,
    work: Work,
    resource: Resource,
    steps: readonly Step[],
    handsOn: boolean,
    minutes = sum(steps),
  ): void {
    if (minutes <= 0) return;
    this.blocks.push({ id, work, steps, minutes, resource, handsOn, after: this.chain, track: null });
    this.chain = [id];
  }

  /** Beside the main work; it belongs to a track and waits for what it is told to wait for. */
  beside(block: Block): void {
    this.blocks.push(block);
  }

  /** The next block waits for these too. */
  waitsFor(...ids: readonly string[]): void {
    this.chain = [...this.chain, ...ids];
  }

  /** Starts a new chain behind the base that heats by itself. */
  get last(): string[] {
    return this.chain;
  }
}

export const sum = (steps: readonly { readonly minutes: number }[]): number =>
  steps.reduce((all, { minutes }) => all + minutes, 0);

export function step(id: string, moves: readonly [Move, ...Move[]], minutes: number, hands = true): Step {
  return { id, moves, minutes, hands };
}

/** What the plan says of each portion, asked for by the moves. */
export class Bowls {
  private readonly byKind = new Map<PortionKind, Portion[]>();

  constructor(
    readonly plan: Plan,
    readonly portions: readonly Portion[],
  ) {
    for (const portion of portions) {
      const same = this.byKind.get(portion.kind);
      if (same) same.push(portion);
      else this.byKind.set(portion.kind, [portion]);
    }
  }

  at(kind: PortionKind, index: number): PortionId | null {
    return portionAt(this.portions, kind, index)?.id ?? null;
  }

  ids(kind: PortionKind, takes: (index: number) => boolean): PortionId[] {
    return (this.byKind.get(kind) ?? []).filter(({ index }) => takes(index)).map(({ id }) => id);
  }

  cuts(indices: readonly number[]): PortionId[] {
    return this.ids('meat', (index) => indices.includes(index));
  }

  vegetables(takes: (item: Plan['vegetables'][number]) => boolean): PortionId[] {
    return this.ids('vegetable', (i) => takes(this.plan.vegetables[i] as Plan['vegetables'][number]));
  }

  grains(takes: (item: Plan['grains'][number]) => boolean): PortionId[] {
    return this.ids('grain', (i) => takes(this.plan.grains[i] as Plan['grains'][number]));
  }

  aromatics(takes: (item: Plan['aromatics'][number]) => boolean): PortionId[] {
    return this.ids('aromatic', (i) => takes(this.plan.aromatics[i] as Plan['aromatics'][number]));
  }

  additions(takes: (item: Plan['additions'][number]) => boolean): PortionId[] {
    return this.ids('addition', (i) => takes(this.plan.additions[i] as Plan['additions'][number]));
  }

  liquids(takes: (item: Plan['liquids'][number]) => boolean): PortionId[] {
    return this.ids('liquid', (i) => takes(this.plan.liquids[i] as Plan['liquids'][number]));
  }

  others(place: string): PortionId[] {
    return this.ids('other', (i) => this.plan.others[i]?.place === place);
  }
}

/** Moves that have something to move. */
export function some(...moves: readonly (Move | null)[]): Move[] {
  return moves.filter((move): move is Move => move !== null && !('portions' in move && move.portions.length === 0));
}

export const listOf = (moves: readonly Move[]): readonly [Move, ...Move[]] | null =>
  moves.length > 0 ? (moves as [Move, ...Move[]]) : null;
