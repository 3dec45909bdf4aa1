/** @jest-environment jsdom */
import { nowMs, setClock } from './kitchen-clock';

const SERVER = Date.parse('2027-01-17T16:00:00Z');
let wall = 0;
let steady = 0;

beforeEach(() => {
  wall = Date.parse('2027-01-17T15:40:00Z');
  steady = 1000;
  jest.spyOn(Date, 'now').mockImplementation(() => wall);
  jest.spyOn(performance, 'now').mockImplementation(() => steady);
  setClock({ now: new Date(SERVER).toISOString(), speed: 1 });
});
afterEach(() => jest.restoreAllMocks());

const passes = (ms: number): void => {
  wall += ms;
  steady += ms;
};

describe('the kitchen’s clock on a device', () => {
  test('is the server’s, however wrong the device’s own is', () => {
    expect(nowMs()).toBe(SERVER);
    passes(90_000);
    expect(nowMs()).toBe(SERVER + 90_000);
  });

  test('a device whose clock is put back counts on as before', () => {
    passes(60_000);
    wall -= 3_600_000;
    expect(nowMs()).toBe(SERVER + 60_000);
  });

  test('a device that slept, its steady count with it, wakes at the right moment', () => {
    passes(60_000);
    wall += 600_000;
    expect(nowMs()).toBe(SERVER + 660_000);
  });

  test('takes the server’s word again whenever it is heard', () => {
    wall += 7_200_000;
    setClock({ now: new Date(SERVER + 5000).toISOString(), speed: 1 });
    expect(nowMs()).toBe(SERVER + 5000);
  });

  test('is remembered by a page that is opened while the server is away', async () => {
    // The page opened anew.
    await jest.isolateModulesAsync(async () => {
      const opened = await import('./kitchen-clock');
      wall += 60_000;
      expect(opened.nowMs()).toBe(SERVER + 60_000);
    });
  });

  test('is known when the server has told it, or when the device knew it before: until then nothing counts down', async () => {
    await jest.isolateModulesAsync(async () => {
      localStorage.clear();
      const opened = await import('./kitchen-clock');
      expect(opened.useClockKnown.getState().known).toBe(false);
      opened.setClock({ now: new Date(SERVER).toISOString(), speed: 1 });
      expect(opened.useClockKnown.getState().known).toBe(true);
    });
    await jest.isolateModulesAsync(async () => {
      expect((await import('./kitchen-clock')).useClockKnown.getState().known).toBe(true);
    });
  });

  test('goes as fast as the server’s: tests run it fast', () => {
    setClock({ now: new Date(SERVER).toISOString(), speed: 60 });
    passes(1000);
    expect(nowMs()).toBe(SERVER + 60_000);
  });
});
