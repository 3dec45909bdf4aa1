import type { CookingBody } from '../physics/cooking-body';
import type { Release } from '../plan/plan';
import { KEEP_WARM_W } from './cooker';
import type { Controls, Phase, Pot, PotEvent, Stepped } from './pot-model';

/** Nobody waits longer for the pin; a pot that is not there by then never will be. Minutes. */
export const LONGEST_HEATING = 150;
/** Longest natural release followed, minutes. */
const LONGEST_RELEASE = 180;
/** Steps grow as things slow down; the pieces' own steps are exact, and cook values stay within 0.3 % of fine ones, s. */
const LONGEST_STEP = 240;
const VENT_STEPS: readonly number[] = [15, 25, 60];

/** One straight stretch of the pot's temperature, as the pieces felt it. */
export interface Stretch {
  readonly seconds: number;
  readonly fromC: number;
  readonly toC: number;
  readonly phase: Phase;
  /** What pieces above the liquid felt instead, °C; left out where all lie alike. */
  readonly aloftC?: number;
}

/** Called after every step of the pot. */
export type Follow = (stretch: Stretch, pot: Pot) => void;

/** What the run needs to know of the cooker and the cook. */
export interface RunSettings {
  readonly timerStarts: 'pressure' | 'pin';
  readonly keepWarmOff: boolean;
}

function stepped(pot: Pot, controls: Controls, seconds: number, follow?: Follow): Stepped {
  const fromC = pot.temperatureC;
  const step = pot.step(controls, seconds);
  if (follow) {
    const stretch = { seconds: step.seconds, fromC, toC: pot.temperatureC, phase: step.phase };
    const { aloftC } = pot;
    follow(aloftC === null ? stretch : { ...stretch, aloftC }, pot);
  }
  return step;
}

/** Phases in which the heater gives all it has, from lid on to working pressure: there the base is hottest. */
export const COMING_UP: ReadonlySet<Phase> = new Set(['heating', 'purging', 'building']);
/** The valve opened at once. */
export const QUICK: Release = { method: 'quick', naturalMinutes: 0 };

/** Open, with the heat off: it only cools. */
export const STANDING_OPEN: Controls = { watts: 0, lid: 'off', valve: 'open', regulated: true };

/**
 * Steps a pot under the same controls for so many minutes, or until something is so.
 *
 * @param follow told of every step
 * @param enough asked before every step
 */
export function stepFor(
  pot: Pot,
  minutes: number,
  controls: Controls,
  follow?: Follow,
  enough: () => boolean = () => false,
): void {
  const end = pot.minutes + minutes;
  while (end - pot.minutes > 1e-6 && !enough()) {
    stepped(pot, controls, Math.min(60, (end - pot.minutes) * 60), follow);
  }
}

/** Locked, with the heat off; where keep-warm is left on, with what that gives. */
export const heatOff = ({ keepWarmOff }: Pick<RunSettings, 'keepWarmOff'>): Controls => ({
  watts: keepWarmOff ? 0 : KEEP_WARM_W,
  lid: 'on',
  valve: 'closed',
  regulated: true,
});

/** Locked, and the heater held to working pressure. */
export const atFull = (pot: Pot): Controls => ({
  watts: pot.build.heaterW * pot.build.lidOnShare,
  lid: 'on',
  valve: 'closed',
  regulated: true,
});

/**
 * Brings a locked pot to the moment its minutes begin to count.
 *
 * @param pot loaded, lid on
 * @param settings when the timer starts
 * @param follow told of every step
 * @param stepS the longest step, s
 * @returns minutes from lid on to the pin and, where the timer waits for it, to working pressure; null when the heater
 *   cannot get it there
 */
export function heatUp(
  pot: Pot,
  settings: RunSettings,
  follow?: Follow,
  stepS = 60,
): { toPin: number; toTimer: number } | null {
  const begin = pot.minutes;
  let toPin: number | null = null;
  const wanted: PotEvent = settings.timerStarts === 'pin' ? 'pinUp' : 'atPressure';
  while (pot.minutes - begin < LONGEST_HEATING) {
    const { event } = stepped(pot, atFull(pot), stepS, follow);
    if (event === 'pinUp') toPin = pot.minutes - begin;
    if (event === wanted && toPin !== null) return { toPin, toTimer: pot.minutes - begin };
  }
  return null;
}

/**
 * Runs the pot on under its timer.
 *
 * @param minutes to run
 * @param already minutes since the timer started: the longer, the slower things change and the longer the steps
 * @param onPressure told when working pressure is first reached, in minutes of the pot
 */
export function runOn(
  pot: Pot,
  minutes: number,
  already: number,
  follow?: Follow,
  onPressure?: (minute: number) => void,
): void {
  const end = pot.minutes + minutes;
  const start = pot.minutes - already;
  while (end - pot.minutes > 1e-6) {
    const wanted = Math.min(LONGEST_STEP, Math.max(60, (60 * (pot.minutes - start)) / 4));
    const { event } = stepped(pot, atFull(pot), Math.min(wanted, (end - pot.minutes) * 60), follow);
    if (event === 'atPressure') onPressure?.(pot.minutes);
  }
}

/**
 * Lets the pressure down: naturally until the pin falls, at once, or naturally for some minutes and then at once.
 *
 * @param pot at the end of its minutes
 * @param release how
 * @param settings whether keep-warm is left on
 * @returns minutes until the pin has fallen, and until the valve was opened (null when the pin fell by itself)
 */
export function letDown(
  pot: Pot,
  release: Release,
  settings: RunSettings,
  follow?: Follow,
): { minutes: number; ventedAfter: number | null } {
  const begin = pot.minutes;
  const off = heatOff(settings);
  const natural =
    release.method === 'quick'
      ? 0
      : release.method === 'natural'
        ? LONGEST_RELEASE
        : Math.min(LONGEST_RELEASE, release.naturalMinutes);
  while (pot.pinIsUp && natural - (pot.minutes - begin) > 1e-6) {
    stepped(pot, off, Math.min(LONGEST_STEP, (natural - (pot.minutes - begin)) * 60), follow);
  }
  if (!pot.pinIsUp) return { minutes: pot.minutes - begin, ventedAfter: null };
  const ventedAfter = pot.minutes - begin;
  for (let step = 0; pot.pinIsUp; step += 1) {
    stepped(
      pot,
      { ...off, watts: 0, valve: 'open' },
      VENT_STEPS[Math.min(step, VENT_STEPS.length - 1)] as number,
      follow,
    );
  }
  return { minutes: pot.minutes - begin, ventedAfter };
}

/** Nearer than this to falling by itself, the valve has nothing to do, minutes. */
const BY_ITSELF = 0.05;

/**
 * Whether the pin falls before the valve would be opened.
 *
 * @param pot minutes until the pin is down, as planned and left alone
 * @example fallsByItself({ releaseMinutes: 8, naturalReleaseMinutes: 8 }) // true
 */
export function fallsByItself(pot: {
  readonly releaseMinutes: number;
  readonly naturalReleaseMinutes: number;
}): boolean {
  return pot.releaseMinutes >= pot.naturalReleaseMinutes - BY_ITSELF;
}

/**
 * Takes a piece along through a pot's recorded history, without weighing on it: for the same cook with a piece a little
 * thicker or thinner, whose total heat is the same.
 */
export function advanceAlongside(piece: CookingBody, history: readonly Stretch[]): void {
  for (const { seconds, fromC, toC, aloftC } of history) piece.advance(seconds, aloftC ?? fromC, aloftC ?? toC);
}
