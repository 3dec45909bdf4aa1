import { VARIES } from '../catalog/what-varies';
import { tabulatedExp } from '../physics/tabulated-exp';
import type { Target } from '../plan/plan';

/**
 * Rate of melting collagen at 100 °C for toughness 1, per minute: half is melted after 43 minutes. Fitted to practice
 * (common practice, no published source).
 */
export const COLLAGEN_RATE = 0.0161;
/** Toughness between animals: log-normal, coefficient of variation. */
export const TOUGHNESS_CV = VARIES.toughness.cv;
/** How badly a thickness is measured: coefficient of variation. */
export const THICKNESS_CV = VARIES.thickness.cv;

/** What a cook finds, from raw to shreds; used by the forecast, the check at the pot and the log. */
export const GRADES = ['chewy', 'firm', 'slices', 'fork', 'pulls', 'threads'] as const;
export type Grade = (typeof GRADES)[number];

/** Share of collagen melted at which each grade begins. Common practice. */
export const GRADE_FROM: Readonly<Record<Grade, number>> = {
  chewy: 0,
  firm: 0.55,
  slices: 0.65,
  fork: 0.74,
  pulls: 0.82,
  threads: 0.94,
};

/**
 * Share melted from which a target is met, and from which it is overshot: sliced meat crumbles, the others dry out; meat
 * that is meant for shreds is stirred into its sauce, and hardly ever too soft. Common practice.
 */
export const TARGET_BAND: Readonly<Record<Target, readonly [number, number]>> = {
  slices: [GRADE_FROM.slices, 0.85],
  fork: [GRADE_FROM.fork, GRADE_FROM.threads],
  pulls: [GRADE_FROM.pulls, GRADE_FROM.threads],
  shreds: [0.88, 0.985],
};

/** The grades that meet a target. Common practice. */
const MEETS: Readonly<Record<Target, readonly [Grade, ...Grade[]]>> = {
  slices: ['slices', 'fork'],
  fork: ['fork', 'pulls'],
  pulls: ['pulls'],
  shreds: ['pulls', 'threads'],
};

/**
 * The grade a target asks for at the least.
 *
 * @example leastGrade('shreds') // 'pulls'
 */
export function leastGrade(wanted: Target): Grade {
  return MEETS[wanted][0];
}

/**
 * How a grade stands to what was wanted.
 *
 * @example againstTarget('slices', 'fork') // 'short'
 */
export function againstTarget(grade: Grade, wanted: Target): 'short' | 'as-wanted' | 'past' {
  if (MEETS[wanted].includes(grade)) return 'as-wanted';
  return GRADES.indexOf(grade) < GRADES.indexOf(leastGrade(wanted)) ? 'short' : 'past';
}

/**
 * The cook value that melts a share of the collagen at one point: X = 1 - exp(-k C / toughness), the other way round.
 *
 * @param share 0 up to, but not, 1
 * @param toughness of the cut
 * @returns minutes at 100 °C
 * @example cookValueFor(0.74, 1) // 83.67
 */
export function cookValueFor(share: number, toughness: number): number {
  return (-Math.log1p(-share) * toughness) / COLLAGEN_RATE;
}

/**
 * The grade a cook would give a share of melted collagen.
 *
 * @example gradeOf(0.76) // 'fork'
 */
export function gradeOf(share: number): Grade {
  let reached: Grade = 'chewy';
  for (const grade of GRADES) if (share >= GRADE_FROM[grade]) reached = grade;
  return reached;
}

/** The cook value at each node of a piece, and how much of the piece each node stands for. */
export interface CookField {
  readonly cookValues: Float64Array;
  readonly weights: Float64Array;
}

/**
 * Volume mean of the collagen melted in a piece: X = 1 - exp(-k C / toughness) at each of its nodes.
 *
 * @param field cook values and weights of its nodes
 * @param toughness of the cut
 * @returns 0 to 1
 * @example meanMelted({ cookValues: Float64Array.of(43.05), weights: Float64Array.of(1) }, 1) // 0.5
 */
export function meanMelted(field: CookField, toughness: number): number {
  const rate = -COLLAGEN_RATE / toughness;
  let left = 0;
  for (let q = 0; q < field.weights.length; q += 1) {
    left += (field.weights[q] as number) * tabulatedExp(rate * (field.cookValues[q] as number));
  }
  return 1 - left;
}

/**
 * The toughness at which a piece cooked like this has just the wanted share melted: anything tougher falls short.
 * Newton's method on the logarithm of what is left, which is nearly straight in 1 over toughness.
 *
 * @param field cook values and weights of its nodes
 * @param share wanted, 0 to 1 exclusive
 * @param guess a toughness near the answer, if one is known
 * @returns toughness; 0 when nothing has cooked at all
 * Accuracy: 1e-6 of the toughness.
 * @example criticalToughness({ cookValues: Float64Array.of(83.67), weights: Float64Array.of(1) }, 0.74) // 1
 */
export function criticalToughness(field: CookField, share: number, guess = 1): number {
  const { cookValues, weights } = field;
  let mean = 0;
  for (let q = 0; q < weights.length; q += 1) mean += (weights[q] as number) * (cookValues[q] as number);
  if (!(mean > 0)) return 0;
  const wanted = Math.log1p(-share);
  // The convexity of ln(left) makes Newton from any side settle; a first step below the mean's own answer is safe.
  let rate = guess > 0 ? COLLAGEN_RATE / guess : -wanted / mean;
  for (let step = 0; step < 60; step += 1) {
    let left = 0;
    let slope = 0;
    for (let q = 0; q < weights.length; q += 1) {
      const c = cookValues[q] as number;
      const part = (weights[q] as number) * tabulatedExp(-rate * c);
      left += part;
      slope -= part * c;
    }
    // From a guess so far off that nothing is left, there is no slope to go by.
    const change = left > 0 && slope < 0 ? (Math.log(left) - wanted) / (slope / left) : rate;
    // Never past zero, and never a wild leap from a far guess.
    const next = Math.min(Math.max(rate - change, rate * 0.2), rate * 5);
    const done = Math.abs(next - rate) <= 1e-6 * rate;
    rate = next;
    if (done) break;
  }
  return COLLAGEN_RATE / rate;
}

/** So far from the table, by logarithm, that no animal is. */
const NO_ANIMAL = 9;

/**
 * What a grade says of an animal: between which toughnesses it must lie for a fork to find the meat so.
 *
 * @param field cook values of the piece when it was tried
 * @param usual the toughness it is told against
 * @param grade what the fork found
 * @returns logarithms of toughness over the usual; an open end is far away
 * @example toughnessBounds({ cookValues: Float64Array.of(83.67), weights: Float64Array.of(1) }, 1, 'fork').to.toFixed(2) // '0.00'
 */
export function toughnessBounds(
  field: CookField,
  usual: number,
  grade: Grade,
): { readonly from: number; readonly to: number } {
  const next = GRADES[GRADES.indexOf(grade) + 1];
  const log = (share: number): number => Math.log(criticalToughness(field, share) / usual);
  return {
    from: next === undefined ? -NO_ANIMAL : log(GRADE_FROM[next]),
    to: GRADE_FROM[grade] === 0 ? NO_ANIMAL : log(GRADE_FROM[grade]),
  };
}
