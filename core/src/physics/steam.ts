import { within } from '../units/range';

/** Coefficients n1 to n10 of IAPWS-IF97 region 4 (IAPWS R7-97(2012), table 34). */
const N1 = 0.11670521452767e4;
const N2 = -0.72421316703206e6;
const N3 = -0.17073846940092e2;
const N4 = 0.1202082470247e5;
const N5 = -0.32325550322333e7;
const N6 = 0.1491510861353e2;
const N7 = -0.48232657361591e4;
const N8 = 0.40511340542057e6;
const N9 = -0.23855557567849;
const N10 = 0.65017534844798e3;

const KELVIN = 273.15;
/** 273.15 K to the critical point, 647.096 K. */
const TEMPERATURE_RANGE = { min: 0, max: 373.946, unit: '°C' };
const PRESSURE_RANGE = { min: 0.611213, max: 22064, unit: 'kPa' };

/**
 * Saturation pressure of water. IAPWS R7-97(2012), equation 30.
 *
 * @param temperatureC 0 to 373.946 °C
 * @returns kPa absolute
 * @throws RangeError outside the range
 * Accuracy: reproduces table 35 of the release to its nine digits.
 * @example saturationPressureKPa(100) // 101.41797792131041
 */
export function saturationPressureKPa(temperatureC: number): number {
  within('temperature', temperatureC, TEMPERATURE_RANGE);
  const t = temperatureC + KELVIN;
  const theta = t + N9 / (t - N10);
  const a = theta * theta + N1 * theta + N2;
  const b = N3 * theta * theta + N4 * theta + N5;
  const c = N6 * theta * theta + N7 * theta + N8;
  const beta = (2 * c) / (-b + Math.sqrt(b * b - 4 * a * c));
  return 1000 * beta ** 4;
}

/**
 * Saturation (boiling) temperature of water. IAPWS R7-97(2012), equation 31.
 *
 * @param pressureKPa absolute, 0.611213 to 22064 kPa
 * @returns °C
 * @throws RangeError outside the range
 * Accuracy: reproduces table 36 of the release to its nine digits.
 * @example saturationTemperatureC(101.325) // 99.9743
 */
export function saturationTemperatureC(pressureKPa: number): number {
  within('pressure', pressureKPa, PRESSURE_RANGE);
  const beta = (pressureKPa / 1000) ** 0.25;
  const e = beta * beta + N3 * beta + N6;
  const f = N1 * beta * beta + N4 * beta + N7;
  const g = N2 * beta * beta + N5 * beta + N8;
  const d = (2 * g) / (-f - Math.sqrt(f * f - 4 * e * g));
  return (N10 + d - Math.sqrt((N10 + d) ** 2 - 4 * (N9 + N10 * d))) / 2 - KELVIN;
}

/**
 * Latent heat of vaporisation of water near boiling: a straight line through the steam-table values at 100 °C
 * (2256.4 kJ/kg) and 120 °C (2202 kJ/kg). Steam tables; the two values from memory.
 *
 * @param temperatureC 60 to 140 °C
 * @returns J/kg
 * @throws RangeError outside the range
 * Accuracy: 0.3 % over the range.
 * @example latentHeatJPerKg(100) // 2256400
 */
export function latentHeatJPerKg(temperatureC: number): number {
  within('temperature', temperatureC, { min: 60, max: 140, unit: '°C' });
  return 1000 * (2256.4 + ((2202 - 2256.4) / 20) * (temperatureC - 100));
}
