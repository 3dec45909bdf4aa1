import { readFileSync } from 'node:fs';
import { aKitchen, Person } from './browser';
import { everyRoom, STATIONS, type Rooms } from './every-room';

// Its clock stands still: how far a pot is must not hang on how fast the machine is.
const kitchen = aKitchen({ clockAt: new Date().toISOString() });

describe('every room', () => {
  const axe = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');
  let rooms: Rooms;
  beforeAll(async () => {
    kitchen.clock.stand();
    rooms = await everyRoom(kitchen);
  });

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
      for (const room of rooms.paths) {
        if (room !== '/') await person.walksTo(room);
        await person.settles();
        await check(`${room}, by day`);
        // Each station once: by day where it is wide, by night on a phone.
        const inside = room === '/bench' ? STATIONS.slice(1) : [];
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

  test('on paper it is day, also where the screen is at night: the card and the chart have a page each', async () => {
    const person = await Person.at(kitchen.browser, kitchen.server.address);
    await person.goes(`/card/${rooms.plan}`);
    await person.settles();
    await person.presses('button', 'Night');
    await person.finds('button', 'Day');
    await person.page.emulateMediaType('print');
    for (const [room, words] of [
      [`/card/${rooms.plan}`, 'Plate and serve'],
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
