import { quantity, type Text } from '@hervir/language/message';
import { roundTo } from '../units/round';

/** Nobody sees less of a difference in a bowl, ml. */
const SEEN_ML = 10;

/**
 * A volume that is judged by eye, to ten millilitres.
 *
 * @example byEye(107) // '110 ml'
 */
export const byEye = (ml: number): Text => quantity('volume', roundTo(ml, SEEN_ML));
