/** A length of time that a sentence speaks of. */
export interface Duration {
  readonly minutes: number;
  /** Where it begins and ends in the words of {@link inFigures}. */
  readonly from: number;
  readonly to: number;
}

const FRACTIONS: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
};
const SMALL = [
  'zero',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];
const LARGER: Readonly<Record<string, number>> = {
  fifteen: 15,
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
  ninety: 90,
};
const WORDS: Readonly<Record<string, number>> = {
  ...Object.fromEntries(SMALL.map((word, i) => [word, i])),
  ...LARGER,
};
const IN_WORDS = new RegExp(`\\b(?:${Object.keys(WORDS).join('|')})\\b`, 'g');
const TENS_AND_ONES = /\b(twenty|thirty|forty|fifty)[\s-](one|two|three|four|five|six|seven|eight|nine)\b/g;

const decimal = (value: number): string => String(Math.round(value * 1000) / 1000);

/**
 * A sentence in lower case with its numbers in figures: "1-1/2", "2 ¼", "two and a half", "an hour and a half", "a couple of".
 *
 * @example inFigures('Simmer for an hour and a half') // 'simmer for 1.5 hours'
 */
export function inFigures(sentence: string): string {
  return sentence
    .toLowerCase()
    .replace(/[½¼¾⅓⅔⅛]/g, (fraction) => ` ${FRACTIONS[fraction] ?? ''}`)
    .replace(/[–—−]/g, '-')
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/(\d+)(?:\s+and)?[\s-]+(\d)\/(\d)/g, (_, whole: string, top: string, under: string) =>
      decimal(Number(whole) + Number(top) / Number(under)),
    )
    .replace(/(?<![\d.])(\d)\/(\d)(?!\d)/g, (_, top: string, under: string) => decimal(Number(top) / Number(under)))
    .replace(TENS_AND_ONES, (_, tens: string, ones: string) => String((WORDS[tens] ?? 0) + (WORDS[ones] ?? 0)))
    .replace(IN_WORDS, (word) => String(WORDS[word]))
    .replace(/(\d+) ?(?:h|hrs?|hours?) ?([0-5]\d)\b(?! ?(?:m|-|\.\d|\d|h))/g, '$1 hours $2 minutes')
    .replace(/\b(?:a|1) couple(?: of)?\b/g, '2')
    .replace(/\bhalf a dozen\b/g, '6')
    .replace(/\b(?:a|1) dozen\b/g, '12')
    .replace(/\bthree[- ]quarters? of an hour\b|\b3[- ]quarters? of an hour\b/g, '45 minutes')
    .replace(/\b(?:a )?quarter of an hour\b/g, '15 minutes')
    .replace(/\bhalf an hour\b|\ba half[- ]hour\b/g, '30 minutes')
    .replace(/\bhalf an? (?=\p{L})/gu, '0.5 ')
    .replace(/\b(?:an?|1) hour and a half\b/g, '1.5 hours')
    .replace(/\b(\d+) hours? and a half\b/g, '$1.5 hours')
    .replace(/\b(\d+) and a half\b/g, '$1.5')
    .replace(/\ban hour\b/g, '1 hour')
    .replace(/\s+/g, ' ')
    .trim();
}

const NUMBER = String.raw`(\d+(?:\.\d+)?)`;
const HOURS = String.raw`(?:hours?|hrs?|h)\b`;
const MINUTES = String.raw`(?:minutes?|mins?|min|m)\b`;
const RANGE = String.raw`${NUMBER}\+?(?:\s*(?:-|to|or)\s*${NUMBER})?[\s-]*(?:(?:more|further|additional|extra|whole|full|good|solid) )?`;
const DURATION = new RegExp(
  String.raw`(?<![\d.])${RANGE}(?:(${HOURS})\.?(?:(?:\s*(?:and|,)?\s*)${NUMBER}\s*${MINUTES})?|(${MINUTES}))`,
  'g',
);

/**
 * The lengths of time in a sentence; of a range the middle.
 *
 * @param words from {@link inFigures}
 * @example durations('cook 3 hours 30 minutes').map(({ minutes }) => minutes) // [210]
 */
export function durations(words: string): Duration[] {
  return [...words.matchAll(DURATION)].flatMap((found): Duration[] => {
    const [all, low, high, hours, more] = found;
    const middle = high === undefined ? Number(low) : (Number(low) + Number(high)) / 2;
    const minutes = hours === undefined ? middle : middle * 60 + Number(more ?? 0);
    return Number.isFinite(minutes) && minutes > 0
      ? [{ minutes, from: found.index, to: found.index + all.length }]
      : [];
  });
}
