import type { RecipeLine, RecipeReading, RecipeStep } from '@hervir/contract';
import { parsePlan } from '@hervir/contract';
import {
  aromaticKind,
  cutById,
  cutTitle,
  defaultLiquidMl,
  forecast,
  grainById,
  lowerFirst,
  liquidById,
  liquidWord,
  thickenerById,
  newPlan,
  PlanError,
  pressureMinutesLike,
  printDuration,
  vegetableById,
  type Cooker,
  type Kitchen,
  type Plan,
  tenderCut,
  whyTender,
} from '@hervir/core';
import { amountOf } from './amounts';
import { asksWhichCut, takenAs, type TakenAs } from './ingredient-words';
import { readStep, WAY_WORDS } from './read-step';
import { recipeSource } from './recipe-source';

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
  }
}

/** Left alone before the valve, where a recipe does not say how long, minutes. Common practice. */
const USUAL_NATURAL = 10;

/** An oven is as hot as this at most and at least, where a recipe speaks of one, °C. */
const OVEN_C = { least: 80, most: 280 } as const;

/**
 * The oven's temperature a sentence speaks of, °C; null where it speaks of none.
 *
 * @example ovenIn('Braise at 325 °F for 3 hours') // 162.8
 */
export function ovenIn(sentence: string): number | null {
  const gas = /gas(?: mark)? (\d)\b/i.exec(sentence)?.[1];
  const found =
    /(\d{2,3})\s*(?:°|º|degrees?|deg\.?)?\s*(C|F|celsius|fahrenheit)\b/i.exec(sentence) ??
    /(\d{2,3})\s*(?:°|º|degrees)/i.exec(sentence);
  const degrees = Number(found?.[1]);
  const said = (found?.[2] ?? '').toUpperCase()[0];
  // Without a letter: nobody braises at 300 °C, and nobody at 100 °F.
  const fahrenheit = said === 'F' || (said === undefined && degrees > OVEN_C.most - 30);
  const celsius = found ? (fahrenheit ? ((degrees - 32) * 5) / 9 : degrees) : gas ? 121 + 14 * Number(gas) : null;
  return celsius !== null && celsius >= OVEN_C.least && celsius <= OVEN_C.most ? celsius : null;
}

interface Given {
  readonly cooker: Cooker;
  readonly kitchen: Kitchen;
  readonly confidence: number;
  /** A plan with what the log has taught of its pot and its cut. */
  readonly taught?: (plan: Plan) => Plan;
}

/** Where something thick or creamy goes so that the base does not burn. */
function whenFor(id: string): { readonly when: 'on-top' | 'after'; readonly note: string } {
  const { kind } = liquidById(id);
  if (kind === 'dairy') return { when: 'after', note: 'goes in off the heat at the end: it splits under pressure' };
  if (kind === 'dry') return { when: 'after', note: 'goes in after pressure: stirred in before, the base may burn' };
  return { when: 'on-top', note: 'is laid on top and not stirred: stirred in, the base may burn' };
}

/**
 * Reads a recipe and makes a plan of it: every line with what it was taken for, every guess said, nothing dropped.
 *
 * @param source pasted text, the source of a page, or JSON-LD
 * @param given the pot and the kitchen it is cooked in
 * @param corrections what the cook says a line is, by its place
 * @param amounts how much the cook says it is, by its place, g or ml
 * @returns the reading; without a plan where no meat was found
 */
export function readRecipe(
  source: string,
  given: Given,
  corrections: Readonly<Record<string, TakenAs>> = {},
  amounts: Readonly<Record<string, number>> = {},
): RecipeReading {
  const recipe = recipeSource(source);
  const notes: string[] = [];
  const lines = recipe.ingredients.map((text, i): RecipeLine & { readonly as: TakenAs } => {
    const as = corrections[String(i)] ?? takenAs(text);
    const own = amounts[String(i)];
    const amount = own === undefined ? amountOf(text, as) : { grams: own, said: true };
    const counts = as.kind !== 'by-taste' && as.kind !== 'unknown';
    return {
      text,
      as,
      name: nameOf(as),
      grams: counts && amount !== null ? Math.round(amount.grams) : null,
      guess: !counts
        ? as.kind === 'unknown'
          ? unknownGuess(text)
          : 'left to the cook'
        : amount === null
          ? 'no amount found: a usual one is taken'
          : amount.said
            ? null
            : 'counted, so weighed by what one usually weighs',
    };
  });
  const method = recipe.method.map(readStep);
  const own =
    recipe.plan === undefined || Object.keys({ ...corrections, ...amounts }).length > 0 ? null : ownPlan(recipe.plan);
  const meats = lines.filter((line) => line.as.kind === 'meat');
  const meat = [...meats].sort((a, b) => (b.grams ?? 0) - (a.grams ?? 0))[0];
  const head = { name: recipe.name, servings: recipe.servings, from: recipe.from, lines, method };
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
      ],
    };
  }
  for (const other of meats.filter((line) => line !== meat)) {
    notes.push(`Only one meat is reckoned: “${other.text}” is left to you.`);
  }
  const grams = meat.grams ?? 1500;
  if (meat.grams === null) notes.push(`No weight was found for the meat: ${grams} g are taken.`);
  const plan = planFrom(lines, { id: meat.as.id, form: meat.as.form, grams }, given, notes);
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

type Line = RecipeLine & { readonly as: TakenAs };

function planFrom(
  lines: readonly Line[],
  meat: { readonly id: string; readonly form: Plan['meat']['form']; readonly grams: number },
  { cooker, kitchen, confidence }: Given,
  notes: string[],
): Plan {
  const base = newPlan({
    cut: meat.id,
    form: meat.form,
    grams: Math.min(15_000, Math.max(50, meat.grams)),
    cooker,
    kitchen,
  });
  const of = (kind: TakenAs['kind']): (Line & { readonly id: string })[] =>
    lines.flatMap((line) => (line.as.kind === kind && 'id' in line.as ? [{ ...line, id: line.as.id }] : []));
  const merged = <T extends { readonly id: string; readonly grams: number | null }>(
    items: readonly T[],
    usual: number,
  ): { id: string; grams: number }[] => {
    const sums = new Map<string, number>();
    for (const { id, grams } of items) sums.set(id, (sums.get(id) ?? 0) + (grams ?? usual));
    return [...sums].map(([id, grams]) => ({ id, grams: Math.min(5000, Math.round(grams)) }));
  };
  const liquids = merged(of('liquid'), 250);
  const deglazer =
    liquids.find(({ id }) => liquidById(id).deglazes && id !== 'water') ??
    liquids.find(({ id }) => liquidById(id).deglazes);
  const splash = deglazer ? Math.min(deglazer.grams, 150) : 0;
  const poured = liquids
    .map(({ id, grams }) => ({ liquid: id, ml: id === deglazer?.id ? grams - splash : grams, temperatureC: 20 }))
    .filter(({ ml }) => ml > 0);
  if (deglazer)
    notes.push(
      `${Math.round(splash)} ml of the ${liquidWord(deglazer.id)} deglaze the pot, scraped clean, before the rest goes in.`,
    );
  const total = liquids.reduce((sum, { grams }) => sum + grams, 0);
  const least = defaultLiquidMl(cooker);
  if (total < cooker.minimumLiquidMl) {
    notes.push(
      `The recipe has ${Math.round(total)} ml of liquid, less than this cooker needs: stock is added up to ${least} ml.`,
    );
    poured.push({ liquid: 'stock', ml: least - total, temperatureC: 20 });
  }
  const additions = merged(of('addition'), 30).map(({ id, grams }) => {
    const { when, note } = whenFor(id);
    notes.push(`The ${liquidWord(id)} ${note}.`);
    return { ingredient: id, grams, when };
  });
  const thickener = of('thickener')[0]?.id as Exclude<Plan['finish']['thickener'], 'none'> | undefined;
  if (thickener !== undefined) {
    notes.push(
      `The ${thickenerById(thickener).name} thickens the sauce after pressure, as much as that takes: stirred in before, the base may burn.`,
    );
  }
  return {
    ...base,
    confidence,
    deglaze: deglazer ? { liquid: deglazer.id, ml: splash, scraped: true } : base.deglaze,
    liquids: poured.slice(0, 12),
    additions,
    aromatics: merged(of('aromatic'), 10).map(({ id, grams }) => ({ ingredient: id, grams })),
    vegetables: merged(of('vegetable'), 200).map(({ id, grams }) => ({
      vegetable: id,
      grams,
      texture: 'tender' as const,
      place: 'auto' as const,
    })),
    grains: merged(of('grain'), 150).map(({ id, grams }) => ({ grain: id, grams, place: 'auto' as const })),
    finish: thickener === undefined ? base.finish : { ...base.finish, thickener },
  };
}

/** The recipe's own time, turned into minutes under pressure; what cannot be reckoned is said. */
function timed(
  plan: Plan,
  method: readonly RecipeStep[],
  notes: string[],
  taught: (plan: Plan) => Plan = (untaught) => untaught,
): Pick<RecipeReading, 'plan' | 'notes'> {
  const cooking = method.filter(({ minutes }) => minutes !== null);
  const pressed = cooking.find(({ way }) => way === 'pressure');
  const main = pressed ?? [...cooking].sort((a, b) => (b.minutes ?? 0) - (a.minutes ?? 0))[0];
  const down = method.find((step) => step.release !== null);
  const release = down?.release;
  let made: Plan = {
    ...plan,
    ...(release === null || release === undefined
      ? {}
      : {
          release: {
            method: release,
            naturalMinutes: release === 'natural-then-quick' ? (down?.releaseMinutes ?? USUAL_NATURAL) : 0,
          },
        }),
  };
  try {
    // As the bench will propose: what was learnt is looked up there, not kept in the plan.
    const proposed = forecast(taught(made)).pressureMinutes;
    if (main === undefined || main.minutes === null || main.way === null) {
      notes.push(`No cooking time was found: ${proposed} minutes under pressure are proposed.`);
    } else if (main.way === 'pressure') {
      made = { ...made, pressureMinutes: Math.round(main.minutes) };
      notes.push(
        `The recipe’s own ${Math.round(main.minutes)} minutes under pressure are kept; Hervir would propose ${proposed}.`,
      );
    } else {
      const oven =
        main.way === 'oven' ? (ovenIn(main.text) ?? method.flatMap(({ text }) => ovenIn(text) ?? [])[0]) : undefined;
      const like = Math.round(pressureMinutesLike(made, main.way, main.minutes, oven));
      notes.push(
        `${printDuration(main.minutes)} ${WAY_WORDS[main.way]} cook like ${like} minutes under pressure; ${proposed} are proposed.`,
      );
    }
    return { plan: made, notes };
  } catch (error) {
    if (!(error instanceof PlanError)) throw error;
    notes.push(`It cannot be reckoned as it stands: ${error.problem}; allowed: ${error.allowed}.`);
    return { plan: made, notes };
  }
}
