import { capital, joined, quantity, say, type Text } from '@hervir/language/message';
import { isSlicedToServe } from '../plan/meats';
import { isPulled } from '../plan/plan';
import type { Alarm, GuideStep, SectionId } from '../clock/guide-step';
import { cutById } from '../catalog/cuts';
import { moveOf, type Move, type MoveOf } from '../method/moves';
import type { Block, Step } from '../method/step';
import { aromaticSteps } from '../stations/aromatics';
import { boardSentence } from './board-words';
import { keptWords, type KeptMove } from './put-away-words';
import { fillWords, loadWords } from './load-words';
import { sauceSentence } from './sauce-words';
import { meatOf, cutList, cutName, measured, named, portionsOfMove, theCut, type StepContext } from './step-context';

/** What a step of the method is in words: all of a guide's step but what the clock knows. */
export type StepWords = Omit<
  GuideStep,
  'id' | 'task' | 'moves' | 'minutes' | 'waitMinutes' | 'spareMinutes' | 'earlyFromMinute' | 'broughtInBy'
>;

type Draft = Partial<StepWords> & Pick<StepWords, 'section' | 'title' | 'button' | 'done'>;

const NOTHING_MORE: Omit<StepWords, 'section' | 'title' | 'button' | 'done'> = {
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
export const spareSentence = (minutes: number): Text =>
  say('step.if-nothing-came-late-there', { minutes: Math.round(minutes) });

/** Waits with a countdown. */
const waits = (alarm: Alarm): Pick<StepWords, 'counts' | 'handsOn' | 'alarm'> => ({
  counts: true,
  handsOn: false,
  alarm,
});

/** One for all lids: kept here so that every lock reads alike. */
const LOCK = say('step.wipe-the-rim-seat-the');
const HANDS = say('step.hands-and-face-away-from');
const FACE_HOW = say('step.turn-when-it-lets-go');

/** Whose minutes a step has, and where in its block it stands. */
interface Place {
  readonly context: StepContext;
  readonly block: Block | null;
  readonly step: Step;
  readonly moves: readonly Move[];
}

const isStovetop = ({ plan }: StepContext): boolean => plan.cooker.kind === 'stovetop';

/** The part of the work that belongs to a lid: the first has parts of its own, a later one is one part. */
const ofRun = (run: number, section: SectionId): SectionId => (run === 1 ? section : 'later-run');

/**
 * A step in words.
 *
 * @param context the plan, its portions, the sauce, its cautions
 * @param step of the method
 * @param block it is part of; null for one that comes in while the cook is under way
 */
export function stepWords(context: StepContext, step: Step, block: Block | null): StepWords {
  const place: Place = { context, block, step, moves: step.moves };
  return { ...NOTHING_MORE, ...draftOf(place, leading(step)) };
}

/** The move that a step is named by: what goes in first is not always what it is about. */
function leading({ moves }: Step): Move {
  const first = moves[0];
  const plating = moveOf(moves, 'plate');
  return plating ?? first;
}

/** One `case` for every kind of move: the compiler names those that have no words. */
// oxlint-disable-next-line max-lines-per-function -- one case for each kind of move; none is longer than a few lines
function draftOf(place: Place, move: Move): Draft {
  const { context, step } = place;
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
        title: isStovetop(context) ? say('step.burner-on-high-under-the') : say('step.saute-on-its-highest-the'),
        detail: say('step.it-heats-while-you-dry'),
        button: say('step.it-is-on'),
        done: 'stepDone',
      };
    case 'wait-hot':
      return {
        section: 'heat',
        title: say('step.wait-until-a-scrap-of', { fatWords: fatWords(context, move) }),
        button: say('step.it-sizzles'),
        done: 'stepDone',
        ...waits('turn'),
        runsFrom: 'heat-on',
      };
    case 'sear':
      return sear(context, move);
    case 'recover':
      return {
        section: 'sear',
        title: say('step.let-the-base-come-back'),
        button: say('step.it-sizzles-again'),
        done: 'stepDone',
        counts: true,
        alarm: 'turn',
      };
    case 'cut-seared':
      return {
        section: 'load',
        title: say('step.cut-now-on-the-meat', { theCut: theCut(context, move.portion) }),
        detail: say('step.its-juices-go-in-with'),
        button: say('step.it-is-cut'),
        done: 'stepDone',
        caution: context.caution('board-order'),
      };
    case 'fry':
      return fry(context, move);
    case 'flour':
      return {
        section: 'load',
        title: say('step.strew-over-the-meat-and', {
          measured: measured(portionsOfMove(context, [move.portion])[0] ?? NOTHING),
        }),
        detail: say('step.no-white-left-to-see'),
        button: say('step.no-white-left'),
        done: 'stepDone',
      };
    case 'boil-marinade':
      return {
        section: 'deglaze',
        title: say('step.pour-the-marinade-into-the'),
        detail: say('step.it-held-raw-meat-it'),
        button: say('step.it-has-boiled'),
        done: 'stepDone',
        counts: true,
        alarm: 'turn',
        caution: context.caution('marinade-raw'),
      };
    case 'deglaze':
      return deglaze(context, move);
    case 'heat-off':
      return {
        section: 'load',
        title: isStovetop(context) ? say('step.heat-off') : say('step.saute-off-press-cancel'),
        button: isStovetop(context) ? say('step.heat-is-off') : say('step.saute-is-off'),
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
        button: say('step.lid-is-locked'),
        done: 'lidLocked',
        caution: context.caution('check-gasket'),
      };
    case 'start':
      return start(context, move);
    case 'lock-and-start':
      return lockAndStart(context, move);
    case 'come-up':
      return comeUp(context, move);
    case 'hold':
      return {
        section: ofRun(move.run, 'pressure'),
        run: move.run,
        title: isStovetop(context) ? say('step.heat-down-until-it-only') : say('step.under-pressure-leave-it-alone'),
        button: isStovetop(context) ? say('step.heat-is-off') : say('step.it-has-ended'),
        done: 'heaterOff',
        ...waits(isStovetop(context) ? 'danger' : 'turn'),
        endsByItself: !isStovetop(context),
      };
    case 'leave':
      return leave(place, move);
    case 'vent':
      return {
        section: ofRun(move.run, 'letting-down'),
        run: move.run,
        title: isStovetop(context) ? say('step.lift-it-off-the-burner') : say('step.open-the-valve-hands-to'),
        detail: HANDS,
        button: say('step.valve-opened'),
        done: 'ventOpened',
        alarm: 'turn',
        caution: context.caution('quick-foams', move.run) ?? context.caution('lid-steam'),
      };
    case 'pin-falls':
      return {
        section: ofRun(move.run, 'letting-down'),
        run: move.run,
        title: say('step.it-vents-wait-until-the'),
        detail: say('step.the-lid-stays-shut-until'),
        button: say('step.pin-is-down'),
        done: 'pinDown',
        ...waits('turn'),
      };
    case 'open':
      return {
        section: ofRun(move.run, 'check'),
        run: move.run,
        title: say('step.lid-off-tilted-away-from'),
        detail: move.run === 1 ? say('step.if-it-does-not-turn') : '',
        button: say('step.lid-is-off'),
        done: 'lidOpened',
        caution: context.caution('lid-steam'),
      };
    case 'try':
      return {
        section: 'check',
        run: move.run,
        title:
          context.plan.otherMeats.length === 0
            ? say('step.try-a-piece-what-is')
            : say('step.try-a-piece-of-what', { named: named(context, move.portions) }),
        detail: say('step.a-fork-in-the-thickest', { cookAhead: context.plan.cookAhead === undefined }),
        button: say('step.it-will-do'),
        done: 'checked',
        caution: context.caution('raw-middle') ?? context.caution('stopped-cook'),
      };
    case 'clear':
      return {
        section: 'load',
        title: say('step.let-it-down-lift-the'),
        detail: say('step.partly-cooked-meat-is-never'),
        button: say('step.clean-and-all-back-in'),
        done: 'stepDone',
        caution: context.caution('lid-steam'),
      };
    case 'without-power':
      return {
        section: 'coming-up',
        title: say('step.the-power-is-gone-leave'),
        detail: say('step.shut-it-stays-hot-for'),
        button: say('step.power-is-back-begun-again'),
        done: 'stepDone',
        caution: context.caution('stopped-cook'),
      };
    case 'see-to':
      return {
        section: 'load',
        title: say('step.heat-off-when-it-is'),
        detail: say('step.a-gasket-that-does-not'),
        button: say('step.put-right-begun-again'),
        done: 'stepDone',
        caution: context.caution('lid-steam'),
      };
    case 'boil':
      return {
        section: 'simmer',
        title: say('step.bring-it-back-to-the', { heatOff: place.moves.some((one) => one.kind === 'heat-off') }),
        button: say('step.it-boils'),
        done: 'stepDone',
        ...waits('turn'),
      };
    case 'simmer':
      return {
        section: 'simmer',
        title: simmerTitle(place, move),
        button: move.goesOn === true ? say('step.simmered-so-far') : say('step.they-are-done'),
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
      return kept(context, move);
    case 'apart':
    case 'cook-apart':
    case 'side':
      // Beside the main work: told by its track.
      return { section: 'sauce', title: step.id, button: say('step.done'), done: 'stepDone' };
  }
}

const NOTHING = { name: '', grams: null, ml: null } as Parameters<typeof measured>[0];

function board({ context, block, moves }: Place): Draft {
  const meat = block?.work.kind === 'board' && block.work.board === 'meat';
  // What takes the knife is the step; weighing out and rinsing are beside it.
  const knife = (move: Move): boolean => move.kind === 'ready' && move.how === 'wash-and-cut';
  const inTurn = meat ? moves : [...moves.filter(knife), ...moves.filter((move) => !knife(move))];
  const [first, ...more] = inTurn.flatMap((move) => boardSentence(context, move) ?? []);
  const raw = moves.some((move) => move.kind === 'unmarinate') ? context.caution('marinade-raw') : null;
  const frozen = moves.some((move) => move.kind === 'wipe-ice') ? context.caution('frozen-start') : null;
  return {
    section: 'board',
    title: first ?? '',
    detail: textsOrNothing([...more, ...(meat ? [] : [say('step.into-bowls-by-when-they')])], '. '),
    button: meat ? say('step.the-meat-is-ready') : say('step.in-their-bowls'),
    done: 'stepDone',
    caution: meat
      ? (raw ?? frozen ?? context.caution('sugar-rub') ?? context.caution('board-order'))
      : (context.caution('kidney-bean') ?? context.caution('board-order')),
  };
}

const fatWords = (context: StepContext, { fat }: MoveOf<'wait-hot'>): Text => {
  const ml = fat === null ? null : (portionsOfMove(context, [fat])[0]?.ml ?? null);
  return ml === null ? say('step.oil') : say('step.of-fat', { ml: quantity('volume', ml) });
};

function sear(context: StepContext, move: MoveOf<'sear'>): Draft {
  const { batch, batches, pieces, face, faces, stirred, where, beside } = move;
  const last = face === faces;
  const isFrozen = portionsOfMove(context, [move.portion]).some((one) => meatOf(context, one).startsFrom === 'frozen');
  const frozen = isFrozen ? context.caution('frozen-sear') : null;
  const severalCuts = context.plan.otherMeats.length > 0;
  return {
    section: 'sear',
    title:
      face === 1
        ? say('step.sear-in', {
            batch,
            batches,
            pieces,
            named: severalCuts,
            cutName: severalCuts ? cutName(context, move.portion) : '',
            pan: where === 'pan',
            apart: pieces > 1 && !stirred,
            beside: beside.length > 0,
            bones: capital(named(context, beside)),
            stirred,
          })
        : say('step.sear-face', { batch, batches, pieces, face, faces }),
    detail: stirred ? say('step.they-are-not-to-brown') : last ? say('step.keep-the-plates-juices') : FACE_HOW,
    button: last
      ? stirred
        ? say('step.no-red-left-out')
        : say('step.brown-onto-the-plate')
      : say('step.it-lets-go-turned'),
    done: last ? 'batchDone' : 'flipped',
    counts: true,
    alarm: 'turn',
    caution:
      face === 1 && batch === 1 ? (frozen ?? context.caution('sugar-rub') ?? context.caution('no-frying')) : null,
  };
}

const FRY_BUTTON: Readonly<Record<string, Text>> = {
  bones: say('step.brown-all-round'),
  base: say('step.soft-and-clear'),
  warm: say('step.it-smells'),
  spice: say('step.it-smells'),
  garlic: say('step.it-smells-liquid-now'),
  leaf: say('step.done'),
};

function fry(context: StepContext, { portions, group, setAside }: MoveOf<'fry'>): Draft {
  const turn = aromaticSteps(context.plan.aromatics).find(({ id }) => id === group);
  return {
    section: 'aromatics',
    title: say('step.in-stir', { named: capital(named(context, portions)) }),
    detail: turn?.note ?? '',
    button: setAside ? say('step.soft-and-set-aside') : (FRY_BUTTON[turn?.group ?? ''] ?? say('step.done')),
    done: 'stepDone',
    counts: true,
    alarm: 'turn',
    caution: context.caution('chilli-fumes'),
  };
}

function deglaze(context: StepContext, { portion, scraped }: MoveOf<'deglaze'>): Draft {
  const [found = NOTHING] = portionsOfMove(context, [portion]);
  const liquid = measured(found);
  return {
    section: 'deglaze',
    title: scraped
      ? say('step.pour-scrape-with-a-wooden', { liquid })
      : say('step.pour-not-scraped-as-planned', { liquid }),
    detail: scraped ? say('step.what-sticks-now-burns-later') : '',
    button: scraped ? say('step.scraped-clean') : say('step.poured'),
    done: 'stepDone',
    caution: scraped ? context.caution('alcohol-stays') : context.caution('burn-likely', 1),
  };
}

const textsOrNothing = (texts: readonly Text[], by: string): Text => (texts.length === 0 ? '' : joined(texts, by));

/** What is wrong with a lid before it goes on, the worst first. */
const lidCaution = (context: StepContext, run: number): Text | null =>
  context.caution('over-fill', run) ??
  context.caution('under-minimum', run) ??
  context.caution('boils-dry', run) ??
  context.caution('grain-dry', run) ??
  context.caution('burn-likely', run);

function simmerTitle({ block, step }: Place, { heat, goesOn }: MoveOf<'simmer'>): Text {
  const first = block === null || block.steps[0]?.id === step.id;
  const how = heat === 'hard' ? say('step.let-it-boil-hard-the') : say('step.down-to-a-gentle-simmer');
  const then = goesOn === true ? say('step.more-goes-in-before-the') : say('step.try-them-before-the-time');
  return joined([first ? how : say('step.let-it-simmer-on'), then], '; ');
}

function filling(place: Place): Draft {
  const { context, block, moves, step } = place;
  const work = block?.work;
  if (work?.kind === 'load') {
    const words = loadWords(context, moves);
    return {
      section: 'load',
      run: 1,
      ...words,
      button: say('step.all-in'),
      done: 'stepDone',
      caution: lidCaution(context, 1) ?? context.caution('raw-waits') ?? context.caution('kidney-bean'),
    };
  }
  if (work?.kind === 'simmer') {
    const [first, ...more] = moves.flatMap((move) => (move.kind === 'put' ? [cutList(context, move.portions)] : []));
    return {
      section: 'simmer',
      title: say('step.in-now-it-simmers-on', { list: capital(joined([first ?? '', ...more], ', ')) }),
      button: say('step.all-in'),
      done: 'stepDone',
    };
  }
  if (work?.kind === 'fill') {
    const run = nextRun(block);
    return {
      section: work.open ? 'simmer' : 'later-run',
      run,
      ...fillWords(context, moves, work.open),
      button: say('step.all-in'),
      done: 'stepDone',
      caution: run === null ? null : lidCaution(context, run),
    };
  }
  return sauce(place, step.moves[0]);
}

/** The lid that a block's own steps go on to lock; null for a pot that stays open. */
function nextRun(block: Block | null): number | null {
  const locks = (block?.steps ?? []).flatMap(({ moves }) => moveOf(moves, 'lock-and-start') ?? []);
  return locks[0]?.run ?? null;
}

function start(context: StepContext, { run, minutes }: MoveOf<'start'>): Draft {
  const { heat } = context.plan;
  const waitsFirst = context.plan.waitsMinutes > 0 ? context.caution('raw-waits') : null;
  return {
    section: 'load',
    run,
    title: isStovetop(context)
      ? say('step.close-the-valve-heat-to', { medium: heat === 'medium' })
      : say('step.close-the-valve-high-pressure', { minutes }),
    detail: say('step.an-open-valve-is-the'),
    button: isStovetop(context) ? say('step.valve-closed-heat-on') : say('step.valve-closed-started'),
    done: 'valveClosed',
    caution: waitsFirst ?? context.caution('watch-burner'),
  };
}

function lockAndStart(context: StepContext, { run, minutes }: MoveOf<'lock-and-start'>): Draft {
  const how = isStovetop(context)
    ? say('step.full-heat')
    : minutes === 0
      ? say('step.start-no-minutes-only-up')
      : say('step.start', { minutes });
  return {
    section: 'later-run',
    run,
    title: say('step.lid-locked-valve-closed', { how }),
    button: run === 2 ? say('step.second-run-begun') : say('step.it-has-begun'),
    done: 'secondRun',
    caution: lidCaution(context, run) ?? context.caution('check-gasket'),
  };
}

function comeUp(context: StepContext, { run, until }: MoveOf<'come-up'>): Draft {
  const again = run > 1;
  const pin = until === 'pin';
  if (again) {
    return {
      section: 'later-run',
      run,
      title: pin ? say('step.it-comes-up-again-until') : say('step.it-comes-up-again-until-the'),
      detail: isStovetop(context) ? say('step.then-turn-the-heat-down') : '',
      button: pin ? say('step.pin-is-up') : say('step.it-counts'),
      done: pin ? 'pinUp' : 'timerStarted',
      ...waits('turn'),
    };
  }
  return pin
    ? {
        section: 'coming-up',
        run,
        title: say('step.it-heats-until-the-pin'),
        detail: say('step.the-minutes-do-not-count'),
        button: say('step.pin-is-up'),
        done: 'pinUp',
        ...waits('turn'),
      }
    : {
        section: 'coming-up',
        run,
        title: say('step.pin-is-up-the-cooker'),
        detail: say('step.look-for-its-countdown'),
        button: say('step.it-counts'),
        done: 'timerStarted',
        ...waits('turn'),
      };
}

function leave({ context, step, block }: Place, { run, minutes }: MoveOf<'leave'>): Draft {
  const own = {
    section: ofRun(run, 'letting-down'),
    run,
    ...waits('turn'),
    detail: isStovetop(context) ? '' : say('step.see-that-keep-warm-is'),
    caution: context.caution('lid-steam'),
  };
  // A burner goes on giving heat: what is done first is said first.
  const alone = isStovetop(context) ? say('step.lift-it-off-the-burner-leave') : say('step.leave-it-alone');
  const fell = { button: say('step.pin-is-down'), done: 'pinDown' as const };
  if (minutes === null) return { ...own, ...fell, title: say('step.until-the-pin-has-fallen', { alone }) };
  const opened = { button: say('step.valve-opened'), done: 'ventOpened' as const };
  const byItself = { button: say('step.pin-fell-by-itself'), done: 'pinDown' as const };
  // Where nothing is left for the valve, the pin falls first.
  const falls = block?.steps.find(({ moves }) => moveOf(moves, 'pin-falls'))?.minutes ?? 0;
  if (falls <= 0 && step.minutes <= minutes) {
    return {
      ...own,
      ...byItself,
      title: say('step.until-the-pin-falls-not', { alone, minutes: Math.round(minutes) }),
      skips: 1,
      otherwise: { ...opened, skips: 0 },
    };
  }
  return {
    ...own,
    ...opened,
    title: say('step.then-open-the-valve-hands', { alone }),
    otherwise: { ...byItself, skips: 1 },
    caution: context.caution('quick-foams', run) ?? context.caution('lid-steam'),
  };
}

function sauce({ context, step, moves }: Place, move: Move): Draft {
  const sentences = moves.flatMap((one) => sauceSentence(context, one) ?? []);
  const [title = '', ...more] = sentences;
  const season = move.kind === 'season';
  const rests = move.kind === 'rest';
  const counts = rests || move.kind === 'reduce';
  const { sauceMl } = context.sauce;
  return {
    section: 'sauce',
    title: capital(title),
    detail: season
      ? say('step.about-of-sauce', { sauceMl: quantity('volume', sauceMl) })
      : rests && context.plan.target === 'slices'
        ? say('step.meat-that-is-sliced-rests')
        : textsOrNothing(more, '. '),
    button: season ? say('step.tasted-it-is-right') : rests ? say('step.rested') : say('step.done'),
    done: season ? 'tasted' : 'stepDone',
    ...(counts ? waits('turn') : {}),
    handsOn: counts ? false : step.hands,
    caution: move.kind === 'blend' ? context.caution('blender') : season ? context.caution('alcohol-stays') : null,
  };
}

/** Of a braise that is cooked ahead: in the fridge the cook is over, as it is on the table. */
function kept(context: StepContext, move: KeptMove): Draft {
  const counts = move.kind === 'ice-bath' || move.kind === 'warm';
  return {
    section: move.kind === 'lift-fat' || move.kind === 'warm' ? 'warm' : 'put-away',
    ...keptWords(move),
    done: move.kind === 'into-fridge' ? 'served' : 'stepDone',
    ...(counts ? waits('turn') : {}),
    caution: keptCautionOf(context, move.kind),
  };
}

function keptCautionOf(context: StepContext, kind: KeptMove['kind']): Text | null {
  switch (kind) {
    case 'put-away':
      return context.caution('cools-slowly') ?? context.caution('bone-splinters');
    case 'ice-bath':
    case 'into-fridge':
      return context.caution('cooling');
    case 'lift-fat':
      return null;
    case 'warm':
      return context.caution('warm-through');
  }
}

/** Whether the meat is sliced or pulled, and what to look out for. */
export function platingSentence({ plan }: Pick<StepContext, 'plan'>): Text {
  const bone = plan.meat.boneIn && cutById(plan.meat.cut).boneShare > 0;
  if (plan.servedFrom === 'pot') return say('step.eaten-from-the-pot-bring');
  if (isPulled(plan.target)) {
    return say('step.pull-it-with-two-forks', { bone });
  }
  if (isSlicedToServe(plan.meat)) {
    return say('step.slice-it-across-the-grain');
  }
  return say('step.serve-the-pieces-in-their');
}

function plate({ context, moves }: Place, move: MoveOf<'plate'>): Draft {
  const pulled = moveOf(moves, 'pull');
  const sliced = moveOf(moves, 'slice');
  const title =
    move.from === 'pot'
      ? say('step.the-pot-to-the-table')
      : pulled
        ? say('step.pull-it-on-a-separate')
        : sliced
          ? say('step.slice-it-across-the-grain-back')
          : say('step.plate-and-serve');
  const broth = move.brothMl > 0;
  const details = [
    broth ? say('step.pour-the-kept-broth-over', { brothMl: quantity('volume', move.brothMl) }) : '',
    pulled ? platingSentence(context) : '',
  ];
  return {
    section: 'plate',
    title: broth ? say('step.the-kept-broth-over-it', { title }) : title,
    detail: textsOrNothing(
      details.filter((text) => text !== ''),
      ' ',
    ),
    button: say('step.on-the-table'),
    done: 'served',
    caution: context.caution('bone-splinters') ?? context.caution('cooling'),
  };
}
