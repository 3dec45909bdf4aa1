import type { CookLink, CookRecord } from '@hervir/contract';
import { SimulatedCook, type CookerCommand, type CookEvent, type Refusal } from '@hervir/core';
import { EntityManager } from '@mikro-orm/core';
import { Injectable, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import { PinoLogger } from 'nestjs-pino';
import { Subscription } from 'rxjs';
import { Loops, type Loop } from '../background/loops';
import { advanceInSlices } from '../background/slices';
import { Clock } from '../clock';
import { CooksService } from '../cooks/cooks.service';
import { CooksStream } from '../cook-events/cooks.stream';
import { LONGEST_COOK_MS } from '../cooks/longest-cook';
import { CookEntity } from '../database/entities';
import { Writes } from '../database/writes';
import { conflict, notFound } from '../security/faults';
import { Workers } from '../workers/workers';
import { SimulatedCooker } from './simulated-cooker';

/** How often a linked cooker goes on, ms. */
const TICK = 500;

interface Linked {
  readonly cooker: SimulatedCooker;
  /** Events the run has taken in, or made itself and told. */
  readonly known: Set<string>;
  /** What is being done with the run: one thing after another. */
  busy: Promise<void>;
}

/**
 * Real cooks that are linked to the simulated cooker: it follows what is pressed, by the kitchen's own clock, and pin,
 * count and end come into the cook's events by themselves, marked as the cooker's.
 */
@Injectable()
export class LinkedCooks implements OnModuleInit, OnModuleDestroy {
  private readonly linked = new Map<string, Linked>();
  private loop: Loop | undefined;
  private readonly heard = new Subscription();

  constructor(
    private readonly em: EntityManager,
    private readonly clock: Clock,
    private readonly cooks: CooksService,
    private readonly stream: CooksStream,
    private readonly writes: Writes,
    private readonly workers: Workers,
    private readonly loops: Loops,
    private readonly log: PinoLogger,
  ) {}

  onModuleInit(): void {
    this.heard.add(this.stream.events.subscribe(({ cook, event }) => this.take(cook, event)));
    this.heard.add(this.stream.gone.subscribe((id) => this.letGo(id)));
    this.heard.add(this.stream.replaced.subscribe(() => this.begin()));
    this.begin();
  }

  async onModuleDestroy(): Promise<void> {
    this.heard.unsubscribe();
    await this.loop?.stop();
    this.closeAll();
  }

  /** Links what is to be linked, and then goes on; tried again by the loop where it fails. */
  private begin(): void {
    this.closeAll();
    let resumed = false;
    const before = this.loop?.stop();
    this.loop = this.loops.start(
      'linked cooks',
      TICK,
      async () => {
        await before;
        if (!resumed) await this.findAll();
        resumed = true;
        await this.tick();
      },
      0,
    );
  }

  private async findAll(): Promise<void> {
    const rows = await this.em
      .fork()
      .find(CookEntity, { finishedAt: null, link: 'simulated' }, { fields: ['id'], disableIdentityMap: true });
    for (const { id } of rows) if (!this.linked.has(id)) await this.open(await this.cooks.open(id));
  }

  private closeAll(): void {
    for (const { cooker } of this.linked.values()) cooker.close();
    this.linked.clear();
  }

  async linkOf(id: string): Promise<CookLink> {
    const row = await this.em.fork().findOne(CookEntity, { id }, { fields: ['link', 'finishedAt'] });
    return { cooker: row?.finishedAt === null ? row.link : null };
  }

  /** Links a running cook, or lets it go. */
  async link(id: string, on: boolean): Promise<CookLink> {
    const record = await this.cooks.open(id);
    if (on && record.finishedAt !== null) throw conflict(record.events.length, record);
    await this.writes.run(async (em) => {
      const row = await em.findOne(CookEntity, { id });
      if (row) row.link = on ? 'simulated' : null;
    });
    if (on && !this.linked.has(id)) await this.open(record);
    if (!on) this.letGo(id);
    this.stream.changed(id);
    return this.linkOf(id);
  }

  private letGo(id: string): void {
    this.linked.get(id)?.cooker.close();
    this.linked.delete(id);
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
  private async open(record: CookRecord): Promise<void> {
    const run = new SimulatedCook(await this.workers.forecast(record.plan), record.guide, {
      seed: 1,
      scatter: false,
      startMs: Date.parse(record.startedAt),
      faults: [],
      handsTakeTime: false,
    });
    if (this.linked.has(record.id)) return;
    const cooker = new SimulatedCooker(run, { speed: 1, slowForHands: false, paused: false });
    const linked: Linked = { cooker, known: new Set(), busy: Promise.resolve() };
    this.linked.set(record.id, linked);
    const inOrder = [...record.events].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
    for (const event of inOrder) this.take(record.id, event);
    await linked.busy;
  }

  /** Does something with a run after what is being done with it; what fails there is written down, and ends nothing. */
  private next(linked: Linked, work: () => Promise<void>): Promise<void> {
    linked.busy = linked.busy
      .then(work)
      .catch((error: unknown) => this.log.error({ err: error }, 'a linked cooker did not follow its cook'));
    return linked.busy;
  }

  /** Brings a run to a moment of the kitchen's clock, and no further than a cook can last. */
  private async bring(run: SimulatedCook, atMs: number): Promise<void> {
    await advanceInSlices(run, Math.min(LONGEST_COOK_MS, atMs - run.setup.startMs) / 1000);
  }

  /** Something was told of the cook: the run goes on to that moment, and its hands do it. */
  private take(id: string, event: CookEvent): void {
    const linked = this.linked.get(id);
    if (!linked || linked.known.has(event.id)) return;
    linked.known.add(event.id);
    void this.next(linked, async () => {
      const { run } = linked.cooker;
      await this.bring(run, Date.parse(event.at));
      run.follow(event);
      linked.cooker.tell();
      if (event.kind === 'finished') this.letGo(id);
    });
  }

  private async tick(): Promise<void> {
    const failures: unknown[] = [];
    for (const [id, linked] of this.linked) {
      await this.next(linked, async () => {
        await this.bring(linked.cooker.run, this.clock.nowMs());
        linked.cooker.tell();
      });
      await this.passOn(id).catch((error: unknown) => failures.push(error));
    }
    if (failures.length > 0) throw new Error('a linked cooker could not tell its cook', { cause: failures[0] });
  }

  /** What the cooker told by itself goes into the cook; what could not be kept is tried again. */
  private async passOn(id: string): Promise<void> {
    const linked = this.linked.get(id);
    if (!linked) return;
    const fresh = linked.cooker.run.events.filter((event) => !linked.known.has(event.id));
    if (fresh.length === 0) return;
    // Known before they are kept: what is kept is heard again, and was done already.
    for (const event of fresh) linked.known.add(event.id);
    try {
      await this.cooks.happened(id, fresh);
    } catch (error) {
      for (const event of fresh) linked.known.delete(event.id);
      throw error;
    }
  }
}
