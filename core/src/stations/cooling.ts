import { ConductionBody } from '../physics/conduction/body';
import type { CookingBody } from '../physics/cooking-body';

/** Stew: mostly water, W/m K and m²/s. Choi and Okos for eight tenths of water. */
const CONDUCTIVITY = 0.55;
const DIFFUSIVITY = 1.45e-7;
/** Fridge air at both faces, and a stirred ice bath, W/m² K and °C. Common practice; from memory. */
const FRIDGE = { surface: 8, celsius: 3 } as const;
const ICE_BATH = { surface: 300, celsius: 1 } as const;
/** US FDA Food Code 2022, 3-501.14: 57 to 21 °C within two hours, and to 5 °C within six in all; from memory. */
export const COOLS = { fromC: 57, firstC: 21, firstMinutes: 120, allC: 5, allMinutes: 360 } as const;
const MARKS: readonly number[] = [COOLS.fromC, COOLS.firstC, COOLS.allC];
const STEP_S = 60;
/** Nothing is followed longer, minutes. */
const LONGEST = 48 * 60;
/** Ice melts at the cost of so much heat, and stew gives off so much for every degree, J/kg and J/kg K. Handbook values; from memory. */
const ICE_J_PER_KG = 334_000;
const STEW_J_PER_KG_K = 3700;

/** How a depth of stew cools, from 57 °C on. */
export interface Cooling {
  readonly minutesTo21: number;
  readonly minutesTo5: number;
  readonly inTime: boolean;
}

/** What a stew in its container is, and what is told of its cooling. */
interface CoolingOptions {
  /** As hot as it goes into the container, °C; 57 when nothing is said. */
  readonly fromC?: number;
  /** The thickest piece that lies in it: its middle has to be cold as well. */
  readonly piece?: CookingBody;
  /** Told of every minute: the stew's temperature before and after it, °C. */
  readonly follow?: (seconds: number, fromC: number, toC: number) => void;
}

/**
 * Cooling of a depth of stew in the fridge, both faces free, with or without an ice bath first. A piece in it feels the
 * stew's own temperature.
 *
 * @param depthCm of the container
 * @param bathMinutes stirred in ice water first
 * @param options how hot it is, what lies in it, who is told
 * @returns minutes from 57 °C until the middle is at 21 and at 5 °C, and whether that is within the published times
 * Accuracy: the full series of a slab within 2 % (tests).
 * @example coolStew(2, 0).inTime // true
 */
export function coolStew(
  depthCm: number,
  bathMinutes: number,
  { fromC = COOLS.fromC, piece, follow }: CoolingOptions = {},
): Cooling {
  const passed = new Map<number, number>();
  let minutes = 0;
  const look = (slabC: number): boolean => {
    const middle = Math.max(slabC, piece?.coreC ?? -Infinity);
    for (const mark of MARKS) if (!passed.has(mark) && middle <= mark) passed.set(mark, minutes);
    return passed.has(COOLS.allC);
  };
  if (!look(fromC)) {
    for (const { seconds, fromMeanC, toMeanC, coreC } of slabOf(depthCm, bathMinutes, fromC)) {
      piece?.advance(seconds, fromMeanC, toMeanC);
      follow?.(seconds, fromMeanC, toMeanC);
      minutes += seconds / 60;
      if (look(coreC)) break;
    }
  }
  const since = passed.get(COOLS.fromC) ?? 0;
  const minutesTo21 = (passed.get(COOLS.firstC) ?? LONGEST) - since;
  const minutesTo5 = (passed.get(COOLS.allC) ?? LONGEST) - since;
  return {
    minutesTo21,
    minutesTo5,
    inTime: minutesTo21 <= COOLS.firstMinutes && minutesTo5 <= COOLS.allMinutes,
  };
}

/** What a mean and a middle were over a step of a slab that cools. */
interface SlabStep {
  readonly seconds: number;
  readonly fromMeanC: number;
  readonly toMeanC: number;
  readonly coreC: number;
}

/** A slab does not change with what lies in it, and plans are reckoned at every move of a handle. */
const slabs = new Map<string, readonly SlabStep[]>();
const MOST_SLABS = 40;

/** A depth of stew, until its middle is as cold as the fridge gets it. */
function slabOf(depthCm: number, bathMinutes: number, fromC: number): readonly SlabStep[] {
  const key = [depthCm, bathMinutes, fromC].join(' ');
  const known = slabs.get(key);
  if (known !== undefined) return known;
  const first = bathMinutes > 0 ? ICE_BATH : FRIDGE;
  let body = new ConductionBody(
    { kind: 'wall', halfThickness: depthCm / 200 },
    { conductivity: CONDUCTIVITY, diffusivity: DIFFUSIVITY, surface: first.surface },
    fromC,
    7,
  );
  const steps: SlabStep[] = [];
  for (let minutes = 0; minutes < LONGEST && body.coreC() > COLDEST_C; minutes += STEP_S / 60) {
    if (minutes === bathMinutes && bathMinutes > 0) body = body.withSurface(FRIDGE.surface);
    const { celsius } = minutes < bathMinutes ? ICE_BATH : FRIDGE;
    const fromMeanC = body.heatK();
    body.advance(STEP_S, celsius, celsius);
    steps.push({ seconds: STEP_S, fromMeanC, toMeanC: body.heatK(), coreC: body.coreC() });
  }
  const kept = joined(steps);
  if (slabs.size >= MOST_SLABS) slabs.clear();
  slabs.set(key, kept);
  return kept;
}

/** Fridge air is at 3 °C: nothing that lies in it is waited for below this. */
const COLDEST_C = 3.5;
/** Slowly as it goes at the end, five minutes are one step for what lies in it. */
const JOINED = 5;
const SLOW_K_A_STEP = 0.2;

function joined(steps: readonly SlabStep[]): SlabStep[] {
  const out: SlabStep[] = [];
  for (let i = 0; i < steps.length;) {
    const here = steps[i] as SlabStep;
    const slow = Math.abs(here.fromMeanC - here.toMeanC) < SLOW_K_A_STEP && here.coreC < COOLS.firstC;
    const last = steps[Math.min(steps.length, i + (slow ? JOINED : 1)) - 1] as SlabStep;
    const many = slow ? Math.min(JOINED, steps.length - i) : 1;
    out.push({ seconds: many * STEP_S, fromMeanC: here.fromMeanC, toMeanC: last.toMeanC, coreC: last.coreC });
    i += many;
  }
  return out;
}

/**
 * Ice for a bath that takes a stew from the pot to 21 °C, kg.
 *
 * @param grams of the stew
 * @param fromC as it comes from the pot
 * @example Math.round(iceForBath(3000, 90) * 10) / 10 // 2.3
 */
export function iceForBath(grams: number, fromC: number): number {
  return ((grams / 1000) * STEW_J_PER_KG_K * Math.max(0, fromC - COOLS.firstC)) / ICE_J_PER_KG;
}
