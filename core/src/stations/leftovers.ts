import { ConductionBody } from '../physics/conduction/body';
import type { Printer } from '../units/quantity';
import { shiftIso } from '../units/time';

/** Stew: mostly water, W/m K and m²/s. Choi and Okos for eight tenths of water. */
const CONDUCTIVITY = 0.55;
const DIFFUSIVITY = 1.45e-7;
/** Fridge air at both faces, and a stirred ice bath, W/m² K and °C. Common practice; from memory. */
const FRIDGE = { surface: 8, airC: 3 };
const ICE_BATH = { surface: 300, waterC: 1 };
/** US FDA Food Code 2022, 3-501.14: 57 to 21 °C within two hours, and to 5 °C within six in all; from memory. */
const FROM_C = 57;
const FIRST = { toC: 21, minutes: 120 };
const ALL = { toC: 5, minutes: 360 };
const STEP_S = 60;

/** How a depth of stew cools. */
export interface Cooling {
  readonly minutesTo21: number;
  readonly minutesTo5: number;
  readonly inTime: boolean;
}

function minutesTo(body: ConductionBody, celsius: number, fluidC: number, from: number): number {
  let minutes = from;
  while (body.coreC() > celsius && minutes < 24 * 60) {
    body.advance(STEP_S, fluidC, fluidC);
    minutes += STEP_S / 60;
  }
  return minutes;
}

/**
 * Cooling of a depth of stew in the fridge, both faces free, with or without an ice bath first.
 *
 * @param depthCm of the container
 * @param bathMinutes stirred in ice water first
 * @returns minutes from 57 °C until the middle is at 21 and at 5 °C, and whether that is within the published times
 * Accuracy: the full series of a slab within 1 % (tests).
 * @example coolStew(2, 0).inTime // true
 */
export function coolStew(depthCm: number, bathMinutes: number): Cooling {
  const slab = (surface: number): ConductionBody =>
    new ConductionBody(
      { kind: 'wall', halfThickness: depthCm / 200 },
      { conductivity: CONDUCTIVITY, diffusivity: DIFFUSIVITY, surface },
      FROM_C,
      7,
    );
  let body = slab(ICE_BATH.surface);
  let minutes = 0;
  let to21: number | null = null;
  for (; minutes < bathMinutes; minutes += 1) {
    body.advance(STEP_S, ICE_BATH.waterC, ICE_BATH.waterC);
    if (to21 === null && body.coreC() <= FIRST.toC) to21 = minutes + 1;
  }
  body = bathMinutes > 0 ? body.withSurface(FRIDGE.surface) : slab(FRIDGE.surface);
  const minutesTo21 = to21 ?? minutesTo(body, FIRST.toC, FRIDGE.airC, minutes);
  const minutesTo5 = minutesTo(body, ALL.toC, FRIDGE.airC, Math.max(minutes, to21 === null ? minutesTo21 : minutes));
  return { minutesTo21, minutesTo5, inTime: minutesTo21 <= FIRST.minutes && minutesTo5 <= ALL.minutes };
}

/** Fridge 3 to 4 days, freezer 2 to 3 months: the nearer end. USDA FSIS cold storage chart; from memory. */
const FRIDGE_DAYS = 3;
const FREEZER_DAYS = 60;
const DAY_MINUTES = 1440;

/** Baths worth a cook's while, minutes. */
const BATHS = [0, 15, 30, 45, 60];

/** What to do with what is left. */
export interface Leftovers {
  /** Deepest that keeps the times in the fridge alone, cm; null where none does. */
  readonly depthCm: number | null;
  /** For a depth of 5 cm: minutes in an ice bath first; null where an hour is not enough. */
  readonly bathMinutes: number | null;
  readonly steps: readonly string[];
  /** Days to eat it by, ISO 8601 with the dinner's offset; null where no dinner is set. */
  readonly useBy: { readonly fridge: string; readonly freezer: string } | null;
}

const DEPTHS = [1, 1.5, 2, 2.5, 3, 3.5, 4, 5, 6, 8];
let known: Pick<Leftovers, 'depthCm' | 'bathMinutes'> | null = null;

function limits(): Pick<Leftovers, 'depthCm' | 'bathMinutes'> {
  known ??= {
    depthCm: DEPTHS.filter((depth) => coolStew(depth, 0).inTime).at(-1) ?? null,
    bathMinutes: BATHS.find((bath) => coolStew(5, bath).inTime) ?? null,
  };
  return known;
}

/**
 * How what is left is cooled, kept and warmed again.
 *
 * @param portions left over or made ahead, for the freezer
 * @param print the cook's units
 * @param servedAt ISO 8601, or null
 * @example leftovers(4, printerFor('metric')).steps.length // 4
 */
export function leftovers(portions: number, print: Printer, servedAt: string | null = null): Leftovers {
  const { depthCm, bathMinutes } = limits();
  const cold = (celsius: number): string => print.quantity('temperature', celsius);
  const deep = (cm: number): string => print.quantity('length', cm);
  return {
    depthCm,
    bathMinutes,
    useBy:
      servedAt === null
        ? null
        : {
            fridge: shiftIso(servedAt, FRIDGE_DAYS * DAY_MINUTES),
            freezer: shiftIso(servedAt, FREEZER_DAYS * DAY_MINUTES),
          },
    steps: [
      `Into shallow containers and the fridge within two hours${depthCm === null ? '' : `, not deeper than ${deep(depthCm)}`}.`,
      bathMinutes === null || bathMinutes === 0
        ? 'Deeper than that: stir it in ice water until it is cold, then the fridge.'
        : `As deep as ${deep(5)}: stir it in ice water for ${bathMinutes} min first. From ${cold(FROM_C)} to ${cold(FIRST.toC)} within 2 h, to ${cold(ALL.toC)} within 6 h in all.`,
      `Fridge 3 to 4 days, freezer 2 to 3 months; freeze it by the portion, ${Math.max(1, Math.round(portions))} of them, with its sauce.`,
      `Warm it to ${cold(74)} in the middle, once.`,
    ],
  };
}
