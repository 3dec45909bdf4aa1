import * as fc from 'fast-check';
import { pieceOf } from '../meat/piece';
import { DEFAULT_COOKER, DEFAULT_KITCHEN } from '../plan/defaults';
import type { Plan } from '../plan/plan';
import { planFor } from '../testing/fixtures';
import { CUT_OUT_K, STUCK_AT_MOST, VARIES } from '../catalog/what-varies';
import { seeded } from '../physics/random';
import {
  baseTemperatureC,
  burnChance,
  burnLevel,
  burnVerdict,
  grainSettles,
  stickingOf,
  vegetableWaterMl,
  type BaseMoment,
  type BaseState,
  type BurnVerdict,
} from './base-temperature';
import { chargesOf } from './charge';
import { potBuild } from './cooker';

/** Full pressure with a cup and a half of free liquid: the worst moment of an ordinary braise. */
const FULL: BaseMoment = { minute: 12, liquidC: 115.7, freeMl: 400 };
const CLEAN: Partial<Plan> = { deglaze: { liquid: 'stock', ml: 120, scraped: true } };

function verdict(more: Partial<Plan>, moment: BaseMoment = FULL): BurnVerdict {
  const plan = planFor('beef-chuck', 'chunks', 1200, { ...CLEAN, ...more });
  return burnVerdict(plan, pieceOf(plan.meat), chargesOf(plan), potBuild(plan.cooker, plan.kitchen, plan.heat), [
    moment,
  ]);
}

const watts = (w: number): Partial<Plan> => ({ cooker: { ...DEFAULT_COOKER, watts: w } });
const add = (ingredient: string, grams: number, when: 'stirred-in' | 'on-top' | 'after'): Partial<Plan> => ({
  additions: [{ ingredient, grams, when }],
});

// The orderings are common practice of the trade; the constants behind them are from memory.
describe('the base', () => {
  const bare: BaseState = {
    liquidC: 115.7,
    fluxWPerM2: 23_400,
    freeMl: 500,
    baseAreaM2: 0.0363,
    starchG: 0,
    sticking: 'clean',
    lyingShare: 0,
    grainSettled: false,
  };

  // By hand from the design's equation, T = T_liquid + q (1/(h w) + R); its constants from memory.
  test.each([
    ['thin: 23 400 / 4000', {}, 5.85],
    ['12 g of starch a litre: h is halved', { starchG: 6 }, 11.7],
    ['24 g a litre: h over 1 + 2^1.5', { starchG: 12 }, 22.395],
    ['36 g a litre: h over 1 + 3^1.5', { starchG: 18 }, 36.248],
    ['half of 5 mm of liquid: half as wet', { freeMl: 90.75 }, 11.7],
    ['a light film, 3e-4', { sticking: 'film' }, 5.85 + 7.02],
    ['fond not scraped, 1.2e-3', { sticking: 'fond' }, 5.85 + 28.08],
    ['a sugar crust, 2.5e-3', { sticking: 'sugar-crust' }, 5.85 + 58.5],
    ['grain settled, 2e-3', { grainSettled: true }, 5.85 + 46.8],
    ['flat meat on half the base, 5e-4', { lyingShare: 0.5 }, 5.85 + 5.85],
    ['never more than 120 K', { starchG: 500, freeMl: 20 }, 120],
  ] as const)('%s', (_, more, rise) => {
    expect(baseTemperatureC({ ...bare, ...(more as Partial<BaseState>) }) - bare.liquidC).toBeCloseTo(rise, 1);
  });

  test('thin and clean: more than 20 K of margin at 1 kW (common practice)', () => {
    const { baseC, cutoutC, level } = verdict({});
    expect(cutoutC - baseC).toBeGreaterThan(20);
    expect(level).toBe('safe');
  });

  test('a full fond left unscraped in thin liquid: likely at 1 kW, watch at 700 W (common practice)', () => {
    expect(verdict({ deglaze: null }).level).toBe('likely');
    expect(verdict({ deglaze: null, ...watts(700) }).level).toBe('watch');
  });

  test('a tin of paste stirred into a small cup: likely; the same laid on top: safe (common practice)', () => {
    const cup = { ...FULL, freeMl: 120 + 170 * 0.73 };
    expect(verdict(add('tomato-paste', 170, 'stirred-in'), cup).level).toBe('likely');
    expect(verdict(add('tomato-paste', 170, 'on-top'), { ...FULL, freeMl: 250 }).level).toBe('safe');
    expect(verdict(add('tomato-paste', 170, 'after'), { ...FULL, freeMl: 250 }).level).toBe('safe');
  });

  test('a few spoons of flour in over a litre, and a jar of thin salsa with a cup of stock: safe (common practice)', () => {
    expect(verdict(add('flour', 24, 'stirred-in'), { ...FULL, freeMl: 1200 }).level).toBe('safe');
    expect(verdict(add('salsa-thin', 450, 'stirred-in'), { ...FULL, freeMl: 240 + 450 * 0.91 }).level).toBe('safe');
  });

  test('50 ml of liquid and no juice yet: likely (common practice)', () => {
    // What the purge leaves of it: the pot takes 40 ml of steam before the pin.
    expect(verdict({}, { minute: 5, liquidC: 100, freeMl: 10 }).level).toBe('likely');
  });

  test('flour first raises the figure over a slurry last, and it says so', () => {
    const first = verdict(add('flour', 40, 'stirred-in'));
    expect(first.baseC).toBeGreaterThan(verdict(add('flour', 40, 'after')).baseC + 5);
    expect(first.causes[0]?.cause).toBe('thickened');
  });

  test('a rub with sugar seared in the pot leaves a crust; in a pan it leaves the pot clean', () => {
    const plan = planFor('pork-shoulder', 'chunks', 1200, {}, { rub: { grams: 40, sugar: true } });
    expect(stickingOf({ ...plan, deglaze: null })).toBe('sugar-crust');
    expect(stickingOf(plan)).toBe('film');
    expect(stickingOf({ ...plan, sear: { ...plan.sear, where: 'pan' } })).toBe('clean');
  });

  test('onion first, a light sear and a bare sauté leave only a film; a spoon of liquid does not lift a fond', () => {
    const plan = planFor('beef-chuck', 'chunks', 1200, { deglaze: null });
    expect(stickingOf({ ...plan, sear: { ...plan.sear, order: 'onion-first' } })).toBe('film');
    expect(stickingOf({ ...plan, sear: { ...plan.sear, school: 'light' } })).toBe('film');
    expect(stickingOf({ ...plan, sear: { ...plan.sear, school: 'none' } })).toBe('clean');
    const onions = [{ ingredient: 'onion', grams: 200 }];
    expect(stickingOf({ ...plan, sear: { ...plan.sear, school: 'none' }, aromatics: onions })).toBe('film');
    expect(stickingOf({ ...plan, deglaze: { liquid: 'stock', ml: 20, scraped: true } })).toBe('fond');
  });

  test('grain stirred into little liquid settles, levelled on top or in a soup it does not (common practice)', () => {
    const grain = (grams: number, layer: 'on-top' | 'stirred-in'): Plan['grains'] => [
      { grain: 'barley-pearl', grams, place: 'start', layer },
    ];
    expect(grainSettles({ grains: grain(200, 'stirred-in') }, 400)).toBe(true);
    expect(grainSettles({ grains: grain(200, 'on-top') }, 400)).toBe(false);
    expect(grainSettles({ grains: grain(60, 'stirred-in') }, 1500)).toBe(false);
    expect(verdict({ grains: grain(200, 'stirred-in') }).causes[0]?.cause).toBe('grain');
  });

  test('a stovetop pot has no cut-out: it scorches, and a medium flame is cooler', () => {
    const pot: Plan['cooker'] = { ...DEFAULT_COOKER, kind: 'stovetop', burner: 'gas', watts: 2600, burnCutoutC: 155 };
    const full = verdict({ cooker: pot, deglaze: null });
    expect(full).toMatchObject({ kind: 'scorch', cutoutC: 155, level: 'likely' });
    expect(verdict({ cooker: pot, deglaze: null, heat: 'medium' }).baseC).toBeLessThan(full.baseC - 5);
    // Where it scorches is the cook's to say, as where another cuts out.
    expect(verdict({ cooker: { ...pot, burnCutoutC: 250 }, deglaze: null })).toMatchObject({
      cutoutC: 250,
      level: 'safe',
    });
    // An electric pot brings itself up as it likes.
    expect(verdict({ heat: 'medium' }).baseC).toBe(verdict({}).baseC);
  });

  test('the causes add up to the rise over the liquid, whatever they are', () => {
    const many = verdict(
      {
        ...add('tomato-paste', 60, 'stirred-in'),
        deglaze: null,
        grains: [{ grain: 'rice-brown', grams: 300, place: 'start', layer: 'stirred-in' }],
      },
      { ...FULL, freeMl: 300 },
    );
    expect(many.causes.map(({ cause }) => cause).sort()).toEqual(['fond', 'grain', 'heat', 'thickened']);
    const sum = many.causes.reduce((total, { kelvin }) => total + kelvin, 0);
    expect(sum).toBeCloseTo(many.baseC - many.liquidC, 6);
  });

  test('levels by margin: 15 K and more safe, 5 to 15 watch, under 5 likely', () => {
    expect([134.9, 135.1, 144.9, 145.1].map((c) => burnLevel(c, 150))).toEqual(['safe', 'watch', 'watch', 'likely']);
  });
});

describe('whatever lies on the base', () => {
  const state = fc.record<BaseState>({
    liquidC: fc.double({ min: 60, max: 121, noNaN: true }),
    fluxWPerM2: fc.double({ min: 3000, max: 60_000, noNaN: true }),
    freeMl: fc.double({ min: 0, max: 4000, noNaN: true }),
    baseAreaM2: fc.double({ min: 0.02, max: 0.08, noNaN: true }),
    starchG: fc.double({ min: 0, max: 500, noNaN: true }),
    sticking: fc.constantFrom('clean', 'film', 'fond', 'sugar-crust'),
    lyingShare: fc.double({ min: 0, max: 1, noNaN: true }),
    grainSettled: fc.boolean(),
  });
  const more = fc.double({ min: 0, max: 1, noNaN: true });

  test('more thickener, more fond, more power, less liquid are never cooler; a rack is never hotter; the rise is bounded', () => {
    fc.assert(
      fc.property(state, more, (s, by) => {
        const now = baseTemperatureC(s);
        const never = (other: Partial<BaseState>): void =>
          expect(baseTemperatureC({ ...s, ...other })).toBeGreaterThanOrEqual(now - 1e-9);
        never({ starchG: s.starchG * (1 + by) });
        never({ fluxWPerM2: s.fluxWPerM2 * (1 + by) });
        never({ freeMl: s.freeMl * (1 - by) });
        never({ lyingShare: Math.min(1, s.lyingShare + by) });
        never({ grainSettled: true });
        never({ sticking: 'sugar-crust' });
        expect(now).toBeGreaterThanOrEqual(s.liquidC);
        expect(now).toBeLessThanOrEqual(s.liquidC + 120 + 1e-9);
      }),
    );
  });

  test('every cause has a share that is finite and not below zero', () => {
    const plans = fc.record({
      paste: fc.integer({ min: 0, max: 2000 }),
      free: fc.integer({ min: 0, max: 3000 }),
      w: fc.integer({ min: 300, max: 4000 }),
      scraped: fc.boolean(),
      rack: fc.boolean(),
    });
    fc.assert(
      fc.property(plans, ({ paste, free, w, scraped, rack }) => {
        const { causes, baseC, liquidC } = verdict(
          {
            ...add('tomato-paste', paste, 'stirred-in'),
            ...watts(w),
            rack,
            deglaze: { liquid: 'stock', ml: 120, scraped },
          },
          { ...FULL, freeMl: free },
        );
        for (const { kelvin } of causes) {
          expect(Number.isFinite(kelvin)).toBe(true);
          expect(kelvin).toBeGreaterThanOrEqual(0);
        }
        // Shares too small for a word are left out.
        const sum = causes.reduce((total, { kelvin }) => total + kelvin, 0);
        expect(Math.abs(sum - (baseC - liquidC))).toBeLessThan(1.5);
      }),
    );
  });

  test('a base without area is refused', () => {
    expect(() => verdict({ cooker: { ...DEFAULT_COOKER, baseDiameterCm: 0 }, kitchen: DEFAULT_KITCHEN })).toThrow(
      'base diameter',
    );
  });
});

describe('how often such a pot burns', () => {
  test('by its quadrature as by ten thousand draws', () => {
    for (const [more, cutoutC] of [
      [{}, 150],
      [watts(1500), 132],
      [{ deglaze: { liquid: 'stock', ml: 120, scraped: true }, ...watts(1300) }, 126],
    ] as const) {
      const plan = planFor('beef-chuck', 'chunks', 1200, { ...CLEAN, ...more });
      const cooker = { ...plan.cooker, burnCutoutC: cutoutC };
      const build = potBuild(cooker, plan.kitchen, plan.heat);
      const state: BaseState = {
        liquidC: FULL.liquidC,
        fluxWPerM2: (build.heaterW * build.lidOnShare) / (Math.PI * (cooker.baseDiameterCm / 200) ** 2),
        freeMl: FULL.freeMl,
        baseAreaM2: Math.PI * (cooker.baseDiameterCm / 200) ** 2,
        starchG: 0,
        sticking: 'clean',
        lyingShare: 0,
        grainSettled: false,
      };
      const random = seeded(3);
      let burnt = 0;
      for (let n = 0; n < 10_000; n += 1) {
        const base = baseTemperatureC({
          ...state,
          fluxWPerM2: state.fluxWPerM2 * Math.exp(VARIES.heatElectric.cv * random.normal()),
          sticking: 'fond',
          stickingShare: STUCK_AT_MOST * random.next() ** 2,
        });
        if (base >= cutoutC + CUT_OUT_K * random.normal()) burnt += 1;
      }
      const closed = burnChance(state, 'fond', cooker);
      expect([closed, burnt / 10_000, Math.abs(closed - burnt / 10_000) < 0.015]).toEqual([
        closed,
        burnt / 10_000,
        true,
      ]);
    }
  });

  test('a clean deglazed pot hardly ever, an unscraped one mostly; hotter is oftener', () => {
    expect(verdict({}).chance).toBeLessThan(0.01);
    expect(verdict({ deglaze: null }).chance).toBeGreaterThan(0.3);
    const by = [900, 1100, 1300, 1600].map((w) => verdict({ deglaze: null, ...watts(w) }).chance);
    expect(by).toEqual([...by].sort((a, b) => a - b));
  });

  test('nothing that was never seared is stuck', () => {
    const plain = { sear: { school: 'none', where: 'pot', order: 'meat-first' } } as const;
    expect(verdict(plain).chance).toBeLessThanOrEqual(verdict({}).chance);
  });
});

test('chopped tomatoes fried after the meat give almost their weight in water, as tins say (93 % water; USDA FoodData)', () => {
  const fried = (grams: number): Plan =>
    planFor('beef-chuck', 'chunks', 1200, {
      aromatics: [],
      additions: [{ ingredient: 'chopped-tomato', grams, when: 'fried' }],
    });
  const after = (plan: Plan): Plan => ({ ...plan, sear: { ...plan.sear, order: 'meat-first' } });
  expect(vegetableWaterMl(after(fried(200)))).toBeCloseTo(186, 6);
  expect(vegetableWaterMl(after(fried(0)))).toBe(0);
  // Fried before the meat they have boiled down by the time it comes.
  expect(vegetableWaterMl({ ...fried(200), sear: { ...fried(200).sear, order: 'onion-first' } })).toBe(0);
});
