import { useEffect, useState } from 'react';

/**
 * The time, often enough for a clock that shows minutes. A page that stays open on the counter and is looked at again in the
 * morning has it at once.
 */
export function useNow(everyMs = 15_000): Date {
  const [now, setNow] = useState(() => new Date());
  useEffect(() => {
    const look = (): void => setNow(new Date());
    const timer = setInterval(look, everyMs);
    document.addEventListener('visibilitychange', look);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', look);
    };
  }, [everyMs]);
  return now;
}
