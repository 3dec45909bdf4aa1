import type { StageId } from '../../plan/plan';
import type { BurnVerdict } from '../../pot/base-temperature';
import type { Contents } from '../../pot/contents';
import type { Fill } from '../../pot/fill';

/** How the free liquid stands under a lid. */
export type LiquidLevel = 'ok' | 'short' | 'dry';

/** What a lid is judged by: how full, how wet, how hot the base. */
export interface Lid {
  /** "start" for the first. */
  readonly stage: StageId;
  /** Runs are counted from one. */
  readonly run: number;
  readonly fill: Fill & { readonly level: 'ok' | 'over' };
  readonly contents: Contents;
  readonly liquid: {
    readonly atLockMl: number;
    readonly minimumMl: number;
    /** Until the pin falls; below nothing where what drinks in it goes short. */
    readonly lowestMl: number;
    /** What is missing for grain, pulses and noodles to be done, ml. */
    readonly missingMl: number;
    readonly level: LiquidLevel;
  };
  readonly base: BurnVerdict;
}
