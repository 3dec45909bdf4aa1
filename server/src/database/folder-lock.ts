import { join } from 'node:path';
import Database from 'libsql';
import { StartError } from '../config';

/** Empty but for the lock on it. */
const FILE = 'in-use.sqlite';

/**
 * Takes a data folder for this process alone: two servers on one folder would each go by a log, a learning and running
 * cooks of its own. It is a lock of the operating system on a file of its own, so that it ends with the process, however
 * that ends: nothing is left to clear away after a kill.
 *
 * @param folder data folder
 * @returns gives the folder free
 * @throws StartError when another server has it
 */
export function takeFolder(folder: string): () => void {
  const lock = new Database(join(folder, FILE));
  try {
    lock.exec('pragma busy_timeout = 500');
    lock.exec('pragma journal_mode = delete');
    lock.exec('begin exclusive');
  } catch (error) {
    lock.close();
    const { code = '', message } = error as Error & { code?: string };
    if (!/busy|locked/i.test(`${code} ${message}`)) {
      throw new StartError(`The data folder ${folder} cannot be used (${message}): choose another with --data.`);
    }
    throw new StartError(
      `The data folder ${folder} is in use by another Hervir: stop that one, or choose another folder with --data.`,
    );
  }
  return () => {
    lock.exec('rollback');
    lock.close();
  };
}
