import type { LogChange, LogCharts, LogEntry, LogItem, LogPage, LogQuery, LogRecord, PastCook } from '@hervir/contract';
import {
  cookState,
  cutById,
  isTheDay,
  observe,
  type CookState,
  type Grade,
  type Observation,
  type Plan,
} from '@hervir/core';
import { EntityManager } from '@mikro-orm/core';
import { Injectable, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import { Subscription } from 'rxjs';
import { Loops } from '../background/loops';
import { nameOf } from '../language/plan-name';
import { eventsOf, stored } from '../cook-events/stored-event';
import { CooksStream } from '../cook-events/cooks.stream';
import { CookEntity, CookEventEntity, LogEntryEntity } from '../database/entities';
import { present, readable } from '../database/readable';
import { Writes } from '../database/writes';
import { notFound } from '../security/faults';
import { Workers } from '../workers/workers';
import { Clock } from '../clock';
import { corrected, servedBefore } from './corrections';
import { columnsOf, entryOf, firstGrade, itemOf } from './entry';
import { LearningService } from './learning.service';
import { observedByHand, observedIn } from './lesson';
import { asked, countOfWords, ORDER } from './log-query';
import { PhotosService } from './photos.service';

/** A change to a finished cook that changes its line in the log. */
const TELLING: ReadonlySet<string> = new Set(['finished', 'undone', 'weighed', 'note', 'checked']);

/** @throws Error for an entry that no page could show */
function readableItem(row: Parameters<typeof itemOf>[0]): LogItem {
  const item = itemOf({ ...row, entry: present(row.entry, 'entry') });
  cutById(item.cut);
  return item;
}

/** A chart of single cooks has the newest of them, so many: entries are read as JSON there, and the server answers meanwhile. */
const MOST_POINTS = 400;

/** What could not be entered is tried again so often, ms. */
const RETRY_EVERY = 2000;

/** What a cook says of its meat and its pot; warmed and eaten on its day, it says nothing of either. */
function observedOf({ plan, guide }: CookEntity, state: CookState, grade: Grade | null): Observation {
  return isTheDay(guide) ? {} : observedIn(plan, () => observe(plan, state, grade));
}

/** The log: every finished cook, looked for, corrected, and learnt from. */
@Injectable()
export class LogService implements OnModuleInit, OnModuleDestroy {
  private readonly heard = new Subscription();
  private chartsKnown: Promise<LogCharts> | null = null;
  /** Cooks are entered one after another: what is learnt is added to, not raced for. */
  private entering: Promise<void> = Promise.resolve();
  /** Cooks that are to be entered, and what went wrong with some. */
  private readonly waiting = new Set<string>();
  private failures: unknown[] = [];
  /** Whether the database was looked through for cooks that are not in the log. */
  private looked = false;

  constructor(
    private readonly em: EntityManager,
    private readonly stream: CooksStream,
    private readonly learning: LearningService,
    private readonly photos: PhotosService,
    private readonly writes: Writes,
    private readonly workers: Workers,
    private readonly loops: Loops,
    private readonly clock: Clock,
  ) {}

  onModuleInit(): void {
    this.heard.add(
      this.stream.events.subscribe(({ cook, event }) => {
        if (TELLING.has(event.kind)) this.enterSoon(cook);
      }),
    );
    this.heard.add(this.stream.replaced.subscribe(() => (this.looked = false)));
    this.loops.start('log', RETRY_EVERY, () => this.goOn(), 0);
  }

  /** What is not in the log yet: finished before there was a log, or just before the power went; or it failed. */
  private async goOn(): Promise<void> {
    if (!this.looked) {
      const missing = await this.ask<{ id: string }>(
        'select `id` from `cook` where `finished_at` is not null and `id` not in (select `id` from `log_entry`)',
      );
      for (const { id } of missing) this.waiting.add(id);
      await this.photos.tidy((ids) => this.withPhoto(ids));
      this.looked = true;
    }
    if (this.waiting.size === 0) return;
    await this.enterAll();
    const [failure] = this.failures;
    if (failure !== undefined) throw new Error('a cook could not be entered in the log', { cause: failure });
  }

  private async ask<T>(sql: string, values: readonly string[] = []): Promise<T[]> {
    const rows: unknown = await this.em
      .fork()
      .getConnection('read')
      .execute(sql, [...values], 'all');
    return rows as T[];
  }

  /** Which of some cooks have a photo. */
  private async withPhoto(ids: readonly string[]): Promise<Set<string>> {
    const rows = await this.em
      .fork()
      .find(LogEntryEntity, { id: { $in: [...ids] }, photo: true }, { fields: ['id'], disableIdentityMap: true });
    return new Set(rows.map(({ id }) => id));
  }

  onModuleDestroy(): void {
    this.heard.unsubscribe();
  }

  /** Waits until everything that was finished so far is in the log. */
  async settled(): Promise<void> {
    await this.entering;
  }

  private enterSoon(id: string): void {
    this.waiting.add(id);
    void this.enterAll();
  }

  /** Enters what waits, one after another: what is learnt is added to, not raced for. What fails waits for the next turn. */
  private enterAll(): Promise<void> {
    this.entering = this.entering.then(async () => {
      this.failures = [];
      for (const id of [...this.waiting]) {
        this.waiting.delete(id);
        try {
          await this.enter(id);
        } catch (error) {
          this.waiting.add(id);
          this.failures.push(error);
        }
      }
    });
    return this.entering;
  }

  /** Writes a finished cook into the log, or takes it out again where it is not finished any more. */
  private async enter(id: string): Promise<void> {
    const there = await this.em.fork().findOne(CookEntity, { id }, { disableIdentityMap: true });
    if (!there) return;
    // Its plan is never changed: what is reckoned of it can be reckoned before anything is written.
    const reckoned =
      there.finishedAt === null || isTheDay(there.guide)
        ? null
        : await this.workers.run('promised', {
            plan: there.plan,
            begunAt: there.startedAt,
          });
    await this.writes.run(async (em) => {
      const cook = await em.findOne(CookEntity, { id });
      if (!cook) return;
      const before = await em.findOne(LogEntryEntity, { id });
      if (before) await this.learning.learn(em, before, -1);
      if (cook.finishedAt === null) {
        if (before) em.remove(before);
        return;
      }
      const events = await eventsOf(em, [id]);
      const state = cookState(cook.guide, events, Date.parse(cook.finishedAt));
      const grade = firstGrade(events);
      const observation = observedOf(cook, state, grade);
      const fresh = entryOf(cook, reckoned?.ok === true ? reckoned.value : null, state, grade);
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
    this.learning.forgetCache();
  }

  async list(query: LogQuery): Promise<LogPage> {
    const em = this.em.fork();
    const [found, total] = await Promise.all([
      em.find(LogEntryEntity, asked(query), {
        fields: ['entry', 'result', 'photo'],
        // Only read: nothing is to be watched for changes.
        disableIdentityMap: true,
        orderBy: ORDER[query.sort] as never,
        offset: query.offset,
        limit: query.limit,
      }),
      this.count(query),
    ]);
    return { items: readable(found, readableItem), total };
  }

  private async count(query: LogQuery): Promise<number> {
    const words = countOfWords(query);
    if (words === null) return this.em.fork().count(LogEntryEntity, asked(query));
    const [found] = await this.ask<{ cooks: number }>(words.sql, words.values);
    return found?.cooks ?? 0;
  }

  async open(id: string): Promise<LogRecord> {
    const em = this.em.fork();
    const row = await em.findOne(LogEntryEntity, { id });
    if (!row) throw notFound('log entry', id);
    const cook = await em.findOne(CookEntity, { id });
    const events = cook ? await eventsOf(em, [id]) : [];
    return {
      item: itemOf(row),
      plan: row.plan,
      cook: cook ? { guide: cook.guide, events: events.map(stored) } : null,
    };
  }

  /** Adds a past cook by hand. Sent twice with the same id, it is there once. */
  async addPast({ id, servedAt, minutes, grade, cookedG, notes }: PastCook, sent: Plan): Promise<LogItem> {
    servedBefore(servedAt, this.clock.nowMs());
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
    const item = await this.add(entry, plan, observedByHand(entry, plan));
    return item ?? (await this.open(id)).item;
  }

  /** Adds an entry where it is not there yet. */
  private async add(entry: LogEntry, plan: Plan, observation: Observation): Promise<LogItem | null> {
    const added = await this.writes.run(async (em) => {
      if ((await em.count(LogEntryEntity, { id: entry.id })) > 0) return null;
      const row = em.create(LogEntryEntity, { ...columnsOf(entry, plan, observation), photo: false });
      await this.learning.learn(em, row, 1);
      return itemOf(row);
    });
    this.changed();
    return added;
  }

  /** Changes what was said of a cook; what was learnt from it changes along. */
  async change(id: string, change: LogChange): Promise<LogItem> {
    const item = await this.writes.run(async (em) => {
      const row = await em.findOne(LogEntryEntity, { id });
      if (!row) throw notFound('log entry', id);
      const { servedAt, boughtG, minutes, ...said } = change;
      const right = corrected(row.entry, row.plan, { servedAt, boughtG, minutes }, this.clock.nowMs());
      const known = Object.fromEntries(Object.entries(said).filter(([, value]) => value !== undefined));
      // A grade said anew is what is meant of the whole cook.
      const anew = change.grade === undefined ? {} : { firstGrade: undefined };
      const entry: LogEntry = { ...right.entry, ...known, ...anew };
      await this.learning.learn(em, row, -1);
      const same = entry.grade === row.entry.grade && right.plan === row.plan;
      const observation = same ? row.observation : await this.observedAgain(em, right.plan, entry);
      Object.assign(row, columnsOf(entry, right.plan, observation));
      await this.learning.learn(em, row, 1);
      return itemOf(row);
    });
    this.changed();
    return item;
  }

  private async observedAgain(em: EntityManager, plan: Plan, entry: LogEntry): Promise<Observation> {
    const { id, grade } = entry;
    const cook = await em.findOne(CookEntity, { id });
    if (!cook) return observedByHand(entry, plan);
    const events = await eventsOf(em, [id]);
    const state = cookState(cook.guide, events, Date.parse(cook.finishedAt ?? cook.startedAt));
    return observedOf(cook, state, grade);
  }

  /** Takes a cook out of the log, with all that happened in it and what was learnt from it. */
  async remove(id: string): Promise<LogItem> {
    const item = await this.writes.run(async (em) => {
      const row = await em.findOne(LogEntryEntity, { id });
      if (!row) throw notFound('log entry', id);
      await this.learning.learn(em, row, -1);
      await em.nativeDelete(CookEventEntity, { cookId: id });
      await em.nativeDelete(CookEntity, { id });
      em.remove(row);
      return itemOf(row);
    });
    this.changed();
    await this.photos.remove(id);
    return item;
  }

  /** Keeps a photo of a cook. */
  async keepPhoto(id: string, bytes: Buffer): Promise<LogItem> {
    await this.open(id);
    await this.writes.alone(() => this.photos.keep(id, bytes));
    return this.setPhoto(id, true);
  }

  async removePhoto(id: string): Promise<LogItem> {
    const item = await this.setPhoto(id, false);
    await this.photos.remove(id);
    return item;
  }

  private setPhoto(id: string, there: boolean): Promise<LogItem> {
    return this.writes.run(async (em) => {
      const row = await em.findOne(LogEntryEntity, { id });
      if (!row) throw notFound('log entry', id);
      row.photo = there;
      return itemOf(row);
    });
  }

  /** Figures for the charts: read once, and again only when the log has changed. */
  charts(): Promise<LogCharts> {
    const asked = (this.chartsKnown ??= this.drawCharts());
    // What could not be read is read again.
    asked.catch(() => this.chartsKnown === asked && (this.chartsKnown = null));
    return asked;
  }

  private async drawCharts(): Promise<LogCharts> {
    const toPin = await this.ask<{ at: string; cooker: string; ratio: number }>(
      `select \`served_at\` as \`at\`, \`cooker\`, \`pin_ratio\` as \`ratio\` from \`log_entry\` where \`pin_ratio\` is not null order by \`served_at\` desc limit ${MOST_POINTS}`,
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
    // A lid that went back on says that the first check found it short; what is no JSON any more says nothing.
    const said = (path: string): string =>
      `case when json_valid(\`entry\`) then json_extract(\`entry\`, '$.${path}') end`;
    const counted = (kind: string, promised: string, kept: string, known: string): string =>
      `select '${kind}' as \`kind\`, avg(\`promised\`) as \`promised\`, count(*) as \`cooks\`, sum(\`kept\`) as \`kept\` from (
         select ${said(promised)} as \`promised\`, ${kept} as \`kept\` from (
           select \`entry\`, \`result\`, \`late\` from \`log_entry\` order by \`served_at\` desc limit ${MOST_POINTS}
         ) where ${known}
       ) where \`promised\` is not null group by round(\`promised\` * 10)`;
    const promises = await this.ask<LogCharts['promises'][number]>(
      [
        counted(
          'tender',
          'promised.tender',
          `\`result\` <> 'short' and ${said('firstGrade')} is null`,
          "`result` <> 'unknown'",
        ),
        counted('in-time', 'promised.inTime', '`late` <= 0', '`late` is not null'),
      ].join(' union all '),
    );
    return { toPin, cuts, late, losses, promises };
  }

  /** Everything, the oldest first, for a file. */
  async all(): Promise<LogEntry[]> {
    const rows = await this.em
      .fork()
      .find(LogEntryEntity, {}, { fields: ['entry'], orderBy: { servedAt: 'asc', id: 'asc' } });
    return readable(rows, ({ entry }) => present(entry, 'entry'));
  }

  /** Read anew after everything has been put back. */
  forgetCache(): void {
    this.changed();
  }
}
