import { say, type UnitSystem, type Text } from '@hervir/language/message';
import {
  BURNER_SHARE,
  EXERCISES,
  FAULTS,
  LIMITS,
  SAUTE_SHARE,
  type BurnerLevel,
  type CookEvent,
  type Debrief,
  type ExerciseId,
  type FaultId,
  type Frame,
  type Grade,
  type Guide,
  type Mark,
  type Plan,
  type Plant,
  type SauteLevel,
} from '@hervir/core';
import { z } from 'zod';
import { cookEventSchema } from './cook';
import { allowedWords, readBy, type Read } from './fault';
import { quantity } from './plan';

/** How fast a rehearsal may run, times real time. */
export const SPEEDS = { min: 1, max: 300, unit: 'times' } as const;

/** How its time goes by. */
export interface Pace {
  readonly speed: number;
  /** At real speed wherever hands are needed. */
  readonly slowForHands: boolean;
  readonly paused: boolean;
}

/** A rehearsal as it stands: everything but its telemetry. */
export interface RehearsalNow {
  /** Seconds of its own time. */
  readonly seconds: number;
  /** Its own wall clock, ISO 8601. */
  readonly now: string;
  /** How fast that goes at this moment. */
  readonly speed: number;
  readonly pace: Pace;
  readonly events: readonly CookEvent[];
  readonly faults: readonly FaultId[];
  readonly plants: readonly Plant[];
  /** What a fork finds where the lid is off; null where the meat cannot be tried. */
  readonly fork: Grade | null;
  readonly mark: Mark;
  /** When it is over. */
  readonly debrief: Debrief | null;
  readonly finished: boolean;
}

/** A rehearsal, kept apart from real cooks. */
export interface RehearsalRecord extends RehearsalNow {
  readonly id: string;
  readonly name: string;
  readonly exercise: ExerciseId | null;
  readonly plan: Plan;
  readonly guide: Guide;
  readonly units: UnitSystem;
  readonly seed: number;
  readonly createdAt: string;
}

/** A line of the list. */
export interface RehearsalSummary {
  readonly id: string;
  readonly name: string;
  readonly exercise: ExerciseId | null;
  readonly createdAt: string;
  readonly mark: Mark;
  readonly finished: boolean;
  readonly debrief: Debrief | null;
}

/** What came of an act: refused, with the cooker's reason, or done. */
export interface ActAnswer {
  readonly refused: Text | null;
  readonly now: RehearsalNow;
}

/** What comes over the stream of a simulated cooker, by its type. */
export interface RehearsalMessages {
  /** Telemetry in order, none left out; the id of the message is the last frame's number. */
  readonly frames: { readonly frames: readonly Frame[]; readonly now: string; readonly speed: number };
  readonly now: RehearsalNow;
}
export type RehearsalMessageType = keyof RehearsalMessages;

const keys = <K extends string>(of: Record<K, unknown>): [K, ...K[]] => Object.keys(of) as [K, ...K[]];
const id = z.uuid();

/** A command to a cooker, over its link. */
export const cookerCommandSchema = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('saute'), level: z.enum(keys<SauteLevel>(SAUTE_SHARE)) }),
  z.strictObject({ do: z.literal('pressure'), minutes: quantity(LIMITS.pressureMinutes) }),
  z.strictObject({ do: z.literal('cancel') }),
  z.strictObject({ do: z.literal('keepWarm'), on: z.boolean() }),
  z.strictObject({ do: z.literal('valve'), to: z.enum(['open', 'closed']) }),
  z.strictObject({ do: z.literal('lid'), to: z.enum(['off', 'on']) }),
  z.strictObject({ do: z.literal('burner'), level: z.enum(keys<BurnerLevel>(BURNER_SHARE)) }),
]);

const plant = z.number().int().min(0).max(200);

/** Something a cook does in a rehearsal. */
export const rehearsalActSchema = z.discriminatedUnion('act', [
  z.strictObject({ act: z.literal('press'), event: cookEventSchema, hands: z.boolean().default(true) }),
  z.strictObject({ act: z.literal('command'), command: cookerCommandSchema }),
  z.strictObject({ act: z.literal('fault'), fault: z.enum(FAULTS), on: z.boolean() }),
  z.strictObject({
    act: z.literal('hand'),
    hand: z.discriminatedUnion('do', [
      z.strictObject({ do: z.literal('scrape') }),
      z.strictObject({ do: z.literal('pour'), ml: quantity(LIMITS.liquidMl) }),
      z.strictObject({ do: z.literal('put'), plant }),
      z.strictObject({ do: z.literal('lift'), plant }),
    ]),
  }),
  z.strictObject({ act: z.literal('end') }),
]);
export type RehearsalAct = z.output<typeof rehearsalActSchema>;

export const paceSchema = z.strictObject({
  speed: z
    .number()
    .min(SPEEDS.min, { error: allowedWords(say('rehearsal.speeds', { min: SPEEDS.min, max: SPEEDS.max })) })
    .max(SPEEDS.max, { error: allowedWords(say('rehearsal.speeds', { min: SPEEDS.min, max: SPEEDS.max })) })
    .optional(),
  slowForHands: z.boolean().optional(),
  paused: z.boolean().optional(),
});

/** A new rehearsal: of a kept plan, of one sent along, or an exercise. */
export const startRehearsalSchema = z.strictObject({
  id,
  braiseId: id.optional(),
  plan: z.unknown().optional(),
  exercise: z.enum(EXERCISES).optional(),
  seed: z.number().int().min(0).max(0xffffffff).optional(),
  /** The animal may be tougher than the table and the cooker weaker than its plate. */
  scatter: z.boolean().default(false),
  faults: z.array(z.enum(FAULTS)).max(FAULTS.length).default([]),
});
export type StartRehearsal = z.output<typeof startRehearsalSchema>;

/**
 * Reads an act of a rehearsal.
 *
 * @example readAct({ act: 'command', command: { do: 'cancel' } }).ok // true
 */
export const readAct = (input: unknown): Read<RehearsalAct> => readBy(rehearsalActSchema, input);

/**
 * Reads a change of pace.
 *
 * @example readPace({ speed: 500 }).ok // false
 */
export const readPace = (input: unknown): Read<z.output<typeof paceSchema>> => readBy(paceSchema, input);

/**
 * Reads a command to a cooker.
 *
 * @example readCookerCommand({ do: 'valve', to: 'ajar' }).ok // false
 */
export const readCookerCommand = (input: unknown): Read<z.output<typeof cookerCommandSchema>> =>
  readBy(cookerCommandSchema, input);

/**
 * Reads the request that begins a rehearsal.
 *
 * @example readStartRehearsal({ id: '3f0f7f3e-6f43-4d0b-9e0a-0d2f3b8a1c11', exercise: 'unscraped' }).ok // true
 */
export function readStartRehearsal(input: unknown): Read<StartRehearsal> {
  const read = readBy(startRehearsalSchema, input);
  if (!read.ok) return read;
  const { braiseId, plan, exercise } = read.value;
  if (braiseId === undefined && plan === undefined && exercise === undefined) {
    const fault = { path: 'exercise', problem: say('fault.missing'), allowed: say('rehearsal.an-exercise-the-id-of') };
    return { ok: false, faults: [fault] };
  }
  return read;
}

/** What a real cook is linked to; null where it stands alone. */
export interface CookLink {
  readonly cooker: 'simulated' | null;
}

/** A reading of the probe thermometer or the scale: never both. */
export interface Reading {
  readonly celsius?: number;
  readonly grams?: number;
  readonly refused?: Text;
}
