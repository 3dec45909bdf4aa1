import type { Cooker, Kitchen } from '../plan/plan';
import { within } from '../units/range';
import { heaterEfficiency, potBuild } from './cooker';
import { Pot } from './pot-model';
import { heatUp } from './pressure-run';

/** What timing a litre of water tells of a pot. */
export interface WaterTest {
  /** Heat that reaches the pot, W. */
  readonly heatW: number;
  /** The heater's own power for that, at the usual efficiency of its kind, W. */
  readonly watts: number;
}

/** From the coldest tap, and the weakest and strongest heater that a kitchen has. */
const LEAST_W = 100;
const MOST_W = 5000;

/**
 * Finds out a cooker's power from one litre of cold water, lid locked, on full heat: the minutes until the pin rises.
 * The same pot model that forecasts is run backwards, by bisection.
 *
 * @param cooker its size and kind; its watts are what is sought
 * @param kitchen for boiling and losses
 * @param waterC of the cold water, 1 to 40 °C
 * @param minutesToPin 2 to 60
 * @returns power, to about 5 % where the minutes are right to the half
 * @throws RangeError outside the ranges, or when no heater does it in that time
 * @example waterTest(DEFAULT_COOKER, DEFAULT_KITCHEN, 15, 11.5).watts > 700 // true
 */
export function waterTest(cooker: Cooker, kitchen: Kitchen, waterC: number, minutesToPin: number): WaterTest {
  within('water temperature', waterC, { min: 1, max: 40, unit: '°C' });
  within('minutes to the pin', minutesToPin, { min: 2, max: 60, unit: 'min' });
  const build = potBuild(cooker, kitchen);
  const minutesAt = (heaterW: number): number => {
    const pot = new Pot({ ...build, heaterW }, build.roomC);
    pot.pour(1, waterC);
    return heatUp(pot, { timerStarts: 'pin', keepWarmOff: true })?.toPin ?? Number.POSITIVE_INFINITY;
  };
  if (minutesAt(MOST_W) > minutesToPin)
    throw new RangeError(`minutes to the pin ${minutesToPin}: no kitchen heater is that fast; time it again`);
  let [low, high] = [LEAST_W, MOST_W];
  while (high - low > 1) {
    const middle = (low + high) / 2;
    if (minutesAt(middle) > minutesToPin) low = middle;
    else high = middle;
  }
  return { heatW: Math.round(high), watts: Math.round(high / heaterEfficiency(cooker) / 10) * 10 };
}
