import { useMemo } from 'react';
import type { SaveState } from '../state/bench/bench-reducer';
import type { Reckoning } from '../workers/use-forecast';
import { useWords } from '../language/t';

/** What is wrong with a field, by its path in the plan; undefined when nothing is. */
export type FaultAt = (path: string) => string | undefined;

/** Faults of the reckoning and of the server, in one place for the fields to ask. */
export function useFaults(reckoning: Reckoning, save: SaveState): FaultAt {
  const words = useWords();
  return useMemo(() => {
    const known = new Map<string, string>();
    if (save.kind === 'refused') {
      for (const { path, problem, allowed } of save.faults)
        known.set(path.replace(/^plan\./, ''), words.t('shared.allowed', { problem, allowed }));
    }
    if (reckoning.fault) known.set(reckoning.fault.path, words.t('shared.allowed', reckoning.fault));
    return (path) => known.get(path);
  }, [reckoning.fault, save, words]);
}
