/** What kind of thing goes in besides meat and vegetables: it decides where it may go. */
export type LiquidKind = 'liquid' | 'sauce' | 'paste' | 'dry' | 'rub' | 'dairy';

/** Anything poured, spooned or strewn in. */
export interface Liquid {
  readonly id: string;
  readonly name: string;
  /** What keeps a liquid from moving over the base, as grams of cornstarch a gram: its solids and its sugar. */
  readonly starchEquivalent: number;
  /** What binds a finished sauce, as grams of cornstarch a gram: starch, flour, pulp; sugar alone binds nothing. */
  readonly binds: number;
  /** Counts as free liquid. */
  readonly waterShare: number;
  readonly sugarShare: number;
  readonly kind: LiquidKind;
  readonly deglazes: boolean;
  readonly alcoholFreeAlternative: string;
  readonly note: string;
}

type Row = readonly [string, string, number, number, number, LiquidKind, boolean, string, string];

/**
 * Common practice of the trade or from memory, no published source. Columns: id, name, starch equivalent, water share,
 * sugar share, kind, deglazes, alcohol-free alternative, note.
 */
// prettier-ignore
const ROWS: readonly Row[] = [
  ['water', 'Water', 0, 1, 0, 'liquid', true, '', ''],
  ['stock', 'Stock or broth', 0, 0.98, 0, 'liquid', true, '', ''],
  ['red-wine', 'Red wine', 0, 0.87, 0.01, 'liquid', true, 'stock with a spoon of vinegar', 'boil until the raw smell goes'],
  ['white-wine', 'White wine', 0, 0.87, 0.01, 'liquid', true, 'stock with a spoon of vinegar', ''],
  ['beer', 'Beer', 0.004, 0.93, 0.03, 'liquid', true, 'stock', 'foams when poured'],
  ['cider', 'Dry cider', 0, 0.93, 0.02, 'liquid', true, 'apple juice let down with water', ''],
  ['vinegar', 'Wine vinegar', 0, 0.94, 0, 'liquid', true, '', 'a few spoons'],
  ['balsamic', 'Sweet dark vinegar', 0.02, 0.78, 0.15, 'liquid', true, '', ''],
  ['thin-savoury-sauce', 'Thin savoury sauce (soy, anchovy and the like)', 0.01, 0.7, 0.05, 'liquid', true, '', 'salty'],
  ['citrus-juice', 'Citrus juice', 0, 0.9, 0.02, 'liquid', true, '', ''],
  ['chopped-tomato', 'Chopped tomatoes with juice', 0.02, 0.93, 0.03, 'sauce', false, '', ''],
  ['plum-tomato', 'Plum tomatoes from a tin', 0.015, 0.94, 0.03, 'sauce', false, '', 'crushed by hand'],
  ['passata', 'Sieved tomato, or thin tomato sauce', 0.025, 0.9, 0.04, 'sauce', false, '', ''],
  ['tomato-paste', 'Tomato paste', 0.2, 0.73, 0.12, 'paste', false, '', 'on top or after pressure'],
  ['salsa-thin', 'Thin salsa, red or green', 0.025, 0.91, 0.03, 'sauce', false, '', ''],
  ['chilli-blend', 'Soaked chillies blended with their liquid', 0.04, 0.88, 0.02, 'sauce', false, '', 'strain it; swill the blender into the pot'],
  ['bottled-thick-sauce', 'Thick bottled sauce', 0.12, 0.6, 0.25, 'sauce', false, '', 'on top'],
  ['cream-soup', 'Condensed cream soup', 0.1, 0.8, 0.02, 'sauce', false, '', 'after pressure'],
  ['quince-paste', 'Fruit paste', 0.2, 0.3, 0.6, 'paste', false, '', 'on top or after'],
  ['sugar', 'Sugar, honey, date paste', 0.1, 0.1, 0.85, 'dry', false, '', ''],
  ['flour', 'Wheat flour', 0.75, 0.12, 0, 'dry', false, '', 'on the meat first or beurre manié last'],
  ['cornstarch', 'Cornstarch', 1.0, 0.12, 0, 'dry', false, '', 'slurry after pressure'],
  ['sugar-rub', 'Dry rub with sugar', 0.05, 0.05, 0.3, 'rub', false, '', 'sear in a pan and discard what sticks'],
  ['soup-mix', 'Dry soup mix', 0.4, 0.05, 0.08, 'dry', false, '', 'thickens: after pressure'],
  ['bouillon', 'Bouillon, cube or powder', 0, 0.05, 0.05, 'dry', false, '', 'dissolved in the liquid; salty'],
  ['coconut-milk', 'Coconut milk', 0.03, 0.72, 0.03, 'sauce', false, '', 'may split in a long run; part of it at the end'],
  ['cream', 'Cream or sour cream', 0.05, 0.7, 0.03, 'dairy', false, '', 'off the heat'],
];

/** What binds a finished sauce, grams of cornstarch a gram; what is not here binds nothing. Common practice; from memory. */
const BINDS: Readonly<Record<string, number>> = {
  beer: 0.004,
  'chopped-tomato': 0.005,
  'plum-tomato': 0.004,
  passata: 0.012,
  'tomato-paste': 0.04,
  'salsa-thin': 0.008,
  'chilli-blend': 0.03,
  'bottled-thick-sauce': 0.05,
  'cream-soup': 0.08,
  'quince-paste': 0.04,
  flour: 0.5,
  cornstarch: 1,
  'soup-mix': 0.25,
  'coconut-milk': 0.02,
  cream: 0.03,
};

export const LIQUIDS: readonly Liquid[] = ROWS.map(
  ([id, name, starchEquivalent, waterShare, sugarShare, kind, deglazes, alcoholFreeAlternative, note]) => ({
    id,
    name,
    starchEquivalent,
    binds: BINDS[id] ?? 0,
    waterShare,
    sugarShare,
    kind,
    deglazes,
    alcoholFreeAlternative,
    note,
  }),
);

const byId = new Map(LIQUIDS.map((liquid) => [liquid.id, liquid]));

/**
 * What something is called in the middle of a sentence.
 *
 * @example liquidWord('cider') // 'dry cider'
 */
export function liquidWord(id: string): string {
  return liquidById(id).name.toLowerCase();
}

/**
 * Looks up what goes in besides meat and vegetables.
 *
 * @throws RangeError naming what is known
 * @example liquidById('cider').deglazes // true
 */
export function liquidById(id: string): Liquid {
  const liquid = byId.get(id);
  if (!liquid) throw new RangeError(`no liquid "${id}"; known are ${LIQUIDS.map((known) => known.id).join(', ')}`);
  return liquid;
}
