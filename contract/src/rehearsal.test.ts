import { BURNER_SHARE, EXERCISES, FAULTS, SAUTE_SHARE } from '@hervir/core';
import * as fc from 'fast-check';
import { readAct, readPace, readStartRehearsal, SPEEDS } from './rehearsal';

const ID = '5e4177b8-253c-4e42-895e-09934a6c47c2';
const accepted = (command: object): boolean => readAct({ act: 'command', command }).ok;

describe('acts of a rehearsal', () => {
  test('a cooker’s commands: every level of sauté and burner, minutes, valve, lid, keep warm', () => {
    for (const level of Object.keys(SAUTE_SHARE))
      expect([level, accepted({ do: 'saute', level })]).toEqual([level, true]);
    for (const level of Object.keys(BURNER_SHARE))
      expect([level, accepted({ do: 'burner', level })]).toEqual([level, true]);
    for (const command of [
      { do: 'pressure', minutes: 30 },
      { do: 'cancel' },
      { do: 'keepWarm', on: false },
      { do: 'valve', to: 'open' },
      { do: 'lid', to: 'on' },
    ]) {
      expect([command, accepted(command)]).toEqual([command, true]);
    }
  });

  test.each([
    [{ do: 'saute', level: 'volcanic' }],
    [{ do: 'pressure', minutes: -1 }],
    [{ do: 'pressure', minutes: 100_000 }],
    [{ do: 'pressure' }],
    [{ do: 'valve', to: 'half' }],
    [{ do: 'explode' }],
    [{ do: 'cancel', really: true }],
  ])('%j is refused', (command) => {
    expect(accepted(command)).toBe(false);
  });

  test('every fault can be thrown in and taken out', () => {
    for (const fault of FAULTS) {
      for (const on of [true, false]) expect(readAct({ act: 'fault', fault, on }).ok).toBe(true);
    }
    expect(readAct({ act: 'fault', fault: 'earthquake', on: true }).ok).toBe(false);
  });

  test('a press is with hands unless it says that it is only told', () => {
    const press = { act: 'press', event: { id: ID, kind: 'pinUp', at: '2027-01-17T16:00:00Z' } };
    const read = readAct(press);
    expect(read.ok && read.value).toMatchObject({ hands: true, event: { kind: 'pinUp', payload: {} } });
    const idle = readAct({ ...press, hands: false });
    expect(idle.ok && idle.value).toMatchObject({ hands: false });
  });

  test('hands scrape, pour, put in and lift; not a thousandth vegetable', () => {
    for (const hand of [{ do: 'scrape' }, { do: 'pour', ml: 120 }, { do: 'put', plant: 0 }, { do: 'lift', plant: 3 }]) {
      expect([hand, readAct({ act: 'hand', hand }).ok]).toEqual([hand, true]);
    }
    expect(readAct({ act: 'hand', hand: { do: 'put', plant: 1000 } }).ok).toBe(false);
    expect(readAct({ act: 'hand', hand: { do: 'pour', ml: -5 } }).ok).toBe(false);
  });

  test('anything at all gives an act or faults with a place, and never throws', () => {
    fc.assert(
      fc.property(fc.anything(), (input) => {
        const read = readAct(input);
        if (!read.ok) expect(read.faults.every(({ problem, allowed }) => problem !== '' && allowed !== '')).toBe(true);
      }),
      { numRuns: 300 },
    );
  });
});

describe('its pace and its beginning', () => {
  test(`goes from ${SPEEDS.min} to ${SPEEDS.max} times, and says so where it is asked for more`, () => {
    for (const speed of [SPEEDS.min, 60, SPEEDS.max]) expect(readPace({ speed }).ok).toBe(true);
    for (const speed of [0, -1, SPEEDS.max + 1, Number.NaN]) {
      const read = readPace({ speed });
      expect(read.ok ? [] : read.faults.map(({ path }) => path)).toEqual(['speed']);
    }
    const fast = readPace({ speed: 1000 });
    expect(fast.ok ? '' : fast.faults[0]?.allowed).toContain('1 to 300 times');
  });

  test('begins with an exercise, without scatter and without faults unless told', () => {
    for (const exercise of EXERCISES) {
      const read = readStartRehearsal({ id: ID, exercise });
      expect(read.ok && read.value).toMatchObject({ exercise, scatter: false, faults: [] });
    }
    expect(readStartRehearsal({ id: ID, exercise: 'flambé' }).ok).toBe(false);
    expect(readStartRehearsal({ exercise: EXERCISES[0] }).ok).toBe(false);
  });
});
