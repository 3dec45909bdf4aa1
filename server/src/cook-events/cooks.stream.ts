import type { CookMessages, CookMessageType, StoredCookEvent } from '@hervir/contract';
import { EntityManager } from '@mikro-orm/core';
import { Injectable, type MessageEvent, type OnModuleDestroy } from '@nestjs/common';
import {
  concat,
  defer,
  filter,
  finalize,
  from,
  interval,
  map,
  merge,
  mergeMap,
  ReplaySubject,
  Subject,
  takeUntil,
  type Observable,
} from 'rxjs';
import { Loops } from '../background/loops';
import { Clock } from '../clock';
import { CookEventEntity } from '../database/entities';
import { stored } from './stored-event';

/** A proxy, or a sleeping phone, drops what is silent for longer, ms. */
const HEARTBEAT = 15_000;
/** A browser that lost the stream asks again after so long, ms. */
const RETRY = 700;
/** How often a test's clock is looked at, ms. */
const LOOK = 50;
/** A page that missed more opens anew what it shows. */
const MOST_MISSED = 5000;

function message<T extends CookMessageType>(type: T, data: CookMessages[T], id: number): MessageEvent {
  return { type, data, retry: RETRY, id: String(id) };
}

/** What happens in all running cooks, as it happens, to whoever has a page open. */
@Injectable()
export class CooksStream implements OnModuleDestroy {
  private readonly messages = new Subject<MessageEvent>();
  /** Every event that is on the disk, for what goes along with a cook inside the server. */
  readonly events = new Subject<CookMessages['event']>();
  /** Everything has been put in place anew: a backup, or the demo. What is kept in memory of a kitchen is stale. */
  readonly replaced = new Subject<void>();
  /** Cooks that were thrown away, by their ids. */
  readonly gone = new Subject<string>();
  /** The last event there is. */
  private newest = 0;
  private readonly closed = new Subject<void>();

  constructor(
    private readonly em: EntityManager,
    private readonly clock: Clock,
    private readonly loops: Loops,
  ) {}

  onModuleDestroy(): void {
    this.closed.next();
  }

  /** Told only of what is on the disk. */
  happened(cook: string, events: readonly StoredCookEvent[]): void {
    for (const event of events) {
      this.newest = Math.max(this.newest, event.seq);
      this.messages.next(message('event', { cook, event }, event.seq));
      this.events.next({ cook, event });
    }
  }

  /** A cook was thrown away: what goes along with it has nothing to follow any more. */
  discarded(cook: string): void {
    this.gone.next(cook);
    this.changed(cook);
  }

  /** A cook was begun or finished. */
  changed(cook: string): void {
    this.messages.next(message('cooks', { cook }, this.newest));
  }

  /**
   * The stream of one page. The id of a message is the last event that page has by then, whatever the message is: where it is
   * cut off, it resumes there.
   *
   * @param after the last event that page has, where it was cut off; all since then come first
   */
  open(after: number | null): Observable<MessageEvent> {
    return defer(() => {
      // What happens while it is looked what was missed waits for its turn.
      const live = new ReplaySubject<MessageEvent>();
      const beats = interval(HEARTBEAT).pipe(map(() => message('clock', this.clock.tell(), this.newest)));
      const trouble = this.loops.news.pipe(map((told) => message('trouble', told, this.newest)));
      const feed = merge(this.messages, beats, trouble, this.setClock()).subscribe(live);
      const failing = from(this.loops.trouble().map((told) => message('trouble', told, this.newest)));
      let last = after ?? 0;
      return concat(this.missed(after), failing, live).pipe(
        filter(({ type, id }) => type !== 'event' || Number(id) > last),
        map((one) => {
          if (one.type === 'event' || one.type === 'hello') last = Number(one.id);
          return { ...one, id: String(last) };
        }),
        finalize(() => feed.unsubscribe()),
      );
    }).pipe(takeUntil(this.closed));
  }

  private missed(after: number | null): Observable<MessageEvent> {
    return defer(async () => {
      const em = this.em.fork();
      const [newest] = await em.find(CookEventEntity, {}, { orderBy: { seq: 'desc' }, limit: 1 });
      const seq = newest?.seq ?? 0;
      this.newest = Math.max(this.newest, seq);
      const since =
        after === null
          ? []
          : await em.find(CookEventEntity, { seq: { $gt: after } }, { orderBy: { seq: 'asc' }, limit: MOST_MISSED });
      return [
        // Before what was missed it has what it had; one that comes anew has all there is by then.
        message('hello', { ...this.clock.tell(), seq }, after ?? seq),
        ...since.map((event) => message('event', { cook: event.cookId, event: stored(event) }, event.seq)),
      ];
    }).pipe(mergeMap((list) => from(list)));
  }

  /** Pages are told at once when a test moves the clock. */
  private setClock(): Observable<MessageEvent> {
    if (process.env['HERVIR_TEST_CLOCK'] === undefined) return from([]);
    let told = this.clock.nowMs() - Date.now();
    const { speed } = this.clock.tell();
    return interval(LOOK).pipe(
      map(() => this.clock.nowMs() - Date.now()),
      filter((ahead) => {
        // A fast clock gains on the real one evenly; a jump is more than that.
        const jumped = Math.abs(ahead - told) > LOOK * 4 * Math.max(1, speed);
        told = ahead;
        return jumped;
      }),
      map(() => message('clock', this.clock.tell(), this.newest)),
    );
  }
}
