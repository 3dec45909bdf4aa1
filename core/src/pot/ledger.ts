import { lowered, say, type Text } from '@hervir/language/message';
import { meatsOf } from '../plan/meats';
import { aromaticKind } from '../catalog/aromatics';
import { cutById, cutTitle } from '../catalog/cuts';
import { grainById } from '../catalog/grains';
import { vegetableById } from '../catalog/vegetables';
import { fatMl } from '../meat/yield';
import type { Plan, StageId } from '../plan/plan';
import { stageOf } from '../plan/stage-settings';
import type { Charge } from './charge';
import type { Accounts } from './pot-model';

/** When in the work a line of the ledger falls. */
export type LedgerStage = 'deglaze' | 'load' | 'heating' | 'pressure' | 'release' | 'opened' | 'second' | 'simmer';

/** Places that are filled before the first lid goes on. */
const BEFORE: ReadonlySet<StageId> = new Set(['start', 'flavour-only']);

/** One line: what came in, or (below zero) what went. */
export interface LedgerEntry {
  readonly stage: LedgerStage;
  readonly what: Text;
  readonly ml: number;
}

/** Every millilitre of free liquid, from the first splash to the open pot. */
export interface Ledger {
  readonly pouredMl: number;
  /** When the lid goes on. */
  readonly freeAtStartMl: number;
  /** When the lid comes off. */
  readonly freeAtEndMl: number;
  readonly fatMl: number;
  readonly minimumMl: number;
  readonly belowMinimum: boolean;
  /** By how much, at the poorer of the two times the lid goes on; 0 where there is enough, ml. */
  readonly shortMl: number;
  /** When the lid goes on again for a second run; null where there is none. */
  readonly freeAtReheatMl: number | null;
  /** They add up to the free liquid at the end. */
  readonly entries: readonly LedgerEntry[];
}

/** What the pot did, and what the meat let go of. */
export interface PotHistory {
  /** When the lid went on. */
  readonly lidOn: Pick<Accounts, 'boiledKg'>;
  /** When the lid came off. */
  readonly opened: Pick<Accounts, 'boiledKg' | 'purgedKg' | 'flashedKg'>;
  /** Juice let go by the end, ml. */
  readonly juiceMl: number;
  /** What was done after the first opening, in order. */
  readonly later?: readonly StageHistory[];
  /** Let go by the meat after the last of them was filled, ml. */
  readonly lastJuiceMl?: number;
  /** How much of its water each plant has given or taken by the end; all of it where nothing is said. */
  readonly shares?: PlantShares;
}

/** By place in the plan's list: the share of its water that a plant gives off, or that a grain takes up, 0 to 1. */
export type PlantShares = Readonly<Record<'vegetable' | 'aromatic' | 'grain', (index: number) => number>>;

const ALL: PlantShares = { vegetable: () => 1, aromatic: () => 1, grain: () => 1 };

/** A stage after the first run: what was taken out, and what went off as steam. */
export interface StageHistory extends Pick<Accounts, 'boiledKg' | 'purgedKg' | 'flashedKg'> {
  readonly id: StageId;
  readonly kind: 'pressure' | 'simmer';
  readonly brothOutMl: number;
  /** Let go by the meat since the pot was last opened, ml. */
  readonly juiceMl: number;
}

/**
 * Fat in the pot by the end, ml: the meat's own, bacon's, and what was put into the pan.
 *
 * @example allFatMl(plan) > 0 // true
 */
export function allFatMl(plan: Pick<Plan, 'meat' | 'otherMeats' | 'aromatics' | 'sear'>): number {
  const meats = meatsOf(plan).reduce((sum, meat) => sum + fatMl(meat), 0);
  const aromatics = plan.aromatics.reduce(
    (sum, { ingredient, grams }) => sum + grams * aromaticKind(ingredient).fatShare,
    0,
  );
  return meats + aromatics + (plan.sear.fatMl ?? 0);
}

/**
 * The ledger of free liquid: poured, boiled off, purged, released, taken up, flashed. It never goes below nothing: what
 * has no liquid left to take takes less.
 *
 * @param plan what goes in
 * @param charges what is poured
 * @param history what the pot and the meat did
 * @returns entries in the order of the work; they add up to `freeAtEndMl`
 * Accuracy: juice, uptake and vegetables are common practice, within a fifth or so.
 * @example ledgerOf(plan, chargesOf(plan), { lidOn: { boiledKg: 0.05 }, opened: { boiledKg: 0.05, purgedKg: 0.04, flashedKg: 0.03 }, juiceMl: 200 }).belowMinimum // false
 */
// oxlint-disable-next-line max-lines-per-function -- a ledger is booked from its first line to its last: the order is the reckoning
export function ledgerOf(
  plan: Pick<Plan, 'meat' | 'otherMeats' | 'vegetables' | 'aromatics' | 'grains' | 'cooker' | 'sear' | 'stages'>,
  charges: readonly Charge[],
  history: PotHistory,
): Ledger {
  const entries: LedgerEntry[] = [];
  let free = 0;
  const book = (stage: LedgerStage, what: Text, ml: number): void => {
    const booked = Math.max(-free, ml);
    if (Math.abs(booked) < 0.05) return;
    free += booked;
    entries.push({ stage, what, ml: booked });
  };
  const kg = (mass: number): number => Math.max(0, mass * 1000);

  for (const { stage, what, waterMl } of charges) if (stage === 'deglaze') book('deglaze', what, waterMl);
  book('deglaze', say('ledger.boiled-off-while-it-is'), -kg(history.lidOn.boiledKg));
  for (const { stage, what, waterMl } of charges) if (stage === 'load') book('load', what, waterMl);
  const freeAtStartMl = free;

  book('heating', say('ledger.steam-blown-off-before-the'), -kg(history.opened.purgedKg));
  const { shares = ALL } = history;
  const meatJuice = say('ledger.juice-of', { cut: cutTitle(cutById(plan.meat.cut)) });
  const aromaticsAt = (at: LedgerStage, isHere: (stage: StageId | undefined) => boolean): void => {
    for (const [i, { ingredient, grams, then, stage }] of plan.aromatics.entries()) {
      if (then === 'set-aside' || !isHere(stage)) continue;
      const { name, juiceShare } = aromaticKind(ingredient);
      book(at, say('ledger.water-of', { name: lowered(name) }), grams * juiceShare * shares.aromatic(i));
    }
  };
  const vegetablesAt = (at: LedgerStage, isHere: (place: StageId) => boolean): void => {
    for (const [i, { vegetable, grams, place }] of plan.vegetables.entries()) {
      if (!isHere(place)) continue;
      const { name, juiceShare } = vegetableById(vegetable);
      book(at, say('ledger.water-of', { name: lowered(name) }), grams * juiceShare * shares.vegetable(i));
    }
  };
  const grainsAt = (at: LedgerStage, isHere: (place: StageId) => boolean): void => {
    for (const [i, { grain, grams, place }] of plan.grains.entries()) {
      if (!isHere(place)) continue;
      const { name, uptakeMlPerG } = grainById(grain);
      book(at, say('ledger.taken-up-by', { name: lowered(name) }), -grams * uptakeMlPerG * shares.grain(i));
    }
  };
  book('pressure', meatJuice, history.juiceMl);
  aromaticsAt('pressure', (stage) => stage === undefined);
  vegetablesAt('pressure', (place) => BEFORE.has(place));
  book('pressure', say('ledger.boiled-away-under-pressure'), -kg(history.opened.boiledKg - history.lidOn.boiledKg));
  grainsAt('pressure', (place) => place === 'start');
  book('release', say('ledger.flashes-into-steam-when-the'), -kg(history.opened.flashedKg));
  for (const { stage, what, waterMl } of charges)
    if (stage === 'on-top') book('opened', say('ledger.stirred-in', { what }), waterMl);
  let freeAtReheatMl: number | null = null;
  let poorestMl = freeAtStartMl;
  const plantsAt = (stage: LedgerStage, isHere: (place: StageId) => boolean): void => {
    aromaticsAt(stage, (at) => at !== undefined && isHere(at));
    vegetablesAt(stage, isHere);
    grainsAt(stage, isHere);
  };
  let lastStage: LedgerStage = 'pressure';
  for (const { id, kind, juiceMl, brothOutMl, purgedKg, boiledKg, flashedKg } of history.later ?? []) {
    const here = (place: StageId): boolean => place === id;
    const stage = kind === 'pressure' ? 'second' : 'simmer';
    book(lastStage, meatJuice, juiceMl);
    lastStage = stage;
    book(stage, say('ledger.broth-taken-out'), -brothOutMl);
    for (const { at, what, waterMl } of charges) if (at === id) book(stage, what, waterMl);
    if (kind === 'simmer') {
      plantsAt('simmer', here);
      book('simmer', say('ledger.boiled-off-in-the-open'), -kg(boiledKg));
      continue;
    }
    freeAtReheatMl ??= free;
    poorestMl = Math.min(poorestMl, free);
    book('second', say('ledger.steam-blown-off-before-the-pin'), -kg(purgedKg));
    plantsAt('second', here);
    book('second', say('ledger.boiled-away'), -kg(boiledKg));
    book('second', say('ledger.flashes-into-steam-when-the-valve'), -kg(flashedKg));
  }
  book(lastStage, meatJuice, history.lastJuiceMl ?? 0);
  plantsAt('simmer', (place) => place !== 'auto' && !BEFORE.has(place) && stageOf(plan, place).kind === 'off-heat');
  const pouredMl = charges
    .filter(({ stage }) => stage === 'deglaze' || stage === 'load')
    .reduce((sum, { volumeMl }) => sum + volumeMl, 0);
  const shortMl = Math.max(0, plan.cooker.minimumLiquidMl - poorestMl);
  return {
    pouredMl,
    freeAtStartMl,
    freeAtEndMl: free,
    fatMl: allFatMl(plan),
    minimumMl: plan.cooker.minimumLiquidMl,
    belowMinimum: shortMl > 0.5,
    shortMl,
    freeAtReheatMl,
    entries,
  };
}
