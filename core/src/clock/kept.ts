import type { Piece } from '../meat/piece';
import { pieceBody } from '../meat/piece-body';
import { thawsIn } from '../meat/thaw-time';
import { DEFAULT_COOKER, DEFAULT_KITCHEN, newPlan } from '../plan/defaults';
import type { Cooker, Kitchen, Meat, WarmWay } from '../plan/plan';
import { potBuild } from '../pot/cooker';
import { KEPT_C, warmThrough, type Warmed } from '../stations/warm-through';
import { FREEZER_DAYS, FRIDGE_DAYS } from '../stations/leftovers';
import { shiftIso } from '../units/time';
import { atGoodTime, type AheadTask } from './ahead';

/** Where what is left is kept. */
export const KEPT_PLACES = ['fridge', 'freezer'] as const;
export type KeptPlace = (typeof KEPT_PLACES)[number];
/** What became of it. */
export const GONE = ['eaten', 'thrown'] as const;

/** Something cooked that is kept for another day. */
export interface Kept {
  /** The cook's own name: "goat neck with apricots". */
  readonly name: string;
  readonly cut: string;
  readonly portions: number;
  /** Meat and sauce together, g. */
  readonly grams: number;
  /** How thick its pieces are, cm; 0 where they are pulled. */
  readonly pieceCm: number;
  readonly depthCm: number;
  readonly place: KeptPlace;
  /** Since when it lies there, ISO 8601. */
  readonly since: string;
  /** For which meal it is chosen, ISO 8601; null while it is for none. */
  readonly eatAt: string | null;
  readonly warm: WarmWay;
  readonly gone: (typeof GONE)[number] | null;
}

const DAY_MINUTES = 1440;

/**
 * Until when it is good: three days in the fridge, two months in the freezer, the nearer ends of what is published.
 *
 * @returns ISO 8601
 * @example keptUntil({ place: 'fridge', since: '2027-01-17T20:00:00+01:00' }) // '2027-01-20T20:00:00+01:00'
 */
export function keptUntil({ place, since }: Pick<Kept, 'place' | 'since'>): string {
  return shiftIso(since, (place === 'fridge' ? FRIDGE_DAYS : FREEZER_DAYS) * DAY_MINUTES);
}

/** Half of a braise on its plate is meat, the rest its sauce. Common practice. */
const MEAT_SHARE = 0.5;
const STEW_J_PER_KG_K = 3700;

/** A cut as it is for sale, for its composition. */
const meatOf = ({ cut, grams }: Kept): Meat => newPlan({ cut, form: 'chunks', grams: Math.max(50, grams) }).meat;

function cubes(kept: Kept): Piece {
  const { pieceCm, grams } = kept;
  const each = pieceCm ** 3 * 1.05;
  const count = Math.max(1, Math.round((grams * MEAT_SHARE) / each));
  return {
    count,
    form: 'chunks',
    shape: 'brick',
    dimensionsCm: [pieceCm, pieceCm, pieceCm],
    thicknessCm: pieceCm,
    gramsEach: (grams * MEAT_SHARE) / count,
    measured: true,
  };
}

/**
 * Thawing of a container in the fridge, until no ice is left in its middle, by the same conduction as a cut's.
 *
 * @returns minutes; 0 where it lies in the fridge
 * Accuracy: as {@link thawMinutes}; a stew holds a little more water than meat.
 * @example thawKept({ name: 'neck', cut: 'goat-neck', portions: 3, grams: 1200, pieceCm: 3, depthCm: 5, place: 'fridge', since: '2027-01-17T20:00:00+01:00', eatAt: null, warm: 'stove', gone: null }) // 0
 */
export function thawKept(kept: Kept): number {
  if (kept.place === 'fridge') return 0;
  const side = Math.sqrt(Math.max(1, kept.grams / 1.03 / kept.depthCm));
  const [a, b, c] = [side, side, kept.depthCm].sort((one, other) => other - one) as [number, number, number];
  const block: Piece = { ...cubes(kept), count: 1, gramsEach: kept.grams, dimensionsCm: [a, b, c], thicknessCm: c };
  return thawsIn(meatOf(kept), block, 'fridge');
}

/**
 * Warming of what was kept, thawed, to 74 °C in the middle of its pieces.
 *
 * @returns null where that way does not get it hot
 * @example (warmKept({ name: 'neck', cut: 'goat-neck', portions: 3, grams: 1200, pieceCm: 3, depthCm: 5, place: 'fridge', since: '2027-01-17T20:00:00+01:00', eatAt: null, warm: 'stove', gone: null })?.coreC ?? 0) >= 74 // true
 */
export function warmKept(
  kept: Kept,
  cooker: Cooker = DEFAULT_COOKER,
  kitchen: Kitchen = DEFAULT_KITCHEN,
): Warmed | null {
  const { grams, pieceCm, depthCm, warm } = kept;
  const pulled = pieceCm <= 0;
  const meatKg = (grams * MEAT_SHARE) / 1000;
  return warmThrough(
    potBuild(cooker, kitchen),
    {
      liquidKg: grams / 1000 - meatKg,
      bodies: pulled ? [] : [pieceBody(meatOf(kept), cubes(kept), KEPT_C)],
      softJPerK: pulled ? meatKg * STEW_J_PER_KG_K : 0,
      depthCm,
    },
    warm,
    cooker,
  );
}

/** Plate and serve, minutes. Common practice. */
const PLATE_MINUTES = 3;

/**
 * What a meal of something kept asks for: thawed in the fridge, warmed through, each with its hour.
 *
 * @param kept with the meal it is chosen for
 * @returns nothing while it is chosen for none
 * @example keptTasks({ name: 'neck', cut: 'goat-neck', portions: 3, grams: 1200, pieceCm: 3, depthCm: 5, place: 'fridge', since: '2027-01-17T20:00:00+01:00', eatAt: null, warm: 'stove', gone: null }).length // 0
 */
export function keptTasks(kept: Kept, cooker?: Cooker, kitchen?: Kitchen): AheadTask[] {
  const { eatAt, name } = kept;
  if (eatAt === null) return [];
  const warmed = (warmKept(kept, cooker, kitchen)?.minutes ?? 60) + PLATE_MINUTES;
  const task = (kind: AheadTask['kind'], minutes: number, until: number): AheadTask => {
    const latest = until - minutes;
    const best = atGoodTime(kind, latest, eatAt);
    return {
      id: `${kind}:kept`,
      kind,
      portion: 'kept',
      name: name.charAt(0).toLowerCase() + name.slice(1),
      minutes,
      latest,
      until,
      best,
      at: shiftIso(eatAt, best),
      latestAt: shiftIso(eatAt, latest),
      doneAt: null,
    };
  };
  const thaws = thawKept(kept);
  return [...(thaws > 0 ? [task('thaw-fridge', thaws, -warmed)] : []), task('warm', warmed, 0)];
}
