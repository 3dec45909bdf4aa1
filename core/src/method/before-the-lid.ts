import { meatsOf } from '../plan/meats';
import type { Plan } from '../plan/plan';
import type { Portion, PortionId } from '../plan/portions';
import { DEGLAZE_MINUTES } from '../pot/loading';
import { type AromaticStep, aromaticSteps } from '../stations/aromatics';
import type { SearPlan } from '../stations/sear';
import { type BoardMove, boardOf, CUTTING } from './board';
import type { Figures } from './figures';
import { type Bowls, type Line, listOf, NONE, some, step, sum } from './line';
import type { Move } from './moves';
import type { Step, Work } from './step';
import { LOCK_MINUTES, VALVE_MINUTES } from './under-the-lid';

/** Common practice, minutes. */
const LOAD_MINUTES = 3;
/** Shares of a block's minutes that its parts take. Common practice. */
const SAUTE_OFF_MINUTES = 0.25;
const FLOUR_MINUTES = 1;
const PASTE_MINUTES = 1;

/** The board, vegetables before raw meat; the cook's own pace counts. */
export function board(
  line: Line,
  plan: Plan,
  portions: readonly Portion[],
): { ahead: Step[]; later: readonly BoardMove[] } {
  // The cook's own figure stands; without one, what the log has taught.
  const pace = plan.kitchen.prepFactor ?? plan.learnt?.prep?.factor ?? 1;
  const board = boardOf(plan, portions);
  const put = (which: 'vegetables' | 'meat', moves: readonly BoardMove[]): void => {
    const all = listOf(moves.map(({ move }) => move));
    if (!all) return;
    const id = `board-${which}`;
    line.add(id, { kind: 'board', board: which }, 'board', [step(id, all, pace * sum(moves))], true);
  };
  put('vegetables', board.vegetables);
  put('meat', board.meat);
  return {
    ahead: board.ahead.map(({ move, minutes }, i) => step(`ahead-${i + 1}`, [move], minutes)),
    later: board.later.map(({ move, minutes }) => ({ move, minutes: pace * minutes })),
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
        stirred: sear.stirred,
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
export function saute(line: Line, plan: Plan, figures: Figures, bowls: Bowls): void {
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
  meatsOf(plan).forEach(({ marinade }, i) => {
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
  const meats = meatsOf(plan).flatMap((meat, i) => (!('goesIn' in meat) || meat.goesIn === 'start' ? [i] : []));
  const put = (layer: 'under' | 'in' | 'stirred-in' | 'on-top' | 'levelled', portions: readonly PortionId[]): Move => ({
    kind: 'put',
    layer,
    stage,
    portions,
  });
  const cold = figures.preheat > 0 ? [] : [bowls.at('deglaze', 0)].filter((id): id is PortionId => id !== null);
  const pouredIn = bowls.ids('marinade', (i) => meatsOf(plan)[i]?.marinade?.then === 'poured-in');
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

export function load(line: Line, plan: Plan, figures: Figures, bowls: Bowls): void {
  const heated = figures.preheat > 0;
  const steps: Step[] = [];
  if (heated) steps.push(step('saute-off', [{ kind: 'heat-off' }], SAUTE_OFF_MINUTES));
  meatsOf(plan).forEach((meat, i) => {
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
