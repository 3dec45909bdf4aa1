import { randomUUID } from 'node:crypto';
import { cookState, forecast, guideOf } from '@hervir/core';
import { MikroORM, type EntityManager } from '@mikro-orm/core';
import { Inject, Injectable, type OnApplicationBootstrap } from '@nestjs/common';
import { Clock } from '../clock';
import type { Config } from '../config';
import { CooksStream } from '../cook-events/cooks.stream';
import {
  BraiseEntity,
  CookEntity,
  CookEventEntity,
  CookerEntity,
  KeptDishEntity,
  LearntEntity,
  LogEntryEntity,
  RehearsalActEntity,
  RehearsalEntity,
  SettingsEntity,
} from '../database/entities';
import { columnsOf, entryOf, firstGrade } from '../log/entry';
import { LearningService } from '../log/learning.service';
import { LogService } from '../log/log.service';
import { Writes } from '../database/writes';
import { CONFIG } from '../tokens';
import { DEMO_COOKERS, DEMO_SETTINGS, demoKept, demoPlans } from './demo-kitchen';
import { demoSeason, type SeasonCook } from './demo-season';

/** Fills the demo kitchen, when it is empty or when asked to put it back. */
@Injectable()
export class DemoService implements OnApplicationBootstrap {
  constructor(
    private readonly orm: MikroORM,
    private readonly clock: Clock,
    private readonly log: LogService,
    private readonly learning: LearningService,
    private readonly writes: Writes,
    private readonly stream: CooksStream,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  async onApplicationBootstrap(): Promise<void> {
    if (!this.config.demo) return;
    if ((await this.orm.em.fork().count(CookerEntity)) === 0) await this.putBack();
  }

  /** Everything as it came, in one transaction: all or nothing. */
  async putBack(): Promise<void> {
    const now = this.clock.now();
    await this.writes.run(async (em) => {
      await em.nativeDelete(CookEventEntity, {});
      await em.nativeDelete(CookEntity, {});
      await em.nativeDelete(BraiseEntity, {});
      await em.nativeDelete(CookerEntity, {});
      await em.nativeDelete(SettingsEntity, {});
      await em.nativeDelete(KeptDishEntity, {});
      em.create(KeptDishEntity, { id: randomUUID(), kept: demoKept(now), gone: null });
      em.create(SettingsEntity, { id: 1, settings: DEMO_SETTINGS });
      DEMO_COOKERS.forEach((cooker, i) => {
        em.create(CookerEntity, { id: randomUUID(), cooker, createdAt: new Date(Date.parse(now) + i).toISOString() });
      });
      await em.nativeDelete(RehearsalActEntity, {});
      await em.nativeDelete(RehearsalEntity, {});
      await em.nativeDelete(LogEntryEntity, {});
      await em.nativeDelete(LearntEntity, {});
      for (const cook of demoSeason()) await this.lay(em, cook);
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
    this.log.forgetCache();
    this.stream.replaced.next();
    this.stream.changed('');
  }

  /** A cook of the season: as if it had been cooked here. */
  private async lay(em: EntityManager, { id, name, plan, events, observation, inTime }: SeasonCook): Promise<void> {
    const f = forecast(plan);
    const guide = guideOf(f);
    const finishedAt = events.at(-1)?.at ?? '';
    const startedAt = events[0]?.at ?? '';
    const cook = em.create(CookEntity, {
      id,
      braiseId: null,
      name,
      plan,
      guide,
      units: 'metric',
      startedAt,
      finishedAt,
      link: null,
    });
    for (const event of events) {
      em.create(CookEventEntity, { ...event, cookId: id, receivedAt: event.at } as CookEventEntity);
    }
    const state = cookState(guide, events, Date.parse(finishedAt));
    const entry = entryOf(cook, { forecast: f, inTime }, state, firstGrade(events));
    const row = em.create(LogEntryEntity, { ...columnsOf(entry, plan, observation), photo: false });
    await this.learning.learn(em, row, 1);
  }
}
