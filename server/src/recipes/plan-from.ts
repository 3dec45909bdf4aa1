import type { Text } from '@hervir/language';
import { type RecipeLine, type RecipeWhen, WHENS_OF } from '@hervir/contract';
import {
  cutById,
  cutTitle,
  defaultLiquidMl,
  LIMITS,
  liquidById,
  liquidWord,
  newPlan,
  stageOf,
  thickenerById,
  type Cooker,
  type Form,
  type Kitchen,
  type Meat,
  type Plan,
  type PlannedStage,
  type Range,
} from '@hervir/core';
import type { TakenAs } from './ingredient-words';
import type { ListedLine } from './parts';
import { NIGHT_HOURS, type MethodReading } from './read-method';
import { capital, quantity, say, joined } from '@hervir/language';

/** A line of ingredients, taken for something. */
export type TakenLine = RecipeLine & { readonly as: TakenAs };

/** What a plan from a recipe is cooked in, and how sure it is to be tender. */
export interface PlanFor {
  readonly cooker: Cooker;
  readonly kitchen: Kitchen;
  readonly confidence: number;
}

/** A cut that a line names. */
interface MeatLine {
  readonly id: string;
  readonly form: Form;
  readonly grams: number;
}

const clamped = ({ min, max }: Range, value: number): number => Math.round(Math.min(max, Math.max(min, value)));

/** Left to the cook, where nothing is said of an amount, g or ml. Common practice. */
const USUAL = { liquid: 250, addition: 30, aromatic: 10, vegetable: 200, grain: 150 } as const;
/** Of what is poured by the spoon, ml. Common practice. */
const BY_THE_SPOON: ReadonlySet<string> = new Set(['vinegar', 'balsamic', 'citrus-juice', 'thin-savoury-sauce']);
const SPOONS_ML = 30;
/** What deglazes at most; the rest of the wine is poured in, ml. Common practice. */
const SPLASH_ML = 150;

/** The ids of a method's later stages, in their order: Hervir's own for the first of each kind, then ones of the recipe. */
export function stageIds(method: MethodReading): string[] {
  const own = { pressure: 'second-run', simmer: 'simmer' } as const;
  return method.stages.map(({ kind }, i) =>
    method.stages.findIndex((one) => one.kind === kind) === i ? own[kind] : `recipe-${i + 1}`,
  );
}

/**
 * When a line goes in: as the cook says, else as the part of the list it stands in and the method say, else as is usual
 * for its kind.
 *
 * @param as what it was taken for
 * @param at its place in the list
 * @param part where it stands
 * @param method as read
 * @param said what the cook says
 */
export function whenOf(
  as: TakenAs,
  at: number,
  part: ListedLine['part'],
  method: MethodReading,
  said: RecipeWhen | undefined,
): RecipeWhen | null {
  const may = WHENS_OF[as.kind];
  if (may === undefined) return null;
  const first = (...wanted: (RecipeWhen | undefined)[]): RecipeWhen | undefined =>
    wanted.find((one) => one !== undefined && may.includes(one));
  const kind = method.stages.find(({ named }) => named.includes(at))?.kind;
  const byMethod =
    kind === 'pressure'
      ? 'second-run'
      : kind === 'simmer'
        ? 'simmer'
        : method.atEnd.includes(at) || part === 'finish'
          ? 'end'
          : method.marinade?.named.includes(at)
            ? 'marinade'
            : undefined;
  const byPart = part === 'marinade' || part === 'rub' ? part : undefined;
  const usual =
    'id' in as && as.kind === 'addition' ? thickGoes(as.id).when : as.kind === 'unknown' ? undefined : may[0];
  return first(said, byPart, byMethod, usual) ?? null;
}

/** Where something thick or creamy goes so that the base does not burn. */
function thickGoes(id: string): { readonly when: 'start' | 'end'; readonly note: Text } {
  const { kind } = liquidById(id);
  if (kind === 'dairy') return { when: 'end', note: say('plan-from.goes-in-off-the-heat') };
  if (kind === 'dry') return { when: 'end', note: say('plan-from.goes-in-after-pressure-stirred') };
  return { when: 'start', note: say('plan-from.is-laid-on-top-and') };
}

interface Item {
  readonly id: string;
  readonly grams: number;
  readonly stage: string;
}

/** Lines of one kind, the same at the same time added up. */
function itemsOf(lines: readonly TakenLine[], kind: keyof typeof USUAL, stages: ReadonlyMap<number, string>): Item[] {
  const sums = new Map<string, Item>();
  lines.forEach(({ as, grams, when }, at) => {
    if (as.kind !== kind || when === 'marinade' || when === 'rub') return;
    const stage = stages.get(at) ?? when ?? 'start';
    const key = `${as.id} ${stage}`;
    sums.set(key, {
      id: as.id,
      stage,
      grams: (sums.get(key)?.grams ?? 0) + (grams ?? (BY_THE_SPOON.has(as.id) ? SPOONS_ML : USUAL[kind])),
    });
  });
  return [...sums.values()].map((item) => ({ ...item, grams: clamped(LIMITS.ingredientGrams, item.grams) }));
}

/** What lies on the meat, or it lies in, before it is cooked. */
function readied(
  lines: readonly TakenLine[],
  method: MethodReading,
  notes: Text[],
): Pick<Meat, 'marinade' | 'rub'> & { readonly pouredInMl: number } {
  const sum = (when: RecipeWhen, liquid: boolean): number =>
    lines.reduce(
      (all, line) => all + (line.when === when && (line.as.kind === 'liquid') === liquid ? (line.grams ?? 0) : 0),
      0,
    );
  const sweet = (when: RecipeWhen): boolean =>
    lines.some((line) => line.when === when && 'id' in line.as && line.as.id === 'sugar');
  const ml = clamped(LIMITS.marinadeMl, sum('marinade', true));
  const solidsGrams = clamped(LIMITS.ingredientGrams, sum('marinade', false));
  const hours = clamped(LIMITS.marinadeHours, method.marinade?.hours ?? NIGHT_HOURS);
  const then = method.marinade?.then ?? 'thrown';
  const marinade = ml === 0 ? null : { ml, hours, then, ...(solidsGrams > 0 ? { solidsGrams } : {}) };
  if (marinade !== null) {
    const end = {
      thrown: say('plan-from.is-thrown-away'),
      'poured-in': say('plan-from.goes-into-the-pot'),
      boiled: say('plan-from.is-boiled-in-the-pot'),
    }[then];
    const night = method.marinade === null ? say('plan-from.for-the-recipe-does-not') : '';
    notes.push(say('plan-from.the-meat-lies-for-h', { hours, ml, night, end }));
  } else if (method.marinade !== null) {
    notes.push(say('plan-from.a-marinade-is-spoken-of'));
  }
  // Without anything poured, what was to be a marinade lies on the meat.
  const when: readonly RecipeWhen[] = ml === 0 ? ['rub', 'marinade'] : ['rub'];
  const grams = clamped(
    LIMITS.rubGrams,
    when.reduce((all, one) => all + sum(one, false), 0),
  );
  const rub = grams === 0 ? null : { grams, sugar: when.some(sweet) };
  if (rub !== null) notes.push(say('plan-from.g-of-rub-go-onto', { grams, sugar: rub.sugar }));
  if (rub === null && method.rubbed) notes.push(say('plan-from.a-rub-is-spoken-of'));
  return { marinade, rub, pouredInMl: marinade === null || then === 'thrown' ? 0 : ml };
}

/** The stages after the first run, as the method has them. */
function stagesOf(lines: readonly TakenLine[], method: MethodReading, notes: Text[]): PlannedStage[] {
  const ids = stageIds(method);
  return method.stages.map(({ kind, minutes, release, meat, takeOutMl, named }, i) => {
    const names = named.flatMap((at) => lines[at]?.name ?? []);
    notes.push(
      say('plan-from.after-the-first-run-under', {
        duration: quantity('duration', minutes),
        pressure: kind === 'pressure',
        any: names.length > 0,
        list: joined(names, ', '),
        in: meat === 'in',
      }),
    );
    return {
      ...stageOf({ stages: [] }, kind === 'pressure' ? 'second-run' : 'simmer'),
      id: ids[i] ?? kind,
      minutes: clamped(LIMITS.pressureMinutes, minutes),
      meat,
      ...(kind === 'pressure' && release !== null
        ? { release: { method: release, naturalMinutes: release === 'natural-then-quick' ? 10 : 0 } }
        : {}),
      ...(takeOutMl > 0 ? { takeOutMl: clamped(LIMITS.liquidMl, takeOutMl), broth: 'kept' as const } : {}),
    };
  });
}

/** How the meat is seared, as the method has it. */
function searOf(method: MethodReading, base: Plan['sear'], notes: Text[]): Plan['sear'] {
  if (method.seared === null) {
    // A line or two say too little to say that it is not done.
    if (method.steps.length < 3 || method.cooked.length === 0) return base;
    notes.push(say('plan-from.the-recipe-does-not-brown'));
    return { ...base, school: 'none' };
  }
  const { where, batches } = method.seared;
  return { ...base, where, ...(batches === null ? {} : { batches: clamped(LIMITS.batches, batches) }) };
}

/** Further cuts that the same pot takes. */
function furtherMeats(others: readonly TakenLine[], { cooker, kitchen }: PlanFor, notes: Text[]): Plan['otherMeats'] {
  return others.flatMap(({ text, as, grams }, i) => {
    if (as.kind !== 'meat') return [];
    if (grams === null || i > 1) {
      notes.push(say('plan-from.is-left-to-you-no', { text, grams: grams === null }));
      return [];
    }
    notes.push(say('plan-from.goes-in-with-it', { cut: capital(cutTitle(cutById(as.id))) }));
    const { meat } = newPlan({ cut: as.id, form: as.form, grams: clamped(LIMITS.meatGrams, grams), cooker, kitchen });
    return [{ ...meat, goesIn: 'start', comesOut: 'end' }];
  });
}

/** Ids of the later stages that lines go in at, by the index of the line. */
function namedAtStages(lines: readonly TakenLine[], method: MethodReading): ReadonlyMap<number, string> {
  const ids = stageIds(method);
  const stages = new Map<number, string>();
  method.stages.forEach(({ kind, named }, i) => {
    for (const at of named)
      if (lines[at]?.when === (kind === 'pressure' ? 'second-run' : 'simmer')) stages.set(at, ids[i] ?? kind);
  });
  return stages;
}

/** What is poured, with the splash that deglazes taken from it; a recipe that has too little for the cooker is given more. */
function pouredFrom(
  lines: readonly TakenLine[],
  stages: ReadonlyMap<number, string>,
  method: MethodReading,
  cooker: PlanFor['cooker'],
  pouredInMl: number,
  notes: Text[],
): {
  readonly deglazer: ReturnType<typeof itemsOf>[number] | undefined;
  readonly splash: number;
  readonly poured: Plan['liquids'];
} {
  const liquids = itemsOf(lines, 'liquid', stages);
  const atStart = liquids.filter(({ stage }) => stage === 'start');
  const named = method.deglazer === null ? null : lines[method.deglazer]?.as;
  const deglazer =
    atStart.find(({ id }) => named?.kind === 'liquid' && named.id === id && liquidById(id).deglazes) ??
    atStart.find(({ id }) => liquidById(id).deglazes && id !== 'water' && !BY_THE_SPOON.has(id)) ??
    atStart.find(({ id }) => liquidById(id).deglazes);
  const splash = deglazer ? Math.min(deglazer.grams, SPLASH_ML) : 0;
  const poured: Plan['liquids'] = liquids
    .map(({ id, grams, stage }) => ({
      liquid: id,
      ml: id === deglazer?.id && stage === 'start' ? grams - splash : grams,
      temperatureC: 20,
      ...(stage === 'start' ? {} : { stage: stage === 'end' ? 'off-heat' : stage }),
    }))
    .filter(({ ml }) => ml > 0);
  if (deglazer)
    notes.push(
      say('plan-from.ml-of-the-deglaze-the', { splash: Math.round(splash), liquidWord: liquidWord(deglazer.id) }),
    );
  const total = atStart.reduce((sum, { grams }) => sum + grams, 0) + pouredInMl;
  const least = defaultLiquidMl(cooker);
  if (total < cooker.minimumLiquidMl) {
    notes.push(say('plan-from.the-recipe-has-ml-of', { total: Math.round(total), least }));
    poured.push({ liquid: 'stock', ml: Math.round(least - total), temperatureC: 20 });
  }
  return { deglazer, splash, poured };
}

/** What is thick, and so is not in the pot when it is closed: what each line comes to is told. */
function additionsFrom(
  lines: readonly TakenLine[],
  stages: ReadonlyMap<number, string>,
  notes: Text[],
): Plan['additions'] {
  return itemsOf(lines, 'addition', stages).map(({ id, grams, stage }): Plan['additions'][number] => {
    const usual = thickGoes(id);
    notes.push(
      say('plan-from.the', {
        liquidWord: liquidWord(id),
        note:
          stage === usual.when
            ? usual.note
            : stage === 'end'
              ? say('plan-from.goes-in-when-the-pressure')
              : say('plan-from.goes-in-with-the-first'),
      }),
    );
    return { ingredient: id, grams, when: stage === 'end' ? 'after' : 'on-top' };
  });
}

/** What the recipe thickens its sauce with; null where it does not say. */
function thickenerIn(lines: readonly TakenLine[], notes: Text[]): Plan['finish']['thickener'] | null {
  const thickener = lines.find(({ as }) => as.kind === 'thickener')?.as;
  const thickens = thickener?.kind === 'thickener' ? (thickener.id as Plan['finish']['thickener']) : null;
  if (thickens !== null && thickens !== 'none') {
    notes.push(say('plan-from.the-thickens-the-sauce-after', { name: thickenerById(thickens).name }));
  }
  return thickens;
}

/**
 * A plan from the lines of a recipe and its method; the minutes of the first run are left to Hervir.
 *
 * @param lines as taken, each with when it goes in
 * @param meat the first cut
 * @param others further cuts
 * @param method as read
 * @param given the pot, the kitchen, how sure
 * @param notes what was guessed, changed or left out is written to their end
 */
export function planFrom(
  lines: readonly TakenLine[],
  meat: MeatLine,
  others: readonly TakenLine[],
  method: MethodReading,
  given: PlanFor,
  notes: Text[],
): Plan {
  const { cooker, kitchen, confidence } = given;
  const base = newPlan({
    cut: meat.id,
    form: meat.form,
    grams: clamped(LIMITS.meatGrams, meat.grams),
    cooker,
    kitchen,
    ...(method.target === null ? {} : { target: method.target }),
  });
  const stages = namedAtStages(lines, method);
  const otherMeats = furtherMeats(others, given, notes);
  const { pouredInMl, ...onMeat } = readied(lines, method, notes);
  const { deglazer, splash, poured } = pouredFrom(lines, stages, method, cooker, pouredInMl, notes);
  const additions = additionsFrom(lines, stages, notes);
  const thickens = thickenerIn(lines, notes);
  if (method.ladleOutMl > 0) notes.push(say('plan-from.ml-of-broth-are-ladled', { ladleOutMl: method.ladleOutMl }));
  return {
    ...base,
    confidence,
    meat: { ...base.meat, ...onMeat },
    otherMeats,
    sear: searOf(method, base.sear, notes),
    deglaze: deglazer ? { liquid: deglazer.id, ml: splash, scraped: true } : base.deglaze,
    liquids: poured.slice(0, 12),
    additions,
    aromatics: itemsOf(lines, 'aromatic', stages).map(({ id, grams, stage }) => ({
      ingredient: id,
      grams,
      ...(stage === 'start' ? {} : { how: 'raw' as const, stage: stage === 'end' ? 'off-heat' : stage }),
    })),
    vegetables: itemsOf(lines, 'vegetable', stages).map(({ id, grams, stage }) => ({
      vegetable: id,
      grams,
      texture: 'tender' as const,
      place: stage,
    })),
    grains: itemsOf(lines, 'grain', stages).map(({ id, grams, stage }) => ({ grain: id, grams, place: stage })),
    others: lines.flatMap(({ text, as, grams, when }) =>
      as.kind === 'unknown' && when !== null && grams !== null ? [{ name: text.slice(0, 60), grams, place: when }] : [],
    ),
    rack: method.rack,
    stages: stagesOf(lines, method, notes),
    finish: {
      ...base.finish,
      ...(thickens === null ? {} : { thickener: thickens }),
      ...(method.strained ? { strain: 'thrown' as const } : {}),
      ...(method.crisped && method.target === 'pulls' ? { crisp: true } : {}),
      ladleOutMl: clamped(LIMITS.liquidMl, method.ladleOutMl),
    },
  };
}
