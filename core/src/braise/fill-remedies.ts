import type { Plan } from '../plan/plan';
import type { Fill } from '../pot/fill';
import type { Ledger } from '../pot/ledger';
import type { Remedy } from './remedies';
import { withMoreLiquid } from './remedies';

/** Liquid is poured to this, ml. */
const ROUND_ML = 50;

/** The fill part of a forecast. */
export interface FillInWords extends Fill {
  readonly text: string;
  readonly remedies: readonly Remedy[];
}

const litres = (value: number): string => value.toFixed(1);

/** Pours less, from the last to the first liquid, and never below the minimum. */
function lessLiquid(plan: Plan, fill: Fill, ledger: Ledger): Remedy[] {
  const overMl = (fill.share - fill.limit) * plan.cooker.litres * 1000;
  const spare = ledger.freeAtStartMl - ledger.minimumMl;
  const ml = Math.ceil(overMl / ROUND_ML) * ROUND_ML;
  if (spare < ml) return [];
  let left = ml;
  const liquids = [...plan.liquids]
    .reverse()
    .map((item) => {
      const cut = Math.min(item.ml, left);
      left -= cut;
      return { ...item, ml: item.ml - cut };
    })
    .reverse()
    .filter((item) => item.ml > 0);
  return left > 0 ? [] : [{ text: `Pour ${ml} ml less`, change: { liquids } }];
}

/** One of several runs: everything in its share, but the liquid never under the minimum. */
function partOf(
  plan: Plan,
  share: number,
  ledger: Ledger,
): Pick<Plan, 'meat' | 'servings' | 'liquids'> & Partial<Plan> {
  const { pieces } = plan.meat;
  const some = <T extends { readonly grams: number }>(items: readonly T[]): T[] =>
    items.map((item) => ({ ...item, grams: Math.round(item.grams * share) }));
  const pourShare = Math.min(1, Math.max(share, ledger.minimumMl / Math.max(1, ledger.freeAtStartMl)));
  return {
    meat: {
      ...plan.meat,
      grams: Math.round(plan.meat.grams * share),
      trimGrams: Math.round(plan.meat.trimGrams * share),
      ...(pieces === undefined ? {} : { pieces: Math.max(1, Math.round(pieces * share)) }),
    },
    servings: Math.max(1, Math.round(plan.servings * share)),
    liquids: plan.liquids.map((item) => ({ ...item, ml: Math.round(item.ml * pourShare) })),
    additions: some(plan.additions),
    aromatics: some(plan.aromatics),
    vegetables: some(plan.vegetables),
    grains: some(plan.grains),
  };
}

/**
 * How full the pot is, in words, with what to do when it is over its line: less liquid but never under the minimum, two
 * runs, a larger pot.
 *
 * @param plan the plan
 * @param fill how full it is
 * @param ledger its liquid
 */
export function fillInWords(plan: Plan, fill: Fill, ledger: Ledger): FillInWords {
  const line = fill.limit === 0.5 ? 'half' : 'two thirds';
  const most = fill.limit * plan.cooker.litres;
  const held = `${litres(fill.litres)} l in a pot of ${litres(plan.cooker.litres)} l`;
  if (!fill.over) return { ...fill, text: `${held}: under its line at ${line}, ${litres(most)} l.`, remedies: [] };
  const remedies: Remedy[] = lessLiquid(plan, fill, ledger);
  if (fill.runs > 1) {
    const change = partOf(plan, 1 / fill.runs, ledger);
    remedies.push({ text: `Cook it in ${fill.runs} runs: this one with ${change.meat.grams} g of meat`, change });
  }
  if (fill.potLitres !== null) remedies.push({ text: `A pot of ${fill.potLitres} l would hold it`, change: null });
  return {
    ...fill,
    text: fill.overflows
      ? `It does not go in: ${held}.`
      : `Over the line: ${held}, and at most ${litres(most)} l, ${line} of it.`,
    remedies,
  };
}

/** What to pour when the liquid is under the cooker's minimum. */
export function minimumRemedy(plan: Plan, ledger: Ledger): Remedy | null {
  if (!ledger.belowMinimum) return null;
  const ml = Math.ceil((ledger.minimumMl - ledger.freeAtStartMl) / ROUND_ML) * ROUND_ML;
  return { text: `Pour ${ml} ml more`, change: withMoreLiquid(plan, ml) };
}
