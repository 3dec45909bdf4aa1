import { mkdir, readdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import { basename, dirname, join, resolve } from 'node:path';
import { BadRequestException, Inject, Injectable } from '@nestjs/common';
import type { Config } from '../config';
import { notFound } from '../security/faults';
import { CONFIG } from '../tokens';
import { withoutMetadata } from './jpeg';

const MOST_BYTES = 6_000_000;

/** @throws BadRequestException where the bytes are no picture, or too large a one */
function picture(bytes: Buffer, path: string): Buffer {
  const refuse = (problem: string, allowed: string): BadRequestException =>
    new BadRequestException({ faults: [{ path, problem, allowed }] });
  if (bytes.length > MOST_BYTES) throw refuse(`${bytes.length} bytes`, `up to ${MOST_BYTES}`);
  const clean = withoutMetadata(bytes);
  if (clean === null) throw refuse('is no JPEG picture', 'JPEG');
  return clean;
}

/** Photos of cooks: beside the database, stripped of where and with what they were taken. */
@Injectable()
export class PhotosService {
  private readonly folder: string;

  constructor(@Inject(CONFIG) config: Config) {
    this.folder = join(resolve(config.dataFolder), 'photos');
  }

  private name(id: string): string {
    if (!/^[0-9a-f-]{36}$/.test(id)) throw notFound('photo', id);
    return `${id}.jpg`;
  }

  private path(id: string): string {
    return join(this.folder, this.name(id));
  }

  async read(id: string): Promise<Buffer> {
    try {
      return await readFile(this.path(id));
    } catch {
      throw notFound('photo', id);
    }
  }

  /** Keeps a picture: written beside first, so that a half one is never seen. */
  async keep(id: string, bytes: Buffer): Promise<void> {
    const clean = picture(bytes, 'photo');
    await mkdir(this.folder, { recursive: true });
    const path = this.path(id);
    await writeFile(`${path}.new`, clean);
    await rename(`${path}.new`, path);
  }

  async remove(id: string): Promise<void> {
    await rm(this.path(id), { force: true });
  }

  /** All of them, in base64, by the id of their cook. */
  async all(): Promise<Record<string, string>> {
    const names = await readdir(this.folder).catch(() => []);
    const found: Record<string, string> = {};
    for (const name of names.filter((one) => one.endsWith('.jpg')).sort()) {
      found[name.slice(0, -'.jpg'.length)] = (await readFile(join(this.folder, name))).toString('base64');
    }
    return found;
  }

  /**
   * Lays all photos of a backup out beside the present ones, before anything is changed.
   *
   * @param restore the restore they belong to, counted
   * @throws BadRequestException where one is no picture
   */
  async layOut(photos: Readonly<Record<string, string>>, restore: number): Promise<void> {
    const beside = this.beside(restore);
    await rm(beside, { recursive: true, force: true });
    await mkdir(beside, { recursive: true });
    try {
      for (const [id, data] of Object.entries(photos)) {
        await writeFile(join(beside, this.name(id)), picture(Buffer.from(data, 'base64'), `photos.${id}`));
      }
    } catch (error) {
      await rm(beside, { recursive: true, force: true });
      throw error;
    }
  }

  /**
   * Puts what was laid out in the place of the present photos, where the restore it belongs to has been kept; throws away
   * what was laid out for any other. Done after a restore, and at every start: a power cut in between changes nothing.
   *
   * @param restore the last one that was kept
   */
  async settle(restore: number): Promise<void> {
    const [parent, name] = [dirname(this.folder), basename(this.folder)];
    for (const found of await readdir(parent).catch(() => [])) {
      if (!found.startsWith(`${name}.restored-`)) continue;
      const beside = join(parent, found);
      if (beside === this.beside(restore)) {
        await rm(this.folder, { recursive: true, force: true });
        await rename(beside, this.folder);
      } else {
        await rm(beside, { recursive: true, force: true });
      }
    }
  }

  private beside(restore: number): string {
    return `${this.folder}.restored-${restore}`;
  }
}
