/** A vegetable, with the size its boiling time is given for. */
export interface Vegetable {
  readonly id: string;
  readonly name: string;
  /** Smallest dimension of the piece the boiling time is for, cm. */
  readonly usualCm: number;
  /** The other two dimensions over the smallest. */
  readonly plate: number;
  /** Ordinary boiling time at 100 °C, minutes: just tender, and as soft as is still good. */
  readonly boilMinutes: readonly [number, number];
  /** May ride on top from the start of a run under 25 minutes. */
  readonly sturdy: boolean;
  /** Water given off, by weight. */
  readonly juiceShare: number;
  /** Its name says how it is cut, or it is left as it grows: "in 3 cm pieces" is not said of it. */
  readonly asNamed: boolean;
  readonly note: string;
}

type Row = readonly [string, string, number, number, number, number, boolean, number, string];

/**
 * Common practice of the trade, no published source. Columns: id, name, usual cm, plate, boiling minutes low and high,
 * sturdy, juice share, note.
 */
// prettier-ignore
const ROWS: readonly Row[] = [
  ['potato-waxy', 'Waxy potato', 4, 1, 14, 18, true, 0.03, 'halved small ones'],
  ['potato-floury', 'Floury potato', 4, 1, 13, 16, false, 0.03, 'falls into the sauce early and thickens it'],
  ['sweet-potato', 'Sweet potato', 3, 1, 10, 13, false, 0.04, ''],
  ['carrot', 'Carrot', 2.5, 1.2, 12, 15, true, 0.05, 'large pieces for long runs'],
  ['parsnip', 'Parsnip', 2.5, 1.3, 8, 11, false, 0.05, ''],
  ['turnip', 'Turnip', 3, 1, 12, 15, true, 0.08, ''],
  ['celeriac', 'Celeriac', 3, 1, 13, 17, true, 0.05, ''],
  ['swede', 'Swede', 3, 1, 18, 22, true, 0.05, 'rutabaga'],
  ['beetroot', 'Beetroot', 4, 1, 28, 35, true, 0.05, 'colours everything'],
  ['squash', 'Winter squash', 3, 1, 8, 11, false, 0.08, ''],
  ['onion-quarter', 'Onion quarters', 3.5, 1.3, 12, 15, false, 0.3, ''],
  ['onion-small', 'Small whole onions', 2.5, 1, 10, 13, false, 0.2, ''],
  ['leek', 'Leek', 2.5, 1.2, 8, 11, false, 0.2, ''],
  ['fennel', 'Fennel wedges', 2.5, 2, 12, 15, true, 0.15, ''],
  ['celery', 'Celery', 1.2, 2, 8, 10, false, 0.15, ''],
  ['cabbage', 'Cabbage quarters', 3, 2, 12, 15, false, 0.2, 'leaves open up; treated as 3 cm'],
  ['savoy', 'Savoy or kale', 1, 4, 6, 8, false, 0.2, ''],
  ['green-bean', 'Green beans', 0.8, 6, 5, 7, false, 0.05, 'after pressure, for colour'],
  ['pea', 'Peas', 0.8, 1, 2, 3, false, 0.02, 'off the heat'],
  ['mushroom', 'Mushrooms', 2.5, 1, 6, 10, true, 0.5, 'sautéed first'],
  ['sweet-pepper', 'Sweet pepper', 0.7, 4, 4, 6, false, 0.2, 'after pressure for shape'],
  ['tomato', 'Fresh tomato', 4, 1, 4, 6, false, 0.6, 'after pressure to stay fresh'],
  ['courgette', 'Courgette', 2, 1.3, 4, 6, false, 0.25, 'off the heat or a short simmer'],
  ['plantain-green', 'Green plantain', 3, 1.2, 15, 20, true, 0.02, ''],
  ['plantain-ripe', 'Ripe plantain', 3, 1.2, 6, 9, false, 0.02, 'sweet; falls apart in a long run'],
  ['okra', 'Okra', 1.5, 3, 6, 9, false, 0.1, 'whole: cut it thickens; a short simmer'],
  ['bean-tinned', 'Beans from a tin, drained', 0.9, 1.3, 2, 20, false, 0.02, 'cooked already: only heated'],
  ['olive', 'Olives', 1.5, 1.2, 2, 20, true, 0.02, 'salty: taste before you salt'],
  ['caper', 'Capers', 0.6, 1, 1, 10, false, 0.05, 'rinsed; salty'],
  ['cassava', 'Cassava', 4, 1.2, 20, 25, true, 0.02, 'must be cooked through'],
  ['cauliflower', 'Cauliflower', 4, 1.2, 8, 11, false, 0.1, 'strong when cooked long; never from the start'],
  ['broccoli', 'Broccoli', 3, 1.5, 4, 6, false, 0.1, 'strong when cooked long; off the heat or a short run'],
  ['brussels-sprout', 'Brussels sprouts', 3, 1, 8, 11, false, 0.1, 'strong when cooked long; never from the start'],
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
  ([id, name, usualCm, plate, low, high, sturdy, juiceShare, note]) => ({
    id,
    name,
    usualCm,
    plate,
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
