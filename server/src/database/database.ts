import { accessSync, constants, mkdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { MikroORM, ReflectMetadataProvider, type Options } from '@mikro-orm/core';
import { LibSqlDriver } from '@mikro-orm/libsql';
import { Migrator } from '@mikro-orm/migrations';
import { StartError } from '../config';
import { ENTITIES } from './entities';
import { MIGRATIONS } from './migrations';

export const DATABASE_FILE = 'hervir.sqlite';

/** MikroORM's settings for a database file. */
export function ormOptions(file: string): Options {
  return {
    driver: LibSqlDriver,
    dbName: file,
    entities: ENTITIES,
    metadataProvider: ReflectMetadataProvider,
    extensions: [Migrator],
    migrations: { migrationsList: MIGRATIONS, snapshot: false, allOrNothing: true, silent: true },
    forceUtcTimezone: true,
    debug: false,
  };
}

/** Makes sure the folder is there and can be written, before anything else starts. */
export function prepareFolder(folder: string): string {
  const path = resolve(folder);
  try {
    mkdirSync(path, { recursive: true });
    accessSync(path, constants.W_OK | constants.R_OK);
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    throw new StartError(
      `The data folder ${path} cannot be written (${code ?? 'unknown'}): choose another with --data.`,
    );
  }
  return path;
}

/**
 * Opens the database of a folder, in WAL mode and synced on every commit, and brings it up to date.
 *
 * @throws StartError when the folder or the file cannot be used
 */
export async function openDatabase(folder: string): Promise<MikroORM> {
  const file = join(prepareFolder(folder), DATABASE_FILE);
  try {
    const orm = await MikroORM.init(ormOptions(file));
    const connection = orm.em.getConnection();
    // A commit is on the disk before it is acknowledged: a cook's data survives a kill and a power cut.
    await connection.execute('pragma journal_mode = wal');
    await connection.execute('pragma synchronous = full');
    await connection.execute('pragma foreign_keys = on');
    await connection.execute('pragma busy_timeout = 5000');
    await orm.migrator.up();
    return orm;
  } catch (error) {
    throw new StartError(`The database ${file} cannot be opened: ${(error as Error).message}`);
  }
}
