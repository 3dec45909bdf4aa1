import { quantity, say, type Text } from '@hervir/language/message';
import { cutById, cutTitle } from '../catalog/cuts';
import type { Plan } from '../plan/plan';
import { textureWord, type Doneness, type GrainDoneness } from '../stations/doneness';
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
      readonly values: { readonly enough: number; readonly more: number; readonly cut: Text };
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
        readonly name: Text;
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
  | { readonly code: 'ledger-line'; readonly values: { readonly what: Text; readonly ml: number } }
  | {
      readonly code: 'middle-is-safe';
      readonly values: { readonly safeC: number; readonly minutes: number; readonly endC: number };
    };

/** What a reason may have to repeat: what is said elsewhere of the same forecast. */
export interface SaidElsewhere {
  readonly plan: Plan;
  readonly burn: { readonly text: Text; readonly causes: readonly { readonly text: Text }[] };
  readonly finish: { readonly text: Text; readonly steps: readonly { readonly text: Text }[] };
  readonly fill: { readonly text: Text };
}

const cooks = (count: number): Text => (count === 1 ? say('reason.one-cook') : say('reason.cooks', { count }));
const percentOff = (factor: number): number => Math.round(Math.abs(factor - 1) * 100);

type Values<C extends ReasonFact['code']> = Extract<ReasonFact, { readonly code: C }>['values'];

/** "three cooks of this cut came out short": what the log has taught, in the figures of this plan. */
function learntToughness({ gap, short, past, cooks: all, factor }: Values<'learnt-toughness'>): Text {
  const came =
    short >= past && short > 0
      ? say('reason.of-this-cut-came-out', { cooks: cooks(short) })
      : past > 0
        ? say('reason.of-this-cut-came-out-past', { cooks: cooks(past) })
        : say('reason.of-this-cut-came-out-as', { cooks: cooks(all) });
  const learnt =
    gap === 0
      ? say('reason.learnt-from-your-log')
      : say('reason.learnt-from-your-log-2', { gap: Math.abs(gap), isGap: gap > 0 });
  if (factor === 1) return say('reason.on-the-whole-as-tough', { learnt, came, gap: gap < 0, cooks: cooks(all) });
  return say('reason.it-is-taken-to-be', {
    learnt,
    came,
    percentOff: percentOff(factor),
    factor: factor > 1,
    cooks: cooks(all),
  });
}

/** What the log has taught of a cooker. */
function learntCooker(
  what: Text,
  { cooks: all, factor }: Values<'learnt-heat' | 'learnt-losses'>,
  { cooker }: Plan,
): Text {
  const name = cooker.name === '' ? say('reason.the-cooker') : cooker.name.replace(/^The /, 'the ');
  return say('reason.learnt-from-of-your-cooks', {
    all,
    what,
    percentOff: percentOff(factor),
    factor: factor > 1,
    name,
  });
}

function ownMinutes({ gap, proposed }: Values<'own-minutes'>): Text {
  return gap === 0
    ? say('reason.your-own-minutes-are-what')
    : say('reason.your-own-minutes-than-the', { gap: Math.abs(gap), isGap: gap > 0, proposed });
}

function plant(plan: Plan, values: Values<'plant'>): Text {
  const { name, sizeCm, place, texture, wanted, met, cookValue } = values;
  const size = sizeCm > 0 ? say('reason.cut-to', { sizeCm: quantity('length', sizeCm) }) : '';
  return say('reason.min-at-in-the-mean', {
    name,
    size,
    placePhrase: placePhrase(plan, place),
    textureWord: textureWord(texture),
    cookValue,
    temperature: quantity('temperature', 100),
    met,
    textureWord2: textureWord(wanted),
  });
}

/**
 * A reason in words. One `case` for every code.
 *
 * @param fact code and values
 * @param said the plan, and what is said of it elsewhere
 */
// oxlint-disable-next-line max-lines-per-function -- one case for each figure that can be asked why
export function reasonText(fact: ReasonFact, said: SaidElsewhere): Text {
  const degrees = (celsius: number): Text => quantity('temperature', celsius);
  const volume = (ml: number): Text => quantity('volume', ml);
  const length = (cm: number): Text => quantity('length', cm);
  const { plan } = said;
  switch (fact.code) {
    case 'heat-to-the-middle': {
      const { minutes, thicknessCm, fromC, beforeTimer } = fact.values;
      return say('reason.min-from-lid-on-for', {
        minutes: Math.round(minutes),
        thicknessCm: length(thicknessCm),
        fromC: degrees(fromC),
        beforeTimer: Math.round(beforeTimer),
      });
    }
    case 'middle-lags': {
      const { thicknessCm, middleC, potC } = fact.values;
      return say('reason.the-middle-of-is-at', {
        thicknessCm: length(thicknessCm),
        middleC: degrees(middleC),
        potC: degrees(potC),
      });
    }
    case 'melting': {
      const { minutes, potC, share, cut } = fact.values;
      return say('reason.min-at-melt-of-the', {
        minutes: Math.round(minutes),
        potC: degrees(potC),
        share: Math.round(share * 100),
        cut: cutTitle(cutById(cut)),
      });
    }
    case 'by-altitude': {
      const { altitudeM, rule, less } = fact.values;
      return say('reason.at-the-pot-works-cooler', {
        kitchen: quantity('altitude', altitudeM),
        less: Math.round(less * 100),
        step: quantity('altitude', 304.8),
        from: quantity('altitude', 609.6),
        rule: Math.round(rule * 100),
      });
    }
    case 'waits-for-steam': {
      const { toPin, wet } = fact.values;
      return say('reason.the-uppermost-pieces-lie-only', { wet: wet > 0.05, toPin: Math.round(toPin) });
    }
    case 'slower-cut':
      return say('reason.min-would-do-for-this', {
        enough: fact.values.enough,
        more: fact.values.more,
        cut: fact.values.cut,
      });
    case 'for-the-odds':
      return say('reason.min-would-do-for-the', {
        enough: fact.values.enough,
        more: fact.values.more,
        odds: inTen(fact.values.chance),
      });
    case 'own-minutes':
      return ownMinutes(fact.values);
    case 'learnt-toughness':
      return learntToughness(fact.values);
    case 'learnt-heat':
      return learntCooker(say('reason.it-gives'), fact.values, plan);
    case 'learnt-losses':
      return learntCooker(say('reason.with-its-lid-on-it'), fact.values, plan);
    case 'not-sure-enough':
      return say('reason.even-min-are-not-sure', { minutes: Math.round(fact.values.minutes) });
    case 'odds': {
      const { short, at, past, mean, core } = fact.values;
      return say('reason.not-tender-enough-as-wanted', {
        short: inTen(short),
        asWanted: inTen(at),
        past: inTen(past),
        mean: Math.round(mean * 100),
        core: Math.round(core * 100),
      });
    }
    case 'working-temperature': {
      const { airKPa, workingC, boilingC } = fact.values;
      const air =
        plan.kitchen.airKPa === undefined
          ? say('reason.at', { altitudeM: quantity('altitude', plan.kitchen.altitudeM) })
          : say('reason.measured');
      return say('reason.above-the-air-outside-is', {
        gaugeKPa: quantity('pressure', plan.cooker.gaugeKPa),
        airKPa: quantity('pressure', airKPa),
        air,
        workingC: degrees(workingC),
        boilingC: degrees(boilingC),
      });
    }
    case 'to-pressure': {
      const from = plan.cooker.timerStarts === 'pin' ? 'pin' : say('reason.full-pressure');
      return say('reason.pin-up-after-min-and', {
        toPin: Math.round(fact.values.toPin),
        toPressure: Math.round(fact.values.toPressure),
        watts: Math.round(plan.cooker.watts),
        from,
      });
    }
    case 'valve-at-once':
      return say('reason.the-valve-is-opened-at', {
        minutes: fact.values.minutes,
        natural: Math.round(fact.values.natural),
      });
    case 'by-itself':
      return say('reason.the-pin-falls-by-itself', { natural: Math.round(fact.values.natural) });
    case 'then-the-valve':
      return say('reason.min-left-alone-then-the', {
        naturalMinutes: Math.round(plan.release.naturalMinutes),
        natural: Math.round(fact.values.natural),
      });
    case 'all-in-all': {
      const { total, hands, before, up, under, down } = fact.values;
      // The last part is what is left of the whole minutes shown, so that the parts make up their sum.
      const after = [before, up, under, down].reduce((left, part) => left - Math.round(part), Math.round(total));
      return say('reason.min-in-all-until-the', {
        total: Math.round(total),
        before: Math.round(before),
        up: Math.round(up),
        under: Math.round(under),
        down: Math.round(down),
        after,
        cookAhead: plan.cookAhead === undefined,
        hands: Math.round(hands),
      });
    }
    case 'its-day': {
      const { total, hands, warming, fromC, toC } = fact.values;
      return say('reason.min-on-the-day-it', {
        total: Math.round(total),
        warming: Math.round(warming),
        fromC: degrees(fromC),
        toC: degrees(toC),
        hands: Math.round(hands),
      });
    }
    case 'batches': {
      const { batches, perBatch, coverage, minutes, preheat } = fact.values;
      return say('reason.one-batch-batches-of-up', {
        batches,
        perBatch,
        coverage: Math.round(coverage * 100),
        minutes: Math.round(minutes),
        preheat: Math.round(preheat),
      });
    }
    case 'base':
      return said.burn.text;
    case 'base-cause': {
      const { at, kelvin, liquidC } = fact.values;
      return say('reason.over-the-liquids', {
        text: said.burn.causes[at]?.text ?? '',
        kelvin: quantity('rise', kelvin),
        liquidC: degrees(liquidC),
      });
    }
    case 'fill':
      return said.fill.text;
    case 'sauce':
      return said.finish.text;
    case 'sauce-step':
      return say('reason.sauce-step', { step: said.finish.steps[fact.values.at]?.text ?? '' });
    case 'plant':
      return plant(plan, fact.values);
    case 'later-run': {
      const { place, up, minutes, down, byItself } = fact.values;
      return say('reason.min-to-come-up-again', {
        placeName: placeName(plan, place),
        up: Math.round(up),
        minutes: Math.round(minutes),
        down: Math.round(down),
        byItself,
      });
    }
    case 'later-simmer': {
      const { place, up, minutes } = fact.values;
      return say('reason.min-back-to-the-boil', {
        placeName: placeName(plan, place),
        up: Math.round(up),
        minutes: Math.round(minutes),
      });
    }
    case 'under-foil': {
      const { minutes, fromC, toC } = fact.values;
      return say('reason.under-foil-for-min-the', {
        minutes: Math.round(minutes),
        fromC: degrees(fromC),
        toC: degrees(toC),
      });
    }
    case 'cooked-weight': {
      const { from, to, portions } = fact.values;
      return say('reason.to-of-cooked-meat-servings', {
        from: quantity('mass', from),
        to: quantity('mass', to),
        portions: Math.round(portions),
      });
    }
    case 'free-liquid': {
      const { start, minimum, end, fat } = fact.values;
      return say('reason.of-free-liquid-when-the', {
        start: volume(start),
        minimum: volume(minimum),
        end: volume(end),
        fat: volume(fat),
      });
    }
    case 'ledger-line': {
      const { what, ml } = fact.values;
      return say('reason.ledger-line', { comes: ml > 0, volume: volume(Math.abs(ml)), what });
    }
    case 'middle-is-safe': {
      const { safeC, minutes, endC } = fact.values;
      return say('reason.the-middle-passes-min-after', {
        safeC: degrees(safeC),
        minutes: Math.round(minutes),
        endC: degrees(endC),
      });
    }
  }
}
