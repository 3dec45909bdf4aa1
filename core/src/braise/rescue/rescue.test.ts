import { DEFAULT_COOKER } from '../../plan/defaults';
import type { Plan } from '../../plan/plan';
import { oneRun, planFor } from '../../testing/fixtures';
import { asCooked } from '../forecast/as-cooked';
import { forecast } from '../forecast/forecast';
import { RESCUE_TOPICS, rescueFor } from './rescue';
import type { AtThePot } from './rescue-from';
import { additionalMinutes } from '../guide/additional-minutes';
import { english } from '../../testing/said-in-english';

const chuck = (more: Partial<Plan> = {}): Plan => planFor('beef-chuck', 'chunks', 1360, more);
const LID_TOPICS = [
  'burn',
  'pin-will-not-rise',
  'pin-will-not-fall',
  'boils-dry',
  'still-tough',
  'vegetables-raw',
  'lid-stuck',
];

describe('rescue', () => {
  test.each(RESCUE_TOPICS)('%s: steps first, what can hurt beside them, with a plan and without', (topic) => {
    for (const f of [null, forecast(chuck({ deglaze: null }))]) {
      const { steps, why, caution } = rescueFor(topic, f);
      expect(steps.length).toBeGreaterThanOrEqual(4);
      expect(why.length).toBeGreaterThan(0);
      expect(english(caution).length).toBeGreaterThan(20);
      // Whatever touches the lid defers to the manual; a stopped cook to the authority.
      if (LID_TOPICS.includes(topic)) expect(caution).toContain('manual');
      if (topic === 'power-cut') expect(caution).toContain('authority');
    }
  });

  test('too much sauce: what is ladled out leaves each plate its 80 ml, and what ran together is told', () => {
    const f = forecast(chuck({ servings: 4, liquids: [{ liquid: 'stock', ml: 1200, temperatureC: 20 }] }));
    const { steps, why } = rescueFor('too-much', f);
    const ladled = Number(/Ladle about ([\d.]+) l/.exec(english(steps[0] ?? ''))?.[1]) * 1000;
    expect(Math.abs(ladled - (f.finish.sauceMl - 4 * 80))).toBeLessThanOrEqual(50);
    expect(english(why[0] ?? '')).toMatch(/[\d.]+ (?:ml|l) .* became [\d.]+ (?:ml|l)/);
  });

  test('the burn error’s steps go by what the pot holds', () => {
    const steps = (plan: Plan): string => rescueFor('burn', forecast(plan)).steps.join(' ');
    const paste = chuck({ additions: [{ ingredient: 'tomato-paste', grams: 200, when: 'stirred-in' }] });
    expect(steps(paste)).toContain('Leave the thick part out');
    expect(steps(chuck({ deglaze: null }))).not.toContain('Leave the thick part out');
    const grain = chuck({ grains: [{ grain: 'barley-pearl', grams: 400, place: 'start', layer: 'stirred-in' }] });
    expect(steps(grain)).toContain('Lift the grain off the base');
    const stove = chuck({ cooker: { ...DEFAULT_COOKER, kind: 'stovetop' } });
    expect(rescueFor('burn', forecast(stove)).steps[0]).toContain('Lift the pot off the burner');
  });

  describe('knows the running cook', () => {
    const plan = chuck();
    const f = forecast(plan);
    const cookAt = (until: number): AtThePot => ({
      meat: asCooked(plan, oneRun({ ...(until > f.pot.minutesToPin ? { pin: f.pot.minutesToPin } : {}), until })),
      underPressure: Math.max(0, until - f.pot.minutesToPressure),
      toGo: 12,
      sinceLid: until,
      more: null,
    });

    test('a power cut before the middle is past 63 °C is not safe, after it is, with the minutes it stays hot', () => {
      const early = rescueFor('power-cut', f, cookAt(4));
      expect(early.steps[0]).toMatch(/The middle is only at \d+ °C/);
      expect(early.steps.join(' ')).toContain('throw it away');
      const late = rescueFor('power-cut', f, cookAt(40));
      expect(late.steps[0]).toContain('It is safe as it stands');
      const hot = Number(/above 60 °C for about (\d+) min/.exec(late.steps.join(' '))?.[1] ?? 240);
      // A full pot of two kilos cools through 60 °C in one to four hours (common practice).
      expect(hot).toBeGreaterThan(60);
    });

    test('a burn counts the minutes that are done', () => {
      expect(rescueFor('burn', f, cookAt(30)).steps.join(' ')).toMatch(/\d+ min under pressure are done: 12 more/);
    });

    test('still tough says how much longer, from what the fork found', () => {
      const more = additionalMinutes(plan, f.pressureMinutes, 'firm');
      const page = rescueFor('still-tough', f, { ...cookAt(60), more });
      expect(page.steps.join(' ')).toContain(`${more?.minutes ?? -1} min more under pressure`);
    });
  });
});

describe('a cook as it was', () => {
  test.each([
    ['beef-chuck', 'chunks', 1360],
    ['goat-leg', 'whole', 1800],
    ['lamb-shank', 'whole', 1600],
  ] as const)('with the forecast’s own times the meat of %s, %s is the forecast’s own', (cut, form, grams) => {
    const plan = planFor(cut, form, grams, { release: { method: 'natural-then-quick', naturalMinutes: 5 } });
    const f = forecast(plan);
    const timer = f.pot.minutesToPressure;
    const heatOff = timer + f.pressureMinutes;
    const down = heatOff + f.pot.releaseMinutes;
    const meat = asCooked(plan, oneRun({ pin: f.pot.minutesToPin, heatOff, vented: heatOff + 5, until: down }));
    expect(Math.abs(meat.coreC - f.tenderness.coreC)).toBeLessThan(0.6);
    expect(Math.abs(meat.melted / f.tenderness.mean - 1)).toBeLessThan(0.01);
    expect(meat.grade).toBe(f.tenderness.grade);
  });

  test('a pin that came later makes the meat softer for the same minutes, and is where it was', () => {
    const plan = chuck();
    const run = (pin: number): ReturnType<typeof asCooked> =>
      asCooked(plan, oneRun({ pin, heatOff: pin + 33, until: pin + 40 }));
    expect(run(25).melted).toBeGreaterThan(run(12).melted);
    expect(run(25).curve.find(({ gaugeKPa }) => gaugeKPa > 0)?.minute).toBeCloseTo(25, 1);
  });
});
