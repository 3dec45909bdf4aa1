import { type Form } from '../larder/cuts';
import { BODIES, THICKENERS } from '../larder/thickeners';

export { BODIES, THICKENERS };

/** What the meat should be like on the plate. */
export const TARGETS = ['slices', 'fork', 'pulls'] as const;
export type Target = (typeof TARGETS)[number];

export const STARTS = ['fridge', 'room', 'frozen'] as const;
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
export const ADDED_WHEN = ['stirred-in', 'on-top', 'after'] as const;
/** What is done to a sauce made apart, in order. */
export const APART_STEPS = ['toast', 'soak', 'saute', 'blend', 'strain'] as const;
export type ApartStep = (typeof APART_STEPS)[number];
/** What becomes of an aromatic after its sauté. */
export const AROMATIC_THEN = ['stays', 'set-aside', 'fish-out'] as const;
/** Where dry grain lies: levelled over the rest, or stirred down to the base. */
export const GRAIN_LAYERS = ['on-top', 'stirred-in'] as const;
export const TEXTURES = ['crisp', 'tender', 'soft', 'into-the-sauce'] as const;
export const PLACES = ['auto', 'start', 'second-run', 'simmer', 'off-heat', 'folded-in', 'flavour-only'] as const;
export const MEAT_IN_SECOND_RUN = ['out', 'in'] as const;
export const RELEASES = ['natural', 'quick', 'natural-then-quick'] as const;
export type ReleaseMethod = (typeof RELEASES)[number];
export const RESOURCES = ['board', 'hands', 'pot', 'side-burner'] as const;
export type Resource = (typeof RESOURCES)[number];

/** The meat of a plan. Weights in grams, thickness in cm. */
export interface Meat {
  cut: string;
  form: Form;
  grams: number;
  trimGrams: number;
  boneIn: boolean;
  pieces?: number | undefined;
  thicknessCm?: number | undefined;
  startsFrom: StartsFrom;
  salted: (typeof SALTINGS)[number];
  /** Minutes from salting to the sear, where it is salted ahead; a night when nothing is said. */
  saltedMinutes?: number | undefined;
  marinade: { ml: number; hours: number; pouredIn: boolean } | null;
  rub: { grams: number; sugar: boolean } | null;
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
}

/** Something thick, sweet or creamy, and when it goes in. */
export interface Addition {
  ingredient: string;
  grams: number;
  when: (typeof ADDED_WHEN)[number];
  /** Made in its own pan and blender first; the swill is what rinses the blender into the pot. */
  apart?: { steps: ApartStep[]; swillMl: number } | undefined;
}

export interface Aromatic {
  ingredient: string;
  grams: number;
  then?: (typeof AROMATIC_THEN)[number] | undefined;
}

export interface PouredLiquid {
  liquid: string;
  ml: number;
  temperatureC: number;
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

/** One thing a kitchen has taught: a factor on the table's figure, and how many cooks it rests on. */
export interface Learned {
  readonly factor: number;
  readonly cooks: number;
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
  version: 1;
  name: string;
  servings: number;
  target: Target;
  /** Wanted chance of being at or past the target. */
  confidence: number;
  meat: Meat;
  cooker: Cooker;
  kitchen: Kitchen;
  sear: Sear;
  deglaze: { liquid: string; ml: number; scraped: boolean } | null;
  liquids: PouredLiquid[];
  additions: Addition[];
  aromatics: Aromatic[];
  vegetables: {
    vegetable: string;
    grams: number;
    sizeCm?: number | undefined;
    texture: (typeof TEXTURES)[number];
    place: (typeof PLACES)[number];
  }[];
  grains: {
    grain: string;
    grams: number;
    place: (typeof PLACES)[number];
    layer?: (typeof GRAIN_LAYERS)[number] | undefined;
  }[];
  rack: boolean;
  heat: (typeof HEATS)[number];
  meatInSecondRun: (typeof MEAT_IN_SECOND_RUN)[number];
  /** Taken out before a second run, to be poured over later, ml. */
  brothOutMl: number;
  /** Null: Hervir proposes. A number: the cook's own. */
  pressureMinutes: number | null;
  release: Release;
  finish: {
    strain: boolean;
    skim: boolean;
    blend: boolean;
    ladleOutMl: number;
    reduce: 'auto' | number;
    thickener: (typeof THICKENERS)[number];
    body: (typeof BODIES)[number];
    sauceMl: number | null;
    restMinutes: number;
  };
  sides: { name: string; tasks: SideTask[] }[];
  /** What goes in after the first opening is cut while the pot works, on a washed board, not before the meat. */
  cutLater: boolean;
  /** Tasks of the clock that the cook does earlier than need be, minutes by the task's id. */
  moved: Record<string, number>;
  /** What was learnt from the log when it was reckoned; nothing when nothing is said. */
  learnt?: LearntFactors | undefined;
  /** ISO 8601 with offset, or null: minutes then count from the start. */
  serveAt: string | null;
}
