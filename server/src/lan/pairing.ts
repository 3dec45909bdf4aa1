import { createHash, randomBytes, randomInt, timingSafeEqual } from 'node:crypto';
import { MikroORM } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import type { Response } from 'express';
import { Clock } from '../clock';
import { DeviceEntity } from '../database/entities';
import { Writes } from '../database/writes';

/** A device that has given the code once. */
export interface PairedDevice {
  readonly id: string;
  readonly name: string;
  readonly pairedAt: string;
}

/** Wrong codes before it is changed and nobody may try for a while. */
const TRIES = 5;
const PAUSE_MS = 60_000;

const hashed = (token: string): string => createHash('sha256').update(token).digest('hex');
const newCode = (): string => String(randomInt(0, 100_000_000)).padStart(8, '0');

/** Letters and digits of a name only, and not many. */
const nameOf = (agent: string): string =>
  /(iPhone|iPad|Android|Windows|Macintosh|Linux)/.exec(agent)?.[1] ??
  (agent.slice(0, 40).replace(/[^\w .-]/g, '') || 'A device');

/** Which devices of the house may come in: those that have given the code shown on this machine. */
@Injectable()
export class Pairing {
  private current = newCode();
  private wrong = 0;
  private pausedUntil = 0;
  private readonly open = new Map<string, Set<Response>>();

  constructor(
    private readonly orm: MikroORM,
    private readonly clock: Clock,
    private readonly writes: Writes,
  ) {}

  /** Shown on this machine only. */
  get code(): string {
    return this.current;
  }

  /**
   * Lets a device in.
   *
   * @returns its token; 'wrong' where the code is another, 'wait' after too many of those
   */
  async pair(code: string, agent: string): Promise<{ readonly token: string } | 'wrong' | 'wait'> {
    if (this.clock.nowMs() < this.pausedUntil) return 'wait';
    const given = Buffer.from(hashed(code.replace(/\D/g, '')));
    if (!timingSafeEqual(given, Buffer.from(hashed(this.current)))) {
      this.wrong += 1;
      if (this.wrong >= TRIES) {
        this.wrong = 0;
        this.current = newCode();
        this.pausedUntil = this.clock.nowMs() + PAUSE_MS;
      }
      return 'wrong';
    }
    this.wrong = 0;
    // Given once: the next device needs the next code.
    this.current = newCode();
    const token = randomBytes(32).toString('hex');
    const pairedAt = this.clock.now();
    await this.writes.run((em) =>
      Promise.resolve(em.create(DeviceEntity, { id: hashed(token), name: nameOf(agent), pairedAt })),
    );
    return { token };
  }

  async knows(token: string): Promise<boolean> {
    return (await this.orm.em.fork().count(DeviceEntity, { id: hashed(token) })) > 0;
  }

  async devices(): Promise<PairedDevice[]> {
    const rows = await this.orm.em.fork().find(DeviceEntity, {}, { orderBy: { pairedAt: 'desc' } });
    return rows.map(({ id, name, pairedAt }) => ({ id, name, pairedAt }));
  }

  /** Ties an answer that is being given to the device that asked for it. */
  hold(token: string, response: Response): void {
    const id = hashed(token);
    const open = this.open.get(id) ?? new Set<Response>();
    this.open.set(id, open.add(response));
    response.once('close', () => {
      open.delete(response);
      if (open.size === 0) this.open.delete(id);
    });
  }

  /** Forgets a device; what is being told it ends at once. */
  async forget(id: string): Promise<void> {
    await this.writes.run((em) => em.nativeDelete(DeviceEntity, { id }));
    for (const response of this.open.get(id) ?? []) response.destroy();
  }
}
