/** Addresses of pages, as the router of the web has them; what they show is its business. */
export const PAGES = [
  '/',
  '/bench',
  '/bench/:id',
  '/cook',
  '/cook/:id',
  '/card/:id',
  '/recipe',
  '/rehearse',
  '/rehearse/:id',
  '/times',
  '/log',
  '/log/:id',
  '/cookers',
  '/rescue',
  '/rescue/:topic',
  '/settings',
] as const;

const PATTERNS = PAGES.map((page) => new RegExp(`^${page.replace(/:\w+/g, '[^/]+')}/?$`));

/**
 * Whether an address is that of a page: whether there is such a plan or cook is another matter.
 *
 * @example isPage('/bench/3f0f7f3e-6f43-4d0b-9e0a-0d2f3b8a1c11') // true
 * @example isPage('/kitchen-sink') // false
 */
export const isPage = (path: string): boolean => PATTERNS.some((pattern) => pattern.test(path));
