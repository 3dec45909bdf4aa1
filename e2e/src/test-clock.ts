import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** The clock of a test's kitchen: set and moved by the test, read by the server, followed by every page. */
export interface TestClock {
  /** For the server that goes by it. */
  readonly file: string;
  now(): number;
  set(ms: number): void;
  /** Moves it on by minutes. */
  forward(minutes: number): void;
  /** From now on it stands still but for being moved on, until it is set. */
  stand(): void;
  remove(): void;
}

/** A clock at a moment, going as fast as the real one between the jumps a test makes. */
export function testClock(iso: string): TestClock {
  const folder = mkdtempSync(join(tmpdir(), 'hervir-clock-'));
  const file = join(folder, 'clock.json');
  let base = { now: Date.parse(iso), setAt: Date.now(), speed: 1 };
  const now = (): number => base.now + (Date.now() - base.setAt) * base.speed;
  const goes = (ms: number, speed: number): void => {
    base = { now: ms, setAt: Date.now(), speed };
    const [at, setAt] = [ms, base.setAt].map((one) => new Date(one).toISOString());
    writeFileSync(file, JSON.stringify({ now: at, setAt, speed }));
  };
  goes(base.now, 1);
  return {
    file,
    now,
    set: (ms) => goes(ms, 1),
    forward: (minutes) => goes(now() + minutes * 60_000, base.speed),
    stand: () => goes(now(), 0),
    remove: () => rmSync(folder, { recursive: true, force: true }),
  };
}
