import { KEPT_HEADER } from '../api/kept-header';

/** Reads that may be answered from what was last read. No streams, no files, no searches. */
const KEPT =
  /^\/api\/(health|settings|cookers|learning|rehearsals|braises(\/[^/?]+)?|cooks\/running|cooks\/[0-9a-f-]{36}|log\/[0-9a-f-]{36}|log\/charts|log\?(?!.*\btext=).*)$/;

/**
 * Whether an address is one whose last answer is kept on the device.
 *
 * @param address path and query
 */
export function isKept(address: string): boolean {
  return KEPT.test(address);
}

/** A kept answer as it is handed on: the same, and marked as kept since its own date. */
export function marked(kept: Response | null | undefined): Response | null {
  if (!kept) return null;
  const headers = new Headers(kept.headers);
  headers.set(KEPT_HEADER, kept.headers.get('date') ?? 'unknown');
  return new Response(kept.body, { status: kept.status, statusText: kept.statusText, headers });
}
