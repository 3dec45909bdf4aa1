import { randomUUID } from 'node:crypto';
import { aKitchen, Person, until } from './browser';

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

/** Somebody whose page stays open for days: it goes by its own device's clock. */
interface Weekend {
  readonly person: Person;
  /** The device is woken at another time, and its page is looked at again. */
  readonly wakes: (iso: string) => Promise<void>;
}

/** Opens a room on a day. */
async function on(iso: string, width: number, path: string): Promise<Weekend> {
  const person = await Person.at(kitchen.browser, kitchen.server.address, { width, height: width < 500 ? 844 : 800 });
  const ahead = (time: string): number => Date.parse(time) - Date.now();
  await person.page.evaluateOnNewDocument((shift: number) => {
    const Real = Date;
    const device = Object.assign(globalThis, { ahead: shift });
    const now = (): number => Real.now() + device.ahead;
    globalThis.Date = new Proxy(Real, {
      construct: (target, given: readonly number[]) =>
        given.length === 0 ? new target(now()) : new target(...(given as [number])),
      get: (target, key) => (key === 'now' ? now : (Reflect.get(target, key) as unknown)),
    });
  }, ahead(iso));
  await person.goes(path);
  return {
    person,
    wakes: (time) =>
      person.page.evaluate((shift: number) => {
        Object.assign(globalThis, { ahead: shift });
        document.dispatchEvent(new Event('visibilitychange'));
      }, ahead(time)),
  };
}

describe.each([390, 1280])('a Sunday dinner begun on Friday, at %d px', (width) => {
  test('the freezer on Friday, salt on Saturday, chickpeas on Sunday; each is done with one press', async () => {
    const { id } = await keeps(`Sunday at ${width}`);
    const kept = async (): Promise<Kept['plan']> => (await kitchen.asks<Kept>('GET', `/braises/${id}`)).plan;
    const { person, wakes } = await on('2027-01-15T07:00:00Z', width, '/');
    await person.reads(/Before the evening/);
    await person.reads(/Take the goat shoulder out of the freezer, into the fridge on a tray/);
    await person.reads(/Never on the counter/);
    await person.presses('button', /^Done: Take the goat shoulder/);
    // Pressed by mistake it is taken back, and pressed again.
    await person.reads(/done today/);
    await person.presses('button', /^Not done: Take the goat shoulder/);
    await until(async () => Object.keys((await kept()).aheadDone ?? {}).length === 0);
    await person.presses('button', /^Done: Take the goat shoulder/);
    await person.reads(/done today/);
    expect(Object.keys((await kept()).aheadDone ?? {})).toHaveLength(1);

    // The page stays where it is.
    await wakes('2027-01-16T12:00:00Z');
    await person.reads(/Salt the goat shoulder/);
    await person.presses('button', /^Done: Salt the goat shoulder/);
    await person.reads(/done today/);

    // The card for the wall has all three days.
    await person.walksTo(`/card/${id}`);
    await person.reads(/Friday 15 January.*:\s*Take the goat shoulder/);
    await person.reads(/Sunday 17 January.*:\s*Soak the/);

    // At four the chickpeas are still dry: the bench says what that means.
    await person.walksTo('/');
    await wakes('2027-01-17T14:30:00Z');
    await person.reads(/were not soaked long enough: boil them for two minutes/);
    expect(person.pageErrors).toEqual([]);
    await person.leaves();
    await kitchen.asks('DELETE', `/braises/${id}`);
  });

  test('still in the freezer at four: it says so, and cooks from frozen by one press', async () => {
    const { id } = await keeps(`Forgotten at ${width}`);
    const { person } = await on('2027-01-17T14:30:00Z', width, '/');
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

describe.each([390, 1280])('a Sunday dinner cooked on Saturday, at %d px', (width) => {
  test('cooked and put away the day before, warmed on its day, and what is left frozen', async () => {
    const plan = {
      format: 'hervir/braise',
      version: 2,
      name: `Ahead at ${width}`,
      target: 'fork',
      meat: { cut: 'beef-chuck', form: 'chunks', grams: 1500 },
      vegetables: [{ vegetable: 'carrot', grams: 400 }],
      serveAt: PLAN.serveAt,
    };
    const { id } = await kitchen.asks<{ id: string }>('POST', '/braises', { id: randomUUID(), plan });
    const { person, wakes } = await on('2027-01-15T18:00:00Z', width, `/bench/${id}`);
    await person.opens('Clock');
    await person.picks('Eaten', 'the evening after');
    await person.reads(/In the fridge by 19:00 tomorrow/);
    await person.reads(/min in ice water, about .* of ice, then the fridge/);
    await person.reads(/Warm it through on the hob/);
    await person.picks('Warmed', 'covered in the oven');
    await person.reads(/Warm it through in the oven/);
    // The kitchen has it, not only this page.
    await person.reads(/\bSaved\b/);

    await person.walksTo('/');
    await wakes('2027-01-16T11:00:00Z');
    await person.reads(/Cook the beef chuck, and put it away/);
    await person.walksTo(`/card/${id}`);
    await person.reads(/to have it in the fridge at 19:00/);
    await person.reads(/Sunday 17 January.*to eat at 19:00/);
    await person.reads(/Covered, into the oven at 160 °C, until its middle is at 74 °C/);
    await person.walksTo('/');
    await person.presses('button', /^Done: Cook the beef chuck/);
    await person.reads(/done today/);
    // Nothing of it is to be begun any more, and nothing is late.
    await person.page.waitForFunction(() => !/begin now/.test(document.body.innerText));

    await wakes('2027-01-17T15:00:00Z');
    await person.reads(/Lift the fat off the beef chuck and warm it through/);
    await person.reads(/To 74 °C in the middle, and only once/);
    await person.presses('button', /^Done: Lift the fat off/);
    await person.reads(/done today/);
    expect(person.pageErrors).toEqual([]);
    await person.leaves();
    await kitchen.asks('DELETE', `/braises/${id}`);
  });

  test('its day is cooked step by step: begun from Tonight, served, closed, and in the log as what it was', async () => {
    // At the pot the clock is the kitchen's: this dinner is soon by it.
    const hence = (hours: number): string => new Date(Date.now() + hours * 3_600_000).toISOString();
    const name = `Its day at ${width}`;
    const plan = {
      ...PLAN,
      name,
      grains: [],
      meat: { cut: 'beef-chuck', form: 'chunks', grams: 1500 },
      vegetables: [{ vegetable: 'carrot', grams: 400 }],
      cookAhead: { hours: 24 },
      serveAt: hence(3),
      aheadDone: { cook: hence(-22) },
    };
    const { id } = await kitchen.asks<{ id: string }>('POST', '/braises', { id: randomUUID(), plan });
    const person = await Person.at(kitchen.browser, kitchen.server.address, {
      width,
      height: width < 500 ? 844 : 800,
    });
    await person.goes('/');
    await person.presses('button', /^Start: Lift the fat off the beef chuck/);
    const title = (): Promise<string> => person.page.$eval('h1.now-title', ({ textContent }) => textContent);
    const seen: string[] = [];
    await person.page.waitForSelector('h1.now-title');
    for (let i = 0; i < 40 && !seen.at(-1)?.startsWith('On the table'); i += 1) {
      const before = await title();
      seen.push(before);
      if (before.startsWith('On the table')) break;
      if (before.includes('74 °C')) await person.reads(/To 74 °C in the middle, and only once/);
      await person.pressesBig();
      await person.page.waitForFunction(
        (old: string) => document.querySelector('h1.now-title')?.textContent !== old,
        {},
        before,
      );
    }
    expect(seen.join(' | ')).toMatch(/Lift the fat off.*until its middle is at 74 °C.*On the table at/);
    await person.presses('button', 'Keep it');
    await person.reads(/in the fridge/);
    await person.presses('button', 'Close this cook');
    await person.reads(/warmed and eaten/);
    // Eaten, there is nothing of it to begin any more.
    await person.page.waitForFunction(() => !document.body.innerText.includes('begin now'));
    const kept = await kitchen.asks<Kept>('GET', `/braises/${id}`);
    expect(Object.keys(kept.plan.aheadDone ?? {}).sort()).toEqual(['cook', 'warm']);
    await person.walksTo('/log');
    await person.presses('link', name);
    await person.reads(/Warm through/);
    expect(person.pageErrors).toEqual([]);
    await person.leaves();
    for (const one of await kitchen.asks<{ id: string; kept: object }[]>('GET', '/kept')) {
      await kitchen.asks('PUT', `/kept/${one.id}`, { ...one.kept, gone: 'eaten' });
    }
    await kitchen.asks('DELETE', `/braises/${id}`);
  });

  test('what was frozen is chosen for a dinner, thawed, warmed and used up; thrown away by mistake it comes back', async () => {
    const name = `Braised goat neck at ${width}`;
    const kept = { name, cut: 'goat-neck', portions: 3, grams: 1200, pieceCm: 3, place: 'freezer' };
    await kitchen.asks('POST', '/kept', {
      id: randomUUID(),
      kept: { ...kept, since: '2026-12-03T21:00:00+00:00' },
    });
    const { person } = await on('2027-01-15T18:00:00Z', width, '/');
    await person.reads(/three portions, 1\.2 kg, in the freezer since Thursday 3 December/);
    await person.presses('button', `Thrown away: ${name}`);
    await person.presses('button', 'Undo');
    await person.presses('button', `Eat it: ${name}`);
    // A date field has no text to type: it is filled as its calendar would.
    await person.page.locator('input[aria-label="Which day"]').fill('2027-01-17');
    await person.presses('button', 'Eat then');
    await person.reads(new RegExp(`Take the b${name.slice(1)} out of the freezer, into the fridge on a tray`));
    await person.presses('button', /^Done: Take the braised/);
    await person.reads(/in the fridge since Friday 15 January/);
    await person.presses('button', /^Done: Lift the fat off the braised/);
    await person.reads(`${name} is eaten.`);
    await until(async () => (await kitchen.asks<unknown[]>('GET', '/kept')).length === 0);
    expect(person.pageErrors).toEqual([]);
    await person.leaves();
  });
});
