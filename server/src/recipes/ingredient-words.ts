import { cutById, tenderCut, type Form } from '@hervir/core';
import { inFigures } from './durations';
import { FOODS, FORM_WORDS, type Entry } from './lexicon';

/** What a line of ingredients is taken for. */
export type TakenAs =
  | { readonly kind: 'meat'; readonly id: string; readonly form: Form }
  | { readonly kind: 'liquid' | 'addition' | 'thickener' | 'vegetable' | 'grain' | 'aromatic'; readonly id: string }
  /** Salt, pepper, oil, what is served beside: the cook knows; it changes nothing that is reckoned. */
  | { readonly kind: 'by-taste' }
  | { readonly kind: 'unknown' }
  /** It says where the lines under it belong. */
  | { readonly kind: 'heading' };

/** A name of the lexicon, as it may stand in a line: its plural too. */
interface Name {
  readonly pattern: RegExp;
  /** Its first letters: where they are not, the pattern need not be tried. */
  readonly begins: string;
  readonly entry: Entry;
}

function plural(name: string): string {
  const escaped = name.replaceAll(/[.*+?^${}()|[\]\\]/g, '\\$&').replaceAll(' ', '[ -]');
  if (/[^aeiou]y$/.test(name)) return `${escaped.slice(0, -1)}(?:y|ies)`;
  if (/leaf$/.test(name)) return `${escaped.slice(0, -1)}(?:f|ves)`;
  return `${escaped}(?:es|s)?`;
}

const NAMES: readonly Name[] = FOODS.flatMap(([entry, names]) =>
  names.split('|').map((name) => ({
    pattern: new RegExp(`(?<![\\p{L}'’-])${plural(name)}(?![\\p{L}])`, 'gu'),
    begins: name.slice(0, 3),
    entry,
  })),
);

/** What is only served with it. */
const BESIDE =
  /\b(?:to serve|for serving|to garnish|for garnish|garnish(?:ed)?|for the table|for dipping|to accompany|on the side)\b/;
const ANIMAL = /\b(?:beef|pork|lamb|mutton|goat|kid)\b/;
/** Found in a tin, drained: cooked already. */
const TINNED = /\b(?:tins?|cans?|tinned|canned|jars?)\b/;

/** A line as its foods are looked for: without brackets and asides, "shin of beef" as "beef shin", mutton as lamb. */
function bared(line: string): { readonly head: string; readonly all: string } {
  const all = line
    .toLowerCase()
    .replace(/[’`]/g, "'")
    .replace(
      /\b(juice|zest|peel|rind)(?: and \w+)? of (?:the |half |an? |[\d.½¼]+ )*(?:\w+ )?(lemon|lime|orange)s?\b/g,
      '$2 $1',
    )
    .replace(/\b(\w+) of (beef|pork|lamb|goat|mutton|kid)\b/g, '$2 $1')
    .replace(/\b(scrag end|scrag|neck|shoulder|leg|breast) (lamb|mutton|goat)\b/g, '$2 $1');
  const open = all.replace(/\([^)]*\)/g, ' ');
  const head = open.split(/,| - |\bwith\b|\bmixed with\b|\bfor the\b|\bor\b|\/(?=\s*[a-z])/)[0] ?? open;
  // Where nothing stands before the first comma, or only a number, all of it is looked at.
  return {
    head: /\p{L}{3}/u.test(head.replace(/\d+\s*(?:kg|g|ml|l|cl|oz|lbs?|cups?|tbsps?|tsps?)\b/gu, '')) ? head : open,
    all,
  };
}

/** A food that is named in some words, and where. */
export interface FoodNamed {
  readonly entry: Entry;
  /** Its last word, singular as far as an s goes: "baby potatoes" and "potato" share it. */
  readonly noun: string;
  readonly from: number;
  readonly to: number;
}

const nounOf = (name: string): string =>
  (name.split(/[ -]/).at(-1) ?? name).replace(/ies$/, 'y').replace(/(?:(o)es|s)$/, '$1');

/**
 * The foods that some words name, in their order: of a name within a longer one the longer.
 *
 * @example foodsIn('Add the kidney beans')[0]?.noun // 'bean'
 */
export function foodsIn(words: string): FoodNamed[] {
  const lower = words.toLowerCase().replace(/[’`]/g, "'");
  const hits = NAMES.filter(({ begins }) => lower.includes(begins)).flatMap(({ pattern, entry }): FoodNamed[] =>
    [...lower.matchAll(pattern)].map((found) => ({
      entry,
      noun: nounOf(found[0]),
      from: found.index,
      to: found.index + found[0].length,
    })),
  );
  return hits
    .filter(
      (hit) =>
        !hits.some(
          (other) => other.from <= hit.from && other.to >= hit.to && other.to - other.from > hit.to - hit.from,
        ),
    )
    .sort((a, b) => a.from - b.from);
}

/** The food that is meant in some words: the last of those that lie in no longer one. */
function meantIn(words: string): Entry | null {
  return [...foodsIn(words)].sort((a, b) => b.to - a.to || b.to - b.from - (a.to - a.from))[0]?.entry ?? null;
}

function formOf(id: string, words: string): Form {
  const { forms } = cutById(id);
  return FORM_WORDS.find(([pattern, form]) => pattern.test(words) && forms.includes(form))?.[1] ?? forms[0] ?? 'whole';
}

/** What is sautéed where it is cut fine, and a vegetable where it is left large. */
const EITHER: Readonly<Record<string, string>> = {
  carrot: 'carrot',
  celeriac: 'celeriac',
  fennel: 'fennel',
  mushroom: 'mushroom',
  'sweet-pepper': 'pepper',
};
const FINE = /\b(?:finely|minced|grated|diced|crushed|thinly)\b/;

/**
 * What a line of ingredients is taken for, by its words.
 *
 * @param line as written
 * @example takenAs('2 tbsp tomato paste') // { kind: 'addition', id: 'tomato-paste' }
 */
export function takenAs(line: string): TakenAs {
  const { head, all } = bared(line);
  if (BESIDE.test(all)) return { kind: 'by-taste' };
  // Said to be what it is, and not taken for a tough cut of its animal.
  if (tenderCut(line)) return { kind: 'unknown' };
  const citrus = /\b(?:lemon|lime|orange)s?\b.*?\b(juic|zest)/.exec(all)?.[1];
  if (citrus !== undefined)
    return citrus === 'juic' ? { kind: 'liquid', id: 'citrus-juice' } : { kind: 'aromatic', id: 'peel' };
  const entry = meantIn(head) ?? meantIn(all);
  if (entry === null || entry === 'unknown') return { kind: 'unknown' };
  if (entry === 'by-taste' || entry === 'beside') return { kind: 'by-taste' };
  const [kind = '', id = ''] = entry.split(':');
  if (kind === 'meat') return { kind, id, form: formOf(id, inFigures(all)) };
  if (kind === 'grain' && /bean|chickpea/.test(id) && TINNED.test(all)) return { kind: 'vegetable', id: 'bean-tinned' };
  if (id === 'bean-dry-unsoaked' && /\bsoaked\b/.test(all)) return { kind: 'grain', id: 'bean-dry-soaked' };
  if (id === 'chilli' && /\bdried\b/.test(all)) return { kind: 'aromatic', id: 'dried-chilli' };
  if (id === 'tomato' && TINNED.test(all)) return { kind: 'liquid', id: 'chopped-tomato' };
  const fried = kind === 'vegetable' ? EITHER[id] : undefined;
  if (fried !== undefined && FINE.test(all)) return { kind: 'aromatic', id: fried };
  return { kind: kind as 'liquid', id };
}

/** Whether a line speaks of an animal without a cut: it is asked which. */
export function asksWhichCut(line: string): boolean {
  const { head, all } = bared(line);
  // Minced, or cured into something else: what it is, is known.
  if (meantIn(head) !== null || meantIn(all) !== null) return false;
  return takenAs(line).kind === 'unknown' && ANIMAL.test(line.toLowerCase()) && !tenderCut(line);
}

/** What one of a thing weighs, g, by what it is counted in or is. Common practice; from memory. */
const PIECE_GRAMS: readonly (readonly [RegExp, number])[] = [
  [/(?:head|bulb)s?\b.*garlic|garlic (?:head|bulb)/, 50],
  [/cloves?\b.*garlic|garlic cloves?|cloves?$/, 5],
  [/\bbay\b|\bleaf\b|\bleaves\b|\bsprigs?\b|\bstrips?\b/, 1],
  [/star anise|\bpods?\b|berr(?:y|ies)\b|peppercorn/, 1],
  [/\bdash(?:es)?\b|\bpinch(?:es)?\b/, 3],
  [/\bsplash(?:es)?\b|\bknobs?\b|\bglugs?\b/, 15],
  [/handfuls?\b.*(?:parsley|mint|basil|coriander|cilantro|thyme|herb)/, 15],
  [/handfuls?\b/, 70],
  [/bunch(?:es)?\b.*(?:kale|green|chard|carrot|beet|turnip)/, 200],
  [/bunch(?:es)?\b/, 30],
  [/shallot|pearl|baby onion|button onion|spring onion|scallion/, 25],
  [/cherry tomato|olive\b/, 10],
  [/celer(?:y)\b/, 50],
  [/celeriac|celery root|swede|rutabaga|cabbage|cauliflower/, 700],
  [/squash|pumpkin/, 1000],
  [/courgette|zucchini/, 200],
  [/onion|leek|turnip|beet|fennel|apple/, 150],
  [/sweet potato/, 200],
  [/small potato|new potato|baby potato/, 60],
  [/potato/, 140],
  [/carrot|parsnip/, 90],
  [/tomato/, 100],
  [/scotch bonnet|dried (?:\w+ )?chil|guajillo|ancho/, 8],
  [/chil(?:l?i|e)|jalape/, 15],
  [/pepper|capsicum|plantain/, 150],
  [/mushroom/, 20],
  [/stock cube|bouillon cube/, 10],
  [/lemon ?grass/, 20],
  [/juic/, 45],
  [/zest|peel|rind/, 5],
  [/ginger/, 15],
  [/lemon|lime|orange/, 100],
  [/shank/, 400],
  [/cheek/, 400],
  [/hock|knuckle/, 900],
  [/oxtail/, 1500],
  [/\bbottles?\b/, 350],
  [/\bcans?\b|\btins?\b/, 400],
  [/packets?\b/, 40],
];

/** Grams of one, as a recipe counts it. */
export function gramsOfOne(line: string): number | null {
  const words = line.toLowerCase();
  return PIECE_GRAMS.find(([pattern]) => pattern.test(words))?.[1] ?? null;
}
