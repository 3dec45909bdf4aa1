import { useEffect, type ReactNode } from 'react';
import { useLocation } from 'react-router';
import { request } from '../api/client';
import { queryClient } from '../api/queries';
import { clockTime } from '../shared/words';
import { useServer } from '../state/server-store';

/** How often an absent server is looked for, ms. */
const LOOK_EVERY = 4000;

/** Looks for the server until it answers, then reads everything anew. */
function useLookOut(away: boolean): void {
  useEffect(() => {
    if (!away) return undefined;
    const look = setInterval(() => {
      // Whether it answered is noted by whoever asks.
      void request('GET', '/health').catch(() => undefined);
    }, LOOK_EVERY);
    return () => {
      clearInterval(look);
      void queryClient.invalidateQueries();
    };
  }, [away]);
}

/** What hangs over every room: that the server is away, or that a newer version waits. */
export function Notices(): ReactNode {
  const { away, shownSince, renew, troubles } = useServer();
  const atThePot = useLocation().pathname.startsWith('/cook/');
  useLookOut(away);
  if (away && !atThePot) {
    return (
      <p className="notice" role="status">
        <span aria-hidden>▲ </span>The server is away.{' '}
        {shownSince === null
          ? 'What you have open stays; edits and presses are kept here and sent when it is back.'
          : `What you see is as of ${clockTime(new Date(shownSince).toISOString())}. Edits and presses are kept here and sent when it is back.`}
      </p>
    );
  }
  const [trouble] = Object.entries(troubles);
  if (trouble) {
    return (
      <p className="notice" role="status">
        <span aria-hidden>▲ </span>Hervir’s machine has trouble with the {trouble[0]}: {trouble[1]}. It tries again by
        itself; what you press is kept.
      </p>
    );
  }
  // Nothing changes under wet hands: it is said where nobody is cooking.
  if (renew !== null && !atThePot) {
    return (
      <p className="notice" role="status">
        A newer Hervir is here.
        <button type="button" className="rail-button" onClick={renew}>
          Take it now
        </button>
      </p>
    );
  }
  return null;
}
