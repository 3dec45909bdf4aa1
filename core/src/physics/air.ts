import { within } from '../units/range';

/** ISO 2533:1975, table 1 and section 2: sea-level values, lapse rate, gas constant, gravity. */
const SEA_LEVEL_KPA = 101.325;
const SEA_LEVEL_K = 288.15;
const LAPSE_K_PER_M = -0.0065;
const GAS_CONSTANT = 287.05287;
const GRAVITY = 9.80665;

/** Below the lowest shore on earth, and above the highest village. */
export const ALTITUDE_RANGE = { min: -430, max: 5500, unit: 'm' } as const;

/**
 * Air pressure of the standard atmosphere. ISO 2533:1975, equation for the layer of constant lapse rate.
 *
 * @param altitudeM geopotential altitude, -430 to 5500 m
 * @returns kPa absolute
 * @throws RangeError outside the range
 * Accuracy: the standard's own table to its six digits; weather moves the real figure by up to 3 %.
 * @example airPressureKPa(1000) // 89.8746
 */
export function airPressureKPa(altitudeM: number): number {
  within('altitude', altitudeM, ALTITUDE_RANGE);
  const ratio = 1 + (LAPSE_K_PER_M * altitudeM) / SEA_LEVEL_K;
  return SEA_LEVEL_KPA * ratio ** (-GRAVITY / (GAS_CONSTANT * LAPSE_K_PER_M));
}
