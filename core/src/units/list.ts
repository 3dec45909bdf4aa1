/**
 * Names as a sentence lists them.
 *
 * @example listed(['bay', 'thyme', 'bones']) // 'bay, thyme and bones'
 */
export function listed(names: readonly string[]): string {
  return names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`;
}
