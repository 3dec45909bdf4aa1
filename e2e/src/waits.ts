import type { HTTPRequest, Page } from 'puppeteer-core';

/** So much of what a page showed is said: enough to see which room it was and what it waited for. */
const SAID = 1500;

/** What a person would see now, and whether the page is drawn at all: a page that draws no frame answers no wait by frames. */
async function shownNow(page: Page): Promise<string> {
  return page
    .evaluate(async (most: number) => {
      const frame = new Promise<string>((resolve) => requestAnimationFrame(() => resolve('drawn')));
      const none = new Promise<string>((resolve) => setTimeout(() => resolve('not drawn for 2 s'), 2_000));
      const drawn = await Promise.race([frame, none]);
      return `${location.pathname}, ${document.visibilityState}, ${drawn}:\n${document.body.innerText.slice(0, most)}`;
    }, SAID)
    .catch((error: unknown) => `the page does not answer: ${String(error)}`);
}

/** The newest of what the page asked for and was refused: a toast that said so is gone by the time a wait ends. */
const REFUSALS = 5;

/** What the server refused this page, as it comes. */
function refusedTo(page: Page): readonly string[] {
  const refused: string[] = [];
  const note = (what: string, request: HTTPRequest): void => {
    refused.push(`${what} to ${request.method()} ${new URL(request.url()).pathname}`);
    if (refused.length > REFUSALS) refused.shift();
  };
  page.on('requestfailed', (request) => note('no answer', request));
  page.on('response', (response) => {
    if (response.status() < 400) return;
    void response
      .text()
      .catch(() => '')
      .then((body) => note(`${response.status()}, ${body.slice(0, 200)}`, response.request()));
  });
  return refused;
}

/**
 * Lets every wait of a page that ends in vain say what the page showed then, and what it was refused: on another machine, hours
 * later, a wait that was in vain is a riddle otherwise.
 *
 * @param page the page; its `waitForFunction` and `waitForSelector` are changed in place
 */
export function saysWhatItShows(page: Page): void {
  const refused = refusedTo(page);
  const said = async <R>(wait: Promise<R>): Promise<R> => {
    try {
      return await wait;
    } catch (error) {
      if (error instanceof Error && error.name === 'TimeoutError')
        error.message += `\nThe page was refused: ${refused.join('; ') || 'nothing'}.\nIt showed, at ${await shownNow(page)}`;
      throw error;
    }
  };
  const forFunction = page.waitForFunction.bind(page);
  page.waitForFunction = (...args) => said(forFunction(...args));
  const forSelector = page.waitForSelector.bind(page);
  page.waitForSelector = (...args) => said(forSelector(...args));
}
