import type { LogChange, LogCharts, LogEntry, LogItem, LogPage, LogQuery, LogRecord, PastCook } from '@hervir/contract';
import {
  cookState,
  cutById,
  forecast,
  newPlan,
  observe,
  observeByHand,
  PlanError,
  type Observation,
  type Plan,
} from '@hervir/core';
import { EntityManager, type FilterQuery } from '@mikro-orm/core';
import { Injectable, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import { Subscription } from 'rxjs';
import { nameOf } from '../braises/braises.service';
import { stored } from '../cooks/stored-event';
import { CooksStream } from '../cooks/cooks.stream';
import { CookEntity, CookEventEntity, LogEntryEntity } from '../database/entities';
import { notFound } from '../security/faults';
import { columnsOf, entryOf, firstGrade, itemOf } from './entry';
import { LearningService } from './learning.service';

/** A change to a finished cook that changes its line in the log. */
const TELLING: ReadonlySet<string> = new Set(['finished', 'undone', 'weighed', 'note', 'checked']);

const ORDER: Readonly<Record<LogQuery['sort'], object>> = {
  newest: { servedAt: 'desc', id: 'asc' },
  oldest: { servedAt: 'asc', id: 'asc' },
  'latest-dinner': { late: 'desc', servedAt: 'desc' },
  toughest: { tough: 'desc', servedAt: 'desc' },
  heaviest: { grams: 'desc', servedAt: 'desc' },
};

/** What has gone through a search as text and not as a pattern. */
const literal = (text: string): string => text.toLowerCase().replace(/[%_\\]/g, '\\$&');

/** The log: every finished cook, looked for, corrected, and learnt from. */
@Injectable()
export class LogService implements OnModuleInit, OnModuleDestroy {
  private readonly heard = new Subscription();
  private chartsKnown: Promise<LogCharts> | null = null;
  /** Cooks are entered one after another: what is learnt is added to, not raced for. */
  private entering: Promise<unknown> = Promise.resolve();

  constructor(
    private readonly em: EntityManager,
    private readonly stream: CooksStream,
    private readonly learning: LearningService,
  ) {}

  async onModuleInit(): Promise<void> {
    this.heard.add(
      this.stream.events.subscribe(({ cook, event }) => {
        if (TELLING.has(event.kind)) void this.enterSoon(cook);
      }),
    );
    // Finished before there was a log, or just before the power went.
    const missing = await this.ask<{ id: string }>(
      'select `id` from `cook` where `finished_at` is not null and `id` not in (select `id` from `log_entry`)',
    );
    for (const { id } of missing) await this.enter(id);
  }

  private async ask<T>(sql: string): Promise<T[]> {
    const found: unknown = await this.em.fork().getConnection().execute(sql, [], 'all');
    return found as T[];
  }

  onModuleDestroy(): void {
    this.heard.unsubscribe();
  }

  /** Waits until everything that was finished so far is in the log. */
  async settled(): Promise<void> {
    await this.entering;
  }

  private enterSoon(id: string): Promise<void> {
    const mine = this.entering.then(() => this.enter(id));
    this.entering = mine.catch(() => undefined);
    return mine.catch(() => undefined);
  }

  /** Writes a finished cook into the log, or takes it out again where it is not finished any more. */
  private async enter(id: string): Promise<void> {
    await this.em.fork().transactional(async (em) => {
      const cook = await em.findOne(CookEntity, { id });
      if (!cook) return;
      const before = await em.findOne(LogEntryEntity, { id });
      if (before) await this.learning.learn(em, before, -1);
      if (cook.finishedAt === null) {
        if (before) em.remove(before);
        return;
      }
      const events = (await em.find(CookEventEntity, { cookId: id }, { orderBy: { seq: 'asc' } })).map(stored);
      const state = cookState(cook.guide, events, Date.parse(cook.finishedAt));
      const grade = firstGrade(events);
      const observation = observedIn(cook.plan, () => observe(cook.plan, state, grade));
      const fresh = entryOf(cook, forecast(cook.plan, cook.units), state, grade);
      // What was said of it afterwards stays.
      const entry = before ? { ...fresh, outcome: before.entry.outcome } : fresh;
      const columns = columnsOf(entry, cook.plan, observation);
      const row = before ? Object.assign(before, columns) : em.create(LogEntryEntity, { ...columns, photo: false });
      await this.learning.learn(em, row, 1);
    });
    this.changed();
  }

  private changed(): void {
    this.chartsKnown = null;
  }

  async list(query: LogQuery): Promise<LogPage> {
    const where: FilterQuery<LogEntryEntity>[] = [];
    if (query.cut !== undefined) where.push({ cut: query.cut });
    if (query.species !== undefined) where.push({ species: query.species });
    if (query.cooker !== undefined) where.push({ cooker: query.cooker });
    if (query.result !== undefined) where.push({ result: query.result });
    if (query.from !== undefined) where.push({ servedAt: { $gte: query.from } });
    // Up to the end of that day.
    if (query.to !== undefined) where.push({ servedAt: { $lt: `${query.to}T24` } });
    for (const word of (query.text ?? '').split(/\s+/).filter((part) => part !== '')) {
      where.push({ words: { $like: `%${literal(word)}%` } });
    }
    const filter = where.length === 0 ? {} : { $and: where };
    const em = this.em.fork();
    const [found, total] = await Promise.all([
      em.find(LogEntryEntity, filter, {
        fields: ['entry', 'result', 'photo'],
        // Only read: nothing is to be watched for changes.
        disableIdentityMap: true,
        orderBy: ORDER[query.sort] as never,
        offset: query.offset,
        limit: query.limit,
      }),
      em.count(LogEntryEntity, filter),
    ]);
    return { items: found.map(itemOf), total };
  }

  async open(id: string): Promise<LogRecord> {
    const em = this.em.fork();
    const row = await em.findOne(LogEntryEntity, { id });
    if (!row) throw notFound('log entry', id);
    const cook = await em.findOne(CookEntity, { id });
    const events = cook ? await em.find(CookEventEntity, { cookId: id }, { orderBy: { seq: 'asc' } }) : [];
    return {
      item: itemOf(row),
      plan: row.plan,
      cook: cook ? { guide: cook.guide, events: events.map(stored) } : null,
    };
  }

  /** Adds a past cook by hand. Sent twice with the same id, it is there once. */
  async addPast({ id, servedAt, minutes, grade, cookedG, notes }: PastCook, sent: Plan): Promise<LogItem> {
    const plan: Plan = { ...sent, pressureMinutes: minutes, learnt: undefined };
    const entry: LogEntry = {
      id,
      source: 'by-hand',
      servedAt,
      name: nameOf(plan),
      cut: plan.meat.cut,
      form: plan.meat.form,
      cooker: plan.cooker.name,
      wanted: plan.target,
      grade,
      boughtG: plan.meat.grams,
      trimmedG: plan.meat.trimGrams > 0 ? plan.meat.grams - plan.meat.trimGrams : null,
      cookedG,
      pressure: { planned: minutes, actual: minutes },
      toPin: { planned: null, actual: null },
      release: { planned: null, actual: null },
      lateMinutes: null,
      burns: 0,
      outcome: { moistness: null, sauce: null, vegetables: {} },
      notes,
    };
    const [item] = await this.add([{ entry, plan, observation: observedIn(plan, () => observeByHand(plan, grade)) }]);
    return item ?? (await this.open(id)).item;
  }

  /** Adds entries that are not there yet, all or none. */
  async add(
    entries: readonly { readonly entry: LogEntry; readonly plan: Plan; readonly observation: Observation }[],
  ): Promise<LogItem[]> {
    const added = await this.em.fork().transactional(async (em) => {
      const there = await em.find(
        LogEntryEntity,
        { id: { $in: entries.map(({ entry }) => entry.id) } },
        { fields: ['id'] },
      );
      const known = new Set(there.map(({ id }) => id));
      const items: LogItem[] = [];
      for (const { entry, plan, observation } of entries) {
        if (known.has(entry.id)) continue;
        known.add(entry.id);
        const row = em.create(LogEntryEntity, { ...columnsOf(entry, plan, observation), photo: false });
        await this.learning.learn(em, row, 1);
        items.push(itemOf(row));
      }
      return items;
    });
    this.changed();
    return added;
  }

  /** Changes what was said of a cook; what was learnt from it changes along. */
  async change(id: string, change: LogChange): Promise<LogItem> {
    const item = await this.em.fork().transactional(async (em) => {
      const row = await em.findOne(LogEntryEntity, { id });
      if (!row) throw notFound('log entry', id);
      const known = Object.fromEntries(Object.entries(change).filter(([, value]) => value !== undefined));
      const entry = { ...row.entry, ...known };
      await this.learning.learn(em, row, -1);
      const observation =
        entry.grade === row.entry.grade ? row.observation : await this.observedAgain(em, row, entry.grade);
      Object.assign(row, columnsOf(entry, row.plan, observation));
      await this.learning.learn(em, row, 1);
      return itemOf(row);
    });
    this.changed();
    return item;
  }

  private async observedAgain(
    em: EntityManager,
    { id, plan }: LogEntryEntity,
    grade: LogEntry['grade'],
  ): Promise<Observation> {
    const cook = await em.findOne(CookEntity, { id });
    if (!cook) return grade === null ? {} : observedIn(plan, () => observeByHand(plan, grade));
    const events = (await em.find(CookEventEntity, { cookId: id })).map(stored);
    const state = cookState(cook.guide, events, Date.parse(cook.finishedAt ?? cook.startedAt));
    return observedIn(plan, () => observe(cook.plan, state, grade));
  }

  /** Takes a cook out of the log, with all that happened in it and what was learnt from it. */
  async remove(id: string): Promise<LogItem> {
    const item = await this.em.fork().transactional(async (em) => {
      const row = await em.findOne(LogEntryEntity, { id });
      if (!row) throw notFound('log entry', id);
      await this.learning.learn(em, row, -1);
      await em.nativeDelete(CookEventEntity, { cookId: id });
      await em.nativeDelete(CookEntity, { id });
      em.remove(row);
      return itemOf(row);
    });
    this.changed();
    return item;
  }

  /** Adds entries of a file whose plans are only what the entry says; those that are there are left alone. */
  async addFromFile(entries: readonly LogEntry[]): Promise<number> {
    const known: { entry: LogEntry; plan: Plan; observation: Observation }[] = [];
    for (const entry of entries) {
      const plan = planOf(entry);
      const { grade } = entry;
      // A cook of a file teaches its cut by minutes and grade, as one added by hand.
      const observation = grade === null ? {} : observedIn(plan, () => observeByHand(plan, grade));
      known.push({ entry, plan, observation });
      // A file of thousands takes a while: whoever stands at a pot meanwhile is answered in between.
      if (known.length % 10 === 0) await new Promise((resolve) => setImmediate(resolve));
    }
    return (await this.add(known)).length;
  }

  async setPhoto(id: string, there: boolean): Promise<LogItem> {
    const em = this.em.fork();
    const changed = await em.nativeUpdate(LogEntryEntity, { id }, { photo: there });
    if (changed === 0) throw notFound('log entry', id);
    return (await this.open(id)).item;
  }

  /** Figures for the charts: read once, and again only when the log has changed. */
  charts(): Promise<LogCharts> {
    this.chartsKnown ??= this.drawCharts();
    return this.chartsKnown;
  }

  private async drawCharts(): Promise<LogCharts> {
    const toPin = await this.ask<{ at: string; cooker: string; ratio: number }>(
      'select `served_at` as `at`, `cooker`, `pin_ratio` as `ratio` from `log_entry` where `pin_ratio` is not null order by `served_at` desc limit 400',
    );
    const cuts = await this.ask<LogCharts['cuts'][number]>(
      "select `cut`, sum(`result` = 'short') as `short`, sum(`result` = 'as-wanted') as `asWanted`, sum(`result` = 'past') as `past` from `log_entry` where `result` <> 'unknown' group by `cut` order by count(*) desc",
    );
    const late = await this.ask<LogCharts['late'][number]>(
      'select cast(floor(`late` / 15.0) as integer) * 15 as `from`, count(*) as `cooks` from `log_entry` where `late` is not null group by 1 order by 1',
    );
    const losses = await this.ask<LogCharts['losses'][number]>(
      'select `cut`, avg(`trim_share`) as `trim`, avg(`cook_share`) as `cook`, count(*) as `cooks` from `log_entry` group by `cut` having `trim` is not null or `cook` is not null order by count(*) desc',
    );
    return { toPin, cuts, late, losses };
  }

  /** Everything, the oldest first, for a file. */
  async all(): Promise<LogEntry[]> {
    const rows = await this.em
      .fork()
      .find(LogEntryEntity, {}, { fields: ['entry'], orderBy: { servedAt: 'asc', id: 'asc' } });
    return rows.map(({ entry }) => entry);
  }

  /** Read anew after everything has been put back. */
  forgetCache(): void {
    this.changed();
    this.learning.forgetCache();
  }
}

/** As much of a plan as an entry knows. */
function planOf(entry: LogEntry): Plan {
  const plan = newPlan({ cut: entry.cut, form: entry.form, grams: entry.boughtG });
  return {
    ...plan,
    name: entry.name,
    target: entry.wanted,
    meat: { ...plan.meat, trimGrams: entry.trimmedG === null ? 0 : Math.max(0, entry.boughtG - entry.trimmedG) },
    cooker: { ...plan.cooker, name: entry.cooker },
    pressureMinutes: entry.pressure.actual ?? entry.pressure.planned,
  };
}

/** What a cook says; nothing where its plan cannot be reckoned any more. */
function observedIn(plan: Plan, work: () => Observation): Observation {
  try {
    cutById(plan.meat.cut);
    return work();
  } catch (error) {
    if (error instanceof PlanError || error instanceof RangeError) return {};
    throw error;
  }
}
