import type { CookMessages, CookMessageType, CookRecord } from '@hervir/contract';
import { Refused, request, streamOf } from '../api/client';
import { keys, queryClient } from '../api/queries';
import { forgetCook, receiveCooks, receiveEvent, receiveRunning, sendAll, useCooks } from '../state/cooks-store';
import { serverAnswered, receiveTrouble, serverSilent, useServer } from '../api/server-store';
import { keepClock, setClock } from './kitchen-clock';

type Message = {
  readonly [T in CookMessageType]: { readonly type: T; readonly data: CookMessages[T] };
}[CookMessageType];

/** What the page that listens tells the others when the server falls silent. */
const SILENT = 'silent';

function silent(): void {
  serverSilent();
  useCooks.setState({ reached: false });
}

const TYPES: readonly CookMessageType[] = ['hello', 'clock', 'event', 'cooks', 'trouble'];
const NAME = 'hervir.cooks';

/** A cook of this device that is not under way any more: it has ended, or was thrown away. Which, the server says. */
async function lookAgain(id: string): Promise<void> {
  try {
    receiveCooks([await request<CookRecord>('GET', `/cooks/${id}`)]);
  } catch (error) {
    if (!(error instanceof Refused && error.status === 404)) return;
    forgetCook(id);
    // Its own page asks again, and says that it is not here.
    await queryClient.resetQueries({ queryKey: keys.cook(id) });
  }
}

async function loadRunning(): Promise<void> {
  try {
    const running = await request<CookRecord[]>('GET', '/cooks/running');
    // A kept answer is no newer than what this device kept itself.
    if (useServer.getState().away) receiveCooks(running);
    else {
      receiveRunning(running);
      const there = new Set(running.map(({ id }) => id));
      await Promise.all(
        Object.keys(useCooks.getState().cooks)
          .filter((id) => !there.has(id))
          .map(lookAgain),
      );
    }
  } catch {
    // Away: the stream comes back by itself, and asks again.
  }
}

function take(message: Message): void {
  switch (message.type) {
    case 'hello':
      setClock(message.data);
      serverAnswered();
      useCooks.setState({ reached: true });
      void loadRunning();
      void sendAll();
      break;
    case 'clock':
      setClock(message.data);
      break;
    case 'trouble':
      receiveTrouble(message.data);
      break;
    case 'event':
      receiveEvent(message.data);
      break;
    case 'cooks':
      void loadRunning();
      void queryClient.invalidateQueries({ queryKey: keys.running });
      // One that was closed is in the log by now, and may have taught something.
      void queryClient.invalidateQueries({ queryKey: keys.log });
      void queryClient.invalidateQueries({ queryKey: keys.learnt });
      break;
  }
}

/** Reads the server's stream, and passes every message on to the other pages of this browser. */
function listen(channel: BroadcastChannel): () => void {
  const source = streamOf('/cooks/stream');
  for (const type of TYPES) {
    source.addEventListener(type, (event: MessageEvent<string>) => {
      const message = { type, data: JSON.parse(event.data) as unknown } as Message;
      take(message);
      channel.postMessage(message);
    });
  }
  source.onerror = () => {
    silent();
    channel.postMessage(SILENT);
  };
  return () => source.close();
}

/**
 * Follows the running cooks. A browser opens only six connections to one server, and a stream holds one for good: of all
 * its pages one listens, by a lock, and tells the others. A page that holds a lock is not put to sleep either.
 */
function open(): () => void {
  const channel = new BroadcastChannel(NAME);
  channel.onmessage = ({ data }: MessageEvent<Message | typeof SILENT>) => (data === SILENT ? silent() : take(data));
  const stopClock = keepClock();
  const closed = new AbortController();
  let close = (): void => undefined;
  void loadRunning();
  if ('locks' in navigator) {
    navigator.locks
      .request(NAME, { signal: closed.signal }, async () => {
        if (closed.signal.aborted) return;
        const quit = listen(channel);
        await new Promise<void>((resolve) => {
          close = () => {
            quit();
            resolve();
          };
        });
      })
      // Closed while it waited for its turn: nothing was opened.
      .catch(() => undefined);
  } else {
    // No lock outside a secure context: every page listens for itself.
    close = listen(channel);
  }
  return () => {
    closed.abort();
    close();
    channel.close();
    stopClock();
  };
}

let followers = 0;
let stop: (() => void) | null = null;

function quit(): void {
  stop?.();
  stop = null;
}

/** A page that is left gives its connection back; one that is come back to takes it up again. */
window.addEventListener('pagehide', quit);
window.addEventListener('pageshow', () => {
  if (followers > 0) stop ??= open();
});

/** Follows all running cooks for as long as anybody on this page looks at one. */
export function follow(): () => void {
  followers += 1;
  stop ??= open();
  return () => {
    followers -= 1;
    if (followers === 0) quit();
  };
}
