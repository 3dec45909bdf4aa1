import type { CookRecord } from '@hervir/contract';
import { randomUUID } from 'node:crypto';
import { aKitchen, Person } from './browser';

const AFTERNOON = '2027-01-17T16:00:00.000Z';

const LANGUAGES = ['en-GB', 'en-US', 'es-ES', 'es-MX'] as const;
type Language = (typeof LANGUAGES)[number];

const NAMES = {
  en: { plan: 'Goat of the refuge', pot: 'The blue pot' },
  es: { plan: 'Cabra del refugio', pot: 'La olla azul' },
} as const;

const ROOMS = ['/', '/times', '/log', '/rescue', '/recipe', '/rehearse', '/shopping', '/cookers', '/settings'];
const RESCUES = ['burn', 'pin-will-not-rise', 'still-tough', 'too-thin', 'power-cut', 'lid-stuck'];

/** Words that no Spanish sentence has, and every few English words do. */
const ENGLISH =
  /(?<![\p{L}])(?:the|and|with|of|for|from|minutes|until|when|your|you|not|this|that|which|how|what|meat|pot|cook|lid|pressure|dinner|under|about|then|than|before|after|full|left|cold|hot|high|low|thick|done|now|over)(?![\p{L}])/giu;
const AMERICAN = /(?<![\p{L}])(?:zucchini|beets?|rutabagas?|cornstarch|scallions?|eggplants?|cilantro)(?![\p{L}])/iu;
const BRITISH = /(?<![\p{L}])(?:courgettes?|beetroots?|swedes?|cornflour|aubergines?|spring onions?)(?![\p{L}])/iu;

/** What is wrong with words that a person reads: keys, holes, grammar, another language. */
function faultsOf(language: Language, text: string): string[] {
  const found = (pattern: RegExp): string[] =>
    [...text.matchAll(pattern)].map(({ index }) =>
      text.slice(Math.max(0, index - 30), index + 40).replaceAll('\n', ' / '),
    );
  return [
    ...found(/(?<![\p{L}\d./])[a-z]+(?:-[a-z]+)*\.[a-z0-9]+(?:-[a-z0-9]+)+(?![\p{L}])/gu),
    ...found(/undefined|\bNaN\b|\[object|\bnull\b|\{[a-zA-Z]+\}/g),
    ...found(/(?<![\d.,])1 (?:minutes|hours|pieces|cooks|people|minutos|horas|piezas|personas)(?!\p{L})/gu),
    ...(language.startsWith('es') ? found(ENGLISH) : []),
    ...(language === 'en-GB' ? found(new RegExp(AMERICAN, 'giu')) : []),
    ...(language === 'en-US' ? found(new RegExp(BRITISH, 'giu')) : []),
  ];
}

/** All that a page says, to the eye and to a screen reader. */
const saysAll = (person: Person): Promise<string> =>
  person.page.evaluate(() => {
    const named = [...document.querySelectorAll('[aria-label], [title], [placeholder]')]
      // A picture that is hidden from who listens, and the library's own name of it.
      .filter((one) => one.closest('[aria-hidden="true"], [role="img"].anticon') === null)
      .flatMap((one) => ['aria-label', 'title', 'placeholder'].map((name) => one.getAttribute(name) ?? ''));
    return [document.title, document.body.innerText, ...named].join('\n');
  });

/** All that a page says once it has come whole. */
async function saysInTheEnd(person: Person): Promise<string> {
  await person.settles();
  await person.standsStill();
  return saysAll(person);
}

async function inLanguage(kitchen: ReturnType<typeof aKitchen>, language: Language): Promise<Person> {
  const person = await Person.at(kitchen.browser, kitchen.server.address);
  await person.speaks(language);
  return person;
}

// What a cook has typed stands as it was typed: each kitchen is of people who write in its language.
describe.each([
  ['en', ['en-GB', 'en-US']],
  ['es', ['es-ES', 'es-MX']],
] as const)('in %s', (written, languages) => {
  const kitchen = aKitchen({ demo: false, clockAt: AFTERNOON });
  const names = NAMES[written];
  const plan = {
    format: 'hervir/braise',
    version: 2,
    name: names.plan,
    target: 'fork',
    servings: 5,
    meat: { cut: 'goat-shoulder', form: 'chunks', grams: 1300 },
    pressureMinutes: 20,
    serveAt: '2027-01-17T20:00:00+00:00',
    cooker: { name: names.pot },
    vegetables: [
      { vegetable: 'carrot', grams: 400, texture: 'tender', place: 'second-run' },
      { vegetable: 'courgette', grams: 300, texture: 'tender', place: 'off-heat' },
      { vegetable: 'beetroot', grams: 200, texture: 'tender', place: 'auto' },
    ],
    grains: [{ grain: 'freekeh', grams: 120, place: 'auto' }],
    stages: [{ id: 'second-run', kind: 'pressure', minutes: 4 }],
  };

  test.each(languages)('every room is read through in %s: no key, no hole, no other language', async (language) => {
    const id = randomUUID();
    await kitchen.asks('POST', '/braises', { id, plan });
    const person = await inLanguage(kitchen, language);
    const faults: Record<string, string[]> = {};
    await person.goes('/');
    const bench = ['', ...[1, 2, 3, 4, 5, 6, 7, 0]].map((key) => `/bench/${id}#${key}`);
    for (const path of [...ROOMS, ...RESCUES.map((topic) => `/rescue/${topic}`), `/card/${id}`, ...bench]) {
      const [room = '/', key = ''] = path.split('#');
      if (key !== '') await person.page.keyboard.press(key as '1');
      else if (room !== '/') await person.walksTo(room);
      const said = await saysInTheEnd(person);
      expect(await person.page.evaluate(() => document.documentElement.lang)).toBe(language);
      const wrong = faultsOf(language, said);
      if (wrong.length > 0) faults[path.replace(id, '…')] = [...new Set(wrong)];
    }
    expect(faults).toEqual({});
    expect(person.pageErrors).toEqual([]);
    await person.leaves();
    await kitchen.asks('DELETE', `/braises/${id}`);
  });

  test.each(languages)('a cook is gone through in %s from the first step to the last', async (language) => {
    const id = randomUUID();
    const { guide } = await kitchen.asks<CookRecord>('POST', '/cooks', { id, plan, startedEventId: randomUUID() });
    const person = await inLanguage(kitchen, language);
    await person.goes(`/cook/${id}`);
    const faults: Record<string, string[]> = {};
    const isCounted = (): Promise<boolean> =>
      person.page.evaluate(() => document.querySelector('main [role="timer"]') !== null);
    let overrun = false;
    for (const step of guide.steps) {
      let said = await saysInTheEnd(person);
      // Once the time is over, and the bar above says so too.
      if (!overrun && (await isCounted())) {
        overrun = true;
        kitchen.clock.forward(60);
        await person.page.waitForFunction(() => document.title.startsWith('▲'));
        said += await saysInTheEnd(person);
      }
      const wrong = faultsOf(language, said);
      if (wrong.length > 0) faults[step.id] = [...new Set(wrong)];
      kitchen.clock.forward(2);
      const at = new Date(kitchen.clock.now()).toISOString();
      const payload = step.done === 'checked' ? { step: step.id, grade: 'fork' } : { step: step.id };
      await kitchen.asks('POST', `/cooks/${id}/events`, {
        events: [{ id: randomUUID(), kind: step.done, at, payload }],
      });
      await person.page.waitForFunction(
        (before: string) => document.body.innerText !== before,
        {},
        await person.text(),
      );
    }
    expect([overrun, faults]).toEqual([true, {}]);
    expect(person.pageErrors).toEqual([]);
    await person.leaves();
  });
});

describe('what is taken out of the house', () => {
  const kitchen = aKitchen({ demo: false, clockAt: AFTERNOON });

  test('a calendar and a fault of the server are in the language that asks', async () => {
    const id = randomUUID();
    const plan = {
      format: 'hervir/braise',
      version: 2,
      name: NAMES.es.plan,
      target: 'fork',
      meat: { cut: 'beef-shin', form: 'slices', grams: 1200 },
      serveAt: '2027-01-17T20:00:00+00:00',
      cooker: { name: NAMES.es.pot },
    };
    await kitchen.asks('POST', '/braises', { id, plan });
    const asks = async (path: string, init: RequestInit = {}): Promise<string> => {
      const headers = { 'accept-language': 'es-MX,es;q=0.8', 'content-type': 'application/json' };
      return (await fetch(`${kitchen.server.address}/api${path}`, { ...init, headers })).text();
    };
    const calendar = await asks(`/braises/${id}/calendar.ics`);
    expect([calendar, faultsOf('es-MX', calendar.replaceAll(/^UID:.*$|^[A-Z-]+[;:]/gm, ''))]).toEqual([calendar, []]);
    const heavy = { ...plan, meat: { ...plan.meat, grams: 99_000 } };
    const refused = await asks('/braises', { method: 'POST', body: JSON.stringify({ id: randomUUID(), plan: heavy }) });
    const { faults } = JSON.parse(refused) as { readonly faults: readonly { problem: string; allowed: string }[] };
    const said = faults.map(({ problem, allowed }) => `${problem}; ${allowed}`).join('\n');
    expect(said).not.toBe('');
    expect([said, faultsOf('es-MX', said)]).toEqual([said, []]);
    // A kitchen without a cooker of its own: the usual one is called as who asks would call it.
    const read = await asks('/recipes/read', {
      method: 'POST',
      body: JSON.stringify({
        text: 'Chamorro\n\nIngredientes\n1 kg de chamorro de res\n500 ml de caldo\n\nPreparación\nDora la carne y cuece 40 minutos a presión.',
      }),
    });
    expect((JSON.parse(read) as { plan: { cooker: { name: string } } }).plan.cooker.name).toBe('Olla eléctrica');
  });
});

describe('chosen in Settings', () => {
  const kitchen = aKitchen({ demo: false });

  test('a language stays on this device whatever its browser speaks', async () => {
    const person = await Person.at(kitchen.browser, kitchen.server.address);
    await person.goes('/settings');
    await person.picks('Language', 'Español (México)');
    await person.reads('Ajustes');
    await person.goes('/');
    await person.reads('Empieza a las');
    await person.leaves();
  });
});

describe('what the first room says comes with it', () => {
  const demo = aKitchen();
  const empty = aKitchen({ demo: false });
  test.each(LANGUAGES)('in %s: with plans and without, and other rooms fetch their own', async (language) => {
    for (const kitchen of [demo, empty]) {
      const person = await inLanguage(kitchen, language);
      const fetched: string[] = [];
      person.page.on('request', (request) => fetched.push(request.url()));
      const others = (): string[] => fetched.filter((url) => url.includes('-rest-'));
      await person.goes('/');
      await person.finds('button', language.startsWith('es') ? 'Por qué estos minutos' : 'Why these minutes');
      expect(faultsOf('en-GB', await saysInTheEnd(person)).filter((fault) => /[a-z]\.[a-z]/.test(fault))).toEqual([]);
      expect(others()).toEqual([]);
      await person.walksTo('/times');
      await person.settles();
      expect(others()).not.toEqual([]);
      await person.leaves();
    }
  });
});
