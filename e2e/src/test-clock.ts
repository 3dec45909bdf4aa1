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
  remove(): void;
}

/** A clock at a moment, going as fast as the real one between the jumps a test makes. */
export function testClock(iso: string): TestClock {
  const folder = mkdtempSync(join(tmpdir(), 'hervir-clock-'));
  const file = join(folder, 'clock.json');
  let base = { now: Date.parse(iso), setAt: Date.now() };
  const now = (): number => base.now + (Date.now() - base.setAt);
  const set = (ms: number): void => {
    base = { now: ms, setAt: Date.now() };
    writeFileSync(
      file,
      JSON.stringify({ now: new Date(ms).toISOString(), setAt: new Date(base.setAt).toISOString(), speed: 1 }),
    );
  };
  set(base.now);
  return {
    file,
    now,
    set,
    forward: (minutes) => set(now() + minutes * 60_000),
    remove: () => rmSync(folder, { recursive: true, force: true }),
  };
}
