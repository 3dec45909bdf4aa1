import type { Text } from '@hervir/language/message';
import type { Plan } from '../../plan/plan';
import { scaledPlan } from '../../plan/scale';
import type { Fill } from '../../pot/fill';
import type { Ledger } from '../../pot/ledger';
import { fillText } from '../../words/lid-words';
import { remedyInWords, type Remedy, type RemedyFact } from '../../words/remedy-words';
import { jugful, pourMore } from './remedies';

/** The fill part of a forecast. */
export interface FillInWords extends Fill {
  readonly text: Text;
  readonly remedies: readonly Remedy[];
}

/** Pours less, from the last to the first liquid, and never below the minimum. */
export function lessLiquid(plan: Plan, fill: Fill, ledger: Pick<Ledger, 'freeAtStartMl' | 'minimumMl'>): RemedyFact[] {
  const overMl = (fill.share - fill.limit) * plan.cooker.litres * 1000;
  const spare = ledger.freeAtStartMl - ledger.minimumMl;
  const ml = jugful(overMl);
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
  return left > 0 ? [] : [{ code: 'pour-less', values: { ml }, change: { liquids } }];
}

/** One of several runs: everything in its share, but the liquid never under the minimum. */
function partOf(
  plan: Plan,
  share: number,
  ledger: Ledger,
): Pick<Plan, 'meat' | 'servings' | 'liquids'> & Partial<Plan> {
  const pourShare = Math.min(1, Math.max(share, ledger.minimumMl / Math.max(1, ledger.freeAtStartMl)));
  return {
    ...scaledPlan(plan, share),
    servings: Math.max(1, Math.round(plan.servings * share)),
    liquids: plan.liquids.map((item) => ({ ...item, ml: Math.round(item.ml * pourShare) })),
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
  const text = fillText(fill, plan.cooker.litres, 1);
  if (!fill.over) return { ...fill, text, remedies: [] };
  const remedies: RemedyFact[] = lessLiquid(plan, fill, ledger);
  if (fill.runs > 1) {
    const change = partOf(plan, 1 / fill.runs, ledger);
    remedies.push({ code: 'runs', values: { runs: fill.runs, grams: change.meat.grams }, change });
  }
  if (fill.potLitres !== null) {
    remedies.push({ code: 'larger-pot', values: { litres: fill.potLitres }, change: null });
  }
  return { ...fill, text, remedies: remedies.map((fact) => remedyInWords(fact)) };
}

/** What to pour when the liquid is under the cooker's minimum. */
export function minimumRemedy(plan: Plan, ledger: Ledger): Remedy | null {
  if (!ledger.belowMinimum) return null;
  return remedyInWords(pourMore(plan, ledger.shortMl));
}
