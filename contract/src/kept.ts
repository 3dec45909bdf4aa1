import { CUTS, GONE, KEPT_PLACES, LIMITS, WARM_WAYS, COOK_AHEAD, type Kept } from '@hervir/core';
import { z } from 'zod';
import { readBy, type Read } from './fault';
import { idOf, quantity, text, wallClock, whole } from './plan';

/** Something cooked that is kept for another day. */
export const keptSchema = z.strictObject({
  name: text(120, 1),
  cut: idOf(CUTS),
  portions: whole(LIMITS.servings),
  grams: quantity(LIMITS.keptGrams),
  pieceCm: quantity(LIMITS.keptPieceCm),
  depthCm: quantity(LIMITS.depthCm).default(COOK_AHEAD.depthCm),
  place: z.enum(KEPT_PLACES),
  since: wallClock,
  eatAt: wallClock.nullable().default(null),
  warm: z.enum(WARM_WAYS).default(COOK_AHEAD.warm),
  gone: z.enum(GONE).nullable().default(null),
});

/** One that is put into the kitchen, under an id that whoever sends it has made: sent twice it is one. */
export const keepSchema = z.strictObject({ id: z.uuid(), kept: keptSchema });
export type KeepRequest = z.output<typeof keepSchema>;

/** Something kept, as stored. */
export interface StoredKept {
  readonly id: string;
  readonly kept: Kept;
}

/**
 * Reads something kept.
 *
 * @example readKept({}).ok // false
 */
export const readKept = (input: unknown): Read<Kept> => readBy(keptSchema, input);

/** Reads something kept with its id. */
export const readKeep = (input: unknown): Read<KeepRequest> => readBy(keepSchema, input);
