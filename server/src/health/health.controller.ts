import { EntityManager } from '@mikro-orm/core';
import { Controller, Get, Inject } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Config } from '../config';
import { CONFIG } from '../tokens';

/** Whether the server and its database are there. */
export interface Health {
  readonly status: 'ok';
  readonly demo: boolean;
}

@ApiTags('health')
@Controller('api/health')
export class HealthController {
  constructor(
    private readonly em: EntityManager,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  @Get()
  @ApiOperation({ summary: 'Answers when the database does' })
  async health(): Promise<Health> {
    await this.em.getConnection().execute('select 1');
    return { status: 'ok', demo: this.config.demo };
  }
}
