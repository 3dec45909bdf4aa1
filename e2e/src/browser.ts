import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer, { type Browser, type ElementHandle, type Page } from 'puppeteer-core';
import { testClock, type TestClock } from './test-clock';
import { saysWhatItShows } from './waits';

const ROOT = join(__dirname, '../..');
/** Where Debian puts it and how it is started: the pictures are taken with the same. */
const CHROMIUM = JSON.parse(readFileSync(join(ROOT, 'e2e/chromium.json'), 'utf8')) as {
  paths: string[];
  flags: string[];
};

/** A server of its own: a process that a test may kill, on a folder that outlives it. */
export interface Server {
  readonly address: string;
  readonly folder: string;
  /** As a power cut would. */
  kill(): Promise<void>;
}

/** Starts the built server on a free loopback port, or on one it had before. */
export async function serve(
  options: { folder?: string; demo?: boolean; port?: number; clock?: string; args?: readonly string[] } = {},
): Promise<Server> {
  const folder = options.folder ?? mkdtempSync(join(tmpdir(), 'hervir-e2e-'));
  const args = [join(ROOT, 'server/dist/main.js'), '--port', String(options.port ?? 0), '--data', folder];
  const more = [...(options.demo === false ? [] : ['--demo']), ...(options.args ?? [])];
  const child: ChildProcess = spawn(process.execPath, [...args, ...more], {
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, ...(options.clock === undefined ? {} : { HERVIR_TEST_CLOCK: options.clock }) },
  });
  const address = await new Promise<string>((resolve, reject) => {
    let said = '';
    const listen = (chunk: Buffer): void => {
      said += chunk.toString();
      const match = /Hervir is at (\S+)/.exec(said);
      if (match?.[1]) resolve(match[1]);
    };
    child.stdout?.on('data', listen);
    child.stderr?.on('data', listen);
    child.on('exit', (code) => reject(new Error(`the server ended with ${String(code)}: ${said}`)));
  });
  return {
    address,
    folder,
    kill: () =>
      new Promise((resolve) => {
        if (child.exitCode !== null || child.signalCode !== null) {
          resolve();
          return;
        }
        child.removeAllListeners('exit');
        child.once('exit', () => resolve());
        child.kill('SIGKILL');
      }),
  };
}

/** A headless Chromium with a profile of its own. */
export async function openBrowser(): Promise<{ browser: Browser; close(): Promise<void> }> {
  const profile = mkdtempSync(join(tmpdir(), 'hervir-profile-'));
  const browser = await puppeteer.launch({
    executablePath: CHROMIUM.paths.find((path) => existsSync(path)) ?? 'chromium',
    headless: true,
    userDataDir: profile,
    args: [...CHROMIUM.flags, '--accept-lang=en-GB'],
    // A kitchen's own certificate: a person presses "go on" once.
    acceptInsecureCerts: true,
    // A wait is one call to the browser: its limit is the longest wait there is.
    protocolTimeout: 2 * PATIENCE,
  });
  return {
    browser,
    async close() {
      await browser.close();
      rmSync(profile, { recursive: true, force: true });
    },
  };
}

/** A shared machine may be slow, and nothing here is timed: what does not come at all ends a test, and nothing else. Shorter by hand. */
const PATIENCE = Number(process.env['HERVIR_PATIENCE'] ?? 600_000);
jest.setTimeout(3_600_000);

/** Asks again until it is so. */
export async function until(isSo: () => Promise<boolean>): Promise<void> {
  for (const end = Date.now() + PATIENCE; !(await isSo());) {
    if (Date.now() > end) throw new Error('it never came to be so');
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

const named = (role: string, name: string): string => `::-p-aria([name="${name}"][role="${role}"])`;

/** The element whose accessible name a pattern says: the selector for names knows exact ones only. */
async function like(page: Page, role: string, name: RegExp): Promise<ElementHandle> {
  const until = Date.now() + PATIENCE;
  for (;;) {
    const tree = await page.accessibility.snapshot({ interestingOnly: false }).catch(() => null);
    const waiting = tree ? [tree] : [];
    for (let node = waiting.pop(); node; node = waiting.pop()) {
      if (node.role === role && node.name !== undefined && name.test(node.name)) {
        const found = await node.elementHandle();
        if (found) return found;
      }
      waiting.push(...(node.children ?? []));
    }
    if (Date.now() > until) throw new Error(`no ${role} ${String(name)}`);
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

/**
 * Presses something, and sees that the press arrived: a page that grows as its figures come moves a button away under the
 * finger, and a person presses again.
 *
 * @param find what is pressed; found anew for each try, since a page may draw it anew
 */
export async function press(page: Page, find: () => Promise<ElementHandle | null>): Promise<void> {
  for (const end = Date.now() + PATIENCE; Date.now() < end;) {
    const found = await find();
    try {
      await found?.evaluate(async (element) => {
        const told = window as unknown as { pressed?: boolean };
        told.pressed = false;
        // Drawn anew under the finger it is another element of the same name: that is pressed too, and not pressed twice. One
        // that got another name meanwhile, as in a list that is sorted anew, is not what was meant.
        const named = (one: Element): string => one.getAttribute('aria-label') ?? one.textContent;
        const [tag, name] = [element.tagName, named(element)];
        const isIt = (one: EventTarget): boolean =>
          one instanceof Element && one.tagName === tag && named(one) === name;
        document.addEventListener(
          'click',
          (event) => {
            if (event.composedPath().some(isIt)) told.pressed = true;
            // What moved in under the finger at the last moment is not what was meant: it would lead away, and no second
            // press could mend it.
            else {
              event.preventDefault();
              event.stopImmediatePropagation();
            }
          },
          { capture: true, once: true },
        );
        // On a phone the rooms' bar lies over the lower edge.
        const { top, bottom } = element.getBoundingClientRect();
        if (top < 0 || bottom > innerHeight - 80) element.scrollIntoView({ block: 'center' });
        // A finger waits until what it is to press stands still.
        let was = element.getBoundingClientRect();
        for (let look = 0; look < 30; look += 1) {
          await new Promise((resolve) => setTimeout(resolve, 30));
          const is = element.getBoundingClientRect();
          if (is.x === was.x && is.y === was.y) break;
          was = is;
        }
      });
      await found?.click();
    } catch {
      // It was drawn anew in the middle of it.
      continue;
    }
    // A page that has gone to another one answers nothing, or knows of no press.
    const pressed = await page
      .evaluate(() => (window as unknown as { pressed?: boolean }).pressed)
      .catch(() => undefined);
    if (pressed !== false) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error('what is pressed is never where the finger is');
}

/** What a person does and sees, by role and name. */
export class Person {
  /** Requests that left our own server, and errors of the page: both stay empty. */
  readonly strayRequests: string[] = [];
  readonly pageErrors: string[] = [];

  private constructor(
    readonly page: Page,
    private readonly address: string,
  ) {}

  /**
   * @param how.motion with the short motions of lists and dialogs; left out, as a system that asks for none
   * @param how.keepsApp as a browser that keeps the application on the device; left out, it has no service worker, as over
   * an address that is not secure, and two cores are not busy keeping files that a short test never needs
   */
  static async at(
    browser: Browser,
    address: string,
    size = { width: 1280, height: 800 },
    how: { readonly keepsApp?: boolean; readonly motion?: boolean } = {},
  ): Promise<Person> {
    const context = await browser.createBrowserContext();
    const page = await context.newPage();
    page.setDefaultTimeout(PATIENCE);
    await page.setViewport(size);
    if (how.motion !== true) {
      await page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'reduce' }]);
    }
    if (how.keepsApp !== true) {
      await page.evaluateOnNewDocument(() => {
        delete (Navigator.prototype as { serviceWorker?: unknown }).serviceWorker;
      });
    }
    return Person.on(page, address);
  }

  /** From now on its browser asks for pages in a language, as one of that country does. */
  async speaks(language: string): Promise<void> {
    await this.page.setExtraHTTPHeaders({ 'accept-language': language });
    await this.page.evaluateOnNewDocument((tag: string) => {
      Object.defineProperty(navigator, 'languages', { get: () => [tag] });
      Object.defineProperty(navigator, 'language', { get: () => tag });
    }, language);
  }

  /** Another tab of the same browser: it shares what the device keeps. */
  async anotherTab(): Promise<Person> {
    const page = await this.page.browserContext().newPage();
    page.setDefaultTimeout(PATIENCE);
    return Person.on(page, this.address);
  }

  private static on(page: Page, address: string): Person {
    const person = new Person(page, address);
    saysWhatItShows(page);
    page.on('request', (request) => {
      const url = request.url();
      if (!url.startsWith(address) && !url.startsWith('data:') && !url.startsWith('blob:'))
        person.strayRequests.push(url);
    });
    page.on('pageerror', (error) => person.pageErrors.push(error instanceof Error ? error.message : String(error)));
    return person;
  }

  async goes(path: string): Promise<void> {
    await this.page.goto(this.address + path, { waitUntil: 'domcontentloaded' });
  }

  /**
   * Goes to another room without opening the application anew, as a press on the rail would; waits until it is there. The room
   * that is left stays in sight until the other one is loaded, and may change what it says meanwhile: it is known by a mark. Who is
   * there already stays.
   */
  async walksTo(path: string): Promise<void> {
    const left = await this.page.evaluate((to: string) => {
      if (location.pathname + location.search === to) return null;
      const main = document.querySelector('main');
      const roomOf = (pathname: string): string => pathname.split('/')[1] ?? '';
      const isSame = roomOf(location.pathname) === roomOf(new URL(to, location.href).pathname);
      if (!isSame) main?.firstElementChild?.setAttribute('data-left', '');
      const said = main?.innerText ?? '';
      history.pushState(null, '', to);
      dispatchEvent(new PopStateEvent('popstate', { state: null }));
      return { isSame, said };
    }, path);
    if (left === null) return;
    await this.page.waitForFunction(
      ({ isSame, said }: { isSame: boolean; said: string }) => {
        const main = document.querySelector('main');
        if (!main || main.innerText === '') return false;
        // In the same room it is another part, or another thing.
        return isSame ? main.innerText !== said : main.querySelector('[data-left]') === null;
      },
      {},
      left,
    );
  }

  /** The element a person would name so; waits until it is there. */
  async finds(role: string, wanted: string | RegExp): Promise<ElementHandle> {
    if (typeof wanted !== 'string') return like(this.page, role, wanted);
    const name = wanted;
    const handle = await this.page.waitForSelector(named(role, name), { visible: true });
    if (!handle) throw new Error(`no ${role} "${name}"`);
    return handle;
  }

  async presses(role: string, wanted: string | RegExp): Promise<void> {
    await press(this.page, () => this.finds(role, wanted));
  }

  /** The big button: the first in the card that says what to do now. */
  async pressesBig(): Promise<void> {
    await press(this.page, () => this.page.waitForSelector('[aria-label="Now"] .big-button:enabled'));
  }

  /** Takes one of a few that are all in sight: the words are pressed, the button itself is drawn over. */
  async chooses(name: string): Promise<void> {
    await press(this.page, async () => {
      const button = await this.page.waitForSelector(named('radio', name));
      const words = await button?.evaluateHandle((element) => element.closest('label') ?? element);
      return words?.asElement() as ElementHandle | null;
    });
  }

  /** Ticks or unticks a box, by keyboard: its own input is drawn over and cannot be clicked. */
  async ticks(name: string): Promise<void> {
    // The name of a box ends in the blanks its component puts there.
    const box = await like(this.page, 'checkbox', new RegExp(`^${name}\\s*$`));
    await box.focus();
    await this.page.keyboard.press('Space');
  }

  async reads(text: string | RegExp): Promise<void> {
    const source = typeof text === 'string' ? text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&') : text.source;
    await this.page.waitForFunction((pattern: string) => new RegExp(pattern).test(document.body.innerText), {}, source);
  }

  /** Opens a plan of Tonight by its name; a cook of the same name, on the fire above, is another link. */
  async opensPlan(name: string): Promise<void> {
    // What is on the fire comes in above the list, and the figures of each plan after it.
    await press(this.page, () => this.page.waitForSelector(`a[href^="/bench/"] ::-p-text(${name})`, { visible: true }));
    await this.page.waitForFunction(() => location.pathname.startsWith('/bench/'));
  }

  /** Opens a station of the bench by its title. */
  async opens(station: string): Promise<void> {
    const path = `::-p-xpath(//*[contains(@class,"station-head")][.//*[text()="${station}"]])`;
    const isOpen = (): Promise<boolean> =>
      this.page.evaluate(
        (title: string) =>
          [...document.querySelectorAll('[role="tab"][aria-selected="true"]')].some((open) =>
            (open.textContent ?? '').startsWith(title),
          ),
        station,
      );
    // The bench grows as its figures come: a press that went beside is made again, as a person would.
    for (const end = Date.now() + PATIENCE; Date.now() < end;) {
      const head = await this.page.waitForSelector(path, { visible: true });
      // On a phone the rooms' bar lies over the lower edge: as a person would, bring it to the middle first.
      await head?.evaluate((element) => element.scrollIntoView({ block: 'center' }));
      await head?.click().catch(() => undefined);
      for (let look = 0; look < 40; look += 1) {
        if (await isOpen()) return;
        await new Promise((resolve) => setTimeout(resolve, 100));
      }
    }
    throw new Error(`the station "${station}" does not open`);
  }

  /** All that can be read on the page. */
  text(): Promise<string> {
    return this.page.evaluate(() => document.body.innerText);
  }

  /** Replaces what stands in a field, and leaves it. */
  async writes(role: string, name: string, value: string): Promise<void> {
    const field = await this.finds(role, name);
    // A dialog that is still opening takes the focus back to itself: as a person would, look whether it was written.
    for (let attempt = 0; ; attempt += 1) {
      if (attempt === 5) throw new Error(`"${value}" could not be written into "${name}"`);
      await field.evaluate((element) => {
        (element as unknown as { focus(): void }).focus();
        (element as unknown as { select(): void }).select();
      });
      await this.page.keyboard.type(value);
      if ((await field.evaluate((element) => (element as unknown as { value: string }).value)) === value) break;
    }
    await this.page.keyboard.press('Enter');
  }

  /** Sees that a field holds a text. */
  async seesIn(role: string, name: string, value: string): Promise<void> {
    const field = await this.finds(role, name);
    await this.page.waitForFunction(
      (element: Element, wanted: string) => (element as HTMLInputElement).value === wanted,
      {},
      field,
      value,
    );
  }

  /** Puts the keyboard where a press of Tab would. */
  async focuses(role: string, name: string): Promise<void> {
    const found = await this.page.waitForSelector(named(role, name));
    await found?.evaluate((element) => (element as unknown as { focus(): void }).focus());
  }

  /** Waits until the room is drawn: nothing is opening or reckoning any more, in whatever language. */
  async settles(): Promise<void> {
    await this.page.waitForFunction(async () => {
      await document.fonts.ready;
      return (
        (document.querySelector('main')?.innerText ?? '') !== '' &&
        !/Opening\p{L}*…|Reckoning|Looking for|Abriendo…|Calculando…/u.test(document.body.innerText)
      );
    });
  }

  /** Waits until nothing on the page moves or grows any more: two looks in a row find every part where it was. */
  async standsStill(): Promise<void> {
    const look = (): Promise<string> =>
      this.page.evaluate(
        () =>
          new Promise<string>((resolve) =>
            requestAnimationFrame(() =>
              resolve(
                [...document.querySelectorAll('main *, nav, [role="dialog"]')]
                  .map((element) => {
                    const { x, y, width, height } = element.getBoundingClientRect();
                    return `${x} ${y} ${width} ${height}`;
                  })
                  .join() + String(document.getAnimations().length),
              ),
            ),
          ),
      );
    const until = Date.now() + PATIENCE;
    for (let before = await look(); Date.now() < until;) {
      await new Promise((resolve) => setTimeout(resolve, 60));
      const now = await look();
      if (now === before) return;
      before = now;
    }
    throw new Error('the page does not come to rest');
  }

  /** Opens a list and takes an entry by its words. */
  async picks(name: string, entry: string): Promise<void> {
    const isOpen = (list: ElementHandle): Promise<boolean> =>
      list.evaluate((element) => element.getAttribute('aria-expanded') === 'true');
    // A choice that opens the page anew has been taken, and answers nothing any more.
    const taken = (list: ElementHandle): Promise<boolean> =>
      list
        .evaluate((element, words) => (element.closest('.ant-select')?.textContent ?? '').includes(words), entry)
        .catch(() => true);
    // A press lands beside the list when the page above it grew at that moment, or on an entry that is still sliding: it is
    // made again, as a person would, for as long as anything is waited for.
    for (const until = Date.now() + PATIENCE; Date.now() < until;) {
      // Found anew for each try: a page may draw it anew.
      const list = await this.finds('combobox', name);
      try {
        if (!(await isOpen(list))) {
          await list.click();
          // Only a list that is searched takes letters; in another a space would choose, or close it.
          const searched = await list.evaluate((element) => element instanceof HTMLInputElement && !element.readOnly);
          if (searched) await list.type(entry);
        }
      } catch {
        // Drawn anew in the middle of it.
        continue;
      }
      const option = await this.page
        .waitForSelector(`.ant-select-dropdown:not(.ant-select-dropdown-hidden) ::-p-text(${entry})`, {
          visible: true,
          timeout: 3_000,
        })
        .catch(() => null);
      await option?.click().catch(() => undefined);
      for (let look = 0; look < 20; look += 1) {
        if (await taken(list)) return;
        await new Promise((resolve) => setTimeout(resolve, 100));
      }
    }
    throw new Error(`"${entry}" could not be taken from "${name}"`);
  }

  async leaves(): Promise<void> {
    await this.page.browserContext().close();
  }
}

/** One browser for all kitchens of a file, closed after its last test: each person has a context of their own. */
let sharedBrowser: ReturnType<typeof openBrowser> | undefined;
afterAll(async () => (await sharedBrowser)?.close());

/**
 * A server, with the demo kitchen unless told otherwise, and a browser, there before the first test of a file and gone after
 * the last.
 *
 * @param options.clockAt where the kitchen's own clock stands at first, ISO 8601; left out, it has none
 */
export function aKitchen(options: { readonly demo?: boolean; readonly clockAt?: string } = {}): {
  readonly server: Server;
  readonly browser: Browser;
  readonly clock: TestClock;
  /**
   * Somebody at a laptop goes to a room: who has stayed walks there, as in one evening at one page, and a page is opened for
   * nobody else. Who was lost in a test that failed is not waited for.
   */
  comesTo(path: string): Promise<Person>;
  /** That person is ready for the next test; the page has had no error. */
  stays(person: Person): void;
  /**
   * Asks the server itself, as another device would.
   *
   * @throws Error with what the server said, where it refuses
   */
  asks<T>(method: 'GET' | 'POST' | 'PUT' | 'DELETE', path: string, body?: object): Promise<T>;
  /** The server goes down as a power cut would take it. */
  powerGoes(): Promise<void>;
  /** It is back, on its folder and its port. */
  powerIsBack(): Promise<void>;
} {
  let server: Server | undefined;
  let opened: Awaited<ReturnType<typeof openBrowser>> | undefined;
  let clock: TestClock | undefined;
  let ready: Person | undefined;
  beforeAll(async () => {
    if (options.clockAt !== undefined) clock = testClock(options.clockAt);
    server = await serve({ demo: options.demo, clock: clock?.file });
    opened = await (sharedBrowser ??= openBrowser());
  });
  afterAll(async () => {
    await server?.kill();
    if (server) rmSync(server.folder, { recursive: true, force: true });
    clock?.remove();
  });
  const there = <T>(thing: T | undefined): T => {
    if (thing === undefined) throw new Error('the kitchen opens with the first test');
    return thing;
  };
  return {
    get server() {
      return there(server);
    },
    get browser() {
      return there(opened).browser;
    },
    get clock() {
      return there(clock);
    },
    async comesTo(path: string) {
      const stayed = ready;
      ready = undefined;
      if (stayed) {
        await stayed.walksTo(path);
        return stayed;
      }
      const person = await Person.at(there(opened).browser, there(server).address);
      await person.goes(path);
      return person;
    },
    stays(person: Person) {
      expect(person.pageErrors).toEqual([]);
      expect(person.strayRequests).toEqual([]);
      ready = person;
    },
    async asks<T>(method: string, path: string, body?: object) {
      const response = await fetch(`${there(server).address}/api${path}`, {
        method,
        headers: { 'content-type': 'application/json' },
        ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      });
      const text = await response.text();
      if (!response.ok) throw new Error(`${method} ${path}: ${response.status} ${text}`);
      return (text === '' ? null : JSON.parse(text)) as T;
    },
    powerGoes: () => there(server).kill(),
    async powerIsBack() {
      const { folder, address } = there(server);
      server = await serve({ folder, port: Number(new URL(address).port), clock: clock?.file });
    },
  };
}
