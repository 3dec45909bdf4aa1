import type { Fault } from '@hervir/contract';
import { KEPT_HEADER } from './kept-header';
import { serverAnswered, serverSilent } from './server-store';
import { language, t, textOf } from '../language/t';

/** The server refused, and says why field by field. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly faults: readonly Fault[],
    readonly body: unknown,
  ) {
    super(
      faults.map((fault) => `${fault.path}: ${textOf(fault.problem)}`).join('; ') ||
        t('api.the-server-answered', { status }),
    );
  }
}

/** The server could not be reached, or cannot do its work just now: what was to be sent is kept, and sent again. */
export class Away extends Error {
  /** @param why what it says itself: its disk is full, for instance */
  constructor(readonly why: string | null = null) {
    super(why ?? t('api.the-server-does-not-answer'));
  }
}

/** The answer is asked for in the language of the page, which need not be the browser's. */
const inMyLanguage = (): Record<string, string> => ({ 'accept-language': language() });

/** A stream of the server in the language of the page: it can send no header. */
export const streamOf = (path: string): EventSource =>
  new EventSource(`/api${path}?${new URLSearchParams({ language: language() }).toString()}`);

/** A file goes as it is: it may be larger than a page's memory. Anything else is JSON. */
function bodyOf(body: unknown): Pick<RequestInit, 'headers' | 'body'> {
  return body instanceof Blob
    ? { headers: { ...inMyLanguage(), 'content-type': body.type || 'application/octet-stream' }, body }
    : { headers: { ...inMyLanguage(), 'content-type': 'application/json' }, body: JSON.stringify(body) };
}

/**
 * One request to our own server.
 *
 * @param body JSON, or a file
 * @throws Away when there is no answer, Refused when there is one and it is no
 */
export async function request<T>(
  method: 'GET' | 'POST' | 'PUT' | 'DELETE',
  path: string,
  body?: unknown,
  keepalive = false,
): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      keepalive,
      ...(body === undefined ? { headers: inMyLanguage() } : bodyOf(body)),
    });
  } catch {
    serverSilent();
    throw new Away();
  }
  const answer: unknown = await response.json().catch(() => null);
  const kept = response.headers.get(KEPT_HEADER);
  // A proxy, or our own static files while the server restarts, answers without faults: as good as away.
  const noServer = response.status >= 500 && !hasFaults(answer);
  if (kept !== null) serverSilent(Date.parse(kept) || undefined);
  else if (noServer) serverSilent();
  else serverAnswered();
  if (response.ok) return answer as T;
  if (response.status >= 500)
    throw new Away(hasFaults(answer) && answer.faults[0] ? textOf(answer.faults[0].problem) : null);
  throw new Refused(response.status, hasFaults(answer) ? answer.faults : [], answer);
}

function hasFaults(answer: unknown): answer is { faults: readonly Fault[] } {
  return typeof answer === 'object' && answer !== null && Array.isArray((answer as { faults?: unknown }).faults);
}

/** A UUID made here: also over plain http in the house, where the browser has no randomUUID. */
export function newId(): string {
  if (typeof crypto.randomUUID === 'function') return crypto.randomUUID();
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = ((bytes[6] as number) & 0x0f) | 0x40;
  bytes[8] = ((bytes[8] as number) & 0x3f) | 0x80;
  const hex = Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}
