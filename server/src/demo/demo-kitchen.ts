import type { Settings } from '@hervir/contract';
import { newPlan, shiftIso, type Cooker, type Kept, type Plan } from '@hervir/core';

/** A mountain refuge that does not exist, at 1480 m, feeding walkers. */
export const DEMO_SETTINGS: Settings = {
  units: 'metric',
  kitchen: { altitudeM: 1480, roomC: 19 },
  confidence: 0.8,
  letterKeys: true,
};

const BLUE: Cooker = {
  name: 'The blue one',
  kind: 'electric',
  litres: 5.7,
  baseDiameterCm: 21.5,
  gaugeKPa: 72,
  watts: 1000,
  burner: 'electric',
  timerStarts: 'pressure',
  minimumLiquidMl: 250,
  burnCutoutC: 150,
  keepWarmOff: true,
};

const STEEL: Cooker = {
  name: 'The old steel one',
  kind: 'stovetop',
  litres: 8,
  baseDiameterCm: 24,
  gaugeKPa: 100,
  watts: 2600,
  burner: 'gas',
  timerStarts: 'pin',
  minimumLiquidMl: 300,
  burnCutoutC: 155,
  keepWarmOff: true,
};

export const DEMO_COOKERS: readonly Cooker[] = [BLUE, STEEL];

/** Hours that the longest of the demo's plans needs: a dinner sooner than that is tomorrow's. */
const HOURS_AHEAD = 3.5;

/** Seven in the evening in the refuge's winter time: the next one that can still be made, and days on. */
function sevenOnDay(now: string, days: number): string {
  const soonest = Date.parse(now) + HOURS_AHEAD * 3_600_000;
  const today = `${now.slice(0, 10)}T19:00:00+01:00`;
  const late = Date.parse(today) < soonest ? 1 : 0;
  const day = new Date(Date.parse(now) + (days + late) * 86_400_000).toISOString().slice(0, 10);
  return `${day}T19:00:00+01:00`;
}

/**
 * The plans the demo begins with.
 *
 * @param now ISO 8601; dinners lie a little after it
 */
// oxlint-disable-next-line max-lines-per-function -- a table of plans
export function demoPlans(now: string): Plan[] {
  const { kitchen } = DEMO_SETTINGS;
  const neck = newPlan({
    name: 'Goat neck with quince',
    cut: 'goat-neck',
    form: 'slices',
    grams: 1600,
    cooker: BLUE,
    kitchen,
    target: 'fork',
    serveAt: sevenOnDay(now, 0),
  });
  const shin = newPlan({
    name: 'Beef shin with celeriac and prunes',
    cut: 'beef-shin',
    form: 'slices',
    grams: 2100,
    cooker: STEEL,
    kitchen,
    target: 'pulls',
    serveAt: sevenOnDay(now, 1),
  });
  const collar = newPlan({
    name: 'Pork collar with chestnuts',
    cut: 'pork-collar',
    form: 'chunks',
    grams: 1400,
    cooker: BLUE,
    kitchen,
    target: 'fork',
    serveAt: sevenOnDay(now, 2),
  });
  return [
    {
      ...neck,
      servings: 6,
      meat: { ...neck.meat, trimGrams: 150, pieces: 8, thicknessCm: 3.8 },
      deglaze: { liquid: 'cider', ml: 150, scraped: true },
      liquids: [{ liquid: 'stock', ml: 400, temperatureC: 20 }],
      additions: [{ ingredient: 'quince-paste', grams: 80, when: 'on-top' }],
      vegetables: [{ vegetable: 'turnip', grams: 450, texture: 'tender', place: 'auto' }],
      grains: [{ grain: 'freekeh', grams: 120, place: 'auto' }],
      finish: { ...neck.finish, thickener: 'potato-starch', body: 'coating', sauceMl: 400 },
      aromatics: [
        { ingredient: 'onion', grams: 200 },
        { ingredient: 'garlic', grams: 8 },
        { ingredient: 'bay', grams: 1 },
      ],
      sides: [
        {
          name: 'Polenta',
          tasks: [
            { label: 'Boil the water', minutes: 8, handsOn: false, resource: 'side-burner' },
            { label: 'Stir in and let it swell', minutes: 25, handsOn: false, resource: 'side-burner' },
          ],
        },
      ],
    },
    {
      ...shin,
      servings: 8,
      meat: { ...shin.meat, trimGrams: 200 },
      deglaze: { liquid: 'red-wine', ml: 150, scraped: true },
      liquids: [{ liquid: 'stock', ml: 500, temperatureC: 20 }],
      aromatics: [
        { ingredient: 'onion', grams: 250 },
        { ingredient: 'celeriac', grams: 200 },
        { ingredient: 'thyme', grams: 3 },
      ],
    },
    {
      ...collar,
      // Still in the freezer: its days begin before its evening.
      meat: { ...collar.meat, trimGrams: 100, thaw: 'fridge' },
      sear: { school: 'quick', where: 'pot', order: 'meat-first' },
      deglaze: { liquid: 'stock', ml: 120, scraped: true },
      liquids: [{ liquid: 'stock', ml: 300, temperatureC: 20 }],
      aromatics: [{ ingredient: 'leek', grams: 150 }],
    },
  ];
}

/**
 * What is left of the refuge's last Saturday, in the freezer.
 *
 * @param now ISO 8601
 */
export function demoKept(now: string): Kept {
  return {
    name: 'Goat shoulder with turnips and bay',
    cut: 'goat-shoulder',
    portions: 3,
    grams: 1100,
    pieceCm: 3,
    depthCm: 5,
    place: 'freezer',
    since: shiftIso(now, -7 * 1440),
    eatAt: null,
    warm: 'stove',
    gone: null,
  };
}
