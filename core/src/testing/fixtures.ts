import { DEFAULT_COOKER, DEFAULT_KITCHEN, newPlan } from '../plan/defaults';
import { pieceOf, type Piece } from '../meat/piece';
import type { TimesFor } from '../braise/times';
import { forecast } from '../braise/forecast';
import { guideOf } from '../braise/guide';
import type { Guide } from '../clock/guide-step';
import { printerFor } from '../units/quantity';
import type { Meat, Plan } from '../plan/plan';

/** A plan by the sentence's words, with whatever else a test sets. Practice figures: for tests only. */
export function planFor(
  cut: string,
  form: Plan['meat']['form'],
  grams: number,
  more: Partial<Plan> = {},
  meat: Partial<Meat> = {},
): Plan {
  const plan = newPlan({ cut, form, grams });
  return { ...plan, ...more, meat: { ...plan.meat, ...meat } };
}

/** What the examples in the doc comments speak of. */
export const kiloOfChuck: Meat = planFor('beef-chuck', 'chunks', 1000).meat;
export const eightRibs: Piece = pieceOf(planFor('beef-short-rib', 'ribs', 1120, {}, { pieces: 8 }).meat);
export const cooker22cm = { baseDiameterCm: 22, watts: 1000 };
export const plan: Plan = planFor('goat-neck', 'slices', 1600);
export const guide: Guide = guideOf(forecast(plan), printerFor('metric'));
export const chartFor: TimesFor = {
  cooker: DEFAULT_COOKER,
  kitchen: DEFAULT_KITCHEN,
  release: { method: 'natural-then-quick', naturalMinutes: 15 },
  confidence: 0.8,
  startsFrom: 'fridge',
};
export { DEFAULT_COOKER, DEFAULT_KITCHEN };
