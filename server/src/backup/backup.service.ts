import {
  BACKUP_FORMAT,
  BACKUP_TABLES,
  BACKUP_VERSION,
  readBackup,
  type Backup,
  type BackupPreview,
  type BackupTable,
} from '@hervir/contract';
import { EntityManager, JsonType } from '@mikro-orm/core';
import { BadRequestException, Injectable, type OnModuleInit } from '@nestjs/common';
import { Clock } from '../clock';
import { CooksStream } from '../cooks/cooks.stream';
import { LogService } from '../log/log.service';
import { diskFault } from '../security/faults';
import { PhotosService } from '../log/photos.service';

/** More say no more. */
const MOST_FAULTS = 50;

type Row = Record<string, unknown>;

/** Everything of a kitchen in one file, and back: previewed, all or nothing. */
@Injectable()
export class BackupService implements OnModuleInit {
  constructor(
    private readonly em: EntityManager,
    private readonly clock: Clock,
    private readonly stream: CooksStream,
    private readonly log: LogService,
    private readonly photos: PhotosService,
  ) {}

  /** A power cut may have come between a restore and its photos. */
  async onModuleInit(): Promise<void> {
    await this.photos.settle(await this.restores());
  }

  /** How many restores this database has seen: written with each, in its own transaction. */
  private async restores(): Promise<number> {
    const [row] = await this.rows('pragma user_version');
    return Number(row?.['user_version'] ?? 0);
  }

  /** Columns that hold JSON: they are written as JSON, so that a file can be read. */
  private json(table: BackupTable): readonly string[] {
    const { props = [] } =
      Object.values(this.em.getMetadata().getAll()).find(({ tableName }) => tableName === table) ?? {};
    return props.filter(({ customType }) => customType instanceof JsonType).flatMap(({ fieldNames }) => fieldNames);
  }

  private async rows(sql: string): Promise<Row[]> {
    const found: unknown = await this.em.fork().getConnection().execute(sql, [], 'all');
    return found as Row[];
  }

  /** The whole kitchen. */
  async make(): Promise<object> {
    await this.log.settled();
    const tables: Record<string, Row[]> = {};
    for (const table of BACKUP_TABLES) {
      const json = this.json(table);
      const rows = await this.rows(`select * from \`${table}\` order by 1`);
      tables[table] = rows.map((row) => ({
        ...row,
        ...Object.fromEntries(
          json.map((key) => [key, row[key] === null ? null : (JSON.parse(row[key] as string) as unknown)]),
        ),
      }));
    }
    return {
      format: BACKUP_FORMAT,
      version: BACKUP_VERSION,
      made: this.clock.now(),
      tables,
      photos: await this.photos.all(),
    };
  }

  /** What a backup holds, and what is here now. Nothing is changed. */
  async preview(input: unknown): Promise<BackupPreview> {
    return this.compare(this.read(input));
  }

  private async compare(backup: Backup): Promise<BackupPreview> {
    const here: Record<string, number> = {};
    for (const table of BACKUP_TABLES) {
      const [row] = await this.rows(`select count(*) as n from \`${table}\``);
      here[table] = Number(row?.['n'] ?? 0);
    }
    const holds = Object.fromEntries(BACKUP_TABLES.map((table) => [table, backup.tables[table].length]));
    return { holds, here, photos: Object.keys(backup.photos).length };
  }

  /** Puts a backup back in place of everything that is here: in one transaction, all or nothing. */
  async restore(input: unknown): Promise<BackupPreview> {
    const backup = this.read(input);
    const before = await this.compare(backup);
    const known = new Map<string, Set<unknown>>();
    for (const table of BACKUP_TABLES) {
      known.set(table, new Set((await this.rows(`pragma table_info(\`${table}\`)`)).map(({ name }) => name)));
    }
    const restore = (await this.restores()) + 1;
    await this.photos.layOut(backup.photos, restore);
    try {
      await this.em.fork().transactional(async (em) => {
        const run = (sql: string, values: unknown[] = []): Promise<unknown> =>
          em.getConnection().execute(sql, values, 'run', em.getTransactionContext());
        for (const table of [...BACKUP_TABLES].reverse()) await run(`delete from \`${table}\``);
        for (const table of BACKUP_TABLES) {
          const json = this.json(table);
          for (const row of backup.tables[table]) {
            const kept = Object.entries(row).filter(([key]) => known.get(table)?.has(key) === true);
            const names = kept.map(([key]) => `\`${key}\``).join(', ');
            const values = kept.map(([key, value]) =>
              json.includes(key) && value !== null ? JSON.stringify(value) : value,
            );
            await run(`insert into \`${table}\` (${names}) values (${kept.map(() => '?').join(', ')})`, values);
          }
        }
        await run(`pragma user_version = ${restore}`);
      });
    } catch (error) {
      await this.photos.settle(restore - 1);
      if (diskFault(error)) throw error;
      const problem = error instanceof Error ? error.message.slice(0, 200) : 'cannot be put back';
      throw new BadRequestException({
        faults: [{ path: 'tables', problem, allowed: 'a backup of Hervir; nothing was changed' }],
      });
    }
    await this.photos.settle(restore);
    this.log.forgetCache();
    this.stream.changed('');
    return before;
  }

  /** @throws BadRequestException with the first faults, by table and row */
  private read(input: unknown): Backup {
    const read = readBackup(input);
    if (read.ok) return read.value;
    throw new BadRequestException({ faults: read.faults.slice(0, MOST_FAULTS) });
  }
}
