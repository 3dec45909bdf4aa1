import type { CookState } from '../clock/cook-state';
import type { Move, MoveKind } from '../method/moves';

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
  /** What it spoils: it can be thrown in while one of these is being done, or still ahead. */
  readonly spoils: (move: Move) => boolean;
}

const is =
  (...kinds: readonly MoveKind[]) =>
  (move: Move): boolean =>
    kinds.includes(move.kind);

export const FAULT_WORDS: readonly Fault[] = [
  {
    id: 'valve-open',
    name: 'Valve left open',
    what: 'The hand forgets to close it.',
    spoils: is('start', 'lock-and-start'),
  },
  { id: 'gasket-leaks', name: 'Gasket leaks', what: 'Steam gets away past the rim.', spoils: is('come-up', 'hold') },
  {
    id: 'not-scraped',
    name: 'Fond not scraped',
    what: 'Poured, but what sticks stays.',
    spoils: is('deglaze', 'boil-marinade'),
  },
  {
    id: 'little-liquid',
    name: 'Too little liquid',
    what: 'A fifth of what the plan says is poured.',
    spoils: (move) => move.kind === 'deglaze' || (move.kind === 'pour' && move.stage === 'start'),
  },
  {
    id: 'paste-stirred',
    name: 'Paste stirred in',
    what: 'What belongs on top is stirred down to the base.',
    spoils: (move) => move.kind === 'put' && move.layer === 'on-top',
  },
  { id: 'crowded', name: 'Crowded sear', what: 'All the meat goes in at once.', spoils: is('sear') },
  {
    id: 'weak-saute',
    name: 'Weak sauté',
    what: 'It gives little more than half of its heat.',
    spoils: is('heat', 'sear', 'fry', 'deglaze', 'boil-marinade', 'boil', 'simmer', 'reduce'),
  },
  {
    id: 'frozen-middle',
    name: 'Frozen middle',
    what: 'The meat was not thawed through.',
    spoils: (move) => move.kind === 'put' && move.stage === 'start',
  },
  { id: 'power-cut', name: 'Power cut', what: 'No power until it is called off.', spoils: () => true },
];

/** Share of the plan's liquid that is poured by who forgets to measure. */
export const LITTLE = 0.2;
/** Of its heat that a weak sauté gives. Common practice: some electric pots brown hardly at all. */
export const WEAK_SAUTE = 0.55;
/** Share of the heater's power that leaks away as steam past a bad gasket. From memory. */
export const LEAK_SHARE = 0.7;
/** Thawed outside and not in the middle: all of it as cold as meat a quarter of whose ice has melted, °C. */
export const HALF_THAWED_C = -4;

/**
 * Whether there is still something for a fault to spoil: what is done already is done.
 *
 * @param id of the fault
 * @param state of the cook
 */
export function canBeThrownIn(id: FaultId, { steps, position }: CookState): boolean {
  const fault = FAULT_WORDS.find((one) => one.id === id);
  return steps.slice(position).some(({ step }) => step.moves.some((move) => fault?.spoils(move) === true));
}
