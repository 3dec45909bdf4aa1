import { forecast } from '../braise/forecast/forecast';
import { guideOf } from '../braise/guide/guide';
import type { CookEvent } from '../clock/cook-events';
import { cookState, type CookState } from '../clock/cook-state';
import { observe } from '../learning/observe';
import { FACTORS, summary, unknown, withEvidence, type FactorKind, type Posterior } from '../learning/posterior';
import { subjectOf, type CalibrationRow } from '../learning/calibration';
import { againstTarget, type Grade } from '../meat/tenderness';
import type { Random } from '../physics/random';
import type { Plan } from '../plan/plan';

/** A figure for each thing that can be learnt. */
export type OfEach = Readonly<Record<FactorKind, number>>;

/** A kitchen as it is in truth: its factors against the tables, and how far one cook lies from the next, of the logarithm. */
export interface Household {
  readonly truth: OfEach;
  readonly apart: OfEach;
}

export const AS_THE_TABLES: OfEach = { heat: 1, losses: 1, sear: 1, prep: 1, toughness: 1 };
/** How far cooks lie apart in a kitchen where nobody hurries and nobody measures. From memory. */
export const USUALLY: OfEach = { heat: 0.04, losses: 0.05, sear: 0.12, prep: 0.15, toughness: 0.2 };

/** Factors as a plan carries them. */
export const asLearnt = (factors: OfEach): NonNullable<Plan['learnt']> =>
  Object.fromEntries(Object.entries(factors).map(([kind, factor]) => [kind, { factor, cooks: 1 }]));

export interface Cooked {
  readonly plan: Plan;
  readonly state: CookState;
  readonly grade: Grade;
}

/** A cook of a plan in a household: another animal, another evening, pressed as it happens. */
export function cookedBy({ truth, apart }: Household, plan: Plan, random: Random): Cooked {
  const planned = forecast(plan);
  const evening = Object.fromEntries(
    FACTORS.map((kind) => [kind, truth[kind] * Math.exp(apart[kind] * random.normal())]),
  ) as OfEach;
  const real = forecast({ ...plan, pressureMinutes: planned.pressureMinutes, learnt: asLearnt(evening) });
  const guide = guideOf(planned);
  // A guide's minutes have what was learnt in them already.
  const known = (kind: FactorKind): number => plan.learnt?.[kind]?.factor ?? 1;
  let at = Date.parse('2027-01-17T14:00:00Z');
  const events: CookEvent[] = [];
  const tell = (kind: CookEvent['kind'], payload: CookEvent['payload'] = {}): void => {
    events.push({ id: `e${events.length}`, kind, at: new Date(at).toISOString(), payload });
  };
  tell('started');
  for (const { id, section, done, minutes } of guide.steps) {
    const took =
      id === 'pin'
        ? real.pot.minutesToPin
        : id === 'timer'
          ? real.pot.minutesToPressure - real.pot.minutesToPin
          : id === 'natural'
            ? real.pot.naturalReleaseMinutes
            : section === 'sear'
              ? (minutes * evening.sear) / known('sear')
              : section === 'board'
                ? (minutes * evening.prep) / known('prep')
                : minutes;
    at += Math.max(1, took * 60_000);
    if (done === 'checked') tell('checked', { step: id, grade: real.tenderness.grade });
    if (done !== 'checked' || againstTarget(real.tenderness.grade, plan.target) === 'short') {
      tell(done === 'checked' ? 'stepDone' : done, { step: id });
    }
  }
  return { plan, state: cookState(guide, events, at), grade: real.tenderness.grade };
}

/** What a household has learnt after so many cooks of a plan. */
export function afterCooks(
  count: number,
  plan: Plan,
  household: Household,
  random: Random,
): Map<FactorKind, Posterior> {
  const known = new Map<FactorKind, Posterior>(FACTORS.map((kind) => [kind, unknown(kind)]));
  for (let i = 0; i < count; i += 1) {
    const one = cookedBy(household, plan, random);
    for (const [kind, evidence] of Object.entries(observe(one.plan, one.state, one.grade))) {
      known.set(kind as FactorKind, withEvidence(known.get(kind as FactorKind) as Posterior, evidence));
    }
  }
  return known;
}

/** What was learnt, as a log hands it to a plan. */
export const rowsOf = (known: ReadonlyMap<FactorKind, Posterior>, plan: Plan): CalibrationRow[] =>
  [...known].map(([kind, posterior]) => ({
    kind,
    of: subjectOf(kind, plan),
    ...summary(posterior),
    off: false,
    short: 0,
    past: 0,
  }));
