import { type Form } from '../catalog/cuts';
import { BODIES, THICKENERS } from '../catalog/thickeners';

export { BODIES, THICKENERS };

/** What the meat should be like on the plate. */
export const TARGETS = ['slices', 'fork', 'pulls', 'shreds'] as const;
export type Target = (typeof TARGETS)[number];

/** Whether the meat is meant to be taken apart with two forks, and not cut. */
export const isPulled = (target: Target): boolean => target === 'pulls' || target === 'shreds';

export const STARTS = ['fridge', 'room', 'frozen'] as const;
/** How what lies in the freezer is thawed before the evening. */
export const THAW_WAYS = ['fridge', 'cold-water'] as const;
export type ThawWay = (typeof THAW_WAYS)[number];
export type StartsFrom = (typeof STARTS)[number];

export const SALTINGS = ['ahead', 'just-before', 'no'] as const;
export const COOKER_KINDS = ['electric', 'stovetop'] as const;
export type CookerKind = (typeof COOKER_KINDS)[number];
export const BURNERS = ['gas', 'electric'] as const;
export const TIMER_STARTS = ['pressure', 'pin'] as const;
export const SEAR_SCHOOLS = ['hard', 'quick', 'light', 'none'] as const;
export type SearSchool = (typeof SEAR_SCHOOLS)[number];
export const SEAR_PLACES = ['pot', 'pan'] as const;
export const SEAR_ORDERS = ['meat-first', 'onion-first'] as const;
/** How hot the heater is on the way to pressure: all it has, or turned down where the cooker allows. */
export const HEATS = ['full', 'medium'] as const;
/** Fried with the onion, stirred into the liquid, laid on top and left, or stirred in when the pressure is over. */
export const ADDED_WHEN = ['fried', 'stirred-in', 'on-top', 'after'] as const;
/** What is done to a sauce made apart, in order. */
export const APART_STEPS = ['toast', 'soak', 'saute', 'blend', 'strain'] as const;
export type ApartStep = (typeof APART_STEPS)[number];
/** How an aromatic goes in: into the hot fat, before the meat, beside it in its batch, or raw with the liquid. */
export const AROMATIC_HOW = ['fried', 'fried-first', 'with-meat', 'raw'] as const;
/** What becomes of an aromatic after its sauté. */
export const AROMATIC_THEN = ['stays', 'set-aside', 'fish-out'] as const;
/** Where dry grain lies: levelled over the rest, or stirred down to the base. */
export const GRAIN_LAYERS = ['on-top', 'stirred-in'] as const;
export const TEXTURES = ['crisp', 'tender', 'soft', 'into-the-sauce'] as const;
/** The stages that Hervir may make of its own accord, by their ids. */
export const OWN_STAGES = ['second-run', 'simmer', 'off-heat', 'folded-in'] as const;
/** Where a vegetable or a grain goes that every plan has; besides them, any stage of the plan by its id. */
export const PLACES = ['auto', 'start', ...OWN_STAGES, 'flavour-only'] as const;
/** What a stage is: the lid locked again, the lid off and the pot hot, the heat off, or a pan of its own. */
export const STAGE_KINDS = ['pressure', 'simmer', 'off-heat', 'apart'] as const;
export type StageKind = (typeof STAGE_KINDS)[number];
export const SIMMER_HEATS = ['gentle', 'hard'] as const;
/** Whether the meat is in the pot during a stage, or waits under foil. */
export const MEAT_DURING = ['out', 'in'] as const;
/** What becomes of the broth that is taken out before a stage. */
export const BROTH_THEN = ['poured-over', 'kept', 'thrown'] as const;
/** What becomes of a marinade: thrown away, poured in with the liquid, or boiled in the sauté before the meat. */
export const MARINADE_THEN = ['thrown', 'poured-in', 'boiled'] as const;
/** What becomes of the solids when the sauce is strained. */
export const STRAININGS = ['no', 'thrown', 'kept', 'put-back'] as const;
/** Where a vegetable that is in from the start lies. */
export const LAYERS = ['on-top', 'under'] as const;
export const SERVED_FROM = ['plate', 'pot'] as const;
export const RELEASES = ['natural', 'quick', 'natural-then-quick'] as const;
export type ReleaseMethod = (typeof RELEASES)[number];
/** How what was cooked ahead is warmed on its day: in a pot on the hob, covered in the oven, or under pressure. */
export const WARM_WAYS = ['stove', 'oven', 'pressure'] as const;
export type WarmWay = (typeof WARM_WAYS)[number];
export const RESOURCES = ['board', 'hands', 'pot', 'side-burner'] as const;
export type Resource = (typeof RESOURCES)[number];

/** A stage of a plan, by its id: the cook's own, or one of {@link OWN_STAGES}. */
export type StageId = string;

/** What has an identity in a plan: a portion by which the method, the guide and the log speak of it. */
export interface Named {
  /** Chosen by whoever made it; one that is left out is made from where it stands. */
  id?: string | undefined;
  /** The cook's own name for it; the catalog's when nothing is said. */
  name?: string | undefined;
}

/** The meat of a plan. Weights in grams, thickness in cm. */
export interface Meat extends Named {
  cut: string;
  form: Form;
  grams: number;
  trimGrams: number;
  boneIn: boolean;
  pieces?: number | undefined;
  thicknessCm?: number | undefined;
  startsFrom: StartsFrom;
  /** It lies in the freezer now, and is thawed before the evening; fresh when nothing is said. */
  thaw?: ThawWay | undefined;
  salted: (typeof SALTINGS)[number];
  /** Minutes from salting to the sear, where it is salted ahead; a night when nothing is said. */
  saltedMinutes?: number | undefined;
  marinade: {
    ml: number;
    hours: number;
    then: (typeof MARINADE_THEN)[number];
    /** Onion, ginger, herbs in it, g: they go where it goes. */
    solidsGrams?: number | undefined;
  } | null;
  rub: {
    grams: number;
    sugar: boolean;
    /** Left on before the evening, in the fridge; put on at the board when nothing is said. */
    hours?: number | undefined;
  } | null;
  /** Flour stirred onto the seared meat before the liquid, g. */
  flourGrams?: number | undefined;
  /** Seared whole, and cut to its form afterwards. */
  cutAfterSear?: boolean | undefined;
}

/** A further cut in the same pot. */
export interface OtherMeat extends Meat {
  /** The stage it goes in at; "start" for the first lid. */
  goesIn: StageId;
  /** The stage before which it is lifted out; "end" where it stays. */
  comesOut: StageId;
}

/** A pressure cooker as its owner knows it. */
export interface Cooker {
  name: string;
  kind: CookerKind;
  litres: number;
  baseDiameterCm: number;
  gaugeKPa: number;
  watts: number;
  /** Stovetop only: what stands under it. */
  burner: (typeof BURNERS)[number];
  /** When the minutes begin to count: at working pressure, or when the pin or ring shows. */
  timerStarts: (typeof TIMER_STARTS)[number];
  minimumLiquidMl: number;
  burnCutoutC: number;
  /** Minutes after which the sauté ends by itself, where it does. */
  sauteMinutes?: number | undefined;
  /** True where keep-warm is switched off before the release. */
  keepWarmOff: boolean;
}

/** Where the cooking is done. */
export interface Kitchen {
  altitudeM: number;
  roomC: number;
  /** A measured air pressure, kPa; overrules the altitude. */
  airKPa?: number | undefined;
  /** The cook's minutes at the board, as a multiple of the usual: 1.5 for who takes half as long again; 1 when nothing is said. */
  prepFactor?: number | undefined;
}

export interface Sear {
  school: SearSchool;
  where: (typeof SEAR_PLACES)[number];
  order: (typeof SEAR_ORDERS)[number];
  /** The cook's own number of batches; Hervir's when nothing is said. */
  batches?: number | undefined;
  /** The cook's own minutes of each face, one after the other; Hervir's when nothing is said. */
  faceMinutes?: number[] | undefined;
  /** Fat for the pan, ml; all of it is in what is skimmed. */
  fatMl?: number | undefined;
}

/** Something thick, sweet or creamy, and when it goes in. */
export interface Addition extends Named {
  ingredient: string;
  grams: number;
  when: (typeof ADDED_WHEN)[number];
  /** The stage it is stirred in at; with the first liquid where nothing is said. */
  stage?: StageId | undefined;
  /** Made in its own pan and blender first; the swill is what rinses the blender into the pot. */
  apart?: { steps: ApartStep[]; swillMl: number } | undefined;
}

export interface Aromatic extends Named {
  ingredient: string;
  grams: number;
  /** Fried when nothing is said. */
  how?: (typeof AROMATIC_HOW)[number] | undefined;
  /** The stage it goes in at, raw; with the others where nothing is said. */
  stage?: StageId | undefined;
  then?: (typeof AROMATIC_THEN)[number] | undefined;
}

export interface PouredLiquid extends Named {
  liquid: string;
  ml: number;
  temperatureC: number;
  /** It lies in the freezer now, and is thawed before the evening. */
  frozen?: boolean | undefined;
  /** The stage it is poured at; before the first lid where nothing is said. */
  stage?: StageId | undefined;
}

/** A vegetable, how it should come out, and where it goes. */
export interface PlannedVegetable extends Named {
  vegetable: string;
  grams: number;
  sizeCm?: number | undefined;
  texture: (typeof TEXTURES)[number];
  /** One of {@link PLACES}, or a stage of the plan. */
  place: StageId;
  /** Of what is in from the start: over the meat, or under it. */
  layer?: (typeof LAYERS)[number] | undefined;
}

/** A grain, a pulse or noodles, and where it goes. */
export interface PlannedGrain extends Named {
  grain: string;
  grams: number;
  /** One of {@link PLACES}, or a stage of the plan. */
  place: StageId;
  layer?: (typeof GRAIN_LAYERS)[number] | undefined;
}

/** Something the catalog does not know, by the cook's own name. */
export interface OwnThing {
  id?: string | undefined;
  name: string;
  grams: number;
  /** Where it goes in: "start" with the first liquid, a stage, or "end" at the very last. */
  place: StageId;
}

/** A stage after the first run, as the cook wants it. One with nothing in it and no minutes of its own is not done. */
export interface PlannedStage {
  id: StageId;
  kind: StageKind;
  name?: string | undefined;
  /** Null: Hervir's. */
  minutes: number | null;
  /** Of a run under pressure; quick when nothing is said. */
  release?: Release | undefined;
  /** Of a simmer; gentle when nothing is said. */
  heat?: (typeof SIMMER_HEATS)[number] | undefined;
  meat: (typeof MEAT_DURING)[number];
  /** Broth taken out before it, ml. */
  takeOutMl: number;
  broth: (typeof BROTH_THEN)[number];
}

export interface Release {
  method: ReleaseMethod;
  naturalMinutes: number;
}

export interface SideTask {
  label: string;
  minutes: number;
  handsOn: boolean;
  resource: Resource;
}

/** Cooked before it is eaten: cooled, kept in the fridge, and warmed through in time for the meal. */
export interface CookAhead {
  /** From when it is in the fridge until it is on the table, hours. */
  hours: number;
  /** Deep in its containers, cm. */
  depthCm: number;
  warm: WarmWay;
}

/** One thing a kitchen has taught: a factor on the table's figure, and how many cooks it rests on. */
export interface Learned {
  /** On the figure of the tables; 1 where it is as they say. */
  readonly factor: number;
  readonly cooks: number;
  /** How far the next cook may be from it, standard deviation of the logarithm; absent in plans of before. */
  readonly spread?: number | undefined;
  /** Toughness only: how many of them came out short of what was wanted, and past it. */
  readonly short?: number | undefined;
  readonly past?: number | undefined;
}

/** What a kitchen has taught, for one plan; what nothing was learnt of is absent. */
export interface LearntFactors {
  /** Heat that reaches the pot. */
  heat?: Learned | undefined;
  /** Losses of the lidded pot. */
  losses?: Learned | undefined;
  /** Minutes of a sear. */
  sear?: Learned | undefined;
  /** Toughness of the cut. */
  toughness?: Learned | undefined;
  /** Minutes at the board. */
  prep?: Learned | undefined;
}

/** A braise as the cook plans it, every default filled in. The contract workspace reads and checks it. */
export interface Plan {
  format: 'hervir/braise';
  version: 2;
  name: string;
  servings: number;
  target: Target;
  /** Wanted chance of being at or past the target. */
  confidence: number;
  /** The first cut: it sets the target and the minutes. */
  meat: Meat;
  /** Up to two further cuts in the same pot. */
  otherMeats: OtherMeat[];
  cooker: Cooker;
  kitchen: Kitchen;
  sear: Sear;
  deglaze: { liquid: string; ml: number; scraped: boolean } | null;
  liquids: PouredLiquid[];
  additions: Addition[];
  aromatics: Aromatic[];
  vegetables: PlannedVegetable[];
  grains: PlannedGrain[];
  /** What the catalog does not know. */
  others: OwnThing[];
  rack: boolean;
  heat: (typeof HEATS)[number];
  /** What follows the first run, in order; Hervir adds stages of its own for what is left to it. */
  stages: PlannedStage[];
  /** Minutes that raw meat waits in the pot before it begins: a delayed start. */
  waitsMinutes: number;
  /** Null: Hervir proposes. A number: the cook's own. */
  pressureMinutes: number | null;
  release: Release;
  finish: {
    strain: (typeof STRAININGS)[number];
    skim: boolean;
    blend: boolean;
    ladleOutMl: number;
    reduce: 'auto' | number;
    thickener: (typeof THICKENERS)[number];
    body: (typeof BODIES)[number];
    sauceMl: number | null;
    restMinutes: number;
    /** Pulled, and back in before the sauce is reduced over it. */
    meatBack: boolean;
    /** Shreds crisped under the grill. */
    crisp: boolean;
  };
  /** Eaten from the plate, or a dish that is eaten from the pot. */
  servedFrom: (typeof SERVED_FROM)[number];
  sides: { name: string; tasks: SideTask[] }[];
  /** What goes in after the first opening is cut while the pot works, on a washed board, not before the meat. */
  cutLater: boolean;
  /** Tasks of the clock that the cook does earlier than need be, minutes by the task's id. */
  moved: Record<string, number>;
  /** What of the days before is done, and when, ISO 8601, by the task's id. */
  aheadDone?: Record<string, string> | undefined;
  /** What was learnt from the log when it was reckoned; nothing when nothing is said. */
  learnt?: LearntFactors | undefined;
  /** Cooked a day or so before it is eaten; the same day when nothing is said. */
  cookAhead?: CookAhead | undefined;
  /** When it is eaten, ISO 8601 with offset, or null: minutes then count from the start. */
  serveAt: string | null;
}
