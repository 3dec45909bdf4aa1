import { say, type Text } from '@hervir/language/message';
import { TROUBLES, type Trouble } from '../../clock/cook-events';
import type { Forecast } from '../forecast/forecast-document';
import { meatDry, stillTooTough, tooMuch, tooSalty, tooThin, vegetablesRaw } from './rescue-food';
import { boilsDry, burn, grey, lidStuck, pinWillNotFall, pinWillNotRise, powerCut } from './rescue-pot';
import type { AtThePot, RescueFrom, RescueText } from './rescue-from';

/** What can go wrong that has its own page of steps. */
export const RESCUE_TOPICS = TROUBLES;
export type RescueTopic = Trouble;

/** What to do, first to last; reasons after. */
export interface Rescue extends RescueText {
  readonly topic: RescueTopic;
  readonly title: Text;
  /** How to know that this is it. */
  readonly sign: Text;
  readonly caution: Text;
}

export const RESCUE_TITLES: Readonly<Record<RescueTopic, { readonly title: Text; readonly sign: Text }>> = {
  burn: {
    title: say('rescue.burn-error-or-it-smells'),
    sign: say('rescue.the-pot-says-burn-or'),
  },
  'pin-will-not-rise': { title: say('rescue.the-pin-will-not-rise'), sign: say('rescue.steam-for-minutes-or-none') },
  'pin-will-not-fall': { title: say('rescue.the-pin-will-not-fall'), sign: say('rescue.no-more-steam-and-the') },
  'boils-dry': { title: say('rescue.it-is-boiling-dry'), sign: say('rescue.much-steam-for-a-long') },
  'crowded-and-grey': { title: say('rescue.the-meat-is-grey-and'), sign: say('rescue.it-simmers-in-its-juice') },
  'still-tough': { title: say('rescue.the-meat-is-still-tough'), sign: say('rescue.the-fork-does-not-turn') },
  'too-thin': { title: say('rescue.the-sauce-is-too-thin'), sign: say('rescue.it-runs-off-the-spoon') },
  'too-much': { title: say('rescue.there-is-too-much-sauce'), sign: say('rescue.more-than-anybody-will-pour') },
  'too-salty': { title: say('rescue.it-is-too-salty'), sign: say('rescue.tasted-hot-before-anything-was') },
  'vegetables-raw': { title: say('rescue.the-vegetables-are-raw'), sign: say('rescue.a-knife-meets-a-hard') },
  'meat-dry': { title: say('rescue.the-meat-is-dry'), sign: say('rescue.tender-and-still-dry-in') },
  'power-cut': { title: say('rescue.the-power-is-gone'), sign: say('rescue.the-heat-went-off-in') },
  'lid-stuck': { title: say('rescue.the-lid-is-stuck'), sign: say('rescue.the-pin-is-down-and') },
};

const LID = say('rescue.never-force-the-lid-wait');

/** What can hurt while it is mended, where it is not the lid. */
const CAUTIONS: Readonly<Partial<Record<RescueTopic, Text>>> = {
  'crowded-and-grey': say('rescue.hot-fat-spits-on-wet'),
  'too-thin': say('rescue.sauce-boils-up-when-starch'),
  'too-much': say('rescue.the-pot-and-its-rim'),
  'too-salty': say('rescue.taste-from-a-cooled-spoon'),
  'meat-dry': say('rescue.sauce-clings-and-burns-let'),
  'power-cut': say('rescue.in-doubt-whether-it-is'),
};

const BUILD: Readonly<Record<RescueTopic, (from: RescueFrom) => RescueText>> = {
  burn,
  'pin-will-not-rise': pinWillNotRise,
  'pin-will-not-fall': pinWillNotFall,
  'boils-dry': boilsDry,
  'crowded-and-grey': grey,
  'still-tough': stillTooTough,
  'too-thin': tooThin,
  'too-much': tooMuch,
  'too-salty': tooSalty,
  'vegetables-raw': vegetablesRaw,
  'meat-dry': meatDry,
  'power-cut': powerCut,
  'lid-stuck': lidStuck,
};

/**
 * What to do now, step by step, with the figures of the plan and of the running cook where there are any. Its texts are
 * messages; the example is as an English reader has it.
 *
 * @param topic what is wrong
 * @param f the plan's forecast, or null
 * @param cook the running cook, or null
 * @example rescueFor('burn', null).steps[0] // 'Press cancel. Leave the lid locked.'
 */
export function rescueFor(topic: RescueTopic, f: Forecast | null, cook: AtThePot | null = null): Rescue {
  return { topic, ...RESCUE_TITLES[topic], caution: CAUTIONS[topic] ?? LID, ...BUILD[topic]({ f, cook }) };
}
