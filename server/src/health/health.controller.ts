import { stat } from 'node:fs/promises';
import type { Health } from '@hervir/contract';
import { EntityManager } from '@mikro-orm/core';
import { Controller, Get, HttpStatus, Inject, Res } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { BackupService } from '../backup/backup.service';
import { Loops } from '../background/loops';
import type { Config } from '../config';
import { DataFolder } from '../database/data-folder';
import { MIGRATIONS } from '../database/migrations';
import { CONFIG } from '../tokens';
import { VERSION } from '../version';

@ApiTags('health')
@Controller('api/health')
export class HealthController {
  constructor(
    private readonly em: EntityManager,
    private readonly folder: DataFolder,
    private readonly backup: BackupService,
    private readonly loops: Loops,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  @Get()
  @ApiOperation({ summary: 'Answers when the database does; 503 where the data folder is not there any more' })
  async health(@Res({ passthrough: true }) response: Response): Promise<Health> {
    await this.em.getConnection('read').execute('select 1');
    const isHere = this.folder.isHere();
    if (!isHere) response.status(HttpStatus.SERVICE_UNAVAILABLE);
    const [last] = isHere ? this.backup.kept() : [];
    return {
      status: isHere ? 'ok' : 'folder-gone',
      demo: this.config.demo,
      version: VERSION,
      database: {
        migration: MIGRATIONS.at(-1)?.name ?? '',
        bytes: isHere ? (await stat(this.folder.database)).size : null,
      },
      lastBackup: last ?? null,
      trouble: this.loops.trouble().map(({ loop, problem }) => ({ loop, problem: problem ?? '' })),
    };
  }
}
