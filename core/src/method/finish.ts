import { isSlicedToServe, meatsOf } from '../plan/meats';
import { aromaticKind } from '../catalog/aromatics';
import { liquidById } from '../catalog/liquids';
import { isPulled, type Plan, type StageId } from '../plan/plan';
import type { PortionId } from '../plan/portions';
import { isHotPlace, stageOf } from '../plan/stage-settings';
import type { SauceFigures } from '../stations/sauce';
import { cookApart } from './beside';
import type { Figures } from './figures';
import { stirDown } from './later-stages';
import { type Bowls, type Line, some, step, sum } from './line';
import type { Move } from './moves';
import type { Work } from './step';

/** Common practice, minutes. */
const PLATE_MINUTES = 3;
const CRISP_MINUTES = 5;
const PULL_MINUTES = 5;

/** Stirring dry flour in at the end takes its five minutes of simmering. Common practice. */
const COOKED_IN_MINUTES = 6;

/** Whether the meat is lifted out before its sauce is finished. */
function leavesItsSauce(plan: Plan, sauce: SauceFigures): boolean {
  const { finish, meat, target } = plan;
  if (plan.servedFrom === 'pot') return finish.strain !== 'no' || finish.blend;
  const alone = meat.form === 'whole' || meat.form === 'rack' || isPulled(target);
  return alone || finish.strain !== 'no' || finish.blend || sauce.reduceMinutes > 0;
}

/** What is done to the sauce, step by step; the meat is out of it, or the move says that it stays. */
// oxlint-disable-next-line max-lines-per-function -- the end of an evening step by step: the order is the method
export function finish(line: Line, plan: Plan, figures: Figures, bowls: Bowls): PortionId[] {
  const { sauce, meatsInPot, later } = figures;
  const { finish: wanted } = plan;
  const outside = meatsOf(plan).flatMap((_, i) => (meatsInPot.includes(i) ? [] : [i]));
  const leaves = leavesItsSauce(plan, sauce) && meatsInPot.length > 0;
  // Cooked ahead, what is to be fresh is done on the day.
  const ahead = plan.cookAhead !== undefined;
  const apart = ahead ? NONE_APART : cookApart(line, plan, bowls);
  const lastStage = later.at(-1);
  const steps: { readonly moves: readonly Move[]; readonly minutes: number; readonly hands?: boolean }[] = [];
  const add = (minutes: number, hands: boolean, ...moves: readonly (Move | null)[]): void => {
    const real = some(...moves);
    if (real.length > 0) steps.push({ moves: real, minutes, hands });
  };
  const cuts = bowls.cuts(meatsInPot);
  add(1, true, leaves ? { kind: 'lift', to: 'foil', portions: cuts } : null);
  const bones = plan.meat.boneIn && isPulled(plan.target) && sauce.bones;
  const fished = fishedOut(bowls);
  if (fished.length > 0 || bones) steps.push({ moves: [{ kind: 'fish-out', portions: fished, bones }], minutes: 1 });
  const lifted = toTheDish(plan, bowls, lastStage?.id ?? null);
  add(2, true, { kind: 'lift', to: 'dish', portions: lifted });
  add(0.5, true, stirDown(bowls));
  if (sauce.ladleOutMl >= 1) add(1, true, { kind: 'ladle', ml: sauce.ladleOutMl, then: 'kept', stage: 'finish' });
  if (sauce.skimMl > 0 && !ahead) add(3, true, { kind: 'skim', ml: sauce.skimMl });
  const solids = wanted.strain === 'no' ? [] : strained(plan, bowls, lifted, fished);
  if (wanted.strain !== 'no') {
    steps.push({ moves: [{ kind: 'strain', solids: wanted.strain, portions: solids }], minutes: 2 });
  }
  if (wanted.blend) add(3, true, { kind: 'blend' });
  const pulls = isPulled(plan.target);
  if (leaves && (wanted.meatBack || (ahead && pulls))) {
    add(PULL_MINUTES, true, { kind: 'pull', portions: cuts });
    if (wanted.meatBack) add(1, true, { kind: 'put-back', portions: cuts });
  }
  if (sauce.reduceMinutes > 0) {
    const meat = leaves ? (wanted.meatBack ? 'back' : 'out') : 'in';
    const open = openFor(line) + sum(steps);
    add(figures.boilsAgain({ minutes: open, ladledMl: sauce.ladleOutMl, meat }) + sauce.reduceMinutes, false, {
      kind: 'reduce',
      minutes: sauce.reduceMinutes,
      toMl: sauce.reducedMl,
      meatIn: meatsInPot.length > 0 && meat !== 'out',
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
    if (ahead && isDairy(ingredient)) continue;
    add(...stirIn(ingredient, id));
  }
  const back: PortionId[] = wanted.strain === 'put-back' ? solids : [];
  add(1, true, { kind: 'put-back', portions: back });
  const setAside = bowls.aromatics(({ then, stage }) => then === 'set-aside' && stage === undefined);
  if (apart.blocks.length > 0) line.waitsFor(...apart.blocks);
  add(1, true, { kind: 'fold-in', portions: [...setAside, ...apart.portions] });
  if (!ahead) add(1, true, offTheHeat(plan, bowls));
  const whole = isSlicedToServe(plan.meat) || pulls;
  const waiting = leaves ? (wanted.meatBack ? [] : cuts) : [];
  const atTheEnd = [...waiting, ...bowls.cuts(outside)];
  if (!whole || ahead) add(1, true, { kind: 'put-back', portions: atTheEnd });
  if (!ahead) {
    if (wanted.restMinutes > 0) add(wanted.restMinutes, false, { kind: 'rest', minutes: wanted.restMinutes });
    add(1, true, { kind: 'stir-in', cooked: false, portions: bowls.others('end') });
    steps.push({ moves: [{ kind: 'season' }], minutes: 1 });
  }
  steps.forEach(({ moves, minutes, hands = true }, i) => {
    const kind = (moves[0] as Move).kind;
    const rest = kind === 'rest';
    const id = rest ? 'rest' : `finish-${i + 1}-${kind}`;
    const work: Work = rest ? { kind: 'rest' } : { kind: 'finish', move: kind };
    line.add(id, work, 'pot', [step(id, moves as [Move, ...Move[]], minutes, hands)], hands);
  });
  return whole && !ahead ? atTheEnd : [];
}

const NONE_APART: ReturnType<typeof cookApart> = { blocks: [], portions: [] };

const isDairy = (ingredient: string): boolean => liquidById(ingredient).kind === 'dairy';

/** Something thick that goes in at the very last: what is dry is simmered until its raw taste is gone. */
function stirIn(ingredient: string, id: PortionId): [number, boolean, Move] {
  const { kind, starchEquivalent } = liquidById(ingredient);
  const cooked = kind === 'dry' && starchEquivalent > 0;
  return [cooked ? COOKED_IN_MINUTES : 1, true, { kind: 'stir-in', cooked, portions: [id] }];
}

/** Cream and the like that waits for the day, where a braise is cooked ahead. */
export const dairyAtTheEnd = (bowls: Bowls): PortionId[] =>
  bowls.additions(({ ingredient, when, stage }) => when === 'after' && stage === undefined && isDairy(ingredient));

/** All that goes in when the heat is off. */
export function offTheHeat(plan: Plan, bowls: Bowls): Move {
  const offHeat = (place: string): boolean =>
    !['start', 'flavour-only', 'auto'].includes(place) && stageOf(plan, place).kind === 'off-heat';
  return {
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
  };
}

/** How long the pot has stood open since it was last hot, minutes. */
function openFor({ blocks }: Line): number {
  const hot = blocks.map(({ work }) => work.kind === 'let-down' || work.kind === 'simmer').lastIndexOf(true);
  return sum(blocks.slice(hot + 1).filter(({ resource }) => resource === 'pot'));
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
  const inPot = (place: string): boolean => place === 'start' || isHotPlace(plan, place);
  if (blend || strain === 'thrown' || strain === 'kept') {
    const melts = (texture: string): boolean => texture === 'into-the-sauce' || (blend && texture === 'soft');
    return [
      ...bowls.vegetables(({ place, texture }) => inPot(place) && !melts(texture)),
      ...bowls.grains(({ place }) => inPot(place)),
    ];
  }
  return last === null || plan.servedFrom === 'pot' ? [] : bowls.vegetables(({ place }) => place === last);
}

/** Solids that a sieve holds back: all that is in the pot and has not been lifted or fished out. */
function strained(plan: Plan, bowls: Bowls, lifted: readonly PortionId[], fished: readonly PortionId[]): PortionId[] {
  const gone = new Set([...lifted, ...fished]);
  const inPot = (place: string): boolean => place === 'start' || isHotPlace(plan, place);
  return [
    ...bowls.aromatics(({ then, stage }) => then !== 'set-aside' && (stage === undefined || inPot(stage))),
    ...bowls.vegetables(({ place }) => inPot(place)),
    ...bowls.grains(({ place }) => inPot(place)),
  ].filter((id) => !gone.has(id));
}

export function plate(line: Line, plan: Plan, figures: Figures, bowls: Bowls, waiting: readonly PortionId[]): void {
  const all = bowls.cuts(meatsOf(plan).map((_, i) => i));
  const pulled = isPulled(plan.target) && !plan.finish.meatBack && waiting.length > 0;
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
