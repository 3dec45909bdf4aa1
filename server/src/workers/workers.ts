import { existsSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { MessageChannel, type MessagePort } from 'node:worker_threads';
import type { Read } from '@hervir/contract';
import type { Forecast, GuidePart, Plan } from '@hervir/core';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { Semaphore } from 'async-mutex';
import { Piscina } from 'piscina';
import { orBadRequest, refused } from '../security/faults';
import type * as jobs from './jobs';
import type { Order } from './thread';
import { say } from '@hervir/language';

type Jobs = typeof jobs;
/** What can be done beside the thread that answers requests. */
export type JobName = { [K in keyof Jobs]: Jobs[K] extends (input: never) => unknown ? K : never }[keyof Jobs];
type Input<K extends JobName> = Parameters<Jobs[K]>[0];
type Output<K extends JobName> = Awaited<ReturnType<Jobs[K]>>;

/** The built file of a thread; tests run this source beside it. */
const BUILT = join(__dirname, 'thread.js');
const FILE = existsSync(BUILT) ? BUILT : join(__dirname, '../../dist/workers/thread.js');

/** More that wait than this are asked to come again. */
const MOST_WAITING = 200;
/**
 * Nothing that is asked for while somebody waits takes longer, ms; a job that does is ended. The slowest plan there is takes two
 * seconds of a core: this is for a small machine that does other things besides.
 */
const LONGEST_MS = 60_000;
/** A thread may use so much, MB: a file that asks for more is refused, and the server goes on. */
const MOST_MB = 1024;
/** A thread that has nothing to do is kept for so long, ms. */
const IDLE_MS = 60_000;

/** How a job ends that does not end by itself. */
interface JobEnd {
  /** Counted from when it is begun, ms; null for as long as it takes. */
  readonly longestMs: number | null;
  readonly signal?: AbortSignal | undefined;
}

/**
 * A limit of time that counts from when a job is begun. Starting a thread takes a second or two of a core: on a busy machine
 * longer than the job, and a thread that is ended for it would have to be started again.
 */
class TimeLimit {
  private readonly abort = new AbortController();
  private readonly heard: MessagePort;
  private timer: NodeJS.Timeout | undefined;
  /** Goes with the job, and is told when it begins. */
  readonly begun: MessagePort;

  /** @param ms null for as long as it takes */
  constructor(ms: number | null) {
    const { port1, port2 } = new MessageChannel();
    [this.heard, this.begun] = [port1, port2];
    if (ms === null) return;
    port1.once('message', () => {
      this.timer = setTimeout(() => this.abort.abort(), ms);
    });
  }

  get signal(): AbortSignal {
    return this.abort.signal;
  }

  end(): void {
    clearTimeout(this.timer);
    this.heard.close();
  }
}

/** Threads of one kind, and who waits for them. */
interface Lane {
  readonly pool: Piscina;
  readonly gate: Semaphore;
  readonly waiting: { count: number };
}

function lane(maxThreads: number): Lane {
  const pool = new Piscina({
    filename: FILE,
    minThreads: 0,
    maxThreads,
    idleTimeout: IDLE_MS,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MB },
  });
  return { pool, gate: new Semaphore(maxThreads), waiting: { count: 0 } };
}

/**
 * Threads beside the one that answers requests: reckoning, reading and writing of whole files is done there, so that
 * everybody is answered meanwhile. Short jobs and long ones have threads of their own.
 */
@Injectable()
export class Workers implements OnModuleDestroy {
  private readonly short = lane(Math.max(2, Math.min(4, availableParallelism() - 1)));
  private readonly long = lane(1);

  /**
   * A job that somebody waits for.
   *
   * @throws HttpException 503 when too many wait, 422 when it takes too long or too much
   */
  run<K extends JobName>(name: K, input: Input<K>, longestMs = LONGEST_MS): Promise<Output<K>> {
    return this.done(this.short, name, input, { longestMs });
  }

  /** A job of whole files: one at a time, for as long as it takes, ended by its signal. */
  runLong<K extends JobName>(name: K, input: Input<K>, signal?: AbortSignal): Promise<Output<K>> {
    return this.done(this.long, name, input, { longestMs: null, signal });
  }

  /** Reads a plan and reckons it. */
  readPlan(input: unknown): Promise<Read<Plan>> {
    return this.run('readPlan', input);
  }

  /** @throws BadRequestException with the field for which a plan cannot be reckoned */
  async forecast(plan: Plan): Promise<Forecast> {
    return orBadRequest(await this.run('forecast', { plan }));
  }

  /** @throws BadRequestException with the field for which a plan cannot be reckoned */
  async guide(plan: Plan, part: GuidePart = 'evening'): Promise<jobs.Reckoned> {
    return orBadRequest(await this.run('guide', { plan, part }));
  }

  async onModuleDestroy(): Promise<void> {
    await Promise.all([this.short, this.long].map(({ pool }) => pool.destroy()));
  }

  /** A job begins when a thread is free for it and there: its time counts from then, and ending it ends no other. */
  private async done<K extends JobName>(
    { pool, gate, waiting }: Lane,
    name: K,
    input: Input<K>,
    { longestMs, signal }: JobEnd,
  ): Promise<Output<K>> {
    if (waiting.count >= MOST_WAITING)
      throw refused(503, say('workers.too-much-is-being-reckoned'), say('faults.again-in-a-moment'));
    const limit = new TimeLimit(longestMs);
    waiting.count += 1;
    try {
      return await gate.runExclusive(async () => {
        signal?.throwIfAborted();
        const order: Order = { name, input, begun: limit.begun };
        const ended = signal ?? limit.signal;
        return (await pool.run(order, { signal: ended, transferList: [limit.begun] })) as Output<K>;
      });
    } catch (error) {
      if ((error as { readonly code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY')
        throw refused(413, say('workers.is-too-large-to-be'), say('workers.a-smaller-file'));
      if (limit.signal.aborted)
        throw refused(422, say('workers.takes-too-long-to-be'), say('workers.something-smaller'));
      throw error;
    } finally {
      limit.end();
      waiting.count -= 1;
    }
  }
}
