import { cutById, type Form } from '../catalog/cuts';
import type { Piece } from '../meat/piece';
import type { Cooker, Meat, Plan, Sear, SearSchool } from '../plan/plan';
import { baseAreaM2 } from '../pot/cooker';
import { aromaticSteps } from './aromatics';
import { layBatch, type BatchLayout } from './batch-layout';

/** Most of the base that pieces may cover and still brown (55 to 65 %), and from where they steam. Common practice. */
export const COVER_BEST = 0.6;
export const COVER_STEAMS = 0.7;
/** A heater under this takes longer, by so much. Common practice. */
const WEAK_WATTS = 900;
const WEAK_FACTOR = 1.3;
/** A minute for the base to come back to heat between batches. Common practice. */
const RECOVERY_MINUTES = 1;
/** A wet face has to dry before it browns, minutes. Common practice. */
const WET_MINUTES = 2;
/** A wide pan on a good burner. Common practice. */
export const PAN = { baseDiameterCm: 26, watts: 1800 } as const;
/** Salt draws water out after the first and has drawn it in again after the second, minutes. Common practice. */
export const SALT_WET_FROM = 4;
export const SALT_WET_TO = 40;

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

/** Cut thinner than this it is stirred, and not laid out piece by piece, cm. Common practice. */
const STIRRED_UNDER_CM = 2;

/** Minutes for the first face and for each other one, the middle of what cooks say. Common practice. */
const SIDE_MINUTES: Readonly<Record<SearSchool, readonly [number, number]>> = {
  hard: [6, 3],
  quick: [2, 2],
  light: [4, 0],
  none: [0, 0],
};

/** Why a face is wet, or null where it is dry. */
export type WetSurface = 'salt' | 'marinade' | null;

/** The sear of a plan. */
export interface SearPlan {
  readonly batches: number;
  /** Pieces of the fullest batch. */
  readonly perBatch: number;
  /** Pieces of each batch, in order. */
  readonly batchSizes: readonly number[];
  /** All batches and the recovery between them. */
  readonly minutes: number;
  readonly minutesPerBatch: number;
  /** Minutes of each face of a batch, in order. */
  readonly faces: readonly number[];
  /** Share of the base a full batch covers. */
  readonly coverage: number;
  readonly steams: boolean;
  /** What it is seared on, cm. */
  readonly baseDiameterCm: number;
  /** A single piece reaches over the edge. */
  readonly widerThanBase: boolean;
  readonly wet: WetSurface;
  /** The batches Hervir would make. */
  readonly proposedBatches: number;
  /** Its heater takes longer. */
  readonly weakHeater: boolean;
  /** One batch that is stirred, and not laid out on its faces. */
  readonly stirred: boolean;
  /** Length and width of the face a piece is laid on, cm. */
  readonly face: readonly [number, number];
}

const NO_SEAR: SearPlan = {
  batches: 0,
  perBatch: 0,
  batchSizes: [],
  minutes: 0,
  minutesPerBatch: 0,
  faces: [],
  coverage: 0,
  steams: false,
  baseDiameterCm: 0,
  widerThanBase: false,
  wet: null,
  proposedBatches: 0,
  weakHeater: false,
  stirred: false,
  face: [0, 0],
};

/**
 * Why the meat's face is wet when it meets the base: salted in the time between "ahead" and "just before", or
 * marinated. Common practice.
 *
 * @param meat how it was salted and marinated
 * @returns null where it is dry once patted
 * @example wetSurface({ ...kiloOfChuck, salted: 'ahead', saltedMinutes: 20 }) // 'salt'
 */
export function wetSurface(meat: Pick<Meat, 'salted' | 'saltedMinutes' | 'marinade'>): WetSurface {
  if (meat.marinade !== null && meat.marinade.ml > 0) return 'marinade';
  const { saltedMinutes } = meat;
  if (meat.salted === 'ahead' && saltedMinutes !== undefined) {
    return saltedMinutes >= SALT_WET_FROM && saltedMinutes < SALT_WET_TO ? 'salt' : null;
  }
  return null;
}

/** True for a cut that comes out of a cure and is rinsed. */
export function isCured(meat: Pick<Meat, 'cut'>): boolean {
  return cutById(meat.cut).cured;
}

/**
 * The sear as it comes out: stirred into onions that are already in, meat does not brown hard.
 *
 * @param plan its sear and aromatics
 * @example searAsDone({ sear: { school: 'hard', where: 'pot', order: 'onion-first' }, aromatics: [{ ingredient: 'onion', grams: 200 }] }).school // 'light'
 */
export function searAsDone(plan: Pick<Plan, 'sear' | 'aromatics'>): Sear {
  const { sear } = plan;
  const onionIn =
    sear.order === 'onion-first' &&
    sear.where === 'pot' &&
    aromaticSteps(plan.aromatics).some(({ group, setAside }) => group === 'base' && !setAside);
  return onionIn && (sear.school === 'hard' || sear.school === 'quick') ? { ...sear, school: 'light' } : sear;
}

/** Pieces of each batch, as even as can be. */
function evenly(count: number, batches: number): number[] {
  return Array.from({ length: batches }, (_, i) => Math.ceil((count - i) / batches)).filter((n) => n > 0);
}

/** The most pieces that brown at once, on whichever face lets the most lie; one in any case. */
function mostAtOnce(
  count: number,
  faces: readonly (readonly [number, number])[],
  diameterCm: number,
): { readonly count: number; readonly face: readonly [number, number] } {
  const base = baseAreaM2(diameterCm) * 10_000;
  const [[length, width]] = faces as readonly [readonly [number, number]];
  let best = { count: 1, face: faces[0] as readonly [number, number] };
  for (const face of faces) {
    const covered = Math.min(COVER_BEST / (face[0] * face[1]), COVER_STEAMS / (length * width)) * base;
    let most = Math.min(count, Math.max(1, Math.floor(covered)));
    while (most > 1 && !layBatch(most, face, diameterCm).fits) most -= 1;
    if (most > best.count) best = { count: most, face };
  }
  return best;
}

/**
 * Works out the batches and minutes of a sear: pieces may cover a little over half of the base and must not touch; every
 * batch takes its faces in turn. Common practice.
 *
 * @param piece the pieces
 * @param sear school, place and, where the cook wants it so, the number of batches
 * @param cooker its base and power
 * @param meat how wet its faces are; dry when left out
 * @param learntFactor what this cook's sears have taken, times the usual minutes
 * @returns no batches where nothing is seared
 * @throws RangeError when the base has no area
 * @example searPlan(eightRibs, { school: 'hard', where: 'pot', order: 'meat-first' }, cooker22cm).batches // 2
 */
export function searPlan(
  piece: Piece,
  sear: Sear,
  cooker: Pick<Cooker, 'baseDiameterCm' | 'watts'>,
  meat: Pick<Meat, 'salted' | 'saltedMinutes' | 'marinade'> = { salted: 'no', marinade: null },
  learntFactor = 1,
): SearPlan {
  if (sear.school === 'none') return NO_SEAR;
  const on = sear.where === 'pan' ? PAN : cooker;
  const base = baseAreaM2(on.baseDiameterCm) * 10_000;
  const [length, width, thickness] = piece.dimensionsCm;
  const cut = piece.form === 'chunks' || piece.form === 'bite-size';
  // A stirred batch is one batch however much it is: the pieces are not laid out.
  const stirred = sear.school === 'light' || (cut && thickness < STIRRED_UNDER_CM);
  // What is browned all round is laid on any of its long faces; turned to its widest, a batch must still not steam.
  const faces: (readonly [number, number])[] = FACES[piece.form] > 2 ? [[length, thickness]] : [];
  const { count: most, face } = stirred
    ? { count: piece.count, face: [length, width] as const }
    : mostAtOnce(piece.count, [[length, width], ...faces], on.baseDiameterCm);
  const proposedBatches = Math.ceil(piece.count / most);
  const batchSizes = evenly(piece.count, Math.min(piece.count, sear.batches ?? proposedBatches));
  const batches = batchSizes.length;
  const perBatch = batchSizes[0] as number;
  const lies = (perBatch * length * width) / base;
  const coverage = stirred ? Math.min(1, lies) : lies;
  const weakHeater = on.watts < WEAK_WATTS;
  const factor = (weakHeater ? WEAK_FACTOR : 1) * learntFactor;
  const wet = wetSurface(meat);
  const [first, other] = SIDE_MINUTES[sear.school];
  const firstMinutes = first * factor + (wet === null ? 0 : WET_MINUTES);
  // Minutes that the cook has set are theirs, on whatever heat.
  const faceMinutes =
    sear.faceMinutes ??
    (other === 0 || stirred
      ? [firstMinutes]
      : Array.from({ length: FACES[piece.form] }, (_, i) => (i === 0 ? firstMinutes : other * factor)));
  const minutesPerBatch = faceMinutes.reduce((sum, minutes) => sum + minutes, 0);
  return {
    batches,
    perBatch,
    batchSizes,
    minutes: batches * minutesPerBatch + (batches - 1) * RECOVERY_MINUTES,
    minutesPerBatch,
    faces: faceMinutes,
    coverage,
    steams: !stirred && coverage > COVER_STEAMS,
    baseDiameterCm: on.baseDiameterCm,
    widerThanBase: !stirred && length > on.baseDiameterCm,
    wet,
    proposedBatches,
    weakHeater,
    stirred,
    face,
  };
}

/**
 * Every batch of a sear, laid out on its base as seen from above.
 *
 * @param sear the sear, from {@link searPlan}
 * @example batchLayouts(searPlan(eightRibs, { school: 'hard', where: 'pot', order: 'meat-first' }, cooker22cm)).length // 2
 */
export function batchLayouts(sear: SearPlan): BatchLayout[] {
  return sear.batchSizes.map((count) => layBatch(count, sear.face, sear.baseDiameterCm));
}
