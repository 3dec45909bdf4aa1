import type { Text } from '@hervir/language/message';
import type { MoveKind } from '../method/moves';
import type { SauceFigures } from '../stations/sauce';

/** A step of the finish, in the order it is done. */
export interface FinishStep {
  readonly id: string;
  readonly kind: MoveKind;
  readonly text: Text;
  readonly minutes: number;
  readonly handsOn: boolean;
}

/** The sauce, solved, with what is done to it. */
export interface Finish extends SauceFigures {
  readonly fishOut: readonly Text[];
  readonly steps: readonly FinishStep[];
  /** One line for the station's head. */
  readonly text: Text;
}
