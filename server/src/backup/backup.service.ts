import { existsSync, mkdirSync, renameSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { BACKUP_TABLES, type BackupPreview, type KeptBackup } from '@hervir/contract';
import { EntityManager } from '@mikro-orm/core';
import { BadRequestException, Injectable, type OnModuleInit } from '@nestjs/common';
import { Loops } from '../background/loops';
import { Clock } from '../clock';
import { CooksStream } from '../cook-events/cooks.stream';
import { DataFolder } from '../database/data-folder';
import { Writes } from '../database/writes';
import { LogService } from '../log/log.service';
import { PhotosService } from '../log/photos.service';
import { notFound } from '../security/faults';
import { Workers } from '../workers/workers';
import type { MadeBackup } from './make-backup';
import { PassingFiles } from '../files/passing-files';
import type { CheckedBackup } from './put-backup';

/** The largest backup that is taken in, bytes. */
const MOST_BYTES = 8_000_000_000;
const DAY_MS = 86_400_000;
/** Whether a daily backup is due is looked at so often, ms. */
const LOOK_EVERY = 10 * 60_000;
/** The first look, ms: not while everything starts. */
const FIRST_LOOK = 20_000;
/** A daily backup is kept for a fortnight. */
const KEEP_DAYS = 14;
/** Names of daily backups. */
const DAILY = /^hervir-(\d{4}-\d\d-\d\d)\.json$/;

/** Everything of a kitchen in one file, and back: previewed, all or nothing; and one a day by itself. */
@Injectable()
export class BackupService implements OnModuleInit {
  constructor(
    private readonly em: EntityManager,
    private readonly clock: Clock,
    private readonly stream: CooksStream,
    private readonly log: LogService,
    private readonly photos: PhotosService,
    private readonly workers: Workers,
    private readonly writes: Writes,
    private readonly folder: DataFolder,
    private readonly passing: PassingFiles,
    private readonly loops: Loops,
  ) {}

  /** A power cut may have come between a restore and its photos. */
  async onModuleInit(): Promise<void> {
    await this.photos.settle(await this.restores());
    this.loops.start('daily backup', LOOK_EVERY, () => this.makeDaily(), FIRST_LOOK);
  }

  /** How many restores this database has seen: written with each, in its own transaction. */
  private async restores(): Promise<number> {
    const rows = await this.rows('pragma user_version');
    return Number(rows[0]?.['user_version'] ?? 0);
  }

  private async rows(sql: string): Promise<Record<string, unknown>[]> {
    const rows: unknown = await this.em.fork().getConnection('read').execute(sql, [], 'all');
    return rows as Record<string, unknown>[];
  }

  /**
   * Makes a backup of everything, and reads it back.
   *
   * @returns its file, to be dropped by who has it
   */
  async make(): Promise<MadeBackup & { readonly path: string }> {
    await this.log.settled();
    const to = this.passing.name('.json');
    const { database, photos } = this.folder;
    const made = await this.workers.runLong('makeBackup', { database, photos, to, made: this.clock.now() });
    return { ...made, path: to };
  }

  /** One a day, where none was made today; those of more than a fortnight go. */
  async makeDaily(): Promise<void> {
    const today = this.clock.now().slice(0, 10);
    const name = `hervir-${today}.json`;
    mkdirSync(this.folder.backups, { recursive: true, mode: 0o700 });
    if (existsSync(join(this.folder.backups, name))) return;
    const { path } = await this.make();
    // Whole or not at all: it has its name when it has been read back.
    renameSync(path, join(this.folder.backups, name));
    const oldest = new Date(this.clock.nowMs() - KEEP_DAYS * DAY_MS).toISOString().slice(0, 10);
    for (const kept of PassingFiles.names(this.folder.backups)) {
      const day = DAILY.exec(kept)?.[1];
      if (day !== undefined && day < oldest) this.passing.drop(join(this.folder.backups, kept));
    }
  }

  /** Daily backups that are kept, the newest first. */
  kept(): KeptBackup[] {
    return PassingFiles.names(this.folder.backups)
      .filter((name) => DAILY.test(name))
      .reverse()
      .map((name) => {
        const { size, mtime } = statSync(join(this.folder.backups, name));
        return { name, bytes: size, made: mtime.toISOString() };
      });
  }

  /** The file of a daily backup. */
  keptFile(name: string): string {
    const path = join(this.folder.backups, name);
    if (!DAILY.test(name) || !existsSync(path)) throw notFound('kept backup', name);
    return path;
  }

  /** Takes a backup in and does something with its file. */
  async taken<T>(source: Readable, work: (file: string) => Promise<T>): Promise<T> {
    const file = await this.passing.takeIn(source, MOST_BYTES, '.json');
    try {
      return await work(file);
    } finally {
      this.passing.drop(file);
    }
  }

  /** What a backup holds, and what is here now. Nothing is changed. */
  async preview(file: string): Promise<BackupPreview> {
    return this.compare(await this.checked(file, null));
  }

  private async checked(
    file: string,
    photos: string | null,
    staging = this.passing.name('.sqlite'),
  ): Promise<CheckedBackup> {
    const { database } = this.folder;
    const checked = await this.workers.runLong('checkBackup', { file, database, staging, photos });
    if (checked.faults.length > 0) throw new BadRequestException({ faults: checked.faults });
    return checked;
  }

  private async compare({ holds, photos, unreadable }: CheckedBackup): Promise<BackupPreview> {
    const here: Record<string, number> = {};
    for (const table of BACKUP_TABLES) {
      const [row] = await this.rows(`select count(*) as n from \`${table}\``);
      here[table] = Number(row?.['n'] ?? 0);
    }
    return { holds, here, photos, unreadable };
  }

  /** Puts a backup back in place of everything that is here: in one transaction, all or nothing. */
  async restore(file: string): Promise<BackupPreview> {
    const restore = (await this.restores()) + 1;
    const staging = this.passing.name('.sqlite');
    const checked = await this.checked(file, this.passing.photosOf(restore), staging);
    const before = await this.compare(checked);
    const { database } = this.folder;
    await this.writes.alone(async () => {
      try {
        await this.workers.runLong('putBackup', { staging, database, restore });
      } finally {
        // Where it was kept, its photos take their place; where it was not, they go.
        await this.photos.settle(await this.restores());
      }
    });
    this.log.forgetCache();
    this.stream.replaced.next();
    this.stream.changed('');
    return before;
  }
}
