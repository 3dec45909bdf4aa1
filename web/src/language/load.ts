import { LANGUAGES, USUAL_LANGUAGE, type Catalog, type CatalogName, type Language } from '@hervir/language';
import { alsoSpeak, speak } from './t';

type Part = () => Promise<{ readonly messages: Catalog }>;

/** What each catalog is fetched from: what the first room says, and everything else. */
const PARTS = {
  en: { first: () => import('@hervir/language/en/first'), rest: () => import('@hervir/language/en/rest') },
  'en-US': { first: () => import('@hervir/language/en-US/first'), rest: () => import('@hervir/language/en-US/rest') },
  es: { first: () => import('@hervir/language/es/first'), rest: () => import('@hervir/language/es/rest') },
  'es-MX': { first: () => import('@hervir/language/es-MX/first'), rest: () => import('@hervir/language/es-MX/rest') },
} as const satisfies Readonly<Record<CatalogName, { readonly first: Part; readonly rest: Part }>>;

let spoken: Language = USUAL_LANGUAGE;
let rest: Promise<void> | null = null;

const fetched = async (part: 'first' | 'rest'): Promise<Catalog[]> => {
  const parts = await Promise.all(LANGUAGES[spoken].catalogs.map((name) => PARTS[name][part]()));
  return parts.map(({ messages }) => messages);
};

/** Fetches what the first room says, and speaks it from then on. */
export async function beginToSpeak(language: Language): Promise<void> {
  spoken = language;
  rest = null;
  // A word that is needed and is not among the first is fetched with all the others.
  speak(language, await fetched('first'), () => void restOfWords().catch(() => undefined));
  document.documentElement.lang = language;
}

/** Everything that the other rooms say; fetched once, and again where that failed. */
export function restOfWords(): Promise<void> {
  rest ??= fetched('rest').then(alsoSpeak, (error: unknown) => {
    rest = null;
    throw error;
  });
  return rest;
}
