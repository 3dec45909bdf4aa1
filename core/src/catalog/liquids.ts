import { lowered, say, type Text } from '@hervir/language/message';
/** What kind of thing goes in besides meat and vegetables: it decides where it may go. */
export type LiquidKind = 'liquid' | 'sauce' | 'paste' | 'dry' | 'rub' | 'dairy';

/** Anything poured, spooned or strewn in. */
export interface Liquid {
  readonly id: string;
  readonly name: Text;
  /** What keeps a liquid from moving over the base, as grams of cornstarch a gram: its solids and its sugar. */
  readonly starchEquivalent: number;
  /** What binds a finished sauce, as grams of cornstarch a gram: starch, flour, pulp; sugar alone binds nothing. */
  readonly binds: number;
  /** Counts as free liquid. */
  readonly waterShare: number;
  readonly sugarShare: number;
  readonly kind: LiquidKind;
  readonly deglazes: boolean;
  readonly alcoholFreeAlternative: Text;
  readonly note: Text;
}

type Row = readonly [string, Text, number, number, number, LiquidKind, boolean, Text, Text];

/**
 * Common practice of the trade or from memory, no published source. Columns: id, name, starch equivalent, water share,
 * sugar share, kind, deglazes, alcohol-free alternative, note.
 */
// prettier-ignore
const ROWS: readonly Row[] = [
  ['water', say('liquids.water'), 0, 1, 0, 'liquid', true, '', ''],
  ['stock', say('liquids.stock-or-broth'), 0, 0.98, 0, 'liquid', true, '', ''],
  ['red-wine', say('liquids.red-wine'), 0, 0.87, 0.01, 'liquid', true, say('liquids.stock-with-a-spoon-of'), say('liquids.boil-until-the-raw-smell')],
  ['white-wine', say('liquids.white-wine'), 0, 0.87, 0.01, 'liquid', true, say('liquids.stock-with-a-spoon-of'), ''],
  ['beer', say('liquids.beer'), 0.004, 0.93, 0.03, 'liquid', true, say('liquids.stock'), say('liquids.foams-when-poured')],
  ['cider', say('liquids.dry-cider'), 0, 0.93, 0.02, 'liquid', true, say('liquids.apple-juice-let-down-with'), ''],
  ['vinegar', say('liquids.wine-vinegar'), 0, 0.94, 0, 'liquid', true, '', say('liquids.a-few-spoons')],
  ['balsamic', say('liquids.sweet-dark-vinegar'), 0.02, 0.78, 0.15, 'liquid', true, '', ''],
  ['thin-savoury-sauce', say('liquids.thin-savoury-sauce-soy-anchovy'), 0.01, 0.7, 0.05, 'liquid', true, '', say('liquids.salty')],
  ['citrus-juice', say('liquids.citrus-juice'), 0, 0.9, 0.02, 'liquid', true, '', ''],
  ['chopped-tomato', say('liquids.chopped-tomatoes-with-juice'), 0.02, 0.93, 0.03, 'sauce', false, '', ''],
  ['plum-tomato', say('liquids.plum-tomatoes-from-a-tin'), 0.015, 0.94, 0.03, 'sauce', false, '', say('liquids.crushed-by-hand')],
  ['passata', say('liquids.sieved-tomato-or-thin-tomato'), 0.025, 0.9, 0.04, 'sauce', false, '', ''],
  ['tomato-paste', say('liquids.tomato-paste'), 0.2, 0.73, 0.12, 'paste', false, '', say('liquids.on-top-or-after-pressure')],
  ['salsa-thin', say('liquids.thin-salsa-red-or-green'), 0.025, 0.91, 0.03, 'sauce', false, '', ''],
  ['chilli-blend', say('liquids.soaked-chillies-blended-with-their'), 0.04, 0.88, 0.02, 'sauce', false, '', say('liquids.strain-it-swill-the-blender')],
  ['bottled-thick-sauce', say('liquids.thick-bottled-sauce'), 0.12, 0.6, 0.25, 'sauce', false, '', say('liquids.on-top')],
  ['cream-soup', say('liquids.condensed-cream-soup'), 0.1, 0.8, 0.02, 'sauce', false, '', say('liquids.after-pressure')],
  ['quince-paste', say('liquids.fruit-paste'), 0.2, 0.3, 0.6, 'paste', false, '', say('liquids.on-top-or-after')],
  ['sugar', say('liquids.sugar-honey-date-paste'), 0.1, 0.1, 0.85, 'dry', false, '', ''],
  ['flour', say('liquids.wheat-flour'), 0.75, 0.12, 0, 'dry', false, '', say('liquids.on-the-meat-first-or')],
  ['cornstarch', say('liquids.cornstarch'), 1.0, 0.12, 0, 'dry', false, '', say('liquids.slurry-after-pressure')],
  ['sugar-rub', say('liquids.dry-rub-with-sugar'), 0.05, 0.05, 0.3, 'rub', false, '', say('liquids.sear-in-a-pan-and')],
  ['soup-mix', say('liquids.dry-soup-mix'), 0.4, 0.05, 0.08, 'dry', false, '', say('liquids.thickens-after-pressure')],
  ['bouillon', say('liquids.bouillon-cube-or-powder'), 0, 0.05, 0.05, 'dry', false, '', say('liquids.dissolved-in-the-liquid-salty')],
  ['coconut-milk', say('liquids.coconut-milk'), 0.03, 0.72, 0.03, 'sauce', false, '', say('liquids.may-split-in-a-long')],
  ['cream', say('liquids.cream-or-sour-cream'), 0.05, 0.7, 0.03, 'dairy', false, '', say('liquids.off-the-heat')],
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
export function liquidWord(id: string): Text {
  return lowered(liquidById(id).name);
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
