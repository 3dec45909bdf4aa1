import * as fc from 'fast-check';
import type { Form } from '../../catalog/cuts';
import { DEFAULT_COOKER, DEFAULT_KITCHEN } from '../../plan/defaults';
import { COOKER_SETS } from '../../plan/cooker-sets';
import { potBuild } from '../../pot/cooker';
import { Pot } from '../../pot/pot-model';
import { heatUp, letDown, runOn } from '../../pot/pressure-run';
import { waterTest } from '../../pot/water-test';
import type { Meat, Plan } from '../../plan/plan';
import { chartFor, planFor } from '../../testing/fixtures';
import { forecast } from './forecast';
import { methodCookValue, methodMinutes, METHODS, withoutPressure, type Method } from './other-methods';
import { additionalMinutes } from '../guide/additional-minutes';
import { timesOverWeight, timesRow } from './times';
import { formAlternatives, pressureMinutesLike, releaseAlternatives } from './what-if';

const USUAL: Partial<Plan> = { liquids: [{ liquid: 'stock', ml: 500, temperatureC: 20 }] };
const plan = (cut: string, form: Form, grams: number, meat: Partial<Meat> = {}): Plan =>
  planFor(cut, form, grams, USUAL, meat);

describe('any method is another temperature history: the trade’s own conversions (common practice)', () => {
  test.each<[string, Plan, number, Method, number, number]>([
    ['ribs 45 min: 3.5 to 5.5 h in a low oven', plan('beef-short-rib', 'ribs', 1400), 45, 'oven', 3.5, 5.5],
    ['beef cubes 35 min: 2.25 to 3.25 h simmering', plan('beef-chuck', 'bite-size', 1000), 35, 'simmer', 2.25, 3.25],
    [
      'thin lean slices 90 min: 5.5 to 10 h in a slow cooker',
      plan('beef-round', 'chunks', 1000, { thicknessCm: 2 }),
      90,
      'slow-cooker-high',
      5.5,
      10,
    ],
    [
      'small chunks 20 min: 6 to 8 h in a slow cooker on low',
      plan('lamb-shoulder', 'bite-size', 700),
      20,
      'slow-cooker',
      6,
      8,
    ],
    ['small chunks 20 min: 3 to 5 h on high', plan('lamb-shoulder', 'bite-size', 700), 20, 'slow-cooker-high', 3, 5],
    ['stew pieces 22 min: 1.25 to 2.5 h simmering', plan('goat-stewing', 'pieces', 1200), 22, 'simmer', 1.25, 2.5],
  ])('%s', (_name, braise, pressureMinutes, method, low, high) => {
    const { cookValueMean } = forecast({ ...braise, pressureMinutes }).tenderness;
    const hours = (methodMinutes(braise, method, cookValueMean) ?? Number.NaN) / 60;
    expect(hours).toBeGreaterThanOrEqual(low);
    expect(hours).toBeLessThanOrEqual(high);
  });

  test('there and back again: the minutes of a method bring the cook value they were asked for within 1 %', () => {
    const braise = plan('lamb-shank', 'whole', 1600);
    for (const method of METHODS) {
      for (const cookValue of [40, 90, 160]) {
        const minutes = methodMinutes(braise, method, cookValue) ?? 0;
        expect(Math.abs(methodCookValue(braise, method, minutes) / cookValue - 1)).toBeLessThan(0.01);
      }
    }
  });

  test('an oven goes by its temperature: three hours at 110 °C are far fewer minutes than at 180 °C (common practice)', () => {
    const braise = plan('beef-short-rib', 'ribs', 1400);
    const [low, usual, high] = [110, 150, 180].map((ovenC) =>
      pressureMinutesLike(braise, [{ method: 'oven', minutes: 180, ovenC }]),
    );
    expect(low).toBeLessThan((usual ?? 0) * 0.8);
    expect(high).toBeGreaterThan((usual ?? 0) * 1.1);
    expect(methodMinutes(braise, 'oven', 90, 110)).toBeGreaterThan((methodMinutes(braise, 'oven', 90, 180) ?? 0) * 1.3);
  });

  test('an old recipe’s four hours in the oven are pressure minutes whose oven time is four hours', () => {
    const braise = plan('beef-short-rib', 'ribs', 1400);
    const minutes = pressureMinutesLike(braise, [{ method: 'oven', minutes: 240 }]);
    const back =
      withoutPressure(forecast({ ...braise, pressureMinutes: minutes })).find(({ method }) => method === 'oven')
        ?.minutes ?? 0;
    expect(Math.abs(back - 240)).toBeLessThan(8);
  });

  test('more cook value never takes less time, and a mountain simmers longer', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...METHODS),
        fc.double({ min: 1, max: 200, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        (method, cookValue, more) => {
          const braise = plan('goat-leg', 'chunks', 1400);
          const minutes = methodMinutes(braise, method, cookValue) ?? 1440;
          expect(methodMinutes(braise, method, cookValue + more) ?? 1440).toBeGreaterThanOrEqual(minutes);
          const up = { ...braise, kitchen: { altitudeM: 3000, roomC: 20 } };
          expect(methodMinutes(up, method, cookValue) ?? 1441).toBeGreaterThanOrEqual(minutes);
        },
      ),
      { numRuns: 20 },
    );
  });
});

describe('the same tenderness otherwise', () => {
  const base = forecast(
    planFor('beef-chuck', 'chunks', 2400, { liquids: [{ liquid: 'stock', ml: 900, temperatureC: 20 }] }),
  );

  test('less release is more minutes, each way as sure as the plan wants it', () => {
    const ways = releaseAlternatives(base);
    expect(ways.map(({ release }) => release?.method)).toEqual(['natural', 'natural-then-quick', 'quick']);
    const minutes = ways.map(({ pressureMinutes }) => pressureMinutes);
    expect([...minutes].sort((a, b) => a - b)).toEqual(minutes);
    for (const { chance } of ways) expect(chance.at + chance.past).toBeGreaterThanOrEqual(0.8);
    expect(ways.find(({ chosen }) => chosen)).toMatchObject({ laterMinutes: 0, pressureMinutes: base.pressureMinutes });
  });

  test('smaller pieces are done sooner under pressure', () => {
    const [whole, chunks, bites] = formAlternatives(base);
    expect(whole?.form).toBe('whole');
    expect(whole?.pressureMinutes).toBeGreaterThan(chunks?.pressureMinutes ?? 0);
    expect(chunks?.pressureMinutes).toBeGreaterThan(bites?.pressureMinutes ?? 0);
  });
});

describe('still tough', () => {
  const braise = plan('beef-chuck', 'chunks', 1400);

  test('the tougher the fork finds it, the more minutes; met already, none', () => {
    const chewy = additionalMinutes(braise, 30, 'chewy');
    const firm = additionalMinutes(braise, 30, 'firm');
    expect(chewy?.minutes).toBeGreaterThan(firm?.minutes ?? 0);
    expect(firm?.minutes).toBeGreaterThan(0);
    expect(chewy?.tougherBy).toBeGreaterThan(0.2);
    expect(additionalMinutes(braise, 30, 'fork')).toBeNull();
  });

  test('counts the way up again, which is shorter from a hot pot', () => {
    const more = additionalMinutes(braise, 30, 'firm');
    expect(more?.reheatMinutes).toBeGreaterThan(1);
    expect(more?.reheatMinutes).toBeLessThan(forecast(braise).pot.minutesToPressure);
    expect(more?.text).toContain('to come up');
  });
});

describe('the wall chart', () => {
  test('has minutes for three targets, rising, and larger joints later', () => {
    const row = timesRow('goat-leg', chartFor);
    for (const { minutes } of row) {
      expect(minutes.fork).toBeGreaterThan(minutes.slices ?? 0);
      expect(minutes.pulls).toBeGreaterThan(minutes.fork ?? 0);
    }
    const wholes = row.filter(({ form }) => form === 'whole').map(({ minutes }) => minutes.fork ?? 0);
    expect(wholes).toHaveLength(3);
    expect([...wholes].sort((a, b) => a - b)).toEqual(wholes);
    expect(row.find(({ form }) => form === 'chunks')?.thicknessCm).toBeCloseTo(5, 6);
  });

  test('as a picture: minutes rise with the weight of a joint, hardly with that of chunks, and agree with the row', () => {
    const whole = timesOverWeight('beef-chuck', 'whole', chartFor);
    const fork = whole.map(({ minutes }) => minutes.fork ?? 0);
    expect(fork).toEqual([...fork].sort((a, b) => a - b));
    expect((fork.at(-1) ?? 0) - (fork[0] ?? 0)).toBeGreaterThan(30);
    const usual = timesRow('beef-chuck', chartFor).filter(({ form }) => form === 'whole')[1];
    expect(whole.find(({ grams }) => grams === usual?.grams)).toEqual(usual);
    // A fuller pot takes longer to come up, and what comes up slowly has begun to cook by then.
    const chunks = timesOverWeight('beef-chuck', 'chunks', chartFor).map(({ minutes }) => minutes.fork ?? 0);
    expect(Math.abs((chunks.at(-1) ?? 0) - (chunks[0] ?? 0))).toBeLessThan(15);
  });

  test('has a dash where a pot cannot come to pressure', () => {
    const weak = {
      ...chartFor,
      cooker: { ...DEFAULT_COOKER, watts: 200, kind: 'stovetop' as const, burner: 'gas' as const },
    };
    expect(timesRow('lamb-shank', weak)[0]?.minutes).toEqual({ slices: null, fork: null, pulls: null });
  });
});

describe('finding out a cooker', () => {
  test('the power that timed a litre of water is found again within 2 %, for every starting set', () => {
    for (const { id, cooker: figures } of COOKER_SETS) {
      const cooker = { ...figures, name: id };
      const build = potBuild(cooker, DEFAULT_KITCHEN);
      const pot = new Pot(build, build.roomC);
      pot.pour(1, 12);
      const minutes = heatUp(pot, { timerStarts: 'pin', keepWarmOff: true })?.toPin ?? 0;
      expect(Math.abs(waterTest(cooker, DEFAULT_KITCHEN, 12, minutes).heatW / build.heaterW - 1)).toBeLessThan(0.02);
    }
  });

  test('an impossible time is refused in words', () => {
    expect(() => waterTest(DEFAULT_COOKER, DEFAULT_KITCHEN, 12, 90)).toThrow(
      'minutes to the pin 90 is outside the range 2 to 60 min',
    );
    expect(() => waterTest({ ...DEFAULT_COOKER, litres: 8 }, DEFAULT_KITCHEN, 1, 1.99)).toThrow(RangeError);
  });
});

describe('from frozen', () => {
  test('the forecast is later than from the fridge, safe later, and says so at its step', () => {
    const fridge = forecast(plan('pork-shoulder', 'whole', 1800));
    const frozen = forecast(plan('pork-shoulder', 'whole', 1800, { startsFrom: 'frozen' }));
    expect(frozen.pressureMinutes).toBeGreaterThan(fridge.pressureMinutes + 10);
    expect(frozen.tenderness.minutesToSafe).toBeGreaterThan(fridge.tenderness.minutesToSafe ?? 0);
    expect(frozen.cautions.map(({ code }) => code)).toContain('frozen-start');
  });
});

describe('a second run', () => {
  test('needs the pin down before the lid opens, purges anew, and comes up sooner than the first', () => {
    const settings = { timerStarts: 'pressure', keepWarmOff: true } as const;
    const pot = new Pot(potBuild(DEFAULT_COOKER, DEFAULT_KITCHEN), 20, 1);
    const first = heatUp(pot, settings)?.toTimer ?? 0;
    expect(() => pot.openLid()).toThrow('the pin is up');
    runOn(pot, 5, 0);
    letDown(pot, { method: 'quick', naturalMinutes: 0 }, settings);
    const purged = pot.accounts.purgedKg;
    pot.openLid();
    const second = heatUp(pot, settings)?.toTimer ?? Number.POSITIVE_INFINITY;
    expect(second).toBeLessThan(first / 2);
    expect(pot.accounts.purgedKg).toBeGreaterThan(purged * 1.9);
  });
});
