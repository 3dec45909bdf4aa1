import type { CookState } from './cook-state';

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
  const at = (...ids: string[]): number | null => {
    for (const id of ids) {
      const found = state.steps.find(({ step, passedOver }) => step.id === id && !passedOver);
      if (found && found.doneAt !== null) return found.doneAt;
    }
    return null;
  };
  const lidOnAt = state.steps.find(({ step }) => step.id === 'valve')?.doneAt ?? null;
  if (lidOnAt === null) return null;
  const since = (time: number | null): number | null => (time === null ? null : (time - lidOnAt) / 60_000);
  const natural = state.steps.find(({ step }) => step.id === 'natural');
  const fell = state.steps.find(({ step }) => step.id === 'pin-down');
  // Where the pin fell by itself, nobody opened the valve.
  const byItself = fell === undefined ? natural?.step.done === 'pinDown' : fell.passedOver;
  const ventStep = at('vent') ?? (byItself ? null : (natural?.doneAt ?? null));
  const downAt = fell?.doneAt ?? (fell === undefined ? (natural?.doneAt ?? null) : null);
  return {
    pin: since(at('pin')),
    timer: since(at('timer', 'pin')),
    heatOff: since(at('pressure')),
    vented: since(ventStep),
    down: since(downAt),
    until: since(downAt ?? nowMs) as number,
    lidOnAt,
  };
}
