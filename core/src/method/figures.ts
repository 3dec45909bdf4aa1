import type { PlannedStage, StageId, WarmWay } from '../plan/plan';
import type { Portion, PortionId } from '../plan/portions';
import type { SauceFigures } from '../stations/sauce';
import type { SearPlan } from '../stations/sear';

/** A stage after the first run, as the pot does it. */
export interface PlacedStage {
  readonly id: StageId;
  readonly kind: 'pressure' | 'simmer';
  readonly settings: PlannedStage;
  readonly minutes: number;
  readonly reheatMinutes: number;
  readonly releaseMinutes: number;
  /** Places in the list of cuts. */
  readonly meats: readonly number[];
  readonly liftedOut: readonly number[];
  readonly putIn: readonly number[];
}

/** A pot that was opened, and what has been done to it since. */
export interface Opened {
  /** Since it was last hot. */
  readonly minutes: number;
  readonly ladledMl: number;
  /** Left in, lifted out, or lifted out and back in. */
  readonly meat: 'in' | 'out' | 'back';
}

/** What the reckoning has found that the work depends on. */
export interface Figures {
  readonly portions: readonly Portion[];
  /** Of each cut that is in from the start: its place in the list of cuts, and its sear. */
  readonly sears: readonly { readonly cut: number; readonly sear: SearPlan }[];
  readonly preheat: number;
  readonly toPin: number;
  readonly toTimer: number;
  readonly pressure: number;
  readonly release: number;
  readonly later: readonly PlacedStage[];
  /** What goes into a simmer when it is under way: minutes before its end. */
  readonly beforeEnd: ReadonlyMap<PortionId, number>;
  readonly sauce: SauceFigures;
  /** Minutes for the pot to boil again before its sauce reduces. */
  readonly boilsAgain: (opened: Opened) => number;
  /** Where it is cooked ahead, how it is cooled and warmed. */
  readonly nextDay: {
    readonly bathMinutes: number;
    readonly iceKg: number;
    readonly cooling: { readonly minutesTo21: number; readonly minutesTo5: number };
    readonly cutFirst: boolean;
    readonly warmed: { readonly way: WarmWay; readonly minutes: number; readonly pressureMinutes: number | null };
  } | null;
  /** Cuts that are in the pot when the last stage is over. */
  readonly meatsInPot: readonly number[];
}
