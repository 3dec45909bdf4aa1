import { facesOfBox } from '../physics/square-box';
import type { CookingBody } from '../physics/cooking-body';
import type { WarmWay } from '../plan/plan';
import type { PotBuild } from '../pot/cooker';
import { SIMMER_SHARE } from '../pot/later-stage';
import { Pot, type Controls } from '../pot/pot-model';
import {
  heatUp,
  letDown,
  QUICK,
  runOn,
  STANDING_OPEN,
  stepFor,
  type Follow,
  type RunSettings,
  type Stretch,
} from '../pot/pressure-run';

/** What is kept is warmed to so much in the middle, °C. USDA FSIS safe minimum internal temperature chart; from memory. */
export const WARM_C = 74;
/** As cold as a fridge keeps it, °C. Common practice. */
export const KEPT_C = 4;
/** A covered dish in the oven: °C, and the heat that comes to all its faces, W/m² K. Common practice; from memory. */
export const OVEN_C = 160;
const OVEN_W_PER_M2K = 20;
/** Of stoneware or iron, J/K. From memory. */
const DISH_J_PER_K = 1800;
/** Once it bubbles it bubbles so long: the sauce is hot all through. Common practice, minutes. */
const BUBBLES_MINUTES = 3;
/** Longest that is followed, minutes. */
const LONGEST = 240;
const PRESSURE_MINUTES: readonly number[] = [1, 2, 3, 5, 8, 12, 16, 20, 30];

/** What is warmed, cold from the fridge. */
export interface Cold {
  readonly liquidKg: number;
  /** Meat with conduction of its own; it is taken along, and has felt all of it afterwards. */
  readonly bodies: readonly CookingBody[];
  /** Heat capacity of what has none: pulled meat, vegetables, J/K. */
  readonly softJPerK: number;
  /** In its dish, cm: for the oven. */
  readonly depthCm: number;
}

/** How it is warmed. */
export interface Warmed {
  readonly way: WarmWay;
  /** Until its middle is at 74 °C and it bubbles, minutes. */
  readonly minutes: number;
  /** Under pressure, minutes; null for another way. */
  readonly pressureMinutes: number | null;
  readonly coreC: number;
  readonly history: readonly Stretch[];
}

/** Faces of a square dish, m². */
function facesOf({ liquidKg, softJPerK, bodies, depthCm }: Cold): number {
  const joules = softJPerK + bodies.reduce((sum, { heatCapacityJPerK }) => sum + heatCapacityJPerK, 0);
  const litres = Math.max(0.2, liquidKg + joules / 3500);
  return facesOfBox(litres / 1000, depthCm / 100);
}

/**
 * Warms a braise from the fridge until its middle is safe, by the conduction of its pieces in the pot's own model.
 *
 * @param build of the pot, in its kitchen
 * @param cold what is in it
 * @param way on the stove, covered in the oven, or under pressure
 * @param settings of the cooker
 * @returns null where it does not get there: too little heat, or under pressure too little liquid
 * Accuracy: a covered dish of three litres takes 70 to 100 minutes in the oven (common practice); the stove follows the heater.
 * @example warmThrough(potBuild(DEFAULT_COOKER, DEFAULT_KITCHEN), { liquidKg: 1, bodies: [], softJPerK: 4000, depthCm: 6 }, 'stove', DEFAULT_COOKER)?.minutes // 42
 */
export function warmThrough(build: PotBuild, cold: Cold, way: WarmWay, settings: RunSettings): Warmed | null {
  const history: Stretch[] = [];
  const follow: Follow = (stretch) => history.push(stretch);
  const pot = new Pot(way === 'oven' ? { ...build, metalJPerK: DISH_J_PER_K } : build, KEPT_C, cold.liquidKg);
  pot.add(...cold.bodies);
  if (cold.softJPerK > 0) pot.pour(0, KEPT_C, cold.softJPerK);
  const coreC = (): number => Math.min(pot.temperatureC, ...pot.bodies.map((body) => body.coreC));
  const done = (pressureMinutes: number | null): Warmed => ({
    way,
    minutes: pot.minutes,
    pressureMinutes,
    coreC: coreC(),
    history,
  });
  if (way === 'pressure') {
    if (heatUp(pot, settings, follow) === null) return null;
    for (const [i, minutes] of PRESSURE_MINUTES.entries()) {
      const before = PRESSURE_MINUTES[i - 1] ?? 0;
      runOn(pot, minutes - before, before, follow);
      if (coreC() < WARM_C) continue;
      letDown(pot, QUICK, settings, follow);
      return done(minutes);
    }
    return null;
  }
  const watts = heatFor(pot, cold, way);
  let bubbled = 0;
  while (coreC() < WARM_C || bubbled < BUBBLES_MINUTES) {
    if (pot.minutes > LONGEST) return null;
    if (pot.temperatureC >= pot.build.boilingC - SIMMERS_K) bubbled += 1;
    stepFor(pot, 1, { ...STANDING_OPEN, watts: watts() }, follow);
  }
  return done(null);
}

/** So near boiling it bubbles at the rim, K. Common practice. */
const SIMMERS_K = 4;

/** What comes into it now, W: a hob turned down once it bubbles, or the oven's air. */
function heatFor(pot: Pot, cold: Cold, way: Exclude<WarmWay, 'pressure'>): () => Controls['watts'] {
  const { heaterW, boilingC, lossWPerK, roomC } = pot.build;
  if (way === 'stove') {
    return () => heaterW * (pot.temperatureC >= boilingC - SIMMERS_K ? SIMMER_SHARE.gentle : SIMMER_SHARE.hard);
  }
  const wPerK = OVEN_W_PER_M2K * facesOf(cold);
  // In the oven nothing is lost to the kitchen.
  return () => wPerK * (OVEN_C - pot.temperatureC) + lossWPerK * (pot.temperatureC - roomC);
}
