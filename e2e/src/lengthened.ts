import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from 'puppeteer-core';

const ASSETS = join(__dirname, '../../web/dist/assets');

/** An element of a compiled message, as far as words are in it. */
interface Element {
  readonly type: number;
  readonly value?: unknown;
  readonly options?: Readonly<Record<string, { readonly value: readonly Element[] }>>;
  readonly children?: readonly Element[];
}

/** The standard parser's number of words by themselves. */
const LITERAL = 0;

/** Words a third longer, and plainly no language: "steam" is "steamöö". */
const longer = (text: string): string =>
  text.replaceAll(/\p{L}{3,}/gu, (word) => word + 'ö'.repeat(Math.round(word.length / 3)));

function lengthened(message: unknown): unknown {
  if (typeof message === 'string') return longer(message);
  return (message as readonly Element[]).map((element) => ({
    ...element,
    ...(element.type === LITERAL ? { value: longer(String(element.value)) } : {}),
    ...(element.children ? { children: lengthened(element.children) } : {}),
    ...(element.options
      ? {
          options: Object.fromEntries(
            Object.entries(element.options).map(([key, { value }]) => [key, { value: lengthened(value) }]),
          ),
        }
      : {}),
  }));
}

/** A built catalog with every message a third longer. */
function lengthenedCatalog(file: string): string {
  const built = readFileSync(join(ASSETS, file), 'utf8');
  const [all, name = ''] = /export ?\{ ?(\w+) as messages ?\};?\s*$/.exec(built) ?? [];
  if (all === undefined) throw new Error(`${file} hands out its messages in another way`);
  // eslint-disable-next-line @typescript-eslint/no-implied-eval -- our own build, in a test
  const read = new Function(`${built.slice(0, -all.length)};return ${name};`) as () => Readonly<
    Record<string, unknown>
  >;
  const messages = Object.fromEntries(Object.entries(read()).map(([code, message]) => [code, lengthened(message)]));
  return `export const messages = ${JSON.stringify(messages)};`;
}

/**
 * From now on all that a page says is a third longer, as another language may be: a pseudo-locale.
 *
 * @param page that asks for English
 */
export async function saysItLonger(page: Page): Promise<void> {
  const files = readdirSync(ASSETS).filter((name) => /^en-(?:first|rest)-.*\.js$/.test(name));
  const catalogs = new Map(files.map((file) => [file, lengthenedCatalog(file)]));
  // Only the catalogs are stopped on their way: what a worker of the page fetches answers to nobody here.
  const session = await page.createCDPSession();
  session.on('Fetch.requestPaused', ({ requestId, request }) => {
    const body = catalogs.get(new URL(request.url).pathname.split('/').at(-1) ?? '') ?? '';
    void session.send('Fetch.fulfillRequest', {
      requestId,
      responseCode: 200,
      responseHeaders: [{ name: 'content-type', value: 'text/javascript' }],
      body: Buffer.from(body).toString('base64'),
    });
  });
  await session.send('Fetch.enable', { patterns: files.map((file) => ({ urlPattern: `*/${file}` })) });
}
