import { say } from '@hervir/language/message';
import { ALTITUDE_RANGE } from '../physics/air';
import type { Range } from '../units/range';

/**
 * What a plan's numbers may be. One place for the schema that checks them, the fields that ask for them and the
 * messages that say what is allowed.
 */
export const LIMITS = {
  servings: { min: 1, max: 40, unit: say('limits.people') },
  confidence: { min: 0.5, max: 0.99, unit: '' },
  meatGrams: { min: 50, max: 15_000, unit: 'g' },
  trimGrams: { min: 0, max: 10_000, unit: 'g' },
  saltedMinutes: { min: 0, max: 5760, unit: 'min' },
  batches: { min: 1, max: 20, unit: say('limits.batches') },
  sauteMinutes: { min: 1, max: 120, unit: 'min' },
  pieces: { min: 1, max: 200, unit: say('limits.pieces') },
  thicknessCm: { min: 0.5, max: 25, unit: 'cm' },
  marinadeMl: { min: 0, max: 5000, unit: 'ml' },
  marinadeHours: { min: 0, max: 96, unit: 'h' },
  rubGrams: { min: 0, max: 500, unit: 'g' },
  litres: { min: 1.5, max: 30, unit: 'l' },
  baseDiameterCm: { min: 10, max: 45, unit: 'cm' },
  gaugeKPa: { min: 20, max: 150, unit: 'kPa' },
  watts: { min: 200, max: 6000, unit: 'W' },
  minimumLiquidMl: { min: 50, max: 3000, unit: 'ml' },
  burnCutoutC: { min: 120, max: 250, unit: '°C' },
  altitudeM: ALTITUDE_RANGE,
  roomC: { min: -10, max: 50, unit: '°C' },
  airKPa: { min: 50, max: 110, unit: 'kPa' },
  liquidMl: { min: 0, max: 10_000, unit: 'ml' },
  liquidC: { min: 0, max: 100, unit: '°C' },
  ingredientGrams: { min: 0, max: 5000, unit: 'g' },
  vegetableCm: { min: 0.3, max: 15, unit: 'cm' },
  recipeGrams: { min: 0, max: 20_000, unit: 'g' },
  ovenC: { min: 80, max: 280, unit: '°C' },
  pressureMinutes: { min: 0, max: 360, unit: 'min' },
  naturalMinutes: { min: 0, max: 90, unit: 'min' },
  reduceMinutes: { min: 0, max: 120, unit: 'min' },
  faceMinutes: { min: 0.5, max: 30, unit: 'min' },
  panFatMl: { min: 0, max: 250, unit: 'ml' },
  waitsMinutes: { min: 0, max: 1440, unit: 'min' },
  restMinutes: { min: 0, max: 120, unit: 'min' },
  movedMinutes: { min: 0, max: 720, unit: 'min' },
  prepFactor: { min: 0.4, max: 3, unit: say('limits.times-the-usual') },
  learntFactor: { min: 0.3, max: 3, unit: say('limits.times-the-table') },
  learntSpread: { min: 0, max: 1, unit: say('limits.of-the-logarithm') },
  aheadHours: { min: 4, max: 72, unit: 'h' },
  keptGrams: { min: 20, max: 20_000, unit: 'g' },
  keptPieceCm: { min: 0, max: 15, unit: 'cm' },
  depthCm: { min: 1, max: 15, unit: 'cm' },
  taskMinutes: { min: 0, max: 1440, unit: 'min' },
} as const satisfies Record<string, Range>;
