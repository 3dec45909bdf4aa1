import { randomUUID } from 'node:crypto';
import { mkdir, readdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import { basename, dirname, join } from 'node:path';
import { BadRequestException, Injectable } from '@nestjs/common';
import { DataFolder } from '../database/data-folder';
import { notFound } from '../security/faults';
import { pictureOf } from './picture';

/** Pictures that are looked up in one go. */
const AT_ONCE = 200;

/** Photos of cooks: beside the database, stripped of where and with what they were taken. */
@Injectable()
export class PhotosService {
  constructor(private readonly folder: DataFolder) {}

  private path(id: string): string {
    if (!/^[0-9a-f-]{36}$/.test(id)) throw notFound('photo', id);
    return join(this.folder.photos, `${id}.jpg`);
  }

  async read(id: string): Promise<Buffer> {
    try {
      return await readFile(this.path(id));
    } catch {
      throw notFound('photo', id);
    }
  }

  /**
   * Keeps a picture: written beside first, under a name of its own, so that a half one is never seen and two at once do not
   * share a file.
   *
   * @throws BadRequestException where the bytes are no picture, or too large a one
   */
  async keep(id: string, bytes: Buffer): Promise<void> {
    const made = pictureOf(bytes, 'photo');
    if ('fault' in made) throw new BadRequestException({ faults: [made.fault] });
    this.folder.check();
    await mkdir(this.folder.photos, { recursive: true, mode: 0o700 });
    const path = this.path(id);
    const beside = `${path}.${randomUUID()}.new`;
    try {
      await writeFile(beside, made.picture, { mode: 0o600 });
      await rename(beside, path);
    } catch (error) {
      await rm(beside, { force: true });
      throw error;
    }
  }

  async remove(id: string): Promise<void> {
    await rm(this.path(id), { force: true });
  }

  /** Throws pictures away that belong to no cook: what a power cut left between a cook and its photo. */
  async tidy(withPhoto: (ids: readonly string[]) => Promise<ReadonlySet<string>>): Promise<void> {
    const names = await readdir(this.folder.photos).catch(() => []);
    for (let i = 0; i < names.length; i += AT_ONCE) {
      const some = names.slice(i, i + AT_ONCE);
      const known = await withPhoto(some.map((name) => name.replace(/[.]jpg$/, '')));
      for (const name of some) {
        const keeps = name.endsWith('.jpg') && known.has(name.slice(0, -'.jpg'.length));
        if (!keeps) await rm(join(this.folder.photos, name), { force: true });
      }
    }
  }

  /**
   * Puts what was laid out in the place of the present photos, where the restore it belongs to has been kept; throws away
   * what was laid out for any other. Done after a restore, and at every start: a power cut in between changes nothing.
   *
   * @param restore the last one that was kept
   */
  async settle(restore: number): Promise<void> {
    const { photos } = this.folder;
    const [parent, name] = [dirname(photos), basename(photos)];
    for (const file of await readdir(parent).catch(() => [])) {
      if (!file.startsWith(`${name}.restored-`)) continue;
      const beside = join(parent, file);
      if (file === `${name}.restored-${restore}`) {
        await rm(photos, { recursive: true, force: true });
        await rename(beside, photos);
      } else {
        await rm(beside, { recursive: true, force: true });
      }
    }
  }
}
