import { rmSync } from 'node:fs';
import { aKitchen, Person, serve, until } from './browser';

/** A Sunday afternoon in the refuge. */
const AFTERNOON = '2027-01-17T14:00:00Z';

const kitchen = aKitchen({ clockAt: AFTERNOON });

/** What stands in the part of the room that says what to do now. */
async function nowSays(person: Person): Promise<string> {
  return person.page.$eval('main h1', (title) => title.textContent ?? '');
}

/** Waits until the room says something else. */
async function movesOn(person: Person, from: string): Promise<string> {
  await person.page.waitForFunction(
    (before: string) => {
      const title = document.querySelector('main h1')?.textContent ?? '';
      return title !== '' && title !== before;
    },
    {},
    from,
  );
  return nowSays(person);
}

/** Waits until another page shows the same. */
async function agrees(person: Person, title: string): Promise<void> {
  await person.page.waitForFunction(
    (wanted: string) => document.querySelector('main h1')?.textContent === wanted,
    {},
    title,
  );
}

/** The big button, pressed with a thumb. */
const thumb = (person: Person): Promise<void> => person.pressesBig();

/** Minutes that a step takes, by its countdown or, where it has none, by what the room says it usually takes. */
async function minutesOf(person: Person): Promise<{ minutes: number }> {
  const { timer, usual } = await person.page.evaluate(() => ({
    timer: document.querySelector('main [role="timer"]')?.textContent ?? '',
    usual: /^about (\d+) min$/m.exec(document.querySelector<HTMLElement>('[aria-label="Now"]')?.innerText ?? '')?.[1],
  }));
  const match = /^(?:(\d+):)?(\d+):(\d+)$/.exec(timer);
  return match
    ? { minutes: Number(match[1] ?? 0) * 60 + Number(match[2]) + Number(match[3]) / 60 }
    : { minutes: Number(usual ?? 0) };
}

/** Moves the clock on, and waits until the pages' own clocks have followed: what is pressed bears their time. */
async function passes(minutes: number, ...people: readonly Person[]): Promise<void> {
  kitchen.clock.forward(minutes);
  for (const person of people) {
    await until(async () => {
      const shown = /now (\d{2}:\d{2})/.exec(await person.text())?.[1];
      // The refuge is an hour east of Greenwich in winter.
      return shown === new Date(kitchen.clock.now() + 3_600_000).toISOString().slice(11, 16);
    });
  }
}

/** Opens a plan of the demo on the bench, from Tonight, and begins to cook it when it says so. */
async function begins(person: Person, plan: string, day: string): Promise<void> {
  await person.opensPlan(plan);
  await person.reads(/Begin \d{2}:\d{2} to eat/);
  const [, hour, minute] = /Begin (\d{2}):(\d{2}) to eat/.exec(await person.text()) ?? [];
  kitchen.clock.set(Date.parse(`${day}T${hour ?? ''}:${minute ?? ''}:00+01:00`));
  await person.presses('button', 'Start cooking');
  await person.finds('region', 'Now');
  // A count is read from the page only once it goes by the new day.
  await passes(0, person);
}

describe('at the pot', () => {
  test('a whole braise: every step, one delay, one undo, one reload, one killed server, two pages', async () => {
    const cook = await kitchen.comesTo('/');
    await begins(cook, 'Goat neck with quince', '2027-01-17');
    await cook.reads('on time');
    const phone = await Person.at(kitchen.browser, kitchen.server.address, { width: 390, height: 844 });
    await phone.goes(new URL(cook.page.url()).pathname);
    await phone.finds('region', 'Now');

    let title = await nowSays(cook);
    const seen = [title];
    for (let steps = 0; steps < 60; steps += 1) {
      // A phone by thumb; now and then the laptop, for both may press.
      const hands = steps % 5 === 4 ? cook : phone;
      await agrees(hands, title);
      const { minutes } = await minutesOf(hands);
      if (/It heats until the pin is up/.test(title)) {
        // One delay: the pin is six minutes late, dinner with it, and the room says what could win it back.
        await passes(minutes + 6, cook, phone);
        await cook.reads(/\d+ min behind plan/);
        await cook.reads(/wins \d+ min/);
      } else {
        await passes(minutes, cook, phone);
      }
      if (/Leave it alone\.$/.test(title) && title.startsWith('Under pressure')) {
        // An electric pot ends by itself: the room goes on when the time is up.
        title = await movesOn(cook, title);
        seen.push(title);
        continue;
      }
      if (title.includes('scrape with a wooden edge')) {
        // One undo: pressed too soon, taken back, pressed again.
        await thumb(hands);
        await movesOn(hands, title);
        await cook.presses('button', /^Undo: Scraped clean/);
        await agrees(cook, title);
        await agrees(hands, title);
      }
      if (title.startsWith('Wipe the rim')) {
        await cook.page.reload();
        await agrees(cook, title);
      }
      if (title.startsWith('Try a piece')) {
        // The server goes down as a power cut would take it, and what is pressed meanwhile is sent when it is back.
        await kitchen.powerGoes();
        await hands.presses('button', /^Fork turns easily tender/);
        title = await movesOn(hands, title);
        seen.push(title);
        await hands.reads(/The server is away/);
        await kitchen.powerIsBack();
        continue;
      }
      await thumb(hands);
      title = await movesOn(hands, title);
      seen.push(title);
      if (title.startsWith('On the table')) break;
    }
    expect(seen.at(-1)).toMatch(/^On the table at 19:\d{2}, \d+ min behind plan/);
    for (const part of [
      'sizzles',
      'Batch 1 of 2',
      'Batch 2 of 2',
      'Close the valve',
      'Open the valve',
      'turnip',
      'Fish out',
    ]) {
      expect(seen.join(' | ')).toContain(part);
    }
    await agrees(cook, seen.at(-1) ?? '');
    await agrees(phone, seen.at(-1) ?? '');

    await cook.writes('textbox', 'Cooked meat, weighed', '980 g');
    await cook.presses('button', 'Close this cook');
    await cook.reads('Begin next');
    expect(phone.pageErrors).toEqual([]);
    expect(phone.strayRequests).toEqual([]);
    await phone.leaves();
    kitchen.stays(cook);
  });

  test('the same from a laptop, by Space alone', async () => {
    const cook = await kitchen.comesTo('/');
    await begins(cook, 'Beef shin with celeriac and prunes', '2027-01-18');
    // How late dinner is must not hang on how fast the machine presses.
    kitchen.clock.stand();
    // The press that began it has the focus no more: Space is the big button's.
    let title = await nowSays(cook);
    for (let steps = 0; steps < 60 && !title.startsWith('On the table'); steps += 1) {
      await passes((await minutesOf(cook)).minutes, cook);
      await cook.page.keyboard.press('Space');
      title = await movesOn(cook, title);
    }
    expect(title).toMatch(/^On the table at \d{2}:\d{2}, (on time|[1-4] min (behind|ahead of) plan)/);
    await cook.page.keyboard.press('Space');
    await cook.reads('Begin next');
    kitchen.stays(cook);
  });

  test('what is up rings: title, frame and pill in every room, and the single keys answer it', async () => {
    const cook = await kitchen.comesTo('/');
    await begins(cook, 'Pork collar with chestnuts', '2027-01-19');
    for (let steps = 0; steps < 4; steps += 1) {
      const title = await nowSays(cook);
      await cook.page.keyboard.press('Space');
      await movesOn(cook, title);
    }
    await passes((await minutesOf(cook)).minutes + 0.1, cook);
    await cook.page.waitForFunction(() => document.documentElement.dataset['rings'] === 'turn');
    await cook.page.waitForFunction(() => document.title.startsWith('▲'));
    // In another room, and in one that is opened anew.
    await cook.page.keyboard.down('Alt');
    await cook.page.keyboard.press('Digit4');
    await cook.page.keyboard.up('Alt');
    await cook.page.waitForFunction(() => location.pathname === '/times');
    await cook.reads(/\d{2}:\d{2} over/);
    await cook.page.waitForFunction(
      () => document.documentElement.dataset['rings'] === 'turn' && document.title.startsWith('▲'),
    );
    await cook.goes('/cook');
    await cook.page.waitForFunction(() => document.title.startsWith('▲'));
    await cook.finds('button', 'Not yet');
    await cook.page.keyboard.press('m');
    await cook.page.waitForFunction(() => document.documentElement.dataset['rings'] === undefined);
    await cook.presses('button', 'Something’s wrong');
    await cook.presses('link', /^The power is gone/);
    await cook.reads('In doubt whether it is safe, throw it away');
    await cook.presses('link', 'Back to the pot');
    await cook.finds('button', 'One more minute');
    await cook.page.keyboard.press('b');
    await cook.reads('Burn error, or it smells of scorching');
    await cook.presses('link', 'Back to the pot');
    await cook.finds('button', 'Undo: burn');
    kitchen.stays(cook);
  });

  test('a cook that is not to be is thrown away, and is on no page any more', async () => {
    const cook = await kitchen.comesTo('/');
    await begins(cook, 'Goat neck with quince', '2027-01-17');
    await thumb(cook);
    const phone = await Person.at(kitchen.browser, kitchen.server.address, { width: 390, height: 844 });
    const { pathname } = new URL(cook.page.url());
    await phone.goes(pathname);
    await phone.finds('region', 'Now');
    await cook.presses('button', 'Not cooking after all');
    await cook.reads('1 thing was told; it goes with it. The plan stays.');
    await cook.presses('button', 'Throw it away');
    await cook.reads('Thrown away; the plan is still there.');
    await phone.reads('This cook is not here');
    const running = await kitchen.asks<{ id: string }[]>('GET', '/cooks/running');
    expect(running.map(({ id }) => `/cook/${id}`)).not.toContain(pathname);
    kitchen.stays(cook);
    await phone.leaves();
  });

  test('a plan over the fill line is not begun before the warning has been read', async () => {
    const cook = await kitchen.comesTo('/');
    await cook.opensPlan('Pork collar with chestnuts');
    await cook.opens('Pot');
    await cook.writes('textbox', 'How much', '4.5 l');
    await cook.reads('over the fill line');
    await cook.presses('button', 'Start cooking');
    await cook.reads('Read this first');
    await cook.presses('button', 'I have read it: start');
    await cook.finds('region', 'Now');
    kitchen.stays(cook);
  });

  test('a phone of the house gives the code once, over TLS, and is at the same pot', async () => {
    const house = await serve({
      clock: kitchen.clock.file,
      args: ['--lan', '--lan-host', '127.0.0.1', '--lan-port', '0'],
    });
    const lan = (await (await fetch(`${house.address}/api/lan`)).json()) as { addresses: string[]; code: string };
    const phone = await Person.at(kitchen.browser, lan.addresses[0] ?? '', { width: 390, height: 844 });
    await phone.goes('/');
    await phone.reads('Pair this device');
    expect(await phone.text()).not.toContain('Goat neck');
    await phone.writes('textbox', 'Code', lan.code);
    await phone.reads('Goat neck with quince');
    expect(await phone.page.evaluate(() => isSecureContext)).toBe(true);
    const plans = (await (await fetch(`${house.address}/api/braises`)).json()) as { id: string }[];
    const id = crypto.randomUUID();
    await fetch(`${house.address}/api/cooks`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id, startedEventId: crypto.randomUUID(), braiseId: plans[0]?.id }),
    });
    await phone.goes(`/cook/${id}`);
    const title = await phone.page
      .waitForSelector('[aria-label="Now"] h1')
      .then((heading) => heading?.evaluate((element) => element.textContent ?? ''));
    await thumb(phone);
    await movesOn(phone, title ?? '');
    expect(phone.pageErrors).toEqual([]);
    await phone.leaves();
    await house.kill();
    rmSync(house.folder, { recursive: true, force: true });
  });
});
