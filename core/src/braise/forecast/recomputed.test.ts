import * as psychro from 'psychrolib';
import { newPlan } from '../../plan/defaults';
import type { Plan } from '../../plan/plan';
import { cutById, MEAT_COMPOSITION } from '../../catalog/cuts';
import { foodProperties } from '../../physics/food-properties';
import { forecast } from './forecast';
import type { Forecast } from './forecast-document';

/**
 * Three whole forecasts recomputed with nothing of the core but its tables: the pot's working temperature from another
 * library's steam table, the inside of the piece by explicit finite differences on one octant (the schoolbook scheme,
 * Incropera and DeWitt, chapter 5.10; from memory) instead of modes, tenderness from the definition, the way to pressure
 * from a balance of heat on a sheet of paper.
 */
/** Covered: what lies above its liquid has another bath than the one that is drawn. */
const covered = (plan: Plan): Plan => ({ ...plan, liquids: [{ liquid: 'stock', ml: 1800, temperatureC: 20 }] });

const CASES: readonly (readonly [string, Plan])[] = [
  ['goat neck in slices, at the sea', covered(newPlan({ cut: 'goat-neck', form: 'slices', grams: 1600 }))],
  [
    'beef shin in slices, at 1480 m',
    covered(newPlan({ cut: 'beef-shin', form: 'slices', grams: 1500, kitchen: { altitudeM: 1480, roomC: 19 } })),
  ],
  ['pork shoulder in chunks, at the sea', covered(newPlan({ cut: 'pork-shoulder', form: 'chunks', grams: 1400 }))],
];

/** The liquid's temperature as the forecast draws it, from the lid on to the lid off: minutes and °C. */
function bath({ pot }: Forecast): {
  from: number;
  to: number;
  readonly at: (minute: number) => number;
  startC: number;
} {
  const points = pot.curve.filter(({ coreC, phase }) => coreC !== null && phase !== 'rest');
  const [first] = points;
  const last = points.at(-1);
  if (!first || !last || first.coreC === null) throw new Error('a forecast draws its pot');
  return {
    from: first.minute,
    to: last.minute,
    startC: first.coreC,
    at: (minute) => {
      const after = points.findIndex((point) => point.minute >= minute);
      const b = points[Math.max(1, after)] ?? last;
      const a = points[Math.max(1, after) - 1] ?? first;
      const share = b.minute === a.minute ? 1 : (minute - a.minute) / (b.minute - a.minute);
      return a.liquidC + (b.liquidC - a.liquidC) * Math.min(1, Math.max(0, share));
    },
  };
}

interface Inside {
  readonly coreC: number;
  /** Share of the collagen melted, by volume. */
  readonly melted: number;
  /** J taken up by one piece from the lid on to working pressure. */
  readonly heatToPressureJ: number;
}

/** One octant of a brick in cells, each with its temperature and its cook value, stepped forward by hand. */
function byHand(f: Forecast, toughness: number): Inside {
  const CELLS = 7;
  // Its properties at 40 °C and 800 W/m² K on a wet surface, as the design says.
  const { conductivity, diffusivity } = foodProperties(MEAT_COMPOSITION[cutById(f.plan.meat.cut).richness], 40);
  const surface = 800;
  const half = f.piece.dimensionsCm.map((cm) => cm / 200) as [number, number, number];
  const size = half.map((m) => m / CELLS) as [number, number, number];
  const heatCapacity = conductivity / diffusivity;
  const { from, to, at, startC } = bath(f);
  const n = CELLS ** 3;
  let now = new Float64Array(n).fill(startC);
  let next = new Float64Array(n);
  const cooked = new Float64Array(n);
  const stride = [1, CELLS, CELLS * CELLS] as const;
  // Stable while all that leaves a cell in a step is less than it holds; the outermost cells decide.
  const STEP = 2;
  let taken = 0;
  const pressureAt = from + f.pot.minutesToPressure;
  for (let s = 0; s < (to - from) * 60; s += STEP) {
    const minute = from + s / 60;
    const bathC = at(minute);
    let flux = 0;
    for (let i = 0; i < n; i += 1) {
      const t = now[i] as number;
      let gain = 0;
      for (let axis = 0; axis < 3; axis += 1) {
        const d = size[axis] as number;
        const place = Math.floor(i / (stride[axis] as number)) % CELLS;
        // The middle is a mirror: nothing crosses it.
        if (place > 0) gain += (conductivity * ((now[i - (stride[axis] as number)] as number) - t)) / (d * d);
        if (place < CELLS - 1) gain += (conductivity * ((now[i + (stride[axis] as number)] as number) - t)) / (d * d);
        else {
          // Half a cell of meat and the film on it, one after the other.
          const through = (bathC - t) / (d / (2 * conductivity) + 1 / surface) / d;
          gain += through;
          flux += through;
        }
      }
      next[i] = t + (gain * STEP) / heatCapacity;
      cooked[i] = (cooked[i] as number) + (10 ** ((t - 100) / 33.1) * STEP) / 60;
    }
    if (minute < pressureAt) taken += flux * STEP * size[0] * size[1] * size[2] * 8;
    [now, next] = [next, now];
  }
  const melted = cooked.reduce((sum, c) => sum + 1 - Math.exp((-0.0161 / toughness) * c), 0) / n;
  return { coreC: now[0] as number, melted, heatToPressureJ: taken };
}

describe.each(CASES)('%s, recomputed', (_, plan) => {
  const f = forecast(plan);
  const hand = byHand(f, cutById(plan.meat.cut).toughness);

  test('working temperature: where another library’s steam is as strong as the air and the valve together, 0.1 K', () => {
    psychro.SetUnitSystem(psychro.SI);
    const airPa = psychro.GetStandardAtmPressure(plan.kitchen.altitudeM);
    let [low, high] = [90, 130];
    while (high - low > 1e-4) {
      const middle = (low + high) / 2;
      if (psychro.GetSatVapPres(middle) < airPa + plan.cooker.gaugeKPa * 1000) low = middle;
      else high = middle;
    }
    expect(Math.abs(f.pot.workingC - low)).toBeLessThan(0.1);
  });

  test('the middle of the meat when the lid comes off, 0.2 K, and the share melted, 0.2 points', () => {
    expect(Math.abs(f.tenderness.coreC - hand.coreC)).toBeLessThan(0.2);
    expect(Math.abs(f.tenderness.mean - hand.melted)).toBeLessThan(0.002);
  });

  test('minutes to pressure: heat into liquid, metal and meat over what the heater gives, 5 %', () => {
    const { cooker, kitchen } = plan;
    const points = f.pot.curve.filter(({ coreC }) => coreC !== null);
    const startC = points[0]?.liquidC ?? 0;
    const { workingC, minutesToPressure } = f.pot;
    const liquidKg = f.liquid.freeAtStartMl / 1000;
    // Metal of a middling electric pot: 0.9 to 1.5 kJ/K by the design; a middle value.
    const metalJ = 1200 * (workingC - startC);
    const liquidJ = liquidKg * 4190 * (workingC - startC);
    const meatJ = hand.heatToPressureJ * f.piece.count;
    // 20 to 60 g of steam leave before the pin rises.
    const purgeJ = 0.04 * 2_256_400;
    const lossW = 1.5 * ((workingC + startC) / 2 - kitchen.roomC);
    const minutes = (liquidJ + metalJ + meatJ + purgeJ) / (cooker.watts * 0.85 - lossW) / 60;
    expect(Math.abs(minutes / minutesToPressure - 1)).toBeLessThan(0.05);
  });
});
