import { planFor } from '../testing/fixtures';
import type { Plan } from '../plan/plan';
import { forecast } from './forecast/forecast';
import { timeSavers } from './forecast/time-savers';
import { releaseAlternatives } from './forecast/what-if';
import { guideOf } from './guide/guide';
import { english, quantity } from '../testing/said-in-english';

/** Plans with much in them: two figures that are shown of one plan never disagree. */
const PLANS: readonly (readonly [string, Plan])[] = [
  [
    'chunks, reduced and bound',
    planFor('beef-chuck', 'chunks', 1500, {
      finish: {
        ...planFor('beef-chuck', 'chunks', 1500).finish,
        sauceMl: 400,
        thickener: 'cornstarch',
        body: 'coating',
      },
      additions: [{ ingredient: 'cream', grams: 120, when: 'after' }],
    }),
  ],
  [
    'a leg in two stages',
    planFor('goat-leg', 'whole', 1800, {
      vegetables: [
        { vegetable: 'carrot', grams: 300, texture: 'tender', place: 'auto' },
        { vegetable: 'potato-waxy', grams: 500, texture: 'tender', place: 'auto' },
      ],
      grains: [{ grain: 'freekeh', grams: 120, place: 'auto' }],
    }),
  ],
  [
    'a shank let down by itself, high up',
    planFor('lamb-shank', 'whole', 1600, {
      kitchen: { altitudeM: 1480, roomC: 19 },
      release: { method: 'natural', naturalMinutes: 0 },
    }),
  ],
];

describe.each(PLANS)('one figure, one number: %s', (_, plan) => {
  const f = forecast(plan);
  const guide = guideOf(f);

  test('the sauce of the sentence, of the last step and of the plan', () => {
    const sauce = quantity('volume', f.finish.sauceMl);
    expect(f.finish.text).toContain(sauce);
    expect(guide.steps.find(({ done }) => done === 'tasted')?.detail).toContain(sauce);
    expect(f.reasons.filter(({ figure }) => figure === 'finish').map(({ text }) => text)).toContain(f.finish.text);
  });

  test('minutes under pressure, in the guide, in the clock and in the reasons', () => {
    const hold = guide.steps.find(({ moves }) => moves.some(({ kind }) => kind === 'hold'));
    const task = f.clock.tasks.find(({ work }) => work.kind === 'pressure');
    expect([hold?.minutes, task?.minutes]).toEqual([f.pressureMinutes, f.pressureMinutes]);
    const all = f.reasons.find(({ figure }) => figure === 'startAt')?.text;
    expect(all).toContain(`${f.pressureMinutes} under pressure`);
    expect(all).toContain(`${Math.round(f.clock.totalMinutes)} min in all`);
    const parts = /min in all: (.*) from there to the plate/.exec(english(all ?? ''))?.[1] ?? '';
    const sum = [...parts.matchAll(/\d+/g)].reduce((sum, [part]) => sum + Number(part), 0);
    expect(sum).toBe(Math.round(f.clock.totalMinutes));
  });

  test('the fill and the base of the first lid are those of the pot', () => {
    const [first] = f.lids;
    expect(first?.fill.text).toBe(f.fill.text);
    expect(first?.liquid.atLockMl).toBeCloseTo(f.liquid.freeAtStartMl, 6);
    expect(Math.max(...f.lids.map(({ base }) => base.worstC))).toBeCloseTo(f.burn.baseC, 6);
  });

  test('the ledger adds up to what is free, as it is shown', () => {
    const sum = f.liquid.entries.reduce((all, { ml }) => all + ml, 0);
    expect(sum).toBeCloseTo(f.liquid.freeAtEndMl, 6);
  });

  test('what is won and lost is the difference of the minutes shown', () => {
    const shown = Math.round(f.clock.totalMinutes);
    for (const way of releaseAlternatives(f)) {
      expect(way.laterMinutes).toBe(Math.round(way.totalMinutes) - shown);
    }
    for (const { minutes, text } of timeSavers(f)) expect(text).toContain(`${minutes} min sooner`);
  });

  test('nothing that waits is hotter than water boils there', () => {
    for (const { foil } of f.meats) expect(foil?.coreC ?? 0).toBeLessThanOrEqual(f.pot.boilingC);
    expect(f.foil?.coreC ?? 0).toBeLessThanOrEqual(f.pot.boilingC);
  });

  test('the odds add up', () => {
    const { short, at, past } = f.tenderness.chance;
    expect(short + at + past).toBeCloseTo(1, 9);
    expect(f.tenderness.byMinute.find(({ minutes }) => minutes === f.pressureMinutes)?.short).toBeCloseTo(short, 9);
  });
});
