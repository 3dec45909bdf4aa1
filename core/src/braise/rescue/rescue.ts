import { TROUBLES, type Trouble } from '../../clock/cook-events';
import type { Printer } from '../../units/quantity';
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
  readonly title: string;
  /** How to know that this is it. */
  readonly sign: string;
  readonly caution: string;
}

export const RESCUE_TITLES: Readonly<Record<RescueTopic, { readonly title: string; readonly sign: string }>> = {
  burn: {
    title: 'Burn error, or it smells of scorching',
    sign: 'The pot says burn or hot and stops; or a sharp smell',
  },
  'pin-will-not-rise': { title: 'The pin will not rise', sign: 'Steam for minutes, or none at all, and no pin' },
  'pin-will-not-fall': { title: 'The pin will not fall', sign: 'No more steam, and the pin still up' },
  'boils-dry': { title: 'It is boiling dry', sign: 'Much steam for a long time; a hiss at the base' },
  'crowded-and-grey': { title: 'The meat is grey and wet', sign: 'It simmers in its juice instead of browning' },
  'still-tough': { title: 'The meat is still tough', sign: 'The fork does not turn; it springs back' },
  'too-thin': { title: 'The sauce is too thin', sign: 'It runs off the spoon like water' },
  'too-much': { title: 'There is too much sauce', sign: 'More than anybody will pour' },
  'too-salty': { title: 'It is too salty', sign: 'Tasted hot, before anything was added at the table' },
  'vegetables-raw': { title: 'The vegetables are raw', sign: 'A knife meets a hard middle' },
  'meat-dry': { title: 'The meat is dry', sign: 'Tender, and still dry in the mouth' },
  'power-cut': { title: 'The power is gone', sign: 'The heat went off in mid-cook' },
  'lid-stuck': { title: 'The lid is stuck', sign: 'The pin is down and the lid does not turn' },
};

const LID =
  'Never force the lid: wait for the pin to fall, hands and face away from the valve, and tilt it away from you. Your cooker’s manual comes first.';

/** What can hurt while it is mended, where it is not the lid. */
const CAUTIONS: Readonly<Partial<Record<RescueTopic, string>>> = {
  'crowded-and-grey': 'Hot fat spits on wet meat: dry it first, lay it in away from you.',
  'too-thin': 'Sauce boils up when starch goes in: heat low, stir, and mind the spitting.',
  'too-much': 'The pot and its rim are hot: ladle it out, do not pour from the pot.',
  'too-salty': 'Taste from a cooled spoon.',
  'meat-dry': 'Sauce clings and burns: let it cool a little before you taste.',
  'power-cut':
    'In doubt whether it is safe, throw it away. Partly cooked meat is never put aside; your local food-safety authority’s advice comes before these figures.',
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
 * What to do now, step by step, with the figures of the plan and of the running cook where there are any.
 *
 * @param topic what is wrong
 * @param f the plan's forecast, or null
 * @param print the cook's units
 * @param cook the running cook, or null
 * @example rescueFor('burn', null, printerFor('metric')).steps[0] // 'Press cancel. Leave the lid locked.'
 */
export function rescueFor(
  topic: RescueTopic,
  f: Forecast | null,
  print: Printer,
  cook: AtThePot | null = null,
): Rescue {
  return { topic, ...RESCUE_TITLES[topic], caution: CAUTIONS[topic] ?? LID, ...BUILD[topic]({ f, print, cook }) };
}
