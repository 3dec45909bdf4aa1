import { say, type Text } from '@hervir/language/message';
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
  readonly name: Text;
  /** Grams in place of one of cornstarch. */
  readonly factor: number;
  /** A level tablespoon, g. */
  readonly gramsATablespoon: number;
  /** Loose, g/ml. */
  readonly density: number;
  readonly how: Text;
}

/** Common practice of the trade; from memory. */
export const THICKENER_KINDS: readonly ThickenerKind[] = [
  {
    id: 'cornstarch',
    name: say('thickeners.cornstarch'),
    factor: 1,
    gramsATablespoon: 8,
    density: 0.54,
    how: say('thickeners.boil-1-to-2-min'),
  },
  {
    id: 'potato-starch',
    name: say('thickeners.potato-starch'),
    factor: 0.8,
    gramsATablespoon: 10,
    density: 0.68,
    how: say('thickeners.bring-just-to-the-boil'),
  },
  {
    id: 'arrowroot',
    name: say('thickeners.arrowroot'),
    factor: 0.9,
    gramsATablespoon: 8,
    density: 0.54,
    how: say('thickeners.bring-just-to-the-boil-not'),
  },
  {
    id: 'tapioca',
    name: say('thickeners.tapioca-starch'),
    factor: 0.9,
    gramsATablespoon: 8,
    density: 0.54,
    how: say('thickeners.boil-a-minute'),
  },
  {
    id: 'flour',
    name: say('thickeners.flour'),
    factor: 2,
    gramsATablespoon: 8,
    density: 0.54,
    how: say('thickeners.simmer-5-min-until-the'),
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
