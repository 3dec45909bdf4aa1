import type { MoveOf } from '../method/moves';
import { COOLS } from '../stations/cooling';
import { OVEN_C, WARM_C } from '../stations/warm-through';
import type { Printer } from '../units/quantity';
import { printDuration } from '../units/time';

/** What is done to a braise that is cooked ahead. */
export type KeptMove = MoveOf<'put-away' | 'ice-bath' | 'into-fridge' | 'lift-fat' | 'warm'>;

/** Something said in a line, and how or why. */
interface Line {
  readonly title: string;
  readonly detail: string;
  readonly button: string;
}

/**
 * A move of putting away or warming, in words.
 *
 * @param move one of them
 * @param print the cook's units
 * @example keptWords({ kind: 'lift-fat', ml: 40 }, printerFor('metric')).title // 'Lift the fat off, about 40 ml: cold, it comes off in one piece'
 */
export function keptWords(move: KeptMove, print: Printer): Line {
  const cold = (celsius: number): string => print.quantity('temperature', celsius);
  switch (move.kind) {
    case 'put-away':
      return {
        title: `${move.cutFirst ? 'Slice the meat 3 cm thick. ' : ''}Into containers, ${print.quantity('length', move.depthCm)} deep, the meat in its sauce`,
        detail: move.cutFirst
          ? 'Whole, its middle stays warm for too long.'
          : 'Shallow cools fast; under its sauce the meat stays moist.',
        button: 'In its containers',
      };
    case 'ice-bath':
      return {
        title: `The containers into ice water, about ${print.quantity('mass', move.iceKg * 1000)} of ice; stir now and then`,
        detail: 'Then it does not warm the fridge.',
        button: 'It is cool',
      };
    case 'into-fridge':
      return {
        title: 'Into the fridge, uncovered until it is cold',
        detail: `From ${cold(COOLS.fromC)} it is at ${cold(COOLS.firstC)} after ${printDuration(move.minutesTo21)} and at ${cold(COOLS.allC)} after ${printDuration(move.minutesTo5)}.`,
        button: 'In the fridge',
      };
    case 'lift-fat':
      return {
        title: `Lift the fat off, about ${print.quantity('volume', move.ml)}: cold, it comes off in one piece`,
        detail: 'Keep it for frying.',
        button: 'The fat is off',
      };
    case 'warm':
      return {
        title: `${warmHow(move, cold)} until its middle is at ${cold(WARM_C)}`,
        detail: 'A thermometer in the thickest piece. Once warmed it is not kept again.',
        button: `${cold(WARM_C)} in the middle`,
      };
  }
}

function warmHow({ way, pressureMinutes }: MoveOf<'warm'>, cold: (celsius: number) => string): string {
  switch (way) {
    case 'stove':
      return 'Warm it in its pot on half heat, and gently once it bubbles, moving it now and then,';
    case 'oven':
      return `Covered, into the oven at ${cold(OVEN_C)},`;
    case 'pressure':
      return `Lid locked, ${pressureMinutes} min under pressure, then the valve, hands to the side:`;
  }
}
