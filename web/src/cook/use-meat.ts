import { soFar, type AsCooked, type SoFar } from '@hervir/core';
import { useQuery } from '@tanstack/react-query';
import { forecastWorker } from '../workers/forecast-worker';
import type { LiveCook } from './use-cook';

/** How often the meat is reckoned anew, ms. */
const AGAIN = 15_000;

/** The meat that is really in the pot, from what was pressed; null while the lid has not been on. */
export function useMeat(cook: LiveCook | null): {
  readonly meat: AsCooked | null;
  readonly so: SoFar | null;
} {
  const now = cook === null ? 0 : Math.floor(cook.now / AGAIN) * AGAIN;
  const so = cook === null ? null : soFar(cook.state, now);
  const query = useQuery({
    queryKey: ['as-cooked', cook?.record.id, now, so?.steps.map(({ minutes }) => Math.round(minutes * 10)).join()],
    queryFn: async () =>
      cook === null || so === null ? null : forecastWorker('beside').asCooked(cook.record.plan, so),
    enabled: so !== null,
    staleTime: Infinity,
    gcTime: 30_000,
    placeholderData: (before) => before,
  });
  return { meat: query.data?.ok === true ? query.data.value : null, so };
}
