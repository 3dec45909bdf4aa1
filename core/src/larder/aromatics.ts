/** When an aromatic goes into the hot pot: what gives water first, what burns soonest last. */
export const AROMATIC_GROUPS = ['bones', 'base', 'warm', 'spice', 'garlic', 'leaf'] as const;
export type AromaticGroup = (typeof AROMATIC_GROUPS)[number];

/** Something sautéed for its flavour, or laid in for it. */
export interface AromaticKind {
  readonly id: string;
  readonly name: string;
  readonly group: AromaticGroup;
  /** Words a cook may use for it, lower case. */
  readonly words: readonly string[];
  /** Water given off by the end, by weight. */
  readonly juiceShare: number;
  /** Fat that renders out of it, by weight. */
  readonly fatShare: number;
  /** Fished out at the end when nothing is said. */
  readonly fishedOut: boolean;
  readonly note: string;
}

type Row = readonly [string, string, AromaticGroup, string, number, boolean, string];

/** Common practice of the trade. Columns: id, name, group, words, juice share, fished out, note. */
// prettier-ignore
const ROWS: readonly Row[] = [
  ['bones', 'Bones for body', 'bones', 'bone|bones', 0, true, 'browned like the meat'],
  ['onion', 'Onion', 'base', 'onion|onions', 0.3, false, ''],
  ['shallot', 'Shallot', 'base', 'shallot|shallots', 0.3, false, ''],
  ['spring-onion', 'Spring onion', 'base', 'spring onion|spring onions|scallion|scallions|green onion|green onions', 0.3, false, 'the green goes in at the end'],
  ['leek', 'Leek', 'base', 'leek|leeks', 0.3, false, ''],
  ['celery', 'Celery', 'base', 'celery', 0.3, false, ''],
  ['celeriac', 'Celeriac, diced', 'base', 'celeriac', 0.05, false, ''],
  ['carrot', 'Carrot, diced', 'base', 'carrot|carrots', 0.05, false, ''],
  ['fennel', 'Fennel', 'base', 'fennel', 0.3, false, ''],
  ['pepper', 'Sweet pepper', 'base', 'sweet pepper|bell pepper|peppers', 0.3, false, ''],
  ['mushroom', 'Mushrooms', 'base', 'mushroom|mushrooms', 0.5, false, 'in a wide layer, or they steam'],
  ['bacon', 'Bacon or lardons', 'base', 'bacon|lardon|lardons', 0.05, false, ''],
  ['ginger', 'Ginger', 'warm', 'ginger', 0, false, ''],
  ['chilli', 'Chilli', 'warm', 'chilli|chili|chillies|chilies|chile|chiles', 0, false, 'fumes: keep your face away'],
  ['spice', 'Ground spices', 'spice', 'spice|spices|paprika|cumin|coriander seed|curry|cinnamon|allspice|turmeric', 0, false, 'bloomed in the fat, no longer'],
  ['caraway', 'Caraway', 'spice', 'caraway|caraway seed|caraway seeds', 0, false, 'bloomed in the fat, no longer'],
  ['garlic', 'Garlic', 'garlic', 'garlic', 0, false, 'in the last minute only: it burns'],
  ['garlic-head', 'Garlic, whole heads', 'leaf', 'head of garlic|garlic heads|garlic head', 0, true, 'laid in whole'],
  ['bay', 'Bay leaves', 'leaf', 'bay', 0, true, ''],
  ['thyme', 'Thyme', 'leaf', 'thyme', 0, true, ''],
  ['rosemary', 'Rosemary', 'leaf', 'rosemary', 0, true, ''],
  ['sage', 'Sage', 'leaf', 'sage', 0, true, ''],
  ['mint', 'Mint', 'leaf', 'mint', 0, true, 'fresh leaves at the end'],
  ['parsley', 'Parsley', 'leaf', 'parsley', 0, false, 'stalks in, leaves at the end'],
  ['coriander-leaf', 'Coriander leaf', 'leaf', 'cilantro|coriander leaf|coriander leaves|fresh coriander', 0, false, 'at the end'],
  ['lemon-grass', 'Lemon grass', 'leaf', 'lemon grass|lemongrass', 0, true, 'bruised'],
  ['dried-chilli', 'Dried chillies', 'leaf', 'dried chilli|dried chillies|dried chili|dried chilies|dried chile|dried chiles|ancho|guajillo', 0, true, 'whole, or soaked and blended as a liquid'],
  ['dried-herbs', 'Dried herbs', 'leaf', 'dried|oregano|marjoram|dried thyme|dried rosemary|dried sage|dried mint|dried parsley|dried bay', 0, false, 'a third of the weight of fresh ones'],
  ['whole-spice', 'Whole spices', 'leaf', 'clove|cloves|peppercorn|peppercorns|star anise|juniper', 0, true, 'in a little bag'],
  ['peel', 'Citrus peel', 'leaf', 'peel|zest', 0, true, ''],
];

/** Common practice: a third of streaky bacon renders; bones give a little. */
const FAT_SHARE: Readonly<Record<string, number>> = { bacon: 0.3, bones: 0.03 };

export const AROMATICS: readonly AromaticKind[] = ROWS.map(([id, name, group, words, juiceShare, fishedOut, note]) => ({
  id,
  name,
  group,
  words: words.split('|'),
  juiceShare,
  fatShare: FAT_SHARE[id] ?? 0,
  fishedOut,
  note,
}));

/** What is taken for something the larder does not know: a vegetable like an onion. */
const UNKNOWN: Omit<AromaticKind, 'name' | 'id'> = {
  group: 'base',
  words: [],
  juiceShare: 0.2,
  fatShare: 0,
  fishedOut: false,
  note: '',
};

/**
 * The kind of an aromatic, by its id or by the words a cook used; the longest match wins, so that "garlic heads" is not
 * taken for garlic. What is not known is treated as a vegetable.
 *
 * @example aromaticKind('2 red onions').group // 'base'
 */
export function aromaticKind(ingredient: string): AromaticKind {
  const said = ingredient.toLowerCase().replaceAll(/[^\p{L}\s-]/gu, ' ');
  const exact = AROMATICS.find((known) => known.id === ingredient);
  if (exact) return exact;
  let best: AromaticKind | undefined;
  let length = 0;
  for (const known of AROMATICS) {
    for (const word of known.words) {
      if (word.length > length && new RegExp(`(^|\\s)${word}(\\s|$)`, 'u').test(said))
        [best, length] = [known, word.length];
    }
  }
  return best ?? { ...UNKNOWN, id: ingredient, name: ingredient };
}
