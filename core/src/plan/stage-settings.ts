import type { Plan, PlannedStage, StageId } from './plan';

/** Hervir's own stages, as they are done when the cook says nothing of them. Common practice. */
const OWN: Readonly<Record<string, PlannedStage>> = {
  'second-run': {
    id: 'second-run',
    kind: 'pressure',
    minutes: null,
    release: { method: 'quick', naturalMinutes: 0 },
    meat: 'out',
    takeOutMl: 0,
    broth: 'poured-over',
  },
  simmer: {
    id: 'simmer',
    kind: 'simmer',
    minutes: null,
    heat: 'gentle',
    meat: 'out',
    takeOutMl: 0,
    broth: 'poured-over',
  },
  'off-heat': { id: 'off-heat', kind: 'off-heat', minutes: null, meat: 'in', takeOutMl: 0, broth: 'kept' },
  'folded-in': { id: 'folded-in', kind: 'apart', minutes: null, meat: 'in', takeOutMl: 0, broth: 'kept' },
};

/**
 * A stage as the plan has it, or as Hervir does it where the plan says nothing of it.
 *
 * @param plan its stages
 * @param id the cook's own, or one of Hervir's
 * @throws RangeError for a stage that neither knows
 * @example stageOf(plan, 'second-run').meat // 'out'
 */
export function stageOf(plan: Pick<Plan, 'stages'>, id: StageId): PlannedStage {
  const stage = plan.stages.find((stage) => stage.id === id) ?? OWN[id];
  if (!stage) throw new RangeError(`no stage "${id}" in this plan`);
  return stage;
}

/** Whether a stage is done over the heat after the first run: meat, broth and minutes are asked of it. */
export const isHotKind = (kind: string): boolean => kind === 'pressure' || kind === 'simmer';

/**
 * Whether a place is a stage over the heat after the first run.
 *
 * @param plan its stages
 * @param place "start", "auto", "flavour-only", or the id of a stage
 * @throws RangeError for a stage that neither the plan nor Hervir knows
 * @example isHotPlace(plan, 'simmer') // true
 */
export function isHotPlace(plan: Pick<Plan, 'stages'>, place: StageId): boolean {
  if (place === 'start' || place === 'flavour-only' || place === 'auto') return false;
  return isHotKind(stageOf(plan, place).kind);
}

/**
 * The plan with one of its stages changed; the stage is put into the list where it was Hervir's until now.
 *
 * @example withStage(plan, 'second-run', { meat: 'in' }).stages[0]?.meat // 'in'
 */
export function withStage(
  plan: Pick<Plan, 'stages'>,
  id: StageId,
  change: Partial<PlannedStage>,
): { stages: PlannedStage[] } {
  const changed = { ...stageOf(plan, id), ...change };
  const there = plan.stages.some((stage) => stage.id === id);
  return {
    stages: there ? plan.stages.map((stage) => (stage.id === id ? changed : stage)) : [...plan.stages, changed],
  };
}
