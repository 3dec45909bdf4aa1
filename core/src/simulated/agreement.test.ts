import { forecast } from '../braise/forecast/forecast';
import { guideOf } from '../braise/guide/guide';
import { COOKER_SETS } from '../plan/cooker-sets';
import { DEFAULT_COOKER } from '../plan/defaults';
import type { Plan } from '../plan/plan';
import { planFor } from '../testing/fixtures';
import { SimulatedCook } from './simulated-cook';
import { steadyHand } from './steady-hand';

/** Within so much the simulated cook and the forecast are the same, though one steps by 2 s and the other by minutes. */
const AGREE = 0.01;
/** The grid that a simulated cook's seconds fall on, min. */
const GRID = 4 / 60;

const stovetop: Plan['cooker'] = {
  ...DEFAULT_COOKER,
  kind: 'stovetop',
  burner: 'gas',
  watts: 2600,
  litres: 8,
  baseDiameterCm: 22,
  gaugeKPa: 100,
  timerStarts: 'pin',
};
const quick = { method: 'quick', naturalMinutes: 0 } as const;
const natural = { method: 'natural', naturalMinutes: 0 } as const;
const carrots: Plan['vegetables'] = [{ vegetable: 'carrot', grams: 300, texture: 'tender', place: 'auto' }];
const high = { altitudeM: 1480, roomC: 19 };

// Practice figures of the trade: for tests only.
const PLANS: readonly (readonly [string, Plan])[] = [
  ['goat neck in slices', planFor('goat-neck', 'slices', 1600)],
  ['beef chuck in chunks', planFor('beef-chuck', 'chunks', 1500)],
  [
    'beef chuck, bite-size, light sear',
    planFor('beef-chuck', 'bite-size', 900, { sear: { school: 'light', where: 'pot', order: 'meat-first' } }),
  ],
  [
    'beef chuck, nothing seared',
    planFor('beef-chuck', 'chunks', 1000, { sear: { school: 'none', where: 'pot', order: 'meat-first' } }),
  ],
  [
    'beef chuck, seared in a pan',
    planFor('beef-chuck', 'chunks', 1000, { sear: { school: 'hard', where: 'pan', order: 'meat-first' } }),
  ],
  ['beef shin on gas', planFor('beef-shin', 'slices', 1200, { cooker: stovetop })],
  ['beef shin on gas, natural', planFor('beef-shin', 'slices', 2200, { cooker: stovetop, release: natural })],
  [
    'beef cheek, keep-warm on',
    planFor('beef-cheek', 'whole', 1400, { cooker: { ...DEFAULT_COOKER, keepWarmOff: false }, release: natural }),
  ],
  [
    'oxtail, onion first',
    planFor('beef-oxtail', 'pieces', 1500, {
      sear: { school: 'hard', where: 'pot', order: 'onion-first' },
      aromatics: [{ ingredient: 'onion', grams: 250 }],
    }),
  ],
  ['brisket flat on a rack', planFor('beef-brisket-flat', 'whole', 1600, { rack: true })],
  ['pork collar at 1480 m', planFor('pork-collar', 'whole', 1400, { kitchen: high })],
  ['pork shoulder from the freezer', planFor('pork-shoulder', 'whole', 1800, {}, { startsFrom: 'frozen' })],
  ['pork hock, quick', planFor('pork-hock', 'whole', 1800, { release: quick })],
  ['lamb shank, natural', planFor('lamb-shank', 'whole', 1400, { release: natural })],
  ['lamb shoulder, quick', planFor('lamb-shoulder', 'chunks', 1200, { release: quick })],
  ['lamb neck with carrots', planFor('lamb-neck', 'slices', 1200, { vegetables: carrots })],
  [
    'goat leg in two stages',
    planFor('goat-leg', 'whole', 1800, {
      vegetables: [...carrots, { vegetable: 'potato-waxy', grams: 500, texture: 'tender', place: 'auto' }],
      grains: [{ grain: 'freekeh', grams: 120, place: 'auto' }],
    }),
  ],
  ['goat shoulder, medium flame', planFor('goat-shoulder', 'chunks', 1300, { cooker: stovetop, heat: 'medium' })],
  ['goat shoulder, the cook’s own minutes', planFor('goat-shoulder', 'chunks', 1300, { pressureMinutes: 18 })],
  ...COOKER_SETS.slice(0, 3).map(({ id, cooker }): readonly [string, Plan] => [
    `beef shin in the set ${id}`,
    planFor('beef-shin', 'slices', 900, { cooker: { ...DEFAULT_COOKER, ...cooker } }),
  ]),
];

/** Minutes between two moments of the recorder. */
function minutes(run: SimulatedCook, from: string, to: string): number {
  const at = (signal: string): number =>
    run.frames.find(({ signals }) => signals.includes(signal as never))?.atS ?? NaN;
  return (at(to) - at(from)) / 60;
}

/** Agree within a hundredth, and the grid. */
function agrees(found: number, wanted: number, grid = 0): void {
  expect(Math.abs(found - wanted)).toBeLessThanOrEqual(wanted * AGREE + grid);
}

describe('the simulated cook and the forecast are the same pot (no source: two ways through one model)', () => {
  test.each(PLANS)('%s', (_name, plan) => {
    const f = forecast(plan);
    const run = new SimulatedCook(f, guideOf(f), {
      seed: 1,
      scatter: false,
      startMs: Date.parse('2027-01-17T16:00:00Z'),
      faults: [],
      handsTakeTime: false,
    });
    steadyHand(run, (id) => id === 'open');
    const { meat } = run.kitchen;
    const started = plan.cooker.kind === 'electric' ? 'valveClosed' : 'lidLocked';
    agrees(minutes(run, started, 'pinUp'), f.pot.minutesToPin, GRID);
    if (plan.cooker.kind === 'electric') {
      agrees(
        minutes(run, started, 'counting'),
        f.pot[plan.cooker.timerStarts === 'pin' ? 'minutesToPin' : 'minutesToPressure'],
        GRID,
      );
      agrees(minutes(run, 'counting', 'ended'), f.pressureMinutes, GRID);
      agrees(minutes(run, 'ended', 'pinDown'), f.pot.releaseMinutes, GRID);
    }
    agrees(meat?.coreC ?? NaN, f.tenderness.coreC);
    agrees(meat?.meanCookValue() ?? NaN, f.tenderness.cookValueMean);
    expect(run.kitchen.trips.length > 0).toBe(f.burn.level === 'likely');
    steadyHand(run);
    expect(run.state.status).toBe('served');
  });

  test('a coarser grid tells the same', () => {
    const f = forecast(planFor('beef-chuck', 'chunks', 1500));
    const guide = guideOf(f);
    const ends = [1, 5].map((stepS) => {
      const run = new SimulatedCook(f, guide, {
        seed: 1,
        scatter: false,
        startMs: 0,
        faults: [],
        handsTakeTime: false,
        stepS,
      });
      steadyHand(run, (id) => id === 'open');
      return run.kitchen.meat?.meanCookValue() ?? NaN;
    });
    agrees(ends[1] as number, ends[0] as number);
  });
});
