import { readFileSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import { aKitchen, Person } from './browser';

const kitchen = aKitchen();

/** So often a page is looked at before what does not hold counts. */
const LOOKS = 30;

/** What does not hold on the page as it stands: runs in the browser, and so knows nothing from without. */
function brokenAt(): string[] {
  const found = new Set<string>();
  const wide = window.innerWidth;
  if (document.documentElement.scrollWidth > wide) {
    const [first] = [...document.querySelectorAll('body *')].filter((one) => one.getBoundingClientRect().right > wide);
    found.add(`sideways, ${document.documentElement.scrollWidth} px: ${first?.outerHTML.slice(0, 80) ?? ''}`);
  }
  for (const element of document.querySelectorAll<HTMLElement>('body *')) {
    const { width, height, right } = element.getBoundingClientRect();
    if (width < 3 || height < 3 || element.closest('.visually-hidden, svg, .times-frame') !== null) continue;
    const { overflowX, overflowY, position } = getComputedStyle(element);
    const called = `${element.tagName.toLowerCase()} "${(element.textContent ?? '').trim().slice(0, 40)}"`;
    // What is typed is read too: the beginning of a figure is not the figure.
    const typed = element instanceof HTMLInputElement && element.value !== '' && element.type !== 'date';
    if (typed && element.scrollWidth > element.clientWidth + 1) found.add(`cut: input "${element.value}"`);
    const says = [...element.childNodes].some((node) => node.nodeType === 3 && node.textContent?.trim());
    if (says && /hidden|clip/.test(overflowX) && element.scrollWidth > element.clientWidth + 1)
      found.add(`cut: ${called}`);
    if (says && right > wide + 1 && position !== 'fixed') found.add(`outside: ${called}`);
    if (/auto|scroll/.test(overflowY) && element.scrollHeight > element.clientHeight + 2)
      found.add(`scrolls: ${called}`);
    if (/auto|scroll/.test(overflowX) && element.scrollWidth > element.clientWidth + 2) found.add(`scrolls: ${called}`);
  }
  return [...found];
}

describe('every room', () => {
  const axe = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');
  const rooms = [
    '/',
    '/bench',
    '/rehearse',
    '/recipe',
    '/log',
    '/log?see=charts',
    '/times',
    '/cookers',
    '/rescue',
    '/settings',
    '/nowhere',
  ];
  const ids = { plan: '', cook: randomUUID(), rehearsal: randomUUID(), over: randomUUID(), entry: '' };
  /** Rooms that speak of a plan or of the cook that is running, by their ids. */
  const withIds = ({ plan, cook, rehearsal, over, entry }: typeof ids): string[] => [
    `/cook/${cook}`,
    `/rehearse/${rehearsal}`,
    `/rehearse/${over}`,
    `/rescue/power-cut?cook=${cook}`,
    `/card/${plan}`,
    `/shopping?plan=${plan}`,
    `/log/${entry}`,
  ];
  beforeAll(async () => {
    const plans = await kitchen.asks<{ id: string }[]>('GET', '/braises');
    ids.plan = plans[0]?.id ?? '';
    const { items } = await kitchen.asks<{ items: { id: string }[] }>('GET', '/log?limit=1');
    ids.entry = items[0]?.id ?? '';
    await kitchen.asks('POST', '/cooks', { id: ids.cook, startedEventId: randomUUID(), braiseId: ids.plan });
    // One under way, standing still, and one that is over.
    await kitchen.asks('POST', '/rehearsals', { id: ids.rehearsal, exercise: 'two-stages' });
    await kitchen.asks('PUT', `/rehearsals/${ids.rehearsal}/pace`, { paused: true });
    await kitchen.asks('POST', '/rehearsals', { id: ids.over, exercise: 'unscraped' });
    await kitchen.asks('POST', `/rehearsals/${ids.over}/acts`, { act: 'end' });
  });
  /** The bench is looked at with every station open in turn. */
  const stations = ['Sear', 'Pot', 'Vegetables', 'Letting down', 'Sauce', 'Clock'];

  test.each([1280, 390])(
    'has no axe violation (WCAG 2.2 A and AA) at %d px, by day and by night, and no sideways scroll',
    async (width) => {
      // On a phone the rooms' bar lies over whatever is scrolled under it: a tall page has everything in sight at once.
      const person = await Person.at(kitchen.browser, kitchen.server.address, {
        width,
        height: width < 760 ? 5000 : 844,
      });
      await person.page.evaluateOnNewDocument(() => {
        localStorage.setItem(
          'hervir.preferences',
          JSON.stringify({ state: { colours: 'day', lastPlan: null }, version: 1 }),
        );
      });
      // The policy of the page lets nothing in from outside its files, the checker included.
      await person.page.setBypassCSP(true);
      const check = async (what: string): Promise<void> => {
        await person.standsStill();
        const found = await person.page.evaluate(async () => {
          const { axe: checker } = window as unknown as {
            axe: {
              run(
                context: unknown,
                options: unknown,
              ): Promise<{ violations: { id: string; nodes: { html: string; failureSummary: string }[] }[] }>;
            };
          };
          const { violations } = await checker.run(document, {
            runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'],
            // What passes need not be listed.
            resultTypes: ['violations'],
          });
          return violations.flatMap(({ id, nodes }) =>
            nodes.map(({ html, failureSummary }) => `${id}: ${html.slice(0, 160)} ${failureSummary.slice(0, 200)}`),
          );
        });
        expect([what, found]).toEqual([what, []]);
        const sideways = await person.page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
        expect([what, sideways]).toEqual([what, Math.min(0, sideways)]);
      };
      await person.goes('/');
      await person.page.evaluate(axe);
      for (const room of [...rooms, ...withIds(ids)]) {
        if (room !== '/') await person.walksTo(room);
        await person.settles();
        await check(`${room}, by day`);
        // Each station once: by day where it is wide, by night on a phone.
        const inside = room === '/bench' ? stations : [];
        const stationsNow = async (when: string): Promise<void> => {
          for (const station of inside) {
            await person.opens(station);
            await check(`${room}, ${station}, ${when}`);
          }
        };
        if (width > 760) await stationsNow('by day');
        await person.presses('button', 'Night');
        await person.finds('button', 'Day');
        await check(`${room}, by night`);
        if (width < 760) await stationsNow('by night');
        await person.presses('button', 'Day');
      }
      await person.leaves();
    },
  );

  // The last width is a laptop at twice its size.
  test.each([
    ['', [360, 390, 768, 1024, 1280, 1440, 1920, 2560, 640], 16],
    [', with letters half as large again', [390, 768, 1280], 24],
  ])('holds at every width%s: nothing overflows, no word is cut, no box scrolls', async (_how, widths, letters) => {
    const person = await Person.at(kitchen.browser, kitchen.server.address);
    // As a browser is set to show its letters.
    const devtools = await person.page.createCDPSession();
    await devtools.send('Page.setFontSizes', { fontSizes: { standard: letters } });
    const broken: string[] = [];
    await person.goes('/');
    for (const room of [...rooms, ...withIds(ids)]) {
      if (room !== '/') await person.walksTo(room);
      await person.settles();
      for (const station of room === '/bench' ? ['Meat', ...stations] : [null]) {
        if (station !== null) await person.opens(station);
        for (const width of widths) {
          await person.page.setViewport({ width, height: width < 760 ? 844 : 800 });
          await person.standsStill();
          // A page that is still being laid out anew is looked at again, as a person would.
          let faults = await person.page.evaluate(brokenAt);
          for (let look = 0; faults.length > 0 && look < LOOKS; look += 1) {
            await person.standsStill();
            faults = await person.page.evaluate(brokenAt);
          }
          // The bench is whole at a laptop's size, whichever station is open.
          const tall = await person.page.evaluate(() => document.documentElement.scrollHeight);
          if (room === '/bench' && width === 1280 && letters === 16 && tall > 800) faults.push(`${tall} px high`);
          broken.push(...faults.map((fault) => `${room} ${station ?? ''} at ${width}: ${fault}`));
        }
      }
    }
    expect(broken).toEqual([]);
    expect(person.pageErrors).toEqual([]);
    await person.leaves();
  });

  test('on paper it is day, also where the screen is at night: the card and the chart have a page each', async () => {
    const person = await Person.at(kitchen.browser, kitchen.server.address);
    await person.goes(`/card/${ids.plan}`);
    await person.settles();
    await person.presses('button', 'Night');
    await person.finds('button', 'Day');
    await person.page.emulateMediaType('print');
    for (const [room, words] of [
      [`/card/${ids.plan}`, 'Plate and serve'],
      ['/times', 'Each cell: slices · fork · pulls'],
    ] as const) {
      if (room === '/times') await person.walksTo(room);
      await person.reads(words);
      await person.page.waitForFunction(() => !/to reckon/.test(document.body.innerText));
      const inks = await person.page.evaluate(() =>
        [...document.querySelectorAll('main *')]
          .filter((element) => [...element.childNodes].some((node) => node.nodeType === 3 && node.textContent?.trim()))
          .filter((element) => element.getClientRects().length > 0)
          .map((element) => Math.max(...(getComputedStyle(element).color.match(/\d+/g) ?? []).slice(0, 3).map(Number))),
      );
      expect(inks.length).toBeGreaterThan(20);
      // Nothing pale is printed: paper is white.
      expect(Math.max(...inks)).toBeLessThan(200);
      const paper = Buffer.from(await person.page.pdf({ preferCSSPageSize: true })).toString('latin1');
      expect(paper.match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1);
      // The chart lies on its side, the card stands, whichever was opened before.
      const [, width = '0', height = '0'] = /\/MediaBox\s*\[0 0 ([\d.]+) ([\d.]+)\]/.exec(paper) ?? [];
      expect(Number(width) > Number(height)).toBe(room === '/times');
    }
    await person.leaves();
  });
});
