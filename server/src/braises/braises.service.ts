import { nameOf } from '../language/plan-name';
import { inWords } from '../language/speech';
import type { Plan } from '@hervir/core';
import { parsePlan, type BraiseRecord, type BraiseSummary, type Fault } from '@hervir/contract';
import { EntityManager } from '@mikro-orm/core';
import { ConflictException, Injectable, UnprocessableEntityException } from '@nestjs/common';
import { Clock } from '../clock';
import { BraiseEntity } from '../database/entities';
import { Writes } from '../database/writes';
import { conflict, notFound } from '../security/faults';
import { say } from '@hervir/language';

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

/** Somebody has put the plan away: what is saved into it would be seen by nobody. */
function putAway(current: BraiseRecord): ConflictException {
  const allowed = say('braises.service.the-plan-brought-back-first');
  return new ConflictException({
    faults: [{ path: 'id', problem: say('braises.service.was-put-away'), allowed }],
    current,
  });
}

/** @throws UnprocessableEntityException: a plan of a newer or an older Hervir, or of a disk that failed */
function unreadable(faults: readonly Fault[]): never {
  throw new UnprocessableEntityException({ faults: faults.map((one) => ({ ...one, path: `plan.${one.path}` })) });
}

/** A line of the list also for a plan that this Hervir cannot read: it can be put away, or taken out with a backup. */
function summaryOr(entity: BraiseEntity): BraiseSummary {
  try {
    return summary(entity);
  } catch {
    const { name, meat } = (entity.plan ?? {}) as Partial<Plan>;
    return {
      id: entity.id,
      name: typeof name === 'string' && name !== '' ? name : inWords(say('braises.service.a-plan-that-cannot-be')),
      cut: String(meat?.cut ?? ''),
      form: 'whole',
      grams: 0,
      cookerName: '',
      serveAt: null,
      revision: entity.revision,
      updatedAt: entity.updatedAt,
      unreadable: true,
    };
  }
}

function record(entity: BraiseEntity): BraiseRecord {
  // What was stored by an older version gets the defaults that have come since.
  const read = parsePlan(entity.plan);
  return {
    id: entity.id,
    plan: read.ok ? read.value : unreadable(read.faults),
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
    const rows = await this.em
      .fork()
      .find(BraiseEntity, { deletedAt: null }, { orderBy: { updatedAt: 'desc' }, limit: 500 });
    return rows.map(summaryOr);
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
      if (entity.deletedAt !== null) throw putAway(record(entity));
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
      const read = parsePlan(entity.plan);
      // One that cannot be read can be put away all the same.
      const { plan, revision, createdAt, updatedAt, deletedAt } = entity;
      return read.ok ? record(entity) : { id, plan, revision, createdAt, updatedAt, deletedAt };
    });
  }

  private async find(em: EntityManager, id: string): Promise<BraiseEntity> {
    const entity = await em.findOne(BraiseEntity, { id });
    if (!entity) throw notFound('plan', id);
    return entity;
  }
}
