import { aromaticKind } from '../catalog/aromatics';
import { liquidById } from '../catalog/liquids';
import { isFried } from '../plan/fried';
import { CUT_OUT_K, heaterSpread, STUCK_AT_MOST } from '../catalog/what-varies';
import { normalCdf, NORMAL_FIVE } from '../physics/normal';
import type { Plan } from '../plan/plan';
import type { Piece } from '../meat/piece';
import type { Charge } from './charge';
import type { PotBuild } from './cooker';
import { baseAreaM2 } from './cooker';
import { startGrains } from './contents';

/** From a clean base into thin boiling liquid, W/m² K. From memory; tunable. */
const THIN_W_PER_M2K = 4000;
/** Thickening that has clearly told, g of cornstarch a litre, and how steeply. From memory; tunable. */
const THICK_G_PER_L = 12;
const THICK_POWER = 1.5;
/** A base is wet all over from this depth of free liquid, mm, and never less than so much of it. From memory. */
const WET_MM = 5;
const LEAST_WET = 0.02;
/** The base never rises further above the liquid, K. From memory. */
const MOST_RISE_K = 120;
/** Heat resistance of what sticks, m² K/W. From memory; tunable. */
export const STICKING = { clean: 0, film: 3e-4, fond: 1.2e-3, 'sugar-crust': 2.5e-3 } as const;
export type Sticking = keyof typeof STICKING;
const SETTLED_GRAIN = 2e-3;
const LYING_MEAT = 5e-4;
/** Dry grain stirred into less liquid than this settles, g/ml. From memory. */
const GRAIN_SETTLES_G_PER_ML = 0.35;
/** A base this far below the cut-out is safe; nearer it is to be watched; nearer still it trips, K. From memory. */
const SAFE_K = 15;
export const LIKELY_K = 5;
/** Deglazing with less does not lift a fond, ml. Common practice. */
export const LEAST_DEGLAZE_ML = 40;
/** From this share of sugar on something fried leaves a crust. From memory. */
const SUGARY = 0.1;
/** Meat this wide over its thickness lies flat on the base instead of resting on points. From memory. */
const FLAT_CM = 8;

/** Free liquid that keeps all of a base wet, ml. */
export function wettingMl(areaM2: number): number {
  return WET_MM * areaM2 * 1000;
}

export type BurnLevel = 'safe' | 'watch' | 'likely';
export type BurnCauseId = 'heat' | 'thickened' | 'fond' | 'sugar' | 'dry' | 'flat-meat' | 'grain';

/** A moment of the pot on its way to pressure. */
export interface BaseMoment {
  readonly minute: number;
  readonly liquidC: number;
  /** Free liquid, juices in it and what has been drunk out of it, ml. */
  readonly freeMl: number;
  /** Heat that goes through the base, W; the heater's full heat when nothing is said. */
  readonly watts?: number;
}

/** What the base has to get its heat through. */
export interface BaseState {
  readonly liquidC: number;
  /** Heat through the base, W/m². */
  readonly fluxWPerM2: number;
  readonly freeMl: number;
  readonly baseAreaM2: number;
  /** Stirred in, grams of cornstarch's worth. */
  readonly starchG: number;
  readonly sticking: Sticking;
  /** How much of that is still on the base; all when nothing is said. */
  readonly stickingShare?: number;
  /** Share of the base that flat meat lies on. */
  readonly lyingShare: number;
  readonly grainSettled: boolean;
}

/**
 * Temperature of the base under its contents: T = T_liquid + min(120, q (1/(h w) + R)), with h falling as the liquid
 * thickens, w the share of the base that is wet, R what sticks to it or lies on it.
 *
 * @param state heat in W/m², liquid in ml, area in m²
 * @returns °C
 * Accuracy: its constants are from memory; what is tested is the order of things.
 * @example baseTemperatureC({ liquidC: 115.7, fluxWPerM2: 23_400, freeMl: 500, baseAreaM2: 0.0363, starchG: 0, sticking: 'clean', lyingShare: 0, grainSettled: false }) // 121.6
 */
export function baseTemperatureC(state: BaseState): number {
  const litres = Math.max(1e-3, state.freeMl / 1000);
  const thickness = state.starchG / litres;
  const h = THIN_W_PER_M2K / (1 + (thickness / THICK_G_PER_L) ** THICK_POWER);
  const depthMm = state.freeMl / 1000 / state.baseAreaM2;
  const wet = Math.min(1, Math.max(LEAST_WET, depthMm / WET_MM));
  const sticks =
    STICKING[state.sticking] * (state.stickingShare ?? 1) +
    (state.grainSettled ? SETTLED_GRAIN : 0) +
    LYING_MEAT * Math.min(1, state.lyingShare);
  return state.liquidC + Math.min(MOST_RISE_K, state.fluxWPerM2 * (1 / (h * wet) + sticks));
}

type Sauteed = Pick<Plan, 'sear' | 'meat' | 'aromatics'> & Partial<Pick<Plan, 'additions'>>;

/** Sugar that meets the hot base: in the rub of meat that is seared in the pot, or fried with the onion. */
function sugarOnTheBase({ sear, meat, additions = [] }: Sauteed): boolean {
  const rubbed = sear.school !== 'none' && sear.where === 'pot' && meat.rub?.sugar === true;
  const fried = additions.some(
    ({ ingredient, grams, when }) => when === 'fried' && grams > 0 && liquidById(ingredient).sugarShare >= SUGARY,
  );
  return rubbed || fried;
}

/**
 * What the sauté leaves on the base before anybody scrapes.
 *
 * @example fondOf(plan) // 'fond'
 */
export function fondOf(plan: Sauteed): Sticking {
  const { sear, aromatics } = plan;
  if (sugarOnTheBase(plan)) return 'sugar-crust';
  if (sear.school !== 'none' && sear.where === 'pot') {
    // A quick sear, or a stirred one, leaves little that sticks.
    return sear.school !== 'hard' || sear.order === 'onion-first' ? 'film' : 'fond';
  }
  return aromatics.some((item) => item.grams > 0 && isFried(item)) ? 'film' : 'clean';
}

/**
 * Water that onion, mushroom, tomato fried after the meat give off, ml, and what is poured on them: it loosens a fond, if not
 * to the last.
 */
export function vegetableWaterMl({ aromatics, sear, additions = [] }: Sauteed): number {
  if (sear.order !== 'meat-first') return 0;
  const fried = aromatics
    .filter((item) => isFried(item) && item.how !== 'fried-first' && item.then !== 'set-aside')
    .reduce((sum, { ingredient, grams }) => sum + grams * aromaticKind(ingredient).juiceShare, 0);
  const pulp = additions
    .filter(({ when }) => when === 'fried')
    .reduce((sum, { ingredient, grams }) => sum + grams * liquidById(ingredient).waterShare, 0);
  return fried + pulp;
}

/** Whether the fond is scraped up in what the vegetables give, with what little is poured: where they give enough. */
export function scrapedInJuice(plan: Sauteed & Pick<Plan, 'deglaze'>): boolean {
  const { deglaze } = plan;
  if (deglaze !== null && !deglaze.scraped) return false;
  const poured = deglaze?.ml ?? 0;
  return poured < LEAST_DEGLAZE_ML && vegetableWaterMl(plan) + poured >= LEAST_DEGLAZE_ML;
}

/**
 * What the sauté leaves on the base once it has been scraped or not.
 *
 * @param plan its sear, rub, aromatics and deglazing
 * @example stickingOf({ ...plan, deglaze: null }) // 'fond'
 */
export function stickingOf(plan: Sauteed & Pick<Plan, 'deglaze'>): Sticking {
  const fond = fondOf(plan);
  const { deglaze } = plan;
  if (deglaze === null || !deglaze.scraped || deglaze.ml < LEAST_DEGLAZE_ML) {
    return fond === 'fond' && scrapedInJuice(plan) ? 'film' : fond;
  }
  // Burnt sugar does not come off whole.
  return fond === 'sugar-crust' ? 'film' : 'clean';
}

/** Share of the base that flat meat lies on; nothing on a rack, and little under loose pieces. */
export function lyingShare(plan: Pick<Plan, 'rack'>, piece: Piece, areaM2: number): number {
  const [length, width] = piece.dimensionsCm;
  if (plan.rack || width < FLAT_CM) return 0;
  return Math.min(1, (length * width * piece.count) / (areaM2 * 10_000));
}

/** Whether dry grain lies on the base: stirred in, and too much of it to be kept moving. */
export function grainSettles(plan: Pick<Plan, 'grains'>, freeMl: number): boolean {
  const stirred = startGrains(plan).filter(({ layer }) => layer === 'stirred-in');
  const grams = stirred.reduce((sum, item) => sum + item.grams, 0);
  return grams > 0 && grams > GRAIN_SETTLES_G_PER_ML * freeMl;
}

/** One cause of a hot base, with its share of the rise. */
export interface BurnCause {
  readonly cause: BurnCauseId;
  readonly kelvin: number;
}

/** The verdict on the base. */
export interface BurnVerdict {
  readonly baseC: number;
  readonly liquidC: number;
  readonly cutoutC: number;
  /** Stovetop: it scorches; electric: the power is cut. */
  readonly kind: 'cut-out' | 'scorch';
  readonly level: BurnLevel;
  /** How often such a pot burns: the heater, what stays stuck after scraping, and the cut-out itself vary. */
  readonly chance: number;
  /** From lid on. */
  readonly minute: number;
  /** Free liquid at the worst moment, ml. */
  readonly freeMl: number;
  readonly sticking: Sticking;
  /** Largest first; they add up to the rise of the base over the liquid. */
  readonly causes: readonly BurnCause[];
}

/**
 * How near a base comes to its cut-out.
 *
 * @param baseC its temperature
 * @param cutoutC of the cooker
 * @example burnLevel(140, 150) // 'watch'
 */
export function burnLevel(baseC: number, cutoutC: number): BurnLevel {
  const margin = cutoutC - baseC;
  return margin >= SAFE_K ? 'safe' : margin >= LIKELY_K ? 'watch' : 'likely';
}

/** The state with one cause taken away; null for the heat itself, which is what is left over. */
const WITHOUT: Readonly<Record<Exclude<BurnCauseId, 'heat'>, (state: BaseState) => BaseState>> = {
  thickened: (state) => ({ ...state, starchG: 0 }),
  fond: (state) => (state.sticking === 'sugar-crust' ? state : { ...state, sticking: 'clean' }),
  sugar: (state) => (state.sticking === 'sugar-crust' ? { ...state, sticking: 'clean' } : state),
  dry: (state) => ({ ...state, freeMl: Math.max(state.freeMl, wettingMl(state.baseAreaM2)) }),
  'flat-meat': (state) => ({ ...state, lyingShare: 0 }),
  grain: (state) => ({ ...state, grainSettled: false }),
};

/** A base takes so long to follow what is above it, s. From memory. */
export const BASE_LAG_S = 20;

/** How far a base is behind the temperature it would come to, K: for as long as it takes, what is above it has risen. */
function behind(moments: readonly BaseMoment[], at: BaseMoment, goalC: (moment: BaseMoment) => number): number {
  const before = moments.filter(({ minute }) => minute <= at.minute - BASE_LAG_S / 60).at(-1);
  if (before === undefined) return 0;
  const risesKPerS = (goalC(at) - goalC(before)) / ((at.minute - before.minute) * 60);
  return Math.max(0, risesKPerS * BASE_LAG_S);
}

/** Draws of what stays stuck, in the middle of as many equal parts. */
const STUCK_DRAWS = 8;

/**
 * How often a base comes to its cut-out: over the heater by a five-point quadrature, over what stays stuck after scraping in
 * eight parts, over the cut-out in a closed form.
 *
 * @param state at its worst moment
 * @param fond what the sauté left before it was scraped
 * @param cooker its kind, and where it cuts out
 * @param behindK so far the base is still behind what it would come to, K
 * @returns 0 to 1
 * Accuracy: that of its constants, from memory; within 0.01 of 10,000 draws (a test).
 */
export function burnChance(
  state: BaseState,
  fond: Sticking,
  { kind, burnCutoutC }: Pick<Plan['cooker'], 'kind' | 'burnCutoutC'>,
  behindK = 0,
): number {
  const heat = heaterSpread(kind).cv;
  const left = STICKING[state.sticking] * (state.stickingShare ?? 1);
  const scrapedOff = Math.max(0, STICKING[fond] - left);
  let chance = 0;
  for (let i = 0; i < STUCK_DRAWS; i += 1) {
    const stuck = left + scrapedOff * STUCK_AT_MOST * ((i + 0.5) / STUCK_DRAWS) ** 2;
    const sticks = { sticking: 'fond' as const, stickingShare: stuck / STICKING.fond };
    NORMAL_FIVE.nodes.forEach((node, k) => {
      const fluxWPerM2 = state.fluxWPerM2 * Math.exp(heat * node);
      const base = baseTemperatureC({ ...state, ...sticks, fluxWPerM2 });
      chance +=
        ((NORMAL_FIVE.weights[k] as number) / STUCK_DRAWS) * normalCdf((base - behindK - burnCutoutC) / CUT_OUT_K);
    });
  }
  return chance;
}

/** Shares less than this are not worth a word, K. */
const LEAST_SHARE_K = 0.2;

/**
 * The base's temperature at the worst moment between lid on and working pressure, and what makes it so. A cause's share
 * is the temperature with all causes less that without it, the shares then scaled to add up to the rise over the liquid;
 * what a clean base in thin liquid rises by anyway is the heat's.
 *
 * @param plan what was done to the base and what lies on it
 * @param piece its pieces
 * @param charges what is stirred in
 * @param build heat and area
 * @param moments the pot on its way up, at least one
 * @example burnVerdict({ ...plan, deglaze: null }, pieceOf(plan.meat), chargesOf(plan), potBuild(DEFAULT_COOKER, DEFAULT_KITCHEN), [{ minute: 0, liquidC: 115.7, freeMl: 500 }]).level // 'likely'
 */
export function burnVerdict(
  plan: Pick<Plan, 'sear' | 'meat' | 'deglaze' | 'aromatics' | 'grains' | 'rack' | 'cooker'> &
    Partial<Pick<Plan, 'additions'>>,
  piece: Piece,
  charges: readonly Charge[],
  build: Pick<PotBuild, 'heaterW' | 'lidOnShare'>,
  moments: readonly BaseMoment[],
): BurnVerdict {
  const areaM2 = baseAreaM2(plan.cooker.baseDiameterCm);
  const starchG = charges
    .filter(({ stage }) => stage === 'load' || stage === 'deglaze' || stage === 'fried')
    .reduce((s, c) => s + c.starchG, 0);
  const sticking = stickingOf(plan);
  const lying = lyingShare(plan, piece, areaM2);
  const stateAt = ({ liquidC, freeMl, watts = build.heaterW * build.lidOnShare }: BaseMoment): BaseState => ({
    liquidC,
    fluxWPerM2: watts / areaM2,
    freeMl: Math.max(0, freeMl),
    baseAreaM2: areaM2,
    starchG,
    sticking,
    lyingShare: lying,
    grainSettled: grainSettles(plan, freeMl),
  });
  const goalC = (moment: BaseMoment): number => baseTemperatureC(stateAt(moment));
  const worst = moments.reduce((most, moment) => (goalC(moment) > goalC(most) ? moment : most));
  const state = stateAt(worst);
  const baseC = baseTemperatureC(state);
  const cutoutC = plan.cooker.burnCutoutC;
  return {
    baseC,
    liquidC: state.liquidC,
    cutoutC,
    kind: plan.cooker.kind === 'stovetop' ? 'scorch' : 'cut-out',
    level: burnLevel(baseC, cutoutC),
    chance: burnChance(state, fondOf(plan), plan.cooker, behind(moments, worst, goalC)),
    minute: worst.minute,
    freeMl: state.freeMl,
    sticking,
    causes: causesOf(state, baseC),
  };
}

/**
 * What makes a base hot: each cause's share of its rise over the liquid, the largest first; they add up to it.
 *
 * @param state heat in W/m², liquid in ml, area in m²
 * @param baseC its temperature, from {@link baseTemperatureC}
 */
export function causesOf(state: BaseState, baseC: number): BurnCause[] {
  const ids = Object.keys(WITHOUT) as Exclude<BurnCauseId, 'heat'>[];
  const bare = baseTemperatureC(ids.reduce((left, id) => WITHOUT[id](left), state)) - state.liquidC;
  const raw = ids.map((cause) => ({ cause, kelvin: Math.max(0, baseC - baseTemperatureC(WITHOUT[cause](state))) }));
  const sum = raw.reduce((total, { kelvin }) => total + kelvin, 0);
  const extra = baseC - state.liquidC - bare;
  // At the ceiling, or where two causes each would do alone, taking one away changes nothing: they share alike.
  const present = ids.filter((id) => WITHOUT[id](state) !== state && differs(WITHOUT[id](state), state));
  const shares =
    sum > 1e-9
      ? raw.map((c) => ({ ...c, kelvin: (c.kelvin / sum) * extra }))
      : present.map((cause) => ({ cause, kelvin: extra / present.length }));
  return [...shares.filter(({ kelvin }) => kelvin >= LEAST_SHARE_K), { cause: 'heat' as const, kelvin: bare }].sort(
    (a, b) => b.kelvin - a.kelvin,
  );
}

function differs(a: BaseState, b: BaseState): boolean {
  return (
    a.starchG !== b.starchG ||
    a.sticking !== b.sticking ||
    a.freeMl !== b.freeMl ||
    a.lyingShare !== b.lyingShare ||
    a.grainSettled !== b.grainSettled
  );
}
