import { pieceOf } from '../meat/piece';
import type { Sear } from '../plan/plan';
import { eightRibs, planFor } from '../testing/fixtures';
import { searPlan } from './sear';

const HARD: Sear = { school: 'hard', where: 'pot', order: 'meat-first' };
const POT = { baseDiameterCm: 22, watts: 1000 };

describe('the sear', () => {
  test('eight rib pieces, 0.9 kg of 3 cm cubes, 1.3 kg of large chunks: two batches each in a 22 cm pot (common practice)', () => {
    expect(searPlan(eightRibs, HARD, POT).batches).toBe(2);
    expect(searPlan(pieceOf(planFor('beef-chuck', 'bite-size', 900).meat), HARD, POT).batches).toBe(2);
    expect(searPlan(pieceOf(planFor('beef-chuck', 'chunks', 1300).meat), HARD, POT).batches).toBe(2);
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

  test('no sear takes no time; one piece larger than most of the base steams', () => {
    expect(searPlan(eightRibs, { ...HARD, school: 'none' }, POT)).toMatchObject({ batches: 0, minutes: 0 });
    const belly = pieceOf(planFor('pork-belly', 'whole', 1800).meat);
    expect(searPlan(belly, HARD, { ...POT, baseDiameterCm: 20 }).steams).toBe(true);
  });

  test('a pot without a base is refused', () => {
    expect(() => searPlan(eightRibs, HARD, { ...POT, baseDiameterCm: 0 })).toThrow('base diameter');
  });
});
