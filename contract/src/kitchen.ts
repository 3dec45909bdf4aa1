import { LIMITS, type Cooker } from '@hervir/core';
import { z } from 'zod';
import type { KeptBackup } from './log';
import { faultsOf, readBy, type Read } from './fault';
import { completeCooker, cookerSchema, kitchenSchema, quantity } from './plan';

export const UNIT_SYSTEMS = ['metric', 'us'] as const;

/** What a cook sets once for the kitchen. */
export const settingsSchema = z.strictObject({
  units: z.enum(UNIT_SYSTEMS).default('metric'),
  kitchen: kitchenSchema.prefault({}),
  confidence: quantity(LIMITS.confidence).default(0.8),
  /** Single-letter keys on the bench and at the pot. */
  letterKeys: z.boolean().default(true),
});
export type Settings = z.output<typeof settingsSchema>;

/**
 * Reads settings, filling in what is missing.
 *
 * @example readSettings({}).ok // true
 */
export function readSettings(input: unknown): Read<Settings> {
  return readBy(settingsSchema, input);
}

/**
 * Reads a cooker, filling in what its kind usually has.
 *
 * @example readCooker({ name: 'The blue one' }).ok // true
 */
export function readCooker(input: unknown): Read<Cooker> {
  const parsed = cookerSchema.safeParse(input);
  return parsed.success
    ? { ok: true, value: completeCooker(parsed.data) }
    : { ok: false, faults: faultsOf(parsed.error, input) };
}

/** A cooker of the kitchen, as stored. */
export interface StoredCooker {
  readonly id: string;
  readonly cooker: Cooker;
  readonly createdAt: string;
}

/** How a phone on the counter comes in; addresses are empty where the server was not asked to let it. */
export interface Lan {
  readonly addresses: readonly string[];
  readonly code: string | null;
  /** An SVG. */
  readonly qr: string | null;
  readonly devices: readonly { readonly id: string; readonly name: string; readonly pairedAt: string }[];
}

/** Whether the server and its database are there, and how they are. */
export interface Health {
  readonly status: 'ok' | 'folder-gone';
  readonly demo: boolean;
  readonly version: string;
  readonly database: {
    /** The last migration it has had. */
    readonly migration: string;
    readonly bytes: number | null;
  };
  /** The last backup that was made by itself. */
  readonly lastBackup: KeptBackup | null;
  /** What cannot be done in the background at the moment. */
  readonly trouble: readonly { readonly loop: string; readonly problem: string }[];
}
