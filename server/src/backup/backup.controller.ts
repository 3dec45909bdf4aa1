import { resolve } from 'node:path';
import type { BackupPreview } from '@hervir/contract';
import { Body, Controller, Get, Header, HttpCode, Inject, Post } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Config } from '../config';
import { CONFIG } from '../tokens';
import { BackupService } from './backup.service';

@ApiTags('backup')
@Controller('api/backup')
export class BackupController {
  constructor(
    private readonly backup: BackupService,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  @Get('where')
  @ApiOperation({ summary: 'The folder that everything is kept in' })
  where(): { folder: string } {
    return { folder: resolve(this.config.dataFolder) };
  }

  @Get()
  @Header('content-disposition', 'attachment; filename="hervir-backup.json"')
  @ApiOperation({ summary: 'The whole kitchen as one file' })
  make(): Promise<object> {
    return this.backup.make();
  }

  @Post('preview')
  @HttpCode(200)
  @ApiOperation({ summary: 'What a backup holds, and what is here now; nothing is changed' })
  preview(@Body() body: unknown): Promise<BackupPreview> {
    return this.backup.preview(body);
  }

  @Post('restore')
  @HttpCode(200)
  @ApiOperation({ summary: 'Put a backup in place of everything that is here, all or nothing' })
  restore(@Body() body: unknown): Promise<BackupPreview> {
    return this.backup.restore(body);
  }
}
