import { CUTS, type Species } from './cuts';

/** A cut that is not for braising: known by name, and answered. */
export interface TenderCut {
  readonly species: Species;
  readonly name: string;
  /** Words a cook may use for it, lower case. */
  readonly words: readonly string[];
  /** What is done with it instead, to go on "It has little to melt, and dries out long before: ". */
  readonly instead: string;
}

/** Common practice. */
export const TENDER_CUTS: readonly TenderCut[] = [
  { species: 'beef', name: 'Fillet', words: ['fillet', 'tenderloin', 'chateaubriand'], instead: 'roast or fry it' },
  { species: 'beef', name: 'Sirloin', words: ['sirloin steak', 'sirloin', 'strip steak'], instead: 'fry or grill it' },
  {
    species: 'beef',
    name: 'Rib eye',
    words: ['rib eye', 'ribeye', 'rib roast', 'prime rib'],
    instead: 'fry or roast it',
  },
  {
    species: 'pork',
    name: 'Tenderloin',
    words: ['tenderloin', 'fillet'],
    instead: 'fry it, or roast it to 63 °C in the middle',
  },
  {
    species: 'pork',
    name: 'Loin',
    words: ['loin', 'loin chop', 'chop', 'chops'],
    instead: 'roast it to 63 °C in the middle',
  },
  {
    species: 'lamb',
    name: 'Loin',
    words: ['loin', 'loin chop', 'fillet', 'cutlet', 'chop', 'chops'],
    instead: 'grill or fry it',
  },
  { species: 'goat', name: 'Loin', words: ['loin', 'chop', 'chops', 'cutlet'], instead: 'grill or fry it' },
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
  const tough = CUTS.flatMap(({ name, alsoCalled }) => [name, ...alsoCalled.split(', ')]).filter((name) => name !== '');
  if (tough.some((name) => has(name.toLowerCase()))) return null;
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
export function whyTender({ species, name, instead }: TenderCut): string {
  const animal = species.charAt(0).toUpperCase() + species.slice(1);
  return `${animal} ${name.toLowerCase()} is not for braising: it has little to melt, and dries out; ${instead}.`;
}
