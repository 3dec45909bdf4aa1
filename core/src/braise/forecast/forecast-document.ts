import type { Text } from '@hervir/language/message';
import type { AheadTask } from '../../clock/ahead';
import type { ReasonFact } from '../../words/reason-words';
import type { DatedSchedule } from '../../clock/schedule';
import type { Piece } from '../../meat/piece';
import type { Grade } from '../../meat/tenderness';
import type { Plan } from '../../plan/plan';
import type { CurvePoint } from './curve';
import type { Ledger } from '../../pot/ledger';
import type { SchoolAmount } from '../../pot/liquid-schools';
import type { AromaticStep } from '../../stations/aromatics';
import type { Leftovers } from '../../stations/leftovers';
import type { NextDayForecast } from './next-day';
import type { Yield } from '../../stations/plate';
import type { Portion, PortionId } from '../../plan/portions';
import type { Method as Moves } from '../../method/step';
import type { Whereabouts } from '../../method/whereabouts';
import type { Finish } from '../../words/finish';
import type { LidInWords } from './lid-remedies';
import type { SearPlan } from '../../stations/sear';
import type { Stage } from '../../stations/stages';
import type { Caution } from './cautions';
import type { Chance } from './chance';
import type { FillInWords } from './fill-remedies';
import type { Burn, Remedy } from './remedies';
import type { Saute } from './saute';

/** One cut, and what it is like when it is served. */
export interface CutForecast {
  readonly portion: PortionId;
  readonly cut: string;
  readonly name: Text;
  readonly mean: number;
  readonly grade: Grade;
  readonly chance: Chance;
  /** Its middle when it is lifted out or the last lid is off, °C. */
  readonly coreC: number;
  /** The least that its middle comes to with its rest: 63 °C and more is safe. */
  readonly safe: boolean;
  readonly minutesToSafe: number | null;
  /** Waits outside: how long, and its middle when it is served; null where it stays in. */
  readonly foil: { readonly minutes: number; readonly coreC: number } | null;
}

/** Why a figure is what it is, in numbers. */
export type Reason = ReasonFact & {
  /** Which figure: a path of the forecast, or a name of the sentence. */
  readonly figure: string;
  readonly text: Text;
};

/** What a plan leads to. Parts that are not reckoned yet are absent. */
export interface Forecast {
  readonly format: 'hervir/forecast';
  readonly version: 2;
  readonly plan: Plan;
  /** Everything with a weight or a volume, and where it ends. */
  readonly portions: readonly (Portion & { readonly ends: Whereabouts })[];
  /** All that is done, in order, from the first cut to the plate. */
  readonly method: Moves;
  /** Every time the lid is locked, each judged for itself. */
  readonly lids: readonly LidInWords[];
  /** Every cut, the plan's own first. */
  readonly meats: readonly CutForecast[];
  /** Vegetables and grains where they go: the plan's own places, and for `auto` the one that was found. */
  readonly placed: Pick<Plan, 'vegetables' | 'grains'>;
  readonly pressureMinutes: number;
  /** True where the cook's own minutes stand. */
  readonly ownMinutes: boolean;
  /** What Hervir would propose at the wanted confidence; null where even the longest run is not enough. */
  readonly proposedMinutes: number | null;
  /** What would be proposed by the tables alone; null where nothing was learnt of this cut. */
  readonly withoutLearnt: number | null;
  readonly pressureMinutesRange: readonly [number, number];
  readonly tenderness: {
    readonly mean: number;
    readonly core: number;
    readonly grade: Grade;
    readonly chance: Chance;
    readonly coreC: number;
    readonly cookValueMean: number;
    readonly cookValueCore: number;
    /** From lid on until the middle passed 63 °C; null when it did not. */
    readonly minutesToSafe: number | null;
    readonly byMinute: readonly ({ readonly minutes: number; readonly mean: number } & Chance)[];
  };
  readonly piece: Omit<Piece, 'form' | 'measured'>;
  readonly pot: {
    readonly workingC: number;
    readonly boilingC: number;
    readonly minutesToPin: number;
    readonly minutesToPressure: number;
    readonly releaseMinutes: number;
    readonly naturalReleaseMinutes: number;
    /** How much of the uppermost layer lies in the liquid when the lid goes on, by height: the rest waits for steam. */
    readonly topWet: number;
    readonly curve: readonly CurvePoint[];
  };
  readonly sear: SearPlan & {
    /** Of further cuts, with the portion they are of. */
    readonly others: readonly { readonly portion: PortionId; readonly sear: SearPlan }[];
    readonly preheatMinutes: number;
    readonly aromatics: readonly AromaticStep[];
  };
  readonly saute: Saute;
  readonly fill: FillInWords;
  readonly liquid: Ledger & {
    /** What to pour when it is under the minimum. */
    readonly remedy: Remedy | null;
    readonly schools: readonly SchoolAmount[];
  };
  readonly burn: Burn & { readonly run: 'first' | 'second' };
  /** Vegetables and grains by stage, in the order of the evening. */
  readonly stages: readonly Stage[];
  /** How often the lid comes off under pressure. */
  readonly openings: number;
  readonly allTexturesMet: boolean;
  /** The meat that waits outside: how long, and its middle when it is served; null where it stays in. */
  readonly foil: { readonly minutes: number; readonly coreC: number } | null;
  readonly finish: Finish & { readonly platingText: Text };
  readonly yield: Yield;
  readonly leftovers: Leftovers;
  /** Of the evening it is cooked: it ends on the table, or, where it is cooked ahead, in the fridge. */
  readonly clock: DatedSchedule;
  /** Where it is cooked ahead: how it is cooled, kept and warmed, and the clock of the day it is eaten. */
  readonly nextDay: NextDayForecast | null;
  /** What is to be done before the evening, the earliest first. */
  readonly ahead: readonly AheadTask[];
  readonly cautions: readonly Caution[];
  readonly reasons: readonly Reason[];
}
