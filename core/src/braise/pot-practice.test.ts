import { tenderCut, whyTender } from '../catalog/tender-cuts';
import type { Plan, PlannedStage } from '../plan/plan';
import { stageOf } from '../plan/stage-settings';
import { planFor } from '../testing/fixtures';
import { forecast } from './forecast/forecast';
import type { Forecast } from './forecast/forecast-document';
import { guideOf } from './guide/guide';

const usual = (id: string): PlannedStage => stageOf({ stages: [] }, id);
const chuck = (more: Partial<Plan>): Forecast => forecast(planFor('beef-chuck', 'chunks', 1300, more));
const told = (f: Forecast): string =>
  guideOf(f)
    .steps.map(({ title, detail }) => `${title} ${detail}`)
    .join('\n');
/** What the first lid's base comes to, and its verdict. */
const base = ({ burn }: Forecast): { level: string; baseC: number } => ({ level: burn.level, baseC: burn.baseC });

// Figures against what practised cooks see in their pots; common practice throughout, no published source.
describe('the base, as practice has it', () => {
  test('a quick sear leaves little that sticks: no error with 2.6 l poured and nothing scraped', () => {
    const f = chuck({
      sear: { school: 'quick', where: 'pot', order: 'meat-first' },
      deglaze: null,
      liquids: [{ liquid: 'stock', ml: 2600, temperatureC: 20 }],
      cooker: { ...planFor('beef-chuck', 'chunks', 1300).cooker, litres: 8, watts: 1000 },
    });
    expect(base(f).level).toBe('safe');
  });

  test('a hard one that nobody scrapes is still likely to burn', () => {
    expect(base(chuck({ deglaze: null, liquids: [{ liquid: 'stock', ml: 500, temperatureC: 20 }] })).level).not.toBe(
      'safe',
    );
  });

  test.each<[string, Partial<Plan>]>([
    ['onion', { aromatics: [{ ingredient: 'onion', grams: 250 }] }],
    ['mushrooms', { aromatics: [{ ingredient: 'mushroom', grams: 200 }] }],
    ['chopped tomatoes', { additions: [{ ingredient: 'chopped-tomato', grams: 200, when: 'fried' }] }],
  ])('what was scraped up in the water of %s does not burn', (_, more) => {
    const f = chuck({ deglaze: null, liquids: [{ liquid: 'stock', ml: 500, temperatureC: 20 }], ...more });
    expect(base(f).level).toBe('safe');
  });

  test('a tin of thin tomato sauce is called one food, by whatever name: none burns', () => {
    for (const liquid of ['passata', 'salsa-thin', 'chopped-tomato', 'plum-tomato']) {
      const f = chuck({
        liquids: [
          { liquid, ml: 425, temperatureC: 20 },
          { liquid: 'stock', ml: 240, temperatureC: 20 },
        ],
      });
      expect([liquid, base(f).level]).toEqual([liquid, 'safe']);
    }
  });
});

describe('the sauce, as practice has it', () => {
  const sauce = (more: Partial<Plan>): Forecast =>
    chuck({
      liquids: [{ liquid: 'stock', ml: 600, temperatureC: 20 }],
      ...more,
      finish: {
        ...planFor('beef-chuck', 'chunks', 1300).finish,
        thickener: 'cornstarch',
        body: 'coating',
        sauceMl: 480,
        ...more.finish,
      },
    });

  test('100 g of sugar bind nothing: 16 g of cornstarch for two cups that coat, in about 40 ml of water', () => {
    const f = sauce({ additions: [{ ingredient: 'sugar', grams: 100, when: 'on-top' }] });
    expect(f.finish.thickenerGrams).toBeGreaterThan(14.5);
    expect(f.finish.thickenerGrams).toBeLessThan(17.5);
    expect(f.finish.waterMl).toBeGreaterThan(29);
    expect(f.finish.waterMl).toBeLessThan(46);
  });

  test('paste stirred in at the end thickens a little, and less starch is wanted', () => {
    const none = sauce({}).finish.thickenerGrams;
    const paste = sauce({ additions: [{ ingredient: 'tomato-paste', grams: 100, when: 'after' }] }).finish
      .thickenerGrams;
    expect(none - paste).toBeGreaterThan(2);
    expect(none - paste).toBeLessThan(6);
  });

  test('where no starch is needed it says so', () => {
    const f = sauce({ additions: [{ ingredient: 'cornstarch', grams: 40, when: 'after' }] });
    expect(f.finish.text).toMatch(/coating as it is: no starch needed/);
    expect(told(f)).not.toMatch(/cold water, pour it in/);
  });

  test('a quarter of an hour at a hard boil takes a good deal away, a gentle simmer less', () => {
    const boiled = (heat: 'gentle' | 'hard'): number => {
      const stage = { ...usual('simmer'), kind: 'simmer' as const, minutes: 15, heat };
      const f = chuck({
        liquids: [{ liquid: 'stock', ml: 800, temperatureC: 20 }],
        stages: [stage],
        vegetables: [{ vegetable: 'turnip', grams: 300, texture: 'soft', place: 'simmer' }],
      });
      return f.liquid.freeAtEndMl;
    };
    const [gentle, hard] = [boiled('gentle'), boiled('hard')];
    expect(gentle - hard).toBeGreaterThan(60);
  });

  test('oil for the pan and the fat of bacon are in what is skimmed', () => {
    const plain = chuck({}).liquid.fatMl;
    const oil = chuck({ sear: { school: 'hard', where: 'pot', order: 'meat-first', fatMl: 60 } }).liquid.fatMl;
    const bacon = chuck({ aromatics: [{ ingredient: 'bacon', grams: 150, how: 'fried-first' }] }).liquid.fatMl;
    expect(oil - plain).toBeCloseTo(60, 6);
    expect(bacon - plain).toBeGreaterThan(30);
  });
});

describe('vegetables, meat and plates, as practice has them', () => {
  test.each([6, 7])('cabbage in %d cm wedges and roots of 4 cm: three minutes of a second run, tender', (sizeCm) => {
    const f = forecast(
      planFor('beef-brisket-cured', 'whole', 1800, {
        stages: [{ ...usual('second-run'), minutes: 3 }],
        vegetables: [
          { vegetable: 'cabbage', grams: 600, texture: 'tender', place: 'second-run', sizeCm },
          { vegetable: 'potato-waxy', grams: 500, texture: 'tender', place: 'second-run', sizeCm: 4 },
        ],
      }),
    );
    expect(f.stages.flatMap(({ items }) => items).map(({ texture }) => texture)).toEqual(['tender', 'tender']);
  });

  test('a cured brisket of 900 g feeds six, a fresh one of that weight four', () => {
    expect(forecast(planFor('beef-brisket-cured', 'whole', 900)).yield.portions).toBe(6);
    expect(forecast(planFor('beef-brisket-flat', 'whole', 900)).yield.portions).toBe(4);
  });

  test('meat that is meant for shreds is at it after 90 minutes, not past it', () => {
    const chance = (target: Plan['target']): Forecast['tenderness']['chance'] =>
      forecast(planFor('pork-shoulder', 'chunks', 1800, { target, pressureMinutes: 60 })).tenderness.chance;
    expect(chance('pulls').past).toBeGreaterThan(0.5);
    expect(chance('shreds').at).toBeGreaterThan(0.6);
    const asked = (target: Plan['target']): number =>
      forecast(planFor('pork-shoulder', 'chunks', 1800, { target })).pressureMinutes;
    expect(asked('shreds')).toBeGreaterThan(asked('pulls'));
  });

  test('coming to pressure after a sauté, all hot, 0.9 kg: about a quarter of an hour at most', () => {
    const f = forecast(
      planFor('beef-chuck', 'chunks', 900, {
        aromatics: [{ ingredient: 'onion', grams: 300 }],
        liquids: [{ liquid: 'stock', ml: 350, temperatureC: 20 }],
      }),
    );
    expect(f.pot.minutesToPressure).toBeLessThan(17);
    expect(f.pot.minutesToPressure).toBeGreaterThan(8);
  });

  test.each(['beef-round', 'beef-sirloin-tip', 'beef-chuck', 'pork-collar'])('%s may be sliced', (cut) => {
    const f = forecast(planFor(cut, 'slices', 1200, { pressureMinutes: null }));
    expect(f.piece.thicknessCm).toBeCloseTo(2.5, 6);
    expect(f.pressureMinutes).toBeLessThan(
      forecast(planFor(cut, 'whole', 1200, { pressureMinutes: null })).pressureMinutes,
    );
  });

  test('tender cuts are known by name and answered; what only sounds like one is not', () => {
    expect(whyTender(tenderCut('2 pork tenderloins, 600 g each') as NonNullable<ReturnType<typeof tenderCut>>)).toMatch(
      /^Pork tenderloin is not for braising: .*63 °C/,
    );
    for (const braised of ['lamb shoulder chops', 'lamb neck fillet', 'beef sirloin tip', 'pork spare rib chops']) {
      expect([braised, tenderCut(braised)]).toEqual([braised, null]);
    }
  });
});
