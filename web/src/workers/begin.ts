/** The workers of the page begin here, and only here: a test puts others in their place. */

/** One that reckons, by the name of its errand. */
export const beginForecasting = (name: string): Worker =>
  new Worker(new URL('./forecast.worker.ts', import.meta.url), { type: 'module', name });

/** One that ticks twice a second, also in a page that lies in the background. */
export const beginTicker = (): Worker =>
  new Worker(new URL('./ticker.worker.ts', import.meta.url), { type: 'module', name: 'ticker' });
