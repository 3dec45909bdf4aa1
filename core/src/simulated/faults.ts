import { say, type Text } from '@hervir/language/message';
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
  readonly name: Text;
  readonly what: Text;
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
    name: say('faults.valve-left-open'),
    what: say('faults.the-hand-forgets-to-close'),
    spoils: is('start', 'lock-and-start'),
  },
  {
    id: 'gasket-leaks',
    name: say('faults.gasket-leaks'),
    what: say('faults.steam-gets-away-past-the'),
    spoils: is('come-up', 'hold'),
  },
  {
    id: 'not-scraped',
    name: say('faults.fond-not-scraped'),
    what: say('faults.poured-but-what-sticks-stays'),
    spoils: is('deglaze', 'boil-marinade'),
  },
  {
    id: 'little-liquid',
    name: say('faults.too-little-liquid'),
    what: say('faults.a-fifth-of-what-the'),
    spoils: (move) => move.kind === 'deglaze' || (move.kind === 'pour' && move.stage === 'start'),
  },
  {
    id: 'paste-stirred',
    name: say('faults.paste-stirred-in'),
    what: say('faults.what-belongs-on-top-is'),
    spoils: (move) => move.kind === 'put' && move.layer === 'on-top',
  },
  { id: 'crowded', name: say('faults.crowded-sear'), what: say('faults.all-the-meat-goes-in'), spoils: is('sear') },
  {
    id: 'weak-saute',
    name: say('faults.weak-saute'),
    what: say('faults.it-gives-little-more-than'),
    spoils: is('heat', 'sear', 'fry', 'deglaze', 'boil-marinade', 'boil', 'simmer', 'reduce'),
  },
  {
    id: 'frozen-middle',
    name: say('faults.frozen-middle'),
    what: say('faults.the-meat-was-not-thawed'),
    spoils: (move) => move.kind === 'put' && move.stage === 'start',
  },
  { id: 'power-cut', name: say('faults.power-cut'), what: say('faults.no-power-until-it-is'), spoils: () => true },
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
