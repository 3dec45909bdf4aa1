import { capital, lowered, quantity, say, type Text } from '@hervir/language/message';
import { CUTS, type Species } from './cuts';

/** A cut that is not for braising: known by name, and answered. */
export interface TenderCut {
  readonly species: Species;
  readonly name: Text;
  /** Words a cook may use for it, lower case. */
  readonly words: readonly string[];
  /** What is done with it instead, to go on "It has little to melt, and dries out long before: ". */
  readonly instead: Text;
}

/** Common practice. */
export const TENDER_CUTS: readonly TenderCut[] = [
  {
    species: 'beef',
    name: say('tender-cuts.fillet'),
    words: ['fillet', 'tenderloin', 'chateaubriand'],
    instead: say('tender-cuts.roast-or-fry-it'),
  },
  {
    species: 'beef',
    name: say('tender-cuts.sirloin'),
    words: ['sirloin steak', 'sirloin', 'strip steak'],
    instead: say('tender-cuts.fry-or-grill-it'),
  },
  {
    species: 'beef',
    name: say('tender-cuts.rib-eye'),
    words: ['rib eye', 'ribeye', 'rib roast', 'prime rib'],
    instead: say('tender-cuts.fry-or-roast-it'),
  },
  {
    species: 'pork',
    name: say('tender-cuts.tenderloin'),
    words: ['tenderloin', 'fillet'],
    instead: say('tender-cuts.fry-it-or-roast-it', { safe: quantity('temperature', 63) }),
  },
  {
    species: 'pork',
    name: say('tender-cuts.loin'),
    words: ['loin', 'loin chop', 'chop', 'chops'],
    instead: say('tender-cuts.roast-it-to-63-c', { safe: quantity('temperature', 63) }),
  },
  {
    species: 'lamb',
    name: say('tender-cuts.loin'),
    words: ['loin', 'loin chop', 'fillet', 'cutlet', 'chop', 'chops'],
    instead: say('tender-cuts.grill-or-fry-it'),
  },
  {
    species: 'goat',
    name: say('tender-cuts.loin'),
    words: ['loin', 'chop', 'chops', 'cutlet'],
    instead: say('tender-cuts.grill-or-fry-it'),
  },
];

/**
 * The tender cut a cook speaks of; null where there is none.
 *
 * @example tenderCut('2 pork tenderloins')?.name // 'Tenderloin'
 */
export function tenderCut(text: string): TenderCut | null {
  const said = text.toLowerCase();
  const has = (word: string): boolean => new RegExp(`\\b${word}s?\\b`).test(said);
  // A chop of the shoulder, a fillet of neck, back ribs: those are braised.
  const tough = CUTS.flatMap(({ words }) => words);
  if (tough.some(has)) return null;
  return (
    TENDER_CUTS.filter(({ species }) => has(species))
      .flatMap((cut) => cut.words.filter(has).map((word) => ({ cut, word })))
      .sort((a, b) => b.word.length - a.word.length)[0]?.cut ?? null
  );
}

/**
 * Why it is not for braising, in a sentence.
 *
 * @example whyTender(TENDER_CUTS[0]).startsWith('Beef fillet is not for braising') // true
 */
export function whyTender({ species, name, instead }: TenderCut): Text {
  const animal = capital(say(`species.${species}`));
  return say('tender-cuts.is-not-for-braising-it', { animal, name: lowered(name), instead });
}
