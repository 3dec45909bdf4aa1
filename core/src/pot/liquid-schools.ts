import type { Piece } from '../meat/piece';
import type { Plan } from '../plan/plan';
import type { Charge } from './charge';
import { contentsOf } from './contents';

/** How much liquid a cook pours, by school. */
export const LIQUID_SCHOOLS = ['minimum', 'half-buried', 'covered', 'submerged'] as const;
export type LiquidSchool = (typeof LIQUID_SCHOOLS)[number];

/** Over the meat when it swims, cm. Common practice. */
const OVER_CM = 2;
/** Amounts are poured to this, ml. */
const ROUND_ML = 10;

/** What a school pours into this pot. */
export interface SchoolAmount {
  readonly school: LiquidSchool;
  /** Free liquid when the lid goes on, ml. */
  readonly freeMl: number;
  /** What to pour of the plan's first liquid, ml, the rest as it is. */
  readonly pourMl: number;
  /** Height of the liquid over the height of the meat. */
  readonly level: number;
}

/**
 * The schools of liquid worked out for this meat in this pot: the cooker's minimum, half-buried, just covered,
 * submerged. None is ever under the minimum.
 *
 * @param plan its meat, pot and what else is in it
 * @param piece its pieces
 * @param charges what is poured, the first liquid among it
 * @param lostMl boiled off before the lid goes on
 * @returns ml, rounded up to what a jug shows
 * @example liquidSchools(plan, pieceOf(plan.meat), chargesOf(plan), 50).map((amount) => amount.school)[0] // 'minimum'
 */
export function liquidSchools(plan: Plan, piece: Piece, charges: readonly Charge[], lostMl: number): SchoolAmount[] {
  const first = charges.find(({ from, index }) => from === 'liquids' && index === 0);
  const share = first ? first.waterMl / first.volumeMl : 1;
  const others = charges
    .filter((charge) => charge !== first && (charge.stage === 'deglaze' || charge.stage === 'load'))
    .reduce((sum, { waterMl }) => sum + waterMl, 0);
  const atLid = Math.max(0, others - lostMl);
  const empty = contentsOf(plan, piece, charges, 0);
  const meatCm = Math.max(piece.thicknessCm, empty.bedCm);
  const solids = empty.meatMl + empty.plantsMl + empty.grainMl;
  const wanted: Readonly<Record<LiquidSchool, number>> = {
    minimum: 0,
    'half-buried': empty.rackCm * empty.areaCm2 + (empty.areaCm2 * meatCm - solids) / 2,
    covered: empty.rackCm * empty.areaCm2 + empty.areaCm2 * meatCm - solids,
    submerged: empty.rackCm * empty.areaCm2 + empty.areaCm2 * (meatCm + OVER_CM) - solids,
  };
  return LIQUID_SCHOOLS.map((school) => {
    const need = Math.max(plan.cooker.minimumLiquidMl, wanted[school]);
    const pourMl = Math.max(0, Math.ceil((need - atLid) / share / ROUND_ML) * ROUND_ML);
    const freeMl = atLid + pourMl * share;
    const { liquidCm, rackCm } = contentsOf(plan, piece, charges, freeMl);
    return { school, freeMl, pourMl, level: Math.max(0, liquidCm - rackCm) / meatCm };
  });
}
