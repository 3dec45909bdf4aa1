import { type Text, joined, quantity } from '@hervir/language';
import type { RecipeStep } from '@hervir/contract';
import type { Method } from '@hervir/core';
import { durations, inFigures, type Duration } from './durations';
import { say } from '@hervir/language';

export type Way = Method | 'pressure';

/** What is done, by its verb or its place: a way to braise, or something that is not the cooking. Common practice. */
const DONE: readonly (readonly [RegExp, Way | 'cook' | 'not-cooking'])[] = [
  [
    /\b(?:npr|natural(?:ly)?(?: pressure)? release|release naturally|qr|quick(?:ly)? release|pressure release)\b/,
    'not-cooking',
  ],
  [
    /\b(?:rest(?:ing|ed)?|stand(?:ing)?|marinat\w*|soak\w*|chill\w*|refrigerat\w*|freez\w*|cool\w*|prov(?:e|ing)|infus\w*)\b/,
    'not-cooking',
  ],
  [
    /\b(?:brown(?:ed|ing)?|sear\w*|saut\w*|fry(?:ing)?|fried|soften\w*|sweat\w*|toast\w*|preheat\w*|caramel\w*|grill\w*|broil\w*|smok(?:e|ed|ing))\b/,
    'not-cooking',
  ],
  [
    /\b(?:last|final) \d|\b(?:before|from) the end\b|\b(?:thicken|reduce (?:it|to\b|the (?:sauce|liquid|juices?))|crisp)\b/,
    'not-cooking',
  ],
  [
    /\bslow[- ]?cook(?:er|ed|ing)?\b|\bcrock\w*|\b(?:on|to|set(?:ting)?) (?:low|high)\b(?!(?:er)? (?:pressure|heat|flame))/,
    'slow-cooker',
  ],
  [/\bpressure\b|\block the lid\b|\bmanual\b|\bmulti-?cooker\b/, 'pressure'],
  [
    /\boven\b|\bbak(?:e|ed|ing)\b|\broast(?:ed|ing)?\b(?! (?:beef|pork|lamb))|\bgas mark\b|\d ?°|\d degrees|\b\d{3} ?[cf]\b/,
    'oven',
  ],
  [
    /\bsimmer\w*|\bstew(?:ed|ing)?\b|\bbubbl\w*|\bpoach\w*|\b(?:hob|stove\w*)\b|\bblip\w*|\b(?:low|gentle|lowest) (?:heat|flame)\b|\bheat (?:right |all the way )?down\b/,
    'simmer',
  ],
  [/\bbrais(?:e|ed|ing)\b|\bcook(?:ed|ing)?\b|\bleav(?:e|ing)\b|\bboil\w*/, 'cook'],
];

/** Shorter than this is a sauté, not the cooking, minutes. */
export const LEAST_COOKING = 15;

export const WAY_WORDS: Readonly<Record<Way, Text>> = {
  pressure: say('read-step.under-pressure'),
  oven: say('read-step.in-the-oven'),
  simmer: say('read-step.simmering'),
  'slow-cooker': say('read-step.in-a-slow-cooker-on'),
  'slow-cooker-high': say('read-step.in-a-slow-cooker-on-high'),
};

interface Said {
  readonly what: Way | 'cook' | 'not-cooking';
  readonly at: number;
}

/** All that is done in some words, in their order. */
function saidIn(words: string): Said[] {
  return DONE.flatMap(([pattern, what]) =>
    [...words.matchAll(new RegExp(pattern, 'g'))].map((found) => ({ what, at: found.index })),
  ).sort((a, b) => a.at - b.at);
}

/** The clause a place stands in: from one comma, stop, bracket or "then" to the next. */
function clauseAt(words: string, { from, to }: Duration): string {
  const breaks =
    /[,;:()]|\.(?!\d)|\bthen\b|\bor\b|\b(?:and|with|before|followed by)(?= (?:(?:do |use |let |allow )?(?:a |the )?(?:quick|natural|npr|qr|release|rest|vent|open|let)))/g;
  const places = [...words.matchAll(breaks)].map(({ index }) => index);
  const begins = Math.max(0, ...places.filter((at) => at < from));
  const ends = Math.min(words.length, ...places.filter((at) => at >= to));
  return words.slice(begins, ends);
}

const isWay = (what: Said['what']): what is Way => what !== 'cook' && what !== 'not-cooking';

/** How a length of time is cooked; null where it is not, or nobody says how. */
export function wayOf(words: string, duration: Duration): Way | null {
  const own = saidIn(clauseAt(words, duration));
  const before = saidIn(words.slice(0, duration.from));
  // Its own clause says what is done; else what was spoken of last before it.
  const said = own.length > 0 ? own : before.slice(-1);
  if (said.length === 0) return null;
  if (said.some(({ what }) => what === 'not-cooking')) return null;
  const ways = own.flatMap(({ what }) => (isWay(what) ? [what] : []));
  const around = saidIn(words).flatMap(({ what }) => (isWay(what) ? [what] : []));
  const pressed = (some: readonly Way[]): Way | undefined => some.find((way) => way === 'pressure');
  const way = pressed(ways) ?? ways[0] ?? pressed(around) ?? around[0] ?? 'simmer';
  if (way !== 'slow-cooker') return way;
  return /\bhigh\b/.test(clauseAt(words, duration)) && !/\blow\b/.test(clauseAt(words, duration))
    ? 'slow-cooker-high'
    : way;
}

/** How the pressure is let down, where a sentence says so. */
function releaseIn(words: string): RecipeStep['release'] {
  const quick =
    /\bqr\b|\bquick[- ]?(?:ly )?(?:pressure )?releas\w*|\breleas\w* (?:[a-z ]+ )?(?:at once|quickly|immediately)|\bopen the (?:valve|vent)|\bmanual(?:ly)? release/.test(
      words,
    );
  const natural =
    /\bnpr\b|\bnatural(?:ly)?\b|pressure (?:to )?(?:drops?|falls?|comes? down) (?:by itself|on its own)/.test(words);
  if (natural && (quick || /\bthen (?:quick|release|open|vent)/.test(words))) return 'natural-then-quick';
  return natural ? 'natural' : quick ? 'quick' : null;
}

/** How long it is left alone before the valve, minutes: "natural release for 10 minutes", "natural release 10". */
function naturalMinutes(words: string): number | null {
  const said = durations(words).find((one) => /\bnpr\b|\bnatural/.test(clauseAt(words, one)))?.minutes;
  const bare = /\b(?:npr|natural(?:ly)?(?: pressure)?(?: release)?|release naturally)(?: for)? (\d{1,2})(?![\d:])/.exec(
    words,
  )?.[1];
  return said ?? (bare === undefined ? null : Number(bare));
}

/**
 * A sentence of a method: how long it cooks, how, and how it is let down.
 *
 * @param text as written
 * @example readStep('Bake at 160C for 3 hours.').way // 'oven'
 */
export function readStep(text: string): RecipeStep {
  const words = inFigures(text);
  const cooked = durations(words).flatMap((duration) => {
    const way = wayOf(words, duration);
    return way !== null && (way === 'pressure' || duration.minutes >= LEAST_COOKING) ? [{ ...duration, way }] : [];
  });
  // The first is meant; what follows "or", or stands in brackets, is another way to the same.
  const [first] = cooked;
  return {
    text,
    found: first ? joined([quantity('duration', first.minutes), WAY_WORDS[first.way]]) : null,
    minutes: first?.minutes ?? null,
    way: first?.way ?? null,
    release: releaseIn(words),
    releaseMinutes: naturalMinutes(words),
  };
}

/** An oven is as hot as this at most and at least, where a recipe speaks of one, °C. */
const OVEN_C = { least: 80, most: 280 } as const;

/**
 * The oven's temperature a sentence speaks of, °C; null where it speaks of none.
 *
 * @example ovenIn('Braise at 325 °F for 3 hours') // 162.8
 */
export function ovenIn(sentence: string): number | null {
  const gas = /gas(?: mark)? (\d)\b/i.exec(sentence)?.[1];
  const match =
    /(\d{2,3})\s*(?:°|º|degrees?|deg\.?)?\s*(C|F|celsius|fahrenheit)\b/i.exec(sentence) ??
    /(\d{2,3})\s*(?:°|º|degrees)/i.exec(sentence);
  const degrees = Number(match?.[1]);
  const said = (match?.[2] ?? '').toUpperCase()[0];
  // Without a letter: nobody braises at 300 °C, and nobody at 100 °F.
  const fahrenheit = said === 'F' || (said === undefined && degrees > OVEN_C.most - 30);
  const celsius = match ? (fahrenheit ? ((degrees - 32) * 5) / 9 : degrees) : gas ? 121 + 14 * Number(gas) : null;
  return celsius !== null && celsius >= OVEN_C.least && celsius <= OVEN_C.most ? celsius : null;
}
