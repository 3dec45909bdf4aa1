import type { Plan } from '../../plan/plan';
import { newPlan } from '../../plan/defaults';
import { withStage } from '../../plan/stage-settings';
import { forecast } from './forecast';
import type { Forecast } from './forecast-document';
import { textureMinutes, type TextureMinutes } from './texture-minutes';

const base = newPlan({ cut: 'goat-shoulder', form: 'chunks', grams: 1500, serveAt: '2027-01-17T19:00:00+01:00' });
const turnip: Plan['vegetables'][number] = { vegetable: 'turnip', grams: 450, texture: 'tender', place: 'second-run' };

/** As the forecast has it, with sizes and places fixed, so that only the minutes are free. */
function fixed(found: Forecast): Plan {
  const items = found.stages.flatMap((stage) => stage.items);
  const sizes = items.filter(({ vegetable }) => vegetable !== undefined);
  return {
    ...found.plan,
    pressureMinutes: found.pressureMinutes,
    grains: found.placed.grains.map((grain) => ({ ...grain })),
    vegetables: found.placed.vegetables.map((one, i) => ({ ...one, sizeCm: sizes[i]?.sizeCm })),
  };
}

const only = (found: Forecast): TextureMinutes => textureMinutes(found)[0] as TextureMinutes;
const met = (plan: Plan, stage: string, minutes: number): boolean =>
  forecast({ ...plan, ...withStage(plan, stage, { minutes }) }).stages.flatMap(({ items }) => items)[0]?.met ?? false;

describe('the minutes in which a vegetable is as asked', () => {
  test('agree with the whole forecast of a stage that long, inside and outside their edges', () => {
    const plan = fixed(forecast({ ...base, vegetables: [turnip] }));
    const window = only(forecast({ ...plan, ...withStage(plan, 'second-run', { minutes: 3 }) }));
    const [from, to] = [window.from as number, window.to as number];
    expect(window.minutes).toBe(3);
    expect(met(plan, 'second-run', Math.ceil(from + 0.5))).toBe(true);
    expect(met(plan, 'second-run', Math.floor(to - 0.5))).toBe(true);
    expect(met(plan, 'second-run', Math.ceil(to + 0.5))).toBe(false);
  });

  test('of a simmer: a carrot of its usual size is as asked about when a cook would try it', () => {
    const free = forecast({ ...base, vegetables: [{ ...turnip, vegetable: 'carrot', place: 'simmer' }] });
    // 2 to 2.5 cm carrots boil 10 to 20 minutes. Common practice, put in when it boils.
    expect(only(free).from).toBeGreaterThan(6);
    expect(only(free).to).toBeLessThan(40);
    expect(only(free).minutes).toBeGreaterThanOrEqual(only(free).from as number);
    // Fixed by the cook it goes in before the pot boils again: its minutes are fewer.
    const plan = fixed(free);
    const window = only(forecast({ ...plan, ...withStage(plan, 'simmer', { minutes: 12 }) }));
    expect(met(plan, 'simmer', Math.ceil((window.from as number) + 0.5))).toBe(true);
    expect(met(plan, 'simmer', Math.floor((window.from as number) - 0.5))).toBe(false);
    expect(met(plan, 'simmer', Math.floor((window.to as number) - 0.5))).toBe(true);
    expect(met(plan, 'simmer', Math.ceil((window.to as number) + 0.5))).toBe(false);
  });

  test('from the start a carrot is long past them, beans are not', () => {
    const f = forecast({
      ...base,
      vegetables: [{ ...turnip, vegetable: 'carrot', place: 'start' }],
      grains: [{ grain: 'freekeh', grams: 100, place: 'second-run' }],
    });
    const [carrot, freekeh] = textureMinutes(f) as [TextureMinutes, TextureMinutes];
    expect(carrot.place).toBe('start');
    expect(carrot.minutes).toBe(f.pressureMinutes);
    expect(carrot.to === null ? 0 : carrot.to).toBeLessThan(carrot.minutes);
    expect(freekeh.from).toBeGreaterThan(0);
    expect(freekeh.minutes).toBeGreaterThanOrEqual((freekeh.from as number) - 0.5);
  });

  test('what is folded in, stands off the heat or only gives its flavour has none', () => {
    const vegetables = ['off-heat', 'folded-in', 'flavour-only'].map((place) => ({ ...turnip, place }));
    expect(textureMinutes(forecast({ ...base, vegetables }))).toEqual([]);
  });
});
