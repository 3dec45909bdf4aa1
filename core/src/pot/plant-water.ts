import { grainById } from '../catalog/grains';

/** Cook value in which two thirds of a plant's water has come out, minutes at 100 °C. From memory. */
const PLANT_JUICE_COOK_VALUE = 15;

/**
 * Share of the water a vegetable or an aromatic gives that has come out of it: little off the heat, all in a long run.
 *
 * @param cookValue it has been through, minutes at 100 °C
 * @returns 0 to 1
 * @example waterOutShare(15) // 0.632
 */
export function waterOutShare(cookValue: number): number {
  return -Math.expm1(-cookValue / PLANT_JUICE_COOK_VALUE);
}

/**
 * Share of the water a grain takes up that it has taken, where there is enough of it.
 *
 * @param grain of the catalog
 * @param cookValue it has been through, minutes at 100 °C
 * @returns 0 to 1
 * @throws RangeError for a grain that is not in the catalog
 * @example uptakeShare('rice-white', 1000) // 1
 */
export function uptakeShare(grain: string, cookValue: number): number {
  return Math.min(1, cookValue / grainById(grain).boilMinutes[0]);
}
