/**
 * What this device remembers until the browser is closed; null where nothing is kept, or nothing readable.
 *
 * @param key by which it was kept
 */
export function remembered(key: string): unknown {
  try {
    return JSON.parse(sessionStorage.getItem(key) ?? 'null') as unknown;
  } catch {
    return null;
  }
}

/** Remembers something on this device until the browser is closed: a convenience, and lost without a word where it cannot. */
export function remember(key: string, value: unknown): void {
  try {
    sessionStorage.setItem(key, JSON.stringify(value));
  } catch {
    // Full, or forbidden.
  }
}
