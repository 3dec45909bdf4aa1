import { CONTACT_W_PER_M2K } from '../pot/loading';
import { latentHeatJPerKg } from '../physics/steam';

/** Faces brown in minutes at this temperature of the base, °C, twice as fast every so many kelvin more. From memory. */
const BROWNS_AT_C = 170;
const DOUBLES_K = 15;
/** Juice that meat lying on a hot base lets go, kg/s m². From memory: with the next figure it crowds at 70 % covered. */
const JUICE_KG_PER_M2S = 4e-3;
/** From the base between the pieces into a film of juice, W/m² K above boiling. From memory, set by that rule. */
const EVAPORATES_W_PER_M2K = 380;
/** A film thinner than this is only a hiss, kg/m². From memory. */
const HISS_KG_PER_M2 = 0.03;
/** Where faces count as golden, brown and black, minutes at 170 °C. From memory. */
const PALE = 0.7;
const BROWN = 1.5;
const BLACK = 14;

/** What a seared face is like. */
export const COLOURS = ['grey', 'pale', 'brown', 'black'] as const;
export type Colour = (typeof COLOURS)[number];

/**
 * The colour of a face.
 *
 * @param minutes at 170 °C, from {@link browningRate}
 * @example colourOf(3) // 'brown'
 */
export function colourOf(minutes: number): Colour {
  if (minutes >= BLACK) return 'black';
  return minutes >= BROWN ? 'brown' : minutes >= PALE ? 'pale' : 'grey';
}

/**
 * How fast a dry face browns, as minutes at 170 °C per minute.
 *
 * @param baseC of the base it lies on, °C
 * @example browningRate(185) // 2
 */
export function browningRate(baseC: number): number {
  return 2 ** ((baseC - BROWNS_AT_C) / DOUBLES_K);
}

/** A base with meat on it. */
export interface SearBase {
  readonly areaM2: number;
  /** Area that is covered, m², at most the base's. */
  readonly coveredM2: number;
  readonly baseC: number;
  readonly boilingC: number;
}

/** What a stretch of searing did. */
export interface SearStretch {
  /** Juice lying on the base after it, kg. */
  readonly filmKg: number;
  /** Minutes at 170 °C that the faces below gained. */
  readonly browned: number;
}

/**
 * Heat that meat and juice draw from the base, W/K above boiling: drying its faces, and boiling the film where there is
 * one.
 *
 * @param base what lies on it
 * @param filmKg juice lying on it, kg
 */
export function searContact({ areaM2, coveredM2 }: Pick<SearBase, 'areaM2' | 'coveredM2'>, filmKg: number): number {
  const film = filmKg > 0 ? EVAPORATES_W_PER_M2K * Math.max(0, areaM2 - coveredM2) : 0;
  return CONTACT_W_PER_M2K * coveredM2 + film;
}

/**
 * A stretch of searing: the meat lets go of juice, the base between the pieces boils it off, and while more comes than
 * goes a film lies there and the faces steam at 100 °C instead of browning. So a crowded or a weak base steams.
 *
 * @param base temperature in °C, areas in m²
 * @param filmKg juice lying on it before, kg
 * @param seconds of the stretch
 * @returns the film after it, and how far the faces browned
 * Accuracy: its constants are from memory, set so that it crowds from 70 % covered at 1 kW (common practice).
 * @example searFor({ areaM2: 0.0363, coveredM2: 0.02, baseC: 170, boilingC: 100 }, 0, 60).browned // 1
 */
export function searFor(base: SearBase, filmKg: number, seconds: number): SearStretch {
  const { areaM2, coveredM2, baseC, boilingC } = base;
  if (coveredM2 <= 0) return { filmKg, browned: 0 };
  const open = Math.max(0, areaM2 - coveredM2);
  const boils = (EVAPORATES_W_PER_M2K * open * Math.max(0, baseC - boilingC)) / latentHeatJPerKg(100);
  const after = Math.max(0, filmKg + (JUICE_KG_PER_M2S * coveredM2 - boils) * seconds);
  const wet = Math.min(1, after / (HISS_KG_PER_M2 * areaM2));
  return { filmKg: after, browned: (1 - wet) * browningRate(baseC) * (seconds / 60) };
}
