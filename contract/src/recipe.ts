import { CUTS, FORMS, LIMITS, type Method, type Plan } from '@hervir/core';
import { z } from 'zod';
import { readBy, type Read } from './fault';
import { text } from './plan';

/** What a cook says a line is. */
export const takenAsSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('meat'), id: z.enum(CUTS.map(({ id }) => id)), form: z.enum(FORMS) }),
  z.strictObject({
    kind: z.enum(['liquid', 'addition', 'thickener', 'vegetable', 'grain', 'aromatic']),
    id: text(60, 1),
  }),
  z.strictObject({ kind: z.literal('by-taste') }),
  z.strictObject({ kind: z.literal('unknown') }),
]);

/** A line of ingredients, beside what it was taken for. */
export interface RecipeLine {
  readonly text: string;
  readonly as: z.output<typeof takenAsSchema>;
  readonly name: string;
  /** Grams; for a liquid millilitres; null where there is nothing to count. */
  readonly grams: number | null;
  /** What was guessed; null where it stood there. */
  readonly guess: string | null;
}

/** A sentence of the method, with what was found in it. */
export interface RecipeStep {
  readonly text: string;
  readonly found: string | null;
  readonly minutes: number | null;
  readonly way: Method | 'pressure' | null;
  readonly release: 'quick' | 'natural' | 'natural-then-quick' | null;
  /** Left alone before the valve, where it says so. */
  readonly releaseMinutes: number | null;
}

/** A recipe, read: nothing of it is dropped. */
export interface RecipeReading {
  readonly name: string;
  readonly servings: number | null;
  readonly from: 'json-ld' | 'text';
  readonly lines: readonly RecipeLine[];
  readonly method: readonly RecipeStep[];
  /** What was made of it; null where no meat was found. */
  readonly plan: Plan | null;
  /** What was guessed, changed or left out, in sentences. */
  readonly notes: readonly string[];
}

export const recipeFileSchema = z.strictObject({
  text: z.string().min(1).max(3_000_000),
  cookerId: z.uuid().optional(),
  corrections: z.record(z.string().regex(/^\d{1,3}$/), takenAsSchema).default({}),
  /** What the cook says how much a line is, by its place: grams, of a liquid millilitres. */
  amounts: z
    .record(z.string().regex(/^\d{1,3}$/), z.number().min(LIMITS.recipeGrams.min).max(LIMITS.recipeGrams.max))
    .default({}),
});

/**
 * Reads the request that reads a recipe.
 *
 * @example readRecipeFile({ text: '' }).ok // false
 */
export function readRecipeFile(input: unknown): Read<z.output<typeof recipeFileSchema>> {
  return readBy(recipeFileSchema, input);
}
