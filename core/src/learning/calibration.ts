import type { LearntFactors, Learned, Plan } from '../plan/plan';
import { listedSpread } from '../plan/calibration';
import { spreadLearnt, type FactorKind, type Scatter } from './posterior';

/** Something learnt, under the name it is kept by. */
export interface CalibrationRow {
  readonly kind: FactorKind;
  /** The cooker's name, the cut's id; empty for the cook's own speed at the board. */
  readonly of: string;
  readonly factor: number;
  readonly cooks: number;
  readonly scatter: Scatter;
  /** Switched off by the cook: kept, and not used. */
  readonly off: boolean;
  readonly short: number;
  readonly past: number;
}

/** What everything in a kitchen has taught. */
export interface Calibration {
  readonly rows: readonly CalibrationRow[];
}

/** What a factor belongs to in a plan. */
export function subjectOf(kind: FactorKind, plan: Pick<Plan, 'cooker' | 'meat'>): string {
  switch (kind) {
    case 'heat':
    case 'losses':
    case 'sear':
      return plan.cooker.name;
    case 'toughness':
      return plan.meat.cut;
    case 'prep':
      return '';
  }
}

/** A difference of less is not worth using, nor a word. */
const WORTH = 0.01;
const thousandths = (value: number): number => Math.round(value * 1000) / 1000;

/**
 * The plan with what this kitchen has taught of its cooker and its cut.
 *
 * @param plan by the tables
 * @param learnt everything learnt
 * @returns the same plan where nothing was
 * @example withCalibration(plan, { rows: [] }).learnt // undefined
 */
export function withCalibration(plan: Plan, { rows }: Calibration): Plan {
  const factors: LearntFactors = {};
  for (const { kind, of, factor, cooks, scatter, off, short, past } of rows) {
    if (off || of !== subjectOf(kind, plan) || cooks === 0) continue;
    const learned: Learned = {
      factor: Math.abs(factor - 1) < WORTH ? 1 : thousandths(factor),
      cooks,
      spread: thousandths(spreadLearnt(listedSpread(kind, plan.cooker), scatter)),
    };
    factors[kind] = kind === 'toughness' ? { ...learned, short, past } : learned;
  }
  return Object.keys(factors).length === 0 ? { ...plan, learnt: undefined } : { ...plan, learnt: factors };
}
