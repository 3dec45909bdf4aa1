import * as fc from 'fast-check';
import { pieceOf } from '../meat/piece';
import type { Sear } from '../plan/plan';
import { eightRibs, planFor } from '../testing/fixtures';
import { layBatch } from './batch-layout';
import { batchLayouts, COVER_BEST, searAsDone, searPlan, wetSurface } from './sear';

const HARD: Sear = { school: 'hard', where: 'pot', order: 'meat-first' };
const POT = { baseDiameterCm: 22, watts: 1000 };

describe('the sear', () => {
  test('eight rib pieces, 0.9 kg of 3 cm cubes, 1.3 kg of large chunks: two batches each in a 22 cm pot (common practice)', () => {
    expect(searPlan(eightRibs, HARD, POT).batches).toBe(2);
    expect(searPlan(pieceOf(planFor('beef-chuck', 'bite-size', 900).meat), HARD, POT).batches).toBe(2);
    expect(searPlan(pieceOf(planFor('beef-chuck', 'chunks', 1300).meat), HARD, POT).batches).toBe(2);
  });

  test('batches are as even as they can be', () => {
    expect(searPlan(eightRibs, HARD, POT).batchSizes).toEqual([4, 4]);
  });

  test('a minute for the pot to come back between two batches, and none after the last (common practice)', () => {
    const two = searPlan(eightRibs, HARD, POT);
    expect(two.minutes).toBeCloseTo(2 * two.minutesPerBatch + 1, 9);
    const one = searPlan({ ...eightRibs, count: 4 }, HARD, POT);
    expect(one.batches).toBe(1);
    expect(one.minutes).toBeCloseTo(one.minutesPerBatch, 9);
  });

  test('a weak heater takes 1.3 times as long, and a stirred sear is one batch of 3 to 5 minutes (common practice)', () => {
    const strong = searPlan(eightRibs, HARD, POT);
    const weak = searPlan(eightRibs, HARD, { ...POT, watts: 800 });
    expect(weak.minutesPerBatch / strong.minutesPerBatch).toBeCloseTo(1.3, 9);
    const light = searPlan(eightRibs, { ...HARD, school: 'light' }, POT);
    expect(light.batches).toBe(1);
    expect(light.minutes).toBeGreaterThanOrEqual(3);
    expect(light.minutes).toBeLessThanOrEqual(5);
  });

  test('hard: the first side 4 to 8 minutes, the others 2 to 4; quick: 1 to 3 a side (common practice)', () => {
    const [first, ...others] = searPlan(eightRibs, HARD, POT).faces;
    expect(first).toBeGreaterThanOrEqual(4);
    expect(first).toBeLessThanOrEqual(8);
    for (const minutes of others) expect(minutes >= 2 && minutes <= 4).toBe(true);
    for (const minutes of searPlan(eightRibs, { ...HARD, school: 'quick' }, POT).faces) {
      expect(minutes >= 1 && minutes <= 3).toBe(true);
    }
  });

  test('no sear takes no time; one piece larger than most of the base steams', () => {
    expect(searPlan(eightRibs, { ...HARD, school: 'none' }, POT)).toMatchObject({ batches: 0, minutes: 0 });
    const belly = pieceOf(planFor('pork-belly', 'whole', 1800).meat);
    const seared = searPlan(belly, HARD, { ...POT, baseDiameterCm: 20 });
    expect(seared.steams).toBe(true);
    expect(seared.widerThanBase).toBe(true);
  });

  test('the cook’s own one batch crowds the base: it steams, and Hervir’s number stands beside it', () => {
    const own = searPlan(eightRibs, { ...HARD, batches: 1 }, POT);
    expect(own).toMatchObject({ batches: 1, perBatch: 8, proposedBatches: 2, steams: false });
    const twelve = pieceOf(planFor('beef-short-rib', 'ribs', 1680, {}, { pieces: 12 }).meat);
    const crowded = searPlan(twelve, { ...HARD, batches: 1 }, POT);
    expect(crowded.steams).toBe(true);
    expect(batchLayouts(crowded)[0]?.fits).toBe(false);
    expect(crowded.proposedBatches).toBeGreaterThan(1);
  });

  test('a wide pan takes more at a time, and the weak pot no longer counts', () => {
    const pan = searPlan(eightRibs, { ...HARD, where: 'pan' }, { ...POT, watts: 700 });
    expect(pan.baseDiameterCm).toBeGreaterThan(POT.baseDiameterCm);
    expect(pan.weakHeater).toBe(false);
  });

  test('salt 4 to 40 minutes ahead, or a marinade, leaves the face wet and costs time; ahead or at the last moment does not (common practice)', () => {
    const salted = (minutes: number | undefined): string | null =>
      wetSurface({ salted: 'ahead', saltedMinutes: minutes, marinade: null });
    expect([undefined, 2, 20, 60, 1440].map(salted)).toEqual([null, null, 'salt', null, null]);
    expect(wetSurface({ salted: 'just-before', marinade: { ml: 100, hours: 2, then: 'poured-in' } })).toBe('marinade');
    const wet = searPlan(eightRibs, HARD, POT, { salted: 'ahead', saltedMinutes: 20, marinade: null });
    expect(wet.minutesPerBatch).toBe(searPlan(eightRibs, HARD, POT).minutesPerBatch + 2);
  });

  test('stirred into onions that are in first, meat does not brown hard (common practice)', () => {
    const onions = [{ ingredient: 'onion', grams: 200 }];
    expect(searAsDone({ sear: { ...HARD, order: 'onion-first' }, aromatics: onions }).school).toBe('light');
    expect(searAsDone({ sear: { ...HARD, order: 'onion-first' }, aromatics: [] }).school).toBe('hard');
    expect(searAsDone({ sear: HARD, aromatics: onions }).school).toBe('hard');
  });

  test('a pot without a base is refused', () => {
    expect(() => searPlan(eightRibs, HARD, { ...POT, baseDiameterCm: 0 })).toThrow('base diameter');
  });
});

describe('a batch seen from above', () => {
  test('where it is said to fit, no piece touches another or reaches over the edge', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 30 }),
        fc.double({ min: 2, max: 14, noNaN: true }),
        fc.double({ min: 0.4, max: 1, noNaN: true }),
        fc.double({ min: 15, max: 30, noNaN: true }),
        (count, length, ratio, diameter) => {
          const { placed, fits } = layBatch(count, [length, length * ratio], diameter);
          expect(placed).toHaveLength(count);
          if (!fits) return;
          placed.forEach((a, i) => {
            for (const [sx, sy] of [
              [1, 1],
              [1, -1],
              [-1, 1],
              [-1, -1],
            ] as const) {
              expect(Math.hypot(a.x + (sx * a.width) / 2, a.y + (sy * a.height) / 2)).toBeLessThanOrEqual(diameter / 2);
            }
            for (const b of placed.slice(i + 1)) {
              const apart =
                Math.abs(a.x - b.x) >= (a.width + b.width) / 2 + 0.3 ||
                Math.abs(a.y - b.y) >= (a.height + b.height) / 2 + 0.3;
              expect(apart).toBe(true);
            }
          });
        },
      ),
    );
  });

  test('every batch Hervir proposes fits and stays under the line, unless a single piece is larger', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<readonly [string, 'chunks' | 'bite-size' | 'slices' | 'ribs']>(
          ['beef-chuck', 'chunks'],
          ['goat-neck', 'slices'],
          ['beef-short-rib', 'ribs'],
          ['lamb-shoulder', 'bite-size'],
        ),
        fc.integer({ min: 300, max: 5000 }),
        fc.double({ min: 16, max: 30, noNaN: true }),
        ([cut, form], grams, diameter) => {
          const piece = pieceOf(planFor(cut, form, grams).meat);
          const sear = searPlan(piece, HARD, { ...POT, baseDiameterCm: diameter });
          expect(sear.batchSizes.reduce((sum, n) => sum + n, 0)).toBe(piece.count);
          if (sear.perBatch === 1) return;
          // On the face it is laid on; turned to its widest it still does not steam.
          const [along, across] = sear.face;
          const base = (Math.PI / 4) * diameter ** 2;
          expect((sear.perBatch * along * across) / base).toBeLessThanOrEqual(COVER_BEST);
          expect(sear.steams).toBe(false);
          for (const { fits } of batchLayouts(sear)) expect(fits).toBe(true);
        },
      ),
    );
  });

  // What cooks do; common practice, no published source.
  test('eight ribs of 1.8 kg, 4.2 cm, on 21.5 cm: two batches of four', () => {
    const piece = pieceOf(planFor('beef-short-rib', 'ribs', 1800, {}, { pieces: 8, thicknessCm: 4.2 }).meat);
    expect(searPlan(piece, HARD, { ...POT, baseDiameterCm: 21.5 }).batchSizes).toEqual([4, 4]);
  });

  test('three ribs of 450 g: one or two batches, no longer than half an hour in all', () => {
    const piece = pieceOf(planFor('beef-short-rib', 'ribs', 1350, {}, { pieces: 3 }).meat);
    const { batches, minutes } = searPlan(piece, HARD, { ...POT, baseDiameterCm: 21.5 });
    expect(batches).toBeLessThanOrEqual(2);
    expect(minutes).toBeLessThanOrEqual(20 * batches);
  });

  test('two faces, eight and four minutes, are the cook’s; so is a minute a side', () => {
    const piece = pieceOf(planFor('beef-short-rib', 'ribs', 900, {}, { pieces: 4 }).meat);
    expect(searPlan(piece, { ...HARD, faceMinutes: [8, 4] }, POT).minutesPerBatch).toBe(12);
    expect(searPlan(piece, { ...HARD, school: 'quick', faceMinutes: [1, 1] }, POT).faces).toEqual([1, 1]);
  });

  test('chunks cut a centimetre thin are stirred, for a few minutes', () => {
    const piece = pieceOf(planFor('beef-chuck', 'chunks', 1300, {}, { thicknessCm: 1 }).meat);
    const sear = searPlan(piece, HARD, POT);
    expect(sear).toMatchObject({ batches: 1, stirred: true });
    expect(sear.minutes).toBeLessThan(10);
  });
});
