import * as fc from 'fast-check';
import { pieceBody } from '../meat/piece-body';
import { pieceOf } from '../meat/piece';
import { DEFAULT_COOKER, DEFAULT_KITCHEN } from '../plan/defaults';
import type { Release } from '../plan/plan';
import { planFor } from '../testing/fixtures';
import { potBuild, workingTemperatureC } from './cooker';
import { Pot, type Controls } from './pot-model';
import { heatUp, letDown, runOn } from './pressure-run';

const SETTINGS = { timerStarts: 'pressure', keepWarmOff: true } as const;
const NATURAL: Release = { method: 'natural', naturalMinutes: 0 };
const build = potBuild(DEFAULT_COOKER, DEFAULT_KITCHEN);

/** A locked pot with a whole joint and liquid: half of the contents is meat. */
function loaded(kilos: number, liquidC = 20): Pot {
  const pot = new Pot(build, liquidC, kilos * 0.5);
  const { meat } = planFor('beef-chuck', 'whole', kilos * 500);
  pot.add(pieceBody(meat, pieceOf(meat), 5));
  return pot;
}

describe('the working temperature', () => {
  test('falls with altitude: a refuge at 1480 m works three degrees cooler than the coast', () => {
    expect(workingTemperatureC(72, DEFAULT_KITCHEN)).toBeCloseTo(115.7, 1);
    expect(workingTemperatureC(72, { altitudeM: 1480, roomC: 19 })).toBeCloseTo(112.7, 1);
  });

  test('a measured air pressure overrules the altitude', () => {
    expect(workingTemperatureC(72, { altitudeM: 3000, roomC: 20, airKPa: 101.325 })).toBeCloseTo(115.7, 1);
  });
});

describe('the pot', () => {
  test.each([
    [1, 8, 11, 7, 10],
    [2, 13, 17, 11, 16],
    [4, 23, 31, 20, 30],
  ])(
    '%d kg of contents at 1 kW: %d to %d min to pressure, %d to %d of natural release (common practice, a minute of room)',
    (kilos, up0, up1, down0, down1) => {
      const pot = loaded(kilos);
      const up = heatUp(pot, SETTINGS);
      expect(up?.toTimer).toBeGreaterThan(up0 - 1);
      expect(up?.toTimer).toBeLessThan(up1 + 1);
      runOn(pot, 100, 0);
      const down = letDown(pot, NATURAL, SETTINGS);
      expect(down.minutes).toBeGreaterThan(down0 - 1);
      expect(down.minutes).toBeLessThan(down1 + 1);
      expect(down.ventedAfter).toBeNull();
    },
  );

  test('cold meat in a pot that all but boils: a step goes on to the pin, and does not creep where the meat cools it first', () => {
    const whole = (stepS: number): { toPin: number; steps: number } => {
      // A hair below the 99.97 °C at which it boils, as after deglazing.
      const pot = loaded(2, 99.957);
      let steps = 0;
      const up = heatUp(pot, SETTINGS, () => (steps += 1), stepS);
      return { toPin: up?.toPin ?? Number.NaN, steps };
    };
    const [long, fine] = [whole(120), whole(1)];
    expect(long.steps).toBeLessThan(30);
    expect(Math.abs(long.toPin / fine.toPin - 1)).toBeLessThan(0.005);
  });

  test('the pin rises above boiling, pressure comes after it, and holds', () => {
    const pot = loaded(2);
    const up = heatUp(pot, SETTINGS);
    expect(up).not.toBeNull();
    expect(up?.toPin).toBeLessThan(up?.toTimer ?? 0);
    expect(pot.accounts.purgedKg).toBeCloseTo(build.purgeKg, 3);
    runOn(pot, 30, 0);
    expect(pot.temperatureC).toBeCloseTo(build.workingC, 1);
    expect(pot.pinIsUp).toBe(true);
  });

  test('an open valve brings a pot down in about 90 s and flashes 30 to 110 g (common practice)', () => {
    const pot = loaded(2);
    heatUp(pot, SETTINGS);
    runOn(pot, 45, 0);
    const down = letDown(pot, { method: 'quick', naturalMinutes: 0 }, SETTINGS);
    expect(down.minutes * 60).toBeGreaterThan(60);
    expect(down.minutes * 60).toBeLessThan(120);
    expect(pot.accounts.flashedKg * 1000).toBeGreaterThan(20);
    expect(pot.accounts.flashedKg * 1000).toBeLessThan(110);
    expect(pot.pinIsUp).toBe(false);
  });

  test('keep-warm left on lengthens the release', () => {
    const one = loaded(2);
    heatUp(one, SETTINGS);
    runOn(one, 30, 0);
    const other = one.clone();
    expect(letDown(other, NATURAL, { ...SETTINGS, keepWarmOff: false }).minutes).toBeGreaterThan(
      letDown(one, NATURAL, SETTINGS).minutes + 3,
    );
  });

  test('a timer that starts at the pin starts sooner', () => {
    expect(heatUp(loaded(2), { ...SETTINGS, timerStarts: 'pin' })?.toTimer).toBeLessThan(
      heatUp(loaded(2), SETTINGS)?.toTimer ?? 0,
    );
  });

  test('a heater that loses more than it gives never gets there', () => {
    const weak = new Pot({ ...build, heaterW: 90 }, 20, 1);
    expect(heatUp(weak, SETTINGS)).toBeNull();
  });

  test('a valve left open boils and never builds pressure', () => {
    const pot = new Pot(build, 20, 0.5);
    const controls: Controls = { watts: build.heaterW, lid: 'on', valve: 'open', regulated: true };
    for (let minute = 0; minute < 15; minute += 1) pot.step(controls, 60);
    expect(pot.pinIsUp).toBe(false);
    expect(pot.temperatureC).toBeCloseTo(build.boilingC, 1);
    expect(pot.accounts.boiledKg).toBeGreaterThan(0.05);
  });

  test('steps of any length tell the same story within half a minute', () => {
    const minutesTo = (seconds: number): number => {
      const pot = loaded(2);
      for (let i = 0; i < 20_000; i += 1) {
        if (
          pot.step({ watts: build.heaterW, lid: 'on', valve: 'closed', regulated: true }, seconds).event ===
          'atPressure'
        )
          break;
      }
      return pot.minutes;
    };
    expect(Math.abs(minutesTo(120) - minutesTo(2))).toBeLessThan(0.5);
  });
});

describe('energy', () => {
  /** Heat into the pieces from what crosses their faces, integrated on its own. */
  function run(
    kilos: number,
    roomC: number,
    release: Release,
    seconds: number,
  ): { heater: number; out: number; stored: number; flux: number } {
    const pot = new Pot({ ...build, roomC }, 20, kilos * 0.4);
    const { meat } = planFor('beef-chuck', 'chunks', kilos * 600);
    pot.add(pieceBody(meat, pieceOf(meat), 5));
    const [piece] = pot.bodies;
    if (!piece) throw new Error('no piece');
    const before = pot.storedJ();
    let flux = 0;
    let rate = piece.body.surfaceRate(pot.temperatureC);
    const step = (controls: Controls): void => {
      const { seconds: took } = pot.step(controls, seconds);
      const next = piece.body.surfaceRate(pot.temperatureC);
      flux += ((rate + next) / 2) * took * piece.heatCapacityJPerK;
      rate = next;
    };
    const on: Controls = { watts: build.heaterW, lid: 'on', valve: 'closed', regulated: true };
    while (pot.minutes < 50) step(on);
    const naturalUntil = release.method === 'quick' ? 50 : 50 + release.naturalMinutes;
    while (pot.pinIsUp && pot.minutes < naturalUntil) step({ ...on, watts: 0 });
    while (pot.pinIsUp) step({ ...on, watts: 0, valve: 'open' });
    const { accounts } = pot;
    return { heater: accounts.heaterJ, out: accounts.lostJ + accounts.steamJ, stored: pot.storedJ() - before, flux };
  }

  test('heater in is stored, lost and steamed out within 0.5 %, with the food’s heat from the flux through its faces', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.8, max: 4, noNaN: true }),
        fc.double({ min: 10, max: 35, noNaN: true }),
        fc.constantFrom<Release>(
          { method: 'quick', naturalMinutes: 0 },
          { method: 'natural-then-quick', naturalMinutes: 10 },
        ),
        (kilos, roomC, release) => {
          const { heater, out, stored, flux } = run(kilos, roomC, release, 2);
          expect(Math.abs((heater - out - stored - flux) / heater)).toBeLessThan(5e-3);
        },
      ),
      { numRuns: 8 },
    );
  });

  test('it closes over a whole evening too: sauté, deglazing, pressure, quick release, open simmer, a second run', () => {
    const pot = new Pot({ ...build, roomC: 18 });
    const { meat } = planFor('pork-shoulder', 'chunks', 1200);
    const before = pot.storedJ();
    let flux = 0;
    const step = (controls: Controls, until: number | 'pinDown'): void => {
      while (until === 'pinDown' ? pot.pinIsUp : until - pot.minutes > 1e-6) {
        const [piece] = pot.bodies;
        const rate = piece?.body.surfaceRate(pot.temperatureC) ?? 0;
        const left = until === 'pinDown' ? 2 : (until - pot.minutes) * 60;
        const { seconds } = pot.step(controls, Math.min(2, left));
        const next = piece?.body.surfaceRate(pot.temperatureC) ?? 0;
        flux += ((rate + next) / 2) * seconds * (piece?.heatCapacityJPerK ?? 0);
      }
    };
    const watts = build.heaterW;
    const off: Controls = { watts, lid: 'off', valve: 'open', regulated: true, thermostatC: 180, contactWPerK: 6 };
    const on: Controls = { watts, lid: 'on', valve: 'closed', regulated: true };
    step(off, 12);
    pot.pour(0.15, 18);
    step({ ...off, watts: watts / 2 }, 14);
    pot.pour(0.6, 20, 500);
    pot.add(pieceBody(meat, pieceOf(meat), 5));
    step(on, 55);
    step({ ...on, watts: 0, valve: 'open' }, 'pinDown');
    pot.openLid();
    pot.pour(0.1, 18);
    step(off, 65);
    step(on, 85);
    step({ ...on, watts: 0 }, 95);
    step({ ...on, watts: 0, valve: 'open' }, 'pinDown');
    const { heaterJ, lostJ, steamJ, pouredJ, boiledKg, flashedKg, purgedKg } = pot.accounts;
    expect(Math.min(boiledKg, flashedKg, purgedKg)).toBeGreaterThan(0.02);
    const open = heaterJ + pouredJ - lostJ - steamJ - (pot.storedJ() - before) - flux;
    expect(Math.abs(open / heaterJ)).toBeLessThan(5e-3);
  });
});
