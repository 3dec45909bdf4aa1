/**
 * All six faces of a box on a square base: a tub, a dish, a container.
 *
 * @param volume of it, above 0
 * @param depth of it, above 0, in the volume's unit of length
 * @returns area, in that unit squared
 * @example facesOfBox(1000, 10) // 600
 */
export function facesOfBox(volume: number, depth: number): number {
  const base = volume / depth;
  return 2 * base + 4 * Math.sqrt(base) * depth;
}
