import type { CookMessages, CookMessageType, StoredCookEvent } from '@hervir/contract';
import { EntityManager } from '@mikro-orm/core';
import { Injectable, type MessageEvent, type OnModuleDestroy } from '@nestjs/common';
import { concat, defer, filter, from, interval, map, merge, mergeAll, Subject, takeUntil, type Observable } from 'rxjs';
import { Clock } from '../clock';
import { CookEventEntity } from '../database/entities';
import { stored } from './stored-event';

/** A proxy, or a sleeping phone, drops what is silent for longer, ms. */
const HEARTBEAT = 15_000;
/** A browser that lost the stream asks again after so long, ms. */
const RETRY = 700;
/** How often a test's clock is looked at, ms. */
const LOOK = 50;

function message<T extends CookMessageType>(type: T, data: CookMessages[T], id?: number): MessageEvent {
  return { type, data, retry: RETRY, ...(id === undefined ? {} : { id: String(id) }) };
}

/** What happens in all running cooks, as it happens, to whoever has a page open. */
@Injectable()
export class CooksStream implements OnModuleDestroy {
  private readonly messages = new Subject<MessageEvent>();
  /** Every event that is on the disk, for what goes along with a cook inside the server. */
  readonly events = new Subject<CookMessages['event']>();
  private readonly closed = new Subject<void>();

  constructor(
    private readonly em: EntityManager,
    private readonly clock: Clock,
  ) {}

  onModuleDestroy(): void {
    this.closed.next();
  }

  /** Told only of what is on the disk. */
  happened(cook: string, events: readonly StoredCookEvent[]): void {
    for (const event of events) {
      this.messages.next(message('event', { cook, event }, event.seq));
      this.events.next({ cook, event });
    }
  }

  /** A cook was begun or finished. */
  changed(cook: string): void {
    this.messages.next(message('cooks', { cook }));
  }

  /**
   * The stream of one page.
   *
   * @param after the last event that page has, where it was cut off; all since then come first
   */
  open(after: number | null): Observable<MessageEvent> {
    const missed = defer(async () =>
      after === null
        ? []
        : this.em.fork().find(CookEventEntity, { seq: { $gt: after } }, { orderBy: { seq: 'asc' }, limit: 5000 }),
    ).pipe(
      map((events) => events.map((event) => message('event', { cook: event.cookId, event: stored(event) }, event.seq))),
    );
    const hello = defer(async () => {
      const [newest] = await this.em.fork().find(CookEventEntity, {}, { orderBy: { seq: 'desc' }, limit: 1 });
      return message('hello', { ...this.clock.tell(), seq: newest?.seq ?? 0 });
    });
    const first = concat(hello, defer(() => missed.pipe(map((list) => from(list)))).pipe(mergeAll()));
    const beats = interval(HEARTBEAT).pipe(map(() => message('clock', this.clock.tell())));
    return merge(first, this.messages, beats, this.setClock()).pipe(takeUntil(this.closed));
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
      map(() => message('clock', this.clock.tell())),
    );
  }
}
