import { useMemo } from 'react';
import { useRunning } from '../api/queries';

/** The plans that are on the fire, by their ids: they are begun already, and said by their pots. */
export function useOnTheFire(): ReadonlySet<string> {
  const cooks = useRunning().data;
  return useMemo(
    () => new Set((cooks ?? []).flatMap(({ braiseId }) => (braiseId === null ? [] : [braiseId]))),
    [cooks],
  );
}
