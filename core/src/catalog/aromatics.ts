import { say, type Text } from '@hervir/language/message';
/** When an aromatic goes into the hot pot: what gives water first, what burns soonest last. */
export const AROMATIC_GROUPS = ['bones', 'base', 'warm', 'spice', 'garlic', 'leaf'] as const;
export type AromaticGroup = (typeof AROMATIC_GROUPS)[number];

/** Something sautéed for its flavour, or laid in for it. */
export interface AromaticKind {
  readonly id: string;
  readonly name: Text;
  readonly group: AromaticGroup;
  /** Words a cook may use for it, lower case. */
  readonly words: readonly string[];
  /** Water given off by the end, by weight. */
  readonly juiceShare: number;
  /** Fat that renders out of it, by weight. */
  readonly fatShare: number;
  /** Fished out at the end when nothing is said. */
  readonly fishedOut: boolean;
  readonly note: Text;
}

type Row = readonly [string, Text, AromaticGroup, string, number, boolean, Text];

/** Common practice of the trade. Columns: id, name, group, words, juice share, fished out, note. */
// prettier-ignore
const ROWS: readonly Row[] = [
  ['bones', say('aromatics.bones-for-body'), 'bones', 'bone|bones', 0, true, say('aromatics.browned-like-the-meat')],
  ['onion', say('aromatics.onion'), 'base', 'onion|onions', 0.3, false, ''],
  ['shallot', say('aromatics.shallot'), 'base', 'shallot|shallots', 0.3, false, ''],
  ['spring-onion', say('aromatics.spring-onion'), 'base', 'spring onion|spring onions|scallion|scallions|green onion|green onions', 0.3, false, say('aromatics.the-green-goes-in-at')],
  ['leek', say('aromatics.leek'), 'base', 'leek|leeks', 0.3, false, ''],
  ['celery', say('aromatics.celery'), 'base', 'celery', 0.3, false, ''],
  ['celeriac', say('aromatics.celeriac-diced'), 'base', 'celeriac', 0.05, false, ''],
  ['carrot', say('aromatics.carrot-diced'), 'base', 'carrot|carrots', 0.05, false, ''],
  ['fennel', say('aromatics.fennel'), 'base', 'fennel', 0.3, false, ''],
  ['pepper', say('aromatics.sweet-pepper'), 'base', 'sweet pepper|bell pepper|peppers', 0.3, false, ''],
  ['mushroom', say('aromatics.mushrooms'), 'base', 'mushroom|mushrooms', 0.5, false, say('aromatics.in-a-wide-layer-or')],
  ['bacon', say('aromatics.bacon-or-lardons'), 'base', 'bacon|lardon|lardons', 0.05, false, ''],
  ['ginger', say('aromatics.ginger'), 'warm', 'ginger', 0, false, ''],
  ['chilli', say('aromatics.chilli'), 'warm', 'chilli|chili|chillies|chilies|chile|chiles', 0, false, say('aromatics.fumes-keep-your-face-away')],
  ['spice', say('aromatics.ground-spices'), 'spice', 'spice|spices|paprika|cumin|coriander seed|curry|cinnamon|allspice|turmeric', 0, false, say('aromatics.bloomed-in-the-fat-no')],
  ['caraway', say('aromatics.caraway'), 'spice', 'caraway|caraway seed|caraway seeds', 0, false, say('aromatics.bloomed-in-the-fat-no')],
  ['garlic', say('aromatics.garlic'), 'garlic', 'garlic', 0, false, say('aromatics.in-the-last-minute-only')],
  ['garlic-head', say('aromatics.garlic-whole-heads'), 'leaf', 'head of garlic|garlic heads|garlic head', 0, true, say('aromatics.laid-in-whole')],
  ['bay', say('aromatics.bay-leaves'), 'leaf', 'bay', 0, true, ''],
  ['thyme', say('aromatics.thyme'), 'leaf', 'thyme', 0, true, ''],
  ['rosemary', say('aromatics.rosemary'), 'leaf', 'rosemary', 0, true, ''],
  ['sage', say('aromatics.sage'), 'leaf', 'sage', 0, true, ''],
  ['mint', say('aromatics.mint'), 'leaf', 'mint', 0, true, say('aromatics.fresh-leaves-at-the-end')],
  ['parsley', say('aromatics.parsley'), 'leaf', 'parsley', 0, false, say('aromatics.stalks-in-leaves-at-the')],
  ['coriander-leaf', say('aromatics.coriander-leaf'), 'leaf', 'cilantro|coriander leaf|coriander leaves|fresh coriander', 0, false, say('aromatics.at-the-end')],
  ['lemon-grass', say('aromatics.lemon-grass'), 'leaf', 'lemon grass|lemongrass', 0, true, say('aromatics.bruised')],
  ['dried-chilli', say('aromatics.dried-chillies'), 'leaf', 'dried chilli|dried chillies|dried chili|dried chilies|dried chile|dried chiles|ancho|guajillo', 0, true, say('aromatics.whole-or-soaked-and-blended')],
  ['dried-herbs', say('aromatics.dried-herbs'), 'leaf', 'dried|oregano|marjoram|dried thyme|dried rosemary|dried sage|dried mint|dried parsley|dried bay', 0, false, say('aromatics.a-third-of-the-weight')],
  ['whole-spice', say('aromatics.whole-spices'), 'leaf', 'clove|cloves|peppercorn|peppercorns|star anise|juniper', 0, true, say('aromatics.in-a-little-bag')],
  ['peel', say('aromatics.citrus-peel'), 'leaf', 'peel|zest', 0, true, ''],
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

/** What is taken for something the catalog does not know: a vegetable like an onion. */
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
