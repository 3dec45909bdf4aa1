import type { Plan } from '../../plan/plan';
import { DEFAULT_COOKER } from '../../plan/defaults';
import { planFor } from '../../testing/fixtures';
import { cautionsFor, type Caution } from './cautions';
import { forecast } from './forecast';
import { guideOf } from '../guide/guide';

const plain = planFor(
  'beef-chuck',
  'chunks',
  1200,
  {
    sear: { school: 'none', where: 'pot', order: 'meat-first' },
    cooker: { ...DEFAULT_COOKER, kind: 'stovetop', burner: 'gas', timerStarts: 'pin' },
    deglaze: null,
    liquids: [{ liquid: 'stock', ml: 500, temperatureC: 20 }],
  },
  { boneIn: false },
);
const codes = (plan: Plan): string[] => forecast(plan).cautions.map(({ code }) => code);
const hardSear: Plan['sear'] = { school: 'hard', where: 'pot', order: 'meat-first' };
const chilli = (steps: ('soak' | 'toast' | 'blend')[]): Partial<Plan> => ({
  additions: [{ ingredient: 'chilli-blend', grams: 120, when: 'on-top', apart: { steps, swillMl: 60 } }],
});

/** Each caution, and the least that brings it about: what hurts in a kitchen, by the job's own list. */
const BROUGHT_ABOUT: readonly (readonly [string, Caution['step'], Partial<Plan>, Partial<Plan['meat']>?])[] = [
  ['frozen-start', 'meat', {}, { startsFrom: 'frozen' }],
  ['marinade-raw', 'meat', {}, { marinade: { ml: 150, hours: 12, then: 'poured-in' } }],
  ['no-frying', 'sear', { sear: hardSear }],
  ['sugar-rub', 'sear', { sear: hardSear }, { rub: { grams: 40, sugar: true } }],
  ['over-fill', 'pot', { liquids: [{ liquid: 'stock', ml: 5200, temperatureC: 20 }] }],
  ['under-minimum', 'pot', { liquids: [{ liquid: 'stock', ml: 40, temperatureC: 20 }] }],
  [
    'burn-likely',
    'pot',
    {
      sear: hardSear,
      liquids: [{ liquid: 'stock', ml: 260, temperatureC: 20 }],
      additions: [{ ingredient: 'tomato-paste', grams: 300, when: 'stirred-in' }],
    },
  ],
  ['blender', 'sear', chilli(['soak', 'blend'])],
  ['chilli-fumes', 'sear', chilli(['toast', 'soak'])],
  ['kidney-bean', 'vegetables', { grains: [{ grain: 'kidney-bean-soaked', grams: 200, place: 'auto' }] }],
  [
    'quick-foams',
    'release',
    {
      release: { method: 'quick', naturalMinutes: 0 },
      grains: [{ grain: 'barley-pearl', grams: 100, place: 'start' }],
    },
  ],
  ['keep-warm', 'release', { cooker: DEFAULT_COOKER }],
  ['bone-splinters', 'plate', {}, { cut: 'goat-neck', form: 'slices', boneIn: true }],
  ['alcohol-stays', 'plate', { liquids: [{ liquid: 'red-wine', ml: 500, temperatureC: 20 }] }],
];
const ALWAYS = ['board-order', 'check-gasket', 'lid-steam', 'stopped-cook', 'cooling'];

describe('cautions', () => {
  test.each(BROUGHT_ABOUT.map(([code, step, more, meat]) => [code, { step, more, meat }] as const))(
    '%s stands where it can hurt, and only where there is cause',
    (code, { step, more, meat }) => {
      expect(codes(plain)).not.toContain(code);
      const plan = { ...plain, ...more, meat: { ...plain.meat, ...meat } };
      const caution = forecast(plan).cautions.find((one) => one.code === code);
      expect(caution?.step).toBe(step);
      expect(caution?.source).not.toBe('');
    },
  );

  test.each(ALWAYS)('%s is always there', (code) => {
    expect(codes(plain)).toContain(code);
    expect(codes(planFor('goat-neck', 'slices', 1600))).toContain(code);
  });

  test('every caution that there is, is brought about here', () => {
    const everything = [...BROUGHT_ABOUT.map(([code]) => code), ...ALWAYS, 'watch-burner'];
    const all = BROUGHT_ABOUT.flatMap(([, , more, meat]) =>
      codes({ ...plain, ...more, meat: { ...plain.meat, ...meat } }),
    );
    expect([...new Set(all)].sort()).toEqual([...everything].sort());
  });

  test('follow the order of the work, each said once', () => {
    const cautions = forecast({ ...plain, cooker: DEFAULT_COOKER, sear: hardSear }).cautions;
    const order = ['meat', 'sear', 'pot', 'vegetables', 'release', 'plate'];
    const places = cautions.map(({ step }) => order.indexOf(step));
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(new Set(cautions.map(({ code }) => code)).size).toBe(cautions.length);
  });

  test('defer to the cooker’s manual wherever pressure is, and to the local authority on what is safe to eat', () => {
    const { cautions } = forecast({ ...plain, liquids: [{ liquid: 'stock', ml: 5200, temperatureC: 20 }] });
    const byCode = new Map(cautions.map((caution) => [caution.code, caution]));
    for (const code of ['check-gasket', 'over-fill', 'lid-steam'] as const)
      expect(byCode.get(code)?.text).toMatch(/manual/);
    for (const code of ['stopped-cook', 'cooling'] as const)
      expect(byCode.get(code)?.source).toMatch(/local food-safety authority/);
  });

  test('what the reckoning found decides, not what the plan looks like', () => {
    const lid = { run: 1, over: false, liquid: 'ok', missingMl: 0, base: 'safe', foams: false } as const;
    const fine = { lids: [lid], middleIsSafe: true, inTheWarm: { minutes: 0, most: 120 }, coolsInTime: true };
    const codes = cautionsFor(plain, { ...fine, lids: [{ ...lid, base: 'likely' }] }).map(({ code }) => code);
    expect(codes).toContain('burn-likely');
    expect(cautionsFor(plain, fine).map(({ code }) => code)).not.toContain('burn-likely');
  });

  test('the published temperatures stand in them: 63 °C and 3 minutes, 60 °C held, 74 °C again (FSIS, Food Code; from memory)', () => {
    const text = forecast({ ...plain, cooker: DEFAULT_COOKER })
      .cautions.map((caution) => caution.text)
      .join(' ');
    for (const figure of ['63 °C', '3 minute rest', '60 °C', 'two hours', '74 °C']) expect(text).toContain(figure);
  });
});

describe('at the pot', () => {
  const quick = { method: 'quick', naturalMinutes: 0 } as const;
  const planned = forecast({ ...plain, cooker: DEFAULT_COOKER, sear: hardSear, release: quick });
  const guide = guideOf(planned);
  test.each([
    ['board-meat', /raw meat/],
    ['lock', /gasket/],
    ['vent', /valve/],
    ['open', /never force the lid/],
  ])('the step %s says what can hurt in it', (id, words) => {
    const step = guide.steps.find((one) => one.id === id);
    expect(`${step?.title ?? ''} ${step?.detail ?? ''} ${step?.caution ?? ''}`).toMatch(words);
  });
});
