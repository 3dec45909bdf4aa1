import type { CookRecord } from '@hervir/contract';
import { randomUUID } from 'node:crypto';
import { aKitchen, Person, until } from './browser';

/** A Sunday afternoon in the refuge. */
const AFTERNOON = Date.parse('2027-01-17T16:00:00Z');

const kitchen = aKitchen({ clockAt: new Date(AFTERNOON).toISOString() });

const PLAN = {
  format: 'hervir/braise',
  version: 2,
  name: 'Goat shoulder of a Sunday',
  target: 'fork',
  meat: { cut: 'goat-shoulder', form: 'chunks', grams: 1300 },
  pressureMinutes: 20,
};

/** A cook that has come as far as a step, a second for each step before it; on a phone, or on a laptop. */
async function cooksTo(stepId: string, width: number): Promise<{ person: Person; id: string }> {
  const id = randomUUID();
  const begun = kitchen.clock.now();
  const { guide } = await kitchen.asks<CookRecord>('POST', '/cooks', { id, plan: PLAN, startedEventId: randomUUID() });
  const upTo = guide.steps.findIndex((step) => step.id === stepId);
  const events = guide.steps.slice(0, upTo).map(({ id: step, done }, i) => ({
    id: randomUUID(),
    kind: done,
    at: new Date(begun + (i + 1) * 1000).toISOString(),
    payload: { step },
  }));
  // Long enough that the page's clock, read over a slow line, is never before the last of them.
  kitchen.clock.forward((events.length + 10) / 60);
  await kitchen.asks('POST', `/cooks/${id}/events`, { events });
  const person = await Person.at(kitchen.browser, kitchen.server.address, { width, height: width < 500 ? 844 : 800 });
  await person.goes(`/cook/${id}`);
  await person.finds('region', 'Now');
  return { person, id };
}

/** Lets minutes go by, and waits until the page's own clock has followed. */
async function passes(minutes: number, person: Person): Promise<void> {
  kitchen.clock.forward(minutes);
  await until(async () => {
    const shown = /now (\d{2}:\d{2})/.exec(await person.text())?.[1];
    return shown === new Date(kitchen.clock.now()).toISOString().slice(11, 16);
  });
}

/** What the room says to do, once it is something else. */
async function movesOn(person: Person, from: string): Promise<string> {
  await person.page.waitForFunction(
    (before: string) => !['', before].includes(document.querySelector('main h1')?.textContent ?? ''),
    {},
    from,
  );
  return person.page.$eval('main h1', (title) => title.textContent ?? '');
}

const isOnScreen = (person: Person, name: string): Promise<boolean> =>
  person.page.evaluate((wanted) => {
    const found = [...document.querySelectorAll('button')].find((one) => one.textContent?.startsWith(wanted));
    const box = found?.getBoundingClientRect();
    return box !== undefined && box.left >= 0 && box.right <= innerWidth + 1;
  }, name);

describe.each([390, 1280])('what goes wrong is told by hand, at %d px', (width) => {
  test('a burn stops the clock, is led through, and brings the cook back with what is left', async () => {
    const { person } = await cooksTo('pressure', width);
    await passes(8, person);
    await person.presses('button', 'Something’s wrong');
    await person.presses('link', /^Burn error/);
    expect(await person.page.evaluate(() => scrollY)).toBe(0);
    await person.presses('button', 'It has burnt: the heat is off');
    await person.reads('The minutes stand still');
    // Of twenty minutes eight are over, and what a slow machine took to come here: its clock goes on.
    await person.reads(/(?:1[0-2]|[6-9]) min under pressure are still to do/);
    await person.reads(/Dinner \d{2}:\d{2}/);
    expect(await isOnScreen(person, 'Clean, and all back in')).toBe(true);
    await person.presses('button', 'Clean, and all back in');
    await person.reads('Wipe the rim');
    await person.finds('button', /^Undo: Clean, and all back in/);
    expect(person.pageErrors).toEqual([]);
    await person.leaves();
  });

  test('a power cut, and a pin that will not rise or fall', async () => {
    const { person } = await cooksTo('pin', width);
    await passes(30, person);
    await person.reads(/min later than reckoned\. Is the valve closed\?/);
    await person.presses('button', 'Something’s wrong');
    await person.presses('link', /^The pin will not rise/);
    await person.presses('button', 'No pin: the heat is off');
    await person.presses('button', 'Put right, begun again');
    await person.reads('It heats until the pin is up');
    await person.presses('button', 'Something’s wrong');
    await person.presses('link', /^The power is gone/);
    await person.presses('button', 'The power is gone');
    await person.presses('button', 'Power is back, begun again');
    await person.reads('It heats until the pin is up');
    await person.finds('button', /^Undo: Power is back/);
    await person.leaves();

    const letDown = await cooksTo('natural', width);
    await letDown.person.presses('button', 'Something’s wrong');
    await letDown.person.presses('link', /^The pin will not fall/);
    await letDown.person.presses('button', 'The pin stays up: wait 10 min more');
    await letDown.person.presses('button', 'The pin has fallen');
    await letDown.person.reads('Lid off, tilted away from your face');
    expect(letDown.person.pageErrors).toEqual([]);
    await letDown.person.leaves();
  });

  test('a second check is asked anew, and the proposal goes on from where the meat is', async () => {
    const { person } = await cooksTo('check', width);
    await person.presses('button', /^Chewy/);
    await person.reads('It reads like');
    await person.presses('button', /^Lid back on/);
    let title = await movesOn(person, 'Try a piece. What is it like?');
    for (let steps = 0; steps < 8 && !title.startsWith('Try a piece'); steps += 1) {
      // An electric pot ends its minutes by itself; everything else is pressed.
      if (title.startsWith('Under pressure')) await passes(60, person);
      else await person.pressesBig();
      title = await movesOn(person, title);
    }
    expect(title).toMatch(/^Try a piece/);
    expect(await person.text()).not.toContain('It reads like');
    await person.presses('button', /^Firm/);
    await person.reads('It reads like');
    expect(person.pageErrors).toEqual([]);
    await person.leaves();
  });
});
