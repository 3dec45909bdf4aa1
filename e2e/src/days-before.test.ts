import { randomUUID } from 'node:crypto';
import { aKitchen, Person } from './browser';

const kitchen = aKitchen({ demo: false });

const PLAN = {
  format: 'hervir/braise',
  version: 2,
  target: 'fork',
  meat: { cut: 'goat-shoulder', form: 'whole', grams: 2000, thaw: 'fridge', salted: 'ahead' },
  grains: [{ grain: 'chickpea-soaked', grams: 200, place: 'auto' }],
  serveAt: '2027-01-17T19:00:00+00:00',
};

interface Kept {
  readonly plan: { readonly meat: { readonly startsFrom: string }; readonly aheadDone?: Record<string, string> };
}
const keeps = (name: string): Promise<{ id: string }> =>
  kitchen.asks('POST', '/braises', { id: randomUUID(), plan: { ...PLAN, name } });

/** Opens the kitchen on a day: a page that waits for one goes by its own device's clock. */
async function on(iso: string, width: number): Promise<Person> {
  const person = await Person.at(kitchen.browser, kitchen.server.address, { width, height: width < 500 ? 844 : 800 });
  await person.page.evaluateOnNewDocument(
    (shift: number) => {
      const Real = Date;
      globalThis.Date = new Proxy(Real, {
        construct: (target, given: readonly number[]) =>
          given.length === 0 ? new target(Real.now() + shift) : new target(...(given as [number])),
        get: (target, key) => (key === 'now' ? () => Real.now() + shift : (Reflect.get(target, key) as unknown)),
      });
    },
    Date.parse(iso) - Date.now(),
  );
  return person;
}

describe.each([390, 1280])('a Sunday dinner begun on Friday, at %d px', (width) => {
  test('the freezer on Friday, salt on Saturday, chickpeas on Sunday; each is done with one press', async () => {
    const { id } = await keeps(`Sunday at ${width}`);
    const kept = async (): Promise<Kept['plan']> => (await kitchen.asks<Kept>('GET', `/braises/${id}`)).plan;
    const friday = await on('2027-01-15T07:00:00Z', width);
    await friday.goes('/');
    await friday.reads(/Before the evening/);
    await friday.reads(/Take the goat shoulder out of the freezer, into the fridge on a tray/);
    await friday.reads(/Never on the counter/);
    await friday.presses('button', /^Done: Take the goat shoulder/);
    // Nothing more today: the list goes with the last of it.
    await friday.page.waitForFunction(() => !document.body.innerText.includes('out of the freezer'));
    expect(Object.keys((await kept()).aheadDone ?? {})).toHaveLength(1);

    await friday.leaves();

    const saturday = await on('2027-01-16T12:00:00Z', width);
    await saturday.goes('/');
    await saturday.reads(/Salt the goat shoulder/);
    await saturday.presses('button', /^Done: Salt the goat shoulder/);
    await saturday.page.waitForFunction(() => !document.body.innerText.includes('Salt the goat'));

    // The card for the wall has all three days.
    await saturday.goes(`/card/${id}`);
    await saturday.reads(/Friday, 15 January.*:\s*Take the goat shoulder/);
    await saturday.reads(/Sunday, 17 January.*:\s*Soak the/);
    await saturday.leaves();

    // At four the chickpeas are still dry: the bench says what that means.
    const person = await on('2027-01-17T14:30:00Z', width);
    await person.goes('/');
    await person.reads(/were not soaked long enough: boil them for two minutes/);
    expect(person.pageErrors).toEqual([]);
    await person.leaves();
    await kitchen.asks('DELETE', `/braises/${id}`);
  });

  test('still in the freezer at four: it says so, and cooks from frozen by one press', async () => {
    const { id } = await keeps(`Forgotten at ${width}`);
    const person = await on('2027-01-17T14:30:00Z', width);
    await person.goes('/');
    await person.reads(/is still in the freezer: it will be frozen in the middle/);
    await person.presses('button', /^Reckon with it: The goat shoulder is still in the freezer/);
    await person.page.waitForFunction(() => !document.body.innerText.includes('is still in the freezer'));
    const { plan } = await kitchen.asks<Kept>('GET', `/braises/${id}`);
    expect(plan.meat.startsFrom).toBe('frozen');
    expect(person.pageErrors).toEqual([]);
    await person.leaves();
    await kitchen.asks('DELETE', `/braises/${id}`);
  });
});
