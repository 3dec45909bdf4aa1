import type { PressureTimes } from '../clock/pressure-times';
import { pressureTimes } from '../clock/pressure-times';
import type { CookState } from '../clock/cook-state';
import type { SectionId } from '../clock/guide-step';
import { bodyAsCooked } from '../braise/forecast/as-cooked';
import { toughnessBounds, type Grade } from '../meat/tenderness';
import { cutById } from '../catalog/cuts';
import type { Plan } from '../plan/plan';
import type { Evidence, FactorKind } from './posterior';

/** What one cook says of its kitchen: a piece of evidence for each factor it can speak of. */
export type Observation = Readonly<Partial<Record<FactorKind, Evidence>>>;

/** A ratio outside this was not a measurement. */
const SANE: readonly [number, number] = [0.25, 4];
/** Shorter than this, a difference is only how fast somebody presses, minutes. */
const WORTH_MINUTES = 3;

function ratio(actual: number, planned: number): Evidence | null {
  if (planned < WORTH_MINUTES) return null;
  const ratio = actual / planned;
  return ratio < SANE[0] || ratio > SANE[1] ? null : { at: Math.log(ratio) };
}

/** The plan by the tables alone: what is learnt is always learnt against them. */
const byTheTables = (plan: Plan): Plan => ({ ...plan, learnt: undefined });

/**
 * What a finished cook says of its kitchen: heat from the time to the pin, losses from a release that was left alone,
 * sear and board from their minutes, and toughness from what the fork found after the cooking it really had.
 *
 * @param plan as cooked
 * @param state the cook at its end
 * @param grade of the first check; null where nobody looked
 * @returns evidence against the tables; what cannot be told is absent
 * @throws PlanError where the plan cannot be reckoned
 */
export function observe(plan: Plan, state: CookState, grade: Grade | null): Observation {
  const bare = byTheTables(plan);
  const times = pressureTimes(state, state.finishedAt ?? state.startedAt ?? 0);
  const took = (section: SectionId): Evidence | null => {
    const took = state.took.find((one) => one.section === section);
    return took ? ratio(took.actual, took.planned / (section === 'sear' ? (plan.learnt?.sear?.factor ?? 1) : 1)) : null;
  };
  const prepFactor = plan.kitchen.prepFactor ?? plan.learnt?.prep?.factor ?? 1;
  const board = state.took.find(({ section }) => section === 'board');
  const evidence: Partial<Record<FactorKind, Evidence | null>> = {
    sear: plan.sear.school === 'none' ? null : took('sear'),
    prep: board ? ratio(board.actual, board.planned / prepFactor) : null,
    ...(times === null || state.burns > 0 || state.steps.some(({ cutShort }) => cutShort)
      ? {}
      : underTheLid(bare, times, grade)),
  };
  return Object.fromEntries(Object.entries(evidence).filter(([, evidence]) => evidence !== null));
}

function underTheLid(
  plan: Plan,
  times: PressureTimes,
  grade: Grade | null,
): Partial<Record<FactorKind, Evidence | null>> {
  if (times.pin === null || times.heatOff === null) return {};
  const cooked = bodyAsCooked(plan, times);
  const left = times.down !== null && times.vented === null ? times.down - times.heatOff : null;
  return {
    heat: { at: Math.log(cooked.heatShare) },
    losses: left === null ? null : cooked.lossesFor(left),
    toughness:
      grade === null || cooked.meat === undefined
        ? null
        : toughnessBounds(cooked.meat, cutById(plan.meat.cut).toughness, grade),
  };
}

/**
 * What the fork says of an animal where only the minutes under pressure are known: a cook added by hand.
 *
 * @param plan with the minutes it had
 * @param grade what it came out as
 * @throws PlanError where the plan cannot be reckoned
 */
export function observeByHand(plan: Plan, grade: Grade): Observation {
  const bare = byTheTables(plan);
  const meat = bodyAsCooked(bare, null).meat;
  return meat ? { toughness: toughnessBounds(meat, cutById(plan.meat.cut).toughness, grade) } : {};
}
