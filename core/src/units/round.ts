/**
 * The nearest multiple.
 *
 * @param value any
 * @param step above 0
 * @example roundTo(1234, 50) // 1250
 */
export function roundTo(value: number, step: number): number {
  return Math.round(value / step) * step;
}
