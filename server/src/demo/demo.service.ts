import { randomUUID } from 'node:crypto';
import { MikroORM } from '@mikro-orm/core';
import { Inject, Injectable, type OnApplicationBootstrap } from '@nestjs/common';
import { Clock } from '../clock';
import type { Config } from '../config';
import { BraiseEntity, CookerEntity, SettingsEntity } from '../database/entities';
import { CONFIG } from '../tokens';
import { DEMO_COOKERS, DEMO_SETTINGS, demoPlans } from './demo-kitchen';

/** Fills the demo kitchen, when it is empty or when asked to put it back. */
@Injectable()
export class DemoService implements OnApplicationBootstrap {
  constructor(
    private readonly orm: MikroORM,
    private readonly clock: Clock,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  async onApplicationBootstrap(): Promise<void> {
    if (!this.config.demo) return;
    if ((await this.orm.em.fork().count(CookerEntity)) === 0) await this.putBack();
  }

  /** Everything as it came, in one transaction: all or nothing. */
  async putBack(): Promise<void> {
    const now = this.clock.now();
    await this.orm.em.fork().transactional(async (em) => {
      await em.nativeDelete(BraiseEntity, {});
      await em.nativeDelete(CookerEntity, {});
      await em.nativeDelete(SettingsEntity, {});
      em.create(SettingsEntity, { id: 1, settings: DEMO_SETTINGS });
      DEMO_COOKERS.forEach((cooker, i) => {
        em.create(CookerEntity, { id: randomUUID(), cooker, createdAt: new Date(Date.parse(now) + i).toISOString() });
      });
      // The first plan is the one changed last, so that it heads the list.
      demoPlans(now).forEach((plan, i) => {
        const updatedAt = new Date(Date.parse(now) - i * 60_000).toISOString();
        em.create(BraiseEntity, {
          id: randomUUID(),
          plan,
          revision: 1,
          createdAt: updatedAt,
          updatedAt,
          deletedAt: null,
        });
      });
    });
  }
}
