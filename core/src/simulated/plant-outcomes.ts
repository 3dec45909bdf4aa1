import { say, type Text } from '@hervir/language/message';
import { stageOf } from '../plan/stage-settings';
import { grainTexture, vegetableTexture } from '../stations/doneness';
import type { SimulatedCook } from './simulated-cook';

/** From too little to too much. */
const ORDER = {
  vegetable: ['raw', 'crisp', 'tender', 'soft', 'into-the-sauce'],
  grain: ['hard', 'cooked', 'falls-apart'],
} as const;

/** What became of a vegetable or a grain, against what was wanted. */
export interface PlantOutcome {
  readonly name: Text;
  readonly wanted: Text;
  readonly was: Text;
  /** How many textures past what was wanted; below zero, short of it. */
  readonly off: number;
}

/**
 * What became of every vegetable and grain of a simulated cook: for its debrief, and for what passes an exercise.
 *
 * @param run as far as it has come
 * @returns in the order of the plan; what is cooked apart or only gives its flavour is always as wanted
 */
export function plantOutcomes({ kitchen, f }: Pick<SimulatedCook, 'kitchen' | 'f'>): PlantOutcome[] {
  return kitchen.plants.map(({ kind, id, name, place, cookValue, inAt }, i) => {
    const wanted = kind === 'grain' ? 'cooked' : (f.plan.vegetables[i]?.texture ?? 'tender');
    if (place !== 'start' && place !== 'flavour-only' && stageOf(f.plan, place).kind === 'apart')
      return { name, wanted, was: wanted, off: 0 };
    if (place === 'flavour-only')
      return { name, wanted: say('plant-outcomes.fished-out'), was: say('plant-outcomes.fished-out'), off: 0 };
    if (inAt === null) return { name, wanted, was: say('plant-outcomes.left-out'), off: -1 };
    const was = kind === 'grain' ? grainTexture(id, cookValue) : vegetableTexture(id, cookValue);
    const order: readonly string[] = ORDER[kind];
    return { name, wanted, was, off: order.indexOf(was) - order.indexOf(wanted) };
  });
}
