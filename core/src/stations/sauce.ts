import { aromaticKind } from '../larder/aromatics';
import { liquidById, liquidWord } from '../larder/liquids';
import { CORNSTARCH_PER_240_ML, thickenerById } from '../larder/thickeners';
import { vegetableById } from '../larder/vegetables';
import { latentHeatJPerKg } from '../physics/steam';
import type { Plan } from '../plan/plan';
import { listed } from '../units/list';
import type { Printer } from '../units/quantity';

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

/** A step of the finish, in the order it is done. */
export interface FinishStep {
  readonly id:
    'fish-out' | 'lift' | 'ladle' | 'skim' | 'strain' | 'blend' | 'reduce' | 'thicken' | 'after' | 'rest' | 'season';
  readonly text: string;
  readonly minutes: number;
  readonly handsOn: boolean;
}

/** The sauce, solved. */
export interface Finish {
  readonly thickenerGrams: number;
  readonly waterMl: number;
  readonly reduceMinutes: number;
  readonly ladleOutMl: number;
  readonly sauceMl: number;
  readonly fatMl: number;
  readonly fishOut: readonly string[];
  readonly steps: readonly FinishStep[];
  /** One line for the station's head. */
  readonly text: string;
}

/** What the pot holds when its last lid is off. */
export interface SauceBase {
  readonly freeMl: number;
  readonly fatMl: number;
  /** Starch stirred in before, g of cornstarch. */
  readonly starchG: number;
  /** Of the heater at full, W. */
  readonly heaterW: number;
  readonly boilingC: number;
  /** Vegetables that are soft or falling apart, g. */
  readonly softGrams: number;
  /** Vegetables that should stay as they are. */
  readonly lift: boolean;
}

/**
 * Water that boils away in a minute on full heat: about 20 ml at 1 kW. Steam tables.
 *
 * @param heaterW what reaches the pot
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

/** What is lifted out before the sauce is finished. */
export function fishedOut(plan: Pick<Plan, 'aromatics' | 'vegetables' | 'meat' | 'target'>): string[] {
  const aromatics = plan.aromatics
    .filter(
      ({ ingredient, then, grams }) =>
        grams > 0 && (then === 'fish-out' || (then === undefined && aromaticKind(ingredient).fishedOut)),
    )
    .map(({ ingredient }) => aromaticKind(ingredient).name.toLowerCase());
  const vegetables = plan.vegetables
    .filter(({ place }) => place === 'flavour-only')
    .map(({ vegetable }) => `spent ${vegetableById(vegetable).name.toLowerCase()}`);
  const bones = plan.meat.boneIn && plan.target === 'pulls' ? ['bones'] : [];
  return [...aromatics, ...vegetables, ...bones];
}

/** Grams, with spoons beside them for who measures so. */
function spoons(grams: number, gramsATablespoon: number): string {
  const halves = Math.max(1, Math.round((grams / gramsATablespoon) * 2)) / 2;
  const whole = Math.floor(halves);
  return `${whole > 0 ? whole : ''}${halves % 1 === 0 ? '' : '½'} tbsp`;
}

/**
 * Solves the finish: what to ladle out and keep, how long to reduce, how much starch in how much cold water, for the
 * wanted body and amount. Reducing is for what a few minutes take away; more than that is ladled out first.
 *
 * @param plan its finish, and what goes in after pressure
 * @param base what the pot holds
 * @param print the cook's units
 * @returns the steps in order; salt and acid last, dairy off the heat
 */
export function finishSauce(
  plan: Pick<Plan, 'finish' | 'aromatics' | 'vegetables' | 'meat' | 'target' | 'additions'>,
  base: SauceBase,
  print: Printer,
): Finish {
  const { finish } = plan;
  const volume = (ml: number): string => print.quantity('volume', ml);
  const steps: FinishStep[] = [];
  const add = (id: FinishStep['id'], text: string, minutes: number, handsOn = true): number =>
    steps.push({ id, text, minutes, handsOn });

  const fishOut = fishedOut(plan);
  if (fishOut.length > 0) add('fish-out', `Fish out ${listed(fishOut)}`, 1);
  if (base.lift) {
    add('lift', 'Lift the vegetables out onto the dish: left in the hot sauce they go on softening', 2);
  }
  const rate = reductionMlPerMinute(base.heaterW, base.boilingC);
  const reduced = (minutes: number): number => Math.min(base.freeMl, minutes * rate);
  const wanted = finish.sauceMl === null ? null : Math.min(finish.sauceMl, base.freeMl);
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
  const sauceMl = Math.max(0, kept - reduced(reduceMinutes));

  if (ladleOutMl >= 1) add('ladle', `Ladle ${volume(ladleOutMl)} out and keep it: broth for later`, 1);
  const fatMl = finish.skim ? base.fatMl * (1 - SKIMMED) : base.fatMl;
  if (finish.skim && base.fatMl >= 10) {
    add(
      'skim',
      `Take the fat off with a spoon or a separator, about ${volume(base.fatMl * SKIMMED)}; keep it for frying`,
      3,
    );
  }
  if (finish.strain) add('strain', 'Strain it', 2);
  if (finish.blend) add('blend', 'Blend the soft vegetables in: half full at most, lid vented, a cloth over it', 3);
  if (reduceMinutes > 0) {
    add('reduce', `Reduce ${reduceMinutes} min on full sauté, lid off, to ${volume(sauceMl)}`, reduceMinutes, false);
  }
  const { grams, waterMl } = starchFor(finish.thickener, finish.body, sauceMl, bound + blended);
  if (finish.thickener !== 'none' && grams >= 0.5) {
    const { name, gramsATablespoon, how } = thickenerById(finish.thickener);
    const amount =
      print.system === 'metric'
        ? `${Math.round(grams)} g of ${name} (${spoons(grams, gramsATablespoon)})`
        : `${spoons(grams, gramsATablespoon)} of ${name}`;
    add('thicken', `Stir ${amount} into ${volume(waterMl)} of cold water, pour it in and stir; ${how}`, 3);
  }
  const after = plan.additions.filter(({ when, grams: g }) => when === 'after' && g > 0);
  for (const { ingredient, grams: g } of after) {
    const { kind, starchEquivalent } = liquidById(ingredient);
    const what = `${print.quantity('mass', g)} of ${liquidWord(ingredient)}`;
    if (kind === 'dry' && starchEquivalent > 0) {
      // Dry into hot sauce it makes lumps, and raw it tastes of flour. Common practice.
      add('after', `Whisk ${what} smooth with cold water, stir it in; simmer 5 min, until the raw taste is gone`, 6);
    } else {
      add('after', `${kind === 'dairy' ? 'Off the heat, stir in' : 'Stir in'} ${what}`, 1);
    }
  }
  if (finish.restMinutes > 0) {
    add('rest', `Rest ${Math.round(finish.restMinutes)} min: it thickens as it cools`, finish.restMinutes, false);
  }
  add('season', 'Fresh herbs and acid now; salt last, by taste', 1);
  const thick = grams >= 0.5 ? `, ${finish.body}` : '';
  return {
    thickenerGrams: grams,
    waterMl,
    reduceMinutes,
    ladleOutMl,
    sauceMl: sauceMl + (grams >= 0.5 ? waterMl : 0),
    fatMl,
    fishOut,
    steps,
    text: `${volume(sauceMl)} of sauce${thick}`,
  };
}
