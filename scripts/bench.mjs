// npm run bench: speed and accuracy on this machine, in one run. Figures are written down in docs/quality.md.
import { createRequire } from 'node:module';
import { cpus } from 'node:os';
import { join } from 'node:path';
import { benchKitchen } from './bench-kitchen.mjs';
import { benchLog } from './bench-log.mjs';
import { benchOdds } from './bench-odds.mjs';
import { benchScreen } from './bench-screen.mjs';
import { buildReckoning, install, root } from './lib.mjs';

install({ quiet: true });
buildReckoning();
if (process.argv.includes('--sweep')) {
  const { sweep } = await import('./sweep.mjs');
  process.stdout.write(`Drawn into ${sweep()}\n`);
  process.exit(0);
}
const load = createRequire(import.meta.url);
const { forecast, guideOf, newPlan, SimulatedCook, steadyHand } = load(join(root, 'core/dist/index.js'));
const { ConductionBody } = load(join(root, 'core/dist/physics/conduction/body.js'));
const { CookingBody } = load(join(root, 'core/dist/physics/cooking-body.js'));
const { Solver } = load('odex');

function median(values) {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)];
}

function timed(repeats, work) {
  return median(
    Array.from({ length: repeats }, (_, i) => {
      const start = performance.now();
      work(i);
      return performance.now() - start;
    }),
  );
}

const say = (line) => process.stdout.write(`${line}\n`);
say(`Node ${process.version}, ${cpus()[0]?.model ?? 'unknown'}, one core`);

// How fast this machine is just now: a million exponentials, some 10 ms where nobody else is at it.
const yardstick = () =>
  timed(5, () => {
    let sum = 0;
    for (let i = 0; i < 1e6; i += 1) sum += Math.exp(-i * 1e-6);
    return sum;
  });
say(`this machine: ${yardstick().toFixed(0)} ms for a million exponentials`);

const plan = (cut, form, grams, startsFrom = 'fridge') => {
  const made = newPlan({ cut, form, grams });
  return { ...made, meat: { ...made.meat, startsFrom } };
};
const plans = [
  ['goat neck, slices', 'goat-neck', 'slices', 1600],
  ['beef chuck, chunks', 'beef-chuck', 'chunks', 1400],
  ['pork shoulder, whole', 'pork-shoulder', 'whole', 1800],
];
// A gram more each time, so that nothing is answered from memory.
for (const [, cut, form, grams] of plans) for (let i = 0; i < 60; i += 1) forecast(plan(cut, form, grams - 200 + i));
for (const [name, cut, form, grams] of plans) {
  const before = yardstick();
  const ms = timed(60, (i) => forecast(plan(cut, form, grams + i)));
  const ratio = (ms / ((before + yardstick()) / 2)).toFixed(2);
  say(`forecast of ${name}: median ${ms.toFixed(2)} ms (bar 5 ms), ${ratio} of a million exponentials (bar 0.3)`);
}
for (const [name, cut, form, grams] of plans) {
  say(
    `from frozen, ${name}: median ${timed(9, (i) => forecast(plan(cut, form, grams + i, 'frozen'))).toFixed(1)} ms (bar 60 ms)`,
  );
}

// Ten simulated cookers at once, under pressure, at 300 times: what a second of it costs, telemetry written out.
{
  const f = forecast(plan('beef-shin', 'slices', 1200));
  const guide = guideOf(f);
  const setup = { scatter: true, startMs: 0, faults: [], handsTakeTime: true };
  const cookers = Array.from({ length: 10 }, (_, seed) => new SimulatedCook(f, guide, { ...setup, seed }));
  for (const cooker of cookers) steadyHand(cooker, (id) => id === 'pressure');
  const second = timed(9, () => {
    for (const cooker of cookers) {
      const before = cooker.frames.length;
      cooker.advanceTo(cooker.seconds + 300);
      JSON.stringify(cooker.frames.slice(before));
    }
  });
  say(`ten simulated cookers at 300 times: ${(second / 10).toFixed(1)} % of one core (bar 25 %)`);
}

// One piece through one cook, against a general solver on the same brick and the same history.
const brick = { halfDimensions: [0.036, 0.03, 0.019], conductivity: 0.49, diffusivity: 1.4e-7, surface: 800 };
const liquidC = (seconds) => Math.min(115.7, 50 + (65.7 * seconds) / 600);
const SECONDS = 2400;

function ours(modes, step) {
  const piece = new CookingBody(
    new ConductionBody({ kind: 'brick', halfDimensions: brick.halfDimensions }, brick, 5, modes),
    1,
  );
  for (let at = 0; at < SECONDS; at += step) piece.advance(step, liquidC(at), liquidC(at + step));
  return { coreC: piece.coreC, cookValue: piece.meanCookValue() };
}

/** The same modes' nodes as ordinary differential equations would be stiff; finite volumes are what the solver likes best. */
function theirs(cells, tolerance) {
  const count = cells ** 3;
  const spacing = brick.halfDimensions.map((half) => half / cells);
  const strides = [cells * cells, cells, 1];
  const solver = new Solver(count + 1);
  solver.absoluteTolerance = tolerance;
  solver.relativeTolerance = tolerance;
  solver.maxSteps = 20_000;
  const slope = (at, y) => {
    const change = new Array(count + 1).fill(0);
    const surroundings = liquidC(at);
    let rate = 0;
    for (let i = 0; i < count; i += 1) {
      rate += Math.exp(0.069564 * (y[i] - 100));
      for (let axis = 0; axis < 3; axis += 1) {
        const dx = spacing[axis];
        if (Math.floor(i / strides[axis]) % cells === cells - 1) {
          change[i] +=
            ((brick.diffusivity / brick.conductivity) * (surroundings - y[i])) /
            ((1 / brick.surface + dx / (2 * brick.conductivity)) * dx);
        } else {
          const flow = (brick.diffusivity * (y[i + strides[axis]] - y[i])) / (dx * dx);
          change[i] += flow;
          change[i + strides[axis]] -= flow;
        }
      }
    }
    change[count] = rate / count / 60;
    return change;
  };
  const { y } = solver.solve(slope, 0, [...new Array(count).fill(5), 0], SECONDS);
  const coreC = strides.reduce((sum, stride) => sum + (y[0] - y[stride]) / 8, y[0]);
  return { coreC, cookValue: y[count] };
}

const reference = ours(14, 5);
const off = (found) => ({
  kelvin: Math.abs(found.coreC - reference.coreC),
  share: Math.abs(found.cookValue / reference.cookValue - 1),
});
const good = ({ kelvin, share }) => kelvin < 0.1 && share < 0.01;
const print = (error) => `core off by ${error.kelvin.toFixed(3)} K, cook value by ${(100 * error.share).toFixed(2)} %`;

for (let i = 0; i < 50; i += 1) ours(5, 60);
const ownTime = timed(50, () => ours(5, 60));
say(`one piece, ours: ${ownTime.toFixed(2)} ms, ${print(off(ours(5, 60)))}`);
// Its best settings: the coarsest grid and tolerance that are still good enough.
let best = null;
for (const cells of [9, 10]) {
  for (const tolerance of [1e-3, 1e-4, 1e-5]) {
    const start = performance.now();
    const error = off(theirs(cells, tolerance));
    const time = performance.now() - start;
    if (!good(error)) continue;
    if (best === null || time < best.time) best = { cells, tolerance, time, error };
    break;
  }
}
if (best === null) say('one piece, general ODE solver: not accurate enough at any setting tried');
else {
  say(
    `one piece, general ODE solver at its best (${best.cells} cells a direction, tolerance ${best.tolerance}): ${best.time.toFixed(1)} ms, ${print(best.error)}`,
  );
  say(`ratio: ${(best.time / ownTime).toFixed(0)} times faster (bar 10)`);
}

if (process.argv.includes('--odds')) benchOdds(say);
if (process.argv.includes('--screen')) await benchScreen(say);
if (process.argv.includes('--log')) await benchLog(say);
if (process.argv.includes('--kitchen')) await benchKitchen();
