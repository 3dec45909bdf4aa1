import { say, type Text } from '@hervir/language/message';
import { meatsOf } from '../plan/meats';
import { liquidById } from '../catalog/liquids';
import type { Plan, StageId } from '../plan/plan';
import { portionsOf, type Portion, type PortionId, type PortionKind } from '../plan/portions';

/** When something goes into the pot. */
export type ChargeStage = 'fried' | 'deglaze' | 'load' | 'on-top' | 'later' | 'after';

/** Something that goes into the pot besides meat, vegetables and grains. */
export interface Charge {
  readonly portion: PortionId;
  readonly stage: ChargeStage;
  /** Of what goes in later: the stage it goes in at. */
  readonly at: StageId | null;
  /** As a cook would call it, lower case. */
  readonly what: Text;
  /** Where it stands in the plan, for remedies. */
  readonly from: 'deglaze' | 'liquids' | 'additions' | 'marinade' | 'swill' | 'flour';
  readonly index: number;
  /** Room it takes, ml. */
  readonly volumeMl: number;
  /** Its water: free liquid once it is stirred in. */
  readonly waterMl: number;
  /** What keeps the liquid from moving, as grams of cornstarch; counts only for what is stirred in. */
  readonly starchG: number;
  /** What of it binds a finished sauce, grams of cornstarch. */
  readonly bindsG: number;
  readonly temperatureC: number;
}

/** What comes from the fridge, °C. Common practice. */
const FRIDGE_C = 5;
/** What lay on top through a run has melted into the liquid by half when the next lid goes on. From memory. */
export const MELTED_IN = 0.5;
/** A marinade is mostly water. Common practice. */
const MARINADE_WATER = 0.9;
/** What is thick or sugary weighs a little more than water. Common practice. */
const THICK_DENSITY = 1.1;

/**
 * All that is poured, spooned and strewn in, and when. One list for the pot's heat, the ledger, the fill and the base.
 *
 * @param plan its deglazing, liquids, marinade and additions
 * @returns in the order they go in
 * @throws RangeError for something that is not in the catalog
 * @example chargesOf(plan).map((charge) => charge.stage).join(' ') // 'deglaze load'
 */
export function chargesOf(plan: Plan): Charge[] {
  return portionsOf(plan)
    .flatMap((portion) => chargeOf(plan, portion) ?? [])
    .sort((a, b) => STAGES.indexOf(a.stage) - STAGES.indexOf(b.stage) || rank(a) - rank(b));
}

/** What goes into the hot pot first stands first. */
const STAGES: readonly ChargeStage[] = ['fried', 'deglaze', 'load', 'on-top', 'later', 'after'];
/** Flour goes onto the meat before anything is poured; a marinade follows the liquid; the blender is rinsed after its sauce. */
const FROM: readonly (readonly Charge['from'][])[] = [
  ['flour'],
  ['deglaze', 'liquids'],
  ['marinade'],
  ['additions', 'swill'],
];
const rank = ({ from }: Charge): number => FROM.findIndex((some) => some.includes(from));

type Figures = Pick<Charge, 'stage' | 'at' | 'from' | 'volumeMl' | 'waterMl' | 'starchG' | 'bindsG'>;

/** How a kind of portion goes into the pot; null for what is no liquid, paste or powder. */
const AS_CHARGE: Readonly<Partial<Record<PortionKind, (plan: Plan, portion: Portion) => Figures | null>>> = {
  marinade: (plan, { index, ml }) => {
    const then = meatsOf(plan)[index]?.marinade?.then;
    if (then === undefined || then === 'thrown') return null;
    const stage = then === 'boiled' ? 'deglaze' : 'load';
    const volumeMl = ml ?? 0;
    return { stage, at: null, from: 'marinade', volumeMl, waterMl: volumeMl * MARINADE_WATER, starchG: 0, bindsG: 0 };
  },
  flour: (_, { grams }) => {
    const { waterShare, starchEquivalent, binds } = liquidById('flour');
    const g = grams ?? 0;
    return {
      stage: 'load',
      at: null,
      from: 'flour',
      volumeMl: g / THICK_DENSITY,
      waterMl: g * waterShare,
      starchG: g * starchEquivalent,
      bindsG: g * binds,
    };
  },
  deglaze: (_, portion) => poured('deglaze', null, 'deglaze', portion),
  liquid: ({ liquids }, portion) => {
    const at = liquids[portion.index]?.stage ?? null;
    return poured(at === null ? 'load' : 'later', at, 'liquids', portion);
  },
  swill: (_, portion) => poured('load', null, 'swill', portion),
  addition: ({ additions }, { index, food, grams }) => {
    const { when = 'stirred-in', stage = null } = additions[index] ?? {};
    const { waterShare, starchEquivalent, binds } = liquidById(food ?? '');
    const g = grams ?? 0;
    return {
      stage: stage !== null ? 'later' : when === 'stirred-in' ? 'load' : when,
      at: stage,
      from: 'additions',
      volumeMl: g / THICK_DENSITY,
      // What is fried leaves its water in the air.
      waterMl: when === 'fried' ? 0 : g * waterShare,
      starchG: g * starchEquivalent,
      bindsG: g * binds,
    };
  },
};

function poured(stage: ChargeStage, at: StageId | null, from: Charge['from'], { food, ml }: Portion): Figures {
  const { waterShare, starchEquivalent, binds } = liquidById(food ?? '');
  const volumeMl = ml ?? 0;
  return {
    stage,
    at,
    from,
    volumeMl,
    waterMl: volumeMl * waterShare,
    starchG: volumeMl * starchEquivalent,
    bindsG: volumeMl * binds,
  };
}

function chargeOf(plan: Plan, portion: Portion): Charge | null {
  const figures = AS_CHARGE[portion.kind]?.(plan, portion);
  if (!figures) return null;
  const temperatureC = portion.kind === 'marinade' ? FRIDGE_C : portion.celsius;
  return {
    ...figures,
    portion: portion.id,
    what: portion.kind === 'marinade' ? say('charge.marinade') : portion.name,
    index: portion.index,
    temperatureC,
  };
}
