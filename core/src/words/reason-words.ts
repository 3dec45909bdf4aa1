import { cutById, cutTitle } from '../larder/cuts';
import type { Plan } from '../plan/plan';
import { textureWord, type Doneness, type GrainDoneness } from '../stations/doneness';
import type { Printer } from '../units/quantity';
import { inTen } from './odds-words';
import { placeName, placePhrase } from './place-words';

/** What stands behind a figure: a code, and the numbers the reckoning used. */
export type ReasonFact =
  | {
      readonly code: 'heat-to-the-middle';
      readonly values: {
        readonly minutes: number;
        readonly thicknessCm: number;
        readonly fromC: number;
        readonly beforeTimer: number;
      };
    }
  | {
      readonly code: 'middle-lags';
      readonly values: { readonly thicknessCm: number; readonly middleC: number; readonly potC: number };
    }
  | {
      readonly code: 'melting';
      readonly values: {
        readonly minutes: number;
        readonly potC: number;
        readonly share: number;
        readonly cut: string;
      };
    }
  | {
      readonly code: 'by-altitude';
      /** What the rule of the trade adds, and how much less a minute at pressure cooks than at the sea, shares. */
      readonly values: { readonly altitudeM: number; readonly rule: number; readonly less: number };
    }
  | { readonly code: 'waits-for-steam'; readonly values: { readonly toPin: number; readonly wet: number } }
  | {
      readonly code: 'slower-cut';
      readonly values: { readonly enough: number; readonly more: number; readonly cut: string };
    }
  | {
      readonly code: 'for-the-odds';
      readonly values: { readonly enough: number; readonly more: number; readonly chance: number };
    }
  | { readonly code: 'own-minutes'; readonly values: { readonly gap: number; readonly proposed: number } }
  | {
      readonly code: 'learnt-toughness';
      readonly values: {
        readonly gap: number;
        readonly short: number;
        readonly past: number;
        readonly cooks: number;
        readonly factor: number;
      };
    }
  | {
      readonly code: 'learnt-heat' | 'learnt-losses';
      readonly values: { readonly cooks: number; readonly factor: number };
    }
  | { readonly code: 'not-sure-enough'; readonly values: { readonly minutes: number } }
  | {
      readonly code: 'odds';
      readonly values: {
        readonly short: number;
        readonly at: number;
        readonly past: number;
        readonly mean: number;
        readonly core: number;
      };
    }
  | {
      readonly code: 'working-temperature';
      readonly values: { readonly airKPa: number; readonly workingC: number; readonly boilingC: number };
    }
  | { readonly code: 'to-pressure'; readonly values: { readonly toPin: number; readonly toPressure: number } }
  | {
      readonly code: 'valve-at-once' | 'by-itself' | 'then-the-valve';
      readonly values: { readonly minutes: number; readonly natural: number };
    }
  | {
      readonly code: 'all-in-all';
      readonly values: {
        readonly total: number;
        readonly hands: number;
        /** Until the lid is on for the first run. */
        readonly before: number;
        readonly up: number;
        readonly under: number;
        readonly down: number;
      };
    }
  | {
      readonly code: 'its-day';
      /** Of the day it is eaten: in all, with the hands, and until its middle is warm; how cold and how warm it is. */
      readonly values: {
        readonly total: number;
        readonly hands: number;
        readonly warming: number;
        readonly fromC: number;
        readonly toC: number;
      };
    }
  | {
      readonly code: 'batches';
      readonly values: {
        readonly batches: number;
        readonly perBatch: number;
        readonly coverage: number;
        readonly minutes: number;
        readonly preheat: number;
      };
    }
  | { readonly code: 'base' | 'fill' | 'sauce'; readonly values: Readonly<Record<string, never>> }
  | {
      readonly code: 'base-cause';
      readonly values: { readonly at: number; readonly kelvin: number; readonly liquidC: number };
    }
  | { readonly code: 'sauce-step'; readonly values: { readonly at: number } }
  | {
      readonly code: 'plant';
      readonly values: {
        readonly name: string;
        readonly sizeCm: number;
        readonly place: string;
        readonly texture: Doneness | GrainDoneness;
        readonly wanted: Doneness;
        readonly met: boolean;
        readonly cookValue: number;
      };
    }
  | {
      readonly code: 'later-run';
      readonly values: {
        readonly place: string;
        readonly up: number;
        readonly minutes: number;
        readonly down: number;
        readonly byItself: boolean;
      };
    }
  | {
      readonly code: 'later-simmer';
      readonly values: { readonly place: string; readonly up: number; readonly minutes: number };
    }
  | {
      readonly code: 'under-foil';
      readonly values: { readonly minutes: number; readonly fromC: number; readonly toC: number };
    }
  | {
      readonly code: 'cooked-weight';
      readonly values: { readonly from: number; readonly to: number; readonly portions: number };
    }
  | {
      readonly code: 'free-liquid';
      readonly values: {
        readonly start: number;
        readonly minimum: number;
        readonly end: number;
        readonly fat: number;
      };
    }
  | { readonly code: 'ledger-line'; readonly values: { readonly what: string; readonly ml: number } }
  | {
      readonly code: 'middle-is-safe';
      readonly values: { readonly safeC: number; readonly minutes: number; readonly endC: number };
    };

/** What a reason may have to repeat: what is said elsewhere of the same forecast. */
export interface SaidElsewhere {
  readonly plan: Plan;
  readonly burn: { readonly text: string; readonly causes: readonly { readonly text: string }[] };
  readonly finish: { readonly text: string; readonly steps: readonly { readonly text: string }[] };
  readonly fill: { readonly text: string };
}

const n = (value: number): string => String(Math.round(value));
const one = (value: number): string => value.toFixed(1);
const cooks = (count: number): string => (count === 1 ? 'one cook' : `${count} cooks`);
const percentOff = (factor: number): number => Math.round(Math.abs(factor - 1) * 100);

type Values<C extends ReasonFact['code']> = Extract<ReasonFact, { readonly code: C }>['values'];

/** "three cooks of this cut came out short": what the log has taught, in the figures of this plan. */
function learntToughness({ gap, short, past, cooks: all, factor }: Values<'learnt-toughness'>): string {
  const came =
    short >= past && short > 0
      ? `${cooks(short)} of this cut came out short`
      : past > 0
        ? `${cooks(past)} of this cut came out past it`
        : `${cooks(all)} of this cut came out as wanted`;
  const learnt =
    gap === 0
      ? 'Learnt from your log'
      : `${Math.abs(gap)} ${Math.abs(gap) === 1 ? 'minute' : 'minutes'} ${gap > 0 ? 'more' : 'fewer'}, learnt from your log`;
  if (factor === 1)
    return `${learnt}: ${came}. On the whole as tough as usual, and its animals are ${gap < 0 ? 'more' : 'less'} alike than usual, from ${cooks(all)}.`;
  return `${learnt}: ${came}; it is taken to be ${percentOff(factor)} % ${factor > 1 ? 'tougher' : 'more tender'} than usual, from ${cooks(all)}.`;
}

/** What the log has taught of a cooker. */
function learntCooker(
  what: string,
  { cooks: all, factor }: Values<'learnt-heat' | 'learnt-losses'>,
  { cooker }: Plan,
): string {
  const name = cooker.name === '' ? 'the cooker' : cooker.name.replace(/^The /, 'the ');
  return `Learnt from ${all} of your cooks: ${what} ${percentOff(factor)} % ${factor > 1 ? 'more' : 'less'} than reckoned from the plate of ${name}.`;
}

function ownMinutes({ gap, proposed }: Values<'own-minutes'>): string {
  return gap === 0
    ? 'Your own minutes are what Hervir would propose.'
    : `Your own minutes: ${Math.abs(gap)} ${gap > 0 ? 'more' : 'fewer'} than the ${proposed} Hervir proposes.`;
}

function plant(plan: Plan, values: Values<'plant'>, print: Printer): string {
  const { name, sizeCm, place, texture, wanted, met, cookValue } = values;
  const size = sizeCm > 0 ? `, cut to ${print.quantity('length', sizeCm)}` : '';
  return `${name}${size}, ${placePhrase(plan, place)}: ${textureWord(texture)}, ${one(cookValue)} min at ${print.quantity('temperature', 100)} in the mean${met ? '' : `, and not ${textureWord(wanted)}`}.`;
}

/**
 * A reason in words. One `case` for every code.
 *
 * @param fact code and values
 * @param said the plan, and what is said of it elsewhere
 * @param print the cook's units
 */
export function reasonText(fact: ReasonFact, said: SaidElsewhere, print: Printer): string {
  const degrees = (celsius: number): string => print.quantity('temperature', celsius);
  const volume = (ml: number): string => print.quantity('volume', ml);
  const length = (cm: number): string => print.quantity('length', cm);
  const { plan } = said;
  switch (fact.code) {
    case 'heat-to-the-middle': {
      const { minutes, thicknessCm, fromC, beforeTimer } = fact.values;
      return `${n(minutes)} min from lid on for the heat to reach the middle of ${length(thicknessCm)} from ${degrees(fromC)}, of which ${n(beforeTimer)} pass before the timer starts.`;
    }
    case 'middle-lags': {
      const { thicknessCm, middleC, potC } = fact.values;
      return `The middle of ${length(thicknessCm)} is at ${degrees(middleC)} when the lid comes off; the pot is at ${degrees(potC)}. The outside is done well before the middle.`;
    }
    case 'melting': {
      const { minutes, potC, share, cut } = fact.values;
      return `${n(minutes)} min at ${degrees(potC)} melt ${n(share * 100)} % of the collagen of ${cutTitle(cutById(cut))} once it is hot; the release counts too.`;
    }
    case 'by-altitude': {
      const { altitudeM, rule, less } = fact.values;
      return `At ${print.quantity('altitude', altitudeM)} the pot works cooler: each minute at pressure cooks ${n(less * 100)} % less than at the sea. The rule of the trade, 5 % for every ${print.quantity('altitude', 304.8)} above ${print.quantity('altitude', 609.6)}, would add ${n(rule * 100)} % to the whole; but coming up, letting down and the heat’s way to the middle do not grow with it.`;
    }
    case 'waits-for-steam': {
      const { toPin, wet } = fact.values;
      return `The uppermost pieces ${wet > 0.05 ? 'lie only in part' : 'do not lie'} in the liquid: of the ${n(toPin)} min until the pin is up they have little, and they decide. Poured over, all would gain from a slow way up.`;
    }
    case 'slower-cut':
      return `${fact.values.enough} min would do for this cut; ${fact.values.more} more are for ${fact.values.cut}, which takes longer.`;
    case 'for-the-odds':
      return `${fact.values.enough} min would do for the usual animal; ${fact.values.more} more make it ${inTen(fact.values.chance)}, because animals differ by a fifth and thickness is measured badly.`;
    case 'own-minutes':
      return ownMinutes(fact.values);
    case 'learnt-toughness':
      return learntToughness(fact.values);
    case 'learnt-heat':
      return learntCooker('it gives', fact.values, plan);
    case 'learnt-losses':
      return learntCooker('with its lid on it loses', fact.values, plan);
    case 'not-sure-enough':
      return `Even ${n(fact.values.minutes)} min are not sure enough: cut it smaller, or accept a lower chance.`;
    case 'odds': {
      const { short, at, past, mean, core } = fact.values;
      return `Not tender enough ${inTen(short)}, as wanted ${inTen(at)}, beyond it ${inTen(past)}. ${n(mean * 100)} % of the collagen has melted on the whole, ${n(core * 100)} % in the middle.`;
    }
    case 'working-temperature': {
      const { airKPa, workingC, boilingC } = fact.values;
      const air =
        plan.kitchen.airKPa === undefined ? ` at ${print.quantity('altitude', plan.kitchen.altitudeM)}` : ', measured';
      return `${print.quantity('pressure', plan.cooker.gaugeKPa)} above the air outside (${print.quantity('pressure', airKPa)}${air}) is ${degrees(workingC)}; open it boils at ${degrees(boilingC)}.`;
    }
    case 'to-pressure': {
      const from = plan.cooker.timerStarts === 'pin' ? 'pin' : 'full pressure';
      return `Pin up after ${n(fact.values.toPin)} min and full pressure after ${n(fact.values.toPressure)}, from lid on, with ${n(plan.cooker.watts)} W; the minutes count from the ${from}.`;
    }
    case 'valve-at-once':
      return `The valve is opened at once: ${one(fact.values.minutes)} min. Left alone it would take ${n(fact.values.natural)}.`;
    case 'by-itself':
      return `The pin falls by itself after ${n(fact.values.natural)} min; the meat goes on cooking meanwhile.`;
    case 'then-the-valve':
      return `${n(plan.release.naturalMinutes)} min left alone, then the valve; by itself it would take ${n(fact.values.natural)}. The meat goes on cooking meanwhile.`;
    case 'all-in-all': {
      const { total, hands, before, up, under, down } = fact.values;
      // The last part is what is left of the whole minutes shown, so that the parts make up their sum.
      const after = [before, up, under, down].reduce((left, part) => left - Math.round(part), Math.round(total));
      return `${n(total)} min in all: ${n(before)} until the lid is on, ${n(up)} to come up, ${n(under)} under pressure, ${n(down)} down, ${after} from there to ${plan.cookAhead === undefined ? 'the plate' : 'the fridge'}. Your hands are needed for ${n(hands)} of them.`;
    }
    case 'its-day': {
      const { total, hands, warming, fromC, toC } = fact.values;
      return `${n(total)} min on the day it is eaten: ${n(warming)} of them bring its middle from ${degrees(fromC)} to ${degrees(toC)}. Your hands are needed for ${n(hands)} of them.`;
    }
    case 'batches': {
      const { batches, perBatch, coverage, minutes, preheat } = fact.values;
      return `${batches === 1 ? 'One batch' : `${batches} batches of up to ${perBatch}`}, covering ${n(coverage * 100)} % of the base; ${n(minutes)} min, and ${n(preheat)} before for the base to be hot.`;
    }
    case 'base':
      return said.burn.text;
    case 'base-cause': {
      const { at, kelvin, liquidC } = fact.values;
      return `${said.burn.causes[at]?.text ?? ''}: ${print.rise(kelvin)} over the liquid’s ${degrees(liquidC)}.`;
    }
    case 'fill':
      return said.fill.text;
    case 'sauce':
      return said.finish.text;
    case 'sauce-step':
      return `${said.finish.steps[fact.values.at]?.text ?? ''}.`;
    case 'plant':
      return plant(plan, fact.values, print);
    case 'later-run': {
      const { place, up, minutes, down, byItself } = fact.values;
      return `${placeName(plan, place)}: ${n(up)} min to come up again, ${n(minutes)} under pressure, ${n(down)} ${byItself ? 'to let down by itself' : 'to let down'}.`;
    }
    case 'later-simmer': {
      const { place, up, minutes } = fact.values;
      return `${placeName(plan, place)}: ${n(up)} min back to the boil, then ${n(minutes)} open.`;
    }
    case 'under-foil': {
      const { minutes, fromC, toC } = fact.values;
      return `Under foil for ${n(minutes)} min the meat’s middle goes from ${degrees(fromC)} to ${degrees(toC)}: the outside is hotter, so it comes up before it cools.`;
    }
    case 'cooked-weight': {
      const { from, to, portions } = fact.values;
      return `${print.quantity('mass', from)} to ${print.quantity('mass', to)} of cooked meat: ${n(portions)} servings at the usual amount.`;
    }
    case 'free-liquid': {
      const { start, minimum, end, fat } = fact.values;
      return `${volume(start)} of free liquid when the lid goes on (the pot wants ${volume(minimum)}), ${volume(end)} when it comes off, and ${volume(fat)} of fat on it.`;
    }
    case 'ledger-line': {
      const { what, ml } = fact.values;
      return `${ml > 0 ? '+' : '−'}${volume(Math.abs(ml))} ${what}.`;
    }
    case 'middle-is-safe': {
      const { safeC, minutes, endC } = fact.values;
      return `The middle passes ${degrees(safeC)} ${n(minutes)} min after the lid goes on, and ends at ${degrees(endC)}.`;
    }
  }
}
