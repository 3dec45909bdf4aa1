import { gramsOf } from '../units/grams';
import { grainById } from '../catalog/grains';
import { MEAT_DENSITY, pieceOf, type Piece } from '../meat/piece';
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

/** What lies in a pot, by volume, whenever its lid goes on. */
export interface Solids {
  /** Meat that is in, ml, and whether it is one piece. */
  readonly meats: readonly { readonly ml: number; readonly single: boolean }[];
  readonly plantsMl: number;
  /** Dry, or as far as it has swollen. */
  readonly grainMl: number;
  /** Laid on top and not stirred in. */
  readonly pastesMl: number;
  readonly rack: boolean;
}

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
  readonly occupiedMl: number;
  /** Height of the liquid, cm: as far as it fills the gaps. */
  readonly liquidCm: number;
  /** Base of the pot, cm². */
  readonly areaCm2: number;
  readonly rackCm: number;
}

/** Plants that are in the pot from the start. */
function startGrams(plan: Pick<Plan, 'vegetables' | 'aromatics' | 'others'>): number {
  const vegetables = plan.vegetables.filter(({ place }) => place === 'start' || place === 'flavour-only');
  const aromatics = plan.aromatics.filter(({ then, stage }) => then !== 'set-aside' && stage === undefined);
  const others = plan.others.filter(({ place }) => place === 'start');
  return gramsOf([...vegetables, ...aromatics, ...others]);
}

/** Grain that is in the pot from the start. */
export function startGrains(plan: Pick<Plan, 'grains'>): Plan['grains'] {
  return plan.grains.filter(({ place, grams }) => place === 'start' && grams > 0);
}

/** Raw meat as it goes in, ml. */
export const rawMl = (piece: Pick<Piece, 'count' | 'gramsEach'>): number =>
  (piece.count * piece.gramsEach * 1000) / MEAT_DENSITY;

/** Vegetables and their like, ml. */
export const plantMl = (grams: number): number => grams / PLANT_DENSITY;

/** Grain, dry and with what it has drunk, ml. */
export const grainMl = (grams: number, drunkMl = 0): number => grams / GRAIN_DENSITY + drunkMl;

/**
 * What fills a pot: solids with the gaps between them, and liquid in the gaps and above.
 *
 * @param solids by volume, ml
 * @param freeMl liquid in the pot now, ml
 * @param baseDiameterCm of the pot
 * @example fillsPot({ meats: [], plantsMl: 0, grainMl: 0, pastesMl: 0, rack: false }, 500, 20).occupiedMl // 500
 */
export function fillsPot(solids: Solids, freeMl: number, baseDiameterCm: number): Contents {
  const areaCm2 = baseAreaM2(baseDiameterCm) * 10_000;
  const { plantsMl, grainMl: grain, pastesMl } = solids;
  const meatMl = solids.meats.reduce((sum, { ml }) => sum + ml, 0);
  const meatBedMl = solids.meats.reduce(
    (sum, { ml, single }) => sum + ml / (single ? PACKING.whole : PACKING.pieces),
    0,
  );
  const rackCm = solids.rack ? RACK_CM : 0;
  const solidsMl = meatMl + plantsMl + grain;
  const bedMl = meatBedMl + (plantsMl + grain) / PACKING.plants;
  const gapsMl = bedMl - solidsMl + rackCm * areaCm2;
  const occupiedMl = Math.max(bedMl + rackCm * areaCm2, solidsMl + freeMl) + pastesMl;
  const liquidCm =
    freeMl <= gapsMl ? rackedLevel(freeMl, rackCm, areaCm2, bedMl, solidsMl) : (freeMl + solidsMl) / areaCm2;
  return {
    meatMl,
    plantsMl,
    grainMl: grain,
    liquidMl: freeMl,
    bedMl,
    bedCm: bedMl / areaCm2,
    occupiedMl,
    liquidCm,
    areaCm2,
    rackCm,
  };
}

/**
 * What fills the pot when its first lid goes on.
 *
 * @param plan what goes in
 * @param piece the pieces of its first cut
 * @param charges what is poured
 * @param freeMl liquid in the pot now, ml
 * @example contentsOf(plan, pieceOf(plan.meat), chargesOf(plan), 400).liquidCm // 2.8
 */
export function contentsOf(
  plan: Pick<Plan, 'meat' | 'vegetables' | 'aromatics' | 'grains' | 'others' | 'otherMeats' | 'rack'> & {
    cooker: Pick<Cooker, 'baseDiameterCm'>;
  },
  piece: Piece,
  charges: readonly Charge[],
  freeMl: number,
): Contents {
  const pieces = [piece, ...plan.otherMeats.filter(({ goesIn }) => goesIn === 'start').map((meat) => pieceOf(meat))];
  const solids: Solids = {
    meats: pieces.map((one) => ({ ml: rawMl(one), single: one.count === 1 })),
    plantsMl: plantMl(startGrams(plan)),
    grainMl: grainMl(gramsOf(startGrains(plan))),
    pastesMl: charges.filter(({ stage }) => stage === 'on-top').reduce((sum, { volumeMl }) => sum + volumeMl, 0),
    rack: plan.rack,
  };
  return fillsPot(solids, freeMl, plan.cooker.baseDiameterCm);
}

/** The uppermost layer of loose pieces. */
export interface TopLayer {
  /** Of all the meat, by weight. */
  readonly share: number;
  /** How much of it lies in the liquid, by height. */
  readonly wet: number;
}

/** All lies in the liquid. */
export const IMMERSED: TopLayer = { share: 0, wet: 1 };
/** Some always lies beneath, and one layer is no less than so much of a load. */
const TOP_SHARE = { most: 0.9, least: 0.1 } as const;

/**
 * The uppermost layer of the first load when the lid goes on: how much of the load it is, and how much of it lies in the
 * liquid.
 *
 * @param freeMl liquid in the pot then, ml
 * @example topLayer(plan, pieceOf(plan.meat), 4000).wet // 1
 */
export function topLayer(plan: Parameters<typeof contentsOf>[0], piece: Piece, freeMl: number): TopLayer {
  const { liquidCm, rackCm, bedCm } = contentsOf(plan, piece, [], freeMl);
  if (piece.count < 2 || bedCm <= 0) return IMMERSED;
  const layerCm = Math.min(bedCm, piece.thicknessCm);
  const wet = Math.min(1, Math.max(0, (liquidCm - rackCm - (bedCm - layerCm)) / layerCm));
  return { share: Math.min(TOP_SHARE.most, Math.max(TOP_SHARE.least, layerCm / bedCm)), wet };
}

/** Height of liquid that fills the room under the rack first and then the gaps. */
function rackedLevel(freeMl: number, rackCm: number, areaCm2: number, bedMl: number, solidsMl: number): number {
  const underMl = rackCm * areaCm2;
  if (freeMl <= underMl) return freeMl / areaCm2;
  const gapShare = bedMl > 0 ? (bedMl - solidsMl) / bedMl : 1;
  return rackCm + (freeMl - underMl) / areaCm2 / Math.max(0.05, gapShare);
}

/** True where the pot may be at most half full: something that swells or foams is in it. */
export function halfFill(grains: readonly { readonly grain: string }[]): boolean {
  return grains.some(({ grain }) => grainById(grain).halfFill);
}
