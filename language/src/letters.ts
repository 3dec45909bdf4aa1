/**
 * A text as the beginning of a sentence.
 *
 * @param locale whose letters they are, BCP 47
 * @example upperFirst('goat neck') // 'Goat neck'
 */
export const upperFirst = (text: string, locale = 'en'): string =>
  text.charAt(0).toLocaleUpperCase(locale) + text.slice(1);

/**
 * A name as it stands inside a sentence.
 *
 * @param locale whose letters they are, BCP 47
 * @example lowerFirst('Bay leaves') // 'bay leaves'
 */
export const lowerFirst = (text: string, locale = 'en'): string =>
  text.charAt(0).toLocaleLowerCase(locale) + text.slice(1);
