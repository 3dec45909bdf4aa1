import type { Text } from '@hervir/language';
import { PlanError } from '@hervir/core';

/** The field that makes a plan impossible. Errors lose their class on the way out of a worker. */
export interface PlanFault {
  readonly ok: false;
  readonly path: string;
  readonly problem: Text;
  readonly allowed: Text;
}

export type Answer<T> = { readonly ok: true; readonly value: T } | PlanFault;

/**
 * What a calculation gives, or the field that makes it impossible.
 *
 * @throws whatever is thrown and is not a {@link PlanError}
 */
export function answer<T>(reckon: () => T): Answer<T> {
  try {
    return { ok: true, value: reckon() };
  } catch (error) {
    if (error instanceof PlanError) {
      return { ok: false, path: error.path, problem: error.problem, allowed: error.allowed };
    }
    throw error;
  }
}
