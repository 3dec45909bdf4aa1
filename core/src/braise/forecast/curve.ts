import type { Phase } from '../../pot/pot-model';

/** One point of the pot's history, on the plan's own clock. */
export interface CurvePoint {
  /** From the start of the work. */
  readonly minute: number;
  readonly liquidC: number;
  /** Middle of a piece, °C; null while the meat is not in the locked pot. */
  readonly coreC: number | null;
  readonly gaugeKPa: number;
  readonly phase: Phase | 'rest';
  /** Mean share of collagen melted so far, with a tenth and nine tenths of animals either side. */
  readonly melted: number | null;
  readonly meltedRange: readonly [number, number] | null;
}
