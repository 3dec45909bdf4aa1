import { DEFAULT_COOKER, DEFAULT_KITCHEN } from '@hervir/core';
import type { Language } from '@hervir/language';
import { speaking } from '../language/speech';
import { amountOf } from '../recipes/amounts';
import { takenAs } from '../recipes/ingredient-words';
import type { Measures } from '../recipes/measures';
import { readRecipe } from '../recipes/read-recipe';

/** The kitchen that a recipe is read for. */
export const GIVEN = { cooker: DEFAULT_COOKER, kitchen: DEFAULT_KITCHEN, confidence: 0.8 };

/** Reads recipes as the answer leaves: every message in words. */
export const readRecipeIn =
  (language: Language): typeof readRecipe =>
  (...of) =>
    speaking(language).spell(readRecipe(...of));

/** What a line is taken for, in short, and how much of it. */
export function readLine(line: string, of?: Measures): { readonly taken: string; readonly grams: number } {
  const as = takenAs(line);
  return { taken: 'id' in as ? `${as.kind}:${as.id}` : as.kind, grams: amountOf(line, as, of)?.grams ?? 0 };
}
