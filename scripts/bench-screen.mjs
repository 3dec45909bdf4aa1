// npm run bench -- --screen: what the browser does while the handle is dragged, and how much Tonight loads at first.
import { readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { chromiumPath, demoInBrowser, root } from './lib.mjs';

const percentile = (values, share) => [...values].sort((a, b) => a - b)[Math.floor(share * (values.length - 1))] ?? 0;

/** Drags the end of the pressure run on a fresh demo plan and says what was seen. */
export async function benchScreen(say) {
  if (!chromiumPath()) return say('the screen: no Chromium on this machine');
  await demoInBrowser(({ address, browser, plans }) => drag(address, browser, plans[0].id, say));
}

async function drag(address, browser, plan, say) {
  const page = await browser.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  const session = await page.createCDPSession();
  await session.send('Network.enable');
  const scripts = new Map();
  session.on('Network.responseReceived', ({ requestId, type, response }) => {
    if (type === 'Script') scripts.set(requestId, { headers: response.encodedDataLength, all: 0 });
  });
  session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    const script = scripts.get(requestId);
    if (script) script.all = encodedDataLength;
  });
  await page.goto(address, { waitUntil: 'networkidle0' });
  const total = [...scripts.values()].reduce((sum, { all }) => sum + all, 0);
  const headers = [...scripts.values()].reduce((sum, script) => sum + script.headers, 0);
  // The worker is a page of its own to the browser's bookkeeping: its squeezed file is what the server hands out.
  const assets = join(root, 'web/dist/assets');
  const [worker] = readdirSync(assets).filter((name) => /^forecast\.worker.*\.js\.br$/.test(name));
  const workerBytes = worker === undefined ? 0 : statSync(join(assets, worker)).size;
  const kB = (bytes) => (bytes / 1000).toFixed(0);
  say(
    `first load of Tonight: ${kB(total - headers + workerBytes)} kB of compressed JavaScript (bar 300 kB): ` +
      `${scripts.size} scripts ${kB(total - headers)} kB, the worker ${kB(workerBytes)} kB; headers ${kB(headers)} kB beside`,
  );

  await page.goto(`${address}/bench/${plan}`, { waitUntil: 'networkidle0' });
  const handle = await page.waitForSelector('::-p-aria([name="Minutes under pressure"][role="slider"])');
  await page.evaluate(() => {
    window.longTasks = [];
    window.frames = [];
    new PerformanceObserver((list) => list.getEntries().forEach((e) => window.longTasks.push(e.duration))).observe({
      type: 'longtask',
    });
    let last = performance.now();
    const tick = (now) => {
      window.frames.push(now - last);
      last = now;
      requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
  });
  const box = await handle.boundingBox();
  const [x, y] = [box.x + box.width / 2, box.y + box.height - 16];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 1; i <= 80; i += 1) await page.mouse.move(x + (i <= 40 ? i : 80 - i) * 2, y);
  await page.mouse.up();
  const { frames, longTasks } = await page.evaluate(() => ({ frames: window.frames, longTasks: window.longTasks }));
  say(
    `dragging the end of the run: ${longTasks.length} tasks over 50 ms (longest ${Math.max(0, ...longTasks).toFixed(0)} ms), frame interval ${percentile(frames, 0.95).toFixed(0)} ms at the 95th percentile without a GPU (bar 50 ms)`,
  );
}
