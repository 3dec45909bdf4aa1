import type { Text } from '@hervir/language/message';
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
  /** "For the rice:", "Marinade": it says where the lines under it belong. */
  z.strictObject({ kind: z.literal('heading') }),
]);

/** When a line goes in: left to Hervir, with the first lid, at a later stage, off the heat, or into marinade or rub. */
export const RECIPE_WHENS = ['auto', 'start', 'second-run', 'simmer', 'end', 'marinade', 'rub'] as const;
export type RecipeWhen = (typeof RECIPE_WHENS)[number];

/** When a line of a kind can go in, the usual first; kinds that are not here have no choice. Common practice. */
export const WHENS_OF: Readonly<Partial<Record<z.output<typeof takenAsSchema>['kind'], readonly RecipeWhen[]>>> = {
  vegetable: ['auto', 'start', 'second-run', 'simmer'],
  grain: ['auto', 'start', 'second-run', 'simmer'],
  liquid: ['start', 'second-run', 'simmer', 'end', 'marinade'],
  addition: ['start', 'end', 'marinade', 'rub'],
  aromatic: ['start', 'second-run', 'simmer', 'end', 'marinade', 'rub'],
  // What the catalog does not know takes room in the pot where the cook says when it goes in.
  unknown: ['start', 'second-run', 'simmer', 'end'],
};

/** A line of ingredients, beside what it was taken for. */
export interface RecipeLine {
  readonly text: string;
  readonly as: z.output<typeof takenAsSchema>;
  readonly name: Text;
  /** Grams; for a liquid millilitres; null where there is nothing to count. */
  readonly grams: number | null;
  /** What was guessed; null where it stood there. */
  readonly guess: Text | null;
  /** When it goes in; null where it is not the pot's, or nobody said. */
  readonly when: RecipeWhen | null;
}

/** A sentence of the method, with what was found in it. */
export interface RecipeStep {
  readonly text: string;
  readonly found: Text | null;
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
  readonly notes: readonly Text[];
}

/** The largest text that is read, characters: a page with all of its scripts. */
export const LONGEST_RECIPE = 5_000_000;

/** By the place of a line. */
const byLine = <T extends z.ZodType>(value: T): z.ZodDefault<z.ZodRecord<z.ZodString, T>> =>
  z.record(z.string().regex(/^\d{1,3}$/), value).default({});

export const recipeFileSchema = z.strictObject({
  text: z.string().min(1).max(LONGEST_RECIPE),
  cookerId: z.uuid().optional(),
  /** What the cook says a line is. */
  corrections: byLine(takenAsSchema),
  /** How much the cook says it is: grams, of a liquid millilitres. */
  amounts: byLine(z.number().min(LIMITS.recipeGrams.min).max(LIMITS.recipeGrams.max)),
  /** When the cook says it goes in. */
  whens: byLine(z.enum(RECIPE_WHENS)),
});

/**
 * Reads the request that reads a recipe.
 *
 * @example readRecipeFile({ text: '' }).ok // false
 */
export function readRecipeFile(input: unknown): Read<z.output<typeof recipeFileSchema>> {
  return readBy(recipeFileSchema, input);
}
