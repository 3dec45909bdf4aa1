import { forecast } from '../braise/forecast/forecast';
import { MEAT_COMPOSITION } from '../catalog/cuts';
import { pieceOf } from '../meat/piece';
import { pieceBody } from '../meat/piece-body';
import { thawMinutes } from '../meat/thaw-time';
import { foodProperties } from '../physics/food-properties';
import { newPlan } from '../plan/defaults';
import type { Meat, Plan } from '../plan/plan';
import { planFor } from '../testing/fixtures';
import { prepSteps } from '../words/prep-list';
import { aheadCaution, aheadText, missedText } from '../words/ahead-words';
import { aheadOf, lateOnes, type AheadTask } from './ahead';

const SUNDAY = '2027-01-17T19:00:00+01:00';
const HOUR = 60;

const lump = (grams: number, cut = 'beef-chuck', form: Meat['form'] = 'whole'): Meat => planFor(cut, form, grams).meat;

describe('rubs, stock, and the method', () => {
  test('a rub is left on, is not wiped off, and late it lies on for less or goes on at the board', () => {
    const rubbed = planFor('pork-shoulder', 'whole', 2000, { serveAt: SUNDAY });
    const plan: Plan = { ...rubbed, meat: { ...rubbed.meat, rub: { grams: 40, sugar: false, hours: 12 } } };
    const f = forecast(plan);
    const [task] = f.ahead;
    expect(task).toMatchObject({ kind: 'rub', minutes: 12 * HOUR, until: 0 });
    const board = f.method.blocks.flatMap(({ steps }) => steps.flatMap(({ moves }) => moves.map(({ kind }) => kind)));
    expect(board).not.toEqual(expect.arrayContaining(['rub']));
    expect(board).not.toEqual(expect.arrayContaining(['dry']));
    expect(f.method.ahead.map(({ moves }) => moves[0].kind)).toContain('rub');
    const startAt = f.clock.startAt ?? '';
    const [late] = lateOnes(plan, f.ahead, startAt, Date.parse(startAt) - 3 * HOUR * 60_000);
    expect(late?.missed).toEqual({ code: 'rubbed-shorter', hours: 3 });
    expect(late?.plan.meat.rub?.hours).toBe(3);
    const [none] = lateOnes(plan, f.ahead, startAt, Date.parse(startAt));
    expect(none?.missed.code).toBe('rubbed-at-the-pot');
    expect(forecast(none?.plan ?? plan).ahead).toEqual([]);
  });

  // A litre of stock a day to a day and a half in the fridge: common practice.
  test('stock from the freezer has its day, and where that is missed it is melted in a pan', () => {
    const plan = planFor('beef-chuck', 'chunks', 1200, {
      serveAt: SUNDAY,
      liquids: [{ liquid: 'stock', ml: 1000, temperatureC: 20, frozen: true }],
    });
    const f = forecast(plan);
    const [task] = f.ahead;
    expect(task?.kind).toBe('thaw-stock');
    expect((task?.minutes ?? 0) / HOUR).toBeGreaterThan(20);
    expect((task?.minutes ?? 0) / HOUR).toBeLessThan(40);
    const startAt = f.clock.startAt ?? '';
    const [late] = lateOnes(plan, f.ahead, startAt, Date.parse(startAt));
    expect(late?.missed).toEqual({ code: 'melt-in-pan', minutes: 9 });
    expect(late === undefined ? '' : missedText(late)).toMatch(/melt it in a pan while the meat browns, about 9 min/);
    // The evening itself is the same.
    const thawed = { ...plan, liquids: [{ liquid: 'stock', ml: 1000, temperatureC: 20 }] };
    expect(f.clock.totalMinutes).toBe(forecast(thawed).clock.totalMinutes);
  });

  test('thawing and soaking are moves of the method, and stand in the prep list', () => {
    const meat = { ...lump(2000), thaw: 'cold-water' as const };
    const plan: Plan = {
      ...planFor('beef-chuck', 'whole', 2000, { serveAt: SUNDAY }),
      meat,
      grains: [{ grain: 'chickpea-soaked', grams: 200, place: 'auto' }],
    };
    const kinds = forecast(plan).method.ahead.map(({ moves }) => moves[0].kind);
    expect(kinds).toEqual(['thaw', 'soak']);
    const said = prepSteps(plan).filter(({ when }) => when === 'ahead');
    expect(said.map(({ text }) => text)).toEqual([
      'Thaw beef chuck in cold water, tightly wrapped',
      'Soak chickpeas in plenty of cold water',
    ]);
  });
});

describe('thawing', () => {
  // USDA FSIS, "The Big Thaw" (from memory): 24 hours in the fridge for each 4 to 5 pounds.
  test.each([1.8, 2, 2.3])('in the fridge %p kg take about a day', (kg) => {
    const hours = thawMinutes(lump(kg * 1000), 'fridge') / HOUR;
    expect(hours).toBeGreaterThan(24 * 0.67);
    expect(hours).toBeLessThan(24 * 1.4);
  });

  // The same: flat packages of a pound an hour, of three to four pounds two to three; a lump is thicker, and takes longer.
  test.each([
    [450, 1, 2],
    [1600, 2.5, 4.2],
  ])('in cold water %p g take %p to %p hours', (grams, from, to) => {
    const hours = thawMinutes(lump(grams), 'cold-water') / HOUR;
    expect(hours).toBeGreaterThan(from);
    expect(hours).toBeLessThan(to);
  });

  // Plank's equation for a slab, t = L / (Ta - Tf) (a / 2h + a² / 8k); Plank 1941, from memory. It knows one freezing point
  // and one conductivity, where meat melts over some degrees.
  test.each([6, 10])(
    'a block of %p cm in running water takes what Plank’s equation says, within three tenths',
    (cm) => {
      const meat = lump(8000);
      const block = { ...pieceOf(meat), dimensionsCm: [200, 200, cm] as const };
      const [water, surface, thickness] = [18, 200, cm / 100];
      const body = pieceBody(meat, block, -18).withSurface(surface);
      let minutes = 0;
      while (body.coreC < -1 && minutes < 2000) {
        body.advance(300, water, water);
        minutes += 5;
      }
      const { conductivity } = foodProperties(MEAT_COMPOSITION.medium, 5);
      const melting = 0.9 * MEAT_COMPOSITION.medium.water * 334_000 * 1060;
      const plank = (melting / (water + 1)) * (thickness / (2 * surface) + thickness ** 2 / (8 * conductivity));
      expect(minutes / (plank / 60)).toBeGreaterThan(0.7);
      expect(minutes / (plank / 60)).toBeLessThan(1.3);
    },
  );

  test('takes longer the heavier it is, and shanks thaw one by one', () => {
    const by = [500, 1000, 2000, 4000].map((grams) => thawMinutes(lump(grams), 'fridge'));
    expect(by).toEqual([...by].sort((a, b) => a - b));
    const four = thawMinutes(lump(1600, 'lamb-shank'), 'fridge');
    expect(four).toBeLessThan(thawMinutes(lump(1600), 'fridge'));
    // Cut into chunks tonight, it lies in the freezer as it was bought.
    expect(thawMinutes(lump(2000, 'beef-chuck', 'chunks'), 'fridge')).toBe(thawMinutes(lump(2000), 'fridge'));
  });
});

const friday: Plan = {
  ...newPlan({ cut: 'goat-shoulder', form: 'whole', grams: 2000, serveAt: SUNDAY }),
  grains: [{ grain: 'chickpea-soaked', grams: 200, place: 'auto' }],
};
friday.meat = { ...friday.meat, thaw: 'fridge', salted: 'ahead' };
const base = forecast(friday);
const startAt = base.clock.startAt ?? '';
const of = (kind: AheadTask['kind'], tasks: readonly AheadTask[] = base.ahead): AheadTask => {
  const task = tasks.find((task) => task.kind === kind);
  if (!task) throw new Error(`no ${kind}`);
  return task;
};
const at = (minute: number): number => Date.parse(startAt) + minute * 60_000;

describe('the days before a Sunday', () => {
  test('the freezer first, then salt, then the pulses, each over before what follows it', () => {
    expect(base.ahead.map(({ kind }) => kind)).toEqual(['thaw-fridge', 'salt', 'soak']);
    const [thaw, salt, soak] = [of('thaw-fridge'), of('salt'), of('soak')];
    expect(thaw.until).toBeLessThanOrEqual(salt.latest);
    expect(salt.until).toBe(base.clock.tasks.find(({ work }) => work.kind === 'sear')?.startMinute);
    expect(salt.latest).toBe(salt.until - 1440);
    expect([soak.name, soak.until, soak.minutes]).toEqual(['chickpeas', 0, 8 * HOUR]);
    expect(thaw.at?.slice(0, 10)).toBe('2027-01-15');
    expect(salt.at?.slice(0, 10)).toBe('2027-01-16');
  });

  test('nobody gets up for it where it may lie longer', () => {
    for (const task of base.ahead) {
      const hour = Number(task.at?.slice(11, 13));
      expect([task.kind, hour >= 7 && hour < 22]).toEqual([task.kind, true]);
      expect(task.best).toBeLessThanOrEqual(task.latest);
    }
    // An early dinner: soaked for eight hours it would have to be put in at two in the night.
    const noon = forecast({ ...friday, serveAt: '2027-01-17T12:00:00+01:00' });
    const soak = of('soak', noon.ahead);
    expect(Number(soak.latestAt?.slice(11, 13))).toBeLessThan(7);
    expect(soak.at?.slice(0, 16)).toMatch(/^2027-01-16T21:/);
  });

  test('a plan that asks for nothing has nothing; without a dinner time there are minutes and no day', () => {
    expect(forecast(planFor('beef-chuck', 'chunks', 1000)).ahead).toEqual([]);
    const [thaw] = aheadOf({ ...friday, serveAt: null }, { startAt: null, tasks: base.clock.tasks });
    expect([thaw?.at, thaw?.latestAt]).toEqual([null, null]);
    expect(thaw?.latest).toBeLessThan(-1440);
  });
});

describe('what was late', () => {
  const late = (plan: Plan, minute: number): ReturnType<typeof lateOnes> =>
    lateOnes(plan, forecast(plan).ahead, startAt, at(minute));
  const done = (kind: AheadTask['kind'], minute: number): Plan => ({
    ...friday,
    aheadDone: { [of(kind).id]: new Date(at(minute)).toISOString() },
  });
  const allDone = { ...friday, aheadDone: Object.fromEntries(base.ahead.map(({ id, at: when }) => [id, when ?? ''])) };

  test('nothing, while there is time, and where all was done', () => {
    expect(late(friday, of('thaw-fridge').best - 60)).toEqual([]);
    expect(late(allDone, -5)).toEqual([]);
    expect(forecast(allDone).ahead.map(({ doneAt }) => doneAt)).toEqual(base.ahead.map(({ at: when }) => when));
  });

  test('still in the freezer in the morning: cold water; at four it is cooked from frozen, with more minutes', () => {
    const morning = late(friday, -9 * HOUR).find(({ task }) => task.kind === 'thaw-fridge');
    expect(morning?.missed.code).toBe('in-water');
    expect(morning?.plan.meat.thaw).toBe('cold-water');
    const four = late(friday, -20).find(({ task }) => task.kind === 'thaw-fridge');
    expect(four?.missed.code).toBe('still-frozen');
    expect(four?.plan.meat).toMatchObject({ startsFrom: 'frozen', thaw: undefined });
    expect(forecast(four?.plan ?? friday).pressureMinutes).toBeGreaterThan(base.pressureMinutes);
    expect(missedText(four ?? { task: of('thaw-fridge'), missed: { code: 'still-frozen' } })).toMatch(
      /frozen in the middle/,
    );
  });

  test('nothing is salted while it is a block of ice: salt counts from when it has thawed', () => {
    const salt = of('salt');
    // On Saturday at noon of the clock it goes into the fridge: it is thawed on Sunday, some hours before the sear.
    const taken = -of('thaw-fridge').minutes - 3 * HOUR;
    const later = late(done('thaw-fridge', taken), taken + 60).find(({ task }) => task.kind === 'salt');
    expect(later?.plan.meat.saltedMinutes).toBeCloseTo(salt.until + 3 * HOUR, -1);
    // Not thawed in time at all, it is salted at the pot.
    expect(late(friday, -30).find(({ task }) => task.kind === 'salt')?.missed.code).toBe('salted-at-the-pot');
  });

  test('taken out too late counts from when it was taken out', () => {
    const thaw = of('thaw-fridge');
    expect(late(done('thaw-fridge', thaw.latest - 10), -60).map(({ task }) => task.kind)).not.toContain('thaw-fridge');
    expect(late(done('thaw-fridge', -600), -60).map(({ task }) => task.kind)).toContain('thaw-fridge');
  });

  test('salted two hours before, salt lies two hours; forgotten, it goes on at the pot', () => {
    const salt = of('salt');
    const later = late(done('salt', salt.until - 120), -60).find(({ task }) => task.kind === 'salt');
    expect(later?.plan.meat.saltedMinutes).toBe(120);
    const never = late(friday, salt.until).find(({ task }) => task.kind === 'salt');
    expect(never?.plan.meat).toMatchObject({ salted: 'just-before' });
    expect(forecast(never?.plan ?? friday).ahead.map(({ kind }) => kind)).not.toContain('salt');
  });

  test('beans that were not soaked are cooked as what they are, chickpeas are soaked quickly', () => {
    const beans = { ...friday, grains: [{ grain: 'bean-dry-soaked', grams: 200, place: 'auto' as const }] };
    const unsoaked = late(beans, -60).find(({ task }) => task.kind === 'soak');
    expect(unsoaked?.plan.grains).toMatchObject([{ grain: 'bean-dry-unsoaked', grams: 200 }]);
    const chickpeas = late(friday, -60).find(({ task }) => task.kind === 'soak');
    expect([chickpeas?.missed.code, chickpeas?.plan]).toEqual(['soak-quickly', friday]);
    expect(chickpeas === undefined ? '' : missedText(chickpeas)).toMatch(
      /^The chickpeas.* were not soaked long enough: boil/,
    );
    // Four hours are enough.
    expect(late(friday, -300).map(({ task }) => task.kind)).not.toContain('soak');
  });

  test('a marinade of an hour is one of an hour; of some minutes it is none', () => {
    const fresh = { ...friday.meat, thaw: undefined };
    const night = { ...friday, meat: { ...fresh, marinade: { ml: 200, hours: 12, then: 'poured-in' as const } } };
    const hour = late(night, -60).find(({ task }) => task.kind === 'marinate');
    expect(hour?.plan.meat.marinade).toMatchObject({ hours: 1, ml: 200 });
    expect(hour === undefined ? '' : missedText(hour)).toMatch(/it lies in it for 1 h now/);
    expect(late(night, -10).find(({ task }) => task.kind === 'marinate')?.plan.meat.marinade).toBeNull();
  });
});

test('it is said plainly, and what can hurt stands at it and defers', () => {
  const [first] = base.ahead;
  expect(first && aheadText(first)).toMatch(
    /^Take the goat shoulder out of the freezer, into the fridge on a tray: thawed in \d+ h$/,
  );
  for (const kind of ['thaw-fridge', 'thaw-water'] as const) {
    expect(aheadCaution({ kind })).toMatch(/authority comes first/);
  }
  expect(aheadCaution({ kind: 'thaw-water' })).toMatch(/changed every half hour, and cooked at once/);
  expect(aheadCaution({ kind: 'thaw-fridge' })).toMatch(/Never on the counter/);
});
