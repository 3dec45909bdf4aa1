import type { Plan } from '../../plan/plan';
import { scaledPlan } from '../../plan/scale';
import { roundTo } from '../../units/round';
import { printerFor, type UnitSystem } from '../../units/quantity';
import { forecast } from './forecast';
import type { Forecast } from './forecast-document';

/** A plan for another number of people, and what that changed. */
export interface Rescaled {
  readonly plan: Plan;
  readonly forecast: Forecast;
  /** In words, one line a change. */
  readonly changes: readonly string[];
}

/**
 * A plan for another number of people, as physics allows: meat, vegetables and grain go with the number; minutes follow
 * the thickness the piece then has; liquid stands as high around the meat as before, and never under the cooker's
 * minimum; starch follows the volume of the sauce. Never simple multiplication, and it says what it changed.
 *
 * @param base the forecast of the plan as it is
 * @param servings people
 * @param system the cook's units
 * @throws PlanError where the new plan cannot be reckoned
 * @example rescale(forecast(plan), 8).plan.meat.grams // 3200
 */
export function rescale(base: Forecast, servings: number, system: UnitSystem = 'metric'): Rescaled {
  const { plan } = base;
  const ratio = servings / plan.servings;
  const sized: Plan = {
    ...plan,
    servings,
    pressureMinutes: null,
    ...scaledPlan(plan, ratio, { grams: 50, trimGrams: 10 }),
    finish: {
      ...plan.finish,
      sauceMl: plan.finish.sauceMl === null ? null : roundTo(plan.finish.sauceMl * ratio, 10),
    },
  };
  // The same height of liquid around more meat: what is free goes with the gaps between the pieces.
  const wantedFree = Math.max(plan.cooker.minimumLiquidMl, base.liquid.freeAtStartMl * ratio);
  const poured = plan.liquids.reduce((sum, { ml }) => sum + ml, 0);
  const otherMl = base.liquid.freeAtStartMl - poured;
  const wantedPour = Math.max(0, wantedFree - otherMl);
  const share = poured > 0 ? wantedPour / poured : 1;
  const next: Plan = { ...sized, liquids: plan.liquids.map((item) => ({ ...item, ml: roundTo(item.ml * share, 10) })) };
  const after = forecast(next, system);
  return { plan: next, forecast: after, changes: changesBetween(base, after, system) };
}

function changesBetween(before: Forecast, after: Forecast, system: UnitSystem): string[] {
  const print = printerFor(system);
  const changes: string[] = [];
  const say = (what: string, from: string, to: string, why: string): void => {
    if (from !== to) changes.push(`${what}: ${from} becomes ${to}; ${why}.`);
  };
  const mass = (g: number): string => print.quantity('mass', g);
  const ml = (v: number): string => print.quantity('volume', v);
  say('Meat', mass(before.plan.meat.grams), mass(after.plan.meat.grams), 'so much a person');
  say(
    'Minutes under pressure',
    `${before.pressureMinutes}`,
    `${after.pressureMinutes}`,
    after.piece.thicknessCm > before.piece.thicknessCm * 1.01
      ? `the piece is ${print.quantity('length', after.piece.thicknessCm)} thick, not ${print.quantity('length', before.piece.thicknessCm)}`
      : after.piece.thicknessCm < before.piece.thicknessCm * 0.99
        ? `the piece is thinner, ${print.quantity('length', after.piece.thicknessCm)}`
        : 'a fuller pot comes up more slowly, and cooks on the way',
  );
  const pouredMl = (f: Forecast): number => f.plan.liquids.reduce((sum, item) => sum + item.ml, 0);
  const atMinimum = after.liquid.freeAtStartMl < after.liquid.minimumMl + 30;
  say(
    'Liquid',
    ml(pouredMl(before)),
    ml(pouredMl(after)),
    atMinimum ? 'never under the cooker’s minimum' : 'as high around the meat as before',
  );
  say(
    'Starch',
    mass(before.finish.thickenerGrams),
    mass(after.finish.thickenerGrams),
    'it follows the volume of the sauce',
  );
  say(
    'In all',
    `${Math.round(before.clock.totalMinutes)} min`,
    `${Math.round(after.clock.totalMinutes)} min`,
    `${after.sear.batches} ${after.sear.batches === 1 ? 'batch' : 'batches'} to sear, ${Math.round(after.pot.minutesToPin)} min to the pin`,
  );
  if (after.fill.over) changes.push(after.fill.text);
  return changes;
}
