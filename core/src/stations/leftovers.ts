import type { Printer } from '../units/quantity';
import { shiftIso } from '../units/time';
import { COOLS, coolStew } from './cooling';

/** Fridge 3 to 4 days, freezer 2 to 3 months: the nearer end. USDA FSIS cold storage chart; from memory. */
export const FRIDGE_DAYS = 3;
export const FREEZER_DAYS = 60;
const DAY_MINUTES = 1440;

/** Baths worth a cook's while, minutes. */
export const BATHS = [0, 15, 30, 45, 60];

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
        : `As deep as ${deep(5)}: stir it in ice water for ${bathMinutes} min first. From ${cold(COOLS.fromC)} to ${cold(COOLS.firstC)} within 2 h, to ${cold(COOLS.allC)} within 6 h in all.`,
      `Fridge 3 to 4 days, freezer 2 to 3 months; freeze it by the portion, ${Math.max(1, Math.round(portions))} of them, with its sauce.`,
      `Warm it to ${cold(74)} in the middle, once.`,
    ],
  };
}
