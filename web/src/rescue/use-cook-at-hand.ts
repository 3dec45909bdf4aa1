import { underPressure, type AtThePot } from '@hervir/core';
import { useCook, type LiveCook } from '../cook/use-cook';
import { useMeat } from '../cook/use-meat';
import { useMore } from '../cook/use-more';

/** The running cook that a rescue is about, with its figures. */
export interface CookAtHand {
  readonly cook: LiveCook;
  readonly figures: AtThePot;
}

/** A running cook by its id; null while it is not known. */
export function useCookAtHand(id: string): CookAtHand | null {
  const cook = useCook(id);
  const { meat, so } = useMeat(cook);
  const more = useMore(cook);
  if (cook === null) return null;
  const done = underPressure(cook.state, cook.now);
  const toGo = cook.state.steps
    .filter(({ step, doneAt }) => step.done === 'heaterOff' && step.run === 1 && doneAt === null)
    .reduce(
      (sum, { minutes, startedAt }) => sum + minutes - (startedAt === null ? 0 : (cook.now - startedAt) / 60_000),
      0,
    );
  return {
    cook,
    figures: {
      meat,
      underPressure: done,
      toGo: Math.max(0, toGo),
      sinceLid: so === null ? null : (cook.now - so.lidOnAt) / 60_000,
      more,
    },
  };
}
