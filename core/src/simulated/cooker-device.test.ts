import type { Text } from '@hervir/language/message';
import { DEFAULT_COOKER } from '../plan/defaults';
import { potBuild } from '../pot/cooker';
import { DEFAULT_KITCHEN } from '../testing/fixtures';
import { BURNER_SHARE, CookerDevice, SAUTE_SHARE, type CookerCommand, type Signal } from './cooker-device';

const stovetop = { ...DEFAULT_COOKER, kind: 'stovetop', burner: 'gas', timerStarts: 'pin' } as const;
const electric = (): CookerDevice => new CookerDevice(DEFAULT_COOKER);
/** Presses buttons one after another; what was refused, and what was signalled. */
function pressed(
  device: CookerDevice,
  commands: readonly CookerCommand[],
  pinIsUp = false,
): { refused: (Text | null)[]; signals: Signal[] } {
  const signals: Signal[] = [];
  const refused = commands.map((command) => device.obey(command, pinIsUp, (signal) => signals.push(signal)));
  return { refused, signals };
}

describe('an electric cooker', () => {
  test('runs pressure only with its lid locked, and sautés only without', () => {
    const device = electric();
    expect(pressed(device, [{ do: 'pressure', minutes: 30 }]).refused).toEqual(['The lid is not locked.']);
    expect(pressed(device, [{ do: 'saute', level: 'high' }]).refused).toEqual([null]);
    const { refused } = pressed(device, [
      { do: 'lid', to: 'on' },
      { do: 'saute', level: 'high' },
      { do: 'pressure', minutes: 30 },
    ]);
    expect(refused).toEqual([null, 'Sauté is for the open pot: the lid is on.', null]);
    expect(device).toMatchObject({ mode: 'pressure', minutes: 30, counted: null });
  });

  test('never lets the lid off while the pin is up (every manual; common practice)', () => {
    const device = electric();
    pressed(device, [{ do: 'lid', to: 'on' }]);
    expect(pressed(device, [{ do: 'lid', to: 'off' }], true).refused[0]).toContain('never force it');
    expect(device.lid).toBe('on');
    expect(pressed(device, [{ do: 'lid', to: 'off' }]).refused).toEqual([null]);
  });

  test('counts its minutes down, then keeps warm or goes off as it is set', () => {
    for (const keepWarm of [true, false]) {
      const device = electric();
      pressed(device, [
        { do: 'keepWarm', on: keepWarm },
        { do: 'lid', to: 'on' },
        { do: 'pressure', minutes: 30 },
      ]);
      expect(device.leftMinutes).toBeNull();
      device.startCounting();
      expect(device.leftMinutes).toBe(30);
      device.counted = 12;
      expect(device.leftMinutes).toBe(18);
      device.end();
      expect(device).toMatchObject({ mode: keepWarm ? 'keep-warm' : 'off', counted: null });
    }
  });

  test('without power it gives no heat, whatever it is set to; a gas burner does', () => {
    const [dead, gas] = [electric(), new CookerDevice(stovetop)];
    for (const device of [dead, gas]) {
      pressed(device, [
        { do: 'lid', to: 'on' },
        device === gas ? { do: 'burner', level: 'full' } : { do: 'pressure', minutes: 30 },
      ]);
      const build = potBuild(device === gas ? stovetop : DEFAULT_COOKER, DEFAULT_KITCHEN);
      expect(device.watts(build)).toBeGreaterThan(500);
      device.dead = true;
      expect(device.watts(build) > 0).toBe(device === gas);
    }
  });

  test('after a burn error it does nothing until it is cancelled', () => {
    const device = electric();
    pressed(device, [
      { do: 'lid', to: 'on' },
      { do: 'pressure', minutes: 30 },
    ]);
    device.trip();
    expect(pressed(device, [{ do: 'pressure', minutes: 30 }]).refused[0]).toContain('burn error');
    const { refused, signals } = pressed(device, [{ do: 'cancel' }, { do: 'pressure', minutes: 30 }]);
    expect(refused).toEqual([null, null]);
    expect(signals).toEqual(['cancelled', 'started']);
  });

  test('without power its program is lost, and it asks for no heat', () => {
    const device = electric();
    const build = potBuild(DEFAULT_COOKER, DEFAULT_KITCHEN);
    pressed(device, [
      { do: 'lid', to: 'on' },
      { do: 'pressure', minutes: 30 },
    ]);
    expect(device.watts(build)).toBeGreaterThan(300);
    device.power(false);
    expect(device).toMatchObject({ mode: 'off', counted: null });
    expect(device.watts(build)).toBe(0);
    expect(pressed(device, [{ do: 'pressure', minutes: 30 }]).refused).toEqual(['There is no power.']);
    device.power(true);
    expect(pressed(device, [{ do: 'pressure', minutes: 30 }]).refused).toEqual([null]);
  });

  test('the levels of its sauté are shares of its heat, each with a thermostat of its own', () => {
    const build = potBuild(DEFAULT_COOKER, DEFAULT_KITCHEN);
    const seen = (['low', 'mid', 'high'] as const).map((level) => {
      const device = electric();
      pressed(device, [{ do: 'saute', level }]);
      expect(device.watts(build)).toBeCloseTo(build.heaterW * SAUTE_SHARE[level], 6);
      return device.thermostatC;
    });
    expect(seen).toEqual([...seen].sort((a, b) => a - b));
    expect(new Set(seen).size).toBe(3);
  });

  test('a weak sauté gives less; under the lid it is as strong as ever', () => {
    const build = potBuild(DEFAULT_COOKER, DEFAULT_KITCHEN);
    const [weak, strong] = [electric(), electric()];
    weak.sauteFactor = 0.55;
    for (const device of [weak, strong]) pressed(device, [{ do: 'saute', level: 'high' }]);
    expect(weak.watts(build) / strong.watts(build)).toBeCloseTo(0.55, 6);
    for (const device of [weak, strong])
      pressed(device, [
        { do: 'lid', to: 'on' },
        { do: 'pressure', minutes: 5 },
      ]);
    expect(weak.watts(build)).toBe(strong.watts(build));
  });

  test('what is already so is neither refused nor signalled again', () => {
    const device = electric();
    const { signals } = pressed(device, [
      { do: 'valve', to: 'closed' },
      { do: 'valve', to: 'closed' },
      { do: 'lid', to: 'on' },
      { do: 'lid', to: 'on' },
    ]);
    expect(signals).toEqual(['valveClosed', 'lidLocked']);
  });

  test('has no burner', () => {
    expect(pressed(electric(), [{ do: 'burner', level: 'full' }]).refused[0]).toContain('no burner');
  });
});

describe('a stovetop pot', () => {
  test('has a burner in the cook’s hand, and no programs', () => {
    const device = new CookerDevice(stovetop);
    const { refused } = pressed(device, [
      { do: 'saute', level: 'high' },
      { do: 'pressure', minutes: 30 },
      { do: 'keepWarm', on: true },
    ]);
    for (const reason of refused) expect(reason).toBe('A stovetop pot has no programs: turn the burner.');
    expect(device.electric).toBe(false);
  });

  test('its heat follows the flame; held at the pin it no longer blows off', () => {
    const build = potBuild(stovetop, DEFAULT_KITCHEN);
    const device = new CookerDevice(stovetop);
    const heat = (Object.keys(BURNER_SHARE) as (keyof typeof BURNER_SHARE)[]).map((level) => {
      pressed(device, [{ do: 'burner', level }]);
      return device.watts(build);
    });
    expect(heat[0]).toBe(0);
    expect(heat).toEqual([...heat].sort((a, b) => a - b));
    pressed(device, [{ do: 'burner', level: 'full' }]);
    expect(device.regulated).toBe(false);
    pressed(device, [{ do: 'burner', level: 'hold' }]);
    expect(device.regulated).toBe(true);
  });

  test('a power cut is nothing to a flame', () => {
    const device = new CookerDevice(stovetop);
    pressed(device, [{ do: 'burner', level: 'full' }]);
    device.power(false);
    expect(device.watts(potBuild(stovetop, DEFAULT_KITCHEN))).toBeGreaterThan(0);
  });

  test('cancel turns it off', () => {
    const device = new CookerDevice(stovetop);
    const { signals } = pressed(device, [{ do: 'burner', level: 'full' }, { do: 'cancel' }]);
    expect(signals).toEqual(['started', 'cancelled']);
    expect(device.watts(potBuild(stovetop, DEFAULT_KITCHEN))).toBe(0);
  });
});
