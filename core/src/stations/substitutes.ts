import { CUTS, cutById, cutTitle, type Cut, type Richness } from '../larder/cuts';
import { aromaticKind } from '../larder/aromatics';
import { liquidById } from '../larder/liquids';
import type { Plan } from '../plan/plan';
import type { Printer } from '../units/quantity';

/** Something else in its place, and what changes. */
export interface Substitute {
  readonly id: string;
  readonly name: string;
  readonly changes: string;
}

const FATNESS: readonly Richness[] = ['lean', 'medium', 'rich'];
/** How much another animal, and a step of fat, counts beside toughness. From memory. */
const OTHER_ANIMAL = 0.5;
const FAT_STEP = 0.25;
const SHOWN = 3;

function distance(a: Cut, b: Cut): number {
  return (
    Math.abs(Math.log(a.toughness / b.toughness)) +
    (a.species === b.species ? 0 : OTHER_ANIMAL) +
    FAT_STEP * Math.abs(FATNESS.indexOf(a.richness) - FATNESS.indexOf(b.richness))
  );
}

function cutChanges(from: Cut, to: Cut): string {
  const said: string[] = [];
  const ratio = to.toughness / from.toughness;
  if (Math.abs(ratio - 1) > 0.03) {
    said.push(`${Math.round(Math.abs(ratio - 1) * 100)} % ${ratio > 1 ? 'longer' : 'sooner'} to melt`);
  }
  const fat = FATNESS.indexOf(to.richness) - FATNESS.indexOf(from.richness);
  if (fat > 0) said.push('fatter: more to skim, harder to dry out');
  if (fat < 0) said.push('leaner: drier if it goes too far');
  if (to.boneShare > 0 && from.boneShare === 0) said.push('on the bone: buy more');
  if (to.boneShare === 0 && from.boneShare > 0) said.push('no bone: less body in the sauce');
  return said.length > 0 ? said.join('; ') : 'much the same';
}

/**
 * Cuts that can stand in, the nearest first, as far as they can be cut the same way.
 *
 * @param meat its cut and form
 * @returns up to three, each with what changes
 * @example cutSubstitutes(kiloOfChuck).length // 3
 */
export function cutSubstitutes(meat: Pick<Plan['meat'], 'cut' | 'form'>): Substitute[] {
  const from = cutById(meat.cut);
  return CUTS.filter((cut) => cut.id !== from.id && cut.forms.includes(meat.form) && !cut.cured)
    .sort((a, b) => distance(from, a) - distance(from, b))
    .slice(0, SHOWN)
    .map((cut) => ({ id: cut.id, name: cutTitle(cut), changes: cutChanges(from, cut) }));
}

/** What stands in for a liquid with alcohol, or for what a cook has run out of. Common practice. */
const LIQUID_FOR: Readonly<Record<string, readonly (readonly [string, string])[]>> = {
  'red-wine': [
    ['stock', 'no alcohol: add a spoon of vinegar at the end for the acid'],
    ['balsamic', 'a few spoons in water: sweeter, no alcohol'],
  ],
  'white-wine': [
    ['stock', 'no alcohol: add a spoon of vinegar at the end for the acid'],
    ['citrus-juice', 'sharper: half as much, the rest water'],
  ],
  beer: [['stock', 'no alcohol, less bitter; add a spoon of thin savoury sauce']],
  cider: [['stock', 'no alcohol: let apple juice down with it for the fruit']],
  stock: [
    ['white-wine', 'sharper, lighter; does not boil off entirely'],
    ['water', 'plainer: salt it at the end'],
  ],
  vinegar: [['citrus-juice', 'fruitier; the same amount']],
};

/**
 * What can stand in for a liquid: for wine, beer and cider always something without alcohol first.
 *
 * @param liquid id of the larder
 * @example liquidSubstitutes('red-wine')[0].id // 'stock'
 */
export function liquidSubstitutes(liquid: string): Substitute[] {
  return (LIQUID_FOR[liquid] ?? []).map(([id, changes]) => ({ id, name: liquidById(id).name, changes }));
}

/** Dried herbs weigh a third of fresh ones. Common practice. */
export const FRESH_OVER_DRIED = 3;

/**
 * Fresh herbs for dried, or dried for fresh; null for what is no herb.
 *
 * @param ingredient an aromatic
 * @param grams of it
 * @param print the cook's units
 * @example herbSwap('thyme', 6, printerFor('metric')) // 'or 2 g dried'
 */
export function herbSwap(ingredient: string, grams: number, print: Printer): string | null {
  const { id } = aromaticKind(ingredient);
  const some = (value: number): string => print.quantity('mass', Math.max(1, value));
  if (id === 'dried-herbs') return `or ${some(grams * FRESH_OVER_DRIED)} fresh`;
  return ['thyme', 'rosemary', 'sage'].includes(id) ? `or ${some(grams / FRESH_OVER_DRIED)} dried` : null;
}
