import { cutById, type Form } from '../catalog/cuts';
import type { Cooker, Kitchen, Plan } from './plan';

/** The pot taken when a plan names none: a middling electric one. Common practice of the trade, no one's product. */
export const DEFAULT_COOKER: Cooker = {
  name: 'Electric pot',
  kind: 'electric',
  litres: 5.7,
  baseDiameterCm: 21.5,
  gaugeKPa: 72,
  watts: 1000,
  burner: 'electric',
  timerStarts: 'pressure',
  minimumLiquidMl: 250,
  burnCutoutC: 150,
  keepWarmOff: true,
};

export const DEFAULT_KITCHEN: Kitchen = { altitudeM: 0, roomC: 20 };

/** What a plan may leave out: all but target, cut, form and weight. */
export const PLAN_DEFAULTS = {
  name: '',
  servings: 4,
  confidence: 0.8,
  sear: { school: 'hard', where: 'pot', order: 'meat-first' },
  deglaze: { liquid: 'stock', ml: 120, scraped: true },
  additions: [],
  aromatics: [],
  vegetables: [],
  grains: [],
  rack: false,
  heat: 'full',
  others: [],
  stages: [],
  waitsMinutes: 0,
  pressureMinutes: null,
  release: { method: 'natural-then-quick', naturalMinutes: 15 },
  finish: {
    strain: 'no',
    skim: true,
    blend: false,
    ladleOutMl: 0,
    reduce: 'auto',
    thickener: 'none',
    body: 'light',
    sauceMl: null,
    restMinutes: 10,
    meatBack: false,
    crisp: false,
  },
  servedFrom: 'plate',
  sides: [],
  cutLater: false,
  moved: {},
  serveAt: null,
} as const;

/**
 * Liquid taken when a plan names none: the cooker's minimum and a cup's half over, so that the purge does not bring it
 * under. Common practice.
 *
 * @returns ml of stock
 * @example defaultLiquidMl({ ...DEFAULT_COOKER, minimumLiquidMl: 250 }) // 400
 */
export function defaultLiquidMl(cooker: Pick<Cooker, 'minimumLiquidMl'>): number {
  return Math.round((cooker.minimumLiquidMl + 150) / 50) * 50;
}

/**
 * Whether a cut is cooked on its bone when a plan does not say.
 *
 * @example usuallyBoneIn('beef-oxtail') // true
 */
export function usuallyBoneIn(cutId: string, form: Form): boolean {
  const cut = cutById(cutId);
  if (cut.boneShare === 0) return false;
  // Nobody cuts cubes on the bone at home, except where the butcher sells them so.
  return form !== 'chunks' && form !== 'bite-size';
}

/**
 * A new plan from what the sentence on Tonight asks, everything else at its default.
 *
 * @example newPlan({ cut: 'goat-neck', form: 'slices', grams: 1600 }).meat.boneIn // true
 */
export function newPlan(
  asked: { cut: string; form: Form; grams: number } & Partial<
    Pick<Plan, 'cooker' | 'kitchen' | 'serveAt' | 'target' | 'name'>
  >,
): Plan {
  const cooker = asked.cooker ?? DEFAULT_COOKER;
  return {
    format: 'hervir/braise',
    version: 2,
    ...structuredCloneOf(PLAN_DEFAULTS),
    target: asked.target ?? 'fork',
    name: asked.name ?? '',
    meat: {
      cut: asked.cut,
      form: asked.form,
      grams: asked.grams,
      trimGrams: 0,
      boneIn: usuallyBoneIn(asked.cut, asked.form),
      startsFrom: 'fridge',
      salted: 'just-before',
      marinade: null,
      rub: null,
    },
    otherMeats: [],
    cooker,
    kitchen: asked.kitchen ?? DEFAULT_KITCHEN,
    liquids: [{ liquid: 'stock', ml: defaultLiquidMl(cooker), temperatureC: 20 }],
    serveAt: asked.serveAt ?? null,
  };
}

type Mutable<T> = T extends readonly never[] ? [] : T extends object ? { -readonly [K in keyof T]: Mutable<T[K]> } : T;

/** The defaults are shared constants; a plan owns its parts. */
function structuredCloneOf<T>(value: T): Mutable<T> {
  return JSON.parse(JSON.stringify(value)) as Mutable<T>;
}
