/** The languages Hervir speaks: what each calls itself, and the messages it is made of, those that win last. */
export const LANGUAGES = {
  'en-GB': { name: 'English (United Kingdom)', catalogs: ['en'] },
  'en-US': { name: 'English (United States)', catalogs: ['en', 'en-US'] },
  'es-ES': { name: 'Español (España)', catalogs: ['es'] },
  'es-MX': { name: 'Español (México)', catalogs: ['es', 'es-MX'] },
} as const satisfies Readonly<Record<string, { readonly name: string; readonly catalogs: readonly string[] }>>;

/** A language Hervir speaks, BCP 47: it settles numbers, days and the clock too. */
export type Language = keyof typeof LANGUAGES;

/** A folder of `messages/`. */
export type CatalogName = (typeof LANGUAGES)[Language]['catalogs'][number];

/** Where nothing is asked for, or nothing that is known. */
export const USUAL_LANGUAGE: Language = 'en-GB';

/** Whether a name is one of the languages. */
export const isLanguage = (name: unknown): name is Language =>
  typeof name === 'string' && Object.prototype.hasOwnProperty.call(LANGUAGES, name);

/** Regions whose English has rutabaga, zucchini and a clock of twelve hours. */
const AMERICAN = new Set(['US', 'CA', 'PH', 'PR']);

function known(tag: string): Language | undefined {
  let locale: Intl.Locale;
  try {
    locale = new Intl.Locale(tag);
  } catch {
    return undefined;
  }
  const { language, region } = locale;
  if (language === 'en') return region !== undefined && AMERICAN.has(region) ? 'en-US' : 'en-GB';
  // Spanish without a country is Spain's; every other country is nearer to Mexico's.
  if (language === 'es') return region === undefined || region === 'ES' ? 'es-ES' : 'es-MX';
  return undefined;
}

/**
 * The first language of a list that Hervir speaks.
 *
 * @param asked BCP 47, the most wanted first, as a browser or an Accept-Language header lists them
 * @returns English of the United Kingdom where none is known
 * @example languageFor(['fr', 'es-AR', 'en']) // 'es-MX'
 */
export function languageFor(asked: readonly string[]): Language {
  for (const tag of asked) {
    const match = known(tag);
    if (match !== undefined) return match;
  }
  return USUAL_LANGUAGE;
}
