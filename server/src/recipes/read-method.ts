import type { RecipeStep } from '@hervir/contract';
import type { Plan } from '@hervir/core';
import { amountOf } from './amounts';
import { durations, inFigures } from './durations';
import type { Measures } from './measures';
import { foodsIn, type TakenAs } from './ingredient-words';
import { LEAST_COOKING, ovenIn, readStep, WAY_WORDS, wayOf, type Way } from './read-step';
import { joined, quantity, say, type Text } from '@hervir/language';

/** A stretch of cooking that counts towards tenderness. */
export interface Cooked {
  readonly step: number;
  readonly way: Way;
  readonly minutes: number;
  /** Of an oven that a sentence names, °C. */
  readonly ovenC: number | null;
}

/** What a method does after its first run, with what goes in at it. */
export interface LaterStage {
  readonly kind: 'pressure' | 'simmer';
  readonly minutes: number;
  readonly release: RecipeStep['release'];
  readonly meat: 'in' | 'out';
  /** Broth taken out before it, ml, and whether it is kept for something else. */
  readonly takeOutMl: number;
  /** The lines that go in at it, by their places. */
  readonly named: readonly number[];
}

/** A method, read from end to end: what it does, in the plan's terms. */
export interface MethodReading {
  readonly steps: readonly RecipeStep[];
  /** The first run, or all that an old recipe cooks, in its order. */
  readonly cooked: readonly Cooked[];
  readonly stages: readonly LaterStage[];
  readonly release: { readonly method: NonNullable<RecipeStep['release']>; readonly minutes: number | null } | null;
  /** Lines that are stirred in when all is cooked. */
  readonly atEnd: readonly number[];
  readonly marinade: {
    readonly hours: number;
    readonly then: 'thrown' | 'poured-in' | 'boiled';
    readonly named: readonly number[];
  } | null;
  /** A rub is spoken of. */
  readonly rubbed: boolean;
  /** Null where a method says nothing of browning, though it says much. */
  readonly seared: { readonly where: 'pot' | 'pan'; readonly batches: number | null } | null;
  /** The line that deglazes. */
  readonly deglazer: number | null;
  readonly rack: boolean;
  readonly ladleOutMl: number;
  readonly strained: boolean;
  readonly skimmed: boolean;
  readonly target: Plan['target'] | null;
  readonly crisped: boolean;
  /** What was left out of the reckoning, in sentences. */
  readonly notes: readonly Text[];
}

const MEAT_WORDS =
  'meat|beef|pork|lamb|goat|mutton|shanks?|ribs?|cheeks?|oxtail|brisket|roast|shoulder|shin|joint|hocks?|neck';
const MEAT = new RegExp(String.raw`\b(?:${MEAT_WORDS})\b`);
const ADDS = /\b(?:add|stir in|put|tip|drop|throw|pour|place|scatter|toss in|return|nestle|lay)\b/;
const LIFTS = new RegExp(
  String.raw`\b(?:remove|take|lift|transfer|fish|move)(?: out)? (?:the |all |cooked |your |of )*(?:${MEAT_WORDS})\b`,
);
const BROWNS = /\b(?:brown(?:ed|ing)?|sear(?:ed|ing)?|seal(?:ed)?|fry|fried|saut\w*|caramel\w*)\b/;
/** Something else that cooks beside, or the sauce by itself: not the meat's time. */
const NOT_THE_MEAT =
  /\bmeanwhile\b|\b(?:simmer|boil|cook|bubble|reduce) (?:down )?(?:the |this |your )?(?:\w+ )?(?:sauce|liquid|juices|gravy|rice|pasta|noodles|polenta|tomatoes|onions?)\b/;
const OTHER_WAY =
  /^(?:alternatively|or,? |if using|(?:for |in )?(?:the |a |an )?(?:slow[- ]?cooker|oven|stove ?top|hob|pressure cooker)(?: method| version| directions| instructions)?\s*:|to (?:cook|make) (?:this |it )?in (?:a|an|the|your) )/;

/** A night, where one is spoken of or nothing else is, hours. Common practice. */
export const NIGHT_HOURS = 12;

/** A line of ingredients as a sentence may speak of it. */
interface Nameable {
  readonly at: number;
  readonly entry: string;
  readonly noun: string;
}

function nameables(lines: readonly { readonly text: string; readonly as: TakenAs }[]): Nameable[] {
  return lines.flatMap(({ text, as }, at): Nameable[] => {
    if (!('id' in as) || as.kind === 'meat') return [];
    const entry = `${as.kind}:${as.id}`;
    const foods = foodsIn(text);
    const noun = (foods.find((food) => food.entry === entry) ?? foods.at(-1))?.noun ?? as.id;
    return [{ at, entry, noun }];
  });
}

/** The lines that a sentence names: each food by its last word, else by its row of the lexicon; "the vegetables" are all of them. */
function namedIn(sentence: string, all: readonly Nameable[]): number[] {
  const named = new Set<number>();
  for (const food of foodsIn(sentence)) {
    const sameNoun = all.filter(({ noun }) => noun === food.noun);
    const exact = sameNoun.filter(({ entry }) => entry === food.entry);
    const sameFood = all.filter(({ entry }) => entry === food.entry);
    // By another name where there is one of the kind: two spices are not the same.
    const some = exact.length > 0 ? exact : sameNoun.length > 0 ? sameNoun : sameFood.length === 1 ? sameFood : [];
    for (const { at } of some) named.add(at);
  }
  if (/\b(?:vegetables|veg|root vegetables)\b/i.test(sentence))
    for (const { at, entry } of all) if (entry.startsWith('vegetable:')) named.add(at);
  return [...named];
}

/** Millilitres of broth that are taken out, where a sentence says so; 0 where it does not. */
function takenOut(words: string, of: Measures): number {
  if (!/\b(?:ladle|remove|take|scoop|reserve|keep back|set aside|draw off)\b/.test(words)) return 0;
  const said = /\b(?:cooking )?(?:liquid|broth|juices?|stock)\b/.test(words)
    ? amountOf(words.replace(/^.*?(?=\d)/, ''), { kind: 'liquid', id: 'stock' }, of)
    : null;
  return said?.said === true ? Math.round(said.grams) : 0;
}

/** How the meat comes to the plate, where a sentence says so. */
function targetIn(words: string): Plan['target'] | null {
  if (/\bshred\w*\b|\bpull\w* (?:it |the (?:meat|pork|beef|lamb|goat) )?apart\b|\bwith 2 forks\b/.test(words))
    return 'pulls';
  if (/\bcarve\b|\bslice (?:it|thinly|against|across)\b/.test(words)) return 'slices';
  if (/\bslice the\b/.test(words) && MEAT.test(words)) return 'slices';
  return null;
}

/**
 * Reads a method from its first sentence to its last, with what its lines of ingredients are.
 *
 * @param sentences in the words that the reader knows, one to an entry
 * @param lines of ingredients, as taken
 * @param written the sentences as somebody wrote them, where that was in another language
 * @param of whose measures it is in
 * @example readMethod(['Pressure cook for 40 minutes.', 'Add the carrots and pressure cook 4 minutes more.'], lines).stages[0]?.minutes // 4
 */
// oxlint-disable-next-line max-lines-per-function -- what a sentence means hangs on all that was said before it: one walk, one state
export function readMethod(
  sentences: readonly string[],
  lines: readonly { readonly text: string; readonly as: TakenAs }[],
  written: readonly string[] = sentences,
  of: Measures = 'unknown',
): MethodReading {
  const all = nameables(lines);
  const cooked: Cooked[] = [];
  const stages: LaterStage[] = [];
  const notes: Text[] = [];
  let pending: number[] = [];
  let [lifted, otherWay] = [false, false];
  let takeOutMl = 0;
  let release: MethodReading['release'] = null;
  let marinade: MethodReading['marinade'] = null;
  let seared: MethodReading['seared'] = null;
  let deglazer: number | null = null;
  let [rubbed, rack, strained, skimmed, crisped] = [false, false, false, false, false];
  let target: Plan['target'] | null = null;
  const pressed = (): boolean => cooked.some(({ way }) => way === 'pressure');
  // oxlint-disable-next-line max-lines-per-function -- as above
  const steps = sentences.map((sentence, step): RecipeStep => {
    const text = written[step] ?? sentence;
    const read = { ...readStep(sentence), text };
    const words = inFigures(sentence);
    const named = namedIn(sentence, all);
    if (/\bmarinad|\bmarinat/.test(words)) marinade = marinadeIn(words, named, marinade);
    rubbed ||= /\brub\b/.test(words);
    if (BROWNS.test(words) && (MEAT.test(words) || seared === null)) seared = searIn(words, seared);
    deglazer ??= /\bdeglaz\w*|\bscrap\w*/.test(words)
      ? (named.find((at) => all.some((one) => one.at === at && one.entry.startsWith('liquid:'))) ?? null)
      : null;
    rack ||= /\b(?:on|over|onto) (?:a|the|its) (?:wire )?(?:rack|trivet)\b/.test(words);
    strained ||= /\bstrain|\bsieve\b/.test(words);
    skimmed ||= /\bskim|\b(?:spoon|ladle|pour) off (?:the |any |excess )*fat\b/.test(words);
    crisped ||=
      /\bcrisp\b[^.]*\b(?:grill|broiler|oven)\b|\b(?:under|beneath) (?:a |the )?(?:hot )?(?:grill|broiler)\b/.test(
        words,
      );
    const done = cooked.length > 0;
    if (done) target = targetIn(words) ?? target;
    if (done) takeOutMl = takenOut(words, of) || takeOutMl;
    if (done && LIFTS.test(words)) lifted = true;
    if (done && ADDS.test(words)) pending = [...new Set([...pending, ...named])];
    if (
      lifted &&
      /\b(?:return|put|add|slide|stir)\b[^.]*\b(?:back|return|meat|shredded)\b/.test(words) &&
      MEAT.test(words) &&
      !LIFTS.test(words)
    )
      lifted = false;
    if (OTHER_WAY.test(words) && done && durations(words).length > 0) otherWay = true;
    const ways = durations(words).flatMap((duration) => {
      const way = wayOf(words, duration);
      return way === null ? [] : [{ way, minutes: duration.minutes }];
    });
    // The first is meant; what follows "or", or stands in brackets, is another way to the same.
    const [first] = ways;
    const says: Text[] = [];
    if (first !== undefined && otherWay && !NOT_THE_MEAT.test(words) && (first.way !== 'pressure' || pressed())) {
      notes.push(say('read-method.is-another-way-to-the', { text }));
    } else if (first?.way === 'pressure' && pressed()) {
      stages.push(stage('pressure', first.minutes, read.release));
    } else if (first?.way === 'simmer' && pressed() && pending.length > 0 && !NOT_THE_MEAT.test(words)) {
      stages.push(stage('simmer', first.minutes, null));
    } else if (first !== undefined && (first.way === 'pressure' || first.minutes >= LEAST_COOKING)) {
      const counts = !pressed() && !lifted && !NOT_THE_MEAT.test(words);
      says.push(
        say('read-method.time-found', {
          duration: quantity('duration', first.minutes),
          way: WAY_WORDS[first.way],
          counts,
        }),
      );
      if (counts) {
        cooked.push({ step, way: first.way, minutes: first.minutes, ovenC: ovenIn(sentence) });
        // What was put in before it has cooked with the meat.
        pending = [];
      } else notes.push(say('read-method.is-not-counted-for-the', { text }));
    }
    if (/\bwhistles?\b/.test(words) && ways.length === 0)
      notes.push(say('read-method.counts-whistles-and-every-cooker', { text }));
    if (read.release !== null && release === null) release = { method: read.release, minutes: read.releaseMinutes };
    return { ...read, found: says.length > 0 ? joined(says, '; ') : null };

    function stage(kind: LaterStage['kind'], minutes: number, letDown: RecipeStep['release']): LaterStage {
      says.push(
        kind === 'pressure'
          ? say('read-method.a-second-run-of-under', { duration: quantity('duration', minutes) })
          : say('read-method.simmering-after-the-first-run', { duration: quantity('duration', minutes) }),
      );
      const made: LaterStage = {
        kind,
        minutes,
        release: letDown,
        meat: lifted ? 'out' : 'in',
        takeOutMl,
        named: pending,
      };
      [pending, takeOutMl] = [[], 0];
      return made;
    }
  });
  const ways = oneWay(cooked, written, notes);
  return {
    steps,
    cooked: ways,
    stages: ways.some(({ way }) => way === 'pressure') ? stages : [],
    release,
    atEnd: pending,
    marinade,
    rubbed,
    seared,
    deglazer,
    rack,
    ladleOutMl: takeOutMl,
    strained,
    skimmed,
    target,
    crisped,
    notes,
  };
}

/** Of what is said of a marinade, sentence by sentence. */
function marinadeIn(
  words: string,
  named: readonly number[],
  before: MethodReading['marinade'],
): NonNullable<MethodReading['marinade']> {
  const time = durations(words)[0]?.minutes;
  const long = /\bovernight\b/.test(words) ? NIGHT_HOURS : time === undefined ? null : time / 60;
  const soaks = /\bmarinat\w*\b[^.]*\b(?:in|with)\b/.test(words) ? named : [];
  const then = /\b(?:discard|throw)\b[^.]*\bmarinade\b|\bmarinade\b[^.]*\b(?:discarded|thrown)/.test(words)
    ? 'thrown'
    : /\bboil\b[^.]*\bmarinade\b|\bmarinade\b[^.]*\bboil/.test(words)
      ? 'boiled'
      : /\b(?:add|pour|return|with|reserv\w*|strain)\b[^.]*\bmarinade\b/.test(words)
        ? 'poured-in'
        : (before?.then ?? 'thrown');
  return {
    hours: long ?? before?.hours ?? NIGHT_HOURS,
    then,
    named: [...new Set([...(before?.named ?? []), ...soaks])],
  };
}

function searIn(words: string, before: MethodReading['seared']): NonNullable<MethodReading['seared']> {
  const batches = Number(/\bin (\d) batches\b/.exec(words)?.[1] ?? NaN);
  return {
    where: /\b(?:frying[- ]pan|skillet|(?:separate|another) pan)\b/.test(words) ? 'pan' : (before?.where ?? 'pot'),
    batches: Number.isFinite(batches) ? batches : (before?.batches ?? null),
  };
}

/** Long enough to be the cooking itself and not a part of it, minutes. */
const WHOLE_COOKING = 60;

/** One way to the same: where a recipe is given for the slow cooker and for the oven, the first; under pressure before all. */
function oneWay(cooked: readonly Cooked[], written: readonly string[], notes: Text[]): Cooked[] {
  const family = ({ way }: Cooked): string =>
    way === 'pressure' ? 'pressure' : way.startsWith('slow') ? 'slow' : 'heat';
  const whole = cooked.filter((one) => one.way === 'pressure' || one.minutes >= WHOLE_COOKING);
  const chosen = whole.find(({ way }) => way === 'pressure') ?? whole[0];
  if (chosen === undefined) return [...cooked];
  const out = cooked.filter((one) => family(one) !== family(chosen));
  for (const { step } of out)
    notes.push(
      say('read-method.is-left-out-is-what', {
        sentences: written[step] ?? '',
        wayWords: WAY_WORDS[chosen.way],
      }),
    );
  return cooked.filter((one) => family(one) === family(chosen));
}
