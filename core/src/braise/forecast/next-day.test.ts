import { newPlan, DEFAULT_COOKER, DEFAULT_KITCHEN } from '../../plan/defaults';
import { COOK_AHEAD, isOnTheDay, readyAt, withFreshVegetables } from '../../plan/cook-ahead';
import type { CookAhead, Plan } from '../../plan/plan';
import { meanMelted, TARGET_BAND, gradeOf } from '../../meat/tenderness';
import { pieceOf } from '../../meat/piece';
import { pieceBody } from '../../meat/piece-body';
import { potBuild } from '../../pot/cooker';
import { coolStew, iceForBath } from '../../stations/cooling';
import { OVEN_C, WARM_C, warmThrough } from '../../stations/warm-through';
import { planFor } from '../../testing/fixtures';
import { seriesTerms } from '../../testing/series';
import { guideOf } from '../guide/guide';
import { additionalMinutes } from '../guide/additional-minutes';
import { forecast } from './forecast';
import type { Forecast } from './forecast-document';

const SUNDAY = '2027-01-17T19:00:00+01:00';
const ahead = (plan: Plan, part: Partial<CookAhead> = {}): Plan => ({ ...plan, cookAhead: { ...COOK_AHEAD, ...part } });
const kept = (f: Forecast): NonNullable<Forecast['nextDay']> => f.nextDay as NonNullable<Forecast['nextDay']>;
const CHUNKS = planFor('beef-chuck', 'chunks', 1500, { serveAt: SUNDAY });

describe('cooling', () => {
  // The series of a slab, Incropera and DeWitt, Fundamentals of Heat and Mass Transfer, chapter 5; from memory.
  test.each([2, 5, 8])('%p cm in the fridge cool as the full series says, within a fiftieth', (cm) => {
    const half = cm / 200;
    const terms = seriesTerms(1, (8 * half) / 0.55, 8);
    const middle = (minutes: number): number =>
      terms.reduce(
        (sum, { root, coefficient }) =>
          sum + coefficient * Math.exp((-(root ** 2) * 1.45e-7 * minutes * 60) / half ** 2) * (57 - 3),
        3,
      );
    const { minutesTo21, minutesTo5 } = coolStew(cm, 0);
    expect(middle(minutesTo21 * 1.02)).toBeLessThanOrEqual(21);
    expect(middle(minutesTo21 * 0.98 - 1)).toBeGreaterThan(21);
    expect(middle(minutesTo5 * 1.02)).toBeLessThanOrEqual(5);
    expect(middle(minutesTo5 * 0.98 - 5)).toBeGreaterThan(5);
  });

  test('counts from 57 °C, however hot it was: from the boil it is no longer in the hours that count', () => {
    const hot = coolStew(4, 0, { fromC: 90 });
    const warm = coolStew(4, 0);
    expect(hot.minutesTo21).toBeLessThanOrEqual(warm.minutesTo21 * 1.05);
  });

  test('a thick piece in a shallow container keeps it warm', () => {
    const meat = planFor('goat-shoulder', 'whole', 2600).meat;
    const piece = pieceBody(meat, pieceOf(meat), 57);
    expect(coolStew(3, 0, { piece }).minutesTo5).toBeGreaterThan(coolStew(3, 0).minutesTo5 * 1.1);
  });

  test('three litres from the boil to 21 °C melt some two and a half kilograms of ice (latent heat of a handbook; from memory)', () => {
    expect(iceForBath(3000, 90)).toBeGreaterThan(2);
    expect(iceForBath(3000, 90)).toBeLessThan(3);
    expect(iceForBath(3000, 20)).toBe(0);
  });
});

describe('warming through', () => {
  const build = potBuild(DEFAULT_COOKER, DEFAULT_KITCHEN);
  const stew = { liquidKg: 1, bodies: [], softJPerK: 4000, depthCm: 6 };

  test('a pot of its own heat alone: joules over watts (energy balance)', () => {
    const minutes = warmThrough(build, stew, 'stove', DEFAULT_COOKER)?.minutes ?? NaN;
    // Half heat of 850 W into 1 kg of water, 4 kJ/K of meat and the pot, from 4 °C to the simmer, and three minutes of it.
    const joules = (4190 + 4000 + build.metalJPerK) * (96 - 4);
    const lost = build.lossWPerK * 30;
    const balance = joules / (build.heaterW / 2 - lost) / 60 + 3;
    expect(minutes / balance).toBeGreaterThan(0.93);
    expect(minutes / balance).toBeLessThan(1.07);
  });

  test('a covered dish from the fridge takes an hour or so in the oven (common practice: 45 to 75 minutes)', () => {
    const minutes = warmThrough(build, stew, 'oven', DEFAULT_COOKER)?.minutes ?? NaN;
    expect(OVEN_C).toBe(160);
    expect(minutes).toBeGreaterThan(45);
    expect(minutes).toBeLessThan(75);
  });

  test.each(['stove', 'oven', 'pressure'] as const)(
    '%s: the middle of a thick piece is at 74 °C, not only the sauce',
    (way) => {
      const { meat } = planFor('beef-chuck', 'chunks', 1500);
      const cold = (): Parameters<typeof warmThrough>[1] => ({
        ...stew,
        softJPerK: 0,
        bodies: [pieceBody(meat, pieceOf(meat), 4)],
      });
      const warmed = warmThrough(build, cold(), way, DEFAULT_COOKER);
      expect(warmed?.coreC).toBeGreaterThanOrEqual(WARM_C);
      // With no conduction of its own the same heat is all through sooner.
      const [body] = cold().bodies;
      const thin = warmThrough(build, { ...stew, softJPerK: body?.heatCapacityJPerK ?? 0 }, way, DEFAULT_COOKER);
      expect(warmed?.minutes).toBeGreaterThanOrEqual(thin?.minutes ?? Infinity);
    },
  );

  test('a heater that loses more than it gives warms nothing, and says so', () => {
    const weak = potBuild({ ...DEFAULT_COOKER, watts: 200 }, { altitudeM: 0, roomC: -10 });
    expect(warmThrough({ ...weak, lossWPerK: 6 }, stew, 'stove', DEFAULT_COOKER)).toBeNull();
  });
});

describe('a braise that is cooked ahead', () => {
  test('begins a day earlier, ends in the fridge, and has a clock of its own for its day', () => {
    const f = forecast(ahead(CHUNKS));
    expect(f.clock.eatAt).toBe('2027-01-16T19:00:00+01:00');
    expect(Date.parse(f.clock.startAt ?? '')).toBeCloseTo(
      Date.parse('2027-01-16T19:00:00+01:00') - f.clock.totalMinutes * 60_000,
      -4,
    );
    const { clock, readyAt: ready } = kept(f);
    expect([ready, clock.eatAt]).toEqual(['2027-01-16T19:00:00+01:00', SUNDAY]);
    expect(clock.startAt?.slice(0, 10)).toBe('2027-01-17');
    expect(f.ahead.at(-1)).toMatchObject({ kind: 'warm', minutes: clock.totalMinutes });
    // To the minute: a start is told in whole ones.
    expect(Math.abs(Date.parse(f.ahead.at(-1)?.at ?? '') - Date.parse(clock.startAt ?? ''))).toBeLessThanOrEqual(
      60_000,
    );
  });

  test('what cooling and warming add is in the odds: fewer minutes under pressure for the same chance', () => {
    const before = forecast(CHUNKS);
    const after = forecast(ahead(CHUNKS));
    expect(after.pressureMinutes).toBeLessThan(before.pressureMinutes);
    const chance = ({ tenderness: { chance: odds } }: Forecast): number => odds.at + odds.past;
    expect(Math.abs(chance(after) - chance(before))).toBeLessThan(0.05);
    const fixed = { ...CHUNKS, pressureMinutes: before.pressureMinutes };
    expect(forecast(ahead(fixed)).tenderness.mean).toBeGreaterThan(forecast(fixed).tenderness.mean + 0.01);
  });

  test('at the check a little firm is right, and the guide does not send it back', () => {
    const plan = ahead(CHUNKS, { warm: 'pressure' });
    const f = forecast(plan);
    const { checkShare } = kept(f);
    expect(checkShare).toBeLessThan(TARGET_BAND.fork[0]);
    const least = gradeOf(checkShare);
    expect(guideOf(f).wanted).toBe(least);
    expect(additionalMinutes(plan, f.pressureMinutes, least)).toBeNull();
    expect(additionalMinutes(plan, f.pressureMinutes, 'chewy')?.minutes).toBeGreaterThan(0);
    // Eaten the same evening, the same fork is sent back.
    expect(additionalMinutes(CHUNKS, f.pressureMinutes, 'firm')).not.toBeNull();
    expect(meanMelted({ cookValues: Float64Array.of(0), weights: Float64Array.of(1) }, 1)).toBe(0);
  });

  test('vegetables left to Hervir are cooked on the day; those pinned stay where they are', () => {
    const carrots = { vegetable: 'carrot', grams: 400, texture: 'tender', place: 'auto' } as const;
    const onions = { ...carrots, place: 'start' } as const;
    const f = forecast(ahead({ ...CHUNKS, vegetables: [carrots, onions] }));
    const cut = f.method.day.find(({ work }) => work.kind === 'later-board');
    expect(cut?.steps[0]?.moves[0]).toMatchObject({ kind: 'ready', portions: ['vegetable-1'] });
    expect(f.clock.tasks.some(({ work }) => work.kind === 'cook-apart')).toBe(false);
    expect(kept(f).clock.tasks.some(({ work }) => work.kind === 'cook-apart')).toBe(true);
    expect(f.portions.filter(({ kind }) => kind === 'vegetable').map(({ ends }) => ends)).toEqual(['plate', 'plate']);
    // A place that the cook left open is still his.
    expect(f.plan.vegetables[0]?.place).toBe('auto');
  });

  test('fat is lifted cold and not skimmed hot; herbs, acid and cream wait for the day', () => {
    const f = forecast(ahead({ ...CHUNKS, additions: [{ ingredient: 'cream', grams: 100, when: 'after' }] }));
    const moves = (blocks: Forecast['method']['blocks']): string[] =>
      blocks.flatMap(({ steps }) => steps.flatMap((step) => step.moves.map(({ kind }) => kind)));
    expect(moves(f.method.blocks)).not.toEqual(expect.arrayContaining(['skim']));
    expect(moves(f.method.blocks)).not.toEqual(expect.arrayContaining(['season']));
    expect(moves(f.method.day)).toEqual(expect.arrayContaining(['lift-fat', 'warm', 'stir-in', 'season', 'plate']));
    expect(kept(f).fatMl).toBeCloseTo(f.finish.skimMl, 6);
  });

  test('a joint that cools too slowly is sliced first; shreds are pulled first; chunks are neither', () => {
    const joint = planFor('beef-chuck', 'whole', 2600, { target: 'slices', serveAt: SUNDAY });
    expect(kept(forecast(ahead(joint)))).toMatchObject({
      cutFirst: true,
      pulledFirst: false,
      cooling: { inTime: true },
    });
    expect(kept(forecast(ahead({ ...joint, target: 'pulls' })))).toMatchObject({ cutFirst: false, pulledFirst: true });
    expect(kept(forecast(ahead(CHUNKS)))).toMatchObject({ cutFirst: false, pulledFirst: false });
  });

  test('too deep is said as a caution at the step, and never kept silent', () => {
    const deep = forecast(ahead(CHUNKS, { depthCm: 10 }));
    expect(kept(deep).cooling.inTime).toBe(false);
    const step = guideOf(deep).steps.find(({ section }) => section === 'put-away');
    expect(step?.caution).toMatch(/cools too slowly/);
    expect(forecast(ahead(CHUNKS, { depthCm: 4 })).cautions.some(({ code }) => code === 'cools-slowly')).toBe(false);
  });

  test('the day of a plan that is eaten when it is cooked is refused', () => {
    expect(() => guideOf(forecast(CHUNKS), 'day')).toThrow(RangeError);
    expect(forecast(CHUNKS).nextDay).toBeNull();
  });

  test('helpers: when it is ready, what is fresh', () => {
    expect(readyAt({ serveAt: null, cookAhead: { hours: 24, depthCm: 5, warm: 'stove' } })).toBeNull();
    expect(readyAt({ serveAt: SUNDAY })).toBe(SUNDAY);
    expect(isOnTheDay({ stages: [] }, 'folded-in')).toBe(false);
    expect(isOnTheDay({ stages: [], cookAhead: { hours: 24, depthCm: 5, warm: 'stove' } }, 'folded-in')).toBe(true);
    const cookAhead = { hours: 24, depthCm: 5, warm: 'stove' } as const;
    // What simmers with the braise is cooked with it; only what waits apart, or off the heat, is of the day.
    for (const place of ['start', 'auto', 'second-run', 'simmer'])
      expect([place, isOnTheDay({ stages: [], cookAhead }, place)]).toEqual([place, false]);
    expect(isOnTheDay({ stages: [], cookAhead }, 'off-heat')).toBe(true);
    const plan = newPlan({ cut: 'beef-chuck', form: 'chunks', grams: 800 });
    expect(withFreshVegetables(plan)).toBe(plan);
    const ahead: Plan = {
      ...plan,
      cookAhead,
      vegetables: (['tender', 'into-the-sauce'] as const).map((texture) => ({
        vegetable: 'carrot',
        grams: 200,
        texture,
        place: 'auto',
      })),
      grains: [{ grain: 'freekeh', grams: 100, place: 'simmer' }],
    };
    const fresh = withFreshVegetables(ahead);
    expect(fresh.vegetables.map(({ place }) => place)).toEqual(['folded-in', 'auto']);
    expect(fresh.grains.map(({ place }) => place)).toEqual(['simmer']);
  });
});
