import { chmodSync, existsSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';

export const DATABASE_FILE = 'hervir.sqlite';
/** Photos of cooks. */
export const PHOTOS_FOLDER = 'photos';
/** Backups that are made by themselves. */
export const BACKUPS_FOLDER = 'backups';
/** What is on its way in or out; emptied at every start. */
export const PASSING_FOLDER = 'passing';

/** The data folder is not the one that was opened. What is written now would be lost with the old one. */
export class FolderGone extends Error {
  constructor(readonly folder: string) {
    super(`the data folder ${folder} was removed or renamed`);
  }
}

/** The folder everything of a kitchen is kept in, while it is open. */
export class DataFolder {
  private readonly opened: { readonly dev: number; readonly ino: number };

  /** @param path absolute, with its database in it */
  constructor(readonly path: string) {
    const { dev, ino } = statSync(this.database);
    this.opened = { dev, ino };
  }

  get database(): string {
    return join(this.path, DATABASE_FILE);
  }

  get photos(): string {
    return join(this.path, PHOTOS_FOLDER);
  }

  get backups(): string {
    return join(this.path, BACKUPS_FOLDER);
  }

  get passing(): string {
    return join(this.path, PASSING_FOLDER);
  }

  /** Whether what was opened is still there: an open file of a removed folder takes writes and keeps none. */
  isHere(): boolean {
    const stats = statSync(this.database, { throwIfNoEntry: false });
    return stats !== undefined && stats.dev === this.opened.dev && stats.ino === this.opened.ino;
  }

  /** @throws FolderGone */
  check(): void {
    if (!this.isHere()) throw new FolderGone(this.path);
  }
}

/**
 * Makes the files of a kitchen its owner's alone: 0700 for folders, 0600 for files. What belongs to somebody else is left.
 *
 * @param folder data folder
 */
export function closeToOthers(folder: string): void {
  const close = (path: string): void => {
    try {
      const isFolder = statSync(path).isDirectory();
      chmodSync(path, isFolder ? 0o700 : 0o600);
      if (isFolder) for (const name of readdirSync(path)) close(join(path, name));
    } catch (error) {
      const { code = '' } = error as NodeJS.ErrnoException;
      // Gone in between, another's, or on a file system that knows no owners.
      if (!['ENOENT', 'EPERM', 'EROFS', 'ENOTSUP'].includes(code)) throw error;
    }
  };
  // The folder may be one that holds other things too: only what is ours in it.
  for (const name of [
    DATABASE_FILE,
    `${DATABASE_FILE}-wal`,
    `${DATABASE_FILE}-shm`,
    'in-use.sqlite',
    'lan-certificate.json',
    PHOTOS_FOLDER,
    BACKUPS_FOLDER,
    PASSING_FOLDER,
  ]) {
    const path = join(folder, name);
    if (existsSync(path)) close(path);
  }
  try {
    chmodSync(folder, 0o700);
  } catch (error) {
    const { code = '' } = error as NodeJS.ErrnoException;
    if (!['EPERM', 'EROFS', 'ENOTSUP'].includes(code)) throw error;
  }
}
