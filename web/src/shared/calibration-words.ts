import { upperFirst } from '@hervir/language';
import type { LearntView } from '@hervir/contract';
import { cutById, cutTitle } from '@hervir/core';
import { inSentence } from './words';
import { t, textOf } from '../language/t';

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
        ? t('shared.gives-the-heat-its-plate', { of })
        : t('shared.gives-heat-than-its-plate', { of, off, more });
    case 'losses':
      return as
        ? t('shared.cools-as-reckoned', { of })
        : t('shared.cools-more-slowly-than-reckoned', { of, off, more });
    case 'sear':
      return as
        ? t('shared.in-a-sear-takes-what', { of: inSentence(of) })
        : t('shared.in-a-sear-takes', { of: inSentence(of), off, more });
    case 'toughness': {
      const cut = upperFirst(textOf(cutTitle(cutById(of))));
      return as ? t('shared.is-as-tough-as-the', { cut }) : t('shared.is-more-tender-than-usual', { cut, off, more });
    }
    case 'prep':
      return as ? t('shared.at-the-board-you-take') : t('shared.at-the-board-you-take-than', { off, more });
  }
}
