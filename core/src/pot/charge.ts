import { liquidById, liquidWord } from '../larder/liquids';
import type { Plan } from '../plan/plan';

/** When something goes into the pot. */
export type ChargeStage = 'deglaze' | 'load' | 'on-top' | 'after';

/** Something that goes into the pot besides meat, vegetables and grains. */
export interface Charge {
  readonly stage: ChargeStage;
  /** As a cook would call it, lower case. */
  readonly what: string;
  /** Where it stands in the plan, for remedies. */
  readonly from: 'deglaze' | 'liquids' | 'additions' | 'marinade' | 'swill';
  readonly index: number;
  /** Room it takes, ml. */
  readonly volumeMl: number;
  /** Its water: free liquid once it is stirred in. */
  readonly waterMl: number;
  /** Thickening power, as grams of cornstarch; counts only for what is stirred in. */
  readonly starchG: number;
  readonly temperatureC: number;
}

/** A marinade is mostly water. Common practice. */
const MARINADE_WATER = 0.9;
/** What is thick or sugary weighs a little more than water. Common practice. */
const THICK_DENSITY = 1.1;

/**
 * All that is poured, spooned and strewn in, and when. One list for the pot's heat, the ledger, the fill and the base.
 *
 * @param plan its deglazing, liquids, marinade and additions
 * @returns in the order they go in
 * @throws RangeError for something that is not in the larder
 * @example chargesOf(plan).map((charge) => charge.stage).join(' ') // 'deglaze load'
 */
export function chargesOf(plan: Pick<Plan, 'deglaze' | 'liquids' | 'meat' | 'additions' | 'kitchen'>): Charge[] {
  const charges: Charge[] = [];
  const poured = (
    stage: ChargeStage,
    from: Charge['from'],
    index: number,
    id: string,
    ml: number,
    temperatureC: number,
  ): void => {
    if (ml <= 0) return;
    const liquid = liquidById(id);
    charges.push({
      stage,
      what: liquidWord(id),
      from,
      index,
      volumeMl: ml,
      waterMl: ml * liquid.waterShare,
      starchG: ml * liquid.starchEquivalent,
      temperatureC,
    });
  };
  if (plan.deglaze) poured('deglaze', 'deglaze', 0, plan.deglaze.liquid, plan.deglaze.ml, plan.kitchen.roomC);
  plan.liquids.forEach(({ liquid, ml, temperatureC }, i) => poured('load', 'liquids', i, liquid, ml, temperatureC));
  const { marinade } = plan.meat;
  if (marinade?.pouredIn && marinade.ml > 0) {
    charges.push({
      stage: 'load',
      what: 'marinade',
      from: 'marinade',
      index: 0,
      volumeMl: marinade.ml,
      waterMl: marinade.ml * MARINADE_WATER,
      starchG: 0,
      temperatureC: 5,
    });
  }
  plan.additions.forEach(({ ingredient, grams, when, apart }, i) => {
    if (grams <= 0) return;
    const { waterShare, starchEquivalent } = liquidById(ingredient);
    charges.push({
      stage: when === 'stirred-in' ? 'load' : when,
      what: liquidWord(ingredient),
      from: 'additions',
      index: i,
      volumeMl: grams / THICK_DENSITY,
      waterMl: grams * waterShare,
      starchG: grams * starchEquivalent,
      temperatureC: plan.kitchen.roomC,
    });
    if (apart && apart.swillMl > 0) {
      charges.push({
        stage: 'load',
        what: 'water that rinses the blender',
        from: 'swill',
        index: i,
        volumeMl: apart.swillMl,
        waterMl: apart.swillMl,
        starchG: 0,
        temperatureC: plan.kitchen.roomC,
      });
    }
  });
  return charges;
}
