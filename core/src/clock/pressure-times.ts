import type { Move } from '../method/moves';
import type { CookState, StepState } from './cook-state';

/** What really happened under the first lid, minutes from when it was closed; null for what has not happened yet. */
export interface PressureTimes {
  readonly pin: number | null;
  /** When the minutes began to count. */
  readonly timer: number | null;
  readonly heatOff: number | null;
  readonly vented: number | null;
  readonly down: number | null;
  /** Until now, or until the pin was down. */
  readonly until: number;
  /** When the lid was closed, ms since 1970. */
  readonly lidOnAt: number;
}

/**
 * The first pressure run of a cook as it was, for reckoning the meat that is really in the pot.
 *
 * @param state the cook
 * @param nowMs wall clock, ms since 1970
 * @returns null while the lid is not on
 * @example pressureTimes(cookState(guide, [], 0), 0) // null
 */
export function pressureTimes(state: CookState, nowMs: number): PressureTimes | null {
  const first = state.steps.filter(({ step }) => step.run === 1 && step.broughtInBy === null);
  const find = (is: (move: Move) => boolean): StepState | undefined =>
    first.find(({ step }) => step.moves.some((move) => is(move)));
  const at = (found: StepState | undefined): number | null =>
    found === undefined || found.passedOver || found.cutShort ? null : found.doneAt;
  const lidOnAt = find(({ kind }) => kind === 'start')?.doneAt ?? null;
  if (lidOnAt === null) return null;
  const since = (time: number | null): number | null => (time === null ? null : (time - lidOnAt) / 60_000);
  const pin = find((move) => move.kind === 'come-up' && move.until === 'pin');
  const timer = find((move) => move.kind === 'come-up' && move.until === 'count');
  const natural = find(({ kind }) => kind === 'leave');
  const fell = find(({ kind }) => kind === 'pin-falls');
  // Where the pin fell by itself, nobody opened the valve.
  const byItself = fell === undefined ? natural?.step.done === 'pinDown' : fell.passedOver;
  const ventStep = at(find(({ kind }) => kind === 'vent')) ?? (byItself ? null : (natural?.doneAt ?? null));
  const downAt = fell?.doneAt ?? (fell === undefined ? (natural?.doneAt ?? null) : null);
  return {
    pin: since(at(pin)),
    timer: since(at(timer) ?? at(pin)),
    heatOff: since(at(find(({ kind }) => kind === 'hold'))),
    vented: since(ventStep),
    down: since(downAt),
    until: since(downAt ?? nowMs) as number,
    lidOnAt,
  };
}
