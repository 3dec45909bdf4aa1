// npm run screenshots: draws the main views from the demo kitchen into docs/screenshots.
import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer from 'puppeteer-core';
import { buildAll, chromium, chromiumPath, install, root } from './lib.mjs';

install();
buildAll();
const data = mkdtempSync(join(tmpdir(), 'hervir-shots-'));
const server = spawn(process.execPath, [join(root, 'server/dist/main.js'), '--port', '0', '--data', data, '--demo']);
const address = await new Promise((resolve) => {
  server.stdout.on('data', (chunk) => {
    const match = /Hervir is at (\S+)/.exec(chunk.toString());
    if (match) resolve(match[1]);
  });
});
const profile = mkdtempSync(join(tmpdir(), 'hervir-shots-profile-'));
const browser = await puppeteer.launch({
  executablePath: chromiumPath(),
  userDataDir: profile,
  args: chromium.flags,
});
const folder = join(root, 'docs/screenshots');
mkdirSync(folder, { recursive: true });

const plans = await (await fetch(`${address}/api/braises`)).json();
const bench = `/bench/${plans[0].id}`;
const views = [
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
  { name: 'rescue', path: `/rescue/burn?plan=${plans[0].id}`, width: 1280, height: 800, colours: 'day' },
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
/** What a hand does before the picture: opens a station by its title, or ticks a box by its words. */
const HANDS = {
  station: (page, title) =>
    page.locator(`::-p-xpath(//*[contains(@class,"station-head")][.//*[text()="${title}"]])`).click(),
  box: (page, words) =>
    page.locator(`::-p-xpath(//label[contains(@class,"checkbox")][contains(.,"${words}")])`).click(),
};
for (const { name, path, width, height, colours, press, script = [], after } of views) {
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
await browser.close();
server.kill('SIGTERM');
rmSync(profile, { recursive: true, force: true });
rmSync(data, { recursive: true, force: true });
