import { say, type Text } from '@hervir/language/message';
import { asSold, type AsSold } from '../catalog/as-sold';
import type { Plan } from './plan';
import { portionsOf, type Portion, type PortionKind } from './portions';

/** Where in a shop something lies. */
export const AISLES = ['meat', 'greens', 'dry', 'poured'] as const;
export type Aisle = (typeof AISLES)[number];

/** Something to buy, for one plan or several. */
export interface ShoppingLine {
  readonly id: string;
  readonly aisle: Aisle;
  readonly name: Text;
  /** As sold: with what is peeled, trimmed and drained off. */
  readonly grams: number | null;
  readonly ml: number | null;
  /** So many pieces, bunches, tins; null for what is weighed. */
  readonly pieces: number | null;
  /** Of the plans, by their place. */
  readonly plans: readonly number[];
}

/** Nobody buys water, nor what is made of other things of the plan. */
const NOT_BOUGHT: ReadonlySet<PortionKind> = new Set(['swill', 'marinade', 'rub', 'thickener']);
const AISLE_OF: Readonly<Partial<Record<PortionKind, Aisle>>> = {
  meat: 'meat',
  aromatic: 'greens',
  vegetable: 'greens',
  grain: 'dry',
  addition: 'dry',
  other: 'dry',
};
/** A pulse is bought dry. */
const AS_BOUGHT: Readonly<Record<string, Text>> = {
  'bean-dry-soaked': say('grains.dry-beans'),
  'bean-dry-unsoaked': say('grains.dry-beans'),
  'kidney-bean-soaked': say('shopping.dry-red-kidney-beans'),
  'chickpea-soaked': say('shopping.dry-chickpeas'),
};
/** So little over a whole piece is no reason for another, share of one. */
const NEARLY = 0.15;

/** A line as it is gathered, with how the thing lies in a shop. */
interface Gathered extends ShoppingLine {
  readonly sold: AsSold | null;
}

function lineOf({ kind, food, name, grams, ml }: Portion, plan: number): Gathered | null {
  if (NOT_BOUGHT.has(kind) || food === 'water') return null;
  const aisle = AISLE_OF[kind] ?? 'poured';
  const sold = food === null || kind === 'meat' || kind === 'grain' ? null : asSold(food);
  const called = sold?.plural ?? AS_BOUGHT[food ?? ''] ?? name;
  return {
    id: `${aisle}:${typeof called === 'object' && 'code' in called ? called.code : JSON.stringify(called)}`,
    aisle,
    name: called,
    grams: grams === null ? null : grams / (sold?.left ?? 1),
    ml,
    pieces: null,
    plans: [plan],
    sold,
  };
}

/** Pieces of what is sold by the piece: half a carrot more is a carrot, a slice more is not. */
function counted({ sold, ...line }: Gathered): ShoppingLine {
  const amount = line.grams ?? line.ml;
  if (sold === null || sold.eachG === 0 || amount === null) return line;
  const pieces = Math.max(1, Math.ceil(amount / sold.eachG - NEARLY));
  return { ...line, pieces, name: pieces === 1 ? sold.name : sold.plural };
}

const sum = (a: number | null, b: number | null): number | null =>
  a === null && b === null ? null : (a ?? 0) + (b ?? 0);

/**
 * What to buy for one plan or several, as shops sell it: the meat as bought, with its trim and bones; vegetables with what is
 * peeled off; pulses dry. The same thing of two plans is one line.
 *
 * @param plans every default filled in
 * @returns by where it lies in a shop; g and ml
 * @throws RangeError for something that is not in the catalog
 * @example shoppingList([plan]).map(({ aisle }) => aisle)[0] // 'meat'
 */
export function shoppingList(plans: readonly Plan[]): ShoppingLine[] {
  const lines = new Map<string, Gathered>();
  plans.forEach((plan, i) => {
    for (const portion of portionsOf(plan)) {
      const line = lineOf(portion, i);
      if (line === null) continue;
      const before = lines.get(line.id) ?? { ...line, grams: null, ml: null, plans: [] };
      lines.set(line.id, {
        ...before,
        grams: sum(before.grams, line.grams),
        ml: sum(before.ml, line.ml),
        plans: [...new Set([...before.plans, i])],
      });
    }
  });
  return [...lines.values()].map(counted).sort((a, b) => AISLES.indexOf(a.aisle) - AISLES.indexOf(b.aisle));
}
