import type { Quantity, QuantityKind, UnitSystem } from './value';
import { parseNumber, printFraction } from './fraction';

/** NIST Handbook 44, appendix C: the avoirdupois pound and the inch are exact by definition. */
const GRAMS_PER_POUND = 453.59237;
export const GRAMS_PER_OUNCE = GRAMS_PER_POUND / 16;
const CM_PER_INCH = 2.54;
/** US customary: 1 cup = 236.588 ml = 16 tablespoons = 48 teaspoons (NIST Handbook 44, appendix C). */
export const ML_PER_CUP = 236.588;
const ML_PER_TABLESPOON = ML_PER_CUP / 16;
const ML_PER_TEASPOON = ML_PER_CUP / 48;
const LITRES_PER_QUART = 0.946353;
/** The international foot; a pound-force to the square inch (NIST SP 811, appendix B). */
const METRES_PER_FOOT = 0.3048;
const KPA_PER_PSI = 6.894757;

/** How a language writes quantities: its decimal mark, and its names for the units that have one. */
export interface Writing {
  readonly decimal: string;
  readonly cup: string;
  readonly cups: string;
  readonly tbsp: string;
  readonly tsp: string;
  readonly inches: string;
  readonly feet: string;
}

/** As English writes them. */
const ENGLISH: Writing = {
  decimal: '.',
  cup: 'cup',
  cups: 'cups',
  tbsp: 'tbsp',
  tsp: 'tsp',
  inches: 'in',
  feet: 'ft',
};

const fixed = (value: number, decimals: number, { decimal }: Writing): string =>
  value.toFixed(decimals).replace('.', decimal);

const trimmed = (value: number, decimals: number, { decimal }: Writing): string =>
  String(Number(value.toFixed(decimals))).replace('.', decimal);

/** One decimal kept when it says something: kitchens write 1.6 kg and 2 kg. */
function printMass(grams: number, system: UnitSystem, writing: Writing): string {
  if (system === 'metric') return grams < 1000 ? `${Math.round(grams)} g` : `${trimmed(grams / 1000, 2, writing)} kg`;
  const ounces = grams / GRAMS_PER_OUNCE;
  if (ounces < 1) return `${printFraction(Math.round(ounces * 4) / 4, ['¼', '½', '¾'])} oz`;
  const whole = Math.round(ounces * 2) / 2;
  const pounds = Math.floor(whole / 16);
  const rest = whole - pounds * 16;
  if (pounds === 0) return `${printFraction(rest, ['½'])} oz`;
  return rest === 0 ? `${pounds} lb` : `${pounds} lb ${printFraction(rest, ['½'])} oz`;
}

function printLength(cm: number, system: UnitSystem, writing: Writing): string {
  if (system === 'metric') return `${trimmed(cm, 1, writing)} cm`;
  return `${printFraction(Math.round((cm / CM_PER_INCH) * 8) / 8, ['⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'])} ${writing.inches}`;
}

function printTemperature(celsius: number, system: UnitSystem): string {
  return system === 'metric' ? `${Math.round(celsius)} °C` : `${Math.round(celsius * 1.8 + 32)} °F`;
}

function printVolume(ml: number, system: UnitSystem, writing: Writing): string {
  if (system === 'metric') return ml < 1000 ? `${Math.round(ml)} ml` : `${trimmed(ml / 1000, 2, writing)} l`;
  if (ml < ML_PER_TABLESPOON * 0.9) return `${printFraction(ml / ML_PER_TEASPOON, ['¼', '½', '¾'])} ${writing.tsp}`;
  // Spoons where no cup measure is near: a third of a cup and then nothing until a half would be too coarse.
  const measure = [1 / 4, 1 / 3].some((share) => Math.abs(ml / (ML_PER_CUP * share) - 1) < 0.04);
  if (ml < ML_PER_CUP * 0.45 && !measure) return `${printFraction(ml / ML_PER_TABLESPOON, ['½'])} ${writing.tbsp}`;
  const cups = ml / ML_PER_CUP;
  return `${printFraction(cups, ['¼', '⅓', '½', '⅔', '¾'])} ${cups > 1.1 ? writing.cups : writing.cup}`;
}

/** What a pot holds: to the half quart, as they are sold. */
function printCapacity(litres: number, system: UnitSystem, writing: Writing): string {
  if (system === 'metric') return `${trimmed(litres, 1, writing)} l`;
  return `${printFraction(Math.round((litres / LITRES_PER_QUART) * 2) / 2, ['½'])} qt`;
}

/** Ten feet are as near as a map knows them, and thin air does not ask for less. */
function printAltitude(metres: number, system: UnitSystem, writing: Writing): string {
  return system === 'metric'
    ? `${Math.round(metres)} m`
    : `${Math.round(metres / METRES_PER_FOOT / 10) * 10} ${writing.feet}`;
}

function printPressure(kPa: number, system: UnitSystem, writing: Writing): string {
  return system === 'metric' ? `${trimmed(kPa, 1, writing)} kPa` : `${trimmed(kPa / KPA_PER_PSI, 1, writing)} psi`;
}

/**
 * Prints a quantity the way people write it: `1.6 kg`, `1 lb 12 oz`, `1½ in`, `240 °F`, `¾ cup`, `2 tbsp`, `6 qt`.
 *
 * @param kind what is measured
 * @param value in the core's kitchen units: g, cm, °C, ml, l, m, kPa
 * @param writing of the reader's language
 * @example printQuantity('mass', 794, 'us') // '1 lb 12 oz'
 */
export function printQuantity(
  kind: QuantityKind,
  value: number,
  system: UnitSystem,
  writing: Writing = ENGLISH,
): string {
  switch (kind) {
    case 'mass':
      return printMass(value, system, writing);
    case 'length':
      return printLength(value, system, writing);
    case 'temperature':
      return printTemperature(value, system);
    case 'volume':
      return printVolume(value, system, writing);
    case 'capacity':
      return printCapacity(value, system, writing);
    case 'altitude':
      return printAltitude(value, system, writing);
    case 'pressure':
      return printPressure(value, system, writing);
  }
}

/**
 * Prints a duration as cooks say it.
 *
 * @param minutes zero or more; rounded to the minute
 * @example printDuration(166) // '2 h 46 min'
 */
export function printDuration(minutes: number): string {
  const whole = Math.round(minutes);
  const hours = Math.floor(whole / 60);
  const rest = whole - hours * 60;
  if (hours === 0) return `${rest} min`;
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}

/** Spoons to the half. */
const printTablespoons = (value: number, { tbsp }: Writing): string =>
  `${Math.floor(value) > 0 ? Math.floor(value) : ''}${value % 1 === 0 ? '' : '½'} ${tbsp}`;

/**
 * Prints anything a message may hold of quantities: what kitchens measure, and differences, contents, spoons, durations.
 *
 * @param kind what it is
 * @param value kitchen units; `rise` in kelvin, `litres` what is in a pot, finer than pots are sold by, `duration` minutes
 * @param system the reader's units
 * @param writing of the reader's language
 * @example printAny('rise', 20, 'us') // '36 °F'
 */
export function printAny(
  kind: Quantity['quantity'],
  value: number,
  system: UnitSystem,
  writing: Writing = ENGLISH,
): string {
  switch (kind) {
    case 'rise':
      return system === 'metric' ? `${Math.round(value)} °C` : `${Math.round(value * 1.8)} °F`;
    case 'litres':
      return system === 'metric'
        ? `${fixed(value, 1, writing)} l`
        : `${fixed(value / LITRES_PER_QUART, 1, writing)} qt`;
    case 'tablespoons':
      return printTablespoons(value, writing);
    case 'duration':
      return printDuration(value);
    default:
      return printQuantity(kind, value, system, writing);
  }
}

type UnitTable = Readonly<Record<string, (value: number) => number>>;

const times =
  (factor: number) =>
  (value: number): number =>
    value * factor;

const UNITS: Readonly<Record<QuantityKind, UnitTable>> = {
  mass: {
    g: times(1),
    gram: times(1),
    grams: times(1),
    gramo: times(1),
    gramos: times(1),
    kg: times(1000),
    kilo: times(1000),
    kilos: times(1000),
    kilogramo: times(1000),
    kilogramos: times(1000),
    lb: times(GRAMS_PER_POUND),
    lbs: times(GRAMS_PER_POUND),
    pound: times(GRAMS_PER_POUND),
    pounds: times(GRAMS_PER_POUND),
    libra: times(GRAMS_PER_POUND),
    libras: times(GRAMS_PER_POUND),
    oz: times(GRAMS_PER_OUNCE),
    ounce: times(GRAMS_PER_OUNCE),
    ounces: times(GRAMS_PER_OUNCE),
    onza: times(GRAMS_PER_OUNCE),
    onzas: times(GRAMS_PER_OUNCE),
  },
  length: {
    cm: times(1),
    mm: times(0.1),
    in: times(CM_PER_INCH),
    inch: times(CM_PER_INCH),
    inches: times(CM_PER_INCH),
    pulg: times(CM_PER_INCH),
    pulgada: times(CM_PER_INCH),
    pulgadas: times(CM_PER_INCH),
  },
  temperature: {
    '°c': times(1),
    c: times(1),
    '°f': (value) => (value - 32) / 1.8,
    f: (value) => (value - 32) / 1.8,
  },
  volume: {
    ml: times(1),
    cl: times(10),
    dl: times(100),
    l: times(1000),
    litre: times(1000),
    litres: times(1000),
    litro: times(1000),
    litros: times(1000),
    cup: times(ML_PER_CUP),
    cups: times(ML_PER_CUP),
    taza: times(ML_PER_CUP),
    tazas: times(ML_PER_CUP),
    tbsp: times(ML_PER_TABLESPOON),
    cda: times(ML_PER_TABLESPOON),
    cdas: times(ML_PER_TABLESPOON),
    cucharada: times(ML_PER_TABLESPOON),
    cucharadas: times(ML_PER_TABLESPOON),
    tsp: times(ML_PER_TEASPOON),
    cdta: times(ML_PER_TEASPOON),
    cdtas: times(ML_PER_TEASPOON),
    cucharadita: times(ML_PER_TEASPOON),
    cucharaditas: times(ML_PER_TEASPOON),
  },
  capacity: {
    l: times(1),
    litre: times(1),
    litres: times(1),
    litro: times(1),
    litros: times(1),
    qt: times(LITRES_PER_QUART),
    quart: times(LITRES_PER_QUART),
    quarts: times(LITRES_PER_QUART),
    cuarto: times(LITRES_PER_QUART),
    cuartos: times(LITRES_PER_QUART),
  },
  altitude: {
    m: times(1),
    metres: times(1),
    meters: times(1),
    metro: times(1),
    metros: times(1),
    ft: times(METRES_PER_FOOT),
    feet: times(METRES_PER_FOOT),
    pie: times(METRES_PER_FOOT),
    pies: times(METRES_PER_FOOT),
  },
  pressure: { kpa: times(1), bar: times(100), mbar: times(0.1), hpa: times(0.1), psi: times(KPA_PER_PSI) },
};

/** The unit a bare number is taken to be in, by system. Bare masses are grams until they could only be kilos. */
const BARE: Readonly<Record<QuantityKind, Readonly<Record<UnitSystem, string>>>> = {
  mass: { metric: 'g', us: 'lb' },
  length: { metric: 'cm', us: 'in' },
  temperature: { metric: '°c', us: '°f' },
  volume: { metric: 'ml', us: 'cup' },
  capacity: { metric: 'l', us: 'qt' },
  altitude: { metric: 'm', us: 'ft' },
  pressure: { metric: 'kpa', us: 'psi' },
};

/**
 * Reads a quantity in any unit of its kind, whatever the cook's system and language: `1.6 kg`, `2 cdas`, `3 lb 8 oz`, `1½ in`, `2 tbsp`.
 * A bare number is in the system's own unit; a bare mass below 20 in metric is kilograms, for nobody braises 2 g.
 *
 * @returns the value in g, cm, °C, ml, l, m or kPa; undefined where the text cannot be read
 * @example parseQuantity('mass', '3 lb 8 oz', 'metric') // 1587.57
 */
export function parseQuantity(kind: QuantityKind, text: string, system: UnitSystem): number | undefined {
  const table = UNITS[kind];
  let rest = text.trim().toLowerCase();
  if (rest === '') return undefined;
  const bare = parseNumber(rest);
  if (bare !== undefined) {
    const unit = kind === 'mass' && system === 'metric' && bare < 20 ? 'kg' : BARE[kind][system];
    return table[unit]?.(bare);
  }
  let total: number | undefined;
  while (rest !== '') {
    const part = /^(-?[\d.,/¼½¾⅓⅔⅛⅜⅝⅞ ]+?)\s*(°?[a-z]+)\.?\s*/.exec(rest);
    if (!part) return undefined;
    const number = parseNumber(part[1] ?? '');
    const convert = table[part[2] ?? ''];
    if (number === undefined || convert === undefined) return undefined;
    if (total !== undefined && (kind === 'temperature' || kind === 'altitude')) return undefined;
    total = (total ?? 0) + convert(number);
    rest = rest.slice(part[0].length);
  }
  return total;
}
