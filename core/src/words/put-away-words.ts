import { quantity, say, type Text } from '@hervir/language/message';
import type { MoveOf } from '../method/moves';
import { COOLS } from '../stations/cooling';
import { OVEN_C, WARM_C } from '../stations/warm-through';
import { byEye } from './by-eye';

/** What is done to a braise that is cooked ahead. */
export type KeptMove = MoveOf<'put-away' | 'ice-bath' | 'into-fridge' | 'lift-fat' | 'warm'>;

/** Something said in a line, and how or why. */
interface Line {
  readonly title: Text;
  readonly detail: Text;
  readonly button: Text;
}

/**
 * A move of putting away or warming, in words.
 *
 * @param move one of them
 * @example keptWords({ kind: 'lift-fat', ml: 40 }).title // 'Lift the fat off, about 40 ml: cold, it comes off in one piece'
 */
export function keptWords(move: KeptMove): Line {
  const cold = (celsius: number): Text => quantity('temperature', celsius);
  switch (move.kind) {
    case 'put-away':
      return {
        title: say('put-away.slice-the-meat-3-cm', {
          thick: quantity('length', 3),
          cutFirst: move.cutFirst,
          depthCm: quantity('length', move.depthCm),
        }),
        detail: move.cutFirst
          ? say('put-away.whole-its-middle-stays-warm')
          : say('put-away.shallow-cools-fast-under-its'),
        button: say('put-away.in-its-containers'),
      };
    case 'ice-bath':
      return {
        title: say('put-away.the-containers-into-ice-water', { iceKg: quantity('mass', move.iceKg * 1000) }),
        detail: say('put-away.then-it-does-not-warm'),
        button: say('put-away.it-is-cool'),
      };
    case 'into-fridge':
      return {
        title: say('put-away.into-the-fridge-uncovered-until'),
        detail: say('put-away.from-it-is-at-after', {
          cold: cold(COOLS.fromC),
          cool: cold(COOLS.firstC),
          duration: quantity('duration', move.minutesTo21),
          chilled: cold(COOLS.allC),
          untilChilled: quantity('duration', move.minutesTo5),
        }),
        button: say('put-away.in-the-fridge'),
      };
    case 'lift-fat':
      return {
        title: say('put-away.lift-the-fat-off-about', { ml: byEye(move.ml) }),
        detail: say('put-away.keep-it-for-frying'),
        button: say('put-away.the-fat-is-off'),
      };
    case 'warm':
      return {
        title: say('put-away.until-its-middle-is-at', { warmHow: warmHow(move, cold), cold: cold(WARM_C) }),
        detail: say('put-away.a-thermometer-in-the-thickest'),
        button: say('put-away.in-the-middle', { cold: cold(WARM_C) }),
      };
  }
}

function warmHow({ way, pressureMinutes }: MoveOf<'warm'>, cold: (celsius: number) => Text): Text {
  switch (way) {
    case 'stove':
      return say('put-away.warm-it-in-its-pot');
    case 'oven':
      return say('put-away.covered-into-the-oven-at', { cold: cold(OVEN_C) });
    case 'pressure':
      return say('put-away.lid-locked-min-under-pressure', { pressureMinutes: pressureMinutes ?? 0 });
  }
}
