import { lowered, say, type Text } from '@hervir/language/message';
import type { Composition } from '../physics/food-properties';

/** Animals whose tough cuts Hervir knows. */
export const SPECIES = ['beef', 'pork', 'lamb', 'goat'] as const;
export type Species = (typeof SPECIES)[number];

/** How a piece comes or is cut. */
export const FORMS = ['whole', 'chunks', 'bite-size', 'slices', 'ribs', 'rack', 'pieces'] as const;
export type Form = (typeof FORMS)[number];

/** How much fat a cut carries: it sets the composition, the fat rendered, and how dry it comes out. */
export type Richness = 'lean' | 'medium' | 'rich';

/**
 * Which dimensions grow with weight: every one (a shoulder), the area only (a flat brisket, a belly), the length only
 * (a neck), or none, because more weight is more pieces (a shank).
 */
export type Growth = 'all' | 'flat' | 'long' | 'pieces';

/** A cut, with the usual piece that other weights are reckoned from. */
export interface Cut {
  readonly id: string;
  readonly species: Species;
  readonly name: Text;
  /** Names it is sold by where it is asked for, lower case, singular, apart by a bar: for who reads a recipe, or searches. */
  readonly soldAs: Text;
  /** Words for it in an English sentence about its animal. */
  readonly words: readonly string[];
  /** Multiplies the time constant of melting collagen. */
  readonly toughness: number;
  readonly richness: Richness;
  readonly growth: Growth;
  /** Length and width of the usual piece for a thickness of one. */
  readonly aspect: readonly [number, number];
  /** Usual whole piece, or for growth `pieces` one usual piece. */
  readonly usualKg: number;
  readonly usualThicknessCm: number;
  /** By weight, when sold on the bone; 0 for a cut that has none. */
  readonly boneShare: number;
  readonly forms: readonly Form[];
  /** Comes out of a cure: it is rinsed, and never salted. */
  readonly cured: boolean;
}

type Row = readonly [
  string,
  Species,
  Text,
  Text,
  string,
  number,
  Richness,
  Growth,
  number,
  number,
  number,
  number,
  number,
  string,
];

/**
 * Common practice of the trade, no published source; better values with a named source replace them. Columns: id,
 * animal, name, names it is sold by, words, toughness, richness, growth, length and width for a thickness of one, usual kg, usual
 * thickness cm, bone share, forms.
 */
// prettier-ignore
const ROWS: readonly Row[] = [
  ['beef-chuck', 'beef', say('cuts.chuck'), say('cut-names.beef-chuck'), 'chuck, shoulder, blade', 1.0, 'rich', 'all', 2.62, 1.87, 1.36, 6.4, 0, 'whole|chunks|bite-size|slices'],
  ['beef-short-rib', 'beef', say('cuts.short-rib'), say('cut-names.beef-short-rib'), 'short rib, plate rib', 1.05, 'rich', 'pieces', 1.63, 1.27, 0.14, 4.0, 0.28, 'ribs|chunks|bite-size'],
  ['beef-brisket-flat', 'beef', say('cuts.brisket-flat'), say('cut-names.beef-brisket-flat'), 'brisket flat, first cut', 1.25, 'medium', 'flat', 4.45, 2.71, 1.6, 5.0, 0, 'whole|chunks|slices'],
  ['beef-brisket-point', 'beef', say('cuts.brisket-point'), say('cut-names.beef-brisket-point'), 'brisket point, second cut, deckle', 1.2, 'rich', 'all', 2.57, 1.93, 1.8, 7.0, 0, 'whole|chunks|slices'],
  ['beef-brisket-cured', 'beef', say('cuts.cured-brisket'), say('cut-names.beef-brisket-cured'), 'cured brisket, salt or corned', 1.2, 'medium', 'flat', 3.26, 1.99, 1.8, 6.4, 0, 'whole'],
  ['beef-round', 'beef', say('cuts.round'), say('cut-names.beef-round'), 'round, rump, topside, silverside', 1.1, 'lean', 'all', 2.4, 1.6, 1.4, 7.0, 0, 'whole|chunks|bite-size|slices'],
  ['beef-round-cured', 'beef', say('cuts.cured-round'), say('cut-names.beef-round-cured'), 'cured round, salt or corned silverside', 1.15, 'lean', 'all', 2.4, 1.6, 1.4, 7.0, 0, 'whole'],
  ['beef-sirloin-tip', 'beef', say('cuts.sirloin-tip'), say('cut-names.beef-sirloin-tip'), 'sirloin tip, knuckle, thick flank', 1.05, 'lean', 'all', 2.22, 1.61, 1.3, 7.0, 0, 'whole|chunks|bite-size|slices'],
  ['beef-shin', 'beef', say('cuts.shin'), say('cut-names.beef-shin'), 'shin, shank, leg', 1.3, 'medium', 'pieces', 2.67, 2.06, 0.32, 3.8, 0.25, 'slices|chunks|bite-size'],
  ['beef-oxtail', 'beef', say('cuts.oxtail'), say('cut-names.beef-oxtail'), 'oxtail, tail', 1.35, 'rich', 'pieces', 1.1, 1.1, 0.16, 5.0, 0.45, 'pieces'],
  ['beef-cheek', 'beef', say('cuts.cheek'), say('cut-names.beef-cheek'), 'cheek', 1.25, 'medium', 'pieces', 2.45, 1.69, 0.4, 4.5, 0, 'whole|chunks|bite-size|slices'],
  ['pork-shoulder', 'pork', say('cuts.shoulder'), say('cut-names.pork-shoulder'), 'shoulder, butt, picnic', 0.75, 'rich', 'all', 1.94, 1.48, 1.8, 8.4, 0.1, 'whole|chunks|bite-size'],
  ['pork-collar', 'pork', say('cuts.collar'), say('cut-names.pork-collar'), 'collar, neck', 0.8, 'rich', 'long', 2.36, 1.09, 1.4, 8.0, 0, 'whole|chunks|bite-size|slices'],
  ['pork-hock', 'pork', say('cuts.hock'), say('cut-names.pork-hock'), 'hock, knuckle', 1.15, 'rich', 'pieces', 1.34, 1.12, 0.7, 7.6, 0.35, 'whole'],
  ['pork-shank', 'pork', say('cuts.shank'), say('cut-names.pork-shank'), 'shank', 1.05, 'medium', 'pieces', 1.72, 1.0, 0.5, 6.5, 0.3, 'whole'],
  ['pork-spare-rib', 'pork', say('cuts.spare-rib'), say('cut-names.pork-spare-rib'), 'spare rib, pork ribs, back ribs', 0.8, 'rich', 'flat', 12.04, 6.02, 1.2, 2.5, 0.35, 'rack|ribs'],
  ['pork-cheek', 'pork', say('cuts.cheek'), say('cut-names.pork-cheek'), 'cheek', 0.9, 'medium', 'pieces', 2.15, 1.46, 0.09, 3.0, 0, 'pieces'],
  ['pork-belly', 'pork', say('cuts.belly'), say('cut-names.pork-belly'), 'belly, side', 0.7, 'rich', 'flat', 3.94, 3.15, 1.2, 4.5, 0, 'whole|chunks|bite-size|slices'],
  ['lamb-shoulder', 'lamb', say('cuts.shoulder'), say('cut-names.lamb-shoulder'), 'shoulder', 0.75, 'rich', 'all', 2.77, 2.08, 1.6, 6.4, 0.22, 'whole|chunks|bite-size'],
  ['lamb-neck', 'lamb', say('cuts.neck'), say('cut-names.lamb-neck'), 'neck, scrag', 0.95, 'medium', 'pieces', 2.04, 1.68, 0.2, 3.8, 0.35, 'slices|chunks|bite-size'],
  ['lamb-shank', 'lamb', say('cuts.shank'), say('cut-names.lamb-shank'), 'shank', 1.0, 'medium', 'pieces', 1.66, 1.0, 0.4, 6.1, 0.3, 'whole'],
  ['lamb-breast', 'lamb', say('cuts.breast'), say('cut-names.lamb-breast'), 'breast, flap', 0.75, 'rich', 'flat', 9.32, 5.83, 0.9, 2.5, 0.25, 'whole|chunks'],
  ['lamb-leg', 'lamb', say('cuts.leg'), say('cut-names.lamb-leg'), 'leg', 0.75, 'medium', 'all', 2.1, 1.31, 1.8, 8.5, 0.2, 'whole|chunks|bite-size'],
  ['goat-shoulder', 'goat', say('cuts.shoulder'), say('cut-names.goat-shoulder'), 'shoulder', 0.95, 'medium', 'all', 2.91, 2.33, 1.4, 5.8, 0.25, 'whole|chunks|bite-size'],
  ['goat-neck', 'goat', say('cuts.neck'), say('cut-names.goat-neck'), 'neck', 1.1, 'medium', 'pieces', 1.94, 1.6, 0.18, 3.8, 0.38, 'slices|chunks|bite-size'],
  ['goat-leg', 'goat', say('cuts.leg'), say('cut-names.goat-leg'), 'leg', 0.9, 'lean', 'all', 2.39, 1.34, 1.8, 8.1, 0.22, 'whole|chunks|bite-size'],
  ['goat-shank', 'goat', say('cuts.shank'), say('cut-names.goat-shank'), 'shank', 1.1, 'medium', 'pieces', 1.61, 1.0, 0.3, 5.6, 0.32, 'whole'],
  ['goat-stewing', 'goat', say('cuts.mixed-stewing-pieces'), say('cut-names.goat-stewing'), 'mixed stewing pieces, on the bone', 0.95, 'medium', 'pieces', 1.03, 1.0, 0.06, 3.8, 0.3, 'pieces'],
];

const CURED: ReadonlySet<string> = new Set(['beef-brisket-cured', 'beef-round-cured']);

export const CUTS: readonly Cut[] = ROWS.map(
  ([
    id,
    species,
    name,
    soldAs,
    words,
    toughness,
    richness,
    growth,
    length,
    width,
    usualKg,
    usualThicknessCm,
    boneShare,
    forms,
  ]) => ({
    id,
    species,
    name,
    soldAs,
    words: words.split(', '),
    toughness,
    richness,
    growth,
    aspect: [length, width],
    usualKg,
    usualThicknessCm,
    boneShare,
    forms: forms.split('|') as Form[],
    cured: CURED.has(id),
  }),
);

const byId = new Map(CUTS.map((cut) => [cut.id, cut]));

/**
 * Looks a cut up.
 *
 * @param id for instance `goat-neck`
 * @throws RangeError naming the cuts there are
 * @example cutById('goat-neck').species // 'goat'
 */
export function cutById(id: string): Cut {
  const cut = byId.get(id);
  if (!cut) throw new RangeError(`no cut "${id}"; known are ${CUTS.map((known) => known.id).join(', ')}`);
  return cut;
}

/**
 * A cut as a cook names it in a sentence: the animal first, because a shoulder may be anybody's.
 *
 * @example cutTitle(cutById('goat-neck')) // 'goat neck'
 */
export function cutTitle(cut: Cut): Text {
  return say('cuts.title', { species: say(`species.${cut.species}`), name: lowered(cut.name) });
}

/**
 * Composition by richness, trimmed and raw: rounded from handbook tables of retail cuts (USDA food composition, from
 * memory); a test compares them with an open dataset.
 */
export const MEAT_COMPOSITION: Readonly<Record<Richness, Composition>> = {
  lean: { water: 0.69, protein: 0.22, fat: 0.08, carbohydrate: 0, ash: 0.01 },
  medium: { water: 0.655, protein: 0.2, fat: 0.135, carbohydrate: 0, ash: 0.01 },
  rich: { water: 0.615, protein: 0.175, fat: 0.2, carbohydrate: 0, ash: 0.01 },
};
