/** How a shop sells something: by the piece, the bunch, the tin. */
export const SOLD_BY = ['piece', 'bunch', 'tin', 'head', 'bulb', 'stalk', 'weight'] as const;
export type SoldBy = (typeof SOLD_BY)[number];

/** Something of the larder as it lies in a shop. */
export interface AsSold {
  /** One name for what is bought once, however it is cut: diced carrot and carrots are carrots. */
  readonly name: string;
  /** More than one of it. */
  readonly plural: string;
  /** Of what is bought, so much is left when it is peeled, trimmed, drained. */
  readonly left: number;
  readonly soldBy: SoldBy;
  /** One of it, g as bought; 0 for what is sold by weight. */
  readonly eachG: number;
}

type Row = readonly [string, string, string, number, SoldBy, number];

/**
 * Columns: ids of vegetables and aromatics, name, plural, share that is left, sold by, grams each. Shares: USDA Agriculture
 * Handbook 102, Food Yields (1975), rounded; from memory. Weights of one: common practice.
 */
// prettier-ignore
const ROWS: readonly Row[] = [
  ['potato-waxy', 'waxy potato', 'waxy potatoes', 0.81, 'piece', 120],
  ['potato-floury', 'floury potato', 'floury potatoes', 0.81, 'piece', 180],
  ['sweet-potato', 'sweet potato', 'sweet potatoes', 0.8, 'piece', 300],
  ['carrot', 'carrot', 'carrots', 0.82, 'piece', 90],
  ['parsnip', 'parsnip', 'parsnips', 0.83, 'piece', 130],
  ['turnip', 'turnip', 'turnips', 0.81, 'piece', 150],
  ['celeriac', 'celeriac', 'celeriacs', 0.7, 'piece', 650],
  ['swede', 'swede', 'swedes', 0.83, 'piece', 600],
  ['beetroot', 'beetroot', 'beetroots', 0.8, 'piece', 150],
  ['squash', 'winter squash', 'winter squashes', 0.7, 'piece', 1200],
  ['onion-quarter onion', 'onion', 'onions', 0.88, 'piece', 130],
  ['onion-small', 'small onion', 'small onions', 0.85, 'piece', 35],
  ['shallot', 'shallot', 'shallots', 0.85, 'piece', 35],
  ['spring-onion', 'bunch of spring onions', 'bunches of spring onions', 0.75, 'bunch', 120],
  ['leek', 'leek', 'leeks', 0.65, 'piece', 250],
  ['fennel', 'fennel bulb', 'fennel bulbs', 0.75, 'bulb', 300],
  ['celery', 'stalk of celery', 'stalks of celery', 0.75, 'stalk', 60],
  ['cabbage', 'cabbage', 'cabbages', 0.8, 'head', 1200],
  ['savoy', 'head of savoy or kale', 'heads of savoy or kale', 0.75, 'head', 700],
  ['green-bean', 'green beans', 'green beans', 0.9, 'weight', 0],
  ['pea', 'peas', 'peas', 1, 'weight', 0],
  ['mushroom', 'mushrooms', 'mushrooms', 0.95, 'weight', 0],
  ['sweet-pepper pepper', 'sweet pepper', 'sweet peppers', 0.82, 'piece', 170],
  ['tomato', 'tomato', 'tomatoes', 0.97, 'piece', 110],
  ['courgette', 'courgette', 'courgettes', 0.95, 'piece', 220],
  ['plantain-green', 'green plantain', 'green plantains', 0.65, 'piece', 250],
  ['plantain-ripe', 'ripe plantain', 'ripe plantains', 0.65, 'piece', 230],
  ['okra', 'okra', 'okra', 0.87, 'weight', 0],
  ['bean-tinned', 'tin of beans', 'tins of beans', 0.6, 'tin', 400],
  ['cassava', 'cassava', 'cassavas', 0.8, 'piece', 500],
  ['cauliflower', 'cauliflower', 'cauliflowers', 0.6, 'head', 800],
  ['broccoli', 'head of broccoli', 'heads of broccoli', 0.65, 'head', 400],
  ['brussels-sprout', 'Brussels sprouts', 'Brussels sprouts', 0.9, 'weight', 0],
  ['ginger', 'ginger', 'ginger', 0.9, 'weight', 0],
  ['garlic garlic-head', 'head of garlic', 'heads of garlic', 0.87, 'head', 55],
  ['parsley', 'bunch of parsley', 'bunches of parsley', 0.75, 'bunch', 50],
  ['coriander-leaf', 'bunch of coriander', 'bunches of coriander', 0.75, 'bunch', 50],
  ['mint', 'bunch of mint', 'bunches of mint', 0.6, 'bunch', 30],
  ['thyme', 'bunch of thyme', 'bunches of thyme', 1, 'bunch', 20],
  ['rosemary', 'bunch of rosemary', 'bunches of rosemary', 1, 'bunch', 20],
  ['sage', 'bunch of sage', 'bunches of sage', 1, 'bunch', 20],
  ['plum-tomato chopped-tomato', 'tin of tomatoes', 'tins of tomatoes', 1, 'tin', 400],
  ['coconut-milk', 'tin of coconut milk', 'tins of coconut milk', 1, 'tin', 400],
];

const BY_ID: ReadonlyMap<string, AsSold> = new Map(
  ROWS.flatMap(([ids, name, plural, left, soldBy, eachG]) =>
    ids.split(' ').map((id) => [id, { name, plural, left, soldBy, eachG }] as const),
  ),
);

/**
 * How a vegetable, an aromatic or what comes in tins lies in a shop; null for what is weighed as it is used.
 *
 * @param id of the larder
 * @example asSold('carrot').plural // 'carrots'
 */
export const asSold = (id: string): AsSold | null => BY_ID.get(id) ?? null;
