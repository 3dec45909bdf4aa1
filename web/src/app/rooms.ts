/** The rooms of the rail, in order; Alt and a digit goes to each. */
export const ROOMS = [
  { path: '/', name: 'Tonight' },
  { path: '/bench', name: 'Bench' },
  { path: '/rehearse', name: 'Rehearse' },
  { path: '/times', name: 'Times' },
  { path: '/log', name: 'Log' },
  { path: '/cookers', name: 'Cookers' },
  { path: '/rescue', name: 'Rescue' },
  { path: '/settings', name: 'Settings' },
] as const;
