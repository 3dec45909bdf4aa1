import { quantity, say, type Text } from '@hervir/language/message';
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
  readonly steps: readonly Text[];
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
 * @param servedAt ISO 8601, or null
 * @example leftovers(4).steps.length // 4
 */
export function leftovers(portions: number, servedAt: string | null = null): Leftovers {
  const { depthCm, bathMinutes } = limits();
  const cold = (celsius: number): Text => quantity('temperature', celsius);
  const deep = (cm: number): Text => quantity('length', cm);
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
      say('leftovers.into-shallow-containers-and-the', { depthCm: depthCm === null, deep: deep(depthCm ?? 5) }),
      bathMinutes === null || bathMinutes === 0
        ? say('leftovers.deeper-than-that-stir-it')
        : say('leftovers.as-deep-as-stir-it', {
            deep: deep(5),
            bathMinutes,
            cold: cold(COOLS.fromC),
            cool: cold(COOLS.firstC),
            chilled: cold(COOLS.allC),
          }),
      say('leftovers.fridge-3-to-4-days', { value: Math.max(1, Math.round(portions)) }),
      say('leftovers.warm-it-to-in-the', { cold: cold(74) }),
    ],
  };
}
