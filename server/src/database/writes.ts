import { setTimeout as delay } from 'node:timers/promises';
import { EntityManager } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import { Mutex } from 'async-mutex';
import { DataFolder } from './data-folder';

/** How long another program's lock is waited for, ms. */
const PATIENCE = 5000;
/** Between two tries, ms. */
const RETRY = 60;

/** The database is locked by another program. */
export const isBusy = (error: unknown): boolean => {
  const { code = '', message = '' } = error as { code?: string; message?: string };
  return /SQLITE_BUSY|database is locked/.test(`${code} ${message}`);
};

/**
 * The one door to writing. Writes go one after another, each in a transaction of its own that is on the disk when this
 * answers; a lock of another program is waited for while other requests are answered; and nothing is written into a folder
 * that is not there any more.
 */
@Injectable()
export class Writes {
  private readonly gate = new Mutex();

  constructor(
    private readonly em: EntityManager,
    private readonly folder: DataFolder,
  ) {}

  /**
   * Writes, all or nothing. Never called from within another write.
   *
   * @param work what is done with the transaction's entity manager; it flushes when this is done
   * @throws FolderGone; whatever the work throws, and then nothing was written
   */
  run<T>(work: (em: EntityManager) => Promise<T>): Promise<T> {
    return this.alone(async () => {
      const until = performance.now() + PATIENCE;
      for (;;) {
        let began = false;
        try {
          return await this.em.fork().transactional((em) => {
            began = true;
            return work(em);
          });
        } catch (error) {
          // A lock is met when a transaction begins: nothing of the work was done yet.
          if (began || !isBusy(error) || performance.now() > until) throw error;
          await delay(RETRY);
        }
      }
    });
  }

  /**
   * Keeps everybody else from writing meanwhile: for files beside the database, and for a worker that writes with a handle
   * of its own.
   */
  alone<T>(work: () => Promise<T>): Promise<T> {
    return this.gate.runExclusive(() => {
      this.folder.check();
      return work();
    });
  }
}
