import { joined, lowered, quantity, say, type Text, listing } from '@hervir/language';
import type { RecipeReading, RecipeWhen } from '@hervir/contract';
import { parsePlan } from '@hervir/contract';
import {
  aromaticKind,
  cutById,
  cutTitle,
  forecast,
  grainById,
  liquidWord,
  PlanError,
  pressureMinutesLike,
  thickenerById,
  type Thickener,
  tenderCut,
  vegetableById,
  whyTender,
  type Method,
  type Plan,
} from '@hervir/core';
import { amountOf, numbersLeft } from './amounts';
import { asksWhichCut, takenAs, type TakenAs } from './ingredient-words';
import { measuresOf, type Measures } from './measures';
import { leftOpen, otherFood, parted, type ListedLine } from './parts';
import { planFrom, whenOf, type PlanFor, type TakenLine } from './plan-from';
import { readMethod, type MethodReading } from './read-method';
import { WAY_WORDS } from './read-step';
import { LONGEST_LINE, MOST_LINES, recipeSource } from './recipe-source';
import { fromSpanish, isSpanish } from './spanish';

/** What it is called on the page. */
function nameOf(as: TakenAs): Text {
  switch (as.kind) {
    case 'meat':
      return cutTitle(cutById(as.id));
    case 'liquid':
    case 'addition':
      return liquidWord(as.id);
    case 'thickener':
      return thickenerById(as.id as Thickener).name;
    case 'vegetable':
      return lowered(vegetableById(as.id).name);
    case 'grain':
      return lowered(grainById(as.id).name);
    case 'aromatic':
      return lowered(aromaticKind(as.id).name);
    case 'by-taste':
      return say('read-recipe.by-taste');
    case 'unknown':
      return say('read-recipe.not-understood');
    case 'heading':
      return say('read-recipe.a-heading');
  }
}

interface Given extends PlanFor {
  /** A plan with what the log has taught of its pot and its cut. */
  readonly taught?: (plan: Plan) => Plan;
}

/** What the cook has put right, each by the place of its line. */
export interface PutRight {
  readonly corrections?: Readonly<Record<string, TakenAs>> | undefined;
  /** Grams; of a liquid millilitres. */
  readonly amounts?: Readonly<Record<string, number>> | undefined;
  readonly whens?: Readonly<Record<string, RecipeWhen>> | undefined;
}

/** What is done with a weight that nobody said, g. Common practice. */
const USUAL_MEAT_GRAMS = 1500;

/** A line as it stands in the list, taken for something; when it goes in is said when the method is read. */
function taken(
  line: ListedLine,
  own: TakenAs | undefined,
  weighed: number | undefined,
  of: Measures,
): Omit<TakenLine, 'when'> {
  const { written, food, part } = line;
  const apart = line.heading ? 'heading' : part === 'beside' ? 'by-taste' : null;
  const as = own ?? (apart === null ? takenAs(food) : ({ kind: apart } as const));
  const amount = weighed === undefined ? amountOf(food, as, of) : { grams: weighed, said: true };
  const counts = as.kind !== 'by-taste' && as.kind !== 'unknown' && as.kind !== 'heading';
  return {
    text: written,
    as,
    name: nameOf(as),
    grams: as.kind !== 'by-taste' && as.kind !== 'heading' && amount !== null ? Math.round(amount.grams) : null,
    guess: counts
      ? countedGuess(line, as, amount, weighed !== undefined, of)
      : uncountedGuess(line, as, own !== undefined),
  };
}

/** What is guessed of a line that is reckoned with; null where it stands there. */
function countedGuess(
  { text, food, optional, under }: ListedLine,
  as: TakenAs,
  amount: ReturnType<typeof amountOf>,
  weighed: boolean,
  of: Measures,
): Text | null {
  if (weighed) return null;
  const left = numbersLeft(food, as, of);
  const other = otherFood(food);
  const guesses = [
    amount === null
      ? say('read-recipe.no-amount-found-a-usual')
      : amount.said
        ? null
        : say('read-recipe.counted-so-weighed-by-what'),
    left.length > 0 ? say('read-recipe.what-says-was-not-understood', { list: listing(left) }) : null,
    other === null ? null : say('read-recipe.or-the-first-is-taken', { other }),
    leftOpen(text),
    optional
      ? say('read-recipe.optional-under-it-is-in', {
          underHeading: under !== null && /optional/i.test(under),
          heading: under ?? '',
        })
      : null,
  ].filter((guess) => guess !== null);
  return guesses.length > 0 ? joined(guesses, '; ') : null;
}

/** What is said of a line that is not reckoned with. */
function uncountedGuess({ text, under, part }: ListedLine, as: TakenAs, corrected: boolean): Text | null {
  if (as.kind === 'heading') return null;
  if (as.kind === 'unknown') return unknownGuess(text);
  return part === 'beside' && !corrected
    ? say('read-recipe.under-not-the-pots-left', { under: under ?? '' })
    : say('read-recipe.left-to-the-cook');
}

/**
 * Reads a recipe and makes a plan of it: every line with what it was taken for, every guess said, nothing dropped.
 *
 * @param source pasted text, the source of a page, or JSON-LD
 * @param given the pot and the kitchen it is cooked in
 * @param right what the cook has put right
 * @returns the reading; without a plan where no meat was found
 */
export function readRecipe(source: string, given: Given, right: PutRight = {}): RecipeReading {
  const recipe = recipeSource(source);
  const { corrections = {}, amounts = {}, whens = {} } = right;
  const notes: Text[] = [];
  if (recipe.cutShort)
    notes.push(say('read-recipe.the-recipe-is-longer-than', { mostLines: MOST_LINES, longestLine: LONGEST_LINE }));
  const all = [...recipe.ingredients, ...recipe.method];
  const spanish = isSpanish(all);
  const of = spanish ? 'metric' : measuresOf(all);
  const known = (written: readonly string[]): readonly string[] => (spanish ? written.map(fromSpanish) : written);
  const listed = parted(known(recipe.ingredients), recipe.ingredients);
  const unread = listed.map((line, i) => taken(line, corrections[String(i)], amounts[String(i)], of));
  const read = unread.map(({ as }, i) => ({ as, text: listed[i]?.text ?? '' }));
  const method = readMethod(known(recipe.method), read, recipe.method, of);
  const lines = unread.map((line, i): TakenLine => {
    const part =
      corrections[String(i)] === undefined || listed[i]?.part !== 'beside' ? (listed[i]?.part ?? 'pot') : 'pot';
    return { ...line, when: whenOf(line.as, i, part, method, whens[String(i)]) };
  });
  const own =
    recipe.plan === undefined || Object.keys({ ...corrections, ...amounts, ...whens }).length > 0
      ? null
      : ownPlan(recipe.plan);
  const meats = lines.filter((line) => line.as.kind === 'meat');
  const [meat, ...others] = [...meats].sort((a, b) => (b.grams ?? 0) - (a.grams ?? 0));
  const head = { name: recipe.name, servings: recipe.servings, from: recipe.from, lines, method: method.steps };
  if (own !== null) {
    return {
      ...head,
      plan: own,
      notes: [say('read-recipe.a-recipe-of-hervirs-own')],
    };
  }
  if (meat?.as.kind !== 'meat') {
    return {
      ...head,
      plan: null,
      notes: [
        lines.length === 0 ? say('read-recipe.no-ingredients-were-found') : say('read-recipe.no-tough-cut-of-beef'),
        ...notes,
      ],
    };
  }
  const grams = meat.grams ?? USUAL_MEAT_GRAMS;
  if (meat.grams === null) notes.push(say('read-recipe.no-weight-was-found-for', { grams }));
  const plan = planFrom(lines, { id: meat.as.id, form: meat.as.form, grams }, others, method, given, notes);
  const named: Plan = { ...plan, name: recipe.name, servings: recipe.servings ?? plan.servings };
  return { ...head, ...timed(named, method, notes, given.taught) };
}

/** What is said of a line that is not in the plan. */
function unknownGuess(text: string): Text {
  const tender = tenderCut(text);
  if (asksWhichCut(text)) return say('read-recipe.which-cut-is-it-say');
  return tender ? whyTender(tender) : say('read-recipe.not-in-the-plan-say');
}

/** The plan that a recipe carries, as it was; null where this Hervir cannot read it. */
function ownPlan(text: string): Plan | null {
  try {
    const read = parsePlan(JSON.parse(text));
    return read.ok ? { ...read.value, serveAt: null, moved: {}, learnt: undefined } : null;
  } catch {
    return null;
  }
}

/** The recipe's own time, turned into minutes under pressure; what cannot be reckoned is said. */
function timed(
  plan: Plan,
  { cooked, release, notes: left }: MethodReading,
  notes: Text[],
  taught: (plan: Plan) => Plan = (untaught) => untaught,
): Pick<RecipeReading, 'plan' | 'notes'> {
  let made: Plan = release === null ? plan : { ...plan, release: letDown(release) };
  try {
    // As the bench will propose: what was learnt is looked up there, not kept in the plan.
    const proposed = forecast(taught(made)).pressureMinutes;
    const [first] = cooked;
    if (first === undefined) {
      notes.push(say('read-recipe.no-cooking-time-was-found', { proposed }));
    } else if (first.way === 'pressure') {
      made = { ...made, pressureMinutes: Math.round(first.minutes) };
      notes.push(say('read-recipe.the-recipes-own-minutes-under', { minutes: Math.round(first.minutes), proposed }));
    } else {
      const anOven = cooked.find(({ ovenC }) => ovenC !== null)?.ovenC ?? undefined;
      const stretches = cooked.flatMap(({ way, minutes, ovenC }) =>
        way === 'pressure'
          ? []
          : [{ method: way satisfies Method, minutes, ovenC: way === 'oven' ? (ovenC ?? anOven) : undefined }],
      );
      const like = Math.round(pressureMinutesLike(made, stretches));
      const said = listing(
        stretches.map(({ method, minutes }) => joined([quantity('duration', minutes), WAY_WORDS[method]])),
      );
      notes.push(say('read-recipe.cook-like-minutes-under-pressure', { said, like, proposed }));
    }
  } catch (error) {
    if (!(error instanceof PlanError)) throw error;
    notes.push(say('read-recipe.it-cannot-be-reckoned-as', { problem: error.problem, allowed: error.allowed }));
  }
  return { plan: made, notes: [...notes, ...left] };
}

/** Left alone before the valve, where a recipe does not say how long, minutes. Common practice. */
const USUAL_NATURAL = 10;

/** As the recipe lets the pressure down: left alone for some minutes is natural for those, and then the valve. */
function letDown({ method, minutes }: NonNullable<MethodReading['release']>): Plan['release'] {
  if (method === 'natural' && minutes !== null) return { method: 'natural-then-quick', naturalMinutes: minutes };
  return { method, naturalMinutes: method === 'natural-then-quick' ? (minutes ?? USUAL_NATURAL) : 0 };
}
