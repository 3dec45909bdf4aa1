import { GRADES, isCheck, type More } from '@hervir/core';
import { useQuery } from '@tanstack/react-query';
import { reckoner } from '../workers/reckoner';
import type { LiveCook } from './use-cook';

/** Minutes under pressure so far, the first run and all that were added. */
export function underPressure({ state, now }: LiveCook): number {
  return state.steps
    .filter(({ step, startedAt, passedOver }) => step.done === 'heaterOff' && startedAt !== null && !passedOver)
    .filter(({ step }) => step.run === 1)
    .reduce((sum, { startedAt, doneAt }) => sum + ((doneAt ?? now) - (startedAt ?? now)) / 60_000, 0);
}

/** How much longer, for what the fork found; null while it is not known, or nothing more is wanted. */
export function useMore(cook: LiveCook | null): More | null {
  const grade = cook?.state.grade ?? null;
  const short = cook !== null && grade !== null && GRADES.indexOf(grade) < GRADES.indexOf(cook.record.guide.wanted);
  const asks = short && cook.state.now !== null && isCheck(cook.state.now.step);
  const done = cook === null ? 0 : Math.round(underPressure(cook));
  const query = useQuery({
    queryKey: ['more', cook?.record.id, grade, done],
    queryFn: async () =>
      grade === null || cook === null ? null : reckoner('beside').stillTough(cook.record.plan, done, grade),
    enabled: asks,
    staleTime: Infinity,
  });
  return asks && query.data?.ok === true ? query.data.value : null;
}
