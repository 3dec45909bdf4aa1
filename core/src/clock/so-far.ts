import type { Move } from '../method/moves';
import type { CookState, StepState } from './cook-state';

/** A step that was done, or is being done: its moves, and how long it really took. */
export interface Happened {
  readonly moves: readonly Move[];
  readonly minutes: number;
  /** Its end was told; what hands do at its end has been done. */
  readonly over: boolean;
}

/** All that a pot has been through since its first lid went on, every run of it. */
export interface SoFar {
  /** When the first lid was closed, ms since 1970. */
  readonly lidOnAt: number;
  /** Minutes from then to the first pin, where somebody saw it and nothing burnt before. */
  readonly pin: number | null;
  /** In order, from the closed lid on. */
  readonly steps: readonly Happened[];
  /** Since the lid went on, minutes. */
  readonly until: number;
}

/** Nobody is asked what a pot is like that was forgotten for so long, minutes. */
const LONGEST = 12 * 60;
const MINUTE = 60_000;

const has = ({ step }: StepState, is: (move: Move) => boolean): boolean => step.moves.some((move) => is(move));
const starts = (move: Move): boolean => move.kind === 'start' || move.kind === 'lock-and-start';

/**
 * What has happened to the pot: what was pressed in the place of what was planned. A burn that was cleared, a lid put back
 * on and a second run are steps like the others.
 *
 * @param state the cook
 * @param nowMs wall clock, ms since 1970
 * @returns null while the lid has not been on
 * @example soFar(cookState(guide, [], 0), 0) // null
 */
export function soFar(state: CookState, nowMs: number): SoFar | null {
  const lid = state.steps.findIndex((one) => has(one, starts));
  const lidOnAt = state.steps[lid]?.doneAt ?? null;
  if (lidOnAt === null) return null;
  // Out of the pot it is served, or put away.
  const plated = state.steps.findIndex((one) => has(one, ({ kind }) => kind === 'plate' || kind === 'put-away'));
  const end = Math.min(nowMs, lidOnAt + LONGEST * MINUTE);
  const steps = state.steps
    .slice(lid + 1, plated < 0 ? undefined : plated)
    .flatMap(({ step, startedAt, doneAt }): Happened[] => {
      if (startedAt === null || startedAt > end) return [];
      const over = doneAt !== null && doneAt <= end;
      return [{ moves: step.moves, minutes: Math.max(0, ((over ? doneAt : end) - startedAt) / MINUTE), over }];
    });
  const up = state.steps.find((one) => has(one, (move) => move.kind === 'come-up' && move.until === 'pin'));
  const planned =
    up !== undefined && !up.passedOver && !up.cutShort && up.step.run === 1 && up.step.broughtInBy === null;
  return {
    lidOnAt,
    pin: planned && up.doneAt !== null ? (up.doneAt - lidOnAt) / MINUTE : null,
    steps,
    until: steps.reduce((sum, { minutes }) => sum + minutes, 0),
  };
}

/**
 * Minutes under pressure so far: of every run, those after a burn and after "lid back on" too.
 *
 * @param state the cook
 * @param nowMs wall clock, ms since 1970
 * @example underPressure(cookState(guide, [], 0), 0) // 0
 */
export function underPressure(state: CookState, nowMs: number): number {
  return state.steps
    .filter((one) => !one.passedOver && has(one, ({ kind }) => kind === 'hold'))
    .reduce((sum, { startedAt, doneAt }) => {
      return startedAt === null ? sum : sum + Math.max(0, (doneAt ?? nowMs) - startedAt) / MINUTE;
    }, 0);
}
