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

/** What is done to the pot between its two runs. */
export interface Refill {
  /** Meat under foil outside, or cooking on. */
  readonly meat: 'out' | 'in';
  /** Juice let go in the first run, as hot as the pot: from here on it is liquid like the rest, kg. */
  readonly juiceKg: number;
  /** Taken out first, kg. */
  readonly brothOutKg: number;
  /** Heat capacity of what goes in, J/K, at the kitchen's temperature. */
  readonly coldJPerK: number;
}

/** A second run tried at many lengths at once. */
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

/** The second run as it is done. */
export interface SecondRun {
  readonly minutes: number;
  readonly reheatMinutes: number;
  readonly releaseMinutes: number;
  readonly history: readonly Stretch[];
  /** On the way up, for the base. */
  readonly moments: readonly BaseMoment[];
  readonly pot: Pot;
}

/** Opens the pot, takes broth and meat out as asked, and lets it stand while it is filled again. */
function refill(opened: Pot, { meat, juiceKg, brothOutKg, coldJPerK }: Refill, follow?: Follow): Pot {
  const pot = opened.clone();
  pot.openLid();
  if (meat === 'out') pot.takeOut();
  pot.pour(juiceKg, pot.temperatureC);
  if (brothOutKg > 0) pot.ladle(brothOutKg);
  // For the line standing open is not a sauté.
  const cooling: Follow = (stretch, now) => follow?.({ ...stretch, phase: 'release' }, now);
  stepFor(pot, REFILL_MINUTES, STANDING_OPEN, cooling);
  if (coldJPerK > 0) pot.pour(0, pot.build.roomC, coldJPerK);
  return pot;
}

/**
 * Tries a second run at every length worth trying: reheated once, and let down quickly from each.
 *
 * @param opened the pot when its pin has fallen
 * @param what what is taken out and put in
 * @param settings of the cooker
 * @returns null where the pot does not come to pressure again
 */
export function trySecondRun(opened: Pot, what: Refill, settings: RunSettings): SecondRunTrial | null {
  const pot = refill(opened, what);
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
    const release: Stretch[] = [];
    const down = pot.clone();
    releaseMinutes.push(letDown(down, QUICK, settings, (stretch) => release.push(stretch)).minutes);
    // What is in it cooks on until it has been lifted out.
    down.openLid();
    stepFor(down, LIFT_MINUTES, STANDING_OPEN, (stretch) => release.push(stretch));
    releases.push(release);
  });
  return { reheatMinutes: heated.toTimer, heating, holds, releases, releaseMinutes };
}

/**
 * Runs the second run that was chosen.
 *
 * @param opened the pot when its pin has fallen
 * @param minutes under pressure
 * @param follow told of every step, the refill included
 * @returns null where the pot does not come to pressure again
 */
export function secondRun(
  opened: Pot,
  what: Refill,
  minutes: number,
  settings: RunSettings,
  follow?: Follow,
): SecondRun | null {
  const pot = refill(opened, what, follow);
  const lidOn = pot.minutes;
  const history: Stretch[] = [];
  const moments: BaseMoment[] = [];
  const record: Follow = (stretch, now) => {
    history.push(stretch);
    if (COMING_UP.has(stretch.phase)) {
      moments.push({
        minute: now.minutes - lidOn,
        liquidC: now.temperatureC,
        freeMl: now.liquidKgNow * 1000,
      });
    }
    follow?.(stretch, now);
  };
  const heated = heatUp(pot, settings, record);
  if (heated === null) return null;
  runOn(pot, minutes, 0, record);
  const down = letDown(pot, QUICK, settings, record);
  return {
    minutes,
    reheatMinutes: heated.toTimer,
    releaseMinutes: down.minutes,
    history,
    moments,
    pot,
  };
}

/** Minutes to bring an opened pot back to the boil with what is put in, and its temperature on the way. */
export function backToBoil(opened: Pot, what: Refill, follow?: Follow): { minutes: number; pot: Pot } {
  const pot = refill(opened, what, follow);
  const begin = pot.minutes;
  const on = { watts: pot.build.heaterW, lid: 'off', valve: 'open', regulated: true } as const;
  stepFor(pot, LONGEST_TO_BOIL, on, follow, () => pot.temperatureC >= pot.build.boilingC - 0.05);
  return { minutes: pot.minutes - begin, pot };
}
