import { gramsOf } from '../units/grams';
import { isFried } from '../plan/fried';
import type { Plan } from '../plan/plan';
import { chargesOf, type Charge } from './charge';
import type { PotBuild } from './cooker';
import { startGrains } from './contents';
import { Pot, type Controls } from './pot-model';
import { stepFor, type Follow } from './pressure-run';

/** A base ready to sear, °C. Common practice. */
export const SEAR_BASE_C = 180;
/** Deglazing: scrape, and boil the raw smell off. Common practice. */
export const DEGLAZE_MINUTES = 3;
/** From hot base to wet meat, W/m² K of covered base: keeps a searing base near 170 °C at 1 kW. From memory. */
export const CONTACT_W_PER_M2K = 350;
/** A cook stops scraping before the base is dry, kg. Common practice. */
export const LEFT_WHEN_SCRAPED_KG = 0.01;
/** With less the cook looks often whether something is left: a minute of a strong burner takes it all, kg and minutes. */
const NEARLY_GONE_KG = 0.06;
const LOOKS_EVERY = 1 / 6;
/** Heat capacity of vegetables, aromatics and soaked grains, J/kg K. Choi and Okos for nine tenths water. */
export const PLANT_J_PER_KG_K = 3900;

/** Heat capacity of pastes and sauces laid on top, J/kg K. From memory. */
export const PASTE_J_PER_KG_K = 3500;

/** Times of what happens with the lid off, and where the pot is after it. */
export interface Loaded {
  readonly pot: Pot;
  readonly preheatMinutes: number;
  /** All that is poured and spooned in. */
  readonly charges: readonly Charge[];
}

/**
 * Takes a pot from cold to loaded, lid about to go on: heated, seared in, deglazed, filled. What the sauté left in the
 * metal makes the way to pressure shorter.
 *
 * @param plan for its sear, deglazing, liquids and what rides along
 * @param build the pot's figures
 * @param searMinutes all batches together
 * @param searAreaM2 base covered by a batch
 * @param aromaticMinutes in the pot after the meat
 * @param follow told of every step, for the line
 * @throws RangeError for a liquid that is not in the catalog
 */
export function load(
  plan: Plan,
  build: PotBuild,
  sear: { readonly minutes: number; readonly areaM2: number },
  aromaticMinutes: number,
  follow?: Follow,
): Loaded {
  const pot = new Pot(build);
  const saute = (minutes: number, contactWPerK: number): void => {
    const controls: Controls = {
      watts: build.heaterW,
      lid: 'off',
      valve: 'open',
      regulated: true,
      thermostatC: SEAR_BASE_C,
      contactWPerK,
    };
    stepFor(pot, minutes, controls, follow);
  };
  const charges = chargesOf(plan);
  const hotFirst = charges.some(({ stage, from }) => stage === 'fried' || (stage === 'deglaze' && from === 'marinade'));
  const inPot = (sear.minutes > 0 && plan.sear.where === 'pot') || aromaticMinutes > 0 || hotFirst;
  const preheatMinutes = inPot ? minutesToSear(build) : 0;
  if (inPot) {
    saute(preheatMinutes, 0);
    if (plan.sear.where === 'pot') saute(sear.minutes, CONTACT_W_PER_M2K * sear.areaM2);
    saute(aromaticMinutes, CONTACT_W_PER_M2K * sear.areaM2);
    // What was fried stays in, as hot as its water; what was set aside is out again.
    const fried = gramsOf(plan.aromatics.filter((item) => isFried(item) && item.then !== 'set-aside'));
    if (fried > 0) pot.pour(0, build.boilingC, (fried / 1000) * PLANT_J_PER_KG_K);
  }
  for (const { stage, waterMl, temperatureC } of charges) {
    if (stage !== 'deglaze') continue;
    pot.pour(waterMl / 1000, temperatureC);
    // In a cold pot there is nothing to scrape: it is liquid like the rest.
    if (!inPot) continue;
    // A bubbling scrape, not a hard boil: half power, and the cook stops while something is left.
    const scraping: Controls = { watts: build.heaterW / 2, lid: 'off', valve: 'open', regulated: true };
    const over = pot.minutes + DEGLAZE_MINUTES;
    while (over - pot.minutes > 1e-6 && pot.liquidKgNow > LEFT_WHEN_SCRAPED_KG) {
      const soon = pot.liquidKgNow < NEARLY_GONE_KG;
      stepFor(pot, Math.min(soon ? LOOKS_EVERY : 1, over - pot.minutes), scraping, follow);
    }
    // Where it boils off before, the pot waits with the heat off until the scraping is over.
    stepFor(pot, over - pot.minutes, { ...scraping, watts: 0 }, follow);
  }
  for (const { stage, waterMl, volumeMl, temperatureC } of charges) {
    if (stage === 'load') pot.pour(waterMl / 1000, temperatureC);
    if (stage === 'on-top') pot.pour(0, temperatureC, (volumeMl / 1000) * PASTE_J_PER_KG_K);
  }
  const raw = plan.aromatics.filter((item) => !isFried(item) && item.stage === undefined);
  const cold =
    gramsOf(raw) +
    gramsOf(plan.vegetables.filter(({ place }) => place === 'start' || place === 'flavour-only')) +
    gramsOf(plan.others.filter(({ place }) => place === 'start')) +
    gramsOf(startGrains(plan)) / 2;
  if (cold > 0) pot.pour(0, build.roomC, (cold / 1000) * PLANT_J_PER_KG_K);
  return { pot, preheatMinutes, charges };
}

/**
 * Minutes for an empty pot on full heat to be hot enough to sear.
 *
 * @example minutesToSear(potBuild(DEFAULT_COOKER, DEFAULT_KITCHEN)) // 4.5
 */
export function minutesToSear(build: PotBuild): number {
  const rise = SEAR_BASE_C - build.roomC;
  const reach = build.heaterW / build.lossWPerK;
  // A heater too weak to get there is as hot as it gets after three time constants.
  const share = Math.min(0.95, rise / reach);
  return (-Math.log1p(-share) * build.metalJPerK) / build.lossWPerK / 60;
}
