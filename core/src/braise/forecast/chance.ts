/** Chance of being short of the target, at it, and past it. Adds up to one. */
export interface Chance {
  readonly short: number;
  readonly at: number;
  readonly past: number;
}
