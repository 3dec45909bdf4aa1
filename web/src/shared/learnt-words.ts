import type { LearntView } from '@hervir/contract';
import { cutById, cutTitle, upperFirst } from '@hervir/core';
import { inSentence } from './words';

/**
 * What was learnt, in a sentence: "Goat shoulder is 18 % tougher than usual."
 *
 * @example learntWords({ key: 'prep', kind: 'prep', of: '', factor: 1.2, range: [1.1, 1.3], cooks: 4, off: false, short: 0, past: 0 }) // 'At the board you take 20 % longer than usual.'
 */
export function learntWords({ kind, of, factor }: LearntView): string {
  const off = Math.round(Math.abs(factor - 1) * 100);
  const as = off < 1;
  const more = factor > 1;
  switch (kind) {
    case 'heat':
      return as
        ? `${of} gives the heat its plate says.`
        : `${of} gives ${off} % ${more ? 'more' : 'less'} heat than its plate says.`;
    case 'losses':
      return as ? `${of} cools as reckoned.` : `${of} cools ${off} % ${more ? 'faster' : 'more slowly'} than reckoned.`;
    case 'sear':
      return as
        ? `In ${inSentence(of)} a sear takes what is reckoned.`
        : `In ${inSentence(of)} a sear takes ${off} % ${more ? 'longer' : 'less'}.`;
    case 'toughness': {
      const cut = upperFirst(cutTitle(cutById(of)));
      return as
        ? `${cut} is as tough as the table says.`
        : `${cut} is ${off} % ${more ? 'tougher' : 'more tender'} than usual.`;
    }
    case 'prep':
      return as
        ? 'At the board you take the usual time.'
        : `At the board you take ${off} % ${more ? 'longer' : 'less'} than usual.`;
  }
}
