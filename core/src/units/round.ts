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

/**
 * Minutes of something that takes time, whole: never none, for it is waited for.
 *
 * @param minutes above 0
 * @example wholeMinutes(0.3) // 1
 */
export const wholeMinutes = (minutes: number): number => Math.max(1, Math.round(minutes));
