/** What can be thrown into a rehearsal. Each changes what a hand does or how the cooker is; the rest follows by itself. */
export const FAULTS = [
  'valve-open',
  'gasket-leaks',
  'not-scraped',
  'little-liquid',
  'paste-stirred',
  'crowded',
  'weak-saute',
  'frozen-middle',
  'power-cut',
] as const;
export type FaultId = (typeof FAULTS)[number];

/** A fault in a cook's words. */
export interface Fault {
  readonly id: FaultId;
  readonly name: string;
  readonly what: string;
  /** May be thrown in at any time; the others have to be there before the hand comes to it. */
  readonly anyTime: boolean;
}

export const FAULT_WORDS: readonly Fault[] = [
  { id: 'valve-open', name: 'Valve left open', what: 'The hand forgets to close it.', anyTime: false },
  { id: 'gasket-leaks', name: 'Gasket leaks', what: 'Steam gets away past the rim.', anyTime: true },
  { id: 'not-scraped', name: 'Fond not scraped', what: 'Poured, but what sticks stays.', anyTime: false },
  { id: 'little-liquid', name: 'Too little liquid', what: 'A fifth of what the plan says is poured.', anyTime: false },
  {
    id: 'paste-stirred',
    name: 'Paste stirred in',
    what: 'What belongs on top is stirred down to the base.',
    anyTime: false,
  },
  { id: 'crowded', name: 'Crowded sear', what: 'All the meat goes in at once.', anyTime: false },
  { id: 'weak-saute', name: 'Weak sauté', what: 'It gives little more than half of its heat.', anyTime: true },
  { id: 'frozen-middle', name: 'Frozen middle', what: 'The meat was not thawed through.', anyTime: false },
  { id: 'power-cut', name: 'Power cut', what: 'No power until it is called off.', anyTime: true },
];

/** Share of the plan's liquid that is poured by who forgets to measure. */
export const LITTLE = 0.2;
/** Of its heat that a weak sauté gives. Common practice: some electric pots brown hardly at all. */
export const WEAK_SAUTE = 0.55;
/** Share of the heater's power that leaks away as steam past a bad gasket. From memory. */
export const LEAK_SHARE = 0.7;
/** Thawed outside and not in the middle: all of it as cold as meat a quarter of whose ice has melted, °C. */
export const HALF_THAWED_C = -4;
