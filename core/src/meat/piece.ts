import { quantity, say } from '@hervir/language/message';
import { cutById, cutTitle, type Cut, type Form } from '../catalog/cuts';
import type { Meat } from '../plan/plan';
import { PlanError } from '../plan/plan-error';

/** Raw meat, kg/m³. Common practice. */
export const MEAT_DENSITY = 1060;

/** Thickness of cubes when nothing is said, cm. Common practice. */
const CHUNK_CM = 5;
const BITE_CM = 3;
/** A single rib cut from a rack is about this wide, cm. Common practice. */
const RIB_WIDTH_CM = 3;
/** A slice of a roast when nothing is said, cm. Common practice. */
const SLICE_CM = 2.5;
/** Less than this after trimming is not a braise. */
export const LEAST_GRAMS = 20;

/** The pieces that lie in the pot: all alike, each a brick. */
export interface Piece {
  readonly count: number;
  readonly form: Form;
  readonly shape: 'brick';
  /** Longest first, cm. */
  readonly dimensionsCm: readonly [number, number, number];
  /** Smallest dimension, cm. */
  readonly thicknessCm: number;
  readonly gramsEach: number;
  /** True where the cook measured it, or fixed the count. */
  readonly measured: boolean;
}

/** g of a brick of dimensions in cm. */
function brickGrams(length: number, width: number, thickness: number): number {
  return (length * width * thickness * MEAT_DENSITY) / 1000;
}

/**
 * How thick a cook cuts chunks or bites of a cut when nothing is said: never thicker than what they are cut from, so that
 * a breast gives flat ones.
 *
 * @returns cm
 * @example cubeCm(cutById('lamb-breast'), 'chunks') // 2.5
 */
export function cubeCm(cut: Cut, form: 'chunks' | 'bite-size'): number {
  const side = form === 'chunks' ? CHUNK_CM : BITE_CM;
  const deep = cut.growth === 'all' || cut.growth === 'long';
  return deep ? side : Math.min(side, cut.usualThicknessCm);
}

/** What one usual piece looks like in this form: dimensions in cm, and whether the whole weight is one piece. */
function usualPiece(cut: Cut, meat: Meat): { length: number; width: number; thickness: number; single: boolean } {
  switch (meat.form) {
    case 'chunks':
    case 'bite-size': {
      const side = meat.form === 'chunks' ? CHUNK_CM : BITE_CM;
      return { length: side, width: side, thickness: cubeCm(cut, meat.form), single: false };
    }
    case 'ribs':
      if (cut.growth === 'flat') {
        // A rack cut between the bones: each as long as the rack is wide.
        const width = cut.usualThicknessCm * cut.aspect[1];
        return { length: width, width: RIB_WIDTH_CM, thickness: cut.usualThicknessCm, single: false };
      }
      break;
    case 'slices':
      if (cut.growth !== 'pieces') {
        // Across a roast: each as wide and as deep as it is.
        const { usualThicknessCm: deep, aspect } = cut;
        return { length: deep * aspect[1], width: deep, thickness: Math.min(SLICE_CM, deep), single: false };
      }
      break;
    case 'whole':
    case 'rack':
    case 'pieces':
      break;
  }
  const { usualThicknessCm: usual, aspect } = cut;
  if (cut.growth === 'pieces') {
    // Taking the bone out makes each piece smaller by the bone's share, in every direction.
    const shrink = meat.boneIn || cut.boneShare === 0 ? 1 : Math.cbrt(1 - cut.boneShare);
    return {
      length: usual * aspect[0] * shrink,
      width: usual * aspect[1] * shrink,
      thickness: usual * shrink,
      single: false,
    };
  }
  const ratio = (meat.grams - meat.trimGrams) / 1000 / cut.usualKg;
  const growth: readonly [number, number, number] =
    cut.growth === 'all'
      ? [Math.cbrt(ratio), Math.cbrt(ratio), Math.cbrt(ratio)]
      : cut.growth === 'flat'
        ? [Math.sqrt(ratio), Math.sqrt(ratio), 1]
        : [ratio, 1, 1];
  return {
    length: usual * aspect[0] * growth[0],
    width: usual * aspect[1] * growth[1],
    thickness: usual * growth[2],
    single: true,
  };
}

/**
 * How a piece that weighs more than the usual one grows: length, width, thickness, as powers of its weight. A heavier rib
 * is a longer one; others keep their shape. Where the thickness is measured, the other two take it all. Common practice.
 */
function shareOf(form: Form, thicknessFixed: boolean): readonly [number, number, number] {
  if (form === 'ribs') return thicknessFixed ? [4 / 5, 1 / 5, 0] : [2 / 3, 1 / 6, 1 / 6];
  return thicknessFixed ? [1 / 2, 1 / 2, 0] : [1 / 3, 1 / 3, 1 / 3];
}

/**
 * From weight to shape: how many pieces of what size a cut makes. The weight is what is left after trimming. A usual
 * piece grows with weight as the cut says; a measured thickness fixes the smallest dimension; a given count fixes what
 * a piece weighs. Bone counts as part of the piece it is in.
 *
 * @param meat weights in g, thickness in cm
 * @returns pieces, all alike
 * @throws PlanError when nothing is left after trimming, the form is not one of the cut's, or the thickness is more than
 *   the piece can have
 * Accuracy: thickness of an unmeasured piece within about 15 % (common practice).
 * @example pieceOf({ ...kiloOfChuck, form: 'whole', grams: 1360 }).thicknessCm // 6.4
 */
// oxlint-disable-next-line max-lines-per-function -- its refusals first, then each measure from the one before it
export function pieceOf(meat: Meat): Piece {
  const cut = cutById(meat.cut);
  const grams = meat.grams - meat.trimGrams;
  if (!(grams >= LEAST_GRAMS)) {
    throw new PlanError(
      'meat.trimGrams',
      say('piece.leaves-g-of-meat', { grams: Math.round(grams) }),
      say('piece.from-to', {
        from: quantity('mass', 0),
        to: quantity('mass', Math.max(0, Math.floor(meat.grams - LEAST_GRAMS))),
      }),
    );
  }
  if (!cut.forms.includes(meat.form)) {
    throw new PlanError(
      'meat.form',
      say('piece.is-not-cooked-as', { cut: cutTitle(cut), form: meat.form }),
      cut.forms.join(', '),
    );
  }
  const usual = usualPiece(cut, meat);
  let { length, width, thickness } = usual;
  let count: number;
  if (usual.single) {
    count = meat.pieces ?? 1;
    thickness = meat.thicknessCm ?? thickness;
    // The other two keep the weight.
    const stretch = Math.sqrt(grams / count / brickGrams(length, width, thickness));
    length *= stretch;
    width *= stretch;
  } else {
    if (meat.thicknessCm !== undefined) {
      const scale = meat.thicknessCm / thickness;
      length *= scale;
      width *= scale;
      thickness = meat.thicknessCm;
    }
    const usualGrams = brickGrams(length, width, thickness);
    count = meat.pieces ?? Math.max(1, Math.round(grams / usualGrams));
    // Nobody counted them: they are as large as such pieces are, and what the rounding leaves changes no minute. Only less
    // than one of them is smaller.
    const ratio = meat.pieces === undefined ? Math.min(1, grams / usualGrams) : grams / count / usualGrams;
    const [along, across, deep] = shareOf(meat.form, meat.thicknessCm !== undefined);
    length *= ratio ** along;
    width *= ratio ** across;
    thickness *= ratio ** deep;
  }
  const most = largestThicknessCm(grams / count);
  const counted = usual.single || meat.pieces !== undefined || count === 1;
  if (meat.thicknessCm !== undefined && counted && meat.thicknessCm > most * 1.005) {
    throw new PlanError(
      'meat.thicknessCm',
      say('piece.cm-is-more-than-a', { thicknessCm: meat.thicknessCm, grams: Math.round(grams / count) }),
      say('piece.from-to', { from: quantity('length', 0.5), to: quantity('length', Math.floor(most * 10) / 10) }),
    );
  }
  const [a, b, c] = [length, width, thickness].sort((x, y) => y - x) as [number, number, number];
  return {
    count,
    form: meat.form,
    shape: 'brick',
    dimensionsCm: [a, b, c],
    thicknessCm: c,
    gramsEach: grams / count,
    measured: meat.thicknessCm !== undefined || meat.pieces !== undefined,
  };
}

/**
 * The most a piece's smallest dimension can be: the side of a cube of its weight.
 *
 * @param grams weight of one piece
 * @example largestThicknessCm(1060) // 10.000
 */
export function largestThicknessCm(grams: number): number {
  return Math.cbrt((grams * 1000) / MEAT_DENSITY);
}
