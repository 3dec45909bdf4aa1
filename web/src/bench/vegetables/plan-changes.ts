import { GRAINS, stageOf, VEGETABLES, type Plan, type PlannedStage } from '@hervir/core';
import type { Chosen } from './lane-items';
import { withMore } from './plan-lists';

/** So many of each list, and so many stages of the cook's own. */
export const MOST = { vegetable: 20, grain: 8, other: 12, stage: 6 } as const;

/** What a cook most often adds, in that order. */
const FIRST_VEGETABLES = ['carrot', 'turnip', 'potato-waxy', 'cabbage'];
const FIRST_GRAINS = ['freekeh'];

function freeOf(all: readonly { readonly id: string }[], wanted: readonly string[], taken: readonly string[]): string {
  const ids = [...wanted, ...all.map(({ id }) => id)];
  return ids.find((id) => !taken.includes(id)) ?? (ids[0] as string);
}

/** An id that no stage of the plan has. */
function freshId({ stages }: Plan, kind: PlannedStage['kind']): string {
  let number = 1;
  while (stages.some(({ id }) => id === `${kind}-${number}`)) number += 1;
  return `${kind}-${number}`;
}

/** A stage that the cook adds, as it is usually done. */
function blankStage(plan: Plan, kind: 'pressure' | 'simmer'): PlannedStage {
  const usual = stageOf({ stages: [] }, kind === 'pressure' ? 'second-run' : 'simmer');
  const own = plan.stages.some(({ id }) => id === usual.id) ? freshId(plan, kind) : usual.id;
  return { ...usual, id: own, minutes: kind === 'pressure' ? 3 : 10, meat: 'in' };
}

export type Added = 'vegetable' | 'grain' | 'other' | 'pressure' | 'simmer';

/** The plan with one thing, or one stage, more; and what that is, to be opened. */
export function withOneMore(plan: Plan, what: Added): { readonly plan: Plan; readonly chosen: Chosen } {
  switch (what) {
    case 'vegetable': {
      const taken = plan.vegetables.map(({ vegetable }) => vegetable);
      const vegetable = freeOf(VEGETABLES, FIRST_VEGETABLES, taken);
      return {
        plan: {
          ...plan,
          vegetables: [...plan.vegetables, { vegetable, grams: 300, texture: 'tender', place: 'auto' }],
        },
        chosen: { kind: 'vegetable', index: taken.length },
      };
    }
    case 'grain': {
      const taken = plan.grains.map(({ grain }) => grain);
      const grain = freeOf(GRAINS, FIRST_GRAINS, taken);
      return {
        plan: withMore(plan, 'grain', { grain, grams: 120, place: 'auto' }),
        chosen: { kind: 'grain', index: taken.length },
      };
    }
    case 'other':
      return {
        plan: withMore(plan, 'other', { name: 'olives', grams: 50, place: 'end' }),
        chosen: { kind: 'other', index: plan.others.length },
      };
    case 'pressure':
    case 'simmer': {
      const stage = blankStage(plan, what);
      return {
        plan: { ...plan, stages: [...plan.stages, stage] },
        chosen: { kind: 'stage', place: stage.id },
      };
    }
  }
}

/** Without a stage of the cook's; what went in at it is left to Hervir again. */
export function withoutStage(plan: Plan, id: string): Plan {
  const free = <T extends { place: string }>(items: readonly T[]): T[] =>
    items.map((item) => (item.place === id ? { ...item, place: 'auto' } : item));
  const unstaged = <T extends { stage?: string | undefined }>(items: readonly T[]): T[] =>
    items.map((item) => (item.stage === id ? { ...item, stage: undefined } : item));
  return {
    ...plan,
    stages: plan.stages.filter((stage) => stage.id !== id),
    vegetables: free(plan.vegetables),
    grains: free(plan.grains),
    others: plan.others.map((item) => (item.place === id ? { ...item, place: 'start' } : item)),
    liquids: unstaged(plan.liquids),
    additions: unstaged(plan.additions),
    aromatics: unstaged(plan.aromatics),
    otherMeats: plan.otherMeats.map((meat) => ({
      ...meat,
      goesIn: meat.goesIn === id ? 'start' : meat.goesIn,
      comesOut: meat.comesOut === id ? 'end' : meat.comesOut,
    })),
  };
}
