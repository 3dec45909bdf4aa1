import { capital, quantity, say, type Text } from '@hervir/language/message';
import { SALT_WORDS } from './hours';
import type { PortionId } from '../plan/portions';
import type { Move } from '../method/moves';
import { cutList, cutName, itOrCut, named, portionsOfMove, theCut, type Told } from './told';
import { dryGrain } from '../larder/grains';

/** Pulses that are not soaked yet, by their name before it. */
function dryOf(told: Told, id: PortionId): Text {
  const [portion] = portionsOfMove(told, [id]);
  return portion === undefined ? named(told, [id]) : (dryGrain(portion.food ?? '') ?? portion.name);
}

/** The sentence of a move at the board, or of the days before; null for a move that is not made there. */
export function boardSentence(told: Told, move: Move): Text | null {
  switch (move.kind) {
    case 'salt-ahead':
      return say('board.salt-words-salt-uncovered-in', {
        SALT_WORDS: SALT_WORDS(move.minutes),
        theCut: theCut(told, move.portion),
      });
    case 'marinate':
      return say('board.salt-words-into-its-marinade', {
        SALT_WORDS: SALT_WORDS(move.hours * 60),
        cutName: cutName(told, move.portion),
      });
    case 'thaw':
      return move.way === 'fridge'
        ? say('board.thaw-in-the-fridge-on', { named: named(told, [move.portion]) })
        : say('board.thaw-in-cold-water-tightly', { named: named(told, [move.portion]) });
    case 'soak':
      return say('board.soak-in-plenty-of-cold', { named: dryOf(told, move.portion) });
    case 'unmarinate':
      return say('board.lift-out-of-its-marinade', {
        theCut: theCut(told, move.portion),
        thrown: move.then === 'thrown',
      });
    case 'ready':
      return readySentence(told, move);
    case 'rinse':
      return say('board.rinse-its-spice-is-laid', { theCut: theCut(told, move.portion) });
    case 'trim':
      return say('board.trim-the-hard-fat-off', {
        several: told.plan.otherMeats.length > 0,
        theCut: theCut(told, move.portion),
        grams: quantity('mass', move.grams),
      });
    case 'cut':
      return say('board.cut', { theCut: theCut(told, move.portion) });
    case 'dry':
      return say('board.pat-dry', { theCut: theCut(told, move.portion) });
    case 'wipe-ice':
      return say('board.wipe-the-ice-off-it', { theCut: theCut(told, move.portion) });
    case 'rub':
      return say('board.rub-with', {
        itOrCut: itOrCut(told, move.portion),
        rubGrams: quantity('mass', rubGrams(told, move.rub)),
      });
    case 'salt':
      return say('board.salt-as-the-pot-heats', { itOrCut: itOrCut(told, move.portion) });
    default:
      return null;
  }
}

const rubGrams = ({ portions }: Told, id: string): number => portions.find((one) => one.id === id)?.grams ?? 0;

function readySentence(told: Told, { how, portions, board }: Extract<Move, { kind: 'ready' }>): Text {
  switch (how) {
    case 'pick-over':
      return say('board.pick-over-and-rinse', { named: capital(named(told, portions)) });
    case 'rinse':
      return say('board.rinse', { named: capital(named(told, portions)) });
    case 'weigh-out':
      return say('board.weigh-out', { named: capital(named(told, portions)) });
    case 'wash':
      return say('board.wash', { named: named(told, portions) });
    case 'wash-and-cut':
      return board === 'meat'
        ? say('board.cut-2', { named: named(told, portions) })
        : say('board.wash-and-cut', { cutList: cutList(told, portions) });
  }
}
