import { ML_PER_CUP } from '@hervir/language';

/** Whose cups, pints and ounces a recipe is measured in. */
export type Measures = 'us' | 'imperial' | 'metric' | 'unknown';

/** Words that one country uses and the other does not. Common practice. */
const SAID: Readonly<Record<'us' | 'imperial', RegExp>> = {
  us: /(?<!\p{L})(?:all[- ]purpose|cornstarch|zucchini|eggplant|cilantro|scallions?|rutabagas?|beets?|broth|bell peppers?|garbanzos?|heavy cream|ground (?:beef|pork|lamb)|skillet|broiler|stove ?top|quarts?|canned|cans?|°? ?fahrenheit)(?!\p{L})|\d ?°? ?F(?!\p{L})/giu,
  imperial:
    /(?<!\p{L})(?:plain flour|cornflour|courgettes?|aubergines?|spring onions?|swedes?|beetroots?|double cream|creme fraiche|crème fraîche|passata|stock cubes?|minced (?:beef|pork|lamb)|hob|gas mark|gas \d|tinned|tins?|litres?|millilitres?|tomato pur[eé]e|imperial)(?!\p{L})/giu,
};

/**
 * Whose measures a recipe is in, by its other words: a pint of stock beside courgettes is not one beside zucchini.
 *
 * @param lines of the recipe, as written
 * @example measuresOf(['1 pint stock', '2 courgettes', '1 tin tomatoes']) // 'imperial'
 */
export function measuresOf(lines: readonly string[]): Measures {
  const text = lines.join('\n');
  const [us, imperial] = [SAID.us, SAID.imperial].map((said) => text.match(said)?.length ?? 0) as [number, number];
  return us === imperial ? 'unknown' : us > imperial ? 'us' : 'imperial';
}

interface Volumes {
  readonly cup: number;
  readonly fluidOunce: number;
  readonly pint: number;
  readonly quart: number;
  readonly gallon: number;
}

const US: Volumes = {
  cup: ML_PER_CUP,
  fluidOunce: ML_PER_CUP / 8,
  pint: ML_PER_CUP * 2,
  quart: ML_PER_CUP * 4,
  gallon: ML_PER_CUP * 16,
};
const IMPERIAL: Volumes = { cup: 250, fluidOunce: 28.4131, pint: 568.261, quart: 1136.52, gallon: 4546.09 };

/**
 * What a measure holds, ml. American: NIST Handbook 44. Imperial: Weights and Measures Act 1985, schedule 1; a cup of that
 * country and of those with the metric system is the metric one of 250 ml, common practice. Where the country is not known a
 * pint lies between both.
 */
export const VOLUMES: Readonly<Record<Measures, Volumes>> = {
  us: US,
  imperial: IMPERIAL,
  metric: { ...US, cup: 250 },
  unknown: { ...US, pint: 520 },
};
