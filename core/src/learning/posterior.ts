import type { Spread } from '../catalog/what-varies';
import { normalCdf } from '../physics/normal';

/** What can be learnt: each a factor on a figure of the tables. */
export const FACTORS = ['heat', 'losses', 'sear', 'toughness', 'prep'] as const;
export type FactorKind = (typeof FACTORS)[number];

/** How far a kitchen is from the tables before anything is known: standard deviation of the logarithm. From memory. */
const PRIOR_SD: Readonly<Record<FactorKind, number>> = {
  heat: 0.15,
  losses: 0.25,
  sear: 0.2,
  toughness: 0.22,
  prep: 0.23,
};
/** How far one cook is from its kitchen's own figure: a pin pressed late, a colder stock, another animal. From memory. */
const COOK_SD: Readonly<Record<FactorKind, number>> = {
  heat: 0.07,
  losses: 0.12,
  sear: 0.18,
  toughness: 0.22,
  prep: 0.2,
};
/** Of so many entries one is simply wrong, and says nothing. From memory. */
const ODD = 0.06;
/** Factors are looked for between these, by logarithm, at so many points. */
const REACH = 0.95;
const POINTS = 115;
/** Tails of Student's t: an entry that is somewhat off pulls less than its distance. */
const T_DEGREES = 4;
/** Of normal variables, the t that lies nearest has so much of their deviation for its scale: its likelihood is greatest there. */
const T_SCALE = 0.8;

/** The logarithms of the factors that are weighed. */
const GRID: readonly number[] = Array.from({ length: POINTS }, (_, i) => -REACH + (2 * REACH * i) / (POINTS - 1));
/** How far one cook may be from the next, standard deviation of the logarithm: the spreads that are weighed. */
const SDS = [0.035, 0.06, 0.1, 0.17, 0.29] as const;
/** How sure the list is of such a spread before a kitchen's own cooks speak: standard deviation of its logarithm. From memory. */
const SD_OPEN = 0.4;

/** What one cook says of a factor: its logarithm, or between which logarithms it lies. */
export type Evidence = { readonly at: number } | { readonly from: number; readonly to: number };

/**
 * What is known of a factor: how likely each of its values is, as logarithms, with each spread from cook to cook. Evidence is
 * added, and can be taken away again, without reading what was added before.
 */
export interface Posterior {
  readonly kind: FactorKind;
  /** Log likelihood of all evidence: for each spread, at each point of the grid. */
  readonly weights: readonly number[];
  /** Cooks it rests on. */
  readonly cooks: number;
}

/** How many weights a posterior has; and how many it had while only the factor was learnt, not how far cooks lie apart. */
export const WEIGHTS = { now: POINTS * SDS.length, ofTheFactorAlone: POINTS };

/** Whether these are weights, of now or of before. */
export const areWeights = (weights: readonly number[]): boolean =>
  [WEIGHTS.now, WEIGHTS.ofTheFactorAlone].includes(weights.length) && weights.every(Number.isFinite);

/**
 * Weights of before say the same whatever the spread: they knew one only.
 *
 * @throws RangeError where they are none
 */
function wholeWeights(weights: readonly number[]): readonly number[] {
  if (!areWeights(weights)) throw new RangeError(`${weights.length} weights cannot be read`);
  return weights.length === WEIGHTS.now ? weights : SDS.flatMap(() => weights);
}

/**
 * Nothing known yet but the tables.
 *
 * @example summary(unknown('heat')).factor // 1
 */
export function unknown(kind: FactorKind): Posterior {
  return { kind, weights: Array.from({ length: WEIGHTS.now }, () => 0), cooks: 0 };
}

/** Density of Student's t, near enough: its constant does not matter but against the odd entry's. */
function studentT(distance: number, sd: number): number {
  const scale = T_SCALE * sd;
  const scaled = distance / scale;
  return (0.375 / scale) * (1 + (scaled * scaled) / T_DEGREES) ** (-(T_DEGREES + 1) / 2);
}

/** How likely the evidence is where the factor's logarithm is x and cooks lie so far apart. */
function likelihood(evidence: Evidence, x: number, sd: number): number {
  if ('at' in evidence) return (1 - ODD) * studentT(evidence.at - x, sd) + ODD / (2 * REACH);
  const inside = normalCdf((evidence.to - x) / sd) - normalCdf((evidence.from - x) / sd);
  // A wrong grade may be any of six.
  return (1 - ODD) * inside + ODD / 6;
}

/**
 * Adds what a cook says, or takes it away again.
 *
 * @param posterior what was known
 * @param evidence of one cook
 * @param sign 1 to add, -1 to take away
 * @returns what is known now
 * @throws RangeError where what was known cannot be read
 * @example summary(withEvidence(unknown('heat'), { at: Math.log(0.8) })).factor < 1 // true
 */
export function withEvidence(posterior: Posterior, evidence: Evidence, sign: 1 | -1 = 1): Posterior {
  const { kind, weights, cooks } = posterior;
  return {
    kind,
    weights: wholeWeights(weights).map((weight, i) => {
      const [x, sd] = [GRID[i % POINTS] as number, SDS[Math.floor(i / POINTS)] as number];
      return weight + sign * Math.log(likelihood(evidence, x, sd));
    }),
    cooks: Math.max(0, cooks + sign),
  };
}

/** How far one cook is from the next, as the log knows it. */
export interface Scatter {
  /** Log likelihood of each spread that is weighed. */
  readonly likely: readonly number[];
  /** What is still open of where the kitchen's own figure lies: share of the variance that was open before. */
  readonly open: number;
}

/** A factor in figures. */
export interface FactorSummary {
  /** Median. */
  readonly factor: number;
  /** From a tenth to nine tenths of what is likely. */
  readonly range: readonly [number, number];
  readonly cooks: number;
  /** How far one cook is from the next: standard deviation of the logarithm. */
  readonly apart: number;
  readonly scatter: Scatter;
}

/** Logarithms as shares of one, and the logarithm of their sum. */
function normalised(logs: readonly number[]): { readonly shares: readonly number[]; readonly sum: number } {
  const most = Math.max(...logs);
  const shares = logs.map((log) => Math.exp(log - most));
  const total = shares.reduce((sum, share) => sum + share, 0);
  return { shares: shares.map((share) => share / total), sum: most + Math.log(total) };
}

/** The root of the mean square, where each spread is so likely. */
const meanSpread = (shares: readonly number[]): number =>
  Math.sqrt(shares.reduce((sum, share, s) => sum + share * (SDS[s] as number) ** 2, 0));

/** Before a cook has spoken: logarithm, of a spread that is usually so much. */
const priorOf = (sd: number, usual: number): number => -((Math.log(sd / usual) / SD_OPEN) ** 2) / 2;

/**
 * A posterior in figures: the evidence on the prior.
 *
 * @throws RangeError where its weights cannot be read
 * @example summary(unknown('prep')).cooks // 0
 */
export function summary({ kind, weights, cooks }: Posterior): FactorSummary {
  const whole = wholeWeights(weights);
  const bySpread = SDS.map((_, s) =>
    normalised(GRID.map((x, i) => (whole[s * POINTS + i] as number) - (x / PRIOR_SD[kind]) ** 2 / 2)),
  );
  const likely = bySpread.map(({ sum }) => sum);
  const spreads = normalised(likely.map((log, s) => log + priorOf(SDS[s] as number, COOK_SD[kind]))).shares;
  const densities = GRID.map((_, i) =>
    bySpread.reduce((sum, { shares }, s) => sum + (spreads[s] as number) * (shares[i] as number), 0),
  );
  const quantile = (share: number): number => {
    let below = 0;
    for (let i = 0; i < POINTS; i += 1) {
      const density = densities[i] as number;
      if (below + density >= share) {
        // Within a cell the density is taken as even.
        const part = density > 0 ? (share - below) / density : 0.5;
        return Math.exp((GRID[i] as number) + (part - 0.5) * ((GRID[1] as number) - (GRID[0] as number)));
      }
      below += density;
    }
    return Math.exp(REACH);
  };
  const mean = GRID.reduce((sum, x, i) => sum + x * (densities[i] as number), 0);
  const variance = GRID.reduce((sum, x, i) => sum + (x - mean) ** 2 * (densities[i] as number), 0);
  return {
    factor: cooks === 0 ? 1 : quantile(0.5),
    range: [quantile(0.1), quantile(0.9)],
    cooks,
    apart: meanSpread(spreads),
    scatter: { likely, open: Math.min(1, variance / PRIOR_SD[kind] ** 2) },
  };
}

/**
 * How far the next cook will be from what was learnt: what is still open of the kitchen's own figure, and what its cooks have
 * shown of how far one is from the next. A cook whose sear always takes the same has a narrow one.
 *
 * @param list the spread before anything is known, from the list of what varies
 * @param scatter what the log knows
 * @returns standard deviation of the logarithm
 * @example Math.round(10 * spreadLearnt(VARIES.sear, summary(unknown('sear')).scatter)) // 2
 */
export function spreadLearnt({ cv, steady }: Spread, { likely, open }: Scatter): number {
  // The list's figure is the root of the mean square, which lies above the middle.
  const usual = steady * Math.exp(-(SD_OPEN ** 2));
  const { shares } = normalised(likely.map((log, s) => log + priorOf(SDS[s] as number, usual)));
  return Math.hypot(Math.sqrt((cv ** 2 - steady ** 2) * open), meanSpread(shares));
}
