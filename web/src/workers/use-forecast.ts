import type { Forecast, Plan } from '@hervir/core';
import { useEffect, useRef, useState } from 'react';
import { forecastWorker } from './forecast-worker';
import type { PlanFault } from './answer';
import { useTaught } from './use-taught';
import { whyOf } from '../language/why-of';

/** What is known about a plan right now. */
export interface Reckoning {
  /** The newest forecast; while another is on its way, or the plan is impossible, the one before. */
  readonly forecast: Forecast | null;
  readonly fault: PlanFault | null;
  /** The reckoning itself broke: a defect, said and not hidden. */
  readonly broken: string | null;
}

const NOTHING: Reckoning = { forecast: null, fault: null, broken: null };

/**
 * Reckons a plan in the worker. While it is busy only the newest plan waits, so that a dragged handle never queues up
 * figures nobody will see.
 */
export function useForecast(plan: Plan | null): Reckoning {
  const { rows, ready } = useTaught();
  const [known, setKnown] = useState<Reckoning>(NOTHING);
  const waiting = useRef<{ plan: Plan } | null>(null);
  const busy = useRef(false);
  const alive = useRef(true);

  useEffect(() => {
    alive.current = true;
    return () => {
      alive.current = false;
    };
  }, []);

  useEffect(() => {
    if (plan === null || !ready) return;
    waiting.current = { plan };
    if (busy.current) return;
    busy.current = true;
    void (async () => {
      while (waiting.current !== null) {
        const next: { plan: Plan } = waiting.current;
        waiting.current = null;
        try {
          const reckoned = await forecastWorker('plan').forecast(next.plan);
          if (!alive.current) break;
          setKnown((before) =>
            reckoned.ok
              ? { forecast: reckoned.value, fault: null, broken: null }
              : { forecast: before.forecast, fault: reckoned, broken: null },
          );
        } catch (error) {
          if (!alive.current) break;
          setKnown((before) => ({ ...before, broken: whyOf(error) }));
        }
      }
      busy.current = false;
    })();
    // What was learnt since changes every figure.
  }, [plan, rows, ready]);

  return known;
}
