import { forecast } from '../braise/forecast/forecast';
import { readyPot } from '../braise/forecast/kitchen-pot';
import { pieceBody } from '../meat/piece-body';
import { pieceOf } from '../meat/piece';
import type { Plan } from '../plan/plan';
import { planFor } from '../testing/fixtures';
import { contentsOf, topLayer } from './contents';
import { heatUp } from './pressure-run';

const QUICK = { method: 'quick', naturalMinutes: 0 } as const;

/** Chunks in half a litre, in a wide pot of 8 l at 1 kW, let down at once: only the way up differs. */
const potful = (grams: number, more: Partial<Plan> = {}): Plan => {
  const plan = planFor('beef-chuck', 'chunks', grams);
  return {
    ...plan,
    cooker: { ...plan.cooker, litres: 8, baseDiameterCm: 23, watts: 1000 },
    sear: { school: 'none', where: 'pot', order: 'meat-first' },
    deglaze: null,
    liquids: [{ liquid: 'stock', ml: 500, temperatureC: 20 }],
    release: QUICK,
    ...more,
  };
};

describe('what lies above the liquid', () => {
  test('is the uppermost layer: dry where the pile is high, in the liquid where it is poured over', () => {
    const high = potful(3000);
    expect(topLayer(high, pieceOf(high.meat), 500).wet).toBe(0);
    expect(topLayer(high, pieceOf(high.meat), 4000).wet).toBe(1);
    const { bedCm } = contentsOf(high, pieceOf(high.meat), [], 500);
    expect(topLayer(high, pieceOf(high.meat), 500).share).toBeCloseTo(5 / bedCm, 6);
    expect(topLayer(potful(120), pieceOf(potful(120).meat), 50).wet).toBe(1);
  });

  test('is cold until there is steam, and in step with the rest from the pin on; heat is lost to nobody', () => {
    const plan = potful(2400);
    const { cuts, pot } = readyPot(plan);
    pot.add(...cuts.map(({ meat, piece }) => pieceBody(meat, piece, 5)));
    pot.pile();
    const [top] = pot.bodies;
    const beneath = top?.beneath;
    const before = {
      stored: pot.storedJ(),
      heater: pot.accounts.heaterJ,
      lost: pot.accounts.lostJ,
      steam: pot.accounts.steamJ,
    };
    const meatBefore = top?.heatJ() ?? 0;
    let atBoiling: readonly number[] = [];
    heatUp(pot, plan.cooker, ({ phase }) => {
      if (phase === 'purging' && atBoiling.length === 0) atBoiling = [top?.body.heatK() ?? 0, beneath?.heatK() ?? 0];
    });
    const [above = 0, under = 0] = atBoiling;
    expect(above).toBeLessThan(under - 25);
    expect(top?.body.heatK() ?? 0).toBeGreaterThan(above + 20);
    const given = pot.accounts.heaterJ - before.heater;
    const gone = pot.accounts.lostJ - before.lost + (pot.accounts.steamJ - before.steam);
    const kept = pot.storedJ() - before.stored + ((top?.heatJ() ?? 0) - meatBefore);
    expect(Math.abs(given - gone - kept) / given).toBeLessThan(0.005);
  });

  test('decides: from 0.4 to 4 kg of the same chunks hardly fewer minutes, though the way up is three times as long (common practice)', () => {
    const potfuls = [400, 800, 1600, 2400, 3200, 4000].map((grams) => forecast(potful(grams)));
    const minutes = potfuls.map(({ pressureMinutes }) => pressureMinutes);
    const up = potfuls.map(({ pot }) => pot.minutesToPressure);
    expect((up.at(-1) ?? 0) / (up[0] ?? 1)).toBeGreaterThan(2.5);
    // The first is all in its liquid: what it gains on the way up is its own.
    expect(Math.max(...minutes) - Math.min(...minutes)).toBeLessThanOrEqual(6);
  });

  test('poured over with liquid, fewer minutes do than piled above it', () => {
    const covered = potful(2400, { liquids: [{ liquid: 'stock', ml: 3000, temperatureC: 20 }] });
    expect(forecast(covered).pressureMinutes).toBeLessThan(forecast(potful(2400)).pressureMinutes);
  });
});
