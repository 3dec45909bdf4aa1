import { printDuration } from '../units/time';
import { listed, upperFirst } from '../units/list';
import type { Printer } from '../units/quantity';
import { CORNSTARCH_PER_240_ML, type Body } from '../larder/thickeners';
import { againstTarget } from '../meat/tenderness';
import { LIKELY_K, type BurnCauseId } from '../pot/base-temperature';
import { chargesOf } from '../pot/charge';
import { textureWord } from '../stations/doneness';
import { COVER_STEAMS } from '../stations/sear';
import { TARGET_WORDS } from '../words/odds-words';
import { SECTION_WORDS } from '../words/section-words';
import { colourOf } from './browning';
import { plantOutcomes } from './plant-outcomes';
import type { SimulatedCook } from './simulated-cook';

export const DEBRIEF_TOPICS = ['tenderness', 'sear', 'vegetables', 'sauce', 'base', 'time'] as const;
export type DebriefTopic = (typeof DEBRIEF_TOPICS)[number];

/** One thing that was to come out so, and how it did. */
export interface DebriefLine {
  readonly topic: DebriefTopic;
  readonly title: string;
  readonly planned: string;
  readonly was: string;
  readonly good: boolean;
}

/** What came of a rehearsal. */
export interface Debrief {
  readonly lines: readonly DebriefLine[];
  /** At most two, the weightiest first. */
  readonly differently: readonly string[];
}

/** Something to do differently, and how much it weighs. */
interface Advice {
  readonly weight: number;
  readonly text: string;
}

/** Dinner within this of its time is on time, minutes. Common practice. */
export const ON_TIME_MINUTES = 5;
/** A sauce within this share of its amount is as planned. */
const SAUCE_WITHIN = 0.25;
/** A pot that stood with its valve open for longer lost its way there, minutes. */
const VALVE_FORGOTTEN = 2;

/** What hangs between words and figures: the run, its plan and how to print. */
interface Ground {
  readonly run: SimulatedCook;
  readonly print: Printer;
}

/** How a base that tripped is avoided next time, by its largest cause. */
const BASE_ADVICE: Readonly<Record<Exclude<BurnCauseId, 'heat'>, string>> = {
  fond: 'Scrape the base until nothing sticks before the lid goes on',
  thickened: 'Lay thick things on top and do not stir them in; thicken after pressure',
  sugar: 'Keep sugar off the base: sear a sweet rub in a pan of its own',
  dry: 'Measure the liquid before the lid goes on',
  'flat-meat': 'Put a rack under meat that lies flat',
  grain: 'Level grain on top and do not stir it down',
};

/** Minutes for which the lid was on, the heat too, and the valve open with the pin down. */
function valveOpenMinutes({ run }: Ground): number {
  let seconds = 0;
  run.frames.forEach((frame, i) => {
    const before = run.frames[i - 1];
    if (!before || frame.lid === 'off' || frame.valve === 'closed' || frame.pin || frame.watts < 200) return;
    seconds += frame.atS - before.atS;
  });
  return seconds / 60;
}

function tenderness(ground: Ground, advice: Advice[]): DebriefLine[] {
  const { run, print } = ground;
  const { grade } = run.opened ?? { grade: null };
  const { target } = run.f.plan;
  if (grade === null) return [];
  const result = againstTarget(grade, target);
  const past = result === 'past';
  const good = result === 'as-wanted';
  if (result === 'short') {
    const planned = run.f.pressureMinutes;
    const ran = run.pressureMinutes;
    const { toughness } = run.kitchen;
    if (run.kitchen.faults.has('frozen-middle') && run.f.plan.meat.startsFrom !== 'frozen') {
      advice.push({
        weight: 90,
        text: 'Thaw the meat through, or plan it as frozen: its middle took the heat that was meant for cooking.',
      });
    } else if (ran < planned - 0.9) {
      advice.push({
        weight: 90,
        text: `Give it its minutes: it had ${Math.round(ran)} of ${planned} under pressure.`,
      });
    } else if (run.ventedEarly > 1) {
      advice.push({
        weight: 85,
        text: `Leave the valve alone for ${printDuration(run.ventedEarly)} more: the meat goes on cooking while the pressure falls.`,
      });
    } else if (toughness > 1.05) {
      advice.push({
        weight: 60,
        text: 'This animal was tougher than most. The fork told you: lid back on for the minutes it asks, before anything else.',
      });
    } else {
      advice.push({
        weight: 60,
        text: 'Try a piece before the sauce is begun, and put the lid back on if it is firm.',
      });
    }
  }
  if (past) {
    advice.push({
      weight: 50,
      text:
        run.pressureMinutes > run.f.pressureMinutes + 0.9
          ? `End it on its minute: it had ${Math.round(run.pressureMinutes)} of ${run.f.pressureMinutes} under pressure.`
          : 'Open the valve when its time has come: meat left under pressure goes on falling apart.',
    });
  }
  return [
    {
      topic: 'tenderness',
      title: 'Meat',
      planned: TARGET_WORDS[target],
      was: `${grade === 'threads' || grade === 'chewy' || grade === 'firm' ? grade : TARGET_WORDS[grade]}, ${print.quantity('temperature', run.opened?.coreC ?? 0)} in the middle`,
      good,
    },
  ];
}

function sear({ run }: Ground, advice: Advice[]): DebriefLine[] {
  const { browned, coverage } = run.kitchen;
  const { school } = run.f.plan.sear;
  if (browned === null || school === 'none') return [];
  const colour = colourOf(browned);
  const good = school === 'light' ? colour !== 'black' : colour === 'brown';
  if (!good && colour === 'black') advice.push({ weight: 40, text: 'Turn the meat sooner: it went past brown.' });
  if (!good && colour !== 'black') {
    const { batches } = run.f.sear;
    const text =
      coverage > COVER_STEAMS
        ? `Sear in ${Math.max(2, batches)} batches: with ${Math.round(coverage * 100)} % of the base covered, the juice could not boil off and the meat steamed.`
        : run.kitchen.faults.has('weak-saute')
          ? 'A weak sauté needs longer a side, or a pan on a burner: the base never got hot enough to brown.'
          : 'Leave each side alone until it lets go by itself: it was turned before it had browned.';
    advice.push({ weight: 45, text });
  }
  return [{ topic: 'sear', title: 'Sear', planned: school === 'light' ? 'no red left' : 'brown', was: colour, good }];
}

function vegetables({ run }: Ground, advice: Advice[]): DebriefLine[] {
  const items = plantOutcomes(run);
  const early = items.filter(({ off }) => off > 0).map(({ name }) => name);
  const short = items.filter(({ off }) => off < 0).map(({ name }) => name);
  if (items.length === 0) return [];
  if (early.length > 0) {
    advice.push({
      weight: 55,
      text: `${upperFirst(listed(early))}: in later, and out as soon as the lid is off. What is in from the start goes into the sauce.`,
    });
  }
  if (short.length > 0) {
    advice.push({ weight: 50, text: `${upperFirst(listed(short))}: in sooner, or cut smaller.` });
  }
  return [
    {
      topic: 'vegetables',
      title: 'Vegetables and grain',
      planned: listed(items.map(({ name, wanted }) => `${name} ${textureWord(wanted as 'tender')}`)),
      was: listed(items.map(({ name, was }) => `${name} ${textureWord(was as 'tender')}`)),
      good: items.every(({ off }) => off === 0),
    },
  ];
}

/** The body that so much starch gives. */
function bodyOf(starchG: number, ml: number): Body {
  const per = ml > 0 ? (starchG * 240) / ml : 0;
  const { light, coating, thick } = CORNSTARCH_PER_240_ML;
  if (per < light * 0.6) return 'thin';
  if (per < (light + coating) / 2) return 'light';
  return per < (coating + thick) / 2 ? 'coating' : 'thick';
}

function sauce({ run, print }: Ground, advice: Advice[]): DebriefLine[] {
  const { finish } = run.f;
  const ml = run.kitchen.sauceMl;
  const { thickener, body } = run.f.plan.finish;
  const stirredIn = chargesOf(run.f.plan).reduce((sum, { bindsG }) => sum + bindsG, 0);
  const wanted: Body = thickener === 'none' ? bodyOf(stirredIn, finish.sauceMl) : body;
  const was = bodyOf(run.kitchen.starchNow, ml);
  const amount = Math.abs(ml - finish.sauceMl) <= finish.sauceMl * SAUCE_WITHIN;
  const good = amount && was === wanted;
  if (!amount && ml < finish.sauceMl && !run.kitchen.thrown.has('gasket-leaks')) {
    advice.push({
      weight: 35,
      text: `There is ${print.quantity('volume', ml)} of sauce where ${print.quantity('volume', finish.sauceMl)} were meant: watch where liquid goes, and top it up before it thickens.`,
    });
  } else if (!amount && ml >= finish.sauceMl) {
    advice.push({
      weight: 25,
      text: 'Ladle some out, or give it longer on full sauté with the lid off: the sauce is long.',
    });
  }
  const say = (amountMl: number, how: string): string =>
    `${print.quantity('volume', Math.round(amountMl / 10) * 10)}, ${how}`;
  return [{ topic: 'sauce', title: 'Sauce', planned: say(finish.sauceMl, wanted), was: say(ml, was), good }];
}

function base(ground: Ground, advice: Advice[]): DebriefLine[] {
  const { run, print } = ground;
  const { trips, hottestC } = run.kitchen;
  const stovetop = run.f.plan.cooker.kind === 'stovetop';
  const limit = run.f.burn.cutoutC - LIKELY_K;
  const open = valveOpenMinutes(ground);
  const [first] = trips;
  if (open > VALVE_FORGOTTEN) {
    advice.push({
      weight: first ? 100 : 80,
      text: `Look at the valve before you walk away: it stood open for ${printDuration(open)}, and the steam went out instead of building.`,
    });
  }
  const leaks = run.kitchen.thrown.has('gasket-leaks');
  if (leaks) {
    advice.push({
      weight: first ? 98 : 60,
      text: 'Steam came past the rim: seat the gasket, or replace it, before the lid goes on. Do not press the lid down.',
    });
  }
  if (first) {
    const worst = first.causes.find(({ cause }) => cause !== 'heat');
    // What got away past the rim was not poured too sparingly.
    const told = open > VALVE_FORGOTTEN || (leaks && worst?.cause === 'dry');
    if (worst && worst.cause !== 'heat' && !told) {
      advice.push({
        weight: 95,
        text: `${BASE_ADVICE[worst.cause]}: that made the base ${print.rise(worst.kelvin)} hotter.`,
      });
    }
  }
  if (hottestC === 0) return [];
  return [
    {
      topic: 'base',
      title: stovetop ? 'Scorching' : 'Burn error',
      planned: `under ${print.quantity('temperature', limit)}`,
      was: first
        ? `${stovetop ? 'scorched' : 'the power was cut'} at ${print.quantity('temperature', first.baseC)}${trips.length > 1 ? `, ${trips.length} times` : ''}`
        : `${print.quantity('temperature', hottestC)} at most`,
      good: trips.length === 0,
    },
  ];
}

function time({ run }: Ground, advice: Advice[]): DebriefLine[] {
  const { state } = run;
  const { driftMinutes } = state.dinner;
  if (state.status === 'cooking') return [];
  const late = driftMinutes > ON_TIME_MINUTES;
  if (late) {
    const [worst] = [...state.took].sort((a, b) => b.actual - b.planned - (a.actual - a.planned));
    if (worst) {
      advice.push({
        weight: 30,
        text: `${SECTION_WORDS[worst.section]} took ${printDuration(worst.actual)}, not ${printDuration(worst.planned)}: be there when it rings, or begin that much sooner.`,
      });
    }
  }
  const off = Math.round(Math.abs(driftMinutes));
  return [
    {
      topic: 'time',
      title: 'Dinner',
      planned: 'on time',
      was: off <= ON_TIME_MINUTES ? 'on time' : `${off} min ${late ? 'late' : 'early'}`,
      good: !late,
    },
  ];
}

/** A power cut that is over before anybody has noticed teaches nothing, minutes. */
const WORTH_A_WORD = 1;

/**
 * What came of a rehearsal, each thing against the plan, and the two things that weigh most to do differently.
 *
 * @param run the simulated cook, as far as it went
 * @param print the cook's units
 * @returns a line for each thing that can be told already; no advice where all went well
 */
export function debriefOf(run: SimulatedCook, print: Printer): Debrief {
  const ground: Ground = { run, print };
  const advice: Advice[] = [];
  const served = run.state.status !== 'cooking' && run.state.status !== 'waiting';
  const lines = [
    ...tenderness(ground, advice),
    ...sear(ground, advice),
    ...(served ? vegetables(ground, advice) : []),
    ...(served ? sauce(ground, advice) : []),
    ...base(ground, advice),
    ...time(ground, advice),
  ];
  const dark = run.kitchen.darkS / 60;
  if (dark > WORTH_A_WORD) {
    advice.push({
      weight: 75,
      text: `The power was gone for ${printDuration(dark)}: leave the lid shut, begin again when it is back for the minutes that are left, and never put partly cooked meat aside. In doubt whether it is safe, throw it away.`,
    });
  }
  if (run.kitchen.triedUnderPressure > 0) {
    advice.push({ weight: 70, text: 'The lid does not open while the pin is up: wait for it, and never force it.' });
  }
  const differently = [...advice].sort((a, b) => b.weight - a.weight).slice(0, 2);
  return { lines, differently: differently.map(({ text }) => text) };
}
