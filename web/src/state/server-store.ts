import { create } from 'zustand';

interface ServerState {
  /** The server does not answer. */
  readonly away: boolean;
  /** While it is away: how old the oldest of what is shown may be, ms since 1970; null while nothing old is shown. */
  readonly shownSince: number | null;
  /** Whether the application is kept on this device, so that it opens without the server. */
  readonly onDevice: 'unknown' | 'kept' | 'impossible';
  /** Asks the browser to put Hervir among the device's programs; null where it does not offer that. */
  readonly install: (() => void) | null;
  /** A newer version waits: takes it, and loads the page anew. */
  readonly renew: (() => void) | null;
}

/** What this page knows of its server, whoever asked last. */
export const useServer = create<ServerState>()(() => ({
  away: false,
  shownSince: null,
  onDevice: 'unknown',
  install: null,
  renew: null,
}));

/** The server answered. */
export function heard(): void {
  if (useServer.getState().away) useServer.setState({ away: false, shownSince: null });
}

/**
 * The server did not answer.
 *
 * @param keptSince ms since 1970 of the answer that stands in; left out where none does
 */
export function unheard(keptSince?: number): void {
  const { shownSince } = useServer.getState();
  const oldest = keptSince === undefined ? shownSince : Math.min(keptSince, shownSince ?? keptSince);
  useServer.setState({ away: true, shownSince: oldest });
}
