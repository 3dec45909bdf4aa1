import { createReadStream } from 'node:fs';
import { stat } from 'node:fs/promises';
import type { BackupPreview, KeptBackup } from '@hervir/contract';
import { Controller, Get, HttpCode, Param, Post, Req, Res, StreamableFile } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { DataFolder } from '../database/data-folder';
import { onThisMachineOnly } from '../lan/door';
import { BackupService } from './backup.service';
import { PassingFiles } from '../files/passing-files';

@ApiTags('backup')
@Controller('api/backup')
export class BackupController {
  constructor(
    private readonly backup: BackupService,
    private readonly folder: DataFolder,
    private readonly passing: PassingFiles,
  ) {}

  @Get('where')
  @ApiOperation({ summary: 'The folder that everything is kept in' })
  where(@Req() request: Request): { folder: string } {
    onThisMachineOnly(request);
    return { folder: this.folder.path };
  }

  @Get()
  @ApiOperation({ summary: 'The whole kitchen as one file' })
  async make(@Req() request: Request, @Res({ passthrough: true }) response: Response): Promise<StreamableFile> {
    onThisMachineOnly(request);
    const { path, bytes, unreadable } = await this.backup.make();
    const stream = createReadStream(path);
    stream.once('close', () => this.passing.drop(path));
    // A page that is closed before it has everything.
    response.once('close', () => stream.destroy());
    response.setHeader('x-hervir-unreadable-rows', String(unreadable));
    const disposition = 'attachment; filename="hervir-backup.json"';
    return new StreamableFile(stream, { type: 'application/json; charset=utf-8', disposition, length: bytes });
  }

  @Get('kept')
  @ApiOperation({ summary: 'Backups that were made by themselves, the newest first' })
  kept(@Req() request: Request): KeptBackup[] {
    onThisMachineOnly(request);
    return this.backup.kept();
  }

  @Get('kept/:name')
  @ApiOperation({ summary: 'One of them as a file' })
  async keptFile(@Req() request: Request, @Param('name') name: string): Promise<StreamableFile> {
    onThisMachineOnly(request);
    const path = this.backup.keptFile(name);
    const disposition = `attachment; filename="${name}"`;
    const { size } = await stat(path);
    return new StreamableFile(createReadStream(path), { type: 'application/json', disposition, length: size });
  }

  @Post('kept/:name/preview')
  @HttpCode(200)
  @ApiOperation({ summary: 'What one of them holds, and what is here now; nothing is changed' })
  previewKept(@Req() request: Request, @Param('name') name: string): Promise<BackupPreview> {
    onThisMachineOnly(request);
    return this.backup.preview(this.backup.keptFile(name));
  }

  @Post('kept/:name/restore')
  @HttpCode(200)
  @ApiOperation({ summary: 'Put one of them in place of everything that is here, all or nothing' })
  restoreKept(@Req() request: Request, @Param('name') name: string): Promise<BackupPreview> {
    onThisMachineOnly(request);
    return this.backup.restore(this.backup.keptFile(name));
  }

  @Post('preview')
  @HttpCode(200)
  @ApiOperation({ summary: 'What a backup holds, and what is here now; nothing is changed' })
  preview(@Req() request: Request): Promise<BackupPreview> {
    onThisMachineOnly(request);
    return this.backup.taken(request, (file) => this.backup.preview(file));
  }

  @Post('restore')
  @HttpCode(200)
  @ApiOperation({ summary: 'Put a backup in place of everything that is here, all or nothing' })
  restore(@Req() request: Request): Promise<BackupPreview> {
    onThisMachineOnly(request);
    return this.backup.taken(request, (file) => this.backup.restore(file));
  }
}
