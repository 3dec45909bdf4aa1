// npm run screenshots: draws the main views from the demo kitchen into docs/screenshots.
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { cookAlong } from './cook-along.mjs';
import { clockAt, demoInBrowser, install, root } from './lib.mjs';

install();
const folder = join(root, 'docs/screenshots');
mkdirSync(folder, { recursive: true });

const viewsOf = (plan) => {
  const bench = `/bench/${plan}`;
  return [
    { name: 'tonight', path: '/', width: 1280, height: 800, colours: 'day' },
    { name: 'tonight-phone', path: '/', width: 390, height: 844, colours: 'day', language: 'es-ES' },
    { name: 'bench', path: bench, width: 1280, height: 800, colours: 'day' },
    { name: 'bench-night', path: bench, width: 1280, height: 800, colours: 'night', language: 'es-MX' },
    { name: 'card', path: `/card/${plan}`, width: 1280, height: 1180, colours: 'day' },
    { name: 'rescue', path: `/rescue/burn?plan=${plan}`, width: 1280, height: 800, colours: 'day' },
    { name: 'rehearse', path: '/rehearse', width: 1280, height: 800, colours: 'day' },
    { name: 'log', path: '/log?see=charts', width: 1280, height: 900, colours: 'day' },
    { name: 'times', path: '/times', width: 1280, height: 800, colours: 'day' },
    { name: 'cookers', path: '/cookers', width: 1280, height: 800, colours: 'day' },
    { name: 'settings', path: '/settings', width: 1280, height: 800, colours: 'day' },
    // Last of all: its edit is kept like any other.
    {
      name: 'bench-burn',
      path: bench,
      width: 1280,
      height: 800,
      colours: 'day',
      script: [
        ['station', 'Pot'],
        ['box', 'scraped clean'],
      ],
      after: 'Expect the burn error',
    },
  ];
};
/** What a hand does before the picture: opens a station by its title, or ticks a box by its words. */
const HANDS = {
  station: (page, title) =>
    page.locator(`::-p-xpath(//*[contains(@class,"station-head")][.//*[text()="${title}"]])`).click(),
  box: (page, words) =>
    page.locator(`::-p-xpath(//label[contains(@class,"checkbox")][contains(.,"${words}")])`).click(),
};
/** Takes one picture. */
async function picture(browser, address, view) {
  const { name, path, width, height, colours, language = 'en-GB', press, script = [], paste, after } = view;
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  await page.setViewport({ width, height });
  await page.evaluateOnNewDocument(
    (theme, spoken) => {
      localStorage.setItem('hervir.language', spoken);
      localStorage.setItem(
        'hervir.preferences',
        JSON.stringify({ state: { colours: theme, lastPlan: null }, version: 1 }),
      );
    },
    colours,
    language,
  );
  // A page that follows a cook never has an idle network.
  await page.goto(address + path, { waitUntil: 'load' });
  await page.waitForFunction(
    () =>
      document.querySelector('main h1') &&
      !/Opening…|Reckoning|to reckon…|Looking for|Abriendo…|Calculando…/.test(document.body.innerText),
  );
  if (press) await page.locator(press).click();
  for (const [hand, what] of script) await HANDS[hand](page, what);
  if (paste) {
    await page.evaluate((text) => {
      const area = document.querySelector('textarea');
      Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value').set.call(area, text);
      area.dispatchEvent(new Event('input', { bubbles: true }));
    }, paste);
    await page.locator('::-p-aria([name="Read it"][role="button"])').click();
  }
  if (after) await page.waitForFunction((text) => document.body.innerText.includes(text), {}, after);
  await page.evaluate(() => document.fonts.ready);
  await new Promise((resolve) => setTimeout(resolve, 1500));
  await page.screenshot({ path: join(folder, `${name}.png`) });
  await context.close();
  process.stdout.write(`docs/screenshots/${name}.png\n`);
}

const NIGHT = { width: 1280, height: 800, colours: 'night' };
const PHONE = { width: 390, height: 844, colours: 'night' };

const RECIPE = `Stew for a wet evening, serves 6
Ingredients
1.5 kg goat shoulder, in chunks
2 tbsp tomato paste
400 ml dry cider
2 onions, chopped
3 carrots
120 g freekeh
1 handful of good cheer
Method
Brown the meat for 10 minutes.
Braise in a low oven for 3 hours.`;

/** A plan of the demo kitchen as it would be cooked the evening before. */
async function cookedAhead(address, id) {
  const { plan } = await (await fetch(`${address}/api/braises/${id}`)).json();
  const serveAt = new Date(Date.parse(plan.serveAt) + 24 * 3_600_000).toISOString();
  const made = await fetch(`${address}/api/braises`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      id: crypto.randomUUID(),
      plan: { ...plan, serveAt, cookAhead: { hours: 24, depthCm: 5, warm: 'stove' } },
    }),
  });
  return (await made.json()).id;
}

/** A pot burnt in rehearsal: the recorder, and why. */
async function burntPot(address) {
  const send = async (method, path, body) =>
    (
      await fetch(`${address}/api/rehearsals${path}`, {
        method,
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      })
    ).json();
  const id = crypto.randomUUID();
  await send('POST', '', { id, exercise: 'unscraped', seed: 5 });
  await send('PUT', `/${id}/pace`, { speed: 300 });
  for (const [kind, step] of [
    ['stepDone', 'load'],
    ['lidLocked', 'lock'],
    ['valveClosed', 'valve'],
  ]) {
    const event = { id: crypto.randomUUID(), kind, at: new Date().toISOString(), payload: { step } };
    await send('POST', `/${id}/acts`, { act: 'press', event });
  }
  return id;
}

await demoInBrowser(async ({ address, browser, plans, clock }) => {
  const [first] = plans;
  for (const view of viewsOf(first.id)) await picture(browser, address, view);
  // Last of the benches: Tonight has been drawn without it.
  await picture(browser, address, {
    name: 'bench-clock',
    path: `/bench/${await cookedAhead(address, plans[1].id)}`,
    width: 1280,
    height: 800,
    colours: 'day',
    script: [['station', 'Clock']],
    after: 'in ice water',
  });
  const { items } = await (await fetch(`${address}/api/log?limit=1`)).json();
  await picture(browser, address, {
    name: 'log-cook',
    path: `/log/${items[0].id}`,
    width: 1280,
    height: 800,
    colours: 'day',
    after: 'Planned and actual',
  });
  await picture(browser, address, {
    name: 'from-recipe',
    path: '/recipe',
    width: 1280,
    height: 900,
    colours: 'day',
    paste: RECIPE,
    after: 'Make the plan',
  });
  const burnt = await burntPot(address);
  await picture(browser, address, {
    name: 'rehearse-debrief',
    path: `/rehearse/${burnt}`,
    width: 1280,
    height: 800,
    colours: 'day',
    after: 'Next time',
  });
  // The second plan stands beside it untouched: the first has just been made to burn.
  const cook = await cookAlong(address, clockAt(clock), plans[1].id);
  const path = `/cook/${cook.id}`;
  await cook.until('sear-1-1');
  cook.wait(2.2);
  await picture(browser, address, { ...PHONE, name: 'at-the-pot-phone', path, after: 'Leave them alone' });
  await cook.until('natural', { pin: 12 });
  cook.wait(5);
  await picture(browser, address, { ...NIGHT, name: 'at-the-pot', path, after: 'wins' });
  await cook.until('check');
  await picture(browser, address, { ...NIGHT, colours: 'day', name: 'the-check', path, after: 'as it should be' });
});
