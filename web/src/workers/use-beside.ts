import type { Plan } from '@hervir/core';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { forecastWorker } from './forecast-worker';
import type { Answer } from './answer';
import type { ForecastApi } from './forecast-api';
import { useTaught } from './use-taught';

/** Edits settle this long before what lies beside the plan is reckoned again, ms. */
const SETTLE = 250;

/** What is reckoned of a plan beside its forecast. */
type BesidePlan = 'alternatives' | 'dinner';
type Found<K extends BesidePlan> = Extract<Awaited<ReturnType<ForecastApi[K]>>, { readonly ok: true }>['value'];

/**
 * What lies beside a plan, reckoned a moment after the hands have left it; null until it is known or where it cannot be. What
 * was known stands until what comes next is known.
 */
export function useBeside<K extends BesidePlan>(what: K, plan: Plan | null): Found<K> | null {
  const { rows, ready } = useTaught();
  const [settled, setSettled] = useState(plan);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(plan), SETTLE);
    return () => clearTimeout(timer);
  }, [plan]);
  const query = useQuery({
    // What was learnt since changes every figure.
    queryKey: [what, settled, rows],
    queryFn: async (): Promise<Answer<Found<K>> | null> =>
      settled === null ? null : ((await forecastWorker('beside')[what](settled)) as Answer<Found<K>>),
    enabled: settled !== null && ready,
    staleTime: Infinity,
    gcTime: 60_000,
    placeholderData: (before) => before,
  });
  return query.data?.ok === true ? query.data.value : null;
}
