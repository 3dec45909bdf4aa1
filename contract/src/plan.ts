import { say } from '@hervir/language/message';
import {
  ADDED_WHEN,
  APART_STEPS,
  AROMATIC_HOW,
  AROMATIC_THEN,
  BROTH_THEN,
  BODIES,
  BURNERS,
  COOKER_KINDS,
  CUTS,
  DEFAULT_COOKER,
  DEFAULT_KITCHEN,
  defaultLiquidMl,
  FORMS,
  forecast,
  GRAIN_LAYERS,
  GRAINS,
  HEATS,
  LIMITS,
  LIQUIDS,
  LAYERS,
  MARINADE_THEN,
  MEAT_DURING,
  OWN_STAGES,
  PLACES,
  portionsOf,
  COOK_AHEAD,
  PLAN_DEFAULTS,
  PlanError,
  planFromV1,
  RELEASES,
  RESOURCES,
  SALTINGS,
  SEAR_ORDERS,
  SEAR_PLACES,
  SEAR_SCHOOLS,
  SERVED_FROM,
  SIMMER_HEATS,
  STAGE_KINDS,
  STARTS,
  THAW_WAYS,
  WARM_WAYS,
  STRAININGS,
  TARGETS,
  TEXTURES,
  THICKENERS,
  TIMER_STARTS,
  usuallyBoneIn,
  VEGETABLES,
  type Cooker,
  type Form,
  type Plan,
  type PlanV1,
  type Range,
} from '@hervir/core';
import { z } from 'zod';
import { allowedWords, faultOfPlanError, faultsOf, type Fault, type Read } from './fault';

/** A number of a plan: finite and inside its range, with the range in the message. */
export function quantity(range: Range): z.ZodNumber {
  const error = allowedWords(say('plan.range', { min: String(range.min), max: String(range.max), unit: range.unit }));
  return z.number().min(range.min, { error }).max(range.max, { error });
}

export const whole = (range: Range): z.ZodNumber =>
  quantity(range).int({
    error: allowedWords(say('plan.whole-range', { min: String(range.min), max: String(range.max), unit: range.unit })),
  });

export const idOf = <T extends { readonly id: string }>(known: readonly T[]): z.ZodEnum<Record<string, string>> =>
  z.enum(known.map((item) => item.id));

/** Text a cook types: trimmed, of a sane length, without control characters. */
export function text(most: number, least = 0): z.ZodString {
  return z
    .string()
    .trim()
    .min(least, { error: allowedWords(say('plan.characters', { least, most })) })
    .max(most, { error: allowedWords(say('plan.characters', { least, most })) })

    .regex(/^[^\u0000-\u0008\u000b\u000c\u000e-\u001f]*$/, {
      error: allowedWords(say('plan.text-without-control-characters')),
    });
}

const WALL_CLOCK = allowedWords(say('plan.iso-8601-with-an-offset'));

/** A wall-clock time with its offset, of a year whose neighbours can be written in the same way. */
export const wallClock = z.iso
  .datetime({ offset: true, error: WALL_CLOCK, abort: true })
  .max(35)
  .regex(/^(19|2\d)\d\d-/, { error: WALL_CLOCK });

/** A cooker, every key optional; what is left out is that of a middling electric one. */
export const cookerSchema = z.strictObject({
  name: text(60, 1).default(DEFAULT_COOKER.name),
  kind: z.enum(COOKER_KINDS).default(DEFAULT_COOKER.kind),
  litres: quantity(LIMITS.litres).default(DEFAULT_COOKER.litres),
  baseDiameterCm: quantity(LIMITS.baseDiameterCm).default(DEFAULT_COOKER.baseDiameterCm),
  gaugeKPa: quantity(LIMITS.gaugeKPa).optional(),
  watts: quantity(LIMITS.watts).optional(),
  burner: z.enum(BURNERS).optional(),
  timerStarts: z.enum(TIMER_STARTS).optional(),
  minimumLiquidMl: quantity(LIMITS.minimumLiquidMl).default(DEFAULT_COOKER.minimumLiquidMl),
  burnCutoutC: quantity(LIMITS.burnCutoutC).optional(),
  sauteMinutes: quantity(LIMITS.sauteMinutes).optional(),
  keepWarmOff: z.boolean().default(DEFAULT_COOKER.keepWarmOff),
});

/** Stovetop pots differ from electric ones in more than a name; figures of common practice. */
const STOVETOP = { gaugeKPa: 100, watts: 2000, burner: 'gas', timerStarts: 'pin', burnCutoutC: 155 } as const;

/** Fills in what a cooker leaves out, by its kind. */
export function completeCooker(given: z.output<typeof cookerSchema>): Cooker {
  const usual = given.kind === 'stovetop' ? STOVETOP : DEFAULT_COOKER;
  return {
    ...given,
    gaugeKPa: given.gaugeKPa ?? usual.gaugeKPa,
    watts: given.watts ?? usual.watts,
    burner: given.burner ?? usual.burner,
    timerStarts: given.timerStarts ?? usual.timerStarts,
    burnCutoutC: given.burnCutoutC ?? usual.burnCutoutC,
  };
}

export const kitchenSchema = z.strictObject({
  altitudeM: quantity(LIMITS.altitudeM).default(DEFAULT_KITCHEN.altitudeM),
  roomC: quantity(LIMITS.roomC).default(DEFAULT_KITCHEN.roomC),
  airKPa: quantity(LIMITS.airKPa).optional(),
  prepFactor: quantity(LIMITS.prepFactor).optional(),
});

const stageId = text(40, 1);
/** What has an identity and a name of the cook's own. */
const named = { id: text(40, 1).optional(), name: text(80, 1).optional() };

const rubCore = { grams: quantity(LIMITS.rubGrams), sugar: z.boolean() };

const meatCore = {
  cut: idOf(CUTS),
  form: z.enum(FORMS),
  grams: quantity(LIMITS.meatGrams),
  trimGrams: quantity(LIMITS.trimGrams).default(0),
  boneIn: z.boolean().optional(),
  pieces: whole(LIMITS.pieces).optional(),
  thicknessCm: quantity(LIMITS.thicknessCm).optional(),
  startsFrom: z.enum(STARTS).default('fridge'),
  salted: z.enum(SALTINGS).default('just-before'),
  saltedMinutes: quantity(LIMITS.saltedMinutes).optional(),
  rub: z.strictObject(rubCore).nullable().default(null),
};

const marinadeCore = { ml: quantity(LIMITS.marinadeMl), hours: quantity(LIMITS.marinadeHours) };

const meatFields = {
  ...named,
  ...meatCore,
  marinade: z
    .strictObject({
      ...marinadeCore,
      then: z.enum(MARINADE_THEN),
      solidsGrams: quantity(LIMITS.ingredientGrams).optional(),
    })
    .nullable()
    .default(null),
  thaw: z.enum(THAW_WAYS).optional(),
  rub: z
    .strictObject({ ...rubCore, hours: quantity(LIMITS.marinadeHours).optional() })
    .nullable()
    .default(null),
  flourGrams: quantity(LIMITS.rubGrams).optional(),
  cutAfterSear: z.boolean().optional(),
};

const d = PLAN_DEFAULTS;

const learned = z.strictObject({
  factor: quantity(LIMITS.learntFactor),
  cooks: z.number().int().min(0).max(100_000),
  spread: quantity(LIMITS.learntSpread).optional(),
  short: z.number().int().min(0).max(100_000).optional(),
  past: z.number().int().min(0).max(100_000).optional(),
});

/** What a log has taught, as a plan carries it. */
const learntSchema = z.strictObject({
  heat: learned.optional(),
  losses: learned.optional(),
  sear: learned.optional(),
  toughness: learned.optional(),
  prep: learned.optional(),
});

const searCore = {
  school: z.enum(SEAR_SCHOOLS).default(d.sear.school),
  where: z.enum(SEAR_PLACES).default(d.sear.where),
  order: z.enum(SEAR_ORDERS).default(d.sear.order),
  batches: whole(LIMITS.batches).optional(),
};

const liquidCore = {
  liquid: idOf(LIQUIDS.filter((l) => l.kind === 'liquid' || l.kind === 'sauce')),
  ml: quantity(LIMITS.liquidMl),
  temperatureC: quantity(LIMITS.liquidC).default(20),
};

const additionCore = {
  ingredient: idOf(LIQUIDS),
  grams: quantity(LIMITS.ingredientGrams),
  apart: z.strictObject({ steps: z.array(z.enum(APART_STEPS)).max(5), swillMl: quantity(LIMITS.liquidMl) }).optional(),
};

const aromaticCore = {
  ingredient: text(60, 1),
  grams: quantity(LIMITS.ingredientGrams),
  then: z.enum(AROMATIC_THEN).optional(),
};

const vegetableCore = {
  vegetable: idOf(VEGETABLES),
  grams: quantity(LIMITS.ingredientGrams),
  sizeCm: quantity(LIMITS.vegetableCm).optional(),
  texture: z.enum(TEXTURES).default('tender'),
};

const grainCore = {
  grain: idOf(GRAINS),
  grams: quantity(LIMITS.ingredientGrams),
  layer: z.enum(GRAIN_LAYERS).optional(),
};

const releaseSchema = z.strictObject({
  method: z.enum(RELEASES).default(d.release.method),
  naturalMinutes: quantity(LIMITS.naturalMinutes).default(d.release.naturalMinutes),
});

const finishCore = {
  skim: z.boolean().default(d.finish.skim),
  blend: z.boolean().default(d.finish.blend),
  ladleOutMl: quantity(LIMITS.liquidMl).default(d.finish.ladleOutMl),
  reduce: z
    .union([z.literal('auto'), quantity(LIMITS.reduceMinutes)], { error: allowedWords(say('plan.auto-or-0-to-120')) })
    .default(d.finish.reduce),
  thickener: z.enum(THICKENERS).default(d.finish.thickener),
  body: z.enum(BODIES).default(d.finish.body),
  sauceMl: quantity(LIMITS.liquidMl).nullable().default(d.finish.sauceMl),
  restMinutes: quantity(LIMITS.restMinutes).default(d.finish.restMinutes),
};

/** What both versions say in the same words. */
const planCore = {
  format: z.literal('hervir/braise'),
  name: text(120).default(d.name),
  servings: whole(LIMITS.servings).default(d.servings),
  target: z.enum(TARGETS),
  confidence: quantity(LIMITS.confidence).default(d.confidence),
  cooker: cookerSchema.prefault({}),
  kitchen: kitchenSchema.prefault({}),
  deglaze: z
    .strictObject({
      liquid: idOf(LIQUIDS.filter((l) => l.deglazes)),
      ml: quantity(LIMITS.liquidMl),
      scraped: z.boolean().default(true),
    })
    .nullable()
    .default(d.deglaze),
  rack: z.boolean().default(d.rack),
  heat: z.enum(HEATS).default(d.heat),
  pressureMinutes: quantity(LIMITS.pressureMinutes).nullable().default(d.pressureMinutes),
  release: releaseSchema.prefault({}),
  sides: z
    .array(
      z.strictObject({
        name: text(60, 1),
        tasks: z
          .array(
            z.strictObject({
              label: text(120, 1),
              minutes: quantity(LIMITS.taskMinutes),
              handsOn: z.boolean(),
              resource: z.enum(RESOURCES),
            }),
          )
          .max(30),
      }),
    )
    .max(8)
    .default([]),
  cutLater: z.boolean().default(d.cutLater),
  moved: z.record(text(80, 1), quantity(LIMITS.movedMinutes)).default({}),
  learnt: learntSchema.optional(),
  serveAt: wallClock.nullable().default(d.serveAt),
};

/** A plan of version 1 as it was written: read for ever. */
export const planSchemaV1 = z.strictObject({
  ...planCore,
  version: z.literal(1),
  meat: z.strictObject({
    ...meatCore,
    marinade: z
      .strictObject({ ...marinadeCore, pouredIn: z.boolean() })
      .nullable()
      .default(null),
  }),
  sear: z.strictObject(searCore).prefault({}),
  liquids: z.array(z.strictObject(liquidCore)).max(12).optional(),
  additions: z
    .array(z.strictObject({ ...additionCore, when: z.enum(['stirred-in', 'on-top', 'after']) }))
    .max(20)
    .default([]),
  aromatics: z.array(z.strictObject(aromaticCore)).max(20).default([]),
  vegetables: z
    .array(z.strictObject({ ...vegetableCore, place: z.enum(PLACES).default('auto') }))
    .max(20)
    .default([]),
  grains: z
    .array(z.strictObject({ ...grainCore, place: z.enum(PLACES).default('auto') }))
    .max(8)
    .default([]),
  meatInSecondRun: z.enum(MEAT_DURING).default('out'),
  brothOutMl: quantity(LIMITS.liquidMl).default(0),
  finish: z.strictObject({ ...finishCore, strain: z.boolean().default(false) }).prefault({}),
});

const stageSchema = z.strictObject({
  id: stageId,
  kind: z.enum(STAGE_KINDS),
  name: text(60, 1).optional(),
  minutes: quantity(LIMITS.pressureMinutes).nullable().default(null),
  release: releaseSchema.optional(),
  heat: z.enum(SIMMER_HEATS).optional(),
  meat: z.enum(MEAT_DURING).default('out'),
  takeOutMl: quantity(LIMITS.liquidMl).default(0),
  broth: z.enum(BROTH_THEN).default('poured-over'),
});

/** A plan as it may be written: format "hervir/braise", version 2. */
export const planSchema = z.strictObject({
  ...planCore,
  version: z.literal(2),
  aheadDone: z.record(text(100, 1), wallClock).optional(),
  cookAhead: z
    .strictObject({
      hours: quantity(LIMITS.aheadHours).default(COOK_AHEAD.hours),
      depthCm: quantity(LIMITS.depthCm).default(COOK_AHEAD.depthCm),
      warm: z.enum(WARM_WAYS).default(COOK_AHEAD.warm),
    })
    .optional(),
  meat: z.strictObject(meatFields),
  otherMeats: z
    .array(z.strictObject({ ...meatFields, goesIn: stageId.default('start'), comesOut: stageId.default('end') }))
    .max(2)
    .default([]),
  sear: z
    .strictObject({
      ...searCore,
      faceMinutes: z.array(quantity(LIMITS.faceMinutes)).min(1).max(6).optional(),
      fatMl: quantity(LIMITS.panFatMl).optional(),
    })
    .prefault({}),
  liquids: z
    .array(z.strictObject({ ...named, ...liquidCore, frozen: z.boolean().optional(), stage: stageId.optional() }))
    .max(12)
    .optional(),
  additions: z
    .array(z.strictObject({ ...named, ...additionCore, when: z.enum(ADDED_WHEN), stage: stageId.optional() }))
    .max(20)
    .default([]),
  aromatics: z
    .array(
      z.strictObject({ ...named, ...aromaticCore, how: z.enum(AROMATIC_HOW).optional(), stage: stageId.optional() }),
    )
    .max(20)
    .default([]),
  vegetables: z
    .array(
      z.strictObject({
        ...named,
        ...vegetableCore,
        place: stageId.default('auto'),
        layer: z.enum(LAYERS).optional(),
      }),
    )
    .max(20)
    .default([]),
  grains: z
    .array(z.strictObject({ ...named, ...grainCore, place: stageId.default('auto') }))
    .max(8)
    .default([]),
  others: z
    .array(
      z.strictObject({
        id: text(40, 1).optional(),
        name: text(80, 1),
        grams: quantity(LIMITS.ingredientGrams),
        place: stageId.default('start'),
      }),
    )
    .max(12)
    .default([]),
  stages: z.array(stageSchema).max(6).default([]),
  waitsMinutes: quantity(LIMITS.waitsMinutes).default(d.waitsMinutes),
  finish: z
    .strictObject({
      ...finishCore,
      strain: z.enum(STRAININGS).default(d.finish.strain),
      meatBack: z.boolean().default(d.finish.meatBack),
      crisp: z.boolean().default(d.finish.crisp),
    })
    .prefault({}),
  servedFrom: z.enum(SERVED_FROM).default(d.servedFrom),
});

/** A plan as a file or a client may send it: most keys optional. */
export type PlanInput = z.input<typeof planSchema>;

/** What depends on other keys, the same in both versions: bone by cut, liquid by cooker, stovetop figures. */
const boned = <T extends { cut: string; form: Form; boneIn?: boolean | undefined }>(
  meat: T,
): T & { boneIn: boolean } => ({
  ...meat,
  boneIn: meat.boneIn ?? usuallyBoneIn(meat.cut, meat.form),
});

const usualLiquid = (cooker: Cooker): { liquid: string; ml: number; temperatureC: number }[] => [
  { liquid: 'stock', ml: defaultLiquidMl(cooker), temperatureC: 20 },
];

function completeV1(read: z.output<typeof planSchemaV1>): PlanV1 {
  const cooker = completeCooker(read.cooker);
  return { ...read, meat: boned(read.meat), cooker, liquids: read.liquids ?? usualLiquid(cooker) };
}

function complete(read: z.output<typeof planSchema>): Plan {
  const cooker = completeCooker(read.cooker);
  return {
    ...read,
    meat: boned(read.meat),
    otherMeats: read.otherMeats.map(boned),
    cooker,
    liquids: read.liquids ?? usualLiquid(cooker),
  };
}

/** Ids that name nothing: a stage that is not in the plan, a portion that is there twice. */
function strayIds(plan: Plan): Fault[] {
  const faults: Fault[] = [];
  const stages = new Set<string>([...OWN_STAGES, ...plan.stages.map(({ id }) => id)]);
  const known = [...stages].join(', ');
  const check = (path: string, stage: string | undefined, besides: readonly string[]): void => {
    if (stage === undefined || stages.has(stage) || besides.includes(stage)) return;
    faults.push({ path, problem: say('plan.there-is-no-stage', { stage }), allowed: [...besides, known].join(', ') });
  };
  const places = ['auto', 'start', 'flavour-only'];
  plan.vegetables.forEach(({ place }, i) => check(`vegetables[${i}].place`, place, places));
  plan.grains.forEach(({ place }, i) => check(`grains[${i}].place`, place, places));
  plan.others.forEach(({ place }, i) => check(`others[${i}].place`, place, ['start', 'end']));
  plan.liquids.forEach(({ stage }, i) => check(`liquids[${i}].stage`, stage, []));
  plan.additions.forEach(({ stage }, i) => check(`additions[${i}].stage`, stage, []));
  plan.aromatics.forEach(({ stage }, i) => check(`aromatics[${i}].stage`, stage, []));
  plan.otherMeats.forEach(({ goesIn, comesOut }, i) => {
    check(`otherMeats[${i}].goesIn`, goesIn, ['start']);
    check(`otherMeats[${i}].comesOut`, comesOut, ['end']);
  });
  plan.stages.forEach(({ id }, i) => {
    if (plan.stages.findIndex((stage) => stage.id === id) < i) {
      faults.push({
        path: `stages[${i}].id`,
        problem: say('plan.is-there-twice', { id }),
        allowed: say('plan.an-id-of-its-own'),
      });
    }
    if (['auto', 'start', 'end', 'flavour-only'].includes(id)) {
      faults.push({
        path: `stages[${i}].id`,
        problem: say('plan.is-the-name-of-a-place', { id }),
        allowed: say('plan.another-id'),
      });
    }
  });
  const seen = new Set<string>();
  for (const { id, path } of portionsOf(plan)) {
    if (seen.has(id))
      faults.push({
        path: `${path}.id`,
        problem: say('plan.is-there-twice', { id }),
        allowed: say('plan.an-id-of-its-own'),
      });
    seen.add(id);
  }
  return faults;
}

/** The newest version of a plan that is read, and the one that is written. */
const NEWEST = 2;
const VERSIONS = '1, 2';

/** Which of the documents this is, before anything else is said about it. */
const headSchema = z.looseObject({ format: z.unknown(), version: z.unknown() });

/**
 * Parses a plan without reckoning it: for what the server has stored, which was reckoned before it was kept.
 *
 * @param input anything: parsed JSON
 * @returns the complete plan, or every fault
 * @example parsePlan({}).ok // false
 */
export function parsePlan(input: unknown): Read<Plan> {
  const head = headSchema.safeParse(input);
  const version = head.success ? head.data.version : undefined;
  if (version !== undefined && version !== 1 && version !== NEWEST) {
    const newer = typeof version === 'number' && version > NEWEST;
    const problem = newer
      ? say('plan.is-newer-than-this-hervir', { version: String(version) })
      : say('fault.is-not-known', { shown: JSON.stringify(version) });
    return { ok: false, faults: [{ path: 'version', problem, allowed: VERSIONS }] };
  }
  if (version === 1) {
    const old = planSchemaV1.safeParse(input);
    return old.success
      ? { ok: true, value: planFromV1(completeV1(old.data)) }
      : { ok: false, faults: faultsOf(old.error, input) };
  }
  const parsed = planSchema.safeParse(input);
  if (!parsed.success) {
    const faults = faultsOf(parsed.error, input);
    return { ok: false, faults: faults.map((one) => (one.path === 'version' ? { ...one, allowed: VERSIONS } : one)) };
  }
  const plan = complete(parsed.data);
  const faults = strayIds(plan);
  return faults.length === 0 ? { ok: true, value: plan } : { ok: false, faults };
}

/**
 * Reads a plan that comes from outside. Every default is filled in; a plan that reads well but cannot be reckoned (a
 * thickness no piece of its weight can have, a heater too weak for its pot) is refused with its field.
 *
 * @param input anything: parsed JSON, a request's body
 * @returns the complete plan, or every fault
 * @example readPlan({ format: 'hervir/braise', version: 2, target: 'fork', meat: { cut: 'goat-neck', form: 'slices', grams: 1600 } }).ok // true
 */
export function readPlan(input: unknown): Read<Plan> {
  const parsed = parsePlan(input);
  if (!parsed.ok) return parsed;
  try {
    forecast(parsed.value);
  } catch (error) {
    if (error instanceof PlanError) return { ok: false, faults: [faultOfPlanError(error)] };
    throw error;
  }
  return parsed;
}
