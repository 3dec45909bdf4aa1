import type { Draft } from './bench-reducer';

const keyOf = (id: string): string => `hervir.draft.${id}`;

/** An edit of a plan that this device still keeps; null where there is none that can be read. */
export function readDraft(id: string): Draft | null {
  try {
    const text = localStorage.getItem(keyOf(id));
    return text === null ? null : (JSON.parse(text) as Draft);
  } catch {
    // A draft that cannot be read is worth less than a bench that cannot be opened.
    return null;
  }
}

/** Keeps an edit on this device, or forgets it once it is on the server. */
export function writeDraft(id: string, draft: Draft | null): void {
  try {
    if (draft === null) localStorage.removeItem(keyOf(id));
    else localStorage.setItem(keyOf(id), JSON.stringify(draft));
  } catch {
    // Storage is full or forbidden: the edit still goes to the server, only not to this second place.
  }
}
