import { readFileSync, statSync } from 'node:fs';
import type { ClockNow } from '@hervir/contract';
import { Injectable } from '@nestjs/common';

/** How a test sets the clock: a moment, when it was set by the real clock, and how fast it goes from there. */
interface Setting {
  readonly now: string;
  readonly setAt: string;
  readonly speed: number;
}

/** What such a file says, or null while it is being written. */
function wholeSetting(text: string): Setting | null {
  try {
    return JSON.parse(text) as Setting;
  } catch {
    return null;
  }
}

/**
 * The one clock of the server: injected, so that tests can set it. Started with HERVIR_TEST_CLOCK naming a file, it goes
 * by that file and looks at it again when it changes; no request can reach it.
 */
@Injectable()
export class Clock {
  private setting: Setting | null = null;
  private seen = 0;

  constructor(private readonly file = process.env['HERVIR_TEST_CLOCK']) {}

  /** Now, as an ISO 8601 time in UTC. */
  now(): string {
    return new Date(this.nowMs()).toISOString();
  }

  /** Now, ms since 1970. */
  nowMs(): number {
    const set = this.look();
    if (set === null) return Date.now();
    return Date.parse(set.now) + (Date.now() - Date.parse(set.setAt)) * set.speed;
  }

  /** What devices go by. */
  tell(): ClockNow {
    return { now: this.now(), speed: this.look()?.speed ?? 1 };
  }

  private look(): Setting | null {
    if (this.file === undefined) return null;
    const { mtimeMs } = statSync(this.file);
    if (mtimeMs !== this.seen) {
      const whole = wholeSetting(readFileSync(this.file, 'utf8'));
      // Caught in the middle of being written it is looked at again, even where the whole of it bears the same time.
      if (whole !== null) [this.setting, this.seen] = [whole, mtimeMs];
    }
    return this.setting;
  }
}
