import type { BraiseRecord, BraiseSummary } from '@hervir/contract';
import type { Forecast } from '@hervir/core';
import { useQueries } from '@tanstack/react-query';
import { request } from '../api/client';
import { keys, useRunning } from '../api/queries';
import { useUnits } from '../shared/use-units';
import { reckoner } from '../workers/reckoner';

/** So many of the plans ahead are looked into for which must be begun first. */
const LOOKED_INTO = 6;

/** A plan that waits, and when it must be begun; null while that is not reckoned. */
export interface NextPlan {
  readonly plan: BraiseSummary;
  readonly clock: Forecast['clock'] | null;
}

/**
 * The plan that must be begun next: across all plans whose dinner is ahead, by when their work begins and not by when they
 * are eaten; one that is on the fire already is begun.
 */
export function useNext(plans: readonly BraiseSummary[], now: Date): NextPlan | null {
  const { system } = useUnits();
  const running = new Set((useRunning().data ?? []).map(({ braiseId }) => braiseId));
  const ahead = plans
    .filter(({ id, serveAt }) => serveAt !== null && Date.parse(serveAt) > now.getTime() && !running.has(id))
    .sort((a, b) => Date.parse(a.serveAt ?? '') - Date.parse(b.serveAt ?? ''))
    .slice(0, LOOKED_INTO);
  const clocks = useQueries({
    queries: ahead.map(({ id, revision }) => ({
      queryKey: [...keys.braise(id), 'begins', revision, system],
      queryFn: async (): Promise<Forecast['clock'] | null> => {
        const { plan } = await request<BraiseRecord>('GET', `/braises/${id}`);
        const reckoned = await reckoner('beside').forecast(plan, system);
        return reckoned.ok ? reckoned.value.clock : null;
      },
      staleTime: Infinity,
    })),
  });
  const waiting = ahead.map((plan, i): NextPlan => ({ plan, clock: clocks[i]?.data ?? null }));
  const begins = ({ plan, clock }: NextPlan): number => Date.parse(clock?.startAt ?? plan.serveAt ?? '');
  return waiting.sort((a, b) => begins(a) - begins(b))[0] ?? null;
}
