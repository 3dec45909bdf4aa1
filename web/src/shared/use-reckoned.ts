import type { BraiseRecord, BraiseSummary } from '@hervir/contract';
import type { Forecast, Plan } from '@hervir/core';
import { useQueries } from '@tanstack/react-query';
import { request } from '../api/client';
import { keys } from '../api/queries';
import { forecastWorker } from '../workers/forecast-worker';
import { useTaught } from '../workers/use-taught';

/** A kept plan, whole, and what comes of it. */
export interface Reckoned {
  readonly plan: Plan;
  readonly clock: Forecast['clock'];
  /** What is done before the evening. */
  readonly ahead: Forecast['ahead'];
}

/** One and the same as long as nothing has come. */
const dataOf = (found: readonly { readonly data?: Reckoned | null | undefined }[]): readonly (Reckoned | null)[] =>
  found.map(({ data }) => data ?? null);

/** Kept plans fetched and reckoned beside the room's own work, each once for every change of it; null until then. */
export function useReckoned(plans: readonly BraiseSummary[]): readonly (Reckoned | null)[] {
  const { rows, ready } = useTaught();
  return useQueries({
    queries: plans.map(({ id, revision }) => ({
      queryKey: [...keys.braise(id), 'reckoned', revision, rows],
      enabled: ready,
      queryFn: async (): Promise<Reckoned | null> => {
        const { plan } = await request<BraiseRecord>('GET', `/braises/${id}`);
        const reckoned = await forecastWorker('beside').forecast(plan);
        return reckoned.ok ? { plan, clock: reckoned.value.clock, ahead: reckoned.value.ahead } : null;
      },
      staleTime: Infinity,
    })),
    combine: dataOf,
  });
}
