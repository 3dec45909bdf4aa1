/** What a sauce may be thickened with, and how much. */
export const THICKENERS = ['none', 'cornstarch', 'potato-starch', 'arrowroot', 'tapioca', 'flour'] as const;
export const BODIES = ['thin', 'light', 'coating', 'thick'] as const;

export type Thickener = Exclude<(typeof THICKENERS)[number], 'none'>;
export type Body = (typeof BODIES)[number];

/** Cornstarch for 240 ml, g: light, coating, thick. Common practice: a tablespoon of 8 g a cup coats. */
export const CORNSTARCH_PER_240_ML: Readonly<Record<Body, number>> = { thin: 0, light: 5, coating: 8, thick: 12 };

/** What thickens a sauce, against cornstarch. */
export interface ThickenerKind {
  readonly id: Thickener;
  readonly name: string;
  /** Grams in place of one of cornstarch. */
  readonly factor: number;
  /** A level tablespoon, g. */
  readonly gramsATablespoon: number;
  /** Loose, g/ml. */
  readonly density: number;
  readonly how: string;
}

/** Common practice of the trade; from memory. */
export const THICKENER_KINDS: readonly ThickenerKind[] = [
  { id: 'cornstarch', name: 'cornstarch', factor: 1, gramsATablespoon: 8, density: 0.54, how: 'boil 1 to 2 min' },
  {
    id: 'potato-starch',
    name: 'potato starch',
    factor: 0.8,
    gramsATablespoon: 10,
    density: 0.68,
    how: 'bring just to the boil; it thins when it boils on',
  },
  {
    id: 'arrowroot',
    name: 'arrowroot',
    factor: 0.9,
    gramsATablespoon: 8,
    density: 0.54,
    how: 'bring just to the boil; not with dairy',
  },
  { id: 'tapioca', name: 'tapioca starch', factor: 0.9, gramsATablespoon: 8, density: 0.54, how: 'boil a minute' },
  {
    id: 'flour',
    name: 'flour',
    factor: 2,
    gramsATablespoon: 8,
    density: 0.54,
    how: 'simmer 5 min, until the raw taste is gone',
  },
];

const byId = new Map(THICKENER_KINDS.map((kind) => [kind.id, kind]));

/**
 * Looks a thickener up.
 *
 * @throws RangeError for what is none
 * @example thickenerById('flour').factor // 2
 */
export function thickenerById(id: Thickener): ThickenerKind {
  const kind = byId.get(id);
  if (!kind) throw new RangeError(`no thickener "${id}"; known are ${THICKENER_KINDS.map((k) => k.id).join(', ')}`);
  return kind;
}
