// Minutes over what they depend on, one drawing for each: `npm run bench -- --sweep` writes them into a temporary folder.
import { forecast, newPlan, PlanError, thawMinutes } from '@hervir/core';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const CUTS = [
  ['goat neck in slices', 'goat-neck', 'slices', 1600, '#b33a18'],
  ['beef chuck in chunks', 'beef-chuck', 'chunks', 1400, '#20507a'],
  ['pork shoulder whole', 'pork-shoulder', 'whole', 1800, '#4c7a34'],
  ['lamb shanks', 'lamb-shank', 'whole', 1600, '#8a6a10'],
  ['beef shin in slices', 'beef-shin', 'slices', 1500, '#6b4a8a'],
];

const between = (from, to, count = 60) =>
  Array.from({ length: count }, (_, i) => from + ((to - from) * i) / (count - 1));

const weighing = (plan, grams) => ({ ...plan, meat: { ...plan.meat, grams } });
const hoursToThaw = (way) => (plan) => thawMinutes(plan.meat, way) / 60;
const UNDER_PRESSURE = 'Minutes under pressure';

/** What is swept: its axis, how a plan takes a value of it, and what is drawn over it. */
const SWEEPS = [
  ['weight', 'g', between(300, 4500), weighing],
  ['weight', 'g', between(300, 4500, 25), weighing, hoursToThaw('fridge'), 'Hours to thaw in the fridge'],
  ['weight', 'g', between(300, 4500, 25), weighing, hoursToThaw('cold-water'), 'Hours to thaw in cold water'],
  ['thickness', 'cm', between(1, 8), (plan, thicknessCm) => ({ ...plan, meat: { ...plan.meat, thicknessCm } })],
  ['altitude', 'm', between(0, 3500), (plan, altitudeM) => ({ ...plan, kitchen: { altitudeM, roomC: 20 } })],
  ['gauge pressure', 'kPa', between(30, 110), (plan, gaugeKPa) => ({ ...plan, cooker: { ...plan.cooker, gaugeKPa } })],
  ['heater', 'W', between(600, 2500), (plan, watts) => ({ ...plan, cooker: { ...plan.cooker, watts } })],
  [
    'liquid',
    'ml',
    between(300, 3000),
    (plan, ml) => ({ ...plan, liquids: [{ liquid: 'stock', ml, temperatureC: 20 }] }),
  ],
];

function minutesOf(plan) {
  try {
    return forecast(plan).proposedMinutes;
  } catch (error) {
    if (error instanceof PlanError) return null;
    throw error;
  }
}

function drawing(name, unit, values, take, of = minutesOf, title = UNDER_PRESSURE) {
  const [width, height, left, base] = [760, 420, 56, 372];
  const found = CUTS.map(([cutTitle, cut, form, grams, colour]) => {
    const plan = { ...newPlan({ cut, form, grams }), pressureMinutes: null };
    return { title: cutTitle, colour, points: values.map((value) => [value, of(take(plan, value))]) };
  });
  const x = scaleLinear([values[0], values.at(-1)], [left, width - 16]);
  const most = Math.max(...found.flatMap(({ points }) => points.map(([, minutes]) => minutes ?? 0)));
  const y = scaleLinear([0, most], [base, 24]).nice();
  const path = line()
    .defined(([, minutes]) => minutes !== null)
    .x(([value]) => x(value))
    .y(([, minutes]) => y(minutes));
  const text = (at, level, words, more = '') => `<text x="${at}" y="${level}" ${more}>${words}</text>`;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" font-family="sans-serif" font-size="12">
<rect width="100%" height="100%" fill="#fffdf6"/>
${y
  .ticks(6)
  .map(
    (tick) =>
      `<line x1="${left}" x2="${width - 16}" y1="${y(tick)}" y2="${y(tick)}" stroke="#ddd5c3"/>${text(left - 8, y(tick) + 4, tick, 'text-anchor="end"')}`,
  )
  .join('\n')}
${x
  .ticks(8)
  .map((tick) => text(x(tick), base + 18, tick, 'text-anchor="middle"'))
  .join('\n')}
${text(left, 16, `${title} over ${name}, ${unit}`, 'font-weight="700"')}
${found.map(({ points, colour }) => `<path d="${path(points) ?? ''}" fill="none" stroke="${colour}" stroke-width="2"/>`).join('\n')}
${found.map(({ title, colour }, i) => text(left + i * 138, height - 10, title, `fill="${colour}"`)).join('\n')}
</svg>
`;
}

/** Draws every sweep, and says where. */
export function sweep() {
  const folder = mkdtempSync(join(tmpdir(), 'hervir-sweep-'));
  for (const [name, unit, values, take, of, title = UNDER_PRESSURE] of SWEEPS) {
    const file = title === UNDER_PRESSURE ? name : title.toLowerCase();
    writeFileSync(join(folder, `${file.replaceAll(' ', '-')}.svg`), drawing(name, unit, values, take, of, title));
  }
  return folder;
}
