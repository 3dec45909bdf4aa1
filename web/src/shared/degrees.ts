import type { UnitSystem } from '@hervir/language';

const fahrenheit = (...degrees: readonly number[]): readonly number[] => degrees.map((one) => (one - 32) / 1.8);

/** Where a scale of temperature is marked, °C: at degrees that are round as they are read. */
type Degrees = Readonly<Record<UnitSystem, readonly number[]>>;
export const LINE_DEGREES: Degrees = { metric: [20, 60, 100, 140, 180], us: fahrenheit(100, 200, 300) };
export const STRIP_DEGREES: Degrees = { metric: [50, 100, 150], us: fahrenheit(100, 200, 300) };
