import type { BraiseSummary, CookRecord, LogPage } from '@hervir/contract';
import { randomUUID } from 'node:crypto';
import type { aKitchen, Person } from './browser';

type Kitchen = ReturnType<typeof aKitchen>;

/** The bench is looked at with every station open in turn; the first of them is open by itself. */
export const STATIONS = ['Meat', 'Sear', 'Pot', 'Vegetables', 'Letting down', 'Sauce', 'Clock'];

/** A cook that is under pressure for more than an hour yet: its countdown has hours. */
async function underPressure(kitchen: Kitchen): Promise<string> {
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

/** Every room there is, by its path; a plan of the demo is among them, and a cook and two rehearsals begun for it. */
export interface Rooms {
  readonly paths: readonly string[];
  readonly plan: string;
}

/**
 * Every room of a kitchen with the demo's plans and log, Tonight first.
 *
 * @param kitchen where a cook at its first step, one under pressure, a rehearsal that stands still and one that is over are
 * begun
 */
export async function everyRoom(kitchen: Kitchen): Promise<Rooms> {
  const plan = (await kitchen.asks<BraiseSummary[]>('GET', '/braises'))[0]?.id ?? '';
  const entry = (await kitchen.asks<LogPage>('GET', '/log?limit=1')).items[0]?.id ?? '';
  const [cook, rehearsal, over] = [randomUUID(), randomUUID(), randomUUID()];
  await kitchen.asks('POST', '/cooks', { id: cook, startedEventId: randomUUID(), braiseId: plan });
  const pressed = await underPressure(kitchen);
  await kitchen.asks('POST', '/rehearsals', { id: rehearsal, exercise: 'two-stages' });
  await kitchen.asks('PUT', `/rehearsals/${rehearsal}/pace`, { paused: true });
  await kitchen.asks('POST', '/rehearsals', { id: over, exercise: 'unscraped' });
  await kitchen.asks('POST', `/rehearsals/${over}/acts`, { act: 'end' });
  const paths = [
    '/',
    '/bench',
    '/rehearse',
    '/recipe',
    '/log',
    '/log?see=charts',
    '/times',
    '/cookers',
    '/rescue',
    '/rescue/burn',
    '/settings',
    '/nowhere',
    `/cook/${cook}`,
    `/cook/${pressed}`,
    `/rehearse/${rehearsal}`,
    `/rehearse/${over}`,
    `/rescue/power-cut?cook=${cook}`,
    `/card/${plan}`,
    `/shopping?plan=${plan}`,
    `/log/${entry}`,
  ];
  return { paths, plan };
}

/** What does not hold on the page as it stands: runs in the browser, and so knows nothing from without. */
function brokenNow(): string[] {
  const found = new Set<string>();
  const wide = window.innerWidth;
  if (document.documentElement.scrollWidth > wide) {
    const [first] = [...document.querySelectorAll('body *')].filter((one) => one.getBoundingClientRect().right > wide);
    found.add(`sideways, ${document.documentElement.scrollWidth} px: ${first?.outerHTML.slice(0, 80) ?? ''}`);
  }
  for (const drawing of document.querySelectorAll('main svg')) {
    const { left, right, width } = drawing.getBoundingClientRect();
    const isIn = width === 0 || (left >= -1 && right <= wide + 1);
    if (!isIn && drawing.closest('.times-scroll, table') === null) found.add(`outside: svg to ${Math.round(right)}`);
  }
  for (const element of document.querySelectorAll<HTMLElement>('body *')) {
    const { width, height, right } = element.getBoundingClientRect();
    // Where several pots are on the fire, the bar of them scrolls and shortens their names; Tonight's cards have them whole.
    const passed = element.closest('.visually-hidden, svg, .times-frame, .pills') !== null;
    if (width < 3 || height < 3 || passed) continue;
    const { overflowX, overflowY, position } = getComputedStyle(element);
    const called = `${element.tagName.toLowerCase()} "${(element.textContent ?? '').trim().slice(0, 40)}"`;
    // What is typed is read too: the beginning of a figure is not the figure. So is a countdown.
    const typed = element instanceof HTMLInputElement && element.value !== '' && element.type !== 'date';
    const counts = element.getAttribute('role') === 'timer';
    if ((typed || counts) && element.scrollWidth > element.clientWidth + 1)
      found.add(`cut: ${typed ? `input "${element.value}"` : called}`);
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

/** So often a page is looked at before what does not hold counts. */
const LOOKS = 30;

/** What does not hold on the page once it has come to rest; one that is still being laid out is looked at again. */
export async function brokenAt(person: Person): Promise<string[]> {
  await person.standsStill();
  let faults = await person.page.evaluate(brokenNow);
  for (let look = 0; faults.length > 0 && look < LOOKS; look += 1) {
    await person.standsStill();
    faults = await person.page.evaluate(brokenNow);
  }
  return faults;
}
