import { capital, joined, listing, quantity, say, type Text } from '@hervir/language/message';
import { moveOf, type Layer, type Move, type MoveOf } from '../method/moves';
import type { PortionId } from '../plan/portions';
import { cutList, measured, meatWords, named, portionsOfMove, type StepContext } from './step-context';

/** What of some moves goes in at a layer. */
function layered(moves: readonly Move[], ...layers: readonly Layer[]): PortionId[] {
  return moves.flatMap((move) => (move.kind === 'put' && layers.includes(move.layer) ? move.portions : []));
}

const isMeat = (context: StepContext, id: PortionId): boolean => portionsOfMove(context, [id])[0]?.kind === 'meat';

/** Everything into the pot before its first lid: one title, and how it lies. */
export function loadWords(
  context: StepContext,
  moves: readonly Move[],
): { readonly title: Text; readonly detail: Text } {
  const { plan } = context;
  const inside = layered(moves, 'in');
  const meats = inside.filter((id) => isMeat(context, id));
  const laid = inside.filter((id) => !isMeat(context, id));
  const poured = portionsOfMove(context, moveOf(moves, 'pour')?.portions ?? []);
  const liquids = poured.map((portion) => (portion.kind === 'marinade' ? say('load.its-marinade') : measured(portion)));
  const stirred = layered(moves, 'stirred-in');
  const top = portionsOfMove(context, layered(moves, 'on-top', 'levelled')).map((portion) =>
    portion.kind === 'addition' ? measured(portion) : portion.name,
  );
  const levelled = layered(moves, 'levelled');
  const under = layered(moves, 'under');
  const what = capital(meatWords(context, meats));
  const seared = plan.sear.school !== 'none';
  const title = say('load.meat-in', {
    what,
    seared,
    several: meats.length > 1,
    pours: liquids.length > 0,
    list: listing(liquids),
  });
  const details = [
    under.length > 0 ? say('load.under-it', { named: capital(named(context, under)) }) : '',
    stirred.length > 0 ? say('load.stir-in', { list: listing(portionsOfMove(context, stirred).map(measured)) }) : '',
    laid.length > 0 ? say('load.with-the-liquid', { named: capital(named(context, laid)) }) : '',
    moveOf(moves, 'rack') ? say('load.meat-on-the-rack') : '',
    top.length > 0 ? say('load.on-top-not-stirred', { list: listing(top) }) : '',
    levelled.length > 0 ? say('load.level-and-poke-holes-down', { named: named(context, levelled) }) : '',
  ].filter((text) => text !== '');
  return { title, detail: details.length === 0 ? '' : joined(details, '. ') };
}

function ladleWords({ ml, then }: MoveOf<'ladle'>): Text {
  return say('load.of-broth-out-and-kept', { ml: quantity('volume', ml), thrown: then === 'thrown' });
}

/** What is done to the open pot before a stage. */
export function fillWords(
  context: StepContext,
  moves: readonly Move[],
  open: boolean,
): { readonly title: Text; readonly detail: Text } {
  const foil = moves.flatMap((move) => (move.kind === 'lift' && move.to === 'foil' ? move.portions : []));
  const dish = moves.flatMap((move) => (move.kind === 'lift' && move.to === 'dish' ? move.portions : []));
  const back = moveOf(moves, 'put-back')?.portions ?? [];
  const going = layered(moves, 'in');
  const poured = moveOf(moves, 'pour')?.portions ?? [];
  const stirred = layered(moves, 'stirred-in');
  const ladle = moveOf(moves, 'ladle');
  const parts = [
    ladle ? ladleWords(ladle) : '',
    foil.length > 0 ? say('load.out-under-foil', { meatWords: meatWords(context, foil) }) : '',
    dish.length > 0 ? say('load.out-onto-the-dish', { named: named(context, dish) }) : '',
    back.length > 0 ? say('load.back-in', { meatWords: meatWords(context, back) }) : '',
    poured.length > 0 ? say('load.pour-2', { list: listing(portionsOfMove(context, poured).map(measured)) }) : '',
    stirred.length > 0 ? say('load.stir-in-2', { list: listing(portionsOfMove(context, stirred).map(measured)) }) : '',
    going.length > 0 ? say('load.in', { cutList: cutList(context, going) }) : '',
  ].filter((text) => text !== '');
  const [first = say('load.ready-for-the-next-stage'), ...rest] = parts;
  const title = joined([capital(first), ...rest], '; ');
  const detail =
    ladle?.then === 'poured-over'
      ? say('load.the-broth-is-poured-over')
      : ladle?.then === 'kept'
        ? say('load.the-broth-goes-into-the')
        : '';
  return { title: open ? say('load.the-lid-off', { title }) : title, detail };
}
