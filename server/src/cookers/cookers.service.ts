import { randomUUID } from 'node:crypto';
import type { StoredCooker } from '@hervir/contract';
import type { Cooker } from '@hervir/core';
import { EntityManager } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import { Clock } from '../clock';
import { CookerEntity } from '../database/entities';
import { present, readable } from '../database/readable';
import { Writes } from '../database/writes';
import { notFound } from '../security/faults';

function stored({ id, cooker, createdAt }: CookerEntity): StoredCooker {
  return { id, cooker, createdAt };
}

/** The pots of the kitchen. Plans carry a copy of their cooker, so changing one here changes no plan already made. */
@Injectable()
export class CookersService {
  constructor(
    private readonly em: EntityManager,
    private readonly clock: Clock,
    private readonly writes: Writes,
  ) {}

  async list(): Promise<StoredCooker[]> {
    const rows = await this.em.fork().find(CookerEntity, {}, { orderBy: { createdAt: 'asc', id: 'asc' } });
    return readable(rows, (entity) => ({ ...stored(entity), cooker: present(entity.cooker, 'cooker') }));
  }

  async create(cooker: Cooker): Promise<StoredCooker> {
    const createdAt = this.clock.now();
    return this.writes.run((em) =>
      Promise.resolve(stored(em.create(CookerEntity, { id: randomUUID(), cooker, createdAt }))),
    );
  }

  async save(id: string, cooker: Cooker): Promise<StoredCooker> {
    return this.writes.run(async (em) => {
      const entity = await em.findOne(CookerEntity, { id });
      if (!entity) throw notFound('cooker', id);
      entity.cooker = cooker;
      return stored(entity);
    });
  }

  async remove(id: string): Promise<StoredCooker> {
    return this.writes.run(async (em) => {
      const entity = await em.findOne(CookerEntity, { id });
      if (!entity) throw notFound('cooker', id);
      em.remove(entity);
      return stored(entity);
    });
  }
}
