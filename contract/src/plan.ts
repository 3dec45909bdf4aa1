import {
  ADDED_WHEN,
  APART_STEPS,
  AROMATIC_THEN,
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
  MEAT_IN_SECOND_RUN,
  PLACES,
  PLAN_DEFAULTS,
  PlanError,
  RELEASES,
  RESOURCES,
  SALTINGS,
  SEAR_ORDERS,
  SEAR_PLACES,
  SEAR_SCHOOLS,
  STARTS,
  TARGETS,
  TEXTURES,
  THICKENERS,
  TIMER_STARTS,
  usuallyBoneIn,
  VEGETABLES,
  type Cooker,
  type Kitchen,
  type Plan,
  type Range,
} from '@hervir/core';
import { z } from 'zod';
import { ALLOWED, faultOfPlanError, faultsOf, type Read } from './fault';

/** A number of a plan: finite and inside its range, with the range in the message. */
export function quantity(range: Range): z.ZodNumber {
  const error = `${ALLOWED}${range.min} to ${range.max}${range.unit === '' ? '' : ` ${range.unit}`}`;
  return z.number().min(range.min, { error }).max(range.max, { error });
}

const whole = (range: Range): z.ZodNumber =>
  quantity(range).int({ error: `${ALLOWED}a whole number, ${range.min} to ${range.max} ${range.unit}` });

const idOf = <T extends { readonly id: string }>(known: readonly T[]): z.ZodEnum<Record<string, string>> =>
  z.enum(known.map((item) => item.id));

/** Text a cook types: trimmed, of a sane length, without control characters. */
export function text(most: number, least = 0): z.ZodString {
  return z
    .string()
    .trim()
    .min(least, { error: `${ALLOWED}${least} to ${most} characters` })
    .max(most, { error: `${ALLOWED}${least} to ${most} characters` })

    .regex(/^[^\u0000-\u0008\u000b\u000c\u000e-\u001f]*$/, { error: `${ALLOWED}text without control characters` });
}

const WALL_CLOCK = `${ALLOWED}ISO 8601 with an offset, years 1900 to 2999, for instance 2027-01-17T19:00:00+01:00`;

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

const meatSchema = z.strictObject({
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
  marinade: z
    .strictObject({ ml: quantity(LIMITS.marinadeMl), hours: quantity(LIMITS.marinadeHours), pouredIn: z.boolean() })
    .nullable()
    .default(null),
  rub: z
    .strictObject({ grams: quantity(LIMITS.rubGrams), sugar: z.boolean() })
    .nullable()
    .default(null),
});

const d = PLAN_DEFAULTS;

const learned = z.strictObject({
  factor: quantity(LIMITS.learntFactor),
  cooks: z.number().int().min(0).max(100_000),
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

/** A plan as it may be written: format "hervir/braise", version 1. */
export const planSchema = z.strictObject({
  format: z.literal('hervir/braise'),
  version: z.literal(1),
  name: text(120).default(d.name),
  servings: whole(LIMITS.servings).default(d.servings),
  target: z.enum(TARGETS),
  confidence: quantity(LIMITS.confidence).default(d.confidence),
  meat: meatSchema,
  cooker: cookerSchema.prefault({}),
  kitchen: kitchenSchema.prefault({}),
  sear: z
    .strictObject({
      school: z.enum(SEAR_SCHOOLS).default(d.sear.school),
      where: z.enum(SEAR_PLACES).default(d.sear.where),
      order: z.enum(SEAR_ORDERS).default(d.sear.order),
      batches: whole(LIMITS.batches).optional(),
    })
    .prefault({}),
  deglaze: z
    .strictObject({
      liquid: idOf(LIQUIDS.filter((l) => l.deglazes)),
      ml: quantity(LIMITS.liquidMl),
      scraped: z.boolean().default(true),
    })
    .nullable()
    .default(d.deglaze),
  liquids: z
    .array(
      z.strictObject({
        liquid: idOf(LIQUIDS.filter((l) => l.kind === 'liquid' || l.kind === 'sauce')),
        ml: quantity(LIMITS.liquidMl),
        temperatureC: quantity(LIMITS.liquidC).default(20),
      }),
    )
    .max(12)
    .optional(),
  additions: z
    .array(
      z.strictObject({
        ingredient: idOf(LIQUIDS),
        grams: quantity(LIMITS.ingredientGrams),
        when: z.enum(ADDED_WHEN),
        apart: z
          .strictObject({ steps: z.array(z.enum(APART_STEPS)).max(5), swillMl: quantity(LIMITS.liquidMl) })
          .optional(),
      }),
    )
    .max(20)
    .default([]),
  aromatics: z
    .array(
      z.strictObject({
        ingredient: text(60, 1),
        grams: quantity(LIMITS.ingredientGrams),
        then: z.enum(AROMATIC_THEN).optional(),
      }),
    )
    .max(20)
    .default([]),
  vegetables: z
    .array(
      z.strictObject({
        vegetable: idOf(VEGETABLES),
        grams: quantity(LIMITS.ingredientGrams),
        sizeCm: quantity(LIMITS.vegetableCm).optional(),
        texture: z.enum(TEXTURES).default('tender'),
        place: z.enum(PLACES).default('auto'),
      }),
    )
    .max(20)
    .default([]),
  grains: z
    .array(
      z.strictObject({
        grain: idOf(GRAINS),
        grams: quantity(LIMITS.ingredientGrams),
        place: z.enum(PLACES).default('auto'),
        layer: z.enum(GRAIN_LAYERS).optional(),
      }),
    )
    .max(8)
    .default([]),
  rack: z.boolean().default(d.rack),
  heat: z.enum(HEATS).default(d.heat),
  meatInSecondRun: z.enum(MEAT_IN_SECOND_RUN).default(d.meatInSecondRun),
  brothOutMl: quantity(LIMITS.liquidMl).default(d.brothOutMl),
  pressureMinutes: quantity(LIMITS.pressureMinutes).nullable().default(d.pressureMinutes),
  release: z
    .strictObject({
      method: z.enum(RELEASES).default(d.release.method),
      naturalMinutes: quantity(LIMITS.naturalMinutes).default(d.release.naturalMinutes),
    })
    .prefault({}),
  finish: z
    .strictObject({
      strain: z.boolean().default(d.finish.strain),
      skim: z.boolean().default(d.finish.skim),
      blend: z.boolean().default(d.finish.blend),
      ladleOutMl: quantity(LIMITS.liquidMl).default(d.finish.ladleOutMl),
      reduce: z
        .union([z.literal('auto'), quantity(LIMITS.reduceMinutes)], { error: `${ALLOWED}"auto" or 0 to 120 min` })
        .default(d.finish.reduce),
      thickener: z.enum(THICKENERS).default(d.finish.thickener),
      body: z.enum(BODIES).default(d.finish.body),
      sauceMl: quantity(LIMITS.liquidMl).nullable().default(d.finish.sauceMl),
      restMinutes: quantity(LIMITS.restMinutes).default(d.finish.restMinutes),
    })
    .prefault({}),
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
});

/** A plan as a file or a client may send it: most keys optional. */
export type PlanInput = z.input<typeof planSchema>;

/** Fills in what depends on other keys: bone by cut, liquid by cooker, stovetop figures. */
function complete(read: z.output<typeof planSchema>): Plan {
  const cooker = completeCooker(read.cooker);
  const kitchen: Kitchen = read.kitchen;
  return {
    ...read,
    meat: { ...read.meat, boneIn: read.meat.boneIn ?? usuallyBoneIn(read.meat.cut, read.meat.form) },
    cooker,
    kitchen,
    liquids: read.liquids ?? [{ liquid: 'stock', ml: defaultLiquidMl(cooker), temperatureC: 20 }],
  };
}

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
  if (head.success && typeof head.data.version === 'number' && head.data.version > 1) {
    return {
      ok: false,
      faults: [{ path: 'version', problem: `${head.data.version} is newer than this Hervir reads`, allowed: '1' }],
    };
  }
  const parsed = planSchema.safeParse(input);
  return parsed.success
    ? { ok: true, value: complete(parsed.data) }
    : { ok: false, faults: faultsOf(parsed.error, input) };
}

/**
 * Reads a plan that comes from outside. Every default is filled in; a plan that reads well but cannot be reckoned (a
 * thickness no piece of its weight can have, a heater too weak for its pot) is refused with its field.
 *
 * @param input anything: parsed JSON, a request's body
 * @returns the complete plan, or every fault
 * @example readPlan({ format: 'hervir/braise', version: 1, target: 'fork', meat: { cut: 'goat-neck', form: 'slices', grams: 1600 } }).ok // true
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
