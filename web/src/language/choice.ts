import { isLanguage, languageFor, type Language } from '@hervir/language';

const KEY = 'hervir.language';

/** The language that was chosen on this device; null where it is the browser's. */
export function chosenLanguage(): Language | null {
  try {
    const kept = localStorage.getItem(KEY);
    return isLanguage(kept) ? kept : null;
  } catch {
    return null;
  }
}

/** The language to speak: the chosen one, else the first of the browser's that is known. */
export const languageToSpeak = (): Language => chosenLanguage() ?? languageFor(navigator.languages);

/**
 * Chooses the language of this device; everything is drawn anew in it.
 *
 * @param language null for the browser's own
 */
export function chooseLanguage(language: Language | null): void {
  if (language === null) localStorage.removeItem(KEY);
  else localStorage.setItem(KEY, language);
  // What the server has said is in the former language, and every open stream too: a page that begins again asks anew.
  location.reload();
}
