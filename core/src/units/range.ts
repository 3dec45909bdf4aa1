import type { Text } from '@hervir/language/message';
/** A closed range of a quantity with its unit, so that an error can say what is allowed. */
export interface Range {
  readonly min: number;
  readonly max: number;
  readonly unit: Text;
}

/**
 * Throws unless a number is finite and inside a range. Physics below is only valid over a stated range, and a silent
 * extrapolation would reach a cook as a confident figure.
 *
 * @param name what the number is, as the caller names it
 * @param value the number, in the range's unit
 * @param range what is allowed
 * @returns the value
 * @throws RangeError naming the quantity and the allowed range
 * @example within('altitude', 1480, { min: 0, max: 5000, unit: 'm' }) // 1480
 */
export function within(name: string, value: number, range: Range): number {
  if (!Number.isFinite(value) || value < range.min || value > range.max) {
    throw new RangeError(
      `${name} ${value} is outside the range ${range.min} to ${range.max}${typeof range.unit === 'string' ? ` ${range.unit}` : ''}`,
    );
  }
  return value;
}
