import { aromaticKind } from '../catalog/aromatics';
import type { Aromatic } from './plan';

/**
 * Whether an aromatic goes into the hot fat; the others are laid in with the liquid, browned beside the meat in its batch,
 * or go in at a stage of their own.
 *
 * @example isFried({ ingredient: 'bay', grams: 1 }) // false
 */
export function isFried({ ingredient, how, stage }: Aromatic): boolean {
  return stage === undefined && how !== 'raw' && how !== 'with-meat' && aromaticKind(ingredient).group !== 'leaf';
}
