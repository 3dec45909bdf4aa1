import { cutById, MEAT_COMPOSITION } from '../catalog/cuts';
import { ConductionBody } from '../physics/conduction/body';
import { ThawingBrick } from '../physics/conduction/thawing';
import { CookingBody, MODES, MODES_OF_MIDDLE } from '../physics/cooking-body';
import { foodProperties } from '../physics/food-properties';
import type { Meat, StartsFrom } from '../plan/plan';
import type { Piece } from './piece';

/** In steam or boiling liquid, W/m² K: the middle of 600 to 1000. Common practice. */
export const WET_SURFACE = 800;
/**
 * Properties are taken here, °C: on the way from the fridge to the pot, and where the method stays inside what the trade
 * measures on lean beef (0.45 to 0.52 W/m K; common practice).
 */
const PROPERTIES_AT_C = 40;
/** Ice melts between these, °C, and leaves this share of the water unfrozen. Common practice; from memory. */
const MELTS_FROM_C = -5;
const MELTS_TO_C = -1;
const FREEZABLE = 0.9;
/** Heat of melting of ice, J/kg (handbook value; from memory). */
const ICE_J_PER_KG = 334_000;
/** Frozen meat: heat capacity over thawed, and conductivity, W/m K. ASHRAE Handbook Refrigeration; from memory. */
const FROZEN_CAPACITY = 0.6;
const FROZEN_CONDUCTIVITY = 1.35;
/** Where the meat comes from, °C. Common practice. */
export const START_C: Readonly<Record<StartsFrom, number>> = { fridge: 5, room: 20, frozen: -18 };

interface BodyOptions {
  readonly stretch?: number;
  readonly middle?: boolean;
  readonly modes?: number;
}

/**
 * The pieces as the pot sees them: one brick's conduction, all pieces' heat.
 *
 * @param meat the cut, for its composition
 * @param piece its shape
 * @param startC temperature all through, °C; below -1 it starts frozen
 * @param options.stretch multiplies the thickness: for the odds over a badly measured piece
 * @param options.middle follows the middle with a finer solution, where its temperature is shown
 * @param options.modes a direction
 * @throws RangeError when the piece is larger than a metre
 * @example Math.round(pieceBody(kiloOfChuck, pieceOf(kiloOfChuck), 5).heatCapacityJPerK / 100) // 33
 */
export function pieceBody(
  meat: Meat,
  piece: Piece,
  startC: number,
  { stretch = 1, middle = false, modes = MODES }: BodyOptions = {},
): CookingBody {
  const composition = MEAT_COMPOSITION[cutById(meat.cut).richness];
  const { conductivity, diffusivity, heatCapacity } = foodProperties(composition, PROPERTIES_AT_C);
  const [length, width, thickness] = piece.dimensionsCm;
  // A thicker piece of the same weight is a smaller one the other ways.
  const other = 1 / Math.sqrt(stretch);
  const solid = {
    kind: 'brick',
    halfDimensions: [(length * other) / 200, (width * other) / 200, (thickness * stretch) / 200],
  } as const;
  const medium = { conductivity, diffusivity, surface: WET_SURFACE };
  const capacity = (piece.count * piece.gramsEach * heatCapacity) / 1000;
  if (startC < MELTS_TO_C) {
    const frozen = {
      ...medium,
      meltsFromC: MELTS_FROM_C,
      meltsToC: MELTS_TO_C,
      latentK: (composition.water * FREEZABLE * ICE_J_PER_KG) / heatCapacity,
      frozenCapacity: FROZEN_CAPACITY,
      frozenConductivity: FROZEN_CONDUCTIVITY,
    };
    return new CookingBody(new ThawingBrick(solid, frozen, startC), capacity, undefined, piece.count > 1);
  }
  const body = (size: number): ConductionBody => new ConductionBody(solid, medium, startC, size);
  return new CookingBody(body(modes), capacity, middle ? body(MODES_OF_MIDDLE) : undefined, piece.count > 1);
}
