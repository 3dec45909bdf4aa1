import { cutById } from '../catalog/cuts';
import { facesOfBox } from '../physics/square-box';
import type { Meat, ThawWay } from '../plan/plan';
import { pieceOf, type Piece } from './piece';
import { pieceBody, START_C } from './piece-body';

/**
 * What meat thaws in: °C, and the heat that comes to its wrapping, W/m² K. Still air of a fridge, with what it radiates;
 * cold water that is changed every half hour. Common practice; from memory.
 */
const AROUND: Readonly<Record<ThawWay, { readonly celsius: number; readonly surface: number }>> = {
  fridge: { celsius: 4, surface: 8 },
  'cold-water': { celsius: 12, surface: 200 },
};

/** Without ice, °C. */
const NO_ICE_C = -1;
const STEP_S = 300;
/** Nothing that is braised takes longer, minutes. */
const LONGEST = 8 * 1440;

/** Plans are reckoned at every move of a handle, and a block in the freezer does not change by it. */
const known = new Map<string, number>();
const MOST_KNOWN = 50;

/** Stock is kept in a tub so deep, cm. Common practice. */
const TUB_CM = 8;

/**
 * How long a tub of stock takes in the fridge until no ice is left in it: nearly all of it is ice.
 *
 * @param ml of it
 * @returns minutes
 * Accuracy: a litre a day to a day and a half in the fridge (common practice).
 * @example thawStockMinutes(0) // 0
 */
export function thawStockMinutes(ml: number): number {
  if (ml <= 0) return 0;
  const { celsius, surface } = AROUND.fridge;
  const depth = Math.min(TUB_CM, Math.cbrt(ml));
  const faces = facesOfBox(ml, depth);
  // All its ice, by the heat that comes to its faces: within it ice conducts well.
  const joules = ml * ICE_J_PER_ML;
  return joules / (surface * (faces / 10_000) * (celsius - STOCK_MELTS_C)) / 60;
}

/** Salt and gelatine in it melt it a little under nothing, °C. From memory. */
const STOCK_MELTS_C = -2;
/** Of the freezer's cold and the melting, J/ml. Handbook values; from memory. */
const ICE_J_PER_ML = 334 + 18 * 2.1;

/** How it lies in the freezer: as it was bought, in one block; bones that grow singly lie apart. */
function frozenPiece(meat: Meat): Piece {
  const cut = cutById(meat.cut);
  if (cut.growth === 'pieces' || !cut.forms.includes('whole')) return pieceOf(meat);
  return pieceOf({ ...meat, form: 'whole', pieces: undefined, thicknessCm: undefined });
}

/**
 * A block from the freezer until no ice is left in its middle.
 *
 * @param meat of which it is, for its composition
 * @param block its shape
 * @param way in the fridge, or in cold water
 * @returns minutes; eight days at most
 * @throws RangeError when the block is larger than a metre
 * @example thawsIn(kiloOfChuck, pieceOf(kiloOfChuck), 'fridge') > thawsIn(kiloOfChuck, pieceOf(kiloOfChuck), 'cold-water') // true
 */
export function thawsIn(meat: Meat, block: Piece, way: ThawWay): number {
  const { celsius, surface } = AROUND[way];
  const body = pieceBody(meat, block, START_C.frozen).withSurface(surface);
  let minutes = 0;
  while (body.coreC < NO_ICE_C && minutes < LONGEST) {
    body.advance(STEP_S, celsius, celsius);
    minutes += STEP_S / 60;
  }
  return minutes;
}

/**
 * How long a piece takes from the freezer until no ice is left in its middle, by the same conduction as in the pot.
 *
 * @param meat its cut, weight and form
 * @param way in the fridge, or in cold water
 * @returns minutes
 * @throws PlanError as its piece does
 * Accuracy: in the fridge within two fifths of published guidance, a day for each 1.8 to 2.3 kg; in cold water longer than the
 * two to three hours it gives a package of 1.5 kg, which is flatter than a lump (USDA FSIS, The Big Thaw; from memory). Within
 * three tenths of Plank's equation: a test.
 * @example thawMinutes(kiloOfChuck, 'fridge') > thawMinutes(kiloOfChuck, 'cold-water') // true
 */
export function thawMinutes(meat: Meat, way: ThawWay): number {
  const piece = frozenPiece(meat);
  const key = [meat.cut, way, ...piece.dimensionsCm].join(' ');
  const before = known.get(key);
  if (before !== undefined) return before;
  const minutes = thawsIn(meat, piece, way);
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(key, minutes);
  return minutes;
}
