import { say, type UnitSystem } from '@hervir/language/message';
import {
  COOK_EVENTS,
  TROUBLES,
  GRADES,
  GUIDE_PARTS,
  LIMITS,
  WEIGHED,
  type CookEvent,
  type CookEventKind,
  type Guide,
  type Plan,
} from '@hervir/core';
import { z } from 'zod';
import { allowedWords, type Fault, faultsOf, type Read, readBy } from './fault';
import { quantity, text, wallClock } from './plan';

/** An event with its place in the server's own order, by which a stream resumes. */
export interface StoredCookEvent extends CookEvent {
  readonly seq: number;
}

/** A cook as the server keeps it. */
export interface CookRecord {
  readonly id: string;
  /** The plan it was begun from, where that is still known. */
  readonly braiseId: string | null;
  readonly name: string;
  readonly plan: Plan;
  /** The steps as they were when it began: a newer Hervir does not change a cook under way. */
  readonly guide: Guide;
  readonly units: UnitSystem;
  readonly startedAt: string;
  readonly finishedAt: string | null;
  readonly events: readonly StoredCookEvent[];
}

/** An event that was not kept, and why. */
export interface RefusedEvent extends Fault {
  readonly id: string;
}

/** What came of a batch of events: every one is either on the disk or refused with its reason. */
export interface EventsAnswer {
  readonly kept: readonly StoredCookEvent[];
  readonly refused: readonly RefusedEvent[];
}

/** The server's clock: every device of a kitchen goes by it. */
export interface ClockNow {
  readonly now: string;
  /** 1 but in tests. */
  readonly speed: number;
}

/** What comes over the stream of running cooks, by its type. */
export interface CookMessages {
  readonly hello: ClockNow & { readonly seq: number };
  readonly clock: ClockNow;
  readonly event: { readonly cook: string; readonly event: StoredCookEvent };
  /** What the server cannot do in the background at the moment; null once it can again. */
  readonly trouble: { readonly loop: string; readonly problem: string | null };
  /** A cook was begun, or finished: the list has changed. */
  readonly cooks: { readonly cook: string };
}
export type CookMessageType = keyof CookMessages;

const id = z.uuid();
const stepId = text(80, 1);

const payloadSchema = z.strictObject({
  step: stepId.optional(),
  minutes: z.number().min(-LIMITS.pressureMinutes.max).max(LIMITS.pressureMinutes.max).optional(),
  again: z
    .strictObject({ reheatMinutes: quantity(LIMITS.taskMinutes), releaseMinutes: quantity(LIMITS.taskMinutes) })
    .optional(),
  grade: z.enum(GRADES).optional(),
  what: z.enum(WEIGHED).optional(),
  trouble: z.enum(TROUBLES).optional(),
  grams: quantity({ min: 0, max: LIMITS.meatGrams.max, unit: 'g' }).optional(),
  text: text(2000).optional(),
  event: id.optional(),
  byCooker: z.boolean().optional(),
});

type Key = keyof z.output<typeof payloadSchema>;

/** What a kind cannot do without. */
const NEEDS: Readonly<Partial<Record<CookEventKind, readonly Key[]>>> = {
  stepStarted: ['step'],
  minutesAdded: ['minutes'],
  checked: ['grade'],
  wentWrong: ['trouble'],
  weighed: ['what', 'grams'],
  note: ['text'],
  undone: ['event'],
};

/** One event as a client sends it. */
export const cookEventSchema = z
  .strictObject({
    id,
    kind: z.enum(COOK_EVENTS),
    at: wallClock,
    payload: payloadSchema.default({}),
  })
  .superRefine((event, context) => {
    for (const key of NEEDS[event.kind] ?? []) {
      if (event.payload[key] !== undefined) continue;
      context.addIssue({
        code: 'custom',
        path: ['payload', key],
        message: allowedWords(say('cook.event-needs', { kind: event.kind, key })),
      });
    }
  });

/** A batch, as a device sends what it has queued. */
export const eventsSchema = z.strictObject({ events: z.array(cookEventSchema).min(1).max(200) });

/** A new cook: from a kept plan, or from one that is sent along. */
export const startCookSchema = z.strictObject({
  id,
  braiseId: id.optional(),
  plan: z.unknown().optional(),
  /** Of a plan that is cooked ahead: its own evening, or the day it is warmed and eaten. */
  part: z.enum(GUIDE_PARTS).default('evening'),
  /** Warnings of the plan that the cook has read, by their codes. */
  acknowledged: z.array(text(60, 1)).max(20).default([]),
  /** Id of its first event, so that a repeated send begins one cook. */
  startedEventId: id,
});
export type StartCook = z.output<typeof startCookSchema>;

/** Thrown away is the cook in which no more has happened than its page has shown. */
const throwAwaySchema = z.object({ events: z.coerce.number().int().min(1).max(100_000).default(1) });

/**
 * Reads how much of a cook was known to who throws it away: its events, the start among them; left out, the start alone.
 *
 * @example readThrowAway({ events: '3' }).ok // true
 */
export const readThrowAway = (input: unknown): Read<{ readonly events: number }> => readBy(throwAwaySchema, input);

/**
 * Reads a batch of events.
 *
 * @returns the events, or every fault with its place in the batch
 * @example readEvents({ events: [] }).ok // false
 */
export function readEvents(input: unknown): Read<CookEvent[]> {
  const parsed = eventsSchema.safeParse(input);
  return parsed.success
    ? { ok: true, value: parsed.data.events }
    : { ok: false, faults: faultsOf(parsed.error, input) };
}

/**
 * Reads the request that begins a cook; its plan, where one is sent, is read by {@link readPlan}.
 *
 * @example readStartCook({}).ok // false
 */
export function readStartCook(input: unknown): Read<StartCook> {
  const parsed = startCookSchema.safeParse(input);
  if (!parsed.success) return { ok: false, faults: faultsOf(parsed.error, input) };
  if (parsed.data.braiseId === undefined && parsed.data.plan === undefined) {
    return {
      ok: false,
      faults: [{ path: 'braiseId', problem: say('fault.missing'), allowed: say('cook.the-id-of-a-plan') }],
    };
  }
  return { ok: true, value: parsed.data };
}

/** Warnings that nobody may cook over without having been told. */
export const MUST_BE_READ = [
  'over-fill',
  'under-minimum',
  'boils-dry',
  'burn-likely',
  'raw-waits',
  'raw-middle',
] as const;
