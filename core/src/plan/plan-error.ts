import type { Text } from '@hervir/language/message';
/** For who reads a log: which message it is. */
const asCode = (text: Text): string => (typeof text === 'string' ? text : JSON.stringify(text));

/** A plan that cannot be reckoned, and which of its fields says so. The contract turns it into a fault with its path. */
export class PlanError extends RangeError {
  /**
   * @param path of the field, for instance `meat.thicknessCm`
   * @param problem what is wrong with it
   * @param allowed what would do
   */
  constructor(
    readonly path: string,
    readonly problem: Text,
    readonly allowed: Text,
  ) {
    super(`${path}: ${asCode(problem)}; allowed: ${asCode(allowed)}`);
    this.name = 'PlanError';
  }
}
