import { say, type Text } from '@hervir/language/message';
/** How a shop sells something: by the piece, the bunch, the tin. */
export const SOLD_BY = ['piece', 'bunch', 'tin', 'head', 'bulb', 'stalk', 'weight'] as const;
export type SoldBy = (typeof SOLD_BY)[number];

/** Something of the catalog as it lies in a shop. */
export interface AsSold {
  /** One name for what is bought once, however it is cut: diced carrot and carrots are carrots. */
  readonly name: Text;
  /** More than one of it. */
  readonly plural: Text;
  /** Of what is bought, so much is left when it is peeled, trimmed, drained. */
  readonly left: number;
  readonly soldBy: SoldBy;
  /** One of it, g as bought; 0 for what is sold by weight. */
  readonly eachG: number;
}

type Row = readonly [string, Text, Text, number, SoldBy, number];

/**
 * Columns: ids of vegetables and aromatics, name, plural, share that is left, sold by, grams each. Shares: USDA Agriculture
 * Handbook 102, Food Yields (1975), rounded; from memory. Weights of one: common practice.
 */
// prettier-ignore
const ROWS: readonly Row[] = [
  ['potato-waxy', say('as-sold.waxy-potato'), say('as-sold.waxy-potatoes'), 0.81, 'piece', 120],
  ['potato-floury', say('as-sold.floury-potato'), say('as-sold.floury-potatoes'), 0.81, 'piece', 180],
  ['sweet-potato', say('as-sold.sweet-potato'), say('as-sold.sweet-potatoes'), 0.8, 'piece', 300],
  ['carrot', say('as-sold.carrot'), say('as-sold.carrots'), 0.82, 'piece', 90],
  ['parsnip', say('as-sold.parsnip'), say('as-sold.parsnips'), 0.83, 'piece', 130],
  ['turnip', say('as-sold.turnip'), say('as-sold.turnips'), 0.81, 'piece', 150],
  ['celeriac', say('as-sold.celeriac'), say('as-sold.celeriacs'), 0.7, 'piece', 650],
  ['swede', say('as-sold.swede'), say('as-sold.swedes'), 0.83, 'piece', 600],
  ['beetroot', say('as-sold.beetroot'), say('as-sold.beetroots'), 0.8, 'piece', 150],
  ['squash', say('as-sold.winter-squash'), say('as-sold.winter-squashes'), 0.7, 'piece', 1200],
  ['onion-quarter|onion', say('as-sold.onion'), say('as-sold.onions'), 0.88, 'piece', 130],
  ['onion-small', say('as-sold.small-onion'), say('as-sold.small-onions'), 0.85, 'piece', 35],
  ['shallot', say('as-sold.shallot'), say('as-sold.shallots'), 0.85, 'piece', 35],
  ['spring-onion', say('as-sold.bunch-of-spring-onions'), say('as-sold.bunches-of-spring-onions'), 0.75, 'bunch', 120],
  ['leek', say('as-sold.leek'), say('as-sold.leeks'), 0.65, 'piece', 250],
  ['fennel', say('as-sold.fennel-bulb'), say('as-sold.fennel-bulbs'), 0.75, 'bulb', 300],
  ['celery', say('as-sold.stalk-of-celery'), say('as-sold.stalks-of-celery'), 0.75, 'stalk', 60],
  ['cabbage', say('as-sold.cabbage'), say('as-sold.cabbages'), 0.8, 'head', 1200],
  ['savoy', say('as-sold.head-of-savoy-or-kale'), say('as-sold.heads-of-savoy-or-kale'), 0.75, 'head', 700],
  ['green-bean', say('as-sold.green-beans'), say('as-sold.green-beans'), 0.9, 'weight', 0],
  ['pea', say('as-sold.peas'), say('as-sold.peas'), 1, 'weight', 0],
  ['mushroom', say('as-sold.mushrooms'), say('as-sold.mushrooms'), 0.95, 'weight', 0],
  ['sweet-pepper|pepper', say('as-sold.sweet-pepper'), say('as-sold.sweet-peppers'), 0.82, 'piece', 170],
  ['tomato', say('as-sold.tomato'), say('as-sold.tomatoes'), 0.97, 'piece', 110],
  ['courgette', say('as-sold.courgette'), say('as-sold.courgettes'), 0.95, 'piece', 220],
  ['plantain-green', say('as-sold.green-plantain'), say('as-sold.green-plantains'), 0.65, 'piece', 250],
  ['plantain-ripe', say('as-sold.ripe-plantain'), say('as-sold.ripe-plantains'), 0.65, 'piece', 230],
  ['okra', say('as-sold.okra'), say('as-sold.okra'), 0.87, 'weight', 0],
  ['bean-tinned', say('as-sold.tin-of-beans'), say('as-sold.tins-of-beans'), 0.6, 'tin', 400],
  ['cassava', say('as-sold.cassava'), say('as-sold.cassavas'), 0.8, 'piece', 500],
  ['cauliflower', say('as-sold.cauliflower'), say('as-sold.cauliflowers'), 0.6, 'head', 800],
  ['broccoli', say('as-sold.head-of-broccoli'), say('as-sold.heads-of-broccoli'), 0.65, 'head', 400],
  ['brussels-sprout', say('as-sold.brussels-sprouts'), say('as-sold.brussels-sprouts'), 0.9, 'weight', 0],
  ['ginger', say('as-sold.ginger'), say('as-sold.ginger'), 0.9, 'weight', 0],
  ['garlic|garlic-head', say('as-sold.head-of-garlic'), say('as-sold.heads-of-garlic'), 0.87, 'head', 55],
  ['parsley', say('as-sold.bunch-of-parsley'), say('as-sold.bunches-of-parsley'), 0.75, 'bunch', 50],
  ['coriander-leaf', say('as-sold.bunch-of-coriander'), say('as-sold.bunches-of-coriander'), 0.75, 'bunch', 50],
  ['mint', say('as-sold.bunch-of-mint'), say('as-sold.bunches-of-mint'), 0.6, 'bunch', 30],
  ['thyme', say('as-sold.bunch-of-thyme'), say('as-sold.bunches-of-thyme'), 1, 'bunch', 20],
  ['rosemary', say('as-sold.bunch-of-rosemary'), say('as-sold.bunches-of-rosemary'), 1, 'bunch', 20],
  ['sage', say('as-sold.bunch-of-sage'), say('as-sold.bunches-of-sage'), 1, 'bunch', 20],
  ['plum-tomato|chopped-tomato', say('as-sold.tin-of-tomatoes'), say('as-sold.tins-of-tomatoes'), 1, 'tin', 400],
  ['coconut-milk', say('as-sold.tin-of-coconut-milk'), say('as-sold.tins-of-coconut-milk'), 1, 'tin', 400],
];

const BY_ID: ReadonlyMap<string, AsSold> = new Map(
  ROWS.flatMap(([ids, name, plural, left, soldBy, eachG]) =>
    ids.split('|').map((id) => [id, { name, plural, left, soldBy, eachG }] as const),
  ),
);

/**
 * How a vegetable, an aromatic or what comes in tins lies in a shop; null for what is weighed as it is used.
 *
 * @param id of the catalog
 * @example asSold('carrot').plural // 'carrots'
 */
export const asSold = (id: string): AsSold | null => BY_ID.get(id) ?? null;
