import type { Plan } from '../../plan/plan';
import { stageOf } from '../../plan/stage-settings';
import { planFor } from '../../testing/fixtures';
import { forecast } from './forecast';
import { isDone } from './later-stages';

describe('a later stage is done', () => {
  const plan = planFor('beef-shin', 'slices', 1200, { vegetables: [], grains: [], additions: [], otherMeats: [] });
  const done = (more: Partial<Plan>, minutes: number | null = null): boolean =>
    isDone({ ...plan, ...more }, { ...stageOf({ stages: [] }, 'second-run'), minutes });

  test('where the cook gave it minutes, or where something goes in at it, and nowhere else', () => {
    const [stock, paste] = [{ liquid: 'stock', temperatureC: 20 }, { ingredient: 'tomato-paste' }] as const;
    expect(done({})).toBe(false);
    expect(done({}, 4)).toBe(true);
    expect(done({ liquids: [{ ...stock, ml: 100, stage: 'second-run' }] })).toBe(true);
    expect(
      done({
        liquids: [
          { ...stock, ml: 0, stage: 'second-run' },
          { ...stock, ml: 300 },
        ],
      }),
    ).toBe(false);
    expect(done({ additions: [{ ...paste, grams: 60, when: 'after', stage: 'second-run' }] })).toBe(true);
    expect(done({ additions: [{ ...paste, grams: 0, when: 'after', stage: 'second-run' }] })).toBe(false);
    expect(done({ additions: [{ ...paste, grams: 60, when: 'on-top' }] })).toBe(false);
  });
});

test('dry grain that goes in at the second lid takes its room under that lid', () => {
  const plan = planFor('goat-neck', 'slices', 1200, {
    vegetables: [{ vegetable: 'turnip', grams: 300, texture: 'tender', place: 'second-run' }],
  });
  const litres = (grams: number): number =>
    forecast({ ...plan, grains: [{ grain: 'freekeh', grams, place: 'second-run' }] }).lids[1]?.fill.litres ?? 0;
  // Solid grain weighs 1.3 kg a litre, and what is hot boils a little more away over what is cold. Common practice.
  expect(litres(300) - litres(0)).toBeGreaterThan(0.08);
  expect(litres(300) - litres(0)).toBeLessThan(0.3);
});
