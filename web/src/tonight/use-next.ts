import type { BraiseSummary } from '@hervir/contract';
import { afterBusyPot, cookedAt, scheduleTogether, type AfterBusyPot, type BraiseToSchedule } from '@hervir/core';
import { useMemo } from 'react';
import type { BusyPot } from '../shared/busy-pots';
import { useBusyPots } from '../shared/use-busy-pots';
import { useOnTheFire } from '../shared/use-on-the-fire';
import { useReckoned, type Reckoned } from '../shared/use-reckoned';

/** So many of the plans ahead are looked into for which must be begun first. */
const LOOKED_INTO = 6;

/** When a plan is begun, with the other plans and what is on the fire reckoned with. */
export interface Begins {
  readonly startAt: string;
  readonly eatAt: string;
  /** Cooked ahead: it is in the fridge then, and eaten another day. */
  readonly kept: boolean;
  /** It begins so much earlier than it would alone, for another braise wants the same pot or the same hands, minutes. */
  readonly earlierMinutes: number;
  /** Its pot is still on the fire when it would be needed. */
  readonly after: (AfterBusyPot & { readonly pot: BusyPot }) | null;
}

/** A plan that waits, and when it must be begun; null while that is not reckoned. */
export interface NextPlan {
  readonly plan: BraiseSummary;
  readonly begins: Begins | null;
}

/** All that wait, laid beside one another: one cook, one board, each pot one thing at a time. */
function besideOneAnother(
  waiting: readonly { readonly plan: BraiseSummary; readonly reckoned: Reckoned | null }[],
  busy: ReadonlyMap<string, BusyPot> | null,
): NextPlan[] {
  // What is on the fire moves what comes after it: until that is read, no plan says when it begins.
  if (busy === null) return waiting.map(({ plan }) => ({ plan, begins: null }));
  const known = waiting.flatMap(({ plan, reckoned }): BraiseToSchedule[] =>
    reckoned === null || plan.serveAt === null || cookedAt(reckoned.plan) !== null
      ? []
      : [
          {
            id: plan.id,
            name: plan.name,
            pot: reckoned.plan.cooker.name,
            clock: { ...reckoned.clock, eatAt: reckoned.clock.eatAt ?? plan.serveAt },
          },
        ],
  );
  const beside = new Map(scheduleTogether(known).map((one) => [one.id, one]));
  return waiting.map(({ plan, reckoned }): NextPlan => {
    const own = beside.get(plan.id);
    if (own === undefined || reckoned === null || plan.serveAt === null) return { plan, begins: null };
    const pot = busy.get(reckoned.plan.cooker.name);
    const eatAt = reckoned.clock.eatAt ?? plan.serveAt;
    const after = pot && afterBusyPot({ ...reckoned.clock, startAt: own.startAt, eatAt }, pot.freeAt);
    return {
      plan,
      begins: {
        startAt: after?.startAt ?? own.startAt,
        eatAt: after?.eatAt ?? eatAt,
        kept: reckoned.plan.cookAhead !== undefined,
        earlierMinutes: own.earlierMinutes,
        after: pot && after ? { ...after, pot } : null,
      },
    };
  });
}

/** The plans whose dinner is ahead and that are not on the fire, the next dinner first: as many as are looked into. */
export function usePlansAhead(plans: readonly BraiseSummary[], now: Date): readonly BraiseSummary[] {
  const onTheFire = useOnTheFire();
  return useMemo(
    () =>
      plans
        .filter(({ id, serveAt }) => serveAt !== null && Date.parse(serveAt) > now.getTime() && !onTheFire.has(id))
        .sort((a, b) => Date.parse(a.serveAt ?? '') - Date.parse(b.serveAt ?? ''))
        .slice(0, LOOKED_INTO),
    [plans, onTheFire, now],
  );
}

/**
 * The plan that must be begun next: across the plans whose dinner is ahead ({@link usePlansAhead}), by when their work begins and not by when they
 * are eaten, with each pot and the cook's hands once; one that is on the fire already is begun.
 */
export function useNext(ahead: readonly BraiseSummary[], now: Date): NextPlan | null {
  const reckoned = useReckoned(ahead);
  const busy = useBusyPots(now);
  // Laid out anew when a plan, a cook or the minute changes, and not at every key of the sentence above.
  return useMemo(() => {
    // Cooked ahead and cooked already, only its day is to come: that stands with the days.
    const both = ahead
      .map((plan, i) => ({ plan, reckoned: reckoned[i] ?? null }))
      .filter(({ reckoned: one }) => one === null || cookedAt(one.plan) === null);
    const waiting = besideOneAnother(both, busy);
    const begin = ({ plan, begins }: NextPlan): number => Date.parse(begins?.startAt ?? plan.serveAt ?? '');
    return waiting.sort((a, b) => begin(a) - begin(b))[0] ?? null;
  }, [ahead, reckoned, busy]);
}
