import type { Forecast } from '@hervir/core';
import type { ReactNode } from 'react';

/** How something stands: never told by colour alone, each has a word and a shape. */
export type Tone = 'fits' | 'watch' | 'wrong' | 'none';

export const MARKS: Readonly<Record<Tone, string>> = { fits: '●', watch: '▲', wrong: '■', none: '' };

/** The levels of a base, sauté or not, as tones. */
export const LEVEL_TONES: Readonly<Record<Forecast['burn']['level'], Tone>> = {
  safe: 'fits',
  watch: 'watch',
  likely: 'wrong',
};

/** A verdict in a line of its own. */
export function Verdict({ tone, children }: { readonly tone: Tone; readonly children: ReactNode }): ReactNode {
  return (
    <p className={`verdict ${tone}`}>
      <span aria-hidden>{MARKS[tone]}</span> {children}
    </p>
  );
}
