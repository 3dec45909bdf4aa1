import type { Text } from '@hervir/language';
import { inWords } from '../language/speech';
import type {
  ActAnswer,
  Reading,
  RehearsalAct,
  RehearsalMessages,
  RehearsalNow,
  RehearsalRecord,
  RehearsalSummary,
  StartRehearsal,
  Pace,
} from '@hervir/contract';
import { parsePlan } from '@hervir/contract';
import {
  debriefOf,
  DEFAULT_COOKER,
  DEFAULT_KITCHEN,
  exerciseById,
  markOf,
  potMinute,
  readyAt,
  SimulatedCook,
  steadyHand,
  type Mark,
  type Plan,
  type SimulatedSetup,
} from '@hervir/core';
import { EntityManager } from '@mikro-orm/core';
import { Injectable, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import { PinoLogger } from 'nestjs-pino';
import { Subject, Subscription, type Observable } from 'rxjs';
import { BraisesService } from '../braises/braises.service';
import { nameOf } from '../language/plan-name';
import { Clock } from '../clock';
import { Loops, type Loop } from '../background/loops';
import { advanceInSlices } from '../background/slices';
import { CooksStream } from '../cook-events/cooks.stream';
import { RehearsalActEntity, RehearsalEntity } from '../database/entities';
import { Writes } from '../database/writes';
import { notFound } from '../security/faults';
import { LearningService } from '../log/learning.service';
import { SettingsService } from '../settings/settings.service';
import { Workers } from '../workers/workers';
import { SimulatedCooker } from './simulated-cooker';
import { say } from '@hervir/language';

/** Real time goes by in ticks, ms. */
const TICK = 200;
/** How far a rehearsal has gone is written down so often, ms. */
const NOTE_EVERY = 5000;
/** A rehearsal nobody has looked at for so long leaves memory; it is rebuilt from its acts, ms. */
const FORGET_AFTER = 10 * 60_000;
/** Speed and slowing when nothing is said. */
const PACE: Pace = { speed: 60, slowForHands: true, paused: false };

/** A rehearsal in memory. */
interface Live {
  readonly entity: RehearsalEntity;
  readonly cooker: SimulatedCooker;
  readonly news: Subject<RehearsalNow>;
  /** An act is being written: time stands still meanwhile, so that it falls on the second that was written. */
  busy: Promise<unknown>;
  writing: boolean;
  noted: number;
  seen: number;
  /** What news were last told of. */
  told: string;
  /** What was there when it was last judged. */
  judged: string;
}

/** Its own wall clock begins where the plan has the pot come on, or now. */
function startOf(plan: Plan, potMinute: number, totalMinutes: number, nowMs: number): number {
  const endsAt = readyAt(plan);
  return endsAt === null ? nowMs : Date.parse(endsAt) + (potMinute - totalMinutes) * 60_000;
}

function summaryOf({ id, name, exercise, createdAt, mark, finishedAt, debrief }: RehearsalEntity): RehearsalSummary {
  return { id, name, exercise, createdAt, mark, finished: finishedAt !== null, debrief };
}

/** Side dishes and moved tasks belong to a real evening. */
const rehearsed = (plan: Plan): Plan => ({
  ...plan,
  sides: [],
  moved: {},
  cutLater: false,
  learnt: plan.learnt ?? {},
});

/** Rehearsals: begun, acted in, watched, and kept apart from real cooks. */
@Injectable()
export class RehearsalsService implements OnModuleInit, OnModuleDestroy {
  private readonly live = new Map<string, Promise<Live>>();
  private loop: Loop | undefined;
  private readonly heard = new Subscription();
  private last = performance.now();

  constructor(
    private readonly em: EntityManager,
    private readonly clock: Clock,
    private readonly braises: BraisesService,
    private readonly settings: SettingsService,
    private readonly learning: LearningService,
    private readonly writes: Writes,
    private readonly workers: Workers,
    private readonly loops: Loops,
    private readonly stream: CooksStream,
    private readonly log: PinoLogger,
  ) {}

  onModuleInit(): void {
    this.loop = this.loops.start('rehearsals', TICK, () => this.tick());
    // What was put in their place has rehearsals of its own.
    this.heard.add(this.stream.replaced.subscribe(() => this.forgetAll()));
  }

  async onModuleDestroy(): Promise<void> {
    this.heard.unsubscribe();
    await this.loop?.stop();
    for (const opening of this.live.values()) {
      const live = await opening.catch(() => null);
      if (!live) continue;
      live.cooker.close();
      live.news.complete();
      // A disk that is full at the end costs a rehearsal its last seconds, not the server its orderly stop.
      await this.note(live).catch((error: unknown) => this.log.error({ err: error }, 'a rehearsal was not noted'));
    }
  }

  private forgetAll(): void {
    for (const opening of this.live.values()) {
      void opening.then(
        ({ cooker, news }) => {
          cooker.close();
          news.complete();
        },
        () => undefined,
      );
    }
    this.live.clear();
  }

  async list(): Promise<RehearsalSummary[]> {
    const rows = await this.em.fork().find(RehearsalEntity, {}, { orderBy: { createdAt: 'desc' }, limit: 100 });
    return rows.map(summaryOf);
  }

  /**
   * Begins a rehearsal. Sent twice with the same id, it is begun once.
   *
   * @param sent a plan, where it is not a kept one
   */
  async start(
    { id, braiseId, exercise, seed, scatter, faults }: StartRehearsal,
    sent: Plan | null,
  ): Promise<RehearsalRecord> {
    const there = await this.em.fork().findOne(RehearsalEntity, { id });
    if (there) return this.open(id);
    const asked = exercise === undefined ? null : exerciseById(exercise);
    // Exercises have a pot and a kitchen of their own, so that their pass marks mean the same everywhere.
    const trainer = { ...DEFAULT_COOKER, name: inWords(say('rehearsals.service.the-trainer')) };
    const own =
      (asked && { ...asked.plan(trainer, DEFAULT_KITCHEN), name: inWords(asked.planName) }) ??
      (await this.learning.apply(sent ?? (await this.braises.open(braiseId ?? '')).plan));
    const plan = rehearsed(own);
    const { units } = await this.settings.read();
    const f = await this.workers.forecast(plan);
    const now = this.clock.nowMs();
    const setup: SimulatedSetup = {
      seed: seed ?? Math.floor(Math.random() * 0xffffffff),
      scatter: asked?.scatter ?? scatter,
      startMs: startOf(plan, potMinute(f), f.clock.totalMinutes, now),
      faults: asked?.faults ?? faults,
      handsTakeTime: true,
    };
    await this.writes.run((em) => {
      em.create(RehearsalEntity, {
        id,
        name: nameOf(plan),
        exercise: exercise ?? null,
        plan,
        units,
        setup,
        seconds: 0,
        createdAt: this.clock.now(),
        finishedAt: null,
        mark: 'under-way',
        debrief: null,
      });
      return Promise.resolve();
    });
    return this.open(id);
  }

  async open(id: string): Promise<RehearsalRecord> {
    const live = await this.liveOf(id);
    const { entity, cooker } = live;
    const { name, exercise, units, createdAt, setup } = entity;
    return {
      id,
      name,
      exercise,
      plan: cooker.run.f.plan,
      guide: cooker.run.guide,
      units,
      seed: setup.seed,
      createdAt,
      ...this.now(live),
    };
  }

  /** Does something in a rehearsal: written down first, at the second at which it is done. */
  async act(id: string, act: RehearsalAct): Promise<ActAnswer> {
    const live = await this.liveOf(id);
    const mine = live.busy.then(async () => {
      live.writing = true;
      try {
        if (live.entity.finishedAt !== null) return say('rehearsals.service.the-rehearsal-is-over');
        const atS = live.cooker.run.seconds;
        await this.writes.run((em) =>
          Promise.resolve(em.create(RehearsalActEntity, { rehearsalId: id, atS, act } as RehearsalActEntity)),
        );
        const refused = perform(live.cooker.run, act);
        live.cooker.tell();
        // A hand may decide it without an event: a lid that is opened at the panel.
        live.judged = '';
        await this.judge(live, act.act === 'end');
        return refused;
      } finally {
        live.writing = false;
      }
    });
    live.busy = mine.catch(() => undefined);
    const refused = await mine;
    this.tellNews(live);
    return { refused, now: this.now(live) };
  }

  /** Changes how its time goes by. */
  async setPace(id: string, change: Partial<Pace>): Promise<RehearsalNow> {
    const live = await this.liveOf(id);
    live.cooker.pace = { ...live.cooker.pace, ...change };
    if (live.cooker.pace.paused) live.cooker.speed = 0;
    this.tellNews(live, true);
    return this.now(live);
  }

  async read(id: string, instrument: 'probe-meat' | 'probe-liquid' | 'scale'): Promise<Reading> {
    const { run } = (await this.liveOf(id)).cooker;
    if (instrument === 'scale') return { grams: run.weigh() };
    return run.probe(instrument === 'probe-meat' ? 'meat' : 'liquid');
  }

  async remove(id: string): Promise<RehearsalSummary> {
    const entity = await this.writes.run(async (em) => {
      const row = await em.findOne(RehearsalEntity, { id });
      if (!row) throw notFound('rehearsal', id);
      await em.nativeDelete(RehearsalActEntity, { rehearsalId: id });
      await em.nativeDelete(RehearsalEntity, { id });
      return row;
    });
    const live = await this.live.get(id);
    this.live.delete(id);
    live?.cooker.close();
    live?.news.complete();
    return summaryOf(entity);
  }

  /** The link to its cooker, and what is new about the rest. */
  async follow(id: string): Promise<{
    readonly cooker: SimulatedCooker;
    readonly news: Observable<RehearsalNow>;
    readonly now: RehearsalNow;
  }> {
    const live = await this.liveOf(id);
    return { cooker: live.cooker, news: live.news, now: this.now(live) };
  }

  /** Its clock, for a message of telemetry. */
  clockOf(cooker: SimulatedCooker): Pick<RehearsalMessages['frames'], 'now' | 'speed'> {
    return { now: new Date(cooker.run.nowMs).toISOString(), speed: cooker.speed };
  }

  /** A rehearsal in memory, rebuilt from its acts where it is not there. */
  private liveOf(id: string): Promise<Live> {
    const there = this.live.get(id);
    if (there) return there.then((live) => Object.assign(live, { seen: performance.now() }));
    const opening = this.rebuild(id);
    this.live.set(id, opening);
    opening.catch(() => this.live.delete(id));
    return opening;
  }

  private async rebuild(id: string): Promise<Live> {
    const em = this.em.fork();
    const entity = await em.findOne(RehearsalEntity, { id });
    if (!entity) throw notFound('rehearsal', id);
    const acts = await em.find(RehearsalActEntity, { rehearsalId: id }, { orderBy: { seq: 'asc' } });
    const read = parsePlan(entity.plan);
    const plan = read.ok ? read.value : entity.plan;
    const { forecast, guide } = await this.workers.guide(plan);
    const run = new SimulatedCook(forecast, guide, entity.setup);
    run.begin();
    const from = entity.exercise === null ? null : exerciseById(entity.exercise).from;
    if (from) steadyHand(run, from);
    for (const { atS, act } of acts) {
      await advanceInSlices(run, atS);
      perform(run, act);
    }
    await advanceInSlices(run, entity.seconds);
    const paused = acts.length > 0 || entity.finishedAt !== null;
    return {
      entity,
      cooker: new SimulatedCooker(run, { ...PACE, paused }),
      news: new Subject(),
      busy: Promise.resolve(),
      writing: false,
      noted: performance.now(),
      seen: performance.now(),
      told: '',
      judged: '',
    };
  }

  private now({ cooker, entity }: Live): RehearsalNow {
    const { run, pace, speed } = cooker;
    return {
      seconds: run.seconds,
      now: new Date(run.nowMs).toISOString(),
      speed,
      pace,
      events: run.events,
      faults: [...run.kitchen.faults],
      plants: run.kitchen.plants,
      fork: run.kitchen.device.lid === 'off' && run.kitchen.meat !== null ? run.grade : null,
      mark: entity.mark,
      debrief: entity.debrief,
      finished: entity.finishedAt !== null,
    };
  }

  /** Tells what has changed beside the telemetry. */
  private tellNews(live: Live, always = false): void {
    const { run, pace } = live.cooker;
    const sign = `${run.events.length} ${run.kitchen.faults.size} ${live.entity.mark} ${live.entity.finishedAt ?? ''} ${pace.paused}`;
    if (!always && sign === live.told) return;
    live.told = sign;
    live.news.next(this.now(live));
  }

  /** Looks whether it is over; then it stands still, and is talked through. */
  private async judge(live: Live, ended: boolean): Promise<void> {
    const { entity, cooker } = live;
    if (entity.finishedAt !== null) return;
    const { run } = cooker;
    // Between acts only an event or a trip can decide it: until then nothing is folded.
    const sign = `${run.events.length} ${run.kitchen.trips.length}`;
    if (!ended && sign === live.judged) return;
    live.judged = sign;
    const { status } = run.state;
    const mark: Mark = entity.exercise === null ? 'under-way' : markOf(exerciseById(entity.exercise), run);
    const over = ended || mark !== 'under-way' || status === 'served' || status === 'finished';
    if (!over) return;
    entity.mark = mark;
    entity.debrief = debriefOf(run);
    entity.finishedAt = this.clock.now();
    cooker.pace = { ...cooker.pace, paused: true };
    await this.note(live);
  }

  private async note({ entity, cooker }: Live): Promise<void> {
    const { id, mark, finishedAt, debrief: said } = entity;
    const { seconds } = cooker.run;
    await this.writes.run(async (em) => {
      const row = await em.findOne(RehearsalEntity, { id });
      // Thrown away in between.
      if (row) Object.assign(row, { seconds, mark, finishedAt, debrief: said });
    });
    entity.seconds = seconds;
  }

  private async tick(): Promise<void> {
    const at = performance.now();
    const seconds = (at - this.last) / 1000;
    this.last = at;
    const failures: unknown[] = [];
    for (const [id, opening] of this.live) {
      // One that is still being rebuilt keeps nobody waiting.
      const live = await Promise.race([opening, Promise.resolve(null)]).catch(() => null);
      if (!live || live.writing) continue;
      await this.goOn(id, live, at, seconds).catch((error: unknown) => failures.push(error));
    }
    if (failures.length > 0) throw new Error('a rehearsal could not go on', { cause: failures[0] });
  }

  private async goOn(id: string, live: Live, at: number, seconds: number): Promise<void> {
    // Nobody watches: it stands still until somebody does.
    if (live.cooker.listeners > 0) {
      live.seen = at;
      live.cooker.tick(Math.min(1, seconds));
      if (!live.cooker.pace.paused) await this.judge(live, false);
      this.tellNews(live);
    } else if (at - live.seen > FORGET_AFTER) {
      await this.note(live);
      this.live.delete(id);
      return;
    }
    if (at - live.noted > NOTE_EVERY && live.cooker.run.seconds !== live.entity.seconds) {
      live.noted = at;
      await this.note(live);
    }
  }
}

/** Does an act; answers why not, or null. */
function perform(run: SimulatedCook, act: RehearsalAct): Text | null {
  switch (act.act) {
    case 'press':
      return run.press(act.event, act.hands);
    case 'command':
      return run.command(act.command);
    case 'fault':
      return run.fault(act.fault, act.on);
    case 'hand':
      return run.hand(act.hand);
    case 'end':
      return null;
  }
}
