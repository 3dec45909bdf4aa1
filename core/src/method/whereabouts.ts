import type { Portion, PortionId } from '../plan/portions';
import { portionsIn, type Move } from './moves';
import type { Block, Method, Step } from './step';

/** Where a portion is. */
export const WHEREABOUTS = [
  'bowl',
  'beside',
  'pot',
  'foil',
  'dish',
  'aside',
  'plate',
  'sauce',
  'fished-out',
  'kept',
  'thrown',
] as const;
export type Whereabouts = (typeof WHEREABOUTS)[number];

/** Where every portion is after a step. */
export type Places = ReadonlyMap<PortionId, Whereabouts>;

/** Before anything is done all is in its bowl. */
export function inBowls(portions: readonly Portion[]): Places {
  return new Map(portions.map(({ id }) => [id, 'bowl']));
}

/** What comes onto the plate as itself; all else is in the sauce. */
const ON_THE_PLATE: ReadonlySet<Portion['kind']> = new Set(['meat', 'vegetable', 'grain', 'other']);

/** One `case` for every kind of move: where it brings what it moves; null where it moves nothing. */
// oxlint-disable-next-line max-lines-per-function -- one case for each kind of move
function goesTo(move: Move): Whereabouts | null {
  switch (move.kind) {
    case 'sear':
    case 'cut-seared':
      return 'beside';
    case 'fry':
      return move.setAside ? 'aside' : 'pot';
    case 'wait-hot':
    case 'boil-marinade':
    case 'deglaze':
    case 'put':
    case 'pour':
    case 'put-back':
    case 'thicken':
    case 'stir-in':
    case 'fold-in':
    case 'stir-down':
      return 'pot';
    case 'flour':
      return null;
    case 'cook-apart':
      return 'aside';
    case 'lift':
      return move.to;
    case 'fish-out':
      return 'fished-out';
    case 'strain':
      return move.solids === 'thrown' ? 'thrown' : move.solids === 'kept' ? 'kept' : 'aside';
    case 'salt-ahead':
    case 'thaw':
    case 'soak':
    case 'marinate':
    case 'unmarinate':
    case 'ready':
    case 'rinse':
    case 'trim':
    case 'cut':
    case 'dry':
    case 'wipe-ice':
    case 'rub':
    case 'salt':
    case 'heat':
    case 'recover':
    case 'heat-off':
    case 'rack':
    case 'ladle':
    case 'lock':
    case 'start':
    case 'lock-and-start':
    case 'come-up':
    case 'hold':
    case 'leave':
    case 'vent':
    case 'pin-falls':
    case 'open':
    case 'try':
    case 'clear':
    case 'without-power':
    case 'see-to':
    case 'boil':
    case 'simmer':
    case 'skim':
    case 'blend':
    case 'reduce':
    case 'rest':
    case 'season':
    case 'pull':
    case 'slice':
    case 'crisp':
    case 'plate':
    case 'apart':
    case 'side':
    case 'put-away':
    case 'ice-bath':
    case 'into-fridge':
    case 'lift-fat':
    case 'warm':
      return null;
  }
}

/**
 * Where everything is after a step: one pure function of where it was and what is done.
 *
 * @param places before it
 * @param step of the method
 * @param portions of the plan
 */
export function placesAfter(places: Places, { moves }: Pick<Step, 'moves'>, portions: readonly Portion[]): Places {
  const next = new Map(places);
  for (const move of moves) {
    const to = goesTo(move);
    if (to !== null) for (const id of portionsIn(move)) next.set(id, to);
    // What goes along with something else.
    if (move.kind === 'unmarinate') next.set(move.marinade, move.then === 'thrown' ? 'thrown' : 'bowl');
    if (move.kind === 'rub') next.set(move.rub, 'sauce');
    if (move.kind === 'flour') next.set(move.portion, 'pot');
    if (move.kind === 'sear') for (const id of move.beside) next.set(id, 'beside');
    if (move.kind === 'plate') serve(next, portions);
  }
  return next;
}

/** All that is in the pot, on the dish or under foil comes to the table. */
function serve(places: Map<PortionId, Whereabouts>, portions: readonly Portion[]): void {
  for (const { id, kind } of portions) {
    const at = places.get(id);
    if (at === 'pot' || at === 'foil' || at === 'dish') places.set(id, ON_THE_PLATE.has(kind) ? 'plate' : 'sauce');
  }
}

/**
 * Where every portion ends: on the plate, in the sauce, fished out, kept or thrown away. One that is still in its bowl was
 * never told to leave it.
 *
 * @param method of the plan
 * @param portions of the plan
 */
export function endsOf(method: Method, portions: readonly Portion[]): Places {
  return inOrder(method).reduce((places, step) => placesAfter(places, step, portions), inBowls(portions));
}

/** Steps in the order in which they move things: what is beside the main work is ready when it is wanted. */
export function inOrder(method: Method): Step[] {
  const ordered = (blocks: readonly Block[]): Step[] => [
    ...blocks.filter(({ track }) => track !== null).flatMap(({ steps }) => steps),
    ...blocks.filter(({ track }) => track === null).flatMap(({ steps }) => steps),
  ];
  return [...method.ahead, ...ordered(method.blocks), ...ordered(method.day)];
}
