import { EntityManager } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import { Mutex } from 'async-mutex';
import { DataFolder } from './data-folder';
import type { KitchenDriver } from './handle';

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
      try {
        return await this.em.fork().transactional(work);
      } catch (error) {
        throw (this.em.getDriver() as unknown as KitchenDriver).whyNotBegun(error);
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
