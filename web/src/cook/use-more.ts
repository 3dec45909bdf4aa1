import { GRADES, isCheck, soFar, underPressure, type AdditionalMinutes } from '@hervir/core';
import { useQuery } from '@tanstack/react-query';
import { forecastWorker } from '../workers/forecast-worker';
import type { LiveCook } from './use-cook';

/** How much longer, for what the fork found; null while it is not known, or nothing more is wanted. */
export function useMore(cook: LiveCook | null): AdditionalMinutes | null {
  const grade = cook?.state.found ?? null;
  const short = cook !== null && grade !== null && GRADES.indexOf(grade) < GRADES.indexOf(cook.record.guide.wanted);
  const asks = short && cook.state.now !== null && isCheck(cook.state.now.step);
  // The pot as the lid came off: what it does while a piece is tried changes nothing that a cook could tell.
  const since = asks ? (cook.state.now?.startedAt ?? null) : null;
  const so = since === null || cook === null ? null : soFar(cook.state, since);
  const query = useQuery({
    queryKey: ['more', cook?.record.id, grade, cook?.state.now?.step.id],
    queryFn: async () =>
      grade === null || cook === null
        ? null
        : forecastWorker('beside').additionalMinutes(
            cook.record.plan,
            so ?? Math.round(underPressure(cook.state, cook.now)),
            grade,
          ),
    enabled: asks,
    staleTime: Infinity,
  });
  return asks && query.data?.ok === true ? query.data.value : null;
}
