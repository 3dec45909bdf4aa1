import { say } from '@hervir/language';
/** The rooms of the rail, in order; Alt and a digit goes to each. On a phone the first four a thumb needs stand in the bar. */
export const ROOMS = [
  { path: '/', name: say('app.tonight'), thumb: true, what: '' },
  { path: '/bench', name: say('app.bench'), thumb: true, what: '' },
  { path: '/rehearse', name: say('app.rehearse'), thumb: false, what: say('app.try-a-cook-before-it') },
  { path: '/times', name: say('app.times'), thumb: false, what: say('app.minutes-for-every-cut-for') },
  { path: '/log', name: say('app.log'), thumb: true, what: '' },
  { path: '/cookers', name: say('app.cookers'), thumb: false, what: say('app.your-pots-and-what-was') },
  { path: '/rescue', name: say('app.rescue'), thumb: true, what: '' },
  { path: '/settings', name: say('app.settings'), thumb: false, what: say('app.units-altitude-alarms-backup') },
] as const;

/**
 * Whether a page is in a room.
 *
 * @param pathname of the page
 * @param path of the room
 */
export const isIn = (pathname: string, path: string): boolean =>
  pathname === path || (path !== '/' && pathname.startsWith(`${path}/`));
