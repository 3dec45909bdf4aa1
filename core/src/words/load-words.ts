import { moveOf, type Layer, type Move, type MoveOf } from '../method/moves';
import type { PortionId } from '../plan/portions';
import { listed, upperFirst } from '../units/list';
import { cutList, measured, meatWords, named, portionsOfMove, type Told } from './told';

/** What of some moves goes in at a layer. */
function layered(moves: readonly Move[], ...layers: readonly Layer[]): PortionId[] {
  return moves.flatMap((move) => (move.kind === 'put' && layers.includes(move.layer) ? move.portions : []));
}

const isMeat = (told: Told, id: PortionId): boolean => portionsOfMove(told, [id])[0]?.kind === 'meat';

/** Everything into the pot before its first lid: one title, and how it lies. */
export function loadWords(told: Told, moves: readonly Move[]): { readonly title: string; readonly detail: string } {
  const { plan } = told;
  const inside = layered(moves, 'in');
  const meats = inside.filter((id) => isMeat(told, id));
  const laid = inside.filter((id) => !isMeat(told, id));
  const poured = portionsOfMove(told, moveOf(moves, 'pour')?.portions ?? []);
  const liquids = poured.map((portion) => (portion.kind === 'marinade' ? 'its marinade' : measured(told, portion)));
  const stirred = layered(moves, 'stirred-in');
  const top = portionsOfMove(told, layered(moves, 'on-top', 'levelled')).map((portion) =>
    portion.kind === 'addition' ? measured(told, portion) : portion.name,
  );
  const levelled = layered(moves, 'levelled');
  const under = layered(moves, 'under');
  const what = upperFirst(meatWords(told, meats));
  const seared = plan.sear.school !== 'none';
  const title = `${what} ${seared ? `back in with ${meats.length > 1 ? 'their' : 'its'} juices` : 'in'}${liquids.length > 0 ? `; pour ${listed(liquids)}` : ''}`;
  const details = [
    under.length > 0 ? `${upperFirst(named(told, under))} under it` : '',
    stirred.length > 0
      ? `Stir in ${listed(portionsOfMove(told, stirred).map((portion) => measured(told, portion)))}`
      : '',
    laid.length > 0 ? `${upperFirst(named(told, laid))} with the liquid` : '',
    moveOf(moves, 'rack') ? 'Meat on the rack' : '',
    top.length > 0 ? `On top, not stirred: ${listed(top)}` : '',
    levelled.length > 0 ? `Level ${named(told, levelled)} and poke holes down to the base with a spoon handle` : '',
  ].filter((text) => text !== '');
  return { title, detail: details.join('. ') };
}

function ladleWords({ print }: Told, { ml, then }: MoveOf<'ladle'>): string {
  return `${print.quantity('volume', ml)} of broth out${then === 'thrown' ? '' : ', and kept'}`;
}

/** What is done to the open pot before a stage. */
export function fillWords(
  told: Told,
  moves: readonly Move[],
  open: boolean,
): { readonly title: string; readonly detail: string } {
  const foil = moves.flatMap((move) => (move.kind === 'lift' && move.to === 'foil' ? move.portions : []));
  const dish = moves.flatMap((move) => (move.kind === 'lift' && move.to === 'dish' ? move.portions : []));
  const back = moveOf(moves, 'put-back')?.portions ?? [];
  const going = layered(moves, 'in');
  const poured = moveOf(moves, 'pour')?.portions ?? [];
  const stirred = layered(moves, 'stirred-in');
  const ladle = moveOf(moves, 'ladle');
  const parts = [
    ladle ? ladleWords(told, ladle) : '',
    foil.length > 0 ? `${meatWords(told, foil)} out, under foil` : '',
    dish.length > 0 ? `${named(told, dish)} out onto the dish` : '',
    back.length > 0 ? `${meatWords(told, back)} back in` : '',
    poured.length > 0 ? `pour ${listed(portionsOfMove(told, poured).map((portion) => measured(told, portion)))}` : '',
    stirred.length > 0
      ? `stir in ${listed(portionsOfMove(told, stirred).map((portion) => measured(told, portion)))}`
      : '',
    going.length > 0 ? `${cutList(told, going)} in` : '',
  ].filter((text) => text !== '');
  const [first = 'Ready for the next stage', ...rest] = parts;
  const title = [upperFirst(first), ...rest].join('; ');
  const detail =
    ladle?.then === 'poured-over'
      ? 'The broth is poured over at the table: keep it hot.'
      : ladle?.then === 'kept'
        ? 'The broth goes into the fridge when it has cooled.'
        : '';
  return { title: open ? `${title}, the lid off` : title, detail };
}
