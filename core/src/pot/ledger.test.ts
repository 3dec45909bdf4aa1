import * as fc from 'fast-check';
import { pieceOf } from '../meat/piece';
import { bonelessGrams, fatMl, juiceMl } from '../meat/yield';
import { DEFAULT_COOKER } from '../plan/defaults';
import type { Plan } from '../plan/plan';
import { planFor } from '../testing/fixtures';
import { chargesOf } from './charge';
import { contentsOf } from './contents';
import { fillOf } from './fill';
import { ledgerOf, type PotHistory } from './ledger';
import { liquidSchools } from './liquid-schools';

const HISTORY: PotHistory = {
  lidOn: { boiledKg: 0.05 },
  opened: { boiledKg: 0.06, purgedKg: 0.04, flashedKg: 0.03 },
  juiceMl: 250,
};

describe('juice and fat', () => {
  test('18 to 25 % of trimmed boneless weight, more with time and temperature (common practice)', () => {
    const { meat } = planFor('beef-chuck', 'chunks', 1100, {}, { trimGrams: 100 });
    expect(juiceMl(meat, 20, 0)).toBe(0);
    expect(juiceMl(meat, 100, 0)).toBeCloseTo(180, 6);
    expect(juiceMl(meat, 115, 300)).toBeGreaterThan(235);
    expect(juiceMl(meat, 115, 1e6)).toBeCloseTo(250, 3);
    expect(juiceMl(meat, 70, 0)).toBeLessThan(juiceMl(meat, 80, 0));
  });

  test('fat: lean 2, medium 5, rich 9 % (common practice); bone gives none', () => {
    expect(fatMl(planFor('beef-round', 'chunks', 1000).meat)).toBeCloseTo(20, 6);
    expect(fatMl(planFor('beef-cheek', 'chunks', 1000).meat)).toBeCloseTo(50, 6);
    expect(fatMl(planFor('beef-chuck', 'chunks', 1000).meat)).toBeCloseTo(90, 6);
    expect(bonelessGrams(planFor('beef-oxtail', 'pieces', 1000).meat)).toBeCloseTo(550, 6);
  });
});

describe('what goes in', () => {
  test('liquids, marinade, sauces and the swill of the blender, each at its moment', () => {
    const plan = planFor(
      'beef-chuck',
      'chunks',
      1200,
      {
        additions: [
          {
            ingredient: 'chilli-blend',
            grams: 200,
            when: 'stirred-in',
            apart: { steps: ['soak', 'blend'], swillMl: 120 },
          },
          { ingredient: 'tomato-paste', grams: 50, when: 'on-top' },
          { ingredient: 'cream', grams: 100, when: 'after' },
        ],
      },
      { marinade: { ml: 150, hours: 12, then: 'poured-in' } },
    );
    expect(chargesOf(plan).map(({ stage, what }) => `${stage}: ${what}`)).toEqual([
      'deglaze: stock or broth',
      'load: stock or broth',
      'load: marinade',
      'load: soaked chillies blended with their liquid',
      'load: water that rinses the blender',
      'on-top: tomato paste',
      'after: cream or sour cream',
    ]);
    const thrownAway: Plan = { ...plan, meat: { ...plan.meat, marinade: { ml: 150, hours: 12, then: 'thrown' } } };
    expect(chargesOf(thrownAway).some(({ what }) => what === 'marinade')).toBe(false);
  });
});

describe('the ledger', () => {
  test('every line of a braise with onions and barley, by hand', () => {
    const plan = planFor('beef-chuck', 'chunks', 1200, {
      aromatics: [{ ingredient: 'onion', grams: 200 }],
      grains: [{ grain: 'barley-pearl', grams: 60, place: 'start' }],
      additions: [{ ingredient: 'tomato-paste', grams: 50, when: 'on-top' }],
    });
    const ledger = ledgerOf(plan, chargesOf(plan), HISTORY);
    expect(ledger.entries.map(({ what, ml }) => [what, Math.round(ml * 10) / 10])).toEqual([
      ['stock or broth', 117.6],
      ['boiled off while it is scraped', -50],
      ['stock or broth', 392],
      ['steam blown off before the pin rises', -40],
      ['juice of beef chuck', 250],
      ['water of onion', 60],
      ['boiled away under pressure', -10],
      ['taken up by pearl barley', -138],
      ['flashes into steam when the valve is opened', -30],
      ['tomato paste, stirred in', 36.5],
    ]);
    expect(ledger.freeAtStartMl).toBeCloseTo(459.6, 6);
    expect(ledger.freeAtEndMl).toBeCloseTo(588.1, 6);
    expect(ledger.belowMinimum).toBe(false);
  });

  test('balances to the millilitre and never goes below nothing, whatever goes in', () => {
    const plans = fc.record({
      ml: fc.integer({ min: 0, max: 3000 }),
      deglaze: fc.integer({ min: 0, max: 500 }),
      barley: fc.integer({ min: 0, max: 2000 }),
      onion: fc.integer({ min: 0, max: 800 }),
      boiled: fc.double({ min: 0, max: 2, noNaN: true }),
      flashed: fc.double({ min: 0, max: 1, noNaN: true }),
      juice: fc.integer({ min: 0, max: 900 }),
    });
    fc.assert(
      fc.property(plans, ({ ml, deglaze, barley, onion, boiled, flashed, juice }) => {
        const plan = planFor('goat-neck', 'slices', 1600, {
          liquids: [{ liquid: 'water', ml, temperatureC: 20 }],
          deglaze: { liquid: 'cider', ml: deglaze, scraped: true },
          aromatics: [{ ingredient: 'onion', grams: onion }],
          grains: [{ grain: 'barley-pearl', grams: barley, place: 'start' }],
        });
        const ledger = ledgerOf(plan, chargesOf(plan), {
          lidOn: { boiledKg: boiled / 2 },
          opened: { boiledKg: boiled, purgedKg: 0.04, flashedKg: flashed },
          juiceMl: juice,
        });
        let free = 0;
        for (const entry of ledger.entries) {
          free += entry.ml;
          expect(free).toBeGreaterThanOrEqual(-1e-6);
        }
        expect(Math.abs(free - ledger.freeAtEndMl)).toBeLessThan(1);
      }),
    );
  });

  test('under the minimum when less is free than the cooker wants', () => {
    const plan = planFor('beef-chuck', 'chunks', 1200, {
      deglaze: null,
      liquids: [{ liquid: 'stock', ml: 200, temperatureC: 20 }],
    });
    expect(ledgerOf(plan, chargesOf(plan), { ...HISTORY, lidOn: { boiledKg: 0 } }).belowMinimum).toBe(true);
  });
});

describe('the fill', () => {
  const filled = (more: Partial<Plan>, freeMl: number): ReturnType<typeof fillOf> => {
    const plan = planFor('beef-chuck', 'chunks', 1200, more);
    return fillOf(plan, contentsOf(plan, pieceOf(plan.meat), chargesOf(plan), freeMl));
  };

  test('two thirds, half with grain (makers’ manuals and extension services; from memory)', () => {
    expect(filled({}, 400).limit).toBeCloseTo(2 / 3, 9);
    expect(filled({ grains: [{ grain: 'barley-pearl', grams: 100, place: 'start' }] }, 400).limit).toBe(0.5);
  });

  test('over the line it says how many runs and which pot would do; more than the pot holds does not go in', () => {
    const over = filled({}, 3200);
    expect(over).toMatchObject({ over: true, overflows: false, runs: 2 });
    expect(over.potLitres).toBeGreaterThan(5.7);
    expect(filled({}, 9000).overflows).toBe(true);
    expect(filled({}, 60_000).potLitres).toBeNull();
  });

  test('gaps between pieces count: dry chunks take more room than their volume', () => {
    const plan = planFor('beef-chuck', 'chunks', 2000);
    const contents = contentsOf(plan, pieceOf(plan.meat), chargesOf(plan), 0);
    expect(contents.occupiedMl).toBeGreaterThan(contents.meatMl * 1.4);
    // Liquid rises in the gaps faster than in an empty pot, and never past what is poured over the top.
    const some = contentsOf(plan, pieceOf(plan.meat), chargesOf(plan), 500);
    expect(some.liquidCm).toBeGreaterThan(500 / some.areaCm2);
    expect(some.occupiedMl).toBeCloseTo(contents.occupiedMl, 6);
  });

  test('more liquid never stands lower nor fills less, with a rack or without', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 5000 }),
        fc.integer({ min: 0, max: 2000 }),
        fc.boolean(),
        (ml, more, rack) => {
          const plan = planFor('pork-shoulder', 'chunks', 1500, { rack });
          const at = (free: number): ReturnType<typeof contentsOf> =>
            contentsOf(plan, pieceOf(plan.meat), chargesOf(plan), free);
          expect(at(ml + more).liquidCm).toBeGreaterThanOrEqual(at(ml).liquidCm - 1e-9);
          expect(at(ml + more).occupiedMl).toBeGreaterThanOrEqual(at(ml).occupiedMl - 1e-9);
        },
      ),
    );
  });
});

describe('the schools of liquid', () => {
  test('minimum, half-buried, covered, submerged: each more than the one before, none under the minimum', () => {
    const plan = planFor('beef-chuck', 'chunks', 1300);
    const schools = liquidSchools(plan, pieceOf(plan.meat), chargesOf(plan), 50);
    const amounts = schools.map(({ freeMl }) => freeMl);
    expect([...amounts].sort((a, b) => a - b)).toEqual(amounts);
    expect(amounts[0]).toBeGreaterThanOrEqual(DEFAULT_COOKER.minimumLiquidMl);
    const levels = schools.map(({ level }) => level);
    expect(levels[1]).toBeGreaterThan(0.4);
    expect(levels[1]).toBeLessThan(0.6);
    expect(levels[2]).toBeCloseTo(1, 1);
    expect(levels[3]).toBeGreaterThan(1.2);
  });

  test('what else is poured counts: a large deglazing leaves less to pour', () => {
    const plan = planFor('beef-chuck', 'chunks', 1300);
    const more = { ...plan, deglaze: { liquid: 'cider', ml: 300, scraped: true } };
    const pour = (p: Plan): number => liquidSchools(p, pieceOf(p.meat), chargesOf(p), 50)[2]?.pourMl ?? 0;
    expect(pour(plan) - pour(more)).toBeGreaterThan(120);
  });
});

test('flour of the board is a paste a little heavier than water, and almost none of it is water', () => {
  const floured = planFor('beef-shin', 'chunks', 1200, {}, { flourGrams: 55 });
  const flour = chargesOf(floured).find(({ from }) => from === 'flour');
  // A batter weighs about 1.1 kg a litre; flour holds an eighth of water. From memory.
  expect(flour?.volumeMl).toBeCloseTo(50, 6);
  expect(flour?.waterMl).toBeLessThan(0.2 * 55);
  expect(flour?.starchG).toBeGreaterThan(0);
});
