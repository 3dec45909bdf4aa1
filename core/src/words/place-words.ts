import { say, type Text } from '@hervir/language/message';
import type { Plan } from '../plan/plan';
import type { Place } from '../stations/stages';

const NAMES: Readonly<Record<string, Text>> = {
  start: say('place.from-the-start'),
  'second-run': say('place.second-run'),
  simmer: say('place.open-simmer'),
  'off-heat': say('place.off-the-heat'),
  'folded-in': say('place.folded-in'),
  'flavour-only': say('place.flavour-only'),
};
/** The same, where there is little room. */
const SHORT: Readonly<Record<string, Text>> = {
  ...NAMES,
  start: say('place.start'),
  simmer: say('place.simmer'),
  'off-heat': say('place.off-heat'),
  'flavour-only': say('place.flavour'),
};
/** The same, in the middle of a sentence. */
const PHRASES: Readonly<Record<string, Text>> = {
  start: say('place.on-top-from-the-start'),
  'flavour-only': say('place.for-flavour-only'),
  'second-run': say('place.in-the-second-run'),
  simmer: say('place.in-the-open-simmer'),
  'off-heat': say('place.off-the-heat-2'),
  'folded-in': say('place.cooked-apart-and-folded-in'),
};
const KIND_NAMES = {
  pressure: say('place.pressure'),
  simmer: say('place.simmer'),
  'off-heat': say('place.off-the-heat'),
  apart: say('place.cooked-apart'),
} as const;
const KIND_PHRASES = {
  pressure: say('place.in-a-later-run'),
  simmer: say('place.in-a-simmer'),
  'off-heat': say('place.off-the-heat-2'),
  apart: say('place.cooked-apart-and-folded-in'),
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
export function placeName(plan: Pick<Plan, 'stages'>, place: Place): Text {
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
export function placeShort(plan: Pick<Plan, 'stages'>, place: Place): Text {
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
export function placePhrase(plan: Pick<Plan, 'stages'>, place: Place): Text {
  const own = ownStage(plan, place);
  if (own?.name !== undefined) return say('place.in', { name: own.name });
  return PHRASES[place] ?? (own ? KIND_PHRASES[own.kind] : place);
}
