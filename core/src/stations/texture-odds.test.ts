import { VARIES, WAITS } from '../catalog/what-varies';
import { cookRate } from '../physics/cook-value';
import { seeded } from '../physics/random';
import { forecast } from '../braise/forecast/forecast';
import { newPlan } from '../plan/defaults';
import { textureWindow, vegetableCookValue, type Doneness } from './doneness';
import { textureOdds } from './texture-odds';

const valueOf = (id: string, sizeCm: number, minutes: number, celsius: number): number =>
  vegetableCookValue(id, sizeCm, [{ seconds: minutes * 60, fromC: celsius, toC: celsius, phase: 'open' }]);

/** So many vegetables are cooked, each followed through its own conduction. */
const MANY = 2000;

/** How many of them have the texture: their sizes, windows, heat and minutes until they are lifted out drawn. */
function followed(id: string, wanted: Doneness, sizeCm: number, minutes: number, celsius: number): number {
  const random = seeded(7);
  const [from, to] = textureWindow(id, wanted);
  const rate = cookRate(celsius);
  let fine = 0;
  for (let n = 0; n < MANY; n += 1) {
    const size = sizeCm * Math.exp(VARIES.vegetableSize.cv * random.normal());
    const window = Math.exp(VARIES.variety.cv * random.normal());
    const heat = Math.exp(VARIES.heatElectric.cv * random.normal());
    const { from: soon, to: late } = WAITS.lift;
    const wait = soon + (late - soon) * random.next() - (soon + late) / 2;
    const value = valueOf(id, size, minutes, celsius) * heat + wait * 0.6 * Math.min(1, rate);
    if (value >= from * window && value < to * window) fine += 1;
  }
  return fine / MANY;
}

test.each<[string, Doneness, number, number, number]>([
  ['carrot', 'tender', 2.5, 15, 100],
  ['carrot', 'tender', 2.5, 20, 100],
  ['carrot', 'crisp', 2.5, 9, 100],
  ['potato-waxy', 'tender', 3.5, 6, 115],
  ['turnip', 'tender', 2, 4, 115],
  ['savoy', 'tender', 1, 5, 100],
  ['carrot', 'soft', 2.5, 40, 100],
])(
  '%s, %s, %d cm, %d min at %d °C: the closed form is what follows two thousand of them',
  (id, wanted, sizeCm, minutes, celsius) => {
    const cookValue = valueOf(id, sizeCm, minutes, celsius);
    const ofSize = (share: number): number => valueOf(id, sizeCm * share, minutes, celsius) / cookValue;
    const closed = textureOdds({ kind: 'vegetable', id, wanted, cookValue }, cookRate(celsius), ofSize);
    const many = followed(id, wanted, sizeCm, minutes, celsius);
    expect([closed, many, Math.abs(closed - many) < 0.05]).toEqual([closed, many, true]);
  },
);

test('in the middle of its window it is surer than at its edge, where it is one in two; far off hardly ever', () => {
  const [from, to] = textureWindow('carrot', 'tender');
  const at = (cookValue: number): number =>
    textureOdds({ kind: 'vegetable', id: 'carrot', wanted: 'tender', cookValue }, 1, (share) => share ** -1.2);
  expect(at(Math.sqrt(from * to))).toBeGreaterThan(0.85);
  expect(at(from)).toBeGreaterThan(0.4);
  expect(at(from)).toBeLessThan(0.55);
  expect(at(from / 3)).toBeLessThan(0.02);
  expect(at(0)).toBe(0);
});

test('every vegetable and grain of a forecast has its odds; what is met is likelier than not', () => {
  const { stages } = forecast({
    ...newPlan({ cut: 'beef-chuck', form: 'chunks', grams: 1000 }),
    vegetables: [
      { vegetable: 'carrot', grams: 300, texture: 'tender', place: 'auto' },
      { vegetable: 'pea', grams: 100, texture: 'tender', place: 'auto' },
      { vegetable: 'turnip', grams: 200, texture: 'crisp', place: 'start' },
    ],
    grains: [{ grain: 'freekeh', grams: 120, place: 'auto' }],
  });
  const items = stages.flatMap((stage) => stage.items);
  expect(items).toHaveLength(4);
  for (const { met, chance } of items) expect([met, chance !== null && chance > 0.45]).toEqual([met, met]);
});
