import { AsyncLocalStorage } from 'node:async_hooks';
import { wordsFor, type Catalog, type Text, type UnitSystem, type Words } from '@hervir/language';
import { messages as first } from '@hervir/language/en/first';
import { messages as rest } from '@hervir/language/en/rest';
import type { NextFunction, Request, Response } from 'express';
import type { MessageEvent } from '@nestjs/common';
import { map, type Observable } from 'rxjs';

/** What each language writes like, and what it says. */
const LANGUAGES = {
  en: { locale: 'en-GB', catalogs: [first, rest] },
} as const satisfies Readonly<Record<string, { readonly locale: string; readonly catalogs: readonly Catalog[] }>>;

/** A language that answers can be in. */
export type Language = keyof typeof LANGUAGES;

const ofRequest = new AsyncLocalStorage<Language>();
/** The kitchen's own units: what is read and set is printed in them. */
let units: UnitSystem = 'metric';
const made = new Map<string, Words>();

/** The kitchen's units from here on. */
export function printIn(system: UnitSystem): void {
  units = system;
}

/**
 * The language a request asks for: the first of its list that is known, English where none is.
 *
 * @param header its Accept-Language (RFC 9110, 12.5.4), in the order it is written
 * @example languageOf('fr, en;q=0.8') // 'en'
 */
export function languageOf(header: string | undefined): Language {
  const asked = (header ?? '').split(',').map((one) => one.trim().slice(0, 2).toLowerCase());
  return asked.find((one): one is Language => one in LANGUAGES) ?? 'en';
}

/** Words in the language of the request that is being answered, and in the kitchen's units. */
export function speaking(language: Language = ofRequest.getStore() ?? 'en', system: UnitSystem = units): Words {
  const key = `${language} ${system}`;
  const known = made.get(key);
  if (known) return known;
  const { locale, catalogs } = LANGUAGES[language];
  const words = wordsFor(locale, catalogs, system);
  made.set(key, words);
  return words;
}

/** Words of a text, now: for what is kept under a name, or written into a file. */
export const inWords = (text: Text): string => speaking().text(text);

/**
 * A text that leaves with an answer: it is put into words there, in the language of whoever asked.
 *
 * @param text as the reckoning says it
 */
export const asSaid = (text: Text): string => text as string;

/** Every answer leaves in the language its request asked for: messages in it become words. */
export function speak(request: Request, response: Response, next: NextFunction): void {
  // A stream cannot send headers: it says its language in its address.
  const said = request.query['language'];
  const language = languageOf(typeof said === 'string' ? said : request.headers['accept-language']);
  const json = response.json.bind(response);
  // The description of the interface speaks of messages and holds none.
  if (request.path !== '/api/openapi.json') response.json = (body: unknown) => json(speaking(language).spell(body));
  ofRequest.run(language, next);
}

/** The same for a stream: its messages become words as they leave. */
export function spelled(): (stream: Observable<MessageEvent>) => Observable<MessageEvent> {
  const words = speaking();
  return (stream) => stream.pipe(map((event) => ({ ...event, data: words.spell(event.data) })));
}
