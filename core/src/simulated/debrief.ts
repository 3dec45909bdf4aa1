import { capital, joined, listing, quantity, say, type Text } from '@hervir/language/message';
import { CORNSTARCH_PER_240_ML, type Body } from '../catalog/thickeners';
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
  readonly title: Text;
  readonly planned: Text;
  readonly was: Text;
  readonly good: boolean;
}

/** What came of a rehearsal. */
export interface Debrief {
  readonly lines: readonly DebriefLine[];
  /** At most two, the weightiest first. */
  readonly differently: readonly Text[];
}

/** Something to do differently, and how much it weighs. */
interface Advice {
  readonly weight: number;
  readonly text: Text;
}

/** Dinner within this of its time is on time, minutes. Common practice. */
export const ON_TIME_MINUTES = 5;
/** A sauce within this share of its amount is as planned. */
const SAUCE_WITHIN = 0.25;
/** A pot that stood with its valve open for longer lost its way there, minutes. */
const VALVE_FORGOTTEN = 2;

/** How a base that tripped is avoided next time, by its largest cause. */
const BASE_ADVICE: Readonly<Record<Exclude<BurnCauseId, 'heat'>, Text>> = {
  fond: say('debrief.scrape-the-base-until-nothing'),
  thickened: say('debrief.lay-thick-things-on-top'),
  sugar: say('debrief.keep-sugar-off-the-base'),
  dry: say('debrief.measure-the-liquid-before-the'),
  'flat-meat': say('debrief.put-a-rack-under-meat'),
  grain: say('debrief.level-grain-on-top-and'),
};

/** Minutes for which the lid was on, the heat too, and the valve open with the pin down. */
function valveOpenMinutes(run: SimulatedCook): number {
  let seconds = 0;
  run.frames.forEach((frame, i) => {
    const before = run.frames[i - 1];
    if (!before || frame.lid === 'off' || frame.valve === 'closed' || frame.pin || frame.watts < 200) return;
    seconds += frame.atS - before.atS;
  });
  return seconds / 60;
}

// oxlint-disable-next-line max-lines-per-function -- one sentence for each way it can have come out
function tenderness(run: SimulatedCook, advice: Advice[]): DebriefLine[] {
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
        text: say('debrief.thaw-the-meat-through-or'),
      });
    } else if (ran < planned - 0.9) {
      advice.push({
        weight: 90,
        text: say('debrief.give-it-its-minutes-it', { ran: Math.round(ran), planned }),
      });
    } else if (run.ventedEarly > 1) {
      advice.push({
        weight: 85,
        text: say('debrief.leave-the-valve-alone-for', { duration: quantity('duration', run.ventedEarly) }),
      });
    } else if (toughness > 1.05) {
      advice.push({
        weight: 60,
        text: say('debrief.this-animal-was-tougher-than'),
      });
    } else {
      advice.push({
        weight: 60,
        text: say('debrief.try-a-piece-before-the'),
      });
    }
  }
  if (past) {
    advice.push({
      weight: 50,
      text:
        run.pressureMinutes > run.f.pressureMinutes + 0.9
          ? say('debrief.end-it-on-its-minute', {
              had: Math.round(run.pressureMinutes),
              planned: run.f.pressureMinutes,
            })
          : say('debrief.open-the-valve-when-its'),
    });
  }
  return [
    {
      topic: 'tenderness',
      title: say('debrief.meat'),
      planned: TARGET_WORDS[target],
      was: say('debrief.in-the-middle', {
        grade: grade === 'threads' || grade === 'chewy' || grade === 'firm' ? grade : TARGET_WORDS[grade],
        coreC: quantity('temperature', run.opened?.coreC ?? 0),
      }),
      good,
    },
  ];
}

function sear(run: SimulatedCook, advice: Advice[]): DebriefLine[] {
  const { browned, coverage } = run.kitchen;
  const { school } = run.f.plan.sear;
  if (browned === null || school === 'none') return [];
  const colour = colourOf(browned);
  const good = school === 'light' ? colour !== 'black' : colour === 'brown';
  if (!good && colour === 'black') advice.push({ weight: 40, text: say('debrief.turn-the-meat-sooner-it') });
  if (!good && colour !== 'black') {
    const { batches } = run.f.sear;
    const text =
      coverage > COVER_STEAMS
        ? say('debrief.sear-in-batches-with-of', { value: Math.max(2, batches), coverage: Math.round(coverage * 100) })
        : run.kitchen.faults.has('weak-saute')
          ? say('debrief.a-weak-saute-needs-longer')
          : say('debrief.leave-each-side-alone-until');
    advice.push({ weight: 45, text });
  }
  return [
    {
      topic: 'sear',
      title: say('debrief.sear'),
      planned: school === 'light' ? say('debrief.no-red-left') : say('debrief.brown'),
      was: colour,
      good,
    },
  ];
}

function vegetables(run: SimulatedCook, advice: Advice[]): DebriefLine[] {
  const items = plantOutcomes(run);
  const early = items.filter(({ off }) => off > 0).map(({ name }) => name);
  const short = items.filter(({ off }) => off < 0).map(({ name }) => name);
  if (items.length === 0) return [];
  if (early.length > 0) {
    advice.push({
      weight: 55,
      text: say('debrief.in-later-and-out-as', { list: capital(listing(early)) }),
    });
  }
  if (short.length > 0) {
    advice.push({ weight: 50, text: say('debrief.in-sooner-or-cut-smaller', { list: capital(listing(short)) }) });
  }
  return [
    {
      topic: 'vegetables',
      title: say('debrief.vegetables-and-grain'),
      planned: listing(items.map(({ name, wanted }) => joined([name, textureWord(wanted as 'tender')]))),
      was: listing(items.map(({ name, was }) => joined([name, textureWord(was as 'tender')]))),
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

function sauce(run: SimulatedCook, advice: Advice[]): DebriefLine[] {
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
      text: say('debrief.there-is-of-sauce-where', {
        ml: quantity('volume', ml),
        sauceMl: quantity('volume', finish.sauceMl),
      }),
    });
  } else if (!amount && ml >= finish.sauceMl) {
    advice.push({
      weight: 25,
      text: say('debrief.ladle-some-out-or-give'),
    });
  }
  const said = (amountMl: number, how: Body): Text =>
    say('debrief.volume-and-body', {
      volume: quantity('volume', Math.round(amountMl / 10) * 10),
      body: say(`body.${how}`),
    });
  return [
    { topic: 'sauce', title: say('debrief.sauce'), planned: said(finish.sauceMl, wanted), was: said(ml, was), good },
  ];
}

function base(run: SimulatedCook, advice: Advice[]): DebriefLine[] {
  const { trips, hottestC } = run.kitchen;
  const stovetop = run.f.plan.cooker.kind === 'stovetop';
  const limit = run.f.burn.cutoutC - LIKELY_K;
  const open = valveOpenMinutes(run);
  const [first] = trips;
  if (open > VALVE_FORGOTTEN) {
    advice.push({
      weight: first ? 100 : 80,
      text: say('debrief.look-at-the-valve-before', { duration: quantity('duration', open) }),
    });
  }
  const leaks = run.kitchen.thrown.has('gasket-leaks');
  if (leaks) {
    advice.push({
      weight: first ? 98 : 60,
      text: say('debrief.steam-came-past-the-rim'),
    });
  }
  if (first) {
    const worst = first.causes.find(({ cause }) => cause !== 'heat');
    // What got away past the rim was not poured too sparingly.
    const told = open > VALVE_FORGOTTEN || (leaks && worst?.cause === 'dry');
    if (worst && worst.cause !== 'heat' && !told) {
      advice.push({
        weight: 95,
        text: say('debrief.that-made-the-base-hotter', {
          baseAdvice: BASE_ADVICE[worst.cause],
          kelvin: quantity('rise', worst.kelvin),
        }),
      });
    }
  }
  if (hottestC === 0) return [];
  return [
    {
      topic: 'base',
      title: stovetop ? say('debrief.scorching') : say('debrief.burn-error'),
      planned: say('debrief.under', { limit: quantity('temperature', limit) }),
      was: first
        ? say('debrief.the-power-was-cut-at', {
            stovetop,
            baseC: quantity('temperature', first.baseC),
            tripsCount: trips.length > 1,
            tripsCount2: trips.length,
          })
        : say('debrief.at-most', { hottestC: quantity('temperature', hottestC) }),
      good: trips.length === 0,
    },
  ];
}

function time(run: SimulatedCook, advice: Advice[]): DebriefLine[] {
  const { state } = run;
  const { driftMinutes } = state.dinner;
  if (state.status === 'cooking') return [];
  const late = driftMinutes > ON_TIME_MINUTES;
  if (late) {
    const [worst] = [...state.took].sort((a, b) => b.actual - b.planned - (a.actual - a.planned));
    if (worst) {
      advice.push({
        weight: 30,
        text: say('debrief.took-not-be-there-when', {
          sectionWords: SECTION_WORDS[worst.section],
          duration: quantity('duration', worst.actual),
          planned: quantity('duration', worst.planned),
        }),
      });
    }
  }
  const off = Math.round(Math.abs(driftMinutes));
  return [
    {
      topic: 'time',
      title: say('debrief.dinner'),
      planned: say('debrief.on-time'),
      was: off <= ON_TIME_MINUTES ? say('debrief.on-time') : say('debrief.min', { off, late }),
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
 * @returns a line for each thing that can be told already; no advice where all went well
 */
export function debriefOf(run: SimulatedCook): Debrief {
  const advice: Advice[] = [];
  const served = run.state.status !== 'cooking' && run.state.status !== 'waiting';
  const lines = [
    ...tenderness(run, advice),
    ...sear(run, advice),
    ...(served ? vegetables(run, advice) : []),
    ...(served ? sauce(run, advice) : []),
    ...base(run, advice),
    ...time(run, advice),
  ];
  const dark = run.kitchen.darkS / 60;
  if (dark > WORTH_A_WORD) {
    advice.push({
      weight: 75,
      text: say('debrief.the-power-was-gone-for', { duration: quantity('duration', dark) }),
    });
  }
  if (run.kitchen.triedUnderPressure > 0) {
    advice.push({ weight: 70, text: say('debrief.the-lid-does-not-open') });
  }
  const differently = [...advice].sort((a, b) => b.weight - a.weight).slice(0, 2);
  return { lines, differently: differently.map(({ text }) => text) };
}
