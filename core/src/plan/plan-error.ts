/** A plan that cannot be reckoned, and which of its fields says so. The contract turns it into a fault with its path. */
export class PlanError extends RangeError {
  /**
   * @param path of the field, for instance `meat.thicknessCm`
   * @param problem what is wrong with it
   * @param allowed what would do
   */
  constructor(
    readonly path: string,
    readonly problem: string,
    readonly allowed: string,
  ) {
    super(`${path}: ${problem}; allowed: ${allowed}`);
    this.name = 'PlanError';
  }
}
