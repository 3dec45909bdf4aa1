import { mkdtempSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Clock } from './clock';

describe('a clock that goes by a file', () => {
  const folder = mkdtempSync(join(tmpdir(), 'hervir-clock-'));
  const file = join(folder, 'clock.json');
  afterAll(() => rmSync(folder, { recursive: true, force: true }));
  /** A file system counts such times in steps: two writes may bear the same. */
  const writes = (text: string, at: number): void => {
    writeFileSync(file, text);
    utimesSync(file, at, at);
  };
  const standsAt = (now: string): string => JSON.stringify({ now, setAt: new Date().toISOString(), speed: 0 });

  test('met in the middle of being written it goes on, and takes what then stands there', () => {
    const clock = new Clock(file);
    writes(standsAt('2027-01-17T16:00:00Z'), 1000);
    expect(clock.now()).toBe('2027-01-17T16:00:00.000Z');
    writes('', 1001);
    expect(clock.now()).toBe('2027-01-17T16:00:00.000Z');
    writes(standsAt('2027-01-17T17:30:00Z'), 1001);
    expect(clock.now()).toBe('2027-01-17T17:30:00.000Z');
    expect(clock.tell()).toEqual({ now: '2027-01-17T17:30:00.000Z', speed: 0 });
  });

  test('it goes on from there as fast as it is told to', () => {
    const setAt = Date.now() - 60_000;
    writes(JSON.stringify({ now: '2027-01-17T16:00:00Z', setAt: new Date(setAt).toISOString(), speed: 60 }), 1002);
    const clock = new Clock(file);
    const at = (real: number): number => Date.parse('2027-01-17T16:00:00Z') + (real - setAt) * 60;
    const before = Date.now();
    const now = clock.nowMs();
    expect(now).toBeGreaterThanOrEqual(at(before));
    expect(now).toBeLessThanOrEqual(at(Date.now()));
    expect(clock.tell().speed).toBe(60);
  });

  test('without one it is the real clock', () => {
    const before = Date.now();
    const now = new Clock(undefined).nowMs();
    expect(now).toBeGreaterThanOrEqual(before);
    expect(now).toBeLessThanOrEqual(Date.now());
  });
});
