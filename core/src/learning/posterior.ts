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

/** The logarithms of the factors that are weighed. */
const GRID: readonly number[] = Array.from({ length: POINTS }, (_, i) => -REACH + (2 * REACH * i) / (POINTS - 1));

/** What one cook says of a factor: its logarithm, or between which logarithms it lies. */
export type Evidence = { readonly at: number } | { readonly from: number; readonly to: number };

/**
 * What is known of a factor: how likely each of its values is, as logarithms. Evidence is added, and can be taken away
 * again, without reading what was added before.
 */
export interface Posterior {
  readonly kind: FactorKind;
  /** Log likelihood of all evidence, at each point of the grid. */
  readonly weights: readonly number[];
  /** Cooks it rests on. */
  readonly cooks: number;
}

/**
 * Nothing known yet but the tables.
 *
 * @example summary(unknown('heat')).factor // 1
 */
export function unknown(kind: FactorKind): Posterior {
  return { kind, weights: GRID.map(() => 0), cooks: 0 };
}

/** Density of Student's t, near enough: its constant does not matter but against the odd entry's. */
function studentT(distance: number, sd: number): number {
  const scaled = distance / sd;
  return (0.375 / sd) * (1 + (scaled * scaled) / T_DEGREES) ** (-(T_DEGREES + 1) / 2);
}

/** How likely the evidence is where the factor's logarithm is x. */
function likelihood(kind: FactorKind, evidence: Evidence, x: number): number {
  const sd = COOK_SD[kind];
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
 * @example summary(withEvidence(unknown('heat'), { at: Math.log(0.8) })).factor < 1 // true
 */
export function withEvidence(posterior: Posterior, evidence: Evidence, sign: 1 | -1 = 1): Posterior {
  const { kind, weights, cooks } = posterior;
  return {
    kind,
    weights: weights.map((weight, i) => weight + sign * Math.log(likelihood(kind, evidence, GRID[i] as number))),
    cooks: Math.max(0, cooks + sign),
  };
}

/** A factor in figures. */
export interface FactorSummary {
  /** Median. */
  readonly factor: number;
  /** From a tenth to nine tenths of what is likely. */
  readonly range: readonly [number, number];
  readonly cooks: number;
}

/**
 * A posterior in figures: the evidence on the prior.
 *
 * @example summary(unknown('prep')).cooks // 0
 */
export function summary({ kind, weights, cooks }: Posterior): FactorSummary {
  const sd = PRIOR_SD[kind];
  const logs = weights.map((weight, i) => weight - ((GRID[i] as number) / sd) ** 2 / 2);
  const most = Math.max(...logs);
  const densities = logs.map((log) => Math.exp(log - most));
  const total = densities.reduce((sum, density) => sum + density, 0);
  const quantile = (share: number): number => {
    let below = 0;
    for (let i = 0; i < POINTS; i += 1) {
      const density = densities[i] as number;
      if (below + density >= share * total) {
        // Within a cell the density is taken as even.
        const part = density > 0 ? (share * total - below) / density : 0.5;
        return Math.exp((GRID[i] as number) + (part - 0.5) * ((GRID[1] as number) - (GRID[0] as number)));
      }
      below += density;
    }
    return Math.exp(REACH);
  };
  return { factor: cooks === 0 ? 1 : quantile(0.5), range: [quantile(0.1), quantile(0.9)], cooks };
}
