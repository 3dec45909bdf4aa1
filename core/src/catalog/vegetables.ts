import { quantity, say, type Text } from '@hervir/language/message';
/** A vegetable, with the size its boiling time is given for. */
export interface Vegetable {
  readonly id: string;
  readonly name: Text;
  /** Smallest dimension of the piece the boiling time is for, cm. */
  readonly usualCm: number;
  /** The other two dimensions over the smallest. */
  readonly aspectRatio: number;
  /** Ordinary boiling time at 100 °C, minutes: just tender, and as soft as is still good. */
  readonly boilMinutes: readonly [number, number];
  /** May ride on top from the start of a run under 25 minutes. */
  readonly sturdy: boolean;
  /** Water given off, by weight. */
  readonly juiceShare: number;
  /** Its name says how it is cut, or it is left as it grows: "in 3 cm pieces" is not said of it. */
  readonly asNamed: boolean;
  readonly note: Text;
}

type Row = readonly [string, Text, number, number, number, number, boolean, number, Text];

/**
 * Common practice of the trade, no published source. Columns: id, name, usual cm, aspectRatio, boiling minutes low and high,
 * sturdy, juice share, note.
 */
// prettier-ignore
const ROWS: readonly Row[] = [
  ['potato-waxy', say('vegetables.waxy-potato'), 4, 1, 14, 18, true, 0.03, say('vegetables.halved-small-ones')],
  ['potato-floury', say('vegetables.floury-potato'), 4, 1, 13, 16, false, 0.03, say('vegetables.falls-into-the-sauce-early')],
  ['sweet-potato', say('vegetables.sweet-potato'), 3, 1, 10, 13, false, 0.04, ''],
  ['carrot', say('vegetables.carrot'), 2.5, 1.2, 12, 15, true, 0.05, say('vegetables.large-pieces-for-long-runs')],
  ['parsnip', say('vegetables.parsnip'), 2.5, 1.3, 8, 11, false, 0.05, ''],
  ['turnip', say('vegetables.turnip'), 3, 1, 12, 15, true, 0.08, ''],
  ['celeriac', say('vegetables.celeriac'), 3, 1, 13, 17, true, 0.05, ''],
  ['swede', say('vegetables.swede'), 3, 1, 18, 22, true, 0.05, say('vegetables.rutabaga')],
  ['beetroot', say('vegetables.beetroot'), 4, 1, 28, 35, true, 0.05, say('vegetables.colours-everything')],
  ['squash', say('vegetables.winter-squash'), 3, 1, 8, 11, false, 0.08, ''],
  ['onion-quarter', say('vegetables.onion-quarters'), 3.5, 1.3, 12, 15, false, 0.3, ''],
  ['onion-small', say('vegetables.small-whole-onions'), 2.5, 1, 10, 13, false, 0.2, ''],
  ['leek', say('vegetables.leek'), 2.5, 1.2, 8, 11, false, 0.2, ''],
  ['fennel', say('vegetables.fennel-wedges'), 2.5, 2, 12, 15, true, 0.15, ''],
  ['celery', say('vegetables.celery'), 1.2, 2, 8, 10, false, 0.15, ''],
  ['cabbage', say('vegetables.cabbage-quarters'), 3, 2, 12, 15, false, 0.2, say('vegetables.leaves-open-up-treated-as', { size: quantity('length', 3) })],
  ['savoy', say('vegetables.savoy-or-kale'), 1, 4, 6, 8, false, 0.2, ''],
  ['green-bean', say('vegetables.green-beans'), 0.8, 6, 5, 7, false, 0.05, say('vegetables.after-pressure-for-colour')],
  ['pea', say('vegetables.peas'), 0.8, 1, 2, 3, false, 0.02, say('vegetables.off-the-heat')],
  ['mushroom', say('vegetables.mushrooms'), 2.5, 1, 6, 10, true, 0.5, say('vegetables.sauteed-first')],
  ['sweet-pepper', say('vegetables.sweet-pepper'), 0.7, 4, 4, 6, false, 0.2, say('vegetables.after-pressure-for-shape')],
  ['tomato', say('vegetables.fresh-tomato'), 4, 1, 4, 6, false, 0.6, say('vegetables.after-pressure-to-stay-fresh')],
  ['courgette', say('vegetables.courgette'), 2, 1.3, 4, 6, false, 0.25, say('vegetables.off-the-heat-or-a')],
  ['plantain-green', say('vegetables.green-plantain'), 3, 1.2, 15, 20, true, 0.02, ''],
  ['plantain-ripe', say('vegetables.ripe-plantain'), 3, 1.2, 6, 9, false, 0.02, say('vegetables.sweet-falls-apart-in-a')],
  ['okra', say('vegetables.okra'), 1.5, 3, 6, 9, false, 0.1, say('vegetables.whole-cut-it-thickens-a')],
  ['bean-tinned', say('vegetables.beans-from-a-tin-drained'), 0.9, 1.3, 2, 20, false, 0.02, say('vegetables.cooked-already-only-heated')],
  ['olive', say('vegetables.olives'), 1.5, 1.2, 2, 20, true, 0.02, say('vegetables.salty-taste-before-you-salt')],
  ['caper', say('vegetables.capers'), 0.6, 1, 1, 10, false, 0.05, say('vegetables.rinsed-salty')],
  ['cassava', say('vegetables.cassava'), 4, 1.2, 20, 25, true, 0.02, say('vegetables.must-be-cooked-through')],
  ['cauliflower', say('vegetables.cauliflower'), 4, 1.2, 8, 11, false, 0.1, say('vegetables.strong-when-cooked-long-never')],
  ['broccoli', say('vegetables.broccoli'), 3, 1.5, 4, 6, false, 0.1, say('vegetables.strong-when-cooked-long-off')],
  ['brussels-sprout', say('vegetables.brussels-sprouts'), 3, 1, 8, 11, false, 0.1, say('vegetables.strong-when-cooked-long-never')],
];

const AS_NAMED: ReadonlySet<string> = new Set([
  'cabbage',
  'savoy',
  'onion-quarter',
  'onion-small',
  'fennel',
  'green-bean',
  'pea',
  'mushroom',
  'sweet-pepper',
  'tomato',
  'cauliflower',
  'broccoli',
  'brussels-sprout',
  'okra',
  'bean-tinned',
  'olive',
  'caper',
]);

export const VEGETABLES: readonly Vegetable[] = ROWS.map(
  ([id, name, usualCm, aspectRatio, low, high, sturdy, juiceShare, note]) => ({
    id,
    name,
    usualCm,
    aspectRatio,
    boilMinutes: [low, high],
    sturdy,
    juiceShare,
    asNamed: AS_NAMED.has(id),
    note,
  }),
);

const byId = new Map(VEGETABLES.map((vegetable) => [vegetable.id, vegetable]));

/**
 * Looks a vegetable up.
 *
 * @throws RangeError naming the vegetables there are
 * @example vegetableById('turnip').boilMinutes // [12, 15]
 */
export function vegetableById(id: string): Vegetable {
  const vegetable = byId.get(id);
  if (!vegetable)
    throw new RangeError(`no vegetable "${id}"; known are ${VEGETABLES.map((known) => known.id).join(', ')}`);
  return vegetable;
}
