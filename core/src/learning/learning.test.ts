import { forecast } from '../braise/forecast/forecast';
import { guideOf } from '../braise/guide/guide';
import { cookState } from '../clock/cook-state';
import type { CookEvent } from '../clock/cook-events';
import { againstTarget, GRADES, GRADE_FROM, meanMelted, toughnessBounds, type Grade } from '../meat/tenderness';
import { bodyAsCooked } from '../braise/forecast/as-cooked';
import type { Plan } from '../plan/plan';
import { planFor } from '../testing/fixtures';
import { seeded, type Random } from '../physics/random';
import { printerFor } from '../units/quantity';
import { withLearnt, type LearntRow } from './learnt';
import { observe, observeByHand } from './observe';
import { FACTORS, summary, unknown, withEvidence, type Evidence, type FactorKind, type Posterior } from './posterior';

const print = printerFor('metric');

/** What a kitchen is in truth, against the tables. */
interface Truth {
  readonly heat: number;
  readonly losses: number;
  readonly sear: number;
  readonly prep: number;
  readonly toughness: number;
}
const AS_THE_TABLES: Truth = { heat: 1, losses: 1, sear: 1, prep: 1, toughness: 1 };

const learnt = (truth: Truth): NonNullable<Plan['learnt']> =>
  Object.fromEntries(Object.entries(truth).map(([kind, factor]) => [kind, { factor: factor as number, cooks: 1 }]));

/** A cook of a plan in a kitchen that is as the truth says: pressed with some scatter, each animal another one. */
function cooked(
  plan: Plan,
  truth: Truth,
  random: Random,
): { plan: Plan; state: ReturnType<typeof cookState>; grade: Grade } {
  const planned = forecast(plan);
  const animal = truth.toughness * Math.exp(0.2 * random.normal());
  const real = forecast({
    ...plan,
    pressureMinutes: planned.pressureMinutes,
    learnt: learnt({ ...truth, toughness: animal }),
  });
  const guide = guideOf(planned, print);
  const scatter = (minutes: number, sd: number): number => minutes * Math.exp(sd * random.normal());
  let at = Date.parse('2027-01-17T14:00:00Z');
  const events: CookEvent[] = [];
  const tell = (kind: CookEvent['kind'], payload: CookEvent['payload'] = {}): void => {
    events.push({ id: `e${events.length}`, kind, at: new Date(at).toISOString(), payload });
  };
  tell('started');
  for (const { id, section, done, minutes } of guide.steps) {
    const took =
      id === 'pin'
        ? scatter(real.pot.minutesToPin, 0.04)
        : id === 'timer'
          ? real.pot.minutesToPressure - real.pot.minutesToPin
          : id === 'natural'
            ? scatter(real.pot.naturalReleaseMinutes, 0.05)
            : section === 'sear'
              ? scatter(minutes * truth.sear, 0.15)
              : section === 'board'
                ? scatter(minutes * truth.prep, 0.15)
                : minutes;
    at += Math.max(1, took * 60_000);
    if (done === 'checked') tell('checked', { step: id, grade: real.tenderness.grade });
    if (done !== 'checked' || againstTarget(real.tenderness.grade, plan.target) === 'short') {
      tell(done === 'checked' ? 'stepDone' : done, { step: id });
    }
  }
  return { plan, state: cookState(guide, events, at), grade: real.tenderness.grade };
}

/** What a kitchen has learnt after so many cooks. */
function after(count: number, plan: Plan, truth: Truth, seed: number): Map<FactorKind, Posterior> {
  const random = seeded(seed);
  const known = new Map<FactorKind, Posterior>(FACTORS.map((kind) => [kind, unknown(kind)]));
  for (let i = 0; i < count; i += 1) {
    const one = cooked(plan, truth, random);
    for (const [kind, evidence] of Object.entries(observe(one.plan, one.state, one.grade))) {
      known.set(kind as FactorKind, withEvidence(known.get(kind as FactorKind) as Posterior, evidence));
    }
  }
  return known;
}

const factor = (known: Map<FactorKind, Posterior>, kind: FactorKind): number =>
  summary(known.get(kind) as Posterior).factor;
const median = (values: number[]): number => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] as number;

const chunks = planFor('beef-chuck', 'chunks', 1300, { release: { method: 'natural', naturalMinutes: 0 } });

describe('learning recovers a synthetic truth', () => {
  test.each([0.78, 1.25])(
    'after six cooks the error in time to pressure is at most 40 %% of what it was, heat × %p',
    (heat) => {
      const truth = { ...AS_THE_TABLES, heat };
      const real = forecast({ ...chunks, learnt: learnt(truth) }).pot.minutesToPressure;
      const before = Math.abs(forecast(chunks).pot.minutesToPressure - real);
      const errors = [1, 2, 3, 4, 5].map((seed) => {
        const found = factor(after(6, chunks, truth, seed), 'heat');
        return Math.abs(
          forecast({ ...chunks, learnt: { heat: { factor: found, cooks: 6 } } }).pot.minutesToPressure - real,
        );
      });
      expect(median(errors)).toBeLessThan(0.4 * before);
      expect(Math.max(...errors)).toBeLessThan(0.6 * before);
    },
  );

  test('after eight cooks a cut 30 % tougher than the table is within 10 %', () => {
    const found = [1, 2, 3, 4, 5].map((seed) =>
      factor(after(8, chunks, { ...AS_THE_TABLES, toughness: 1.3 }, seed), 'toughness'),
    );
    expect(Math.abs(median(found) / 1.3 - 1)).toBeLessThan(0.1);
  });

  test('losses, sear and board come out too, and a kitchen as the tables stays there', () => {
    const found = after(8, chunks, { ...AS_THE_TABLES, losses: 1.5, sear: 1.3, prep: 0.7 }, 3);
    expect(factor(found, 'losses')).toBeGreaterThan(1.3);
    expect(Math.abs(factor(found, 'sear') / 1.3 - 1)).toBeLessThan(0.12);
    expect(Math.abs(factor(found, 'prep') / 0.7 - 1)).toBeLessThan(0.15);
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
  const row = (kind: FactorKind, of: string, more: Partial<LearntRow> = {}): LearntRow => {
    let posterior = unknown(kind);
    for (let i = 0; i < 5; i += 1) posterior = withEvidence(posterior, { at: Math.log(1.25) });
    return { kind, of, ...summary(posterior), off: false, short: 3, past: 0, ...more };
  };

  test('proposes other minutes, and says so', () => {
    const plan = withLearnt(chunks, { rows: [row('toughness', 'beef-chuck')] });
    const f = forecast(plan);
    expect(f.withoutLearnt).toBe(forecast(chunks).proposedMinutes);
    expect(f.proposedMinutes).toBeGreaterThan((f.withoutLearnt ?? 0) + 2);
    const said = f.reasons.filter(({ figure }) => figure === 'pressureMinutes').map(({ text }) => text);
    expect(said.join(' ')).toMatch(/\d+ minutes more, learnt from your log: 3 cooks of this cut came out short/);
  });

  test('takes only what is its own cooker’s and cut’s, and nothing that is switched off', () => {
    const rows = [row('toughness', 'pork-collar'), row('heat', 'another pot'), row('prep', '', { off: true })];
    expect(withLearnt(chunks, { rows }).learnt).toBeUndefined();
    expect(withLearnt(chunks, { rows: [row('heat', chunks.cooker.name)] }).learnt?.heat?.cooks).toBe(5);
  });

  test('a stronger heater is quicker to the pin, and the reason names it', () => {
    const f = forecast(withLearnt(chunks, { rows: [row('heat', chunks.cooker.name)] }));
    expect(f.pot.minutesToPin).toBeLessThan(forecast(chunks).pot.minutesToPin * 0.9);
    expect(f.reasons.find(({ text }) => text.startsWith('Learnt from 5'))?.figure).toBe('minutesToPressure');
  });
});
