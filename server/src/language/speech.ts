import { AsyncLocalStorage } from 'node:async_hooks';
import {
  languageFor,
  LANGUAGES,
  USUAL_LANGUAGE,
  wordsFor,
  type Catalog,
  type CatalogName,
  type Language,
  type Text,
  type UnitSystem,
  type Words,
} from '@hervir/language';
import { messages as enFirst } from '@hervir/language/en/first';
import { messages as enRest } from '@hervir/language/en/rest';
import { messages as usFirst } from '@hervir/language/en-US/first';
import { messages as usRest } from '@hervir/language/en-US/rest';
import { messages as esFirst } from '@hervir/language/es/first';
import { messages as esRest } from '@hervir/language/es/rest';
import { messages as mxFirst } from '@hervir/language/es-MX/first';
import { messages as mxRest } from '@hervir/language/es-MX/rest';
import type { NextFunction, Request, Response } from 'express';
import type { MessageEvent } from '@nestjs/common';
import { map, type Observable } from 'rxjs';

/** What each catalog says. */
const CATALOGS = {
  en: [enFirst, enRest],
  'en-US': [usFirst, usRest],
  es: [esFirst, esRest],
  'es-MX': [mxFirst, mxRest],
} as const satisfies Readonly<Record<CatalogName, readonly Catalog[]>>;

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
 * @example languageOf('fr, es-MX;q=0.8') // 'es-MX'
 */
export const languageOf = (header: string | undefined): Language =>
  languageFor((header ?? '').split(',').map((one) => one.replace(/;.*/, '').trim()));

/** Words in the language of the request that is being answered, and in the kitchen's units. */
export function speaking(
  language: Language = ofRequest.getStore() ?? USUAL_LANGUAGE,
  system: UnitSystem = units,
): Words {
  const key = `${language} ${system}`;
  const known = made.get(key);
  if (known) return known;
  const catalogs = LANGUAGES[language].catalogs.flatMap((name) => CATALOGS[name]);
  const words = wordsFor(language, catalogs, system);
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
