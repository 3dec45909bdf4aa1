import * as fc from 'fast-check';
import { THICKENER_KINDS } from '../catalog/thickeners';
import { ConductionBody } from '../physics/conduction/body';
import { PLAN_DEFAULTS } from '../plan/defaults';
import type { Plan } from '../plan/plan';
import { seriesTerms } from '../testing/series';
import { finishedFor, planFor } from '../testing/fixtures';
import { coolStew } from './cooling';
import { leftovers } from './leftovers';
import { yieldOf } from './plate';
import type { Finish } from '../words/finish';
import { reductionMlPerMinute, starchFor, type SauceBase } from './sauce';
import { english } from '../testing/said-in-english';

const BASE: SauceBase = {
  freeMl: 700,
  fatMl: 60,
  starchG: 0,
  heaterW: 850,
  boilingC: 100,
  softGrams: 0,
  addedMl: 0,
  addedStarchG: 0,
};
const finished = (finish: Partial<Plan['finish']>, base: Partial<SauceBase> = {}, more: Partial<Plan> = {}): Finish => {
  const plan = planFor('beef-chuck', 'chunks', 1200, more);
  return finishedFor({ ...plan, finish: { ...PLAN_DEFAULTS.finish, ...finish } }, { ...BASE, ...base });
};

describe('thickening', () => {
  test.each([
    ['light', 5],
    ['coating', 8],
    ['thick', 12],
  ] as const)('cornstarch for a cup, %s: %d g (common practice)', (body, grams) => {
    expect(starchFor('cornstarch', body, 240).grams).toBeCloseTo(grams, 9);
  });

  test('flour twice, potato starch 0.8, arrowroot and tapioca 0.9 times as much (common practice)', () => {
    const [flour, potato, arrowroot, tapioca] = (['flour', 'potato-starch', 'arrowroot', 'tapioca'] as const).map(
      (id) => starchFor(id, 'coating', 240).grams / 8,
    );
    expect([flour, potato, arrowroot, tapioca].map((f) => Math.round((f ?? 0) * 10) / 10)).toEqual([2, 0.8, 0.9, 0.9]);
  });

  test('a tablespoon of cornstarch is 8 g and coats a cup (common practice); its water is 1 to 1.5 times its volume', () => {
    for (const { id, density } of THICKENER_KINDS) {
      const { grams, waterMl } = starchFor(id, 'coating', 500);
      expect(waterMl / (grams / density)).toBeGreaterThanOrEqual(1);
      expect(waterMl / (grams / density)).toBeLessThanOrEqual(1.5);
    }
    expect(
      finished({ thickener: 'cornstarch', body: 'coating' }, { freeMl: 240 })
        .steps.map(({ text }) => text)
        .join(' '),
    ).toMatch(/8 g of cornflour \(1 tbsp\)/);
  });

  test('what is bound already needs less, and no thickener is none', () => {
    expect(starchFor('cornstarch', 'coating', 240, 3).grams).toBeCloseTo(5, 9);
    expect(starchFor('cornstarch', 'light', 240, 30).grams).toBe(0);
    expect(starchFor('none', 'thick', 240)).toEqual({ grams: 0, waterMl: 0 });
  });
});

describe('the finish', () => {
  test('a kilowatt boils away about 20 ml a minute (common practice; steam tables)', () => {
    expect(reductionMlPerMinute(850, 100)).toBeGreaterThan(18);
    expect(reductionMlPerMinute(850, 100)).toBeLessThan(25);
  });

  test('far too much: ladle out first, reduce a few minutes, then starch for what is left', () => {
    const f = finished({ sauceMl: 350, thickener: 'potato-starch', body: 'coating' });
    expect(f.steps.map(({ kind }) => kind)).toEqual([
      'lift',
      'ladle',
      'skim',
      'reduce',
      'thicken',
      'put-back',
      'rest',
      'season',
    ]);
    expect(f.ladleOutMl).toBeGreaterThan(100);
    expect(f.reduceMinutes).toBeLessThanOrEqual(8.5);
    expect(f.sauceMl - f.waterMl).toBeGreaterThan(330);
    expect(f.sauceMl - f.waterMl).toBeLessThan(370);
    expect(f.thickenerGrams).toBeCloseTo((8 * 0.8 * (f.sauceMl - f.waterMl)) / 240, 1);
  });

  test('a little too much is only reduced; too little is left as it is', () => {
    expect(finished({ sauceMl: 600 })).toMatchObject({ ladleOutMl: 0 });
    expect(finished({ sauceMl: 600 }).reduceMinutes).toBeGreaterThan(3);
    expect(finished({ sauceMl: 2000 })).toMatchObject({ ladleOutMl: 0, reduceMinutes: 0, sauceMl: 700 });
  });

  test('bay, whole heads of garlic, spent vegetables and bones are fished out', () => {
    const plan = planFor('goat-neck', 'slices', 1600, {
      target: 'pulls',
      aromatics: [
        { ingredient: 'bay', grams: 1 },
        { ingredient: 'garlic heads', grams: 60 },
        { ingredient: 'onion', grams: 200 },
        { ingredient: 'carrot', grams: 100, then: 'fish-out' },
      ],
      vegetables: [{ vegetable: 'celery', grams: 80, texture: 'soft', place: 'flavour-only' }],
    });
    expect(finishedFor(plan, BASE).fishOut).toEqual([
      'bay leaves',
      'garlic, whole heads',
      'carrot, diced',
      'spent celery',
      'bones',
    ]);
  });

  test('dairy goes in off the heat and after the boil, salt last of all; a hot blender is vented', () => {
    const f = finished(
      { blend: true, thickener: 'cornstarch', body: 'light' },
      { softGrams: 200 },
      {
        additions: [{ ingredient: 'cream', grams: 100, when: 'after' }],
      },
    );
    const texts = f.steps.map(({ text }) => text);
    expect(texts.findIndex((t) => english(t).includes('Off the heat'))).toBeGreaterThan(
      texts.findIndex((t) => english(t).includes('Blend')),
    );
    expect(texts.at(-1)).toContain('salt last');
    expect(texts.join(' ')).toContain('lid vented');
  });

  test('whatever the pot holds: nothing negative, never more sauce than there was', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 4000, noNaN: true }),
        fc.option(fc.integer({ min: 0, max: 3000 }), { nil: null }),
        fc.integer({ min: 0, max: 2000 }),
        fc.constantFrom('none', 'cornstarch', 'flour') as fc.Arbitrary<Plan['finish']['thickener']>,
        (freeMl, sauceMl, ladleOutMl, thickener) => {
          const f = finished({ sauceMl, ladleOutMl, thickener, body: 'thick' }, { freeMl });
          for (const value of [f.thickenerGrams, f.waterMl, f.reduceMinutes, f.ladleOutMl, f.sauceMl, f.fatMl]) {
            expect(value).toBeGreaterThanOrEqual(0);
            expect(Number.isFinite(value)).toBe(true);
          }
          expect(f.sauceMl - f.waterMl).toBeLessThanOrEqual(freeMl + 1e-6);
          expect(f.ladleOutMl).toBeLessThanOrEqual(freeMl + 1e-6);
        },
      ),
    );
  });
});

describe('the plate', () => {
  test('trimmed boneless braise comes out at 60 to 72 % of raw (USDA Table of Cooking Yields; from memory)', () => {
    for (const cut of ['beef-round', 'beef-cheek', 'beef-chuck', 'pork-collar', 'lamb-shoulder']) {
      const plan = planFor(cut, 'chunks', 1000, {}, { boneIn: false });
      const [low, high] = yieldOf(plan, [{ meat: plan.meat, meanC: 110, cookValue: 120 }]).cookedGrams;
      const middle = (low + high) / 2000;
      expect([cut, middle > 0.6 && middle < 0.78]).toEqual([cut, true]);
      expect(low).toBeLessThan(high);
    }
  });

  test('raw boneless 150 to 250 g a person; bone is not eaten (common practice)', () => {
    const oxtail = planFor('beef-oxtail', 'pieces', 2000);
    const { portions, boneGrams } = yieldOf(oxtail, [{ meat: oxtail.meat, meanC: 110, cookValue: 120 }]);
    expect(boneGrams).toBeCloseTo(900, 6);
    expect(1100 / portions).toBeGreaterThanOrEqual(150);
    expect(1100 / portions).toBeLessThanOrEqual(275);
  });
});

describe('leftovers', () => {
  test('the cooling slab agrees with the full series (Incropera and DeWitt; from memory) within 1 %', () => {
    const half = 0.0125;
    const medium = { conductivity: 0.55, diffusivity: 1.45e-7, surface: 8 };
    const body = new ConductionBody({ kind: 'wall', halfThickness: half }, medium, 57, 7);
    for (let minute = 0; minute < 120; minute += 1) body.advance(60, 3, 3);
    const fourier = (1.45e-7 * 7200) / half ** 2;
    const series = seriesTerms(1, (8 * half) / 0.55, 8).reduce(
      (sum, { root, coefficient }) => sum + coefficient * Math.exp(-root * root * fourier),
      0,
    );
    const exact = 3 + 54 * series;
    expect(Math.abs(body.coreC() - exact)).toBeLessThan(0.54);
  });

  test('shallow is in time, deep is not, and an ice bath helps (US FDA Food Code 3-501.14; from memory)', () => {
    expect(coolStew(2, 0).inTime).toBe(true);
    expect(coolStew(8, 0).inTime).toBe(false);
    expect(coolStew(5, 45).minutesTo21).toBeLessThan(coolStew(5, 0).minutesTo21);
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 8, noNaN: true }),
        fc.double({ min: 1.05, max: 1.5, noNaN: true }),
        (cm, more) => {
          expect(coolStew(cm * more, 0).minutesTo21).toBeGreaterThanOrEqual(coolStew(cm, 0).minutesTo21);
        },
      ),
      { numRuns: 10 },
    );
  });

  test('two hours, three to four days, two to three months, 74 °C are all said', () => {
    const said = leftovers(4).steps.join(' ');
    const { useBy } = leftovers(4, '2027-01-17T19:00:00+01:00');
    expect(useBy?.fridge).toBe('2027-01-20T19:00:00+01:00');
    expect(leftovers(4).useBy).toBeNull();
    for (const word of ['two hours', '3 to 4 days', '2 to 3 months', '74 °C']) expect(said).toContain(word);
  });
});
