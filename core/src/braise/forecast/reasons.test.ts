import * as fc from 'fast-check';
import type { Plan } from '../../plan/plan';
import { planFor } from '../../testing/fixtures';
import { forecast } from './forecast';
import { inTen } from '../../words/odds-words';

const staged = planFor('goat-neck', 'slices', 1600, {
  kitchen: { altitudeM: 1480, roomC: 19 },
  vegetables: [{ vegetable: 'turnip', grams: 450, texture: 'tender', place: 'second-run' }],
  grains: [{ grain: 'freekeh', grams: 120, place: 'second-run' }],
});
const why = (plan: Plan, figure: string): string =>
  forecast(plan)
    .reasons.filter((reason) => reason.figure === figure)
    .map(({ text }) => text)
    .join(' ');

describe('chances as a cook counts them', () => {
  test.each([
    [0, 'hardly ever'],
    [0.02, 'hardly ever'],
    [0.03, '1 in 20'],
    [0.076, '1 in 10'],
    [0.924, '9 in 10'],
    [0.5, '5 in 10'],
    [0.8, '8 in 10'],
    [0.97, '19 in 20'],
    [0.98, 'nearly sure'],
    [1, 'nearly sure'],
  ])('%d is %s', (chance, words) => {
    expect(inTen(chance)).toBe(words);
  });

  test('never nothing or everything in ten: that would be a promise', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (chance) => {
        expect(inTen(chance)).not.toMatch(/^(0|10) in 10$/);
      }),
    );
  });
});

describe('every figure answers why', () => {
  test('by altitude it says the rule of thumb beside its own: five in a hundred more for each 1000 ft above 2000 ft', () => {
    // Common practice, as manuals of cookers print it: 1480 m are 4856 ft, 2856 above, 14 in a hundred.
    expect(why(staged, 'pressureMinutes')).toMatch(/\b14 %/);
    const higher = { ...staged, kitchen: { ...staged.kitchen, altitudeM: 2438 } };
    expect(why(higher, 'pressureMinutes')).toMatch(/\b30 %/);
    const low = { ...staged, kitchen: { ...staged.kitchen, altitudeM: 500 } };
    expect(why(low, 'pressureMinutes')).not.toMatch(/rule|thumb/);
  });

  test('heat to the middle is counted from the lid, not from the board', () => {
    const f = forecast(staged);
    const said = f.reasons.find(({ figure, text }) => figure === 'pressureMinutes' && /middle/.test(String(text)));
    const minutes = Number(/(\d+) min/.exec(String(said?.text))?.[1]);
    const lidOn = f.clock.tasks.find(({ work }) => work.kind === 'come-up')?.startMinute ?? 0;
    const hot = f.pot.curve.find(({ coreC }) => coreC !== null && coreC >= f.pot.workingC - 10)?.minute ?? 0;
    expect(Math.abs(minutes - (hot - lidOn))).toBeLessThanOrEqual(0.5);
    expect(lidOn).toBeGreaterThan(10);
  });

  test.each([
    'pressureMinutes',
    'tenderness',
    'workingC',
    'minutesToPressure',
    'releaseMinutes',
    'startAt',
    'sear',
    'burn',
    'stages',
    'secondRun',
    'finish',
    'yield',
    'fill',
    'liquid',
    'coreC',
  ])('%s', (figure) => {
    expect(why(staged, figure)).toMatch(/\d/);
  });

  test('with the figures of the forecast itself, not with others', () => {
    const f = forecast(staged);
    expect(why(staged, 'workingC')).toContain(`${Math.round(f.pot.workingC)} °C`);
    expect(why(staged, 'minutesToPressure')).toContain(`full pressure after ${Math.round(f.pot.minutesToPressure)}`);
    expect(why(staged, 'startAt')).toContain(`${Math.round(f.clock.totalMinutes)} min in all`);
    expect(why(staged, 'liquid')).toContain('of free liquid when the lid goes on');
    expect(why(staged, 'tenderness')).toContain(inTen(f.tenderness.chance.at));
    for (const { what } of f.liquid.entries) expect(why(staged, 'liquid')).toContain(what);
    for (const { text } of f.finish.steps) expect(why(staged, 'finish')).toContain(text);
  });

  test('and the day it is eaten, where it is cooked ahead', () => {
    const ahead = { ...staged, cookAhead: { hours: 24, depthCm: 5, warm: 'stove' } as const };
    const day = forecast(ahead).nextDay;
    expect(why(ahead, 'warmAt')).toContain(`${Math.round(day?.clock.totalMinutes ?? 0)} min on the day it is eaten`);
    expect(why(ahead, 'warmAt')).toContain(`${Math.round(day?.warmed.minutes ?? 0)} of them`);
    expect(why(staged, 'warmAt')).toBe('');
  });

  test('the air outside is said by height, or as measured', () => {
    expect(why(staged, 'workingC')).toContain('at 1480 m');
    const measured = { ...staged, kitchen: { altitudeM: 1480, roomC: 19, airKPa: 84.2 } };
    expect(why(measured, 'workingC')).toContain('84.2 kPa, measured');
  });

  test('the cook’s own minutes are told against what would be proposed', () => {
    const proposed = forecast(staged).pressureMinutes;
    expect(why({ ...staged, pressureMinutes: proposed }, 'pressureMinutes')).toContain('what Hervir would propose');
    expect(why({ ...staged, pressureMinutes: proposed - 9 }, 'pressureMinutes')).toContain(
      `9 fewer than the ${proposed} Hervir proposes`,
    );
    expect(why({ ...staged, pressureMinutes: proposed + 4 }, 'pressureMinutes')).toContain('4 more than');
  });

  test('letting down: at once, alone, or both', () => {
    const released = (method: Plan['release']['method'], naturalMinutes: number): string =>
      why({ ...staged, release: { method, naturalMinutes } }, 'releaseMinutes');
    expect(released('quick', 0)).toMatch(/^The valve is opened at once: .* Left alone it would take \d+/);
    expect(released('natural', 0)).toContain('falls by itself');
    expect(released('natural-then-quick', 5)).toMatch(/^5 min left alone, then the valve/);
    // Longer than it takes by itself: the valve has nothing left to do.
    expect(released('natural-then-quick', 60)).toContain('falls by itself');
  });

  test('what the log has taught is said with how many cooks it rests on', () => {
    const taught = (learnt: Plan['learnt'], figure: string): string => why({ ...staged, learnt }, figure);
    expect(taught({ toughness: { factor: 1.2, cooks: 4, short: 3, past: 0 } }, 'pressureMinutes')).toMatch(
      /\d+ minutes more, learnt from your log: 3 cooks of this cut came out short; .* 20 % tougher than usual, from 4 cooks/,
    );
    expect(taught({ toughness: { factor: 0.85, cooks: 1, short: 0, past: 1 } }, 'pressureMinutes')).toMatch(
      /fewer, learnt from your log: one cook of this cut came out past it; .* 15 % more tender than usual, from one cook/,
    );
    expect(taught({ heat: { factor: 0.79, cooks: 7 } }, 'minutesToPressure')).toContain('it gives 21 % less');
    expect(taught({ losses: { factor: 1.3, cooks: 5 } }, 'minutesToPressure')).toContain('it loses 30 % more');
  });

  test('a piece that never gets there says so, and what would', () => {
    const whole = planFor('beef-round', 'whole', 6000, { target: 'pulls', confidence: 0.95 });
    const f = forecast(whole);
    if (f.proposedMinutes === null) expect(why(whole, 'pressureMinutes')).toContain('cut it smaller');
    else expect(f.pressureMinutes).toBeGreaterThan(90);
  });
});
