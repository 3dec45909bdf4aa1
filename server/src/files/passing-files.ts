import { randomUUID } from 'node:crypto';
import { createWriteStream, existsSync, mkdirSync, readdirSync, rmSync } from 'node:fs';
import { statfs } from 'node:fs/promises';
import { basename, join } from 'node:path';
import { Transform, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Injectable } from '@nestjs/common';
import { DataFolder } from '../database/data-folder';
import { refused } from '../security/faults';
import { say } from '@hervir/language';

/** Room that is left on the disk, bytes: a running cook needs some. */
const SPARE = 50_000_000;

/** Files on their way in or out: in the data folder, so that they can be moved, and gone when they have passed. */
@Injectable()
export class PassingFiles {
  constructor(private readonly folder: DataFolder) {
    // What a kill left behind.
    rmSync(this.folder.passing, { recursive: true, force: true });
  }

  /** A name for a file that does not exist yet. */
  name(ending: string): string {
    this.folder.check();
    mkdirSync(this.folder.passing, { recursive: true, mode: 0o700 });
    return join(this.folder.passing, `${randomUUID()}${ending}`);
  }

  /** A folder that belongs to a restore, beside the photos. */
  photosOf(restore: number): string {
    return `${this.folder.photos}.restored-${restore}`;
  }

  /**
   * Takes in what a request brings, as it comes: no more of it than a part is in memory.
   *
   * @param source the request
   * @param most bytes
   * @returns its file
   * @throws HttpException 413 where it is larger, 507 where the disk has no room for it
   */
  async takeIn(source: Readable, most: number, ending: string): Promise<string> {
    const path = this.name(ending);
    const { bavail, bsize } = await statfs(this.folder.passing);
    const room = Math.max(0, bavail * bsize - SPARE);
    let bytes = 0;
    const measured = new Transform({
      transform(chunk: Buffer, _encoding, done) {
        bytes += chunk.length;
        if (bytes > most)
          done(
            refused(
              413,
              say('passing-files.the-file-is-too-large'),
              say('passing-files.up-to-mb', { most: Math.round(most / 1_000_000) }),
            ),
          );
        else if (bytes > room) {
          const problem = say('faults.the-disk-of-hervirs-machine');
          done(refused(507, problem, say('faults.some-free-space-then-again')));
        } else done(null, chunk);
      },
    });
    try {
      await pipeline(source, measured, createWriteStream(path, { mode: 0o600 }));
      return path;
    } catch (error) {
      rmSync(path, { force: true });
      throw error;
    }
  }

  /** A file has passed. */
  drop(path: string): void {
    rmSync(path, { force: true, recursive: true });
  }

  /** Files of a folder by their names, newest last; none where there is no such folder. */
  static names(folder: string): string[] {
    return existsSync(folder)
      ? readdirSync(folder)
          .map((name) => basename(name))
          .sort()
      : [];
  }
}
