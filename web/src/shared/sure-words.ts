import { inTen } from '@hervir/core';
import { textOf } from '../language/t';

/** So sure a cook may want to be. */
export const SURE: readonly number[] = [0.5, 0.6, 0.7, 0.8, 0.9, 0.95];

/** How sure, as it is chosen, in the words of the odds beside it. */
export const sureWords = (share: number): string => textOf(inTen(share));
