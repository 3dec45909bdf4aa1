import type { BraiseSummary, CookRecord, LogPage } from '@hervir/contract';
import { randomUUID } from 'node:crypto';
import { aKitchen, Person } from './browser';
import { saysItLonger } from './lengthened';

/** A kitchen with a log, plans, and a pot on the fire. */
const kitchen = aKitchen({ demo: true });

/** A cook that is under pressure for more than an hour yet: its countdown has hours. */
async function underPressure(): Promise<string> {
  const id = randomUUID();
  const plan = {
    format: 'hervir/braise',
    version: 2,
    target: 'fork',
    pressureMinutes: 75,
    meat: { cut: 'goat-shoulder', form: 'chunks', grams: 1500 },
  };
  const { guide, startedAt } = await kitchen.asks<CookRecord>('POST', '/cooks', {
    id,
    plan,
    startedEventId: randomUUID(),
  });
  const upTo = guide.steps.findIndex((step) => step.id === 'pressure');
  const events = guide.steps.slice(0, upTo).map(({ id: step, done }) => ({
    id: randomUUID(),
    kind: done,
    at: startedAt,
    payload: { step },
  }));
  await kitchen.asks('POST', `/cooks/${id}/events`, { events });
  return id;
}

/** What lies outside the window: nothing, or it is named. */
const outside = (person: Person): Promise<string[]> =>
  person.page.evaluate(() => {
    const wide = document.documentElement.scrollWidth - innerWidth;
    const cut = [...document.querySelectorAll('[role="timer"]')]
      .filter((one) => one.scrollWidth > one.clientWidth + 1)
      .map((one) => `the countdown ${one.textContent}`);
    const drawn = [...document.querySelectorAll('main svg')]
      .filter((one) => one.closest('.times-scroll, table') === null)
      .map((one) => ({ one, box: one.getBoundingClientRect() }))
      .filter(({ box }) => box.width > 0 && (box.left < -1 || box.right > innerWidth + 1))
      .map(({ one, box }) => `${one.tagName} to ${Math.round(box.right)}`);
    return [...(wide > 0 ? [`the page is ${wide} px too wide`] : []), ...cut, ...drawn];
  });

/** So often a page is looked at before it counts as too wide. */
const LOOKS = 50;

/** A phone, a phone on its side, a window at 200 %, a tablet, and back to the laptop. */
const WIDTHS = [
  [390, 844],
  [844, 390],
  [640, 400],
  [768, 1024],
  [1024, 768],
  [390, 844],
  [1280, 800],
] as const;
/** What words may need another line at. */
const LONGER_WIDTHS = [
  [360, 740],
  [390, 844],
  [768, 1024],
  [1024, 768],
  [1280, 800],
] as const;

async function rooms(): Promise<string[]> {
  const cook = await underPressure();
  const [plan] = await kitchen.asks<BraiseSummary[]>('GET', '/braises');
  const [entry] = (await kitchen.asks<LogPage>('GET', '/log?limit=1')).items;
  return [
    '/',
    `/bench/${plan?.id}`,
    `/card/${plan?.id}`,
    `/shopping?plan=${plan?.id}`,
    `/cook/${cook}`,
    '/rescue',
    '/rescue/burn',
    '/log',
    '/log?see=charts',
    `/log/${entry?.id}`,
    '/cookers',
    '/times',
    '/settings',
    '/recipe',
    '/rehearse',
  ];
}

/** What lies outside the window in any room, narrowed and turned. */
async function outsideAnywhere(person: Person, widths: readonly (readonly [number, number])[]): Promise<string[]> {
  const found: string[] = [];
  const [first, ...others] = await rooms();
  await person.page.setViewport({ width: 1280, height: 800 });
  await person.goes(first ?? '/');
  for (const room of [first ?? '/', ...others]) {
    await person.page.setViewport({ width: 1280, height: 800 });
    if (room !== first) await person.walksTo(room);
    await person.settles();
    await person.standsStill();
    for (const [width, height] of widths) {
      await person.page.setViewport({ width, height });
      await person.standsStill();
      // A page that is still being laid out anew is looked at again, as a person would.
      let off = await outside(person);
      for (let look = 0; off.length > 0 && look < LOOKS; look += 1) {
        await person.standsStill();
        off = await outside(person);
      }
      found.push(...off.map((what) => `${room} at ${width}×${height}: ${what}`));
    }
  }
  return found;
}

test('no page keeps an old width: narrowed, turned, and back', async () => {
  const person = await Person.at(kitchen.browser, kitchen.server.address);
  expect(await outsideAnywhere(person, WIDTHS)).toEqual([]);
  expect(person.pageErrors).toEqual([]);
  await person.leaves();
});

test('every room holds with words a third longer', async () => {
  const person = await Person.at(kitchen.browser, kitchen.server.address);
  await saysItLonger(person.page);
  await person.goes('/');
  await person.reads(/Tonightöö/);
  expect(await outsideAnywhere(person, LONGER_WIDTHS)).toEqual([]);
  expect(person.pageErrors).toEqual([]);
  await person.leaves();
});
