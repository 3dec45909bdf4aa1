import type { PlannedStage, Release } from '../plan/plan';
import type { BaseMoment } from './base-temperature';
import type { Pot } from './pot-model';
import {
  COMING_UP,
  heatUp,
  letDown,
  QUICK,
  runOn,
  STANDING_OPEN,
  stepFor,
  type Follow,
  type RunSettings,
  type Stretch,
} from './pressure-run';

/** Lengths of a second run worth trying, minutes. Common practice: three to five. */
export const SECOND_MINUTES: readonly number[] = [0, 1, 2, 3, 4, 5, 6, 8, 10, 12, 15, 20];
/** Lid off, meat out, vegetables in, lid on, minutes. Common practice. */
export const REFILL_MINUTES = 4;

/** Lid off, and out with what is done, minutes. Common practice. */
const LIFT_MINUTES = 3;

/** Nobody waits longer for a pot to boil again, minutes. */
const LONGEST_TO_BOIL = 90;

/** Share of the heater's power at a simmer: gentle with the lid ajar, or hard. Common practice. */
export const SIMMER_SHARE = { gentle: 0.25, hard: 0.5 } as const;

/** What is done to an opened pot before its next stage. */
export interface Refill {
  /** Lifts meat out, and puts meat in. */
  readonly settle: (pot: Pot) => void;
  /** Juice let go so far, as hot as the pot: from here on it is liquid like the rest, kg. */
  readonly juiceKg: number;
  /** Taken out first, kg. */
  readonly brothOutKg: number;
  /** Heat capacity of what goes in, J/K, at the kitchen's temperature. */
  readonly coldJPerK: number;
  readonly poured: readonly { readonly kg: number; readonly temperatureC: number }[];
}

/** A run tried at many lengths at once. */
export interface SecondRunTrial {
  readonly reheatMinutes: number;
  /** From the open lid to the start of the minutes. */
  readonly heating: readonly Stretch[];
  /** Between one length and the next. */
  readonly holds: readonly (readonly Stretch[])[];
  /** From each length down. */
  readonly releases: readonly (readonly Stretch[])[];
  readonly releaseMinutes: readonly number[];
}

/** A stage as it is done. */
export interface StageRun {
  readonly minutes: number;
  /** From the filled pot until the minutes begin. */
  readonly reheatMinutes: number;
  readonly releaseMinutes: number;
  /** The pot standing open while it is filled. */
  readonly standing: readonly Stretch[];
  /** From the filled pot on. */
  readonly history: readonly Stretch[];
  /** Under the lid, for its base; empty for an open stage. */
  readonly moments: readonly BaseMoment[];
  /** Liquid when it was filled, before anything boiled away, ml. */
  readonly atLockMl: number;
  /** Broth really taken out, ml. */
  readonly brothOutMl: number;
  readonly purgedKg: number;
  readonly boiledKg: number;
  readonly flashedKg: number;
  readonly pot: Pot;
}

/** Opens the pot, takes broth and meat out as asked, and lets it stand while it is filled again. */
function refill(
  opened: Pot,
  what: Refill,
  follow?: Follow,
): { readonly pot: Pot; readonly brothOutMl: number; readonly standing: Stretch[] } {
  const pot = opened.clone();
  pot.openLid();
  what.settle(pot);
  pot.pour(what.juiceKg, pot.temperatureC);
  const brothOutMl = what.brothOutKg > 0 ? pot.ladle(what.brothOutKg) * 1000 : 0;
  // For the line standing open is not a sauté.
  const standing: Stretch[] = [];
  const cooling: Follow = (stretch, now) => {
    standing.push(stretch);
    follow?.({ ...stretch, phase: 'release' }, now);
  };
  stepFor(pot, REFILL_MINUTES, STANDING_OPEN, cooling);
  for (const { kg, temperatureC } of what.poured) pot.pour(kg, temperatureC);
  if (what.coldJPerK > 0) pot.pour(0, pot.build.roomC, what.coldJPerK);
  return { pot, brothOutMl, standing };
}

/**
 * Tries a run at every length worth trying: reheated once, and let down from each.
 *
 * @param opened the pot when its pin has fallen
 * @param what what is taken out and put in
 * @param settings of the cooker
 * @param release how it is let down; quickly when nothing is said
 * @returns null where the pot does not come to pressure again
 */
export function trySecondRun(
  opened: Pot,
  what: Refill,
  settings: RunSettings,
  release: Release = QUICK,
): SecondRunTrial | null {
  const { pot } = refill(opened, what);
  const heating: Stretch[] = [];
  const heated = heatUp(pot, settings, (stretch) => heating.push(stretch));
  if (heated === null) return null;
  const holds: Stretch[][] = [];
  const releases: Stretch[][] = [];
  const releaseMinutes: number[] = [];
  SECOND_MINUTES.forEach((minutes, i) => {
    const hold: Stretch[] = [];
    const before = SECOND_MINUTES[i - 1] ?? 0;
    if (minutes > before) runOn(pot, minutes - before, before, (stretch) => hold.push(stretch));
    holds.push(hold);
    const down: Stretch[] = [];
    const lowered = pot.clone();
    releaseMinutes.push(letDown(lowered, release, settings, (stretch) => down.push(stretch)).minutes);
    releases.push([...down, ...untilLifted(lowered)]);
  });
  return { reheatMinutes: heated.toTimer, heating, holds, releases, releaseMinutes };
}

/** What is in it cooks on until it has been lifted out. */
export function untilLifted(pot: Pot): Stretch[] {
  const standing = pot.clone();
  standing.openLid();
  const history: Stretch[] = [];
  stepFor(standing, LIFT_MINUTES, STANDING_OPEN, (stretch) => history.push(stretch));
  return history;
}

/** Free liquid of a pot, ml, and whether anything in it drinks. */
export interface FreeLiquid {
  readonly drinks: boolean;
  ml(pot: Pot): number;
}

/** Told of a pot under its lid, it keeps what the base needs to know: the heat that really goes through it. */
export function momentsOf(lidOn: number, free: FreeLiquid): { moments: BaseMoment[]; follow: Follow } {
  const moments: BaseMoment[] = [];
  let heaterJ: number | null = null;
  return {
    moments,
    follow: ({ seconds, phase }, pot) => {
      // Where nothing drinks, the least and the hottest are on the way up.
      if (!free.drinks && !COMING_UP.has(phase)) return;
      const before = heaterJ ?? 0;
      const watts = heaterJ === null || seconds <= 0 ? 0 : (pot.accounts.heaterJ - before) / seconds;
      heaterJ = pot.accounts.heaterJ;
      const moment = { minute: pot.minutes - lidOn, liquidC: pot.temperatureC, freeMl: free.ml(pot) };
      if (COMING_UP.has(phase)) moments.push(moment);
      // Held at pressure the heater gives what is lost, and no more; let down it gives nothing.
      else moments.push({ ...moment, watts });
    },
  };
}

/**
 * Runs a pressure stage.
 *
 * @param opened the pot when its pin has fallen
 * @param what what is taken out and put in
 * @param minutes under pressure
 * @param free liquid in the pot, its own less what has been drunk
 * @param follow told of every step, the refill included
 * @returns null where the pot does not come to pressure again
 */
export function pressureStage(
  opened: Pot,
  what: Refill,
  minutes: number,
  settings: RunSettings,
  release: Release,
  free: FreeLiquid,
  follow?: Follow,
): StageRun | null {
  const { pot, brothOutMl, standing } = refill(opened, what, follow);
  const before = { ...opened.accounts };
  const history: Stretch[] = [];
  const atLockMl = free.ml(pot);
  const base = momentsOf(pot.minutes, free);
  const record: Follow = (stretch, now) => {
    history.push(stretch);
    follow?.(stretch, now);
    base.follow(stretch, now);
  };
  const heated = heatUp(pot, settings, record);
  if (heated === null) return null;
  runOn(pot, minutes, 0, record);
  const down = letDown(pot, release, settings, record);
  return {
    minutes,
    reheatMinutes: heated.toTimer,
    releaseMinutes: down.minutes,
    standing,
    history,
    moments: base.moments,
    atLockMl,
    brothOutMl,
    ...goneSince(before, pot),
    pot,
  };
}

/** Steam since a moment, kg. */
function goneSince(before: Pot['accounts'], pot: Pot): Pick<StageRun, 'purgedKg' | 'boiledKg' | 'flashedKg'> {
  return {
    purgedKg: pot.accounts.purgedKg - before.purgedKg,
    boiledKg: pot.accounts.boiledKg - before.boiledKg,
    flashedKg: pot.accounts.flashedKg - before.flashedKg,
  };
}

/**
 * Brings an open pot to the boil on full heat.
 *
 * @returns minutes; 0 where it boils already
 */
export function untilItBoils(pot: Pot, follow?: Follow): number {
  const begin = pot.minutes;
  const on = { ...STANDING_OPEN, watts: pot.build.heaterW };
  stepFor(pot, LONGEST_TO_BOIL, on, follow, () => pot.temperatureC >= pot.build.boilingC - 0.05);
  return pot.minutes - begin;
}

/** Minutes to bring an opened pot back to the boil with what is put in, and its temperature on the way. */
export function backToBoil(
  opened: Pot,
  what: Refill,
  follow?: Follow,
): { minutes: number; pot: Pot; brothOutMl: number; standing: readonly Stretch[] } {
  const { pot, brothOutMl, standing } = refill(opened, what, follow);
  return { minutes: untilItBoils(pot, follow), pot, brothOutMl, standing };
}

/**
 * Runs an open simmer.
 *
 * @param opened the pot when its pin has fallen, or after another stage
 * @param what what is taken out and put in
 * @param minutes from the boil on
 * @param heat gentle or hard
 * @param free liquid in the pot, its own less what has been drunk
 * @param follow told of every step, the refill included
 */
export function simmerStage(
  opened: Pot,
  what: Refill,
  minutes: number,
  heat: NonNullable<PlannedStage['heat']>,
  free: FreeLiquid,
  follow?: Follow,
): StageRun {
  const before = { ...opened.accounts };
  const all: Stretch[] = [];
  const record: Follow = (stretch, now) => {
    all.push(stretch);
    follow?.(stretch, now);
  };
  const { minutes: reheatMinutes, pot, brothOutMl, standing } = backToBoil(opened, what, record);
  const watts = pot.build.heaterW * SIMMER_SHARE[heat];
  stepFor(pot, minutes, { ...STANDING_OPEN, watts }, record);
  return {
    minutes,
    reheatMinutes,
    releaseMinutes: 0,
    standing,
    history: all.slice(standing.length),
    moments: [],
    atLockMl: free.ml(pot),
    brothOutMl,
    ...goneSince(before, pot),
    pot,
  };
}
