/**
 * In the reckoning's own tests a message is English at once: what is said stands in the test as a cook reads it. What a
 * message is made of is tested where it is put into words.
 */
import { printAny, wordsFor, type Quantity, type Text, type UnitSystem } from '@hervir/language';
import { messages as first } from '@hervir/language/en/first';
import { messages as rest } from '@hervir/language/en/rest';

export { shapeOf } from '@hervir/language';

let units: UnitSystem = 'metric';

/** The units that are spoken in from here on. */
export function speakIn(system: UnitSystem): void {
  units = system;
}

/** A text of the reckoning, which is English here. */
export const english = (text: Text): string => text as string;

export const quantity = (kind: Quantity['quantity'], value: number): string => printAny(kind, value, units);

const words = wordsFor('en-GB', [first, rest], 'metric');

export const say = (code: string, values?: Readonly<Record<string, unknown>>): string =>
  words.parts(code, values).join('');
export const listing = (list: readonly string[]): string => words.text({ list });
export const joined = (texts: readonly string[], by = ' '): string => texts.join(by);
export const capital = (of: string): string => of.charAt(0).toUpperCase() + of.slice(1);
export const lowered = (of: string): string => of.charAt(0).toLowerCase() + of.slice(1);
export const bySystem = (metric: string, us: string): string => (units === 'us' ? us : metric);
export const timeOfDay = (moment: string): string => words.text({ moment, as: 'clock' });
