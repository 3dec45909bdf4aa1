// npm run screenshots: draws the main views from the demo kitchen into docs/screenshots.
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { demoInBrowser, install, root } from './lib.mjs';

install();
const folder = join(root, 'docs/screenshots');
mkdirSync(folder, { recursive: true });

const viewsOf = (plan) => {
  const bench = `/bench/${plan}`;
  return [
    { name: 'tonight', path: '/', width: 1280, height: 800, colours: 'day' },
    { name: 'tonight-phone', path: '/', width: 390, height: 844, colours: 'day' },
    { name: 'bench', path: bench, width: 1280, height: 800, colours: 'day' },
    {
      name: 'bench-what-if',
      path: bench,
      width: 1280,
      height: 800,
      colours: 'day',
      press: '::-p-aria([name="What if"][role="tab"])',
    },
    { name: 'bench-night', path: bench, width: 1280, height: 800, colours: 'night' },
    { name: 'bench-phone', path: bench, width: 390, height: 844, colours: 'day' },
    {
      name: 'bench-stages',
      path: bench,
      width: 1280,
      height: 800,
      colours: 'day',
      script: [['station', 'Vegetables and grains']],
    },
    {
      name: 'bench-sauce',
      path: bench,
      width: 1280,
      height: 800,
      colours: 'day',
      script: [['station', 'Sauce and plate']],
    },
    { name: 'rescue', path: `/rescue/burn?plan=${plan}`, width: 1280, height: 800, colours: 'day' },
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
        ['station', 'Pot and liquid'],
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
await demoInBrowser(async ({ address, browser, plans }) => {
  for (const { name, path, width, height, colours, press, script = [], after } of viewsOf(plans[0].id)) {
    const context = await browser.createBrowserContext();
    const page = await context.newPage();
    await page.setViewport({ width, height });
    await page.evaluateOnNewDocument((theme) => {
      localStorage.setItem(
        'hervir.preferences',
        JSON.stringify({ state: { colours: theme, lastPlan: null }, version: 1 }),
      );
    }, colours);
    await page.goto(address + path, { waitUntil: 'networkidle0' });
    await page.waitForFunction(() => !/Opening…|Reckoning|to reckon…/.test(document.body.innerText));
    if (press) await page.locator(press).click();
    for (const [hand, what] of script) await HANDS[hand](page, what);
    if (after) await page.waitForFunction((text) => document.body.innerText.includes(text), {}, after);
    await page.evaluate(() => document.fonts.ready);
    await new Promise((resolve) => setTimeout(resolve, 400));
    await page.screenshot({ path: join(folder, `${name}.png`) });
    await context.close();
    process.stdout.write(`docs/screenshots/${name}.png\n`);
  }
});
