import type { CookerCommand, Frame, Refusal } from '@hervir/core';
import type { Observable } from 'rxjs';

/**
 * The port to a cooker: telemetry comes out, commands go in. The simulated cooker is one end of it; a real one could be
 * another, and nothing else of Hervir would know.
 */
export interface CookerLink {
  /**
   * Telemetry in order, without a gap.
   *
   * @param after the number of the last frame that was seen, where a connection was dropped; all since then come first
   */
  telemetry(after: number | null): Observable<readonly Frame[]>;
  /** Tells the cooker to do something; answers why it does not, or null. */
  send(command: CookerCommand): Refusal;
}
