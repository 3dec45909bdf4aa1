import type { Plan } from '@hervir/core';
import { z } from 'zod';

/** A plan as the server keeps it. */
export interface BraiseRecord {
  readonly id: string;
  readonly plan: Plan;
  /** Goes up by one with every save; a save that names another is refused, so that two devices never overwrite blindly. */
  readonly revision: number;
  readonly createdAt: string;
  readonly updatedAt: string;
  /** Set while a deleted plan can still be brought back. */
  readonly deletedAt: string | null;
}

/** A plan in a list. */
export interface BraiseSummary {
  readonly id: string;
  readonly name: string;
  readonly cut: string;
  readonly form: Plan['meat']['form'];
  readonly grams: number;
  readonly cookerName: string;
  readonly serveAt: string | null;
  readonly revision: number;
  readonly updatedAt: string;
  /** True for one that this Hervir cannot read. */
  readonly unreadable?: boolean;
}

/** The head of a save; the plan itself goes through readPlan. */
export const saveSchema = z.strictObject({ revision: z.number().int().min(0), plan: z.unknown() });
/** A new plan may bring its own id, so that a repeated send makes one plan. */
export const createSchema = z.strictObject({ id: z.uuid(), plan: z.unknown() });
