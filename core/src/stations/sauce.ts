import { cutById } from '../catalog/cuts';
import { CORNSTARCH_PER_240_ML, thickenerById } from '../catalog/thickeners';
import { latentHeatJPerKg } from '../physics/steam';
import type { Plan } from '../plan/plan';

/** Cold water for a slurry, over the starch's own volume. Common practice: 1 to 1.5. */
const SLURRY_WATER = 1.25;
/** Nobody watches a pot reduce for longer when it could be ladled out, minutes. Common practice. */
const PATIENCE_MINUTES = 8;
/** Amounts are ladled to this, ml. */
const LADLE_ML = 50;
/** A spoon or a separator leaves some of the fat behind. Common practice. */
const SKIMMED = 0.9;
/** What of a thickened vegetable binds, as cornstarch, g/g: a soft one blended in, a floury potato as it falls apart. From memory. */
const BLENDED_STARCH = 0.02;

/** The sauce, solved: figures alone. */
export interface SauceFigures {
  readonly ladleOutMl: number;
  readonly reduceMinutes: number;
  /** What it is reduced to, before any starch, ml. */
  readonly reducedMl: number;
  readonly thickenerGrams: number;
  readonly waterMl: number;
  /** Enough starch to be worth a slurry. */
  readonly thickens: boolean;
  /** In the end, with what thickens it and what is stirred in last, ml. */
  readonly sauceMl: number;
  /** Left on it, ml. */
  readonly fatMl: number;
  /** Taken off, ml; 0 where nothing is skimmed. */
  readonly skimMl: number;
  /** The meat has bones that are fished out. */
  readonly bones: boolean;
}

/** What the pot holds when its last lid is off. */
export interface SauceBase {
  readonly freeMl: number;
  readonly fatMl: number;
  /** Starch stirred in before, g of cornstarch. */
  readonly starchG: number;
  /** What boils water off on full heat: the heater's power less what the pot loses to the room, W. */
  readonly heaterW: number;
  readonly boilingC: number;
  /** Vegetables that are soft or falling apart, g. */
  readonly softGrams: number;
  /** Water of what is stirred in when it has reduced: cream, paste, broth off the heat, ml. */
  readonly addedMl: number;
  /** Starch of what is stirred in then, g of cornstarch. */
  readonly addedStarchG: number;
}

/**
 * Water that boils away in a minute on full heat: about 20 ml at 1 kW. Steam tables.
 *
 * @param heaterW what reaches the pot and does not leave it through its walls
 * @example reductionMlPerMinute(850, 100) // 22.6
 */
export function reductionMlPerMinute(heaterW: number, boilingC: number): number {
  return (heaterW / latentHeatJPerKg(boilingC)) * 60_000;
}

/**
 * Starch for a volume and a body.
 *
 * @param ml of finished sauce
 * @param already bound in it, g of cornstarch
 * @returns g of the thickener, and ml of cold water for its slurry
 * @example starchFor('cornstarch', 'coating', 240).grams // 8
 */
export function starchFor(
  thickener: Plan['finish']['thickener'],
  body: Plan['finish']['body'],
  ml: number,
  already = 0,
): { grams: number; waterMl: number } {
  if (thickener === 'none') return { grams: 0, waterMl: 0 };
  const { factor, density } = thickenerById(thickener);
  const needed = Math.max(0, (CORNSTARCH_PER_240_ML[body] * ml) / 240 - already);
  const grams = needed * factor;
  return { grams, waterMl: (grams / density) * SLURRY_WATER };
}

/** Less is not worth a spoon, ml. */
const WORTH_SKIMMING_ML = 10;
/** Less is not worth a slurry, g. */
const WORTH_STIRRING_G = 0.5;

/**
 * Solves the finish: what to ladle out and keep, how long to reduce, how much starch in how much cold water, for the
 * wanted body and amount. Reducing is for what a few minutes take away; more than that is ladled out first.
 *
 * @param plan its finish
 * @param base what the pot holds
 * @returns ml, minutes and grams
 * @example solveSauce(plan, { freeMl: 400, fatMl: 40, starchG: 0, heaterW: 850, boilingC: 100, softGrams: 0, addedMl: 0, addedStarchG: 0 }).skimMl // 36
 */
export function solveSauce(plan: Pick<Plan, 'finish' | 'meat'>, base: SauceBase): SauceFigures {
  const { finish } = plan;
  const rate = reductionMlPerMinute(base.heaterW, base.boilingC);
  const reduced = (minutes: number): number => Math.min(base.freeMl, minutes * rate);
  // What is stirred in at the end is sauce too: it reduces to so much less.
  const wanted = finish.sauceMl === null ? null : Math.max(0, Math.min(finish.sauceMl - base.addedMl, base.freeMl));
  let ladleOutMl = Math.min(finish.ladleOutMl, base.freeMl);
  let reduceMinutes = finish.reduce === 'auto' ? 0 : finish.reduce;
  if (wanted !== null) {
    const excess = Math.max(0, base.freeMl - ladleOutMl - wanted);
    if (finish.reduce === 'auto') {
      const spare = excess - reduced(PATIENCE_MINUTES);
      if (spare > 0) ladleOutMl += Math.ceil(spare / LADLE_ML) * LADLE_ML;
      ladleOutMl = Math.min(ladleOutMl, Math.max(0, base.freeMl - wanted));
      reduceMinutes = rate > 0 ? Math.max(0, base.freeMl - ladleOutMl - wanted) / rate : 0;
    } else {
      ladleOutMl += Math.max(0, excess - reduced(reduceMinutes));
    }
  }
  reduceMinutes = Math.round(reduceMinutes * 2) / 2;
  const kept = base.freeMl - ladleOutMl;
  // What was bound before goes out with what is ladled out.
  const bound = base.freeMl > 0 ? base.starchG * (kept / base.freeMl) : 0;
  const blended = finish.blend ? base.softGrams * BLENDED_STARCH : 0;
  const reducedMl = Math.max(0, kept - reduced(reduceMinutes));
  const endMl = reducedMl + base.addedMl;
  const already = bound + blended + base.addedStarchG;
  const { grams, waterMl } = starchFor(finish.thickener, finish.body, endMl, already);
  const thickens = finish.thickener !== 'none' && grams >= WORTH_STIRRING_G;
  const skims = finish.skim && base.fatMl >= WORTH_SKIMMING_ML;
  return {
    ladleOutMl,
    reduceMinutes,
    reducedMl,
    thickenerGrams: grams,
    waterMl,
    thickens,
    sauceMl: endMl + (thickens ? waterMl : 0),
    fatMl: finish.skim ? base.fatMl * (1 - SKIMMED) : base.fatMl,
    skimMl: skims ? base.fatMl * SKIMMED : 0,
    bones: plan.meat.boneIn && cutById(plan.meat.cut).boneShare > 0,
  };
}
