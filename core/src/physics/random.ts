/** Draws numbers from a seed: the same seed gives the same ones, on every machine. */
export interface Random {
  /** Even between 0 and 1. */
  next(): number;
  /** Normal, mean 0, standard deviation 1. */
  normal(): number;
}

/**
 * A small seeded generator: a counter stepped by the golden ratio and mixed by shifts and odd factors, 32 bits; normal
 * numbers by the method of Box and Muller (1958). Good enough for scatter in a rehearsal, not for secrets.
 *
 * @param seed a whole number
 * @example seeded(7).next() === seeded(7).next() // true
 */
export function seeded(seed: number): Random {
  let state = seed >>> 0;
  const next = (): number => {
    state = (state + 0x9e3779b9) >>> 0;
    let mixed = state;
    mixed = Math.imul(mixed ^ (mixed >>> 16), 0x21f0aaad);
    mixed = Math.imul(mixed ^ (mixed >>> 15), 0x735a2d97);
    return ((mixed ^ (mixed >>> 15)) >>> 0) / 2 ** 32;
  };
  return {
    next,
    normal: () => Math.sqrt(-2 * Math.log(Math.max(1e-12, next()))) * Math.cos(2 * Math.PI * next()),
  };
}
