import { aKitchen, type Person, press } from './browser';

const kitchen = aKitchen();

const RECIPE = [
  'Stew for a wet evening, serves 6',
  'Ingredients',
  '1.5 kg goat shoulder, in chunks',
  '2 tbsp tomato paste',
  '400 ml dry cider',
  '3 carrots',
  '1 handful of good cheer',
  'Method',
  'Braise in a low oven for 3 hours.',
].join('\n');

/** Minutes under pressure that the bench proposes now. */
const proposed = (person: Person): Promise<number> =>
  person.page
    .waitForFunction(() => /(\d+) minutes under pressure/.exec(document.body.innerText.replace(/\s+/g, ' '))?.[1])
    .then((handle) => handle.jsonValue())
    .then(Number);

describe('the log', () => {
  test('tells the cook something true, and the next plan changes by it and says so', async () => {
    const person = await kitchen.comesTo('/');
    await person.reads('What was learnt');
    await person.reads(/The old steel one gives \d+ % less heat than its plate says/);
    await person.walksTo('/log?see=charts');
    await person.reads(/The old steel one: the pin is up when planned/);
    await person.reads(/Goat shoulder: \d of \d came out short/);
    await person.walksTo('/log');
    await person.picks('How it came out', '▲ short of it');
    await (
      await person.page.waitForSelector('a ::-p-text(Goat shoulder with juniper)', { visible: true })
    )?.evaluate((link) => (link as HTMLElement).click());
    await person.reads('slices clean, not fork-tender');
    await person.presses('button', 'Cook this again with what was learnt');
    await person.finds('button', 'Start cooking');
    const taught = await proposed(person);
    await person.walksTo('/cookers');
    await person.reads(/Goat shoulder is \d+ % tougher than usual/);
    await press(person.page, () =>
      person.page.waitForSelector('::-p-xpath(//button[contains(@aria-label,"Use it: Goat shoulder")])'),
    );
    await person.page.waitForFunction(
      () => document.querySelector('[aria-label^="Use it: Goat shoulder"]')?.getAttribute('aria-checked') === 'false',
    );
    await person.walksTo('/bench');
    await person.finds('button', 'Start cooking');
    await person.page.waitForFunction(
      (before: number) =>
        Number(/(\d+) minutes under pressure/.exec(document.body.innerText.replace(/\s+/g, ' '))?.[1]) < before,
      {},
      taught,
    );
    expect(await proposed(person)).toBeLessThan(taught);
    kitchen.stays(person);
  });

  test('a past cook is added in a few fields, looked for, said more of, and thrown away', async () => {
    const person = await kitchen.comesTo('/log');
    await person.presses('button', 'Add a past cook');
    await person.writes('textbox', 'A word on it', 'from the old notebook');
    await person.presses('button', 'Add it');
    await person.page.waitForFunction(
      () => document.querySelector('.ant-modal-wrap:not([style*="display: none"])') === null,
    );
    await person.writes('searchbox', 'Look for words', 'notebook');
    const line = await person.page.waitForSelector('.log-list a ::-p-text(Beef chuck)', { visible: true });
    await person.page.waitForFunction(() => document.querySelectorAll('.log-list li').length === 1);
    await line?.evaluate((link) => (link as HTMLElement).click());
    await person.reads('Added by hand.');
    await person.picks('Sauce', 'Too thin');
    await person.presses('button', 'Delete');
    await person.presses('button', 'Delete it');
    await person.page.waitForFunction(() => location.pathname === '/log');
    kitchen.stays(person);
  });

  test('a pasted recipe becomes a plan: each line beside what it was taken for, a guess set right, nothing dropped', async () => {
    const person = await kitchen.comesTo('/recipe');
    const box = await person.finds('textbox', 'The recipe');
    await box.evaluate((element, text) => {
      // Pasted at once, as a cook would: typing it would take a minute.
      const area = element as HTMLTextAreaElement;
      Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value')?.set?.call(area, text);
      area.dispatchEvent(new Event('input', { bubbles: true }));
    }, RECIPE);
    await person.presses('button', 'Read it');
    await person.reads('1 handful of good cheer');
    await person.reads('not in the plan: say what it is');
    await person.reads(/3 h in the oven cook like \d+ minutes under pressure/);
    await person.reads('The tomato paste is laid on top and not stirred');
    await person.finds('group', 'When we eat');
    await person.presses('button', 'Make the plan');
    await person.page.waitForFunction(() => location.pathname.startsWith('/bench/'));
    await person.finds('button', 'Start cooking');
    const made = await person.page.evaluate(() => location.pathname.replace('/bench/', '/api/braises/'));
    expect((await fetch(`${kitchen.server.address}${made}/calendar.ics`)).status).toBe(200);
    kitchen.stays(person);
  });
});
