import type { Plan } from '../plan/plan';
import type { Place } from '../stations/stages';

const NAMES: Readonly<Record<string, string>> = {
  start: 'From the start',
  'second-run': 'Second run',
  simmer: 'Open simmer',
  'off-heat': 'Off the heat',
  'folded-in': 'Folded in',
  'flavour-only': 'Flavour only',
};
/** The same, where there is little room. */
const SHORT: Readonly<Record<string, string>> = {
  ...NAMES,
  start: 'Start',
  simmer: 'Simmer',
  'off-heat': 'Off heat',
  'flavour-only': 'Flavour',
};
/** The same, in the middle of a sentence. */
const PHRASES: Readonly<Record<string, string>> = {
  start: 'on top from the start',
  'flavour-only': 'for flavour only',
  'second-run': 'in the second run',
  simmer: 'in the open simmer',
  'off-heat': 'off the heat',
  'folded-in': 'cooked apart and folded in',
};
const KIND_NAMES = {
  pressure: 'Pressure',
  simmer: 'Simmer',
  'off-heat': 'Off the heat',
  apart: 'Cooked apart',
} as const;
const KIND_PHRASES = {
  pressure: 'in a later run',
  simmer: 'in a simmer',
  'off-heat': 'off the heat',
  apart: 'cooked apart and folded in',
} as const;

const ownStage = ({ stages }: Pick<Plan, 'stages'>, place: Place): Plan['stages'][number] | undefined =>
  stages.find(({ id }) => id === place);

/**
 * What a place of the evening is called: the cook's own name for a stage, or its kind.
 *
 * @param plan the plan whose stages these are
 * @param place `start`, `flavour-only`, or the id of a stage
 * @example placeName({ stages: [] }, 'second-run') // 'Second run'
 */
export function placeName(plan: Pick<Plan, 'stages'>, place: Place): string {
  const own = ownStage(plan, place);
  return own?.name ?? NAMES[place] ?? (own ? KIND_NAMES[own.kind] : place);
}

/**
 * The same, for a place where there is little room.
 *
 * @param plan the plan whose stages these are
 * @param place `start`, `flavour-only`, or the id of a stage
 * @example placeShort({ stages: [] }, 'off-heat') // 'Off heat'
 */
export function placeShort(plan: Pick<Plan, 'stages'>, place: Place): string {
  const own = ownStage(plan, place);
  return own?.name ?? SHORT[place] ?? (own ? KIND_NAMES[own.kind] : place);
}

/**
 * When something cooks, as it is said in a sentence.
 *
 * @param plan the plan whose stages these are
 * @param place `start`, `flavour-only`, or the id of a stage
 * @example placePhrase({ stages: [] }, 'simmer') // 'in the open simmer'
 */
export function placePhrase(plan: Pick<Plan, 'stages'>, place: Place): string {
  const own = ownStage(plan, place);
  if (own?.name !== undefined) return `in “${own.name}”`;
  return PHRASES[place] ?? (own ? KIND_PHRASES[own.kind] : place);
}
