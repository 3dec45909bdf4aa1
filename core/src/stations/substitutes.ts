import { joined, quantity, say, type Text } from '@hervir/language/message';
import { CUTS, cutById, cutTitle, type Cut, type Richness } from '../catalog/cuts';
import { aromaticKind } from '../catalog/aromatics';
import { liquidById } from '../catalog/liquids';
import type { Plan } from '../plan/plan';

/** Something else in its place, and what changes. */
export interface Substitute {
  readonly id: string;
  readonly name: Text;
  readonly changes: Text;
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

function cutChanges(from: Cut, to: Cut): Text {
  const said: Text[] = [];
  const ratio = to.toughness / from.toughness;
  if (Math.abs(ratio - 1) > 0.03) {
    said.push(say('substitutes.to-melt', { ratio: Math.round(Math.abs(ratio - 1) * 100), isRatio: ratio > 1 }));
  }
  const fat = FATNESS.indexOf(to.richness) - FATNESS.indexOf(from.richness);
  if (fat > 0) said.push(say('substitutes.fatter-more-to-skim-harder'));
  if (fat < 0) said.push(say('substitutes.leaner-drier-if-it-goes'));
  if (to.boneShare > 0 && from.boneShare === 0) said.push(say('substitutes.on-the-bone-buy-more'));
  if (to.boneShare === 0 && from.boneShare > 0) said.push(say('substitutes.no-bone-less-body-in'));
  return said.length > 0 ? joined(said, '; ') : say('substitutes.much-the-same');
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
const LIQUID_FOR: Readonly<Record<string, readonly (readonly [string, Text])[]>> = {
  'red-wine': [
    ['stock', say('substitutes.no-alcohol-add-a-spoon')],
    ['balsamic', say('substitutes.a-few-spoons-in-water')],
  ],
  'white-wine': [
    ['stock', say('substitutes.no-alcohol-add-a-spoon')],
    ['citrus-juice', say('substitutes.sharper-half-as-much-the')],
  ],
  beer: [['stock', say('substitutes.no-alcohol-less-bitter-add')]],
  cider: [['stock', say('substitutes.no-alcohol-let-apple-juice')]],
  stock: [
    ['white-wine', say('substitutes.sharper-lighter-does-not-boil')],
    ['water', say('substitutes.plainer-salt-it-at-the')],
  ],
  vinegar: [['citrus-juice', say('substitutes.fruitier-the-same-amount')]],
};

/**
 * What can stand in for a liquid: for wine, beer and cider always something without alcohol first.
 *
 * @param liquid id of the catalog
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
 * @example herbSwap('thyme', 6) // 'or 2 g dried'
 */
export function herbSwap(ingredient: string, grams: number): Text | null {
  const { id } = aromaticKind(ingredient);
  const some = (value: number): Text => quantity('mass', Math.max(1, value));
  if (id === 'dried-herbs') return say('substitutes.or-fresh', { amount: some(grams * FRESH_OVER_DRIED) });
  return ['thyme', 'rosemary', 'sage'].includes(id)
    ? say('substitutes.or-dried', { amount: some(grams / FRESH_OVER_DRIED) })
    : null;
}
