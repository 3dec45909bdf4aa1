import { MUST_BE_READ, type CookRecord, type EventsAnswer, type RefusedEvent, type StartCook } from '@hervir/contract';
import {
  cookState,
  endsInFridge,
  isTheDay,
  withPartOver,
  type CookEvent,
  type CookEventKind,
  type Forecast,
  type GuidePart,
  type Plan,
} from '@hervir/core';
import { EntityManager } from '@mikro-orm/core';
import { BadRequestException, Injectable } from '@nestjs/common';
import { BraisesService } from '../braises/braises.service';
import { nameOf } from '../language/plan-name';
import { Clock } from '../clock';
import { BraiseEntity, CookEntity, CookEventEntity } from '../database/entities';
import { present, readable } from '../database/readable';
import { Writes } from '../database/writes';
import { conflict, notFound } from '../security/faults';
import { LearningService } from '../log/learning.service';
import { SettingsService } from '../settings/settings.service';
import { Workers } from '../workers/workers';
import { CooksStream } from '../cook-events/cooks.stream';
import { LONGEST_COOK_MS } from './longest-cook';
import { eventsOf, momentsOf, stored, type KeptEvent } from '../cook-events/stored-event';
import { say } from '@hervir/language';

/** A device's clock may be ahead of ours by so much, ms. */
const AHEAD_MS = 120_000;
/** A press bears a time after all that is known of its cook, ms. */
const JUST_AFTER_MS = 1000;

/** May be told long after: a cook that was never closed, its weight, a word on it. */
const AFTERWARDS: ReadonlySet<CookEventKind> = new Set(['finished', 'note', 'weighed', 'undone']);

function record(cook: CookEntity, events: readonly KeptEvent[]): CookRecord {
  const { id, braiseId, name, plan, guide, units, startedAt, finishedAt } = cook;
  return { id, braiseId, name, plan, guide, units, startedAt, finishedAt, events: events.map(stored) };
}

/** The warnings of a plan that must have been read before it is cooked. */
function unread(found: Forecast, acknowledged: readonly string[]): Forecast['cautions'][number] | undefined {
  return found.cautions.find(
    ({ code }) => (MUST_BE_READ as readonly string[]).includes(code) && !acknowledged.includes(code),
  );
}

/** Cooks: begun, told what happened, and read back. What happened is only ever added to. */
@Injectable()
export class CooksService {
  constructor(
    private readonly em: EntityManager,
    private readonly clock: Clock,
    private readonly braises: BraisesService,
    private readonly settings: SettingsService,
    private readonly stream: CooksStream,
    private readonly learning: LearningService,
    private readonly writes: Writes,
    private readonly workers: Workers,
  ) {}

  /** Those that are not finished, the last begun first. */
  async running(): Promise<CookRecord[]> {
    const em = this.em.fork();
    const cooks = await em.find(CookEntity, { finishedAt: null }, { orderBy: { startedAt: 'desc' }, limit: 20 });
    const ids = cooks.map(({ id }) => id);
    const events = await eventsOf(em, ids);
    const byCook = new Map(ids.map((id) => [id, [] as KeptEvent[]]));
    for (const event of events) byCook.get(event.cookId)?.push(event);
    return readable(cooks, (cook) => {
      present(cook.plan, 'plan');
      // A fold that goes through here goes through on every page.
      cookState(present(cook.guide, 'guide'), byCook.get(cook.id) ?? [], this.clock.nowMs());
      return record(cook, byCook.get(cook.id) ?? []);
    });
  }

  async open(id: string): Promise<CookRecord> {
    const em = this.em.fork();
    const cook = await em.findOne(CookEntity, { id });
    if (!cook) throw notFound('cook', id);
    return record(cook, await eventsOf(em, [id]));
  }

  /**
   * Begins a cook. Sent twice with the same id, it is begun once.
   *
   * @param sent where it is not a kept plan
   * @throws BadRequestException where a warning of the plan has not been read, and for the day of a plan that has none
   */
  async start({ id, braiseId, part, acknowledged, startedEventId }: StartCook, sent: Plan | null): Promise<CookRecord> {
    const there = await this.em.fork().findOne(CookEntity, { id });
    if (there) return this.open(id);
    const braise = braiseId === undefined ? null : await this.braises.open(braiseId);
    // As it is learnt by now; a plan that comes with its own factors keeps them.
    const asked = sent ?? (braise?.plan as Plan);
    // From then on it stays as it was, also where nothing was learnt.
    const taught = asked.learnt === undefined ? await this.learning.apply(asked) : asked;
    const plan: Plan = { ...taught, learnt: taught.learnt ?? {} };
    if (part === 'day' && plan.cookAhead === undefined) {
      const problem = say('cooks.service.this-plan-is-eaten-when');
      throw new BadRequestException({ faults: [{ path: 'part', problem, allowed: '"evening"' }] });
    }
    const { units } = await this.settings.read();
    const { forecast, guide } = await this.workers.guide(plan, part);
    // What is warned of is of the evening: its pot, its fill, its fond.
    const warning = part === 'day' ? undefined : unread(forecast, acknowledged);
    if (warning) {
      throw new BadRequestException({
        faults: [
          {
            path: 'acknowledged',
            problem: warning.text,
            allowed: say('cooks.service.once-the-cook-has-read', { code: warning.code }),
          },
        ],
      });
    }
    const now = this.clock.now();
    await this.writes.run((em) => {
      em.create(CookEntity, {
        id,
        braiseId: braiseId ?? null,
        name: nameOf(plan),
        plan,
        guide,
        units,
        startedAt: now,
        finishedAt: null,
        link: null,
      });
      em.create(CookEventEntity, {
        id: startedEventId,
        cookId: id,
        kind: 'started',
        at: now,
        payload: {},
        receivedAt: now,
      } as CookEventEntity);
      return Promise.resolve();
    });
    this.stream.changed(id);
    return this.open(id);
  }

  /**
   * Adds what happened. Answers only when it is on the disk; a repeated event changes nothing and counts as kept.
   *
   * @returns the kept ones with their place, and those refused with the reason
   */
  async happened(cookId: string, events: readonly CookEvent[]): Promise<EventsAnswer> {
    const now = this.clock.nowMs();
    const refused: RefusedEvent[] = [];
    const answer = await this.writes.run(async (em) => {
      const cook = await em.findOne(CookEntity, { id: cookId });
      if (!cook) throw notFound('cook', cookId);
      const known = await em.find(CookEventEntity, { id: { $in: events.map(({ id }) => id) } });
      const fresh = new Map<string, CookEventEntity>();
      const before = await momentsOf(em, cookId);
      // A clock set back in mid-cook does not undo what has happened: what this server has once heard of was not to come.
      const heardAt = before.reduce((most, { receivedAt }) => Math.max(most, Date.parse(receivedAt)), now);
      const newest = before.reduce((most, { at }) => Math.max(most, Date.parse(at)), 0);
      // What follows the newest may bear a time just after it, wherever that is; but nobody walks into the future so.
      const latest = Math.max(heardAt + AHEAD_MS, Math.min(newest + JUST_AFTER_MS, heardAt + 2 * AHEAD_MS));
      for (const event of events) {
        const old = known.find(({ id }) => id === event.id);
        const fault = old && old.cookId !== cookId ? FOREIGN : this.misplaced(event, cook, latest);
        if (fault) refused.push({ id: event.id, ...fault });
        else if (!old && !fresh.has(event.id)) {
          const made = em.create(CookEventEntity, {
            ...event,
            cookId,
            receivedAt: new Date(now).toISOString(),
          } as CookEventEntity);
          fresh.set(event.id, made);
        }
      }
      await em.flush();
      const finishedBefore = cook.finishedAt;
      // Only what closes a cook, or takes something back, can close or open it: for a press nothing is folded.
      if (events.some(({ kind }) => kind === 'finished' || kind === 'undone')) {
        const { status, finishedAt, steps } = cookState(cook.guide, await eventsOf(em, [cookId]), now);
        cook.finishedAt = status === 'finished' && finishedAt !== null ? new Date(finishedAt).toISOString() : null;
        // One that was given up half-way is in no fridge, and on no table.
        const over = steps.at(-1)?.doneAt !== null ? cook.finishedAt : null;
        const part = isTheDay(cook.guide) ? 'day' : endsInFridge(cook.guide) ? 'evening' : null;
        if (part !== null) await this.partOver(em, cook.braiseId, part, over);
      }
      const mine = known.filter((one) => one.cookId === cookId);
      const kept = [...mine, ...fresh.values()].map(stored);
      return {
        kept: kept.sort((a, b) => a.seq - b.seq),
        fresh: [...fresh.values()].map(stored),
        turned: cook.finishedAt !== finishedBefore,
      };
    });
    this.stream.happened(cookId, answer.fresh);
    if (answer.turned) this.stream.changed(cookId);
    return { kept: answer.kept, refused };
  }

  /** A plan that is cooked ahead knows which of its two parts is over: the evening, or the day it is eaten. */
  private async partOver(
    em: EntityManager,
    braiseId: string | null,
    part: GuidePart,
    at: string | null,
  ): Promise<void> {
    const braise = braiseId === null ? null : await em.findOne(BraiseEntity, { id: braiseId });
    if (!braise) return;
    const next = withPartOver(braise.plan, part, at);
    if (next === braise.plan) return;
    braise.plan = next;
    braise.revision += 1;
    braise.updatedAt = this.clock.now();
  }

  /**
   * Throws a cook away that is not to be: begun by mistake, or given up. One that was served stays.
   *
   * @param known how many of its events who throws it away has seen
   * @throws ConflictException where more has happened meanwhile, or it is over
   */
  async discard(id: string, known: number): Promise<CookRecord> {
    const gone = await this.writes.run(async (em) => {
      const cook = await em.findOne(CookEntity, { id });
      if (!cook) throw notFound('cook', id);
      const there = record(cook, await eventsOf(em, [id]));
      // Decided where it is done: something may have happened since the page was drawn.
      const { status } = cookState(cook.guide, there.events, this.clock.nowMs());
      if (there.events.length > known || status !== 'cooking') throw conflict(there.events.length, there);
      await em.nativeDelete(CookEventEntity, { cookId: id });
      await em.nativeDelete(CookEntity, { id });
      return there;
    });
    this.stream.discarded(id);
    return gone;
  }

  private misplaced(event: CookEvent, cook: CookEntity, latest: number): typeof FOREIGN | null {
    const at = Date.parse(event.at);
    const begun = Date.parse(cook.startedAt);
    if (at > latest) {
      return {
        path: 'at',
        problem: say('cooks.service.has-not-come-yet', { at: event.at }),
        allowed: say('cooks.service.up-to', { latest: new Date(latest).toISOString() }),
      };
    }
    if (at < begun - AHEAD_MS || (at > begun + LONGEST_COOK_MS && !AFTERWARDS.has(event.kind))) {
      return {
        path: 'at',
        problem: say('cooks.service.is-not-in-this-cook', { at: event.at }),
        allowed: say('cooks.service.from-within-36-hours', { startedAt: cook.startedAt }),
      };
    }
    return event.kind === 'started'
      ? {
          path: 'kind',
          problem: say('cook-state.the-cook-has-begun-already'),
          allowed: say('cooks.service.any-other-kind'),
        }
      : null;
  }
}

const FOREIGN = {
  path: 'id',
  problem: say('cooks.service.is-an-event-of-another'),
  allowed: say('faults.a-new-uuid'),
};
