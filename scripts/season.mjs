// node scripts/season.mjs: cooks the demo kitchen's season on the simulated cooker and writes it down. The refuge's old steel
// pot gives less heat than its plate says, and its goats are tougher than the table: something true for the log to find. It is
// a household the odds are true for: what differs in it is drawn from the list of what varies, and each cook is promised
// what the log knew that day.
import { writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { atTheCheck, boardMinutes, drawnEvening } from './drawn-evening.mjs';
import { buildAll, install, root } from './lib.mjs';

install();
buildAll();
const load = createRequire(import.meta.url);
const core = load(join(root, 'core/dist/index.js'));
const { DEMO_COOKERS, DEMO_SETTINGS } = load(join(root, 'server/dist/demo/demo-kitchen.js'));
const [blue, steel] = DEMO_COOKERS;

/** What the refuge is in truth, against the tables. */
const HEAT = new Map([
  [blue.name, 1.02],
  [steel.name, 0.84],
]);
const TOUGHNESS = { goat: 1.2 };
/** One season of many: fourteen cooks say little, and this one is neither lucky nor unlucky. */
const SEED = Number(process.env.SEASON_SEED ?? 12);
/** The refuge's cook likes to be as sure of the hour as of the meat. */
const SURE = 0.8;
const { VARIES } = load(join(root, 'core/dist/catalog/what-varies.js'));

const veg = (vegetable, grams, texture = 'tender') => ({ vegetable, grams, texture, place: 'auto' });
const grain = (id, grams) => ({ grain: id, grams, place: 'auto' });

/** Date, name, sentence, pot, and what was out of the ordinary. */
const SEASON = [
  [
    '2026-08-29',
    'Goat shoulder with turnips and bay',
    ['goat-shoulder', 'chunks', 1500],
    steel,
    { vegetables: [veg('turnip', 400)] },
  ],
  ['2026-09-05', 'Lamb shank with chickpeas and lemon', ['lamb-shank', 'whole', 1600], blue, {}],
  [
    '2026-09-12',
    'Beef shin with celeriac and prunes',
    ['beef-shin', 'slices', 1800],
    steel,
    { vegetables: [veg('celeriac', 400)] },
  ],
  [
    '2026-09-19',
    'Pork collar with quince',
    ['pork-collar', 'chunks', 1400],
    blue,
    { additions: [{ ingredient: 'tomato-paste', grams: 140, when: 'on-top' }] },
    {
      faults: ['not-scraped', 'paste-stirred'],
      note: 'Stirred the paste in and did not scrape. It stopped, and everything had to come out.',
    },
  ],
  [
    '2026-09-26',
    'Goat neck with quince and freekeh',
    ['goat-neck', 'slices', 1600],
    blue,
    { grains: [grain('freekeh', 120)] },
  ],
  ['2026-10-03', 'Oxtail with chestnuts', ['beef-oxtail', 'pieces', 1900], steel, { target: 'pulls' }],
  [
    '2026-10-10',
    'Goat shoulder with turnips and bay',
    ['goat-shoulder', 'chunks', 1400],
    steel,
    { vegetables: [veg('turnip', 350)] },
  ],
  [
    '2026-10-14',
    'Lamb neck with white beans',
    ['lamb-neck', 'slices', 1300],
    blue,
    {},
    { late: 42, note: 'The walkers came in wet and late, and so did the meat: nobody counted the way up.' },
  ],
  ['2026-10-24', 'Pork hock with lentils', ['pork-hock', 'whole', 1900], steel, {}],
  ['2026-10-31', 'Beef cheek with juniper', ['beef-cheek', 'whole', 1500], blue, {}],
  ['2026-11-04', 'Goat leg with carrots', ['goat-leg', 'whole', 1700], blue, { vegetables: [veg('carrot', 350)] }],
  ['2026-11-11', 'Goat shoulder with juniper', ['goat-shoulder', 'chunks', 1300], blue, {}],
  ['2026-11-14', 'Beef shin with barley', ['beef-shin', 'slices', 1500], steel, {}],
  [
    '2026-11-21',
    'Goat shoulder with turnips and bay',
    ['goat-shoulder', 'chunks', 1500],
    steel,
    { vegetables: [veg('turnip', 400)] },
  ],
];

/** What the log knew when a cook began. */
const known = new Map();
function teach(plan, observation, came) {
  for (const [kind, evidence] of Object.entries(observation)) {
    const of = core.subjectOf(kind, plan);
    const before = known.get(`${kind}:${of}`) ?? { ...core.unknown(kind), of, short: 0, past: 0 };
    known.set(`${kind}:${of}`, {
      ...before,
      ...core.withEvidence(before, evidence),
      short: before.short + (came === 'short' ? 1 : 0),
      past: before.past + (came === 'past' ? 1 : 0),
    });
  }
}
const rows = () => [...known.values()].map((one) => ({ ...one, ...core.summary(one), off: false }));

/** A plan as it is begun that day: with what was learnt, and begun so early that dinner is as sure as the meat. */
function begun(plain) {
  const plan = core.withCalibration(plain, { rows: rows() });
  const first = core.forecast(plan);
  const { earlier } = core.dinnerOdds(first).beginnings.find(({ chance }) => chance === SURE);
  // This cook is done at the board before the pot comes on, and so begins earlier than the clock says.
  const usual = boardMinutes(core.guideOf(first));
  const spare = Math.max(0, earlier - (usual - core.potMinute(first)));
  return { ...plan, ...core.withSpare(plan, first.clock.tasks, spare) };
}

let [tender, inTimeAtAll, promisedInAll] = [0, 0, 0];
const cooks = SEASON.map(([date, name, [cut, form, grams], cooker, more, odd = {}], i) => {
  const random = core.seeded(1000 * SEED + i);
  const plan = begun({
    ...core.newPlan({ cut, form, grams }),
    ...more,
    name,
    cooker,
    kitchen: DEMO_SETTINGS.kitchen,
    release: { method: 'natural', naturalMinutes: 0 },
    serveAt: `${date}T19:00:00+01:00`,
    confidence: SURE,
  });
  const planned = core.forecast(plan);
  const promised = core.dinnerOdds(planned);
  const species = core.cutById(cut).species;
  const factor = (usual, steady) => ({ factor: usual * Math.exp(steady * random.normal()), cooks: 1 });
  const heater = cooker.kind === 'stovetop' ? VARIES.heatStovetop : VARIES.heatElectric;
  const truth = core.forecast({
    ...plan,
    pressureMinutes: planned.pressureMinutes,
    learnt: {
      heat: factor(HEAT.get(cooker.name), heater.steady),
      losses: factor(1, VARIES.losses.steady),
      toughness: factor(TOUGHNESS[species] ?? 1, VARIES.toughness.steady),
    },
  });
  const evening = drawnEvening(load, planned);
  const { guide, surrogate } = evening;
  // This cook's hands are as slow as the list's.
  const draw = Float64Array.from({ length: surrogate.variables }, () => random.normal());
  const slow = evening.slowed(draw);
  const startMs = evening.potOnMs(slow);
  const tries = atTheCheck(slow);
  const run = new core.SimulatedCook(truth, slow, {
    seed: 2000 + i,
    scatter: false,
    startMs,
    faults: odd.faults ?? [],
    handsTakeTime: true,
  });
  core.steadyHand(
    run,
    () => false,
    (id) => tries(id) + (id === 'load' ? (odd.late ?? 0) : 0),
  );
  const told = (kind, payload, minutes) => ({
    id: crypto.randomUUID(),
    kind,
    at: new Date(run.nowMs + minutes * 60_000).toISOString(),
    payload,
  });
  // The board took its own time, up to the moment the pot came on.
  const potOn = startMs;
  const board = guide.steps.filter(({ section }) => section === 'board');
  const boardTook = slow.steps.filter(({ section }) => section === 'board').map(({ minutes }) => minutes);
  const boardDone = (i) => potOn - boardTook.slice(i + 1).reduce((sum, minutes) => sum + minutes, 0) * 60_000;
  const atBoard = ({ kind, payload }) => {
    if (kind === 'started') return boardDone(-1);
    const i = board.findIndex(({ id }) => id === payload.step);
    return i < 0 ? null : boardDone(i);
  };
  const events = [
    // The refuge's cook presses: nothing was linked then.
    ...run.events.map(({ payload: { byCooker: _, ...payload }, ...event }) => {
      const at = atBoard({ ...event, payload });
      return { ...event, payload, at: at === null ? event.at : new Date(Math.round(at)).toISOString() };
    }),
    told('weighed', { what: 'cooked', grams: run.weigh() }, 1),
    ...(odd.note ? [told('note', { text: odd.note }, 2)] : []),
    told('finished', {}, 3),
  ];
  const check = events.find(({ kind }) => kind === 'checked');
  process.stdout.write(
    `${date} ${name}: ${planned.pressureMinutes} min, wanted ${plan.target}, was ${check?.payload.grade}; pin ${planned.pot.minutesToPin.toFixed(1)}; ${Math.round(run.state.dinner.driftMinutes)} min off, ${run.state.burns} burns\n`,
  );
  const state = core.cookState(guide, events, run.nowMs + 3 * 60_000);
  const observation = core.observe(plan, state, check?.payload.grade ?? null);
  // What it was promised when it was begun: worked out once, for every demo kitchen.
  const late = (Date.parse(events[0].at) - Date.parse(planned.clock.startAt)) / 60_000;
  const inTime = Math.round(core.chanceBy(promised, -late) * 1000) / 1000;
  const came = check ? core.againstTarget(check.payload.grade, plan.target) : null;
  teach(plan, observation, came);
  tender += came !== 'short' ? 1 : 0;
  inTimeAtAll += state.dinner.driftMinutes <= 0 ? 1 : 0;
  promisedInAll += inTime;
  return { id: crypto.randomUUID(), name, plan, events, observation, inTime };
});
process.stdout.write(
  `tender ${tender} of ${cooks.length}, promised ${(SURE * cooks.length).toFixed(1)}; in time ${inTimeAtAll}, promised ${promisedInAll.toFixed(1)}\n`,
);
if (process.env.SEASON_SEED === undefined) {
  writeFileSync(join(root, 'server/demo/season.json'), `${JSON.stringify(cooks)}\n`);
}
