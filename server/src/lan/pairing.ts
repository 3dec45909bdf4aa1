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

/** Wrong codes before a device waits for a while: another one in the house may try meanwhile. */
const TRIES = 5;
const PAUSE_MS = 60_000;
/** Wrong codes of whatever devices before the code is changed: a hundred million codes stand against a few tries a minute. */
const TRIES_OF_ALL = 25;

/** How often a device has been wrong lately, and when it was last, ms. */
interface Tries {
  readonly wrong: number;
  readonly last: number;
}

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
  private readonly tries = new Map<string, Tries>();
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
   * @param code as it was typed
   * @param agent what its browser calls itself
   * @param address where it asks from
   * @returns its token; 'wrong' where the code is another, 'wait' after too many of those
   */
  async pair(code: string, agent: string, address: string): Promise<{ readonly token: string } | 'wrong' | 'wait'> {
    const now = this.clock.nowMs();
    // Who was wrong a while ago begins anew: what is kept of devices does not grow.
    for (const [one, { last }] of this.tries) if (now - last >= PAUSE_MS) this.tries.delete(one);
    if ((this.tries.get(address)?.wrong ?? 0) >= TRIES) return 'wait';
    const given = Buffer.from(hashed(code.replace(/\D/g, '')));
    if (!timingSafeEqual(given, Buffer.from(hashed(this.current)))) {
      this.isWrong(address, now);
      return 'wrong';
    }
    this.wrong = 0;
    this.tries.delete(address);
    // Given once: the next device needs the next code.
    this.current = newCode();
    const token = randomBytes(32).toString('hex');
    const pairedAt = this.clock.now();
    await this.writes.run((em) =>
      Promise.resolve(em.create(DeviceEntity, { id: hashed(token), name: nameOf(agent), pairedAt })),
    );
    return { token };
  }

  /** Notes a wrong code of a device. */
  private isWrong(address: string, now: number): void {
    this.tries.set(address, { wrong: (this.tries.get(address)?.wrong ?? 0) + 1, last: now });
    this.wrong += 1;
    if (this.wrong < TRIES_OF_ALL) return;
    this.wrong = 0;
    this.current = newCode();
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
