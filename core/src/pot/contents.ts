import { grainById } from '../larder/grains';
import { MEAT_DENSITY, type Piece } from '../meat/piece';
import type { Cooker, Plan } from '../plan/plan';
import { baseAreaM2 } from './cooker';
import type { Charge } from './charge';

/** How closely things lie: their volume over the room they take up. Common practice; from memory. */
export const PACKING = { whole: 0.8, pieces: 0.6, plants: 0.6 } as const;
/** Vegetables and raw grain, g/ml. From memory. */
const PLANT_DENSITY = 1.0;
const GRAIN_DENSITY = 1.35;
/** A rack lifts what stands on it, cm. Common practice. */
const RACK_CM = 2;

/** What is in the pot when the lid goes on, by volume. */
export interface Contents {
  readonly meatMl: number;
  readonly plantsMl: number;
  readonly grainMl: number;
  readonly liquidMl: number;
  /** Room that the solids take up with the gaps between them, ml. */
  readonly bedMl: number;
  readonly bedCm: number;
  /** Room that all takes up, ml. */
  readonly litresMl: number;
  /** Height of the liquid, cm: as far as it fills the gaps. */
  readonly liquidCm: number;
  /** Base of the pot, cm². */
  readonly areaCm2: number;
  readonly rackCm: number;
}

/** Plants that are in the pot from the start. */
function startGrams(plan: Pick<Plan, 'vegetables' | 'aromatics'>): number {
  const vegetables = plan.vegetables.filter(({ place }) => place === 'start' || place === 'flavour-only');
  const aromatics = plan.aromatics.filter(({ then }) => then !== 'set-aside');
  return [...vegetables, ...aromatics].reduce((sum, { grams }) => sum + grams, 0);
}

/** Grain that is in the pot from the start. */
export function startGrains(plan: Pick<Plan, 'grains'>): Plan['grains'] {
  return plan.grains.filter(({ place, grams }) => place === 'start' && grams > 0);
}

/**
 * What fills the pot when its lid goes on: solids with the gaps between them, and liquid in the gaps and above.
 *
 * @param plan what goes in
 * @param piece its pieces
 * @param charges what is poured
 * @param freeMl liquid in the pot now, ml
 * @example contentsOf(plan, pieceOf(plan.meat), chargesOf(plan), 400).liquidCm // 2.8
 */
export function contentsOf(
  plan: Pick<Plan, 'meat' | 'vegetables' | 'aromatics' | 'grains' | 'rack'> & {
    cooker: Pick<Cooker, 'baseDiameterCm'>;
  },
  piece: Piece,
  charges: readonly Charge[],
  freeMl: number,
): Contents {
  const areaCm2 = baseAreaM2(plan.cooker.baseDiameterCm) * 10_000;
  const meatMl = (piece.count * piece.gramsEach * 1000) / MEAT_DENSITY;
  const plantsMl = startGrams(plan) / PLANT_DENSITY;
  const grainMl = startGrains(plan).reduce((sum, { grams }) => sum + grams, 0) / GRAIN_DENSITY;
  const pastesMl = charges.filter(({ stage }) => stage === 'on-top').reduce((sum, { volumeMl }) => sum + volumeMl, 0);
  const packing = piece.count === 1 ? PACKING.whole : PACKING.pieces;
  const rackCm = plan.rack ? RACK_CM : 0;
  const solidsMl = meatMl + plantsMl + grainMl;
  const bedMl = meatMl / packing + (plantsMl + grainMl) / PACKING.plants;
  const gapsMl = bedMl - solidsMl + rackCm * areaCm2;
  const litresMl = Math.max(bedMl + rackCm * areaCm2, solidsMl + freeMl) + pastesMl;
  const liquidCm =
    freeMl <= gapsMl ? rackedLevel(freeMl, rackCm, areaCm2, bedMl, solidsMl) : (freeMl + solidsMl) / areaCm2;
  return {
    meatMl,
    plantsMl,
    grainMl,
    liquidMl: freeMl,
    bedMl,
    bedCm: bedMl / areaCm2,
    litresMl,
    liquidCm,
    areaCm2,
    rackCm,
  };
}

/** Height of liquid that fills the room under the rack first and then the gaps. */
function rackedLevel(freeMl: number, rackCm: number, areaCm2: number, bedMl: number, solidsMl: number): number {
  const underMl = rackCm * areaCm2;
  if (freeMl <= underMl) return freeMl / areaCm2;
  const gapShare = bedMl > 0 ? (bedMl - solidsMl) / bedMl : 1;
  return rackCm + (freeMl - underMl) / areaCm2 / Math.max(0.05, gapShare);
}

/** True where the pot may be at most half full: what swells or foams is in it. */
export function halfFill(plan: Pick<Plan, 'grains'>): boolean {
  return startGrains(plan).some(({ grain }) => grainById(grain).halfFill);
}
