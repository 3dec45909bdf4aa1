import type { Form } from '../larder/cuts';
import type { Piece } from '../meat/piece';
import type { Cooker, Sear, SearSchool } from '../plan/plan';
import { baseAreaM2 } from '../pot/cooker';

/** Most of the base that pieces may cover and still brown, and from where they steam. Common practice. */
const COVER_BEST = 0.55;
const COVER_STEAMS = 0.7;
/** A heater under this takes longer, by so much. Common practice. */
const WEAK_WATTS = 900;
const WEAK_FACTOR = 1.3;
/** A minute for the base to come back to heat between batches. Common practice. */
const RECOVERY_MINUTES = 1;

/** How many faces are laid on the base one after another. Common practice. */
const FACES: Readonly<Record<Form, number>> = {
  whole: 5,
  chunks: 4,
  'bite-size': 3,
  slices: 2,
  ribs: 4,
  rack: 2,
  pieces: 3,
};

/** Minutes for the first face and for each other one, the middle of what cooks say. Common practice. */
const SIDE_MINUTES: Readonly<Record<SearSchool, readonly [number, number]>> = {
  hard: [6, 3],
  quick: [2, 2],
  light: [4, 0],
  none: [0, 0],
};

/** The sear of a plan. */
export interface SearPlan {
  readonly batches: number;
  readonly perBatch: number;
  /** All batches and the recovery between them. */
  readonly minutes: number;
  readonly minutesPerBatch: number;
  /** Minutes of each face of a batch, in order. */
  readonly faces: readonly number[];
  /** Share of the base a full batch covers. */
  readonly coverage: number;
  readonly steams: boolean;
}

/**
 * Works out the batches and minutes of a sear: pieces may cover a little over half of the base; every batch takes its
 * faces in turn. Common practice.
 *
 * @param piece the pieces
 * @param sear school and place
 * @param cooker its base and power
 * @returns no batches where nothing is seared
 * @throws RangeError when the base has no area
 * @example searPlan(eightRibs, { school: 'hard', where: 'pot', order: 'meat-first' }, cooker22cm).batches // 2
 */
export function searPlan(piece: Piece, sear: Sear, cooker: Pick<Cooker, 'baseDiameterCm' | 'watts'>): SearPlan {
  if (sear.school === 'none') {
    return { batches: 0, perBatch: 0, minutes: 0, minutesPerBatch: 0, faces: [], coverage: 0, steams: false };
  }
  const base = baseAreaM2(cooker.baseDiameterCm) * 10_000;
  const face = piece.dimensionsCm[0] * piece.dimensionsCm[1];
  // A stirred batch is one batch however much it is: the pieces are not laid out.
  const perBatch =
    sear.school === 'light' ? piece.count : Math.min(piece.count, Math.max(1, Math.floor((COVER_BEST * base) / face)));
  const batches = Math.ceil(piece.count / perBatch);
  const coverage = (perBatch * face) / base;
  const factor = cooker.watts < WEAK_WATTS ? WEAK_FACTOR : 1;
  const [first, other] = SIDE_MINUTES[sear.school];
  const faces =
    other === 0
      ? [first * factor]
      : Array.from({ length: FACES[piece.form] }, (_, i) => (i === 0 ? first : other) * factor);
  const minutesPerBatch = faces.reduce((sum, minutes) => sum + minutes, 0);
  return {
    batches,
    perBatch,
    minutes: batches * minutesPerBatch + (batches - 1) * RECOVERY_MINUTES,
    minutesPerBatch,
    faces,
    coverage,
    steams: coverage > COVER_STEAMS,
  };
}
