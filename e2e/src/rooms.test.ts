import { readFileSync } from 'node:fs';
import { aKitchen, Person } from './browser';

jest.setTimeout(240_000);

const kitchen = aKitchen();

describe('every room', () => {
  const axe = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');
  const rooms = ['/', '/bench', '/times', '/cookers', '/rescue', '/rescue/burn', '/settings', '/nowhere'];
  /** The bench is looked at with every station open in turn. */
  const stations = ['Sear', 'Pot and liquid', 'Vegetables and grains', 'Letting down', 'Sauce and plate'];

  test.each([
    ['day', 1280],
    ['day', 390],
    ['night', 1280],
    ['night', 390],
  ])('has no axe violation (WCAG 2.2 A and AA) by %s at %d px, and no sideways scroll', async (colours, width) => {
    // On a phone the rooms' bar lies over whatever is scrolled under it: a tall page has everything in sight at once.
    const person = await Person.at(kitchen.browser, kitchen.server.address, {
      width,
      height: width < 760 ? 5000 : 844,
    });
    await person.page.evaluateOnNewDocument((theme: string) => {
      localStorage.setItem(
        'hervir.preferences',
        JSON.stringify({ state: { colours: theme, lastPlan: null }, version: 1 }),
      );
    }, colours);
    // The policy of the page lets nothing in from outside its files, the checker included.
    await person.page.setBypassCSP(true);
    const check = async (what: string): Promise<void> => {
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
        });
        return violations.flatMap(({ id, nodes }) =>
          nodes.map(({ html, failureSummary }) => `${id}: ${html.slice(0, 160)} ${failureSummary.slice(0, 200)}`),
        );
      });
      expect([what, found]).toEqual([what, []]);
      const sideways = await person.page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      expect([what, sideways]).toEqual([what, Math.min(0, sideways)]);
    };
    for (const room of rooms) {
      await person.goes(room);
      await person.settles();
      await person.page.evaluate(axe);
      await check(room);
      // Two of the four are enough for what is folded away: both colours, both widths.
      if (room !== '/bench' || (colours === 'day') !== (width === 1280)) continue;
      for (const station of stations) {
        await person.opens(station);
        await check(`${room}, ${station}`);
      }
    }
    await person.leaves();
  });
});
