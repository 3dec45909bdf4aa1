import { capital, quantity, say, type Text } from '@hervir/language/message';
import { saltedFor } from './hours';
import type { PortionId } from '../plan/portions';
import type { Move } from '../method/moves';
import { cutList, cutName, itOrCut, named, portionsOfMove, theCut, type StepContext } from './step-context';
import { dryGrain } from '../catalog/grains';

/** Pulses that are not soaked yet, by their name before it. */
function dryOf(context: StepContext, id: PortionId): Text {
  const [portion] = portionsOfMove(context, [id]);
  return portion === undefined ? named(context, [id]) : (dryGrain(portion.food ?? '') ?? portion.name);
}

/** The sentence of a move at the board, or of the days before; null for a move that is not made there. */
export function boardSentence(context: StepContext, move: Move): Text | null {
  switch (move.kind) {
    case 'salt-ahead':
      return say('board.salt-words-salt-uncovered-in', {
        when: saltedFor(move.minutes),
        theCut: theCut(context, move.portion),
      });
    case 'marinate':
      return say('board.salt-words-into-its-marinade', {
        when: saltedFor(move.hours * 60),
        cutName: cutName(context, move.portion),
      });
    case 'thaw':
      return move.way === 'fridge'
        ? say('board.thaw-in-the-fridge-on', { named: named(context, [move.portion]) })
        : say('board.thaw-in-cold-water-tightly', { named: named(context, [move.portion]) });
    case 'soak':
      return say('board.soak-in-plenty-of-cold', { named: dryOf(context, move.portion) });
    case 'unmarinate':
      return say('board.lift-out-of-its-marinade', {
        theCut: theCut(context, move.portion),
        thrown: move.then === 'thrown',
      });
    case 'ready':
      return readySentence(context, move);
    case 'rinse':
      return say('board.rinse-its-spice-is-laid', { theCut: theCut(context, move.portion) });
    case 'trim':
      return say('board.trim-the-hard-fat-off', {
        several: context.plan.otherMeats.length > 0,
        theCut: theCut(context, move.portion),
        grams: quantity('mass', move.grams),
      });
    case 'cut':
      return say('board.cut', { theCut: theCut(context, move.portion) });
    case 'dry':
      return say('board.pat-dry', { theCut: theCut(context, move.portion) });
    case 'wipe-ice':
      return say('board.wipe-the-ice-off-it', { theCut: theCut(context, move.portion) });
    case 'rub':
      return say('board.rub-with', {
        itOrCut: itOrCut(context, move.portion),
        rubGrams: quantity('mass', rubGrams(context, move.rub)),
      });
    case 'salt':
      return say('board.salt-as-the-pot-heats', { itOrCut: itOrCut(context, move.portion) });
    default:
      return null;
  }
}

const rubGrams = ({ portions }: StepContext, id: string): number => portions.find((one) => one.id === id)?.grams ?? 0;

function readySentence(context: StepContext, { how, portions, board }: Extract<Move, { kind: 'ready' }>): Text {
  switch (how) {
    case 'pick-over':
      return say('board.pick-over-and-rinse', { named: capital(named(context, portions)) });
    case 'rinse':
      return say('board.rinse', { named: capital(named(context, portions)) });
    case 'weigh-out':
      return say('board.weigh-out', { named: capital(named(context, portions)) });
    case 'wash':
      return say('board.wash', { named: named(context, portions) });
    case 'wash-and-cut':
      return board === 'meat'
        ? say('board.cut-2', { named: named(context, portions) })
        : say('board.wash-and-cut', { cutList: cutList(context, portions) });
  }
}
