import type { Pace } from '@hervir/contract';
import type { CookerCommand, Frame, Refusal, SimulatedCook } from '@hervir/core';
import { concat, from, Subject, type Observable } from 'rxjs';
import type { CookerLink } from './cooker-link';
import { goOn } from './pace';

/** Frames of a message: what came in one tick, or a part of what was missed. */
const MOST_FRAMES = 500;

/** The simulated cooker behind its link, with its clock. */
export class SimulatedCooker implements CookerLink {
  private readonly fresh = new Subject<readonly Frame[]>();
  private told = 0;
  private left = 0;
  private watchers = 0;
  pace: Pace;
  /** How fast its time goes now. */
  speed = 0;

  constructor(
    readonly run: SimulatedCook,
    pace: Pace,
  ) {
    this.pace = pace;
    this.told = run.frames.length;
  }

  /** How many listen. */
  get listeners(): number {
    return this.watchers;
  }

  telemetry(after: number | null): Observable<readonly Frame[]> {
    const missed = this.run.frames.slice((after ?? -1) + 1, this.told);
    const chunks: (readonly Frame[])[] = [];
    for (let i = 0; i < missed.length; i += MOST_FRAMES) chunks.push(missed.slice(i, i + MOST_FRAMES));
    return concat(from(chunks), this.fresh);
  }

  /** Counts who listens: a rehearsal that nobody watches stands still. */
  watch(): () => void {
    this.watchers += 1;
    return () => {
      this.watchers -= 1;
    };
  }

  send(command: CookerCommand): Refusal {
    const refused = this.run.command(command);
    this.tell();
    return refused;
  }

  /** Real time has gone by. */
  tick(seconds: number): void {
    if (this.pace.paused) {
      this.speed = 0;
      this.left = 0;
      return;
    }
    const gone = goOn(this.run, this.pace, this.left + seconds);
    this.left = gone.left;
    this.speed = gone.speed;
    this.tell();
  }

  /** Passes on what is new. */
  tell(): void {
    const { frames } = this.run;
    if (frames.length === this.told) return;
    const fresh = frames.slice(this.told);
    this.told = frames.length;
    this.fresh.next(fresh);
  }

  close(): void {
    this.fresh.complete();
  }
}
