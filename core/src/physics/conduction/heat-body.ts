/** A body that heat goes into, whatever way it is solved. The pot and the cook value need no more of it than this. */
export interface HeatBody {
  readonly nodeCount: number;
  /** Volume weight of each node of {@link field}; they add up to one. */
  readonly nodeWeights: Float64Array;
  /** Heat it holds, as the mean temperature that much heat would be in the thawed body, K (0 at 0 °C). */
  heatK(): number;
  /** Temperature of the very middle, °C. */
  coreC(): number;
  /** Temperatures at the nodes, °C. */
  field(out: Float64Array): Float64Array;
  /** How {@link heatK} would change over a step in still surroundings, and how much more for every K/s they rise. */
  meanResponse(seconds: number, surroundingsC: number): { steady: number; perRamp: number };
  /** Rate at which heat crosses the surface, from the temperatures at the faces, K/s of {@link heatK}. */
  surfaceRate(surroundingsC: number): number;
  /** Steps it while its surroundings go in a straight line. */
  advance(seconds: number, fromC: number, toC: number): void;
  clone(): HeatBody;
  /** The same temperatures in surroundings of another surface coefficient, W/m² K. */
  withSurface(surface: number): HeatBody;
  /** Longest step that keeps its coupling to a pot true, s. */
  readonly longestStep: number;
}
