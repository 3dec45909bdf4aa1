import { GRAMS_PER_OUNCE, parseQuantity } from '@hervir/language';
import { inFigures } from './durations';
import { gramsOfOne, type TakenAs } from './ingredient-words';
import { VOLUMES, type Measures } from './measures';

/** The units recipes write, by the core's names for them. */
const NAMES: readonly (readonly [RegExp, 'mass' | 'volume', string])[] = [
  [/^(?:kgs?|kilos?|kilogram(?:me)?s?)$/, 'mass', 'kg'],
  [/^(?:g|gr|gms?|gram(?:me)?s?)$/, 'mass', 'g'],
  [/^(?:lbs?|pounds?)$/, 'mass', 'lb'],
  [/^(?:oz|ounces?)$/, 'mass', 'oz'],
  [/^(?:l|ltr|lit(?:er|re)s?)$/, 'volume', 'l'],
  [/^(?:mls?|millilit(?:er|re)s?)$/, 'volume', 'ml'],
  [/^cl$/, 'volume', 'cl'],
  [/^dl$/, 'volume', 'dl'],
  [/^(?:tbsps?|tbs|tablespoons?)$/, 'volume', 'tbsp'],
  [/^(?:tsps?|teaspoons?)$/, 'volume', 'tsp'],
];
/** Those that hold more or less by country. */
const BY_COUNTRY: readonly (readonly [RegExp, keyof (typeof VOLUMES)['us']])[] = [
  [/^(?:cups?|c)$/, 'cup'],
  [/^(?:fl\.? ?oz|fluid ounces?)$/, 'fluidOunce'],
  [/^(?:pints?|pts?)$/, 'pint'],
  [/^(?:quarts?|qts?)$/, 'quart'],
  [/^gallons?$/, 'gallon'],
];

/** What one of a unit is, in grams or millilitres; null for what is no unit. */
function unitOf(said: string, of: Measures): { readonly each: number; readonly weight: boolean } | null {
  const held = BY_COUNTRY.find(([pattern]) => pattern.test(said))?.[1];
  if (held !== undefined) return { each: VOLUMES[of][held], weight: false };
  const [, kind, unit] = NAMES.find(([pattern]) => pattern.test(said)) ?? [];
  const each = kind === undefined ? undefined : parseQuantity(kind, `1 ${unit}`, 'metric');
  return each === undefined ? null : { each, weight: kind === 'mass' };
}

/** An ounce of volume over one of weight, ml/g. */
const OUNCE_ML_OVER_G = VOLUMES.us.fluidOunce / GRAMS_PER_OUNCE;

/** Weighed from a cup or a spoon, g/ml. From memory. */
const DENSITY: Readonly<Partial<Record<TakenAs['kind'], number>>> = {
  vegetable: 0.6,
  aromatic: 0.6,
  grain: 0.8,
  addition: 1.05,
  thickener: 0.55,
};
const SPICE_DENSITY = 0.48;
/** A heaped spoon over a level one. Common practice. */
const HEAPED = 1.5;

interface Measure {
  readonly amount: number;
  /** Grams or millilitres of one. */
  readonly each: number;
  readonly weight: boolean;
  readonly metric: boolean;
  readonly from: number;
  readonly to: number;
  readonly bracketed: boolean;
}

const UNIT = `(${[...NAMES, ...BY_COUNTRY].map(([{ source }]) => source.slice(1, -1)).join('|')})`;
const MEASURE = new RegExp(
  String.raw`(?<![\d.])(\d+(?:\.\d+)?)(?:\s*(?:-|to)\s*(\d+(?:\.\d+)?))?[\s-]*(heaped |rounded |generous |level |scant |large |small |packed )?${UNIT}\b\.?`,
  'g',
);

/** All measures in a line, in their order. */
function measures(words: string, of: Measures): Measure[] {
  return [...words.matchAll(MEASURE)].flatMap((found): Measure[] => {
    const [all, low, high, how = '', said = ''] = found;
    const one = unitOf(said, of);
    if (one === null) return [];
    const from = found.index;
    const bracketed = words.lastIndexOf('(', from) > words.lastIndexOf(')', from);
    return [
      {
        amount:
          (high === undefined ? Number(low) : (Number(low) + Number(high)) / 2) *
          (/heaped|generous/.test(how) ? HEAPED : 1),
        ...one,
        metric: /^(?:k?g|kilo|gr|gm|m?l|cl|dl|lit|mill)/.test(said),
        from,
        to: from + all.length,
        bracketed,
      },
    ];
  });
}

/** What is written one after another belongs together: "1 kg 200 g", "2 lb 8 oz", "1 cup + 2 tbsp". */
function together(words: string, first: Measure, all: readonly Measure[]): Measure[] {
  const parts = [first];
  let last = first;
  for (const next of all.slice(all.indexOf(first) + 1)) {
    const between = words.slice(last.to, next.from);
    if (next.weight !== first.weight || next.each >= last.each || !/^\s*(?:\+|and|plus)?\s*$/.test(between)) break;
    parts.push(next);
    last = next;
  }
  return parts;
}

const added = (words: string, first: Measure, all: readonly Measure[]): number =>
  together(words, first, all).reduce((sum, { amount, each }) => sum + amount * each, 0);

const CONTAINER = String.raw`(?:cans?|tins?|bottles?|packets?|packages?|packs?|jars?|cartons?|bags?)`;

/** How many of a measure there are: "2 x 400 g tins", "1 (14.5 oz) can", "2 29-oz cans", "(about 1 kg each)". */
function countOf(words: string, measure: Measure): number {
  const before = words.slice(0, measure.from);
  const times = /^(\d+(?:\.\d+)?)\s*(?:x|×|\*)?\s*\(?\s*(?:about |approx\.? )?$/.exec(before)?.[1];
  const contained = new RegExp(String.raw`^(\d+(?:\.\d+)?)\s+${CONTAINER}\s*\(`).exec(before)?.[1];
  const each = /^[^)]*\beach\b/.test(words.slice(measure.to)) ? /^(\d+(?:\.\d+)?)\b/.exec(words)?.[1] : undefined;
  return Number(times ?? contained ?? each ?? 1);
}

/** What a line says, in grams or for a liquid millilitres. */
export interface Amount {
  readonly grams: number;
  /** It stands there; else it was counted, and weighed by what one usually weighs. */
  readonly said: boolean;
}

const RANGE_OF = String.raw`(\d+(?:\.\d+)?)(?:\s*(?:-|to|or)\s*(\d+(?:\.\d+)?))?`;
/** A count before the thing, or after it: "3 carrots", "carrots x 3", "onion (1 large)", "shanks, 4". */
const COUNTS: readonly RegExp[] = [
  new RegExp(String.raw`^(?:an? )?${RANGE_OF}`),
  new RegExp(String.raw`(?:\bx|×|,|\(|\s)\s*${RANGE_OF}(?:\s*(?:large|small|medium|whole|big))?\s*(?:\)|,|$)`),
];

/** Where a count stands. */
const countAt = (words: string): RegExpExecArray | undefined =>
  COUNTS.map((pattern) => pattern.exec(words)).find((one) => one !== null);

/** How many of a thing; of a range the middle; null where nothing says so. */
function countIn(words: string): number | null {
  const count = countAt(words);
  if (count) return count[2] === undefined ? Number(count[1]) : (Number(count[1]) + Number(count[2])) / 2;
  return /^(?:an?|small|large|handful|knob|bunch|head|bulb|splash|pinch|dash)\b/.test(words) ? 1 : null;
}

/** A line in figures, without the "about" before its amount. */
const counted = (line: string): string =>
  inFigures(line)
    .replace(/^(?:about|approx\.?|approximately|roughly|around|ca\.?|circa)\s+/, '')
    .replace(/^(?:the |finely |grated )*(?:juice|zest|peel|rind)(?: and \w+)? of (?=\d|an? )/, '');

/**
 * How much a line says; null where it says nothing.
 *
 * @param line as written
 * @param as what it was taken for
 * @param of whose measures it is in
 * @example amountOf('1 (14.5 oz) can diced tomatoes', { kind: 'liquid', id: 'chopped-tomato' })?.said // true
 */
export function amountOf(line: string, as: TakenAs, of: Measures = 'unknown'): Amount | null {
  // No kitchen has so much of anything: it is a number of something else.
  if (/\d{9}/.test(line)) return null;
  const words = counted(line);
  const all = measures(words, of);
  const liquid = as.kind === 'liquid';
  // Of two ways to say the same the metric one; what is no liquid by its weight; a length of a cut is none of them.
  const wanted = (one: Measure): number => (one.weight === !liquid ? 2 : 0) + (one.metric ? 1 : 0);
  const [best] = all.filter((one) => alike(words, one, all)).sort((a, b) => wanted(b) - wanted(a) || a.from - b.from);
  if (best !== undefined) {
    const total = added(words, best, all) * countOf(words, best);
    // An ounce of a bottle is one of volume.
    if (best.weight)
      return {
        grams: liquid && !best.metric && /oz|ounce/.test(words) ? total * OUNCE_ML_OVER_G : total,
        said: true,
      };
    const density =
      as.kind === 'aromatic' && /spice|chilli|dried/.test(as.id) ? SPICE_DENSITY : (DENSITY[as.kind] ?? 1);
    return { grams: liquid ? total : total * density, said: true };
  }
  const named = inFigures(line);
  const one = gramsOfOne(named.split(/,|\(/)[0] ?? named) ?? gramsOfOne(named);
  const count = countIn(words);
  return one === null || count === null ? null : { grams: count * one, said: false };
}

/** Whether a measure says the whole: the first, one beside it, or one in brackets; what follows a "with" is another thing's. */
function alike(words: string, one: Measure, all: readonly Measure[]): boolean {
  const [first] = all;
  if (first === undefined || one === first) return true;
  const between = words.slice(first.to, one.from);
  return one.bracketed || /^\s*(?:\/|=|or|\()?\s*$/.test(between);
}

const N = String.raw`\d+(?:\.\d+)?`;
const SPAN = String.raw`${N}(?:\s*(?:-|to|x|×|or|by)\s*${N})*`;

/** Numbers of a line that are no amount of it: how long, how thick, how fine, how strong, how many pieces. Common practice. */
const NO_AMOUNTS: readonly RegExp[] = [
  new RegExp(String.raw`${SPAN}[\s-]*(?:cm|mm|inch(?:es)?|in\b|"|”|″)`, 'g'),
  new RegExp(String.raw`${SPAN}\s*(?:%|°|proof\b|degrees)`, 'g'),
  new RegExp(String.raw`${SPAN}[\s-]*(?:bones?\b|ribs?\b|hours?|hrs?|h\b|minutes?|mins?|days?|weeks?|months?)`, 'g'),
  new RegExp(
    String.raw`\b(?:in|into|each|about|per)(?: about| roughly)? ${SPAN}(?: |-)?(?:equal |even |large |small |thick |big |long |fat )*(?:pieces?|chunks?|slices?|wedges?|cubes?|parts?|lengths?|rounds?|strips?|halves|quarters)?`,
    'g',
  ),
  new RegExp(String.raw`\(\s*(?:or |about |around |approx\.? )?${SPAN}[^)\d]*\)`, 'g'),
  /\bno\.? ?\d+|\b\d+ ?spice\b|\btype \d+/g,
];

/**
 * The numbers of a line that were not understood: neither an amount of it nor a length, a share or a count of pieces.
 *
 * @param line as written
 * @param as what it was taken for
 * @param of whose measures it is in
 * @returns each with the word that follows it
 * @example numbersLeft('500 g beef shin with 2 glugs', { kind: 'meat', id: 'beef-shin', form: 'whole' }) // ['2 glugs']
 */
export function numbersLeft(line: string, as: TakenAs, of: Measures = 'unknown'): string[] {
  const words = counted(line);
  let left = words;
  const blank = (from: number, to: number): void => {
    left = left.slice(0, from) + ' '.repeat(to - from) + left.slice(to);
  };
  const all = measures(words, of);
  const same = all.filter((one) => alike(words, one, all));
  for (const one of same.flatMap((each) => together(words, each, all))) blank(one.from, one.to);
  // How many: an amount by itself, or how many of a tin.
  const count = amountOf(line, as, of) === null ? undefined : countAt(words);
  if (count) blank(count.index, count.index + count[0].length);
  for (const pattern of NO_AMOUNTS)
    for (const match of words.matchAll(pattern)) blank(match.index, match.index + match[0].length);
  return [...left.matchAll(new RegExp(String.raw`${N}(?:\s+\p{L}+)?`, 'gu'))].map(([found]) => found.trim());
}
