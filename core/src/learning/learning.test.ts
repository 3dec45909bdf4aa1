import { forecast } from '../braise/forecast/forecast';
import { GRADES, GRADE_FROM, meanMelted, toughnessBounds } from '../meat/tenderness';
import { bodyAsCooked } from '../braise/forecast/as-cooked';
import { VARIES } from '../catalog/what-varies';
import { spreadOf } from '../plan/calibration';
import type { Plan } from '../plan/plan';
import { planFor } from '../testing/fixtures';
import { afterCooks, AS_THE_TABLES, asLearnt, USUALLY, type OfEach } from '../testing/household';
import { seeded } from '../physics/random';
import { withCalibration, type CalibrationRow } from './calibration';
import { observeByHand } from './observe';
import {
  FACTORS,
  spreadLearnt,
  summary,
  unknown,
  WEIGHTS,
  withEvidence,
  type Evidence,
  type FactorKind,
  type Posterior,
} from './posterior';
import { english } from '../testing/said-in-english';

/** What a kitchen that is so in truth has learnt after so many cooks. */
const after = (count: number, plan: Plan, truth: OfEach, seed: number): Map<FactorKind, Posterior> =>
  afterCooks(count, plan, { truth, apart: USUALLY }, seeded(seed));

const factor = (known: Map<FactorKind, Posterior>, kind: FactorKind): number =>
  summary(known.get(kind) as Posterior).factor;
const median = (values: number[]): number => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] as number;

const chunks = planFor('beef-chuck', 'chunks', 1300, { release: { method: 'natural', naturalMinutes: 0 } });

describe('learning recovers a synthetic truth', () => {
  test.each([0.78, 1.25])(
    'after six cooks the error in time to pressure is at most 40 %% of what it was, heat × %p',
    (heat) => {
      const truth = { ...AS_THE_TABLES, heat };
      const real = forecast({ ...chunks, learnt: asLearnt(truth) }).pot.minutesToPressure;
      const before = Math.abs(forecast(chunks).pot.minutesToPressure - real);
      const errors = [1, 2, 3].map((seed) => {
        const heat = factor(after(6, chunks, truth, seed), 'heat');
        return Math.abs(
          forecast({ ...chunks, learnt: { heat: { factor: heat, cooks: 6 } } }).pot.minutesToPressure - real,
        );
      });
      expect(median(errors)).toBeLessThan(0.4 * before);
      expect(Math.max(...errors)).toBeLessThan(0.6 * before);
    },
  );

  test('after eight cooks a cut 30 % tougher than the table is within 10 %', () => {
    const ratios = [1, 2, 3, 4, 5, 6, 7, 8, 9].map((seed) =>
      factor(after(8, chunks, { ...AS_THE_TABLES, toughness: 1.3 }, seed), 'toughness'),
    );
    expect(Math.abs(median(ratios) / 1.3 - 1)).toBeLessThan(0.1);
  });

  test('losses, sear and board come out too, and a kitchen as the tables stays there', () => {
    const kitchen = after(8, chunks, { ...AS_THE_TABLES, losses: 1.5, sear: 1.3, prep: 0.7 }, 3);
    expect(factor(kitchen, 'losses')).toBeGreaterThan(1.3);
    expect(Math.abs(factor(kitchen, 'sear') / 1.3 - 1)).toBeLessThan(0.12);
    expect(Math.abs(factor(kitchen, 'prep') / 0.7 - 1)).toBeLessThan(0.15);
    const usual = after(6, chunks, AS_THE_TABLES, 4);
    for (const kind of FACTORS) expect(Math.abs(factor(usual, kind) - 1)).toBeLessThan(0.12);
  });
});

describe('a posterior', () => {
  const steady = (kind: FactorKind, cooks: number): Posterior =>
    Array.from({ length: cooks }).reduce<Posterior>(
      (known) => withEvidence(known, { at: Math.log(0.9) }),
      unknown(kind),
    );
  const ODD: readonly Evidence[] = [
    { at: Math.log(3.5) },
    { at: Math.log(0.2) },
    { from: -9, to: -2 },
    { from: 2, to: 9 },
  ];

  test.each(FACTORS)('one absurd entry moves %s by no more than 5 %%, first or seventh', (kind) => {
    for (const known of [unknown(kind), steady(kind, 6)]) {
      for (const evidence of ODD) {
        const moved = summary(withEvidence(known, evidence)).factor / summary(known).factor;
        expect(Math.abs(moved - 1)).toBeLessThan(0.05);
      }
    }
  });

  test('rests on what was added, narrows with it, and forgets what is taken away again', () => {
    const one = steady('heat', 1);
    const six = steady('heat', 6);
    const width = (known: Posterior): number => summary(known).range[1] / summary(known).range[0];
    expect(width(six)).toBeLessThan(width(one));
    expect(summary(six).cooks).toBe(6);
    const again = withEvidence(withEvidence(six, { at: 0.3 }), { at: 0.3 }, -1);
    again.weights.forEach((weight, i) => expect(weight).toBeCloseTo(six.weights[i] as number, 9));
    expect(summary(again).cooks).toBe(6);
  });
});

describe('how far one cook is from the next', () => {
  const random = seeded(11);
  const kitchen = (kind: FactorKind, apart: number, cooks: number, own = 0.1): Posterior =>
    Array.from({ length: cooks }).reduce<Posterior>(
      (known) => withEvidence(known, { at: own + apart * random.normal() }),
      unknown(kind),
    );
  const median9 = (work: () => number): number => median(Array.from({ length: 9 }, work));

  test.each([0.05, 0.12, 0.28])('a sear that lies %p apart is found to within a third, after twenty', (apart) => {
    const found = median9(() => summary(kitchen('sear', apart, 20)).apart);
    expect(found / apart).toBeGreaterThan(2 / 3);
    expect(found / apart).toBeLessThan(4 / 3);
  });

  test('the spread begins at the list’s, narrows where cooks are alike and widens where they are not', () => {
    const spread = (known: Posterior): number => spreadLearnt(VARIES.sear, summary(known).scatter);
    expect(spread(unknown('sear')) / VARIES.sear.cv).toBeCloseTo(1, 1);
    const [few, many] = [2, 20].map((cooks) => median9(() => spread(kitchen('sear', 0.05, cooks)))) as [number, number];
    expect(many).toBeLessThan(few);
    expect(many).toBeLessThan(0.09);
    expect(median9(() => spread(kitchen('sear', 0.28, 20)))).toBeGreaterThan(VARIES.sear.cv);
  });

  test('one absurd cook of twenty widens it by less than a third', () => {
    const calm = kitchen('sear', 0.05, 20);
    expect(summary(withEvidence(calm, { at: 1.3 })).apart / summary(calm).apart).toBeLessThan(4 / 3);
  });

  test('what was learnt before, of the factor alone, is read on and says the same of it', () => {
    const before = Array.from({ length: WEIGHTS.ofTheFactorAlone }, (_, i) => -(((i - 70) / 6) ** 2));
    const old: Posterior = { kind: 'heat', weights: before, cooks: 4 };
    const [low, high] = summary(old).range;
    expect(summary(old).factor).toBeGreaterThan(low);
    expect(high).toBeLessThan(1.5);
    const [, apart] = [summary(old), summary(unknown('heat')).apart];
    expect(summary(old).apart).toBeCloseTo(apart, 9);
    expect(withEvidence(old, { at: 0.2 }).weights).toHaveLength(WEIGHTS.now);
  });
});

describe('what a cook says', () => {
  test('a grade bounds the animal: the table’s animal lies inside its own grade', () => {
    const f = forecast(chunks);
    const { meat } = bodyAsCooked({ ...chunks, pressureMinutes: f.pressureMinutes }, null);
    if (!meat) throw new Error('no meat');
    for (const grade of GRADES) {
      const { from, to } = toughnessBounds(meat, 1, grade);
      const inside = from < 0 && to >= 0;
      expect(inside).toBe(grade === f.tenderness.grade);
      // At its bound the melted share is where the grade begins: the definition, the other way round.
      if (GRADE_FROM[grade] > 0) expect(meanMelted(meat, Math.exp(to))).toBeCloseTo(GRADE_FROM[grade], 4);
    }
  });

  test('a firm cook added by hand makes its cut tougher', () => {
    const { toughness } = observeByHand({ ...chunks, pressureMinutes: 45 }, 'firm');
    expect(summary(withEvidence(unknown('toughness'), toughness as Evidence)).factor).toBeGreaterThan(1.02);
  });
});

describe('a plan with what was learnt', () => {
  const row = (kind: FactorKind, of: string, more: Partial<CalibrationRow> = {}): CalibrationRow => {
    let posterior = unknown(kind);
    for (let i = 0; i < 5; i += 1) posterior = withEvidence(posterior, { at: Math.log(1.25) });
    return { kind, of, ...summary(posterior), off: false, short: 3, past: 0, ...more };
  };

  test('proposes other minutes, and says so', () => {
    const plan = withCalibration(chunks, { rows: [row('toughness', 'beef-chuck')] });
    const f = forecast(plan);
    expect(f.withoutLearnt).toBe(forecast(chunks).proposedMinutes);
    expect(f.proposedMinutes).toBeGreaterThan((f.withoutLearnt ?? 0) + 2);
    const said = f.reasons.filter(({ figure }) => figure === 'pressureMinutes').map(({ text }) => text);
    expect(said.join(' ')).toMatch(/\d+ minutes more, learnt from your log: 3 cooks of this cut came out short/);
  });

  test('with animals as the table says, and all alike, needs fewer minutes for the same odds, and says why', () => {
    let posterior = unknown('toughness');
    for (let i = 0; i < 20; i += 1) posterior = withEvidence(posterior, { from: -0.03, to: 0.03 });
    const known = withCalibration(chunks, {
      rows: [{ ...row('toughness', 'beef-chuck'), ...summary(posterior) }],
    });
    expect(known.learnt?.toughness).toMatchObject({ factor: 1, cooks: 20 });
    expect(spreadOf(known, 'toughness')).toBeLessThan(0.16);
    const f = forecast({ ...known, confidence: 0.8 });
    expect(f.proposedMinutes).toBeLessThan(f.withoutLearnt ?? 0);
    const said = f.reasons.filter(({ figure }) => figure === 'pressureMinutes').map(({ text }) => text);
    expect(said.join(' ')).toMatch(/minutes fewer, learnt from your log: .* its animals are more alike than usual/);
  });

  test('takes only what is its own cooker’s and cut’s, and nothing that is switched off', () => {
    const rows = [row('toughness', 'pork-collar'), row('heat', 'another pot'), row('prep', '', { off: true })];
    expect(withCalibration(chunks, { rows }).learnt).toBeUndefined();
    expect(withCalibration(chunks, { rows: [row('heat', chunks.cooker.name)] }).learnt?.heat?.cooks).toBe(5);
  });

  test('a stronger heater is quicker to the pin, and the reason names it', () => {
    const f = forecast(withCalibration(chunks, { rows: [row('heat', chunks.cooker.name)] }));
    expect(f.pot.minutesToPin).toBeLessThan(forecast(chunks).pot.minutesToPin * 0.9);
    expect(f.reasons.find(({ text }) => english(text).startsWith('Learnt from 5'))?.figure).toBe('minutesToPressure');
  });
});
