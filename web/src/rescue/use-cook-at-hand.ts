import type { AtThePot } from '@hervir/core';
import { useCook, type LiveCook } from '../cook/use-cook';
import { useMeat } from '../cook/use-meat';
import { underPressure, useMore } from '../cook/use-more';

/** The running cook that a rescue is about, with its figures. */
export interface CookAtHand {
  readonly cook: LiveCook;
  readonly figures: AtThePot;
}

/** A running cook by its id; null while it is not known. */
export function useCookAtHand(id: string): CookAtHand | null {
  const cook = useCook(id);
  const { meat, times } = useMeat(cook);
  const more = useMore(cook);
  if (cook === null) return null;
  const done = underPressure(cook);
  const planned = cook.state.steps
    .filter(({ step, startedAt, doneAt }) => step.done === 'heaterOff' && !(startedAt !== null && doneAt !== null))
    .filter(({ step }) => step.run === 1)
    .reduce((sum, { minutes }) => sum + minutes, 0);
  const running = cook.state.now?.step.done === 'heaterOff' ? done : 0;
  return {
    cook,
    figures: {
      meat,
      underPressure: done,
      toGo: Math.max(0, planned - running),
      sinceLid: times === null ? null : (cook.now - times.lidOnAt) / 60_000,
      more,
    },
  };
}
