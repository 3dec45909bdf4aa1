/** The rooms of the rail, in order; Alt and a digit goes to each. On a phone the first four a thumb needs stand in the bar. */
export const ROOMS = [
  { path: '/', name: 'Tonight', thumb: true, what: '' },
  { path: '/bench', name: 'Bench', thumb: true, what: '' },
  { path: '/rehearse', name: 'Rehearse', thumb: false, what: 'try a cook before it is one' },
  { path: '/times', name: 'Times', thumb: false, what: 'minutes for every cut, for the wall' },
  { path: '/log', name: 'Log', thumb: true, what: '' },
  { path: '/cookers', name: 'Cookers', thumb: false, what: 'your pots, and what was learnt of them' },
  { path: '/rescue', name: 'Rescue', thumb: true, what: '' },
  { path: '/settings', name: 'Settings', thumb: false, what: 'units, altitude, alarms, backup' },
] as const;

/**
 * Whether a page is in a room.
 *
 * @param pathname of the page
 * @param path of the room
 */
export const isIn = (pathname: string, path: string): boolean =>
  pathname === path || (path !== '/' && pathname.startsWith(`${path}/`));
