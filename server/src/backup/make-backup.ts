import { speaking } from '../language/speech';
import { readdirSync, rmSync, statSync } from 'node:fs';
import { PlainDatabase } from '../database/plain';
import { readBackupFile, writeBackupFile, type BackupCount } from './backup-file';

/** Where a kitchen is, and where its backup goes. */
export interface MakeBackup {
  readonly database: string;
  readonly photos: string;
  readonly to: string;
  readonly made: string;
}

/** A backup that was made, and read back. */
export interface MadeBackup extends BackupCount {
  readonly bytes: number;
}

/** Names of pictures in a folder, without their ending. */
export function photoIds(folder: string): string[] {
  try {
    return readdirSync(folder)
      .filter((name) => name.endsWith('.jpg'))
      .map((name) => name.slice(0, -'.jpg'.length))
      .sort();
  } catch {
    // No photo was ever kept.
    return [];
  }
}

/**
 * Makes a backup of a kitchen as it is at one moment, and reads it back: one that could not be put back is never handed out.
 *
 * @throws Error where what was written does not read back
 */
export async function makeBackup({ database, photos, to, made }: MakeBackup): Promise<MadeBackup> {
  const db = new PlainDatabase(database);
  try {
    // One look at everything: what is written meanwhile is not in it, nor half in it.
    db.exec('begin');
    const tables = new Map(db.tables().map((table) => [table.name, table]));
    const ids = photoIds(photos);
    const count = await writeBackupFile(to, {
      made,
      rows: (name) => db.rows(tables.get(name) ?? { name, columns: [], json: new Set() }),
      photosFolder: photos,
      photoIds: ids,
    });
    const { faults } = await readBackupFile(to, { row: () => undefined, photo: () => Promise.resolve([]) });
    const [fault] = faults;
    if (fault) throw new Error(`the backup does not read back: ${fault.path} ${speaking('en-GB').text(fault.problem)}`);
    return { ...count, bytes: statSync(to).size };
  } catch (error) {
    rmSync(to, { force: true });
    throw error;
  } finally {
    db.exec('rollback');
    db.close();
  }
}
