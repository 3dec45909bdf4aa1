import { capital, joined, listing, quantity, say, type Text } from '@hervir/language/message';
import { isPulled } from '../plan/plan';
import { moveOf, type Move } from '../method/moves';
import type { Block } from '../method/step';
import { liquidWord } from '../catalog/liquids';
import { sauceSentence } from './sauce-words';
import { sectionName } from './section-words';
import { cutName, named, portionsOfMove, type StepContext } from './step-context';

const pieces = (count: number): Text => say('task.pieces', { count });

/** Verbs of what is really done to the meat at the board. */
const BOARD_VERBS = {
  rinse: say('task.verb-rinse'),
  trim: say('task.verb-trim'),
  cut: say('task.verb-cut'),
  dry: say('task.verb-dry'),
  'wipe-ice': say('task.verb-wipe'),
  rub: say('task.verb-rub'),
  salt: say('task.verb-salt'),
} as const;

/** A run under pressure: the first, the cook's own name for a later one, or which it is. */
function runName({ plan }: StepContext, { run, stage }: Extract<Block['work'], { kind: 'pressure' }>): Text {
  if (run === 1) return say('task.under-pressure');
  const own = plan.stages.find(({ id }) => id === stage)?.name;
  return own === undefined ? sectionName('later-run', run) : say('task.under-pressure-2', { own });
}

/** "Meat out under foil, vegetables in, lid on": what is done to the pot before a later stage. */
function fillLabel(context: StepContext, moves: readonly Move[], open: boolean): Text {
  const said: Text[] = [];
  if (moves.some((move) => move.kind === 'lift' && move.to === 'foil')) said.push(say('task.meat-out-under-foil'));
  if (moves.some(({ kind }) => kind === 'put-back')) said.push(say('task.meat-back-in'));
  const put = portionsOfMove(
    context,
    moves.flatMap((move) => (move.kind === 'put' ? move.portions : [])),
  );
  const vegetables = put.filter(({ kind }) => kind === 'vegetable');
  const others = put.filter(({ kind }) => kind !== 'vegetable');
  const names = [...(vegetables.length > 0 ? [say('task.vegetables')] : []), ...others.map(({ name }) => name)];
  if (names.length > 0)
    said.push(
      say('task.in', { value: names.length > 3 ? say('task.things', { count: names.length }) : listing(names) }),
    );
  if (moves.some(({ kind }) => kind === 'pour')) said.push(say('task.liquid-in'));
  if (!open) said.push(say('task.lid-on'));
  return said.length === 0 ? say('task.heat-on-the-lid-off') : capital(joined(said, ', '));
}

/** What a block of the clock is called. */
// oxlint-disable-next-line max-lines-per-function -- one case for each kind of move
export function taskLabel(context: StepContext, block: Block): Text {
  const { work, steps } = block;
  const moves = steps.flatMap((step) => step.moves);
  const { plan } = context;
  switch (work.kind) {
    case 'board': {
      if (work.board === 'vegetables') return say('task.vegetables-and-aromatics');
      const kinds = [...new Set(moves.map(({ kind }) => kind))];
      const verbs = kinds.flatMap((kind) =>
        kind in BOARD_VERBS ? [BOARD_VERBS[kind as keyof typeof BOARD_VERBS]] : [],
      );
      const cuts = portionsOfMove(
        context,
        context.portions.filter(({ kind }) => kind === 'meat').map(({ id }) => id),
      );
      return say('task.meat-at-the-board', {
        cuts: capital(listing(cuts.map(({ id }) => cutName(context, id)))),
        verbs: joined(verbs, ', '),
      });
    }
    case 'heat':
      return say('task.heat-the-base');
    case 'sear': {
      const which = plan.otherMeats.length === 0 ? '' : joined(['', cutName(context, work.cut)], ', ');
      return work.batches === 1
        ? say('task.sear', { which })
        : say('task.sear-batch-of', { which, batch: work.batch, batches: work.batches, pieces: pieces(work.pieces) });
    }
    case 'fry':
      return say('task.fry', {
        named: capital(named(context, moveOf(moves, 'fry')?.portions ?? [])),
        setAside: work.setAside,
      });
    case 'marinade':
      return say('task.boil-the-marinade');
    case 'deglaze': {
      const liquid = plan.deglaze ? liquidWord(plan.deglaze.liquid) : say('task.liquid');
      return work.scraped ? say('task.deglaze-with-and-scrape', { liquid }) : say('task.pour-not-scraped', { liquid });
    }
    case 'load':
      return say('task.load-wipe-the-rim-lock');
    case 'come-up':
      if (work.run > 1) return say('task.comes-to-pressure-again');
      return plan.cooker.timerStarts === 'pin' ? say('task.heats-until-the-pin-is') : say('task.comes-to-pressure');
    case 'pressure':
      return runName(context, work);
    case 'let-down':
      if (work.run > 1) return say('task.valve-open-again');
      return plan.release.method === 'quick' ? say('task.valve-open') : say('task.let-down');
    case 'open':
      return work.run === 1 ? say('task.lid-off-check-a-piece') : say('task.lid-off');
    case 'fill': {
      return fillLabel(context, moves, work.open);
    }
    case 'boil':
      return say('task.back-to-the-boil');
    case 'simmer':
      return say('task.open-simmer');
    case 'finish':
    case 'rest':
      return capital(sauceSentence(context, steps[0]?.moves[0] ?? { kind: 'season' }) ?? '');
    case 'put-away':
    case 'day':
      return dayLabel(context, steps[0]?.moves[0] ?? { kind: 'season' });
    case 'plate':
      return isPulled(plan.target) ? say('task.pull-it-and-plate') : say('task.plate');
    case 'apart':
      return joined([apartName(context, block), apartSentence(context, block)], ': ');
    case 'cook-apart':
      return joined(
        [capital(named(context, moveOf(moves, 'cook-apart')?.portions ?? [])), cookApartSentence(block)],
        ': ',
      );
    case 'later-board':
      return say('task.wash-the-board-and-your', { named: named(context, moveOf(moves, 'ready')?.portions ?? []) });
    case 'side': {
      const side = plan.sides[work.side];
      return `${side?.name ?? ''}: ${side?.tasks[work.task]?.label ?? ''}`;
    }
  }
}

/** Putting away and warming, as the clock calls it. */
function dayLabel(context: StepContext, move: Move): Text {
  switch (move.kind) {
    case 'put-away':
      return move.cutFirst ? say('task.slice-it-into-containers') : say('task.into-containers');
    case 'ice-bath':
      return say('task.in-ice-water');
    case 'into-fridge':
      return say('task.into-the-fridge');
    case 'lift-fat':
      return say('task.lift-the-fat-off-cold');
    case 'warm':
      return {
        stove: say('task.warm-it-through-on-the'),
        oven: say('task.warm-it-through-in-the'),
        pressure: say('task.warm-it-through-under-pressure'),
      }[move.way];
    default:
      return capital(sauceSentence(context, move) ?? '');
  }
}

const APART = {
  toast: say('task.toast-in-a-dry-pan'),
  soak: say('task.soak-in-hot-water'),
  saute: say('task.saute'),
  blend: say('task.blend-half-full-at-most'),
  strain: say('task.strain'),
} as const;

/** A sauce made apart, by its name. */
export const apartName = (context: StepContext, { steps }: Block): Text => {
  const move = moveOf(
    steps.flatMap(({ moves }) => moves),
    'apart',
  );
  return move ? capital(named(context, [move.portion])) : '';
};

/** What is done to a sauce made apart. */
export function apartSentence(context: StepContext, { steps }: Block): Text {
  const move = moveOf(
    steps.flatMap(({ moves }) => moves),
    'apart',
  );
  if (!move) return '';
  if (move.step !== 'swill') return APART[move.step];
  const ml = move.swill === null ? 0 : (portionsOfMove(context, [move.swill])[0]?.ml ?? 0);
  return say('task.swill-the-blender-with-of', { ml: quantity('volume', ml) });
}

export const cookApartSentence = ({ minutes }: Block): Text =>
  say('task.boil-in-salted-water-about', { minutes: Math.round(minutes) });

/** A track's own name, and a step of it without that name before it. */
export function trackWords(context: StepContext, block: Block): { readonly name: Text; readonly title: Text } {
  const { track, work } = block;
  switch (track?.kind) {
    case 'side': {
      const side = context.plan.sides[track.side];
      return { name: side?.name ?? '', title: work.kind === 'side' ? (side?.tasks[work.task]?.label ?? '') : '' };
    }
    case 'apart':
      return { name: apartName(context, block), title: apartSentence(context, block) };
    case 'cook-apart': {
      const move = moveOf(
        block.steps.flatMap(({ moves }) => moves),
        'cook-apart',
      );
      return { name: capital(named(context, move?.portions ?? [])), title: cookApartSentence(block) };
    }
    case 'board':
      return { name: say('task.board'), title: taskLabel(context, block) };
    case undefined:
      return { name: '', title: taskLabel(context, block) };
  }
}
