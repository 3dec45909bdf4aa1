const GLYPHS: Readonly<Record<string, number>> = {
  '¼': 1 / 4,
  '½': 1 / 2,
  '¾': 3 / 4,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
};

/**
 * Prints a number as kitchens write it: whole, and the nearest of the fractions a measuring set has.
 *
 * @param value a number, zero or more
 * @param glyphs the fractions that may be used
 * @returns for instance `1½`, `¾`, `3`
 * @example printFraction(1.52) // '1½'
 */
export function printFraction(value: number, glyphs: readonly string[] = Object.keys(GLYPHS)): string {
  const whole = Math.floor(value + 1e-9);
  const rest = value - whole;
  let best = '';
  let error = Math.min(rest, 1 - rest);
  for (const glyph of glyphs) {
    const distance = Math.abs(rest - (GLYPHS[glyph] ?? 0));
    if (distance < error) {
      best = glyph;
      error = distance;
    }
  }
  if (best === '') return String(rest > 0.5 ? whole + 1 : whole);
  return whole === 0 ? best : `${whole}${best}`;
}

/**
 * Reads a kitchen number: `1.5`, `1,5`, `1½`, `1 1/2`, `3/4`, `½`.
 *
 * @returns the number, or undefined where the text is none
 * @example parseNumber('1 1/2') // 1.5
 */
export function parseNumber(text: string): number | undefined {
  let plain = text.trim().replace(',', '.');
  for (const [glyph, value] of Object.entries(GLYPHS)) {
    if (plain.includes(glyph)) {
      const [before = '', ...after] = plain.split(glyph);
      if (after.some((part) => part.trim() !== '') || after.length > 1) return undefined;
      const whole = before.trim() === '' ? 0 : Number(before);
      return Number.isFinite(whole) ? whole + value : undefined;
    }
  }
  const mixed = /^(?:(\d+)\s+)?(\d+)\/(\d+)$/.exec(plain);
  if (mixed) {
    const below = Number(mixed[3]);
    return below === 0 ? undefined : Number(mixed[1] ?? 0) + Number(mixed[2]) / below;
  }
  plain = plain.replace(/^\+/, '');
  if (!/^-?(\d+\.?\d*|\.\d+)$/.test(plain)) return undefined;
  return Number(plain);
}
