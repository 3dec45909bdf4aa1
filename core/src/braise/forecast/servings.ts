import { quantity, say, type Text } from '@hervir/language/message';
import type { Plan } from '../../plan/plan';
import { scaledPlan } from '../../plan/scale';
import { roundTo } from '../../units/round';
import { forecast } from './forecast';
import type { Forecast } from './forecast-document';

/** A plan for another number of people, and what that changed. */
export interface Rescaled {
  readonly plan: Plan;
  readonly forecast: Forecast;
  /** In words, one line a change. */
  readonly changes: readonly Text[];
}

/**
 * A plan for another number of people, as physics allows: meat, vegetables and grain go with the number; minutes follow
 * the thickness the piece then has; liquid stands as high around the meat as before, and never under the cooker's
 * minimum; starch follows the volume of the sauce. Never simple multiplication, and it says what it changed.
 *
 * @param base the forecast of the plan as it is
 * @param servings people
 * @throws PlanError where the new plan cannot be reckoned
 * @example rescale(forecast(plan), 8).plan.meat.grams // 3200
 */
export function rescale(base: Forecast, servings: number): Rescaled {
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
  const after = forecast(next);
  return { plan: next, forecast: after, changes: changesBetween(base, after) };
}

function changesBetween(before: Forecast, after: Forecast): Text[] {
  const changes: Text[] = [];
  const changed = (what: Text, from: Text, to: Text, why: Text): void => {
    if (JSON.stringify(from) !== JSON.stringify(to)) changes.push(say('servings.becomes', { what, from, to, why }));
  };
  const mass = (g: number): Text => quantity('mass', g);
  const ml = (v: number): Text => quantity('volume', v);
  changed(
    say('servings.meat'),
    mass(before.plan.meat.grams),
    mass(after.plan.meat.grams),
    say('servings.so-much-a-person'),
  );
  changed(
    say('servings.minutes-under-pressure'),
    String(before.pressureMinutes),
    String(after.pressureMinutes),
    after.piece.thicknessCm > before.piece.thicknessCm * 1.01
      ? say('servings.the-piece-is-thick-not', {
          now: quantity('length', after.piece.thicknessCm),
          before: quantity('length', before.piece.thicknessCm),
        })
      : after.piece.thicknessCm < before.piece.thicknessCm * 0.99
        ? say('servings.the-piece-is-thinner', { now: quantity('length', after.piece.thicknessCm) })
        : say('servings.a-fuller-pot-comes-up'),
  );
  const pouredMl = (f: Forecast): number => f.plan.liquids.reduce((sum, item) => sum + item.ml, 0);
  const atMinimum = after.liquid.freeAtStartMl < after.liquid.minimumMl + 30;
  changed(
    say('servings.liquid'),
    ml(pouredMl(before)),
    ml(pouredMl(after)),
    atMinimum ? say('servings.never-under-the-cookers-minimum') : say('servings.as-high-around-the-meat'),
  );
  changed(
    say('servings.starch'),
    mass(before.finish.thickenerGrams),
    mass(after.finish.thickenerGrams),
    say('servings.it-follows-the-volume-of'),
  );
  changed(
    say('servings.in-all'),
    say('servings.min', { minutes: Math.round(before.clock.totalMinutes) }),
    say('servings.min', { minutes: Math.round(after.clock.totalMinutes) }),
    say('servings.batches-to-sear', {
      batches: after.sear.batches,
      minutesToPin: Math.round(after.pot.minutesToPin),
    }),
  );
  if (after.fill.over) changes.push(after.fill.text);
  return changes;
}
