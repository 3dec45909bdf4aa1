import { within } from '../units/range';

/** Mass fractions; they should add up to one. */
export interface Composition {
  readonly water: number;
  readonly protein: number;
  readonly fat: number;
  readonly carbohydrate: number;
  readonly ash: number;
}

/** What conduction needs to know of a food at one temperature. */
export interface ThermalProperties {
  /** W/m K */
  readonly conductivity: number;
  /** kg/m³ */
  readonly density: number;
  /** J/kg K */
  readonly heatCapacity: number;
  /** m²/s */
  readonly diffusivity: number;
}

type Quadratic = readonly [number, number, number];
interface ComponentModel {
  readonly conductivity: Quadratic;
  readonly density: Quadratic;
  readonly heatCapacity: Quadratic;
}

/**
 * Choi and Okos 1986, as printed in the ASHRAE Handbook Refrigeration, chapter "Thermal properties of foods", tables 1
 * and 2 (coefficients from memory): conductivity W/m K, density kg/m³, heat capacity J/kg K, t in °C.
 */
const COMPONENTS: Readonly<Record<keyof Composition, ComponentModel>> = {
  water: {
    conductivity: [5.7109e-1, 1.7625e-3, -6.7036e-6],
    density: [9.9718e2, 3.1439e-3, -3.7574e-3],
    heatCapacity: [4128.9, -9.0864e-2, 5.4731e-3],
  },
  protein: {
    conductivity: [1.7881e-1, 1.1958e-3, -2.7178e-6],
    density: [1.3299e3, -5.184e-1, 0],
    heatCapacity: [2008.2, 1.2089, -1.3129e-3],
  },
  fat: {
    conductivity: [1.8071e-1, -2.7604e-4, -1.7749e-7],
    density: [9.2559e2, -4.1757e-1, 0],
    heatCapacity: [1984.2, 1.4733, -4.8008e-3],
  },
  carbohydrate: {
    conductivity: [2.0141e-1, 1.3874e-3, -4.3312e-6],
    density: [1.5991e3, -3.1046e-1, 0],
    heatCapacity: [1548.8, 1.9625, -5.9399e-3],
  },
  ash: {
    conductivity: [3.2962e-1, 1.4011e-3, -2.9069e-6],
    density: [2.4238e3, -2.8063e-1, 0],
    heatCapacity: [1092.6, 1.8896, -3.6817e-3],
  },
};

const NAMES = Object.keys(COMPONENTS) as (keyof Composition)[];

function at(q: Quadratic, t: number): number {
  return q[0] + q[1] * t + q[2] * t * t;
}

/**
 * Thermal properties of an unfrozen food from its composition: density by specific volumes, conductivity by volume
 * fractions in parallel, heat capacity by mass (Choi and Okos 1986; ASHRAE Handbook Refrigeration).
 *
 * @param composition mass fractions, adding up to 1 within 2 %
 * @param temperatureC 0 to 125 °C
 * @throws RangeError outside the range, or when the fractions do not add up
 * Accuracy: conductivity 5 to 10 %, heat capacity 5 %, as the handbook says of the method.
 * @example foodProperties({ water: 0.72, protein: 0.21, fat: 0.06, carbohydrate: 0, ash: 0.01 }, 40).conductivity // 0.529
 */
export function foodProperties(composition: Composition, temperatureC: number): ThermalProperties {
  within('temperature', temperatureC, { min: 0, max: 125, unit: '°C' });
  const sum = NAMES.reduce((total, name) => total + composition[name], 0);
  within('sum of mass fractions', sum, { min: 0.98, max: 1.02, unit: '' });
  let volume = 0;
  let heatCapacity = 0;
  let weighted = 0;
  for (const name of NAMES) {
    const share = composition[name] / sum;
    const specific = share / at(COMPONENTS[name].density, temperatureC);
    volume += specific;
    weighted += specific * at(COMPONENTS[name].conductivity, temperatureC);
    heatCapacity += share * at(COMPONENTS[name].heatCapacity, temperatureC);
  }
  const density = 1 / volume;
  const conductivity = weighted / volume;
  return { conductivity, density, heatCapacity, diffusivity: conductivity / (density * heatCapacity) };
}
