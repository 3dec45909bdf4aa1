import { airPressureKPa } from '../physics/air';
import { saturationTemperatureC } from '../physics/steam';
import type { Cooker, Kitchen, Plan } from '../plan/plan';
import { within } from '../units/range';

/** The fixed figures of one pot in one kitchen, in the units the stepping model runs on. */
export interface PotBuild {
  /** Boiling in the open, °C. */
  readonly boilingC: number;
  /** Saturation at working pressure, °C. */
  readonly workingC: number;
  readonly airKPa: number;
  readonly roomC: number;
  /** What the heater can put into the pot at full, W. */
  readonly heaterW: number;
  /** How much of it is on with the lid on: less where the cook turns it down. */
  readonly lidOnShare: number;
  /** Heat capacity of the pot itself, J/K. */
  readonly metalJPerK: number;
  /** Losses to the room, W/K. */
  readonly lossWPerK: number;
  /** Air and steam blown off before the pin rises, kg. */
  readonly purgeKg: number;
}

/** Share of the heater's power that reaches the pot. Common practice; from memory. */
export const EFFICIENCY = { electricPot: 0.85, gas: 0.55, electricBurner: 0.8 } as const;
/** Losses of a lidded pot, W/K. Common practice; from memory. */
const LOSS_W_PER_K = { electric: 1.5, stovetop: 3 } as const;
/** What keep-warm adds while the pressure falls, W. Common practice. */
export const KEEP_WARM_W = 100;

/** A medium flame, over a full one. Common practice. */
const MEDIUM = 0.6;

/** A straight line between a 3 l and an 8 l pot, held at its ends. */
function bySize(litres: number, small: number, large: number): number {
  return small + (large - small) * Math.min(1, Math.max(0, (litres - 3) / 5));
}

/**
 * Share of the heater's power that reaches the pot.
 *
 * @example heaterEfficiency({ kind: 'electric', burner: 'electric' }) // 0.85
 */
export function heaterEfficiency(cooker: Pick<Cooker, 'kind' | 'burner'>): number {
  if (cooker.kind === 'electric') return EFFICIENCY.electricPot;
  return cooker.burner === 'gas' ? EFFICIENCY.gas : EFFICIENCY.electricBurner;
}

/**
 * Air pressure of a kitchen: measured where it was, else the standard atmosphere at its altitude.
 *
 * @returns kPa absolute
 * @throws RangeError outside 50 to 110 kPa or the range of altitudes
 * @example kitchenAirKPa({ altitudeM: 1000, roomC: 20 }) // 89.8746
 */
export function kitchenAirKPa(kitchen: Kitchen): number {
  if (kitchen.airKPa === undefined) return airPressureKPa(kitchen.altitudeM);
  return within('air pressure', kitchen.airKPa, { min: 50, max: 110, unit: 'kPa' });
}

/**
 * Temperature of saturated steam at the cooker's gauge pressure in this kitchen.
 *
 * @param gaugeKPa above the air outside
 * @returns °C
 * @example workingTemperatureC(72, { altitudeM: 0, roomC: 20 }) // 115.7
 */
export function workingTemperatureC(gaugeKPa: number, kitchen: Kitchen): number {
  return saturationTemperatureC(kitchenAirKPa(kitchen) + gaugeKPa);
}

/**
 * The figures the stepping model needs of a cooker in a kitchen. Heat capacity of the metal (0.9 to 1.5 kJ/K) and purge
 * (20 to 60 g) go with the size of the pot. Common practice; from memory.
 *
 * @param heat with the lid on; only a burner can be turned down
 * @param learnt what this cooker's cooks have taught of its heat and losses
 * @throws RangeError when the kitchen is outside its ranges
 * @example potBuild(DEFAULT_COOKER, DEFAULT_KITCHEN).heaterW // 850
 */
export function potBuild(
  cooker: Cooker,
  kitchen: Kitchen,
  heat: Plan['heat'] = 'full',
  learnt?: Plan['learnt'],
): PotBuild {
  const airKPa = kitchenAirKPa(kitchen);
  // An electric pot brings itself up as it likes.
  const turnedDown = heat === 'medium' && cooker.kind === 'stovetop';
  return {
    boilingC: saturationTemperatureC(airKPa),
    workingC: saturationTemperatureC(airKPa + cooker.gaugeKPa),
    airKPa,
    roomC: kitchen.roomC,
    heaterW: cooker.watts * heaterEfficiency(cooker) * (learnt?.heat?.factor ?? 1),
    lidOnShare: turnedDown ? MEDIUM : 1,
    metalJPerK: bySize(cooker.litres, 900, 1500),
    lossWPerK: LOSS_W_PER_K[cooker.kind] * (learnt?.losses?.factor ?? 1),
    purgeKg: bySize(cooker.litres, 0.02, 0.06),
  };
}

/**
 * Area of the pot's base.
 *
 * @param baseDiameterCm above 0
 * @returns m²
 * @throws RangeError when the diameter is not above zero
 * @example baseAreaM2(21.5) // 0.0363
 */
export function baseAreaM2(baseDiameterCm: number): number {
  within('base diameter', baseDiameterCm, { min: 1, max: 100, unit: 'cm' });
  return (Math.PI / 4) * (baseDiameterCm / 100) ** 2;
}
