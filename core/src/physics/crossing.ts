/** So many halvings bring any bracket below what is asked. */
const MOST_PASSES = 60;

/**
 * When a quantity that changes over a step first comes to a mark, by false position with the Illinois halving (Dowell and
 * Jarratt, BIT 11, 1971): the bracket never leaves the mark, also where the quantity first goes the other way, as a pot
 * that stands at boiling does when cold meat comes in.
 *
 * @param after what the quantity has changed by after so many seconds, as if the step ended there; nothing after none
 * @param wanted the change at the mark, of one sign with `after(longest)`, and no more than it
 * @param longest the step, s
 * @param within how far from the mark is near enough, in the quantity's own unit
 * @returns seconds above 0, at the longest the step
 * Accuracy: `within`; the false position itself converges with the order 1.44.
 * @example crossing((s) => 2 * s, 3, 10, 1e-6) // 1.500
 */
export function crossing(after: (seconds: number) => number, wanted: number, longest: number, within: number): number {
  let [low, high] = [0, longest];
  let [atLow, atHigh] = [-wanted, after(longest) - wanted];
  // Zero, or not there by the end of the step.
  if (atHigh === 0 || Math.sign(atHigh) === Math.sign(atLow)) return longest;
  for (let pass = 0; pass < MOST_PASSES; pass += 1) {
    const at = (low * atHigh - high * atLow) / (atHigh - atLow);
    const off = after(at) - wanted;
    if (Math.abs(off) <= within) return at;
    if (Math.sign(off) === Math.sign(atHigh)) {
      [high, atHigh] = [at, off];
      atLow /= 2;
    } else {
      [low, atLow] = [at, off];
      atHigh /= 2;
    }
  }
  return high;
}
