import type { Page } from 'puppeteer-core';

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

/**
 * Lets every wait of a page that ends in vain say what the page showed then: on another machine, hours later, a wait that
 * was in vain is a riddle otherwise.
 *
 * @param page the page; its `waitForFunction` and `waitForSelector` are changed in place
 */
export function saysWhatItShows(page: Page): void {
  const said = async <R>(wait: Promise<R>): Promise<R> => {
    try {
      return await wait;
    } catch (error) {
      if (error instanceof Error && error.name === 'TimeoutError')
        error.message += `\nThe page showed, at ${await shownNow(page)}`;
      throw error;
    }
  };
  const forFunction = page.waitForFunction.bind(page);
  page.waitForFunction = (...args) => said(forFunction(...args));
  const forSelector = page.waitForSelector.bind(page);
  page.waitForSelector = (...args) => said(forSelector(...args));
}
