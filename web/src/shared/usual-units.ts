import type { UnitSystem } from '@hervir/language';

/** Where kitchens weigh in pounds and ounces. Common practice. */
const IN_POUNDS: ReadonlySet<string> = new Set(['US', 'LR', 'MM']);

/**
 * The units that are usual where a browser says it is.
 *
 * @param languages as the browser names them, the first preferred: "en-US"
 * @example usualUnits(['en-US']) // 'us'
 */
export function usualUnits(languages: readonly string[]): UnitSystem {
  const [first] = languages;
  if (first === undefined) return 'metric';
  try {
    return IN_POUNDS.has(new Intl.Locale(first).region ?? '') ? 'us' : 'metric';
  } catch {
    // A name that is none says nothing.
    return 'metric';
  }
}
