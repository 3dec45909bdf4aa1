/**
 * A text as the beginning of a sentence.
 *
 * @example upperFirst('goat neck') // 'Goat neck'
 */
export const upperFirst = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/**
 * A name as it stands inside a sentence.
 *
 * @example lowerFirst('Bay leaves') // 'bay leaves'
 */
export const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
