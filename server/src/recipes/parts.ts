import { takenAs } from './ingredient-words';
import { say, type Text } from '@hervir/language';

/** Where a part of a list belongs: in the pot, beside it, into the marinade or the rub, or in at the very end. */
export type Part = 'pot' | 'beside' | 'marinade' | 'rub' | 'finish';

/** A line of a list of ingredients, with the part it stands in. */
export interface ListedLine {
  /** As somebody wrote it. */
  readonly written: string;
  /** In the words that the reader knows. */
  readonly text: string;
  /** What of it names the food: without a heading that stands in the line. */
  readonly food: string;
  /** It is no ingredient, and says where the lines under it belong. */
  readonly heading: boolean;
  readonly part: Part;
  /** The heading it stands under, as written; null where there is none. */
  readonly under: string | null;
  readonly optional: boolean;
}

/** What a heading says of the lines under it; the first that fits. Common practice. */
const PARTS: readonly (readonly [RegExp, Part])[] = [
  [/\b(?:marinad\w*|brine)\b/, 'marinade'],
  [/\brub\b|\bspice mix(?:ture)?\b/, 'rub'],
  [/\bfinish\w*|\bstir in at the end\b/, 'finish'],
  [/\b(?:braise|stew|pot|casserole|curry|ragù|ragu|sauce|gravy|slurry|base|broth|thicken\w*)\b/, 'pot'],
  [
    /\b(?:serv(?:e|ing)|garnish\w*|topping\w*|accompan\w*|sides?|rice|mash\w*|polenta|couscous|salad|slaw|dressing|dumpling\w*|gremolata|pickle\w*|bread\w*|pasta|tacos?|tortillas?|sandwich\w*|buns?|rolls?|crust|pastry|yogh?urt|dip)\b/,
    'beside',
  ],
];

/** A heading by itself, without "for the" or a colon. */
const BY_ITSELF =
  /^(?:to (?:serve|garnish|finish)|for (?:serving|garnish(?:ing)?|the table)|garnish(?:es)?|toppings?|(?:the )?(?:marinade|brine|braise|stew|sauce|gravy|slurry|dressing|meat|vegetables|spices|aromatics)|(?:dry |spice )?rub|spice mix|optional)$/i;

const LONGEST_HEADING_WORDS = 7;

/** The words of a heading; null where the line is none. */
function headingIn(text: string, allCaps: boolean): string | null {
  const marked = /^#{1,6}\s+\S|^(\*{1,2}|_{1,2})[^*_].*\1:?$/.test(text);
  const words = text.replaceAll(/^#+\s*|[*_]+|^[-=–—\s]+|[-=–—\s]+$/g, '').trim();
  if (words === '' || /\d/.test(words) || words.split(/\s+/).length > LONGEST_HEADING_WORDS) return null;
  const bare = words.replace(/:$/, '').trim();
  const shouted =
    !allCaps && /\p{Lu}{4}/u.test(bare) && bare === bare.toUpperCase() && takenAs(bare).kind === 'unknown';
  const says =
    marked || words.endsWith(':') || shouted || BY_ITSELF.test(bare) || /^(?:for|to make) the \p{L}/iu.test(bare);
  return says ? bare : null;
}

const partOf = (heading: string): Part => PARTS.find(([pattern]) => pattern.test(heading.toLowerCase()))?.[1] ?? 'pot';

/** "For the rub: 2 tsp salt": a heading and its line in one. */
const INLINE =
  /^((?:for|to make) the [\p{L} ]+|to (?:serve|garnish|finish)|marinade|(?:dry |spice )?rub|garnish|topping)\s*:\s*(?=\S)/iu;

/**
 * The parts of a list of ingredients: its headings, and where what stands under each belongs.
 *
 * @param lines in the words that the reader knows
 * @param written as somebody wrote them, where that was in another language
 * @example parted(['For the rice:', '200 g basmati rice'])[1]?.part // 'beside'
 */
export function parted(lines: readonly string[], written: readonly string[] = lines): ListedLine[] {
  const allCaps = lines.filter((line) => line === line.toUpperCase()).length > lines.length / 2;
  let under: { readonly read: string; readonly written: string } | null = null;
  return lines.map((text, i): ListedLine => {
    const wrote = written[i] ?? text;
    const heading = headingIn(text, allCaps);
    if (heading !== null) {
      under = { read: heading, written: headingIn(wrote, allCaps) ?? wrote.replace(/:\s*$/, '') };
      return { written: wrote, text, food: text, heading: true, part: 'pot', under: null, optional: false };
    }
    const [inline = '', words] = INLINE.exec(text) ?? [];
    const own = words ?? under?.read ?? null;
    return {
      written: wrote,
      text,
      food: text.slice(inline.length),
      heading: false,
      part: /\bto finish\b/i.test(text) ? 'finish' : own === null ? 'pot' : partOf(own),
      under: words ?? under?.written ?? null,
      optional: /\boptional(?:ly)?\b|\bif (?:you )?(?:like|liked|desired|wished)\b/i.test(
        own === null ? text : `${own} ${text}`,
      ),
    };
  });
}

/** What a line leaves open, in words; null where it leaves nothing open. */
export function leftOpen(text: string): Text | null {
  const words = text.toLowerCase();
  if (/\bdivided\b|\bin two (?:lots|parts|batches)\b/.test(words)) return say('parts.divided-in-the-recipe-all');
  if (/\bplus (?:more|extra|some|a (?:little|bit|few))\b|\band more\b|\bextra (?:to|for)\b/.test(words))
    return say('parts.plus-more-in-the-recipe');
  return null;
}

/** The other food of a line that names two, as written: "chuck or brisket"; null where it names one. */
export function otherFood(text: string): string | null {
  const match = /^(.*?\p{L}{3}.*?)\s+or\s+(\D.*)$/iu.exec(text.replaceAll(/\([^)]*\)/g, ' '));
  const [, first = '', second = ''] = match ?? [];
  const [one, other] = [takenAs(first), takenAs(second)];
  const named = (as: ReturnType<typeof takenAs>): string => ('id' in as ? `${as.kind}:${as.id}` : as.kind);
  if (!('id' in other) || !('id' in one) || named(one) === named(other)) return null;
  return second.trim();
}
