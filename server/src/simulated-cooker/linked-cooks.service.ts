import type { CookLink, CookRecord } from '@hervir/contract';
import { forecast, SimulatedCook, type CookerCommand, type CookEvent, type Refusal } from '@hervir/core';
import { EntityManager } from '@mikro-orm/core';
import { Injectable, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import { Subscription } from 'rxjs';
import { Clock } from '../clock';
import { CooksService } from '../cooks/cooks.service';
import { CooksStream } from '../cooks/cooks.stream';
import { CookEntity } from '../database/entities';
import { conflict, notFound } from '../security/faults';
import { SimulatedCooker } from './simulated-cooker';

/** How often a linked cooker goes on, ms. */
const TICK = 500;

interface Linked {
  readonly cooker: SimulatedCooker;
  /** Events the run has taken in, or made itself. */
  readonly known: Set<string>;
}

/**
 * Real cooks that are linked to the simulated cooker: it follows what is pressed, by the kitchen's own clock, and pin,
 * count and end come into the cook's events by themselves, marked as the cooker's.
 */
@Injectable()
export class LinkedCooks implements OnModuleInit, OnModuleDestroy {
  private readonly linked = new Map<string, Linked>();
  private timer: ReturnType<typeof setInterval> | undefined;
  private readonly heard = new Subscription();
  private ticking = false;

  constructor(
    private readonly em: EntityManager,
    private readonly clock: Clock,
    private readonly cooks: CooksService,
    private readonly stream: CooksStream,
  ) {}

  async onModuleInit(): Promise<void> {
    this.heard.add(this.stream.events.subscribe(({ cook, event }) => this.take(cook, event)));
    const found = await this.em.fork().find(CookEntity, { finishedAt: null, link: 'simulated' });
    for (const { id } of found) this.open(await this.cooks.open(id));
    this.timer = setInterval(() => void this.tick(), TICK);
  }

  onModuleDestroy(): void {
    clearInterval(this.timer);
    this.heard.unsubscribe();
    for (const { cooker } of this.linked.values()) cooker.close();
  }

  linkOf(id: string): CookLink {
    return { cooker: this.linked.has(id) ? 'simulated' : null };
  }

  /** Links a running cook, or lets it go. */
  async link(id: string, on: boolean): Promise<CookLink> {
    const record = await this.cooks.open(id);
    if (on && record.finishedAt !== null) throw conflict(record.events.length, record);
    await this.em.fork().nativeUpdate(CookEntity, { id }, { link: on ? 'simulated' : null });
    if (on && !this.linked.has(id)) this.open(record);
    if (!on) {
      this.linked.get(id)?.cooker.close();
      this.linked.delete(id);
    }
    this.stream.changed(id);
    return this.linkOf(id);
  }

  /** A command to the cooker of a linked cook. */
  async send(id: string, command: CookerCommand): Promise<Refusal> {
    const refused = this.cookerOf(id).send(command);
    await this.passOn(id);
    return refused;
  }

  /** @throws NotFoundException where the cook is not linked */
  cookerOf(id: string): SimulatedCooker {
    const linked = this.linked.get(id);
    if (!linked) throw notFound('linked cook', id);
    return linked.cooker;
  }

  /** The cooker of a cook, brought to where the cook is. */
  private open(record: CookRecord): void {
    const run = new SimulatedCook(forecast(record.plan, record.units), record.guide, {
      seed: 1,
      scatter: false,
      startMs: Date.parse(record.startedAt),
      faults: [],
      handsTakeTime: false,
    });
    const cooker = new SimulatedCooker(run, { speed: 1, slowForHands: false, paused: false });
    const linked: Linked = { cooker, known: new Set() };
    this.linked.set(record.id, linked);
    const inOrder = [...record.events].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
    for (const event of inOrder) this.take(record.id, event);
  }

  /** Something was told of the cook: the run goes on to that moment, and its hands do it. */
  private take(id: string, event: CookEvent): void {
    const linked = this.linked.get(id);
    if (!linked || linked.known.has(event.id)) return;
    linked.known.add(event.id);
    const { run } = linked.cooker;
    run.advanceTo((Date.parse(event.at) - run.setup.startMs) / 1000);
    run.follow(event);
    linked.cooker.tell();
  }

  private async tick(): Promise<void> {
    if (this.ticking) return;
    this.ticking = true;
    try {
      for (const [id, { cooker }] of this.linked) {
        cooker.run.advanceTo((this.clock.nowMs() - cooker.run.setup.startMs) / 1000);
        cooker.tell();
        await this.passOn(id);
      }
    } finally {
      this.ticking = false;
    }
  }

  /** What the cooker told by itself goes into the cook. */
  private async passOn(id: string): Promise<void> {
    const linked = this.linked.get(id);
    if (!linked) return;
    const fresh = linked.cooker.run.events.filter((event) => !linked.known.has(event.id));
    if (fresh.length === 0) return;
    for (const event of fresh) linked.known.add(event.id);
    await this.cooks.happened(id, fresh);
  }
}
