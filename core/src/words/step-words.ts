import { isPulled } from '../plan/plan';
import type { Alarm, GuideStep, SectionId } from '../clock/guide-step';
import { cutById } from '../larder/cuts';
import { moveOf, type Move, type MoveOf } from '../method/moves';
import type { Block, Step } from '../method/step';
import { aromaticSteps } from '../stations/aromatics';
import { upperFirst } from '../units/list';
import { boardSentence } from './board-words';
import { keptWords, type KeptMove } from './put-away-words';
import { fillWords, loadWords } from './load-words';
import { sauceSentence } from './sauce-words';
import { cutList, cutName, measured, named, portionsOfMove, theCut, type Told } from './told';

/** What a step of the method is in words: all of a guide's step but what the clock knows. */
export type StepWords = Omit<
  GuideStep,
  'id' | 'task' | 'moves' | 'minutes' | 'waitMinutes' | 'spareMinutes' | 'earlyFromMinute' | 'broughtInBy'
>;

type Draft = Partial<StepWords> & Pick<StepWords, 'section' | 'title' | 'button' | 'done'>;

const REST: Omit<StepWords, 'section' | 'title' | 'button' | 'done'> = {
  run: null,
  detail: '',
  counts: false,
  handsOn: true,
  alarm: 'none',
  skips: 0,
  otherwise: null,
  runsFrom: null,
  endsByItself: false,
  caution: null,
};

/** What is said where a braise that is in time may wait. */
export const spareSentence = (minutes: number): string =>
  `If nothing came late there are ${Math.round(minutes)} min to spare: it may wait so long under its lid, off the heat.`;

/** Waits with a countdown. */
const waits = (alarm: Alarm): Pick<StepWords, 'counts' | 'handsOn' | 'alarm'> => ({
  counts: true,
  handsOn: false,
  alarm,
});

/** One for all lids: kept here so that every lock reads alike. */
const LOCK = 'Wipe the rim, seat the gasket, lock the lid';
const HANDS = 'Hands and face away from the valve; a spoon handle turns it.';
const FACE_HOW = 'Turn when it lets go by itself; if it sticks, it is not ready.';

/** Whose minutes a step has, and where in its block it stands. */
interface Place {
  readonly told: Told;
  readonly block: Block | null;
  readonly step: Step;
  readonly moves: readonly Move[];
}

const isStovetop = ({ plan }: Told): boolean => plan.cooker.kind === 'stovetop';

/** The part of the work that belongs to a lid: the first has parts of its own, a later one is one part. */
const ofRun = (run: number, section: SectionId): SectionId => (run === 1 ? section : 'later-run');

/**
 * A step in words.
 *
 * @param told the plan, its portions and the cook's units
 * @param step of the method
 * @param block it is part of; null for one that comes in while the cook is under way
 */
export function stepWords(told: Told, step: Step, block: Block | null): StepWords {
  const place: Place = { told, block, step, moves: step.moves };
  return { ...REST, ...draftOf(place, leading(step)) };
}

/** The move that a step is named by: what goes in first is not always what it is about. */
function leading({ moves }: Step): Move {
  const first = moves[0];
  const plating = moveOf(moves, 'plate');
  return plating ?? first;
}

/** One `case` for every kind of move: the compiler names those that have no words. */
function draftOf(place: Place, move: Move): Draft {
  const { told, step } = place;
  switch (move.kind) {
    case 'salt-ahead':
    case 'thaw':
    case 'soak':
    case 'marinate':
    case 'ready':
    case 'unmarinate':
    case 'rinse':
    case 'trim':
    case 'cut':
    case 'dry':
    case 'wipe-ice':
    case 'rub':
    case 'salt':
      return board(place);
    case 'heat':
      return {
        section: 'heat',
        title: isStovetop(told) ? 'Burner on high under the empty pot' : 'Sauté on its highest, the pot empty',
        detail: 'It heats while you dry the meat.',
        button: 'It is on',
        done: 'stepDone',
      };
    case 'wait-hot':
      return {
        section: 'heat',
        title: `Wait until a scrap of vegetable sizzles, then ${fatWords(told, move)}`,
        button: 'It sizzles',
        done: 'stepDone',
        ...waits('turn'),
        runsFrom: 'heat-on',
      };
    case 'sear':
      return sear(told, move);
    case 'recover':
      return {
        section: 'sear',
        title: 'Let the base come back to heat, a little oil',
        button: 'It sizzles again',
        done: 'stepDone',
        counts: true,
        alarm: 'turn',
      };
    case 'cut-seared':
      return {
        section: 'load',
        title: `Cut ${theCut(told, move.portion)} now, on the meat board`,
        detail: 'Its juices go in with it.',
        button: 'It is cut',
        done: 'stepDone',
        caution: told.caution('board-order'),
      };
    case 'fry':
      return fry(told, move);
    case 'flour':
      return {
        section: 'load',
        title: `Strew ${measured(told, portionsOfMove(told, [move.portion])[0] ?? NOTHING)} over the meat and stir`,
        detail: 'No white left to see; it thickens the liquid, and the base gets hotter for it.',
        button: 'No white left',
        done: 'stepDone',
      };
    case 'boil-marinade':
      return {
        section: 'deglaze',
        title: 'Pour the marinade into the hot pot and boil it',
        detail: 'It held raw meat: it boils hard before anything else goes in.',
        button: 'It has boiled',
        done: 'stepDone',
        counts: true,
        alarm: 'turn',
        caution: told.caution('marinade-raw'),
      };
    case 'deglaze':
      return deglaze(told, move);
    case 'heat-off':
      return {
        section: 'load',
        title: isStovetop(told) ? 'Heat off' : 'Sauté off: press cancel',
        button: isStovetop(told) ? 'Heat is off' : 'Sauté is off',
        done: 'sauteOff',
      };
    case 'rack':
    case 'put':
    case 'pour':
    case 'ladle':
    case 'lift':
    case 'put-back':
    case 'stir-down':
      return filling(place);
    case 'lock':
      return {
        section: 'load',
        run: move.run,
        title: LOCK,
        button: 'Lid is locked',
        done: 'lidLocked',
        caution: told.caution('check-gasket'),
      };
    case 'start':
      return start(told, move);
    case 'lock-and-start':
      return lockAndStart(told, move);
    case 'come-up':
      return comeUp(told, move);
    case 'hold':
      return {
        section: ofRun(move.run, 'pressure'),
        run: move.run,
        title: isStovetop(told) ? 'Heat down until it only hisses, and stay near' : 'Under pressure. Leave it alone.',
        button: isStovetop(told) ? 'Heat is off' : 'It has ended',
        done: 'heaterOff',
        ...waits(isStovetop(told) ? 'danger' : 'turn'),
        endsByItself: !isStovetop(told),
      };
    case 'leave':
      return leave(place, move);
    case 'vent':
      return {
        section: ofRun(move.run, 'letting-down'),
        run: move.run,
        title: isStovetop(told)
          ? 'Lift it off the burner, and open the valve, hands to the side'
          : 'Open the valve, hands to the side',
        detail: HANDS,
        button: 'Valve opened',
        done: 'ventOpened',
        alarm: 'turn',
        caution: told.caution('quick-foams', move.run) ?? told.caution('lid-steam'),
      };
    case 'pin-falls':
      return {
        section: ofRun(move.run, 'letting-down'),
        run: move.run,
        title: 'It vents. Wait until the pin has fallen',
        detail: 'The lid stays shut until then.',
        button: 'Pin is down',
        done: 'pinDown',
        ...waits('turn'),
      };
    case 'open':
      return {
        section: ofRun(move.run, 'check'),
        run: move.run,
        title: 'Lid off, tilted away from your face',
        detail: move.run === 1 ? 'If it does not turn, the pin is not down: never force it.' : '',
        button: 'Lid is off',
        done: 'lidOpened',
        caution: told.caution('lid-steam'),
      };
    case 'try':
      return {
        section: 'check',
        run: move.run,
        title:
          told.plan.otherMeats.length === 0
            ? 'Try a piece. What is it like?'
            : `Try a piece of ${named(told, move.portions)}. What is it like?`,
        detail: `A fork in the thickest piece, and turn it.${told.plan.cookAhead === undefined ? '' : ' It goes on melting as it cools and is warmed: a little firm is right.'}`,
        button: 'It will do',
        done: 'checked',
        caution: told.caution('raw-middle') ?? told.caution('stopped-cook'),
      };
    case 'clear':
      return {
        section: 'load',
        title: 'Let it down, lift the meat out, scrape the base clean, all back in with more liquid',
        detail: 'Partly cooked meat is never put aside: go on at once.',
        button: 'Clean, and all back in',
        done: 'stepDone',
        caution: told.caution('lid-steam'),
      };
    case 'without-power':
      return {
        section: 'coming-up',
        title: 'The power is gone: leave the lid shut',
        detail:
          'Shut, it stays hot for a good while and goes on cooking a little. Partly cooked meat is never put aside.',
        button: 'Power is back, begun again',
        done: 'stepDone',
        caution: told.caution('stopped-cook'),
      };
    case 'see-to':
      return {
        section: 'load',
        title:
          'Heat off. When it is quiet, lid off: gasket, rim, valve and liquid put right; lid on, valve closed, begin again',
        detail: 'A gasket that does not sit and an open valve are the commonest; under the minimum, pour more.',
        button: 'Put right, begun again',
        done: 'stepDone',
        caution: told.caution('lid-steam'),
      };
    case 'boil':
      return {
        section: 'simmer',
        title: `Bring it back to the boil${place.moves.some((one) => one.kind === 'heat-off') ? ', and take the heat off' : ''}`,
        button: 'It boils',
        done: 'stepDone',
        ...waits('turn'),
      };
    case 'simmer':
      return {
        section: 'simmer',
        title: simmerTitle(place, move),
        button: move.goesOn === true ? 'Simmered so far' : 'They are done',
        done: 'stepDone',
        ...waits('turn'),
      };
    case 'fish-out':
    case 'skim':
    case 'strain':
    case 'blend':
    case 'reduce':
    case 'thicken':
    case 'stir-in':
    case 'fold-in':
    case 'rest':
    case 'season':
    case 'pull':
    case 'slice':
    case 'crisp':
      return sauce(place, move);
    case 'plate':
      return plate(place, move);
    case 'put-away':
    case 'ice-bath':
    case 'into-fridge':
    case 'lift-fat':
    case 'warm':
      return kept(told, move);
    case 'apart':
    case 'cook-apart':
    case 'side':
      // Beside the main work: told by its track.
      return { section: 'sauce', title: step.id, button: 'Done', done: 'stepDone' };
  }
}

const NOTHING = { name: '', grams: null, ml: null } as Parameters<typeof measured>[1];

function board({ told, block, moves }: Place): Draft {
  const meat = block?.work.kind === 'board' && block.work.board === 'meat';
  // What takes the knife is the step; weighing out and rinsing are beside it.
  const knife = (move: Move): boolean => move.kind === 'ready' && move.how === 'wash-and-cut';
  const inTurn = meat ? moves : [...moves.filter(knife), ...moves.filter((move) => !knife(move))];
  const [first, ...more] = inTurn.flatMap((move) => boardSentence(told, move) ?? []);
  const raw = moves.some((move) => move.kind === 'unmarinate') ? told.caution('marinade-raw') : null;
  const frozen = moves.some((move) => move.kind === 'wipe-ice') ? told.caution('frozen-start') : null;
  return {
    section: 'board',
    title: first ?? '',
    detail: [...more, ...(meat ? [] : ['Into bowls, by when they go in'])].join('. '),
    button: meat ? 'The meat is ready' : 'In their bowls',
    done: 'stepDone',
    caution: meat
      ? (raw ?? frozen ?? told.caution('sugar-rub') ?? told.caution('board-order'))
      : (told.caution('kidney-bean') ?? told.caution('board-order')),
  };
}

const fatWords = (told: Told, { fat }: MoveOf<'wait-hot'>): string => {
  const ml = fat === null ? null : (portionsOfMove(told, [fat])[0]?.ml ?? null);
  return ml === null ? 'oil' : `${told.print.quantity('volume', ml)} of fat`;
};

function sear(told: Told, move: MoveOf<'sear'>): Draft {
  const { batch, batches, pieces, face, faces, stirred, where, beside } = move;
  const last = face === faces;
  const which = batches > 1 ? `Batch ${batch} of ${batches}: ` : '';
  const cut = told.plan.otherMeats.length > 0 ? ` of ${cutName(told, move.portion)}` : '';
  const count = `${pieces} ${pieces === 1 ? 'piece' : 'pieces'}${cut}`;
  const apart = pieces > 1 && !stirred ? ', none touching' : '';
  const them = pieces === 1 ? 'it' : 'them';
  const bones = beside.length > 0 ? `${upperFirst(named(told, beside))} beside it. ` : '';
  return {
    section: 'sear',
    title:
      face === 1
        ? `${which}${count} in${where === 'pan' ? ' the pan' : ''}${apart}. ${bones}${stirred ? 'Stir until the edges lose their colour.' : `Leave ${them} alone.`}`
        : `${which}${which === '' ? 'Side' : 'side'} ${face} of ${faces}. Leave ${them} alone.`,
    detail: stirred
      ? 'They are not to brown, only to lose their rawness.'
      : last
        ? 'Keep the plate’s juices.'
        : FACE_HOW,
    button: last ? (stirred ? 'No red left: out' : 'Brown: onto the plate') : 'It lets go: turned',
    done: last ? 'batchDone' : 'flipped',
    counts: true,
    alarm: 'turn',
    caution:
      face === 1 && batch === 1
        ? (told.caution('frozen-sear') ?? told.caution('sugar-rub') ?? told.caution('no-frying'))
        : null,
  };
}

const FRY_BUTTON: Readonly<Record<string, string>> = {
  bones: 'Brown all round',
  base: 'Soft and clear',
  warm: 'It smells',
  spice: 'It smells',
  garlic: 'It smells: liquid now',
  leaf: 'Done',
};

function fry(told: Told, { portions, group, setAside }: MoveOf<'fry'>): Draft {
  const turn = aromaticSteps(told.plan.aromatics).find(({ id }) => id === group);
  return {
    section: 'aromatics',
    title: `${upperFirst(named(told, portions))} in; stir`,
    detail: turn?.note ?? '',
    button: setAside ? 'Soft, and set aside' : (FRY_BUTTON[turn?.group ?? ''] ?? 'Done'),
    done: 'stepDone',
    counts: true,
    alarm: 'turn',
    caution: told.caution('chilli-fumes'),
  };
}

function deglaze(told: Told, { portion, scraped }: MoveOf<'deglaze'>): Draft {
  const [found = NOTHING] = portionsOfMove(told, [portion]);
  const liquid = measured(told, found);
  return {
    section: 'deglaze',
    title: scraped
      ? `Pour ${liquid}; scrape with a wooden edge until nothing sticks`
      : `Pour ${liquid}, not scraped, as planned`,
    detail: scraped ? 'What sticks now burns later. Wine boils until its sharp smell is gone.' : '',
    button: scraped ? 'Scraped clean' : 'Poured',
    done: 'stepDone',
    caution: scraped ? told.caution('alcohol-stays') : told.caution('burn-likely', 1),
  };
}

/** What is wrong with a lid before it goes on, the worst first. */
const lidCaution = (told: Told, run: number): string | null =>
  told.caution('over-fill', run) ??
  told.caution('under-minimum', run) ??
  told.caution('boils-dry', run) ??
  told.caution('grain-dry', run) ??
  told.caution('burn-likely', run);

function simmerTitle({ block, step }: Place, { heat, goesOn }: MoveOf<'simmer'>): string {
  const first = block === null || block.steps[0]?.id === step.id;
  const how = heat === 'hard' ? 'Let it boil hard, the lid off: it reduces as it cooks' : 'Down to a gentle simmer';
  const then = goesOn === true ? 'more goes in before the end' : 'try them before the time is up';
  return `${first ? how : 'Let it simmer on'}; ${then}`;
}

function filling(place: Place): Draft {
  const { told, block, moves, step } = place;
  const work = block?.work;
  if (work?.kind === 'load') {
    const words = loadWords(told, moves);
    return {
      section: 'load',
      run: 1,
      ...words,
      button: 'All in',
      done: 'stepDone',
      caution: lidCaution(told, 1) ?? told.caution('raw-waits') ?? told.caution('kidney-bean'),
    };
  }
  if (work?.kind === 'simmer') {
    const [first, ...more] = moves.flatMap((move) => (move.kind === 'put' ? [cutList(told, move.portions)] : []));
    return {
      section: 'simmer',
      title: `${upperFirst([first ?? '', ...more].join(', '))} in now; it simmers on`,
      button: 'All in',
      done: 'stepDone',
    };
  }
  if (work?.kind === 'fill') {
    const run = nextRun(block);
    return {
      section: work.open ? 'simmer' : 'later-run',
      run,
      ...fillWords(told, moves, work.open),
      button: 'All in',
      done: 'stepDone',
      caution: run === null ? null : lidCaution(told, run),
    };
  }
  return sauce(place, step.moves[0]);
}

/** The lid that a block's own steps go on to lock; null for a pot that stays open. */
function nextRun(block: Block | null): number | null {
  const locks = (block?.steps ?? []).flatMap(({ moves }) => moveOf(moves, 'lock-and-start') ?? []);
  return locks[0]?.run ?? null;
}

function start(told: Told, { run, minutes }: MoveOf<'start'>): Draft {
  const { heat } = told.plan;
  const waitsFirst = told.plan.waitsMinutes > 0 ? told.caution('raw-waits') : null;
  return {
    section: 'load',
    run,
    title: isStovetop(told)
      ? `Close the valve; heat to ${heat === 'medium' ? 'medium' : 'full'}`
      : `Close the valve; high pressure, ${minutes} minutes, keep-warm off, start`,
    detail: 'An open valve is the commonest mistake.',
    button: isStovetop(told) ? 'Valve closed, heat on' : 'Valve closed, started',
    done: 'valveClosed',
    caution: waitsFirst ?? told.caution('watch-burner'),
  };
}

function lockAndStart(told: Told, { run, minutes }: MoveOf<'lock-and-start'>): Draft {
  const how = isStovetop(told)
    ? 'full heat'
    : minutes === 0
      ? 'start: no minutes, only up to pressure'
      : `${minutes} ${minutes === 1 ? 'minute' : 'minutes'}, start`;
  return {
    section: 'later-run',
    run,
    title: `Lid locked, valve closed, ${how}`,
    button: run === 2 ? 'Second run begun' : 'It has begun',
    done: 'secondRun',
    caution: lidCaution(told, run) ?? told.caution('check-gasket'),
  };
}

function comeUp(told: Told, { run, until }: MoveOf<'come-up'>): Draft {
  const again = run > 1;
  const pin = until === 'pin';
  if (again) {
    return {
      section: 'later-run',
      run,
      title: pin ? 'It comes up again until the pin is up' : 'It comes up again until the cooker counts',
      detail: isStovetop(told) ? 'Then turn the heat down.' : '',
      button: pin ? 'Pin is up' : 'It counts',
      done: pin ? 'pinUp' : 'timerStarted',
      ...waits('turn'),
    };
  }
  return pin
    ? {
        section: 'coming-up',
        run,
        title: 'It heats until the pin is up. Nothing to do here.',
        detail: 'The minutes do not count yet.',
        button: 'Pin is up',
        done: 'pinUp',
        ...waits('turn'),
      }
    : {
        section: 'coming-up',
        run,
        title: 'Pin is up. The cooker counts at full pressure',
        detail: 'Look for its countdown.',
        button: 'It counts',
        done: 'timerStarted',
        ...waits('turn'),
      };
}

function leave({ told, step, block }: Place, { run, minutes }: MoveOf<'leave'>): Draft {
  const own = {
    section: ofRun(run, 'letting-down'),
    run,
    ...waits('turn'),
    detail: isStovetop(told) ? '' : 'See that keep-warm is off.',
    caution: told.caution('lid-steam'),
  };
  // A burner goes on giving heat: what is done first is said first.
  const alone = isStovetop(told) ? 'Lift it off the burner. Leave it alone' : 'Leave it alone';
  const fell = { button: 'Pin is down', done: 'pinDown' as const };
  if (minutes === null) return { ...own, ...fell, title: `${alone} until the pin has fallen` };
  const opened = { button: 'Valve opened', done: 'ventOpened' as const };
  const byItself = { button: 'Pin fell by itself', done: 'pinDown' as const };
  // Where nothing is left for the valve, the pin falls first.
  const falls = block?.steps.find(({ moves }) => moveOf(moves, 'pin-falls'))?.minutes ?? 0;
  if (falls <= 0 && step.minutes <= minutes) {
    return {
      ...own,
      ...byItself,
      title: `${alone} until the pin falls. Not down in ${Math.round(minutes)} minutes: open the valve, hands to the side.`,
      skips: 1,
      otherwise: { ...opened, skips: 0 },
    };
  }
  return {
    ...own,
    ...opened,
    title: `${alone}. Then open the valve, hands to the side.`,
    otherwise: { ...byItself, skips: 1 },
    caution: told.caution('quick-foams', run) ?? told.caution('lid-steam'),
  };
}

function sauce({ told, step, moves }: Place, move: Move): Draft {
  const sentences = moves.flatMap((one) => sauceSentence(told, one) ?? []);
  const [title = '', ...more] = sentences;
  const season = move.kind === 'season';
  const rests = move.kind === 'rest';
  const counts = rests || move.kind === 'reduce';
  const { sauceMl } = told.sauce;
  return {
    section: 'sauce',
    title: upperFirst(title),
    detail: season
      ? `About ${told.print.quantity('volume', sauceMl)} of sauce.`
      : rests && told.plan.target === 'slices'
        ? 'Meat that is sliced rests too: its juice stays in it.'
        : more.join('. '),
    button: season ? 'Tasted: it is right' : rests ? 'Rested' : 'Done',
    done: season ? 'tasted' : 'stepDone',
    ...(counts ? waits('turn') : {}),
    handsOn: counts ? false : step.hands,
    caution: move.kind === 'blend' ? told.caution('blender') : season ? told.caution('alcohol-stays') : null,
  };
}

/** Of a braise that is cooked ahead: in the fridge the cook is over, as it is on the table. */
function kept(told: Told, move: KeptMove): Draft {
  const counts = move.kind === 'ice-bath' || move.kind === 'warm';
  return {
    section: move.kind === 'lift-fat' || move.kind === 'warm' ? 'warm' : 'put-away',
    ...keptWords(move, told.print),
    done: move.kind === 'into-fridge' ? 'served' : 'stepDone',
    ...(counts ? waits('turn') : {}),
    caution: keptCautionOf(told, move.kind),
  };
}

function keptCautionOf(told: Told, kind: KeptMove['kind']): string | null {
  switch (kind) {
    case 'put-away':
      return told.caution('cools-slowly') ?? told.caution('bone-splinters');
    case 'ice-bath':
    case 'into-fridge':
      return told.caution('cooling');
    case 'lift-fat':
      return null;
    case 'warm':
      return told.caution('warm-through');
  }
}

/** Whether the meat is sliced or pulled, and what to look out for. */
export function platingSentence({ plan }: Pick<Told, 'plan'>): string {
  const bone = plan.meat.boneIn && cutById(plan.meat.cut).boneShare > 0;
  if (plan.servedFrom === 'pot') return 'Eaten from the pot: bring it to the table as it is.';
  if (isPulled(plan.target)) {
    return `Pull it with two forks on a separate plate${bone ? ', looking for splinters of bone' : ''}, and put it back into some of the reduced sauce.`;
  }
  if (plan.meat.form === 'whole' || plan.meat.form === 'rack') {
    return 'Slice it across the grain once it has rested, and lay the slices into the sauce to warm through.';
  }
  return 'Serve the pieces in their sauce.';
}

function plate({ told, moves }: Place, move: MoveOf<'plate'>): Draft {
  const { print } = told;
  const pulled = moveOf(moves, 'pull');
  const sliced = moveOf(moves, 'slice');
  const title =
    move.from === 'pot'
      ? 'The pot to the table, on a board'
      : pulled
        ? 'Pull it on a separate plate, back into some of the sauce, and serve'
        : sliced
          ? 'Slice it across the grain, back into the sauce, and serve'
          : 'Plate and serve';
  const broth = move.brothMl > 0;
  const details = [
    broth ? `Pour the kept broth over, ${print.quantity('volume', move.brothMl)}, boiling hot.` : '',
    pulled ? platingSentence(told) : '',
  ];
  return {
    section: 'plate',
    title: broth ? `${title}; the kept broth over it` : title,
    detail: details.filter((text) => text !== '').join(' '),
    button: 'On the table',
    done: 'served',
    caution: told.caution('bone-splinters') ?? told.caution('cooling'),
  };
}
