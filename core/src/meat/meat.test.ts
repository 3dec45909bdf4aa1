import * as fc from 'fast-check';
import { CUTS } from '../catalog/cuts';
import { PlanError } from '../plan/plan-error';
import { planFor } from '../testing/fixtures';
import { largestThicknessCm, pieceOf } from './piece';
import { cookValueFor, criticalToughness, GRADE_FROM, gradeOf, meanMelted, TARGET_BAND } from './tenderness';

describe('from weight to shape', () => {
  test.each([
    ['beef-chuck', 'whole', 1360, 6.4, 1],
    ['beef-brisket-flat', 'whole', 1600, 5, 1],
    ['pork-shoulder', 'whole', 1800, 8.4, 1],
    ['beef-chuck', 'chunks', 1325, 5, 10],
    ['beef-chuck', 'bite-size', 860, 3, 30],
    ['beef-shin', 'slices', 1280, 3.8, 4],
    ['lamb-shank', 'whole', 1600, 6.1, 4],
    ['lamb-breast', 'chunks', 900, 2.5, 14],
  ] as const)('%s %s of %d g is %d cm thick, %d pieces (common practice)', (cut, form, grams, thickness, count) => {
    const piece = pieceOf(planFor(cut, form, grams).meat);
    expect(piece.thicknessCm).toBeCloseTo(thickness, 1);
    expect(piece.count).toBe(count);
  });

  test('twice the weight: a shoulder grows all ways, a brisket in area, a neck in length, shanks in number', () => {
    const twice = (cut: string): [ReturnType<typeof pieceOf>, ReturnType<typeof pieceOf>] => [
      pieceOf(planFor(cut, 'whole', 1200).meat),
      pieceOf(planFor(cut, 'whole', 2400).meat),
    ];
    const [small, large] = twice('lamb-shoulder');
    expect(large.thicknessCm / small.thicknessCm).toBeCloseTo(Math.cbrt(2), 6);
    const [flat, flatter] = twice('beef-brisket-flat');
    expect(flatter.thicknessCm).toBeCloseTo(flat.thicknessCm, 6);
    expect(flatter.dimensionsCm[0] / flat.dimensionsCm[0]).toBeCloseTo(Math.SQRT2, 6);
    const [short, long] = twice('pork-collar');
    expect(long.dimensionsCm[0] / short.dimensionsCm[0]).toBeCloseTo(2, 6);
    const [few, many] = twice('lamb-shank');
    expect([few.count, many.count]).toEqual([3, 6]);
  });

  test('a rack is cut between its bones: each rib is as long as the rack is wide, and as thick as it', () => {
    const ribs = pieceOf(planFor('pork-spare-rib', 'ribs', 1500).meat);
    const rack = pieceOf(planFor('pork-spare-rib', 'rack', 1500).meat);
    expect(ribs.thicknessCm).toBeCloseTo(rack.thicknessCm, 6);
    expect(ribs.dimensionsCm[0]).toBeGreaterThan(3 * ribs.dimensionsCm[1]);
    // A slab of spare ribs has ten to thirteen bones. Common practice.
    expect(ribs.count).toBeGreaterThanOrEqual(8);
    expect(ribs.count).toBeLessThanOrEqual(16);
  });

  test('a measured thickness keeps the weight of a whole piece, and the shape of the others', () => {
    const whole = pieceOf(planFor('goat-leg', 'whole', 1800, {}, { thicknessCm: 7 }).meat);
    expect(whole.dimensionsCm[2]).toBe(7);
    expect(whole.dimensionsCm.reduce((volume, d) => volume * d, 1.06)).toBeCloseTo(1800, 6);
    const cubes = pieceOf(planFor('beef-chuck', 'chunks', 1272, {}, { thicknessCm: 4 }).meat);
    expect(cubes.count).toBe(19);
    expect(cubes.thicknessCm).toBe(4);
  });

  test('a given count fixes what a piece weighs', () => {
    const piece = pieceOf(planFor('goat-neck', 'slices', 1600, {}, { pieces: 8, thicknessCm: 3.8 }).meat);
    expect(piece).toMatchObject({ count: 8, gramsEach: 200, thicknessCm: 3.8, measured: true });
  });

  test('boned pieces are smaller by the bone, so they are sooner', () => {
    const on = pieceOf(planFor('beef-short-rib', 'ribs', 1400).meat);
    const off = pieceOf(planFor('beef-short-rib', 'ribs', 1400, {}, { boneIn: false }).meat);
    expect(off.thicknessCm / on.thicknessCm).toBeCloseTo(Math.cbrt(0.72), 1);
  });

  test('a thickness the weight cannot have is refused at its field, with what is allowed', () => {
    const plan = planFor('goat-leg', 'whole', 1800, {}, { thicknessCm: 20 });
    expect(() => pieceOf(plan.meat)).toThrow(PlanError);
    expect(() => pieceOf(plan.meat)).toThrow(
      'meat.thicknessCm: 20 cm is more than a piece of 1800 g can have; allowed: 0.5 cm to 11.9 cm',
    );
  });

  test('nothing left after trimming, and a form the cut does not come in, are refused', () => {
    expect(() => pieceOf(planFor('goat-leg', 'whole', 1000, {}, { trimGrams: 1000 }).meat)).toThrow(
      'meat.trimGrams: leaves 0 g',
    );
    expect(() => pieceOf(planFor('beef-oxtail', 'pieces', 1000, {}, { form: 'rack' }).meat)).toThrow(
      'beef oxtail is not cooked as rack; allowed: pieces',
    );
  });

  test('whatever the cut, form and weight: the pieces together weigh what was left, and counted ones fill their brick', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CUTS),
        fc.nat(),
        fc.integer({ min: 100, max: 8000 }),
        fc.boolean(),
        fc.integer({ min: 1, max: 12 }),
        (cut, pick, grams, boneIn, pieces) => {
          const form = cut.forms[pick % cut.forms.length] ?? 'whole';
          const counted = pieceOf(planFor(cut.id, form, grams, {}, { boneIn, pieces }).meat);
          expect(counted.count * counted.gramsEach).toBeCloseTo(grams, 6);
          expect(counted.dimensionsCm.reduce((volume, d) => volume * d, 1.06)).toBeCloseTo(counted.gramsEach, 4);
          expect(counted.thicknessCm).toBeLessThanOrEqual(largestThicknessCm(counted.gramsEach) * 1.0001);
          const piece = pieceOf(planFor(cut.id, form, grams, {}, { boneIn }).meat);
          expect(piece.count * piece.gramsEach).toBeCloseTo(grams, 6);
        },
      ),
    );
  });

  test('more weight never makes the thickness of what nobody counted less (common practice: it grows, or stays)', () => {
    for (const cut of CUTS) {
      for (const form of cut.forms) {
        let before = 0;
        for (let grams = 100; grams <= 6000; grams += 50) {
          const { thicknessCm } = pieceOf(planFor(cut.id, form, grams).meat);
          expect(thicknessCm).toBeGreaterThanOrEqual(before - 1e-9);
          before = thicknessCm;
        }
      }
    }
  });

  test('a counted rib that weighs more is a longer one (common practice)', () => {
    const [length, width, thickness] = pieceOf(
      planFor('beef-short-rib', 'ribs', 1350, {}, { pieces: 3 }).meat,
    ).dimensionsCm;
    expect(length).toBeGreaterThan(12);
    expect(length).toBeLessThan(17);
    expect(width).toBeLessThan(7);
    expect(thickness).toBeLessThan(5.5);
  });
});

describe('tenderness', () => {
  const point = (cookValue: number): { cookValues: Float64Array; weights: Float64Array } => ({
    cookValues: Float64Array.of(cookValue),
    weights: Float64Array.of(1),
  });

  test('half the collagen of toughness 1 is melted after 43 minutes at 100 °C (common practice)', () => {
    expect(meanMelted({ cookValues: Float64Array.of(43.05), weights: Float64Array.of(1) }, 1)).toBeCloseTo(0.5, 3);
    expect(cookValueFor(0.5, 2)).toBeCloseTo(86.1, 1);
  });

  test('grades begin where the table says, and targets where their grade does', () => {
    expect(gradeOf(0)).toBe('chewy');
    for (const [grade, from] of Object.entries(GRADE_FROM)) expect(gradeOf(from)).toBe(grade);
    expect(gradeOf(0.7399)).toBe('slices');
    expect(TARGET_BAND).toEqual({
      slices: [0.65, 0.85],
      fork: [0.74, 0.94],
      pulls: [0.82, 0.94],
      shreds: [0.88, 0.985],
    });
  });

  test('the critical toughness is where the mean is just the share, for an uneven piece too', () => {
    const field = { cookValues: Float64Array.of(20, 60, 110, 160), weights: Float64Array.of(0.1, 0.3, 0.4, 0.2) };
    for (const share of [0.55, 0.65, 0.74, 0.82, 0.94]) {
      expect(meanMelted(field, criticalToughness(field, share))).toBeCloseTo(share, 6);
      expect(meanMelted(field, criticalToughness(field, share, 30))).toBeCloseTo(share, 6);
      // From a guess so far off that nothing would be left, there is no slope to go by.
      expect(meanMelted(field, criticalToughness(field, share, 1e-9))).toBeCloseTo(share, 6);
    }
    expect(criticalToughness(point(0), 0.7)).toBe(0);
  });
});
