import { useEffect, type ReactNode } from 'react';
import { useToasts } from '../shared/toast';

/** Long enough to be read, ms. */
const STAYS = 8_000;

/** Toasts where what draws them could not be fetched: a line over the room, the newest only. */
export function PlainToaster(): ReactNode {
  const asked = useToasts((state) => state.asked);
  const last = asked.at(-1);
  useEffect(() => {
    if (last === undefined) return undefined;
    const timer = setTimeout(() => useToasts.setState({ asked: [] }), STAYS);
    return () => clearTimeout(timer);
  }, [last]);
  if (last === undefined || 'dismiss' in last) return null;
  return (
    <div className="notice" role="status">
      {'show' in last ? last.show.content : `${last.call.title}: ${last.call.words}`}
    </div>
  );
}
