import { aromaticKind } from '../larder/aromatics';
import { grainById } from '../larder/grains';
import { liquidById } from '../larder/liquids';
import { vegetableById } from '../larder/vegetables';
import type { Plan, PlannedStage, Release, Resource, StageId } from '../plan/plan';
import type { Portion, PortionId, PortionKind } from '../plan/portions';
import { portionAt } from '../plan/portions';
import { stageOf } from '../plan/stage-settings';
import { DEGLAZE_MINUTES } from '../pot/loading';
import { REFILL_MINUTES } from '../pot/later-stage';
import { aromaticSteps, type AromaticStep } from '../stations/aromatics';
import type { SearPlan } from '../stations/sear';
import type { SauceFigures } from '../stations/sauce';
import { boardOf, CUTTING, type BoardMove } from './board';
import { moveOf, type Move, type Then } from './moves';
import type { Block, Method, Step, Track, Work } from './step';

/** Common practice, minutes. */
export const OPEN_MINUTES = 2;
const LOAD_MINUTES = 3;
const PLATE_MINUTES = 3;
/** Shares of a block's minutes that its parts take. Common practice. */
const SAUTE_OFF_MINUTES = 0.25;
const LOCK_MINUTES = 0.5;
const VALVE_MINUTES = 0.25;
/** A hand at the valve; the rest is the pin falling. */
const VENT_MINUTES = 0.25;
const LID_MINUTES = 0.5;
const LATER_LID_MINUTES = 1;
const FLOUR_MINUTES = 1;
const CRISP_MINUTES = 5;
const PULL_MINUTES = 5;
const PASTE_MINUTES = 1;
/** Under this a number of minutes is none. */
const NONE = 0.01;
/** Stirring dry flour in at the end takes its five minutes of simmering. Common practice. */
const COOKED_IN_MINUTES = 6;

/** A stage after the first run, as the pot does it. */
export interface PlacedStage {
  readonly id: StageId;
  readonly kind: 'pressure' | 'simmer';
  readonly settings: PlannedStage;
  readonly minutes: number;
  readonly reheatMinutes: number;
  readonly releaseMinutes: number;
  /** Places in the list of cuts. */
  readonly meats: readonly number[];
  readonly liftedOut: readonly number[];
  readonly putIn: readonly number[];
}

/** What the reckoning has found that the work depends on. */
export interface Figures {
  readonly portions: readonly Portion[];
  /** Of each cut that is in from the start: its place in the list of cuts, and its sear. */
  readonly sears: readonly { readonly cut: number; readonly sear: SearPlan }[];
  readonly preheat: number;
  readonly toPin: number;
  readonly toTimer: number;
  readonly pressure: number;
  readonly release: number;
  readonly later: readonly PlacedStage[];
  readonly sauce: SauceFigures;
  /** Cuts that are in the pot when the last stage is over. */
  readonly meatsInPot: readonly number[];
}

/** Collects blocks, each after the one before. */
class Line {
  readonly blocks: Block[] = [];
  private chain: string[] = [];

  add(
    id: string,
    work: Work,
    resource: Resource,
    steps: readonly Step[],
    handsOn: boolean,
    minutes = sum(steps),
  ): void {
    if (minutes <= 0) return;
    this.blocks.push({ id, work, steps, minutes, resource, handsOn, after: this.chain, track: null });
    this.chain = [id];
  }

  /** Beside the main work; it belongs to a track and waits for what it is told to wait for. */
  beside(block: Block): void {
    this.blocks.push(block);
  }

  /** The next block waits for these too. */
  waitsFor(...ids: readonly string[]): void {
    this.chain = [...this.chain, ...ids];
  }

  /** Starts a new chain behind the base that heats by itself. */
  get last(): string[] {
    return this.chain;
  }
}

const sum = (steps: readonly { readonly minutes: number }[]): number =>
  steps.reduce((all, { minutes }) => all + minutes, 0);

function step(id: string, moves: readonly [Move, ...Move[]], minutes: number, hands = true): Step {
  return { id, moves, minutes, hands };
}

/** What the plan says of each portion, asked for by the moves. */
class Bowls {
  constructor(
    readonly plan: Plan,
    readonly portions: readonly Portion[],
  ) {}

  at(kind: PortionKind, index: number): PortionId | null {
    return portionAt(this.portions, kind, index)?.id ?? null;
  }

  ids(kind: PortionKind, takes: (index: number) => boolean): PortionId[] {
    return this.portions.filter((portion) => portion.kind === kind && takes(portion.index)).map(({ id }) => id);
  }

  cuts(indices: readonly number[]): PortionId[] {
    return this.ids('meat', (index) => indices.includes(index));
  }

  vegetables(takes: (item: Plan['vegetables'][number]) => boolean): PortionId[] {
    return this.ids('vegetable', (i) => takes(this.plan.vegetables[i] as Plan['vegetables'][number]));
  }

  grains(takes: (item: Plan['grains'][number]) => boolean): PortionId[] {
    return this.ids('grain', (i) => takes(this.plan.grains[i] as Plan['grains'][number]));
  }

  aromatics(takes: (item: Plan['aromatics'][number]) => boolean): PortionId[] {
    return this.ids('aromatic', (i) => takes(this.plan.aromatics[i] as Plan['aromatics'][number]));
  }

  additions(takes: (item: Plan['additions'][number]) => boolean): PortionId[] {
    return this.ids('addition', (i) => takes(this.plan.additions[i] as Plan['additions'][number]));
  }

  liquids(takes: (item: Plan['liquids'][number]) => boolean): PortionId[] {
    return this.ids('liquid', (i) => takes(this.plan.liquids[i] as Plan['liquids'][number]));
  }

  others(place: string): PortionId[] {
    return this.ids('other', (i) => this.plan.others[i]?.place === place);
  }
}

/** Moves that have something to move. */
function some(...moves: readonly (Move | null)[]): Move[] {
  return moves.filter((move): move is Move => move !== null && !('portions' in move && move.portions.length === 0));
}

const listOf = (moves: readonly Move[]): readonly [Move, ...Move[]] | null =>
  moves.length > 0 ? (moves as [Move, ...Move[]]) : null;

/** The board, vegetables before raw meat; the cook's own pace counts. */
function board(line: Line, plan: Plan, portions: readonly Portion[]): { ahead: Step[]; later: readonly BoardMove[] } {
  // The cook's own figure stands; without one, what the log has taught.
  const pace = plan.kitchen.prepFactor ?? plan.learnt?.prep?.factor ?? 1;
  const found = boardOf(plan, portions);
  const put = (which: 'vegetables' | 'meat', moves: readonly BoardMove[]): void => {
    const all = listOf(moves.map(({ move }) => move));
    if (!all) return;
    const id = `board-${which}`;
    line.add(id, { kind: 'board', board: which }, 'board', [step(id, all, pace * sum(moves))], true);
  };
  put('vegetables', found.vegetables);
  put('meat', found.meat);
  return {
    ahead: found.ahead.map(({ move, minutes }, i) => step(`ahead-${i + 1}`, [move], minutes)),
    later: found.later.map(({ move, minutes }) => ({ move, minutes: pace * minutes })),
  };
}

/** Batches of one cut, face after face. */
function searCut(line: Line, plan: Plan, bowls: Bowls, cut: number, sear: SearPlan): void {
  const portion = bowls.at('meat', cut);
  if (portion === null) return;
  const { where } = plan.sear;
  const prefix = cut === 0 ? 'sear' : `sear-of-${cut + 1}`;
  sear.batchSizes.forEach((pieces, i) => {
    const batch = i + 1;
    const id = `${prefix}-${batch}`;
    const faces = sear.faces.map((minutes, face): Step => {
      const move: Move = {
        kind: 'sear',
        portion,
        batch,
        batches: sear.batches,
        pieces,
        face: face + 1,
        faces: sear.faces.length,
        stirred: sear.faces.length === 1,
        where,
        beside: i === 0 && face === 0 && cut === 0 ? bowls.aromatics(({ how }) => how === 'with-meat') : [],
      };
      return step(`${id}-${face + 1}`, [move], minutes);
    });
    const recovery =
      batch < sear.batches ? (sear.minutes - sear.batches * sear.minutesPerBatch) / (sear.batches - 1) : 0;
    const recover = recovery < NONE ? [] : [step(`${id}-recover`, [{ kind: 'recover' }], recovery)];
    const work: Work = { kind: 'sear', cut: portion, batch, batches: sear.batches, pieces };
    line.add(id, work, where === 'pot' ? 'pot' : 'side-burner', [...faces, ...recover], true);
  });
}

/** Aromatics of one turn; what is fried with them goes in with the last. */
function fry(line: Line, bowls: Bowls, turns: readonly AromaticStep[], fried: readonly PortionId[]): void {
  turns.forEach((turn, i) => {
    const portions = [
      ...bowls.ids('aromatic', (index) => turn.indices.includes(index)),
      ...(i === turns.length - 1 ? fried : []),
    ];
    const { group, setAside } = turn;
    const move: Move = {
      kind: 'fry',
      group: turn.id,
      setAside,
      scrapes: group === 'base' && !setAside && !turn.first,
      portions,
    };
    const id = `aromatics-${turn.id}`;
    line.add(id, { kind: 'fry', group, setAside }, 'pot', [step(id, [move], turn.minutes)], true);
  });
}

/** The pot hot and its lid off: the base, the sear, what is fried, what deglazes. */
function saute(line: Line, plan: Plan, figures: Figures, bowls: Bowls): void {
  const { preheat, sears } = figures;
  if (preheat > 0) {
    // The base heats by itself while the meat is dried; it only has to be hot when the sear begins.
    line.beside({
      id: 'heat-pot',
      work: { kind: 'heat' },
      steps: [
        step('heat-on', [{ kind: 'heat' }], 0),
        step('heat-hot', [{ kind: 'wait-hot', fat: bowls.at('fat', 0) }], preheat, false),
      ],
      minutes: preheat,
      resource: 'pot',
      handsOn: false,
      after: [],
      track: null,
    });
    line.waitsFor('heat-pot');
  }
  const turns = aromaticSteps(plan.aromatics).filter(({ minutes }) => minutes > 0);
  const onionFirst = plan.sear.order === 'onion-first';
  const before = turns.filter(
    ({ first, setAside, group }) => first || setAside || (onionFirst && (group === 'base' || group === 'bones')),
  );
  const after = turns.filter((turn) => !before.includes(turn));
  const fried = bowls.additions(({ when, stage }) => when === 'fried' && stage === undefined);
  const behind = after.length > 0;
  fry(line, bowls, before, behind ? [] : fried);
  if (turns.length === 0 && fried.length > 0) {
    const move: Move = { kind: 'fry', group: 'paste', setAside: false, scrapes: false, portions: fried };
    const work: Work = { kind: 'fry', group: 'spice', setAside: false };
    line.add('aromatics-paste', work, 'pot', [step('aromatics-paste', [move], PASTE_MINUTES)], true);
  }
  for (const { cut, sear } of sears) searCut(line, plan, bowls, cut, sear);
  fry(line, bowls, after, fried);
  [plan.meat, ...plan.otherMeats].forEach(({ marinade }, i) => {
    const portion = bowls.at('marinade', i);
    if (marinade?.then !== 'boiled' || portion === null) return;
    const id = `marinade-${i + 1}`;
    line.add(
      id,
      { kind: 'marinade' },
      'pot',
      [step(id, [{ kind: 'boil-marinade', marinade: portion }], DEGLAZE_MINUTES)],
      true,
    );
  });
  const deglaze = bowls.at('deglaze', 0);
  if (plan.deglaze && deglaze !== null && preheat > 0) {
    const { scraped } = plan.deglaze;
    const move: Move = { kind: 'deglaze', portion: deglaze, scraped };
    line.add('deglaze', { kind: 'deglaze', scraped }, 'pot', [step('deglaze', [move], DEGLAZE_MINUTES)], true);
  }
}

/** Everything that goes in before the first lid, in the order it lies. */
function loadMoves(plan: Plan, figures: Figures, bowls: Bowls): Move[] {
  const stage = 'start';
  const start = (place: string): boolean => place === 'start' || place === 'flavour-only';
  const meats = [plan.meat, ...plan.otherMeats].flatMap((meat, i) =>
    !('goesIn' in meat) || meat.goesIn === 'start' ? [i] : [],
  );
  const put = (layer: 'under' | 'in' | 'stirred-in' | 'on-top' | 'levelled', portions: readonly PortionId[]): Move => ({
    kind: 'put',
    layer,
    stage,
    portions,
  });
  const cold = figures.preheat > 0 ? [] : [bowls.at('deglaze', 0)].filter((id): id is PortionId => id !== null);
  const pouredIn = bowls.ids('marinade', (i) => [plan.meat, ...plan.otherMeats][i]?.marinade?.then === 'poured-in');
  return some(
    put(
      'under',
      bowls.vegetables(({ place, layer }) => start(place) && layer === 'under'),
    ),
    plan.rack ? { kind: 'rack' } : null,
    put('in', bowls.cuts(meats)),
    {
      kind: 'pour',
      stage,
      portions: [
        ...cold,
        ...bowls.liquids((item) => item.stage === undefined),
        ...pouredIn,
        ...bowls.ids('swill', () => true),
      ],
    },
    put(
      'stirred-in',
      bowls.additions((item) => item.when === 'stirred-in' && item.stage === undefined),
    ),
    put(
      'stirred-in',
      bowls.grains(({ place, layer }) => place === 'start' && layer === 'stirred-in'),
    ),
    put('in', laidIn(plan, bowls)),
    put('in', bowls.others('start')),
    put(
      'on-top',
      bowls.vegetables(({ place, layer }) => start(place) && layer !== 'under'),
    ),
    put(
      'levelled',
      bowls.grains(({ place, layer }) => place === 'start' && layer !== 'stirred-in'),
    ),
    put(
      'on-top',
      bowls.additions((item) => item.when === 'on-top' && item.stage === undefined),
    ),
  );
}

/** Leaves, what goes in raw, and the bones that were browned beside the meat. */
function laidIn(plan: Plan, bowls: Bowls): PortionId[] {
  const turned = new Set(aromaticSteps(plan.aromatics).flatMap(({ minutes, indices }) => (minutes > 0 ? indices : [])));
  return bowls.ids('aromatic', (i) => !turned.has(i) && plan.aromatics[i]?.stage === undefined);
}

function load(line: Line, plan: Plan, figures: Figures, bowls: Bowls): void {
  const heated = figures.preheat > 0;
  const steps: Step[] = [];
  if (heated) steps.push(step('saute-off', [{ kind: 'heat-off' }], SAUTE_OFF_MINUTES));
  [plan.meat, ...plan.otherMeats].forEach((meat, i) => {
    const portion = bowls.at('meat', i);
    const speed = CUTTING[meat.form];
    if (portion === null) return;
    if (meat.cutAfterSear === true && speed !== undefined) {
      steps.push(step(`cut-seared-${i + 1}`, [{ kind: 'cut-seared', portion }], meat.grams / speed));
    }
    const flour = bowls.at('flour', i);
    if (flour !== null)
      steps.push(step(`flour-${i + 1}`, [{ kind: 'flour', portion: flour, meat: portion }], FLOUR_MINUTES));
  });
  const off = heated ? SAUTE_OFF_MINUTES : 0;
  const moves = listOf(loadMoves(plan, figures, bowls));
  if (moves) steps.push(step('load', moves, LOAD_MINUTES - off - LOCK_MINUTES - VALVE_MINUTES));
  steps.push(step('lock', [{ kind: 'lock', run: 1 }], LOCK_MINUTES));
  steps.push(step('valve', [{ kind: 'start', run: 1, minutes: figures.pressure }], VALVE_MINUTES));
  line.add('load', { kind: 'load' }, 'pot', steps, true);
}

/** Up to pressure, held, and let down. */
function underTheLid(
  line: Line,
  plan: Plan,
  prefix: string,
  { run, stage }: { readonly run: number; readonly stage: StageId },
  minutes: {
    readonly toPin: number | null;
    readonly toTimer: number;
    readonly pressure: number;
    readonly release: number;
  },
  release: Release,
): void {
  const counts = plan.cooker.timerStarts === 'pressure';
  const { toPin, toTimer } = minutes;
  const pin = toPin === null ? null : Math.min(toTimer, toPin);
  const heating =
    pin !== null && counts && toTimer - pin > NONE
      ? [
          step(`${prefix}pin`, [{ kind: 'come-up', run, until: 'pin' }], pin, false),
          step(`${prefix}timer`, [{ kind: 'come-up', run, until: 'count' }], toTimer - pin, false),
        ]
      : [
          step(
            `${prefix}pin`,
            [{ kind: 'come-up', run, until: pin === null && counts ? 'count' : 'pin' }],
            toTimer,
            false,
          ),
        ];
  line.add(`${prefix}heating`, { kind: 'come-up', run }, 'pot', heating, false);
  const hold = step(`${prefix}pressure`, [{ kind: 'hold', run }], minutes.pressure, false);
  if (minutes.pressure > 0) line.add(`${prefix}pressure`, { kind: 'pressure', run, stage }, 'pot', [hold], false);
  const quick = release.method === 'quick';
  // With no minutes to hold it the heat still has to go off, and on a burner that is a hand's work.
  const off = minutes.pressure <= 0 && plan.cooker.kind === 'stovetop' ? [hold] : [];
  line.add(
    `${prefix}release`,
    { kind: 'let-down', run },
    'pot',
    [...off, ...letDown(prefix, run, minutes.release, release)],
    quick,
  );
}

function letDown(prefix: string, run: number, minutes: number, release: Release): Step[] {
  const fall = (left: number): Step => step(`${prefix}pin-down`, [{ kind: 'pin-falls', run }], left, false);
  if (release.method === 'quick') {
    const vent = Math.min(VENT_MINUTES, minutes);
    return [step(`${prefix}vent`, [{ kind: 'vent', run }], vent), fall(Math.max(0, minutes - VENT_MINUTES))];
  }
  const alone = (until: number | null, takes: number): Step =>
    step(`${prefix}natural`, [{ kind: 'leave', run, minutes: until }], takes, false);
  if (release.method === 'natural') return [alone(null, minutes)];
  const { naturalMinutes } = release;
  const byItself = minutes <= naturalMinutes + NONE;
  return [alone(naturalMinutes, byItself ? minutes : naturalMinutes), fall(byItself ? 0 : minutes - naturalMinutes)];
}

/** How a stage's steps and blocks are told apart: Hervir's own second run and simmer as they always were. */
const prefixOf = (id: StageId): string =>
  id === 'second-run' ? 'second-' : id === 'simmer' ? 'simmer-' : `stage-${id}-`;

/** What is done to the open pot before a stage. */
function fillMoves(plan: Plan, figures: Figures, bowls: Bowls, stage: PlacedStage, at: number): Move[] {
  const { id, settings } = stage;
  const before = figures.later[at - 1];
  const here = (place: string): boolean => place === id;
  const wasIn = (cut: number): boolean =>
    [plan.meat, ...plan.otherMeats][cut] === plan.meat || plan.otherMeats[cut - 1]?.goesIn !== id;
  return some(
    { kind: 'lift', to: 'foil', portions: bowls.cuts(stage.liftedOut) },
    { kind: 'lift', to: 'dish', portions: before ? bowls.vegetables(({ place }) => place === before.id) : [] },
    settings.takeOutMl > 0 ? { kind: 'ladle', ml: settings.takeOutMl, then: settings.broth, stage: id } : null,
    { kind: 'put-back', portions: bowls.cuts(stage.putIn.filter(wasIn)) },
    { kind: 'put', layer: 'in', stage: id, portions: bowls.cuts(stage.putIn.filter((cut) => !wasIn(cut))) },
    { kind: 'pour', stage: id, portions: bowls.liquids((item) => item.stage === id) },
    {
      kind: 'put',
      layer: 'stirred-in',
      stage: id,
      portions: bowls.additions((item) => item.stage === id),
    },
    {
      kind: 'put',
      layer: 'in',
      stage: id,
      portions: [
        ...bowls.vegetables(({ place }) => here(place)),
        ...bowls.grains(({ place }) => here(place)),
        ...bowls.aromatics((item) => item.stage === id),
        ...bowls.others(id),
      ],
    },
  );
}

/** What lay on top is stirred in once the last lid is off. */
function stirDown(bowls: Bowls): Move {
  return {
    kind: 'stir-down',
    portions: bowls.additions(({ when, stage }) => when === 'on-top' && stage === undefined),
  };
}

/** Stages after the first run, in their order. */
function laterStages(line: Line, plan: Plan, figures: Figures, bowls: Bowls): void {
  let open = OPEN_MINUTES;
  let run = 1;
  figures.later.forEach((stage, at) => {
    const { id, kind, minutes, reheatMinutes, releaseMinutes, settings } = stage;
    const prefix = prefixOf(id);
    const moves = listOf(fillMoves(plan, figures, bowls, stage, at));
    // The lid is off already: trying a piece is part of filling it again.
    const filling = Math.max(NONE, REFILL_MINUTES - open);
    if (kind === 'simmer') {
      const heat = settings.heat ?? 'gentle';
      if (moves)
        line.add(
          `${prefix}load`,
          { kind: 'fill', stage: id, open: true },
          'pot',
          [step(`${prefix}load`, moves, filling)],
          true,
        );
      const boil = step(`${prefix}heating`, [{ kind: 'boil', stage: id }], reheatMinutes, false);
      line.add(`${prefix}heating`, { kind: 'boil', stage: id }, 'pot', [boil], false);
      const own = id === 'simmer' ? 'simmer' : `${prefix}simmer`;
      const simmer = step(own, [{ kind: 'simmer', stage: id, heat }], minutes, false);
      line.add(own, { kind: 'simmer', stage: id }, 'pot', [simmer], false);
      open = 0;
      return;
    }
    run += 1;
    const lockMinutes = moves ? Math.min(LOCK_MINUTES, filling) : filling;
    const locking = step(`${prefix}lock`, [{ kind: 'lock-and-start', run, minutes }], lockMinutes);
    const steps = moves ? [step(`${prefix}load`, moves, Math.max(0, filling - LOCK_MINUTES)), locking] : [locking];
    line.add(`${prefix}load`, { kind: 'fill', stage: id, open: false }, 'pot', steps, true);
    const release = settings.release ?? { method: 'quick', naturalMinutes: 0 };
    underTheLid(
      line,
      plan,
      prefix,
      { run, stage: id },
      { toPin: null, toTimer: reheatMinutes, pressure: minutes, release: releaseMinutes },
      release,
    );
    const tried = bowls.cuts(stage.putIn.filter((cut) => plan.otherMeats[cut - 1]?.goesIn === id));
    line.add(
      `${prefix}open`,
      { kind: 'open', run },
      'pot',
      [
        step(`${prefix}open`, [{ kind: 'open', run }], LATER_LID_MINUTES),
        ...(tried.length > 0
          ? [step(`${prefix}check`, [{ kind: 'try', portions: tried, run }], OPEN_MINUTES - LID_MINUTES)]
          : []),
      ],
      true,
    );
    open = LATER_LID_MINUTES;
  });
}

/** Cooked in a pan of its own on another burner, ready when it is folded in. */
function cookApart(
  line: Line,
  plan: Plan,
  bowls: Bowls,
): { readonly blocks: string[]; readonly portions: PortionId[] } {
  const blocks: string[] = [];
  const portions: PortionId[] = [];
  const stages = new Set(
    [...plan.vegetables, ...plan.grains]
      .map(({ place }) => place)
      .filter((place) => !['start', 'flavour-only', 'auto'].includes(place) && stageOf(plan, place).kind === 'apart'),
  );
  for (const stage of stages) {
    const vegetables = bowls.vegetables(({ place }) => place === stage);
    const grains = bowls.grains(({ place }) => place === stage);
    const minutes = Math.max(
      ...plan.vegetables
        .filter(({ place }) => place === stage)
        .map(({ vegetable }) => vegetableById(vegetable).boilMinutes[1]),
      ...plan.grains.filter(({ place }) => place === stage).map(({ grain }) => grainById(grain).boilMinutes[1]),
    );
    const here = [...vegetables, ...grains];
    if (here.length === 0) continue;
    const id = `apart-cook-${stage}`;
    line.beside({
      id,
      work: { kind: 'cook-apart', stage },
      steps: [step(id, [{ kind: 'cook-apart', portions: here }], stageOf(plan, stage).minutes ?? minutes, false)],
      minutes: stageOf(plan, stage).minutes ?? minutes,
      resource: 'side-burner',
      handsOn: false,
      after: [],
      track: { kind: 'cook-apart', stage },
    });
    blocks.push(id);
    portions.push(...here);
  }
  return { blocks, portions };
}

/** Whether the meat is lifted out before its sauce is finished. */
function leavesItsSauce(plan: Plan, sauce: SauceFigures): boolean {
  const { finish, meat, target } = plan;
  if (plan.servedFrom === 'pot') return finish.strain !== 'no' || finish.blend;
  const alone = meat.form === 'whole' || meat.form === 'rack' || target === 'pulls';
  return alone || finish.strain !== 'no' || finish.blend || sauce.reduceMinutes > 0;
}

/** What is done to the sauce, step by step; the meat is out of it, or the move says that it stays. */
function finish(line: Line, plan: Plan, figures: Figures, bowls: Bowls): PortionId[] {
  const { sauce, meatsInPot, later } = figures;
  const { finish: wanted } = plan;
  const outside = [plan.meat, ...plan.otherMeats].flatMap((_, i) => (meatsInPot.includes(i) ? [] : [i]));
  const leaves = leavesItsSauce(plan, sauce) && meatsInPot.length > 0;
  const apart = cookApart(line, plan, bowls);
  const lastStage = later.at(-1);
  const steps: { readonly moves: readonly Move[]; readonly minutes: number; readonly hands?: boolean }[] = [];
  const add = (minutes: number, hands: boolean, ...moves: readonly (Move | null)[]): void => {
    const real = some(...moves);
    if (real.length > 0) steps.push({ moves: real, minutes, hands });
  };
  const cuts = bowls.cuts(meatsInPot);
  add(1, true, leaves ? { kind: 'lift', to: 'foil', portions: cuts } : null);
  const bones = plan.meat.boneIn && plan.target === 'pulls' && sauce.bones;
  const fished = fishedOut(bowls);
  if (fished.length > 0 || bones) steps.push({ moves: [{ kind: 'fish-out', portions: fished, bones }], minutes: 1 });
  const lifted = toTheDish(plan, bowls, lastStage?.id ?? null);
  add(2, true, { kind: 'lift', to: 'dish', portions: lifted });
  add(0.5, true, stirDown(bowls));
  if (sauce.ladleOutMl >= 1) add(1, true, { kind: 'ladle', ml: sauce.ladleOutMl, then: 'kept', stage: 'finish' });
  if (sauce.skimMl > 0) add(3, true, { kind: 'skim', ml: sauce.skimMl });
  const solids = wanted.strain === 'no' ? [] : strained(plan, bowls, lifted, fished);
  if (wanted.strain !== 'no') {
    steps.push({ moves: [{ kind: 'strain', solids: wanted.strain, portions: solids }], minutes: 2 });
  }
  if (wanted.blend) add(3, true, { kind: 'blend' });
  if (wanted.meatBack && leaves) {
    add(PULL_MINUTES, true, { kind: 'pull', portions: cuts });
    add(1, true, { kind: 'put-back', portions: cuts });
  }
  if (sauce.reduceMinutes > 0) {
    add(sauce.reduceMinutes, false, {
      kind: 'reduce',
      minutes: sauce.reduceMinutes,
      toMl: sauce.reducedMl,
      meatIn: (meatsInPot.length > 0 && !leaves) || (wanted.meatBack && leaves),
    });
  }
  const starch = figures.portions.find(({ kind }) => kind === 'thickener');
  if (starch && sauce.thickens) {
    add(3, true, { kind: 'thicken', portion: starch.id, grams: sauce.thickenerGrams, waterMl: sauce.waterMl });
  }
  for (const [i, { ingredient }] of plan.additions.entries()) {
    const item = plan.additions[i];
    const id = bowls.at('addition', i);
    if (item?.when !== 'after' || item.stage !== undefined || id === null) continue;
    const { kind, starchEquivalent } = liquidById(ingredient);
    const cooked = kind === 'dry' && starchEquivalent > 0;
    add(cooked ? COOKED_IN_MINUTES : 1, true, { kind: 'stir-in', cooked, portions: [id] });
  }
  const back: PortionId[] = wanted.strain === 'put-back' ? solids : [];
  add(1, true, { kind: 'put-back', portions: back });
  const offHeat = (place: string): boolean =>
    !['start', 'flavour-only', 'auto'].includes(place) && stageOf(plan, place).kind === 'off-heat';
  const setAside = bowls.aromatics(({ then, stage }) => then === 'set-aside' && stage === undefined);
  if (apart.blocks.length > 0) line.waitsFor(...apart.blocks);
  add(1, true, { kind: 'fold-in', portions: [...setAside, ...apart.portions] });
  add(1, true, {
    kind: 'put',
    layer: 'in',
    stage: 'off-heat',
    portions: [
      ...bowls.vegetables(({ place }) => offHeat(place)),
      ...bowls.grains(({ place }) => offHeat(place)),
      ...bowls.aromatics(({ stage }) => stage !== undefined && offHeat(stage)),
      ...bowls.liquids(({ stage }) => stage !== undefined && offHeat(stage)),
      ...bowls.additions(({ stage }) => stage !== undefined && offHeat(stage)),
      ...plan.others
        .flatMap((item, i) => (offHeatOther(plan, item.place) ? [bowls.at('other', i) ?? ''] : []))
        .filter(Boolean),
    ],
  });
  const whole = plan.meat.form === 'whole' || plan.meat.form === 'rack' || plan.target === 'pulls';
  const waiting = leaves ? (wanted.meatBack ? [] : cuts) : [];
  const atTheEnd = [...waiting, ...bowls.cuts(outside)];
  if (!whole) add(1, true, { kind: 'put-back', portions: atTheEnd });
  if (wanted.restMinutes > 0) add(wanted.restMinutes, false, { kind: 'rest', minutes: wanted.restMinutes });
  add(1, true, { kind: 'stir-in', cooked: false, portions: bowls.others('end') });
  steps.push({ moves: [{ kind: 'season' }], minutes: 1 });
  steps.forEach(({ moves, minutes, hands = true }, i) => {
    const kind = (moves[0] as Move).kind;
    const rest = kind === 'rest';
    const id = rest ? 'rest' : `finish-${i + 1}-${kind}`;
    const work: Work = rest ? { kind: 'rest' } : { kind: 'finish', move: kind };
    line.add(id, work, 'pot', [step(id, moves as [Move, ...Move[]], minutes, hands)], hands);
  });
  return whole ? atTheEnd : [];
}

const offHeatOther = (plan: Plan, place: string): boolean =>
  !['start', 'end'].includes(place) && stageOf(plan, place).kind === 'off-heat';

/** What is fished out: what the cook says, leaves and bags, and vegetables that were in for their flavour. */
function fishedOut(bowls: Bowls): PortionId[] {
  return [
    ...bowls.aromatics(
      ({ ingredient, then }) => then === 'fish-out' || (then === undefined && aromaticKind(ingredient).fishedOut),
    ),
    ...bowls.vegetables(({ place }) => place === 'flavour-only'),
  ];
}

/**
 * What is lifted onto the dish before the sauce is finished: what was cooked last, which would go on softening, and before
 * a sieve or a blender all that is to be eaten as it is.
 */
function toTheDish(plan: Plan, bowls: Bowls, last: StageId | null): PortionId[] {
  const { strain, blend } = plan.finish;
  const inPot = (place: string): boolean => place === 'start' || isHotStage(plan, place);
  if (blend || strain === 'thrown' || strain === 'kept') {
    const melts = (texture: string): boolean => texture === 'into-the-sauce' || (blend && texture === 'soft');
    return [
      ...bowls.vegetables(({ place, texture }) => inPot(place) && !melts(texture)),
      ...bowls.grains(({ place }) => inPot(place)),
    ];
  }
  return last === null || plan.servedFrom === 'pot' ? [] : bowls.vegetables(({ place }) => place === last);
}

const isHotStage = (plan: Plan, place: string): boolean =>
  !['start', 'auto', 'flavour-only'].includes(place) && ['pressure', 'simmer'].includes(stageOf(plan, place).kind);

/** Solids that a sieve holds back: all that is in the pot and has not been lifted or fished out. */
function strained(plan: Plan, bowls: Bowls, lifted: readonly PortionId[], fished: readonly PortionId[]): PortionId[] {
  const gone = new Set([...lifted, ...fished]);
  const inPot = (place: string): boolean => place === 'start' || isHotStage(plan, place);
  return [
    ...bowls.aromatics(({ then, stage }) => then !== 'set-aside' && (stage === undefined || inPot(stage))),
    ...bowls.vegetables(({ place }) => inPot(place)),
    ...bowls.grains(({ place }) => inPot(place)),
  ].filter((id) => !gone.has(id));
}

function plate(line: Line, plan: Plan, figures: Figures, bowls: Bowls, waiting: readonly PortionId[]): void {
  const all = bowls.cuts([plan.meat, ...plan.otherMeats].map((_, i) => i));
  const pulled = plan.target === 'pulls' && !plan.finish.meatBack && waiting.length > 0;
  const sliced = !pulled && waiting.length > 0;
  const broth = figures.later
    .filter(({ settings }) => settings.takeOutMl > 0 && settings.broth === 'poured-over')
    .reduce((ml, { settings }) => ml + settings.takeOutMl, 0);
  if (plan.finish.crisp) {
    const crisp = step('crisp', [{ kind: 'crisp', portions: all }], CRISP_MINUTES);
    line.add('crisp', { kind: 'finish', move: 'crisp' }, 'hands', [crisp], true);
  }
  const moves = some(
    pulled ? { kind: 'pull', portions: waiting } : null,
    sliced ? { kind: 'slice', portions: waiting } : null,
    {
      kind: 'plate',
      portions: [...all, ...bowls.vegetables(({ place }) => place !== 'flavour-only')],
      from: plan.servedFrom,
      brothMl: broth,
    },
  );
  line.add('plate', { kind: 'plate' }, 'hands', [step('plate', moves as [Move, ...Move[]], PLATE_MINUTES)], true);
}

/** Sauces made in their own pan and blender, one after the other. */
function saucesApart(line: Line, plan: Plan, bowls: Bowls): string | null {
  let last: string | null = null;
  plan.additions.forEach(({ apart }, i) => {
    const portion = bowls.at('addition', i);
    if (!apart || portion === null) return;
    const track: Track = { kind: 'apart', addition: i };
    const put = (id: string, move: Move, minutes: number, handsOn: boolean): void => {
      line.beside({
        id,
        work: { kind: 'apart', addition: i },
        steps: [step(id, [move], minutes, handsOn)],
        minutes,
        resource: 'side-burner',
        handsOn,
        after: last === null ? [] : [last],
        track,
      });
      last = id;
    };
    apart.steps.forEach((one, at) => {
      // Sautéed twice, it is two tasks.
      const again = apart.steps.slice(0, at).filter((other) => other === one).length;
      const { minutes, handsOn } = APART[one];
      const id = `apart-${i + 1}-${one}${again === 0 ? '' : `-${again + 1}`}`;
      put(id, { kind: 'apart', portion, step: one, swill: null }, minutes, handsOn);
    });
    const swill = bowls.at('swill', i);
    if (swill !== null) {
      put(`apart-${i + 1}-swill`, { kind: 'apart', portion, step: 'swill', swill }, SWILL_MINUTES, true);
    }
  });
  return last;
}

/** Common practice, minutes. */
const APART = {
  toast: { minutes: 3, handsOn: true },
  soak: { minutes: 20, handsOn: false },
  saute: { minutes: 5, handsOn: true },
  blend: { minutes: 3, handsOn: true },
  strain: { minutes: 3, handsOn: true },
} as const;
const SWILL_MINUTES = 1;

/** What is cut while the pot works. */
const LATER_TASK = 'later-1-board';

/**
 * Everything that is done for a plan, in order, from the first cut to the plate: the one place that knows. The clock, the
 * guide, the hands of a rehearsal, the section and the words are functions of what it gives.
 *
 * @param plan with every vegetable and grain in its place
 * @param figures what the reckoning has found
 * @returns blocks in the order of the work, each after what it needs; raw meat leaves the board last
 */
export function place(plan: Plan, figures: Figures): Method {
  const bowls = new Bowls(plan, figures.portions);
  const line = new Line();
  const { ahead, later } = board(line, plan, figures.portions);
  saute(line, plan, figures, bowls);
  const sauces = saucesApart(line, plan, bowls);
  if (sauces !== null) line.waitsFor(sauces);
  load(line, plan, figures, bowls);
  const loaded = line.last;
  const { toPin, toTimer, pressure, release } = figures;
  underTheLid(line, plan, '', { run: 1, stage: 'start' }, { toPin, toTimer, pressure, release }, plan.release);
  const lid = step('open', [{ kind: 'open', run: 1 }], LID_MINUTES);
  const startCuts = bowls.cuts(figures.sears.map(({ cut }) => cut));
  const tried = step('check', [{ kind: 'try', portions: startCuts, run: 1 }], OPEN_MINUTES - LID_MINUTES);
  line.add('open', { kind: 'open', run: 1 }, 'pot', [lid, tried], true);
  if (later.length > 0) line.waitsFor(LATER_TASK);
  laterStages(line, plan, figures, bowls);
  const waiting = finish(line, plan, figures, bowls);
  plate(line, plan, figures, bowls, waiting);
  // Behind what the pot needs hands for: of two that could end together the first in the list has the hands.
  for (const { move, minutes } of later) {
    line.beside({
      id: LATER_TASK,
      work: { kind: 'later-board' },
      steps: [step(LATER_TASK, [move], minutes)],
      minutes,
      resource: 'board',
      handsOn: true,
      after: loaded,
      track: { kind: 'board' },
    });
  }
  sides(line, plan);
  return { ahead, blocks: line.blocks };
}

function sides(line: Line, plan: Plan): void {
  plan.sides.forEach((side, s) => {
    let before: string[] = [];
    side.tasks.forEach((task, t) => {
      const id = `side-${s + 1}-${t + 1}`;
      line.beside({
        id,
        work: { kind: 'side', side: s, task: t },
        steps: [step(id, [{ kind: 'side', side: s, task: t }], task.minutes, task.handsOn)],
        minutes: task.minutes,
        resource: task.resource,
        handsOn: task.handsOn,
        after: before,
        track: { kind: 'side', side: s },
      });
      before = [id];
    });
  });
}

/** Broth that is taken out and what becomes of it, over the whole method. */
export function brothOf({ blocks }: Pick<Method, 'blocks'>): readonly { readonly ml: number; readonly then: Then }[] {
  return blocks.flatMap(({ steps }) =>
    steps.flatMap(({ moves }) => {
      const ladle = moveOf(moves, 'ladle');
      return ladle ? [{ ml: ladle.ml, then: ladle.then }] : [];
    }),
  );
}
