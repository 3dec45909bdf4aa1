import { meatsOf } from '../plan/meats';
import type { Plan, StageId } from '../plan/plan';
import { REFILL_MINUTES } from '../pot/later-stage';
import type { Figures, PlacedStage } from './figures';
import { type Bowls, type Line, listOf, NONE, some, step } from './line';
import type { PortionId } from '../plan/portions';
import type { Move } from './moves';
import type { Step } from './step';
import { LID_MINUTES, LOCK_MINUTES, OPEN_MINUTES, underTheLid } from './under-the-lid';

/** Common practice, minutes. */
const LATER_LID_MINUTES = 1;

/** How a stage's steps and blocks are told apart: Hervir's own second run and simmer as they always were. */
const prefixOf = (id: StageId): string =>
  id === 'second-run' ? 'second-' : id === 'simmer' ? 'simmer-' : `stage-${id}-`;

/** What is done to the open pot before a stage. */
function fillMoves(plan: Plan, figures: Figures, bowls: Bowls, stage: PlacedStage, at: number): Move[] {
  const { id, settings } = stage;
  const before = figures.later[at - 1];
  const later = new Set(addedLater(stage, figures, bowls).map(({ portion }) => portion));
  const atOnce = (portions: readonly PortionId[]): PortionId[] => portions.filter((portion) => !later.has(portion));
  const wasIn = (cut: number): boolean => meatsOf(plan)[cut] === plan.meat || plan.otherMeats[cut - 1]?.goesIn !== id;
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
        ...atOnce(plantsOf(stage, bowls)),
        ...bowls.aromatics((item) => item.stage === id),
        ...bowls.others(id),
      ],
    },
  );
}

const plantsOf = ({ id }: PlacedStage, bowls: Bowls): PortionId[] => [
  ...bowls.vegetables(({ place }) => place === id),
  ...bowls.grains(({ place }) => place === id),
];

/** Nobody lifts a lid for less, minutes. */
const TOGETHER_MINUTES = 1;
/** One more thing into a pot that simmers, minutes. Common practice. */
const ADD_MINUTES = 0.5;

/** Plants that want less than the whole of a simmer: how long before its end each goes in. */
function addedLater(
  stage: PlacedStage,
  { beforeEnd }: Figures,
  bowls: Bowls,
): { readonly portion: PortionId; readonly before: number }[] {
  if (stage.kind !== 'simmer') return [];
  return plantsOf(stage, bowls).flatMap((portion) => {
    const before = beforeEnd.get(portion) ?? stage.minutes;
    return before > stage.minutes - TOGETHER_MINUTES ? [] : [{ portion, before }];
  });
}

/** A simmer, and what goes into it on the way: the quicker, the later. */
function simmerSteps(stage: PlacedStage, figures: Figures, bowls: Bowls, own: string): Step[] {
  const { id, minutes, settings } = stage;
  const heat = settings.heat ?? 'gentle';
  const added = addedLater(stage, figures, bowls);
  const times = [...new Set(added.map(({ before }) => before))].sort((a, b) => b - a);
  const stretches = [minutes, ...times].map((from, i) => from - (times[i] ?? 0) - (i > 0 ? ADD_MINUTES : 0));
  return stretches.flatMap((takes, i) => {
    const next = times[i];
    const goesOn = next === undefined ? {} : { goesOn: true };
    const simmers = step(
      i === 0 ? own : `${own}-${i + 1}`,
      [{ kind: 'simmer', stage: id, heat, ...goesOn }],
      takes,
      false,
    );
    if (next === undefined) return [simmers];
    const portions = added.filter(({ before }) => before === next).map(({ portion }) => portion);
    return [simmers, step(`${own}-add-${i + 1}`, [{ kind: 'put', layer: 'in', stage: id, portions }], ADD_MINUTES)];
  });
}

/** What lay on top is stirred in once the last lid is off. */
export function stirDown(bowls: Bowls): Move {
  return {
    kind: 'stir-down',
    portions: bowls.additions(({ when, stage }) => when === 'on-top' && stage === undefined),
  };
}

/** Stages after the first run, in their order. */
export function laterStages(line: Line, plan: Plan, figures: Figures, bowls: Bowls): void {
  let open = OPEN_MINUTES;
  let run = 1;
  figures.later.forEach((stage, at) => {
    const { id, kind, minutes, reheatMinutes, releaseMinutes, settings } = stage;
    const prefix = prefixOf(id);
    const moves = listOf(fillMoves(plan, figures, bowls, stage, at));
    // The lid is off already: trying a piece is part of filling it again.
    const filling = Math.max(NONE, REFILL_MINUTES - open);
    if (kind === 'simmer') {
      if (moves)
        line.add(
          `${prefix}load`,
          { kind: 'fill', stage: id, open: true },
          'pot',
          [step(`${prefix}load`, moves, filling)],
          true,
        );
      // With no minutes to simmer the heat still has to go off.
      const off: Move[] = minutes <= NONE ? [{ kind: 'heat-off' }] : [];
      const boil = step(`${prefix}heating`, [{ kind: 'boil', stage: id }, ...off], reheatMinutes, false);
      line.add(`${prefix}heating`, { kind: 'boil', stage: id }, 'pot', [boil], false);
      const own = id === 'simmer' ? 'simmer' : `${prefix}simmer`;
      line.add(own, { kind: 'simmer', stage: id }, 'pot', simmerSteps(stage, figures, bowls, own), false);
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
