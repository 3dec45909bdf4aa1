import { grainById } from '../../catalog/grains';
import type { Plan, StageId } from '../../plan/plan';
import type { BaseMoment } from '../../pot/base-temperature';
import type { Staging } from '../../stations/stages';
import type { DoneStage } from './later-stages';
import { grainsAt, type MainRun } from './main-run';

/** Short of so much of what it drinks, grain is hard. From memory. */
const DRY_SHARE = 0.05;

/** Grain is done only with the water it needs: what it does not find is missing, and it is hard. */
export function watered(plan: Plan, run: MainRun, done: readonly DoneStage[], staging: Staging): Staging {
  const missing = new Map<string, number>();
  let short = 0;
  const judge = (place: StageId, freeMl: number): void => {
    const here = grainsAt(plan, place);
    const lacking = Math.max(0, -freeMl) - short;
    if (lacking <= 0 || here.length === 0) return;
    short += lacking;
    const all = here.reduce((sum, { grain, grams: g }) => sum + g * grainById(grain).uptakeMlPerG, 0);
    for (const { portion, grain, grams: g } of here) {
      missing.set(portion, (lacking * g * grainById(grain).uptakeMlPerG) / all);
    }
  };
  judge('start', lowestMl(run.moments));
  for (const stage of done) judge(stage.id, stage.moments.length > 0 ? lowestMl(stage.moments) : stage.atLockMl);
  if (missing.size === 0) return staging;
  const stages = staging.stages.map((stage) => ({
    ...stage,
    items: stage.items.map((item) => {
      const missingMl = missing.get(item.portion) ?? 0;
      const wants = item.grain === undefined ? 0 : item.grams * grainById(item.grain).uptakeMlPerG;
      return missingMl > DRY_SHARE * wants ? { ...item, missingMl, texture: 'hard' as const, met: false } : item;
    }),
  }));
  return { ...staging, stages, allMet: stages.every(({ items }) => items.every(({ met }) => met)) };
}

/** The least free liquid under a lid, ml: below nothing where it is short. */
export function lowestMl(moments: readonly BaseMoment[]): number {
  return moments.reduce((least, { freeMl }) => Math.min(least, freeMl), Number.POSITIVE_INFINITY);
}
