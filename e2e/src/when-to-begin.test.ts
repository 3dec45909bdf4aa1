import { randomUUID } from 'node:crypto';
import { aKitchen, Person, until } from './browser';

const kitchen = aKitchen({ demo: false });

const PLAN = {
  format: 'hervir/braise',
  version: 2,
  target: 'fork',
  meat: { cut: 'goat-shoulder', form: 'chunks', grams: 1300 },
  pressureMinutes: 20,
};

/** Sooner than any braise. */
const anHourFromNow = (): string => `${new Date(Date.now() + 3_600_000).toISOString().slice(0, 19)}+00:00`;

/** A plan that is kept, with a dinner or without */
const keeps = (serveAt: string | null, name: string): Promise<{ id: string }> =>
  kitchen.asks('POST', '/braises', { id: randomUUID(), plan: { ...PLAN, name, serveAt } });

describe.each([390, 1280])('when to begin, at %d px', (width) => {
  const opens = (): Promise<Person> =>
    Person.at(kitchen.browser, kitchen.server.address, { width, height: width < 500 ? 844 : 800 });
  test('what should have been begun says so on Tonight and on the bench, with what it makes of dinner', async () => {
    const { id } = await keeps(anHourFromNow(), `Begun too late at ${width}`);
    const person = await opens();
    await person.goes('/');
    await person.reads(new RegExp(`Begun too late at ${width}\\s*▲ begin now, .* late`));
    await person.walksTo(`/bench/${id}`);
    await person.reads(/Begin now, .* late: dinner \d\d:\d\d, not/);
    expect(await person.text()).not.toMatch(/Begin \d\d:\d\d/);
    expect(person.pageErrors).toEqual([]);
    await person.leaves();
    // Put away again, so that the next one is what to begin next.
    await kitchen.asks('DELETE', `/braises/${id}`);
  });

  test('a plan without a dinner is given one on Tonight, or on the bench, and its calendar comes', async () => {
    const name = `For some day at ${width}`;
    const { id } = await keeps(null, name);
    const person = await opens();
    await person.goes('/');
    // Above the plans the first steps of a new kitchen come in: until then every plan moves down under the finger.
    await person.reads('New here?');
    await person.presses('button', `Say when we eat ${name}`);
    await person.presses('button', 'Eat then');
    await person.reads(new RegExp(`Begin next\\s*${name}`));
    await person.leaves();
    await kitchen.asks('DELETE', `/braises/${id}`);

    const other = await keeps(null, 'For another day');
    const onBench = await opens();
    await onBench.goes(`/bench/${other.id}`);
    await onBench.reads('no dinner time yet');
    expect(await onBench.text()).not.toContain('Calendar with alarms');
    await onBench.presses('button', 'no dinner time yet');
    await onBench.presses('button', 'Eat then');
    await onBench.reads(/to eat at\s+19:00/);
    await until(async () => (await fetch(`${kitchen.server.address}/api/braises/${other.id}/calendar.ics`)).ok);
    expect(onBench.pageErrors).toEqual([]);
    await onBench.leaves();
    await kitchen.asks('DELETE', `/braises/${other.id}`);
  });
});
