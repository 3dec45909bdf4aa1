import {
  listing,
  wordsFor,
  type Catalog,
  type Code,
  type Quantity,
  type Text,
  type UnitSystem,
  type ValuesOf,
  type Words,
} from '@hervir/language';
import { createElement, Fragment, useSyncExternalStore, type ReactNode } from 'react';

/** What the page speaks: one language and one set of units at a time; who changes them draws the page anew. */
let catalogs: readonly Catalog[] = [];
let locale = 'en-GB';
let system: UnitSystem = 'metric';
let words: Words | null = null;

/** Fetches the words that have not come yet; null once they are all here. */
let fetchMore: (() => void) | null = null;

/** What stands for words that are on their way: they draw the page again when they come. */
function notYet(code: string): string {
  if (fetchMore === null) return code;
  fetchMore();
  return '…';
}

function spoken(): Words {
  words ??= wordsFor(locale, catalogs, system, notYet);
  return words;
}

/**
 * Sets the language of the page.
 *
 * @param of BCP 47
 * @param from the compiled messages; what comes later wins
 * @param more fetches those that are not among them; left out, these are all
 */
export function speak(of: string, from: readonly Catalog[], more: (() => void) | null = null): void {
  locale = of;
  catalogs = from;
  fetchMore = more;
  words = null;
}

const waiting = new Set<() => void>();
const wait = (changed: () => void): (() => void) => {
  waiting.add(changed);
  return () => waiting.delete(changed);
};

/** What the page speaks, and again when it speaks otherwise: more words have come, or its units are others. */
export const useWords = (): Words => useSyncExternalStore(wait, spoken);

/** Adds the messages that came later than the first. */
export function alsoSpeak(more: readonly Catalog[]): void {
  catalogs = [...catalogs, ...more];
  fetchMore = null;
  words = null;
  waiting.forEach((changed) => changed());
}

/** Sets the units of what the reckoning says, for all that is drawn after it. */
export function speakIn(units: UnitSystem): void {
  if (units === system) return;
  system = units;
  words = null;
}

/** The language of the page, BCP 47. */
export const language = (): string => locale;

/**
 * The words of a message.
 *
 * @param code of the message
 * @param values it asks for
 */
export const t = <C extends Code>(code: C, ...values: ValuesOf<C>): string => spoken().t(code, ...values);

/** The words of a message that was put together elsewhere; words that are nobody's to translate stay as they are. */
export const textOf = (text: Text): string => spoken().text(text);

/** The same where there may be nothing to say. */
export const orNull = (text: Text | null): string | null => (text === null ? null : textOf(text));

/** Names as a sentence lists them. */
export const listed = (names: readonly Text[]): string => textOf(listing(names));

/** A quantity in the core's kitchen units, as this reader writes it. */
export const printed = (kind: Quantity['quantity'], value: number, units = system): string =>
  spoken().print(kind, value, units);

/** Elements in the place of values. */
export type Elements<V> = {
  readonly [N in keyof V]: V[N] extends (...words: never[]) => unknown
    ? (words: ReactNode) => ReactNode
    : V[N] | ReactNode;
};

/** Side by side, as if they had been written so: a list would ask for keys. */
const inRow = (parts: readonly ReactNode[]): ReactNode => createElement(Fragment, null, ...parts);

/** The words of a message with elements among them. */
export function rich<C extends Code>(code: C, values: ValuesOf<C> extends [infer V] ? Elements<V> : never): ReactNode {
  const elements: Record<string, unknown> = { ...values };
  for (const [name, value] of Object.entries(elements))
    if (typeof value === 'function')
      elements[name] = (words: readonly ReactNode[]): ReactNode =>
        (value as (words: ReactNode) => ReactNode)(inRow(words));
  return inRow(spoken().parts(code, elements) as readonly ReactNode[]);
}
