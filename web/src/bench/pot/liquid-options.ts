import type { Text } from '@hervir/language';
import { LIQUIDS } from '@hervir/core';

const option = ({ id, name }: { id: string; name: Text }): { value: string; label: Text } => ({
  value: id,
  label: name,
});
/** What is poured as liquid. */
export const POURED = LIQUIDS.filter(({ kind }) => kind === 'liquid' || kind === 'sauce').map(option);
/** What a base can be scraped clean with. */
export const DEGLAZING = LIQUIDS.filter(({ deglazes }) => deglazes).map(option);
/** What is thick or sweet. */
export const ADDED = LIQUIDS.filter(({ kind }) => kind !== 'liquid').map(option);
