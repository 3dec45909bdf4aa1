import { BESIDE_WORDS, DOING_WORDS, FOOD_WORDS, MEASURE_WORDS, NUMBER_WORDS } from './spanish-lexicon';

/** Small words that a Spanish recipe cannot do without, and an English one does not have. */
const SPANISH = /(?<![\p{L}])(?:de|del|la|las|los|el|en|con|y|para|una?|al|se|que|por|hasta|durante)(?![\p{L}])/gu;
const ENGLISH = /(?<![\p{L}])(?:of|the|and|with|in|to|for|an?|until|into|then|or|from|minutes?|hours?)(?![\p{L}])/gu;

/** Letters without what stands over them, so that "añade" and "anade", "jamón" and "jamon" are one. */
const bareLetters = (text: string): string => text.normalize('NFD').replaceAll(/\p{M}/gu, '').normalize('NFC');

/**
 * Whether a recipe is in Spanish, by its small words.
 *
 * @example isSpanish(['1 kg de morcillo de ternera en dados', '2 hojas de laurel']) // true
 */
export function isSpanish(lines: readonly string[]): boolean {
  const text = lines.join('\n').toLowerCase();
  const count = (pattern: RegExp): number => text.match(pattern)?.length ?? 0;
  return count(SPANISH) > count(ENGLISH);
}

/** A name as a pattern: each of its words in the plural too. */
function inflected(name: string): string {
  return name
    .split(' ')
    .map((word) => {
      if (word.length < 3 || !/[a-z]$/.test(word)) return word;
      if (word.endsWith('z')) return `${word.slice(0, -1)}(?:z|ces)`;
      return /[aeiou]$/.test(word) ? `${word}s?` : `${word}(?:es|s)?`;
    })
    .join(' ');
}

interface Row {
  readonly pattern: string;
  readonly means: string;
}

/** A pass over a text: what a row's pattern finds becomes what it means; of two at one place the first row. */
function passOf(rows: readonly Row[]): (text: string) => string {
  const any = rows.map(({ pattern }) => `(${pattern})`).join('|');
  const all = new RegExp(String.raw`(?<![\p{L}])(?:${any})(?![\p{L}])`, 'gu');
  return (text) =>
    text.replaceAll(all, (found: string, ...groups: unknown[]) => {
      const at = groups.findIndex((group) => group !== undefined);
      return rows[at]?.means ?? found;
    });
}

type Rows = readonly (readonly [means: string, names: string])[];

/** Names, the longest first: "costilla de res" before "res". */
const named = (rows: Rows): Row[] =>
  rows
    .flatMap(([means, names]) => names.split('|').map((name) => ({ name, means })))
    .sort((a, b) => b.name.length - a.name.length)
    .map(({ name, means }) => ({ pattern: inflected(name), means }));
/** Patterns as they stand: groups in them do not count. */
const patterns = (rows: Rows): Row[] => rows.map(([means, pattern]) => ({ pattern, means }));

const numbers = passOf(named(NUMBER_WORDS));
const doing = passOf(patterns(DOING_WORDS));
const foods = passOf(named(FOOD_WORDS));
const beside = passOf(patterns(BESIDE_WORDS));
const measures = passOf(patterns(MEASURE_WORDS));

/** A glass holds so much where nothing else is said, ml. Common practice. */
const GLASS_ML: Readonly<Record<string, number>> = { vaso: 200, copa: 125, copita: 60 };

/** Numbers: in words, halves and quarters, ranges, glasses. */
function inNumbers(text: string): string {
  return numbers(text)
    .replaceAll(/(\d+) (horas?|kilos?|litros?|tazas?) y medi[oa]\b/g, (_, n: string, unit: string) => `${n}.5 ${unit}`)
    .replaceAll(/\bkilo y medio\b/g, '1.5 kg')
    .replaceAll(/\blitro y medio\b/g, '1.5 l')
    .replaceAll(/\b(?:1 )?hora y media\b/g, '1.5 hours')
    .replaceAll(/\b(?:1 )?hora y cuarto\b/g, '75 minutes')
    .replaceAll(/(\d+) horas? y cuarto\b/g, (_, n: string) => `${Number(n) * 60 + 15} minutes`)
    .replaceAll(/\b3 cuartos de hora\b/g, '45 minutes')
    .replaceAll(/\b(?:1 )?cuarto de hora\b/g, '15 minutes')
    .replaceAll(/\b(?:1 )?cuarto de (?:kilo|kg)\b/g, '250 g')
    .replaceAll(/\b3 cuartos de (?:kilo|kg)\b/g, '750 g')
    .replaceAll(/\b(?:1 )?cuarto de litro\b/g, '250 ml')
    .replaceAll(/\bmedia hora\b/g, '30 minutes')
    .replaceAll(/\bmedi[oa] (?=kilo|kg|litro|l\b|taza|vaso|cucharad)/g, '0.5 ')
    .replaceAll(/\bmedi[oa] (?=\p{L})/gu, '1/2 ')
    .replaceAll(/(\d)\s*(?:a|o|u|hasta)\s*(?=\d)/g, '$1 to ')
    .replaceAll(
      /(\d+(?:[.,/]\d+)?) (vaso|copa|copita)s?\b/g,
      (_, n: string, of: string) => `${figure(n) * (GLASS_ML[of] ?? 0)} ml`,
    );
}

function figure(text: string): number {
  const [top = '', under] = text.replace(',', '.').split('/');
  return under === undefined ? Number(top) : Number(top) / Number(under);
}

/**
 * A line or a sentence of a Spanish recipe in the words that the reader knows: cuts by the names of Spain and of Mexico, what
 * is done, for how long. What it does not know stands as it was.
 *
 * @param line as written
 * @example fromSpanish('Cuece a presión durante 40 minutos') // 'cook under pressure for 40 minutes'
 */
export function fromSpanish(line: string): string {
  const text = inNumbers(bareLetters(line.toLowerCase()).replaceAll(/\s+/g, ' '));
  return beside(measures(doing(foods(text))))
    .replaceAll(/\s+/g, ' ')
    .replaceAll(/ (?=[,.;:)])/g, '')
    .trim();
}
