import { isHotKind } from '../../plan/stage-settings';
import { SAFE_C } from '../../physics/cooking-body';
import { cutById, cutTitle } from '../../larder/cuts';
import { TARGET_BAND } from '../../meat/tenderness';
import { toughnessOf } from '../../plan/learnt';
import type { Target } from '../../plan/plan';
import { textureWord } from '../../stations/doneness';
import { kitchenAirKPa } from '../../pot/cooker';
import type { Printer } from '../../units/quantity';
import { placeName, placePhrase } from '../../words/place-words';
import { meltingMinutes } from './timing';
import type { Forecast, Reason } from './forecast-document';

/** How a target is said in a sentence. */
export const TARGET_WORDS: Readonly<Record<Target, string>> = {
  slices: 'it slices clean',
  fork: 'a fork slides in',
  pulls: 'it pulls apart',
};

/** Chances as a cook counts them: so many in ten. */
export function inTen(chance: number): string {
  const tenths = Math.round(chance * 10);
  if (chance > 0.975) return 'nearly sure';
  if (chance < 0.025) return 'hardly ever';
  return `${Math.min(9, Math.max(1, tenths))} in 10`;
}

/** Chances are sought to the minute: so near is the one that was asked for. */
const NEARLY = 0.05;

const n = (value: number): string => String(Math.round(value));
const one = (value: number): string => value.toFixed(1);

/** "three of your five cooks came out firm": what the log has taught, in the figures of this plan. */
function learntWords({ plan, withoutLearnt, proposedMinutes }: Omit<Forecast, 'reasons'>): string[] {
  const { learnt } = plan;
  const words: string[] = [];
  const cooks = (count: number): string => (count === 1 ? 'one cook' : `${count} cooks`);
  const tough = learnt?.toughness;
  if (tough) {
    const { short = 0, past = 0 } = tough;
    const gap = proposedMinutes === null || withoutLearnt === null ? 0 : proposedMinutes - withoutLearnt;
    const came =
      short >= past && short > 0
        ? `${cooks(short)} of this cut came out short`
        : past > 0
          ? `${cooks(past)} of this cut came out past it`
          : `${cooks(tough.cooks)} of this cut came out as they did`;
    const by = Math.round(Math.abs(tough.factor - 1) * 100);
    words.push(
      `${gap === 0 ? 'Learnt from your log' : `${Math.abs(gap)} minutes ${gap > 0 ? 'more' : 'fewer'}, learnt from your log`}: ${came}; it is taken to be ${by} % ${tough.factor > 1 ? 'tougher' : 'more tender'} than the table, from ${cooks(tough.cooks)}.`,
    );
  }
  return words;
}

/** What the log has taught of a cooker, in words. */
function cookerWords({ plan: { learnt, cooker } }: Omit<Forecast, 'reasons'>): string[] {
  const said = (what: string, one: { readonly factor: number; readonly cooks: number } | undefined): string[] =>
    one === undefined
      ? []
      : [
          `Learnt from ${one.cooks} of your cooks: ${what} ${Math.round(Math.abs(one.factor - 1) * 100)} % ${one.factor > 1 ? 'more' : 'less'} than reckoned from the plate of ${cooker.name === '' ? 'the cooker' : cooker.name.replace(/^The /, 'the ')}.`,
        ];
  return [...said('it gives', learnt?.heat), ...said('with its lid on it loses', learnt?.losses)];
}

/**
 * The reasons beside the figures. Every text is made of the numbers the reckoning used.
 *
 * @param f the forecast but for its reasons
 * @param print the cook's units
 */
export function reasonsFor(f: Omit<Forecast, 'reasons'>, print: Printer): Reason[] {
  const degrees = (celsius: number): string => print.quantity('temperature', celsius);
  const volume = (value: number): string => print.quantity('volume', value);
  const { plan, pot, tenderness, piece } = f;
  const cut = cutById(plan.meat.cut);
  const share = TARGET_BAND[plan.target][0];
  const melting = meltingMinutes(share, toughnessOf(plan), pot.workingC);
  const timer = plan.cooker.timerStarts === 'pin' ? pot.minutesToPin : pot.minutesToPressure;
  const start = f.pot.curve.find((point) => point.phase !== 'saute' && point.coreC !== null)?.coreC ?? 5;
  const hot = f.pot.curve.find((point) => point.coreC !== null && point.coreC >= pot.workingC - 10);
  const lidOn = f.clock.tasks.find((task) => task.id === 'heating')?.startMinute ?? 0;
  const reasons: Reason[] = [];
  const add = (figure: string, text: string): number => reasons.push({ figure, text });

  if (hot) {
    add(
      'pressureMinutes',
      `${n(hot.minute - lidOn)} min from lid on for the heat to reach the middle of ${print.quantity('length', piece.thicknessCm)} from ${degrees(start)}, of which ${n(timer)} pass before the timer starts.`,
    );
  } else {
    add(
      'pressureMinutes',
      `The middle of ${print.quantity('length', piece.thicknessCm)} is at ${degrees(tenderness.coreC)} when the lid comes off; the pot is at ${degrees(pot.workingC)}. The outside is done well before the middle.`,
    );
  }
  add(
    'pressureMinutes',
    `${n(melting)} min at ${degrees(pot.workingC)} melt ${n(share * 100)} % of the collagen of ${cutTitle(cut)} once it is hot; the release counts too.`,
  );
  if (plan.confidence > 0.5 && !f.ownMinutes) {
    const middle = tenderness.byMinute.find((point) => point.mean >= share)?.minutes;
    // The cut that needs the longest sets the minutes; the others have more than they ask for.
    const others = f.meats.slice(1).filter(({ chance }) => chance.at + chance.past <= plan.confidence + NEARLY);
    const [slowest] = tenderness.chance.at + tenderness.chance.past > plan.confidence + NEARLY ? others : [];
    if (middle !== undefined && middle < f.pressureMinutes && slowest) {
      add(
        'pressureMinutes',
        `${middle} min would do for this cut; ${f.pressureMinutes - middle} more are for ${slowest.name}, which takes longer.`,
      );
    } else if (middle !== undefined && middle < f.pressureMinutes) {
      add(
        'pressureMinutes',
        `${middle} min would do for the usual animal; ${f.pressureMinutes - middle} more make it ${inTen(tenderness.chance.at + tenderness.chance.past)}, because animals differ by a fifth and thickness is measured badly.`,
      );
    }
  }
  if (f.ownMinutes && f.proposedMinutes !== null) {
    const gap = f.pressureMinutes - f.proposedMinutes;
    add(
      'pressureMinutes',
      gap === 0
        ? 'Your own minutes are what Hervir would propose.'
        : `Your own minutes: ${Math.abs(gap)} ${gap > 0 ? 'more' : 'fewer'} than the ${f.proposedMinutes} Hervir proposes.`,
    );
  }
  for (const text of learntWords(f)) add('pressureMinutes', text);
  if (f.proposedMinutes === null) {
    add(
      'pressureMinutes',
      `Even ${n(f.pressureMinutes)} min are not sure enough: cut it smaller, or accept a lower chance.`,
    );
  }
  add(
    'tenderness',
    `Short of it ${inTen(tenderness.chance.short)}, at it ${inTen(tenderness.chance.at)}, past it ${inTen(tenderness.chance.past)}; ${n(tenderness.mean * 100)} % of the collagen melted on the whole, ${n(tenderness.core * 100)} % in the middle.`,
  );
  add(
    'workingC',
    `${n(plan.cooker.gaugeKPa)} kPa above the air outside (${one(kitchenAirKPa(plan.kitchen))} kPa${plan.kitchen.airKPa === undefined ? ` at ${n(plan.kitchen.altitudeM)} m` : ', measured'}) is ${degrees(pot.workingC)}; open it boils at ${degrees(pot.boilingC)}.`,
  );
  add(
    'minutesToPressure',
    `Pin up after ${n(pot.minutesToPin)} min and full pressure after ${n(pot.minutesToPressure)}, from lid on, with ${n(plan.cooker.watts)} W; the minutes count from the ${plan.cooker.timerStarts === 'pin' ? 'pin' : 'full pressure'}.`,
  );
  for (const text of cookerWords(f)) add('minutesToPressure', text);
  add(
    'releaseMinutes',
    plan.release.method === 'quick'
      ? `The valve is opened at once: ${one(pot.releaseMinutes)} min. Left alone it would take ${n(pot.naturalReleaseMinutes)}.`
      : pot.releaseMinutes >= pot.naturalReleaseMinutes - 0.05
        ? `The pin falls by itself after ${n(pot.naturalReleaseMinutes)} min; the meat goes on cooking meanwhile.`
        : `${n(plan.release.naturalMinutes)} min left alone, then the valve; by itself it would take ${n(pot.naturalReleaseMinutes)}. The meat goes on cooking meanwhile.`,
  );
  add(
    'startAt',
    `${n(f.clock.totalMinutes)} min in all: ${n(f.clock.handsOnMinutes)} with your hands, ${n(timer)} to come up, ${n(f.pressureMinutes)} under pressure, ${n(pot.releaseMinutes)} down, ${n(plan.finish.restMinutes)} to rest.`,
  );
  if (f.sear.batches > 0) {
    add(
      'sear',
      `${f.sear.batches === 1 ? 'One batch' : `${f.sear.batches} batches`} of up to ${f.sear.perBatch}, covering ${n(f.sear.coverage * 100)} % of the base; ${n(f.sear.minutes)} min, and ${n(f.sear.preheatMinutes)} before for the base to be hot.`,
    );
  }
  add('burn', f.burn.text);
  for (const { text, kelvin } of f.burn.causes)
    add('burn', `${text}: ${print.rise(kelvin)} over the liquid’s ${degrees(f.burn.liquidC)}.`);
  for (const { place, kind, release, minutes, reheatMinutes, releaseMinutes, items } of f.stages) {
    for (const item of items) {
      const size = item.sizeCm > 0 ? `, cut to ${print.quantity('length', item.sizeCm)}` : '';
      add(
        'stages',
        `${item.name}${size}, ${placePhrase(plan, place)}: ${textureWord(item.texture)}, ${one(item.cookValue)} min at ${degrees(100)} in the mean${item.met ? '' : `, and not ${textureWord(item.wanted)}`}.`,
      );
    }
    if (kind === 'pressure') {
      const down = release === 'natural' ? 'to let down by itself' : 'to let down';
      add(
        'secondRun',
        `${placeName(plan, place)}: ${n(reheatMinutes)} min to come up again, ${n(minutes)} under pressure, ${n(releaseMinutes)} ${down}.`,
      );
    }
    if (kind === 'simmer') {
      add('secondRun', `${placeName(plan, place)}: ${n(reheatMinutes)} min back to the boil, then ${n(minutes)} open.`);
    }
  }
  if (f.foil && f.foil.minutes > 1 && f.stages.some(({ kind }) => isHotKind(kind))) {
    add(
      'coreC',
      `Under foil for ${n(f.foil.minutes)} min the meat’s middle goes from ${degrees(tenderness.coreC)} to ${degrees(f.foil.coreC)}: the outside is hotter, so it comes up before it cools.`,
    );
  }
  add('finish', f.finish.text);
  for (const { text } of f.finish.steps) add('finish', `${text}.`);
  add(
    'yield',
    `${print.quantity('mass', f.yield.cookedGrams[0])} to ${print.quantity('mass', f.yield.cookedGrams[1])} of cooked meat: ${n(f.yield.portions)} servings at the usual amount.`,
  );
  add('fill', f.fill.text);
  const { liquid } = f;
  add(
    'liquid',
    `${volume(liquid.freeAtStartMl)} of free liquid when the lid goes on (the pot wants ${volume(liquid.minimumMl)}), ${volume(liquid.freeAtEndMl)} when it comes off, and ${volume(liquid.fatMl)} of fat on it.`,
  );
  for (const { what, ml } of liquid.entries) add('liquid', `${ml > 0 ? '+' : '−'}${volume(Math.abs(ml))} ${what}.`);
  if (tenderness.minutesToSafe !== null) {
    add(
      'coreC',
      `The middle passes ${degrees(SAFE_C)} ${n(tenderness.minutesToSafe)} min after the lid goes on, and ends at ${degrees(tenderness.coreC)}.`,
    );
  }
  return reasons;
}
