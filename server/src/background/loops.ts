import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { PinoLogger } from 'nestjs-pino';
import { Subject } from 'rxjs';

/** What a background loop cannot do at the moment; null once it can again. */
export interface Trouble {
  readonly loop: string;
  readonly problem: string | null;
}

/** Between tries of a loop that fails: twice as long each time, up to this, ms. */
const LONGEST_PAUSE = 30_000;

/** Work that is done again and again, and never twice at once. */
export interface Loop {
  /** Ends it; answers when the work under way is done. */
  stop(): Promise<void>;
}

/**
 * The one home of what goes on in the background. A loop that fails is written down, told to the pages, tried again after a
 * pause that grows, and never ends the server; a server that stops waits for the work under way.
 */
@Injectable()
export class Loops implements OnModuleDestroy {
  private readonly running = new Set<Loop>();
  private readonly failing = new Map<string, string>();
  /** What pages are told. */
  readonly news = new Subject<Trouble>();

  constructor(private readonly log: PinoLogger) {}

  /**
   * Begins a loop.
   *
   * @param name for the log and the page
   * @param everyMs from the end of one turn to the beginning of the next
   * @param work one turn
   * @param firstMs before the first turn; left out, as between turns
   */
  start(name: string, everyMs: number, work: () => Promise<void>, firstMs = everyMs): Loop {
    let stopped = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let turn: Promise<void> = Promise.resolve();
    let failures = 0;
    const wait = (ms: number): void => {
      if (!stopped) timer = setTimeout(() => void (turn = go()), ms);
    };
    const go = async (): Promise<void> => {
      try {
        await work();
        failures = 0;
        this.tell(name, null);
        wait(everyMs);
      } catch (error) {
        failures += 1;
        this.log.error({ err: error, loop: name }, 'a background loop failed; it goes on');
        this.tell(name, error instanceof Error ? error.message : String(error));
        wait(Math.min(LONGEST_PAUSE, everyMs * 2 ** Math.min(20, failures)));
      }
    };
    wait(firstMs);
    const loop: Loop = {
      stop: async () => {
        stopped = true;
        clearTimeout(timer);
        this.running.delete(loop);
        await turn;
      },
    };
    this.running.add(loop);
    return loop;
  }

  /** What fails at the moment. */
  trouble(): Trouble[] {
    return [...this.failing].map(([loop, problem]) => ({ loop, problem }));
  }

  async onModuleDestroy(): Promise<void> {
    await Promise.all([...this.running].map((loop) => loop.stop()));
  }

  private tell(loop: string, problem: string | null): void {
    if ((this.failing.get(loop) ?? null) === problem) return;
    if (problem === null) this.failing.delete(loop);
    else this.failing.set(loop, problem);
    this.news.next({ loop, problem });
  }
}
