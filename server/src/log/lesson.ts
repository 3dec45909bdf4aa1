import { resultOf, type LogEntry, type Result } from '@hervir/contract';
import {
  areWeights,
  cutById,
  newPlan,
  observeByHand,
  PlanError,
  subjectOf,
  unknown,
  withEvidence,
  type Evidence,
  type FactorKind,
  type Observation,
  type Plan,
} from '@hervir/core';

/** What one cook adds to what is learnt, or takes away. */
export interface Lesson {
  readonly plan: Pick<Plan, 'cooker' | 'meat'>;
  readonly observation: Observation;
  readonly result: Result;
  readonly entry: Pick<LogEntry, 'firstGrade' | 'wanted' | 'enough'>;
}

/** How a cook came out before its lid went back on: what its minutes made of the meat. */
export const resultLearnt = ({ result, entry: { firstGrade, wanted, enough } }: Lesson): Result =>
  firstGrade === undefined ? result : resultOf(firstGrade, wanted, enough);

/** Something learnt, as it is kept. */
export interface Taught {
  readonly id: string;
  readonly kind: FactorKind;
  readonly of: string;
  weights: readonly number[];
  cooks: number;
  short: number;
  past: number;
  off: boolean;
}

const keyOf = (kind: FactorKind, of: string): string => (of === '' ? kind : `${kind}:${of}`);

/** The things a cook teaches of, each with what it says of it. */
export function partsOf({
  plan,
  observation,
}: Pick<Lesson, 'plan' | 'observation'>): { id: string; kind: FactorKind; of: string; evidence: Evidence }[] {
  return (Object.entries(observation) as [FactorKind, Evidence][]).map(([kind, evidence]) => {
    const of = subjectOf(kind, plan);
    return { id: keyOf(kind, of), kind, of, evidence };
  });
}

/** Something nothing has been learnt of yet. */
export const untaught = ({ id, kind, of }: Pick<Taught, 'id' | 'kind' | 'of'>): Taught => ({
  id,
  kind,
  of,
  weights: unknown(kind).weights,
  cooks: 0,
  short: 0,
  past: 0,
  off: false,
});

/**
 * Adds what a cook says to what is known, or takes it away again. Old cooks are not read: what they said is in the weights.
 *
 * @param row what is known; changed in place
 * @param sign 1 to add, -1 to take away
 */
export function teach(row: Taught, evidence: Evidence, result: Result, sign: 1 | -1): void {
  // What cannot be read any more begins again at the table: a cook is closed whatever was known before.
  const before = areWeights(row.weights) ? row : unknown(row.kind);
  const { weights, cooks } = withEvidence(
    { kind: row.kind, weights: before.weights, cooks: before.cooks },
    evidence,
    sign,
  );
  row.weights = [...weights];
  row.cooks = cooks;
  if (row.kind !== 'toughness') return;
  row.short = Math.max(0, row.short + (result === 'short' ? sign : 0));
  row.past = Math.max(0, row.past + (result === 'past' ? sign : 0));
}

/** As much of a plan as an entry knows. */
export function planOfEntry(entry: LogEntry): Plan {
  const plan = newPlan({ cut: entry.cut, form: entry.form, grams: entry.boughtG });
  return {
    ...plan,
    name: entry.name,
    target: entry.wanted,
    meat: { ...plan.meat, trimGrams: entry.trimmedG === null ? 0 : Math.max(0, entry.boughtG - entry.trimmedG) },
    cooker: { ...plan.cooker, name: entry.cooker === '' ? plan.cooker.name : entry.cooker.slice(0, 60) },
    pressureMinutes: entry.pressure.actual ?? entry.pressure.planned,
  };
}

/**
 * What an entry without a cook here says, by its minutes and its grade; warmed and eaten on its day, it says nothing of its
 * pot or its meat.
 */
export function observedByHand({ source, grade }: Pick<LogEntry, 'source' | 'grade'>, plan: Plan): Observation {
  return grade === null || source === 'warmed' ? {} : observedIn(plan, () => observeByHand(plan, grade));
}

/** What a cook says; nothing where its plan cannot be reckoned any more. */
export function observedIn(plan: Plan, work: () => Observation): Observation {
  try {
    cutById(plan.meat.cut);
    return work();
  } catch (error) {
    if (error instanceof PlanError || error instanceof RangeError) return {};
    throw error;
  }
}
