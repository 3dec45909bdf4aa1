import type { Catalog } from '@hervir/language';
import { lazy, type ComponentType, type LazyExoticComponent } from 'react';
import { alsoSpeak, speak } from './t';

type Part = () => Promise<{ readonly messages: Catalog }>;

/** What each language is fetched from: what the first room says, and everything else. */
const PARTS = {
  en: { first: () => import('@hervir/language/en/first'), rest: () => import('@hervir/language/en/rest') },
} as const satisfies Readonly<Record<string, { readonly first: Part; readonly rest: Part }>>;

/** How each language writes numbers, lists and days. */
const LOCALES = { en: 'en-GB' } as const satisfies Readonly<Record<keyof typeof PARTS, string>>;

/** A language the page can speak. */
export type Language = keyof typeof PARTS;

let spoken: Language = 'en';
let rest: Promise<void> | null = null;

/** Fetches what the first room says, and speaks it from then on. */
export async function beginToSpeak(language: Language): Promise<void> {
  const { messages } = await PARTS[language].first();
  spoken = language;
  rest = null;
  speak(LOCALES[language], [messages]);
}

/** Everything that the other rooms say; fetched once. */
export function restOfWords(): Promise<void> {
  rest ??= PARTS[spoken].rest().then(({ messages }) => alsoSpeak(messages));
  return rest;
}

/**
 * A part of the page that is fetched when it is opened, with the words for it.
 *
 * @param load gives the component
 */
export function later<P>(load: () => Promise<ComponentType<P>>): LazyExoticComponent<ComponentType<P>> {
  return lazy(async () => {
    const [component] = await Promise.all([load(), restOfWords()]);
    return { default: component };
  });
}
