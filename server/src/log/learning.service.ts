import type { LearntView, Result } from '@hervir/contract';
import {
  subjectOf,
  summary,
  unknown,
  withEvidence,
  withLearnt,
  type Evidence,
  type FactorKind,
  type Observation,
  type Plan,
} from '@hervir/core';
import { EntityManager } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import { LearntEntity } from '../database/entities';
import { notFound } from '../security/faults';

/** What one cook adds to what is learnt, or takes away. */
export interface Lesson {
  readonly plan: Pick<Plan, 'cooker' | 'meat'>;
  readonly observation: Observation;
  readonly result: Result;
}

const keyOf = (kind: FactorKind, of: string): string => (of === '' ? kind : `${kind}:${of}`);

function view({ id, kind, of, weights, cooks, off, short, past }: LearntEntity): LearntView {
  return { key: id, kind, of, off, short, past, ...summary({ kind, weights, cooks }) };
}

/** What the log has taught: added to cook by cook, looked into, switched off, forgotten. */
@Injectable()
export class LearningService {
  private known: Promise<LearntView[]> | null = null;

  constructor(private readonly em: EntityManager) {}

  /** Everything learnt: read once, and again when something new was. */
  list(): Promise<LearntView[]> {
    this.known ??= this.em
      .fork()
      .find(LearntEntity, { cooks: { $gt: 0 } }, { orderBy: { id: 'asc' } })
      .then((found) => found.map(view));
    return this.known;
  }

  /** What gives a plan what was learnt of its cooker and its cut. */
  async taught(): Promise<(plan: Plan) => Plan> {
    const rows = await this.list();
    return (plan) => withLearnt(plan, { rows });
  }

  /** A plan with what was learnt of its cooker and its cut. */
  async apply(plan: Plan): Promise<Plan> {
    return (await this.taught())(plan);
  }

  /** Something is read anew: after a restore, or a demo put back. */
  forgetCache(): void {
    this.known = null;
  }

  /**
   * Adds what a cook teaches, or takes it away again, inside a transaction. Old cooks are not read: what they said is in
   * the weights.
   *
   * @param em of the transaction
   */
  async learn(em: EntityManager, { plan, observation, result }: Lesson, sign: 1 | -1): Promise<void> {
    for (const [kind, evidence] of Object.entries(observation) as [FactorKind, Evidence][]) {
      const of = subjectOf(kind, plan);
      const id = keyOf(kind, of);
      const row =
        (await em.findOne(LearntEntity, { id })) ??
        em.create(LearntEntity, {
          id,
          kind,
          of,
          weights: unknown(kind).weights,
          cooks: 0,
          short: 0,
          past: 0,
          off: false,
        });
      const { weights, cooks } = withEvidence({ kind, weights: row.weights, cooks: row.cooks }, evidence, sign);
      Object.assign(row, { weights: [...weights], cooks });
      if (kind !== 'toughness') continue;
      row.short = Math.max(0, row.short + (result === 'short' ? sign : 0));
      row.past = Math.max(0, row.past + (result === 'past' ? sign : 0));
    }
    await em.flush();
    this.known = null;
  }

  async switch(key: string, off: boolean): Promise<LearntView> {
    const found = await this.em.fork().transactional(async (em) => {
      const row = await em.findOne(LearntEntity, { id: key });
      if (!row) throw notFound('thing learnt', key);
      row.off = off;
      return view(row);
    });
    this.known = null;
    return found;
  }

  /** Forgets one thing: it begins again at the table. Cooks that come count anew. */
  async reset(key: string): Promise<LearntView> {
    const found = await this.em.fork().transactional(async (em) => {
      const row = await em.findOne(LearntEntity, { id: key });
      if (!row) throw notFound('thing learnt', key);
      const before = view(row);
      em.remove(row);
      return before;
    });
    this.known = null;
    return found;
  }
}
