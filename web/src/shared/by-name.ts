const wordsIn = (text: string): string[] =>
  text
    .normalize('NFD')
    .replaceAll(/\p{M}/gu, '')
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .filter((word) => word !== '');

/**
 * Whether what is typed finds an entry of a list: each of its words begins a word of its name, or of what else it is called;
 * singular or plural, with accents or without.
 *
 * @param option with its label and, where it has one, what else it is called; a heading too
 * @example findsByName('chuck roasts', { label: 'beef chuck', also: 'chuck roast' }) // true
 */
export function findsByName(typed: string, option: object | undefined): boolean {
  const { label = '', also = '' } = (option ?? {}) as { readonly label?: string; readonly also?: string };
  const names = wordsIn(`${label} ${also}`);
  return wordsIn(typed).every((word) =>
    names.some((name) => name.startsWith(word) || name.startsWith(word.replace(/(?<=..)s$/, ''))),
  );
}

/** For a list that is searched so. */
export const BY_NAME = { filterOption: findsByName } as const;
