import { upperFirst } from '../units/list';
import { SALT_WORDS } from './hours';
import type { Move } from '../method/moves';
import { cutList, cutName, itOrCut, named, theCut, type Told } from './told';

/** The sentence of a move at the board, or of the days before; null for a move that is not made there. */
export function boardSentence(told: Told, move: Move): string | null {
  const { print } = told;
  switch (move.kind) {
    case 'salt-ahead':
      return `${SALT_WORDS(move.minutes)}: salt ${theCut(told, move.portion)}, uncovered in the fridge`;
    case 'marinate':
      return `${SALT_WORDS(move.hours * 60)}: ${cutName(told, move.portion)} into its marinade, in the fridge`;
    case 'thaw':
      return move.way === 'fridge'
        ? `Thaw ${named(told, [move.portion])} in the fridge, on a tray`
        : `Thaw ${named(told, [move.portion])} in cold water, tightly wrapped`;
    case 'soak':
      return `Soak ${named(told, [move.portion]).replace(/, soaked$/, '')} in plenty of cold water`;
    case 'unmarinate':
      return `Lift ${theCut(told, move.portion)} out of its marinade; ${move.then === 'thrown' ? 'throw that away' : 'keep it'}`;
    case 'ready':
      return readySentence(told, move);
    case 'rinse':
      return `Rinse ${theCut(told, move.portion)}; its spice is laid on top later`;
    case 'trim':
      return `Trim the hard fat off${told.plan.otherMeats.length === 0 ? '' : ` ${theCut(told, move.portion)}`}, ${print.quantity('mass', move.grams)}; leave some`;
    case 'cut':
      return `Cut ${theCut(told, move.portion)}`;
    case 'dry':
      return `Pat ${theCut(told, move.portion)} dry`;
    case 'wipe-ice':
      return `Wipe the ice off ${theCut(told, move.portion)}; it stays frozen`;
    case 'rub':
      return `Rub ${itOrCut(told, move.portion)} with ${print.quantity('mass', rubGrams(told, move.rub))}`;
    case 'salt':
      return `Salt ${itOrCut(told, move.portion)} as the pot heats, not before`;
    default:
      return null;
  }
}

const rubGrams = ({ portions }: Told, id: string): number => portions.find((one) => one.id === id)?.grams ?? 0;

function readySentence(told: Told, { how, portions, board }: Extract<Move, { kind: 'ready' }>): string {
  switch (how) {
    case 'pick-over':
      return `${upperFirst(named(told, portions))}: pick over and rinse`;
    case 'rinse':
      return `${upperFirst(named(told, portions))}: rinse`;
    case 'weigh-out':
      return `${upperFirst(named(told, portions))}: weigh out`;
    case 'wash':
      return `Wash ${named(told, portions)}`;
    case 'wash-and-cut':
      return board === 'meat' ? `Cut ${named(told, portions)}` : `Wash and cut ${cutList(told, portions)}`;
  }
}
