import type { Plan } from '@hervir/core';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { reckoner } from './reckoner';
import type { Alternatives, Answer } from './reckoning';

/** Edits settle this long before what lies beside the plan is reckoned again, ms. */
const SETTLE = 250;

/** The plan done otherwise, a moment after the hands have left it; null until it is known or where it cannot be. */
export function useAlternatives(plan: Plan | null): Alternatives | null {
  const [settled, setSettled] = useState(plan);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(plan), SETTLE);
    return () => clearTimeout(timer);
  }, [plan]);
  const query = useQuery({
    queryKey: ['alternatives', settled],
    queryFn: async (): Promise<Answer<Alternatives> | null> =>
      settled === null ? null : reckoner('beside').alternatives(settled),
    enabled: settled !== null,
    staleTime: Infinity,
    gcTime: 60_000,
    placeholderData: (before) => before,
  });
  return query.data?.ok === true ? query.data.value : null;
}
