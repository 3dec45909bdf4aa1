import type { Addition, Aromatic, Cooker, GRAIN_LAYERS, Kitchen, LearntFactors, Meat, OWN_STAGES } from './plan';
import type { Plan, PlannedStage, PouredLiquid, Release, Sear, SideTask, Target, TEXTURES } from './plan';
import { stageOf } from './stage-settings';

type PlaceV1 = 'auto' | 'start' | 'flavour-only' | (typeof OWN_STAGES)[number];

/** A plan of version 1, every default filled in: what files and databases hold that an older Hervir wrote. */
export interface PlanV1 {
  format: 'hervir/braise';
  version: 1;
  name: string;
  servings: number;
  target: Target;
  confidence: number;
  meat: Omit<Meat, 'marinade' | 'flourGrams' | 'cutAfterSear' | 'id' | 'name'> & {
    marinade: { ml: number; hours: number; pouredIn: boolean } | null;
  };
  cooker: Cooker;
  kitchen: Kitchen;
  sear: Omit<Sear, 'faceMinutes' | 'fatMl'>;
  deglaze: Plan['deglaze'];
  liquids: Omit<PouredLiquid, 'stage' | 'id' | 'name'>[];
  additions: (Omit<Addition, 'stage' | 'id' | 'name' | 'when'> & { when: 'stirred-in' | 'on-top' | 'after' })[];
  aromatics: Omit<Aromatic, 'how' | 'stage' | 'id' | 'name'>[];
  vegetables: {
    vegetable: string;
    grams: number;
    sizeCm?: number | undefined;
    texture: (typeof TEXTURES)[number];
    place: PlaceV1;
  }[];
  grains: { grain: string; grams: number; place: PlaceV1; layer?: (typeof GRAIN_LAYERS)[number] | undefined }[];
  rack: boolean;
  heat: Plan['heat'];
  meatInSecondRun: 'out' | 'in';
  brothOutMl: number;
  pressureMinutes: number | null;
  release: Release;
  finish: Omit<Plan['finish'], 'strain' | 'meatBack' | 'crisp'> & { strain: boolean };
  sides: { name: string; tasks: SideTask[] }[];
  cutLater: boolean;
  moved: Record<string, number>;
  learnt?: LearntFactors | undefined;
  serveAt: string | null;
}

/**
 * What version 1 said once of meat and broth after the first opening, as settings of the stages it spoke of. Broth was
 * taken out once, at whichever came first.
 */
function stagesOfV1(plan: PlanV1): PlannedStage[] {
  const { meatInSecondRun: meat, brothOutMl: takeOutMl } = plan;
  if (meat === 'out' && takeOutMl === 0) return [];
  const places = new Set([...plan.vegetables, ...plan.grains].map(({ place }) => place));
  const simmerOnly = places.has('simmer') && !places.has('second-run') && !places.has('auto');
  const none = { stages: [] };
  return [
    { ...stageOf(none, 'second-run'), meat, takeOutMl: simmerOnly ? 0 : takeOutMl },
    { ...stageOf(none, 'simmer'), meat, takeOutMl: simmerOnly ? takeOutMl : 0 },
  ];
}

/**
 * A plan of version 1 as version 2 says the same: what was measured then is unchanged.
 *
 * @param plan of version 1, every default filled in
 * @returns the plan of version 2
 */
export function planFromV1(plan: PlanV1): Plan {
  const kept: Omit<PlanV1, 'meatInSecondRun' | 'brothOutMl'> & Partial<PlanV1> = { ...plan };
  delete kept.meatInSecondRun;
  delete kept.brothOutMl;
  const { marinade } = plan.meat;
  return {
    ...kept,
    version: 2,
    meat: {
      ...plan.meat,
      marinade: marinade && {
        ml: marinade.ml,
        hours: marinade.hours,
        then: marinade.pouredIn ? 'poured-in' : 'thrown',
      },
    },
    otherMeats: [],
    others: [],
    stages: stagesOfV1(plan),
    waitsMinutes: 0,
    finish: { ...plan.finish, strain: plan.finish.strain ? 'thrown' : 'no', meatBack: false, crisp: false },
    servedFrom: 'plate',
  };
}
