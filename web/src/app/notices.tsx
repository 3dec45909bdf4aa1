import { useEffect, type ReactNode } from 'react';
import { useLocation } from 'react-router';
import { request } from '../api/client';
import { queryClient } from '../api/queries';
import { clockAt } from '../shared/words';
import { useServer } from '../api/server-store';
import { rich } from '../language/t';

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
        {rich('app.the-server-is-away-what', {
          span: (words) => <span aria-hidden>{words}</span>,
          shownSince: shownSince === null,
          time: shownSince === null ? '' : clockAt(shownSince, null),
        })}
      </p>
    );
  }
  const [trouble] = Object.entries(troubles);
  if (trouble) {
    return (
      <p className="notice" role="status">
        {rich('app.hervirs-machine-has-trouble-with', {
          span: (words) => <span aria-hidden>{words}</span>,
          loop: trouble[0],
          problem: trouble[1],
        })}
      </p>
    );
  }
  // Nothing changes under wet hands: it is said where nobody is cooking.
  if (renew !== null && !atThePot) {
    return (
      <p className="notice" role="status">
        {rich('app.a-newer-hervir-is-here', {
          button: (words) => (
            <button type="button" className="rail-button" onClick={renew}>
              {words}
            </button>
          ),
        })}
      </p>
    );
  }
  return null;
}
