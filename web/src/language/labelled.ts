import type { Text } from '@hervir/language';
import { textOf } from './t';

/**
 * Choices of a list with their labels in words.
 *
 * @example labelled([{ value: 'quick', label: say('bench.valve-at-once') }]) // [{ value: 'quick', label: 'valve at once' }]
 */
export const labelled = <O extends { readonly label: Text }>(
  options: readonly O[],
): (Omit<O, 'label'> & { label: string })[] => options.map((option) => ({ ...option, label: textOf(option.label) }));
