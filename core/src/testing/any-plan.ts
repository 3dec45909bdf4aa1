import * as fc from 'fast-check';
import { CUTS, cutById, type Form } from '../catalog/cuts';
import { GRAINS } from '../catalog/grains';
import { VEGETABLES } from '../catalog/vegetables';
import { DEFAULT_COOKER, newPlan } from '../plan/defaults';
import type {
  Addition,
  Aromatic,
  Meat,
  OtherMeat,
  Plan,
  PlannedGrain,
  PlannedStage,
  PlannedVegetable,
} from '../plan/plan';
import {
  AROMATIC_HOW,
  AROMATIC_THEN,
  BROTH_THEN,
  MARINADE_THEN,
  MEAT_DURING,
  SALTINGS,
  SEAR_ORDERS,
  SEAR_PLACES,
  SEAR_SCHOOLS,
  SIMMER_HEATS,
  STARTS,
  STRAININGS,
  WARM_WAYS,
  TARGETS,
  TEXTURES,
} from '../plan/plan';

const grams = (min: number, max: number): fc.Arbitrary<number> => fc.integer({ min, max });
const maybe = <T>(of: fc.Arbitrary<T>): fc.Arbitrary<T | undefined> => fc.option(of, { nil: undefined, freq: 1 });
const own = maybe(fc.constantFrom('the red one', 'from the garden'));

const meatOf = (most: number): fc.Arbitrary<Meat> =>
  fc
    .record({
      cut: fc.constantFrom(...CUTS.map(({ id }) => id)),
      form: fc.nat(20),
      grams: grams(300, most),
      trimGrams: grams(0, 80),
      startsFrom: fc.constantFrom(...STARTS, 'fridge' as const, 'fridge' as const),
      salted: fc.constantFrom(...SALTINGS),
      marinade: fc.option(
        fc.record({
          ml: grams(50, 250),
          hours: fc.integer({ min: 1, max: 24 }),
          then: fc.constantFrom(...MARINADE_THEN),
          solidsGrams: maybe(grams(10, 100)),
        }),
        { freq: 1 },
      ),
      rub: fc.option(fc.record({ grams: grams(5, 60), sugar: fc.boolean() }), { freq: 1 }),
      flourGrams: maybe(grams(5, 40)),
      cutAfterSear: maybe(fc.boolean()),
      name: own,
    })
    .map(({ form, ...meat }): Meat => {
      const { forms, boneShare } = cutById(meat.cut);
      const cutInto = forms[form % forms.length] as Form;
      return { ...meat, form: cutInto, boneIn: boneShare > 0 && cutInto !== 'chunks' && cutInto !== 'bite-size' };
    });

const STAGE_IDS = ['roots', 'sauce', 'second-run'] as const;

const stages: fc.Arbitrary<PlannedStage[]> = fc.uniqueArray(
  fc.record({
    id: fc.constantFrom(...STAGE_IDS),
    kind: fc.constantFrom('pressure' as const, 'simmer' as const),
    minutes: fc.option(fc.integer({ min: 0, max: 15 })),
    release: maybe(
      fc.record({
        method: fc.constantFrom('quick' as const, 'natural' as const, 'natural-then-quick' as const),
        naturalMinutes: fc.integer({ min: 0, max: 15 }),
      }),
    ),
    heat: maybe(fc.constantFrom(...SIMMER_HEATS)),
    meat: fc.constantFrom(...MEAT_DURING),
    takeOutMl: fc.constantFrom(0, 0, 100, 300),
    broth: fc.constantFrom(...BROTH_THEN),
  }),
  { maxLength: 3, selector: ({ id }) => id },
);

/** Ids of stages that a plan may name: its own, and Hervir's. */
const placesWith = (list: readonly PlannedStage[]): string[] => [
  'second-run',
  'simmer',
  'off-heat',
  'folded-in',
  ...list.map(({ id }) => id),
];

const aromatic = (places: readonly string[]): fc.Arbitrary<Aromatic> =>
  fc.record({
    ingredient: fc.constantFrom(
      'onion',
      'garlic',
      'bay',
      'mushroom',
      'bacon',
      'bones',
      'spice',
      'ginger',
      'parsley root',
    ),
    grams: grams(2, 250),
    how: maybe(fc.constantFrom(...AROMATIC_HOW)),
    stage: maybe(fc.constantFrom(...places.filter((place) => place !== 'folded-in'))),
    then: maybe(fc.constantFrom(...AROMATIC_THEN)),
    name: own,
  });

const addition = (places: readonly string[]): fc.Arbitrary<Addition> =>
  fc.record({
    ingredient: fc.constantFrom('tomato-paste', 'flour', 'cream', 'quince-paste', 'chilli-blend', 'sugar'),
    grams: grams(5, 150),
    when: fc.constantFrom('fried' as const, 'stirred-in' as const, 'on-top' as const, 'after' as const),
    stage: maybe(fc.constantFrom(...places.filter((place) => place !== 'folded-in'))),
    name: own,
  });

const vegetable = (places: readonly string[]): fc.Arbitrary<PlannedVegetable> =>
  fc.record({
    vegetable: fc.constantFrom(...VEGETABLES.map(({ id }) => id)),
    grams: grams(50, 500),
    sizeCm: maybe(fc.double({ min: 1, max: 6, noNaN: true })),
    texture: fc.constantFrom(...TEXTURES),
    place: fc.constantFrom('auto', 'auto', 'start', 'flavour-only', ...places),
    layer: maybe(fc.constantFrom('on-top' as const, 'under' as const)),
    name: own,
  });

const grain = (places: readonly string[]): fc.Arbitrary<PlannedGrain> =>
  fc.record({
    grain: fc.constantFrom(...GRAINS.map(({ id }) => id)),
    grams: grams(40, 300),
    place: fc.constantFrom('auto', 'start', ...places),
    layer: maybe(fc.constantFrom('on-top' as const, 'stirred-in' as const)),
  });

/** A cut beside the first: in from the start, or at one of the plan's own hot stages, and out again or not. */
const otherMeat = (list: readonly PlannedStage[]): fc.Arbitrary<OtherMeat> =>
  fc
    .record({ meat: meatOf(1200), goesIn: fc.constantFrom('start', ...list.map(({ id }) => id)), out: fc.nat(9) })
    .map(({ meat, goesIn, out }) => {
      const after = list.slice(list.findIndex(({ id }) => id === goesIn) + 1);
      return { ...meat, goesIn, comesOut: out < 3 ? (after[0]?.id ?? 'end') : 'end' };
    });

/**
 * Plans of version 2 as cooks make them, with everything a plan can say: stages of their own, several cuts, marinades,
 * layers, what is fried and what is raw, what is taken out and given back. Amounts are ordinary, so that most of them can
 * be reckoned.
 */
export function anyPlan(): fc.Arbitrary<Plan> {
  return stages.chain((list) => {
    const places = placesWith(list);
    return fc
      .record({
        meat: meatOf(2500),
        otherMeats: fc.oneof(
          { weight: 3, arbitrary: fc.constant<OtherMeat[]>([]) },
          fc.array(otherMeat(list), { maxLength: 2 }),
        ),
        target: fc.constantFrom(...TARGETS),
        stovetop: fc.boolean(),
        litres: fc.constantFrom(5.7, 7, 10),
        sear: fc.record({
          school: fc.constantFrom(...SEAR_SCHOOLS),
          where: fc.constantFrom(...SEAR_PLACES),
          order: fc.constantFrom(...SEAR_ORDERS),
          faceMinutes: maybe(fc.array(fc.integer({ min: 1, max: 6 }), { minLength: 1, maxLength: 4 })),
          fatMl: maybe(grams(5, 60)),
        }),
        deglaze: fc.option(
          fc.record({
            liquid: fc.constantFrom('stock', 'red-wine'),
            ml: grams(20, 200),
            scraped: fc.boolean(),
          }),
        ),
        liquids: fc.array(
          fc.record({
            liquid: fc.constantFrom('stock', 'water', 'passata'),
            ml: grams(50, 600),
            temperatureC: fc.constantFrom(20, 90),
            stage: maybe(fc.constantFrom(...places.filter((place) => place !== 'folded-in'))),
          }),
          { maxLength: 2 },
        ),
        aromatics: fc.array(aromatic(places), { maxLength: 4 }),
        additions: fc.array(addition(places), { maxLength: 3 }),
        vegetables: fc.array(vegetable(places), { maxLength: 3 }),
        grains: fc.oneof(
          { weight: 2, arbitrary: fc.constant<PlannedGrain[]>([]) },
          fc.array(grain(places), { maxLength: 2 }),
        ),
        others: fc.array(
          fc.record({
            name: fc.constantFrom('olives', 'a soup mix'),
            grams: grams(10, 100),
            place: fc.constantFrom('start', 'end', ...places.filter((place) => place !== 'folded-in')),
          }),
          { maxLength: 2 },
        ),
        rack: fc.boolean(),
        cutLater: fc.boolean(),
        waitsMinutes: fc.constantFrom(0, 0, 0, 240),
        pressureMinutes: fc.option(fc.integer({ min: 0, max: 90 })),
        release: fc.record({
          method: fc.constantFrom('quick' as const, 'natural' as const, 'natural-then-quick' as const),
          naturalMinutes: fc.integer({ min: 0, max: 25 }),
        }),
        servedFrom: fc.constantFrom('plate' as const, 'plate' as const, 'pot' as const),
        finish: fc.record({
          strain: fc.constantFrom(...STRAININGS, 'no' as const, 'no' as const),
          skim: fc.boolean(),
          blend: fc.boolean(),
          ladleOutMl: fc.constantFrom(0, 0, 150),
          reduce: fc.constantFrom('auto' as const, 0, 6),
          thickener: fc.constantFrom('none' as const, 'cornstarch' as const, 'flour' as const),
          body: fc.constantFrom('light' as const, 'coating' as const),
          sauceMl: fc.constantFrom(null, 250),
          restMinutes: fc.constantFrom(0, 10),
          meatBack: fc.boolean(),
          crisp: fc.boolean(),
        }),
        ahead: fc.oneof(
          { weight: 5, arbitrary: fc.constant(undefined) },
          fc.record({
            hours: fc.integer({ min: 8, max: 72 }),
            depthCm: fc.integer({ min: 2, max: 9 }),
            warm: fc.constantFrom(...WARM_WAYS),
          }),
        ),
      })
      .map(({ meat, stovetop, litres, liquids, ahead, ...more }): Plan => {
        const usual = newPlan({ cut: meat.cut, form: meat.form, grams: meat.grams });
        return {
          ...usual,
          ...more,
          meat,
          stages: list,
          cookAhead: ahead,
          // A usual cup of stock beside what is drawn: most pots without one cannot be reckoned.
          liquids: [{ liquid: 'stock', ml: 350, temperatureC: 20 }, ...liquids],
          cooker: {
            ...DEFAULT_COOKER,
            litres,
            ...(stovetop ? { kind: 'stovetop' as const, timerStarts: 'pin' as const, watts: 2000, gaugeKPa: 100 } : {}),
          },
        };
      });
  });
}

/** As many as HERVIR_PLANS says, from the seed HERVIR_SEED: thousands by hand, three hundred where nothing is said. */
export const plansAsked = (): { readonly numRuns: number; readonly seed: number } => ({
  numRuns: Number(process.env['HERVIR_PLANS'] ?? 300),
  seed: Number(process.env['HERVIR_SEED'] ?? 1),
});
