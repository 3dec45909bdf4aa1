import type { ApartStep, StageId, ThawWay, WarmWay } from '../plan/plan';
import type { PortionId } from '../plan/portions';

type Portions = { readonly portions: readonly PortionId[] };

/** How something is made ready before it goes into its bowl. */
export type ReadyHow = 'wash-and-cut' | 'wash' | 'pick-over' | 'rinse' | 'weigh-out';

/** Where something lies in the pot. */
export type Layer = 'under' | 'in' | 'stirred-in' | 'on-top' | 'levelled';

/** What becomes of the fat, the broth, the solids. */
export type Then = 'thrown' | 'kept' | 'poured-over' | 'put-back';

/**
 * One thing that is done: data, typed by its kind, without a word of any language. All that is planned is told, done and
 * reckoned by these. A new kind goes here, and the compiler names every place that has to know it.
 */
export type Move =
  // Days or hours before.
  | { readonly kind: 'salt-ahead'; readonly portion: PortionId; readonly minutes: number | null }
  | { readonly kind: 'marinate'; readonly portion: PortionId; readonly marinade: PortionId; readonly hours: number }
  | { readonly kind: 'thaw'; readonly portion: PortionId; readonly way: ThawWay }
  | { readonly kind: 'soak'; readonly portion: PortionId }
  // At the board.
  | ({ readonly kind: 'ready'; readonly how: ReadyHow; readonly board: 'vegetables' | 'meat' | 'none' } & Portions)
  | {
      readonly kind: 'unmarinate';
      readonly portion: PortionId;
      readonly marinade: PortionId;
      readonly then: 'thrown' | 'kept';
    }
  | { readonly kind: 'rinse' | 'cut' | 'dry' | 'wipe-ice' | 'salt'; readonly portion: PortionId }
  | { readonly kind: 'trim'; readonly portion: PortionId; readonly grams: number }
  | { readonly kind: 'rub'; readonly portion: PortionId; readonly rub: PortionId }
  // The pot hot, its lid off.
  | { readonly kind: 'heat' }
  | { readonly kind: 'wait-hot'; readonly fat: PortionId | null }
  | {
      readonly kind: 'sear';
      readonly portion: PortionId;
      readonly batch: number;
      readonly batches: number;
      readonly pieces: number;
      /** Counted from one. */
      readonly face: number;
      readonly faces: number;
      readonly stirred: boolean;
      readonly where: 'pot' | 'pan';
      /** Browned beside it, in the first batch. */
      readonly beside: readonly PortionId[];
    }
  | { readonly kind: 'recover' }
  | { readonly kind: 'cut-seared'; readonly portion: PortionId }
  | ({ readonly kind: 'fry'; readonly group: string; readonly setAside: boolean; readonly scrapes: boolean } & Portions)
  | { readonly kind: 'flour'; readonly portion: PortionId; readonly meat: PortionId }
  | { readonly kind: 'boil-marinade'; readonly marinade: PortionId }
  | { readonly kind: 'deglaze'; readonly portion: PortionId; readonly scraped: boolean }
  | { readonly kind: 'heat-off' }
  // Into the pot, and out of it.
  | { readonly kind: 'rack' }
  | ({ readonly kind: 'put'; readonly layer: Layer; readonly stage: StageId } & Portions)
  | ({ readonly kind: 'pour'; readonly stage: StageId } & Portions)
  | { readonly kind: 'lift'; readonly portions: readonly PortionId[]; readonly to: 'foil' | 'dish' }
  | ({ readonly kind: 'put-back' } & Portions)
  | { readonly kind: 'ladle'; readonly ml: number; readonly then: Then; readonly stage: StageId }
  // Under the lid. Runs are counted from one.
  | { readonly kind: 'lock'; readonly run: number }
  | { readonly kind: 'start'; readonly run: number; readonly minutes: number }
  | { readonly kind: 'lock-and-start'; readonly run: number; readonly minutes: number }
  | { readonly kind: 'come-up'; readonly run: number; readonly until: 'pin' | 'count' }
  | { readonly kind: 'hold'; readonly run: number }
  /** Left alone; `minutes` then the valve, or null until the pin falls by itself. */
  | { readonly kind: 'leave'; readonly run: number; readonly minutes: number | null }
  | { readonly kind: 'vent'; readonly run: number }
  | { readonly kind: 'pin-falls'; readonly run: number }
  | { readonly kind: 'open'; readonly run: number }
  | { readonly kind: 'try'; readonly portions: readonly PortionId[]; readonly run: number }
  | { readonly kind: 'clear' }
  /** The heat is gone; the lid stays shut until it is back and begun again. */
  | { readonly kind: 'without-power' }
  /** Opened where no pressure comes: gasket, rim, valve and liquid put right, locked, and begun again. */
  | { readonly kind: 'see-to' }
  // Open, over the heat.
  | { readonly kind: 'boil'; readonly stage: StageId }
  /** Going on, where something goes in and the heat stays on. */
  | {
      readonly kind: 'simmer';
      readonly stage: StageId;
      readonly heat: 'gentle' | 'hard';
      readonly goesOn?: boolean;
    }
  // The sauce.
  | ({ readonly kind: 'stir-down' } & Portions)
  | { readonly kind: 'fish-out'; readonly portions: readonly PortionId[]; readonly bones: boolean }
  | { readonly kind: 'skim'; readonly ml: number }
  | { readonly kind: 'strain'; readonly solids: Exclude<Then, 'poured-over'>; readonly portions: readonly PortionId[] }
  | { readonly kind: 'blend' }
  /** With the meat out of it, or in it on purpose. */
  /** From the boil on; coming to it is counted in its step. */
  | { readonly kind: 'reduce'; readonly minutes: number; readonly toMl: number; readonly meatIn: boolean }
  | { readonly kind: 'thicken'; readonly portion: PortionId; readonly grams: number; readonly waterMl: number }
  | ({ readonly kind: 'stir-in'; readonly cooked: boolean } & Portions)
  | ({ readonly kind: 'fold-in' } & Portions)
  | { readonly kind: 'rest'; readonly minutes: number }
  | { readonly kind: 'season' }
  | { readonly kind: 'pull' | 'slice'; readonly portions: readonly PortionId[] }
  | { readonly kind: 'crisp'; readonly portions: readonly PortionId[] }
  | {
      readonly kind: 'plate';
      readonly portions: readonly PortionId[];
      readonly from: 'plate' | 'pot';
      readonly brothMl: number;
    }
  // Cooked ahead: put away, and warmed on its day.
  | {
      readonly kind: 'put-away';
      readonly depthCm: number;
      /** Cut into slices first: whole, its middle stays warm for too long. */
      readonly cutFirst: boolean;
    }
  | { readonly kind: 'ice-bath'; readonly minutes: number; readonly iceKg: number }
  | { readonly kind: 'into-fridge'; readonly minutesTo21: number; readonly minutesTo5: number }
  | { readonly kind: 'lift-fat'; readonly ml: number }
  | { readonly kind: 'warm'; readonly way: WarmWay; readonly pressureMinutes: number | null }
  // Beside the main work.
  | {
      readonly kind: 'apart';
      readonly portion: PortionId;
      readonly step: ApartStep | 'swill';
      readonly swill: PortionId | null;
    }
  | ({ readonly kind: 'cook-apart' } & Portions)
  | { readonly kind: 'side'; readonly side: number; readonly task: number };

export type MoveKind = Move['kind'];
export type MoveOf<K extends MoveKind> = Extract<Move, { readonly kind: K }>;

/** The first move of a kind in a step; undefined where it has none. */
export function moveOf<K extends MoveKind>(moves: readonly Move[], kind: K): MoveOf<K> | undefined {
  return moves.find((move): move is MoveOf<K> => move.kind === kind);
}

/** The portions that a move takes, pours, lifts or works on. */
export function portionsIn(move: Move): readonly PortionId[] {
  const own = 'portions' in move ? move.portions : 'portion' in move ? [move.portion] : [];
  switch (move.kind) {
    case 'marinate':
    case 'unmarinate':
      return [...own, move.marinade];
    case 'boil-marinade':
      return [move.marinade];
    case 'rub':
      return [...own, move.rub];
    case 'flour':
      return [...own, move.meat];
    case 'wait-hot':
      return move.fat === null ? [] : [move.fat];
    case 'sear':
      return [...own, ...move.beside];
    case 'apart':
      return move.swill === null ? own : [...own, move.swill];
    default:
      return own;
  }
}
