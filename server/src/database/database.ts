import { accessSync, constants, existsSync, mkdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { MikroORM, ReflectMetadataProvider, type Options } from '@mikro-orm/core';
import { Migrator } from '@mikro-orm/migrations';
import { StartError } from '../config';
import { BACKUPS_FOLDER, closeToOthers, DATABASE_FILE, DataFolder } from './data-folder';
import { ENTITIES } from './entities';
import { KitchenDriver } from './handle';
import { KeptRows } from './kept-rows';
import { MIGRATIONS } from './migrations';

/** MikroORM's settings for a database file. */
export function ormOptions(file: string): Options<KitchenDriver> {
  return {
    driver: KitchenDriver,
    dbName: file,
    // What only reads has a handle of its own: it never waits for a long write.
    replicas: [{ name: 'read' }],
    entities: ENTITIES,
    metadataProvider: ReflectMetadataProvider,
    extensions: [Migrator],
    subscribers: [KeptRows],
    migrations: { migrationsList: MIGRATIONS, snapshot: false, allOrNothing: true, silent: true },
    // The index of words and its shadow tables are the database's own, and no entity's.
    schemaGenerator: { skipTables: [/^log_words/] },
    forceUtcTimezone: true,
    debug: false,
  };
}

/** Makes sure the folder is there and can be written, before anything else starts. */
export function prepareFolder(folder: string): string {
  const path = resolve(folder);
  try {
    mkdirSync(path, { recursive: true, mode: 0o700 });
    accessSync(path, constants.W_OK | constants.R_OK);
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    throw new StartError(
      `The data folder ${path} cannot be written (${code ?? 'unknown'}): choose another with --data.`,
    );
  }
  return path;
}

/** A kitchen's database, open, with the folder it lies in. */
export interface OpenDatabase {
  readonly orm: MikroORM<KitchenDriver>;
  readonly folder: DataFolder;
}

/**
 * Brings an older database up to date. The database as it was is kept beside first, so that the Hervir before this one can
 * be gone back to.
 */
async function migrate(orm: MikroORM<KitchenDriver>, folder: string, isNew: boolean): Promise<void> {
  const pending = await orm.migrator.getPendingMigrations();
  if (pending.length === 0) return;
  if (!isNew) {
    const beside = join(folder, BACKUPS_FOLDER);
    mkdirSync(beside, { recursive: true, mode: 0o700 });
    const copy = join(beside, `before-${pending[0]?.name ?? 'update'}.sqlite`);
    // A start that was cut off after the copy has it already: of the same database, since nothing was changed.
    if (!existsSync(copy)) {
      await orm.em.getConnection().execute(`vacuum into '${copy.replaceAll("'", "''")}'`);
    }
  }
  await orm.migrator.up();
  closeToOthers(folder);
}

/**
 * Opens the database of a folder and brings it up to date.
 *
 * @throws StartError when the folder or the file cannot be used
 */
export async function openDatabase(folder: string): Promise<OpenDatabase> {
  const path = prepareFolder(folder);
  const file = join(path, DATABASE_FILE);
  const isNew = !existsSync(file);
  let orm: MikroORM<KitchenDriver> | undefined;
  try {
    orm = await MikroORM.init<KitchenDriver>(ormOptions(file));
    await migrate(orm, path, isNew);
    closeToOthers(path);
    return { orm, folder: new DataFolder(path) };
  } catch (error) {
    await orm?.close(true);
    throw new StartError(`The database ${file} cannot be opened: ${(error as Error).message}`);
  }
}

/** Closes the database; what is in its write-ahead log goes into its one file, where the folder is still there. */
export async function closeDatabase({ orm, folder }: OpenDatabase): Promise<void> {
  try {
    await orm.em.getDriver().stopReading();
    if (folder.isHere()) await orm.em.getConnection().execute('pragma wal_checkpoint(truncate)');
  } finally {
    await orm.close(true);
  }
}
