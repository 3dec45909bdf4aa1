/**
 * The last message a browser had of a stream, from the header it sends when it comes back.
 *
 * @returns its number; null for who comes for the first time, or sends something else
 */
export function lastEvent(header: string | undefined): number | null {
  return header !== undefined && /^\d{1,15}$/.test(header) ? Number(header) : null;
}
