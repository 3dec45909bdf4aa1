import { lowerFirst, printDuration } from '@hervir/language';
import type { RecipeReading, RecipeWhen } from '@hervir/contract';
import { parsePlan } from '@hervir/contract';
import { aromaticKind, cutById, cutTitle, forecast, grainById, liquidWord, PlanError, pressureMinutesLike, tenderCut, vegetableById, whyTender, type Method, type Plan } from '@hervir/core';
import { amountOf, numbersLeft } from './amounts';
import { asksWhichCut, takenAs, type TakenAs } from './ingredient-words';
import { leftOpen, otherFood, parted, type ListedLine } from './parts';
import { planFrom, whenOf, type PlanFor, type TakenLine } from './plan-from';
import { readMethod, type MethodReading } from './read-method';
import { WAY_WORDS } from './read-step';
import { LONGEST_LINE, MOST_LINES, recipeSource } from './recipe-source';

/** What it is called on the page. */
function nameOf(as: TakenAs): string {
  switch (as.kind) {
    case 'meat':
      return cutTitle(cutById(as.id));
    case 'liquid':
    case 'addition':
      return liquidWord(as.id);
    case 'thickener':
      return as.id.replace('-', ' ');
    case 'vegetable':
      return lowerFirst(vegetableById(as.id).name);
    case 'grain':
      return lowerFirst(grainById(as.id).name);
    case 'aromatic':
      return lowerFirst(aromaticKind(as.id).name);
    case 'by-taste':
      return 'by taste';
    case 'unknown':
      return 'not understood';
    case 'heading':
      return 'a heading';
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
function taken(line: ListedLine, own: TakenAs | undefined, weighed: number | undefined): Omit<TakenLine, 'when'> {
  const { text, food, part } = line;
  const apart = line.heading ? 'heading' : part === 'beside' ? 'by-taste' : null;
  const as = own ?? (apart === null ? takenAs(food) : ({ kind: apart } as const));
  const amount = weighed === undefined ? amountOf(food, as) : { grams: weighed, said: true };
  const counts = as.kind !== 'by-taste' && as.kind !== 'unknown' && as.kind !== 'heading';
  return {
    text,
    as,
    name: nameOf(as),
    grams: as.kind !== 'by-taste' && as.kind !== 'heading' && amount !== null ? Math.round(amount.grams) : null,
    guess: counts ? countedGuess(line, as, amount, weighed !== undefined) : uncountedGuess(line, as, own !== undefined),
  };
}

/** What is guessed of a line that is reckoned with; null where it stands there. */
function countedGuess(
  { text, food, optional, under }: ListedLine,
  as: TakenAs,
  amount: ReturnType<typeof amountOf>,
  weighed: boolean,
): string | null {
  if (weighed) return null;
  const left = numbersLeft(food, as);
  const other = otherFood(food);
  const guesses = [
    amount === null
      ? 'no amount found: a usual one is taken'
      : amount.said
        ? null
        : 'counted, so weighed by what one usually weighs',
    left.length > 0 ? `what ${left.join(' and ')} says was not understood` : null,
    other === null ? null : `or ${other}: the first is taken`,
    leftOpen(text),
    optional
      ? `optional${under !== null && /optional/i.test(under) ? ` under “${under}”` : ''}: it is in the plan`
      : null,
  ].filter((guess) => guess !== null);
  return guesses.length > 0 ? guesses.join('; ') : null;
}

/** What is said of a line that is not reckoned with. */
function uncountedGuess({ text, under, part }: ListedLine, as: TakenAs, corrected: boolean): string | null {
  if (as.kind === 'heading') return null;
  if (as.kind === 'unknown') return unknownGuess(text);
  return part === 'beside' && !corrected
    ? `under “${under ?? ''}”: not the pot’s, left to the cook`
    : 'left to the cook';
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
  const notes: string[] = [];
  if (recipe.cutShort)
    notes.push(
      `The recipe is longer than is read: of each list the first ${MOST_LINES} lines, of each line the first ${LONGEST_LINE} characters.`,
    );
  const listed = parted(recipe.ingredients);
  const unread = listed.map((line, i) => taken(line, corrections[String(i)], amounts[String(i)]));
  const method = readMethod(recipe.method, unread);
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
      notes: ['A recipe of Hervir’s own: the plan comes back as it was, in its own cooker, without a dinner time.'],
    };
  }
  if (meat?.as.kind !== 'meat') {
    return {
      ...head,
      plan: null,
      notes: [
        lines.length === 0
          ? 'No ingredients were found.'
          : 'No tough cut of beef, pork, lamb or goat was found: say which line is the meat.',
        ...notes,
      ],
    };
  }
  const grams = meat.grams ?? USUAL_MEAT_GRAMS;
  if (meat.grams === null) notes.push(`No weight was found for the meat: ${grams} g are taken.`);
  const plan = planFrom(lines, { id: meat.as.id, form: meat.as.form, grams }, others, method, given, notes);
  const named: Plan = { ...plan, name: recipe.name, servings: recipe.servings ?? plan.servings };
  return { ...head, ...timed(named, method, notes, given.taught) };
}

/** What is said of a line that is not in the plan. */
function unknownGuess(text: string): string {
  const tender = tenderCut(text);
  if (asksWhichCut(text)) return 'which cut is it? Say what it is';
  return tender ? whyTender(tender) : 'not in the plan: say what it is, or leave it to the cook';
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
  notes: string[],
  taught: (plan: Plan) => Plan = (untaught) => untaught,
): Pick<RecipeReading, 'plan' | 'notes'> {
  let made: Plan = release === null ? plan : { ...plan, release: letDown(release) };
  try {
    // As the bench will propose: what was learnt is looked up there, not kept in the plan.
    const proposed = forecast(taught(made)).pressureMinutes;
    const [first] = cooked;
    if (first === undefined) {
      notes.push(`No cooking time was found: ${proposed} minutes under pressure are proposed.`);
    } else if (first.way === 'pressure') {
      made = { ...made, pressureMinutes: Math.round(first.minutes) };
      notes.push(
        `The recipe’s own ${Math.round(first.minutes)} minutes under pressure are kept; Hervir would propose ${proposed}.`,
      );
    } else {
      const anOven = cooked.find(({ ovenC }) => ovenC !== null)?.ovenC ?? undefined;
      const stretches = cooked.flatMap(({ way, minutes, ovenC }) =>
        way === 'pressure'
          ? []
          : [{ method: way satisfies Method, minutes, ovenC: way === 'oven' ? (ovenC ?? anOven) : undefined }],
      );
      const like = Math.round(pressureMinutesLike(made, stretches));
      const said = stretches
        .map(({ method, minutes }) => `${printDuration(minutes)} ${WAY_WORDS[method]}`)
        .join(' and ');
      notes.push(`${said} cook like ${like} minutes under pressure; ${proposed} are proposed.`);
    }
  } catch (error) {
    if (!(error instanceof PlanError)) throw error;
    notes.push(`It cannot be reckoned as it stands: ${error.problem}; allowed: ${error.allowed}.`);
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
