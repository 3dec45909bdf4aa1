// npm run bench -- --odds [--many]: the odds against full forecasts, and against the simulated kitchen with truths drawn from the list.
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { atTheCheck, drawnEvening } from './drawn-evening.mjs';
import { root } from './lib.mjs';

const load = createRequire(import.meta.url);
const MINUTE = 60_000;
const SERVE = '2027-01-17T19:00:00+01:00';

/** How many of so many, with what so many leave open: 19 in 20. */
const share = (core, kept, of) => {
  const [from, to] = core.shareInterval(kept, of, 1.96);
  return `${((100 * kept) / of).toFixed(0)} % (${(100 * from).toFixed(0)} to ${(100 * to).toFixed(0)})`;
};

/** The odds of dinner against as many full forecasts, each with its own heater, losses, sear and board. */
function againstForecasts(core, odds, say, count) {
  const { draws } = odds('draws');
  const { DRAWN, surrogateOf } = odds('dinner-odds');
  const { play } = odds('play');
  const { VARIES } = load(join(root, 'core/dist/catalog/what-varies.js'));
  const plan = core.newPlan({ cut: 'beef-chuck', form: 'chunks', grams: 1200, serveAt: SERVE });
  const base = core.forecast(plan);
  const pinned = { ...plan, pressureMinutes: base.pressureMinutes };
  const surrogate = surrogateOf(base);
  const { playable } = surrogate;
  const [hands, ends] = [new Float64Array(playable.tasks.length), new Float64Array(playable.tasks.length)];
  const dinners = draws(count, surrogate.variables).map((draw) => {
    const full = core.forecast({
      ...pinned,
      learnt: {
        heat: { factor: Math.exp(VARIES.heatElectric.cv * draw[DRAWN.heater]), cooks: 0 },
        losses: { factor: Math.exp(VARIES.losses.cv * draw[DRAWN.losses]), cooks: 0 },
      },
    });
    const now = new Map(full.clock.tasks.map(({ id, minutes }) => [id, minutes]));
    // The pot's minutes are the full forecast's; what hands do is drawn as ever.
    const drawn = draw.slice();
    [drawn[DRAWN.heater], drawn[DRAWN.losses]] = [0, 0];
    surrogate.minutes(drawn, hands);
    const minutes = Float64Array.from(playable.tasks, ({ id, minutes: was }, i) =>
      was > 0 ? hands[i] * ((now.get(id) ?? was) / was) : hands[i],
    );
    return play(playable, minutes, ends) - base.clock.totalMinutes;
  });
  dinners.sort((a, b) => a - b);
  const at = (p) => dinners[Math.floor(p * count)];
  const cheap = core.dinnerOdds(base);
  say(
    `odds of dinner, ${count} full forecasts: p10 ${at(0.1).toFixed(1)}, p50 ${at(0.5).toFixed(1)}, p90 ${at(0.9).toFixed(1)} min; ours ${cheap.p10.toFixed(1)}, ${cheap.p50.toFixed(1)}, ${cheap.p90.toFixed(1)} (bar: within a minute)`,
  );
}

const PLANS = [
  ['beef-chuck', 'chunks', 1200],
  ['goat-neck', 'slices', 1600],
  ['pork-shoulder', 'chunks', 1500],
];

/** What of a kitchen was drawn: its heater, its losses, its animal. */
const drawnFactors = (VARIES, DRAWN, draw) => ({
  heat: { factor: Math.exp(VARIES.heatElectric.cv * draw[DRAWN.heater]), cooks: 1 },
  losses: { factor: Math.exp(VARIES.losses.cv * draw[DRAWN.losses]), cooks: 1 },
  toughness: { factor: Math.exp(VARIES.toughness.cv * draw[DRAWN.animal]), cooks: 1 },
});

/** A cook in the simulated kitchen, as far as is asked; null where the pot never got there. */
function cooked(core, truth, guide, startMs, seed, odds = {}, until = () => false) {
  const run = new core.SimulatedCook(truth, guide, {
    seed,
    scatter: false,
    startMs,
    faults: [],
    handsTakeTime: true,
    stepS: 10,
    odds,
  });
  try {
    core.steadyHand(run, until, atTheCheck(guide));
  } catch {
    return null;
  }
  return run;
}

/** Rehearsals with steady hands and truths drawn from the list: was it tender as often, and in time as often, as was promised. */
function againstKitchen(core, odds, count) {
  const { draws } = odds('draws');
  const { DRAWN } = odds('dinner-odds');
  const { VARIES } = load(join(root, 'core/dist/catalog/what-varies.js'));
  let [tender, promisedTender, inTime, promisedInTime, all] = [0, 0, 0, 0, 0];
  for (const [cut, form, grams] of PLANS) {
    const plain = core.newPlan({ cut, form, grams, serveAt: SERVE });
    const first = core.forecast(plain);
    const nine = core.dinnerOdds(first).beginnings.find(({ chance }) => chance === 0.9);
    const plan = { ...plain, ...core.withSpare(plain, first.clock.tasks, nine.earlier) };
    const base = core.forecast(plan);
    const promised = core.dinnerOdds(base);
    const evening = drawnEvening(load, base);
    const { surrogate } = evening;
    draws(Math.round(count / PLANS.length), surrogate.variables + 1).forEach((draw, n) => {
      const truth = core.forecast({
        ...plan,
        pressureMinutes: base.pressureMinutes,
        meat: {
          ...plan.meat,
          thicknessCm: base.piece.thicknessCm * Math.exp(VARIES.thickness.cv * draw[surrogate.variables]),
        },
        learnt: drawnFactors(VARIES, DRAWN, draw),
      });
      const slow = evening.slowed(draw);
      const run = cooked(core, truth, slow, evening.potOnMs(slow), 40 + n);
      if (run === null) return;
      const fine = core.againstTarget(run.state.grade ?? 'chewy', plan.target) !== 'short';
      const late = (run.state.dinner.at - Date.parse(SERVE)) / MINUTE + (fine ? 0 : promised.stillTough.minutes);
      all += 1;
      tender += fine ? 1 : 0;
      inTime += late <= 0 ? 1 : 0;
      promisedTender += base.tenderness.chance.at + base.tenderness.chance.past;
      promisedInTime += promised.inTime;
    });
  }
  return [
    { what: 'tender', count: all, promised: promisedTender, kept: tender, bar: ' (bar 77 to 83)' },
    { what: 'in time', count: all, promised: promisedInTime, kept: inTime, bar: ' (bar 87 to 93)' },
  ];
}

const veg = (vegetable, grams, texture) => ({ vegetable, grams, texture, place: 'auto' });
const GARDEN = [
  ['beef-chuck', 'chunks', 1200, [veg('carrot', 300, 'tender'), veg('potato-waxy', 400, 'tender')], []],
  ['goat-neck', 'slices', 1600, [veg('turnip', 350, 'tender'), veg('parsnip', 250, 'soft')], []],
  ['lamb-shank', 'whole', 1600, [veg('celeriac', 350, 'tender')], [{ grain: 'freekeh', grams: 120, place: 'auto' }]],
];

/** Vegetables and grains in the simulated kitchen, their size and variety drawn: have they the texture as often as was promised. */
function againstGarden(core, odds, count) {
  const { draws } = odds('draws');
  const { DRAWN } = odds('dinner-odds');
  const { VARIES, WAITS } = load(join(root, 'core/dist/catalog/what-varies.js'));
  const { grainTexture, vegetableTexture } = load(join(root, 'core/dist/stations/doneness.js'));
  const { normalCdf } = load(join(root, 'core/dist/physics/normal.js'));
  let [right, promised, all] = [0, 0, 0];
  for (const [cut, form, grams, vegetables, grains] of GARDEN) {
    const plan = { ...core.newPlan({ cut, form, grams, serveAt: SERVE }), vegetables, grains };
    const base = core.forecast(plan);
    const evening = drawnEvening(load, base);
    const { surrogate, guide } = evening;
    const items = base.stages.flatMap(({ items }) => items);
    const [sizes, variety, lift] = [0, 1, 2].map((k) => (i) => surrogate.variables + 3 * i + k);
    draws(Math.round(count / GARDEN.length), surrogate.variables + 3 * items.length).forEach((draw, n) => {
      const placed = base.placed.vegetables.map((item, i) => {
        const found = items.find(({ portion }) => portion === `vegetable-${i + 1}`);
        const at = items.indexOf(found);
        return { ...item, sizeCm: found.sizeCm * Math.exp(VARIES.vegetableSize.cv * draw[sizes(at)]) };
      });
      const truth = core.forecast({
        ...plan,
        pressureMinutes: base.pressureMinutes,
        learnt: { heat: drawnFactors(VARIES, DRAWN, draw).heat },
      });
      // The guide, the meat and the places are the plan's; only what lies on the board is cut otherwise.
      const real = { ...truth, placed: { ...base.placed, vegetables: placed } };
      const run = cooked(core, real, guide, evening.potOnMs(guide), 40 + n);
      if (run === null) return;
      run.kitchen.plants.forEach((plant) => {
        const at = items.findIndex(({ portion }) => portion === plant.portion);
        const item = items[at];
        if (!item || item.chance === null || plant.inAt === null) return;
        // A stew is not out of its pot at once: what lies in it goes on, more slowly.
        const waits = WAITS.lift.from + (WAITS.lift.to - WAITS.lift.from) * normalCdf(draw[lift(at)]);
        const value = (plant.cookValue + 0.6 * (waits - 3)) * Math.exp(-VARIES.variety.cv * draw[variety(at)]);
        const was = plant.kind === 'grain' ? grainTexture(plant.id, value) : vegetableTexture(plant.id, value);
        all += 1;
        right += was === (plant.kind === 'grain' ? 'cooked' : item.wanted) ? 1 : 0;
        promised += item.chance;
      });
    });
  }
  return { what: 'vegetables and grains as wanted', count: all, promised, kept: right, bar: '' };
}

const paste = (grams, when) => ({ additions: [{ ingredient: 'tomato-paste', grams, when }] });
/** Pots that are near to burning, for one that never does shows nothing. */
const BASES = [
  [1000, { deglaze: null }],
  [1050, paste(100, 'stirred-in')],
  [1000, paste(100, 'stirred-in')],
  [1100, paste(60, 'fried')],
];

/** Pots brought to pressure in the simulated kitchen, their heater, crumbs and cut-out drawn: do they burn as often as was said. */
function againstBases(core, odds, count) {
  const { draws } = odds('draws');
  const { VARIES, STUCK_AT_MOST, CUT_OUT_K } = load(join(root, 'core/dist/catalog/what-varies.js'));
  const { normalCdf } = load(join(root, 'core/dist/physics/normal.js'));
  let [burnt, promised, all] = [0, 0, 0];
  for (const [watts, more] of BASES) {
    const plain = core.newPlan({ cut: 'beef-chuck', form: 'chunks', grams: 1200, serveAt: SERVE });
    const plan = { ...plain, ...more, cooker: { ...plain.cooker, watts } };
    const base = core.forecast(plan);
    const evening = drawnEvening(load, base);
    const { guide } = evening;
    draws(Math.round(count / BASES.length), 3).forEach(([heater, crumbs, cutsOut], n) => {
      const kitchen = {
        heat: Math.exp(VARIES.heatElectric.cv * heater),
        stuck: STUCK_AT_MOST * normalCdf(crumbs) ** 2,
        tripsBelowK: -CUT_OUT_K * cutsOut,
      };
      const run = cooked(core, base, guide, evening.potOnMs(guide), 40 + n, kitchen, (step) => step === 'pressure');
      all += 1;
      burnt += run === null || run.kitchen.trips.length > 0 ? 1 : 0;
      promised += base.burn.chance;
    });
  }
  return { what: 'pots near to burning that burnt', count: all, promised, kept: burnt, bar: '' };
}

/**
 * What was promised, against what the simulated kitchen made of it.
 *
 * @param counts how many of each: rehearsals, pots of vegetables, pots near to burning
 * @returns for each promise how many cooks, the sum of what was promised, and how many were kept
 */
export function calibration({ rehearsals, gardens, bases }) {
  const core = load(join(root, 'core/dist/index.js'));
  const odds = (name) => load(join(root, `core/dist/braise/odds/${name}.js`));
  return [
    ...againstKitchen(core, odds, rehearsals),
    againstGarden(core, odds, gardens),
    againstBases(core, odds, bases),
  ];
}

/** The odds, judged. */
export function benchOdds(say) {
  const core = load(join(root, 'core/dist/index.js'));
  const odds = (name) => load(join(root, `core/dist/braise/odds/${name}.js`));
  const many = process.argv.includes('--many');
  againstForecasts(core, odds, say, many ? 10_000 : 600);
  const counts = many ? { rehearsals: 1000, gardens: 600, bases: 400 } : { rehearsals: 150, gardens: 90, bases: 120 };
  for (const { what, count, promised, kept, bar } of calibration(counts)) {
    say(
      `${what}, ${count}: promised ${((100 * promised) / count).toFixed(0)} %, were ${share(core, kept, count)}${bar}`,
    );
  }
}
