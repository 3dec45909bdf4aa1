import { cutById, cutTitle, upperFirst, type Plan } from '@hervir/core';
import { parsePlan, type BraiseRecord, type BraiseSummary } from '@hervir/contract';
import { EntityManager } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import { Clock } from '../clock';
import { BraiseEntity } from '../database/entities';
import { Writes } from '../database/writes';
import { conflict, notFound } from '../security/faults';

/** What a plan is called, in lists and in its cook; without a name, by its meat. */
export function nameOf(plan: Plan): string {
  if (plan.name !== '') return plan.name;
  return upperFirst(cutTitle(cutById(plan.meat.cut)));
}

function summary(entity: BraiseEntity): BraiseSummary {
  const { plan } = entity;
  return {
    id: entity.id,
    name: nameOf(plan),
    cut: plan.meat.cut,
    form: plan.meat.form,
    grams: plan.meat.grams,
    cookerName: plan.cooker.name,
    serveAt: plan.serveAt,
    revision: entity.revision,
    updatedAt: entity.updatedAt,
  };
}

function record(entity: BraiseEntity): BraiseRecord {
  // What was stored by an older version gets the defaults that have come since.
  const read = parsePlan(entity.plan);
  return {
    id: entity.id,
    plan: read.ok ? read.value : entity.plan,
    revision: entity.revision,
    createdAt: entity.createdAt,
    updatedAt: entity.updatedAt,
    deletedAt: entity.deletedAt,
  };
}

/** Plans: kept, listed, changed, put away and brought back. */
@Injectable()
export class BraisesService {
  constructor(
    private readonly em: EntityManager,
    private readonly clock: Clock,
    private readonly writes: Writes,
  ) {}

  async list(): Promise<BraiseSummary[]> {
    const found = await this.em
      .fork()
      .find(BraiseEntity, { deletedAt: null }, { orderBy: { updatedAt: 'desc' }, limit: 500 });
    return found.map(summary);
  }

  async open(id: string): Promise<BraiseRecord> {
    return record(await this.find(this.em.fork(), id));
  }

  /** A repeated send with the same id changes nothing and answers with what is there. */
  async create(id: string, plan: Plan): Promise<BraiseRecord> {
    return this.writes.run(async (em) => {
      const there = await em.findOne(BraiseEntity, { id });
      if (there) return record(there);
      const now = this.clock.now();
      return record(
        em.create(BraiseEntity, { id, plan, revision: 1, createdAt: now, updatedAt: now, deletedAt: null }),
      );
    });
  }

  async save(id: string, revision: number, plan: Plan): Promise<BraiseRecord> {
    return this.writes.run(async (em) => {
      const entity = await this.find(em, id);
      if (entity.revision !== revision) throw conflict(entity.revision, record(entity));
      entity.plan = plan;
      entity.revision += 1;
      entity.updatedAt = this.clock.now();
      return record(entity);
    });
  }

  async setDeleted(id: string, deleted: boolean): Promise<BraiseRecord> {
    return this.writes.run(async (em) => {
      const entity = await this.find(em, id);
      entity.deletedAt = deleted ? this.clock.now() : null;
      return record(entity);
    });
  }

  private async find(em: EntityManager, id: string): Promise<BraiseEntity> {
    const entity = await em.findOne(BraiseEntity, { id });
    if (!entity) throw notFound('plan', id);
    return entity;
  }
}
