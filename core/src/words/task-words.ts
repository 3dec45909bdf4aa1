import { isPulled } from '../plan/plan';
import { moveOf, type Move } from '../method/moves';
import type { Block } from '../method/step';
import { liquidWord } from '../larder/liquids';
import { listed, upperFirst } from '../units/list';
import { sauceSentence } from './sauce-words';
import { sectionName } from './section-words';
import { cutName, named, portionsOfMove, type Told } from './told';

const pieces = (count: number): string => `${count} ${count === 1 ? 'piece' : 'pieces'}`;

/** Verbs of what is really done to the meat at the board. */
const BOARD_VERBS = {
  rinse: 'rinse',
  trim: 'trim',
  cut: 'cut',
  dry: 'dry',
  'wipe-ice': 'wipe',
  rub: 'rub',
  salt: 'salt',
} as const;

/** A run under pressure: the first, the cook's own name for a later one, or which it is. */
function runName({ plan }: Told, { run, stage }: Extract<Block['work'], { kind: 'pressure' }>): string {
  if (run === 1) return 'Under pressure';
  const own = plan.stages.find(({ id }) => id === stage)?.name;
  return own === undefined ? sectionName('later-run', run) : `${own}, under pressure`;
}

/** "Meat out under foil, vegetables in, lid on": what is done to the pot before a later stage. */
function fillLabel(told: Told, moves: readonly Move[], open: boolean): string {
  const said: string[] = [];
  if (moves.some((move) => move.kind === 'lift' && move.to === 'foil')) said.push('meat out under foil');
  if (moves.some(({ kind }) => kind === 'put-back')) said.push('meat back in');
  const put = portionsOfMove(
    told,
    moves.flatMap((move) => (move.kind === 'put' ? move.portions : [])),
  );
  const vegetables = put.filter(({ kind }) => kind === 'vegetable');
  const others = put.filter(({ kind }) => kind !== 'vegetable');
  const names = [...(vegetables.length > 0 ? ['vegetables'] : []), ...others.map(({ name }) => name)];
  if (names.length > 0) said.push(`${names.length > 3 ? `${names.length} things` : listed(names)} in`);
  if (moves.some(({ kind }) => kind === 'pour')) said.push('liquid in');
  if (!open) said.push('lid on');
  return said.length === 0 ? 'Heat on, the lid off' : upperFirst(said.join(', '));
}

/** What a block of the clock is called. */
export function taskLabel(told: Told, block: Block): string {
  const { work, steps } = block;
  const moves = steps.flatMap((step) => step.moves);
  const { plan } = told;
  switch (work.kind) {
    case 'board': {
      if (work.board === 'vegetables') return 'Vegetables and aromatics';
      const verbs = moves.flatMap(({ kind }) =>
        kind in BOARD_VERBS ? [BOARD_VERBS[kind as keyof typeof BOARD_VERBS]] : [],
      );
      const cuts = portionsOfMove(
        told,
        told.portions.filter(({ kind }) => kind === 'meat').map(({ id }) => id),
      );
      return `${upperFirst(listed(cuts.map(({ id }) => cutName(told, id))))}: ${[...new Set(verbs)].join(', ')}`;
    }
    case 'heat':
      return 'Heat the base';
    case 'sear': {
      const which = plan.otherMeats.length === 0 ? '' : `, ${cutName(told, work.cut)}`;
      return work.batches === 1
        ? `Sear${which}`
        : `Sear${which} batch ${work.batch} of ${work.batches}: ${pieces(work.pieces)}`;
    }
    case 'fry':
      return `${upperFirst(named(told, moveOf(moves, 'fry')?.portions ?? []))}${work.setAside ? ', then set aside' : ''}`;
    case 'marinade':
      return 'Boil the marinade';
    case 'deglaze': {
      const liquid = plan.deglaze ? liquidWord(plan.deglaze.liquid) : 'liquid';
      return work.scraped ? `Deglaze with ${liquid} and scrape` : `Pour ${liquid}, not scraped`;
    }
    case 'load':
      return 'Load, wipe the rim, lock the lid, close the valve';
    case 'come-up':
      if (work.run > 1) return 'Comes to pressure again';
      return plan.cooker.timerStarts === 'pin' ? 'Heats until the pin is up' : 'Comes to pressure';
    case 'pressure':
      return runName(told, work);
    case 'let-down':
      if (work.run > 1) return 'Valve open again';
      return plan.release.method === 'quick' ? 'Valve open' : 'Let down';
    case 'open':
      return work.run === 1 ? 'Lid off, check a piece' : 'Lid off';
    case 'fill': {
      return fillLabel(told, moves, work.open);
    }
    case 'boil':
      return 'Back to the boil';
    case 'simmer':
      return 'Open simmer';
    case 'finish':
    case 'rest':
      return upperFirst(sauceSentence(told, steps[0]?.moves[0] ?? { kind: 'season' }) ?? '');
    case 'put-away':
    case 'day':
      return dayLabel(told, steps[0]?.moves[0] ?? { kind: 'season' });
    case 'plate':
      return isPulled(plan.target) ? 'Pull it, and plate' : 'Plate';
    case 'apart':
      return `${apartName(told, block)}: ${apartSentence(told, block)}`;
    case 'cook-apart':
      return `${upperFirst(named(told, moveOf(moves, 'cook-apart')?.portions ?? []))}: ${cookApartSentence(block)}`;
    case 'later-board':
      return `Wash the board and your hands, then cut ${named(told, moveOf(moves, 'ready')?.portions ?? [])}`;
    case 'side': {
      const side = plan.sides[work.side];
      return `${side?.name ?? ''}: ${side?.tasks[work.task]?.label ?? ''}`;
    }
  }
}

/** Putting away and warming, as the clock calls it. */
function dayLabel(told: Told, move: Move): string {
  switch (move.kind) {
    case 'put-away':
      return move.cutFirst ? 'Slice it, into containers' : 'Into containers';
    case 'ice-bath':
      return 'In ice water';
    case 'into-fridge':
      return 'Into the fridge';
    case 'lift-fat':
      return 'Lift the fat off, cold';
    case 'warm':
      return {
        stove: 'Warm it through on the hob',
        oven: 'Warm it through in the oven',
        pressure: 'Warm it through under pressure',
      }[move.way];
    default:
      return upperFirst(sauceSentence(told, move) ?? '');
  }
}

const APART = {
  toast: 'toast in a dry pan, face away from the fumes',
  soak: 'soak in hot water',
  saute: 'sauté',
  blend: 'blend, half full at most and the lid vented',
  strain: 'strain',
} as const;

/** A sauce made apart, by its name. */
export const apartName = (told: Told, { steps }: Block): string => {
  const move = moveOf(
    steps.flatMap(({ moves }) => moves),
    'apart',
  );
  return move ? upperFirst(named(told, [move.portion])) : '';
};

/** What is done to a sauce made apart. */
export function apartSentence(told: Told, { steps }: Block): string {
  const move = moveOf(
    steps.flatMap(({ moves }) => moves),
    'apart',
  );
  if (!move) return '';
  if (move.step !== 'swill') return APART[move.step];
  const ml = move.swill === null ? 0 : (portionsOfMove(told, [move.swill])[0]?.ml ?? 0);
  return `swill the blender with ${told.print.quantity('volume', ml)} of water; it goes into the pot`;
}

export const cookApartSentence = ({ minutes }: Block): string =>
  `boil in salted water, about ${Math.round(minutes)} min`;

/** A track's own name, and a step of it without that name before it. */
export function trackWords(told: Told, block: Block): { readonly name: string; readonly title: string } {
  const { track, work } = block;
  switch (track?.kind) {
    case 'side': {
      const side = told.plan.sides[track.side];
      return { name: side?.name ?? '', title: work.kind === 'side' ? (side?.tasks[work.task]?.label ?? '') : '' };
    }
    case 'apart':
      return { name: apartName(told, block), title: apartSentence(told, block) };
    case 'cook-apart': {
      const move = moveOf(
        block.steps.flatMap(({ moves }) => moves),
        'cook-apart',
      );
      return { name: upperFirst(named(told, move?.portions ?? [])), title: cookApartSentence(block) };
    }
    case 'board':
      return { name: 'Board', title: taskLabel(told, block) };
    case undefined:
      return { name: '', title: taskLabel(told, block) };
  }
}
