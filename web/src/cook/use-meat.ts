import { pressureTimes, type AsCooked, type PressureTimes } from '@hervir/core';
import { useQuery } from '@tanstack/react-query';
import { reckoner } from '../workers/reckoner';
import type { LiveCook } from './use-cook';

/** How often the meat is reckoned anew, ms. */
const AGAIN = 15_000;

/** The meat that is really in the pot, from the times that were pressed; null while the lid has not been on. */
export function useMeat(cook: LiveCook | null): {
  readonly meat: AsCooked | null;
  readonly times: PressureTimes | null;
} {
  const now = cook === null ? 0 : Math.floor(cook.now / AGAIN) * AGAIN;
  const times = cook === null ? null : pressureTimes(cook.state, now);
  const query = useQuery({
    queryKey: ['as-cooked', cook?.record.id, now, times?.pin, times?.timer, times?.heatOff, times?.vented, times?.down],
    queryFn: async () =>
      cook === null || times === null ? null : reckoner('beside').asCooked(cook.record.plan, times),
    enabled: times !== null && times.until >= 0,
    staleTime: Infinity,
    gcTime: 30_000,
    placeholderData: (before) => before,
  });
  return { meat: query.data?.ok === true ? query.data.value : null, times };
}
