// npm run bench -- --odds [--many]: the odds against full forecasts, and against the simulated kitchen with truths drawn from the list.
import { createRequire } from 'node:module';
import { join } from 'node:path';
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
  const { VARIES } = load(join(root, 'core/dist/larder/what-varies.js'));
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

/** Rehearsals with steady hands and truths drawn from the list: was it tender as often, and in time as often, as was promised. */
function againstKitchen(core, odds, say, count) {
  const { draws } = odds('draws');
  const { DRAWN, surrogateOf } = odds('dinner-odds');
  const { VARIES } = load(join(root, 'core/dist/larder/what-varies.js'));
  const { againstTarget } = core;
  let [tender, promisedTender, inTime, promisedInTime, cooked] = [0, 0, 0, 0, 0];
  for (const [cut, form, grams] of PLANS) {
    const plain = core.newPlan({ cut, form, grams, serveAt: SERVE });
    const first = core.forecast(plain);
    const nine = core.dinnerOdds(first).beginnings.find(({ chance }) => chance === 0.9);
    const plan = { ...plain, ...core.withSpare(plain, first.clock.tasks, nine.earlier) };
    const base = core.forecast(plan);
    const promised = core.dinnerOdds(base);
    const surrogate = surrogateOf(base);
    const guide = core.guideOf(base, core.printerFor('metric'));
    const usual = surrogate.playable.tasks.map(({ minutes }) => minutes);
    const at = new Map(surrogate.playable.tasks.map(({ id }, i) => [id, i]));
    const minutes = new Float64Array(usual.length);
    const size = Math.round(count / PLANS.length);
    draws(size, surrogate.variables + 1).forEach((draw, n) => {
      // The pot is the simulated kitchen's own; only the hands' minutes are the list's.
      const hands = draw.slice(0, surrogate.variables);
      for (const what of [DRAWN.heater, DRAWN.losses, DRAWN.steam]) hands[what] = 0;
      hands[DRAWN.animal] = -9;
      surrogate.minutes(hands, minutes);
      const slow = {
        ...guide,
        steps: guide.steps.map((step) => {
          const i = at.get(step.task);
          return i === undefined || !(usual[i] > 0)
            ? step
            : { ...step, minutes: step.minutes * (minutes[i] / usual[i]) };
        }),
      };
      const truth = core.forecast({
        ...plan,
        pressureMinutes: base.pressureMinutes,
        meat: {
          ...plan.meat,
          thicknessCm: base.piece.thicknessCm * Math.exp(VARIES.thickness.cv * draw[surrogate.variables]),
        },
        learnt: {
          heat: { factor: Math.exp(VARIES.heatElectric.cv * draw[DRAWN.heater]), cooks: 1 },
          losses: { factor: Math.exp(VARIES.losses.cv * draw[DRAWN.losses]), cooks: 1 },
          toughness: { factor: Math.exp(VARIES.toughness.cv * draw[DRAWN.animal]), cooks: 1 },
        },
      });
      const startMs = Date.parse(SERVE) - base.clock.totalMinutes * MINUTE;
      const run = new core.SimulatedCook(truth, slow, {
        seed: 40 + n,
        scatter: false,
        startMs,
        faults: [],
        handsTakeTime: true,
        stepS: 10,
      });
      try {
        core.steadyHand(run);
      } catch {
        return;
      }
      const fine = againstTarget(run.state.grade ?? 'chewy', plan.target) !== 'short';
      const late = (run.state.dinner.at - Date.parse(SERVE)) / MINUTE + (fine ? 0 : promised.stillTough.minutes);
      cooked += 1;
      tender += fine ? 1 : 0;
      inTime += late <= 0 ? 1 : 0;
      promisedTender += base.tenderness.chance.at + base.tenderness.chance.past;
      promisedInTime += promised.inTime;
    });
  }
  say(
    `rehearsals, ${cooked}: promised tender ${((100 * promisedTender) / cooked).toFixed(0)} %, were ${share(core, tender, cooked)} (bar 77 to 83); promised in time ${((100 * promisedInTime) / cooked).toFixed(0)} %, were ${share(core, inTime, cooked)} (bar 87 to 93)`,
  );
}

/** The odds, judged. */
export function benchOdds(say) {
  const core = load(join(root, 'core/dist/index.js'));
  const odds = (name) => load(join(root, `core/dist/braise/odds/${name}.js`));
  const many = process.argv.includes('--many');
  againstForecasts(core, odds, say, many ? 10_000 : 600);
  againstKitchen(core, odds, say, many ? 1000 : 150);
}
