import type { Form } from '../catalog/cuts';
import type { Meat, Plan } from '../plan/plan';
import { planFor } from '../testing/fixtures';
import { forecast } from './forecast/forecast';

/** Whole minutes are proposed: a step of one is rounding. */
const ROUNDING = 1;

type Sweep = readonly [name: string, cut: string, form: Form, grams: number];
const SOME: readonly Sweep[] = [
  ['goat neck in slices', 'goat-neck', 'slices', 1600],
  ['beef chuck in chunks', 'beef-chuck', 'chunks', 1400],
  ['pork shoulder whole', 'pork-shoulder', 'whole', 1800],
  ['lamb shanks', 'lamb-shank', 'whole', 1600],
];

const minutes = ([, cut, form, grams]: Sweep, more: Partial<Plan> = {}, meat: Partial<Meat> = {}): number =>
  forecast(planFor(cut, form, grams, { pressureMinutes: null, ...more }, meat)).proposedMinutes ?? 360;

/** Each no less than the one before, but for the rounding. */
function grows(values: readonly number[]): void {
  values.slice(1).forEach((value, i) => {
    if (value < (values[i] as number) - ROUNDING) throw new Error(`turns back: ${values.join(' ')}`);
  });
  // And it is no standstill.
  expect(values.at(-1)).toBeGreaterThan(values[0] as number);
}

// Physics demands these, whatever the figures are; no source.
describe.each(SOME)('minutes do not turn back: %s', (...some) => {
  test('thicker takes longer', () => {
    const [, , form] = some;
    const thick = form === 'whole' ? [4, 5, 5.5, 6] : [1.5, 2, 2.5, 3, 3.5, 4, 4.5];
    grows(thick.map((thicknessCm) => minutes(some, {}, { thicknessCm, ...(form === 'slices' ? { pieces: 8 } : {}) })));
  });

  test('higher up takes longer, more pressure less', () => {
    grows(
      [0, 500, 1000, 1500, 2000, 2500, 3000].map((altitudeM) => minutes(some, { kitchen: { altitudeM, roomC: 20 } })),
    );
    const { cooker } = planFor(some[1], some[2], some[3]);
    grows([100, 85, 72, 60, 50, 40].map((gaugeKPa) => minutes(some, { cooker: { ...cooker, gaugeKPa } })));
  });

  test('surer takes longer, and so does softer', () => {
    grows([0.5, 0.6, 0.7, 0.8, 0.9, 0.95].map((confidence) => minutes(some, { confidence })));
    grows((['slices', 'fork', 'pulls', 'shreds'] as const).map((target) => minutes(some, { target })));
  });

  test('a quicker way up takes no fewer minutes', () => {
    const { cooker } = planFor(some[1], some[2], some[3]);
    const byWatts = [700, 900, 1100, 1400, 1800, 2400].map((watts) => minutes(some, { cooker: { ...cooker, watts } }));
    byWatts.slice(1).forEach((value, i) => expect(value).toBeGreaterThanOrEqual((byWatts[i] as number) - ROUNDING));
  });

  test('colder takes longer: from the room, from the fridge, frozen', () => {
    grows((['room', 'fridge', 'frozen'] as const).map((startsFrom) => minutes(some, {}, { startsFrom })));
  });
});

describe('minutes over weight', () => {
  test('a joint that grows takes longer the more it weighs', () => {
    grows([400, 700, 1000, 1400, 1800, 2400, 3200].map((grams) => minutes(['', 'pork-shoulder', 'whole', grams])));
  });

  test.each<Sweep>([
    ['hocks', 'pork-hock', 'whole', 800],
    ['shanks', 'lamb-shank', 'whole', 400],
    ['shin in slices', 'beef-shin', 'slices', 400],
    ['chunks', 'beef-chuck', 'chunks', 400],
  ])('more %s are more pieces: minutes change by what the way up and down gives, and never jump', (...some) => {
    const [name, cut, form, grams] = some;
    const byWeight = [1, 1.25, 1.5, 1.75, 2, 2.5, 3, 4].map((share) => minutes([name, cut, form, grams * share]));
    const most = Math.max(...byWeight);
    byWeight.slice(1).forEach((value, i) => expect(Math.abs(value - (byWeight[i] as number))).toBeLessThanOrEqual(3));
    expect(most - Math.min(...byWeight)).toBeLessThanOrEqual(0.15 * most);
  });

  test('from bites of a centimetre to a frozen joint of four kilos: reckoned, and sensible', () => {
    const least = minutes(['', 'lamb-shoulder', 'bite-size', 300], {}, { thicknessCm: 1 });
    const most = minutes(
      ['', 'pork-shoulder', 'whole', 4000],
      { cooker: { ...planFor('pork-shoulder', 'whole', 4000).cooker, litres: 8, watts: 1400 } },
      { startsFrom: 'frozen' },
    );
    expect(least).toBeGreaterThan(3);
    expect(least).toBeLessThan(25);
    expect(most).toBeGreaterThan(100);
    expect(most).toBeLessThanOrEqual(360);
  });
});
