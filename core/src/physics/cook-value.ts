/** °C; the temperature at which a cook value of one is one minute. */
export const COOK_REFERENCE_C = 100;
/** °C for a tenfold rate. Mansfield 1962; Holdsworth and Simpson, Thermal Processing of Packaged Foods (from memory). */
export const COOK_Z_C = 33.1;

const LN10_PER_Z = Math.LN10 / COOK_Z_C;

/**
 * Rate of the cook value: minutes at 100 °C that one minute at a temperature is worth.
 * Mansfield 1962; Holdsworth and Simpson, Thermal Processing of Packaged Foods (from memory).
 *
 * @param temperatureC any temperature
 * @returns dimensionless (cook-value minutes per minute)
 * @example cookRate(100) // 1
 * @example cookRate(115.7) // 2.981
 */
export function cookRate(temperatureC: number): number {
  return Math.exp(LN10_PER_Z * (temperatureC - COOK_REFERENCE_C));
}

/**
 * Cook value of one stretch in which the temperature goes in a straight line, integrated exactly.
 *
 * @param minutes its length
 * @param fromC temperature at its start
 * @param toC temperature at its end
 * @returns minutes at 100 °C
 * @example straightCookValue(10, 100, 100) // 10
 */
export function straightCookValue(minutes: number, fromC: number, toC: number): number {
  const slope = LN10_PER_Z * (toC - fromC);
  return minutes * cookRate(fromC) * (Math.abs(slope) < 1e-9 ? 1 : Math.expm1(slope) / slope);
}

/**
 * Cook value of a history of temperatures: the integral of the rate, each stretch between samples taken as a straight
 * line of temperature and integrated exactly.
 *
 * @param minutes sample times, rising, in minutes
 * @param temperaturesC one temperature a sample, °C
 * @returns minutes at 100 °C
 * @throws RangeError when the two lists differ in length
 * @example cookValue([0, 10], [100, 100]) // 10
 */
export function cookValue(minutes: readonly number[], temperaturesC: readonly number[]): number {
  if (minutes.length !== temperaturesC.length) {
    throw new RangeError(`${minutes.length} times and ${temperaturesC.length} temperatures: one of each is needed`);
  }
  let total = 0;
  for (let i = 1; i < minutes.length; i += 1) {
    const dt = (minutes[i] as number) - (minutes[i - 1] as number);
    total += straightCookValue(dt, temperaturesC[i - 1] as number, temperaturesC[i] as number);
  }
  return total;
}
