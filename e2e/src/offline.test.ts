import { randomUUID } from 'node:crypto';
import { aKitchen, Person, until } from './browser';

const kitchen = aKitchen({ clockAt: '2027-01-17T15:00:00Z' });

/** Events of a cook that are on the server's disk, in their order. */
async function kept(cook: string): Promise<{ kind: string; at: string }[]> {
  const answer = await fetch(`${kitchen.server.address}/api/cooks/${cook}`);
  return ((await answer.json()) as { events: { kind: string; at: string }[] }).events;
}

describe('without the server', () => {
  test('a cook goes on, also on a page that is opened anew; rooms show what was last read; presses arrive after', async () => {
    const person = await Person.at(kitchen.browser, kitchen.server.address, undefined, { keepsApp: true });
    await person.goes('/settings');
    await person.reads('Hervir is kept here');
    await person.goes('/');
    await person.opensPlan('Goat neck with quince');
    const braise = new URL(person.page.url()).pathname.split('/').pop() ?? '';
    const cook = randomUUID();
    await kitchen.asks('POST', '/cooks', { id: cook, startedEventId: randomUUID(), braiseId: braise });
    await person.goes(`/cook/${cook}`);
    const title = (): Promise<string> => person.page.$eval('main h1', (words) => words.textContent ?? '');
    await person.page.waitForSelector('[aria-label="Now"] .big-button:enabled');
    const first = await title();
    const before = (await kept(cook)).length;

    await kitchen.powerGoes();
    // Pressed into the void, and then the page itself is thrown away and opened anew.
    await person.pressesBig();
    await person.page.waitForFunction(
      (was: string) => document.querySelector('main h1')?.textContent !== was,
      {},
      first,
    );
    const second = await title();
    await person.page.reload({ waitUntil: 'domcontentloaded' });
    await person.page.waitForFunction(
      (wanted: string) => document.querySelector('main h1')?.textContent === wanted,
      {},
      second,
    );
    await person.reads('The server is away');
    // Dinner is still told by the kitchen's clock, which is not this device's: that one says another year.
    await person.reads(/1[89]:\d\d/);

    // Another room, from what was last read; a plan too.
    await person.goes('/');
    await person.reads(/The server is away\. What you see is as of \d\d:\d\d/);
    await person.goes(`/bench/${braise}`);
    await person.reads(/minutes under pressure/);

    await kitchen.powerIsBack();
    await person.page.waitForFunction(() => !document.body.innerText.includes('The server is away'));
    await person.goes(`/cook/${cook}`);
    await person.page.waitForFunction(
      (wanted: string) => document.querySelector('main h1')?.textContent === wanted,
      {},
      second,
    );
    // The page shows a press at once; it is kept here until the server has it.
    await until(async () => (await kept(cook)).length > before);
    const after = await kept(cook);
    expect(after).toHaveLength(before + 1);
    expect(new Set(after.map(({ at }) => at)).size).toBe(after.length);
    expect(person.pageErrors).toEqual([]);
    expect(person.strayRequests).toEqual([]);
    await person.leaves();
  });

  test('an alarm still rings: the title of the window says so when a count is over', async () => {
    const person = await Person.at(
      kitchen.browser,
      kitchen.server.address,
      { width: 390, height: 844 },
      { keepsApp: true },
    );
    await person.goes('/settings');
    await person.reads('Hervir is kept here');
    const braises = await kitchen.asks<{ id: string }[]>('GET', '/braises');
    const cook = randomUUID();
    await kitchen.asks('POST', '/cooks', { id: cook, startedEventId: randomUUID(), braiseId: braises[0]?.id });
    await person.goes(`/cook/${cook}`);
    for (let title = ''; !/^Batch 1/.test(title);) {
      await person.page.waitForSelector('[aria-label="Now"] .big-button:enabled');
      title = await person.page.$eval('main h1', (words) => words.textContent ?? '');
      if (/^Batch 1/.test(title)) break;
      await person.pressesBig();
      await person.page.waitForFunction(
        (was: string) => document.querySelector('main h1')?.textContent !== was,
        {},
        title,
      );
    }
    expect(await person.page.title()).not.toMatch(/^[▲■]/);
    await kitchen.powerGoes();
    await person.reads('The server is away');
    // The page's steady count runs on, with nobody to ask.
    await person.page.evaluate(() => {
      const real = performance.now.bind(performance);
      performance.now = () => real() + 3_600_000;
    });
    await person.page.waitForFunction(() => /^[▲■]/.test(document.title));
    await person.leaves();
    await kitchen.powerIsBack();
  });

  test('the second of two tabs follows the first, with the server and without, and goes on when the first is closed', async () => {
    const first = await Person.at(kitchen.browser, kitchen.server.address);
    const [plan] = await kitchen.asks<{ id: string }[]>('GET', '/braises');
    const cook = randomUUID();
    await kitchen.asks('POST', '/cooks', { id: cook, startedEventId: randomUUID(), braiseId: plan?.id });
    await first.goes(`/cook/${cook}`);
    await first.finds('region', 'Now');
    const second = await first.anotherTab();
    await second.goes(`/cook/${cook}`);
    await second.finds('region', 'Now');
    const title = (tab: Person): Promise<string> => tab.page.$eval('main h1', (words) => words.textContent ?? '');
    const follow = async (leader: Person, follower: Person): Promise<void> => {
      const was = await title(leader);
      await leader.page.bringToFront();
      await leader.pressesBig();
      await until(async () => (await title(leader)) !== was);
      await until(async () => (await title(follower)) === (await title(leader)));
    };
    await follow(first, second);
    await follow(second, first);
    await kitchen.powerGoes();
    await until(async () => (await first.text()).includes('The server is away'));
    await until(async () => (await second.text()).includes('The server is away'));
    await follow(first, second);
    await follow(second, first);
    const pressed = await title(second);
    await first.page.close();
    await kitchen.powerIsBack();
    await until(async () => !(await second.text()).includes('The server is away'));
    expect(await title(second)).toBe(pressed);
    await until(async () => (await kept(cook)).length === 5);
    expect(second.pageErrors).toEqual([]);
    await second.leaves();
  });
});

describe('a device that keeps nothing of the application', () => {
  test('a room that cannot be fetched says so in its place; the others stand, and it opens once the server is back', async () => {
    const person = await Person.at(kitchen.browser, kitchen.server.address);
    await person.goes('/');
    await person.opensPlan('Goat neck with quince');
    await person.finds('slider', 'Minutes under pressure');
    await kitchen.powerGoes();
    await person.presses('link', 'Times');
    await person.reads('This part of Hervir cannot be fetched.');
    await person.presses('link', 'Tonight');
    await person.reads('I have');
    await kitchen.powerIsBack();
    await person.presses('link', 'Times');
    await person.presses('button', 'Try again');
    await person.reads('Minutes under pressure for');
    expect(person.pageErrors).toEqual([]);
    await person.leaves();
  });
});
