import { spareOf, withSpare } from '../../clock/spare';
import { spreadAfter, VARIES } from '../../catalog/what-varies';
import { normalCdf, normalQuantile } from '../../physics/normal';
import { newPlan } from '../../plan/defaults';
import type { Plan } from '../../plan/plan';
import { forecast } from '../forecast/forecast';
import { chanceBy, dinnerOdds, surrogateOf } from './dinner-odds';
import { draws } from './draws';
import { laidOut, play } from './play';

const SUNDAY = '2027-01-17T19:00:00+01:00';
const plain = newPlan({ cut: 'beef-chuck', form: 'chunks', grams: 1000, serveAt: SUNDAY });
const NECK: Plan = {
  ...newPlan({ cut: 'goat-neck', form: 'slices', grams: 1600, serveAt: SUNDAY }),
  vegetables: [{ vegetable: 'carrot', grams: 300, texture: 'tender', place: 'auto' }],
};
const STOVETOP: Plan = {
  ...plain,
  cooker: { ...plain.cooker, kind: 'stovetop', watts: 1800 },
  release: { method: 'natural', naturalMinutes: 0 },
};
const EVENINGS: readonly (readonly [string, Plan])[] = [
  ['chunks of chuck', plain],
  ['neck and carrots in a second run', NECK],
  ['on a stove, left to fall', STOVETOP],
];

test('quantiles of the normal distribution are those of the tables (Abramowitz and Stegun 1964, table 26.5)', () => {
  for (const [share, z] of [
    [0.5, 0],
    [0.75, 0.67449],
    [0.9, 1.28155],
    [0.975, 1.95996],
    [0.995, 2.57583],
  ] as const) {
    expect(normalQuantile(share)).toBeCloseTo(z, 4);
    expect(normalQuantile(1 - share)).toBeCloseTo(-z, 4);
    expect(normalCdf(normalQuantile(share))).toBeCloseTo(share, 6);
  }
});

test('each variable takes each of its strata once, and always the same', () => {
  const all = draws(200, 5);
  for (let v = 0; v < 5; v += 1) {
    const strata = all.map((draw) => Math.floor(normalCdf(draw[v] as number) * 200)).sort((a, b) => a - b);
    expect(strata).toEqual(Array.from({ length: 200 }, (_, i) => i));
  }
  expect(draws(200, 5)).toEqual(all);
  // A further task leaves what was drawn before it.
  expect(draws(200, 6).map((draw) => [...draw.slice(0, 5)])).toEqual(all.map((draw) => [...draw]));
  // Two variables know nothing of each other.
  const together = all.reduce((sum, draw) => sum + (draw[0] as number) * (draw[1] as number), 0) / 200;
  expect(Math.abs(together)).toBeLessThan(0.2);
});

describe.each(EVENINGS)('%s', (_name, plan) => {
  const base = forecast(plan);
  const odds = dinnerOdds(base);

  test('played with the plan’s minutes, dinner is when the plan says', () => {
    const laid = laidOut(base.clock.tasks);
    const minutes = Float64Array.from(laid.tasks, (task) => task.minutes);
    expect(play(laid, minutes, new Float64Array(minutes.length))).toBeCloseTo(base.clock.totalMinutes, 6);
  });

  test('its quantiles are those of ten times as many evenings within half a minute, and always the same', () => {
    const many = dinnerOdds(base, 10_000);
    for (const p of ['p10', 'p50', 'p90'] as const) expect(Math.abs(odds[p] - many[p])).toBeLessThan(0.5);
    expect(Math.abs(odds.inTime - many.inTime)).toBeLessThan(0.02);
    expect(dinnerOdds(forecast(plan))).toEqual(odds);
  });

  test('the cheap evening is the full forecast’s with the same heater and losses, within a minute in nine of ten', () => {
    const surrogate = surrogateOf(base);
    const { tasks } = surrogate.playable;
    const [minutes, ends] = [new Float64Array(tasks.length), new Float64Array(tasks.length)];
    const heater = plan.cooker.kind === 'electric' ? VARIES.heatElectric : VARIES.heatStovetop;
    const pinned: Plan = {
      ...plan,
      ...base.placed,
      pressureMinutes: base.pressureMinutes,
      stages: base.stages
        .filter(({ kind }) => kind === 'pressure')
        .map(({ place, minutes: own }) => ({
          id: place,
          kind: 'pressure',
          minutes: own,
          release: { method: 'quick', naturalMinutes: 0 },
          meat: 'out',
          takeOutMl: 0,
          broth: 'poured-over',
        })),
    };
    const off = draws(30, 2).map(([heat = 0, losses = 0]) => {
      const draw = new Float64Array(surrogate.variables);
      [draw[1], draw[2]] = [heat, losses];
      surrogate.minutes(draw, minutes);
      const cheap = play(surrogate.playable, minutes, ends);
      const full = forecast({
        ...pinned,
        learnt: {
          heat: { factor: Math.exp(heater.cv * heat), cooks: 0 },
          losses: { factor: Math.exp(VARIES.losses.cv * losses), cooks: 0 },
        },
      });
      // What hands and steam draw is at its middle in the one, and as planned in the other.
      const usual = new Map(full.clock.tasks.map((task) => [task.id, task.minutes]));
      surrogate.minutes(new Float64Array(surrogate.variables), minutes);
      const middle = Float64Array.from(tasks, ({ id, minutes: own }, i) =>
        Math.abs((minutes[i] as number) - own) > 0.01 ? (minutes[i] as number) : (usual.get(id) ?? own),
      );
      return Math.abs(cheap - play(surrogate.playable, middle, ends));
    });
    expect(off.filter((minute) => minute > 1).length).toBeLessThanOrEqual(3);
  });

  test('begun as much earlier as it says, dinner is as sure as it says', () => {
    for (const { chance, earlier } of odds.beginnings.filter((one) => one.chance === 0.8 || one.chance === 0.95)) {
      const spared = { ...plan, ...withSpare(plan, base.clock.tasks, earlier) };
      const sooner = forecast(spared);
      expect(spareOf(spared, sooner.clock.tasks)).toBe(earlier);
      expect(sooner.clock.totalMinutes).toBeCloseTo(base.clock.totalMinutes + earlier, 6);
      expect([chance, Math.abs(dinnerOdds(sooner).inTime - chance) < 0.05]).toEqual([chance, true]);
    }
  });

  test('chances only rise with the minute, shares add up, later parts spread more', () => {
    const chances = odds.byMinute.map(({ chance }) => chance);
    expect(chances).toEqual([...chances].sort((a, b) => a - b));
    expect(odds.byMinute.find(({ minute }) => minute === 0)?.chance).toBe(odds.inTime);
    expect(odds.shares.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
    const spread = (kind: string): number => {
      const part = odds.parts.find(({ work }) => work.kind === kind);
      return (part?.p90 ?? 0) - (part?.p10 ?? 0);
    };
    expect(spread('pressure')).toBeGreaterThan(spread('board'));
    expect(spread('plate')).toBeGreaterThan(spread('pressure'));
  });
});

test('whoever is surer of the meat goes back to the pot less often, and is in time more often', () => {
  const [bold, careful] = [0.6, 0.95].map((confidence) => dinnerOdds(forecast({ ...plain, confidence })));
  expect(bold?.stillTough.chance).toBeCloseTo(0.4, 1);
  expect(careful?.stillTough.chance).toBeLessThanOrEqual(0.05);
  expect(careful?.inTime).toBeGreaterThan(bold?.inTime ?? 1);
  // Against the plan's own time: a tough animal is the long tail.
  expect(careful?.p90).toBeLessThan(bold?.p90 ?? 0);
});

test('what the log has taught narrows the spread; what is another animal’s stays', () => {
  const width = (plan: Plan): number => {
    const { p10, p90 } = dinnerOdds(forecast(plan));
    return p90 - p10;
  };
  const taught = { factor: 1, cooks: 20 };
  expect(width({ ...plain, learnt: { sear: taught, heat: taught, losses: taught, prep: taught } })).toBeLessThan(
    width(plain) - 1,
  );
  expect(spreadAfter(VARIES.sear, 0)).toBe(VARIES.sear.cv);
  expect(spreadAfter(VARIES.sear, 10_000)).toBeCloseTo(VARIES.sear.steady, 3);
  for (const { cv, steady } of Object.values(VARIES)) expect(steady).toBeLessThanOrEqual(cv);
});

test('a dish beside ends with the meal: dinner is no earlier, and in time where nothing else is late', () => {
  const polenta = {
    name: 'Polenta',
    tasks: [{ label: 'Let it swell', minutes: 30, handsOn: false, resource: 'side-burner' as const }],
  };
  const [alone, beside] = [plain, { ...plain, sides: [polenta] }].map((plan) => dinnerOdds(forecast(plan)));
  expect(alone?.p10).toBeLessThan(-1);
  expect(beside?.p10).toBeCloseTo(0, 6);
  expect(beside?.inTime).toBeCloseTo(alone?.inTime ?? 0, 2);
});

test('without a sear there is less that hands can draw out, and it says so', () => {
  const share = (plan: Plan): number =>
    dinnerOdds(forecast(plan)).shares.find(({ cause }) => cause === 'sear')?.share ?? 0;
  expect(share(plain)).toBeGreaterThan(0.2);
  expect(share({ ...plain, sear: { ...plain.sear, school: 'none' } })).toBeLessThan(0.05);
});

test('before the first minute that was reckoned the chance is none, after the last it stays, between two it is between', () => {
  const byMinute = [
    { minute: -1, chance: 0.2 },
    { minute: 0, chance: 0.5 },
    { minute: 1, chance: 0.9 },
  ];
  const at = (minute: number): number => chanceBy({ byMinute }, minute);
  expect([at(-5), at(-1.01), at(-1), at(0), at(9)]).toEqual([0, 0, 0.2, 0.5, 0.9]);
  expect(at(-0.25)).toBeCloseTo(0.425, 9);
  expect(at(0.25)).toBeCloseTo(0.6, 9);
  expect(chanceBy({ byMinute: [] }, 0)).toBe(0);
});
