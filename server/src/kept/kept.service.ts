import type { KeepRequest, StoredKept } from '@hervir/contract';
import type { Kept } from '@hervir/core';
import { EntityManager } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import { KeptDishEntity } from '../database/entities';
import { present, readable } from '../database/readable';
import { Writes } from '../database/writes';
import { notFound } from '../security/faults';

const stored = ({ id, kept }: KeptDishEntity): StoredKept => ({ id, kept });

/** What is left of meals and kept in the fridge and the freezer. */
@Injectable()
export class KeptService {
  constructor(
    private readonly em: EntityManager,
    private readonly writes: Writes,
  ) {}

  /** What is still there. */
  async list(): Promise<StoredKept[]> {
    const rows = await this.em.fork().find(KeptDishEntity, { gone: null }, { orderBy: { id: 'asc' } });
    return readable(rows, (entity) => ({ ...stored(entity), kept: present(entity.kept, 'kept') }));
  }

  /** Keeps something; sent again it is the same one. */
  async keep({ id, kept }: KeepRequest): Promise<StoredKept> {
    return this.writes.run(async (em) => {
      const there = await em.findOne(KeptDishEntity, { id });
      return stored(there ?? em.create(KeptDishEntity, { id, kept, gone: kept.gone }));
    });
  }

  async save(id: string, kept: Kept): Promise<StoredKept> {
    return this.writes.run(async (em) => {
      const entity = await em.findOne(KeptDishEntity, { id });
      if (!entity) throw notFound('kept dish', id);
      entity.kept = kept;
      entity.gone = kept.gone;
      return stored(entity);
    });
  }
}
