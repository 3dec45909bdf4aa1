import type { CookMessages } from '@hervir/contract';
import { create } from 'zustand';

interface ServerState {
  /** The server does not answer. */
  readonly away: boolean;
  /** While it is away: how old the oldest of what is shown may be, ms since 1970; null while nothing old is shown. */
  readonly shownSince: number | null;
  /** Whether the application is kept on this device, so that it opens without the server. */
  readonly onDevice: 'unknown' | 'kept' | 'impossible';
  /** What the server cannot do in the background at the moment, by what does it. */
  readonly troubles: Readonly<Record<string, string>>;
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
  troubles: {},
  install: null,
  renew: null,
}));

/** The server answered. */
export function serverAnswered(): void {
  if (useServer.getState().away) useServer.setState({ away: false, shownSince: null });
}

/**
 * The server did not answer.
 *
 * @param keptSince ms since 1970 of the answer that stands in; left out where none does
 */
export function serverSilent(keptSince?: number): void {
  const { shownSince } = useServer.getState();
  const oldest = keptSince === undefined ? shownSince : Math.min(keptSince, shownSince ?? keptSince);
  useServer.setState({ away: true, shownSince: oldest });
}

/** The server says what it cannot do in the background, or that it can again. */
export function receiveTrouble({ loop, problem }: CookMessages['trouble']): void {
  useServer.setState(({ troubles }) => {
    const others = Object.fromEntries(Object.entries(troubles).filter(([name]) => name !== loop));
    return { troubles: problem === null ? others : { ...others, [loop]: problem } };
  });
}
