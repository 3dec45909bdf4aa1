import type { Plan } from '../../plan/plan';
import type { Printer } from '../../units/quantity';
import { burnLevel, type BurnLevel } from '../../pot/base-temperature';
import { SEAR_BASE_C } from '../../pot/loading';
import type { SearPlan } from '../../stations/sear';
import { againstSugar, inAPan, type Remedy } from './remedies';

/** From here on sugar turns dark and bitter; fat and fond stand this much. From memory. */
const SUGAR_BURNS_C = 165;
const FOND_BURNS_C = 205;

/** Something that goes wrong before the lid is on, and what to change. */
export interface SearTrouble {
  readonly id: 'steams' | 'wider' | 'sugar' | 'wet' | 'timed' | 'weak';
  readonly text: string;
  readonly remedies: readonly Remedy[];
}

/** The base while it sears. */
export interface Saute {
  readonly baseC: number;
  /** What it may come to before something burns, °C. */
  readonly limitC: number;
  readonly level: BurnLevel;
  readonly troubles: readonly SearTrouble[];
}

const WET_TEXT: Readonly<Record<Exclude<SearPlan['wet'], null>, string>> = {
  salt: 'Salted between 4 and 40 minutes ahead, the meat is wet just when it meets the base: it steams before it browns',
  marinade: 'A marinade leaves the face wet: pat it dry, or it will not brown',
};

function wetRemedies(plan: Plan, wet: Exclude<SearPlan['wet'], null>): Remedy[] {
  if (wet !== 'salt') return [{ text: 'Pat it dry, twice', change: null }];
  const meat = { ...plan.meat, saltedMinutes: undefined };
  return [
    { text: 'Salt at the last moment', change: { meat: { ...meat, salted: 'just-before' } } },
    { text: 'Salt an hour ahead', change: { meat: { ...meat, salted: 'ahead', saltedMinutes: 60 } } },
  ];
}

/**
 * What goes wrong while it sears, each with what to change: crowding, a piece wider than the base, sugar, a wet face, a
 * sauté that ends by itself, a weak one.
 *
 * @param plan the plan
 * @param sear its batches
 * @param sauteMinutes of sear and aromatics in the pot
 * @param print the cook's units
 */
export function sauteOf(plan: Plan, sear: SearPlan, sauteMinutes: number, print: Printer): Saute {
  const troubles: SearTrouble[] = [];
  const inPot = plan.sear.where === 'pot';
  const sugar = plan.meat.rub?.sugar === true && sear.batches > 0;
  if (sear.widerThanBase) {
    troubles.push({
      id: 'wider',
      text: `The piece is longer than the base, ${print.quantity('length', sear.baseDiameterCm)} across: it does not lie flat, and browns only in part`,
      remedies: [
        ...(inPot ? [inAPan(plan, 'Sear in a pan')] : []),
        {
          text: 'Cut it in two',
          change: { meat: { ...plan.meat, pieces: 2 * Math.max(1, plan.meat.pieces ?? 1) } },
        },
      ],
    });
  } else if (sear.steams) {
    troubles.push({
      id: 'steams',
      text: `It steams: ${Math.round(sear.coverage * 100)} % of the base is covered, and meat browns under 55 %`,
      remedies: [
        ...(sear.batches < sear.proposedBatches
          ? [
              {
                text: `Sear in ${sear.proposedBatches} batches`,
                change: { sear: { ...plan.sear, batches: undefined } },
              },
            ]
          : []),
        ...(inPot ? [inAPan(plan, 'Sear in a wide pan')] : []),
      ],
    });
  }
  if (sugar && inPot) {
    troubles.push({
      id: 'sugar',
      text: 'Sugar in the rub burns on the base and turns the sauce bitter',
      remedies: againstSugar(plan),
    });
  }
  if (sear.wet !== null && sear.batches > 0) {
    troubles.push({ id: 'wet', text: WET_TEXT[sear.wet], remedies: wetRemedies(plan, sear.wet) });
  }
  const { sauteMinutes: ends } = plan.cooker;
  if (ends !== undefined && sauteMinutes > ends) {
    troubles.push({
      id: 'timed',
      text: `This pot ends its sauté by itself after ${Math.round(ends)} min, and ${Math.round(sauteMinutes)} are needed: start it again when it stops`,
      remedies: [],
    });
  }
  if (sear.weakHeater) {
    troubles.push({
      id: 'weak',
      text: 'A weak sauté: it takes a third longer, and the base needs its minute between batches',
      remedies: inPot ? [inAPan(plan, 'Sear in a pan')] : [],
    });
  }
  const baseC = sear.batches > 0 || sauteMinutes > 0 ? SEAR_BASE_C : plan.kitchen.roomC;
  const limitC = sugar && inPot ? SUGAR_BURNS_C : FOND_BURNS_C;
  return { baseC, limitC, level: burnLevel(baseC, limitC), troubles };
}
