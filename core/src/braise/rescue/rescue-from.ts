import type { Text } from '@hervir/language/message';
import type { AsCooked } from '../forecast/as-cooked';
import type { Forecast } from '../forecast/forecast-document';
import type { AdditionalMinutes } from '../guide/additional-minutes';

/** The figures of the cook that is running. */
export interface AtThePot {
  /** The meat and the pot as they are; null while the lid has not been on. */
  readonly meat: AsCooked | null;
  /** Under pressure so far, minutes. */
  readonly underPressure: number;
  /** Of the pressure run, still to go, minutes. */
  readonly toGo: number;
  /** Since the lid went on, minutes; null while it has not. */
  readonly sinceLid: number | null;
  /** What the check found, and how much longer for it; null where it is not known or there already. */
  readonly more: AdditionalMinutes | null;
}

/** What one page needs to know. */
export interface RescueFrom {
  readonly f: Forecast | null;
  readonly cook: AtThePot | null;
}

/** Steps first, reasons after. */
export interface RescueText {
  readonly steps: readonly Text[];
  readonly why: readonly Text[];
}
