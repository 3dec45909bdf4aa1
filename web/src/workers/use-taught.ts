import type { CalibrationRow } from '@hervir/core';
import { useEffect } from 'react';
import { useLearnt } from '../api/queries';
import { teach } from './forecast-worker';

/** What the log has taught, and whether that is known by now. */
export interface Taught {
  readonly rows: readonly CalibrationRow[] | undefined;
  /** Figures that change a moment later are worse than figures a moment later. */
  readonly ready: boolean;
}

/** Tells whatever reckons what the log has taught: whoever reckons by it waits until it is ready, and goes by its rows. */
export function useTaught(): Taught {
  const { data: rows, isLoading } = useLearnt();
  useEffect(() => {
    if (rows) teach(rows);
  }, [rows]);
  return { rows, ready: !isLoading };
}
