import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { storedPlan } from '@hervir/contract';
import type { CookEvent, Observation, Plan } from '@hervir/core';

/** A cook of the demo kitchen's season, as the simulated cooker cooked it. */
export interface SeasonCook {
  readonly id: string;
  readonly name: string;
  readonly plan: Plan;
  readonly events: readonly CookEvent[];
  readonly observation: Observation;
  /** Chance of dinner in time, as it was promised when the cook began. */
  readonly inTime: number;
}

/** Written by `node scripts/season.mjs`. */
const FILE = join(__dirname, '../../demo/season.json');

/** The season, the oldest first. */
export function demoSeason(): SeasonCook[] {
  const cooks = JSON.parse(readFileSync(FILE, 'utf8')) as SeasonCook[];
  // The season is older than version 2 of a plan.
  return cooks.map((cook) => ({ ...cook, plan: storedPlan(cook.plan) }));
}
