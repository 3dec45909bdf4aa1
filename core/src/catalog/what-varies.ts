/**
 * What varies from one evening to the next, in one list: every figure of odds is reckoned from it. Spreads are standard
 * deviations of the logarithm, near enough coefficients of variation; waits are even between two ends, in minutes.
 */
export interface Spread {
  /** Before anything is known of this kitchen. */
  readonly cv: number;
  /** What is left of it however much the log has taught: another animal, a colder stock, a busier evening. */
  readonly steady: number;
}

/** Figures of the trade and of kitchens: common practice, from memory; what narrows each is what its cooks teach. */
export const VARIES = {
  /** Of the animal; narrowed by cooks of this cut. */
  toughness: { cv: 0.2, steady: 0.17 },
  /** Of a piece as measured; narrowed by a measurement that stands in the plan. */
  thickness: { cv: 0.08, steady: 0.08 },
  /** Heat that reaches an electric pot; narrowed by this cooker's cooks. */
  heatElectric: { cv: 0.07, steady: 0.04 },
  /** Heat that reaches a pot on a burner, which is turned by hand. */
  heatStovetop: { cv: 0.15, steady: 0.08 },
  /** Losses with the lid on; narrowed by this cooker's releases. */
  losses: { cv: 0.15, steady: 0.08 },
  /** Steam blown off before the pin, and the minutes it takes; narrowed by nothing that is logged apart from the heat. */
  purge: { cv: 0.3, steady: 0.3 },
  /** Minutes of a sear; narrowed by this cook's sears. */
  sear: { cv: 0.2, steady: 0.12 },
  /** Minutes at the board; narrowed by this cook's times. */
  board: { cv: 0.25, steady: 0.15 },
  /** Minutes of what hands do between: loading, skimming, stirring in. */
  hands: { cv: 0.25, steady: 0.25 },
  /** Size of a vegetable as it is cut. */
  vegetableSize: { cv: 0.15, steady: 0.15 },
  /** Its variety and age: where its window lies. */
  variety: { cv: 0.15, steady: 0.15 },
} as const satisfies Record<string, Spread>;

/**
 * Heat that reaches a pot, by what it stands on.
 *
 * @example heaterSpread('stovetop').cv // 0.15
 */
export const heaterSpread = (kind: 'electric' | 'stovetop'): Spread =>
  kind === 'electric' ? VARIES.heatElectric : VARIES.heatStovetop;

/** Hands come to the lid so many minutes after the pin has fallen, and to the plates so long before all sit: even between. */
export const WAITS = {
  lid: { from: 1, to: 4 },
  aspectRatio: { from: 2, to: 6 },
  /** A vegetable lies so long in its pot until it is lifted out. */
  lift: { from: 1, to: 5 },
  /** Grain that is eaten from the pot stands in it so long after the last lid. */
  stand: { from: 8, to: 20 },
} as const;

/** Of a fond that was scraped up, so much stays stuck at the most; skewed to none, by the square of an even draw. */
export const STUCK_AT_MOST = 0.3;
/** A cooker cuts out so far from what its owner knows, standard deviation, K. */
export const CUT_OUT_K = 2.5;

/** A cook who is late at one step is a little later at the next: correlation. Common practice. */
export const LATE_TOGETHER = 0.3;

/**
 * The spread that is left after so many logged cooks: what repeats from cook to cook is learnt, the rest is not.
 *
 * @param spread of the list
 * @param cooks logged, of the cooker, the cut or the cook it belongs to
 * @example spreadAfter({ cv: 0.2, steady: 0.1 }, 0) // 0.2
 */
export function spreadAfter({ cv, steady }: Spread, cooks: number): number {
  return Math.sqrt(steady ** 2 + (cv ** 2 - steady ** 2) / (1 + cooks));
}
