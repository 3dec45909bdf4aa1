import type { LearntView } from '@hervir/contract';
import { summary, withCalibration, type Plan } from '@hervir/core';
import { EntityManager } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import { LearntEntity } from '../database/entities';
import { readable } from '../database/readable';
import { Writes } from '../database/writes';
import { notFound } from '../security/faults';
import { partsOf, resultLearnt, teach, untaught, type Lesson } from './lesson';

function view({ id, kind, of, weights, cooks, off, short, past }: LearntEntity): LearntView {
  return { key: id, kind, of, off, short, past, ...summary({ kind, weights, cooks }) };
}

/** What the log has taught: added to cook by cook, looked into, switched off, forgotten. */
@Injectable()
export class LearningService {
  private known: Promise<LearntView[]> | null = null;

  constructor(
    private readonly em: EntityManager,
    private readonly writes: Writes,
  ) {}

  /** Everything learnt: read once, and again when something new was. */
  list(): Promise<LearntView[]> {
    const asked = (this.known ??= this.em
      .fork()
      .find(LearntEntity, { cooks: { $gt: 0 } }, { orderBy: { id: 'asc' } })
      .then((found) => readable(found, view)));
    // What could not be read is read again.
    asked.catch(() => this.known === asked && this.forgetCache());
    return asked;
  }

  /** What gives a plan what was learnt of its cooker and its cut. */
  async taught(): Promise<(plan: Plan) => Plan> {
    const rows = await this.list();
    return (plan) => withCalibration(plan, { rows });
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
   * Adds what a cook teaches, or takes it away again, inside a transaction.
   *
   * @param em of the transaction
   */
  async learn(em: EntityManager, lesson: Lesson, sign: 1 | -1): Promise<void> {
    for (const { evidence, ...part } of partsOf(lesson)) {
      const row = (await em.findOne(LearntEntity, { id: part.id })) ?? em.create(LearntEntity, untaught(part));
      teach(row, evidence, resultLearnt(lesson), sign);
    }
    this.known = null;
  }

  async switch(key: string, off: boolean): Promise<LearntView> {
    const known = await this.writes.run(async (em) => {
      const row = await em.findOne(LearntEntity, { id: key });
      if (!row) throw notFound('thing learnt', key);
      row.off = off;
      return view(row);
    });
    this.known = null;
    return known;
  }

  /** Forgets one thing: it begins again at the table. Cooks that come count anew. */
  async reset(key: string): Promise<LearntView> {
    const known = await this.writes.run(async (em) => {
      const row = await em.findOne(LearntEntity, { id: key });
      if (!row) throw notFound('thing learnt', key);
      const before = view(row);
      em.remove(row);
      return before;
    });
    this.known = null;
    return known;
  }
}
