import type { Text } from '@hervir/language/message';
import type { Plan } from '../../plan/plan';
import { burnLevel, type BurnLevel } from '../../pot/base-temperature';
import { SEAR_BASE_C } from '../../pot/loading';
import type { SearPlan } from '../../stations/sear';
import { remedyInWords, type Remedy, type RemedyFact } from '../../words/remedy-words';
import { searTroubleText, type SearTroubleFact } from '../../words/sear-words';
import { againstSugar, inAPan } from './remedies';

/** From here on sugar turns dark and bitter; fat and fond stand this much. From memory. */
const SUGAR_BURNS_C = 165;
const FOND_BURNS_C = 205;

/** Something that goes wrong before the lid is on, and what to change. */
export type SearTrouble = SearTroubleFact & { readonly text: Text; readonly remedies: readonly Remedy[] };

/** The base while it sears. */
export interface Saute {
  readonly baseC: number;
  /** What it may come to before something burns, °C. */
  readonly limitC: number;
  readonly level: BurnLevel;
  readonly troubles: readonly SearTrouble[];
}

function wetRemedies(plan: Plan, wet: Exclude<SearPlan['wet'], null>): RemedyFact[] {
  if (wet !== 'salt') return [{ code: 'pat-dry', values: {}, change: null }];
  const meat = { ...plan.meat, saltedMinutes: undefined };
  return [
    { code: 'salt-late', values: {}, change: { meat: { ...meat, salted: 'just-before' } } },
    { code: 'salt-early', values: {}, change: { meat: { ...meat, salted: 'ahead', saltedMinutes: 60 } } },
  ];
}

/**
 * What goes wrong while it sears, each with what to change: crowding, a piece wider than the base, sugar, a wet face, a
 * sauté that ends by itself, a weak one.
 *
 * @param plan the plan
 * @param sear its batches
 * @param sauteMinutes of sear and aromatics in the pot
 */
export function sauteOf(plan: Plan, sear: SearPlan, sauteMinutes: number): Saute {
  const troubles: SearTrouble[] = [];
  const add = (fact: SearTroubleFact, ...remedies: readonly RemedyFact[]): void => {
    const text = searTroubleText(fact);
    troubles.push({ ...fact, text, remedies: remedies.map((remedy) => remedyInWords(remedy)) });
  };
  const inPot = plan.sear.where === 'pot';
  const sugar = plan.meat.rub?.sugar === true && sear.batches > 0;
  if (sear.widerThanBase) {
    const pieces = 2 * Math.max(1, plan.meat.pieces ?? 1);
    add({ id: 'wider', values: { baseDiameterCm: sear.baseDiameterCm } }, ...(inPot ? [inAPan(plan)] : []), {
      code: 'cut-in-two',
      values: {},
      change: { meat: { ...plan.meat, pieces } },
    });
  } else if (sear.steams) {
    const { proposedBatches: batches } = sear;
    const more: RemedyFact = {
      code: 'batches',
      values: { batches },
      change: { sear: { ...plan.sear, batches: undefined } },
    };
    add(
      { id: 'steams', values: { coverage: sear.coverage } },
      ...(sear.batches < batches ? [more] : []),
      ...(inPot ? [inAPan(plan, 'sear-in-wide-pan')] : []),
    );
  }
  if (sugar && inPot) add({ id: 'sugar', values: {} }, ...againstSugar(plan));
  if (sear.wet !== null && sear.batches > 0) {
    add({ id: 'wet', values: { by: sear.wet } }, ...wetRemedies(plan, sear.wet));
  }
  const { sauteMinutes: ends } = plan.cooker;
  if (ends !== undefined && sauteMinutes > ends) {
    add({ id: 'timed', values: { endsAfter: ends, needed: sauteMinutes } });
  }
  if (sear.weakHeater) add({ id: 'weak', values: {} }, ...(inPot ? [inAPan(plan)] : []));
  const baseC = sear.batches > 0 || sauteMinutes > 0 ? SEAR_BASE_C : plan.kitchen.roomC;
  const limitC = sugar && inPot ? SUGAR_BURNS_C : FOND_BURNS_C;
  return { baseC, limitC, level: burnLevel(baseC, limitC), troubles };
}
