import { aKitchen, Person } from './browser';
import { brokenAt, everyRoom, STATIONS, type Rooms } from './every-room';
import { saysItLonger } from './lengthened';

// Its clock stands still: how far a pot is must not hang on how fast the machine is.
const kitchen = aKitchen({ clockAt: new Date().toISOString() });
let rooms: Rooms;
beforeAll(async () => {
  kitchen.clock.stand();
  rooms = await everyRoom(kitchen);
});

type Size = readonly [width: number, height: number];
const LAPTOP: Size = [1280, 800];
/** Phones, one on its side, a window at 200 %, a tablet both ways, desks, and back to the laptop: no page keeps an old width. */
const SIZES: readonly Size[] = [
  [390, 844],
  [844, 390],
  [640, 400],
  [768, 1024],
  [1024, 768],
  [360, 740],
  [1440, 800],
  [1920, 1080],
  [2560, 1440],
  LAPTOP,
];

/** What does not hold in any room, the bench with every station open in turn, at sizes that follow one another. */
async function brokenAnywhere(person: Person, sizes: readonly Size[], tall: number): Promise<string[]> {
  const broken: string[] = [];
  const sees = ([width, height]: Size): Promise<void> => person.page.setViewport({ width, height });
  await person.goes('/');
  for (const room of rooms.paths) {
    await sees(LAPTOP);
    if (room !== '/') await person.walksTo(room);
    await person.settles();
    // Words that are not English are not asked for: a station is opened by its number.
    for (const [i, station] of room === '/bench' ? STATIONS.entries() : ([[0, '']] as const)) {
      if (room === '/bench') await person.page.keyboard.press(`${i + 1}` as '1');
      for (const size of sizes) {
        await sees(size);
        const faults = await brokenAt(person);
        // The bench is whole at a laptop's size, whichever station is open.
        const high = await person.page.evaluate(() => document.documentElement.scrollHeight);
        if (room === '/bench' && size === LAPTOP && high > tall) faults.push(`${high} px high`);
        broken.push(...faults.map((fault) => `${room} ${station} at ${size.join('×')}: ${fault}`));
      }
      await sees(LAPTOP);
    }
  }
  return broken;
}

describe('every room holds: nothing overflows, no word is cut, no box scrolls', () => {
  test('at every width, narrowed, turned, widened, and back', async () => {
    const person = await Person.at(kitchen.browser, kitchen.server.address);
    expect(await brokenAnywhere(person, SIZES, 800)).toEqual([]);
    expect(person.pageErrors).toEqual([]);
    await person.leaves();
  });

  test('with letters half as large again', async () => {
    const person = await Person.at(kitchen.browser, kitchen.server.address);
    // As a browser is set to show its letters.
    const devtools = await person.page.createCDPSession();
    await devtools.send('Page.setFontSizes', { fontSizes: { standard: 24 } });
    const sizes: readonly Size[] = [[390, 844], [768, 800], LAPTOP];
    expect(await brokenAnywhere(person, sizes, Infinity)).toEqual([]);
    expect(person.pageErrors).toEqual([]);
    await person.leaves();
  });

  test('with words a third longer', async () => {
    const person = await Person.at(kitchen.browser, kitchen.server.address);
    await saysItLonger(person.page);
    await person.goes('/');
    await person.reads(/Tonightöö/);
    const sizes: readonly Size[] = [[360, 740], [390, 844], [768, 1024], [1024, 768], LAPTOP];
    // No language of this kitchen is so long: what a narrow field or list shows of it may end early, and nothing else.
    const broken = await brokenAnywhere(person, sizes, Infinity);
    expect(broken.filter((fault) => !/: cut: (?:input|div) /.test(fault))).toEqual([]);
    expect(person.pageErrors).toEqual([]);
    await person.leaves();
  });
});
